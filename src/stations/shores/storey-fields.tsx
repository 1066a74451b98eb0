'use client';
import { Plus, X } from 'lucide-react';
import { rulesOf } from '@/core/rules/rule-sets';
import { timberGrades } from '@/core/shoring/timber-grades';
import { Missing } from '@/core/verdict/missing';
import type { Storey } from '@/core/document/schema';
import { lineLoads } from '@/core/settle/shoring';
import { sides } from '@/core/settle/shore-layout';
import { formatQuantity } from '@/core/units';
import { Fold, Pair } from '@/ui/workings/fold';
import { SmallButton } from '@/ui/small-button';
import { freshId } from '@/job/editing/fresh-id';
import { useLinePlan } from '../shared/parts-of';
import { ThingTools } from '../shared/thing-tools';
import { useEdit } from '@/job/editing/use-edit';
import { same, useInputs } from '@/job/editing/use-inputs';

/** What rests on the line over one storey, side by side, and what stands on the line in it. */
export function StoreyFields({ storey, lowest }: { storey: Storey; lowest: boolean }) {
  const plan = useLinePlan();
  const edit = useEdit('storeys', storey.id);
  const { open, figure, whole, words, choice } = useInputs();
  const { units } = plan.job;
  const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
  const load = lineLoads(plan, rules).get(storey.id);
  const { joists } = storey;
  const atWork = { placeholder: `${formatQuantity(rules.value('constructionLive'), 'pressure', units)}, at work` };
  const joist = (changes: Partial<Storey['joists']>, field: string) => edit({ joists: { ...joists, ...changes } }, field);
  const double = (id: string, changes: Partial<Storey['joists']['doubled'][number]>) =>
    joist({ doubled: joists.doubled.map((one) => (one.id === id ? { ...one, ...changes } : one)) }, id);
  return (
    <Fold
      thing={storey.id}
      title={storey.name || 'Storey'}
      note={!load || load instanceof Missing ? 'not known' : `${formatQuantity(load.dead + load.live, 'forcePerLength', units)} at its head`}
      tools={<ThingTools station="shores" thing={storey} list="storeys" />}
    >
      <Pair>
        {words('Name', storey.name, (name) => edit({ name }, 'name'))}
        {open('Floor to joists over it', 'length', storey.height, (height) => edit({ height }, 'height'))}
        {choice(
          lowest ? 'What is opened' : 'Stands on the line',
          storey.bears ?? 'ask',
          [
            ['ask', 'not known'],
            ['wall', 'a wall or posts'],
            ['nothing', 'nothing'],
          ],
          (bears) => edit({ bears: bears === 'ask' ? null : bears }, 'bears'),
        )}
        {open('That wall weighs', 'forcePerLength', storey.wall, (wall) => edit({ wall }, 'wall'))}
        {sides.flatMap((side) => [
          open(`Joists ${side}, span`, 'length', storey[side].span, (span) => edit({ [side]: { ...storey[side], span } }, `${side} span`)),
          open(`Floor ${side}, dead`, 'pressure', storey[side].dead, (dead) => edit({ [side]: { ...storey[side], dead } }, `${side} dead`)),
          open(`Floor ${side}, live`, 'pressure', storey[side].live, (live) => edit({ [side]: { ...storey[side], live } }, `${side} live`), atWork),
          <span key={`${side} gap`} />,
        ])}
        {choice(
          'Joists at the line',
          joists.over,
          [
            ['broken', 'break over it'],
            ['through', 'run through'],
          ],
          (over) => joist({ over }, 'over'),
        )}
        {open('Joists apart', 'dimension', joists.spacing, (spacing) => joist({ spacing }, 'spacing'))}
        {open('Joist, wide', 'dimension', joists.width, (width) => joist({ width }, 'joist width'))}
        {open('Joist, deep', 'dimension', joists.depth, (depth) => joist({ depth }, 'joist depth'))}
        {choice('Joist grade', joists.grade, same(timberGrades), (grade) => joist({ grade }, 'joist grade'))}
        {whole('Side by side at each place', joists.plies, 1, (plies) => joist({ plies }, 'plies'))}
      </Pair>
      <div className="mt-2 flex items-baseline justify-between text-[12.5px] text-soft">
        <span>Doubled joists, beside a stair or chimney</span>
        <SmallButton onClick={() => joist({ doubled: [...joists.doubled, { id: freshId('dj'), number: 1, carries: joists.spacing ?? 0.4 }] }, 'doubled')}>
          <Plus size={13} aria-hidden /> Joist
        </SmallButton>
      </div>
      {joists.doubled.map((one) => (
        <div key={one.id} className="mt-1 grid grid-cols-[1fr_1fr_auto] items-end gap-2">
          {whole('Number, from the left', one.number, 1, (number) => double(one.id, { number }))}
          {figure('Width of floor on it', 'length', one.carries, (carries) => double(one.id, { carries }))}
          <SmallButton
            danger
            label={`Remove doubled joist ${one.number}`}
            onClick={() => joist({ doubled: joists.doubled.filter((other) => other.id !== one.id) }, 'doubled')}
          >
            <X size={14} />
          </SmallButton>
        </div>
      ))}
    </Fold>
  );
}
