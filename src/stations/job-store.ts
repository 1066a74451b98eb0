'use client';
import { wrap, type Remote } from 'comlink';
import { createStore } from 'zustand/vanilla';
import type { Fault } from '@/core/calc/schema';
import type { Ref } from '@/core/view/draw-list';
import { keptShapes } from '@/core/view/kept-shapes';
import type { Look } from '@/core/view/elevation-scene';
import { answerOf } from '@/core/evaluate/answers';
import { canonicalJson } from '@/core/document/canonical';
import type { Command } from '@/core/edit/table';
import { seal, startHistory, type History } from '@/core/edit/history';
import { dayOf } from '@/core/document/day';
import type { Evaluation } from '@/core/evaluate';
import type { Plan } from '@/core/document/schema';
import { keyOf, type Check, type StationId } from '@/core/verdict/check';
import type { Fix } from '@/core/edit/fixes';
import type { Stand } from '@/core/checks/structure/worst';
import type { Walk } from '@/core/settle/walk-way';
import { openingMove, unsurveyed, type Looking, type Scenes, type Survey } from '@/core/view/surveyed';
import type { SurveyWorker } from '@/workers/survey.worker';
import { again } from '@/ui/again';
import type * as EditingModule from './editing';

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
  /** of what the drawings are: which plan, which moment of it, seen how; null: of nothing yet */
  drawn: (Looking & { plan: Plan }) | null;
  /** nothing of this plan has been worked out yet */
  reckoning: boolean;
  /** what edits are made with is here: until then the page is a picture, and a press on it does nothing */
  editable: boolean;
  cursor: number;
  look: Look;
  station: StationId;
  chosen: Ref | null;
  /** the shored line and the way in whose fields are open; null: the first */
  line: string | null;
  way: string | null;
  /** an edit of an earlier visit that never reached the server; null: none, or it was answered */
  offer: Draft | null;
  /** records begun and not yet taken, by what they are of: they outlive a change of move or station */
  halfTyped: Readonly<Record<string, unknown>>;
  /** the piece list in place of the drawing at Steel; null: as the job asks for */
  listed: boolean | null;
  /** a lift that is looked at on its way; null: as the move has it */
  walk: Walk | null;
}

export interface JobActions {
  act(command: Command, group?: string): Fault[] | null;
  done(): void;
  undo(): void;
  redo(): void;
  goTo(cursor: number): void;
  lookAlong(look: Look): void;
  walkTo(walk: Walk | null): void;
  openStation(station: StationId): void;
  choose(ref: Ref | null): void;
  chooseLine(line: string): void;
  chooseWay(way: string): void;
  showList(listed: boolean): void;
  keepHalfTyped(key: string, value: unknown): void;
  /** take up the edit of an earlier visit, or throw it away */
  answerOffer(take: boolean): void;
  takeTheirs(): void;
  keepMine(): void;
  saveNow(): Promise<void>;
  /** ask the worker about the plan on screen again */
  resurvey(): void;
  /** changes of the run sheet that settle a row, tried one by one; empty when there are none, or nobody can say */
  fixesOf(check: Check): Promise<Fix[]>;
  /** one row over the moves at which it is asked; empty where it is asked once, or nobody can say */
  overMoves(check: Check): Promise<Stand[]>;
}

export type JobStore = ReturnType<typeof createJobStore>;

const SAVE_AFTER_MS = 400;
const RETRY_MS = 3000;
const nextFrame = () => new Promise<void>((resolve) => requestAnimationFrame(() => setTimeout(resolve)));

type Editing = typeof EditingModule;

/** A plan with changes that were not saved when the page went. */
export interface Draft {
  revision: number;
  plan: Plan;
  /** what this tab had sent, newest last */
  sent: string[];
  /** when the page went, ISO */
  at: string;
}

const draftKey = (id: string) => `keen-trestle/draft/${id}`;

