import { closed, nonNegative, positive } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Room to swing a piece level about a point along it: off the truck, or round a pivot. */
export const accessSwing = defineCalc({
  id: 'access.swing',
  title: 'Room to swing a piece round',
  input: closed({ width: positive('m'), pivotShare: nonNegative('1', 'of its length from one end', { maximum: 1 }), freeRadius: positive('m') }),
  output: closed({ longest: positive('m') }),
  source: { basis: 'geometry', text: 'Far corner of the longer arm: √((s·L)² + (w/2)²)' },
  compute({ width, pivotShare, freeRadius }) {
    if (!(width / 2 < freeRadius)) refuse('freeRadius', `A free radius of ${freeRadius} m does not even take the width: clear more room.`);
    return { longest: Math.sqrt(freeRadius ** 2 - (width / 2) ** 2) / Math.max(pivotShare, 1 - pivotShare) };
  },
  work: (i, o) => [
    { label: 'Longer arm', formula: 'max(s, 1 − s)', result: q(Math.max(i.pivotShare, 1 - i.pivotShare), 'fraction') },
    {
      label: 'Longest piece',
      formula: '√(R² − (w/2)²) / arm',
      numbers: phrase`R = ${q(i.freeRadius, 'length')}, w = ${q(i.width, 'dimension')}`,
      result: q(o.longest, 'length'),
    },
  ],
});
