import { twoSupports } from '../../beams/two-supports.calc';
import { attempt } from '../../calc/attempt';
import { Missing } from '../../verdict/missing';
import { pieceWeight } from '../../settle/piece-weight';
import { seatOf } from '../../settle/seat-geometry';
import { moveFor, type Context } from '../context';

/** What one end of a piece brings onto a bearing once it is landed [N]; null while that cannot be worked out. */
export interface Resting {
  piece: string;
  mark: string;
  /** place of its landing in the run sheet; last where no move lands it */
  landed: number;
  load: number | null;
}

const known = new WeakMap<Context, Map<string, Resting[]>>();

/** Every piece end on every bearing, so that a support is checked against the sum of all that stands on it. */
export function restingOn(context: Context, bearing: string): Resting[] {
  let all = known.get(context);
  if (!all) {
    all = new Map();
    for (const piece of context.plan.pieces) {
      const pick = context.plan.picks.find((one) => one.piece === piece.id);
      const land = pick ? moveFor(context.plan, 'piece.land', pick.id) : null;
      const at = land === null ? -1 : context.plan.moves.findIndex((move) => move.id === land);
      const weight = pieceWeight(piece, context.rules);
      const seat = seatOf(context.plan, piece);
      const sides =
        weight instanceof Missing || seat instanceof Missing
          ? null
          : attempt(twoSupports, { weight: weight.weight, cg: weight.cg.x, left: seat.contact.left, right: seat.contact.right });
      for (const end of ['left', 'right'] as const) {
        const id = piece.seat[end];
        const load = sides?.ok ? Math.max(0, sides.output[end]) : null;
        all.set(id, [...(all.get(id) ?? []), { piece: piece.id, mark: piece.mark, landed: at < 0 ? Infinity : at, load }]);
      }
    }
    known.set(context, all);
  }
  return all.get(bearing) ?? [];
}

/** What stands on a bearing beside one piece when that piece has landed: all landed before it, and all of which no move says when. */
export function besides(context: Context, bearing: string, piece: string): { load: number; marks: string[]; unknown: string[] } {
  const all = restingOn(context, bearing);
  const mine = all.find((one) => one.piece === piece)?.landed ?? Infinity;
  const others = all.filter((one) => one.piece !== piece && (one.landed <= mine || one.landed === Infinity));
  return {
    load: others.reduce((sum, one) => sum + (one.load ?? 0), 0),
    marks: others.filter((one) => one.load !== null).map((one) => one.mark),
    unknown: others.filter((one) => one.load === null).map((one) => one.mark),
  };
}
