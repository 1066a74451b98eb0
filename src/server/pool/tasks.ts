import type { Verdict } from '@/core/verdict/check';
import type { Cover, CoverSet } from '@/core/checks/map/fewest-stands';
import type { Plan } from '@/core/document/schema';
import type { Survey } from '@/core/view/surveyed';
import type { LoadPiece, LoadPlan, Lorry } from '@/core/steel/lists/loads';
import type { SteelRows } from '@/core/steel/lists/rows';
import type { StoredPlan } from '../jobs';
import type { SheetName } from '../sheets/names';
import type { Paper } from '../sheets/parts';

/** How a plan stands, in as much as a list of jobs shows. */
export interface Summary {
  verdict: Verdict;
  counts: Record<Verdict, number>;
  pieces: string[];
  moves: number;
}

/** What runs on the worker threads: its input and its answer. */
export interface Tasks {
  summary: { input: { plan: Plan; today: string }; output: Summary };
  /** a plan at the move it opens at: where the worst trouble is, else the lift */
  open: { input: { plan: Plan; today: string }; output: { cursor: number; survey: Survey } };
  sheet: { input: { name: SheetName; job: StoredPlan; paper: Paper; day?: number | undefined; port?: MessagePort }; output: Uint8Array | null };
  /** `shapes`: whether the bodies of its pieces are looked at */
  ifc: { input: { bytes: Uint8Array; shapes: boolean }; output: SteelRows };
  loads: { input: { pieces: LoadPiece[]; lorry: Lorry }; output: LoadPlan };
  /** the fewest places of a crane that serve all its lifts */
  cover: { input: { sets: CoverSet[] }; output: Cover };
  /** answers what it is given, so that a thread is up before it is needed */
  warm: { input: null; output: null };
}
export type TaskName = keyof Tasks;
export type Task = { [N in TaskName]: { name: N; input: Tasks[N]['input'] } }[TaskName];

/** Seconds after which a task is given up, and the thread with it. */
export const SECONDS: Record<TaskName, number> = { summary: 30, open: 30, sheet: 180, ifc: 60, loads: 20, cover: 30, warm: 30 };
