'use client';
import { Archive, ArchiveRestore } from 'lucide-react';
import Link from 'next/link';
import { verdicts, type Verdict } from '@/core/verdict/check';
import { VerdictMark, verdictWord } from '@/ui/verdict/verdict-mark';
import { SmallButton } from '@/ui/small-button';

/** How a job stands, or why it cannot be opened. */
export type JobSummary = { verdict: Verdict; counts: Record<Verdict, number>; pieces: string[]; moves: number } | { unreadable: string };

export interface JobRow {
  id: string;
  name: string;
  place: string;
  /** null: to be checked again */
  summary: JobSummary | null;
  revision: number;
  savedAt: string;
}

const day = { day: 'numeric', month: 'short', year: 'numeric' } as const;
/** In the reader’s own zone; and, while only the server knows the page, by the day alone. */
const hereAndNow = new Intl.DateTimeFormat('en-GB', { ...day, hour: '2-digit', minute: '2-digit' });
const anywhere = new Intl.DateTimeFormat('en-GB', { ...day, timeZone: 'UTC' });

/** One job of the list. Nothing is shown of a verdict that was made for another plan, another day or another core. */
export function JobLine({ row, local, away, onMove }: { row: JobRow; local: boolean; away: boolean; onMove: (row: JobRow) => void }) {
  const { summary } = row;
  const known = summary && 'verdict' in summary ? summary : null;
  const broken = summary && 'unreadable' in summary ? summary.unreadable : null;
  const saved = new Date(row.savedAt);
  return (
    <tr className="border-b border-line hover:bg-board" data-job={row.id}>
      <td className="w-[132px] py-3 pl-2">
        {known ? (
          <span className="flex items-center gap-1.5">
            <VerdictMark verdict={known.verdict} size={20} bare />
            <span className="sign text-[18px]">{verdictWord[known.verdict]}</span>
          </span>
        ) : (
          <span className="text-[13px] leading-4 text-missing">{broken ? 'cannot be opened' : 'to be checked again'}</span>
        )}
      </td>
      <td className="max-w-[420px] pr-3">
        {broken ? (
          <span className="sign text-[20px] leading-6">{row.name}</span>
        ) : (
          <Link href={`/jobs/${row.id}`} className="sign text-[20px] leading-6 underline decoration-faint underline-offset-4 hover:decoration-ink">
            {row.name}
          </Link>
        )}
        <span className="block text-[13px] text-soft">{broken ? `${broken} What was saved is safe.` : row.place}</span>
      </td>
      <td>{known ? known.pieces.slice(0, 6).join(', ') + (known.pieces.length > 6 ? ` and ${known.pieces.length - 6} more` : '') || 'none' : ''}</td>
      <td>{known?.moves ?? ''}</td>
      <td>
        <span className="flex gap-3">
          {verdicts
            .filter((verdict) => (known?.counts[verdict] ?? 0) > 0)
            .map((verdict) => (
              <span key={verdict} className="flex items-center gap-1">
                <VerdictMark verdict={verdict} size={14} bare />
                {known?.counts[verdict]} {verdictWord[verdict]}
              </span>
            ))}
        </span>
      </td>
      <td className="text-right text-[13px] text-soft">
        rev {row.revision}
        <span className="block">{local ? hereAndNow.format(saved) : anywhere.format(saved)}</span>
      </td>
      <td className="w-10 pr-1 text-right">
        <SmallButton label={away ? `Take back ${row.name}` : `Put away ${row.name}`} onClick={() => onMove(row)}>
          {away ? <ArchiveRestore size={15} aria-hidden /> : <Archive size={15} aria-hidden />}
        </SmallButton>
      </td>
    </tr>
  );
}
