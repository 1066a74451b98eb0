import { handle } from '@/server/http/handle';
import { problem } from '@/server/http/problem';
import { readIfc } from '@/server/ifc';

/** The largest model read. */
const MOST_BYTES = 128 * 1024 * 1024;

export const POST = handle('read', async (request) => {
  const bytes = new Uint8Array(await request.arrayBuffer());
  if (bytes.length > MOST_BYTES)
    return problem({ status: 413, title: 'Too large', detail: `The model is over ${MOST_BYTES / 1024 / 1024} MB: export only the steel.` });
  return Response.json(await readIfc(bytes));
});
