import { authorise, Refused, type Action, type Actor } from '../authorise';
import { UnreadableStoredPlan } from '../jobs';
import { NotFinished } from '../pool';
import { problem } from './problem';

/** The way into every route handler: who may, then the work, then errors as problems. */
export function handle<P>(action: Action, work: (request: Request, actor: Actor, params: P) => Promise<Response>) {
  return async (request: Request, context: { params: Promise<P> }): Promise<Response> => {
    try {
      const actor = authorise(request.headers, action);
      return await work(request, actor, await context.params);
    } catch (failure) {
      if (failure instanceof NotFinished) return problem({ status: failure.why === 'left' ? 499 : 503, title: 'Not finished', detail: failure.message });
      if (failure instanceof UnreadableStoredPlan) return problem({ status: 409, title: 'This job cannot be opened', detail: failure.message });
      if (failure instanceof Refused) return problem({ status: failure.status, title: 'Refused', detail: failure.message });
      console.error(failure);
      return problem({ status: 500, title: 'The server failed', detail: 'Something broke on the server; what was saved before is safe. Try again.' });
    }
  };
}

/** The largest plan read: one of six hundred pieces and two thousand moves is about a megabyte and a half. */
const MOST_BYTES = 8 * 1024 * 1024;
/** The deepest JSON read: a plan is eight levels deep. */
const DEEPEST = 64;

/** The bytes of a request, read against a limit as they come: what is too large is refused before it is all here. */
export async function readBytes(request: Request, most: number): Promise<{ ok: true; bytes: Uint8Array } | { ok: false; response: Response }> {
  const tooLarge = () => ({
    ok: false as const,
    response: problem({ status: 413, title: 'Too large', detail: `It is over ${Math.round(most / 1024 / 1024)} MB. Send less at a time.` }),
  });
  if (Number(request.headers.get('content-length') ?? 0) > most) return tooLarge();
  const reader = request.body?.getReader();
  const parts: Uint8Array[] = [];
  let length = 0;
  while (reader) {
    const { done, value } = await reader.read();
    if (done) break;
    length += value.byteLength;
    if (length > most) {
      void reader.cancel().catch(() => undefined);
      return tooLarge();
    }
    parts.push(value);
  }
  const bytes = new Uint8Array(length);
  let at = 0;
  for (const part of parts) {
    bytes.set(part, at);
    at += part.byteLength;
  }
  return { ok: true, bytes };
}

/** Whether brackets nest deeper than anything we read; strings are passed over. */
function tooDeep(bytes: Uint8Array): boolean {
  let depth = 0;
  let quoted = false;
  for (let i = 0; i < bytes.length; i += 1) {
    const byte = bytes[i]!;
    if (quoted) {
      if (byte === 0x5c) i += 1;
      else if (byte === 0x22) quoted = false;
    } else if (byte === 0x22) quoted = true;
    else if (byte === 0x5b || byte === 0x7b) {
      depth += 1;
      if (depth > DEEPEST) return true;
    } else if (byte === 0x5d || byte === 0x7d) depth -= 1;
  }
  return false;
}

/** The JSON of a request, or the problem with it. */
export async function readJson(request: Request): Promise<{ ok: true; value: unknown } | { ok: false; response: Response }> {
  const body = await readBytes(request, MOST_BYTES);
  if (!body.ok) return body;
  const refuse = (detail: string) => ({ ok: false as const, response: problem({ status: 400, title: 'Not JSON', detail }) });
  if (tooDeep(body.bytes)) return refuse(`The body nests deeper than ${DEEPEST} levels: nothing here does.`);
  let text: string;
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(body.bytes);
  } catch {
    return refuse('The body is not UTF-8 text.');
  }
  try {
    return { ok: true, value: JSON.parse(text) as unknown };
  } catch (failure) {
    return refuse(`The body is not JSON (${(failure as Error).message.slice(0, 120)}).`);
  }
}
