import { handle, readBytes } from '@/server/http/handle';
import { inPool, NotFinished } from '@/server/pool';

/** The largest model read. */
const MOST_BYTES = 128 * 1024 * 1024;

export const POST = handle('read', async (request) => {
  const body = await readBytes(request, MOST_BYTES);
  if (!body.ok) return body.response;
  const { bytes } = body;
  const { signal } = request;
  try {
    return Response.json(await inPool('ifc', { bytes, shapes: true }, { signal }));
  } catch (failure) {
    // Shapes the library does not come to an end with: the list is read all the same, and says so.
    if (!(failure instanceof NotFinished) || failure.why === 'left' || failure.why === 'busy') throw failure;
    return Response.json(await inPool('ifc', { bytes, shapes: false }, { signal, transfer: [bytes.buffer as ArrayBuffer] }));
  }
});
