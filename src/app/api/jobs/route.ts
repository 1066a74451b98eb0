import { openPlan } from '@/core/document/open';
import { database } from '@/server/db/connect';
import { handle, readJson } from '@/server/http/handle';
import { problem } from '@/server/http/problem';
import { createJob } from '@/server/jobs';
import { summariseLater } from '@/server/summary';

export const POST = handle('write', async (request, actor) => {
  const body = await readJson(request);
  if (!body.ok) return body.response;
  const opened = openPlan(body.value);
  if (!opened.ok)
    return problem({ status: 422, title: 'Not a plan', detail: opened.faults[0]?.error ?? '', path: opened.faults[0]?.path, faults: opened.faults });
  const job = await createJob(database(), actor.owner, actor.name, opened.plan);
  summariseLater(database(), actor.owner, job.id);
  return Response.json({ id: job.id, revision: job.revision }, { status: 201, headers: { Location: `/jobs/${job.id}` } });
});
