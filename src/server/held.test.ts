import { execFileSync } from 'node:child_process';
import { GET as readSheet } from '@/app/api/jobs/[id]/sheets/[sheet]/route';
import { GET as readVerdict } from '@/app/api/jobs/[id]/verdict/route';
import { GET as readRevisions } from '@/app/api/jobs/[id]/revisions/route';
import { GET as readRevision } from '@/app/api/jobs/[id]/revisions/[revision]/route';
import { DELETE as takeBack, PUT as putAway } from '@/app/api/jobs/[id]/away/route';
import { POST as makeJob } from '@/app/api/jobs/route';
import { PUT as writePlan } from '@/app/api/jobs/[id]/plan/route';
import type { Plan } from '@/core/document/schema';
import { demoPlan } from '../../tests/demo-plan';
import { database, pool } from './db/connect';
import { listJobs } from './jobs';
import { closePool, coreVersion, inPool, type NotFinished } from './pool';
import { dropWaiting } from './summary';
import { localDay } from './today';

afterAll(async () => {
  dropWaiting();
  await closePool();
  await pool().end();
});

const request = (method: string, body?: unknown, headers: Record<string, string> = {}, signal?: AbortSignal) =>
  new Request('http://localhost:4310/x', {
    method,
    headers: { host: 'localhost:4310', ...headers },
    ...(signal ? { signal } : {}),
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  });
const at = <P>(params: P) => ({ params: Promise.resolve(params) });
const newJob = async (plan: Plan = demoPlan()): Promise<string> => {
  const response = await makeJob(request('POST', plan), at({}));
  expect(response.status).toBe(201);
  return ((await response.json()) as { id: string }).id;
};
/** Every move of the demo again and again. */
function long(moves: number): Plan {
  const plan = demoPlan();
  plan.moves = Array.from({ length: moves }, (_, i) => ({ ...plan.moves[i % plan.moves.length]!, id: `v${i}` }));
  return plan;
}
/** How late the server's own thread comes to a timer while something runs, ms. */
async function latest<T>(work: Promise<T>): Promise<{ late: number; result: T }> {
  let late = 0;
  let last = performance.now();
  const timer = setInterval(() => {
    const now = performance.now();
    late = Math.max(late, now - last - 10);
    last = now;
  }, 10);
  try {
    return { result: await work, late: late };
  } finally {
    clearInterval(timer);
  }
}

test('what a thread is started on requires no module: a thread ended while it does takes the whole server with it', () => {
  const ask = "require('./.workers/pool.cjs').default.then((run) => console.log(typeof run))";
  expect(execFileSync(process.execPath, ['--no-experimental-require-module', '-e', ask], { encoding: 'utf8', env: { ...process.env, NODE_OPTIONS: '' } })).toBe(
    'function\n',
  );
});

test('tasks broken off while their threads are still starting leave the server alive, and the next one is answered', async () => {
  for (const after of [30, 90, 150, 240, 330, 450]) {
    await closePool();
    const clock = AbortSignal.timeout(after);
    await Promise.all([0, 1].map(() => inPool('warm', null, { signal: clock }).catch((failure: NotFinished) => expect(failure.why).toBe('left'))));
  }
  expect(await inPool('warm', null)).toBeNull();
});

describe('what a request may send', () => {
  test('a body over the limit is refused while it comes, and no more of it is read', async () => {
    let sent = 0;
    const chunk = new Uint8Array(1024 * 1024).fill(32);
    const body = new ReadableStream<Uint8Array>({
      pull(controller) {
        sent += 1;
        if (sent > 100) controller.close();
        else controller.enqueue(chunk);
      },
    });
    const sending = new Request('http://localhost:4310/x', { method: 'POST', headers: { host: 'localhost:4310' }, body, duplex: 'half' } as RequestInit);
    expect((await makeJob(sending, at({}))).status).toBe(413);
    expect(sent).toBeLessThan(20);
  });
  test.each([
    ['nested five million deep', '['.repeat(5_000_000), 400],
    ['nested deep in a field', `{"a":${'['.repeat(2000)}${']'.repeat(2000)}}`, 400],
    ['no UTF-8', '{"a":"\ufffd"', 400],
    ['thirty kilobytes of moves that are none', JSON.stringify({ ...demoPlan(), moves: Array.from({ length: 2000 }, () => ({ a: 1 })) }), 422],
    ['fifty thousand members that are none', JSON.stringify({ ...demoPlan(), members: Array.from({ length: 50_000 }, () => ({ a: 1 })) }), 422],
  ])('a body %s is refused within a second', async (_, body, status) => {
    const started = performance.now();
    const response = await makeJob(request('POST', body), at({}));
    expect(response.status).toBe(status);
    expect((await response.text()).length).toBeLessThan(60_000);
    expect(performance.now() - started).toBeLessThan(1000);
  });
});

