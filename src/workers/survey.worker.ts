import { expose } from 'comlink';
import type { Look } from '@/core/drawing/elevation-scene';
import { evaluate, type Evaluation } from '@/core/plan/evaluate';
import type { Plan } from '@/core/plan/schema';
import { scenesAt, surveyPlan, type Scenes, type Survey } from '@/core/plan/survey';

let held: { plan: Plan; evaluation: Evaluation } | null = null;

/** Thin shell: the core off the main thread. The plan is sent only when it changed. */
const api = {
  survey(plan: Plan, cursor: number, look: Look): Survey {
    const result = surveyPlan(plan, cursor, look);
    held = { plan, evaluation: result.evaluation };
    return result;
  },
  scenes(plan: Plan | null, cursor: number, look: Look): Scenes | null {
    if (plan) held = { plan, evaluation: evaluate(plan) };
    return held ? scenesAt(held.plan, held.evaluation, cursor, look) : null;
  },
};

export type SurveyWorker = typeof api;
expose(api);
