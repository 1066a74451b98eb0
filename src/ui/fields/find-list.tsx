'use client';
import * as Popover from '@radix-ui/react-popover';
import { Command } from 'cmdk';
import { ChevronDown } from 'lucide-react';
import { useState, type ReactNode } from 'react';

/** How a row of the list looks. */
export const findRow = 'cursor-pointer px-2.5 py-1 data-[selected=true]:bg-tray';

/** One of very many, found by what is written: a button that says which it is, and the list under it. */
export function FindList({
  id,
  name,
  says,
  look,
  width,
  above,
  finds,
  placeholder,
  none,
  rows,
}: {
  id?: string;
  /** what the button is called, where no label stands over it */
  name?: string;
  says: string;
  look: string;
  width: string;
  /** the list opens over it */
  above?: boolean;
  finds: string;
  placeholder: string;
  none: string;
  /** of what is written, and what closes the list */
  rows: (search: string, close: () => void) => ReactNode;
}) {
  const [open, setOpen] = useState(false);
  const [search, setSearch] = useState('');
  const show = (next: boolean) => {
    setOpen(next);
    if (!next) setSearch('');
  };
  return (
    <Popover.Root open={open} onOpenChange={show}>
      <Popover.Trigger id={id} aria-label={name} className={`flex min-w-0 items-center justify-between gap-1 text-left font-semibold ${look}`}>
        <span className="truncate">{says}</span>
        <ChevronDown size={15} aria-hidden />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={finds}
          align="start"
          side={above ? 'top' : 'bottom'}
          sideOffset={2}
          className={`z-50 border border-ink bg-white shadow-[3px_3px_0_rgba(34,40,44,.18)] ${width}`}
        >
          <Command shouldFilter={false} label={finds}>
            <Command.Input
              autoFocus
              value={search}
              onValueChange={setSearch}
              placeholder={placeholder}
              className="w-full border-b border-line px-2.5 py-2 text-[15px] outline-none"
            />
            <Command.List className="max-h-72 overflow-auto">
              <Command.Empty className="px-2.5 py-3 text-soft">{none}</Command.Empty>
              {rows(search, () => show(false))}
            </Command.List>
          </Command>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
