'use client';
import * as Popover from '@radix-ui/react-popover';
import { CalendarDays } from 'lucide-react';
import { useId, useState, type ReactNode } from 'react';
import { DayPicker } from 'react-day-picker';
import type { Fault } from '@/core/calc/schema';
import { dayOf, dayWords, isDay } from '@/core/units/day';
import { readDay } from '@/core/units/read-day';
import { FieldShell } from './field-shell';

interface DateFieldProps {
  label: string;
  value: string;
  onValue: (value: string) => Fault[] | null;
  onDone?: () => void;
  note?: ReactNode;
}

const step = 'grid size-8 place-items-center hover:bg-tray';
const LOOK = {
  root: 'relative p-2',
  month_caption: 'flex h-8 items-center justify-center sign text-[17px]',
  nav: 'absolute inset-x-2 top-2 flex justify-between',
  button_previous: step,
  button_next: step,
  chevron: 'size-4 fill-ink',
  weekday: 'h-7 w-8 text-[12.5px] font-normal text-soft',
  day: 'p-0 text-center',
  day_button: 'size-8 text-[15px] tabular-nums hover:bg-tray',
  today: 'font-bold underline underline-offset-4',
  selected: 'bg-ink text-paper [&_button]:hover:bg-ink',
  outside: 'text-soft',
};

/** Midnight of a day where the reader is, as the calendar wants it. */
function midnight(day: string): Date {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  return new Date(year, month - 1, date);
}

/** A day, the month always in letters: typed as people write it, or taken from a calendar. */
export function DateField({ label, value, onValue, onDone, note }: DateFieldProps) {
  const id = useId();
  const [open, setOpen] = useState(false);
  // What is typed stands as it was typed, until the day becomes another by something else.
  const [typed, setTyped] = useState<{ text: string; of: string; problem: string | null; left: boolean } | null>(null);
  const own = typed && typed.of === value ? typed : null;
  const known = isDay(value) ? midnight(value) : undefined;
  const type = (text: string) => {
    const read = text.trim() === '' ? { day: '' } : readDay(text);
    if ('asks' in read) return setTyped({ text, of: value, problem: read.asks, left: false });
    const faults = read.day === value ? null : onValue(read.day);
    setTyped({ text, of: faults ? value : read.day, problem: faults?.[0]?.error ?? null, left: faults !== null });
  };
  const leave = () => {
    setTyped(own?.problem ? { ...own, left: true } : null);
    onDone?.();
  };
  const problem = own?.left ? own.problem : null;
  return (
    <FieldShell id={id} label={label} problem={problem} note={note}>
      <input
        id={id}
        type="text"
        autoComplete="off"
        className="w-full min-w-0 bg-transparent py-0.5 text-[15px] leading-5 outline-none placeholder:text-missing"
        value={own?.text ?? dayWords(value)}
        placeholder="day, month, year"
        aria-invalid={problem ? true : undefined}
        aria-describedby={problem ? `${id}-problem` : undefined}
        onChange={(event) => type(event.target.value)}
        onBlur={leave}
      />
      {known && <span className="shrink-0 self-center text-[12.5px] text-soft">{known.toLocaleDateString('en', { weekday: 'short' })}</span>}
      <Popover.Root open={open} onOpenChange={setOpen}>
        <Popover.Trigger aria-label="Open calendar" className="-my-1 grid size-8 shrink-0 place-items-center self-center text-soft hover:text-ink">
          <CalendarDays size={16} aria-hidden />
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content aria-label="Calendar" align="end" sideOffset={2} className="z-50 border border-ink bg-white shadow-[3px_3px_0_rgba(34,40,44,.18)]">
            <DayPicker
              mode="single"
              required
              autoFocus
              showOutsideDays
              weekStartsOn={1}
              classNames={LOOK}
              selected={known}
              defaultMonth={known}
              onSelect={(day) => {
                type(dayOf(day));
                setTyped(null);
                setOpen(false);
                onDone?.();
              }}
            />
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </FieldShell>
  );
}
