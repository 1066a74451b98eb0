'use client';
import { Columns3, Plus, X } from 'lucide-react';
import { useState } from 'react';
import type { Opening } from '@/core/document/schema';
import { formatQuantity } from '@/core/units';
import { Fold, Pair } from '@/ui/workings/fold';
import { SmallButton } from '@/ui/small-button';
import { CandidatesDialog } from './candidates-dialog';
import { freshId } from '@/job/editing/fresh-id';
import { usePlan } from '@/job/job-context';
import { ThingTools } from '../shared/thing-tools';
import { useEdit, useField } from '@/job/editing/use-edit';
import { useInputs } from '@/job/editing/use-inputs';

/** An opening a piece spans: its width as drawn and as found, the pocket, the floor over it. */
export function OpeningFields({ opening }: { opening: Opening }) {
  const plan = usePlan();
  const field = useField();
  const edit = useEdit('openings', opening.id);
  const { date, open, figure, words, choice } = useInputs();
  const { clear, bearing, bay, finish, air } = opening;
  const [comparing, setComparing] = useState(false);
  const bearings = plan.bearings.map((one) => [one.id, one.name] as const);
  const layer = (id: string, changes: Partial<(typeof finish.layers)[number]>, name: string) =>
    edit({ finish: { ...finish, layers: finish.layers.map((one) => (one.id === id ? { ...one, ...changes } : one)) } }, `${id} ${name}`);
  return (
    <Fold
      thing={opening.id}
      title={opening.name || 'Opening'}
      note={clear.measured !== null ? `${formatQuantity(clear.measured, 'length', field.system)} clear` : 'not measured'}
      first
      tools={<ThingTools station="measure" thing={opening} list="openings" />}
    >
      <Pair>
        {words('Name', opening.name, (name) => edit({ name }, 'name'))}
        {choice(
          'Piece over it',
          opening.member ?? 'none',
          [['none', 'not chosen'], ...plan.members.map((member) => [member.id, member.mark || member.id] as const)],
          (member) => edit({ member: member === 'none' ? null : member }, 'member'),
        )}
        {open('Clear, drawn', 'length', clear.drawn, (drawn) => edit({ clear: { ...clear, drawn } }, 'drawn'))}
        {open('Clear, measured', 'length', clear.measured, (measured) => edit({ clear: { ...clear, measured } }, 'measured'))}
        {words('Measured by', opening.by, (by) => edit({ by }, 'by'), { placeholder: 'not known' })}
        {date('Measured on', opening.on, (on) => edit({ on }, 'on'))}
        {choice('Left bearing', opening.left, bearings, (left) => edit({ left }, 'left'))}
        {choice('Right bearing', opening.right, bearings, (right) => edit({ right }, 'right'))}
        {figure('Bearing wanted, left', 'dimension', bearing.left, (left) => edit({ bearing: { ...bearing, left } }, 'bearing left'))}
        {figure('Bearing wanted, right', 'dimension', bearing.right, (right) => edit({ bearing: { ...bearing, right } }, 'bearing right'))}
        {open('Reveals off square', 'angle', opening.skewDeg, (skewDeg) => edit({ skewDeg }, 'skew'))}
        {open('Clearance in all', 'dimension', opening.clearance, (clearance) => edit({ clearance }, 'clearance'), { placeholder: 'by the rule set' })}
        {open('Carries along it', 'forcePerLength', opening.lineLoad, (lineLoad) => edit({ lineLoad }, 'line load'))}
        {open('Floor to joists', 'length', opening.choice.ceiling, (ceiling) => edit({ choice: { ...opening.choice, ceiling } }, 'ceiling'))}
        {open('Pocket or bay width', 'dimension', bay.width, (width) => edit({ bay: { ...bay, width } }, 'bay width'))}
        {open('Pocket or bay height', 'dimension', bay.height, (height) => edit({ bay: { ...bay, height } }, 'bay height'))}
        {open('Air when measured', 'airTemperature', air.measuring, (measuring) => edit({ air: { ...air, measuring } }, 'air measuring'))}
        {open('Air when it is set', 'airTemperature', air.setting, (setting) => edit({ air: { ...air, setting } }, 'air setting'))}
        {open('Top of the piece at', 'length', finish.top, (top) => edit({ finish: { ...finish, top } }, 'top'))}
        {open('Floor beside it at', 'length', finish.meets, (meets) => edit({ finish: { ...finish, meets } }, 'meets'))}
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
          {words('Layer', one.what, (what) => layer(one.id, { what }, 'what'))}
          {figure('Thickness', 'dimension', one.thickness, (thickness) => layer(one.id, { thickness }, 'thickness'))}
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
