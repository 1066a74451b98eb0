import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { GET as openapi } from '@/app/api/openapi.json/route';
import { POST as calc } from '@/app/api/calc/[id]/route';
import { POST as makeJob } from '@/app/api/jobs/route';
import { GET as readPlan, PUT as writePlan } from '@/app/api/jobs/[id]/plan/route';
import { GET as exportPlan } from '@/app/api/jobs/[id]/export/route';
import { registry } from '@/core/catalogue/registry';
import { faultsOf } from '@/core/calc/schema';
import { openPlanText } from '@/core/document/open';
import { planSchema } from '@/core/document/schema';
import { demoPlan } from '../../tests/demo-plan';
import { pool } from './db/connect';
import { closePool } from './pool';
import { dropWaiting } from './summary';

afterAll(async () => {
  dropWaiting();
  await closePool();
  await pool().end();
});

const host = { host: 'localhost:4310' };
const request = (method: string, body?: unknown, headers: Record<string, string> = {}) =>
  new Request('http://localhost:4310/x', {
    method,
    headers: { ...host, ...headers },
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  });
const at = <P>(params: P) => ({ params: Promise.resolve(params) });

async function problemOf(response: Response, status: number): Promise<{ title: string; detail: string; path?: string; revision?: number }> {
  expect(response.status).toBe(status);
  expect(response.headers.get('content-type')).toBe('application/problem+json');
  return (await response.json()) as { title: string; detail: string };
}

async function newJob(): Promise<string> {
  const response = await makeJob(request('POST', demoPlan()), at({}));
  expect(response.status).toBe(201);
  return ((await response.json()) as { id: string }).id;
}

describe('calculations', () => {
  test('answer as the command does', async () => {
    const response = await calc(request('POST', { length: 60, deltaT: 25, coefficient: 1.2e-5 }), at({ id: 'fit.thermal' }));
    expect(await response.json()).toEqual({ change: expect.closeTo(0.018, 12) as unknown });
  });
  test('a bad input is a problem with its path', async () =>
    expect(await problemOf(await calc(request('POST', { length: -1, deltaT: 1, coefficient: 1 }), at({ id: 'fit.thermal' })), 422)).toMatchObject({
      path: 'length',
    }));
  test('an unknown id is not found', async () =>
    expect((await problemOf(await calc(request('POST', {}), at({ id: 'fit.thermol' })), 404)).detail).toContain('fit.thermal'));
  test('text that is no JSON is said to be so', async () => void (await problemOf(await calc(request('POST', '{"a":'), at({ id: 'fit.thermal' })), 400)));
});

describe('plans', () => {
  test('read, saved on its revision, and read again', async () => {
    const id = await newJob();
    const first = await readPlan(request('GET'), at({ id }));
    expect(first.headers.get('etag')).toBe('"1"');
    const plan = demoPlan();
    plan.job.name = 'renamed';
    const saved = await writePlan(request('PUT', plan, { 'if-match': '"1"' }), at({ id }));
    expect(await saved.json()).toEqual({ revision: 2 });
    expect(((await (await readPlan(request('GET'), at({ id }))).json()) as { job: { name: string } }).job.name).toBe('renamed');
  });
  test('a stale save is refused and says which revision stands', async () => {
    const id = await newJob();
    await writePlan(request('PUT', demoPlan(), { 'if-match': '"1"' }), at({ id }));
    expect(await problemOf(await writePlan(request('PUT', demoPlan(), { 'if-match': '"1"' }), at({ id })), 412)).toMatchObject({ revision: 2 });
  });
  test('no revision, no save', async () => void (await problemOf(await writePlan(request('PUT', demoPlan()), at({ id: await newJob() })), 428)));
  test('what is not a plan is refused and what was saved stays', async () => {
    const id = await newJob();
    expect(await problemOf(await writePlan(request('PUT', { ...demoPlan(), surprise: 1 }, { 'if-match': '"1"' }), at({ id })), 422)).toMatchObject({
      path: 'surprise',
    });
    expect((await readPlan(request('GET'), at({ id }))).headers.get('etag')).toBe('"1"');
  });
  test('no such job', async () => void (await problemOf(await readPlan(request('GET'), at({ id: 'nope' })), 404)));
  test('the exported file opens as the same plan', async () => {
    const response = await exportPlan(request('GET'), at({ id: await newJob() }));
    expect(response.headers.get('content-disposition')).toContain('.trestle.json');
    expect(openPlanText(await response.text())).toEqual({ ok: true, plan: demoPlan() });
  });
});

