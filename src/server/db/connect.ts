import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import { Pool } from 'pg';
import * as schema from './schema';

export type Database = NodePgDatabase<typeof schema>;

/** One pool a process; kept across reloads of the module in development. */
const shared = globalThis as unknown as { keenTrestlePool?: Pool };

export function pool(): Pool {
  if (!shared.keenTrestlePool) {
    const connectionString = process.env.DATABASE_URL;
    if (!connectionString) throw new Error('DATABASE_URL is not set: start with npm start, which runs a database of its own.');
    shared.keenTrestlePool = new Pool({ connectionString, max: 8, connectionTimeoutMillis: 10_000 });
    // A dropped idle connection is replaced on next use; without a listener it would end the process.
    shared.keenTrestlePool.on('error', (problem) => console.error('database connection lost:', problem.message));
  }
  return shared.keenTrestlePool;
}

export const database = (): Database => drizzle(pool(), { schema });
