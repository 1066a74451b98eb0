import { phrase, q } from '../../calc/work';
import { stationAt } from '../../launch/sweep';
import { launchSweep } from '../../launch/sweep.calc';
import type { Check } from '../../verdict/check';
import { ratioCheck, sourced, told } from '../../verdict/build';
import { Missing } from '../../verdict/missing';
import type { LaunchGround } from './ground';
import { launchedOf, onAt, tipAt, type Pushed, type SweptLine } from './pushed';

/** From its rollers down onto its supports: by equal steps, packing close behind, jacks that carry it. */
export function loweringChecks(ground: LaunchGround, pushed: Pushed | Missing, swept: readonly SweptLine[]): Check[] {
  const { context, launch, name, at, ask } = ground;
  const { rules } = context;
  const { over, step, packing, jacks } = launch;
  if (over === null) return [ask('launch.lower', 'length', `How far is ${name} lowered from its rollers onto its supports?`)];
  const checks: Check[] = [];
  const place = (id: string, part?: string) => {
    const lower = context.plan.moves.find((move) => move.kind === 'launch.lower' && move.launch === launch.id)?.id;
    return at(id, sourced('Common practice: lowered by equal steps, packing close behind', rules, 'packingGap'), part, lower);
  };
  const most = rules.value('packingGap');
  if (step === null) checks.push(ask('launch.lower', 'dimension', `By how much is ${name} lowered in one go?`, 'step'));
  if (packing === null) checks.push(ask('launch.lower', 'dimension', `How far under ${name} does the packing follow it at the most?`, 'packing'));
  else
    checks.push(
      ratioCheck(
        place('launch.lower', 'packing'),
        { demand: packing, capacity: most, quantity: 'dimension', caution: null, inclusive: true },
        told(
          step === null
            ? phrase`Packing follows ${name} by ${q(packing, 'dimension')} or less; ${q(most, 'dimension')} may be.`
            : phrase`${name} goes down ${q(over, 'length')} in ${String(Math.ceil(over / step - 1e-9))} steps of ${q(step, 'dimension')}, packing ${q(packing, 'dimension')} under it or less; ${q(most, 'dimension')} may be.`,
        ),
        [],
      ),
    );
  if (step !== null && packing !== null && step > packing)
    checks.push({
      ...ask('launch.lower', 'dimension', '', 'both'),
      demand: step,
      finding: told(
        phrase`${name} is lowered ${q(step, 'dimension')} in one go, and packing is said to lie ${q(packing, 'dimension')} under it at the most. Which of the two is right?`,
      ),
    });
  if (pushed instanceof Missing) return checks;
  const share = Math.max(0, ...swept.map((one) => mostOnSeat(ground, pushed, one)));
  if (jacks === null) checks.push(ask('launch.lower', 'force', `What do the jacks at one support carry, under one girder line of ${name}?`, 'jacks'));
  else if (share > 0)
    checks.push(
      ratioCheck(
        { ...place('launch.lower', 'jacks'), source: sourced(launchSweep.source.text, rules, 'rollerSpread', 'contactCaution') },
        { demand: share * rules.value('rollerSpread'), capacity: jacks, quantity: 'force', caution: rules.value('contactCaution') },
        told(
          phrase`On the way down the jacks at one support come to carry ${q(share, 'force')} of one line, ${q(share * rules.value('rollerSpread'), 'force')} where one goes ahead; they are good for ${q(jacks, 'force')}.`,
        ),
        [],
      ),
    );
  return checks;
}

/** The most of a line that comes to one of its seats with the nose still on [N]. */
function mostOnSeat({ context, launch }: LaunchGround, pushed: Pushed, { line }: SweptLine): number {
  const on = onAt(line, launch.travel ?? 0);
  if (on.length === 0) return 0;
  const seats = context.plan.structure.supports.flatMap(({ seats: all }) =>
    all.flatMap(({ piece, at }) => {
      const part = on.find(({ settled }) => settled.beam.id === piece);
      return part ? [part.turned ? part.front - at : part.rear + at] : [];
    }),
  );
  const places = [...new Set(seats.map((x) => Number(x.toFixed(4))))];
  const launched = { ...launchedOf(pushed, on, context.rules.steel.modulus, 'heavy', 1), supports: places.map((x) => ({ x, level: 0 })) };
  const { reactions, answer } = stationAt(launched, tipAt(pushed, on, pushed.travel));
  return answer.stable ? Math.max(0, ...reactions) : 0;
}
