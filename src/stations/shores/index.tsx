'use client';
import { Columns3, Plus } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { rulesOf } from '@/core/rules/rule-sets';
import { Missing } from '@/core/verdict/missing';
import { lineLoads } from '@/core/settle/shoring';
import { formatQuantity } from '@/core/units';
import { ChoiceField } from '@/ui/fields/choice-field';
import { QuantityField } from '@/ui/fields/quantity-field';
import { BentFields, newBent } from './bent-fields';
import { freshId } from '@/job/editing/fresh-id';
import { newLine, newStorey } from '@/core/document/things/shoring';
import type { LinePlan } from '@/core/document/views';
import { SmallButton } from '@/ui/small-button';
import { useAct, useJob, usePlan } from '@/job/job-context';
import { useLine } from '../shared/parts-of';
import { ThingTools } from '../shared/thing-tools';
import { Group, Panel } from '../shared/panel';
import { ShorePartsFields } from './shore-parts-fields';
import { ShoreRowFields, newShoreRow } from './shore-row-fields';
import { ShoreWallFields, newShoreWall } from './shore-wall-fields';
import { ShoresCompareDialog } from './shores-compare-dialog';
import { StoreyFields } from './storey-fields';
import { StrikeFields } from './strike-fields';
import { useEdit, useField } from '@/job/editing/use-edit';
import { useInputs } from '@/job/editing/use-inputs';

/** Hold up what is there: what comes down on the line, what holds it, and the order in which it is let go. */
export function ShoresStation() {
  const plan = usePlan();
  const act = useAct();
  const line = useLine();
  const chooseLine = useJob((state) => state.chooseLine);
  const add = () => {
    const id = freshId('ln');
    // An opening no line stands for yet is the likeliest.
    const free = plan.survey.openings.find((one) => plan.shoring.lines.every(({ opening }) => opening !== one.id));
    const count = plan.shoring.lines.length;
    act('addTo', { list: 'shoredLines', thing: { ...newLine(id, free?.name || `Line${count === 0 ? '' : ` ${count + 1}`}`), opening: free?.id ?? null } });
    chooseLine(id);
  };
  const more = (
    <SmallButton onClick={add}>
      <Plus size={13} aria-hidden /> Line to be opened
    </SmallButton>
  );
  const bents = plan.shoring.bents.map((bent) => <BentFields key={bent.id} bent={bent} />);
  const addBent = (
    <SmallButton onClick={() => act('addTo', { list: 'bents', thing: newBent(freshId('bt'), plan) })}>
      <Plus size={13} aria-hidden /> Bent or posts
    </SmallButton>
  );
  if (line === null)
    return (
      <Panel title="Shores" about="What rests on the wall or line to be opened, and what holds it meanwhile" station="shores">
        <p className="text-soft">
          No line is opened here. Add one for each wall or row of posts that is taken out, or a bent for steel that stands on one for a time.
        </p>
        {bents.length > 0 && <div className="border-b border-line">{bents}</div>}
        <div className="flex flex-wrap gap-1.5">
          {more}
          {addBent}
        </div>
      </Panel>
    );
  return <OneLine plan={line} more={more} bents={bents} addBent={addBent} />;
}

function OneLine({ plan, more, bents, addBent }: { plan: LinePlan; more: ReactNode; bents: ReactNode[]; addBent: ReactNode }) {
  const act = useAct();
  const field = useField();
  const { words } = useInputs();
  const chooseLine = useJob((state) => state.chooseLine);
  const [comparing, setComparing] = useState(false);
  const { shoring } = plan;
  const edit = useEdit('shoredLines', shoring.id);
  const [lowest] = shoring.storeys;
  const load = lowest ? lineLoads(plan, rulesOf(plan.job.ruleSet, plan.job.thresholds)).get(lowest.id) : undefined;
  const about = !lowest
    ? 'What rests on the wall or line to be opened, and what holds it meanwhile'
    : !load || load instanceof Missing
      ? (load?.questions[0] ?? '')
      : `${formatQuantity(load.dead + load.live, 'forcePerLength', field.system)} comes down on the line at working load`;
  return (
    <Panel title="Shores" about={about} station="shores">
      <Group
        title="Which line"
        tools={
          <span className="flex items-center gap-2">
            {more}
            <ThingTools station="shores" thing={shoring} list="shoredLines" />
          </span>
        }
      >
        {shoring.lines.length > 1 && (
          <ChoiceField
            label="Line"
            value={shoring.id}
            choices={shoring.lines.map((one, i) => ({ value: one.id, label: one.name || `Line ${i + 1}` }))}
            onValue={chooseLine}
          />
        )}
        {words('Name of the line', shoring.name, (name) => edit({ name }, 'name'))}
        <ChoiceField
          label="Opening"
          value={shoring.opening ?? 'none'}
          choices={[{ value: 'none', label: 'not chosen' }, ...plan.survey.openings.map((one) => ({ value: one.id, label: one.name }))]}
          onValue={(opening) => edit({ opening: opening === 'none' ? null : opening }, 'opening')}
        />
        <QuantityField {...field} label="Lifting gear needs, clear" kind="length" value={shoring.room} clearable onValue={(room) => edit({ room }, 'room')} />
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
        {bents}
        {shoring.walls.length + shoring.rows.length > 0 && (
          <>
            <StrikeFields />
            <ShorePartsFields />
          </>
        )}
      </div>
      <div className="flex flex-wrap gap-1.5">
        <SmallButton
          onClick={() =>
            act('addTo', { list: 'storeys', of: shoring.id, thing: newStorey(freshId('sy'), shoring.storeys.length, plan.job.ruleSet === 'us-asd') })
          }
        >
          <Plus size={13} aria-hidden /> Storey
        </SmallButton>
        {addBent}
        {lowest && (
          <>
            <SmallButton
              onClick={() => {
                const side = shoring.walls.filter((wall) => wall.storey === lowest.id).length === 1 ? 'right' : 'left';
                act('addTo', { list: 'shoreWalls', of: shoring.id, thing: newShoreWall(freshId('sh'), plan, lowest.id, side) });
              }}
            >
              <Plus size={13} aria-hidden /> Temporary wall
            </SmallButton>
            <SmallButton onClick={() => act('addTo', { list: 'shoreRows', of: shoring.id, thing: newShoreRow(freshId('rw'), plan, lowest.id) })}>
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
