import { Type } from 'typebox';
import { closed } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { q } from '../calc/work';

export const releaseBolts = defineCalc({
  id: 'connection.release',
  title: 'Bolts in before the hook lets go',
  input: closed({ bolts: Type.Integer({ minimum: 0 }), least: Type.Integer({ minimum: 0 }) }),
  output: closed({ enough: Type.Boolean() }),
  source: { basis: 'practice', text: 'Count of bolts of the drawn size and grade, wrench-tight, in each end' },
  compute: ({ bolts, least }) => ({ enough: bolts >= least }),
  work: (i, o) => [
    { label: 'Bolts in', result: q(i.bolts, 'count') },
    { label: 'Needed', result: q(i.least, 'count') },
    { label: 'May let go', result: o.enough ? 'yes' : 'no' },
  ],
});
