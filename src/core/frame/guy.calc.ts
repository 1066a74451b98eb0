import { closed, nonNegative, positive, real } from '../calc/fields';
import { Type } from 'typebox';
import { defineCalc } from '../calc/define';
import { phrase, q } from '../calc/work';

const rad = Math.PI / 180;

/** A guy that holds a horizontal load, and the block it is tied to. */
export const guyAndBlock = defineCalc({
  id: 'frame.guy',
  title: 'Guy and its block',
  input: closed({
    horizontal: nonNegative('N', 'to be held'),
    slopeDeg: real('deg', { minimum: 0, exclusiveMaximum: 90, description: 'of the guy, from the horizontal' }),
    awayDeg: real('deg', { exclusiveMinimum: -90, exclusiveMaximum: 90, description: 'in plan, from the line of the load' }),
    friction: positive('1', 'under the block', { maximum: 2 }),
    block: nonNegative('N', 'weight of the block, nothing added to it'),
  }),
  output: closed({ tension: nonNegative('N'), down: nonNegative('N', 'on what it is tied to above'), needsBlock: nonNegative('N'), holds: Type.Boolean() }),
  source: { basis: 'statics', text: 'A block slides when its friction, less the uplift of the guy, is used up; just enough does not hold' },
  compute({ horizontal, slopeDeg, awayDeg, friction, block }) {
    const tension = horizontal / (Math.cos(slopeDeg * rad) * Math.cos(awayDeg * rad));
    const down = tension * Math.sin(slopeDeg * rad);
    const needsBlock = down + (tension * Math.cos(slopeDeg * rad)) / friction;
    return { tension, down, needsBlock, holds: block > needsBlock };
  },
  work: (i, o) => [
    {
      label: 'Guy pulls',
      formula: 'T = H / (cos slope · cos away)',
      numbers: phrase`${q(i.horizontal, 'force')} / (cos ${q(i.slopeDeg, 'angle')} × cos ${q(i.awayDeg, 'angle')})`,
      result: q(o.tension, 'force'),
    },
    { label: 'It presses down with', formula: 'T · sin slope', result: q(o.down, 'force') },
    { label: 'Its block must weigh more than', formula: 'T · (sin slope + cos slope / μ)', result: q(o.needsBlock, 'force') },
    { label: 'The block weighs', result: q(i.block, 'force') },
  ],
});
