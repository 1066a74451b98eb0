import { joinedOf } from './joined';
import { gist, keepOne } from './keep';
import { Missing } from '../verdict/missing';
import { placeOf } from './place';
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

/** The stands a pick is made from: two where a second crane lifts with it. */
export const standsOfPick = ({ stand, second }: Pick): string[] => (second ? [stand, second.stand] : [stand]);

/** What a pick lifts: one of the pieces on bearings, or one of the structure. */
export type Lifted = { kind: 'piece'; piece: Piece } | { kind: 'beam'; beam: Beam; make: Make };

/** What each pick may lift, by its id; worked out once for the same lists. */
const liftable = ({ pieces, structure }: Plan): ReadonlyMap<string, Lifted> =>
  keepOne('liftable', [pieces, structure.pieces, structure.makes], () => {
    const makes = new Map(structure.makes.map((one) => [one.id, one]));
    return new Map<string, Lifted>([
      ...structure.pieces.flatMap((beam): [string, Lifted][] => {
        const make = makes.get(beam.make);
        return make ? [[beam.id, { kind: 'beam', beam, make }]] : [];
      }),
      ...pieces.map((piece): [string, Lifted] => [piece.id, { kind: 'piece', piece }]),
    ]);
  });

/** References inside an opened plan always resolve; a miss is a caller's bug. */
export function liftedBy(plan: Plan, pick: Pick): Lifted {
  const lifted = liftable(plan).get(pick.piece);
  if (!lifted) throw new RangeError(`the plan has no piece “${pick.piece}”`);
  return lifted;
}

/** Whether what a pick lifts is set upright: it is turned under the hook. */
export function isTurned(plan: Plan, pick: Pick): boolean {
  const lifted = liftedBy(plan, pick);
  return lifted.kind === 'beam' && (placeOf(lifted.beam)?.upright ?? false);
}

export const markLifted = (plan: Plan, pick: Pick): string => {
  const lifted = liftedBy(plan, pick);
  if (lifted.kind === 'piece') return lifted.piece.mark;
  if (!pick.joined?.length) return lifted.beam.mark;
  const joined = joinedOf(plan, pick);
  // As they hang, from left to right; where that is not known, as they are named.
  return joined && !(joined instanceof Missing)
    ? joined.parts.map(({ beam }) => beam.mark).join(' + ')
    : [pick.piece, ...pick.joined].map((id) => plan.structure.pieces.find((one) => one.id === id)?.mark ?? id).join(' + ');
};

/** What is lifted with what, from where: the same thing while none of that is another, whatever else is said of how it is lifted. */
export const pickTies = ({ picks }: Plan): object =>
  gist('pick.ties', picks, ({ id, piece, stand, second, joined = null }) => [id, piece, stand, second?.stand ?? null, joined]);
