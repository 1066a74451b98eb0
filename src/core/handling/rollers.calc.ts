import { closed, frictionCoefficient, nonNegative, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

const rad = Math.PI / 180;

/** Pull to start and to keep a piece rolling on rollers or skates, and what must hold it back downhill. */
export const moveRollers = defineCalc({
  id: 'move.rollers',
  title: 'Pull on rollers or skates',
  input: closed({
    weight: positive('N'),
    slopeDeg: real('deg', { description: 'up positive', exclusiveMinimum: -45, exclusiveMaximum: 45 }),
    starting: frictionCoefficient('to start'),
    rolling: frictionCoefficient('once it rolls'),
  }),
  output: closed({ start: nonNegative('N'), keep: nonNegative('N'), holdBack: nonNegative('N') }),
  source: { basis: 'statics', text: 'Statics; start-up friction is larger than rolling (5 % rolling, common practice)' },
  compute({ weight, slopeDeg, starting, rolling }) {
    if (!(starting >= rolling)) refuse('starting', `Friction to start, ${starting}, is less than rolling, ${rolling}: it is never easier to start.`);
    const along = weight * Math.sin(slopeDeg * rad);
    const across = weight * Math.cos(slopeDeg * rad);
    return {
      start: Math.max(0, along + starting * across),
      keep: Math.max(0, along + rolling * across),
      holdBack: Math.max(0, Math.abs(along) - rolling * across),
    };
  },
  work: (i, o) => [
    {
      label: 'Pull to start',
      formula: 'W·(sin α + μ_start·cos α)',
      numbers: phrase`${q(i.weight, 'force')}, ${q(i.slopeDeg, 'angle')}, ${q(i.starting, 'fraction')}`,
      result: q(o.start, 'force'),
    },
    { label: 'Pull to keep it going', formula: 'W·(sin α + μ·cos α)', numbers: phrase`${q(i.rolling, 'fraction')}`, result: q(o.keep, 'force') },
    { label: 'Hold-back', formula: 'W·(|sin α| − μ·cos α), at least 0', result: q(o.holdBack, 'force') },
  ],
});
