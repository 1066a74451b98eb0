/** Errors as application/problem+json (RFC 9457). */
export interface Problem {
  status: number;
  title: string;
  detail: string;
  [extra: string]: unknown;
}

export const problem = (body: Problem): Response =>
  new Response(JSON.stringify({ type: 'about:blank', ...body }), { status: body.status, headers: { 'Content-Type': 'application/problem+json' } });

export const notFound = (detail: string): Response => problem({ status: 404, title: 'Not found', detail });
