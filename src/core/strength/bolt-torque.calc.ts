import { closed, nonNegative, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Torque that brings a bolt to its preload, for a nut factor that was measured on a sample. */
export const boltTorque = defineCalc({
  id: 'connection.torque',
  title: 'Torque for a preload',
  input: closed({
    diameter: positive('m', undefined, { maximum: 0.2 }),
    preload: positive('N'),
    k: positive('1', 'nut factor, from the sample of the day', { maximum: 1 }),
  }),
  output: closed({ torque: nonNegative('N·m') }),
  source: { basis: 'practice', text: 'T = k·d·P; k by trial of the bolts as they are, never from a table' },
  compute: ({ diameter, preload, k }) => ({ torque: k * diameter * preload }),
  work: (i, o) => [
    {
      label: 'Torque',
      formula: 'k·d·P',
      numbers: phrase`${q(i.k, 'factor')} × ${q(i.diameter, 'dimension')} × ${q(i.preload, 'force')}`,
      result: q(o.torque, 'moment'),
    },
  ],
});
