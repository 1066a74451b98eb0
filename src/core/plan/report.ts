import { siUnit } from '../units';
import type { About, Check, Verdict } from './check';
import { describe } from './describe';
import { evaluate } from './evaluate';
import { ledgerChanges } from './structure/ledger';
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
  /** what this move changed; whole before the first move */
  state: Partial<Omit<Moment, 'structure'>> & { structure?: object };
  checks: ReportCheck[];
}

export interface Report {
  verdict: Verdict;
  counts: Record<Verdict, number>;
  moves: ReportMove[];
}

/** The structure before anything stands, as it is printed. */
const NOTHING = { beams: {}, supports: {}, joints: {}, braces: {} };

/** Where checks stand that belong to no move: before the first. */
export const BEFORE = 'before';

/** The evaluation as plain JSON, in SI, with each sentence in the job's units. `today` is the day it is looked at, year-month-day. */
export function report(plan: Plan, today: string | null): Report {
  const { verdict, counts, checks, replay } = evaluate(plan, today);
  const byMove = new Map<string | null, ReportCheck[]>();
  for (const check of checks) byMove.set(check.move, [...(byMove.get(check.move) ?? []), reportCheck(check, plan)]);
  const told = (move: string | null) => byMove.get(move) ?? [];
  return {
    verdict,
    counts,
    moves: [
      { id: BEFORE, title: 'Before the first move', state: { ...replay.before, structure: NOTHING }, checks: told(null) },
      ...replay.steps.map(({ move, after }, i) => ({
        id: move.id,
        title: moveWords(plan, move).title,
        state: changedSince(replay.steps[i - 1]?.after ?? replay.before, after),
        checks: told(move.id),
      })),
    ],
  };
}

/** Of a moment what differs from the one before: of two thousand moves on six hundred pieces the whole of each is not to be printed. */
function changedSince(before: Moment, after: Moment): ReportMove['state'] {
  const changed: Record<string, unknown> = {};
  for (const key of Object.keys(after) as (keyof Moment)[]) {
    const [was, is] = [before[key], after[key]];
    if (was === is) continue;
    // The structure is lists of its own: of those too only what is another.
    if (key === 'structure')
      changed[key] = Object.fromEntries(
        (Object.keys(after.structure) as (keyof Moment['structure'])[]).flatMap((list) => {
          const [then, now] = [before.structure[list], after.structure[list]];
          return then === now ? [] : [[list, ledgerChanges<unknown>(then, now)]];
        }),
      );
    else changed[key] = typeof is === 'object' && typeof was === 'object' ? otherThan(was, is) : is;
  }
  return changed as ReportMove['state'];
}

const otherThan = (was: object, is: object): object =>
  Object.fromEntries(Object.entries(is).filter(([id, value]) => (was as Record<string, unknown>)[id] !== value));

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
