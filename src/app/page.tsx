import { headers } from 'next/headers';
import { authorise } from '@/server/authorise';
import { database } from '@/server/db/connect';
import { listJobs, type JobLine } from '@/server/jobs';
import { coreVersion } from '@/server/pool';
import { localDay } from '@/server/today';
import { JobsScreen, type JobRow } from '@/stations/jobs/jobs-screen';

export const dynamic = 'force-dynamic';

const rowOf = ({ savedAt, ...line }: JobLine): JobRow => ({ ...line, savedAt: savedAt.toISOString() });

/** The list of jobs. It opens no plan and checks nothing: what is not known of a job is asked for by its line. */
export default async function Page() {
  const actor = authorise(await headers(), 'read');
  const list = (away: boolean) => listJobs(database(), actor.owner, coreVersion(), localDay(), away);
  const [here, away] = await Promise.all([list(false), list(true)]);
  return <JobsScreen rows={here.map(rowOf)} away={away.map(rowOf)} />;
}
