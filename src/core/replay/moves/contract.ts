import type { Move, MoveKind, Plan } from '../../document/schema';
import { pickTies } from '../../document/lookups';
import type { Hood } from '../hoods';
import type { StructureMoment } from '../moment';
import type { Moment, Need } from '../now';

type Of<K extends MoveKind> = Extract<Move, { kind: K }>;

/** All that the replay has to know of a kind of move. */
export interface MoveOf<K extends MoveKind> {
  /** what of the plan it is carried out by, beside the state before it */
  by: (plan: Plan, move: Of<K>) => readonly unknown[];
  /** what of the plan its needs are read from */
  reads: (plan: Plan, move: Of<K>, hoods: ReadonlyMap<string, Hood>) => readonly unknown[];
  /** what it needs of the moves before it */
  needs: (plan: Plan, move: Of<K>, now: Moment) => Need[];
  /** what it makes of what was */
  after: (plan: Plan, move: Of<K>, now: Moment) => Moment;
}
/** Some kinds of moves, each with all of it: one that is left out, or says less, does not compile. */
export type MovesOf<K extends MoveKind> = { readonly [One in K]: MoveOf<One> };

/** Of a move done to the structure: nothing else changes by it. */
export const structural =
  <K extends MoveKind>(make: (plan: Plan, move: Of<K>, now: StructureMoment) => StructureMoment): MoveOf<K>['after'] =>
  (plan, move, now) => ({ ...now, structure: make(plan, move, now.structure) });

/** Of a move done to what rests on bearings or is shored. */
export const onBearings = {
  by: (plan: Plan) => [pickTies(plan), plan.shoring],
  reads: (plan: Plan) => [
    plan.bearings,
    plan.pieces,
    plan.cranes,
    plan.stands,
    pickTies(plan),
    plan.shoring,
    plan.survey,
    plan.members,
    plan.structure.pieces,
    plan.structure.joints,
  ],
};
export const byNothing = (): readonly unknown[] => [];
