import { closed, nonNegative, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { q } from '../calc/work';

/** Two statements of one quantity; the difference is taken of the computed one. */
export const statementCompare = defineCalc({
  id: 'statement.compare',
  title: 'Two statements of one quantity',
  input: closed({ stated: positive('1'), computed: positive('1') }),
  output: closed({ difference: nonNegative('1') }),
  source: { basis: 'practice', text: 'Common practice: two figures for one thing are asked about' },
  compute: ({ stated, computed }) => ({ difference: Math.abs(stated - computed) / computed }),
  work: (_, o) => [{ label: 'They differ by', formula: '|stated − computed| / computed', result: q(o.difference, 'fraction') }],
});
