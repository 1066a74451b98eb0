import type { Looking } from '@/core/view/surveyed';
import type { Hands, JobState, ViewActions } from '../state';

/** What is looked at now. */
export const lookingOf = ({ cursor, look, station: about, line, walk }: JobState): Looking => ({ cursor, look, about, line, walk });

export const sameLook = (a: Looking, b: Looking): boolean =>
  a.cursor === b.cursor && a.look === b.look && a.about === b.about && a.line === b.line && a.walk?.pick === b.walk?.pick && a.walk?.at === b.walk?.at;

/** Whether the drawings are still those of another plan, moment or view than the one that is asked for. */
export const drawnBehind = (state: JobState): boolean =>
  state.drawn === null || state.drawn.plan !== state.history.plan || !sameLook(state.drawn, lookingOf(state));

/** What is looked at: every other look is drawn anew. `went`: somebody chose a move. */
export function viewOf({ get, set }: Hands, { redraw, went }: { redraw: () => void; went: () => void }): ViewActions {
  return {
    goTo(cursor) {
      went();
      set({ cursor: Math.max(-1, Math.min(cursor, get().history.plan.moves.length - 1)), walk: null });
      redraw();
    },
    lookAlong(look) {
      set({ look });
      redraw();
    },
    walkTo(walk) {
      if (walk === null && get().walk === null) return;
      set({ walk });
      redraw();
    },
    openStation(station) {
      if (get().station === station) return;
      set({ station, walk: null });
      redraw();
    },
    choose: (chosen) => set({ chosen }),
    chooseLine(line) {
      if (get().line === line) return;
      set({ line });
      redraw();
    },
    chooseWay: (way) => set({ way }),
    showList: (listed) => set({ listed }),
    keepHalfTyped: (key, value) => set((state) => ({ halfTyped: { ...state.halfTyped, [key]: value } })),
  };
}
