'use client';
import { ArrowLeft, ArrowRight, Plus } from 'lucide-react';
import * as DropdownMenu from '@radix-ui/react-dropdown-menu';
import { possibleMoves } from '@/core/edit/move-offers';
import { moveKindName, moveWords } from '@/core/settle/move-words';
import type { Move, Plan } from '@/core/document/schema';
import { freshId } from '@/job/editing/fresh-id';
import { useAct, useJob, usePlan } from '@/job/job-context';

export function MoveTools() {
  const plan = usePlan();
  const act = useAct();
  const cursor = useJob((state) => state.cursor);
  const goTo = useJob((state) => state.goTo);
  const openStation = useJob((state) => state.openStation);
  const add = (move: Move) => {
    act('addMove', { move: { ...move, id: freshId('m') }, at: cursor + 1 });
    goTo(cursor + 1);
    openStation('runSheet');
  };
  const shift = (by: number) => {
    const move = plan.moves[cursor];
    if (!move || !plan.moves[cursor + by]) return;
    act('shiftMove', { id: move.id, to: cursor + by });
    goTo(cursor + by);
  };
  const button =
    'inline-flex h-6 items-center gap-1 border border-[#c9c0ac] bg-board px-2 text-[12.5px] hover:border-ink disabled:text-pencil disabled:hover:border-[#c9c0ac]';
  return (
    <span className="flex shrink-0 gap-1">
      <button type="button" className={button} disabled={cursor < 1} onClick={() => shift(-1)}>
        <ArrowLeft size={13} aria-hidden /> Put earlier
      </button>
      <button type="button" className={button} disabled={cursor < 0 || cursor >= plan.moves.length - 1} onClick={() => shift(1)}>
        Put later <ArrowRight size={13} aria-hidden />
      </button>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger className={button}>
          <Plus size={13} aria-hidden /> Move
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="end"
            sideOffset={4}
            className="z-50 max-h-[60vh] overflow-auto border border-ink bg-white shadow-[3px_3px_0_rgba(34,40,44,.18)]"
          >
            <DropdownMenu.Label className="px-3 pt-1.5 pb-1 text-[12.5px] text-soft">Add after this one</DropdownMenu.Label>
            {offered(plan).map((move, i) => (
              <DropdownMenu.Item key={i} onSelect={() => add(move)} className="cursor-pointer px-3 py-1 outline-none data-[highlighted]:bg-tray">
                {move.kind === 'other' ? `${moveKindName.other}: in your own words` : moveWords(plan, move).title}
              </DropdownMenu.Item>
            ))}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </span>
  );
}

/** What belongs to no thing of the plan first: it is not looked for below a thousand things. */
function offered(plan: Plan): Move[] {
  const moves = possibleMoves(plan);
  const isGeneral = ({ kind }: Move) => kind === 'day.end' || kind === 'other';
  return [...moves.filter(isGeneral), ...moves.filter((move) => !isGeneral(move))];
}
