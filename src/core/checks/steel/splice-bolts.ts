import { namesPerson } from '../../document/records';
import type { WayPlan } from '../../document/views';
import type { SettledPlan } from '../../settle/settle';
import { splice } from '../../strength/splice.calc';
import { phrase } from '../../calc/work';
import type { Check } from '../../verdict/check';
import type { Context } from '../context';
import { missingCheck, ratioCheck, told, on } from '../../verdict/build';
import { spliceFigures } from './splice-figures';

/** The engineer's bolts in each splice against what bringing it in and standing on its shores needs. */
export function spliceBoltChecks({ plan, rules }: Pick<Context<WayPlan<SettledPlan>>, 'plan' | 'rules'>): Check[] {
  const { splice: made, cuts, member } = plan.wayIn;
  const mark = plan.members.find((one) => one.id === member)?.mark;
  if (cuts.length === 0 || mark === undefined) return [];
  const figures = spliceFigures(plan, rules);
  return cuts.map((_, i): Check => {
    const subject = `splice ${i + 1}`;
    const place = {
      id: 'way.bolts',
      ...on('splice', { id: `${member}/${i}` }, subject),
      station: 'wayIn' as const,
      move: null,
      calc: splice.id,
      source: `${splice.source.text}; final design by the engineer`,
    };
    const figure = figures.find((one) => one.splice === i);
    const needs = figure ? ` While it is brought in and stands on its shores it needs ${figure.value}.` : '';
    if (made.bolts === null) return missingCheck(place, 'count', `How many bolts has the engineer given for ${subject} of ${mark}?${needs}`, figure?.traces);
    if (!namesPerson(made.engineer)) return missingCheck(place, 'count', `Who gave ${made.bolts} bolts for ${subject} of ${mark}?`, figure?.traces);
    const check = ratioCheck(
      place,
      { demand: figure?.value ?? 0, capacity: made.bolts, quantity: 'count', caution: null, inclusive: true },
      told(
        figure === undefined
          ? [`${made.engineer} gives ${made.bolts} bolts for ${subject} of ${mark}; what it needs meanwhile is not worked out here.`]
          : figure.value > made.bolts
            ? phrase`${made.engineer} gives ${String(made.bolts)} bolts for ${subject} of ${mark}; while it is brought in and stands on its shores it needs ${String(figure.value)}. Ask again before it goes in.`
            : phrase`${made.engineer} gives ${String(made.bolts)} bolts for ${subject} of ${mark}; ${String(figure.value)} are needed meanwhile.`,
      ),
      figure?.traces ?? [],
    );
    return figure === undefined ? { ...check, ratio: null, demand: null, capacity: null } : check;
  });
}
