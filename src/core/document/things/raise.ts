import { Type, type Static } from 'typebox';
import { closed, nullable } from '../../calc/fields';
import { id, nonNegative, positive, real, size, text } from './fields';
import { fromYard } from './yard';

export const raiseKinds = ['mastLift', 'hoist', 'jack', 'hands'] as const;
export type RaiseKind = (typeof raiseKinds)[number];

const at = () => nullable(nonNegative('m', 'from the left end of what is raised'));

/** One place where a load is raised without a crane. */
const pointSchema = Type.Union([
  closed({
    id: id(),
    kind: Type.Literal('mastLift'),
    name: text(),
    at: at(),
    rating: nullable(positive('kg', 'on its plate, at the load centre of the plate')),
    plateCentre: nullable(size('mast to middle of the load, as on the plate')),
    centre: nullable(size('mast to middle of this load')),
    reach: nullable(positive('m', 'of its forks over the floor it stands on')),
    own: nullable(positive('kg', 'its own weight')),
    foot: nullable(positive('m2', 'floor under its legs or the boards under them')),
  }),
  closed({
    id: id(),
    kind: Type.Literal('hoist'),
    name: text(),
    at: at(),
    rating: nullable(positive('kg')),
    own: nullable(nonNegative('kg', 'hoist and chain')),
    closed: nullable(positive('m', 'from what it hangs on to its hook run right up')),
    sling: nullable(nonNegative('m', 'hook to the top of the load')),
    travel: nullable(positive('m', 'of its hook')),
    sideDeg: nullable(nonNegative('deg', 'chain out of plumb at the worst', { maximum: 60 })),
    hangsOn: Type.Optional(nullable(id())),
    hangsFrom: text('what it hangs from, where that is nothing of this plan'),
    hangsAt: nullable(real('m', { description: 'level of what it hangs from' })),
    carries: nullable(positive('N', 'what it hangs from may carry there')),
    arm: Type.Optional(
      nullable(
        closed({
          reach: nullable(nonNegative('m', 'from the axis of the post to the hoist', { maximum: 10 })),
          apart: nullable(positive('m', 'from one of its two lashings to the other', { maximum: 20 })),
          lashingCarries: nullable(positive('N', 'one lashing, and what it is lashed to')),
          own: nullable(nonNegative('kg', 'post and arm')),
          footCarries: nullable(positive('N', 'what is under its foot')),
          designedBy: text('who worked out what it is lashed to'),
        }),
      ),
    ),
  }),
  closed({
    id: id(),
    kind: Type.Literal('jack'),
    name: text(),
    at: at(),
    rating: nullable(positive('kg', 'as its plate says')),
    closed: nullable(size('run right down, with what it stands on')),
    stroke: nullable(size()),
    step: nullable(size('raised in one go')),
    packing: nullable(nonNegative('m', 'load to the packing that follows it, at the most', { maximum: 5 })),
    locks: nullable(Type.Boolean({ description: 'it holds by itself if its pressure goes' })),
    foot: nullable(positive('m2', 'floor under it, or under what it stands on')),
  }),
  closed({
    id: id(),
    kind: Type.Literal('hands'),
    name: text(),
    at: at(),
    people: nullable(Type.Integer({ minimum: 1, maximum: 100 })),
    rung: nullable(positive('m', 'from one rest to the next')),
    keepers: nullable(Type.Boolean({ description: 'a keeper holds it at each rest before the next step' })),
    friction: nullable(positive('1', 'on the rests', { maximum: 1.5 })),
    rungCarries: nullable(positive('N', 'what the rest there may carry')),
  }),
]);

export type Arm = NonNullable<Extract<Static<typeof pointSchema>, { kind: 'hoist' }>['arm']>;
/** An arm on a lashed post, of which nothing is said yet. */
export const newArm = (): Arm => ({ reach: null, apart: null, lashingCarries: null, own: null, footCarries: null, designedBy: '' });

/** How a load is raised to its seats without a crane: by mast lifts, hoists, jacks or hands, at as many places as it takes. */
export const raiseSchema = closed({
  id: id(),
  load: id(),
  floor: nullable(real('m', { description: 'level the gear stands on' })),
  lies: nullable(real('m', { description: 'underside of the load before it is raised' })),
  uneven: nullable(nonNegative('m', 'one place above the next at the most, on the way up')),
  floorCarries: nullable(positive('Pa', 'what the floor may take under the gear')),
  by: text('who answers for it'),
  points: Type.Array(pointSchema, { maxItems: 12 }),
  gear: fromYard(),
});

type Raise = Static<typeof raiseSchema>;
type RaisePoint = Raise['points'][number];

/** A place of a kind, of which nothing is said yet. */
export function newPoint(kind: RaiseKind, id: string, name: string): RaisePoint {
  switch (kind) {
    case 'mastLift':
      return { id, kind, name, at: null, rating: null, plateCentre: null, centre: null, reach: null, own: null, foot: null };
    case 'hoist':
      return {
        id,
        kind,
        name,
        at: null,
        rating: null,
        own: null,
        closed: null,
        sling: null,
        travel: null,
        sideDeg: null,
        hangsOn: null,
        hangsFrom: '',
        hangsAt: null,
        carries: null,
      };
    case 'jack':
      return { id, kind, name, at: null, rating: null, closed: null, stroke: null, step: null, packing: null, locks: null, foot: null };
    case 'hands':
      return { id, kind, name, at: null, people: null, rung: null, keepers: null, friction: null, rungCarries: null };
  }
}

export const pointWords: Record<RaiseKind, string> = { mastLift: 'mast lift', hoist: 'hoist', jack: 'jack', hands: 'crew' };

export const newRaise = (id: string, load: string, kind: RaiseKind, count: number, pointId: (n: number) => string): Raise => ({
  id,
  load,
  floor: null,
  lies: null,
  uneven: null,
  floorCarries: null,
  by: '',
  points: Array.from({ length: count }, (_, n) => newPoint(kind, pointId(n), `${pointWords[kind][0]!.toUpperCase()}${pointWords[kind].slice(1)} ${n + 1}`)),
});
