'use client';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import type { PowerLine, Signaller, Zone } from '@/core/document/schema';
import { saidOf } from '@/core/document/things/unsaid';
import { freshId } from '@/job/editing/fresh-id';
import { useAct, usePlan } from '@/job/job-context';
import { Group } from '../shared/panel';
import { ForecastFields } from './forecast-fields';
import { ThingTools } from '../shared/thing-tools';
import { useEdit } from '@/job/editing/use-edit';
import { useInputs } from '@/job/editing/use-inputs';
import { Fold, Pair } from '@/ui/workings/fold';
import { SmallButton } from '@/ui/small-button';

/** What stands and hangs on the site in the way of crane and load. */
export function SiteFields() {
  const plan = usePlan();
  const act = useAct();
  const { date, open, figure, words } = useInputs();
  const walked = { by: '', on: '', ...plan.site.walked };
  const walk = (changes: Partial<typeof walked>, field: string) => {
    const next = { ...walked, ...changes };
    return act('setWalked', { walked: next.by.trim() === '' && next.on.trim() === '' ? null : next }, field);
  };
  const together = { by: '', how: '', ...plan.site.together };
  const join = (changes: Partial<typeof together>, field: string) => {
    const next = { ...together, ...changes };
    return act('setTogether', { together: next.by.trim() === '' && next.how.trim() === '' ? null : next }, field);
  };
  const addThing = () =>
    act('addObstruction', {
      obstruction: {
        id: freshId('o'),
        unsaid: ['at', 'length', 'width', 'height', 'azimuthDeg'],
        name: 'a wall',
        at: { x: 3, y: 5 },
        length: 4,
        width: 0.3,
        azimuthDeg: 0,
        height: 2.5,
      },
    });
  const addLine = () => act('addPowerLine', { line: { id: freshId('l'), name: 'Overhead line', from: null, to: null, height: null, volts: null } });
  const addZone = () =>
    act('addTo', {
      list: 'zones',
      thing: {
        id: freshId('z'),
        unsaid: ['at', 'length', 'width', 'azimuthDeg'],
        name: 'Zone',
        kind: 'people',
        at: { x: 0, y: 8 },
        length: 6,
        width: 3,
        azimuthDeg: 0,
        closed: null,
      },
    });
  const addSignaller = () => act('addTo', { list: 'signallers', thing: { id: freshId('s'), unsaid: ['at'], name: '', at: { x: 2, y: 2 }, eye: null } });
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
            <SmallButton onClick={addZone}>
              <Plus size={13} aria-hidden /> Zone
            </SmallButton>
            <SmallButton onClick={addSignaller}>
              <Plus size={13} aria-hidden /> Signals
            </SmallButton>
          </span>
        }
      >
        {open('Gusts forecast', 'speed', plan.site.forecastGust, (gust) => act('setForecast', { gust }, 'forecast'))}
        {open('Gust on standing steel', 'speed', plan.site.standingGust ?? null, (gust) => act('setStandingGust', { gust }, 'standing'))}
        {plan.site.powerLines.length === 0 && plan.picks.length + (plan.launches ?? []).length > 0 && (
          <>
            {words('Looked for power lines', walked.by, (by) => walk({ by }, 'walked by'), { placeholder: 'nobody yet' })}
            {date('Looked on', walked.on, (on) => walk({ on }, 'walked on'))}
          </>
        )}
        {plan.cranes.length > 1 && (
          <>
            {words('Word to cranes in one circle by', together.by, (by) => join({ by }, 'together by'), { placeholder: 'nobody yet' })}
            {words('They know who waits by', together.how, (how) => join({ how }, 'together how'), { placeholder: 'not said' })}
          </>
        )}
      </Group>
      <ForecastFields />
      {plan.site.obstructions.map((one) => {
        const edit = (changes: Partial<Omit<typeof one, 'id'>>, field: string) => act('editObstruction', { id: one.id, changes }, `${one.id} ${field}`);
        return (
          <div
            key={one.id}
            data-thing={one.id}
            className="grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-2 border-t border-dotted border-line pt-1.5 [&>button]:self-end"
          >
            <div className="col-span-3">{words('Thing', one.name, (name) => edit({ name }, 'name'))}</div>
            <SmallButton danger label={`Remove ${one.name}`} onClick={() => act('removeObstruction', { id: one.id })}>
              <X size={14} />
            </SmallButton>
            {figure('Length', 'length', saidOf(one, 'length', one.length), (length) => edit({ length }, 'length'))}
            {figure('Width', 'length', saidOf(one, 'width', one.width), (width) => edit({ width }, 'width'))}
            {figure('Height', 'length', saidOf(one, 'height', one.height), (height) => edit({ height }, 'height'))}
            <span />
            {figure('Middle, east', 'length', saidOf(one, 'at', one.at.x), (x) => edit({ at: { ...one.at, x } }, 'x'))}
            {figure('Middle, north', 'length', saidOf(one, 'at', one.at.y), (y) => edit({ at: { ...one.at, y } }, 'y'))}
            {figure('Turned', 'angle', saidOf(one, 'azimuthDeg', one.azimuthDeg), (azimuthDeg) => edit({ azimuthDeg }, 'turn'))}
          </div>
        );
      })}
      {(plan.site.zones ?? []).map((one) => (
        <ZoneFields key={one.id} zone={one} />
      ))}
      {(plan.site.signallers ?? []).map((one) => (
        <SignallerFields key={one.id} signaller={one} />
      ))}
      {plan.site.powerLines.map((one) => (
        <PowerLineFields key={one.id} line={one} />
      ))}
    </section>
  );
}

