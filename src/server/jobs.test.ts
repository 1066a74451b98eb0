import { eq } from 'drizzle-orm';
import { demoPlan } from '../../tests/demo-plan';
import { database, pool } from './db/connect';
import { revisions } from './db/schema';
import { migrateDatabase } from './db/migrate';
import { sha256 } from './fingerprint';
import { createJob, findJob, listJobs, savePlan } from './jobs';

const db = database();
const owner = 'tester';
afterAll(() => pool().end());

const named = (name: string) => ({ ...demoPlan(), job: { ...demoPlan().job, name } });

test('a made job is found with its plan, number for number', async () => {
  const plan = named('round trip');
  plan.pieces[0]!.length = 7.1755;
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
  expect(await listJobs(db, 'someone else')).toEqual([]);
  expect(await savePlan(db, 'someone else', 'x', id, 1, named('taken'))).toEqual({ ok: false, reason: 'absent' });
});

test('migrating twice, and twice at once, does no harm', async () => {
  const url = process.env.DATABASE_URL!;
  await Promise.all([migrateDatabase(url, 'drizzle'), migrateDatabase(url, 'drizzle')]);
});
