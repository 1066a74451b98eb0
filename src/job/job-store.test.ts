import { jest } from '@jest/globals';
import { expose } from 'comlink';
import { demoPlan, ticketHall } from '../../tests/demo-plan';
import { changesOf, type Answer as Told } from '@/core/evaluate/answers';
import type { Evaluation } from '@/core/evaluate';
import type { Plan } from '@/core/document/schema';
import { surveyPlan } from '@/core/view/survey';
import * as editing from './editing/editing';
import { createJobStore, type JobStore } from './job-store';
import { drawnBehind } from './view/looking';

interface Sent {
  method: string;
  match: string;
  plan: Plan;
  keepalive: boolean;
}
type Answer = { status: number; body: unknown; etag?: string } | Error;

const survey = surveyPlan(demoPlan(), null, -1, 'beam');
const held = new Map<string, string>();
const kept = new Map<string, string>();
const closing = new Set<(event?: unknown) => void>();
const asking = new Set<(event?: unknown) => void>();
let sent: Sent[] = [];
/** what the server answers to each call; with none left it takes the plan as the next revision */
let answers: ((call: Sent) => Answer | Promise<Answer>)[] = [];
const taken = (): Answer => ({ status: 200, body: { revision: (revision += 1) } });
let revision = 1;

const opened = (plan: Plan = demoPlan()) => createJobStore({ id: 'j1', revision: 1, plan, survey, cursor: -1, station: 'steel' }, editing);
const rename = (store: JobStore, name: string) => store.getState().act({ name: 'editJob', args: { changes: { name } } } as never);
const pass = (ms: number) => jest.advanceTimersByTimeAsync(ms);
const saving = (store: JobStore) => store.getState().saving;
const stale = (plan: Plan, at: number) => {
  answers.push(
    () => ({ status: 412, body: {} }),
    () => ({ status: 200, body: plan, etag: `"${at}"` }),
  );
};

beforeEach(() => {
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'nextTick', 'queueMicrotask'] });
  sent = [];
  answers = [];
  revision = 1;
  held.clear();
  kept.clear();
  closing.clear();
  asking.clear();
  Object.assign(globalThis, {
    fetch: async (_: string, init: { method?: string; headers?: Record<string, string>; body?: string; keepalive?: boolean } = {}) => {
      const call: Sent = {
        method: init.method ?? 'GET',
        match: init.headers?.['If-Match'] ?? '',
        plan: init.body ? (JSON.parse(init.body) as Plan) : demoPlan(),
        keepalive: init.keepalive ?? false,
      };
      sent.push(call);
      const answer = await (answers.shift() ?? taken)(call);
      if (answer instanceof Error) throw answer;
      const { status, body, etag } = answer;
      return { ok: status < 300, status, json: async () => body, headers: { get: () => etag ?? null } };
    },
    localStorage: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
      removeItem: (key: string) => kept.delete(key),
    },
    sessionStorage: {
      getItem: (key: string) => held.get(key) ?? null,
      setItem: (key: string, value: string) => held.set(key, value),
      removeItem: (key: string) => held.delete(key),
    },
    window: {
      addEventListener: (name: string, listener: (event?: unknown) => void) => (name === 'pagehide' ? closing : asking).add(listener),
      removeEventListener: (name: string, listener: (event?: unknown) => void) => (name === 'pagehide' ? closing : asking).delete(listener),
    },
    requestAnimationFrame: (then: () => void) => setTimeout(then, 16),
  });
});
afterEach(() => jest.useRealTimers());

