import { closed, nonNegative, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

export const concreteGate = defineCalc({
  id: 'concrete.gate',
  title: 'Concrete strength before steel stands on it',
  input: closed({ intended: positive('Pa'), result: nonNegative('Pa'), share: nonNegative('1', undefined, { maximum: 1 }) }),
  output: closed({ needed: nonNegative('Pa'), reached: nonNegative('1') }),
  source: { basis: 'practice', text: 'Share of the intended strength, by a test result in writing; the designer’s figure decides' },
  compute: ({ intended, result, share }) => ({ needed: intended * share, reached: result / intended }),
  work: (i, o) => [
    {
      label: 'Needed',
      formula: 'share × intended',
      numbers: phrase`${q(i.share, 'fraction')} × ${q(i.intended, 'strength')}`,
      result: q(o.needed, 'strength'),
    },
    { label: 'Test result', formula: 'share of intended reached', numbers: phrase`${q(i.result, 'strength')}`, result: q(o.reached, 'fraction') },
  ],
});
