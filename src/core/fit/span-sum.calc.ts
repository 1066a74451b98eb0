import { Type } from 'typebox';
import { closed, positive, real } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Spans against the length they are said to make. */
export const spanSum = defineCalc({
  id: 'fit.spanSum',
  title: 'Sum of spans against the stated length',
  input: closed({ spans: Type.Array(positive('m'), { minItems: 1 }), stated: positive('m') }),
  output: closed({ sum: positive('m'), difference: real('m') }),
  source: { basis: 'geometry', text: 'Sum of the spans less the stated length' },
  compute({ spans, stated }) {
    const sum = spans.reduce((total, one) => total + one, 0);
    return { sum, difference: sum - stated };
  },
  work: (i, o) => [
    ...i.spans.map((one, n) => ({ label: `Span ${n + 1}`, result: q(one, 'length') })),
    { label: 'Sum', result: q(o.sum, 'length') },
    { label: 'Difference', numbers: phrase`stated ${q(i.stated, 'length')}`, result: q(o.difference, 'dimension') },
  ],
});
