import { eq } from 'drizzle-orm';
import { demoPlan } from '../../tests/demo-plan';
import { database, pool } from './db/connect';
import { revisions } from './db/schema';
import { migrateDatabase } from './db/migrate';
import { sha256 } from './fingerprint';
import { createJob, findJob, gearOfJobs, keepSummary, listJobs, listRevisions, putAway, rawJob, savePlan, summaryKey, UnreadableStoredPlan } from './jobs';
import { closePool } from './pool';
import { summarise } from './summary';

const db = database();
const owner = 'tester';
afterAll(async () => {
  await closePool();
  await pool().end();
});

const named = (name: string) => ({ ...demoPlan(), job: { ...demoPlan().job, name } });

test('a made job is found with its plan, number for number', async () => {
  const plan = named('round trip');
  plan.pieces[0]!.length = 9.1755;
  plan.bearings[0]!.at.x = 0.1 + 0.2;
  const { id } = await createJob(db, owner, 'me', plan);
  const found = await findJob(db, owner, id);
  expect(found?.plan).toEqual(plan);
  expect(found?.revision).toBe(1);
});

test('every save is a revision of its own, with its fingerprint', async () => {
  const { id } = await createJob(db, owner, 'me', named('a'));
  expect(await savePlan(db, owner, 'me', id, 1, named('b'))).toEqual({ ok: true, revision: 2 });
  expect(await savePlan(db, owner, 'me', id, 2, named('c'))).toEqual({ ok: true, revision: 3 });
  const kept = await db.select().from(revisions).where(eq(revisions.job, id)).orderBy(revisions.revision);
  expect(kept.map((row) => (row.plan as { job: { name: string } }).job.name)).toEqual(['a', 'b', 'c']);
  expect(kept[1]?.sha256).toBe(sha256(named('b')));
});

test('a save from an older revision is refused and changes nothing', async () => {
  const { id } = await createJob(db, owner, 'me', named('first'));
  await savePlan(db, owner, 'me', id, 1, named('second'));
  expect(await savePlan(db, owner, 'me', id, 1, named('late'))).toMatchObject({ ok: false, reason: 'stale', revision: 2 });
  expect((await findJob(db, owner, id))?.plan.job.name).toBe('second');
});

test('of ten saves at once from one revision, one lands', async () => {
  const { id } = await createJob(db, owner, 'me', named('race'));
  const outcomes = await Promise.all(Array.from({ length: 10 }, (_, i) => savePlan(db, owner, 'me', id, 1, named(`racer ${i}`))));
  expect(outcomes.filter((one) => one.ok)).toHaveLength(1);
  expect((await findJob(db, owner, id))?.revision).toBe(2);
});

test('another owner finds, lists and saves nothing of it', async () => {
  const { id } = await createJob(db, owner, 'me', named('mine'));
  expect(await findJob(db, 'someone else', id)).toBeNull();
  expect(await listJobs(db, 'someone else', 'v', '2026-11-27')).toEqual([]);
  expect(await listRevisions(db, 'someone else', id)).toBeNull();
  expect(await putAway(db, 'someone else', id, true)).toBe(false);
  expect(await rawJob(db, 'someone else', id)).toBeNull();
  expect(await savePlan(db, 'someone else', 'x', id, 1, named('taken'))).toEqual({ ok: false, reason: 'absent' });
});

test('a summary stands for its plan, its core and its day, and for no other', async () => {
  const { id } = await createJob(db, owner, 'me', named('kept'));
  const { fingerprint } = (await rawJob(db, owner, id))!;
  const summary = { verdict: 'clear' as const, counts: { stop: 0, missing: 0, tight: 0, clear: 70 }, pieces: ['TB1'], moves: 14 };
  await keepSummary(db, owner, id, fingerprint, summaryKey(fingerprint, 'v1', '2026-11-27'), summary);
  const line = async (version: string, day: string) => (await listJobs(db, owner, version, day)).find((one) => one.id === id)?.summary;
  expect(await line('v1', '2026-11-27')).toEqual(summary);
  expect(await line('v2', '2026-11-27')).toBeNull();
  expect(await line('v1', '2026-11-28')).toBeNull();
  await savePlan(db, owner, 'me', id, 1, named('changed'));
  expect(await line('v1', '2026-11-27')).toBeNull();
  // A summary that comes late, for the plan before, is not put on the new one.
  await keepSummary(db, owner, id, fingerprint, summaryKey(fingerprint, 'v1', '2026-11-27'), summary);
  expect(await line('v1', '2026-11-27')).toBeNull();
});

test('a plan that cannot be opened is a line of the list like the others, and says why', async () => {
  const { id } = await createJob(db, owner, 'me', named('broken'));
  const { id: other } = await createJob(db, owner, 'me', named('whole'));
  await db
    .update(revisions)
    .set({ plan: { format: 'keen-trestle/plan', version: 99 } })
    .where(eq(revisions.job, id));
  const list = await listJobs(db, owner, 'v', '2026-11-27');
  expect(list.map((one) => one.id)).toEqual(expect.arrayContaining([id, other]));
  expect(await summarise(db, owner, id)).toEqual({ unreadable: expect.stringMatching(/version 99/) as unknown });
  await expect(findJob(db, owner, id)).rejects.toThrow(UnreadableStoredPlan);
  expect(await summarise(db, owner, other)).toMatchObject({ verdict: 'clear', pieces: ['TB1'], moves: 14 });
});

