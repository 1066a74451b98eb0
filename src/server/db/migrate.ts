import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Client } from 'pg';

/** Any number; the same for every process that migrates. */
const MIGRATION_LOCK = 741_905_226;

/** Bring the database up to date; two processes at once take turns. */
export async function migrateDatabase(connectionString: string, folder: string): Promise<void> {
  const client = new Client({ connectionString, connectionTimeoutMillis: 10_000 });
  await client.connect().catch((problem: unknown) => {
    throw new Error(unreachable(connectionString, problem));
  });
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await refuseNewer(client, folder);
    await migrate(drizzle(client), { migrationsFolder: folder });
  } finally {
    await client.query('select pg_advisory_unlock($1)', [MIGRATION_LOCK]).catch(() => undefined);
    await client.end();
  }
}

/** Why nothing answers, in a sentence, and without the password. */
function unreachable(connectionString: string, problem: unknown): string {
  const remedy = 'start that database, or unset DATABASE_URL to use the one that comes with npm start';
  const said = problem instanceof Error && problem.message !== '' ? problem.message : 'nothing answers there';
  try {
    const { host, pathname } = new URL(connectionString);
    return `DATABASE_URL points at ${host}${pathname}, and it cannot be used (${said}): ${remedy}.`;
  } catch {
    return `DATABASE_URL is no address of a database: ${remedy}.`;
  }
}

/** A database that a newer version brought further than this one knows is left alone. */
async function refuseNewer(client: Client, folder: string): Promise<void> {
  const journal = JSON.parse(readFileSync(join(folder, 'meta/_journal.json'), 'utf8')) as { entries: { when: number }[] };
  const known = journal.entries.reduce((most, { when }) => Math.max(most, when), 0);
  const found = await client
    .query<{ newest: string | null }>('select max(created_at) as newest from drizzle.__drizzle_migrations')
    .catch(() => ({ rows: [] as { newest: string | null }[] }));
  if (Number(found.rows[0]?.newest ?? 0) > known)
    throw new Error('This database was made by a newer version of Keen Trestle: start that version, or restore a backup made by this one.');
}
