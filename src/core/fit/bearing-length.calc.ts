import { closed, nonNegative, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** What is left of a piece's length beyond the clear opening lies on the seats; past the seat it bears on nothing. */
export const bearingLength = defineCalc({
  id: 'fit.bearingLength',
  title: 'Bearing at each end',
  input: closed({
    span: positive('m', 'centre to centre of the seats'),
    seatLeft: positive('m'),
    seatRight: positive('m'),
    length: positive('m'),
    left: positive('m', 'length over the left seat, from its inner edge'),
  }),
  output: closed({
    clear: real('m'),
    overLeft: real('m', { description: 'length past the inner edge of the left seat' }),
    overRight: real('m'),
    bearingLeft: nonNegative('m'),
    bearingRight: nonNegative('m'),
  }),
  source: { basis: 'geometry', text: 'Length = clear opening + both bearings' },
  compute({ span, seatLeft, seatRight, length, left }) {
    const clear = span - seatLeft / 2 - seatRight / 2;
    if (!(clear > 0))
      refuse('span', `Seats of ${seatLeft} m and ${seatRight} m on a span of ${span} m leave nothing clear between them: check span and seats.`);
    const overRight = length - clear - left;
    return { clear, overLeft: left, overRight, bearingLeft: Math.min(left, seatLeft), bearingRight: Math.max(0, Math.min(overRight, seatRight)) };
  },
  work: (i, o) => [
    {
      label: 'Clear between the seats',
      formula: 'span − half of each seat',
      numbers: phrase`${q(i.span, 'length')} − ${q(i.seatLeft / 2, 'length')} − ${q(i.seatRight / 2, 'length')}`,
      result: q(o.clear, 'length'),
    },
    {
      label: 'Over the right seat',
      formula: 'length − clear − left',
      numbers: phrase`${q(i.length, 'length')} − ${q(o.clear, 'length')} − ${q(i.left, 'length')}`,
      result: q(o.overRight, 'length'),
    },
    { label: 'Bears at the left', formula: 'no more than the seat', result: q(o.bearingLeft, 'dimension') },
    { label: 'Bears at the right', formula: 'no more than the seat', result: q(o.bearingRight, 'dimension') },
  ],
});
