import type { Beam, Brace, Joint, Make, PutLoad, Support } from '../schema';
import { asked, goes, none, onLinks, outOf, type Thing } from './thing';

const spot = (field: string, { piece }: { piece: string }) => goes('beam', piece, `${field}.piece`);

export const makes: Thing<Make> = { word: 'make', refs: none };

export const beams: Thing<Beam> = { word: 'piece of the structure', refs: ({ make }) => [goes('make', make, 'make')] };

export const supports: Thing<Support> = {
  word: 'support',
  refs: (one) => [
    ...outOf<Support>(
      'beam',
      one.seats.map(({ piece }) => piece),
      (j) => `seats[${j}].piece`,
      (thing, id) => (thing.seats = thing.seats.filter(({ piece }) => piece !== id)),
    ),
    // A support without its bent would stand on nothing that gives: the bent stays as long as it carries.
    ...(one.onBent === null ? [] : [{ kind: 'bent' as const, id: one.onBent.bent, field: 'onBent.bent', gone: 'holds' as const }]),
    ...onLinks(one),
  ],
  empty: ({ seats }) => seats.length === 0,
};

export const joints: Thing<Joint> = {
  word: 'joint',
  refs: ({ a, b, sharesWith }) => [spot('a', a), spot('b', b), ...asked<Joint>('joint', sharesWith, 'sharesWith', (thing) => (thing.sharesWith = null))],
};

export const braces: Thing<Brace> = { word: 'brace', refs: ({ a, b }) => [spot('a', a), ...(b === null ? [] : [spot('b', b)])] };

export const putLoads: Thing<PutLoad> = { word: 'load', refs: ({ piece }) => [goes('beam', piece, 'piece')] };
