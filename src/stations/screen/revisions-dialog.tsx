'use client';
import { DateTime } from 'luxon';
import { useEffect, useState } from 'react';
import { openPlan } from '@/core/document/open';
import type { Plan } from '@/core/document/schema';
import { revisionDifferences } from '@/core/document/differences';
import { Modal } from '@/ui/dialogs/modal';
import { PlainButton } from '@/ui/plain-button';
import { useAct, useJob, usePlan } from '@/job/job-context';

interface Line {
  revision: number;
  savedAt: string;
  savedBy: string;
}
type Looked = { revision: number; plan: Plan } | { revision: number; why: string };

/** Every save of the job: looked at, saved as a file, or brought back. What is brought back is saved on top; nothing goes. */
export function RevisionsDialog({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Modal
      open={open}
      onOpenChange={onOpenChange}
      wide
      title="Revisions"
      about="Every save is kept. One that is brought back is saved on top of the newest; undo takes it off again."
    >
      {open && <Revisions onDone={() => onOpenChange(false)} />}
    </Modal>
  );
}

function Revisions({ onDone }: { onDone: () => void }) {
  const id = useJob((state) => state.id);
  const revision = useJob((state) => state.revision);
  const plan = usePlan();
  const act = useAct();
  const [lines, setLines] = useState<Line[] | 'wait' | 'away'>('wait');
  const [looked, setLooked] = useState<Looked | null>(null);
  useEffect(() => {
    const gone = new AbortController();
    void fetch(`/api/jobs/${id}/revisions`, { signal: gone.signal })
      .then(async (response) => setLines(response.ok ? ((await response.json()) as Line[]) : 'away'))
      .catch(() => !gone.signal.aborted && setLines('away'));
    return () => gone.abort();
  }, [id, revision]);
  const look = async (number: number) => {
    const response = await fetch(`/api/jobs/${id}/revisions/${number}`).catch(() => null);
    const body = (await response?.json().catch(() => null)) as { detail?: string } | null;
    if (!response?.ok) return setLooked({ revision: number, why: body?.detail ?? 'The server does not answer. Try again.' });
    const opened = openPlan(body);
    setLooked(opened.ok ? { revision: number, plan: opened.plan } : { revision: number, why: opened.faults[0]?.error ?? '' });
  };
  if (lines === 'wait') return <p>Reading the revisions …</p>;
  if (lines === 'away') return <p className="text-stop">The server does not answer. Try again.</p>;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.3fr)] gap-6">
      <ol className="max-h-[52vh] overflow-y-auto border-t border-line">
        {lines.map((line) => (
          <li key={line.revision} className="border-b border-line">
            <button
              type="button"
              aria-pressed={looked?.revision === line.revision}
              onClick={() => void look(line.revision)}
              className="flex min-h-9 w-full items-baseline justify-between gap-3 px-2 py-1.5 text-left hover:bg-board aria-pressed:bg-tray"
            >
              <span className="sign text-[17px]">Revision {line.revision}</span>
              <span className="text-[13px] text-soft">
                {DateTime.fromISO(line.savedAt).toFormat('d LLL yyyy, HH:mm')}, {line.savedBy}
              </span>
            </button>
          </li>
        ))}
      </ol>
      <section aria-label="The revision looked at">
        {looked === null && <p className="text-soft">Choose a revision to see how it differs from what is on screen.</p>}
        {looked && 'why' in looked && <p className="text-stop">{looked.why}</p>}
        {looked && 'plan' in looked && (
          <>
            <h3 className="text-[18px]">Revision {looked.revision} against what is on screen</h3>
            <ul className="mt-1.5 mb-3 list-disc space-y-0.5 pl-5">
              {revisionDifferences(looked.plan, plan).map((words) => (
                <li key={words}>{words}</li>
              ))}
            </ul>
            <div className="flex flex-wrap gap-2">
              <PlainButton
                strong
                onClick={() => {
                  act('replacePlan', { plan: looked.plan });
                  onDone();
                }}
              >
                Bring revision {looked.revision} back
              </PlainButton>
              <a
                className="sign border-2 border-ink px-3.5 py-1.5 text-[16px] leading-5 hover:bg-tray"
                href={`/api/jobs/${id}/revisions/${looked.revision}`}
                download={`${looked.plan.job.name} rev ${looked.revision}.trestle.json`}
              >
                Save it as a file
              </a>
            </div>
          </>
        )}
      </section>
    </div>
  );
}
