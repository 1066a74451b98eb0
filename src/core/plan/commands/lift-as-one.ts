import type { Draft } from 'immer';
import { endToEnd, liesInLine, loadOf } from '../joined';
import { Missing } from '../missing';
import type { Move, Pick, Plan } from '../schema';

/** What hangs with the piece of a pick from now on, and the moves of what hangs by itself again. */
export interface LiftAsOne {
  pick: string;
  joined: string[];
  freed: { piece: string; hang: string; letGo: string }[];
}

/**
 * Pieces are lifted with the one a pick is named for: they have no lift and no moves of their own, and what joins them is made before
 * they are lifted. Those that are lifted by themselves again are hung and let go after it. Where the slings take what now hangs is asked.
 */
export function liftAsOne(plan: Draft<Plan>, { pick: id, joined, freed }: LiftAsOne): void {
  const pick = plan.picks.find((one) => one.id === id)!;
  pick.joined = joined.length > 0 ? joined : null;
  pick.unsaid = [...new Set([...(pick.unsaid ?? []), 'left' as const, 'right' as const, 'legs' as const])];
  const along = new Set(joined);
  plan.picks = plan.picks.filter((one) => one.id === id || !along.has(one.piece));
  if (plan.raises) plan.raises = plan.raises.filter(({ load }) => !along.has(load));
  const all = new Set(loadOf(pick));
  // Spliced to it they lie in line with it.
  const line = joined.length > 0 ? endToEnd(plan as Plan, pick as Pick) : null;
  if (line && !(line instanceof Missing))
    for (const part of line.parts) {
      const place = part.beam.id === pick.piece ? null : liesInLine(line, pick.piece, part);
      const beam = plan.structure.pieces.find((one) => one.id === part.beam.id);
      const main = plan.structure.pieces.find((one) => one.id === pick.piece)?.lies;
      if (place && beam) beam.lies = { ...place, level: main?.level ?? null, onSide: main?.onSide ?? null };
    }
  const within = new Set(plan.structure.joints.filter(({ kind, a, b }) => kind === 'splice' && all.has(a.piece) && all.has(b.piece)).map((joint) => joint.id));
  const left = plan.moves.filter((move) => !((move.kind === 'piece.hang' || move.kind === 'piece.letGo') && along.has(move.beam)));
  const hangs = (move: Draft<Move>) => (move.kind === 'piece.hang' && move.beam === pick.piece) || (move.kind === 'pick.trial' && move.pick === id);
  const at = left.findIndex(hangs);
  const splices = at < 0 ? [] : left.slice(at).filter((move) => move.kind === 'joint.make' && within.has(move.joint));
  const rest = left.filter((move) => !splices.includes(move));
  if (splices.length > 0) rest.splice(rest.findIndex(hangs), 0, ...splices);
  const last = rest.findLastIndex((move) => move.kind === 'piece.letGo' && move.beam === pick.piece);
  const own = freed.flatMap(({ piece, hang, letGo }): Move[] => [
    { id: hang, kind: 'piece.hang', beam: piece, by: '' },
    { id: letGo, kind: 'piece.letGo', beam: piece, keeps: 0 },
  ]);
  rest.splice(last < 0 ? rest.length : last + 1, 0, ...own);
  plan.moves = rest;
}
