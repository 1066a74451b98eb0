import { closed, nonNegative, positive } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Flat of the web between the fillets: what lies against it must go in there. */
export const webClear = defineCalc({
  id: 'fit.webClear',
  title: 'Room against the web, between the fillets',
  input: closed({
    depth: positive('m'),
    toFillet: positive('m', 'outside of flange to toe of the fillet'),
    packing: nonNegative('m', 'height of what lies there'),
  }),
  output: closed({ clear: positive('m'), left: nonNegative('m', 'over, 0 when it does not go in') }),
  source: { basis: 'geometry', text: 'Geometry: d − 2k (US k_des; EU t_f + r), section tables from memory' },
  compute({ depth, toFillet, packing }) {
    const clear = depth - 2 * toFillet;
    if (!(clear > 0)) refuse('toFillet', `Two fillets of ${toFillet} m leave nothing of a depth of ${depth} m.`);
    return { clear, left: Math.max(0, clear - packing) };
  },
  work: (i, o) => [
    {
      label: 'Between the fillets',
      formula: 'd − 2k',
      numbers: phrase`${q(i.depth, 'dimension')} − 2 × ${q(i.toFillet, 'dimension')}`,
      result: q(o.clear, 'dimension'),
    },
    { label: 'Packing lies there', result: q(i.packing, 'dimension') },
    { label: 'Left over', result: q(o.left, 'dimension') },
  ],
});
