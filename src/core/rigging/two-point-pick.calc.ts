import { closed, nonNegative, pair, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** A uniform piece hung at two picks: hogging w·a²/2 at each pick, sagging between them where there is any. */
export const twoPointPick = defineCalc({
  id: 'rigging.twoPointPick',
  title: 'Bending of a piece hung at two points',
  input: closed({
    weightPerLength: positive('N/m'),
    length: positive('m'),
    left: nonNegative('m', 'left end to left pick'),
    right: nonNegative('m', 'right end to right pick'),
  }),
  output: closed({ reaction: pair(real('N')), hogging: pair(nonNegative('N·m')), sagging: nonNegative('N·m'), governing: nonNegative('N·m') }),
  source: { basis: 'statics', text: 'Overhanging beam, AISC Manual Table 3-23' },
  compute({ weightPerLength: w, length, left, right }) {
    const between = length - left - right;
    if (!(between > 0)) refuse('right', `Picks ${left} m and ${right} m from the ends of a ${length} m piece cross over: bring them nearer the ends.`);
    const r1 = (w * length * (length / 2 - right)) / between;
    const r2 = w * length - r1;
    if (r1 < 0 || r2 < 0)
      refuse(r1 < 0 ? 'right' : 'left', 'Both picks are on one side of the middle: the piece would tip out of its slings. Straddle the middle.');
    const hogging = [(w * left ** 2) / 2, (w * right ** 2) / 2];
    const zeroShear = r1 / w;
    const sagging = Math.max(0, r1 * (zeroShear - left) - (w * zeroShear ** 2) / 2);
    return { reaction: [r1, r2], hogging, sagging, governing: Math.max(...hogging, sagging) };
  },
  work: (i, o) => [
    {
      label: 'Pick 1 carries',
      formula: 'R₁ = w·L·(L/2 − b)/(L − a − b)',
      numbers: phrase`${q(i.weightPerLength, 'forcePerLength')} × ${q(i.length, 'length')}, a = ${q(i.left, 'length')}, b = ${q(i.right, 'length')}`,
      result: q(o.reaction[0]!, 'force'),
    },
    { label: 'Pick 2 carries', formula: 'R₂ = w·L − R₁', result: q(o.reaction[1]!, 'force') },
    { label: 'Hogging over pick 1', formula: 'M = w·a²/2', result: q(o.hogging[0]!, 'moment') },
    { label: 'Hogging over pick 2', formula: 'M = w·b²/2', result: q(o.hogging[1]!, 'moment') },
    { label: 'Sagging between the picks', formula: 'M = R₁·(x − a) − w·x²/2 at x = R₁/w', result: q(o.sagging, 'moment') },
    { label: 'The larger governs', formula: 'M = max', result: q(o.governing, 'moment') },
  ],
});
