import { Type } from 'typebox';
import { closed, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';
import { sweep } from './sweep';

const place = () => closed({ x: real('m'), y: real('m') });

/** A piece carried along a way drawn on the plan, past everything that stands there. */
export const accessSweep = defineCalc({
  id: 'access.sweep',
  title: 'A piece carried along the way, past what stands there',
  input: closed({
    length: positive('m'),
    width: positive('m', 'with the room kept round it'),
    path: Type.Array(place(), { minItems: 1, maxItems: 60 }),
    obstacles: Type.Array(closed({ name: Type.String(), points: Type.Array(place(), { minItems: 3, maxItems: 12 }) }), { maxItems: 200 }),
  }),
  output: closed({
    passes: Type.Boolean(),
    poses: Type.Array(closed({ at: place(), headingDeg: real('deg') }), { description: 'at each point of the way that is reached' }),
    leg: Type.Integer({ description: 'point of the way after which it sticks, from 0; −1 when it passes' }),
    against: Type.Array(Type.String(), { description: 'what it runs into there' }),
  }),
  source: { basis: 'geometry', text: 'Search over place and turn, every 0.2 m and 10°, the middle no more than 0.75 m beside the line' },
  compute(input) {
    const answer = sweep(input);
    if ('gaveUp' in answer) refuse(`path[${answer.leg + 1}]`, answer.gaveUp);
    return {
      passes: answer.passes,
      poses: answer.poses.map(({ at, headingDeg }) => ({ at: { ...at }, headingDeg })),
      leg: answer.passes ? -1 : answer.after,
      against: answer.passes ? [] : answer.against,
    };
  },
  work: (i, o) => [
    {
      label: 'Piece',
      numbers: phrase`${q(i.length, 'length')} × ${q(i.width, 'dimension')}`,
      result: `${i.path.length} points, ${i.obstacles.length} things in the way`,
    },
    {
      label: 'Every pose free and reached from the one before',
      result: o.passes ? 'it passes' : `it sticks after point ${o.leg + 1}${o.against.length > 0 ? ` against ${o.against.join(', ')}` : ''}`,
    },
  ],
});
