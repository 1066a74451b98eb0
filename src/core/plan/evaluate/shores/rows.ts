import { phrase, q } from '../../../calc/work';
import { contactPressure } from '../../../path/contact-pressure.calc';
import type { Rules } from '../../../rules/rule-sets';
import { needle } from '../../../shoring/needle.calc';
import { steelProp } from '../../../shoring/steel-prop.calc';
import { yieldOf } from '../../../steel/grades';
import { findSection } from '../../../steel/sections';
import type { Trace } from '../../../calc/evidence';
import { GRAVITY } from '../../../units';
import type { Check } from '../../check';
import { Missing } from '../../missing';
import { clearOf } from '../../as-measured';
import { isDay } from '../../day';
import { rowLine, shoredOpening } from '../../shoring';
import type { Plan, ShoreRow } from '../../schema';
import { flatStop, missingCheck, ratioCheck, sourced, told, traced, type Context } from '../context';
import { bendingCapacity } from '../section-strength';
import { shorePlace } from './place';

type Ground = Pick<Context, 'plan' | 'rules'>;

export interface NeedleAnswer {
  load: number;
  leftProp: number;
  rightProp: number;
  moment: number;
  traces: Trace[];
}

/** One needle of the row under the wall it carries. */
export function needleOf(plan: Plan, row: ShoreRow, rules: Rules): NeedleAnswer | Missing {
  const line = rowLine(plan, row, rules);
  if (line instanceof Missing) return line;
  if (!(line.line > 0)) return new Missing(`What comes down on ${row.name}? Nothing is known to.`);
  const section = findSection(row.needle.section);
  if (!section) return new Missing(`“${row.needle.section}” is not in the section tables. What are the needles of ${row.name}?`);
  const { left, right } = row.arms;
  const run = traced(needle, {
    line: line.line,
    spacing: row.spacing,
    left,
    right,
    own: section.massPerLength * (left + right) * GRAVITY * rules.value('loadFactor'),
  });
  if (!run.outcome.ok) return new Missing(run.outcome.error);
  return { ...run.outcome.output, traces: [...line.traces, ...run.traces] };
}

/** What one prop may carry. A string is why it may carry nothing. */
export function propStrength(row: ShoreRow, rules: Rules): { capacity: number; traces: Trace[] } | Missing | string {
  const { prop } = row;
  if (prop.length === null) return new Missing(`How far are the props of ${row.name} run out?`);
  const run = traced(steelProp, { class: prop.class, maxLength: prop.maxLength, length: prop.length });
  return run.outcome.ok ? { capacity: run.outcome.output.characteristic / rules.value('propSafety'), traces: run.traces } : run.outcome.error;
}

export function rowChecks(context: Ground): Check[] {
  return context.plan.shoring.rows.flatMap((row) => oneRow(row, context));
}

function oneRow(row: ShoreRow, { plan, rules }: Ground): Check[] {
  const answer = needleOf(plan, row, rules);
  if (answer instanceof Missing) return [missingCheck(shorePlace('needle', row.name, needle), 'force', answer.questions.join(' '))];
  return [
    ...masonryChecks(row, rules),
    ...coverCheck(row, plan),
    needleCheck(row, answer, rules),
    ...propChecks(row, answer, rules),
    padCheck(row, answer, rules),
    ...packChecks(row, rules),
  ];
}

/** The wall between two needles must arch over to them. */
function masonryChecks(row: ShoreRow, rules: Rules): Check[] {
  const most = rules.value('needleSpacing');
  const spacing = ratioCheck(
    shorePlace('spacing', row.name, needle, rules.source('needleSpacing').text),
    { demand: row.spacing, capacity: most, quantity: 'length', caution: null, inclusive: true },
    told(phrase`Needles of ${row.name} stand ${q(row.spacing, 'length')} apart; ${q(most, 'length')} is the most.`),
    [],
  );
  const place = shorePlace('arch', row.name, needle, rules.source('archRise').text);
  if (row.over === null) return [spacing, missingCheck(place, 'length', `How much sound masonry stands over the needles of ${row.name}?`)];
  const wanted = rules.value('archRise') * row.spacing;
  return [
    spacing,
    ratioCheck(
      place,
      { demand: wanted, capacity: row.over, quantity: 'length', caution: null, inclusive: true },
      told(phrase`To arch from needle to needle ${row.name} wants ${q(wanted, 'length')} of masonry over it; there is ${q(row.over, 'length')}.`),
      [],
    ),
  ];
}

