import { index, integer, jsonb, pgTable, primaryKey, text, timestamp } from 'drizzle-orm/pg-core';

/** How a revision stood when it was checked, or why it cannot be opened. */
export type StoredSummary =
  | { verdict: 'stop' | 'missing' | 'tight' | 'clear'; counts: Record<'stop' | 'missing' | 'tight' | 'clear', number>; pieces: string[]; moves: number }
  | { unreadable: string };

/** One row a job; the plan itself is its newest revision. `owner` scopes every query. */
export const jobs = pgTable(
  'jobs',
  {
    id: text('id').primaryKey(),
    owner: text('owner').notNull(),
    name: text('name').notNull(),
    place: text('place').notNull(),
    revision: integer('revision').notNull(),
    /** put away: not in the list, and taken back when wanted */
    putAwayAt: timestamp('put_away_at', { withTimezone: true }),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
    updatedAt: timestamp('updated_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('jobs_by_owner').on(table.owner, table.updatedAt)],
);

/** Every save, kept whole: append-only. */
export const revisions = pgTable(
  'revisions',
  {
    job: text('job')
      .notNull()
      .references(() => jobs.id),
    revision: integer('revision').notNull(),
    plan: jsonb('plan').notNull(),
    sha256: text('sha256').notNull(),
    savedAt: timestamp('saved_at', { withTimezone: true }).notNull().defaultNow(),
    savedBy: text('saved_by').notNull(),
    /** how it stood when it was last checked; null: not yet */
    summary: jsonb('summary').$type<StoredSummary>(),
    /** what `summary` holds for: fingerprint of the plan, version of core and rules, day */
    summaryKey: text('summary_key'),
  },
  (table) => [primaryKey({ columns: [table.job, table.revision] })],
);
