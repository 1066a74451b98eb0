import { siUnit } from '../units';
import { keyOf, type About, type Check, type Verdict } from '../verdict/check';
import { describe } from '../verdict/describe';
import { checksAt, evaluateWhole, type Whole } from '../evaluate';
import { fixesOf, type Fix } from '../edit/fixes';
import type { StageChange } from '../checks/structure/forces';
import { ledgerChanges } from '../replay/ledger';
import { moveWords } from '../settle/move-words';
import { replay } from '../replay/replay';
import type { Moment } from '../replay/now';
import { settle } from '../settle/settle';
import { whatStops } from '../evaluate/waits';
import type { Plan } from '../document/schema';

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

/** One check over all the moves it concerns. */
export interface ReportRow extends ReportCheck {
  /** calculation, thing and case: the same from edit to edit */
  key: string;
  /** the move at which it is worst; null: before the first */
  move: string | null;
  /** the first move at which it is a stop or missing; null: none, or before the first */
  firstBad: string | null;
  /** at how many moves it is what */
  moves: Record<Verdict, number>;
  /** changes of the run sheet that settle it, each tried; only where they were asked for */
  fixes?: Fix[];
}

export interface ReportMove {
  id: string;
  title: string;
  /** what this move changed; whole before the first move */
  state: Partial<Omit<Moment, 'structure'>> & { structure?: object };
  /** what the structure feels where this move changed it, as it is: upwards on supports and joints [N], moments and shears of pieces */
  forces?: ReportForces;
  /** those that are another here than when last asked */
  checks: ReportCheck[];
}

export interface ReportForces {
  supports: Record<string, number>;
  joints: Record<string, number>;
  pieces: Record<string, { sagging: number; hogging: number; shear: number }>;
  /** pieces that do not stand, or of which it is asked */
  falls: string[];
}

export interface Report {
  verdict: Verdict;
  /** of checks, not of moves */
  counts: Record<Verdict, number>;
  /** one row a check, at its worst move */
  checks: ReportRow[];
  moves: ReportMove[];
}

/** The structure before anything stands, as it is printed. */
const NOTHING = { beams: {}, supports: {}, joints: {}, braces: {}, loads: {}, launches: {} };

/** Where checks stand that belong to no move: before the first. */
export const BEFORE = 'before';

/** The evaluation as plain JSON, in SI, with each sentence in the job's units. `today` is the day it is looked at, year-month-day. */
export const report = (plan: Plan, today: string | null): Report => reportOf(plan, evaluateWhole(plan, today));

/** So much of a plan times rows is tried for fixes: a large plan takes longer to try, and has many rows of one cause. */
const TRIED = 6000;

/** The same with what would settle each stop and question of the run sheet, worst first as far as it is worth trying. */
export function reportWithFixes(plan: Plan, today: string | null): Report {
  const whole = evaluateWhole(plan, today);
  const told = reportOf(plan, whole);
  let left = Math.max(3, Math.floor(TRIED / (plan.moves.length + plan.structure.pieces.length + 1)));
  const fixes = new Map<string, Fix[]>();
  for (const check of whatStops(whole.evaluation.checks)) {
    if (left === 0) break;
    const found = fixesOf(plan, whole, check, today);
    if (found.length > 0) fixes.set(keyOf(check), found);
    left -= 1;
  }
  return { ...told, checks: told.checks.map((row) => (fixes.has(row.key) ? { ...row, fixes: fixes.get(row.key)! } : row)) };
}

function reportOf(plan: Plan, { evaluation, structure }: Whole): Report {
  const { verdict, counts, checks, replay } = evaluation;
  const forces = new Map(structure.changes.flatMap((change) => (change.move ? [[change.move.id, forcesOf(change)] as const] : [])));
  const byMove = new Map<string | null, ReportCheck[]>();
  const note = (move: string | null, check: Check) => {
    const list = byMove.get(move);
    if (list) list.push(reportCheck(check, plan));
    else byMove.set(move, [reportCheck(check, plan)]);
  };
  for (const check of checks) if (!structure.fared.has(check)) note(check.move, check);
  for (const [move, list] of structure.changed()) for (const check of list) note(move, check);
  const told = (move: string | null) => byMove.get(move) ?? [];
  return {
    verdict,
    counts,
    checks: checks.map((check): ReportRow => {
      const fared = structure.fared.get(check);
      const bad = check.verdict === 'stop' || check.verdict === 'missing';
      return {
        key: keyOf(check),
        ...reportCheck(check, plan),
        move: check.move,
        firstBad: fared ? fared.firstBad : bad ? check.move : null,
        moves: fared?.counts ?? { stop: 0, missing: 0, tight: 0, clear: 0, [check.verdict]: 1 },
      };
    }),
    moves: [
      { id: BEFORE, title: 'Before the first move', state: { ...replay.before, structure: NOTHING }, checks: told(null) },
      ...replay.steps.map(({ move, after }, i) => ({
        id: move.id,
        title: moveWords(plan, move).title,
        state: changedSince(replay.steps[i - 1]?.after ?? replay.before, after),
        ...(forces.has(move.id) ? { forces: forces.get(move.id)! } : {}),
        checks: told(move.id),
      })),
    ],
  };
}

/** Of a moment all of it, for one move asked for by its id; null: there is no such move. */
export function reportMove(plan: Plan, today: string | null, id: string): (Omit<ReportMove, 'state'> & { state: object }) | null {
  const answer = evaluateWhole(plan, today);
  const { moves } = reportOf(plan, answer);
  const told = moves.find((move) => move.id === id);
  const at = replay(settle(plan)).steps.find(({ move }) => move.id === id);
  if (!told || !at) return null;
  const { structure, ...rest } = at.after;
  const whole = Object.fromEntries((Object.keys(structure) as (keyof typeof structure)[]).map((list) => [list, Object.assign({}, ...structure[list])]));
  return { ...told, checks: checksAt(answer, id).map((check) => reportCheck(check, plan)), state: { ...rest, structure: whole } };
}

function forcesOf({ lines }: StageChange): ReportForces {
  const forces: ReportForces = { supports: {}, joints: {}, pieces: {}, falls: [] };
  for (const line of lines) {
    const answer = line.answers?.plain;
    if (!answer?.stable) forces.falls.push(...line.beams);
    for (const [key, force] of line.carried.plain) {
      const [thing, seat] = key.split('/');
      if (seat === undefined) forces.joints[key] = force;
      else forces.supports[thing!] = (forces.supports[thing!] ?? 0) + force;
    }
    if (answer?.stable) for (const [id, { sagging, hogging, shear }] of answer.pieces) forces.pieces[id] = { sagging, hogging, shear };
  }
  return forces;
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
