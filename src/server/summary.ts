import { openPlan } from '@/core/document/open';
import type { Database } from './db/connect';
import type { StoredSummary } from './db/schema';
import { keepSummary, rawJob, summaryKey } from './jobs';
import { coreVersion, inPool } from './pool';
import { localDay } from './today';

/** How the newest revision of a job stands, worked out on a worker thread and kept with it; null when there is no such job. */
export async function summarise(db: Database, owner: string, id: string, signal?: AbortSignal): Promise<StoredSummary | null> {
  const stored = await rawJob(db, owner, id);
  if (!stored) return null;
  const today = localDay();
  const key = summaryKey(stored.fingerprint, coreVersion(), today);
  const opened = openPlan(stored.plan);
  const summary: StoredSummary = opened.ok
    ? await inPool('summary', { plan: opened.plan, today }, signal ? { signal } : {})
    : { unreadable: opened.faults[0]?.error ?? 'It is no plan.' };
  await keepSummary(db, owner, id, stored.fingerprint, key, summary);
  return summary;
}

const waiting = new Map<string, ReturnType<typeof setTimeout>>();
/** After the last save of a row of saves this long is waited [ms]: a person who types saves several times a second. */
const QUIET = 1500;

/** Drop the checks that wait for their job to come to rest; the list asks for them again. */
export function dropWaiting(): void {
  for (const timer of waiting.values()) clearTimeout(timer);
  waiting.clear();
}

/** Check a job that was saved, when its saving has come to rest, so that the list has its verdict ready. */
export function summariseLater(db: Database, owner: string, id: string): void {
  clearTimeout(waiting.get(id));
  const timer = setTimeout(() => {
    waiting.delete(id);
    void summarise(db, owner, id).catch((problem: unknown) => console.error('a job could not be checked:', problem));
  }, QUIET);
  timer.unref();
  waiting.set(id, timer);
}
