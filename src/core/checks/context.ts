import { on } from '../verdict/build';
import { refsOfMove } from '../document/listed/moves';
import type { Trace } from '../calc/evidence';
import type { Rules } from '../rules/rule-sets';
import type { About } from '../verdict/check';
import type { HangingResult } from '../settle/hanging';
import type { LiftPath } from '../settle/lift-path';
import type { Turned } from '../settle/lift-turned';
import type { HookOf, Share } from '../settle/lift-two';
import type { Joined } from '../document/joined';
import type { Member } from '../settle/joined-weight';
import type { Missing } from '../verdict/missing';
import type { PieceWeight } from '../settle/piece-weight';
import type { Replay } from '../replay/replay';
import type { Crane, MoveKind, Pick, Piece, Plan, Stand } from '../document/schema';
import type { Lifted } from '../document/lookups';
import type { Target } from '../settle/seat-geometry';
import type { SettledPlan } from '../settle/settle';

/** Pieces spliced on the ground, with what each of them is by itself. */
export interface Spliced extends Joined {
  members: readonly Member[];
}

/** A beam of a string over the one that is set. */
export interface Hung {
  id: string;
  mark: string;
  length: number;
  weight: PieceWeight;
  rigging: number;
  /** from the underside of what is set to its own [m] */
  over: number;
}

/** All that the checks of one pick share. */
export interface PickContext {
  /** as this hook has it: its stand, its boom, its slings */
  pick: Pick;
  /** as the plan has it */
  drawn: Pick;
  hook: HookOf;
  lifted: Lifted;
  /** what hangs: of pieces spliced on the ground, all of them as one */
  piece: Piece;
  joined: Spliced | null;
  stand: Stand;
  crane: Crane;
  /** the radius its hook comes to with the load on, from the radius it was set at */
  loaded: (radius: number) => number;
  weight: PieceWeight | Missing;
  seat: Target | Missing;
  hanging: HangingResult;
  path: LiftPath | Missing;
  /** of a piece on two hooks, what this one carries; null: all of it */
  share: Share | null;
  /** set upright: how it is turned */
  turned: Turned | null;
  /** in a string: what hangs over it while it is set, from the beam up, each by how high its underside is over that of the beam */
  above: readonly Hung[];
  /** all below the boom tip: what must be carried, and the least it may weigh */
  gross: { mass: number; least: number; trace: Trace } | Missing;
}

/** What every check is given; `P` narrows the plan to one of its shored lines or ways in. */
export interface Context<P extends SettledPlan = SettledPlan> {
  plan: P;
  /** the day the plan is looked at, year-month-day; null when nobody says */
  today: string | null;
  rules: Rules;
  replayed: Replay;
}

/** The first move of each kind done to each thing, by `kind thing`; worked out once for each run sheet. */
const firstMoves = new WeakMap<Plan['moves'], ReadonlyMap<string, string>>();
function firstMovesOf({ moves }: Plan): ReadonlyMap<string, string> {
  const known = firstMoves.get(moves);
  if (known) return known;
  const found = new Map<string, string>();
  for (const move of moves)
    for (const { id } of refsOfMove(move)) {
      const of = `${move.kind} ${id}`;
      if (!found.has(of)) found.set(of, move.id);
    }
  firstMoves.set(moves, found);
  return found;
}

/** The first move of a kind done to a thing; null when the run sheet has none. */
export const moveFor = (plan: Plan, kind: MoveKind, about: string): string | null => firstMovesOf(plan).get(`${kind} ${about}`) ?? null;

/** The move at which a pick is on the hook: its lift, or for a piece of the structure the move that hangs it. */
export const liftMove = (plan: Plan, pick: Pick): string | null => moveFor(plan, 'pick.lift', pick.id) ?? moveFor(plan, 'piece.hang', pick.id);

/** Which of the hooks of a pick a check is about: of the second it is a part of its own. */
export const onHook = ({ drawn, hook, stand }: PickContext, subject: string, part?: string): { subject: string; about: About } =>
  hook === 'main' ? on('pick', drawn, subject, part) : on('pick', drawn, `${subject}, second hook`, part === undefined ? stand.id : `${stand.id} ${part}`);
