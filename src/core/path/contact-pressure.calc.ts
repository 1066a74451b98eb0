import { closed, nonNegative, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Load over the area it presses on. */
export const contactPressure = defineCalc({
  id: 'path.pressure',
  title: 'Pressure under a plate, pad or sole plate',
  input: closed({ load: nonNegative('N'), length: positive('m'), width: positive('m'), allowable: positive('Pa') }),
  output: closed({ pressure: nonNegative('Pa'), ratio: nonNegative('1'), neededArea: nonNegative('m2') }),
  source: { basis: 'statics', text: 'Load over area, taken as even; presumptive soil values IBC Table 1806.2, from memory' },
  compute({ load, length, width, allowable }) {
    const pressure = load / (length * width);
    return { pressure, ratio: pressure / allowable, neededArea: load / allowable };
  },
  work: (i, o) => [
    {
      label: 'Pressure',
      formula: 'load / (length × width)',
      numbers: phrase`${q(i.load, 'force')} / (${q(i.length, 'dimension')} × ${q(i.width, 'dimension')})`,
      result: q(o.pressure, 'pressure'),
    },
    { label: 'Allowed', result: q(i.allowable, 'pressure') },
    { label: 'Used', formula: 'pressure / allowed', result: q(o.ratio, 'fraction') },
    { label: 'Area this load needs', formula: 'load / allowable', result: q(o.neededArea, 'floorArea') },
  ],
});
