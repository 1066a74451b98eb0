import { closed, nonNegative, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** A lifting beam on one hook over its middle, with a sling at either end. */
export const liftingBeam = defineCalc({
  id: 'rigging.liftingBeam',
  title: 'Lifting beam on one hook',
  input: closed({
    end: nonNegative('N', 'on the heavier of its two ends'),
    length: positive('m', 'from sling to sling'),
    own: nonNegative('N', 'of the beam, spread evenly'),
  }),
  output: closed({ moment: nonNegative('N·m') }),
  source: { basis: 'statics', text: 'Two arms from the hook, each with its load at the end and its own weight along it' },
  compute: ({ end, length, own }) => ({ moment: (end * length) / 2 + (own * length) / 8 }),
  work: (i, o) => [
    {
      label: 'At the hook it bends',
      formula: 'F·L/2 + own·L/8',
      numbers: phrase`${q(i.end, 'force')} × ${q(i.length, 'length')} / 2 + ${q(i.own, 'force')} × ${q(i.length, 'length')} / 8`,
      result: q(o.moment, 'moment'),
    },
  ],
});
