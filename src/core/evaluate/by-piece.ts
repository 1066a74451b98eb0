import { refsOfMove } from '../document/listed/moves';
import { keepOne } from '../document/keep';
import type { Move, Plan } from '../document/schema';
import { dayName, type WorkDay } from '../document/work-days';

/** The piece a move is done to or for, and its mark; null: a move of no piece, such as a crane that is set. */
export type OfPiece = { id: string; mark: string } | null;

/**
 * Of each move the piece it belongs to, so that a long run sheet folds. What joins two pieces belongs to the one that comes later: until
 * then there is nothing to join. What several rest on belongs to the first of them that is hung.
 */
export const movesByPiece = (plan: Plan): readonly OfPiece[] =>
  keepOne('moves.byPiece', [plan.moves, plan.structure, plan.pieces, plan.picks, plan.survey, plan.members, plan.launches], () => {
    const { structure, pieces, picks, survey, members, moves } = plan;
    const marks = new Map([...structure.pieces, ...pieces].map(({ id, mark }) => [id, mark || id]));
    const lifts = new Map(picks.map(({ id, piece }) => [id, piece]));
    const hung = new Map<string, number>();
    moves.forEach((move, at) => {
      if (move.kind === 'piece.hang' && !hung.has(move.beam)) hung.set(move.beam, at);
    });
    const when = (id: string) => hung.get(id) ?? Infinity;
    const first = (ids: readonly string[]) => ids.reduce<string | null>((best, id) => (best === null || when(id) < when(best) ? id : best), null);
    const last = (ids: readonly string[]) => ids.reduce<string | null>((best, id) => (best === null || when(id) > when(best) ? id : best), null);
    const supports = new Map(structure.supports.map((one) => [one.id, first(one.seats.map(({ piece }) => piece))]));
    const joints = new Map(structure.joints.map((one) => [one.id, last([one.a.piece, one.b.piece])]));
    const braces = new Map(structure.braces.map((one) => [one.id, last([one.a.piece, ...(one.b ? [one.b.piece] : [])])]));
    const loads = new Map(structure.loads.map((one) => [one.id, one.piece]));
    const openings = new Map(survey.openings.map((one) => [one.id, one]));
    const launches = new Map((plan.launches ?? []).map((one) => [one.id, one]));
    const of = (move: Move): OfPiece => {
      for (const { kind, id } of refsOfMove(move)) {
        const piece =
          kind === 'beam' || kind === 'piece'
            ? id
            : kind === 'pick'
              ? lifts.get(id)
              : kind === 'support'
                ? supports.get(id)
                : kind === 'joint'
                  ? joints.get(id)
                  : kind === 'brace'
                    ? braces.get(id)
                    : kind === 'load'
                      ? loads.get(id)
                      : undefined;
        if (piece) return { id: piece, mark: marks.get(piece) ?? piece };
        const opening = kind === 'opening' ? openings.get(id) : undefined;
        if (opening) return { id, mark: members.find((one) => one.id === opening.member)?.mark || opening.name };
        const launch = kind === 'launch' ? launches.get(id) : undefined;
        if (launch) return { id, mark: launch.name };
      }
      return null;
    };
    return moves.map(of);
  });

/** Moves of one piece or one bay, in their order, under the first of them. */
export interface Folded<T> {
  key: string;
  /** ids of the pieces they belong to; none: they belong to none */
  pieces: readonly string[];
  mark: string | null;
  items: T[];
}

/** Things of moves folded by what they belong to: the piece, or with `bays` the bay that piece is in. What belongs to none stays by itself. */
export function foldByPiece<T extends { id: string }>(
  items: readonly T[],
  pieceOf: (item: T) => OfPiece,
  bays: ReadonlyMap<string, { id: string; mark: string }> | null = null,
): Folded<T>[] {
  const folds = new Map<string, Folded<T> & { pieces: string[] }>();
  for (const item of items) {
    const piece = pieceOf(item);
    const bay = piece && bays?.get(piece.id);
    const key = bay ? `bay ${bay.id}` : piece ? `piece ${piece.id}` : `move ${item.id}`;
    const fold = folds.get(key) ?? { key, pieces: [], mark: bay?.mark ?? piece?.mark ?? null, items: [] };
    fold.items.push(item);
    if (piece && !fold.pieces.includes(piece.id)) fold.pieces.push(piece.id);
    folds.set(key, fold);
  }
  return [...folds.values()];
}

/** Moves that bring a piece to its place. */
const SETS: ReadonlySet<Move['kind']> = new Set(['piece.hang', 'piece.land', 'member.set', 'launch.build']);
export const setsPiece = ({ kind }: Move): boolean => SETS.has(kind);

/** The same by days of work: everything of a day in one fold, with the pieces that come to their place on it. */
export function foldByDay<T extends { id: string; number: number; piece: OfPiece; sets: boolean }>(items: readonly T[], days: readonly WorkDay[]): Folded<T>[] {
  return days.flatMap((day): Folded<T>[] => {
    const own = items.filter(({ number }) => number > day.from && number <= day.to);
    if (own.length === 0) return [];
    const pieces = new Set(own.flatMap(({ piece, sets }) => (piece && sets ? [piece.id] : [])));
    return [{ key: `day ${day.number}`, pieces: [...pieces], mark: dayName(day), items: own }];
  });
}
