import { closed, nonNegative, positive, real } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

const rad = Math.PI / 180;

/** A spreader between two top slings and two plumb slings at its ends. */
export const spreader = defineCalc({
  id: 'rigging.spreader',
  title: 'Spreader between top slings and load',
  input: closed({
    load: nonNegative('N', 'on two plumb slings at its ends'),
    length: positive('m'),
    topAngleDeg: real('deg', { exclusiveMinimum: 0, maximum: 90, description: 'of the top slings, from the horizontal' }),
    own: nonNegative('N', 'of the spreader, spread evenly'),
  }),
  output: closed({ topSling: nonNegative('N'), compression: nonNegative('N'), moment: nonNegative('N·m') }),
  source: { basis: 'statics', text: 'Equilibrium of its ends; its own weight bends it' },
  compute({ load, length, topAngleDeg, own }) {
    const half = (load + own) / 2;
    return {
      topSling: half / Math.sin(topAngleDeg * rad),
      compression: topAngleDeg === 90 ? 0 : half / Math.tan(topAngleDeg * rad),
      moment: (own * length) / 8,
    };
  },
  work: (i, o) => [
    {
      label: 'A top sling pulls',
      formula: '(W + own)/2 / sin α',
      numbers: phrase`(${q(i.load, 'force')} + ${q(i.own, 'force')}) / 2, ${q(i.topAngleDeg, 'angle')}`,
      result: q(o.topSling, 'force'),
    },
    { label: 'It is pressed with', formula: '(W + own)/2 / tan α', result: q(o.compression, 'force') },
    {
      label: 'Its own weight bends it',
      formula: 'own·L/8',
      numbers: phrase`${q(i.own, 'force')} × ${q(i.length, 'length')} / 8`,
      result: q(o.moment, 'moment'),
    },
  ],
});
