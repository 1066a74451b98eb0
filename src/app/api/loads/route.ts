import { faultsOf } from '@/core/calc/schema';
import { tooBig, type LoadPiece, type Lorry } from '@/core/steel/lists/loads';
import { handle, readJson } from '@/server/http/handle';
import { problem } from '@/server/http/problem';
import { loadsAsked } from '@/server/loads';
import { inPool } from '@/server/pool';

export const POST = handle('read', async (request) => {
  const body = await readJson(request);
  if (!body.ok) return body.response;
  const fault = faultsOf(loadsAsked, body.value)[0];
  if (fault) return problem({ status: 422, title: 'These loads cannot be planned', detail: fault.error, path: fault.path });
  const { pieces, lorry } = body.value as { pieces: LoadPiece[]; lorry: Lorry };
  const big = tooBig(pieces, lorry)[0];
  if (big)
    return problem({
      status: 422,
      title: 'These loads cannot be planned',
      detail: `${big.name} is more than this lorry takes: split it or choose a larger one.`,
      path: 'pieces',
    });
  return Response.json(await inPool('loads', { pieces, lorry }, { signal: request.signal }));
});
