'use client';
import { newRoll } from '@/core/document/things/roll';
import { liftedBy } from '@/core/document/lookups';
import type { Pick } from '@/core/document/schema';
import { useAct, usePlan } from '@/job/job-context';
import { Group } from '../shared/panel';
import { useInputs } from '@/job/editing/use-inputs';

type Face = 'unsaid' | 'upright' | 'side';

/** Whether a piece lies on its side before the lift, and how it is rolled upright where it does. */
export function RollFields({ pick }: { pick: Pick }) {
  const plan = usePlan();
  const act = useAct();
  const { open, words, choice } = useInputs();
  const lifted = liftedBy(plan, pick);
  const onSide = (lifted.kind === 'piece' ? lifted.piece.start.onSide : lifted.beam.lies?.onSide) ?? null;
  const roll = pick.roll ?? newRoll();
  const edit = (changes: Partial<typeof roll>, field: string) =>
    act('editPick', { id: pick.id, changes: { roll: { ...roll, ...changes } } }, `${pick.id} roll ${field}`);
  const lay = (face: Face) => {
    const lies = { onSide: face === 'unsaid' ? null : face === 'side' };
    return lifted.kind === 'piece'
      ? act('editPiece', { id: lifted.piece.id, changes: { start: { ...lifted.piece.start, ...lies } } }, `${pick.id} face`)
      : act(
          'editIn',
          { list: 'beams', id: lifted.beam.id, changes: { lies: { x: null, y: null, azimuthDeg: null, level: null, ...lifted.beam.lies, ...lies } } },
          `${pick.id} face`,
        );
  };
  return (
    <Group title="Before the lift">
      <div className="col-span-2">
        {choice<Face>(
          'It lies',
          onSide === null ? 'unsaid' : onSide ? 'side' : 'upright',
          [
            ['unsaid', 'not said yet'],
            ['upright', 'upright, as it is set'],
            ['side', 'on its side: rolled upright before the lift'],
          ],
          lay,
        )}
      </div>
      {onSide && (
        <>
          {words('Rolling it led by', roll.by, (by) => edit({ by }, 'by'), { placeholder: 'nobody yet' })}
          {words('Held back over centre by', roll.holdBack, (holdBack) => edit({ holdBack }, 'hold back'), { placeholder: 'nothing yet' })}
          {open('Timber under its edge may take', 'force', roll.edgeCarries, (edgeCarries) => edit({ edgeCarries }, 'edge'))}
        </>
      )}
    </Group>
  );
}
