import type { Crane, Duty, Launch, Pick, Raise, Signaller, Stand, YardThing, Zone } from '../schema';
import type { LiftString } from '../things/string';
import type { ThingIn } from './paths';
import { asked, goes, none, outOf, type Ref, type Thing } from './thing';

/** Gear that left the yard is in no lift. */
const ofYard = <T extends { gear?: string[] }>({ gear }: T): Ref<T>[] =>
  outOf<T>(
    'yard',
    gear,
    (j) => `gear[${j}]`,
    (thing, id) => {
      const one = thing as { gear?: string[] };
      one.gear = one.gear?.filter((other) => other !== id);
    },
  );

export const cranes: Thing<Crane> = {
  word: 'crane',
  // What held its mast and is gone holds it no more: by what else, is asked.
  refs: ({ tower }) =>
    (tower?.heldAt ?? []).flatMap(({ pieces }, i) =>
      outOf<Crane>(
        'beam',
        pieces,
        (j) => `tower.heldAt[${i}].pieces[${j}]`,
        (thing, id) => {
          const hold = thing.tower!.heldAt![i]!;
          hold.pieces = hold.pieces.filter((other) => other !== id);
        },
      ),
    ),
};
export const duties: Thing<Duty> = { word: 'chart', refs: ({ crane }) => [goes('crane', crane, 'crane')] };
export const stands: Thing<Stand> = { word: 'stand', refs: ({ crane }) => [goes('crane', crane, 'crane')] };

export const picks: Thing<Pick> = {
  word: 'pick',
  refs: (one) => [
    goes('lifted', one.piece, 'piece'),
    ...ofYard(one),
    goes('stand', one.stand, 'stand'),
    // Without its second crane it is lifted by the first alone, until somebody says otherwise.
    ...asked<Pick>('stand', one.second?.stand, 'second.stand', (thing) => (thing.second = null)),
    ...outOf<Pick>(
      'beam',
      one.joined,
      (j) => `joined[${j}]`,
      (thing, id) => (thing.joined = thing.joined?.filter((other) => other !== id) ?? null),
    ),
  ],
};

export const raises: Thing<Raise> = {
  word: 'lift without a crane',
  refs: (one) => [
    goes('raised', one.load, 'load'),
    ...ofYard(one),
    // A hoist that hung from what went hangs from nothing that is said.
    ...one.points.flatMap((point, j) =>
      point.kind === 'hoist'
        ? asked<Raise>('holdfast', point.hangsOn, `points[${j}].hangsOn`, ({ points }) => {
            const own = points[j]!;
            if (own.kind === 'hoist') own.hangsOn = null;
          })
        : [],
    ),
  ],
};

export const strings: Thing<LiftString> = {
  word: 'string of beams',
  refs: ({ picks: ids }) =>
    outOf<LiftString>(
      'pick',
      ids,
      (j) => `picks[${j}]`,
      (thing, id) => (thing.picks = thing.picks.filter((other) => other !== id)),
    ),
  // One beam alone is none.
  empty: ({ picks: ids }) => ids.length < 2,
};

export const launches: Thing<Launch> = {
  word: 'launch',
  refs: ({ pieces, rollers }) => [
    ...outOf<Launch>(
      'beam',
      pieces.map(({ piece }) => piece),
      (j) => `pieces[${j}].piece`,
      (thing, id) => (thing.pieces = thing.pieces.filter(({ piece }) => piece !== id)),
    ),
    ...rollers.flatMap(({ standsOn }, j) =>
      outOf<Launch>(
        'link',
        standsOn.map(({ link }) => link),
        (k) => `rollers[${j}].standsOn[${k}].link`,
        (thing, id) => (thing.rollers[j]!.standsOn = thing.rollers[j]!.standsOn.filter(({ link }) => link !== id)),
      ),
    ),
  ],
  // A launch of nothing is none.
  empty: ({ pieces }) => pieces.length === 0,
};

export const yard: Thing<YardThing> = { word: 'thing of the yard', refs: none };
export const zones: Thing<Zone> = { word: 'zone', refs: none };
export const signallers: Thing<Signaller> = { word: 'signal person', refs: none };
export const obstructions: Thing<ThingIn<'obstructions'>> = { word: 'obstruction', refs: none };
export const powerLines: Thing<ThingIn<'powerLines'>> = { word: 'power line', refs: none };
