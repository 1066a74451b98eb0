'use client';
import { wrap, type Remote } from 'comlink';
import { createStore } from 'zustand/vanilla';
import type { Fault } from '@/core/calc/schema';
import type { Ref } from '@/core/drawing/draw-list';
import type { Look } from '@/core/drawing/elevation-scene';
import { canonicalJson } from '@/core/plan/canonical';
import type { StationId } from '@/core/plan/check';
import type { Command } from '@/core/plan/commands/table';
import { perform, redo, seal, startHistory, undo, type History } from '@/core/plan/history';
import { dayOf } from '@/core/plan/day';
import { openPlan } from '@/core/plan/open';
import type { Plan } from '@/core/plan/schema';
import type { Survey } from '@/core/plan/survey';
import type { SurveyWorker } from '@/workers/survey.worker';

export type Saving =
  | { state: 'saved' }
  | { state: 'unsaved' }
  | { state: 'saving' }
  | { state: 'offline'; why: string }
  /** someone else saved meanwhile; nothing is overwritten until the person chooses */
  | { state: 'conflict'; theirs: Plan; theirRevision: number };

export interface JobState {
  id: string;
  history: History;
  /** revision the plan on screen was built on */
  revision: number;
  saving: Saving;
  survey: Survey;
  cursor: number;
  look: Look;
  station: StationId;
  chosen: Ref | null;
  /** the piece list in place of the drawing at Steel; null: as the job asks for */
  listed: boolean | null;
}

export interface JobActions {
  act(command: Command, group?: string): Fault[] | null;
  done(): void;
  undo(): void;
  redo(): void;
  goTo(cursor: number): void;
  lookAlong(look: Look): void;
  openStation(station: StationId): void;
  choose(ref: Ref | null): void;
  showList(listed: boolean): void;
  takeTheirs(): void;
  keepMine(): void;
  saveNow(): Promise<void>;
  /** ask the worker about the plan on screen again */
  resurvey(): void;
}

export type JobStore = ReturnType<typeof createJobStore>;

