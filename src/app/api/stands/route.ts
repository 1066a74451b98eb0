import { faultsOf } from '@/core/calc/schema';
import type { CoverSet } from '@/core/checks/map/fewest-stands';
import { coverAsked } from '@/server/cover';
import { handle, readJson } from '@/server/http/handle';
import { problem } from '@/server/http/problem';
import { inPool } from '@/server/pool';

export const POST = handle('read', async (request) => {
  const body = await readJson(request);
  if (!body.ok) return body.response;
  const fault = faultsOf(coverAsked, body.value)[0];
  if (fault) return problem({ status: 422, title: 'These places cannot be compared', detail: fault.error, path: fault.path });
  const { sets } = body.value as { sets: CoverSet[] };
  return Response.json(await inPool('cover', { sets }, { signal: request.signal }));
});
