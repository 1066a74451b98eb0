'use client';
import { ArrowLeft, ArrowRight, Plus } from 'lucide-react';
import * as DropdownMenu from '@radix-ui/react-dropdown-menu';
import { liftedBy } from '@/core/plan/lookups';
import { moveKindName, moveWords } from '@/core/plan/move-words';
import type { Move, Plan } from '@/core/plan/schema';
import { strikeGroups } from '@/core/plan/strike-groups';
import { freshId } from './fresh-id';
import { useAct, useJob, usePlan } from './job-context';

/** Every move that could be added to this plan, with the words of its card. */
function possible(plan: Plan): Move[] {
  const moves: Move[] = [];
  for (const bearing of plan.bearings) moves.push({ id: '', kind: 'bearing.ready', bearing: bearing.id });
  for (const stand of plan.stands) moves.push({ id: '', kind: 'crane.set', stand: stand.id });
  for (const piece of plan.pieces) moves.push({ id: '', kind: 'piece.deliver', piece: piece.id });
  const ofStructure = new Map(plan.picks.map((pick) => [pick.piece, pick.id]));
  const picks = plan.picks.filter((pick) => liftedBy(plan, pick).kind === 'piece');
  for (const pick of plan.picks)
    moves.push({ id: '', kind: 'piece.sling', pick: pick.id }, { id: '', kind: 'pick.trial', pick: pick.id }, { id: '', kind: 'pick.lift', pick: pick.id });
  for (const pick of picks) moves.push({ id: '', kind: 'piece.land', pick: pick.id });
  for (const piece of plan.pieces) for (const end of ['left', 'right'] as const) moves.push({ id: '', kind: 'end.bolt', piece: piece.id, end, bolts: null });
  for (const pick of picks) moves.push({ id: '', kind: 'hook.release', pick: pick.id });
  for (const piece of plan.pieces) moves.push({ id: '', kind: 'piece.plumb', piece: piece.id }, { id: '', kind: 'piece.tighten', piece: piece.id });
  for (const stand of plan.stands) moves.push({ id: '', kind: 'crane.leave', stand: stand.id });
  const { walls, rows, bents, opening } = plan.shoring;
  for (const shore of [...walls, ...rows, ...bents]) moves.push({ id: '', kind: 'shore.set', shore: shore.id });
  if (opening !== null) moves.push({ id: '', kind: 'line.open' });
  for (const one of plan.survey.openings) if (one.member !== null) moves.push({ id: '', kind: 'member.set', opening: one.id });
  for (const group of strikeGroups(plan)) moves.push({ id: '', kind: 'shore.strike', step: group.id });
  const { structure } = plan;
  for (const one of structure.supports) moves.push({ id: '', kind: 'support.ready', support: one.id }, { id: '', kind: 'support.strike', support: one.id });
  for (const one of structure.pieces)
    moves.push(
      { id: '', kind: 'piece.hang', beam: one.id, by: ofStructure.has(one.id) ? 'crane' : '', pick: ofStructure.get(one.id) ?? null },
      { id: '', kind: 'piece.letGo', beam: one.id, keeps: 0 },
    );
  for (const one of structure.pieces) moves.push({ id: '', kind: 'beam.plumb', beam: one.id, off: null });
  for (const one of structure.joints) moves.push({ id: '', kind: 'joint.make', joint: one.id, pins: 0, bolts: null, tight: null, fit: 'drawn' });
  for (const one of structure.braces) moves.push({ id: '', kind: 'brace.fix', brace: one.id }, { id: '', kind: 'brace.free', brace: one.id });
  for (const one of structure.loads) moves.push({ id: '', kind: 'load.on', load: one.id }, { id: '', kind: 'load.off', load: one.id });
  moves.push({ id: '', kind: 'other', what: 'Hold point' });
  return moves;
}

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
            {possible(plan).map((move, i) => (
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
