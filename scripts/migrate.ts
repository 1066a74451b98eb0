/** Bring the database up to date; with --demo also put the demo job in, once. */
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { openPlanText } from '../src/core/document/open';
import { database, pool } from '../src/server/db/connect';
import { migrateDatabase } from '../src/server/db/migrate';
import { createJob, rawJob } from '../src/server/jobs';

const root = resolve(import.meta.dirname, '..');
const demos = [
  { id: 'demo-luggage-hall', file: 'demo/luggage-hall.trestle.json' },
  { id: 'demo-ticket-hall', file: 'demo/ticket-hall.trestle.json' },
  { id: 'demo-quay-footbridge', file: 'demo/quay-footbridge.trestle.json' },
  { id: 'demo-passenger-canopy', file: 'demo/passenger-canopy.trestle.json' },
  { id: 'demo-vehicle-ramp', file: 'demo/vehicle-ramp.trestle.json' },
  { id: 'demo-link-span', file: 'demo/link-span.trestle.json' },
];

async function main(): Promise<void> {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set: run npm run db start, then DATABASE_URL=$(npm run -s db url).');
  await migrateDatabase(url, resolve(root, 'drizzle'));
  if (process.argv.includes('--demo')) {
    for (const demo of demos) {
      if (await rawJob(database(), 'local', demo.id)) continue;
      const opened = openPlanText(readFileSync(resolve(root, demo.file), 'utf8'));
      if (!opened.ok) throw new Error(`${demo.file}: ${opened.faults[0]?.error}`);
      await createJob(database(), 'local', 'demo', opened.plan, demo.id);
    }
  }
  await pool().end();
}

main().catch((problem: unknown) => {
  console.error(problem instanceof Error ? problem.message : problem);
  process.exit(1);
});
