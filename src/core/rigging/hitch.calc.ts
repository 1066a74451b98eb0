import { Type } from 'typebox';
import { closed, nonNegative, nullable, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Sharper than this a bend takes no more than half of a rope: nothing is said of it below. */
const SHARPEST = 1;

/** What a sling is good for as it is put round a piece, from what its tag says of it straight. */
export const hitchRating = defineCalc({
  id: 'rigging.hitch',
  title: 'Rating of a sling as it is put on',
  input: closed({
    rating: positive('kg', 'of one sling, straight'),
    parts: Type.Integer({ minimum: 1, maximum: 2, description: 'parts of it that share the load: 2 in a basket' }),
    share: Type.Number({ unit: '1', exclusiveMinimum: 0, maximum: 1, description: 'of the straight rating left in this hitch' }),
    bend: nullable(nonNegative('1', 'diameter of what a wire rope bends round over its own; null: no wire rope, or no bend')),
  }),
  output: closed({ kept: nonNegative('1', 'of a rope, left in its bend', { maximum: 1 }), capacity: positive('kg') }),
  source: {
    basis: 'statics',
    text: 'Two parts of a basket share the load; a wire rope bent round D keeps 1 − 0.5/√(D/d) of its strength, half at D/d = 1 (from memory)',
  },
  compute({ rating, parts, share, bend }) {
    const kept = bend === null ? 1 : 1 - 0.5 / Math.sqrt(Math.max(SHARPEST, bend));
    return { kept, capacity: rating * Math.min(share, kept) * parts };
  },
  work: (i, o) => [
    ...(i.bend === null
      ? []
      : [{ label: 'The bend leaves of the rope', formula: '1 − 0.5/√(D/d)', numbers: phrase`D/d = ${q(i.bend, 'factor')}`, result: q(o.kept, 'fraction') }]),
    {
      label: 'Good for, as it is put on',
      formula: 'n·m·min(hitch, bend)',
      numbers: phrase`${String(i.parts)} × ${q(i.rating, 'mass')} × min(${q(i.share, 'fraction')}, ${q(o.kept, 'fraction')})`,
      result: q(o.capacity, 'mass'),
    },
  ],
});
