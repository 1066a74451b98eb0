import { worst, type Check, type Verdict } from '../verdict/check';
import type { Evaluation } from './';
import type { Plan } from '../document/schema';

/** How one move stands: by its own checks, and by the first move before it that may not be made yet. */
export interface MoveStands {
  verdict: Verdict;
  /** number, from 1, of the first stop or missing among the moves before; null when there is none */
  waitsFor: number | null;
}

/**
 * Every move of the run sheet in order. A move that is clear by itself waits for an earlier one that is stopped or not known:
 * nobody gets there. What is checked before the first move is not counted here; the head of the sheet tells it.
 */
export function movesStand(plan: Plan, { checks, standing }: Pick<Evaluation, 'checks' | 'standing'>): MoveStands[] {
  const own = new Map<string, Verdict[]>(Object.entries(standing).map(([move, verdict]) => [move, [verdict]]));
  for (const check of checks) if (check.move !== null) own.set(check.move, [...(own.get(check.move) ?? []), check.verdict]);
  let halted: number | null = null;
  return plan.moves.map((move, i): MoveStands => {
    const verdict = worst(own.get(move.id) ?? []);
    const stands = { verdict, waitsFor: halted };
    if (halted === null && (verdict === 'stop' || verdict === 'missing')) halted = i + 1;
    return stands;
  });
}

/** What stops a job, worst first: every stop and every missing input, hold points included. */
export const whatStops = (checks: readonly Check[]): Check[] => [
  ...checks.filter((check) => check.verdict === 'stop'),
  ...checks.filter((check) => check.verdict === 'missing'),
];
