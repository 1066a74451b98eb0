import { closed, nonNegative, real } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Hook height the pick needs, and the highest the hook may go under the boom tip. */
export const headRoom = defineCalc({
  id: 'crane.headRoom',
  title: 'Head room under the boom tip',
  input: closed({
    underside: nonNegative('m', 'underside of the load while it travels'),
    loadDepth: nonNegative('m', 'underside to the higher pick, tilt included'),
    hookAbovePick: nonNegative('m'),
    tipHeight: nonNegative('m'),
    hookDrop: nonNegative('m', 'boom tip to hook with the block run right up'),
    reserve: nonNegative('m'),
  }),
  output: closed({ needed: nonNegative('m'), available: real('m') }),
  source: { basis: 'geometry', text: 'Geometry; reserve below the highest hook position from the rule set' },
  compute: (i) => ({ needed: i.underside + i.loadDepth + i.hookAbovePick, available: i.tipHeight - i.hookDrop - i.reserve }),
  work: (i, o) => [
    {
      label: 'Hook must be up',
      formula: 'underside + depth to the pick + slings',
      numbers: phrase`${q(i.underside, 'length')} + ${q(i.loadDepth, 'length')} + ${q(i.hookAbovePick, 'length')}`,
      result: q(o.needed, 'length'),
    },
    {
      label: 'Hook can be up',
      formula: 'tip − block − reserve',
      numbers: phrase`${q(i.tipHeight, 'length')} − ${q(i.hookDrop, 'length')} − ${q(i.reserve, 'length')}`,
      result: q(o.available, 'length'),
    },
  ],
});
