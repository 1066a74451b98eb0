import { index, integer, jsonb, pgTable, primaryKey, text, timestamp } from 'drizzle-orm/pg-core';

/** One row a job; the plan itself is its newest revision. `owner` scopes every query. */
export const jobs = pgTable(
  'jobs',
  {
    id: text('id').primaryKey(),
    owner: text('owner').notNull(),
    name: text('name').notNull(),
    place: text('place').notNull(),
    revision: integer('revision').notNull(),
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
  },
  (table) => [primaryKey({ columns: [table.job, table.revision] })],
);
