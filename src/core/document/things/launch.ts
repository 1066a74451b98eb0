import { Type, type Static } from 'typebox';
import { closed, nullable } from '../../calc/fields';
import { id, nonNegative, positive, real, size, standsOn, text } from './fields';

const hauled = () =>
  nullable(
    closed({
      what: text('winch, jacks, rope and what they are anchored to'),
      carries: nullable(positive('N', 'the least that gear, rope and anchorage carry along the line')),
    }),
  );

/** One roller, or one set of them under one girder line. */
const rollerSchema = closed({
  id: id(),
  name: text(),
  x: nullable(real('m', { description: 'ahead of where the rear end of the load comes to lie; behind it: negative' })),
  off: nullable(real('m', { description: 'above the straight line of the launch; 0: on it', minimum: -2, maximum: 2 })),
  carries: nullable(positive('N', 'one set, under one girder line')),
  length: nullable(size('of the web that it presses on')),
  width: nullable(size('across the load, from one edge that carries to the other')),
  guides: nullable(Type.Boolean({ description: 'it keeps the load from going sideways' })),
  standsOn: standsOn(),
});

/** How pieces joined end to end are pushed over rollers to where they are to be, and lowered onto their supports. */
export const launchSchema = closed({
  id: id(),
  name: text(),
  pieces: Type.Array(
    closed({
      piece: id(),
      joined: nullable(nonNegative('m', 'travel at which it is joined on behind; 0: before the first push')),
    }),
    { maxItems: 400 },
  ),
  towardsDeg: nullable(real('deg', { minimum: -360, maximum: 360, description: 'in plan, the way it is pushed' })),
  travel: nullable(positive('m', 'how far it is pushed in all', { maximum: 500 })),
  slopeDeg: nullable(real('deg', { minimum: -10, maximum: 10, description: 'of the line of the launch; uphill positive' })),
  friction: nullable(positive('1', 'of the rollers while it moves', { maximum: 1 })),
  nose: nullable(
    closed({
      length: nonNegative('m', '0: it has none', { maximum: 100 }),
      mass: nullable(positive('kg', 'on each girder line')),
      stiffness: nullable(positive('N·m2', 'EI of it, on each girder line')),
      rise: nullable(nonNegative('m', 'its tip stands over the line of the launch, or is taken up by a jack at its tip', { maximum: 5 })),
      carries: nullable(positive('N·m', 'moment that it and its joint to the first piece carry, by who designed it')),
    }),
  ),
  tail: nullable(
    closed({
      mass: nonNegative('kg', 'weight put on its rear end, on each girder line; 0: none'),
      at: nullable(nonNegative('m', 'from the rear end of what is pushed to it', { maximum: 200 })),
    }),
  ),
  free: nullable(positive('m', 'between places where both its flanges are held sideways, at the most')),
  stiffened: nullable(Type.Boolean({ description: 'no web without stiffeners passes over a roller: beams or plates spread what it presses' })),
  room: nullable(positive('m', 'of the yard, from where the rear end of the load comes to lie back to its end')),
  pull: hauled(),
  brake: hauled(),
  over: nullable(positive('m', 'of its underside over the seats while it is on rollers', { maximum: 20 })),
  gust: nullable(positive('m/s', 'at which it is not pushed, by who worked it out')),
  step: nullable(size('it is lowered in one go')),
  packing: nullable(nonNegative('m', 'load to the packing that follows under it, at the most', { maximum: 5 })),
  jacks: nullable(positive('N', 'what the jacks at one support carry, under one girder line')),
  laid: nullable(closed({ how: text('by what its pieces are laid on the rollers behind'), by: text('who worked these lifts out') })),
  by: text('who answers for the launch and worked it out'),
  rollers: Type.Array(rollerSchema, { maxItems: 60 }),
});

export type Launch = Static<typeof launchSchema>;
export type Roller = Launch['rollers'][number];

const common = { id: id(), note: Type.Optional(text()) };
/** What is done to what is pushed. */
export const launchMoves = [
  closed({ ...common, kind: Type.Literal('launch.build'), launch: id() }),
  closed({ ...common, kind: Type.Literal('launch.push'), launch: id(), to: nonNegative('m', 'travel at its end, from the place where it was built') }),
  closed({ ...common, kind: Type.Literal('launch.stop'), launch: id() }),
  closed({ ...common, kind: Type.Literal('launch.lower'), launch: id() }),
] as const;

export const newRoller = (id: string, name: string): Roller => ({
  id,
  name,
  x: null,
  off: null,
  carries: null,
  length: null,
  width: null,
  guides: null,
  standsOn: [],
});

/** A launch of which nothing is said yet but what is pushed. */
export const newLaunch = (id: string, name: string, pieces: readonly string[]): Launch => ({
  id,
  name,
  pieces: pieces.map((piece) => ({ piece, joined: null })),
  towardsDeg: null,
  travel: null,
  slopeDeg: null,
  friction: null,
  nose: null,
  tail: null,
  free: null,
  stiffened: null,
  room: null,
  pull: null,
  brake: null,
  over: null,
  gust: null,
  step: null,
  packing: null,
  jacks: null,
  laid: null,
  by: '',
  rollers: [],
});