const SAVE_AFTER_MS = 400;
const RETRY_MS = 3000;
const nextFrame = () => new Promise<void>((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
const draftKey = (id: string) => `keen-trestle/draft/${id}`;

export interface FirstState {
  id: string;
  revision: number;
  plan: Plan;
  survey: Survey;
  cursor: number;
  station: StationId;
}

/** The state of one open job: the plan with its history, what the worker made of it, and where saving stands. */
export function createJobStore(first: FirstState) {
  let worker: Remote<SurveyWorker> | null = null;
  let surveyed = 0;
  let timer: ReturnType<typeof setTimeout> | null = null;
  /** what this tab has sent, so that its own saves are not taken for somebody else's */
  const sent = new Set<string>();
  let flying: Promise<void> | null = null;

  const store = createStore<JobState & JobActions>()((set, get) => {
    /** Ask the worker; an answer overtaken by a newer question is dropped. */
    const resurvey = async (plan: Plan) => {
      const ticket = (surveyed += 1);
      if (!worker) return;
      const evaluation = await worker.check(plan, dayOf(new Date()));
      if (ticket !== surveyed) return;
      set((state) => ({ survey: { ...state.survey, evaluation } }));
      // The verdict is on screen before the drawings are asked for: they cost more to paint and hurt nobody by coming a frame later.
      await nextFrame();
      const drawn = ticket === surveyed ? await worker?.scenes({ cursor: get().cursor, look: get().look, about: get().station }) : null;
      if (drawn && ticket === surveyed) set((state) => ({ survey: { ...state.survey, ...drawn } }));
    };
    const redraw = async () => {
      const ticket = surveyed;
      const { cursor, look, station: about } = get();
      const scenes = await worker?.scenes({ cursor, look, about });
      if (scenes && ticket === surveyed && get().cursor === cursor && get().look === look && get().station === about)
        set((state) => ({ survey: { ...state.survey, ...scenes } }));
    };
    const changed = (history: History) => {
      if (history.plan === get().history.plan) return set({ history });
      set({ history });
      void resurvey(history.plan);
      if (get().saving.state !== 'conflict') {
        if (get().saving.state !== 'unsaved') set({ saving: { state: 'unsaved' } });
        schedule(SAVE_AFTER_MS);
      }
    };
    const schedule = (after: number) => {
      if (timer) clearTimeout(timer);
      timer = setTimeout(() => void get().saveNow(), after);
    };
    const saved = (revision: number, plan: Plan) => {
      const current = get().history.plan === plan;
      set({ revision, saving: { state: current ? 'saved' : 'unsaved' } });
      if (!current) schedule(SAVE_AFTER_MS);
    };

    const send = async () => {
      const { id, revision, history } = get();
      const { plan } = history;
      set({ saving: { state: 'saving' } });
      const text = canonicalJson(plan);
      sent.add(text);
      try {
        const response = await fetch(`/api/jobs/${id}/plan`, {
          method: 'PUT',
          headers: { 'Content-Type': 'application/json', 'If-Match': `"${revision}"` },
          body: JSON.stringify(plan),
        });
        if (response.ok) return saved(((await response.json()) as { revision: number }).revision, plan);
        if (response.status !== 412) throw new Error(((await response.json()) as { detail?: string }).detail ?? `the server answered ${response.status}`);
        const current = await fetch(`/api/jobs/${id}/plan`, { cache: 'no-store' });
        const opened = openPlan(await current.json());
        const theirRevision = Number(/\d+/.exec(current.headers.get('etag') ?? '')?.[0]);
        if (!opened.ok) throw new Error('the newer revision cannot be read');
        // Our own save, sent while the page was closing, may be what stands there.
        const standing = canonicalJson(opened.plan);
        if (standing === text) return saved(theirRevision, plan);
        if (sent.has(standing)) {
          set({ revision: theirRevision, saving: { state: 'unsaved' } });
          return schedule(0);
        }
        set({ saving: { state: 'conflict', theirs: opened.plan, theirRevision } });
      } catch (problem) {
        set({ saving: { state: 'offline', why: (problem as Error).message } });
        schedule(RETRY_MS);
      }
    };

    return {
      id: first.id,
      history: startHistory(first.plan),
      revision: first.revision,
      saving: { state: 'saved' },
      survey: first.survey,
      cursor: first.cursor,
      look: 'beam',
      station: first.station,
      chosen: null,
      listed: null,
      act(command, group) {
        const change = perform(get().history, command, group ?? null);
        if (!change.ok) return change.faults;
        changed(change.history);
        return null;
      },
      done: () => set((state) => ({ history: seal(state.history) })),
      undo: () => changed(undo(get().history)),
      redo: () => changed(redo(get().history)),
      goTo(cursor) {
        set({ cursor: Math.max(-1, Math.min(cursor, get().history.plan.moves.length - 1)) });
        void redraw();
      },
      lookAlong(look) {
        set({ look });
        void redraw();
      },
      resurvey: () => void resurvey(get().history.plan),
      openStation(station) {
        if (get().station === station) return;
        set({ station });
        void redraw();
      },
      choose: (chosen) => set({ chosen }),
      showList: (listed) => set({ listed }),
      takeTheirs() {
        const { saving } = get();
        if (saving.state !== 'conflict') return;
        set({ history: startHistory(saving.theirs), revision: saving.theirRevision, saving: { state: 'saved' } });
        void resurvey(saving.theirs);
      },
      keepMine() {
        const { saving } = get();
        if (saving.state !== 'conflict') return;
        set({ revision: saving.theirRevision, saving: { state: 'unsaved' } });
        void get().saveNow();
      },
      async saveNow() {
        // One save at a time: the next starts from the revision this one makes.
        while (flying) await flying;
        const { state } = get().saving;
        if (state === 'conflict' || state === 'saved') return;
        flying = send().finally(() => (flying = null));
        await flying;
      },
    };
  });

  /** Start what only a browser has: the worker, the draft of a reload, the last save of a closing page. */
  const start = () => {
    const thread = new Worker(new URL('../workers/survey.worker.ts', import.meta.url), { type: 'module' });
    worker = wrap<SurveyWorker>(thread);
    const { getState, setState } = store;
    const { history } = getState();
    void worker.check(history.plan, dayOf(new Date()));
    // The first check of a plan compiles its schema: better now than under the first keystroke.
    const warm = setTimeout(() => openPlan(history.plan), 300);
    const draft = sessionStorage.getItem(draftKey(first.id));
    sessionStorage.removeItem(draftKey(first.id));
    if (draft) {
      try {
        const { revision, plan, sent: before } = JSON.parse(draft) as { revision: number; plan: unknown; sent: string[] };
        for (const text of before) sent.add(text);
        const opened = openPlan(plan);
        if (opened.ok && canonicalJson(opened.plan) !== canonicalJson(history.plan)) {
          setState({ history: startHistory(opened.plan), revision, saving: { state: 'unsaved' } });
          getState().resurvey();
          void getState().saveNow();
        }
      } catch {
        // A draft that cannot be read is nobody's work: the saved revision stands.
      }
    }
    const leave = () => {
      const { saving, id, revision, history: now } = getState();
      if (saving.state === 'saved') return;
      // The tab's own memory survives a reload even when the last save does not arrive.
      sessionStorage.setItem(draftKey(id), JSON.stringify({ revision, plan: now.plan, sent: [...sent].slice(-3) }));
      if (saving.state === 'conflict') return;
      void fetch(`/api/jobs/${id}/plan`, {
        method: 'PUT',
        keepalive: true,
        headers: { 'Content-Type': 'application/json', 'If-Match': `"${revision}"` },
        body: JSON.stringify(now.plan),
      });
    };
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      clearTimeout(warm);
      thread.terminate();
      worker = null;
    };
  };
  return { ...store, start };
}
