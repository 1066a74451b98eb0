import { Type } from 'typebox';
import { closed, nonNegative, positive } from '../calc/fields';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

/** Whether a sling laid round a piece stays where it is, or slides along it. */
export const slingGrip = defineCalc({
  id: 'rigging.grip',
  title: 'Slip of a sling along a piece',
  input: closed({
    tension: positive('N'),
    angleDeg: Type.Number({ unit: 'deg', exclusiveMinimum: 0, maximum: 90, description: 'between sling and piece' }),
    friction: positive('1', 'between them', { maximum: 1.5 }),
  }),
  output: closed({ along: nonNegative('N'), holds: nonNegative('N') }),
  source: { basis: 'statics', text: 'The pull along the piece against friction from the pull across it' },
  compute: ({ tension, angleDeg, friction }) => {
    const angle = (angleDeg * Math.PI) / 180;
    return { along: tension * Math.cos(angle), holds: friction * tension * Math.sin(angle) };
  },
  work: (i, o) => [
    { label: 'Pulls along the piece', formula: 'T·cos α', numbers: phrase`${q(i.tension, 'force')}, ${q(i.angleDeg, 'angle')}`, result: q(o.along, 'force') },
    { label: 'Friction holds', formula: 'μ·T·sin α', numbers: phrase`μ = ${q(i.friction, 'factor')}`, result: q(o.holds, 'force') },
  ],
});
