import { database } from '@/server/db/connect';
import { handle } from '@/server/http/handle';
import { attachment } from '@/server/http/attachment';
import { notFound } from '@/server/http/problem';
import { findJob } from '@/server/jobs';

export const GET = handle<{ id: string }>('read', async (_request, actor, { id }) => {
  const job = await findJob(database(), actor.owner, id);
  if (!job) return notFound(`There is no job “${id}”.`);
  return new Response(JSON.stringify(job.plan, null, 2) + '\n', {
    headers: { 'Content-Type': 'application/json', ...attachment(`${job.plan.job.name}.trestle.json`) },
  });
});
