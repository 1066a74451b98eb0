import { headers } from 'next/headers';
import Link from 'next/link';
import { notFound } from 'next/navigation';
import { authorise } from '@/server/authorise';
import { database } from '@/server/db/connect';
import { findJob, UnreadableStoredPlan, type StoredPlan } from '@/server/jobs';
import { inPool, NotFinished } from '@/server/pool';
import type { Tasks } from '@/server/pool/tasks';
import { localDay } from '@/server/today';
import { JobScreen } from '@/stations/screen/job-screen';

export const dynamic = 'force-dynamic';

const told = (title: string, why: string) => (
  <main className="mx-auto max-w-xl px-6 py-20">
    <h1 className="text-[32px]">{title}</h1>
    <p className="mt-2">{why}</p>
    <p className="mt-2">
      What was saved is safe.{' '}
      <Link href="/" className="underline">
        Back to the jobs.
      </Link>
    </p>
  </main>
);

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const actor = authorise(await headers(), 'read');
  const { id } = await params;
  const opened = await open(actor.owner, id);
  if (opened === null) notFound();
  if ('why' in opened) return told(opened.title, opened.why);
  const { job, cursor, survey } = opened;
  return <JobScreen key={id} id={id} revision={job.revision} plan={job.plan} survey={survey} cursor={cursor} station="runSheet" />;
}

type Opened = { job: StoredPlan; cursor: number; survey: Tasks['open']['output']['survey'] | null };

/** Pieces, moves and marks together. */
const LARGE = 250;

/** The job with its checks, worked out on a worker thread; or why it cannot be shown. Null when there is none. */
async function open(owner: string, id: string): Promise<Opened | { title: string; why: string } | null> {
  try {
    const job = await findJob(database(), owner, id);
    if (!job) return null;
    // The checks of a large plan are more than a page can carry: the browser works them out itself and says so meanwhile.
    if (job.plan.pieces.length + job.plan.moves.length + job.plan.members.length > LARGE) return { job, cursor: -1, survey: null };
    return { job, ...(await inPool('open', { plan: job.plan, today: localDay() })) };
  } catch (failure) {
    if (failure instanceof UnreadableStoredPlan) return { title: 'This job cannot be opened', why: failure.message };
    if (failure instanceof NotFinished) return { title: 'This job could not be worked out', why: failure.message };
    throw failure;
  }
}
