'use client';
import { useMemo } from 'react';
import type { About, StationId } from '@/core/verdict/check';
import { subjectVerdict } from '@/core/verdict/subject-verdict';
import { VerdictMark } from '@/ui/verdict/verdict-mark';
import { useJob } from '@/job/job-context';

/** How one thing of a station stands, beside its name: the largest share of a limit it uses, and its worst verdict. */
export function SubjectMark({ station, about: { kind, id } }: { station: StationId; about: Pick<About, 'kind' | 'id'> }) {
  const checks = useJob((state) => state.survey.evaluation.checks);
  const stands = useMemo(() => subjectVerdict(checks, station, { kind, id }), [checks, station, kind, id]);
  if (!stands) return null;
  const { used, verdict } = stands;
  return (
    <span className="flex items-center gap-1.5">
      {used !== null && used > 0 && (
        <span className="sign text-[14px]" title="share of its limit that is used; 1.00 is all of it">
          {used > 9.995 ? '> 10' : used.toFixed(2)}
        </span>
      )}
      <VerdictMark verdict={verdict} size={15} />
    </span>
  );
}