/** Past the first and the last needle the wall arches half a spacing and no further. */
function coverCheck(row: ShoreRow, plan: Plan): Check[] {
  const opening = shoredOpening(plan);
  const clear = opening && clearOf(opening);
  if (!clear) return [];
  const reach = Math.max(row.from, clear - row.from - (row.count - 1) * row.spacing);
  return [
    ratioCheck(
      shorePlace('cover', row.name, needle, 'Common practice: half a spacing past the last needle'),
      { demand: reach, capacity: row.spacing / 2 + 1e-9, quantity: 'length', caution: null, inclusive: true },
      told(phrase`The wall reaches ${q(reach, 'length')} past the last needle of ${row.name}; half a spacing, ${q(row.spacing / 2, 'length')}, is the most.`),
      [],
    ),
  ];
}

/** What the needles take in bending, free between their props. */
export function needleStrength(row: ShoreRow, rules: Rules): { capacity: number; traces: Trace[] } | Missing {
  const section = findSection(row.needle.section);
  const fy = yieldOf(row.needle.grade);
  if (!section) return new Missing(`“${row.needle.section}” is not in the section tables. What are the needles of ${row.name}?`);
  if (fy === null) return new Missing(`What does grade “${row.needle.grade}” of the needles of ${row.name} yield at?`);
  return bendingCapacity(section, fy, rules, { length: row.arms.left + row.arms.right, factor: 1 });
}

function needleCheck(row: ShoreRow, answer: NeedleAnswer, rules: Rules): Check {
  const place = shorePlace('needle', row.name, needle, sourced(needle.source.text, rules, 'strengthCaution'));
  const capacity = needleStrength(row, rules);
  if (capacity instanceof Missing) return missingCheck(place, 'moment', capacity.questions.join(' '), answer.traces);
  return ratioCheck(
    place,
    { demand: answer.moment, capacity: capacity.capacity, quantity: 'moment', caution: rules.value('strengthCaution') },
    told(
      phrase`A needle of ${row.name} takes ${q(answer.load, 'force')} of wall and bends with ${q(answer.moment, 'moment')}; ${row.needle.section} takes ${q(capacity.capacity, 'moment')}.`,
    ),
    [...answer.traces, ...capacity.traces],
  );
}

function propChecks(row: ShoreRow, answer: NeedleAnswer, rules: Rules): Check[] {
  const { prop } = row;
  const worst = Math.max(answer.leftProp, answer.rightProp);
  const place = shorePlace('prop', row.name, steelProp, sourced(steelProp.source.text, rules, 'propSafety', 'contactCaution'));
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
              phrase`The props of ${row.name} carry ${q(answer.leftProp, 'force')} left and ${q(answer.rightProp, 'force')} right; class ${prop.class} run out to ${q(prop.length ?? 0, 'length')} may carry ${q(strength.capacity, 'force')}.`,
            ),
            [...answer.traces, ...strength.traces],
          ),
  ];
  const plumb = shorePlace('plumb', row.name, steelProp, sourced('Past these the rating does not hold', rules, 'propLean', 'propOff'));
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

function padCheck(row: ShoreRow, answer: NeedleAnswer, rules: Rules): Check {
  const { pad } = row;
  const place = shorePlace('pad', row.name, contactPressure, sourced(contactPressure.source.text, rules, 'contactCaution'));
  if (pad.allowable === null) return missingCheck(place, 'pressure', `What pressure may the floor or ground take under the pads of ${row.name}?`);
  const load = Math.max(answer.leftProp, answer.rightProp);
  const run = traced(contactPressure, { load, length: pad.length, width: pad.width, allowable: pad.allowable });
  if (!run.outcome.ok) return missingCheck(place, 'pressure', run.outcome.error);
  return ratioCheck(
    place,
    { demand: run.outcome.output.pressure, capacity: pad.allowable, quantity: 'pressure', caution: rules.value('contactCaution') },
    told(phrase`A pad of ${row.name} presses ${q(run.outcome.output.pressure, 'pressure')}; ${q(pad.allowable, 'pressure')} is allowed.`),
    [...answer.traces, ...run.traces],
  );
}

/** Nothing is struck before the dry pack over the new beam has had its days. */
function packChecks(row: ShoreRow, rules: Rules): Check[] {
  const place = shorePlace('dryPack', row.name, needle, rules.source('dryPackDays').text);
  if (row.struckOn === '') return [];
  if (!isDay(row.packedOn) || !isDay(row.struckOn))
    return [missingCheck(place, 'count', `When was the dry pack over the beam at ${row.name} put in? Year-month-day.`)];
  const days = Math.round((Date.parse(row.struckOn) - Date.parse(row.packedOn)) / 86_400_000);
  const wanted = rules.value('dryPackDays');
  return [
    ratioCheck(
      place,
      { demand: wanted, capacity: Math.max(0, days), quantity: 'count', caution: null, inclusive: true },
      told([`${row.name} is to be struck ${days} days after the dry pack; ${wanted} are wanted.`]),
      [],
    ),
  ];
}
