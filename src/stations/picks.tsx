'use client';
import { pickContext } from '@/core/plan/evaluate';
import { Missing } from '@/core/plan/missing';
import type { Pick } from '@/core/plan/schema';
import { formatQuantity } from '@/core/units';
import { ChoiceField } from '@/ui/fields/choice-field';
import { QuantityField } from '@/ui/fields/quantity-field';
import { useAct, useJob, usePlan } from './job-context';
import { Group, Panel } from './panel';

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
  const done = useJob((state) => state.done);
  const system = plan.job.units;
  const { piece, path, gross } = pickContext(plan, pick);
  const edit = (changes: Partial<Omit<Pick, 'id'>>, field: string) => act('editPick', { id: pick.id, changes }, field);
  const about =
    path instanceof Missing
      ? path.questions[0]
      : `${gross instanceof Missing ? '' : `${formatQuantity(gross.mass, 'mass', system)} on the hook, `}radius ${formatQuantity(path.least, 'length', system)} to ${formatQuantity(path.most, 'length', system)}`;
  return (
    <Panel title={`Pick · ${piece.mark}`} about={about} station="picks">
      <Group title="Pick points and slings">
        <QuantityField
          label="Left end to pick"
          kind="length"
          system={system}
          value={pick.left}
          onValue={(left) => edit({ left: left ?? 0 }, 'left')}
          onDone={done}
        />
        <QuantityField
          label="Right end to pick"
          kind="length"
          system={system}
          value={pick.right}
          onValue={(right) => edit({ right: right ?? 0 }, 'right')}
          onDone={done}
        />
        <QuantityField
          label="Left leg"
          kind="length"
          system={system}
          value={pick.legs.left}
          onValue={(left) => edit({ legs: { ...pick.legs, left: left ?? 0 } }, 'leg left')}
          onDone={done}
        />
        <QuantityField
          label="Right leg"
          kind="length"
          system={system}
          value={pick.legs.right}
          onValue={(right) => edit({ legs: { ...pick.legs, right: right ?? 0 } }, 'leg right')}
          onDone={done}
        />
        <QuantityField
          label="Rating of one leg"
          kind="mass"
          system={system}
          value={pick.slingRating}
          clearable
          onValue={(slingRating) => edit({ slingRating }, 'rating')}
          onDone={done}
        />
        <QuantityField
          label="Slings and shackles weigh"
          kind="mass"
          system={system}
          value={pick.riggingMass}
          clearable
          onValue={(riggingMass) => edit({ riggingMass }, 'rigging')}
          onDone={done}
        />
      </Group>
      <Group title="The way">
        <QuantityField label="Boom" kind="length" system={system} value={pick.boom} onValue={(boom) => edit({ boom: boom ?? 0 }, 'boom')} onDone={done} />
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
        <QuantityField
          label="Radius while slewing"
          kind="length"
          system={system}
          value={pick.swingRadius}
          clearable
          placeholder="straight over"
          onValue={(swingRadius) => edit({ swingRadius }, 'swing radius')}
          onDone={done}
        />
        <QuantityField
          label="Over the seats before lowering"
          kind="length"
          system={system}
          value={pick.liftOver}
          onValue={(liftOver) => edit({ liftOver: liftOver ?? 0 }, 'lift over')}
          onDone={done}
        />
      </Group>
    </Panel>
  );
}
