import { Type } from 'typebox';
import { closed, nonNegative, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Parallel reveals off square: one edge of the piece bears longer than the other by this. */
const skewed = (skewDeg: number, width: number): number => width * Math.tan((Math.abs(skewDeg) * Math.PI) / 180);

/** Length to cut from the opening that is really there. */
export const memberLength = defineCalc({
  id: 'fit.memberLength',
  title: 'Length to cut from the opening',
  input: closed({
    clear: positive('m', 'clear opening'),
    bearingLeft: nonNegative('m'),
    bearingRight: nonNegative('m'),
    clearance: nonNegative('m', 'taken off the whole length so that it goes in'),
    skewDeg: Type.Optional(real('deg', { minimum: -60, maximum: 60, description: 'of the reveals, off square to the piece' })),
    width: Type.Optional(nonNegative('m', 'of the piece; its edges bear unequally where the reveals are not square')),
  }),
  output: closed({ length: positive('m') }),
  source: { basis: 'practice', text: 'Common practice: clear opening + bearings − clearance (6 mm, ¼ in, in all for a trapped beam)' },
  compute({ clear, bearingLeft, bearingRight, clearance, skewDeg = 0, width = 0 }) {
    const length = clear + bearingLeft + bearingRight + skewed(skewDeg, width) - clearance;
    if (!(length > clear)) refuse('clearance', `A clearance of ${clearance} m uses up both bearings: make the bearings longer or the clearance less.`);
    return { length };
  },
  work: (i, o) => [
    ...(i.skewDeg
      ? [
          {
            label: 'More for the skew',
            formula: 'b·tan φ, so that the whole width bears',
            numbers: phrase`${q(i.width ?? 0, 'dimension')} × tan ${q(Math.abs(i.skewDeg), 'angle')}`,
            result: q(skewed(i.skewDeg, i.width ?? 0), 'dimension'),
          },
        ]
      : []),
    {
      label: 'Length to cut',
      formula: i.skewDeg ? 'clear + both bearings + skew − clearance' : 'clear + both bearings − clearance',
      numbers: phrase`${q(i.clear, 'length')} + ${q(i.bearingLeft, 'dimension')} + ${q(i.bearingRight, 'dimension')} − ${q(i.clearance, 'dimension')}`,
      result: q(o.length, 'length'),
    },
  ],
});
