'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { PlainButton } from '@/ui/plain-button';
import { useJob, usePlan } from '@/job/job-context';

/** Someone else saved meanwhile: nothing is overwritten until the person here chooses. */
export function ConflictBanner() {
  const saving = useJob((state) => state.saving);
  const revision = useJob((state) => state.revision);
  const takeTheirs = useJob((state) => state.takeTheirs);
  const keepMine = useJob((state) => state.keepMine);
  const plan = usePlan();
  const router = useRouter();
  const [problem, setProblem] = useState<string | null>(null);
  if (saving.state !== 'conflict') return null;
  const copy = async () => {
    const mine = { ...plan, job: { ...plan.job, name: `${plan.job.name} (my copy)` } };
    const response = await fetch('/api/jobs', { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(mine) });
    if (!response.ok) return setProblem('The copy could not be saved. Try again.');
    const { id } = (await response.json()) as { id: string };
    takeTheirs();
    router.push(`/jobs/${id}`);
  };
  return (
    <div
      role="alertdialog"
      aria-label="Someone saved this job meanwhile"
      className="flex flex-wrap items-center gap-3 border-b-4 border-stop bg-[#fdeceb] px-4 py-2"
    >
      <p className="min-w-0 flex-1">
        <strong>Revision {saving.theirRevision} was saved somewhere else</strong> while you worked on revision {revision}. Your changes are still here and
        nothing has been overwritten. {problem}
      </p>
      <PlainButton onClick={takeTheirs}>Drop mine, take theirs</PlainButton>
      <PlainButton onClick={() => void copy()}>Keep mine as a copy</PlainButton>
      <PlainButton strong onClick={keepMine}>
        Save mine over theirs
      </PlainButton>
    </div>
  );
}
