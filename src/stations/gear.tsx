'use client';
import { Plus, X } from 'lucide-react';
import type { Crane, Stand } from '@/core/plan/schema';
import { ChoiceField } from '@/ui/fields/choice-field';
import { QuantityField } from '@/ui/fields/quantity-field';
import { TextField } from '@/ui/fields/text-field';
import { ChartTable } from './chart-table';
import { ChartDialog } from './chart-dialog';
import { freshId } from './fresh-id';
import { useAct, useJob, usePlan } from './job-context';
import { Group, Panel, SmallButton } from './panel';

/** The crane, its chart, where it stands, and what is in its way. */
export function GearStation() {
  const plan = usePlan();
  const stand = plan.stands[0];
  const crane = plan.cranes.find((one) => one.id === stand?.crane) ?? plan.cranes[0];
  if (!stand || !crane) return <Panel title="Gear" about="No crane yet" station="gear" />;
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
  const done = useJob((state) => state.done);
  const system = plan.job.units;
  const pick = plan.picks.find((one) => one.stand === stand.id);
  const edit = (changes: Partial<Omit<Stand, 'id'>>, field: string) => act('editStand', { id: stand.id, changes }, field);
  return (
    <Group title={`Stand ${stand.name}`}>
      <QuantityField
        label="East"
        kind="length"
        system={system}
        value={stand.at.x}
        onValue={(x) => edit({ at: { ...stand.at, x: x ?? 0 } }, 'stand x')}
        onDone={done}
      />
      <QuantityField
        label="North"
        kind="length"
        system={system}
        value={stand.at.y}
        onValue={(y) => edit({ at: { ...stand.at, y: y ?? 0 } }, 'stand y')}
        onDone={done}
      />
      <QuantityField
        label="Front turned from east"
        kind="angle"
        system={system}
        value={stand.azimuthDeg}
        onValue={(azimuthDeg) => edit({ azimuthDeg: azimuthDeg ?? 0 }, 'stand turn')}
        onDone={done}
      />
      {pick && (
        <QuantityField
          label="Boom"
          kind="length"
          system={system}
          value={pick.boom}
          onValue={(boom) => act('editPick', { id: pick.id, changes: { boom: boom ?? 0 } }, 'boom')}
          onDone={done}
        />
      )}
      <QuantityField
        label="Mat under each outrigger"
        kind="floorArea"
        system={system}
        value={stand.padArea}
        clearable
        onValue={(padArea) => edit({ padArea }, 'pad')}
        onDone={done}
      />
      <QuantityField
        label="Ground may take"
        kind="pressure"
        system={system}
        value={stand.groundAllowable}
        clearable
        onValue={(groundAllowable) => edit({ groundAllowable }, 'ground')}
        onDone={done}
      />
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
        <ChartTable crane={crane} />
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
  const done = useJob((state) => state.done);
  const system = usePlan().job.units;
  const edit = (changes: Partial<Omit<Crane, 'id'>>, field: string) => act('editCrane', { id: crane.id, changes }, `crane ${field}`);
  const length = (label: string, key: 'pivotBack' | 'pivotHeight' | 'boomDepth' | 'boomWidth' | 'hookDrop' | 'baseLength' | 'baseWidth' | 'tailRadius') => (
    <QuantityField label={label} kind="length" system={system} value={crane[key]} onValue={(value) => edit({ [key]: value ?? 0 }, key)} onDone={done} />
  );
  const part = (index: number, mass: number) => edit({ parts: crane.parts.map((one, i) => (i === index ? { ...one, mass } : one)) }, `part ${index}`);
  return (
    <>
      <Group title="The crane">
        <TextField label="Name" value={crane.name} onValue={(name) => edit({ name }, 'name')} onDone={done} />
        <QuantityField
          label="Hook block weighs"
          kind="mass"
          system={system}
          value={crane.hookBlockMass}
          clearable
          onValue={(hookBlockMass) => edit({ hookBlockMass }, 'block')}
          onDone={done}
        />
        {length('Boom tip to hook, block up', 'hookDrop')}
        {length('Foot pin behind slew centre', 'pivotBack')}
        {length('Foot pin above ground', 'pivotHeight')}
        {length('Boom depth', 'boomDepth')}
        {length('Boom width', 'boomWidth')}
        {length('Tail swing radius', 'tailRadius')}
        {length('Outriggers, front to rear', 'baseLength')}
        {length('Outriggers, side to side', 'baseWidth')}
        <QuantityField
          label="Chart is good up to gusts of"
          kind="speed"
          system={system}
          value={crane.chartGust}
          clearable
          onValue={(chartGust) => edit({ chartGust }, 'gust')}
          onDone={done}
        />
      </Group>
      <Group title="What its parts weigh, for the ground">
        {crane.parts.map((one, i) => (
          <QuantityField
            key={i}
            label={`${one.what} weighs`}
            kind="mass"
            system={system}
            value={one.mass}
            onValue={(mass) => part(i, mass ?? 0)}
            onDone={done}
          />
        ))}
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

function SiteFields() {
  const plan = usePlan();
  const act = useAct();
  const done = useJob((state) => state.done);
  const system = plan.job.units;
  const addThing = () =>
    act('addObstruction', { obstruction: { id: freshId('o'), name: 'a wall', at: { x: 3, y: 5 }, length: 4, width: 0.3, azimuthDeg: 0, height: 2.5 } });
  const addLine = () =>
    act('addPowerLine', { line: { id: freshId('l'), name: 'Overhead line', from: { x: -5, y: 14 }, to: { x: 20, y: 14 }, height: 8, volts: null } });
  return (
    <section className="space-y-3">
      <Group
        title="In the way"
        tools={
          <span className="flex gap-1">
            <SmallButton onClick={addThing}>
              <Plus size={13} aria-hidden /> Thing
            </SmallButton>
            <SmallButton onClick={addLine}>
              <Plus size={13} aria-hidden /> Power line
            </SmallButton>
          </span>
        }
      >
        <QuantityField
          label="Gusts forecast"
          kind="speed"
          system={system}
          value={plan.site.forecastGust}
          clearable
          onValue={(gust) => act('setForecast', { gust }, 'forecast')}
          onDone={done}
        />
      </Group>
      {plan.site.obstructions.map((one) => {
        const edit = (changes: Partial<Omit<typeof one, 'id'>>, field: string) => act('editObstruction', { id: one.id, changes }, `${one.id} ${field}`);
        return (
          <div key={one.id} className="grid grid-cols-[1.5fr_1fr_1fr_1fr_auto] items-end gap-2 [&>button]:self-end">
            <TextField label="Thing" value={one.name} onValue={(name) => edit({ name }, 'name')} onDone={done} />
            <QuantityField
              label="Length"
              kind="length"
              system={system}
              value={one.length}
              onValue={(length) => edit({ length: length ?? 0 }, 'length')}
              onDone={done}
            />
            <QuantityField
              label="Width"
              kind="length"
              system={system}
              value={one.width}
              onValue={(width) => edit({ width: width ?? 0 }, 'width')}
              onDone={done}
            />
            <QuantityField
              label="Height"
              kind="length"
              system={system}
              value={one.height}
              onValue={(height) => edit({ height: height ?? 0 }, 'height')}
              onDone={done}
            />
            <SmallButton danger label={`Remove ${one.name}`} onClick={() => act('removeObstruction', { id: one.id })}>
              <X size={14} />
            </SmallButton>
          </div>
        );
      })}
      {plan.site.powerLines.map((one) => {
        const edit = (changes: Partial<Omit<typeof one, 'id'>>, field: string) => act('editPowerLine', { id: one.id, changes }, `${one.id} ${field}`);
        return (
          <div key={one.id} className="grid grid-cols-[1.5fr_1fr_1fr_auto] items-end gap-2 [&>button]:self-end">
            <TextField label="Power line" value={one.name} onValue={(name) => edit({ name }, 'name')} onDone={done} />
            <QuantityField
              label="Voltage"
              kind="voltage"
              system={system}
              value={one.volts}
              clearable
              onValue={(volts) => edit({ volts }, 'volts')}
              onDone={done}
            />
            <QuantityField
              label="Height"
              kind="length"
              system={system}
              value={one.height}
              onValue={(height) => edit({ height: height ?? 0 }, 'height')}
              onDone={done}
            />
            <SmallButton danger label={`Remove ${one.name}`} onClick={() => act('removePowerLine', { id: one.id })}>
              <X size={14} />
            </SmallButton>
          </div>
        );
      })}
    </section>
  );
}
