import fc from 'fast-check';
import { runCalc } from '../calc/run';

/**
 * Brute force: slide the outer long side of the piece with its ends on the outer walls through every angle and look whether
 * the inner corner stays outside the piece.
 */
function passesTurning(a: number, b: number, width: number, length: number): boolean {
  for (let i = 1; i < 4000; i += 1) {
    const t = (i / 4000) * (Math.PI / 2);
    // Outer corner at the origin; ends of the long side at (L cos t, 0) and (0, L sin t); inner corner at (b, a).
    const distance = b * Math.sin(t) + a * Math.cos(t) - length * Math.sin(t) * Math.cos(t);
    if (distance < width) return false;
  }
  return true;
}

test('the corner formula agrees with turning the piece step by step', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.6, max: 3, noNaN: true }),
      fc.double({ min: 0.6, max: 3, noNaN: true }),
      fc.double({ min: 0, max: 0.8, noNaN: true }),
      (a, b, share) => {
        const width = share * Math.min(a, b);
        const outcome = runCalc('access.corner', { corridorA: a, corridorB: b, width });
        if (!outcome.ok) throw new Error(outcome.error);
        const longest = outcome.output.longest as number;
        const sideways = longest === Math.max(a, b);
        expect(passesTurning(a, b, width, longest * 0.999) || sideways).toBe(true);
        expect(passesTurning(a, b, width, longest * 1.005)).toBe(false);
      },
    ),
    { numRuns: 60 },
  );
});
test('too wide for a corridor is refused', () =>
  expect(runCalc('access.corner', { corridorA: 1, corridorB: 2, width: 1 })).toMatchObject({ ok: false, path: 'width' }));
