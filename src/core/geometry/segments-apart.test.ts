import fc from 'fast-check';
import { segmentsApart } from './plane';

const near = fc.integer({ min: -50, max: 50 }).map((one) => one / 5);
const place = fc.tuple(near, near);

test('two segments are as far apart as their nearest points, found by walking along both', () => {
  fc.assert(
    fc.property(place, place, place, place, (a, b, c, d) => {
      const found = segmentsApart(...a, ...b, ...c, ...d);
      let walked = Infinity;
      for (let i = 0; i <= 60; i += 1)
        for (let k = 0; k <= 60; k += 1) {
          const [s, t] = [i / 60, k / 60];
          const [x, y] = [a[0] + (b[0] - a[0]) * s - c[0] - (d[0] - c[0]) * t, a[1] + (b[1] - a[1]) * s - c[1] - (d[1] - c[1]) * t];
          walked = Math.min(walked, Math.hypot(x, y));
        }
      const step = (Math.hypot(b[0] - a[0], b[1] - a[1]) + Math.hypot(d[0] - c[0], d[1] - c[1])) / 60;
      expect(found).toBeLessThanOrEqual(walked + 1e-9);
      expect(found).toBeGreaterThanOrEqual(walked - step);
    }),
    { numRuns: 150 },
  );
});
test('by hand: crossing, end to end, side by side, past each other, a point', () => {
  expect(segmentsApart(0, 0, 4, 4, 0, 4, 4, 0)).toBe(0);
  expect(segmentsApart(0, 0, 4, 0, 4, 0, 8, 3)).toBe(0);
  expect(segmentsApart(0, 0, 4, 0, 1, 2, 3, 2)).toBe(2);
  expect(segmentsApart(0, 0, 4, 0, 7, 4, 9, 4)).toBe(5);
  expect(segmentsApart(0, 0, 0, 0, 3, 4, 3, 9)).toBe(5);
});
