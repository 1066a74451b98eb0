import { elevationScene, type Look } from '../drawing/elevation-scene';
import type { Drawing } from '../drawing/draw-list';
import { acrossScene } from '../drawing/across-scene';
import { planScene } from '../drawing/plan-scene';
import { structurePose } from '../drawing/structure-shapes';
import { shoresAt } from '../drawing/shore-moment';
import { verdicts, type Check, type StationId, type Verdict } from './check';
import { replay } from './replay';
import { settle } from './settle';
import { checksAt, evaluateWhole, type Evaluation, type Whole } from './evaluate';
import { refsOfMove } from './document/references';
import type { Move, Plan } from './schema';
import { lineOf } from './views';

/** Everything a screen shows of a plan at a moment: the checks and both drawings. */
export interface Survey extends Scenes {
  evaluation: Evaluation;
}

export interface Scenes {
  above: Drawing;
  side: Drawing;
  /** all that is asked at the move shown; null as the move: before the first */
  here: { move: string | null; checks: Check[] };
}

/** What is drawn: after which move (−1 before the first), which way one looks, and what the drawing is about. */
export interface Looking {
  cursor: number;
  look: Look;
  about: StationId;
  /** the shored line a person has chosen to look at */
  line?: string | null;
}

export function scenesAt(drawn: Plan, whole: Whole, { cursor, look, about, line = null }: Looking): Scenes {
  const plan = settle(drawn);
  const { evaluation } = whole;
  const { replay } = evaluation;
  const step = replay.steps[Math.min(cursor, replay.steps.length - 1)];
  const moment = step?.after ?? replay.before;
  const move = step?.move.id ?? null;
  const shores = shoresAt(plan, moment, evaluation.strikes);
  const chosen = lineShown(plan, step?.move, about === 'shores' ? line : null);
  const one = shores.lines.find((each) => each.line.shoring.id === chosen);
  const structure = structurePose(plan, replay, cursor);
  const beside = about === 'shores' && one ? { ...shores, lines: [one] } : shores;
  const side = look === 'across' && one ? acrossScene(one) : elevationScene(plan, moment, look, beside, about, structure);
  return { above: planScene(plan, moment, shores, about, evaluation.checks, structure), side, here: { move, checks: checksAt(whole, move) } };
}

/** The line to look at: the one chosen, else that of the move, else the first that has storeys; null where there is none. */
function lineShown(plan: Plan, move: Move | undefined, chosen: string | null): string | null {
  const { lines } = plan.shoring;
  const of = move && refsOfMove(move).flatMap(({ id }) => lineOf(plan, id)?.id ?? []);
  const known = [chosen, ...(of ?? [])].find((id) => lines.some((one) => one.id === id));
  return known ?? (lines.find((one) => one.storeys.length > 0) ?? lines[0])?.id ?? null;
}

/** Before anything is worked out: nothing checked, nothing drawn, and therefore not clear. */
export function unsurveyed(plan: Plan): Survey {
  const nothing: Drawing = { shapes: [], extent: { min: { x: -1, y: -1 }, max: { x: 1, y: 1 } } };
  const counts = { stop: 0, missing: 0, tight: 0, clear: 0 };
  return {
    evaluation: { verdict: 'missing', counts, checks: [], standing: {}, derived: [], replay: { before: replay(plan).before, steps: [] }, strikes: {} },
    above: nothing,
    side: nothing,
    here: { move: null, checks: [] },
  };
}

/** The move to open at: where the worst trouble is, else the lift; −1 where there is neither. */
export function openingMove(plan: Plan, { checks }: Pick<Evaluation, 'checks'>): number {
  const places = new Map(plan.moves.map((move, i) => [move.id, i]));
  const first = new Map<Verdict, number>();
  for (const { move, verdict } of checks) {
    const at = move === null ? undefined : places.get(move);
    if (at !== undefined && at < (first.get(verdict) ?? Infinity)) first.set(verdict, at);
  }
  const worst = verdicts.find((verdict) => verdict !== 'clear' && first.has(verdict));
  return worst ? (first.get(worst) ?? -1) : plan.moves.findIndex((move) => move.kind === 'pick.lift' || move.kind === 'piece.hang');
}

export function surveyPlan(plan: Plan, today: string | null, cursor: number, look: Look, about: StationId = 'runSheet'): Survey {
  const whole = evaluateWhole(plan, today);
  return { evaluation: whole.evaluation, ...scenesAt(plan, whole, { cursor, look, about }) };
}
