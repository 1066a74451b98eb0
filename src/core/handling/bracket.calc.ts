import { closed, nonNegative, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** A load on an arm held to an upright by two lashings: each lashing takes the moment over their spacing. */
export const hoistBracket = defineCalc({
  id: 'hoist.bracket',
  title: 'Lashings of a hoist arm',
  input: closed({ load: positive('N'), arm: nonNegative('m'), lashingSpacing: positive('m') }),
  output: closed({ moment: nonNegative('N·m'), lashing: nonNegative('N') }),
  source: { basis: 'statics', text: 'Statics of a bracket' },
  compute: ({ load, arm, lashingSpacing }) => ({ moment: load * arm, lashing: (load * arm) / lashingSpacing }),
  work: (i, o) => [
    { label: 'Moment on the upright', formula: 'M = P·e', numbers: phrase`${q(i.load, 'force')} × ${q(i.arm, 'length')}`, result: q(o.moment, 'moment') },
    { label: 'Each lashing', formula: 'F = M/s', numbers: phrase`${q(o.moment, 'moment')} / ${q(i.lashingSpacing, 'length')}`, result: q(o.lashing, 'force') },
  ],
});
