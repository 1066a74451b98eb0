import { closed, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Global buckling of a braced pair: M_gs = C_bs·π²·s·E/L²·√(I_eff·I_x), C_bs 1.1; 70 % of it may be used. */
export const pairGlobal = defineCalc({
  id: 'member.pairGlobal',
  title: 'Global stability of girders tied together',
  input: closed({
    modulus: positive('Pa'),
    iStrong: positive('m4'),
    iEffective: positive('m4', 'effective weak-axis inertia of one girder'),
    spacing: positive('m', 'of the two; of more, from the first to the last'),
    length: positive('m'),
  }),
  output: closed({ critical: positive('N·m'), limit: positive('N·m') }),
  source: { basis: 'memory', text: 'AASHTO LRFD BDS 6.10.3.4.2, C_bs 1.1, 70 % limit, from memory' },
  compute({ modulus, iStrong, iEffective, spacing, length }) {
    const critical = ((1.1 * Math.PI ** 2 * spacing * modulus) / length ** 2) * Math.sqrt(iEffective * iStrong);
    return { critical, limit: 0.7 * critical };
  },
  work: (i, o) => [
    {
      label: 'Critical moment of the group',
      formula: 'M_gs = 1.1·π²·s·E/L²·√(I_eff·I_x)',
      numbers: phrase`s = ${q(i.spacing, 'length')}, L = ${q(i.length, 'length')}`,
      result: q(o.critical, 'moment'),
    },
    { label: 'Limit', formula: '0.70·M_gs', result: q(o.limit, 'moment') },
  ],
});
