import type { Beam, Bearing, Crane, Make, Pick, Piece, Plan, Stand } from './schema';

/** References inside an opened plan always resolve (`openPlan` refuses dangling ones); a miss is a caller's bug. */
function found<T extends { id: string }>(list: readonly T[], id: string, what: string): T {
  const one = list.find((candidate) => candidate.id === id);
  if (!one) throw new RangeError(`the plan has no ${what} “${id}”`);
  return one;
}

export const bearingOf = (plan: Plan, id: string): Bearing => found(plan.bearings, id, 'bearing');
export const pieceOf = (plan: Plan, id: string): Piece => found(plan.pieces, id, 'piece');
export const craneOf = (plan: Plan, id: string): Crane => found(plan.cranes, id, 'crane');
export const standOf = (plan: Plan, id: string): Stand => found(plan.stands, id, 'stand');
export const pickOf = (plan: Plan, id: string): Pick => found(plan.picks, id, 'pick');
export const pickOfPiece = (plan: Plan, piece: string): Pick | undefined => plan.picks.find((pick) => pick.piece === piece);

/** What a pick lifts: one of the pieces on bearings, or one of the structure. */
export type Lifted = { kind: 'piece'; piece: Piece } | { kind: 'beam'; beam: Beam; make: Make };

/** References inside an opened plan always resolve; a miss is a caller's bug. */
export function liftedBy(plan: Plan, pick: Pick): Lifted {
  const piece = plan.pieces.find((one) => one.id === pick.piece);
  if (piece) return { kind: 'piece', piece };
  const beam = plan.structure.pieces.find((one) => one.id === pick.piece);
  const make = plan.structure.makes.find((one) => one.id === beam?.make);
  if (!beam || !make) throw new RangeError(`the plan has no piece “${pick.piece}”`);
  return { kind: 'beam', beam, make };
}

export const markLifted = (plan: Plan, pick: Pick): string => {
  const lifted = liftedBy(plan, pick);
  return lifted.kind === 'piece' ? lifted.piece.mark : lifted.beam.mark;
};
