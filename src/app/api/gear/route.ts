import { database } from '@/server/db/connect';
import { handle } from '@/server/http/handle';
import { gearOfJobs } from '@/server/jobs';

/** The cranes and the lifting gear of all jobs but one. */
export const GET = handle('read', async (request, actor) =>
  Response.json(await gearOfJobs(database(), actor.owner, new URL(request.url).searchParams.get('except') ?? '')),
);
