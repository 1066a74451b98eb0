import { closed, nonNegative, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Pocket from the packed piece, never from the bare flange. */
export const pocketSize = defineCalc({
  id: 'fit.pocket',
  title: 'Pocket for the packed piece',
  input: closed({
    width: positive('m', 'bare width'),
    depth: positive('m', 'bare depth'),
    packingSides: nonNegative('m', 'packing on both sides together'),
    packingHeight: nonNegative('m', 'packing above and below together'),
    clearance: nonNegative('m', 'each side'),
  }),
  output: closed({ packedWidth: positive('m'), packedDepth: positive('m'), pocketWidth: positive('m'), pocketHeight: positive('m') }),
  source: { basis: 'practice', text: 'Common practice: pocket 13 mm (½ in) wider than the packed piece, half on each side' },
  compute(i) {
    const packedWidth = i.width + i.packingSides;
    const packedDepth = i.depth + i.packingHeight;
    return { packedWidth, packedDepth, pocketWidth: packedWidth + 2 * i.clearance, pocketHeight: packedDepth + 2 * i.clearance };
  },
  work: (i, o) => [
    {
      label: 'Packed width',
      formula: 'bare + packing',
      numbers: phrase`${q(i.width, 'dimension')} + ${q(i.packingSides, 'dimension')}`,
      result: q(o.packedWidth, 'dimension'),
    },
    { label: 'Pocket width', formula: 'packed + 2 × clearance', numbers: phrase`2 × ${q(i.clearance, 'dimension')}`, result: q(o.pocketWidth, 'dimension') },
    {
      label: 'Packed height',
      formula: 'bare + packing',
      numbers: phrase`${q(i.depth, 'dimension')} + ${q(i.packingHeight, 'dimension')}`,
      result: q(o.packedDepth, 'dimension'),
    },
    { label: 'Pocket height', formula: 'packed + 2 × clearance', result: q(o.pocketHeight, 'dimension') },
  ],
});