/** Somebody who signals where the operator does not see the load. */
function SignallerFields({ signaller }: { signaller: Signaller }) {
  const edit = useEdit('signallers', signaller.id);
  const { figure, open, words } = useInputs();
  const { at, eye, name } = signaller;
  return (
    <Fold
      thing={signaller.id}
      title={name || 'Signal person'}
      note="signals where the operator does not see the load"
      tools={<ThingTools station="gear" list="signallers" thing={{ id: signaller.id, name: name || 'signal person' }} />}
    >
      <Pair>
        {words('Signals', name, (next) => edit({ name: next }, 'name'), { placeholder: 'nobody yet' })}
        {open('Eyes at level', 'length', eye, (next) => edit({ eye: next }, 'eye'))}
        {figure('Stands, east', 'length', saidOf(signaller, 'at', at.x), (x) => edit({ at: { ...at, x } }, 'x'))}
        {figure('Stands, north', 'length', saidOf(signaller, 'at', at.y), (y) => edit({ at: { ...at, y } }, 'y'))}
      </Pair>
    </Fold>
  );
}

const zoneWords: readonly (readonly [Zone['kind'], string])[] = [
  ['people', 'where people are'],
  ['road', 'a public way'],
  ['railway', 'a railway'],
  ['roof', 'a roof'],
  ['pit', 'a pit, trench or basement wall'],
  ['laydown', 'a laydown'],
];

/** What no load is carried over unless it is closed, and who says that it is. */
function ZoneFields({ zone }: { zone: Zone }) {
  const edit = useEdit('zones', zone.id);
  const { date, figure, words, choice } = useInputs();
  const closed = { how: '', by: '', on: '', ...zone.closed };
  const close = (changes: Partial<typeof closed>, field: string) => {
    const next = { ...closed, ...changes };
    const empty = next.how.trim() === '' && next.by.trim() === '' && next.on.trim() === '';
    return edit({ closed: empty ? null : next }, field);
  };
  return (
    <Fold thing={zone.id} title={zone.name || 'Zone'} note={noteOf(zone)} tools={<ThingTools station="gear" list="zones" thing={zone} />}>
      <Pair>
        {words('Zone', zone.name, (name) => edit({ name }, 'name'))}
        {choice('It is', zone.kind, zoneWords, (kind) => edit({ kind }, 'kind'))}
        {figure('Zone, long', 'length', saidOf(zone, 'length', zone.length), (length) => edit({ length }, 'length'))}
        {figure('Zone, wide', 'length', saidOf(zone, 'width', zone.width), (width) => edit({ width }, 'width'))}
        {figure('Its middle, east', 'length', saidOf(zone, 'at', zone.at.x), (x) => edit({ at: { ...zone.at, x } }, 'x'))}
        {figure('Its middle, north', 'length', saidOf(zone, 'at', zone.at.y), (y) => edit({ at: { ...zone.at, y } }, 'y'))}
        {figure('Zone turned', 'angle', saidOf(zone, 'azimuthDeg', zone.azimuthDeg), (azimuthDeg) => edit({ azimuthDeg }, 'turn'))}
        {zone.kind === 'pit' ? (
          <PitFields zone={zone} />
        ) : zone.kind === 'laydown' ? (
          <LaydownFields zone={zone} />
        ) : (
          <>
            {words('Kept closed by', closed.how, (how) => close({ how }, 'how'), { placeholder: 'not closed' })}
            {words('Who answers for that', closed.by, (by) => close({ by }, 'by'))}
            {date('Closed since', closed.on, (on) => close({ on }, 'on'))}
          </>
        )}
      </Pair>
    </Fold>
  );
}

