import type { Trace } from '../../calc/evidence';
import { phrase, q } from '../../calc/work';
import { GRAVITY } from '../../units';
import type { Rules, ThresholdKey } from '../../rules/rule-sets';
import type { Check } from '../../verdict/check';
import { yardWords, type YardKind } from '../../document/things/yard';
import type { Plan } from '../../document/schema';
import { leastOf } from '../../document/yard';
import { ratioCheck, told, type Place } from '../../verdict/build';

/** What a thing of the yard comes to carry where it hangs, against its tag; none where none of it is there or none says: `gear.tag` asks. */
export function tagged(
  plan: Plan,
  rules: Rules,
  gear: readonly string[],
  kind: YardKind,
  { force, of, caution, place, traces }: { force: number; of: string; caution: ThresholdKey; place: Place; traces: Trace[] },
): Check[] {
  const rating = leastOf(plan, gear, kind);
  if (rating === null) return [];
  const mass = force / GRAVITY;
  const words = yardWords[kind];
  return [
    ratioCheck(
      place,
      { demand: mass, capacity: rating, quantity: 'mass', caution: rules.value(caution) },
      told(
        phrase`${words.charAt(0).toUpperCase()}${words.slice(1)} of ${of}: one comes to carry ${q(mass, 'mass')} with the dynamic factor; its tag says ${q(rating, 'mass')}.`,
      ),
      traces,
    ),
  ];
}
