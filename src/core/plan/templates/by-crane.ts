import { applyCommand } from '../commands/apply';
import { unknownCrane } from '../new-plan';
import { liftsFrom } from '../plan-lifts';
import type { Plan } from '../schema';

/** How far beside what is built a crane is drawn until somebody says where it stands [m]. */
const BESIDE = 10;

/** The plan with one crane beside it, at one stand, that lifts every piece: all its measures, its chart and its place are asked for. */
export function liftedByOne(plan: Plan): Plan {
  const ends = plan.structure.pieces.flatMap(({ from, to }) => [from, to]).filter((end) => end !== null);
  const xs = ends.map(({ x }) => x);
  const stand = {
    id: 's1',
    unsaid: ['at' as const],
    name: 'Stand 1',
    crane: 'c1',
    at: { x: Math.round(((Math.min(...xs) + Math.max(...xs)) / 2) * 10) / 10, y: Math.min(...ends.map(({ y }) => y)) - BESIDE },
    azimuthDeg: 0,
    padArea: null,
    groundAllowable: null,
  };
  const standing = { ...plan, cranes: [{ ...unknownCrane(), id: 'c1' }], stands: [stand] };
  const made = new Map<string, number>();
  const lifts = liftsFrom(standing, stand.id, (prefix) => {
    const n = (made.get(prefix) ?? 0) + 1;
    made.set(prefix, n);
    return `${prefix}${n}`;
  });
  if (!lifts) return standing;
  const done = applyCommand(standing, { name: 'planLifts', args: lifts });
  if (!done.ok) throw new Error(done.faults[0]!.error);
  return done.plan;
}
