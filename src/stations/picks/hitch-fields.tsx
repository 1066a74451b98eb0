'use client';
import { hitchWords, materialWords, newHitch, slingMaterials, type Hitch, type HitchKind } from '@/core/document/things/hitch';
import type { Pick } from '@/core/document/schema';
import { useAct } from '@/job/job-context';
import { Group } from '../shared/panel';
import { useInputs } from '@/job/editing/use-inputs';

const kinds = Object.entries(hitchWords) as [HitchKind, string][];
const materials = slingMaterials.map((one) => [one, materialWords[one]] as const);

/** How the slings hold the piece, and who holds its tag lines. */
export function HitchFields({ pick, turned }: { pick: Pick; turned: boolean }) {
  const act = useAct();
  const { open, words, choice, whole } = useInputs();
  const hitch = pick.hitch ?? null;
  const tags = pick.tags ?? null;
  const edit = (changes: Partial<Pick>, field: string) => act('editPick', { id: pick.id, changes }, `${pick.id} ${field}`);
  const set = (next: Hitch | null, field: string) => edit({ hitch: next }, `hitch ${field}`);
  const laid = hitch && (hitch.kind === 'basket' || hitch.kind === 'choker') ? hitch : null;
  const lay = (changes: Partial<NonNullable<typeof laid>>, field: string) => set({ ...laid!, ...changes }, field);
  return (
    <Group title="How it is held">
      <div className="col-span-2">
        {choice<HitchKind | 'unsaid'>('Slings hold it', hitch?.kind ?? 'unsaid', [['unsaid', 'not said yet'], ...kinds], (kind) =>
          set(kind === 'unsaid' ? null : newHitch(kind), 'kind'),
        )}
      </div>
      {hitch && (hitch.kind === 'lugs' || hitch.kind === 'clamps') && (
        <>
          {open(hitch.kind === 'lugs' ? 'One lug may carry' : 'One clamp may carry', 'mass', hitch.carries, (carries) => set({ ...hitch, carries }, 'carries'))}
        </>
      )}
      {laid && (
        <>
          {choice<string>('Slings are of', laid.of ?? 'unsaid', [['unsaid', 'not said yet'], ...materials], (of) =>
            lay({ of: slingMaterials.find((one) => one === of) ?? null }, 'of'),
          )}
          {choice<'unsaid' | 'yes' | 'no'>(
            'Corners padded',
            laid.padded === null ? 'unsaid' : laid.padded ? 'yes' : 'no',
            [
              ['unsaid', 'not said yet'],
              ['yes', 'yes'],
              ['no', 'no: bare corners'],
            ],
            (answer) => lay({ padded: answer === 'unsaid' ? null : answer === 'yes' }, 'padded'),
          )}
          {laid.of === 'wire' && !turned && (
            <>
              {open('Rope, diameter', 'dimension', laid.thick, (thick) => lay({ thick }, 'thick'))}
              {open('Bends round, diameter', 'dimension', laid.round, (round) => lay({ round }, 'round'))}
            </>
          )}
          {words('Kept from sliding by', laid.heldBy, (heldBy) => lay({ heldBy }, 'held by'), { placeholder: 'its own grip' })}
        </>
      )}
      {tags === null
        ? open('Tag lines', 'count', null, (lines) => edit({ tags: { lines: Math.max(0, Math.round(lines ?? 0)), by: '' } }, 'tags'), { note: '0: none' })
        : whole('Tag lines', tags.lines, 0, (lines) => edit({ tags: { ...tags, lines } }, 'tags'))}
      {tags !== null && tags.lines > 0 && words('Held by', tags.by, (by) => edit({ tags: { ...tags, by } }, 'tags by'), { placeholder: 'nobody yet' })}
    </Group>
  );
}
