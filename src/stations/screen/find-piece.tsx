'use client';
import * as Popover from '@radix-ui/react-popover';
import { Command } from 'cmdk';
import { ChevronDown } from 'lucide-react';
import { useState } from 'react';

/** So many pieces are shown at once: who has more writes a letter of the mark. */
const SHOWN = 60;

/** One of the pieces of the model, found by its mark. */
export function FindPiece({
  pieces,
  picked,
  onPick,
}: {
  pieces: readonly { id: string; mark: string }[];
  picked: string | null;
  onPick: (id: string | null) => void;
}) {
  const [open, setOpen] = useState(false);
  const [search, setSearch] = useState('');
  const wanted = search.trim().toLowerCase();
  const found = pieces.filter(({ mark }) => mark.toLowerCase().includes(wanted));
  const take = (id: string | null) => {
    onPick(id);
    setOpen(false);
    setSearch('');
  };
  const mark = pieces.find(({ id }) => id === picked)?.mark ?? 'none: point at one';
  const row = 'cursor-pointer px-2.5 py-1 data-[selected=true]:bg-tray';
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger aria-label={`Piece: ${mark}`} className="flex items-center gap-1 border-b border-pencil font-semibold">
        {mark}
        <ChevronDown size={15} aria-hidden />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label="Find a piece"
          align="start"
          side="top"
          sideOffset={2}
          className="z-50 w-[220px] border border-ink bg-white shadow-[3px_3px_0_rgba(34,40,44,.18)]"
        >
          <Command shouldFilter={false} label="Find a piece">
            <Command.Input
              autoFocus
              value={search}
              onValueChange={setSearch}
              placeholder="its mark"
              className="w-full border-b border-line px-2.5 py-2 text-[15px] outline-none"
            />
            <Command.List className="max-h-60 overflow-auto">
              <Command.Empty className="px-2.5 py-3 text-soft">No piece has that mark.</Command.Empty>
              {wanted === '' && (
                <Command.Item value="none" onSelect={() => take(null)} className={row}>
                  none: point at one
                </Command.Item>
              )}
              {found.slice(0, SHOWN).map(({ id, mark }) => (
                <Command.Item key={id} value={id} onSelect={() => take(id)} className={`${row} font-semibold`}>
                  {mark}
                </Command.Item>
              ))}
              {found.length > SHOWN && <p className="px-2.5 py-1 text-soft">and {found.length - SHOWN} more</p>}
            </Command.List>
          </Command>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