describe('saving', () => {
  test('an edit is sent a moment later, with the revision it was built on', async () => {
    const store = opened();
    expect(rename(store, 'North hall')).toBeNull();
    expect(saving(store)).toEqual({ state: 'unsaved' });
    await pass(399);
    expect(sent).toEqual([]);
    await pass(2);
    expect(sent).toMatchObject([{ method: 'PUT', match: '"1"', plan: { job: { name: 'North hall' } } }]);
    expect(saving(store)).toEqual({ state: 'saved' });
    expect(store.getState().revision).toBe(2);
  });
  test('edits that follow closely are sent together, an edit that changes nothing not at all', async () => {
    const store = opened();
    for (const name of ['A', 'B', 'C']) {
      rename(store, name);
      await pass(200);
    }
    await pass(1000);
    expect(sent.map((one) => one.plan.job.name)).toEqual(['C']);
    rename(store, 'C');
    await pass(5000);
    expect(sent).toHaveLength(1);
  });
  test('what is refused says why and sends nothing', async () => {
    const store = opened();
    const faults = store.getState().act({ name: 'editPiece', args: { id: store.getState().history.plan.pieces[0]!.id, changes: { length: -3 } } } as never);
    expect(faults?.[0]?.error).toMatch(/give more than 0 m/);
    await pass(2000);
    expect([sent.length, saving(store).state]).toEqual([0, 'saved']);
  });
  test('an edit made while one save is on its way goes with the next, from the revision that made', async () => {
    const store = opened();
    let land = (_: Answer) => undefined as void;
    answers.push(() => new Promise<Answer>((resolve) => (land = resolve)));
    rename(store, 'first');
    await pass(500);
    rename(store, 'second');
    await pass(5000);
    expect(sent).toHaveLength(1);
    land(taken());
    await pass(1000);
    expect(sent.map((one) => [one.match, one.plan.job.name])).toEqual([
      ['"1"', 'first'],
      ['"2"', 'second'],
    ]);
    expect(saving(store)).toEqual({ state: 'saved' });
  });
  test('without a server it says so, and tries again until it is back', async () => {
    const store = opened();
    answers.push(
      () => new Error('no route to host'),
      () => ({ status: 507, body: { detail: 'the disk is full' } }),
    );
    rename(store, 'kept');
    await pass(500);
    expect(saving(store)).toEqual({ state: 'offline', why: 'no route to host' });
    await pass(3000);
    expect(saving(store)).toEqual({ state: 'offline', why: 'the disk is full' });
    await pass(3000);
    expect(saving(store)).toEqual({ state: 'saved' });
    expect(sent.map((one) => one.plan.job.name)).toEqual(['kept', 'kept', 'kept']);
  });
  test('an undo is an edit like another: it is saved, and so is the redo', async () => {
    const store = opened();
    const before = store.getState().history.plan.job.name;
    rename(store, 'other');
    await pass(500);
    store.getState().undo();
    await pass(500);
    store.getState().redo();
    await pass(500);
    expect(sent.map((one) => one.plan.job.name)).toEqual(['other', before, 'other']);
    expect(sent.map((one) => one.match)).toEqual(['"1"', '"2"', '"3"']);
  });
});

