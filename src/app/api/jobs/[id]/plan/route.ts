import { openPlan } from '@/core/document/open';
import { database } from '@/server/db/connect';
import { handle, readJson } from '@/server/http/handle';
import { notFound, problem } from '@/server/http/problem';
import { findJob, savePlan } from '@/server/jobs';
import { summariseLater } from '@/server/summary';

const absent = (id: string) => notFound(`There is no job “${id}”. Look at the list of jobs.`);

export const GET = handle<{ id: string }>('read', async (_request, actor, { id }) => {
  const job = await findJob(database(), actor.owner, id);
  if (!job) return absent(id);
  return Response.json(job.plan, { headers: { ETag: `"${job.revision}"`, 'Cache-Control': 'no-store', 'Last-Modified': job.savedAt.toUTCString() } });
});

export const PUT = handle<{ id: string }>('write', async (request, actor, { id }) => {
  const from = /^(?:W\/)?"(\d+)"$/.exec(request.headers.get('if-match') ?? '')?.[1];
  if (from === undefined)
    return problem({ status: 428, title: 'Which revision?', detail: 'Send If-Match with the revision the change started from, as "14".' });
  const body = await readJson(request);
  if (!body.ok) return body.response;
  const opened = openPlan(body.value);
  if (!opened.ok)
    return problem({ status: 422, title: 'Not a plan', detail: opened.faults[0]?.error ?? '', path: opened.faults[0]?.path, faults: opened.faults });
  const saved = await savePlan(database(), actor.owner, actor.name, id, Number(from), opened.plan);
  if (saved.ok) summariseLater(database(), actor.owner, id);
  if (saved.ok) return Response.json({ revision: saved.revision }, { headers: { ETag: `"${saved.revision}"` } });
  if (saved.reason === 'absent') return absent(id);
  return problem({
    status: 412,
    title: 'Someone saved before you',
    detail: `Revision ${saved.revision} was saved while this change was made on ${from}. Nothing was overwritten.`,
    revision: saved.revision,
    savedAt: saved.savedAt.toISOString(),
  });
});
