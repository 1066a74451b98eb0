import { randomUUID } from 'node:crypto';
import { and, desc, eq, isNotNull, isNull, ne, sql } from 'drizzle-orm';
import { openPlan } from '@/core/document/open';
import { PLAN_VERSION, type Plan } from '@/core/document/schema';
import type { JobGear } from '@/core/document/shared-gear';
import type { Database } from './db/connect';
import { jobs, revisions, type StoredSummary } from './db/schema';
import { sha256 } from './fingerprint';

/** Repositories take the owner as a required argument: a dropped condition would be a leak. */

export interface StoredPlan {
  id: string;
  revision: number;
  plan: Plan;
  savedAt: Date;
}

/** A line of the list of jobs: what is stored of it, without its plan. */
export interface JobLine {
  id: string;
  name: string;
  place: string;
  revision: number;
  savedAt: Date;
  /** how it stood for the key asked for; null: to be checked again */
  summary: StoredSummary | null;
}

export type SaveOutcome = { ok: true; revision: number } | { ok: false; reason: 'absent' } | { ok: false; reason: 'stale'; revision: number; savedAt: Date };

export class UnreadableStoredPlan extends Error {}

const newestFirst = desc(jobs.updatedAt);
const mine = (owner: string, id: string) => and(eq(jobs.owner, owner), eq(jobs.id, id));
const newest = and(eq(revisions.job, jobs.id), eq(revisions.revision, jobs.revision));

/** What a stored summary holds for. Another core, another day or another plan, and it is to be made again. */
export const summaryKey = (fingerprint: string, version: string, day: string): string => `${fingerprint}/${version}/${day}`;

/** The jobs of the list, or those put away. No plan is read: one that cannot be opened is a line like the others. */
export async function listJobs(db: Database, owner: string, version: string, day: string, putAway = false): Promise<JobLine[]> {
  const rows = await db
    .select({
      id: jobs.id,
      name: jobs.name,
      place: jobs.place,
      revision: jobs.revision,
      savedAt: revisions.savedAt,
      fingerprint: revisions.sha256,
      summary: revisions.summary,
      summaryKey: revisions.summaryKey,
    })
    .from(jobs)
    .innerJoin(revisions, newest)
    .where(and(eq(jobs.owner, owner), putAway ? isNotNull(jobs.putAwayAt) : isNull(jobs.putAwayAt)))
    .orderBy(newestFirst);
  return rows.map(({ fingerprint, summary, summaryKey: key, ...row }) => ({
    ...row,
    summary: key === summaryKey(fingerprint, version, day) ? summary : null,
  }));
}

/** No more jobs than this are looked through for gear: the newest. */
const MOST_JOBS = 200;

/**
 * Cranes and lifting gear of the other jobs, read out of the newest revision of each without its plan. A job last saved by an older
 * version is left out until somebody opens and saves it.
 */
export async function gearOfJobs(db: Database, owner: string, except: string): Promise<JobGear[]> {
  const part = <T>(name: string) => sql<T[]>`coalesce(${revisions.plan} -> ${name}, '[]'::jsonb)`;
  const named = (path: string) => sql`jsonb_path_query_array(${revisions.plan}, ${path}::jsonpath)`;
  const rows = await db
    .select({
      id: jobs.id,
      name: jobs.name,
      cranes: part<JobGear['cranes'][number]>('cranes'),
      duties: part<JobGear['duties'][number]>('duties'),
      yard: part<JobGear['yard'][number]>('yard'),
      day: sql<string | null>`left(${revisions.plan} #>> '{site,shift,from}', 10)`,
      used: sql<string[]>`${named('$.picks[*].gear[*]')} || ${named('$.raises[*].gear[*]')} || ${named('$.ways[*].legs[*].gear[*]')}`,
    })
    .from(jobs)
    .innerJoin(revisions, newest)
    .where(and(eq(jobs.owner, owner), isNull(jobs.putAwayAt), ne(jobs.id, except), sql`${revisions.plan} ->> 'version' = ${String(PLAN_VERSION)}`))
    .orderBy(newestFirst)
    .limit(MOST_JOBS);
  return rows.filter(({ cranes, yard }) => cranes.length + yard.length > 0);
}

