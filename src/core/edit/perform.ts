import type { Fault } from '../calc/schema';
import { applyCommand, takeBack } from './apply';
import type { Command } from './table';
import { HISTORY_LIMIT, type History } from './history';

export type Change = { ok: true; history: History } | { ok: false; faults: Fault[] };

export function perform(history: History, command: Command, group: string | null = null): Change {
  const result = applyCommand(history.plan, command);
  if (!result.ok) return result;
  if (result.inverse.length === 0) return { ok: true, history };
  const past = [...history.past, { command, inverse: result.inverse, group }].slice(-HISTORY_LIMIT);
  return { ok: true, history: { plan: result.plan, past, future: [] } };
}

export function undo(history: History): History {
  const past = [...history.past];
  const last = past[past.length - 1];
  if (!last) return history;
  let { plan } = history;
  const undone: Command[] = [];
  while (past.length > 0) {
    const done = past[past.length - 1]!;
    if (undone.length > 0 && (last.group === null || done.group !== last.group)) break;
    past.pop();
    plan = takeBack(plan, done.inverse);
    undone.unshift(done.command);
  }
  return { plan, past, future: [undone, ...history.future] };
}

export function redo(history: History): History {
  const [next, ...future] = history.future;
  if (!next) return history;
  const group = next.length > 1 ? `redo#${history.past.length}` : null;
  let current: History = { ...history, future: [] };
  for (const command of next) {
    const change = perform(current, command, group);
    if (!change.ok) return history;
    current = change.history;
  }
  return { ...current, future };
}
