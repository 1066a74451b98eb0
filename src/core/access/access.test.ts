import fc from 'fast-check';
import { runCalc } from '../catalogue/run';
import { simpleSpanAt } from '../beams/simple-span.calc';
import { momentShare, searchSplit, type SplitPlan, type SplitQuestion } from './split';

const ok = (id: string, input: unknown): Record<string, number> => {
  const outcome = runCalc(id, input);
  if (!outcome.ok) throw new Error(outcome.error);
  return outcome.output as Record<string, number>;
};

describe('an opening or a pair of props', () => {
  const door = { width: 0.9, height: 2.1, thickness: 0.3, pieceWidth: 0.2, pieceDepth: 0.3, yawDeg: 0, tiltDeg: 0, runBeyond: null };
  test('square on, what is spare is the opening less the piece and length is free', () =>
    expect(ok('access.opening', door)).toMatchObject({ spareWidth: expect.closeTo(0.7, 9), spareHeight: expect.closeTo(1.8, 9), longest: null }));
  test('turned 30°: 0.9·cos 30 − 0.3·sin 30 − 0.2', () =>
    expect(ok('access.opening', { ...door, yawDeg: 30 }).spareWidth).toBeCloseTo(0.9 * 0.8660254 - 0.15 - 0.2, 6));
  test('turned past the most, nothing passes', () => {
    const most = ok('access.opening', door).mostYawDeg!;
    expect(ok('access.opening', { ...door, yawDeg: most - 0.01 }).longest).toBeNull();
    expect(ok('access.opening', { ...door, yawDeg: most + 0.01 }).longest).toBe(0);
  });
  test('the run beyond limits it', () => expect(ok('access.opening', { ...door, runBeyond: 3.5 }).longest).toBeCloseTo(3.5, 9));
  test('a piece against four corners by brute force: the spare is real', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 0.6, noNaN: true }),
        fc.double({ min: 1, max: 70, noNaN: true }),
        fc.double({ min: 0.05, max: 0.3, noNaN: true }),
        (width, thickness, yawDeg, pieceWidth) => {
          // The strip of the piece, and the two jamb corners it comes nearest to: distance between parallel lines through them.
          const t = (yawDeg * Math.PI) / 180;
          const normal = { x: -Math.sin(t), y: Math.cos(t) };
          const across = (p: { x: number; y: number }) => p.x * normal.x + p.y * normal.y;
          const lower = Math.max(...[0, thickness].map((x) => across({ x, y: 0 })));
          const upper = Math.min(...[0, thickness].map((x) => across({ x, y: width })));
          const spare = upper - lower - pieceWidth;
          expect(ok('access.opening', { ...door, width, thickness, yawDeg, pieceWidth }).spareWidth).toBeCloseTo(spare, 6);
        },
      ),
    ));
});

test('a swing about the middle in 4 m: the far corner touches the circle', () => {
  const longest = ok('access.swing', { width: 0.4, pivotShare: 0.5, freeRadius: 4 }).longest!;
  expect(Math.hypot(longest / 2, 0.2)).toBeCloseTo(4, 9);
  expect(ok('access.swing', { width: 0.4, pivotShare: 0, freeRadius: 4 }).longest).toBeCloseTo(longest / 2, 9);
});
test('floor: 400 kg on two skates of 20 kg with four people', () => {
  const floor = ok('access.floor', { mass: 400, gear: 20, people: 4, personMass: 85, length: 3, width: 1.5, supports: 2 });
  expect(floor.pressure).toBeCloseTo((760 * 9.80665) / 4.5, 6);
  expect(floor.point).toBeCloseTo(210 * 9.80665, 6);
});

