'use client';
import { Plus } from 'lucide-react';
import { saidOf } from '@/core/plan/document/unsaid';
import type { Crane, Stand } from '@/core/plan/schema';
import { ChoiceField } from '@/ui/fields/choice-field';
import { ChartTable } from './chart-table';
import { ChartChecked } from './chart-checked';
import { ChartDialog } from './chart-dialog';
import { useAct, usePlan } from './job-context';
import { Group, Panel, SmallButton } from './panel';
import { SiteFields } from './site-fields';
import { useInputs } from './use-inputs';

/** The crane, its chart, where it stands, and what is in its way. */
export function GearStation() {
  const plan = usePlan();
  const stand = plan.stands[0];
  const crane = plan.cranes.find((one) => one.id === stand?.crane) ?? plan.cranes[0];
  if (!stand || !crane)
    return (
      <Panel title="Gear" about="No crane in this job: lifted by hand or by lifts" station="gear">
        <SiteFields />
      </Panel>
    );
  return (
    <Panel title={`Gear · ${crane.name}`} about={`At ${stand.name}; drag it on the plan`} station="gear">
      <StandFields stand={stand} />
      <ChartFields crane={crane} />
      <CraneFields crane={crane} />
      <SiteFields />
    </Panel>
  );
}

function StandFields({ stand }: { stand: Stand }) {
  const plan = usePlan();
  const act = useAct();
  const { open, figure } = useInputs();
  const pick = plan.picks.find((one) => one.stand === stand.id);
  const edit = (changes: Partial<Omit<Stand, 'id'>>, field: string) => act('editStand', { id: stand.id, changes }, field);
  return (
    <Group title={`Stand ${stand.name}`}>
      {figure('East', 'length', stand.at.x, (x) => edit({ at: { ...stand.at, x } }, 'stand x'))}
      {figure('North', 'length', stand.at.y, (y) => edit({ at: { ...stand.at, y } }, 'stand y'))}
      {figure('Front turned from east', 'angle', stand.azimuthDeg, (azimuthDeg) => edit({ azimuthDeg }, 'stand turn'))}
      {pick && figure('Boom', 'length', pick.boom, (boom) => act('editPick', { id: pick.id, changes: { boom } }, 'boom'))}
      {open('Mat under each outrigger', 'floorArea', stand.padArea, (padArea) => edit({ padArea }, 'pad'))}
      {open('Ground may take', 'pressure', stand.groundAllowable, (groundAllowable) => edit({ groundAllowable }, 'ground'))}
    </Group>
  );
}

function ChartFields({ crane }: { crane: Crane }) {
  const plan = usePlan();
  const act = useAct();
  return (
    <section>
      <div className="mb-1 flex items-baseline justify-between">
        <h3 className="text-[15px] text-gear">Chart</h3>
        <ChartDialog crane={crane} />
      </div>
      {crane.chart ? (
        <>
          <ChartTable crane={crane} />
          <ChartChecked crane={crane} />
        </>
      ) : (
        <p className="font-semibold text-missing">No chart yet: paste or import the maker’s chart for this set-up.</p>
      )}
      <div className="mt-2">
        <ChoiceField
          label="Between rows"
          value={plan.job.chartRule}
          choices={[
            { value: 'step', label: 'next longer radius, lower boom figure' },
            { value: 'linear', label: 'straight line between cells' },
          ]}
          onValue={(chartRule) => act('editJob', { changes: { chartRule } })}
        />
      </div>
      <p className="mt-1 text-[12px] text-soft">{crane.chartSource}</p>
    </section>
  );
}

function CraneFields({ crane }: { crane: Crane }) {
  const act = useAct();
  const { open, figure, words } = useInputs();
  const edit = (changes: Partial<Omit<Crane, 'id'>>, field: string) => act('editCrane', { id: crane.id, changes }, `crane ${field}`);
  const length = (label: string, key: 'pivotBack' | 'pivotHeight' | 'boomDepth' | 'boomWidth' | 'hookDrop' | 'baseLength' | 'baseWidth' | 'tailRadius') =>
    figure(label, 'length', saidOf(crane, key, crane[key]), (value) => edit({ [key]: value }, key));
  // Of a base both measures are wanted: the other is taken as the crane stands until it is typed.
  const base = (changes: { length?: number | null; width?: number | null }) => {
    const next = { length: crane.chartBase?.length ?? null, width: crane.chartBase?.width ?? null, ...changes };
    const whole = next.length === null && next.width === null ? null : { length: next.length ?? crane.baseLength, width: next.width ?? crane.baseWidth };
    return edit({ chartBase: whole }, 'chart base');
  };
  const part = (index: number, mass: number) => edit({ parts: crane.parts.map((one, i) => (i === index ? { ...one, mass } : one)) }, `part ${index}`);
  return (
    <>
      <Group title="The crane">
        {words('Name', crane.name, (name) => edit({ name }, 'name'))}
        {open('Hook block weighs', 'mass', crane.hookBlockMass, (hookBlockMass) => edit({ hookBlockMass }, 'block'))}
        {length('Boom tip to hook, block up', 'hookDrop')}
        {length('Foot pin behind slew centre', 'pivotBack')}
        {length('Foot pin above ground', 'pivotHeight')}
        {length('Boom depth', 'boomDepth')}
        {length('Boom width', 'boomWidth')}
        {length('Tail swing radius', 'tailRadius')}
        {length('Outriggers, front to rear', 'baseLength')}
        {length('Outriggers, side to side', 'baseWidth')}
        {open('Chart is good up to gusts of', 'speed', crane.chartGust, (chartGust) => edit({ chartGust }, 'gust'))}
        {open('Chart is for a base, front to rear', 'length', crane.chartBase?.length ?? null, (length) => base({ length }))}
        {open('Chart is for a base, side to side', 'length', crane.chartBase?.width ?? null, (width) => base({ width }))}
      </Group>
      <Group title="What its parts weigh, for the ground">
        {crane.parts.map((one, i) => figure(`${one.what} weighs`, 'mass', one.mass, (mass) => part(i, mass)))}
        {crane.parts.length === 0 && (
          <SmallButton
            onClick={() =>
              edit(
                {
                  parts: [
                    { what: 'Carrier', mass: 0, on: 'chassis', x: 0, y: 0 },
                    { what: 'Upper works', mass: 0, on: 'slewing', r: -1 },
                    { what: 'Counterweight', mass: 0, on: 'slewing', r: -2.5 },
                    { what: 'Boom', mass: 0, on: 'boom', along: 0.4 },
                  ],
                },
                'parts',
              )
            }
          >
            <Plus size={13} aria-hidden /> Carrier, upper, counterweight, boom
          </SmallButton>
        )}
      </Group>
    </>
  );
}
