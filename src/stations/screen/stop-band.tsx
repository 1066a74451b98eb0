'use client';
import { describe } from '@/core/verdict/describe';
import { whatStops } from '@/core/evaluate/waits';
import { VerdictMark } from '@/ui/verdict/verdict-mark';
import { useGoTo } from '@/job/view/go-to';
import { useJob, usePlan } from '@/job/job-context';

/** What stops this job, the worst in words and the rest by number: the same band heads every sheet. */
export function StopBand() {
  const plan = usePlan();
  const checks = useJob((state) => state.survey.evaluation.checks);
  const goTo = useGoTo();
  const bad = whatStops(checks);
  const first = bad[0];
  if (!first) return null;
  const stops = bad.filter((check) => check.verdict === 'stop').length;
  const numbers = [stops > 0 && `${stops} ${stops === 1 ? 'stop' : 'stops'}`, bad.length > stops && `${bad.length - stops} missing`].filter(Boolean).join(', ');
  return (
    <section
      aria-label="What stops this job"
      className={`flex items-center gap-3 border-b px-3 py-1 ${stops > 0 ? 'border-stop bg-[#fdeceb]' : 'border-missing bg-[#efedf2]'}`}
    >
      <VerdictMark verdict={first.verdict} size={16} />
      <p className="sign shrink-0 text-[16px]">This job may not go ahead: {numbers}</p>
      <button
        type="button"
        onClick={() => goTo(first)}
        className="min-h-8 min-w-0 flex-1 truncate max-[900px]:min-h-11 pointer-coarse:min-h-11 text-left text-[14px] underline decoration-faint underline-offset-2 hover:decoration-ink"
        title={describe(first, plan.job.units)}
      >
        {describe(first, plan.job.units)}
      </button>
    </section>
  );
}
