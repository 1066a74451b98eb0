'use client';
import { DateTime } from 'luxon';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useRef, useState, useSyncExternalStore } from 'react';
import type { Fault } from '@/core/calc/schema';
import { verdicts, type Verdict } from '@/core/plan/check';
import { openPlanText } from '@/core/plan/open';
import { VerdictMark, verdictWord } from '@/ui/verdict/verdict-mark';
import { PlainButton } from '@/ui/dialogs/modal';
import { NewJobDialog } from './new-job-dialog';

export interface JobRow {
  id: string;
  name: string;
  place: string;
  verdict: Verdict;
  counts: Record<Verdict, number>;
  pieces: string[];
  moves: number;
  revision: number;
  savedAt: string;
}

const never = () => () => undefined;

/** The jobs with how each stands; a new one, or one from a plan file. */
export function JobsScreen({ rows }: { rows: JobRow[] }) {
  const router = useRouter();
  const file = useRef<HTMLInputElement>(null);
  const [faults, setFaults] = useState<{ name: string; list: Fault[] } | null>(null);
  // Times are shown in the reader's own zone, which only the browser knows.
  const inBrowser = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  const bring = async (chosen: File | undefined) => {
    if (!chosen) return;
    const opened = openPlanText(await chosen.text());
    if (!opened.ok) return setFaults({ name: chosen.name, list: opened.faults });
    const response = await fetch('/api/jobs', { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(opened.plan) });
    if (!response.ok) {
      const { detail } = (await response.json()) as { detail?: string };
      return setFaults({ name: chosen.name, list: [{ path: '', error: detail ?? 'The server did not take it. Try again.' }] });
    }
    const { id } = (await response.json()) as { id: string };
    router.push(`/jobs/${id}`);
  };
  return (
    <div className="flex min-h-dvh flex-col">
      <header className="flex h-[46px] items-center bg-ink px-6 text-white">
        <p className="sign text-[20px] font-bold tracking-[0.02em]">
          Keen<span className="text-timber">·</span>Trestle
        </p>
        <p className="ml-auto text-[13px] text-[#c9c4b8]">No accounts yet: this program answers on this machine only.</p>
      </header>
      <main className="mx-auto w-full max-w-[1120px] flex-1 px-6 py-7">
        <div className="flex flex-wrap items-end justify-between gap-4">
          <div>
            <h1 className="mb-1 text-[34px] leading-9 font-bold">Jobs</h1>
            <p className="text-soft">Each lift, shore and landing is checked as you plan it. Open a job to see its first stop.</p>
          </div>
          <div className="flex gap-2">
            <PlainButton onClick={() => file.current?.click()}>Open a plan file</PlainButton>
            <input
              ref={file}
              type="file"
              accept=".json,application/json"
              aria-label="Plan file"
              className="sr-only"
              tabIndex={-1}
              onChange={(event) => (void bring(event.target.files?.[0]), (event.target.value = ''))}
            />
            <NewJobDialog />
          </div>
        </div>
        {faults && (
          <section role="alert" className="mt-5 border-2 border-stop bg-[#fdeceb] px-4 py-3">
            <h2 className="text-[18px] text-stop">{faults.name} was not opened; nothing has changed</h2>
            <ul className="mt-1 space-y-1">
              {faults.list.slice(0, 12).map((fault, i) => (
                <li key={i}>
                  {fault.path && <code className="mr-2 text-[13px] font-semibold">{fault.path}</code>}
                  {fault.error}
                </li>
              ))}
            </ul>
            {faults.list.length > 12 && <p className="mt-1">and {faults.list.length - 12} more.</p>}
          </section>
        )}
        {rows.length === 0 ? (
          <p className="mt-10 border border-line bg-board px-5 py-8 text-[16px]">
            No jobs yet. Begin with “New job”, or stop the program and start it again: the demo job comes back with it.
          </p>
        ) : (
          <table className="mt-6 w-full border-t-2 border-ink text-left">
            <thead>
              <tr className="border-b border-ink text-[13px] text-soft">
                <th className="py-1.5 pl-2 font-normal">Stands</th>
                <th className="font-normal">Job</th>
                <th className="font-normal">Pieces</th>
                <th className="font-normal">Moves</th>
                <th className="font-normal">Checks</th>
                <th className="pr-2 text-right font-normal">Last saved</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.id} className="border-b border-line hover:bg-board">
                  <td className="w-[104px] py-3 pl-2">
                    <span className="flex items-center gap-1.5">
                      <VerdictMark verdict={row.verdict} size={20} bare />
                      <span className="sign text-[18px]">{verdictWord[row.verdict]}</span>
                    </span>
                  </td>
                  <td>
                    <Link href={`/jobs/${row.id}`} className="sign text-[20px] leading-6 underline decoration-faint underline-offset-4 hover:decoration-ink">
                      {row.name}
                    </Link>
                    <span className="block text-[13px] text-soft">{row.place}</span>
                  </td>
                  <td>{row.pieces.join(', ') || 'none'}</td>
                  <td>{row.moves}</td>
                  <td>
                    <span className="flex gap-3">
                      {verdicts
                        .filter((verdict) => row.counts[verdict] > 0)
                        .map((verdict) => (
                          <span key={verdict} className="flex items-center gap-1">
                            <VerdictMark verdict={verdict} size={14} bare />
                            {row.counts[verdict]} {verdictWord[verdict]}
                          </span>
                        ))}
                    </span>
                  </td>
                  <td className="pr-2 text-right text-[13px] text-soft">
                    rev {row.revision}
                    <span className="block">{inBrowser ? DateTime.fromISO(row.savedAt).toFormat('d LLL yyyy, HH:mm') : row.savedAt.slice(0, 10)}</span>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </main>
      <footer className="border-t border-line bg-board px-6 py-3 text-[13px] text-soft">
        Temporary works and lifts can kill. This program computes and records; it does not approve. Local codes, the maker’s own chart, and a licensed engineer
        or appointed competent person decide. A missing input is never a pass.
      </footer>
    </div>
  );
}
