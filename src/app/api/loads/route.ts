import { Type } from 'typebox';
import { closed, nonNegative, positive } from '@/core/calc/fields';
import { faultsOf } from '@/core/calc/schema';
import { tooBig, type LoadPiece, type Lorry } from '@/core/steel/lists/loads';
import { handle, readJson } from '@/server/http/handle';
import { problem } from '@/server/http/problem';
import { planLoads } from '@/server/loads';

const asked = closed({
  pieces: Type.Array(closed({ name: Type.String(), length: positive('m'), width: positive('m'), mass: positive('kg'), order: nonNegative('1') }), {
    maxItems: 5000,
  }),
  lorry: closed({ deckLength: positive('m'), deckWidth: positive('m'), mass: positive('kg'), layers: Type.Integer({ minimum: 1, maximum: 20 }) }),
});

export const POST = handle('read', async (request) => {
  const body = await readJson(request);
  if (!body.ok) return body.response;
  const fault = faultsOf(asked, body.value)[0];
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
  return Response.json(await planLoads(pieces, lorry));
});