test('every revision is listed and can be looked at; one brought back is saved on top', async () => {
  const { id } = await createJob(db, owner, 'me', named('a'));
  await savePlan(db, owner, 'you', id, 1, named('b'));
  expect((await listRevisions(db, owner, id))?.map((one) => [one.revision, one.savedBy])).toEqual([
    [2, 'you'],
    [1, 'me'],
  ]);
  const old = (await findJob(db, owner, id, 1))!;
  expect(old.plan.job.name).toBe('a');
  expect(await savePlan(db, owner, 'me', id, 2, old.plan)).toEqual({ ok: true, revision: 3 });
  expect((await findJob(db, owner, id))?.plan.job.name).toBe('a');
  expect(await findJob(db, owner, id, 9)).toBeNull();
});

test('a job put away leaves the list and comes back whole', async () => {
  const { id } = await createJob(db, owner, 'me', named('away'));
  const listed = async (away: boolean) => (await listJobs(db, owner, 'v', '2026-11-27', away)).some((one) => one.id === id);
  expect(await putAway(db, owner, id, true)).toBe(true);
  expect([await listed(false), await listed(true)]).toEqual([false, true]);
  expect((await findJob(db, owner, id))?.plan.job.name).toBe('away');
  await putAway(db, owner, id, false);
  expect([await listed(false), await listed(true)]).toEqual([true, false]);
});

test('migrating twice, and twice at once, does no harm', async () => {
  const url = process.env.DATABASE_URL!;
  await Promise.all([migrateDatabase(url, 'drizzle'), migrateDatabase(url, 'drizzle')]);
});

test('the gear of the other jobs is read: of one owner, not of the job itself, of none put away or of an older version', async () => {
  const who = 'gear-owner';
  const with_ = (name: string, change: (plan: ReturnType<typeof demoPlan>) => void = () => undefined) => {
    const plan = named(name);
    change(plan);
    return plan;
  };
  const here = await createJob(db, who, 'me', with_('here'));
  const there = await createJob(
    db,
    who,
    'me',
    with_('there', (plan) => (plan.yard = [{ id: 'y1', kind: 'slings', name: 'Set 4', rating: 5000, inspected: null }])),
  );
  const away = await createJob(db, who, 'me', with_('away'));
  await putAway(db, who, away.id, true);
  const bare = await createJob(
    db,
    who,
    'me',
    with_('bare', (plan) => Object.assign(plan, { cranes: [], stands: [], picks: [], moves: [] })),
  );
  const old = await createJob(db, who, 'me', with_('old'));
  await db
    .update(revisions)
    .set({ plan: { ...with_('old'), version: 4 } })
    .where(eq(revisions.job, old.id));
  await createJob(db, 'somebody else', 'me', with_('theirs'));
  const gear = await gearOfJobs(db, who, here.id);
  expect(gear.map(({ name }) => name)).toEqual(['there']);
  expect(gear[0]!.id).toBe(there.id);
  expect(gear[0]!.cranes).toEqual(demoPlan().cranes);
  expect(gear[0]!.duties).toEqual([]);
  expect(gear[0]!.yard).toEqual([{ id: 'y1', kind: 'slings', name: 'Set 4', rating: 5000, inspected: null }]);
  expect([gear[0]!.day, gear[0]!.used]).toEqual([null, []]);
  // What is saved on top is what is read, and not what was before.
  await savePlan(
    db,
    who,
    'me',
    there.id,
    1,
    with_('there', (plan) => (plan.cranes[0]!.name = 'Bittern 14')),
  );
  // When its lifts are made, and with which of it: as the plan itself says.
  await savePlan(
    db,
    who,
    'me',
    there.id,
    2,
    with_('there', (plan) => {
      plan.site.shift = { from: '2026-11-25T07:00', to: '2026-11-25T15:00' };
      plan.yard = ['y1', 'y2', 'y3'].map((id) => ({ id, kind: 'slings' as const, name: id, rating: 5000, inspected: null }));
      plan.picks[0]!.gear = ['y1', 'y3'];
    }),
  );
  const [used] = await gearOfJobs(db, who, here.id);
  expect([used!.day, used!.used]).toEqual(['2026-11-25', ['y1', 'y3']]);
  await savePlan(
    db,
    who,
    'me',
    there.id,
    3,
    with_('there', (plan) => (plan.cranes[0]!.name = 'Bittern 14')),
  );
  expect((await gearOfJobs(db, who, bare.id)).map(({ name, cranes, yard }) => [name, cranes[0]!.name, yard.length])).toEqual([
    ['there', 'Bittern 14', 0],
    ['here', 'Bittern 12', 0],
  ]);
});
