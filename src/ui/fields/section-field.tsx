'use client';
import { Command } from 'cmdk';
import { ChevronDown } from 'lucide-react';
import * as Popover from '@radix-ui/react-popover';
import { useId, useMemo, useState } from 'react';
import { findSection, searchSections } from '@/core/steel/sections';
import { formatQuantity, type UnitSystem } from '@/core/units';
import { FieldShell } from './field-shell';

const SHOWN = 80;

/** A searchable list of the section tables; a mark is found however it is written. */
export function SectionField({ label, value, system, onValue }: { label: string; value: string; system: UnitSystem; onValue: (designation: string) => void }) {
  const id = useId();
  const [open, setOpen] = useState(false);
  const [search, setSearch] = useState('');
  const rows = useMemo(() => searchSections(search, SHOWN), [search]);
  const known = findSection(value);
  const close = (next: boolean) => {
    setOpen(next);
    if (!next) setSearch('');
  };
  return (
    <FieldShell
      id={id}
      label={label}
      problem={known || value === '' ? undefined : `“${value}” is not in the tables: choose one.`}
      note={
        known &&
        `${formatQuantity(known.massPerLength, 'massPerLength', system)}, ${formatQuantity(known.depth, 'dimension', system)} deep · ${known.basis}; confirm against the current table`
      }
    >
      <Popover.Root open={open} onOpenChange={close}>
        <Popover.Trigger id={id} className="flex w-full min-w-0 items-center justify-between py-0.5 text-left text-[15px] leading-5 font-semibold">
          <span className="truncate">{known?.designation ?? (value || 'none said')}</span>
          <ChevronDown size={15} aria-hidden />
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            aria-label="Find a section"
            align="start"
            sideOffset={2}
            className="z-50 w-[320px] border border-ink bg-white shadow-[3px_3px_0_rgba(34,40,44,.18)]"
          >
            <Command shouldFilter={false} label="Find a section">
              <Command.Input
                autoFocus
                value={search}
                onValueChange={setSearch}
                placeholder="W10x88, ub 533, HE 200 A …"
                className="w-full border-b border-line px-2.5 py-2 text-[15px] outline-none"
              />
              <Command.List className="max-h-72 overflow-auto">
                <Command.Empty className="px-2.5 py-3 text-soft">No listed section has that mark.</Command.Empty>
                {rows.map((row) => (
                  <Command.Item
                    key={row.designation}
                    value={row.designation}
                    onSelect={() => {
                      onValue(row.designation);
                      close(false);
                    }}
                    className="flex cursor-pointer justify-between gap-2 px-2.5 py-1 data-[selected=true]:bg-tray"
                  >
                    <span className="font-semibold">{row.designation}</span>
                    <span className="text-soft">
                      {formatQuantity(row.massPerLength, 'massPerLength', system)} · {formatQuantity(row.depth, 'dimension', system)}
                    </span>
                  </Command.Item>
                ))}
              </Command.List>
            </Command>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </FieldShell>
  );
}
