import { closed, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { q } from '../calc/work';

/** Sawn joist or needle in bending and shear, held sideways by what lies on it: stresses are already the code's, with all factors. */
export const timberBeam = defineCalc({
  id: 'shore.timberBeam',
  title: 'Timber in bending and shear',
  input: closed({
    bending: positive('Pa', 'allowable or design stress'),
    shear: positive('Pa', 'allowable or design stress'),
    width: positive('m', 'all plies together'),
    depth: positive('m'),
  }),
  output: closed({ moment: positive('N·m'), shear: positive('N') }),
  source: { basis: 'published', text: 'M = f·b·d²/6 and V = ⅔·f_v·b·d (NDS 3.3, 3.4; EN 1995-1-1 6.1.6, 6.1.7 with k_cr taken into the stress)' },
  compute: (i) => ({ moment: (i.bending * i.width * i.depth ** 2) / 6, shear: (2 / 3) * i.shear * i.width * i.depth }),
  work: (i, o) => [
    { label: 'Moment it takes', formula: 'f·b·d²/6', result: q(o.moment, 'moment') },
    { label: 'Shear it takes', formula: '⅔·f_v·b·d', result: q(o.shear, 'force') },
  ],
});
