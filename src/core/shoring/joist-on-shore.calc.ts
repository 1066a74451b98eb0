import { closed, nonNegative, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/**
 * One joist from its far bearing to its cut end at the line, on a shore set back from the end. Its own even load, a load hanging
 * on its tip (a wall above the line that is not shored) and one standing on it (a shore of the storey above).
 */
export const joistOnShore = defineCalc({
  id: 'shore.joist',
  title: 'Joist on a temporary wall',
  input: closed({
    load: nonNegative('N/m'),
    span: positive('m', 'far bearing to cut end'),
    setback: nonNegative('m', 'cut end to shore'),
    tip: nonNegative('N', 'on the cut end'),
    above: nonNegative('N', 'from a shore standing on it'),
    aboveSetback: nonNegative('m', 'cut end to that shore'),
  }),
  output: closed({
    shore: nonNegative('N'),
    farBearing: real('N', { description: 'negative: it lifts and must be held down' }),
    hogging: nonNegative('N·m', 'over the shore'),
    sagging: nonNegative('N·m', 'between far bearing and shore'),
    shear: nonNegative('N'),
  }),
  source: { basis: 'statics', text: 'Overhanging beam (AISC Table 3-23, cases 24 and 26)' },
  compute({ load: w, span: l, setback: a, tip, above, aboveSetback }) {
    if (!(a < l)) refuse('setback', `A set-back of ${a} m is not inside the ${l} m joist: bring the shore under it.`);
    if (!(aboveSetback <= l)) refuse('aboveSetback', `A shore ${aboveSetback} m back stands past the joist of ${l} m.`);
    const s = l - a;
    const at = l - aboveSetback;
    const shore = ((w * l * l) / 2 + tip * l + above * at) / s;
    const farBearing = w * l + tip + above - shore;
    // Over the shore: everything past it.
    const hogging = (w * a * a) / 2 + tip * a + (at > s ? above * (at - s) : 0);
    const moment = (x: number) => farBearing * x - (w * x * x) / 2 - (x > at ? above * (x - at) : 0);
    const places = [at, w > 0 ? farBearing / w : 0, w > 0 ? (farBearing - above) / w : 0].filter((x) => x > 0 && x < s);
    const sagging = Math.max(0, ...places.map(moment));
    const inside = farBearing - w * s - (at < s ? above : 0);
    const outside = w * a + tip + (at >= s ? above : 0);
    return {
      shore,
      farBearing,
      hogging: Math.max(0, hogging),
      sagging,
      shear: Math.max(Math.abs(farBearing), Math.abs(inside), at === s ? w * a + tip : outside),
    };
  },
  work: (i, o) => [
    {
      label: 'On the shore',
      formula: '(w·L²/2 + P·L + Q·(L − b))/(L − a)',
      numbers: phrase`w = ${q(i.load, 'forcePerLength')}, L = ${q(i.span, 'length')}, a = ${q(i.setback, 'length')}, P = ${q(i.tip, 'force')}, Q = ${q(i.above, 'force')}`,
      result: q(o.shore, 'force'),
    },
    { label: o.farBearing < 0 ? 'Far bearing lifts' : 'Far bearing', formula: 'w·L + P + Q − R', result: q(o.farBearing, 'force') },
    { label: 'Moment over the shore', formula: 'w·a²/2 + P·a', result: q(o.hogging, 'moment') },
    { label: 'Moment in the span', result: q(o.sagging, 'moment') },
    { label: 'Shear', formula: 'greatest at far bearing and either side of the shore', result: q(o.shear, 'force') },
  ],
});
