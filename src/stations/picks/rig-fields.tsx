'use client';
import { newRig, rigWords, type RigKind } from '@/core/document/things/rig';
import type { Pick, Rig } from '@/core/document/schema';
import { useAct } from '@/job/job-context';
import { Group } from '../shared/panel';
import { useInputs } from '@/job/editing/use-inputs';

const choices: readonly (readonly [RigKind | 'none', string])[] = [
  ['none', 'two legs to the hook'],
  ['legs', rigWords.legs],
  ['spreader', `a ${rigWords.spreader}, slings above and below`],
  ['beam', `a ${rigWords.beam} on the hook`],
];

/** What is between the hook and the slings on a piece. */
export function RigFields({ pick }: { pick: Pick }) {
  const act = useAct();
  const { open, words, section, choice } = useInputs();
  const rig = pick.rig ?? null;
  const set = (next: Rig | null, field: string) => act('editPick', { id: pick.id, changes: { rig: next } }, `${pick.id} rig ${field}`);
  const shape = (
    <div className="col-span-2">{choice('Hangs by', rig?.kind ?? 'none', choices, (kind) => set(kind === 'none' ? null : newRig(kind), 'kind'))}</div>
  );
  if (!rig) return <Group title="Between hook and slings">{shape}</Group>;
  if (rig.kind === 'legs') {
    const edit = (changes: Partial<typeof rig>, field: string) => set({ ...rig, ...changes }, field);
    return (
      <Group title="Between hook and slings">
        {shape}
        {open('Left legs apart, across', 'length', rig.leftApart, (leftApart) => edit({ leftApart }, 'left apart'), { note: '0: one leg there' })}
        {open('Right legs apart, across', 'length', rig.rightApart, (rightApart) => edit({ rightApart }, 'right apart'), { note: '0: one leg there' })}
      </Group>
    );
  }
  const edit = (changes: Partial<Omit<Extract<Rig, { kind: 'spreader' }>, 'kind'>> & { eye?: number | null }, field: string) =>
    set({ ...rig, ...changes } as Rig, field);
  return (
    <Group title="Between hook and slings">
      {shape}
      {words('Which one', rig.name, (name) => edit({ name }, 'name'), { placeholder: 'its name or number' })}
      {open('From sling to sling', 'length', rig.length, (length) => edit({ length }, 'length'))}
      {open(rig.kind === 'spreader' ? 'Spreader weighs' : 'Lifting beam weighs', 'mass', rig.own, (own) => edit({ own }, 'own'))}
      {open('Its plate says', 'mass', rig.rating, (rating) => edit({ rating }, 'rating'))}
      {rig.kind === 'spreader' && (
        <>
          {open('Each sling above it', 'length', rig.top, (top) => edit({ top }, 'top'))}
          {open('Rating of one sling above', 'mass', rig.topRating, (topRating) => edit({ topRating }, 'top rating'))}
        </>
      )}
      {rig.kind === 'beam' && open('Hook above its sling holes', 'length', rig.eye, (eye) => edit({ eye }, 'eye'))}
      {section('Its own section', rig.section, (name) => edit({ section: name }, 'section'))}
      {words('Its grade', rig.grade, (grade) => edit({ grade }, 'grade'), { placeholder: 'for its own steel' })}
    </Group>
  );
}
