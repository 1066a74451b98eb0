import { phrase, q } from '../../calc/work';
import { columnAisc } from '../../strength/column-aisc.calc';
import { columnEn } from '../../strength/column-en.calc';
import type { Trace } from '../../calc/evidence';
import { missingCheck, ratioCheck, sourced, told, traced } from '../../verdict/build';
import type { Rules } from '../../rules/rule-sets';
import { Missing } from '../../verdict/missing';
import type { Support } from '../../document/schema';
import type { Line } from './forces';
import type { Ground } from './ground';
import type { SettledBeam } from '../../settle/model';
import { about, place } from './places';

/** Of a threaded rod so much of its gross area counts, from memory. */
const THREADED = 0.75;
/** Held at both ends and free to sway. */
const SWAYS = 1.2;

type Rods = Extract<NonNullable<NonNullable<NonNullable<Support['anchors']>['under']>>, { kind: 'nuts' | 'bareRods' }>;

/** What stands under a base plate until it is grouted, against what comes down the column at every move. */
export function baseUnderCheck({ context, rows, by, caution }: Ground, settled: SettledBeam, line: Line, move: string | null): void {
  const { rules } = context;
  for (const { support, key } of by.seats.get(settled.beam.id) ?? []) {
    if (support.kind !== 'anchors' || support.anchors === null) continue;
    const under = support.anchors.under ?? null;
    if (under?.kind === 'grouted') continue;
    const where = place(
      'anchors.under',
      about('support', support, support.name),
      move,
      columnAisc.id,
      sourced('29 CFR 1926.755(a)(3): shims and levelling nuts that carry the loads of construction; bare rods as short struts', rules, 'strengthCaution'),
    );
    const demand = (rules.id === 'us-asd' ? line.carried.plain : line.carried.factored).get(key) ?? 0;
    if (under === null) {
      rows.put(
        missingCheck(where, 'force', `What is under the base plate of ${support.name} until it is grouted: grout already, shims, levelling nuts or bare rods?`),
      );
      continue;
    }
    const strength = under.kind === 'shims' ? under.carry : rodStrength(under, rules);
    if (strength === null || strength instanceof Missing) {
      rows.put(
        missingCheck(
          where,
          'force',
          strength === null ? `What may the shims under ${support.name} carry together?` : strength.questions.join(' ').replace('#', support.name),
        ),
      );
      continue;
    }
    const [capacity, traces] = typeof strength === 'number' ? [strength, []] : [strength.capacity, strength.traces];
    const numbers = { demand, capacity, quantity: 'force' as const, caution };
    const what = under.kind === 'shims' ? 'its shims' : under.kind === 'nuts' ? 'its rods on levelling nuts' : 'its bare rods';
    rows.ratio('anchors.under', 'support', support.id, undefined, move, numbers, () =>
      ratioCheck(
        where,
        numbers,
        told(phrase`${support.name} is not grouted: ${what} carry ${q(demand, 'force')} and may carry ${q(capacity, 'force')}.`),
        traces,
      ),
    );
  }
}

function rodStrength({ rods, diameter, free, yield: fy }: Rods, rules: Rules): { capacity: number; traces: Trace[] } | Missing {
  if (fy === null || diameter === null || free === null)
    return new Missing('How thick are the rods of #, how far do they stand free under the nut, and at what stress do they yield?');
  const area = (THREADED * Math.PI * diameter ** 2) / 4;
  // The core of the thread bends, not the crest.
  const radius = (Math.sqrt(THREADED) * diameter) / 4;
  const input = { yield: fy, modulus: rules.steel.modulus, area, radius, effectiveLength: SWAYS * free };
  if (rules.id === 'us-asd') {
    const { outcome, traces } = traced(columnAisc, input);
    return outcome.ok ? { capacity: rods * outcome.output.allowable, traces } : new Missing(outcome.error);
  }
  const { outcome, traces } = traced(columnEn, { ...input, curve: 'c', gammaM1: rules.value('gammaM1') });
  return outcome.ok ? { capacity: rods * outcome.output.design, traces } : new Missing(outcome.error);
}
