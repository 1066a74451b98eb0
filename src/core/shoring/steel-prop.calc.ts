import { closed, oneOf, positive } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** EN 1065 classes: characteristic strength k·l_max/l² for A–C, k for D and E, never above the cap [kN, m]. */
const classes = {
  A: { k: 51.0, cap: 44.0, byLength: true },
  B: { k: 68.0, cap: 51.0, byLength: true },
  C: { k: 102.0, cap: 59.5, byLength: true },
  D: { k: 34.0, cap: 34.0, byLength: false },
  E: { k: 51.0, cap: 51.0, byLength: false },
} as const;

export const steelProp = defineCalc({
  id: 'shore.steelProp',
  title: 'Adjustable steel prop',
  input: closed({ class: oneOf(['A', 'B', 'C', 'D', 'E']), maxLength: positive('m'), length: positive('m') }),
  output: closed({ characteristic: positive('N') }),
  source: { basis: 'memory', text: 'EN 1065:1998, from memory: A 51.0·lmax/l² ≤ 44.0 kN, B 68.0 ≤ 51.0, C 102.0 ≤ 59.5, D 34.0, E 51.0' },
  compute({ class: name, maxLength, length }) {
    if (!(length <= maxLength)) refuse('length', `${length} m is longer than the prop’s ${maxLength} m: use a longer prop.`);
    const { k, cap, byLength } = classes[name];
    return { characteristic: 1000 * (byLength ? Math.min(cap, (k * maxLength) / length ** 2) : k) };
  },
  work: (i, o) => [
    {
      label: `Class ${i.class} prop`,
      formula: classes[i.class].byLength ? `${classes[i.class].k}·l_max/l² ≤ ${classes[i.class].cap} kN` : `${classes[i.class].k} kN at any length`,
      numbers: phrase`l_max ${q(i.maxLength, 'length')}, l ${q(i.length, 'length')}`,
      result: q(o.characteristic, 'force'),
    },
  ],
});
