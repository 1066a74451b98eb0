import type { Bearing, Crane, Pick, Piece, Plan, Stand } from './schema';

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
