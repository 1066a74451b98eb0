'use client';
import { X } from 'lucide-react';
import { dayWords } from '@/core/units/day';
import type { Permit, Truck, Turn } from '@/core/document/schema';
import { truckLength } from '@/core/document/trucks';
import { formatQuantity } from '@/core/units';
import { Fold } from '@/ui/workings/fold';
import { SmallButton } from '@/ui/small-button';
import { useAct } from '@/job/job-context';
import { useEdit, useField } from '@/job/editing/use-edit';
import { useInputs } from '@/job/editing/use-inputs';

export const newTruck = (id: string, number: number): Truck => ({
  id,
  name: `Truck ${number}`,
  deckLength: 9,
  deckWidth: 2.4,
  overhang: 0,
  mass: 10000,
  layers: 2,
  front: null,
  wheelbase: null,
  steered: null,
});
export const newTurn = (id: string, number: number): Turn => ({ id, name: `Turn ${number}`, outerRadius: null, width: null });
export const newPermit = (id: string): Permit => ({
  id,
  number: '',
  by: '',
  longest: null,
  heaviest: null,
  steered: null,
  from: '',
  until: '',
  conditions: '',
});

type Known = 'unknown' | 'yes' | 'no';
const asKnown = (value: boolean | null): Known => (value === null ? 'unknown' : value ? 'yes' : 'no');
const fromKnown = (value: Known): boolean | null => (value === 'unknown' ? null : value === 'yes');
const known = (yes: string, no: string) => [['unknown', 'not known'] as const, ['yes', yes] as const, ['no', no] as const];

function Remove({ list, id, name }: { list: 'trucks' | 'turns' | 'permits'; id: string; name: string }) {
  const act = useAct();
  return (
    <SmallButton danger label={`Remove ${name}`} onClick={() => act('removeFrom', { list, id })}>
      <X size={14} />
    </SmallButton>
  );
}

const Three = ({ children }: { children: React.ReactNode }) => <div className="grid grid-cols-3 gap-x-4 gap-y-2">{children}</div>;

export function TruckFields({ truck }: { truck: Truck }) {
  const { open, figure, whole, words, choice } = useInputs();
  const { system } = useField();
  const edit = useEdit('trucks', truck.id);
  const name = truck.name || 'truck without a name';
  const axles = truck.steered === null ? 'steering not known' : truck.steered ? 'rear axles steered' : 'rear axles fixed';
  return (
    <Fold
      title={name}
      note={`takes ${formatQuantity(truckLength(truck), 'length', system)} and ${formatQuantity(truck.mass, 'mass', system)}, ${axles}`}
      tools={<Remove list="trucks" id={truck.id} name={name} />}
    >
      <Three>
        {words('Truck', truck.name, (name) => edit({ name }, 'name'))}
        {figure('Deck length', 'length', truck.deckLength, (deckLength) => edit({ deckLength }, 'length'))}
        {figure('Deck width', 'length', truck.deckWidth, (deckWidth) => edit({ deckWidth }, 'width'))}
        {figure('Past the deck, behind', 'length', truck.overhang, (overhang) => edit({ overhang }, 'overhang'))}
        {figure('May carry', 'mass', truck.mass, (mass) => edit({ mass }, 'mass'))}
        {whole('Layers', truck.layers, 1, (layers) => edit({ layers }, 'layers'))}
        {choice('Rear axles', asKnown(truck.steered), known('can be steered', 'are fixed'), (value) => edit({ steered: fromKnown(value) }, 'steered'))}
        {open('Deck ahead of the king pin', 'length', truck.front, (front) => edit({ front }, 'front'))}
        {open('King pin to rear axles', 'length', truck.wheelbase, (wheelbase) => edit({ wheelbase }, 'wheelbase'))}
      </Three>
    </Fold>
  );
}

export function TurnFields({ turn }: { turn: Turn }) {
  const { open, words } = useInputs();
  const { system } = useField();
  const edit = useEdit('turns', turn.id);
  const name = turn.name || 'turn without a name';
  const show = (value: number | null) => (value === null ? 'not measured' : formatQuantity(value, 'length', system));
  return (
    <Fold title={name} note={`radius ${show(turn.outerRadius)}, width ${show(turn.width)}`} tools={<Remove list="turns" id={turn.id} name={name} />}>
      <Three>
        {words('Where', turn.name, (name) => edit({ name }, 'name'))}
        {open('Radius of its outer edge', 'length', turn.outerRadius, (outerRadius) => edit({ outerRadius }, 'radius'))}
        {open('Width of road there', 'length', turn.width, (width) => edit({ width }, 'width'))}
      </Three>
    </Fold>
  );
}

export function PermitFields({ permit }: { permit: Permit }) {
  const { date, open, words, choice } = useInputs();
  const { system } = useField();
  const edit = useEdit('permits', permit.id);
  const name = permit.number.trim() ? `Permit ${permit.number}` : 'Permit asked for';
  const days = permit.from && permit.until ? `${dayWords(permit.from)} to ${dayWords(permit.until)}` : 'days not known';
  return (
    <Fold
      title={name}
      note={`${permit.longest === null ? 'length not known' : `up to ${formatQuantity(permit.longest, 'length', system)}`}, ${days}`}
      tools={<Remove list="permits" id={permit.id} name={name} />}
    >
      <Three>
        {words('Number', permit.number, (number) => edit({ number }, 'number'), { placeholder: 'not given yet' })}
        {words('Given by', permit.by, (by) => edit({ by }, 'by'))}
        {choice('Rear axles by the permit', asKnown(permit.steered), known('must be steered', 'may be fixed'), (value) =>
          edit({ steered: fromKnown(value) }, 'steered'),
        )}
        {open('Longest load', 'length', permit.longest, (longest) => edit({ longest }, 'longest'))}
        {open('Heaviest load', 'mass', permit.heaviest, (heaviest) => edit({ heaviest }, 'heaviest'), { placeholder: 'sets none' })}
        <span />
        {date('Good from', permit.from, (from) => edit({ from }, 'from'))}
        {date('Good until', permit.until, (until) => edit({ until }, 'until'))}
        {words('Conditions', permit.conditions, (conditions) => edit({ conditions }, 'conditions'), { placeholder: 'escort, hours, roads' })}
      </Three>
    </Fold>
  );
}