/** A draft that was written down; null where there is none, or none that can be read. */
function readDraft(text: string | null, { openPlan }: Editing): Draft | null {
  if (text === null) return null;
  try {
    const { revision, plan, sent, at } = JSON.parse(text) as Partial<Draft>;
    const opened = openPlan(plan);
    return opened.ok && typeof revision === 'number' ? { revision, plan: opened.plan, sent: Array.isArray(sent) ? sent : [], at: at ?? '' } : null;
  } catch {
    // A draft that cannot be read is nobody's work: the saved revision stands.
    return null;
  }
}

/** The browser's durable storage, which may be full or shut off: then the tab's own has to do. */
const durable = {
  read: (key: string): string | null => {
    try {
      return localStorage.getItem(key);
    } catch {
      return null;
    }
  },
  write: (key: string, text: string | null): void => {
    try {
      if (text === null) localStorage.removeItem(key);
      else localStorage.setItem(key, text);
    } catch {
      // Full or shut off: nothing more can be done here.
    }
  },
};

export interface FirstState {
  id: string;
  revision: number;
  plan: Plan;
  /** null: a large plan, worked out in the browser */
  survey: Survey | null;
  cursor: number;
  station: StationId;
}

/** Whether the drawings are still those of another plan, moment or view than the one that is asked for. */
export const drawnBehind = ({ drawn, history, cursor, look, station, line, walk }: JobState): boolean =>
  drawn === null || drawn.plan !== history.plan || !sameLook(drawn, { cursor, look, about: station, line, walk });

/** The drawings, with what of them is as it was. */
const keptScenes = (before: Scenes, now: Scenes): Scenes => ({
  ...now,
  above: { ...now.above, shapes: keptShapes(before.above.shapes, now.above.shapes) },
  side: { ...now.side, shapes: keptShapes(before.side.shapes, now.side.shapes) },
});

const sameLook = (a: Looking, b: Looking): boolean =>
  a.cursor === b.cursor && a.look === b.look && a.about === b.about && a.line === b.line && a.walk?.pick === b.walk?.pick && a.walk?.at === b.walk?.at;

/**
 * The state of one open job: the plan with its history, what the worker made of it, and where saving stands.
 * @param editing what edits are made with, where it is read already
 */
