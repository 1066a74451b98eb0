import { handle, readBytes } from '@/server/http/handle';
import { inPool } from '@/server/pool';

/** The largest model read. */
const MOST_BYTES = 128 * 1024 * 1024;

export const POST = handle('read', async (request) => {
  const body = await readBytes(request, MOST_BYTES);
  if (!body.ok) return body.response;
  const { bytes } = body;
  return Response.json(await inPool('ifc', { bytes }, { signal: request.signal, transfer: [bytes.buffer as ArrayBuffer] }));
});
