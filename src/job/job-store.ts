'use client';
import { createStore } from 'zustand/vanilla';
import { startHistory, type History } from '@/core/edit/history';
import { unsurveyed } from '@/core/view/surveyed';
import { answersOf } from './answers/answers';
import { editsOf } from './editing/edits';
import { readingOf, type Editing } from './editing/reading';
import { savesOf } from './saving/saves';
import type { FirstState, Hands, JobActions, JobState } from './state';
import { viewOf } from './view/looking';

export type JobStore = ReturnType<typeof createJobStore>;

const firstState = (first: FirstState, editable: boolean): JobState => ({
  id: first.id,
  history: startHistory(first.plan),
  revision: first.revision,
  saving: { state: 'saved' },
  survey: first.survey ?? unsurveyed(first.plan),
  drawn: first.survey === null ? null : { plan: first.plan, cursor: first.cursor, look: 'beam', about: first.station, line: null },
  reckoning: first.survey === null,
  editable,
  cursor: first.cursor,
  look: 'beam',
  station: first.station,
  chosen: null,
  line: null,
  way: null,
  listed: null,
  walk: null,
  offer: null,
  halfTyped: {},
});

/** The open job: how its plan is edited, where it is saved, what the worker makes of it, and what is looked at. */
function partsOf(hands: Hands, first: FirstState, editing: Editing | null) {
  const { get, set } = hands;
  const reading = readingOf(editing);
  const answers = answersOf(hands, first);
  const changed = (history: History): void => {
    const other = history.plan !== get().history.plan;
    set({ history });
    if (!other) return;
    answers.resurvey(history.plan);
    saves.edited();
  };
  const saves = savesOf(hands, { id: first.id, reading, resurvey: answers.resurvey, changed });
  const edits = editsOf(hands, reading, changed);
  const actions: JobActions = { ...edits, ...viewOf(hands, answers), ...saves.actions, ...answers.actions };
  /** Start what only a browser has: the worker, the draft of a reload, the last save of a closing page. */
  const start = (): (() => void) => {
    const stopAnswers = answers.start();
    if (!get().editable) reading.whenRead(() => set({ editable: true }));
    // The first check of a plan compiles its schema: better now than under the first keystroke.
    const { plan } = get().history;
    const warm = setTimeout(() => reading.whenRead((by) => void by.openPlan(plan)), 300);
    const stopSaves = saves.start();
    return () => {
      stopSaves();
      clearTimeout(warm);
      stopAnswers();
    };
  };
  return { actions, start };
}

/**
 * The state of one open job: the plan with its history, what the worker made of it, and where saving stands.
 * @param editing what edits are made with, where it is read already
 */
export function createJobStore(first: FirstState, editing: Editing | null = null) {
  let start: (() => () => void) | null = null;
  const store = createStore<JobState & JobActions>()((set, get) => {
    const parts = partsOf({ set, get }, first, editing);
    ({ start } = parts);
    return { ...firstState(first, editing !== null), ...parts.actions };
  });
  // createStore has made the parts by now.
  return { ...store, start: () => start!() };
}
