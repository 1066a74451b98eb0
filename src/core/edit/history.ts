import type { Patch } from 'immer';
import type { Command } from './table';
import type { Plan } from '../document/schema';

/** Steps kept for undo. */
export const HISTORY_LIMIT = 500;

export interface Done {
  command: Command;
  inverse: Patch[];
  /** edits of one field in one go share a key and undo together */
  group: string | null;
}

/** The plan with the way back and forward. A value: every change gives a new one. */
export interface History {
  plan: Plan;
  past: readonly Done[];
  future: readonly Command[][];
}

export const startHistory = (plan: Plan): History => ({ plan, past: [], future: [] });

/** Close the running group: the next edit of the same field is a step of its own. */
export function seal(history: History): History {
  const last = history.past[history.past.length - 1];
  if (!last || last.group === null) return history;
  const sealed = `${last.group}#${history.past.length}`;
  const past = history.past.map((done) => (done.group === last.group ? { ...done, group: sealed } : done));
  return { ...history, past };
}
