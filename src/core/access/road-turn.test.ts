import fc from 'fast-check';
import { attempt } from '../calc/attempt';
import { roadTurn } from './road-turn.calc';

const trailer = { outerRadius: 14, width: 2.5, wheelbase: 9, front: 1.2, tail: 3, steered: false };

test('a hand value: 10.2 m from the rear axles to the front corner on a circle of 14 m', () => {
  const { needed, innerRadius, corner } = roadTurn.compute(trailer);
  // √(14² − 10.2²) = √91.96 = 9.5896; less the width 7.0896; 14 − 7.0896
  expect(innerRadius).toBeCloseTo(7.0896, 4);
  expect(needed).toBeCloseTo(6.9104, 4);
  expect(corner).toBe('front');
});
test('rear axles steered: 7.5 m of tail and half the wheelbase rule, not the front', () => {
  const { needed, corner } = roadTurn.compute({ ...trailer, steered: true });
  // m = 3 + 4.5 = 7.5 against 4.5 + 1.2; √(196 − 56.25) = 11.8216
  expect(corner).toBe('tail');
  expect(needed).toBeCloseTo(14 - (11.8216 - 2.5), 3);
});
test('steering does not help a load that is nearly all tail', () => {
  const tail = { ...trailer, wheelbase: 4, front: 0, tail: 8 };
  expect(roadTurn.compute({ ...tail, steered: true }).needed).toBeGreaterThan(roadTurn.compute(tail).needed);
});
test.each([
  ['longer than the radius', { outerRadius: 10 }],
  ['the inside of the load past the centre', { outerRadius: 10.4 }],
])('%s: no turn, and why', (_, changes) => {
  const answer = attempt(roadTurn, { ...trailer, ...changes });
  expect(answer).toMatchObject({ ok: false, path: 'outerRadius' });
  expect(!answer.ok && answer.error).toMatch(/steer the rear axles or split/);
});

/** The same turn driven: the king pin on its circle, the body laid out point by point, radii read off. */
function driven({ outerRadius, width, wheelbase, front, tail, steered }: typeof trailer) {
  const foot = steered ? wheelbase / 2 : 0;
  const outline: [number, number][] = [];
  for (let i = 0; i <= 400; i += 1) for (const side of [-width / 2, width / 2]) outline.push([-tail + ((wheelbase + front + tail) * i) / 400, side]);
  const at = (offset: number) => outline.map(([x, y]) => Math.hypot(x - foot, offset + y));
  let low = width / 2;
  let high = outerRadius;
  for (let i = 0; i < 100; i += 1) {
    const middle = (low + high) / 2;
    if (Math.max(...at(middle)) > outerRadius) high = middle;
    else low = middle;
  }
  const radii = at(low);
  return Math.max(...radii) - Math.min(...radii);
}
test('against the outline driven round: the same width, whatever the trailer', () =>
  fc.assert(
    fc.property(
      fc.record({
        outerRadius: fc.double({ min: 8, max: 40, noNaN: true }),
        width: fc.double({ min: 1.8, max: 3.5, noNaN: true }),
        wheelbase: fc.double({ min: 3, max: 16, noNaN: true }),
        front: fc.double({ min: 0, max: 3, noNaN: true }),
        tail: fc.double({ min: 0, max: 10, noNaN: true }),
        steered: fc.boolean(),
      }),
      (one) => {
        const answer = attempt(roadTurn, one);
        fc.pre(answer.ok);
        if (answer.ok) expect(answer.output.needed).toBeCloseTo(driven(one), 2);
      },
    ),
    { numRuns: 80 },
  ));
test('a longer tail or a wider load never needs less road', () =>
  fc.assert(
    fc.property(fc.double({ min: 0, max: 6, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), fc.boolean(), (more, wider, steered) => {
      const before = attempt(roadTurn, { ...trailer, steered });
      const after = attempt(roadTurn, { ...trailer, steered, tail: trailer.tail + more, width: trailer.width + wider });
      if (before.ok && after.ok) expect(after.output.needed).toBeGreaterThanOrEqual(before.output.needed - 1e-9);
      else expect(after.ok).toBe(false);
    }),
  ));
