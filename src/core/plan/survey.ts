import { elevationScene, type Look } from '../drawing/elevation-scene';
import type { Drawing } from '../drawing/draw-list';
import { planScene } from '../drawing/plan-scene';
import { asMeasured } from './as-measured';
import { evaluate, type Evaluation } from './evaluate';
import type { Plan } from './schema';

/** Everything a screen shows of a plan at a moment: the checks and both drawings. */
export interface Survey {
  evaluation: Evaluation;
  above: Drawing;
  side: Drawing;
}

export interface Scenes {
  above: Drawing;
  side: Drawing;
}

/** Index of the move the moment comes after; −1 before the first. */
/** What is drawn: after which move, along which way, after how many steps of the strike. */
export interface Looking {
  cursor: number;
  look: Look;
  struck: number;
}

export function scenesAt(drawn: Plan, evaluation: Evaluation, { cursor, look, struck }: Looking): Scenes {
  const plan = asMeasured(drawn);
  const { replay } = evaluation;
  const moment = replay.steps[Math.min(cursor, replay.steps.length - 1)]?.after ?? replay.before;
  const shores = { strike: evaluation.strike, struck };
  return { above: planScene(plan, moment, shores), side: elevationScene(plan, moment, look, shores) };
}

export function surveyPlan(plan: Plan, cursor: number, look: Look, struck = 0): Survey {
  const evaluation = evaluate(plan);
  return { evaluation, ...scenesAt(plan, evaluation, { cursor, look, struck }) };
}
