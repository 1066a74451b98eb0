import { Type } from 'typebox';
import { closed, nonNegative, positive } from '@/core/calc/fields';
import { leastLoads, loadsFrom, loadsInOrder, loadsModel, type LoadPiece, type LoadPlan, type Lorry } from '@/core/steel/lists/loads';
import { solved } from './solver';

/** What is asked of the loads. */
export const loadsAsked = closed({
  pieces: Type.Array(closed({ name: Type.String(), length: positive('m'), width: positive('m'), mass: positive('kg'), order: nonNegative('1') }), {
    maxItems: 5000,
  }),
  lorry: closed({
    deckLength: positive('m'),
    deckWidth: positive('m'),
    mass: positive('kg'),
    layers: Type.Integer({ minimum: 1, maximum: 20 }),
    overhang: Type.Optional(nonNegative('m', 'a piece may stand past the end of the deck')),
  }),
});

/** Past this many pieces the whole-number programme takes too long to wait for; the plan in order is given with its bound. */
const MOST_PIECES = 40;
/** The solver looks so long for fewer lorries. */
const SECONDS = 5;

/** Fewest lorry loads. The plan in order is already the best when it meets the bound; else the solver looks for fewer. */
export async function planLoads(pieces: readonly LoadPiece[], lorry: Lorry): Promise<LoadPlan> {
  const inOrder = loadsInOrder(pieces, lorry);
  if (inOrder.loads.length <= leastLoads(pieces, lorry) || pieces.length > MOST_PIECES) return inOrder;
  const lorries = inOrder.loads.length;
  const answer = await solved(loadsModel(pieces, lorry, lorries), SECONDS);
  const found = answer && loadsFrom(pieces, lorry, lorries, answer.value);
  if (!found || found.loads.length > lorries) return inOrder;
  return answer.optimal ? { ...found, least: found.loads.length } : found;
}
