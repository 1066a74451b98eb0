'use client';
import { Plus, X } from 'lucide-react';
import type { Pattern } from '@/core/document/schema';
import { ChoiceField } from '@/ui/fields/choice-field';
import { Fold, Pair } from '@/ui/workings/fold';
import { SmallButton } from '@/ui/small-button';
import { freshId } from '@/job/editing/fresh-id';
import { usePlan } from '@/job/job-context';
import { ThingTools } from '../shared/thing-tools';
import { useEdit } from '@/job/editing/use-edit';
import { useInputs } from '@/job/editing/use-inputs';

export const newPattern = (id: string, bearing: string): Pattern => ({
  id,
  name: 'Base plate',
  bearing,
  bolt: 0.02,
  hole: 0.026,
  bolts: (
    [
      [-0.1, -0.1],
      [0.1, -0.1],
      [0.1, 0.1],
      [-0.1, 0.1],
    ] as const
  ).map(([x, y], i) => ({ id: `b${i + 1}`, drawn: { x, y }, cast: { x: null, y: null } })),
  by: '',
  on: '',
});

/** Anchor bolts: where they are drawn and where they were cast, from the middle of the plate. */
export function PatternFields({ pattern }: { pattern: Pattern }) {
  const plan = usePlan();
  const { date, open, figure, words } = useInputs();
  const edit = useEdit('patterns', pattern.id);
  const bolt = (id: string, changes: Partial<Pattern['bolts'][number]>, name: string) =>
    edit({ bolts: pattern.bolts.map((one) => (one.id === id ? { ...one, ...changes } : one)) }, `${id} ${name}`);
  const known = pattern.bolts.filter(({ cast }) => cast.x !== null && cast.y !== null).length;
  return (
    <Fold
      thing={pattern.id}
      title={pattern.name || 'Bolt pattern'}
      note={`${known} of ${pattern.bolts.length} bolts surveyed`}
      tools={<ThingTools station="measure" thing={pattern} list="patterns" />}
    >
      <Pair>
        {words('Name', pattern.name, (name) => edit({ name }, 'name'))}
        <ChoiceField
          label="Under"
          value={pattern.bearing}
          choices={plan.bearings.map((one) => ({ value: one.id, label: one.name }))}
          onValue={(bearing) => edit({ bearing }, 'bearing')}
        />
        {figure('Bolt', 'dimension', pattern.bolt, (size) => edit({ bolt: size }, 'bolt'))}
        {figure('Hole in the plate', 'dimension', pattern.hole, (hole) => edit({ hole }, 'hole'))}
        {words('Surveyed by', pattern.by, (by) => edit({ by }, 'by'))}
        {date('Surveyed on', pattern.on, (on) => edit({ on }, 'on'))}
      </Pair>
      {pattern.bolts.map((one, i) => (
        <div key={one.id} className="mt-1.5 grid grid-cols-[1fr_1fr_1fr_1fr_auto] items-end gap-2">
          {figure(`${i + 1} east`, 'dimension', one.drawn.x, (x) => bolt(one.id, { drawn: { ...one.drawn, x } }, 'x'))}
          {figure('north', 'dimension', one.drawn.y, (y) => bolt(one.id, { drawn: { ...one.drawn, y } }, 'y'))}
          {open('cast east', 'dimension', one.cast.x, (x) => bolt(one.id, { cast: { ...one.cast, x } }, 'cast x'), { placeholder: '?' })}
          {open('cast north', 'dimension', one.cast.y, (y) => bolt(one.id, { cast: { ...one.cast, y } }, 'cast y'), { placeholder: '?' })}
          <SmallButton danger label={`Remove bolt ${i + 1}`} onClick={() => edit({ bolts: pattern.bolts.filter((other) => other.id !== one.id) }, 'bolt')}>
            <X size={13} />
          </SmallButton>
        </div>
      ))}
      <div className="mt-1.5">
        <SmallButton onClick={() => edit({ bolts: [...pattern.bolts, { id: freshId('b'), drawn: { x: 0, y: 0 }, cast: { x: null, y: null } }] }, 'bolt')}>
          <Plus size={13} aria-hidden /> Bolt
        </SmallButton>
      </div>
    </Fold>
  );
}
