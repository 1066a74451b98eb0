import { airDensityField, closed, dragCoefficient, nonNegative, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** How far wind pushes what hangs on a hook. */
export const liftDrift = defineCalc({
  id: 'lift.drift',
  title: 'Drift of a hanging load in wind',
  input: closed({
    weight: positive('N'),
    area: nonNegative('m2', 'in the wind'),
    drag: dragCoefficient(),
    gust: nonNegative('m/s', undefined, { maximum: 100 }),
    drop: positive('m', 'length of the fall'),
    airDensity: airDensityField(),
  }),
  output: closed({ force: nonNegative('N'), angleDeg: nonNegative('deg'), drift: nonNegative('m') }),
  source: { basis: 'statics', text: 'Dynamic pressure ½ρv² on its area; a pendulum at rest' },
  compute({ weight, area, drag, gust, drop, airDensity }) {
    const force = 0.5 * airDensity * gust ** 2 * drag * area;
    const angle = Math.atan(force / weight);
    return { force, angleDeg: (angle * 180) / Math.PI, drift: drop * Math.sin(angle) };
  },
  work: (i, o) => [
    {
      label: 'Wind pushes',
      formula: '½·ρ·v²·c·A',
      numbers: phrase`v = ${q(i.gust, 'speed')}, c = ${q(i.drag, 'factor')}, A = ${q(i.area, 'floorArea')}`,
      result: q(o.force, 'force'),
    },
    { label: 'The fall leans', formula: 'atan(F/W)', numbers: phrase`${q(o.force, 'force')} / ${q(i.weight, 'force')}`, result: q(o.angleDeg, 'angle') },
    { label: 'It drifts', formula: 'ℓ·sin', numbers: phrase`${q(i.drop, 'length')}`, result: q(o.drift, 'length') },
  ],
});
