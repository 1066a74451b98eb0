'use client';
import { Plus, X } from 'lucide-react';
import type { Pattern } from '@/core/plan/schema';
import { ChoiceField } from '@/ui/fields/choice-field';
import { QuantityField } from '@/ui/fields/quantity-field';
import { TextField } from '@/ui/fields/text-field';
import { Fold, Pair } from '@/ui/workings/fold';
import { freshId } from './fresh-id';
import { useAct, usePlan } from './job-context';
import { SmallButton } from './panel';
import { useEdit, useField } from './use-edit';

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
  const act = useAct();
  const field = useField();
  const edit = useEdit('patterns', pattern.id);
  const bolt = (id: string, changes: Partial<Pattern['bolts'][number]>, name: string) =>
    edit({ bolts: pattern.bolts.map((one) => (one.id === id ? { ...one, ...changes } : one)) }, `${id} ${name}`);
  const known = pattern.bolts.filter(({ cast }) => cast.x !== null && cast.y !== null).length;
  return (
    <Fold
      title={pattern.name || 'Bolt pattern'}
      note={`${known} of ${pattern.bolts.length} bolts surveyed`}
      tools={
        <SmallButton danger label={`Remove ${pattern.name}`} onClick={() => act('removeFrom', { list: 'patterns', id: pattern.id })}>
          <X size={13} />
        </SmallButton>
      }
    >
      <Pair>
        <TextField {...field} label="Name" value={pattern.name} onValue={(name) => edit({ name }, 'name')} />
        <ChoiceField
          label="Under"
          value={pattern.bearing}
          choices={plan.bearings.map((one) => ({ value: one.id, label: one.name }))}
          onValue={(bearing) => edit({ bearing }, 'bearing')}
        />
        <QuantityField {...field} label="Bolt" kind="dimension" value={pattern.bolt} onValue={(size) => edit({ bolt: size ?? 0 }, 'bolt')} />
        <QuantityField {...field} label="Hole in the plate" kind="dimension" value={pattern.hole} onValue={(hole) => edit({ hole: hole ?? 0 }, 'hole')} />
        <TextField {...field} label="Surveyed by" value={pattern.by} onValue={(by) => edit({ by }, 'by')} />
        <TextField {...field} label="Surveyed on" type="date" value={pattern.on} onValue={(on) => edit({ on }, 'on')} />
      </Pair>
      {pattern.bolts.map((one, i) => (
        <div key={one.id} className="mt-1.5 grid grid-cols-[1fr_1fr_1fr_1fr_auto] items-end gap-2">
          <QuantityField
            {...field}
            label={`${i + 1} east`}
            kind="dimension"
            value={one.drawn.x}
            onValue={(x) => bolt(one.id, { drawn: { ...one.drawn, x: x ?? 0 } }, 'x')}
          />
          <QuantityField
            {...field}
            label="north"
            kind="dimension"
            value={one.drawn.y}
            onValue={(y) => bolt(one.id, { drawn: { ...one.drawn, y: y ?? 0 } }, 'y')}
          />
          <QuantityField
            {...field}
            label="cast east"
            kind="dimension"
            value={one.cast.x}
            clearable
            placeholder="?"
            onValue={(x) => bolt(one.id, { cast: { ...one.cast, x } }, 'cast x')}
          />
          <QuantityField
            {...field}
            label="cast north"
            kind="dimension"
            value={one.cast.y}
            clearable
            placeholder="?"
            onValue={(y) => bolt(one.id, { cast: { ...one.cast, y } }, 'cast y')}
          />
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
