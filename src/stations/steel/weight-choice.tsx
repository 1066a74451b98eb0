'use client';
import type { Piece } from '@/core/document/schema';
import { useAct } from '@/job/job-context';
import { Group } from '../shared/panel';
import { useInputs } from '@/job/editing/use-inputs';

type By = NonNullable<Piece['stated']['chosen']>['by'] | 'worst';

/** Which of the weights people give the plan goes by: the heaviest carries and the lightest holds down, until somebody says which and why. */
export function WeightChoice({ piece }: { piece: Piece }) {
  const act = useAct();
  const { choice, words } = useInputs();
  const { stated } = piece;
  if (stated.mass === null && (stated.weighed ?? null) === null) return null;
  const chosen = stated.chosen ?? null;
  const put = (next: Piece['stated']['chosen'], field: string) =>
    act('editPiece', { id: piece.id, changes: { stated: { ...stated, chosen: next } } }, `chosen ${field}`);
  const given = [
    ['worst', 'the heaviest to carry, the lightest to hold down'],
    ['computed', 'section and length'],
    ...(stated.mass === null ? [] : [['drawing', 'the drawing'] as const]),
    ...((stated.weighed ?? null) === null ? [] : [['weighed', 'the scale'] as const]),
  ] as const satisfies readonly (readonly [By, string])[];
  return (
    <Group title="Which weight the plan goes by">
      <div className="col-span-2">
        {choice<By>('The plan goes by', chosen?.by ?? 'worst', given, (by) => put(by === 'worst' ? null : { who: '', why: '', ...chosen, by }, 'by'))}
      </div>
      {chosen && words('Chosen by', chosen.who, (who) => put({ ...chosen, who }, 'who'))}
      {chosen && words('Because', chosen.why, (why) => put({ ...chosen, why }, 'why'))}
    </Group>
  );
}
