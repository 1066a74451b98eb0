import { headers } from 'next/headers';
import Link from 'next/link';
import { notFound } from 'next/navigation';
import { authorise } from '@/server/authorise';
import { database } from '@/server/db/connect';
import { findJob, UnreadableStoredPlan } from '@/server/jobs';
import { inPool, NotFinished } from '@/server/pool';
import { localDay } from '@/server/today';
import { JobScreen } from '@/stations/job-screen';

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
  try {
    const job = await findJob(database(), actor.owner, id);
    if (!job) notFound();
    const { cursor, survey } = await inPool('open', { plan: job.plan, today: localDay() });
    return <JobScreen key={id} id={id} revision={job.revision} plan={job.plan} survey={survey} cursor={cursor} station="runSheet" />;
  } catch (failure) {
    if (failure instanceof UnreadableStoredPlan) return told('This job cannot be opened', failure.message);
    if (failure instanceof NotFinished) return told('This job could not be worked out', failure.message);
    throw failure;
  }
}
