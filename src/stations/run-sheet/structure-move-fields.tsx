'use client';
import type { Fault } from '@/core/calc/schema';
import type { Move } from '@/core/document/schema';
import { AlikeMovesButton } from '../shared/alike-button';
import { useAct, usePlan } from '@/job/job-context';
import { useInputs } from '@/job/editing/use-inputs';

/** Whether the bolts a move puts in count. */
export function TightChoice({ tight, onTight }: { tight: boolean | null; onTight: (tight: boolean | null) => Fault[] | null }) {
  const { choice } = useInputs();
  return choice<'yes' | 'no' | 'open'>(
    'Drawn size and grade, wrench-tight',
    tight === true ? 'yes' : tight === false ? 'no' : 'open',
    [
      ['open', 'not known'],
      ['yes', 'yes'],
      ['no', 'no: they do not count'],
    ],
    (answer) => onTight(answer === 'open' ? null : answer === 'yes'),
  );
}

/** What can be changed in a move of the structure. */
export function StructureMoveFields({ move }: { move: Move }) {
  const act = useAct();
  const plan = usePlan();
  const picks = plan.picks.map(({ id, piece, stand }) => ({ id, piece, stand: plan.stands.find((one) => one.id === stand)?.name ?? stand }));
  const { open, figure, words, choice, whole } = useInputs();
  const edit = (changes: Parameters<typeof act<'editMove'>>[1]['changes'], field: string) => act('editMove', { id: move.id, changes }, `${move.id} ${field}`);
  switch (move.kind) {
    case 'piece.hang':
      return (
        <>
          {!move.pick && words('Held by', move.by, (by) => edit({ by }, 'by'), { placeholder: 'crane, hoist, lifts, hands' })}
          {choice<string>(
            'Lifted by the pick',
            move.pick ?? 'none',
            [['none', 'none of this plan'], ...picks.filter((one) => one.piece === move.beam).map(({ id, stand }): [string, string] => [id, `from ${stand}`])],
            (pick) => edit({ pick: pick === 'none' ? null : pick }, 'pick'),
          )}
          {!move.pick &&
            words('That lift was worked out by', move.checkedBy ?? '', (checkedBy) => edit({ checkedBy }, 'checked by'), { placeholder: 'nobody yet' })}
          <AlikeMovesButton move={move} others="pieces" />
        </>
      );
    case 'piece.letGo':
      return figure('The hook still pulls', 'force', move.keeps, (keeps) => edit({ keeps }, 'keeps'));
    case 'beam.plumb':
      return open('Out of plumb or level, as read', 'dimension', move.off, (off) => edit({ off }, 'off'));
    case 'launch.push':
      return figure('Pushed to, of its travel', 'length', move.to, (to) => edit({ to: Math.max(0, to) }, 'to'));
    case 'support.level':
      return figure('Brought to level', 'length', move.level, (level) => edit({ level }, 'level'));
    case 'joint.make':
      return (
        <>
          {whole('Pins driven', move.pins, 0, (pins) => edit({ pins }, 'pins'))}
          {open('Bolts put in', 'count', move.bolts, (bolts) => edit({ bolts: bolts === null ? null : Math.max(0, Math.round(bolts)) }, 'bolts'))}
          <TightChoice tight={move.tight} onTight={(tight) => edit({ tight }, 'tight')} />
          {choice<'asLies' | 'drawn'>(
            'The ends are joined',
            move.fit,
            [
              ['asLies', 'at the angle they lie'],
              ['drawn', 'drawn straight'],
            ],
            (fit) => edit({ fit }, 'fit'),
          )}
          <AlikeMovesButton move={move} others="moves alike" />
        </>
      );
    default:
      return null;
  }
}
