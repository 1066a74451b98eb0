import type { SettledPlan } from '../../settle/settle';
import type { LinePlan } from '../../document/views';
import { phrase, q } from '../../calc/work';
import { contactPressure } from '../../path/contact-pressure.calc';
import type { Rules } from '../../rules/rule-sets';
import { needle } from '../../shoring/needle.calc';
import type { Check } from '../../verdict/check';
import { Missing } from '../../verdict/missing';
import { clearOf } from '../../settle/settle';
import { isDay } from '../../units/day';
import { isDoneDay } from '../../document/records';
import { shoredOpening } from '../../settle/shore-layout';
import type { ShoreRow } from '../../document/schema';
import type { Context } from '../context';
import { missingCheck, ratioCheck, sourced, told, traced } from '../../verdict/build';
import { needleChecks, needleOf, type NeedleAnswer } from './needles';
import { shorePlace } from './place';
import { lateralCheck, propChecks } from './props';

type Ground = Pick<Context<LinePlan<SettledPlan>>, 'plan' | 'rules' | 'today'>;

export function rowChecks(context: Ground): Check[] {
  return context.plan.shoring.rows.flatMap((row) => oneRow(row, context));
}

function oneRow(row: ShoreRow, { plan, rules, today }: Ground): Check[] {
  const answer = needleOf(plan, row, rules);
  if (answer instanceof Missing) return [missingCheck(shorePlace('needle', row, needle), 'force', answer.questions.join(' '))];
  return [
    ...masonryChecks(row, rules),
    ...coverCheck(row, plan),
    ...needleChecks(row, answer, rules),
    ...propChecks(row, answer, rules),
    padCheck(row, answer, rules),
    lateralCheck(row, answer, rules),
    ...packChecks(row, rules, today),
  ];
}

/** The wall between two needles must arch over to them. */
function masonryChecks(row: ShoreRow, rules: Rules): Check[] {
  const most = rules.value('needleSpacing');
  const spacing = ratioCheck(
    shorePlace('spacing', row, needle, rules.source('needleSpacing').text),
    { demand: row.spacing, capacity: most, quantity: 'length', caution: null, inclusive: true },
    told(phrase`Needles of ${row.name} stand ${q(row.spacing, 'length')} apart; ${q(most, 'length')} is the most.`),
    [],
  );
  const place = shorePlace('arch', row, needle, rules.source('archRise').text);
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
function coverCheck(row: ShoreRow, plan: LinePlan): Check[] {
  const opening = shoredOpening(plan);
  const clear = opening && clearOf(opening);
  if (!clear) return [];
  const reach = Math.max(row.from, clear - row.from - (row.count - 1) * row.spacing);
  return [
    ratioCheck(
      shorePlace('cover', row, needle, 'Common practice: half a spacing past the last needle'),
      { demand: reach, capacity: row.spacing / 2 + 1e-9, quantity: 'length', caution: null, inclusive: true },
      told(phrase`The wall reaches ${q(reach, 'length')} past the last needle of ${row.name}; half a spacing, ${q(row.spacing / 2, 'length')}, is the most.`),
      [],
    ),
  ];
}

function padCheck(row: ShoreRow, answer: NeedleAnswer, rules: Rules): Check {
  const { pad } = row;
  const place = shorePlace('pad', row, contactPressure, sourced(contactPressure.source.text, rules, 'contactCaution'));
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
function packChecks(row: ShoreRow, rules: Rules, today: string | null): Check[] {
  const place = shorePlace('dryPack', row, needle, rules.source('dryPackDays').text);
  if (row.struckOn === '') return [];
  if (!isDoneDay(row.packedOn, today) || !isDay(row.struckOn))
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
