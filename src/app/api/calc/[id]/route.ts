import { runCalc } from '@/core/catalogue/run';
import { handle, readJson } from '@/server/http/handle';
import { problem } from '@/server/http/problem';

export const POST = handle<{ id: string }>('read', async (request, _actor, { id }) => {
  const body = await readJson(request);
  if (!body.ok) return body.response;
  const outcome = runCalc(id, body.value);
  if (outcome.ok) return Response.json(outcome.output);
  const unknownId = outcome.path === 'id';
  return problem({
    status: unknownId ? 404 : 422,
    title: unknownId ? 'No such calculation' : 'This input has no answer',
    detail: outcome.error,
    path: outcome.path,
  });
});
