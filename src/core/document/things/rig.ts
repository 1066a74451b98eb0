import { Type, type Static } from 'typebox';
import { closed, nullable } from '../../calc/fields';
import { nonNegative, positive, text } from './fields';

const bar = {
  name: text(),
  length: nullable(positive('m', 'from sling to sling', { maximum: 60 })),
  own: nullable(nonNegative('kg', 'its own weight')),
  rating: nullable(positive('kg', 'as its plate says, with its slings as they are')),
  section: text('designation; empty: its plate alone speaks for it'),
  grade: text(),
};

/** What is between a hook and the slings on a piece, where that is not two legs straight to the hook. */
export const rigSchema = Type.Union([
  closed({
    kind: Type.Literal('spreader'),
    ...bar,
    top: nullable(positive('m', 'each of the two slings from its ends to the hook', { maximum: 60 })),
    topRating: nullable(positive('kg', 'of one of them, straight')),
  }),
  closed({ kind: Type.Literal('beam'), ...bar, eye: nullable(nonNegative('m', 'hook above the holes its slings hang in', { maximum: 10 })) }),
  closed({
    kind: Type.Literal('legs'),
    leftApart: nullable(nonNegative('m', 'two legs at the left pick, so far apart across the piece; 0: one leg', { maximum: 20 })),
    rightApart: nullable(nonNegative('m', 'two legs at the right pick, so far apart across the piece; 0: one leg', { maximum: 20 })),
  }),
]);
type Rig = Static<typeof rigSchema>;
export type RigKind = Rig['kind'];

export const rigWords: Record<RigKind, string> = { spreader: 'spreader', beam: 'lifting beam', legs: 'three or four legs' };

/** A rig of a kind, of which nothing is said yet. */
export function newRig(kind: RigKind): Rig {
  const bar = { name: '', length: null, own: null, rating: null, section: '', grade: '' };
  switch (kind) {
    case 'spreader':
      return { ...bar, kind, top: null, topRating: null };
    case 'beam':
      return { ...bar, kind, eye: null };
    case 'legs':
      return { kind, leftApart: null, rightApart: null };
  }
}