export async function findJob(db: Database, owner: string, id: string, revision?: number): Promise<StoredPlan | null> {
  const [row] = await db
    .select({ id: jobs.id, revision: revisions.revision, plan: revisions.plan, savedAt: revisions.savedAt })
    .from(jobs)
    .innerJoin(revisions, revision === undefined ? newest : and(eq(revisions.job, jobs.id), eq(revisions.revision, revision)))
    .where(mine(owner, id));
  return row ? { ...row, plan: readStored(id, row.plan) } : null;
}

function readStored(id: string, value: unknown): Plan {
  const opened = openPlan(value);
  if (opened.ok) return opened.plan;
  const { path = '', error = 'it is no plan' } = opened.faults[0] ?? {};
  throw new UnreadableStoredPlan(`The plan of job ${id} cannot be opened: ${path ? `${path}: ` : ''}${error}`);
}

/** Keep how a revision stands, for the plan it was made of and no other. */
export async function keepSummary(db: Database, owner: string, id: string, fingerprint: string, key: string, summary: StoredSummary): Promise<void> {
  const [job] = await db.select({ revision: jobs.revision }).from(jobs).where(mine(owner, id));
  if (!job) return;
  await db
    .update(revisions)
    .set({ summary, summaryKey: key })
    .where(and(eq(revisions.job, id), eq(revisions.revision, job.revision), eq(revisions.sha256, fingerprint)));
}

/** The stored plan as it lies there, opened or not, with its fingerprint. */
export async function rawJob(db: Database, owner: string, id: string): Promise<{ plan: unknown; fingerprint: string } | null> {
  const [row] = await db.select({ plan: revisions.plan, fingerprint: revisions.sha256 }).from(jobs).innerJoin(revisions, newest).where(mine(owner, id));
  return row ?? null;
}

export async function createJob(db: Database, owner: string, savedBy: string, plan: Plan, id: string = randomUUID()): Promise<StoredPlan> {
  return db.transaction(async (tx) => {
    await tx.insert(jobs).values({ id, owner, name: plan.job.name, place: plan.job.place, revision: 1 });
    const [row] = await tx
      .insert(revisions)
      .values({ job: id, revision: 1, plan, sha256: sha256(plan), savedBy })
      .returning({ savedAt: revisions.savedAt });
    return { id, revision: 1, plan, savedAt: row?.savedAt ?? new Date() };
  });
}

/** Save on top of the revision the editor started from; anything newer refuses the save and says which. */
export async function savePlan(db: Database, owner: string, savedBy: string, id: string, from: number, plan: Plan): Promise<SaveOutcome> {
  return db.transaction(async (tx): Promise<SaveOutcome> => {
    const [job] = await tx.select({ revision: jobs.revision, updatedAt: jobs.updatedAt }).from(jobs).where(mine(owner, id)).for('update');
    if (!job) return { ok: false, reason: 'absent' };
    if (job.revision !== from) return { ok: false, reason: 'stale', revision: job.revision, savedAt: job.updatedAt };
    const revision = from + 1;
    await tx.insert(revisions).values({ job: id, revision, plan, sha256: sha256(plan), savedBy });
    await tx.update(jobs).set({ name: plan.job.name, place: plan.job.place, revision, updatedAt: new Date() }).where(mine(owner, id));
    return { ok: true, revision };
  });
}

export interface RevisionLine {
  revision: number;
  savedAt: Date;
  savedBy: string;
  sha256: string;
}

/** Every save of a job, newest first; null when there is no such job. */
export async function listRevisions(db: Database, owner: string, id: string): Promise<RevisionLine[] | null> {
  const [job] = await db.select({ id: jobs.id }).from(jobs).where(mine(owner, id));
  if (!job) return null;
  return db
    .select({ revision: revisions.revision, savedAt: revisions.savedAt, savedBy: revisions.savedBy, sha256: revisions.sha256 })
    .from(revisions)
    .where(eq(revisions.job, id))
    .orderBy(desc(revisions.revision));
}

/** Put a job away, or take it back. Nothing of it is lost; false when there is no such job. */
export async function putAway(db: Database, owner: string, id: string, away: boolean): Promise<boolean> {
  const done = await db
    .update(jobs)
    .set({ putAwayAt: away ? new Date() : null })
    .where(mine(owner, id))
    .returning({ id: jobs.id });
  return done.length > 0;
}
