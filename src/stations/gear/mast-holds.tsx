'use client';
import { Command } from 'cmdk';
import { Plus, X } from 'lucide-react';
import type { MastHold } from '@/core/document/things/tower';
import { freshId } from '@/job/editing/fresh-id';
import { useInputs } from '@/job/editing/use-inputs';
import { usePlan } from '@/job/job-context';
import { FindList, findRow } from '@/ui/fields/find-list';
import { SmallButton } from '@/ui/small-button';
import type { Fault } from '@/core/calc/schema';

type Edit = (holds: MastHold[], field: string) => Fault[] | null;

/** So many pieces are shown at once: who has more writes a letter of the mark. */
const SHOWN = 40;

/** What holds a mast on its way up, and which pieces that is fixed to. */
export function MastHolds({ holds, onHolds }: { holds: readonly MastHold[]; onHolds: Edit }) {
  const { open, words } = useInputs();
  const add = () =>
    onHolds([...holds, { id: freshId('h'), name: `Tie ${holds.length + 1}`, level: null, brings: null, carries: null, by: '', pieces: [] }], 'add hold');
  const edit = (id: string, changes: Partial<MastHold>) =>
    onHolds(
      holds.map((one) => (one.id === id ? { ...one, ...changes } : one)),
      `${id} ${Object.keys(changes).join()}`,
    );
  return (
    <div className="col-span-2 space-y-2">
      {holds.map((hold) => (
        <div key={hold.id} data-thing={hold.id} className="grid grid-cols-2 gap-x-4 gap-y-2 border-t border-dotted border-line pt-1.5">
          {words('Tie or collar', hold.name, (name) => edit(hold.id, { name }))}
          {open('Holds the mast at', 'length', hold.level, (level) => edit(hold.id, { level }))}
          {open('Mast brings there', 'force', hold.brings, (brings) => edit(hold.id, { brings }))}
          {open('It may carry there', 'force', hold.carries, (carries) => edit(hold.id, { carries }))}
          {words('Its fixing worked out by', hold.by, (by) => edit(hold.id, { by }), { placeholder: 'nobody yet' })}
          <span className="self-end justify-self-end">
            <SmallButton
              danger
              label={`Remove ${hold.name || 'this tie'}`}
              onClick={() =>
                onHolds(
                  holds.filter(({ id }) => id !== hold.id),
                  `${hold.id} remove`,
                )
              }
            >
              <X size={14} />
            </SmallButton>
          </span>
          <FixedTo hold={hold} onPieces={(pieces) => edit(hold.id, { pieces })} />
        </div>
      ))}
      <SmallButton onClick={add}>
        <Plus size={13} aria-hidden /> What holds the mast
      </SmallButton>
    </div>
  );
}

/** The pieces a tie is fixed to, each taken off again by itself. */
function FixedTo({ hold, onPieces }: { hold: MastHold; onPieces: (pieces: string[]) => Fault[] | null }) {
  const plan = usePlan();
  const marks = new Map(plan.structure.pieces.map(({ id, mark }) => [id, mark]));
  return (
    <div className="col-span-2 flex flex-wrap items-center gap-1.5">
      <span className="text-[12px] text-soft">Fixed to</span>
      {hold.pieces.map((id) => (
        <SmallButton
          key={id}
          label={`${hold.name} is not fixed to ${marks.get(id) ?? id}`}
          onClick={() => onPieces(hold.pieces.filter((other) => other !== id))}
        >
          {marks.get(id) ?? id} <X size={12} aria-hidden />
        </SmallButton>
      ))}
      <FindList
        name={`${hold.name || 'It'} is fixed to`}
        says={hold.pieces.length === 0 ? 'no piece yet' : 'one more'}
        look="border-b border-pencil"
        width="w-[220px]"
        finds="Find a piece"
        placeholder="its mark"
        none="No piece has that mark."
        rows={(search, close) => {
          const wanted = search.trim().toLowerCase();
          const found = plan.structure.pieces.filter(({ id, mark }) => !hold.pieces.includes(id) && mark.toLowerCase().includes(wanted));
          return (
            <>
              {found.slice(0, SHOWN).map(({ id, mark }) => (
                <Command.Item
                  key={id}
                  value={id}
                  className={`${findRow} font-semibold`}
                  onSelect={() => {
                    onPieces([...hold.pieces, id]);
                    close();
                  }}
                >
                  {mark}
                </Command.Item>
              ))}
              {found.length > SHOWN && <p className="px-2.5 py-1 text-soft">and {found.length - SHOWN} more</p>}
            </>
          );
        }}
      />
    </div>
  );
}