describe('who may ask', () => {
  test('a request that names another host is refused', async () =>
    void (await problemOf(await readPlan(request('GET', undefined, { host: 'evil.example' }), at({ id: 'x' })), 403)));
  test('a write from a page of elsewhere is refused', async () =>
    void (await problemOf(await makeJob(request('POST', demoPlan(), { origin: 'http://evil.example' }), at({})), 403)));
});

test('the API document lists every calculation with the schema it runs on', async () => {
  const document = (await (await openapi(request('GET'), at({}))).json()) as { paths: Record<string, unknown>; components: { schemas: { Plan: unknown } } };
  for (const id of registry.keys()) expect(document.paths[`/api/calc/${id}`]).toBeDefined();
  expect(document.components.schemas.Plan).toEqual(JSON.parse(JSON.stringify(planSchema)));
  expect(faultsOf(planSchema, demoPlan())).toEqual([]);
});

describe('the commands', () => {
  const run = (args: string[]): { code: number; out: string } => {
    try {
      return { code: 0, out: execFileSync('npx', ['--no-install', 'tsx', ...args], { encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] }) };
    } catch (problem) {
      const { status, stdout } = problem as { status: number; stdout: string };
      return { code: status, out: stdout };
    }
  };
  const folder = mkdtempSync(join(tmpdir(), 'trestle-'));
  const file = (name: string, text: string) => {
    writeFileSync(join(folder, name), text);
    return join(folder, name);
  };
  test('calc prints one line, or the error with its path and exit 2', () => {
    expect(run(['scripts/calc.ts', 'hoist.bracket', '{"load":10,"arm":2,"lashingSpacing":4}'])).toEqual({ code: 0, out: '{"moment":20,"lashing":5}\n' });
    const bad = run(['scripts/calc.ts', 'hoist.bracket', '{"load":10,"arm":2}']);
    expect(bad.code).toBe(2);
    expect(JSON.parse(bad.out)).toMatchObject({ path: 'lashingSpacing' });
  }, 30000);
  test('calc --batch keeps order and puts an error where one fails', () => {
    const batch = file(
      'batch.json',
      JSON.stringify([
        { id: 'hoist.bracket', input: { load: 10, arm: 2, lashingSpacing: 4 } },
        { id: 'no.such', input: {} },
        { id: 'fit.thermal', input: { length: 1, deltaT: 1, coefficient: 1 } },
      ]),
    );
    const { code, out } = run(['scripts/calc.ts', '--batch', batch]);
    expect(code).toBe(0);
    expect(JSON.parse(out)).toEqual([{ moment: 20, lashing: 5 }, { error: expect.any(String) as unknown, path: 'id' }, { change: 1 }]);
  }, 30000);
  test('evaluate: 0 clear, 1 stop or missing, 2 unreadable', () => {
    expect(run(['scripts/evaluate.ts', 'demo/luggage-hall.trestle.json']).code).toBe(0);
    const plan = demoPlan();
    plan.picks[0]!.slingRating = null;
    expect(run(['scripts/evaluate.ts', file('missing.json', JSON.stringify(plan))]).code).toBe(1);
    const cut = run(['scripts/evaluate.ts', file('cut.json', '{"format":')]);
    expect(cut.code).toBe(2);
    expect(JSON.parse(cut.out)).toMatchObject({ error: expect.stringContaining('not JSON') as unknown });
  }, 30000);
});
