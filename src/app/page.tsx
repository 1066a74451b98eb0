import { headers } from 'next/headers';
import { evaluate } from '@/core/plan/evaluate';
import { authorise } from '@/server/authorise';
import { database } from '@/server/db/connect';
import { listJobs } from '@/server/jobs';
import { JobsScreen, type JobRow } from '@/stations/jobs-screen';

export const dynamic = 'force-dynamic';

export default async function Page() {
  const actor = authorise(await headers(), 'read');
  const jobs = await listJobs(database(), actor.owner);
  const rows = jobs.map(({ id, plan, revision, savedAt }): JobRow => {
    const { verdict, counts } = evaluate(plan);
    return {
      id,
      name: plan.job.name,
      place: plan.job.place,
      verdict,
      counts,
      pieces: plan.pieces.map((piece) => piece.mark),
      moves: plan.moves.length,
      revision,
      savedAt: savedAt.toISOString(),
    };
  });
  return <JobsScreen rows={rows} />;
}
