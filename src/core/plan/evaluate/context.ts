import { refsOfMove } from '../document/references';
import { attempt, type Outcome } from '../../calc/attempt';
import type { Calc } from '../../calc/define';
import type { Trace } from '../../calc/evidence';
import type { Phrase } from '../../calc/work';
import type { Rules, ThresholdKey } from '../../rules/rule-sets';
import type { QuantityKind } from '../../units';
import type { About, AboutKind, Check, StationId } from '../check';
import { judge } from '../check';
import type { Finding } from '../findings';
import type { HangingResult } from '../hanging';
import type { LiftPath } from '../lift-path';
import type { Turned } from '../lift-turned';
import type { HookOf, Share } from '../lift-two';
import type { Joined } from '../joined';
import type { Member } from '../joined-weight';
import type { Missing } from '../missing';
import type { PieceWeight } from '../piece-weight';
import type { Replay } from '../replay';
import type { Crane, MoveKind, Pick, Piece, Plan, Stand } from '../schema';
import type { Lifted } from '../lookups';
import type { Target } from '../seat-geometry';
import type { SettledPlan } from '../settle';
import type { Static, TObject } from 'typebox';

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

/** A finding told in words, its quantities in whatever units the reader has. */
export const told = (words: Phrase) => ({ code: 'told' as const, words });

export interface Place {
  id: string;
  subject: string;
  about: About;
  station: StationId;
  move: string | null;
  calc: string;
  source: string;
}

/** Name and id of the thing a check is about. */
export const on = (kind: AboutKind, thing: { id: string }, subject: string, part?: string): { subject: string; about: About } => ({
  subject,
  about: { kind, id: thing.id, ...(part === undefined ? {} : { part }) },
});

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

/** Run a calculation and keep the evidence. */
export function traced<I extends TObject, O extends TObject>(calc: Calc<I, O>, input: Static<I>): { outcome: Outcome<Static<O>>; traces: Trace[] } {
  const outcome = attempt(calc, input);
  return { outcome, traces: outcome.ok ? [{ calc: calc.id, input, output: outcome.output }] : [] };
}

export function missingCheck(place: Place, quantity: QuantityKind, question: string, traces: Trace[] = []): Check {
  return { ...place, demand: null, capacity: null, quantity, ratio: null, caution: null, verdict: 'missing', finding: { code: 'missing', question }, traces };
}

export function ratioCheck(
  place: Place,
  numbers: { demand: number; capacity: number; quantity: QuantityKind; caution: number | null; inclusive?: boolean; ratio?: number },
  finding: Finding,
  traces: Trace[],
): Check {
  const judged =
    numbers.ratio === undefined
      ? judge(numbers.demand, numbers.capacity, numbers.caution, numbers.inclusive)
      : judge(numbers.ratio, 1, numbers.caution, numbers.inclusive);
  // Each field by its name: a spread of so many shapes costs more than all the rest of a check.
  return {
    id: place.id,
    subject: place.subject,
    about: place.about,
    station: place.station,
    move: place.move,
    calc: place.calc,
    source: place.source,
    demand: numbers.demand,
    capacity: numbers.capacity,
    quantity: numbers.quantity,
    ratio: judged.ratio,
    caution: numbers.caution,
    verdict: judged.verdict,
    finding,
    traces,
  };
}

/** A stop that has no capacity to measure against. */
export function flatStop(place: Place, quantity: QuantityKind, finding: Finding, traces: Trace[], demand: number | null = null): Check {
  return { ...place, demand, capacity: null, quantity, ratio: null, caution: null, verdict: 'stop', finding, traces };
}

/** Source line of a check that leans on thresholds of the rule set. */
export function sourced(text: string, rules: Rules, ...keys: ThresholdKey[]): string {
  const bases = keys.map((key) => rules.source(key).text);
  return [text, ...new Set(bases)].join(' · ');
}

/** The move at which a pick is on the hook: its lift, or for a piece of the structure the move that hangs it. */
export const liftMove = (plan: Plan, pick: Pick): string | null => moveFor(plan, 'pick.lift', pick.id) ?? moveFor(plan, 'piece.hang', pick.id);

/** Which of the hooks of a pick a check is about: of the second it is a part of its own. */
export const onHook = ({ drawn, hook, stand }: PickContext, subject: string, part?: string): { subject: string; about: About } =>
  hook === 'main' ? on('pick', drawn, subject, part) : on('pick', drawn, `${subject}, second hook`, part === undefined ? stand.id : `${stand.id} ${part}`);
