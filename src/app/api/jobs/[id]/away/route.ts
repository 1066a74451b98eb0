import { database } from '@/server/db/connect';
import { handle } from '@/server/http/handle';
import { notFound } from '@/server/http/problem';
import { putAway } from '@/server/jobs';

const put = (away: boolean) =>
  handle<{ id: string }>('write', async (_request, actor, { id }) =>
    (await putAway(database(), actor.owner, id, away)) ? new Response(null, { status: 204 }) : notFound(`There is no job “${id}”.`),
  );

/** Put a job away: it leaves the list and nothing of it is lost. */
export const PUT = put(true);
/** Take it back. */
export const DELETE = put(false);
