import { closed, nonNegative, positive } from '../calc/fields';
import { defineCalc, refuse } from '../calc/define';
import { phrase, q } from '../calc/work';

/**
 * Longest rectangle of a width that goes round a right-angled corner on the flat:
 * least over θ of (a·cos θ + b·sin θ − w)/(sin θ·cos θ). A short wide piece may instead go round sideways without turning.
 */
export const accessCorner = defineCalc({
  id: 'access.corner',
  title: 'Longest piece round a corner',
  input: closed({ corridorA: positive('m'), corridorB: positive('m'), width: nonNegative('m') }),
  output: closed({ longest: positive('m') }),
  source: { basis: 'geometry', text: 'Ladder problem; (a^⅔ + b^⅔)^1.5 at zero width' },
  compute({ corridorA: a, corridorB: b, width: w }) {
    if (!(w < Math.min(a, b))) refuse('width', `A piece ${w} m wide does not enter a corridor ${Math.min(a, b)} m wide: turn it on edge or find another way.`);
    const room = (t: number) => (a * Math.cos(t) + b * Math.sin(t) - w) / (Math.sin(t) * Math.cos(t));
    // One valley between 0 and 90°: the numerator is concave and positive, the denominator goes to 0 at both ends.
    let low = 1e-9;
    let high = Math.PI / 2 - 1e-9;
    for (let i = 0; i < 200; i += 1) {
      const left = low + (high - low) / 3;
      const right = high - (high - low) / 3;
      if (room(left) < room(right)) high = right;
      else low = left;
    }
    return { longest: Math.max(room((low + high) / 2), a, b) };
  },
  work: (i, o) => [
    {
      label: 'Longest piece',
      formula: 'min over θ of (a·cos θ + b·sin θ − w)/(sin θ·cos θ)',
      numbers: phrase`a = ${q(i.corridorA, 'length')}, b = ${q(i.corridorB, 'length')}, w = ${q(i.width, 'length')}`,
      result: q(o.longest, 'length'),
    },
  ],
});
