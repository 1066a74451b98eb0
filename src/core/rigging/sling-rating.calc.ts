import { Type } from 'typebox';
import { closed, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';
import { GRAVITY } from '../units';

export const slingRating = defineCalc({
  id: 'rigging.slingRating',
  title: 'Sling leg against its rating',
  input: closed({
    tension: positive('N'),
    dynamicFactor: Type.Number({ unit: '1', minimum: 1, maximum: 5 }),
    rating: positive('kg', 'of the leg, straight pull'),
  }),
  output: closed({ demand: positive('N'), capacity: positive('N') }),
  source: { basis: 'practice', text: 'Rated capacity on the sling’s tag, straight pull; a rating equal to the load is a stop' },
  compute: ({ tension, dynamicFactor, rating }) => ({ demand: tension * dynamicFactor, capacity: rating * GRAVITY }),
  work: (i, o) => [
    {
      label: 'Tension with the dynamic factor',
      formula: 'T·ψ',
      numbers: phrase`${q(i.tension, 'force')} × ${q(i.dynamicFactor, 'factor')}`,
      result: q(o.demand, 'force'),
    },
    { label: 'Rating', formula: 'm·g', numbers: phrase`${q(i.rating, 'mass')} × 9.80665 m/s²`, result: q(o.capacity, 'force') },
  ],
});
