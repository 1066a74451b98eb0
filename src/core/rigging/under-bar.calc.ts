import { closed, nonNegative, pair, positive, real } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

const degrees = 180 / Math.PI;

/**
 * A piece on two plumb slings of one length under a bar, and the bar on one hook over its middle. Bar and piece stay parallel; both turn
 * about the hook until the weight is plumb below it.
 */
export const underBar = defineCalc({
  id: 'rigging.underBar',
  title: 'Piece on two plumb slings under a spreader or a lifting beam',
  input: closed({
    weight: positive('N'),
    between: positive('m', 'the two slings'),
    cgFromLeft: real('m', { description: 'left sling to balance point' }),
    cgBelow: nonNegative('m', 'picks to balance point'),
    hookAbove: nonNegative('m', 'holes of the slings to what the bar turns about'),
    own: nonNegative('N', 'of the bar, its middle the balance point'),
  }),
  output: closed({
    ends: pair(nonNegative('N', 'on the left and the right sling')),
    tiltDeg: real('deg', { description: 'counter-clockwise positive: the left end low' }),
  }),
  source: { basis: 'statics', text: 'Moments about the hook and about the balance point of the piece' },
  compute({ weight, between, cgFromLeft, cgBelow, hookAbove, own }) {
    const down = weight * (cgBelow + hookAbove) + own * hookAbove;
    const off = between / 2 - cgFromLeft;
    if (!(down > 1e-9 * weight * between)) refuse('hookAbove', 'Nothing brings the bar back to level: the hook is no higher than what hangs on it.');
    const slope = (weight * off) / down;
    const right = (weight * (cgFromLeft + cgBelow * slope)) / between;
    const left = weight - right;
    if (left < 0 || right < 0) refuse('cgFromLeft', 'The balance point lies outside the two slings: one goes slack and the piece turns out of them.');
    return { ends: [left, right], tiltDeg: Math.atan(slope) * degrees };
  },
  work: (i, o) => [
    {
      label: 'It hangs out of level by',
      formula: 'tan θ = W·(s/2 − a)/(W·(c + h) + own·h)',
      numbers: phrase`a = ${q(i.cgFromLeft, 'length')} of s = ${q(i.between, 'length')}, c = ${q(i.cgBelow, 'length')}, h = ${q(i.hookAbove, 'length')}`,
      result: q(o.tiltDeg, 'angle'),
    },
    { label: 'Left sling', formula: 'W − R', result: q(o.ends[0]!, 'force') },
    { label: 'Right sling', formula: 'R = W·(a + c·tan θ)/s', result: q(o.ends[1]!, 'force') },
  ],
});
