import { Type } from 'typebox';
import { closed, frictionCoefficient, nonNegative, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

const rad = Math.PI / 180;

/** One end of a beam lifted from rung to rung while the other rests. */
export const handRung = defineCalc({
  id: 'hand.rung',
  title: 'Walking a beam up one end at a time',
  input: closed({
    weight: positive('N'),
    length: positive('m'),
    cg: nonNegative('m', 'from the low end'),
    rest: nonNegative('m', 'where it rests, from the low end'),
    lift: nonNegative('m', 'where it is lifted, from the low end'),
    slopeDeg: real('deg', { minimum: 0, exclusiveMaximum: 90 }),
    friction: frictionCoefficient('where it rests'),
  }),
  output: closed({ lift: nonNegative('N'), rest: nonNegative('N'), slides: Type.Boolean(), hold: nonNegative('N', 'along the slope') }),
  source: { basis: 'statics', text: 'Plumb hand force; it slides when the slope is steeper than the friction' },
  compute({ weight, length, cg, rest, lift, slopeDeg, friction }) {
    for (const [path, at] of [
      ['cg', cg],
      ['rest', rest],
      ['lift', lift],
    ] as const)
      if (at > length) refuse(path, `${at} m is past the end of a piece of ${length} m.`);
    if (Math.abs(lift - rest) < 1e-6) refuse('lift', 'It is lifted where it rests.');
    const hands = (weight * (cg - rest)) / (lift - rest);
    const rests = weight - hands;
    if (hands < 0) refuse('lift', 'The balance point is past the rest: that end has to be held down, not lifted.');
    if (rests < 0) refuse('rest', 'The balance point is past the hands: the rest carries nothing and the piece swings down.');
    const slope = slopeDeg * rad;
    return {
      lift: hands,
      rest: rests,
      slides: Math.tan(slope) > friction,
      hold: Math.max(0, rests * (Math.sin(slope) - friction * Math.cos(slope))),
    };
  },
  work: (i, o) => [
    {
      label: 'The hands lift',
      formula: 'W·(c − r)/(ℓ − r)',
      numbers: phrase`${q(i.weight, 'force')} × (${q(i.cg, 'length')} − ${q(i.rest, 'length')}) / (${q(i.lift, 'length')} − ${q(i.rest, 'length')})`,
      result: q(o.lift, 'force'),
    },
    { label: 'The rest carries', formula: 'W − lift', result: q(o.rest, 'force') },
    {
      label: o.slides ? 'It slides: held along the slope with' : 'It stays by friction; held with',
      formula: 'rest·(sin β − μ·cos β), never under 0',
      numbers: phrase`${q(i.slopeDeg, 'angle')}, μ = ${q(i.friction, 'factor')}`,
      result: q(o.hold, 'force'),
    },
  ],
});
