import fc from 'fast-check';
import { attempt } from '../calc/attempt';
import { craneTandem } from './tandem.calc';
import { oneEndLanded } from './one-end.calc';

const beam = { weight: 100e3, cg: 10, cgHeight: 0.6, rest: 0.3, hook: 18, pickHeight: 1.2, high: 0, fall: 20 };
const of = (changes: Partial<typeof beam> = {}) => {
  const outcome = attempt(oneEndLanded, { ...beam, ...changes });
  if (!outcome.ok) throw new Error(outcome.error);
  return outcome.output;
};

test('level, by the lever about where it rests: 100 kN × 9.7 / 17.7', () => {
  expect(of()).toEqual({ hook: expect.closeTo(54802.26, 2), rest: expect.closeTo(45197.74, 2), slopeDeg: 0, off: 0, lineDeg: 0 });
});
test('half a metre high: the balance point and the pick both walk towards the end that rests', () => {
  const slope = Math.asin(0.5 / 17.7);
  const share = (9.7 * Math.cos(slope) - 0.6 * Math.sin(slope)) / (17.7 * Math.cos(slope) - 1.2 * Math.sin(slope));
  expect(of({ high: 0.5 }).hook).toBeCloseTo(100e3 * share, 3);
  // 17.7 (1 − cos δ) + 1.2 sin δ = 7.06 mm + 33.9 mm; over 20 m 0.117°.
  expect(of({ high: 0.5 }).off).toBeCloseTo(0.04096, 4);
  expect(of({ high: 0.5 }).lineDeg).toBeCloseTo(0.1173, 3);
});
test('on an inner support past its balance point the other hook would have to push', () => {
  expect(of({ rest: 12 }).hook).toBeLessThan(0);
  expect(of({ rest: 12 }).rest).toBeGreaterThan(100e3);
  expect(of({ rest: 10 }).hook).toBeCloseTo(0, 6);
});
test('resting where the first hook held it, it shares as two hooks do', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.5, max: 6, noNaN: true }), fc.double({ min: 12, max: 19, noNaN: true }), (rest, hook) => {
      const tandem = attempt(craneTandem, { weight: 100e3, pickSpacing: hook - rest, cgFromA: 10 - rest, cgBelowPicks: 0, tiltDeg: 0 });
      if (!tandem.ok) throw new Error(tandem.error);
      const { hook: share, rest: seat } = of({ rest, hook });
      expect(share).toBeCloseTo(tandem.output.b, 3);
      expect(share + seat).toBeCloseTo(100e3, 6);
    }),
  );
});
test('refused: resting past the other hook, and higher than its arm is long', () => {
  expect(attempt(oneEndLanded, { ...beam, rest: 18 })).toMatchObject({ ok: false, path: 'rest' });
  expect(attempt(oneEndLanded, { ...beam, high: 17.7 })).toMatchObject({ ok: false, path: 'high' });
  expect(attempt(oneEndLanded, { ...beam, high: 17.6 })).toMatchObject({ ok: true });
});
