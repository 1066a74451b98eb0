'use client';
import { pickContext } from '@/core/plan/evaluate';
import { Missing } from '@/core/plan/missing';
import type { Pick } from '@/core/plan/schema';
import { formatQuantity } from '@/core/units';
import { ChoiceField } from '@/ui/fields/choice-field';
import { useAct, usePlan } from './job-context';
import { Group, Panel } from './panel';
import { useInputs } from './use-inputs';
import { settle } from '@/core/plan/settle';

/** How the piece hangs and how it travels. */
export function PicksStation() {
  const plan = usePlan();
  const pick = plan.picks[0];
  if (!pick) return <Panel title="Picks" about="No pick yet" station="picks" />;
  return <PickFields pick={pick} />;
}

function PickFields({ pick }: { pick: Pick }) {
  const plan = usePlan();
  const act = useAct();
  const { open, figure } = useInputs();
  const system = plan.job.units;
  const { piece, path, gross } = pickContext(settle(plan), pick);
  const edit = (changes: Partial<Omit<Pick, 'id'>>, field: string) => act('editPick', { id: pick.id, changes }, field);
  const about =
    path instanceof Missing
      ? path.questions[0]
      : `${gross instanceof Missing ? '' : `${formatQuantity(gross.mass, 'mass', system)} on the hook, `}radius ${formatQuantity(path.least, 'length', system)} to ${formatQuantity(path.most, 'length', system)}`;
  return (
    <Panel title={`Pick · ${piece.mark}`} about={about} station="picks">
      <Group title="Pick points and slings">
        {figure('Left end to pick', 'length', pick.left, (left) => edit({ left }, 'left'))}
        {figure('Right end to pick', 'length', pick.right, (right) => edit({ right }, 'right'))}
        {figure('Left leg', 'length', pick.legs.left, (left) => edit({ legs: { ...pick.legs, left } }, 'leg left'))}
        {figure('Right leg', 'length', pick.legs.right, (right) => edit({ legs: { ...pick.legs, right } }, 'leg right'))}
        {open('Rating of one leg', 'mass', pick.slingRating, (slingRating) => edit({ slingRating }, 'rating'))}
        {open('Slings and shackles weigh', 'mass', pick.riggingMass, (riggingMass) => edit({ riggingMass }, 'rigging'))}
      </Group>
      <Group title="The way">
        {figure('Boom', 'length', pick.boom, (boom) => edit({ boom }, 'boom'))}
        <ChoiceField
          label="Swing"
          value={pick.swing}
          choices={[
            { value: 'short', label: 'the short way' },
            { value: 'left', label: 'to the left' },
            { value: 'right', label: 'to the right' },
          ]}
          onValue={(swing) => edit({ swing }, 'swing')}
        />
        {open('Radius while slewing', 'length', pick.swingRadius, (swingRadius) => edit({ swingRadius }, 'swing radius'), { placeholder: 'straight over' })}
        {figure('Over the seats before lowering', 'length', pick.liftOver, (liftOver) => edit({ liftOver }, 'lift over'))}
      </Group>
    </Panel>
  );
}
