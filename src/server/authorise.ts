/** Who is asking. Until there are accounts everyone at this machine is the one local owner. */
export interface Actor {
  owner: string;
  name: string;
}

export type Action = 'read' | 'write';

export class Refused extends Error {
  readonly status = 403;
}

const LOOPBACK = new Set(['localhost', '127.0.0.1', '[::1]']);
const hostOf = (value: string): string => value.replace(/^https?:\/\//, '').replace(/:\d+$/, '');

/**
 * Every server entry passes here: pages, route handlers, actions. The server listens on loopback only; a request that
 * names another host (a page elsewhere aimed at this machine) or writes from another origin is refused.
 */
export function authorise(headers: Headers, action: Action): Actor {
  const host = headers.get('host');
  if (!host || !LOOPBACK.has(hostOf(host)))
    throw new Refused(`This program answers on this machine only, not as “${host ?? ''}”: open it at http://localhost.`);
  const origin = headers.get('origin');
  if (action === 'write' && origin !== null && origin.replace(/^https?:\/\//, '') !== host) throw new Refused(`A page of ${origin} may not change plans here.`);
  return { owner: 'local', name: 'this machine' };
}
