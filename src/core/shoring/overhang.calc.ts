import { closed, nonNegative, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** A joist cut at the old beam line and shored a set-back from its cut end; the far bearing may have to hold down (negative). */
export const shoreOverhang = defineCalc({
  id: 'shore.overhang',
  title: 'Joist overhanging a temporary wall',
  input: closed({ loadPerLength: positive('N/m'), span: positive('m', 'far bearing to cut end'), setback: nonNegative('m', 'cut end to shore') }),
  output: closed({ shore: positive('N'), farBearing: real('N', { description: 'negative: it lifts and must be held down' }), tipMoment: nonNegative('N·m') }),
  source: { basis: 'statics', text: 'Overhanging beam, AISC Manual Table 3-23' },
  compute({ loadPerLength: w, span, setback }) {
    if (!(setback < span)) refuse('setback', `A set-back of ${setback} m is not inside the ${span} m joist: bring the shore under it.`);
    const shore = (w * span ** 2) / (2 * (span - setback));
    return { shore, farBearing: w * span - shore, tipMoment: (w * setback ** 2) / 2 };
  },
  work: (i, o) => [
    {
      label: 'Shore',
      formula: 'R = w·L²/(2·(L − a))',
      numbers: phrase`${q(i.loadPerLength, 'forcePerLength')}, L = ${q(i.span, 'length')}, a = ${q(i.setback, 'length')}`,
      result: q(o.shore, 'force'),
    },
    { label: 'Far bearing', formula: 'w·L − R', result: q(o.farBearing, 'force') },
    { label: 'Moment over the shore', formula: 'w·a²/2', result: q(o.tipMoment, 'moment') },
  ],
});
