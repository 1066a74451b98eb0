'use client';
import { X } from 'lucide-react';
import type { Plan, ShoreRow } from '@/core/plan/schema';
import { ChoiceField } from '@/ui/fields/choice-field';
import { QuantityField } from '@/ui/fields/quantity-field';
import { SectionField } from '@/ui/fields/section-field';
import { TextField } from '@/ui/fields/text-field';
import { Fold, Pair } from '@/ui/workings/fold';
import { useAct, usePlan } from './job-context';
import { SmallButton } from './panel';
import { StandsOn } from './stands-on';
import { TagFields } from './tag-fields';
import { untagged } from '@/core/plan/shore-tag';
import { useEdit, useField } from './use-edit';

const propClasses = ['A', 'B', 'C', 'D', 'E'] as const;

export const newShoreRow = (id: string, plan: Plan, storey: string): ShoreRow => ({
  id,
  name: `Needles ${plan.shoring.rows.length + 1}`,
  storey,
  from: 0.45,
  spacing: 0.9,
  count: 4,
  needle: { section: plan.job.ruleSet === 'us-asd' ? 'W6x15' : 'UC 152x152x23', grade: plan.job.ruleSet === 'us-asd' ? 'A992' : 'S275' },
  arms: { left: 0.6, right: 0.6 },
  over: null,
  prop: { class: 'B', maxLength: 3.5, length: null, leanDeg: null, off: null },
  pad: { length: 0.3, width: 0.3, allowable: null },
  packedOn: '',
  struckOn: '',
  tag: untagged(),
  standsOn: [],
});

/** Needles through the wall, each on two props. */
export function ShoreRowFields({ row }: { row: ShoreRow }) {
  const plan = usePlan();
  const act = useAct();
  const field = useField();
  const edit = useEdit('shoreRows', row.id);
  const { arms, needle, prop, pad } = row;
  return (
    <Fold
      title={row.name || 'Needles'}
      note={`${row.count} needles, ${2 * row.count} props`}
      tools={
        <SmallButton danger label={`Remove ${row.name}`} onClick={() => act('removeFrom', { list: 'shoreRows', id: row.id })}>
          <X size={14} />
        </SmallButton>
      }
    >
      <Pair>
        <TextField {...field} label="Name" value={row.name} onValue={(name) => edit({ name }, 'name')} />
        <ChoiceField
          label="In the storey"
          value={row.storey}
          choices={plan.shoring.storeys.map((one) => ({ value: one.id, label: one.name }))}
          onValue={(storey) => edit({ storey }, 'storey')}
        />
        <QuantityField {...field} label="First needle at" kind="length" value={row.from} onValue={(from) => edit({ from: from ?? 0 }, 'from')} />
        <QuantityField {...field} label="Needles apart" kind="length" value={row.spacing} onValue={(spacing) => edit({ spacing: spacing ?? 0 }, 'spacing')} />
        <QuantityField
          {...field}
          label="How many"
          kind="count"
          value={row.count}
          onValue={(count) => edit({ count: Math.max(1, Math.round(count ?? 1)) }, 'count')}
        />
        <QuantityField {...field} label="Masonry over them" kind="length" value={row.over} clearable onValue={(over) => edit({ over }, 'over')} />
        <SectionField label="Needle" value={needle.section} system={field.system} onValue={(section) => edit({ needle: { ...needle, section } }, 'section')} />
        <TextField {...field} label="Its grade" value={needle.grade} onValue={(grade) => edit({ needle: { ...needle, grade } }, 'grade')} />
        <QuantityField
          {...field}
          label="Wall to left prop"
          kind="length"
          value={arms.left}
          onValue={(left) => edit({ arms: { ...arms, left: left ?? 0 } }, 'left arm')}
        />
        <QuantityField
          {...field}
          label="Wall to right prop"
          kind="length"
          value={arms.right}
          onValue={(right) => edit({ arms: { ...arms, right: right ?? 0 } }, 'right arm')}
        />
        <ChoiceField
          label="Prop class (EN 1065)"
          value={prop.class}
          choices={propClasses.map((one) => ({ value: one, label: one }))}
          onValue={(value) => edit({ prop: { ...prop, class: value } }, 'class')}
        />
        <QuantityField
          {...field}
          label="Prop, longest"
          kind="length"
          value={prop.maxLength}
          onValue={(maxLength) => edit({ prop: { ...prop, maxLength: maxLength ?? 0 } }, 'longest')}
        />
        <QuantityField
          {...field}
          label="Run out to"
          kind="length"
          value={prop.length}
          clearable
          onValue={(length) => edit({ prop: { ...prop, length } }, 'run out')}
        />
        <QuantityField
          {...field}
          label="Leans"
          kind="angle"
          value={prop.leanDeg}
          clearable
          onValue={(leanDeg) => edit({ prop: { ...prop, leanDeg } }, 'lean')}
        />
        <QuantityField
          {...field}
          label="Load off its middle"
          kind="dimension"
          value={prop.off}
          clearable
          onValue={(off) => edit({ prop: { ...prop, off } }, 'off')}
        />
        <span />
        <QuantityField
          {...field}
          label="Pad, long"
          kind="dimension"
          value={pad.length}
          onValue={(length) => edit({ pad: { ...pad, length: length ?? 0 } }, 'pad length')}
        />
        <QuantityField
          {...field}
          label="Pad, wide"
          kind="dimension"
          value={pad.width}
          onValue={(width) => edit({ pad: { ...pad, width: width ?? 0 } }, 'pad width')}
        />
        <QuantityField
          {...field}
          label="Under it may be pressed"
          kind="pressure"
          value={pad.allowable}
          clearable
          onValue={(allowable) => edit({ pad: { ...pad, allowable } }, 'pad allowable')}
        />
        <span />
        <TextField {...field} label="Dry pack put in on" type="date" value={row.packedOn} onValue={(packedOn) => edit({ packedOn }, 'packed')} />
        <TextField {...field} label="To be struck on" type="date" value={row.struckOn} onValue={(struckOn) => edit({ struckOn }, 'struck')} />
      </Pair>
      <TagFields tag={row.tag} onChange={(tag, name) => (edit({ tag }, name), null)} />
      <StandsOn name={row.name} standsOn={row.standsOn} onChange={(standsOn) => edit({ standsOn }, 'stands on')} />
    </Fold>
  );
}
