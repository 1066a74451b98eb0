import { Type } from 'typebox';
import { closed, nonNegative } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { q } from '../calc/work';

/** What comes down on one link of the load path: its own load and its share of everything that stands on it. */
export const linkLoad = defineCalc({
  id: 'path.link',
  title: 'Load on a link of the path to ground',
  input: closed({
    from: Type.Array(closed({ what: Type.String(), load: nonNegative('N'), share: nonNegative('1', 'of that load', { maximum: 1 }) })),
    own: nonNegative('N', 'its own weight and what else rests on it'),
  }),
  output: closed({ load: nonNegative('N') }),
  source: { basis: 'statics', text: 'Sum of what stands on it' },
  compute: ({ from, own }) => ({ load: from.reduce((sum, one) => sum + one.load * one.share, own) }),
  work: (i, o) => [
    ...i.from.map((one) => ({ label: `${one.what}, ${Math.round(one.share * 100)} %`, result: q(one.load * one.share, 'force') })),
    { label: 'Own load', result: q(i.own, 'force') },
    { label: 'Comes down here', formula: 'sum', result: q(o.load, 'force') },
  ],
});
