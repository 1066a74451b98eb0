import { siUnit } from '../units';
import type { About, Check, Verdict } from './check';
import { describe } from './describe';
import { evaluate } from './evaluate';
import { moveWords } from './move-words';
import type { Moment } from './replay';
import type { Plan } from './schema';

export interface ReportCheck {
  id: string;
  subject: string;
  about: About;
  calc: string;
  demand: number | null;
  capacity: number | null;
  unit: string;
  ratio: number | null;
  verdict: Verdict;
  sentence: string;
  source: string;
}

export interface ReportMove {
  id: string;
  title: string;
  state: Moment;
  checks: ReportCheck[];
}

export interface Report {
  verdict: Verdict;
  counts: Record<Verdict, number>;
  moves: ReportMove[];
}

/** Where checks stand that belong to no move: before the first. */
export const BEFORE = 'before';

/** The evaluation as plain JSON, in SI, with each sentence in the job's units. `today` is the day it is looked at, year-month-day. */
export function report(plan: Plan, today: string | null): Report {
  const { verdict, counts, checks, replay } = evaluate(plan, today);
  const told = (move: string | null) => checks.filter((check) => check.move === move).map((check) => reportCheck(check, plan));
  return {
    verdict,
    counts,
    moves: [
      { id: BEFORE, title: 'Before the first move', state: replay.before, checks: told(null) },
      ...replay.steps.map(({ move, after }) => ({ id: move.id, title: moveWords(plan, move).title, state: after, checks: told(move.id) })),
    ],
  };
}

function reportCheck(check: Check, plan: Plan): ReportCheck {
  const { id, subject, about, calc, demand, capacity, quantity, ratio, verdict, source } = check;
  return {
    id,
    subject,
    about,
    calc,
    demand,
    capacity,
    unit: siUnit[quantity],
    ratio: ratio !== null && Number.isFinite(ratio) ? ratio : null,
    verdict,
    sentence: describe(check, plan.job.units),
    source,
  };
}
