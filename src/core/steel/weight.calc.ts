import { Type, type Static } from 'typebox';
import { closed, nonNegative, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';
import { GRAVITY } from '../units';

const lump = closed({ mass: nonNegative('kg'), at: real('m') });
const run = closed({ massPerLength: nonNegative('kg/m'), from: real('m'), to: real('m') });
const item = Type.Union([lump, run]);

const massOf = (one: Static<typeof item>): number => ('mass' in one ? one.mass : one.massPerLength * (one.to - one.from));
const centreOf = (one: Static<typeof item>): number => ('mass' in one ? one.at : (one.from + one.to) / 2);

/** Mass, weight and centre of gravity of lumps and uniform runs. The allowance scales the mass, not the centre of gravity. */
export const steelWeight = defineCalc({
  id: 'steel.weight',
  title: 'Weight and centre of gravity',
  input: closed({
    items: Type.Array(item, { minItems: 1 }),
    allowance: nonNegative('1', 'fraction added for paint, welds, rolling tolerance', { maximum: 1 }),
  }),
  output: closed({ mass: positive('kg'), weight: positive('N'), cg: real('m', { description: 'from the origin of the items' }) }),
  source: { basis: 'statics', text: 'Statics; standard gravity 9.80665 m/s²' },
  compute({ items, allowance }) {
    items.forEach((one, i) => {
      if ('from' in one && !(one.to > one.from)) refuse(`items[${i}].to`, `items[${i}] runs from ${one.from} m to ${one.to} m: make “to” the larger.`);
    });
    const bare = items.reduce((sum, one) => sum + massOf(one), 0);
    if (!(bare > 0)) refuse('items', 'The items weigh 0 kg together: there is no centre of gravity. Give at least one a mass.');
    const cg = items.reduce((sum, one) => sum + massOf(one) * centreOf(one), 0) / bare;
    const mass = bare * (1 + allowance);
    return { mass, weight: mass * GRAVITY, cg };
  },
  work: ({ items, allowance }, o) => [
    ...items.map((one, i) => ({
      label: `Part ${i + 1}`,
      formula: 'mass' in one ? 'lump' : 'm = mass per length × length',
      numbers:
        'mass' in one
          ? phrase`at ${q(one.at, 'length')}`
          : phrase`${q(one.massPerLength, 'massPerLength')} × ${q(one.to - one.from, 'length')}, middle at ${q(centreOf(one), 'length')}`,
      result: q(massOf(one), 'mass'),
    })),
    { label: 'Centre of gravity', formula: 'x = Σ m·x / Σ m', result: q(o.cg, 'length') },
    {
      label: 'Mass with the allowance',
      formula: 'm = Σ m × (1 + allowance)',
      numbers: phrase`${q(o.mass / (1 + allowance), 'mass')} × (1 + ${q(allowance, 'fraction')})`,
      result: q(o.mass, 'mass'),
    },
    { label: 'Weight', formula: 'W = m·g', numbers: phrase`${q(o.mass, 'mass')} × 9.80665 m/s²`, result: q(o.weight, 'force') },
  ],
});
