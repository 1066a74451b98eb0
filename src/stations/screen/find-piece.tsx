'use client';
import { Command } from 'cmdk';
import { FindList, findRow } from '@/ui/fields/find-list';

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
  const mark = pieces.find(({ id }) => id === picked)?.mark ?? 'none: point at one';
  return (
    <FindList
      name={`Piece: ${mark}`}
      says={mark}
      look="border-b border-pencil"
      width="w-[220px]"
      above
      finds="Find a piece"
      placeholder="its mark"
      none="No piece has that mark."
      rows={(search, close) => {
        const wanted = search.trim().toLowerCase();
        const found = pieces.filter((one) => one.mark.toLowerCase().includes(wanted));
        const take = (id: string | null) => {
          onPick(id);
          close();
        };
        return (
          <>
            {wanted === '' && (
              <Command.Item value="none" onSelect={() => take(null)} className={findRow}>
                none: point at one
              </Command.Item>
            )}
            {found.slice(0, SHOWN).map((one) => (
              <Command.Item key={one.id} value={one.id} onSelect={() => take(one.id)} className={`${findRow} font-semibold`}>
                {one.mark}
              </Command.Item>
            ))}
            {found.length > SHOWN && <p className="px-2.5 py-1 text-soft">and {found.length - SHOWN} more</p>}
          </>
        );
      }}
    />
  );
}