describe('worker threads', () => {
  test('a long sheet leaves the server’s own thread free, tells how far it is, and ends in a paper', async () => {
    const id = await newJob(long(300));
    const reading = async () => {
      const response = await readSheet(request('GET', undefined, { accept: 'application/x-ndjson' }), at({ id, sheet: 'run-sheet' }));
      return (await response.text())
        .trim()
        .split('\n')
        .map((line) => JSON.parse(line) as { pdf?: string; error?: string });
    };
    const { result, late } = await latest(reading());
    expect(late).toBeLessThan(500);
    expect(result.length).toBeGreaterThan(2);
    expect(Buffer.from(result.at(-1)!.pdf!, 'base64').subarray(0, 5).toString()).toBe('%PDF-');
  }, 60_000);
  test('a client that leaves takes its task with it', async () => {
    const id = await newJob(long(600));
    const gone = new AbortController();
    const response = await readSheet(request('GET', undefined, { accept: 'application/x-ndjson' }, gone.signal), at({ id, sheet: 'run-sheet' }));
    const reader = response.body!.getReader();
    await reader.read();
    await reader.cancel();
    // The thread is free again: a small task is answered long before the sheet would have been laid out.
    const started = performance.now();
    await inPool('summary', { plan: demoPlan(), today: localDay() });
    expect(performance.now() - started).toBeLessThan(8000);
  }, 60_000);
  test('a task nobody waits for is not finished, and says so', async () => {
    const gone = new AbortController();
    const work = inPool('summary', { plan: demoPlan(), today: localDay() }, { signal: gone.signal });
    gone.abort();
    await expect(work).rejects.toMatchObject({ why: 'left' } satisfies Partial<NotFinished>);
  });
  test('a sheet past its limit is refused with the reason', async () => {
    const response = await readSheet(request('GET'), at({ id: await newJob(long(4001)), sheet: 'run-sheet' }));
    expect(response.status).toBe(422);
    expect(((await response.json()) as { detail: string }).detail).toMatch(/4001 moves; no more than 4,000/);
  });
});

describe('what is stored of a verdict', () => {
  const line = async (id: string, version = coreVersion(), day = localDay()) =>
    (await listJobs(database(), 'local', version, day)).find((one) => one.id === id)!;
  test('holds for its plan, its core and its day, and for no other', async () => {
    const id = await newJob();
    expect((await line(id)).summary).toBeNull();
    const answer = await readVerdict(request('GET'), at({ id }));
    expect(await answer.json()).toMatchObject({ verdict: 'clear' });
    expect((await line(id)).summary).toMatchObject({ verdict: 'clear' });
    expect((await line(id, 'another core')).summary).toBeNull();
    expect((await line(id, coreVersion(), '2030-01-01')).summary).toBeNull();
    const plan = demoPlan();
    plan.job.name = 'changed';
    await writePlan(request('PUT', plan, { 'if-match': '"1"' }), at({ id }));
    expect((await line(id)).summary).toBeNull();
  }, 60_000);
  test('a job that cannot be opened is a line like the others', async () => {
    const id = await newJob();
    const other = await newJob();
    await pool().query(`update revisions set plan = '{"version": 99}' where job = $1`, [id]);
    expect(await (await readVerdict(request('GET'), at({ id }))).json()).toMatchObject({ unreadable: expect.stringMatching(/./) as unknown });
    expect((await line(id)).summary).toMatchObject({ unreadable: expect.stringMatching(/./) as unknown });
    expect((await line(other)).name).toBe(demoPlan().job.name);
  }, 60_000);
});

describe('revisions, and jobs put away', () => {
  test('every save is listed, can be looked at, and is brought back by a save on top', async () => {
    const id = await newJob();
    const plan = demoPlan();
    plan.job.name = 'second';
    await writePlan(request('PUT', plan, { 'if-match': '"1"' }), at({ id }));
    const list = (await (await readRevisions(request('GET'), at({ id }))).json()) as { revision: number }[];
    expect(list.map(({ revision }) => revision)).toEqual([2, 1]);
    const first = await readRevision(request('GET'), at({ id, revision: '1' }));
    const old = (await first.json()) as Plan;
    expect(old).toEqual(demoPlan());
    expect((await writePlan(request('PUT', old, { 'if-match': '"2"' }), at({ id }))).status).toBe(200);
    expect(((await (await readRevision(request('GET'), at({ id, revision: '3' }))).json()) as Plan).job.name).toBe(demoPlan().job.name);
    expect((await readRevision(request('GET'), at({ id, revision: '2' }))).status).toBe(200);
    for (const none of ['0', '4', 'x', '99999999999']) expect((await readRevision(request('GET'), at({ id, revision: none }))).status).toBe(404);
  });
  test('put away it leaves the list and nothing of it is lost; taken back it is there again', async () => {
    const id = await newJob();
    const listed = async (away = false) => (await listJobs(database(), 'local', coreVersion(), localDay(), away)).some((one) => one.id === id);
    expect((await putAway(request('PUT'), at({ id }))).status).toBe(204);
    expect([await listed(), await listed(true)]).toEqual([false, true]);
    expect((await readRevision(request('GET'), at({ id, revision: '1' }))).status).toBe(200);
    expect((await takeBack(request('DELETE'), at({ id }))).status).toBe(204);
    expect([await listed(), await listed(true)]).toEqual([true, false]);
    expect((await putAway(request('PUT'), at({ id: 'nope' }))).status).toBe(404);
  });
});
