import type { Plan } from '../../document/schema';
import { linesTogether, type Strikes } from './together';
import { allShores } from '../../document/views';
import { takedown } from '../../shoring/takedown.calc';
import type { Check } from '../../verdict/check';
import { Missing } from '../../verdict/missing';
import { shoreParts, shortfalls, type Shortfall } from '../../settle/shore-parts';
import type { Context } from '../context';
import { missingCheck, ratioCheck, told } from '../../verdict/build';
import { shorePlace } from './place';

/** What the shores are built of against what the yard has: an empty yard is a question, a short one is told. */
export function stockChecks({ plan }: Pick<Context, 'plan'>, strikes: Strikes): Check[] {
  const { stock } = plan.shoring;
  if (allShores(plan).length === 0) return [];
  const place = shorePlace('stock', { id: 'stock', name: 'Stock' }, takedown, 'Record: cut list of the shores against the yard', 'stock');
  if (stock.length === 0 || stock.every((line) => line.count === 0))
    return [missingCheck(place, 'count', 'What is in the yard for these shores: studs, plates, props, pads? The list of stock is empty.')];
  const parts = shoreParts(plan);
  if (parts instanceof Missing) return [missingCheck(place, 'count', parts.questions.join(' '))];
  const short = shortTogether(plan, strikes);
  const check = ratioCheck(
    place,
    { demand: parts.length, capacity: parts.length, quantity: 'count', caution: null, inclusive: true },
    told(
      short.length === 0
        ? ['The yard has every part of the shores.']
        : [
            `The yard is short of ${short.map(({ part, have }) => `${part.count - have} ${part.what} ${part.size}`).join(', ')}: bring them before the shores are begun.`,
          ],
    ),
    [],
  );
  return [{ ...check, ratio: null, demand: null, capacity: null, verdict: short.length === 0 ? 'clear' : 'tight' }];
}

/** What the yard lacks: what is struck at one line is used again at the next, so it has to have what stands at one time. */
export const shortTogether = (plan: Plan, strikes: Strikes): Shortfall[] =>
  linesTogether(plan, strikes)
    .map(({ group }) => shoreParts({ ...plan, shoring: { ...plan.shoring, lines: group } }))
    .map((needed) => (needed instanceof Missing ? [] : shortfalls(plan, needed)))
    .reduce((most, one) => (one.length > most.length ? one : most), []);
