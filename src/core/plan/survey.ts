import { elevationScene, type Look } from '../drawing/elevation-scene';
import type { Drawing } from '../drawing/draw-list';
import { acrossScene } from '../drawing/across-scene';
import { planScene } from '../drawing/plan-scene';
import { shoreMoment } from '../drawing/shore-moment';
import type { StationId } from './check';
import { settle } from './settle';
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

/** What is drawn: after which move (−1 before the first), which way one looks, and what the drawing is about. */
export interface Looking {
  cursor: number;
  look: Look;
  about: StationId;
}

export function scenesAt(drawn: Plan, evaluation: Evaluation, { cursor, look, about }: Looking): Scenes {
  const plan = settle(drawn);
  const { replay } = evaluation;
  const moment = replay.steps[Math.min(cursor, replay.steps.length - 1)]?.after ?? replay.before;
  const shores = shoreMoment(plan, moment, evaluation.strike);
  const side = look === 'across' ? acrossScene(plan, shores) : elevationScene(plan, moment, look, shores, about);
  return { above: planScene(plan, moment, shores, about, evaluation.checks), side };
}

export function surveyPlan(plan: Plan, today: string | null, cursor: number, look: Look, about: StationId = 'runSheet'): Survey {
  const evaluation = evaluate(plan, today);
  return { evaluation, ...scenesAt(plan, evaluation, { cursor, look, about }) };
}
