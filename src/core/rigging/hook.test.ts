import fc from 'fast-check';
import { runCalc } from '../catalogue/run';
import { riggingHook } from './hook.calc';

const rad = (deg: number) => (deg * Math.PI) / 180;
const base = {
  weight: 10000,
  picks: [
    { x: 0, z: 0 },
    { x: 4, z: 0 },
  ],
  cg: { x: 2, z: 0 },
};

describe('hook statics', () => {
  test.each([
    [60, 1 / Math.sqrt(3)],
    [45, 1 / Math.SQRT2],
    [30, 1],
  ])('a symmetric bridle at %d° carries W/(2 sin θ) a leg', (angle, share) => {
    const leg = 2 / Math.cos(rad(angle));
    const out = riggingHook.compute({ ...base, legs: [leg, leg] });
    expect(out.tension[0]).toBeCloseTo(10000 * share, 6);
    expect(out.tension[1]).toBeCloseTo(10000 * share, 6);
    expect(out.angleDeg[0]).toBeCloseTo(angle, 9);
    expect(out.tiltDeg).toBeCloseTo(0, 12);
  });

  test('3-4-5 legs square to each other: T = W cos of the other leg, by hand', () => {
    // Hook at the right angle over a 5 m spread; the centre of gravity plumb under it, 3²/5 = 1.8 m from the left.
    const out = riggingHook.compute({
      weight: 1000,
      picks: [
        { x: 0, z: 0 },
        { x: 5, z: 0 },
      ],
      cg: { x: 1.8, z: -0.4 },
      legs: [3, 4],
    });
    expect(out.tiltDeg).toBeCloseTo(0, 9);
    expect(out.tension[0]).toBeCloseTo(800, 6);
    expect(out.tension[1]).toBeCloseTo(600, 6);
    expect(out.hookAbovePick).toBeCloseTo(2.4, 9);
  });

  test('forces balance for any hanging piece', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 8, noNaN: true }),
        fc.double({ min: 0.3, max: 0.7, noNaN: true }),
        fc.double({ min: -1, max: 0.2, noNaN: true }),
        fc.double({ min: 1.05, max: 2.2, noNaN: true }),
        fc.double({ min: -0.25, max: 0.25, noNaN: true }),
        (spread, at, below, slack, uneven) => {
          const leg = (spread / 2) * slack;
          const outcome = runCalc('rigging.hook', {
            weight: 5000,
            picks: [
              { x: 0, z: 0 },
              { x: spread, z: 0.1 },
            ],
            cg: { x: at * spread, z: below },
            legs: [leg * (1 + uneven), leg * (1 - uneven)],
          });
          if (!outcome.ok) return;
          const { tension, angleDeg } = outcome.output as { tension: [number, number]; angleDeg: [number, number] };
          expect(tension[0] * Math.sin(rad(angleDeg[0])) + tension[1] * Math.sin(rad(angleDeg[1]))).toBeCloseTo(5000, 4);
          expect(tension[0] * Math.cos(rad(angleDeg[0]))).toBeCloseTo(tension[1] * Math.cos(rad(angleDeg[1])), 4);
        },
      ),
      { numRuns: 300 },
    );
  });

  test('mirrored, the answer is mirrored', () => {
    const right = riggingHook.compute({
      weight: 9000,
      picks: [
        { x: 1, z: 0.3 },
        { x: 6, z: 0.3 },
      ],
      cg: { x: 3.9, z: 0 },
      legs: [3.6, 3.9],
    });
    const left = riggingHook.compute({
      weight: 9000,
      picks: [
        { x: -6, z: 0.3 },
        { x: -1, z: 0.3 },
      ],
      cg: { x: -3.9, z: 0 },
      legs: [3.9, 3.6],
    });
    expect(left.tiltDeg).toBeCloseTo(-right.tiltDeg, 9);
    expect(left.tension[0]).toBeCloseTo(right.tension[1]!, 6);
  });

  test.each([
    ['legs too short', { ...base, legs: [1.9, 2.0] }, 'legs'],
    ['legs too unequal', { ...base, legs: [7, 2.5] }, 'legs'],
    [
      'picks swapped',
      {
        ...base,
        picks: [
          { x: 4, z: 0 },
          { x: 0, z: 0 },
        ],
        legs: [3, 3],
      },
      'picks',
    ],
    ['balance point outside the picks', { ...base, cg: { x: 9, z: 0 }, legs: [3, 3] }, 'cg'],
    ['hook below the balance point', { ...base, cg: { x: 2, z: 3 }, legs: [2.1, 2.1] }, 'legs'],
  ])('%s is refused', (_, input, path) => expect(runCalc('rigging.hook', input)).toMatchObject({ ok: false, path }));
});

describe('bending while hung', () => {
  test('with end plates the overhang moment grows by the plates alone, by hand', () => {
    const outcome = runCalc('rigging.pickMoments', {
      length: 10,
      left: 2,
      right: 2,
      runs: [{ weightPerLength: 1000, from: 0, to: 10 }],
      lumps: [
        { weight: 500, at: 0 },
        { weight: 500, at: 10 },
      ],
    });
    if (!outcome.ok) throw new Error(outcome.error);
    // hogging 1000·2²/2 + 500·2 = 3000; sagging 5500·3 − 1000·5²/2 − 500·5 = 1500
    expect(outcome.output).toMatchObject({ hogging: [3000, 3000] });
    expect(outcome.output.sagging).toBeCloseTo(1500, 6);
  });
  test('a uniform piece agrees with the closed form', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 4.5, noNaN: true }), fc.double({ min: 0, max: 4.5, noNaN: true }), (left, right) => {
        const closed = runCalc('rigging.twoPointPick', { weightPerLength: 800, length: 10, left, right });
        const summed = runCalc('rigging.pickMoments', { length: 10, left, right, runs: [{ weightPerLength: 800, from: 0, to: 10 }], lumps: [] });
        expect(summed.ok).toBe(closed.ok);
        if (closed.ok && summed.ok) expect(summed.output.governing).toBeCloseTo(closed.output.governing as number, 5);
      }),
    );
  });
});