describe('when somebody else saved meanwhile', () => {
  const meanwhile = async () => {
    const store = opened();
    const theirs = demoPlan();
    theirs.job.name = 'theirs';
    stale(theirs, 7);
    rename(store, 'mine');
    await pass(500);
    return store;
  };
  test('nothing is overwritten until the person chooses, not even by more edits', async () => {
    const store = await meanwhile();
    expect(saving(store)).toMatchObject({ state: 'conflict', theirRevision: 7, theirs: { job: { name: 'theirs' } } });
    rename(store, 'mine still');
    await pass(10_000);
    expect(sent.filter((one) => one.method === 'PUT')).toHaveLength(1);
  });
  test('theirs taken: the plan is theirs, with nothing to undo', async () => {
    const store = await meanwhile();
    store.getState().takeTheirs();
    expect(store.getState().history.plan.job.name).toBe('theirs');
    store.getState().undo();
    expect(store.getState().history.plan.job.name).toBe('theirs');
    expect([store.getState().revision, saving(store).state]).toEqual([7, 'saved']);
  });
  test('mine kept: it goes over theirs, knowingly', async () => {
    const store = await meanwhile();
    revision = 7;
    store.getState().keepMine();
    await pass(500);
    expect(sent[sent.length - 1]).toMatchObject({ method: 'PUT', match: '"7"', plan: { job: { name: 'mine' } } });
    expect([store.getState().revision, saving(store).state]).toEqual([8, 'saved']);
  });
  test('choosing without a conflict does nothing', async () => {
    const store = opened();
    store.getState().takeTheirs();
    store.getState().keepMine();
    await pass(1000);
    expect(sent).toEqual([]);
  });
  test('our own save that came through after all is no conflict', async () => {
    const store = opened();
    const ours = demoPlan();
    ours.job.name = 'mine';
    stale(ours, 2);
    rename(store, 'mine');
    await pass(500);
    expect([store.getState().revision, saving(store).state]).toEqual([2, 'saved']);
  });
  test('an earlier save of this tab is gone over, from its revision', async () => {
    const store = opened();
    answers.push(() => new Error('cut off'));
    rename(store, 'first');
    await pass(500);
    const first = demoPlan();
    first.job.name = 'first';
    stale(first, 2);
    revision = 2;
    rename(store, 'second');
    await pass(5000);
    expect(sent[sent.length - 1]).toMatchObject({ match: '"2"', plan: { job: { name: 'second' } } });
    expect(saving(store)).toEqual({ state: 'saved' });
  });
  test('a newer revision that cannot be read is told, not lost', async () => {
    const store = opened();
    stale({ format: 'something else' } as never, 3);
    rename(store, 'mine');
    await pass(500);
    expect(saving(store)).toEqual({ state: 'offline', why: 'the newer revision cannot be read' });
    expect(store.getState().history.plan.job.name).toBe('mine');
  });
});

test('the moment stays within the moves there are', () => {
  const store = opened();
  const last = store.getState().history.plan.moves.length - 1;
  store.getState().goTo(999);
  expect(store.getState().cursor).toBe(last);
  store.getState().goTo(-7);
  expect(store.getState().cursor).toBe(-1);
});

