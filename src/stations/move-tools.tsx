'use client';
import { ArrowLeft, ArrowRight, Plus } from 'lucide-react';
import * as DropdownMenu from '@radix-ui/react-dropdown-menu';
import { liftedBy } from '@/core/plan/lookups';
import { moveKindName, moveWords } from '@/core/plan/move-words';
import type { Move, MoveKind, Plan } from '@/core/plan/schema';
import { strikeGroups } from '@/core/plan/strike-groups';
import { freshId } from './fresh-id';
import { useAct, useJob, usePlan } from './job-context';

type Offer<K extends MoveKind> = (plan: Plan) => Omit<Extract<Move, { kind: K }>, 'id' | 'kind'>[];
const each =
  <T, R>(list: (plan: Plan) => readonly T[], of: (one: T, plan: Plan) => R) =>
  (plan: Plan): R[] =>
    list(plan).map((one) => of(one, plan));
const onBearings = (plan: Plan) => plan.picks.filter((pick) => liftedBy(plan, pick).kind === 'piece');
const picks = (plan: Plan) => plan.picks;
const pieces = (plan: Plan) => plan.pieces;
const stands = (plan: Plan) => plan.stands;
const beams = (plan: Plan) => plan.structure.pieces;
const supports = (plan: Plan) => plan.structure.supports;
const joints = (plan: Plan) => plan.structure.joints;
const braces = (plan: Plan) => plan.structure.braces;
const loads = (plan: Plan) => plan.structure.loads;
const shores = ({ shoring }: Plan) => [...shoring.walls, ...shoring.rows, ...shoring.bents];

/** By kind, in the order people work, the moves that could be added to a plan. A kind that is left out here does not compile. */
const offers: { readonly [K in MoveKind]: Offer<K> } = {
  'bearing.ready': each(
    (plan) => plan.bearings,
    ({ id }) => ({ bearing: id }),
  ),
  'crane.set': each(stands, ({ id }) => ({ stand: id })),
  'piece.deliver': each(pieces, ({ id }) => ({ piece: id })),
  'piece.sling': each(picks, ({ id }) => ({ pick: id })),
  'pick.trial': each(picks, ({ id }) => ({ pick: id })),
  'pick.lift': each(picks, ({ id }) => ({ pick: id })),
  'piece.land': each(onBearings, ({ id }) => ({ pick: id })),
  'end.bolt': (plan) => plan.pieces.flatMap(({ id }) => (['left', 'right'] as const).map((end) => ({ piece: id, end, bolts: null }))),
  'hook.release': each(onBearings, ({ id }) => ({ pick: id })),
  'piece.plumb': each(pieces, ({ id }) => ({ piece: id })),
  'piece.tighten': each(pieces, ({ id }) => ({ piece: id })),
  'crane.leave': each(stands, ({ id }) => ({ stand: id })),
  'shore.set': each(shores, ({ id }) => ({ shore: id })),
  'line.open': ({ shoring }) => (shoring.opening === null ? [] : [{}]),
  'member.set': ({ survey }) => survey.openings.filter((one) => one.member !== null).map(({ id }) => ({ opening: id })),
  'shore.strike': each(strikeGroups, ({ id }) => ({ step: id })),
  'support.ready': each(supports, ({ id }) => ({ support: id })),
  'support.level': each(supports, ({ id, level }) => ({ support: id, level: level ?? 0 })),
  'support.strike': each(supports, ({ id }) => ({ support: id })),
  'piece.hang': each(beams, ({ id }, plan) => {
    const pick = plan.picks.find((one) => one.piece === id);
    return { beam: id, by: pick ? 'crane' : '', pick: pick?.id ?? null };
  }),
  'piece.letGo': each(beams, ({ id }) => ({ beam: id, keeps: 0 })),
  'beam.plumb': each(beams, ({ id }) => ({ beam: id, off: null })),
  'joint.make': each(joints, ({ id }) => ({ joint: id, pins: 0, bolts: null, tight: null, fit: 'drawn' as const })),
  'joint.free': each(joints, ({ id }) => ({ joint: id })),
  'brace.fix': each(braces, ({ id }) => ({ brace: id })),
  'brace.free': each(braces, ({ id }) => ({ brace: id })),
  'load.on': each(loads, ({ id }) => ({ load: id })),
  'load.off': each(loads, ({ id }) => ({ load: id })),
  other: () => [{ what: 'Hold point' }],
};

/** Every move that could be added to this plan, with the words of its card. */
const possible = (plan: Plan): Move[] =>
  (Object.keys(offers) as MoveKind[]).flatMap((kind) => offers[kind](plan).map((one) => ({ id: '', kind, ...one }) as Move));

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
