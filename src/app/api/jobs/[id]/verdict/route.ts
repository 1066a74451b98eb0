import { database } from '@/server/db/connect';
import { handle } from '@/server/http/handle';
import { notFound } from '@/server/http/problem';
import { summarise } from '@/server/summary';

/** How the job stands now; worked out where what is stored is of another day or another core. */
export const GET = handle<{ id: string }>('read', async (request, actor, { id }) => {
  const summary = await summarise(database(), actor.owner, id, request.signal);
  return summary ? Response.json(summary, { headers: { 'Cache-Control': 'no-store' } }) : notFound(`There is no job “${id}”.`);
});
