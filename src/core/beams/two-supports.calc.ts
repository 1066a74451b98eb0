import { closed, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** A weight on two bearings, by lever about each; negative where the bearing would have to hold down. */
export const twoSupports = defineCalc({
  id: 'beam.twoSupports',
  title: 'Reactions on two bearings',
  input: closed({ weight: positive('N'), cg: real('m'), left: real('m'), right: real('m') }),
  output: closed({ left: real('N'), right: real('N') }),
  source: { basis: 'statics', text: 'Statics: moments about each bearing' },
  compute({ weight, cg, left, right }) {
    if (!(right > left)) refuse('right', `The right bearing at ${right} m is not beyond the left one at ${left} m: check length, span and bearing.`);
    const atRight = (weight * (cg - left)) / (right - left);
    return { left: weight - atRight, right: atRight };
  },
  work: (i, o) => [
    {
      label: 'Right bearing',
      formula: 'R = W·(x_g − x_l)/(x_r − x_l)',
      numbers: phrase`${q(i.weight, 'force')} × (${q(i.cg, 'length')} − ${q(i.left, 'length')}) / ${q(i.right - i.left, 'length')}`,
      result: q(o.right, 'force'),
    },
    { label: 'Left bearing', formula: 'W − R', result: q(o.left, 'force') },
  ],
});
