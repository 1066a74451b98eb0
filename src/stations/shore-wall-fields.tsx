'use client';
import { X } from 'lucide-react';
import type { Plan, ShoreWall } from '@/core/plan/schema';
import { timberGrades } from '@/core/shoring/timber-grades';
import { formatQuantity } from '@/core/units';
import { ChoiceField } from '@/ui/fields/choice-field';
import { QuantityField } from '@/ui/fields/quantity-field';
import { TextField } from '@/ui/fields/text-field';
import { Fold, Pair } from '@/ui/workings/fold';
import { useAct, usePlan } from './job-context';
import { SmallButton } from './panel';
import { StandsOn } from './stands-on';
import { TagFields } from './tag-fields';
import { untagged } from '@/core/plan/shore-tag';
import { useEdit, useField } from './use-edit';

export function newShoreWall(id: string, plan: Plan, storey: string, side: ShoreWall['side']): ShoreWall {
  const american = plan.job.ruleSet === 'us-asd';
  return {
    id,
    name: `${plan.shoring.storeys.find((one) => one.id === storey)?.name ?? 'Wall'}, ${side}`,
    storey,
    side,
    setback: 0.9,
    stud: american ? { width: 0.0381, depth: 0.0889, grade: 'SPF No.2' } : { width: 0.045, depth: 0.095, grade: 'C24' },
    missing: [],
    braces: 1,
    bracing: null,
    plate: american ? { count: 3, thickness: 0.0381, width: 0.0889 } : { count: 3, thickness: 0.045, width: 0.095 },
    tightFit: 0.003,
    sole: { width: american ? 0.0889 : 0.095, allowable: null, on: '' },
    holdDown: null,
    tag: untagged(),
    standsOn: [],
  };
}

/** Numbers in a list such as “3, 7”; anything else is dropped. */
export const numbersIn = (text: string): number[] => [...new Set((text.match(/\d+/g) ?? []).map(Number).filter((n) => n >= 1))].sort((a, b) => a - b);

/** A temporary stud wall on one side of the line. */
export function ShoreWallFields({ wall }: { wall: ShoreWall }) {
  const plan = usePlan();
  const act = useAct();
  const field = useField();
  const edit = useEdit('shoreWalls', wall.id);
  const { stud, plate, sole } = wall;
  return (
    <Fold
      title={wall.name || 'Wall'}
      note={`${formatQuantity(wall.setback, 'length', field.system)} from the line`}
      tools={
        <SmallButton danger label={`Remove ${wall.name}`} onClick={() => act('removeFrom', { list: 'shoreWalls', id: wall.id })}>
          <X size={14} />
        </SmallButton>
      }
    >
      <Pair>
        <TextField {...field} label="Name" value={wall.name} onValue={(name) => edit({ name }, 'name')} />
        <ChoiceField
          label="In the storey"
          value={wall.storey}
          choices={plan.shoring.storeys.map((one) => ({ value: one.id, label: one.name }))}
          onValue={(storey) => edit({ storey }, 'storey')}
        />
        <ChoiceField
          label="Side of the line"
          value={wall.side}
          choices={[
            { value: 'left', label: 'left' },
            { value: 'right', label: 'right' },
          ]}
          onValue={(side) => edit({ side }, 'side')}
        />
        <QuantityField
          {...field}
          label="Back from the line"
          kind="length"
          value={wall.setback}
          onValue={(setback) => edit({ setback: setback ?? 0 }, 'setback')}
        />
        <ChoiceField
          label="Grade"
          value={stud.grade}
          choices={timberGrades.map((grade) => ({ value: grade, label: grade }))}
          onValue={(grade) => edit({ stud: { ...stud, grade } }, 'grade')}
        />
        <QuantityField
          {...field}
          label="Rows of bracing across"
          kind="count"
          value={wall.braces}
          onValue={(braces) => edit({ braces: Math.max(0, Math.round(braces ?? 0)) }, 'braces')}
        />
        <QuantityField
          {...field}
          label="Stud, along the wall"
          kind="dimension"
          value={stud.width}
          onValue={(width) => edit({ stud: { ...stud, width: width ?? 0 } }, 'stud width')}
        />
        <QuantityField
          {...field}
          label="Stud, through it"
          kind="dimension"
          value={stud.depth}
          onValue={(depth) => edit({ stud: { ...stud, depth: depth ?? 0 } }, 'stud depth')}
        />
        <QuantityField
          {...field}
          label="Plates, top and bottom"
          kind="count"
          value={plate.count}
          onValue={(count) => edit({ plate: { ...plate, count: Math.max(1, Math.round(count ?? 1)) } }, 'plates')}
        />
        <QuantityField
          {...field}
          label="Plate, thick"
          kind="dimension"
          value={plate.thickness}
          onValue={(thickness) => edit({ plate: { ...plate, thickness: thickness ?? 0 } }, 'plate thickness')}
        />
        <QuantityField
          {...field}
          label="Plate, wide"
          kind="dimension"
          value={plate.width}
          onValue={(width) => edit({ plate: { ...plate, width: width ?? 0 } }, 'plate width')}
        />
        <QuantityField
          {...field}
          label="Cut longer, to tap in"
          kind="dimension"
          value={wall.tightFit}
          onValue={(tightFit) => edit({ tightFit: tightFit ?? 0 }, 'tight fit')}
        />
        <QuantityField
          {...field}
          label="Diagonals hold, along it"
          kind="force"
          value={wall.bracing}
          clearable
          onValue={(bracing) => edit({ bracing }, 'bracing')}
        />
        <QuantityField
          {...field}
          label="Each joist is held down by"
          kind="force"
          value={wall.holdDown}
          clearable
          onValue={(holdDown) => edit({ holdDown }, 'hold down')}
        />
        <TextField {...field} label="Sole plate lies on" value={sole.on} placeholder="not known" onValue={(on) => edit({ sole: { ...sole, on } }, 'sole on')} />
        <QuantityField
          {...field}
          label="Spread under it, wide"
          kind="dimension"
          value={sole.width}
          onValue={(width) => edit({ sole: { ...sole, width: width ?? 0 } }, 'sole width')}
        />
        <QuantityField
          {...field}
          label="That may be pressed"
          kind="pressure"
          value={sole.allowable}
          clearable
          onValue={(allowable) => edit({ sole: { ...sole, allowable } }, 'sole allowable')}
        />
        <TextField
          {...field}
          label="Studs left out, from the left"
          value={wall.missing.join(', ')}
          placeholder="none"
          onValue={(text) => edit({ missing: numbersIn(text) }, 'missing')}
        />
      </Pair>
      <TagFields tag={wall.tag} onChange={(tag, name) => (edit({ tag }, name), null)} />
      <StandsOn name={wall.name} standsOn={wall.standsOn} onChange={(standsOn) => edit({ standsOn }, 'stands on')} />
    </Fold>
  );
}
