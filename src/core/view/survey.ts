import { elevationScene, type Look } from './elevation-scene';
import { acrossScene } from './across-scene';
import { planScene } from './plan-scene';
import { structurePose } from './structure-shapes';
import { shoresAt } from './shore-moment';
import type { StationId } from '../verdict/check';
import { refsOfMove } from '../document/listed/moves';
import { checksAt, evaluateWhole, type Whole } from '../evaluate';
import type { Move, Plan } from '../document/schema';
import { settle } from '../settle/settle';
import type { Looking, Scenes, Survey } from './surveyed';
import { lineOf } from '../document/views';

export function scenesAt(drawn: Plan, whole: Whole, { cursor, look, about, line = null, walk = null }: Looking): Scenes {
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
  const side = look === 'across' && one ? acrossScene(one) : elevationScene(plan, moment, look, beside, about, structure, walk);
  return { above: planScene(plan, moment, shores, about, evaluation.checks, structure, walk), side, here: { move, checks: checksAt(whole, move) } };
}

/** The line to look at: the one chosen, else that of the move, else the first that has storeys; null where there is none. */
function lineShown(plan: Plan, move: Move | undefined, chosen: string | null): string | null {
  const { lines } = plan.shoring;
  const of = move && refsOfMove(move).flatMap(({ id }) => lineOf(plan, id)?.id ?? []);
  const known = [chosen, ...(of ?? [])].find((id) => lines.some((one) => one.id === id));
  return known ?? (lines.find((one) => one.storeys.length > 0) ?? lines[0])?.id ?? null;
}

export function surveyPlan(plan: Plan, today: string | null, cursor: number, look: Look, about: StationId = 'runSheet'): Survey {
  const whole = evaluateWhole(plan, today);
  return { evaluation: whole.evaluation, ...scenesAt(plan, whole, { cursor, look, about }) };
}
