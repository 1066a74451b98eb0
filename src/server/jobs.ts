import { randomUUID } from 'node:crypto';
import { and, desc, eq } from 'drizzle-orm';
import { openPlan } from '@/core/plan/open';
import type { Plan } from '@/core/plan/schema';
import { sha256 } from './fingerprint';
import type { Database } from './db/connect';
import { jobs, revisions } from './db/schema';

/** Repositories take the owner as a required argument: a dropped condition would be a leak. */

export interface StoredPlan {
  id: string;
  revision: number;
  plan: Plan;
  savedAt: Date;
}

export type SaveOutcome = { ok: true; revision: number } | { ok: false; reason: 'absent' } | { ok: false; reason: 'stale'; revision: number; savedAt: Date };

export class UnreadableStoredPlan extends Error {}

const newestFirst = desc(jobs.updatedAt);

export async function listJobs(db: Database, owner: string): Promise<StoredPlan[]> {
  const rows = await db
    .select({ id: jobs.id, revision: jobs.revision, plan: revisions.plan, savedAt: revisions.savedAt })
    .from(jobs)
    .innerJoin(revisions, and(eq(revisions.job, jobs.id), eq(revisions.revision, jobs.revision)))
    .where(eq(jobs.owner, owner))
    .orderBy(newestFirst);
  return rows.map((row) => ({ ...row, plan: readStored(row.id, row.plan) }));
}

export async function findJob(db: Database, owner: string, id: string): Promise<StoredPlan | null> {
  const [row] = await db
    .select({ id: jobs.id, revision: jobs.revision, plan: revisions.plan, savedAt: revisions.savedAt })
    .from(jobs)
    .innerJoin(revisions, and(eq(revisions.job, jobs.id), eq(revisions.revision, jobs.revision)))
    .where(and(eq(jobs.owner, owner), eq(jobs.id, id)));
  return row ? { ...row, plan: readStored(id, row.plan) } : null;
}

function readStored(id: string, value: unknown): Plan {
  const opened = openPlan(value);
  if (!opened.ok) throw new UnreadableStoredPlan(`job ${id}: ${opened.faults[0]?.path} ${opened.faults[0]?.error}`);
  return opened.plan;
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
    const [job] = await tx
      .select({ revision: jobs.revision, updatedAt: jobs.updatedAt })
      .from(jobs)
      .where(and(eq(jobs.owner, owner), eq(jobs.id, id)))
      .for('update');
    if (!job) return { ok: false, reason: 'absent' };
    if (job.revision !== from) return { ok: false, reason: 'stale', revision: job.revision, savedAt: job.updatedAt };
    const revision = from + 1;
    await tx.insert(revisions).values({ job: id, revision, plan, sha256: sha256(plan), savedBy });
    await tx
      .update(jobs)
      .set({ name: plan.job.name, place: plan.job.place, revision, updatedAt: new Date() })
      .where(and(eq(jobs.owner, owner), eq(jobs.id, id)));
    return { ok: true, revision };
  });
}
