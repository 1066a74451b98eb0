import { closed, nonNegative, positive } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Length to cut from the opening that is really there. */
export const memberLength = defineCalc({
  id: 'fit.memberLength',
  title: 'Length to cut from the opening',
  input: closed({
    clear: positive('m', 'clear opening'),
    bearingLeft: nonNegative('m'),
    bearingRight: nonNegative('m'),
    clearance: nonNegative('m', 'taken off the whole length so that it goes in'),
  }),
  output: closed({ length: positive('m') }),
  source: { basis: 'practice', text: 'Common practice: clear opening + bearings − clearance (6 mm, ¼ in, in all for a trapped beam)' },
  compute({ clear, bearingLeft, bearingRight, clearance }) {
    const length = clear + bearingLeft + bearingRight - clearance;
    if (!(length > clear)) refuse('clearance', `A clearance of ${clearance} m uses up both bearings: make the bearings longer or the clearance less.`);
    return { length };
  },
  work: (i, o) => [
    {
      label: 'Length to cut',
      formula: 'clear + both bearings − clearance',
      numbers: phrase`${q(i.clear, 'length')} + ${q(i.bearingLeft, 'dimension')} + ${q(i.bearingRight, 'dimension')} − ${q(i.clearance, 'dimension')}`,
      result: q(o.length, 'length'),
    },
  ],
});
