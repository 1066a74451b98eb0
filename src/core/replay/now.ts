import type { MoveKind, Plan } from '../document/schema';
import { nothingStands, type StructureMoment } from './moment';

export type Whereabouts = 'away' | 'delivered' | 'slung' | 'hanging' | 'landed' | 'free';

export interface PieceState {
  where: Whereabouts;
  /** picks whose hook holds it now */
  hooks: readonly string[];
  /** bolts in each end; null when a bolting move does not say how many */
  bolts: { left: number | null; right: number | null };
  boltedMoves: { left: boolean; right: boolean };
  /** ends with bolts of which nobody says that they are as drawn and wrench-tight */
  untold: { left: boolean; right: boolean };
  plumbed: boolean;
  tightened: boolean;
}

/** What stands, hangs and is loose after a move. */
export interface Moment {
  bearingsReady: Record<string, boolean>;
  cranesSet: Record<string, boolean>;
  pieces: Record<string, PieceState>;
  /** temporary walls, rows and bents put up */
  shoresSet: Record<string, boolean>;
  /** shored lines that are opened: what rested on them is gone */
  linesOpen: Record<string, boolean>;
  /** members set by hand, by their opening */
  membersSet: Record<string, boolean>;
  /** groups of the strike done, by their first step */
  struck: Record<string, boolean>;
  structure: StructureMoment;
}

/** A move by what it does: its kind, and what it does it to. */
export type Doing = { kind: MoveKind } & Readonly<Record<string, string>>;

export interface Need {
  what: string;
  done: boolean;
  /** what has to be done before for it to be so */
  by?: readonly Doing[];
  /** the move does what was done before: nothing makes it right but to take it out */
  again?: true;
}

const order: readonly Whereabouts[] = ['away', 'delivered', 'slung', 'hanging', 'landed', 'free'];
export const atLeast = (state: PieceState, where: Whereabouts): boolean => order.indexOf(state.where) >= order.indexOf(where);

/** A piece to which nothing was done yet. */
export const UNTOUCHED: PieceState = {
  where: 'away',
  hooks: [],
  bolts: { left: 0, right: 0 },
  boltedMoves: { left: false, right: false },
  untold: { left: false, right: false },
  plumbed: false,
  tightened: false,
};

export function firstMoment(plan: Plan): Moment {
  return {
    bearingsReady: Object.fromEntries(plan.bearings.map((b) => [b.id, false])),
    cranesSet: Object.fromEntries(plan.stands.map((s) => [s.id, false])),
    pieces: Object.fromEntries(plan.pieces.map((p): [string, PieceState] => [p.id, UNTOUCHED])),
    shoresSet: {},
    linesOpen: {},
    membersSet: {},
    struck: {},
    structure: nothingStands,
  };
}

/** What a move does is still to be done; where an earlier move has done it, this one is one too many. */
export const before = (done: boolean | undefined, what: string): Need[] => (done ? [again(`${what} (a move before did it)`)] : []);
export const again = (what: string): Need => ({ what, done: false, again: true });
