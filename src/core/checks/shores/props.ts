import { phrase, q } from '../../calc/work';
import type { Trace } from '../../calc/evidence';
import type { Rules } from '../../rules/rule-sets';
import { propOffCentre } from '../../shoring/prop-off-centre.calc';
import { steelProp } from '../../shoring/steel-prop.calc';
import { timberPost } from '../../shoring/timber-post.calc';
import { timberPostEn } from '../../shoring/timber-post-en.calc';
import type { Check } from '../../verdict/check';
import { Missing } from '../../verdict/missing';
import type { RowProp, ShoreRow } from '../../document/schema';
import { flatStop, missingCheck, ratioCheck, sourced, told, traced } from '../../verdict/build';
import type { NeedleAnswer } from './needles';
import { shorePlace } from './place';
import { timberStress, timberStrut } from './timber';

/** What one prop may carry as it stands, its lean and the place of its load taken off. A string is why it may carry nothing. */
export function propStrength(row: ShoreRow, rules: Rules): { capacity: number; traces: Trace[] } | Missing | string {
  const { prop } = row;
  if (prop.length === null)
    return new Missing(prop.kind === 'steel' ? `How far are the props of ${row.name} run out?` : `How long are the dead shores of ${row.name}?`);
  const plumb = prop.kind === 'steel' ? tubeStrength(prop, prop.length, rules) : timberStrut(prop, row.name, prop.length, rules);
  if (plumb instanceof Missing || typeof plumb === 'string') return plumb;
  const moment = propMoment(prop, rules);
  if (moment === null)
    return new Missing(`Grade ${'grade' in prop ? prop.grade : ''} has no values in this rule set: what are the dead shores of ${row.name}?`);
  const run = traced(propOffCentre, {
    strength: plumb.capacity,
    moment,
    off: prop.off ?? 0,
    free: rules.value('propOffFree'),
    leanDeg: prop.leanDeg ?? 0,
    freeLeanDeg: rules.value('propLeanFree'),
    length: prop.length,
  });
  return run.outcome.ok ? { capacity: run.outcome.output.strength, traces: [...plumb.traces, ...run.traces] } : run.outcome.error;
}

function tubeStrength(prop: Extract<RowProp, { kind: 'steel' }>, length: number, rules: Rules): { capacity: number; traces: Trace[] } | string {
  const run = traced(steelProp, { class: prop.class, maxLength: prop.maxLength, length });
  return run.outcome.ok ? { capacity: run.outcome.output.characteristic / rules.value('propSafety'), traces: run.traces } : run.outcome.error;
}

/** Yield of the tube of an adjustable prop, the least EN 1065 has. */
const TUBE_YIELD = 235e6;

/** What the section of a prop takes in bending alone. */
function propMoment(prop: RowProp, rules: Rules): number | null {
  if (prop.kind === 'steel') {
    const { diameter, wall } = prop.tube;
    const inner = Math.max(0, diameter - 2 * wall);
    return (TUBE_YIELD * Math.PI * (diameter ** 4 - inner ** 4)) / (32 * diameter) / rules.value('propSafety');
  }
  const stress = timberStress(prop.grade, prop.depth, rules);
  return stress && (stress.bending * prop.width * prop.depth * Math.min(prop.width, prop.depth)) / 6;
}

/** Props or dead shores under their share, and how they stand. */
export function propChecks(row: ShoreRow, answer: NeedleAnswer, rules: Rules): Check[] {
  const { prop } = row;
  const worst = Math.max(answer.leftProp, answer.rightProp);
  const basis = prop.kind === 'steel' ? steelProp : rules.id === 'eu-ls' ? timberPostEn : timberPost;
  const place = shorePlace('prop', row, basis, sourced(basis.source.text, rules, 'propSafety', 'propOffFree', 'contactCaution'));
  const strength = propStrength(row, rules);
  const checks: Check[] = [
    strength instanceof Missing
      ? missingCheck(place, 'force', strength.questions.join(' '), answer.traces)
      : typeof strength === 'string'
        ? flatStop(place, 'force', told([`${row.name}: ${strength}`]), answer.traces, worst)
        : ratioCheck(
            place,
            { demand: worst, capacity: strength.capacity, quantity: 'force', caution: rules.value('contactCaution') },
            told(
              prop.kind === 'steel'
                ? phrase`The props of ${row.name} carry ${q(answer.leftProp, 'force')} left and ${q(answer.rightProp, 'force')} right; class ${prop.class} run out to ${q(prop.length ?? 0, 'length')} may carry ${q(strength.capacity, 'force')} as they stand.`
                : phrase`The dead shores of ${row.name} carry ${q(answer.leftProp, 'force')} left and ${q(answer.rightProp, 'force')} right; ${q(prop.width, 'dimension')} × ${q(prop.depth, 'dimension')} ${prop.grade}, ${q(prop.length ?? 0, 'length')} long, takes ${q(strength.capacity, 'force')} as they stand.`,
            ),
            [...answer.traces, ...strength.traces],
          ),
  ];
  const plumb = shorePlace('plumb', row, propOffCentre, sourced('Past these no rating holds; up to them it is brought down', rules, 'propLean', 'propOff'));
  if (prop.leanDeg === null || prop.off === null)
    return [...checks, missingCheck(plumb, 'angle', `How far do the props of ${row.name} lean, and how far off their middle does the load sit?`)];
  const lean = rules.value('propLean');
  const off = rules.value('propOff');
  const leans = prop.leanDeg / lean >= prop.off / off;
  return [
    ...checks,
    ratioCheck(
      plumb,
      { demand: leans ? prop.leanDeg : prop.off, capacity: leans ? lean : off, quantity: leans ? 'angle' : 'dimension', caution: null, inclusive: true },
      told(
        phrase`The props of ${row.name} lean ${q(prop.leanDeg, 'angle')} and take their load ${q(prop.off, 'dimension')} off the middle; ${q(lean, 'angle')} and ${q(off, 'dimension')} are the most.`,
      ),
      [],
    ),
  ];
}

/** What the lacing and bracing of the row hold, against its share of the load and the push of props that lean. */
export function lateralCheck(row: ShoreRow, answer: NeedleAnswer, rules: Rules): Check {
  const place = shorePlace('lateral', row, propOffCentre, rules.source('shoreLateral').text);
  const total = (answer.leftProp + answer.rightProp) * row.count;
  const lean = Math.tan(((row.prop.leanDeg ?? 0) * Math.PI) / 180);
  const needed = Math.max(rules.value('shoreLateral'), lean) * total;
  if (row.lateral === null) return missingCheck(place, 'force', `What sideways force do the lacing and bracing of ${row.name} hold?`, answer.traces);
  return ratioCheck(
    place,
    { demand: needed, capacity: row.lateral, quantity: 'force', caution: null, inclusive: true },
    told(phrase`${row.name} is to be braced for ${q(needed, 'force')} sideways; ${q(row.lateral, 'force')} is held.`),
    answer.traces,
  );
}
