import { closed, dragCoefficient, gustSpeed, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** The chart assumes 1.2 m² of wind area a tonne; a larger sail lowers the permitted gust, a smaller one never raises it. */
export const craneWindLimit = defineCalc({
  id: 'crane.windLimit',
  title: 'Permitted gust for this load',
  input: closed({
    chartGust: gustSpeed('gust the chart is good for'),
    mass: positive('kg', 'hoist load'),
    area: positive('m2', 'largest face of the load'),
    drag: dragCoefficient('of the load'),
  }),
  output: closed({ limit: positive('m/s') }),
  source: { basis: 'memory', text: 'EN 13000 and FEM 5.016, from memory: v = v_chart·√(1.2 m²/t × m / (A·c_d)), never above v_chart' },
  compute: ({ chartGust, mass, area, drag }) => ({ limit: Math.min(chartGust, chartGust * Math.sqrt((1.2 * (mass / 1000)) / (area * drag))) }),
  work: (i, o) => [
    {
      label: 'Sail of the load',
      formula: 'A·c_d',
      numbers: phrase`${q(i.area, 'floorArea')} × ${q(i.drag, 'factor')}`,
      result: q(i.area * i.drag, 'floorArea'),
    },
    {
      label: 'Permitted gust',
      formula: 'v = v_chart·√(1.2·m/(A·c_d)) ≤ v_chart',
      numbers: phrase`${q(i.chartGust, 'speed')}, load ${q(i.mass, 'mass')}`,
      result: q(o.limit, 'speed'),
    },
  ],
});
