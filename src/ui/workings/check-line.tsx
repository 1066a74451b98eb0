'use client';
import * as Accordion from '@radix-ui/react-accordion';
import { Wrench } from 'lucide-react';
import { later } from '@/ui/later';
import type { ReactNode } from 'react';
import type { Check } from '@/core/verdict/check';
import type { Fix } from '@/core/edit/fixes';
import { describe } from '@/core/verdict/describe';
import { formatQuantity, type UnitSystem } from '@/core/units';
import { VerdictMark, verdictWord } from '../verdict/verdict-mark';
import { again } from '../again';

/** The working knows every calculation: it is read when a row is opened. */
export const Traces = later(() => again(() => import('./traces')).then((part) => part.default));

export const checkKey = (check: Check): string =>
  `${check.id}/${check.about.kind}/${check.about.id}/${check.about.part ?? ''}/${check.subject}/${check.move ?? 'before'}`;

/** One check: sentence, demand against capacity as a bar with the limit marked, ratio. Opened, the working and its source. */
export function CheckLine({
  check,
  system,
  onGo,
  fixes = [],
  onFix,
  beyond,
}: {
  check: Check;
  system: UnitSystem;
  onGo?: (check: Check) => void;
  /** changes of the run sheet that settle it */
  fixes?: readonly Fix[];
  onFix?: (check: Check, fix: Fix) => void;
  /** what an opened row shows beyond its own working */
  beyond?: (check: Check) => ReactNode;
}) {
  const loud = check.verdict === 'stop';
  const sentence = describe(check, system);
  return (
    <Accordion.Item
      value={checkKey(check)}
      className={`rule-b ${loud ? 'bg-stop text-white' : ''}`}
      data-check={check.id}
      data-subject={check.subject}
      data-verdict={check.verdict}
    >
      <Accordion.Header asChild>
        <h3 className="font-text font-normal">
          <Accordion.Trigger
            onClick={() => check.verdict === 'missing' && onGo?.(check)}
            className={`grid w-full grid-cols-[18px_1fr_auto] items-start gap-x-2.5 px-3.5 py-2 text-left ${loud ? 'hover:bg-[#9c1f18]' : 'hover:bg-board'}`}
          >
            <span className={loud ? 'mt-px rounded-sm ring-1 ring-white' : 'mt-px'}>
              <VerdictMark verdict={check.verdict} size={17} />
            </span>
            <span className={`${loud ? 'sign text-[17.5px] leading-[1.2]' : 'text-[14px] leading-[1.32]'}`}>
              {sentence}
              <Bar check={check} />
            </span>
            <span className={`sign text-[17px] leading-5 ${loud ? 'text-white' : ''}`}>
              <Ratio check={check} />
            </span>
          </Accordion.Trigger>
        </h3>
      </Accordion.Header>
      {fixes.length > 0 && (
        <div className="flex flex-col items-start gap-1 pr-3.5 pb-2 pl-[42px]">
          {fixes.map((fix) => (
            <button
              key={fix.words}
              type="button"
              onClick={() => onFix?.(check, fix)}
              className="flex min-h-7 items-center gap-1.5 border border-ink bg-paper px-2 py-0.5 text-left text-[13px] leading-[1.25] text-ink hover:bg-white"
            >
              <Wrench size={13} aria-hidden className="shrink-0" />
              {fix.words}
            </button>
          ))}
        </div>
      )}
      <Accordion.Content className={loud ? 'bg-paper text-ink' : ''}>
        <Working check={check} system={system} />
        {beyond?.(check)}
      </Accordion.Content>
    </Accordion.Item>
  );
}

function Ratio({ check }: { check: Check }) {
  if (check.verdict === 'missing') return <span aria-label="no result">–</span>;
  if (check.ratio === null) return null;
  if (!Number.isFinite(check.ratio)) return <span>over</span>;
  if (check.quantity === 'count')
    return <span className="text-[14px]">{check.id === 'release.bolts' ? `${check.capacity ?? 0} of ${check.demand ?? 0}` : ''}</span>;
  return <span>{check.ratio >= 9.995 ? '> 10' : check.ratio.toFixed(2)}</span>;
}

function Bar({ check }: { check: Check }) {
  const { ratio, verdict, caution } = check;
  if (ratio === null || check.quantity === 'count' || verdict === 'missing') return null;
  const shown = Math.min(Number.isFinite(ratio) ? ratio : 2, 1.25) / 1.25;
  const at = (share: number) => `${(share / 1.25) * 100}%`;
  const fill = verdict === 'stop' ? 'bg-white' : verdict === 'tight' ? 'hatched' : 'bg-clear';
  return (
    <span aria-hidden className={`relative mt-1.5 block h-[5px] ${verdict === 'stop' ? 'bg-[#7d1711]' : 'bg-[#e2dbcb]'}`}>
      <span className={`absolute inset-y-0 left-0 ${fill}`} style={{ width: `${shown * 100}%` }} />
      {caution !== null && caution < 1 && (
        <span className={`absolute -top-px h-[7px] w-px ${verdict === 'stop' ? 'bg-white/70' : 'bg-pencil'}`} style={{ left: at(caution) }} />
      )}
      <span className={`absolute -top-[3px] h-[11px] w-[2px] ${verdict === 'stop' ? 'bg-white' : 'bg-ink'}`} style={{ left: at(1) }} />
    </span>
  );
}

function Working({ check, system }: { check: Check; system: UnitSystem }) {
  return (
    <div className="border-t border-dotted border-line bg-white/60 px-3.5 pt-2 pb-2.5">
      <Traces traces={check.traces} system={system} />
      {check.demand !== null && check.capacity !== null && check.ratio !== null && check.quantity !== 'count' && (
        <p className="border-t border-dotted border-faint pt-1 font-semibold">
          {formatQuantity(check.demand, check.quantity, system)} / {formatQuantity(check.capacity, check.quantity, system)} ={' '}
          {Number.isFinite(check.ratio) ? check.ratio.toFixed(2) : 'over'}: {verdictWord[check.verdict]}
          {check.caution !== null && `, tight from ${check.caution.toFixed(2)}`}
        </p>
      )}
      <p className="mt-1 text-[12.5px] text-soft">{check.source}</p>
    </div>
  );
}
