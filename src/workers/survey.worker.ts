import { expose } from 'comlink';
import { evaluate, type Evaluation } from '@/core/plan/evaluate';
import { sharing } from '@/core/plan/keep';
import type { Plan } from '@/core/plan/schema';
import { scenesAt, type Looking, type Scenes } from '@/core/plan/survey';

let held: { plan: Plan; evaluation: Evaluation } | null = null;

/** Thin shell: the core off the main thread. The plan is sent only when it changed. */
const api = {
  /** The verdicts come first: they are what a person waits for. The drawings follow by `scenes`. */
  check(sent: Plan, today: string): Evaluation {
    // What came over is all new things: those of before take their place wherever they are the same.
    const plan = sharing(held?.plan ?? null, sent);
    const evaluation = evaluate(plan, today);
    held = { plan, evaluation };
    return evaluation;
  },
  scenes(looking: Looking): Scenes | null {
    return held ? scenesAt(held.plan, held.evaluation, looking) : null;
  },
};

export type SurveyWorker = typeof api;
expose(api);
