'use client';
import { Columns3, Plus, X } from 'lucide-react';
import { useState } from 'react';
import type { Opening } from '@/core/plan/schema';
import { formatQuantity } from '@/core/units';
import { ChoiceField } from '@/ui/fields/choice-field';
import { QuantityField } from '@/ui/fields/quantity-field';
import { TextField } from '@/ui/fields/text-field';
import { Fold, Pair } from '@/ui/workings/fold';
import { CandidatesDialog } from './candidates-dialog';
import { freshId } from './fresh-id';
import { useAct, usePlan } from './job-context';
import { SmallButton } from './panel';
import { useEdit, useField } from './use-edit';

export const newOpening = (id: string, left: string, right: string): Opening => ({
  id,
  name: 'Opening',
  left,
  right,
  member: null,
  clear: { drawn: null, measured: null },
  bearing: { left: 0.15, right: 0.15 },
  clearance: null,
  bay: { width: null, height: null },
  lineLoad: null,
  finish: { top: null, layers: [], meets: null },
  warmer: null,
  choice: { candidates: [], live: null, unbraced: null, ceiling: null, headLeast: null },
  by: '',
  on: '',
});

/** An opening a piece spans: its width as drawn and as found, the pocket, the floor over it. */
export function OpeningFields({ opening }: { opening: Opening }) {
  const plan = usePlan();
  const act = useAct();
  const field = useField();
  const edit = useEdit('openings', opening.id);
  const { clear, bearing, bay, finish } = opening;
  const [comparing, setComparing] = useState(false);
  const bearings = plan.bearings.map((one) => ({ value: one.id, label: one.name }));
  const layer = (id: string, changes: Partial<(typeof finish.layers)[number]>, name: string) =>
    edit({ finish: { ...finish, layers: finish.layers.map((one) => (one.id === id ? { ...one, ...changes } : one)) } }, `${id} ${name}`);
  return (
    <Fold
      title={opening.name || 'Opening'}
      note={clear.measured !== null ? `${formatQuantity(clear.measured, 'length', field.system)} clear` : 'not measured'}
      first
      tools={
        <SmallButton danger label={`Remove ${opening.name}`} onClick={() => act('removeFrom', { list: 'openings', id: opening.id })}>
          <X size={13} />
        </SmallButton>
      }
    >
      <Pair>
        <TextField {...field} label="Name" value={opening.name} onValue={(name) => edit({ name }, 'name')} />
        <ChoiceField
          label="Piece over it"
          value={opening.member ?? 'none'}
          choices={[{ value: 'none', label: 'not chosen' }, ...plan.members.map((member) => ({ value: member.id, label: member.mark || member.id }))]}
          onValue={(member) => edit({ member: member === 'none' ? null : member }, 'member')}
        />
        <QuantityField
          {...field}
          label="Clear, drawn"
          kind="length"
          value={clear.drawn}
          clearable
          onValue={(drawn) => edit({ clear: { ...clear, drawn } }, 'drawn')}
        />
        <QuantityField
          {...field}
          label="Clear, measured"
          kind="length"
          value={clear.measured}
          clearable
          onValue={(measured) => edit({ clear: { ...clear, measured } }, 'measured')}
        />
        <TextField {...field} label="Measured by" value={opening.by} placeholder="not known" onValue={(by) => edit({ by }, 'by')} />
        <TextField {...field} label="Measured on" type="date" value={opening.on} onValue={(on) => edit({ on }, 'on')} />
        <ChoiceField label="Left bearing" value={opening.left} choices={bearings} onValue={(left) => edit({ left }, 'left')} />
        <ChoiceField label="Right bearing" value={opening.right} choices={bearings} onValue={(right) => edit({ right }, 'right')} />
        <QuantityField
          {...field}
          label="Bearing wanted, left"
          kind="dimension"
          value={bearing.left}
          onValue={(left) => edit({ bearing: { ...bearing, left: left ?? 0 } }, 'bearing left')}
        />
        <QuantityField
          {...field}
          label="Bearing wanted, right"
          kind="dimension"
          value={bearing.right}
          onValue={(right) => edit({ bearing: { ...bearing, right: right ?? 0 } }, 'bearing right')}
        />
        <QuantityField
          {...field}
          label="Clearance in all"
          kind="dimension"
          value={opening.clearance}
          clearable
          placeholder="by the rule set"
          onValue={(clearance) => edit({ clearance }, 'clearance')}
        />
        <QuantityField
          {...field}
          label="Carries along it"
          kind="forcePerLength"
          value={opening.lineLoad}
          clearable
          onValue={(lineLoad) => edit({ lineLoad }, 'line load')}
        />
        <QuantityField
          {...field}
          label="Pocket or bay width"
          kind="dimension"
          value={bay.width}
          clearable
          onValue={(width) => edit({ bay: { ...bay, width } }, 'bay width')}
        />
        <QuantityField
          {...field}
          label="Pocket or bay height"
          kind="dimension"
          value={bay.height}
          clearable
          onValue={(height) => edit({ bay: { ...bay, height } }, 'bay height')}
        />
        <QuantityField
          {...field}
          label="Warmer when set, by"
          kind="temperature"
          value={opening.warmer}
          clearable
          onValue={(warmer) => edit({ warmer }, 'warmer')}
        />
        <span />
        <QuantityField
          {...field}
          label="Top of the piece at"
          kind="length"
          value={finish.top}
          clearable
          onValue={(top) => edit({ finish: { ...finish, top } }, 'top')}
        />
        <QuantityField
          {...field}
          label="Floor beside it at"
          kind="length"
          value={finish.meets}
          clearable
          onValue={(meets) => edit({ finish: { ...finish, meets } }, 'meets')}
        />
      </Pair>
      <div className="mt-2">
        <SmallButton onClick={() => setComparing(true)}>
          <Columns3 size={13} aria-hidden /> Compare sections
        </SmallButton>
      </div>
      {comparing && <CandidatesDialog opening={opening} onClose={() => setComparing(false)} />}
      <div className="mt-2 flex items-baseline justify-between text-[12.5px] text-soft">
        <span>Layers over it</span>
        <SmallButton
          onClick={() => edit({ finish: { ...finish, layers: [...finish.layers, { id: freshId('ly'), what: 'Layer', thickness: 0.018 }] } }, 'layer')}
        >
          <Plus size={13} aria-hidden /> Layer
        </SmallButton>
      </div>
      {finish.layers.map((one) => (
        <div key={one.id} className="mt-1 grid grid-cols-[1.6fr_1fr_auto] items-end gap-2">
          <TextField {...field} label="Layer" value={one.what} onValue={(what) => layer(one.id, { what }, 'what')} />
          <QuantityField
            {...field}
            label="Thickness"
            kind="dimension"
            value={one.thickness}
            onValue={(thickness) => layer(one.id, { thickness: thickness ?? 0 }, 'thickness')}
          />
          <SmallButton
            danger
            label={`Remove ${one.what}`}
            onClick={() => edit({ finish: { ...finish, layers: finish.layers.filter((other) => other.id !== one.id) } }, 'layer')}
          >
            <X size={13} />
          </SmallButton>
        </div>
      ))}
    </Fold>
  );
}