export function createJobStore(first: FirstState, editing: Editing | null = null) {
  let reading: Promise<Editing> | null = null;
  const read = (): Promise<Editing> => (reading ??= editing ? Promise.resolve(editing) : fetchEditing());
  const fetchEditing = async (): Promise<Editing> => (editing = await again(() => import('./editing')));
  /** Now, where it is here; else as soon as it is. */
  const whenRead = (work: (by: Editing) => void): void => (editing ? work(editing) : void read().then(work));

  let worker: Remote<SurveyWorker> | null = null;
  let surveyed = 0;
  /** somebody went to a move: the page no longer chooses one */
  let went = false;
  let checking = false;
  /** the plan of which the verdicts on screen are */
  let answered: Plan | null = first.survey === null ? null : first.plan;
  let waiting: Plan | null = null;
  let timer: ReturnType<typeof setTimeout> | null = null;
  /** what the worker said last: it says no more than what is another since then */
  let heard: Evaluation | null = null;
  const askWorker = async (of: Remote<SurveyWorker>, plan: Plan): Promise<Evaluation> => {
    const answer = await of.check(plan, dayOf(new Date()));
    // What was said last by now, not when it was asked: two questions may be on their way.
    heard = answerOf(heard, answer);
    return heard;
  };
  /** what this tab has sent, so that its own saves are not taken for somebody else's */
  const sent = new Set<string>();
  let flying: Promise<void> | null = null;

  const draftText = ({ revision, history }: Pick<JobState, 'revision' | 'history'>): string =>
    JSON.stringify({ revision, plan: history.plan, sent: [...sent].slice(-3), at: new Date().toISOString() } satisfies Draft);

  const store = createStore<JobState & JobActions>()((set, get) => {
    const looking = (): Looking => {
      const { cursor, look, station: about, line, walk } = get();
      return { cursor, look, about, line, walk };
    };
    /** Ask the worker; an answer overtaken by a newer question is dropped. */
    const resurvey = async (plan: Plan) => {
      const ticket = (surveyed += 1);
      if (!worker) return;
      // One plan is worked out at a time; of those asked for meanwhile only the newest is next.
      if (checking) {
        waiting = plan;
        return;
      }
      checking = true;
      const evaluation = await askWorker(worker, plan).finally(() => (checking = false));
      const newer = waiting;
      waiting = null;
      if (newer) return void resurvey(newer);
      if (ticket !== surveyed) return;
      answered = plan;
      // Whoever has gone to a move meanwhile stays there.
      const opening = get().reckoning && !went;
      set((state) => ({ survey: { ...state.survey, evaluation }, reckoning: false, ...(opening ? { cursor: openingMove(plan, evaluation) } : {}) }));
      // The verdict is on screen before the drawings are asked for: they cost more to paint and hurt nobody by coming a frame later.
      await nextFrame();
      const asked = looking();
      const scenes = ticket === surveyed ? await worker?.scenes(asked) : null;
      if (scenes && ticket === surveyed) set((state) => ({ survey: { ...state.survey, ...keptScenes(state.survey, scenes) }, drawn: { ...asked, plan } }));
    };
    const redraw = async () => {
      const ticket = surveyed;
      const asked = looking();
      const scenes = await worker?.scenes(asked);
      const plan = answered;
      if (scenes && plan && ticket === surveyed && sameLook(asked, looking()))
        set((state) => ({ survey: { ...state.survey, ...keptScenes(state.survey, scenes) }, drawn: { ...asked, plan } }));
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
      if (current && get().offer === null) durable.write(draftKey(first.id), null);
      set({ revision, saving: { state: current ? 'saved' : 'unsaved' } });
      if (!current) schedule(SAVE_AFTER_MS);
    };

    const keepDraft = () => {
      if (get().offer === null) durable.write(draftKey(first.id), draftText(get()));
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
        const opened = (await read()).openPlan(await current.json());
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
        keepDraft();
        schedule(RETRY_MS);
      }
    };

    return {
      id: first.id,
      history: startHistory(first.plan),
      revision: first.revision,
      saving: { state: 'saved' },
      survey: first.survey ?? unsurveyed(first.plan),
      drawn: first.survey === null ? null : { plan: first.plan, cursor: first.cursor, look: 'beam', about: first.station, line: null },
      reckoning: first.survey === null,
      editable: editing !== null,
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
      act(command, group) {
        if (!editing) return null;
        const change = editing.perform(get().history, command, group ?? null);
        if (!change.ok) return change.faults;
        changed(change.history);
        return null;
      },
      done: () => set((state) => ({ history: seal(state.history) })),
      undo: () => editing && changed(editing.undo(get().history)),
      redo: () => editing && changed(editing.redo(get().history)),
      goTo(cursor) {
        went = true;
        set({ cursor: Math.max(-1, Math.min(cursor, get().history.plan.moves.length - 1)), walk: null });
        void redraw();
      },
      lookAlong(look) {
        set({ look });
        void redraw();
      },
      walkTo(walk) {
        if (walk === null && get().walk === null) return;
        set({ walk });
        void redraw();
      },
      resurvey: () => void resurvey(get().history.plan),
      overMoves: async (check) => (worker && answered === get().history.plan ? worker.over(keyOf(check), check.move) : []),
      async fixesOf(check) {
        const { plan } = get().history;
        // Found on another plan than the one on screen they would put a move in another place.
        if (!worker || answered !== plan) return [];
        const fixes = await worker.fixes(keyOf(check), check.move, dayOf(new Date()));
        return get().history.plan === plan ? fixes : [];
      },
      openStation(station) {
        if (get().station === station) return;
        set({ station, walk: null });
        void redraw();
      },
      choose: (chosen) => set({ chosen }),
      chooseLine(line) {
        if (get().line === line) return;
        set({ line });
        void redraw();
      },
      chooseWay: (way) => set({ way }),
      showList: (listed) => set({ listed }),
      keepHalfTyped: (key, value) => set((state) => ({ halfTyped: { ...state.halfTyped, [key]: value } })),
      answerOffer(take) {
        const { offer, history } = get();
        set({ offer: null });
        durable.write(draftKey(first.id), null);
        if (!offer || !take || !editing) return;
        const change = editing.perform(history, { name: 'replacePlan', args: { plan: offer.plan } });
        if (!change.ok) return;
        // Built on an older revision it meets the newer one as any late save does: the person chooses.
        set({ revision: offer.revision });
        changed(change.history);
      },
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
    heard = null;
    const { getState, setState } = store;
    const { history } = getState();
    if (!getState().editable) whenRead(() => setState({ editable: true }));
    if (getState().reckoning) getState().resurvey();
    else void askWorker(worker, history.plan);
    // The first check of a plan compiles its schema: better now than under the first keystroke.
    const warm = setTimeout(() => whenRead((by) => void by.openPlan(history.plan)), 300);
    const differs = (draft: Draft | null): draft is Draft => draft !== null && canonicalJson(draft.plan) !== canonicalJson(history.plan);
    const [ownText, keptText] = [sessionStorage.getItem(draftKey(first.id)), durable.read(draftKey(first.id))];
    if (ownText !== null || keptText !== null)
      whenRead((by) => {
        const own = readDraft(ownText, by);
        sessionStorage.removeItem(draftKey(first.id));
        const kept = readDraft(keptText, by);
        if (differs(own)) {
          // A reload of this tab goes on where it was.
          durable.write(draftKey(first.id), null);
          for (const text of own.sent) sent.add(text);
          setState({ history: startHistory(own.plan), revision: own.revision, saving: { state: 'unsaved' } });
          getState().resurvey();
          void getState().saveNow();
        } else if (differs(kept)) setState({ offer: kept });
        else durable.write(draftKey(first.id), null);
      });
    const leave = () => {
      const { saving, id, revision, history: now } = getState();
      if (saving.state === 'saved') return;
      // The tab's own memory survives a reload, the durable one a closed tab, even when the last save does not arrive.
      const text = draftText(getState());
      sessionStorage.setItem(draftKey(id), text);
      if (getState().offer === null) durable.write(draftKey(id), text);
      if (saving.state === 'conflict') return;
      void fetch(`/api/jobs/${id}/plan`, {
        method: 'PUT',
        keepalive: true,
        headers: { 'Content-Type': 'application/json', 'If-Match': `"${revision}"` },
        body: JSON.stringify(now.plan),
        // Browsers take no more than 64 kB from a closing page: a larger plan stays in its draft.
      }).catch(() => undefined);
    };
    const ask = (event: BeforeUnloadEvent) => {
      const { state } = getState().saving;
      if (state === 'offline' || state === 'conflict') event.preventDefault();
      // The next page is asked for now. A save that comes through before it stands there is not in it: this tab's own memory has it.
      try {
        if (state === 'saved') sessionStorage.removeItem(draftKey(first.id));
        else sessionStorage.setItem(draftKey(first.id), draftText(getState()));
      } catch {
        // A tab without a memory, or with a full one, shows the page as the server gave it.
      }
    };
    window.addEventListener('pagehide', leave);
    window.addEventListener('beforeunload', ask);
    return () => {
      window.removeEventListener('pagehide', leave);
      window.removeEventListener('beforeunload', ask);
      clearTimeout(warm);
      thread.terminate();
      worker = null;
    };
  };
  return { ...store, start };
}
