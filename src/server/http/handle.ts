import { authorise, Refused, type Action, type Actor } from '../authorise';
import { problem } from './problem';

/** The way into every route handler: who may, then the work, then errors as problems. */
export function handle<P>(action: Action, work: (request: Request, actor: Actor, params: P) => Promise<Response>) {
  return async (request: Request, context: { params: Promise<P> }): Promise<Response> => {
    try {
      const actor = authorise(request.headers, action);
      return await work(request, actor, await context.params);
    } catch (failure) {
      if (failure instanceof Refused) return problem({ status: failure.status, title: 'Refused', detail: failure.message });
      console.error(failure);
      return problem({ status: 500, title: 'The server failed', detail: 'Something broke on the server; what was saved before is safe. Try again.' });
    }
  };
}

/** The largest body read: a plan of a thousand pieces is about half a megabyte. */
const MOST_BYTES = 16 * 1024 * 1024;

/** The JSON of a request, or the problem with it. */
export async function readJson(request: Request): Promise<{ ok: true; value: unknown } | { ok: false; response: Response }> {
  const text = await request.text();
  if (text.length > MOST_BYTES)
    return { ok: false, response: problem({ status: 413, title: 'Too large', detail: `The body is over ${MOST_BYTES / 1024 / 1024} MB.` }) };
  try {
    return { ok: true, value: JSON.parse(text) as unknown };
  } catch (failure) {
    return { ok: false, response: problem({ status: 400, title: 'Not JSON', detail: `The body is not JSON (${(failure as Error).message}).` }) };
  }
}
