'use client';
import { nextLook } from '@/core/view/looks';
import { useEffect } from 'react';
import { useJobStore } from '@/job/job-context';
import { walk } from './station-words';

export type OpenDialog = 'rules' | 'keys' | 'palette' | 'revisions' | null;

/** Every single-key shortcut, as the keys sheet lists them. */
export const keyList: readonly { keys: string; does: string }[] = [
  { keys: '← →', does: 'step to the move before or after' },
  { keys: 'Home, End', does: 'before the first move, the last move' },
  { keys: '1 2 5 6 7', does: 'open a station by its number' },
  { keys: 'U', does: 'US customary or metric' },
  { keys: 'R', does: 'rules and thresholds' },
  { keys: 'E', does: 'turn the elevation' },
  { keys: 'Ctrl Z, Ctrl Shift Z', does: 'undo, redo' },
  { keys: 'Ctrl K', does: 'find a command' },
  { keys: '?', does: 'this sheet' },
  { keys: 'Arrows on a drawing', does: 'nudge what is chosen; with Shift ten times as far' },
  { keys: 'Alt while dragging', does: 'no snapping' },
  { keys: 'Space on a move', does: 'pick it up, arrows shift it, space puts it down' },
];

const typing = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  target.closest('input, textarea, select, [contenteditable="true"], [role="dialog"], [role="listbox"], [role="menu"]') !== null;

export function useKeys(setDialog: (dialog: OpenDialog) => void): void {
  const store = useJobStore();
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const state = store.getState();
      const command = event.ctrlKey || event.metaKey;
      const key = event.key.toLowerCase();
      if (command && key === 'k') {
        event.preventDefault();
        return setDialog('palette');
      }
      if (command && (key === 'z' || key === 'y')) {
        event.preventDefault();
        if (document.activeElement instanceof HTMLInputElement) document.activeElement.blur();
        return key === 'y' || event.shiftKey ? store.getState().redo() : store.getState().undo();
      }
      if (command || event.altKey || event.defaultPrevented || typing(event.target)) return;
      const last = state.history.plan.moves.length - 1;
      const station = walk[Number(event.key) - 1];
      if (event.key === 'ArrowRight') state.goTo(state.cursor + 1);
      else if (event.key === 'ArrowLeft') state.goTo(state.cursor - 1);
      else if (event.key === 'Home') state.goTo(-1);
      else if (event.key === 'End') state.goTo(last);
      else if (event.key === '?') setDialog('keys');
      else if (key === 'r') {
        // The first field of the sheet has the keys by the time the letter is typed.
        event.preventDefault();
        setDialog('rules');
      } else if (key === 'e') state.lookAlong(nextLook(state.history.plan, state.look));
      else if (key === 'u') state.act({ name: 'editJob', args: { changes: { units: state.history.plan.job.units === 'us' ? 'metric' : 'us' } } });
      else if (station) state.openStation(station.id);
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [store, setDialog]);
}
