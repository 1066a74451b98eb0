import { database } from '@/server/db/connect';
import { handle } from '@/server/http/handle';
import { notFound } from '@/server/http/problem';
import { findJob } from '@/server/jobs';

/** The plan as one save left it. To bring it back, save it on top of the newest: nothing that was saved is taken away. */
export const GET = handle<{ id: string; revision: string }>('read', async (_request, actor, { id, revision }) => {
  const number = /^\d{1,9}$/.test(revision) ? Number(revision) : 0;
  const job = await findJob(database(), actor.owner, id, number);
  if (!job) return notFound(`Job “${id}” has no revision ${revision}. Look at its list of revisions.`);
  return Response.json(job.plan, { headers: { ETag: `"${job.revision}"`, 'Cache-Control': 'no-store', 'Last-Modified': job.savedAt.toUTCString() } });
});
