import type { Drawing } from './draw-list';
import type { Look } from './elevation-scene';
import { verdicts, type Check, type StationId, type Verdict } from '../verdict/check';
import type { Evaluation } from '../evaluate';
import { replay } from '../replay/replay';
import type { Plan } from '../document/schema';
import type { Walk } from '../settle/walk-way';

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
  /** a lift that is looked at on its way */
  walk?: Walk | null;
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
