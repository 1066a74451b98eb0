import { closed, nonNegative, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** One needle through a wall on two props: what it carries, how the props share it by lever, and how it bends. */
export const needle = defineCalc({
  id: 'shore.needle',
  title: 'Needle on two props',
  input: closed({
    line: positive('N/m', 'what the wall brings down'),
    spacing: positive('m'),
    left: positive('m', 'wall centre to left prop'),
    right: positive('m', 'wall centre to right prop'),
    own: nonNegative('N', 'weight of the needle'),
  }),
  output: closed({ load: positive('N'), leftProp: positive('N'), rightProp: positive('N'), moment: positive('N·m'), shear: positive('N') }),
  source: { basis: 'statics', text: 'Point load on a simple span, Pab/L (AISC Table 3-23, case 8)' },
  compute({ line, spacing, left, right, own }) {
    const load = line * spacing;
    const leftProp = (load * right) / (left + right) + own / 2;
    const rightProp = (load * left) / (left + right) + own / 2;
    return { load, leftProp, rightProp, moment: (load * left * right) / (left + right) + (own * (left + right)) / 8, shear: Math.max(leftProp, rightProp) };
  },
  work: (i, o) => [
    { label: 'On one needle', formula: 'q·s', numbers: phrase`${q(i.line, 'forcePerLength')} × ${q(i.spacing, 'length')}`, result: q(o.load, 'force') },
    { label: 'Left prop', formula: 'P·b/(a+b)', numbers: phrase`a = ${q(i.left, 'length')}, b = ${q(i.right, 'length')}`, result: q(o.leftProp, 'force') },
    { label: 'Right prop', formula: 'P·a/(a+b)', result: q(o.rightProp, 'force') },
    { label: 'Bending', formula: 'P·a·b/(a+b)', result: q(o.moment, 'moment') },
  ],
});
