import { headers } from 'next/headers';
import { notFound } from 'next/navigation';
import { verdicts } from '@/core/plan/check';
import { evaluate } from '@/core/plan/evaluate';
import { surveyPlan } from '@/core/plan/survey';
import type { Plan } from '@/core/plan/schema';
import { authorise } from '@/server/authorise';
import { database } from '@/server/db/connect';
import { findJob } from '@/server/jobs';
import { localDay } from '@/server/today';
import { JobScreen } from '@/stations/job-screen';

export const dynamic = 'force-dynamic';

/** The moment to open at: where the worst trouble is, else the lift. */
function firstMove(plan: Plan): number {
  const { checks } = evaluate(plan, localDay());
  for (const verdict of verdicts.filter((one) => one !== 'clear')) {
    const at = plan.moves.findIndex((move) => checks.some((check) => check.move === move.id && check.verdict === verdict));
    if (at >= 0) return at;
  }
  return plan.moves.findIndex((move) => move.kind === 'pick.lift');
}

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const actor = authorise(await headers(), 'read');
  const { id } = await params;
  const job = await findJob(database(), actor.owner, id);
  if (!job) notFound();
  const cursor = firstMove(job.plan);
  return (
    <JobScreen
      key={id}
      id={id}
      revision={job.revision}
      plan={job.plan}
      survey={surveyPlan(job.plan, localDay(), cursor, 'beam')}
      cursor={cursor}
      station="runSheet"
    />
  );
}
