import { closed, nonNegative, real } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** What the tape found against what the drawing says. */
export const offDrawing = defineCalc({
  id: 'fit.offDrawing',
  title: 'Measured against drawn',
  input: closed({ drawn: real('m'), measured: real('m'), tolerance: nonNegative('m') }),
  output: closed({ difference: real('m'), off: nonNegative('m') }),
  source: { basis: 'geometry', text: 'Measured − drawn' },
  compute: ({ drawn, measured }) => ({ difference: measured - drawn, off: Math.abs(measured - drawn) }),
  work: (i, o) => [
    {
      label: 'Difference',
      formula: 'measured − drawn',
      numbers: phrase`${q(i.measured, 'length')} − ${q(i.drawn, 'length')}`,
      result: q(o.difference, 'dimension'),
    },
    { label: 'Off the drawing', formula: '|difference|', result: q(o.off, 'dimension') },
    { label: 'Tolerance', result: q(i.tolerance, 'dimension') },
  ],
});