describe('in a browser', () => {
  /** A worker in this thread, whose answers come when the test lets them. */
  const withWorker = () => {
    const asked: { plan: Plan; answer: (answer: Told) => void }[] = [];
    const drawn: unknown[] = [];
    let ended = 0;
    Object.assign(globalThis, {
      Worker: class {
        constructor() {
          const { port1, port2 } = new MessageChannel();
          const api = {
            check: (plan: Plan) => new Promise<Told>((answer) => asked.push({ plan, answer })),
            scenes: (looking: unknown) => (drawn.push(looking), { above: survey.above, side: survey.side }),
          };
          expose(api, port2 as never);
          return Object.assign(port1, {
            terminate: () => {
              ended += 1;
              port1.close();
            },
          });
        }
      },
    });
    return { asked, drawn, ended: () => ended };
  };
  const settle = async () => {
    for (let i = 0; i < 12; i += 1) {
      await new Promise((resolve) => setImmediate(resolve));
      await pass(20);
    }
  };
  const answerOf = (...words: string[]) => ({ ...survey.evaluation, checks: words.map((subject) => ({ ...survey.evaluation.checks[0]!, subject })) });

  test('of an answer that tells only what is another the rest is as it was, also where two questions were on their way', async () => {
    const worker = withWorker();
    const store = opened();
    const stop = store.start();
    await settle();
    rename(store, 'one');
    await settle();
    expect(worker.asked).toHaveLength(2);
    const { checks } = survey.evaluation;
    const next: Evaluation = { ...survey.evaluation, checks: [...checks.slice(1), { ...checks[0]!, subject: 'last' }] };
    worker.asked[0]!.answer(changesOf(null, survey.evaluation));
    worker.asked[1]!.answer(changesOf(survey.evaluation, next));
    await settle();
    expect(store.getState().survey.evaluation).toEqual(next);
    stop();
  });

  test('one plan is worked out at a time, and of those asked for meanwhile only the newest; the drawings come after the verdict', async () => {
    const worker = withWorker();
    const store = opened();
    const stop = store.start();
    await settle();
    expect(worker.asked).toHaveLength(1);
    for (const name of ['one', 'two', 'three', 'four', 'five']) rename(store, name);
    await settle();
    expect(worker.asked.map((one) => one.plan.job.name).slice(1)).toEqual(['one']);
    worker.asked[1]!.answer(answerOf('one'));
    await settle();
    expect(worker.asked.map((one) => one.plan.job.name).slice(1)).toEqual(['one', 'five']);
    // The answer of an older question was not shown.
    expect(store.getState().survey).toBe(survey);
    worker.asked[2]!.answer(answerOf('five'));
    await settle();
    expect(store.getState().survey.evaluation.checks.map((one) => one.subject)).toEqual(['five']);
    expect(worker.drawn).toEqual([{ cursor: -1, look: 'beam', about: 'steel', line: null, walk: null }]);
    expect(drawnBehind(store.getState())).toBe(false);
    store.getState().openStation('shores');
    expect(drawnBehind(store.getState())).toBe(true);
    store.getState().lookAlong('across');
    store.getState().openStation('shores');
    await settle();
    expect(worker.drawn.slice(1)).toEqual([
      { cursor: -1, look: 'beam', about: 'shores', line: null, walk: null },
      { cursor: -1, look: 'across', about: 'shores', line: null, walk: null },
    ]);
    expect(drawnBehind(store.getState())).toBe(false);
    // A lift on its way is drawn at each place it is put; at another move, or at another station, nothing is on its way.
    store.getState().walkTo({ pick: 'k1', at: 0.5 });
    expect(drawnBehind(store.getState())).toBe(true);
    await settle();
    expect(drawnBehind(store.getState())).toBe(false);
    store.getState().walkTo({ pick: 'k1', at: 0.6 });
    expect(drawnBehind(store.getState())).toBe(true);
    await settle();
    expect(worker.drawn.at(-1)).toMatchObject({ walk: { pick: 'k1', at: 0.6 } });
    store.getState().openStation('picks');
    expect(store.getState().walk).toBeNull();
    store.getState().walkTo({ pick: 'k1', at: 0.6 });
    store.getState().goTo(1);
    expect(store.getState().walk).toBeNull();
    await settle();
    expect(worker.drawn.at(-1)).toMatchObject({ walk: null });
    rename(store, 'six');
    store.getState().goTo(3);
    await settle();
    // The moment is drawn, of the plan as it was before: it is told to be behind until the plan is worked out.
    expect(drawnBehind(store.getState())).toBe(true);
    worker.asked[3]!.answer(answerOf('six'));
    await settle();
    expect(drawnBehind(store.getState())).toBe(false);
    stop();
    expect([worker.ended(), closing.size]).toEqual([1, 0]);
  });

  test('the page opens at the move of the first verdict, unless somebody went to another meanwhile', async () => {
    for (const [goes, to] of [
      [null, 6],
      [9, 9],
    ] as const) {
      const worker = withWorker();
      const store = createJobStore({ id: 'j1', revision: 1, plan: demoPlan(), survey: null, cursor: -1, station: 'steel' }, editing);
      const stop = store.start();
      await settle();
      expect(store.getState().reckoning).toBe(true);
      if (goes !== null) store.getState().goTo(goes);
      worker.asked[0]!.answer(survey.evaluation);
      await settle();
      expect([store.getState().reckoning, store.getState().cursor]).toEqual([false, to]);
      stop();
    }
  });

  test('a page closed before it was saved leaves a draft and one last save; one that was saved leaves nothing', async () => {
    withWorker();
    const store = opened();
    const stop = store.start();
    for (const leave of closing) leave();
    expect([sent.length, held.size]).toEqual([0, 0]);
    rename(store, 'in a hurry');
    // What stood unsaved as the next page was asked for is kept, though it is saved before that page is there; nothing older is.
    for (const going of asking) going({ preventDefault: () => undefined });
    expect(held.get('keen-trestle/draft/j1')).toContain('in a hurry');
    held.clear();
    // A full memory stops nobody from being warned.
    Object.assign(sessionStorage, {
      setItem: () => {
        throw new Error('full');
      },
    });
    expect(() => [...asking].forEach((going) => going({ preventDefault: () => undefined }))).not.toThrow();
    Object.assign(sessionStorage, { setItem: (key: string, value: string) => held.set(key, value) });
    for (const leave of closing) leave();
    expect(sent).toMatchObject([{ keepalive: true, match: '"1"', plan: { job: { name: 'in a hurry' } } }]);
    expect(held.get('keen-trestle/draft/j1')).toContain('in a hurry');
    stop();
  });

  test('the draft of a reload is taken up once and saved; one that cannot be read is nobody’s', async () => {
    withWorker();
    const draft = ticketHall();
    held.set('keen-trestle/draft/j1', JSON.stringify({ revision: 1, plan: draft, sent: [] }));
    const store = opened();
    const stop = store.start();
    await settle();
    expect(store.getState().history.plan.job.name).toBe(draft.job.name);
    expect(sent).toMatchObject([{ method: 'PUT', match: '"1"', plan: { job: { name: draft.job.name } } }]);
    expect(held.size).toBe(0);
    stop();
    for (const bad of ['{', 'null', JSON.stringify({ revision: 1, plan: { format: 'x' }, sent: [] })]) {
      held.set('keen-trestle/draft/j1', bad);
      const other = opened();
      const end = other.start();
      await settle();
      expect(saving(other)).toEqual({ state: 'saved' });
      end();
    }
  });

  test('a tab closed without a server leaves its edit in durable storage: offered on return, taken up or thrown away', async () => {
    withWorker();
    const store = opened();
    const stop = store.start();
    answers = Array.from({ length: 20 }, () => () => new Error('no server'));
    rename(store, 'unsaved work');
    await pass(600);
    expect(saving(store).state).toBe('offline');
    let asked = 0;
    for (const ask of asking) ask({ preventDefault: () => (asked += 1) });
    expect(asked).toBe(1);
    for (const leave of closing) leave();
    stop();
    answers = [];
    held.clear();
    // Another tab, another day.
    const back = opened();
    const end = back.start();
    await settle();
    expect(back.getState().offer?.plan.job.name).toBe('unsaved work');
    expect(back.getState().history.plan.job.name).toBe(demoPlan().job.name);
    back.getState().answerOffer(true);
    await pass(600);
    expect(back.getState().history.plan.job.name).toBe('unsaved work');
    expect(saving(back)).toEqual({ state: 'saved' });
    expect(kept.size).toBe(0);
    back.getState().undo();
    expect(back.getState().history.plan.job.name).toBe(demoPlan().job.name);
    end();
  });
  test('an offer thrown away is gone, and one that is what is saved is not made', async () => {
    withWorker();
    const draft = (plan: Plan) => JSON.stringify({ revision: 1, plan, sent: [], at: '2026-11-26T10:00:00Z' });
    kept.set('keen-trestle/draft/j1', draft(ticketHall()));
    const store = opened();
    const stop = store.start();
    await settle();
    store.getState().answerOffer(false);
    expect([store.getState().offer, kept.size]).toEqual([null, 0]);
    expect(store.getState().history.plan.job.name).toBe(demoPlan().job.name);
    stop();
    kept.set('keen-trestle/draft/j1', draft(demoPlan()));
    const other = opened();
    const end = other.start();
    await settle();
    expect([other.getState().offer, kept.size]).toEqual([null, 0]);
    end();
  });
  test('a record begun is kept while one looks at other moves', () => {
    const store = opened();
    store.getState().keepHalfTyped('hold HP6', { by: 'T. Va' });
    store.getState().goTo(3);
    store.getState().openStation('shores');
    expect(store.getState().halfTyped['hold HP6']).toEqual({ by: 'T. Va' });
  });
});
