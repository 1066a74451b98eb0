import { sharing } from '../src/core/document/keep';
import type { Plan } from '../src/core/document/schema';
import { evaluate, type Evaluation } from '../src/core/evaluate';

const last = new Map<string, Plan>();

/**
 * A plan evaluated as the screen does it: with the things of the plan of that job evaluated before, wherever nothing in them differs.
 * The plan itself is left alone, and may be changed afterwards.
 */
export function evaluated(plan: Plan, today: string | null): Evaluation {
  const shared = sharing(last.get(plan.job.name), structuredClone(plan));
  last.set(plan.job.name, shared);
  return evaluate(shared, today);
}
