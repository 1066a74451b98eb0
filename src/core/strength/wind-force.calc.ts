import { airDensityField, closed, dragCoefficient, nonNegative } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Wind square on an area, F = ½·ρ·v²·c·A, v the gust itself. */
export const windForce = defineCalc({
  id: 'wind.force',
  title: 'Force of a gust on an area',
  input: closed({ gust: nonNegative('m/s'), area: nonNegative('m2'), drag: dragCoefficient(), airDensity: airDensityField() }),
  output: closed({ pressure: nonNegative('Pa'), force: nonNegative('N') }),
  source: { basis: 'statics', text: 'Dynamic pressure ½ρv² on an area (EN 1991-1-4 4.5, 5.3)' },
  compute(i) {
    const pressure = 0.5 * i.airDensity * i.gust ** 2;
    return { pressure, force: pressure * i.drag * i.area };
  },
  work: (i, o) => [
    { label: 'Dynamic pressure', formula: '½·ρ·v²', numbers: phrase`v = ${q(i.gust, 'speed')}`, result: q(o.pressure, 'pressure') },
    { label: 'Force', formula: 'q·c·A', numbers: phrase`c = ${q(i.drag, 'factor')}, A = ${q(i.area, 'floorArea')}`, result: q(o.force, 'force') },
  ],
});
