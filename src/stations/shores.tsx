'use client';
import { Columns3, Plus } from 'lucide-react';
import { useState } from 'react';
import { rulesOf } from '@/core/rules/rule-sets';
import { Missing } from '@/core/plan/missing';
import { lineLoads } from '@/core/plan/shoring';
import { formatQuantity } from '@/core/units';
import { ChoiceField } from '@/ui/fields/choice-field';
import { QuantityField } from '@/ui/fields/quantity-field';
import { BentFields, newBent } from './bent-fields';
import { freshId } from './fresh-id';
import { useAct, usePlan } from './job-context';
import { Group, Panel, SmallButton } from './panel';
import { ShorePartsFields } from './shore-parts-fields';
import { ShoreRowFields, newShoreRow } from './shore-row-fields';
import { ShoreWallFields, newShoreWall } from './shore-wall-fields';
import { ShoresCompareDialog } from './shores-compare-dialog';
import { StoreyFields, newStorey } from './storey-fields';
import { StrikeFields } from './strike-fields';
import { useField } from './use-edit';

/** Hold up what is there: what comes down on the line, what holds it, and the order in which it is let go. */
export function ShoresStation() {
  const plan = usePlan();
  const act = useAct();
  const field = useField();
  const [comparing, setComparing] = useState(false);
  const { shoring } = plan;
  const [lowest] = shoring.storeys;
  const load = lowest ? lineLoads(plan, rulesOf(plan.job.ruleSet, plan.job.thresholds)).get(lowest.id) : undefined;
  const about = !lowest
    ? 'What rests on the wall or line to be opened, and what holds it meanwhile'
    : !load || load instanceof Missing
      ? (load?.questions[0] ?? '')
      : `${formatQuantity(load.dead + load.live, 'forcePerLength', field.system)} comes down on the line at working load`;
  return (
    <Panel title="Shores" about={about} station="shores">
      <Group title="Which line">
        <ChoiceField
          label="Opening"
          value={shoring.opening ?? 'none'}
          choices={[{ value: 'none', label: 'not chosen' }, ...plan.survey.openings.map((one) => ({ value: one.id, label: one.name }))]}
          onValue={(opening) => act('editShoring', { changes: { opening: opening === 'none' ? null : opening } }, 'opening')}
        />
        <QuantityField
          {...field}
          label="Lifting gear needs, clear"
          kind="length"
          value={shoring.room}
          clearable
          onValue={(room) => act('editShoring', { changes: { room } }, 'room')}
        />
      </Group>
      <div className="border-b border-line">
        {/* The highest first, as they stand. */}
        {[...shoring.storeys].reverse().map((storey) => (
          <StoreyFields key={storey.id} storey={storey} lowest={storey.id === lowest?.id} />
        ))}
        {shoring.walls.map((wall) => (
          <ShoreWallFields key={wall.id} wall={wall} />
        ))}
        {shoring.rows.map((row) => (
          <ShoreRowFields key={row.id} row={row} />
        ))}
        {shoring.bents.map((bent) => (
          <BentFields key={bent.id} bent={bent} />
        ))}
        {shoring.walls.length + shoring.rows.length > 0 && (
          <>
            <StrikeFields />
            <ShorePartsFields />
          </>
        )}
      </div>
      <div className="flex flex-wrap gap-1.5">
        <SmallButton onClick={() => act('addTo', { list: 'storeys', thing: newStorey(freshId('sy'), plan) })}>
          <Plus size={13} aria-hidden /> Storey
        </SmallButton>
        <SmallButton onClick={() => act('addTo', { list: 'bents', thing: newBent(freshId('bt'), plan) })}>
          <Plus size={13} aria-hidden /> Bent or posts
        </SmallButton>
        {lowest && (
          <>
            <SmallButton
              onClick={() => {
                const side = shoring.walls.filter((wall) => wall.storey === lowest.id).length === 1 ? 'right' : 'left';
                act('addTo', { list: 'shoreWalls', thing: newShoreWall(freshId('sh'), plan, lowest.id, side) });
              }}
            >
              <Plus size={13} aria-hidden /> Temporary wall
            </SmallButton>
            <SmallButton onClick={() => act('addTo', { list: 'shoreRows', thing: newShoreRow(freshId('rw'), plan, lowest.id) })}>
              <Plus size={13} aria-hidden /> Needles and props
            </SmallButton>
            <SmallButton onClick={() => setComparing(true)}>
              <Columns3 size={13} aria-hidden /> Compare arrangements
            </SmallButton>
          </>
        )}
      </div>
      {comparing && <ShoresCompareDialog onClose={() => setComparing(false)} />}
    </Panel>
  );
}
