import { database } from '@/server/db/connect';
import { handle } from '@/server/http/handle';
import { notFound } from '@/server/http/problem';
import { listRevisions } from '@/server/jobs';

/** Every save of the job, newest first. */
export const GET = handle<{ id: string }>('read', async (_request, actor, { id }) => {
  const found = await listRevisions(database(), actor.owner, id);
  return found ? Response.json(found, { headers: { 'Cache-Control': 'no-store' } }) : notFound(`There is no job “${id}”.`);
});
