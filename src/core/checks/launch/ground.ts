import type { Trace } from '../../calc/evidence';
import { launchSweep } from '../../launch/sweep.calc';
import type { QuantityKind } from '../../units';
import type { Check } from '../../verdict/check';
import type { Context } from '../context';
import { missingCheck, on, traced, type Place } from '../../verdict/build';
import type { Launch, Roller } from '../../document/schema';
import type { Worst } from './pushed';

/** What all checks of one launch read. */
export interface LaunchGround {
  context: Context;
  launch: Launch;
  name: string;
  /** the push during which it has come so far */
  moveAt: (travel: number) => string | null;
  at: (id: string, source: string, part?: string, move?: string | null) => Place;
  atRoller: (id: string, roller: Roller, source: string, part?: string, move?: string | null) => Place;
  ask: (id: string, quantity: QuantityKind, question: string, part?: string) => Check;
  /** the launch at its worst, as it was worked out */
  working: (worst: Worst | null) => Trace[];
}

const PRACTICE = 'Common practice: nothing is pushed before every figure of its travel is known';

export function groundOf(context: Context, launch: Launch): LaunchGround {
  const { plan, rules } = context;
  const name = launch.name || 'the launch';
  const pushes = plan.moves.flatMap((move) => (move.kind === 'launch.push' && move.launch === launch.id ? [move] : []));
  const first = plan.moves.find((move) => 'launch' in move && move.launch === launch.id)?.id ?? null;
  const at: LaunchGround['at'] = (id, source, part, move = first) => ({
    id,
    ...on('launch', launch, name, part),
    station: 'picks',
    move,
    calc: launchSweep.id,
    source,
  });
  return {
    context,
    launch,
    name,
    moveAt: (travel) => pushes.find(({ to }) => to >= travel - 1e-6)?.id ?? pushes.at(-1)?.id ?? first,
    at,
    atRoller: (id, roller, source, part, move = first) => ({ ...at(id, source, part, move), ...on('roller', roller, roller.name, part) }),
    ask: (id, quantity, question, part) => missingCheck(at(id, PRACTICE, part), quantity, question),
    working: (worst) =>
      worst === null
        ? []
        : traced(launchSweep, {
            segments: worst.launched.segments.map((one) => ({ ...one })),
            supports: worst.launched.supports.map(({ x, level }) => ({ x, level })),
            pointLoads: worst.launched.pointLoads.map((one) => ({ ...one })),
            friction: Math.min(2, (launch.friction ?? 0) * rules.value('breakaway')),
            gradeDeg: launch.slopeDeg ?? 0,
            tips: [worst.tip],
          }).traces,
  };
}
