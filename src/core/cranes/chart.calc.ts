import { Type } from 'typebox';
import { closed, nonNegative, nullable, oneOf, positive } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';
import { chartLookup, offChartWords } from './chart-lookup';
import { chartFault, chartSchema } from './chart-shape';

/** Rated capacity at a radius and boom; null with a reason off the chart. */
export const craneChart = defineCalc({
  id: 'crane.chart',
  title: 'Capacity off the crane chart',
  input: closed({ chart: chartSchema, radius: positive('m'), boom: positive('m'), rule: oneOf(['step', 'linear']) }),
  output: closed({ capacity: nullable(nonNegative('kg')), reason: Type.Optional(Type.String()) }),
  source: {
    basis: 'practice',
    text: 'Common practice: next longer radius, lower of the bounding boom lengths, never outside the chart or across a blank. The maker’s own chart decides',
  },
  compute({ chart, radius, boom, rule }) {
    const fault = chartFault(chart);
    if (fault) refuse(`chart.${fault.path}`, fault.error);
    const answer = chartLookup(chart, radius, boom, rule);
    if (answer.capacity !== null) return answer;
    return { capacity: null, reason: offChartWords(answer.off, (value) => `${Number(value.toFixed(3))} m`) };
  },
  work: ({ radius, boom, rule }, o) => [
    {
      label: 'Read at',
      numbers: phrase`radius ${q(radius, 'length')}, boom ${q(boom, 'length')}`,
      result: rule === 'step' ? 'next longer radius, lower of the bounding booms' : 'straight line between the bounding cells',
    },
    { label: 'Chart gives', result: o.capacity === null ? `no capacity: ${o.reason}` : q(o.capacity, 'mass') },
  ],
});
