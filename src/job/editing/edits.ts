import { seal, type History } from '@/core/edit/history';
import type { EditingActions, Hands } from '../state';
import type { Reading } from './reading';

/** Edits of the open plan; `changed` is told of every other plan that comes of one. */
export function editsOf({ get, set }: Hands, reading: Reading, changed: (history: History) => void): EditingActions {
  return {
    act(command, group) {
      const change = reading.now()?.perform(get().history, command, group ?? null);
      if (!change) return null;
      if (!change.ok) return change.faults;
      changed(change.history);
      return null;
    },
    done: () => set((state) => ({ history: seal(state.history) })),
    undo() {
      const by = reading.now();
      if (by) changed(by.undo(get().history));
    },
    redo() {
      const by = reading.now();
      if (by) changed(by.redo(get().history));
    },
  };
}
