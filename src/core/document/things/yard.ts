import { Type } from 'typebox';
import { closed, nullable, oneOf } from '../../calc/fields';
import { id, positive, text } from './fields';

export const yardKinds = [
  'slings',
  'shackles',
  'spreader',
  'clamp',
  'tagLine',
  'hoist',
  'trolley',
  'post',
  'mastLift',
  'jack',
  'winch',
  'rollers',
  'ramp',
  'mats',
  'other',
] as const;
export type YardKind = (typeof yardKinds)[number];
export const yardWords: Record<YardKind, string> = {
  slings: 'slings',
  shackles: 'shackles',
  spreader: 'spreader or lifting beam',
  clamp: 'beam clamps',
  tagLine: 'tag lines',
  hoist: 'hoist',
  trolley: 'beam trolley',
  post: 'gin post or bracket',
  mastLift: 'mast lift',
  jack: 'jack',
  winch: 'winch',
  rollers: 'skates or rollers',
  ramp: 'ramp',
  mats: 'mats',
  other: 'other lifting gear',
};
export const nameOfGear = ({ name, kind }: { name: string; kind: YardKind }): string => name || yardWords[kind];

/** That somebody looked at a thing as the rules ask, and when. */
export const inspectedSchema = () => nullable(closed({ by: text('who inspected it'), on: text('when, as a date') }));

/** A thing of the yard: lifting gear with its papers, lent to one lift after the other. */
export const yardSchema = closed({
  id: id(),
  kind: oneOf(yardKinds),
  name: text('its number, as marked on it'),
  rating: nullable(positive('kg', 'of one leg or of it, straight, as its tag says')),
  inspected: inspectedSchema(),
});

/** Things of the yard that a lift, or a leg of a way in, is made with. */
export const fromYard = () => Type.Optional(Type.Array(id(), { maxItems: 40, description: 'things of the yard it is made with' }));