describe('where to split', () => {
  /** Whether a plan keeps every limit. */
  function keeps(question: SplitQuestion, plan: SplitPlan): boolean {
    const { way, transport, mass } = question.limits;
    return plan.pieces.every(
      (one) =>
        one.length <= (way ?? Infinity) + 1e-9 &&
        one.length <= (transport ?? Infinity) + 1e-9 &&
        one.mass <= (mass ?? Infinity) + 1e-9 &&
        (plan.pieces.length === 1 || one.length >= question.shortest - 1e-9),
    );
  }

  const question: SplitQuestion = {
    length: 8,
    leftOverhang: 0.1,
    massPerLength: 60,
    spliceMass: 30,
    limits: { way: 6, transport: null, mass: null },
    beam: { span: 7.8, load: 10e3, pointLoads: [] },
    peakShare: 0.75,
    shortest: 1,
    step: 0.05,
    mostPieces: 6,
  };
  test('one piece when it passes', () => expect(searchSplit({ ...question, limits: { ...question.limits, way: 8 } }).best?.cuts).toEqual([]));
  test('two pieces, spliced as far from the middle as the way lets it', () => {
    const answer = searchSplit(question);
    expect(answer.best?.pieces).toHaveLength(2);
    expect(Math.max(...answer.best!.pieces.map((one) => one.length))).toBeCloseTo(6, 9);
    expect(answer.fewer).toEqual({ pieces: 1, blockers: [{ limit: 'way', longest: 8, allowed: 6 }] });
    expect(answer.runnersUp.length).toBeGreaterThan(0);
  });
  test('a way of half the length leaves only the peak: three pieces, and it says the peak is why', () => {
    const answer = searchSplit({ ...question, limits: { ...question.limits, way: 4.1 } });
    expect(answer.best?.pieces).toHaveLength(3);
    expect(answer.fewer?.blockers).toEqual([{ limit: 'peak' }]);
  });
  test('as many pieces, but more even: offered beside the one with the least moment', () => {
    const [even] = searchSplit({ ...question, limits: { ...question.limits, way: 4.1 } }).runnersUp;
    expect(even?.cuts).toEqual([expect.closeTo(2.05, 9), expect.closeTo(5.95, 9)]);
    expect(even!.worstShare).toBeLessThanOrEqual(0.75);
  });
  test('a hoist that takes 250 kg', () => {
    const answer = searchSplit({ ...question, peakShare: 0.9, limits: { way: null, transport: null, mass: 250 } });
    expect(answer.best!.pieces.every((one) => one.mass <= 250 + 1e-9)).toBe(true);
    expect(answer.best!.pieces.reduce((sum, one) => sum + one.mass, 0)).toBeCloseTo(8 * 60 + (answer.best!.pieces.length - 1) * 30, 6);
  });
  test('a limit nothing can keep has no answer and says what blocks it', () => {
    const answer = searchSplit({ ...question, limits: { ...question.limits, way: 0.9 } });
    expect(answer.best).toBeNull();
    expect(answer.fewer?.blockers[0]).toMatchObject({ limit: 'way' });
  });
  test('pieces sum to the member, keep every limit, and no splice is nearer the peak than allowed', () =>
    fc.assert(
      fc.property(
        fc.record({
          length: fc.double({ min: 3, max: 20, noNaN: true }),
          way: fc.option(fc.double({ min: 1.2, max: 12, noNaN: true })),
          transport: fc.option(fc.double({ min: 2, max: 14, noNaN: true })),
          mass: fc.option(fc.double({ min: 150, max: 900, noNaN: true })),
          peakShare: fc.double({ min: 0.3, max: 1, noNaN: true }),
          load: fc.double({ min: 0, max: 30e3, noNaN: true }),
          at: fc.double({ min: 0.05, max: 0.95, noNaN: true }),
          force: fc.double({ min: 0, max: 80e3, noNaN: true }),
        }),
        ({ length, way, transport, mass, peakShare, load, at, force }) => {
          const asked: SplitQuestion = {
            ...question,
            length,
            limits: { way, transport, mass },
            peakShare,
            beam: { span: length - 0.2, load, pointLoads: [{ x: at * (length - 0.2), force }] },
            step: 0.1,
            mostPieces: 8,
          };
          const answer = searchSplit(asked);
          for (const plan of [answer.best, ...answer.runnersUp]) {
            if (!plan) continue;
            expect(plan.pieces.reduce((sum, one) => sum + one.length, 0)).toBeCloseTo(length, 9);
            expect(keeps(asked, plan)).toBe(true);
            const uneven = (one: SplitPlan) => one.pieces.reduce((sum, piece) => sum + Math.abs(piece.length - length / one.pieces.length), 0);
            if (plan.pieces.length === answer.best!.pieces.length) expect(uneven(plan)).toBeLessThanOrEqual(uneven(answer.best!) + 1e-9);
            for (const cut of plan.cuts) expect(momentShare(asked, cut, answer.peak.moment)).toBeLessThanOrEqual(peakShare + 1e-9);
          }
        },
      ),
      { numRuns: 60 },
    ));
  test('no plan of fewer pieces exists on a coarse grid, tried one by one', () => {
    const asked = {
      ...question,
      length: 6,
      limits: { way: 2.6, transport: null, mass: null },
      step: 0.5,
      beam: { span: 5.8, load: 5e3, pointLoads: [{ x: 2, force: 9e3 }] },
      peakShare: 0.8,
    };
    const answer = searchSplit(asked);
    const count = answer.best!.pieces.length;
    const peak = answer.peak.moment;
    const places = Array.from({ length: 11 }, (_, i) => 0.5 * (i + 1));
    const tries = (k: number, from: number): number[][] =>
      k === 0 ? [[]] : places.slice(from).flatMap((at, i) => tries(k - 1, from + i + 1).map((rest) => [at, ...rest]));
    for (let fewer = 0; fewer < count - 1; fewer += 1)
      for (const cuts of tries(fewer, 0)) {
        const ends = [0, ...cuts, 6];
        const fits = ends.slice(1).every((to, i) => to - ends[i]! <= 2.6 && to - ends[i]! >= 1) && cuts.every((cut) => momentShare(asked, cut, peak) <= 0.8);
        expect(fits).toBe(false);
      }
  });
});

