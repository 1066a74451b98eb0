import { closed, nonNegative, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** A load carried at two places that never rise evenly: the balance point walks as one of them stands above the other. */
export const twoPlaces = defineCalc({
  id: 'handling.twoPlaces',
  title: 'What two places come to carry',
  input: closed({
    weight: positive('N'),
    apart: positive('m'),
    cg: nonNegative('m', 'balance point, from the first place'),
    height: nonNegative('m', 'balance point over or under the places'),
    uneven: nonNegative('m', 'one above the other at the most'),
  }),
  output: closed({ a: nonNegative('N'), b: nonNegative('N'), tiltDeg: real('deg') }),
  source: { basis: 'statics', text: 'Statics, plumb forces; whichever of the two is higher' },
  compute({ weight, apart, cg, height, uneven }) {
    if (cg > apart) refuse('cg', 'The balance point is outside the two places: one of them would have to hold down.');
    if (uneven >= apart * Math.SQRT1_2) refuse('uneven', `One place ${uneven} m above the other, ${apart} m apart, stands the load at 45° or more.`);
    const tilt = Math.asin(uneven / apart);
    const walk = height * Math.tan(tilt);
    if (cg - walk < 0 || cg + walk > apart)
      refuse(
        'uneven',
        'As one place rises ahead the balance point walks past the other: the load would tip off. Set the places farther apart, or raise it evenly.',
      );
    return { a: (weight * (apart - cg + walk)) / apart, b: (weight * (cg + walk)) / apart, tiltDeg: (tilt * 180) / Math.PI };
  },
  work: (i, o) => [
    {
      label: 'It tilts by',
      formula: 'δ = arcsin(u/s)',
      numbers: phrase`u = ${q(i.uneven, 'length')}, s = ${q(i.apart, 'length')}`,
      result: q(o.tiltDeg, 'angle'),
    },
    {
      label: 'The first place comes to carry',
      formula: 'A = W·(s − c + h·tan δ)/s',
      numbers: phrase`${q(i.weight, 'force')}, c = ${q(i.cg, 'length')}, h = ${q(i.height, 'length')}`,
      result: q(o.a, 'force'),
    },
    { label: 'The second place comes to carry', formula: 'B = W·(c + h·tan δ)/s', result: q(o.b, 'force') },
  ],
});