const noteOf = ({ kind, closed }: Zone): string => {
  if (kind === 'pit') return 'the ground ends there';
  if (kind === 'laydown') return 'steel lies there';
  return closed ? 'closed while a load passes' : 'open: no load over it';
};

/** What the ground of a laydown takes, and what lies between it and the steel. */
function LaydownFields({ zone }: { zone: Zone }) {
  const edit = useEdit('zones', zone.id);
  const { open } = useInputs();
  return (
    <>
      {open('Its ground may take', 'pressure', zone.carries ?? null, (carries) => edit({ carries }, 'carries'))}
      {open('Each timber, long', 'dimension', zone.timberLength ?? null, (timberLength) => edit({ timberLength }, 'timber length'))}
      {open('Each timber, wide', 'dimension', zone.timberWidth ?? null, (timberWidth) => edit({ timberWidth }, 'timber width'))}
    </>
  );
}

/** How deep the ground ends, and who says that its edge holds what stands nearer than that. */
function PitFields({ zone }: { zone: Zone }) {
  const edit = useEdit('zones', zone.id);
  const { date, open, words } = useInputs();
  const edge = { by: '', on: '', ...zone.edge };
  const hold = (changes: Partial<typeof edge>, field: string) => {
    const next = { ...edge, ...changes };
    return edit({ edge: next.by.trim() === '' && next.on.trim() === '' ? null : next }, field);
  };
  return (
    <>
      {open('It is deep', 'length', zone.depth ?? null, (depth) => edit({ depth }, 'depth'))}
      {words('That its edge holds, worked out by', edge.by, (by) => hold({ by }, 'edge by'), { placeholder: 'nobody' })}
      {date('Edge worked out on', edge.on, (on) => hold({ on }, 'edge on'))}
    </>
  );
}

type End = 'from' | 'to';

/** A power line: its place, its voltage, what its owner asks, and what is taken where crane or load could come near it. */
function PowerLineFields({ line }: { line: PowerLine }) {
  const act = useAct();
  const { date, open, words } = useInputs();
  const edit = (changes: Partial<Omit<PowerLine, 'id'>>, field: string) => act('editPowerLine', { id: line.id, changes }, `${line.id} ${field}`);
  // An end is a place once both its figures are given; half a place waits here and is none for the plan.
  const [half, setHalf] = useState<Record<End, { x: number | null; y: number | null }>>({ from: { x: null, y: null }, to: { x: null, y: null } });
  const shown = (end: End) => line[end] ?? half[end];
  const put = (end: End, axis: 'x' | 'y', value: number | null) => {
    const next = { ...shown(end), [axis]: value };
    setHalf({ ...half, [end]: next });
    const whole = next.x !== null && next.y !== null ? { x: next.x, y: next.y } : null;
    return whole === null && line[end] === null ? null : edit({ [end]: whole }, `${end} ${axis}`);
  };
  const guard = { means: '', by: '', on: '', ...line.guard };
  const placed = line.from !== null && line.to !== null && line.height !== null;
  return (
    <Fold
      thing={line.id}
      title={line.name || 'Power line'}
      note={placed ? (line.volts === null ? 'voltage not known' : '') : 'no place yet'}
      first={!placed || line.volts === null}
      tools={
        <SmallButton danger label={`Remove ${line.name}`} onClick={() => act('removePowerLine', { id: line.id })}>
          <X size={14} />
        </SmallButton>
      }
    >
      <Pair>
        {words('Power line', line.name, (name) => edit({ name }, 'name'))}
        {open('Voltage', 'voltage', line.volts, (volts) => edit({ volts }, 'volts'))}
        {open('One end, east', 'length', shown('from').x, (x) => put('from', 'x', x))}
        {open('One end, north', 'length', shown('from').y, (y) => put('from', 'y', y))}
        {open('Other end, east', 'length', shown('to').x, (x) => put('to', 'x', x))}
        {open('Other end, north', 'length', shown('to').y, (y) => put('to', 'y', y))}
        {open('Height of the lowest wire', 'length', line.height, (height) => edit({ height }, 'height'))}
        {open('Its owner asks a distance of', 'length', line.ownerAsks ?? null, (ownerAsks) => edit({ ownerAsks }, 'owner'))}
        <div className="col-span-2">
          {words('Taken where crane or load could come near', guard.means, (means) => edit({ guard: { ...guard, means } }, 'means'))}
        </div>
        {words('Answers for it', guard.by, (by) => edit({ guard: { ...guard, by } }, 'guard by'))}
        {date('Since', guard.on, (on) => edit({ guard: { ...guard, on } }, 'guard on'))}
      </Pair>
    </Fold>
  );
}