describe('a simple span', () => {
  test('even load: wL²/8, wL/2 and 5wL⁴/384EI', () => {
    const beam = ok('beam.simpleSpan', { span: 6, load: 12e3, pointLoads: [], stiffness: 20e6 });
    expect(beam.moment).toBeCloseTo(54e3, 3);
    expect(beam.left).toBeCloseTo(36e3, 6);
    expect(beam.deflection).toBeCloseTo((5 * 12e3 * 6 ** 4) / (384 * 20e6), 9);
  });
  test('a load off the middle: Pab/L under it, and its sag by the other case', () => {
    const beam = ok('beam.simpleSpan', { span: 6, load: 0, pointLoads: [{ x: 2, force: 9e3 }], stiffness: 20e6 });
    expect(beam.moment).toBeCloseTo((9e3 * 2 * 4) / 6, 6);
    expect(beam.left).toBeCloseTo(6e3, 6);
    expect(beam.right).toBeCloseTo(3e3, 6);
    // AISC Table 3-23 case 8: Pab(a + 2b)·√(3a(a + 2b))/27EIl, with a the longer part.
    expect(beam.deflection).toBeCloseTo((9e3 * 4 * 2 * (4 + 4) * Math.sqrt(3 * 4 * 8)) / (27 * 20e6 * 6), 9);
    expect(beam.deflection).toBeGreaterThan((9e3 * 2 * (3 * 36 - 4 * 4)) / (48 * 20e6));
  });
  test('moment at the ends is nothing', () => {
    const beam = { span: 5, load: 3e3, pointLoads: [{ x: 1, force: 2e3 }] };
    expect(simpleSpanAt(beam, 0).moment).toBeCloseTo(0, 9);
    expect(simpleSpanAt(beam, 5).moment).toBeCloseTo(0, 6);
  });
});
