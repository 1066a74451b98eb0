import type { Draft } from 'immer';
import { asOne, liesInLine, loadOf, tiesWithin } from '../document/joined';
import { Missing } from '../verdict/missing';
import type { Move, Pick, Plan } from '../document/schema';

/** What hangs with the piece of a pick from now on, and the moves of what hangs by itself again. */
export interface LiftAsOne {
  pick: string;
  joined: string[];
  freed: { piece: string; hang: string; letGo: string }[];
}

/**
 * Pieces are lifted with the one a pick is named for: they have no lift and no moves of their own, and what joins them, splices and the
 * cross-frames of a pair, is made before they are lifted. Those that are lifted by themselves again are hung and let go after it. Where the slings take what now hangs is asked.
 */
export function liftAsOne(plan: Draft<Plan>, { pick: id, joined, freed }: LiftAsOne): void {
  const pick = plan.picks.find((one) => one.id === id)!;
  // Joined to it a piece lies in line with it or beside it, which is said by where that lies; apart again it lies where it lay then.
  const told = freed.length > 0 ? asOne(plan as Plan, pick as Pick) : null;
  const line = told instanceof Missing ? null : told;
  const beams = new Map(plan.structure.pieces.map((one) => [one.id, one]));
  const { level = null, onSide = null } = beams.get(pick.piece)?.lies ?? {};
  for (const { piece } of freed) {
    const part = line?.parts.find(({ beam }) => beam.id === piece);
    const place = part && line ? liesInLine(line, pick.piece, part) : null;
    const beam = beams.get(piece);
    if (place && beam) beam.lies = { ...place, level, onSide };
  }
  for (const piece of joined) {
    const beam = beams.get(piece);
    if (beam) beam.lies = null;
  }
  pick.joined = joined.length > 0 ? joined : null;
  pick.unsaid = [...new Set([...(pick.unsaid ?? []), 'left' as const, 'right' as const, 'legs' as const])];
  const along = new Set(joined);
  plan.picks = plan.picks.filter((one) => one.id === id || !along.has(one.piece));
  if (plan.raises) plan.raises = plan.raises.filter(({ load }) => !along.has(load));
  const all = new Set(loadOf(pick));
  const spliced = plan.structure.joints.filter(({ kind, a, b }) => kind === 'splice' && all.has(a.piece) && all.has(b.piece));
  const within = new Set([...spliced, ...tiesWithin(plan as Plan, all)].map((one) => one.id));
  const left = plan.moves.filter((move) => !((move.kind === 'piece.hang' || move.kind === 'piece.letGo') && along.has(move.beam)));
  const hangs = (move: Draft<Move>) => (move.kind === 'piece.hang' && move.beam === pick.piece) || (move.kind === 'pick.trial' && move.pick === id);
  const at = left.findIndex(hangs);
  const joins = (move: Draft<Move>) => (move.kind === 'joint.make' && within.has(move.joint)) || (move.kind === 'brace.fix' && within.has(move.brace));
  const made = at < 0 ? [] : left.slice(at).filter(joins);
  const rest = left.filter((move) => !made.includes(move));
  if (made.length > 0) rest.splice(rest.findIndex(hangs), 0, ...made);
  const last = rest.findLastIndex((move) => move.kind === 'piece.letGo' && move.beam === pick.piece);
  const own = freed.flatMap(({ piece, hang, letGo }): Move[] => [
    { id: hang, kind: 'piece.hang', beam: piece, by: '' },
    { id: letGo, kind: 'piece.letGo', beam: piece, keeps: 0 },
  ]);
  rest.splice(last < 0 ? rest.length : last + 1, 0, ...own);
  plan.moves = rest;
}
