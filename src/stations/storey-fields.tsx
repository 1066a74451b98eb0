'use client';
import { X } from 'lucide-react';
import { rulesOf } from '@/core/rules/rule-sets';
import { timberGrades } from '@/core/shoring/timber-grades';
import { Missing } from '@/core/plan/missing';
import type { Plan, Storey } from '@/core/plan/schema';
import { lineLoads, sides } from '@/core/plan/shoring';
import { formatQuantity } from '@/core/units';
import { ChoiceField } from '@/ui/fields/choice-field';
import { QuantityField } from '@/ui/fields/quantity-field';
import { TextField } from '@/ui/fields/text-field';
import { Fold, Pair } from '@/ui/workings/fold';
import { useAct, usePlan } from './job-context';
import { SmallButton } from './panel';
import { useEdit, useField } from './use-edit';

export const newStorey = (id: string, plan: Plan): Storey => ({
  id,
  name: plan.shoring.storeys.length === 0 ? 'Storey of the opening' : `Storey ${plan.shoring.storeys.length + 1}`,
  bears: plan.shoring.storeys.length === 0 ? 'wall' : null,
  wall: null,
  height: null,
  left: { span: null, dead: null, live: null },
  right: { span: null, dead: null, live: null },
  joists: { spacing: null, width: null, depth: null, grade: plan.job.ruleSet === 'us-asd' ? 'SPF No.2' : 'C24', over: 'broken' },
});

/** What rests on the line over one storey, side by side, and what stands on the line in it. */
export function StoreyFields({ storey, lowest }: { storey: Storey; lowest: boolean }) {
  const plan = usePlan();
  const act = useAct();
  const field = useField();
  const edit = useEdit('storeys', storey.id);
  const load = lineLoads(plan, rulesOf(plan.job.ruleSet, plan.job.thresholds)).get(storey.id);
  const { joists } = storey;
  const live = formatQuantity(rulesOf(plan.job.ruleSet, plan.job.thresholds).value('constructionLive'), 'pressure', field.system);
  return (
    <Fold
      title={storey.name || 'Storey'}
      note={!load || load instanceof Missing ? 'not known' : `${formatQuantity(load.dead + load.live, 'forcePerLength', field.system)} on the line at its head`}
      tools={
        <SmallButton danger label={`Remove ${storey.name}`} onClick={() => act('removeFrom', { list: 'storeys', id: storey.id })}>
          <X size={14} />
        </SmallButton>
      }
    >
      <Pair>
        <TextField {...field} label="Name" value={storey.name} onValue={(name) => edit({ name }, 'name')} />
        <QuantityField
          {...field}
          label="Floor to joists over it"
          kind="length"
          value={storey.height}
          clearable
          onValue={(height) => edit({ height }, 'height')}
        />
        <ChoiceField
          label={lowest ? 'What is opened' : 'Stands on the line'}
          value={storey.bears ?? 'ask'}
          choices={[
            { value: 'ask', label: 'not known' },
            { value: 'wall', label: 'a wall or posts' },
            { value: 'nothing', label: 'nothing' },
          ]}
          onValue={(bears) => edit({ bears: bears === 'ask' ? null : bears }, 'bears')}
        />
        <QuantityField {...field} label="That wall weighs" kind="forcePerLength" value={storey.wall} clearable onValue={(wall) => edit({ wall }, 'wall')} />
        {sides.flatMap((side) => [
          <QuantityField
            {...field}
            key={`${side} span`}
            label={`Joists ${side}, span`}
            kind="length"
            value={storey[side].span}
            clearable
            onValue={(span) => edit({ [side]: { ...storey[side], span } }, `${side} span`)}
          />,
          <QuantityField
            {...field}
            key={`${side} dead`}
            label={`Floor ${side}, dead`}
            kind="pressure"
            value={storey[side].dead}
            clearable
            onValue={(dead) => edit({ [side]: { ...storey[side], dead } }, `${side} dead`)}
          />,
          <QuantityField
            {...field}
            key={`${side} live`}
            label={`Floor ${side}, live`}
            kind="pressure"
            value={storey[side].live}
            clearable
            placeholder={`${live}, at work`}
            onValue={(value) => edit({ [side]: { ...storey[side], live: value } }, `${side} live`)}
          />,
          <span key={`${side} gap`} />,
        ])}
        <ChoiceField
          label="Joists at the line"
          value={joists.over}
          choices={[
            { value: 'broken', label: 'break over it' },
            { value: 'through', label: 'run through' },
          ]}
          onValue={(over) => edit({ joists: { ...joists, over } }, 'over')}
        />
        <QuantityField
          {...field}
          label="Joists apart"
          kind="dimension"
          value={joists.spacing}
          clearable
          onValue={(spacing) => edit({ joists: { ...joists, spacing } }, 'spacing')}
        />
        <QuantityField
          {...field}
          label="Joist, wide"
          kind="dimension"
          value={joists.width}
          clearable
          onValue={(width) => edit({ joists: { ...joists, width } }, 'joist width')}
        />
        <QuantityField
          {...field}
          label="Joist, deep"
          kind="dimension"
          value={joists.depth}
          clearable
          onValue={(depth) => edit({ joists: { ...joists, depth } }, 'joist depth')}
        />
        <ChoiceField
          label="Joist grade"
          value={joists.grade}
          choices={timberGrades.map((grade) => ({ value: grade, label: grade }))}
          onValue={(grade) => edit({ joists: { ...joists, grade } }, 'joist grade')}
        />
      </Pair>
    </Fold>
  );
}
