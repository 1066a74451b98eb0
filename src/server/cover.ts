import { Type } from 'typebox';
import { closed, nonNegative } from '@/core/calc/fields';
import { coverFrom, coverInTurn, coverModel, type Cover, type CoverSet } from '@/core/checks/map/fewest-stands';
import { solved } from './solver';

/** What is asked of a cover: sets of lifts, each served from one place. */
export const coverAsked = closed({
  sets: Type.Array(
    closed({
      lifts: Type.Array(Type.Integer({ minimum: 0, maximum: 100_000 }), { minItems: 1, maxItems: 5000 }),
      worst: nonNegative('1', 'worst share of the chart over these lifts'),
    }),
    { minItems: 1, maxItems: 3000 },
  ),
});

/** Seconds the solver looks; what was found in turn stands where it finds nothing better. */
const SECONDS = 10;

/** The fewest sets that hold every lift. In turn is already the fewest when it meets the bound or needs one; else the solver looks. */
export async function fewestStands(sets: readonly CoverSet[]): Promise<Cover> {
  const inTurn = coverInTurn(sets);
  if (inTurn.chosen.length <= 1) return inTurn;
  const answer = await solved(coverModel(sets), SECONDS);
  const chosen = answer && coverFrom(sets, answer.value);
  if (!chosen || chosen.length > inTurn.chosen.length) return inTurn;
  return { chosen, least: answer.optimal ? chosen.length : inTurn.least, how: 'solver' };
}
