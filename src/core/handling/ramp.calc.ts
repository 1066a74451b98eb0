import { closed, frictionCoefficient, nonNegative, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Pull to move up a slope, and the line that keeps the piece from running when slope beats friction. */
export const moveRamp = defineCalc({
  id: 'move.ramp',
  title: 'Pull and hold-back on a ramp',
  input: closed({ weight: positive('N'), slopeDeg: nonNegative('deg', undefined, { exclusiveMaximum: 90 }), friction: frictionCoefficient() }),
  output: closed({ pullUp: nonNegative('N'), holdBack: nonNegative('N') }),
  source: { basis: 'statics', text: 'Statics of an inclined plane' },
  compute({ weight, slopeDeg, friction }) {
    const slope = (slopeDeg * Math.PI) / 180;
    const down = weight * Math.sin(slope);
    const grip = friction * weight * Math.cos(slope);
    return { pullUp: down + grip, holdBack: Math.max(0, down - grip) };
  },
  work: (i, o) => [
    {
      label: 'Pull up the slope',
      formula: 'P = W·(sin α + μ·cos α)',
      numbers: phrase`${q(i.weight, 'force')} at ${q(i.slopeDeg, 'angle')}, μ = ${q(i.friction, 'factor')}`,
      result: q(o.pullUp, 'force'),
    },
    { label: 'Hold-back line', formula: 'H = W·(sin α − μ·cos α), not below 0', result: q(o.holdBack, 'force') },
  ],
});
