'use client';
import { later } from '@/ui/later';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import type { Fault } from '@/core/calc/schema';
import { PlainButton } from '@/ui/plain-button';
import { useRunning } from '@/ui/use-running';
import { again } from '@/ui/again';
import { JobLine, type JobRow, type JobSummary } from './job-row';
import { NewJobDialog } from './new-job-dialog';

export type { JobRow } from './job-row';

/** Read where there is something to fold away. */
const Fold = later(() => again(() => import('@/ui/workings/fold')).then((part) => part.Fold));

/** The jobs with how each stands; a new one, or one from a plan file. */
export function JobsScreen({ rows: listed, away: listedAway }: { rows: JobRow[]; away: JobRow[] }) {
  const router = useRouter();
  const found = useSummaries(listed);
  const rows = listed.map((row) => ({ ...row, summary: row.summary ?? found.get(row.id) ?? null }));
  const move = async (row: JobRow, put: boolean) => {
    const response = await fetch(`/api/jobs/${row.id}/away`, { method: put ? 'PUT' : 'DELETE' }).catch(() => null);
    if (response?.ok) return router.refresh();
    setFaults({
      name: row.name,
      title: `${row.name} was not moved; nothing has changed`,
      list: [{ path: '', error: 'The server does not answer. Try again.' }],
    });
  };
  const file = useRef<HTMLInputElement>(null);
  const [faults, setFaults] = useState<{ name: string; title?: string; list: Fault[] } | null>(null);
  // Times are shown in the reader's own zone, which only the browser knows.
  const running = useRunning();
  const bring = async (chosen: File | undefined) => {
    if (!chosen) return;
    // What reads a plan is fetched when somebody brings one.
    const { openPlanText } = await again(() => import('@/core/document/open'));
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
      <main aria-busy={!running} className="mx-auto w-full max-w-[1120px] flex-1 px-6 py-7">
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
            <h2 className="text-[18px] text-stop">{faults.title ?? `${faults.name} was not opened; nothing has changed`}</h2>
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
          <JobTable rows={rows} local={running} away={false} onMove={(row) => void move(row, true)} />
        )}
        {listedAway.length > 0 && (
          <div className="mt-8">
            <Fold title={`Put away: ${listedAway.length}`} note="not in the list, and not lost">
              <JobTable rows={listedAway} local={running} away onMove={(row) => void move(row, false)} />
            </Fold>
          </div>
        )}
      </main>
      <footer className="border-t border-line bg-board px-6 py-3 text-[13px] text-soft">
        Temporary works and lifts can kill. This program computes and records; it does not approve. Local codes, the maker’s own chart, and a licensed engineer
        or appointed competent person decide. A missing input is never a pass.
      </footer>
    </div>
  );
}

/** Asked for two at a time: each is worked out on the server, and the list is there meanwhile. */
const AT_ONCE = 2;

/** How the jobs stand whose stored verdict is of another day or another core. */
function useSummaries(rows: JobRow[]): ReadonlyMap<string, JobSummary> {
  const [found, setFound] = useState<ReadonlyMap<string, JobSummary>>(new Map());
  const asked = rows
    .filter((row) => row.summary === null)
    .map((row) => row.id)
    .join(' ');
  useEffect(() => {
    const left = asked === '' ? [] : asked.split(' ');
    const gone = new AbortController();
    const next = async (): Promise<void> => {
      const id = left.shift();
      if (id === undefined || gone.signal.aborted) return;
      const response = await fetch(`/api/jobs/${id}/verdict`, { signal: gone.signal }).catch(() => null);
      const answer = response?.ok ? ((await response.json().catch(() => null)) as JobSummary | null) : null;
      if (answer) setFound((known) => new Map([...known, [id, answer]]));
      return next();
    };
    for (let i = 0; i < AT_ONCE; i += 1) void next();
    return () => gone.abort();
  }, [asked]);
  return found;
}

function JobTable({ rows, local, away, onMove }: { rows: JobRow[]; local: boolean; away: boolean; onMove: (row: JobRow) => void }) {
  return (
    <table className="mt-6 w-full border-t-2 border-ink text-left">
      <thead>
        <tr className="border-b border-ink text-[13px] text-soft">
          <th className="py-1.5 pl-2 font-normal">Stands</th>
          <th className="font-normal">Job</th>
          <th className="font-normal">Pieces</th>
          <th className="pr-4 font-normal">Moves</th>
          <th className="font-normal">Checks</th>
          <th className="text-right font-normal">Last saved</th>
          <th>
            <span className="sr-only">{away ? 'Take back' : 'Put away'}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <JobLine key={row.id} row={row} local={local} away={away} onMove={onMove} />
        ))}
      </tbody>
    </table>
  );
}
