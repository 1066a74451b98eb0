'use client';
import { Printer } from 'lucide-react';
import * as DropdownMenu from '@radix-ui/react-dropdown-menu';
import { useRef, useState } from 'react';
import { dayAt, workDays } from '@/core/document/work-days';
import { Modal } from '@/ui/dialogs/modal';
import { PlainButton } from '@/ui/plain-button';
import { useJob, usePlan } from '@/job/job-context';
import { printSheet, type Laid } from './print-sheet';

const papers = [
  { paper: 'a4', on: 'A4' },
  { paper: 'letter', on: 'Letter' },
] as const;
const sheets = (
  [
    ['lift-plan', 'Lift plan, the whole set'],
    ['pick-card', 'Pick card'],
    ['run-sheet', 'Run sheet'],
    ['connections', 'Connections'],
    ['steel', 'Steel and way in'],
    ['shoring', 'Shoring'],
  ] as const
).flatMap(([sheet, name]) => papers.map(({ paper, on }) => ({ sheet, paper, name: `${name}, ${on}` })));

/** What is also printed for the day of work the moment is in. */
const ofDay = (
  [
    ['pick-card', 'its pick cards'],
    ['run-sheet', 'its run sheet'],
  ] as const
).flatMap(([sheet, name]) => papers.map(({ paper, on }) => ({ sheet, paper, name: `${name}, ${on}` })));
type Offered = (typeof sheets)[number] & { day?: number };

/** A sheet with more than this on it is laid out in sight, and can be broken off; a short one opens at once. */
const LONG = 150;

type Printing = { name: string; laid: Laid | null; why: string | null };

export function Sheets({ id, className }: { id: string; className: string }) {
  const saveNow = useJob((state) => state.saveNow);
  const plan = usePlan();
  const [printing, setPrinting] = useState<Printing | null>(null);
  const broken = useRef<AbortController | null>(null);
  const many = Math.max(plan.moves.length, plan.members.length, plan.picks.length * 5) > LONG;
  const print = async ({ sheet, paper, name, day }: Offered) => {
    const long = sheet === 'lift-plan' || many;
    await saveNow();
    const address = `/api/jobs/${id}/sheets/${sheet}?paper=${paper}${day === undefined ? '' : `&day=${day}`}`;
    if (!long) return void window.open(address, '_blank', 'noopener');
    broken.current = new AbortController();
    setPrinting({ name, laid: null, why: null });
    const outcome = await printSheet(address, broken.current.signal, (laid) => setPrinting({ name, laid, why: null }));
    setPrinting(outcome === null ? null : { name, laid: null, why: outcome });
  };
  const { structure, shoring, picks, raises = [], launches = [] } = plan;
  const has: Partial<Record<(typeof sheets)[number]['sheet'], boolean>> = {
    'pick-card': picks.length + raises.length + launches.length > 0,
    connections: structure.joints.length + structure.braces.length > 0,
    shoring: shoring.lines.length + shoring.bents.length > 0,
  };
  const cursor = useJob((state) => state.cursor);
  const day = dayAt(workDays(plan.moves), cursor);
  const offered: Offered[] = [
    ...sheets.filter(({ sheet }) => has[sheet] ?? true),
    ...(day ? ofDay.filter(({ sheet }) => has[sheet] ?? true).map((one) => ({ ...one, day: day.number, name: `Day ${day.number}: ${one.name}` })) : []),
  ];
  const close = () => {
    broken.current?.abort();
    setPrinting(null);
  };
  return (
    <>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger className={className} aria-label="Print" title="Print">
          <Printer size={17} />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="end" sideOffset={6} className="z-50 border border-ink bg-white shadow-[3px_3px_0_rgba(34,40,44,.18)]">
            {offered.map((one) => (
              <DropdownMenu.Item key={one.name} onSelect={() => void print(one)} className="cursor-pointer px-3 py-1.5 outline-none data-[highlighted]:bg-tray">
                {one.name}
              </DropdownMenu.Item>
            ))}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      <Modal open={printing !== null} onOpenChange={(open) => !open && close()} title={printing?.name ?? ''}>
        {printing?.why ? (
          <p className="text-stop">{printing.why}</p>
        ) : (
          <div className="space-y-3">
            <p role="status">{printing?.laid ? `Laid out: ${printing.laid.done} of ${printing.laid.of} stretches of pages.` : 'Working out the checks …'}</p>
            <progress className="h-2 w-full" value={printing?.laid?.done ?? 0} max={printing?.laid?.of ?? 1} />
            <PlainButton onClick={close}>Break it off</PlainButton>
          </div>
        )}
      </Modal>
    </>
  );
}
