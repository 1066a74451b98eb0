import fc from 'fast-check';
import { Matrix, solve } from 'ml-matrix';
import { solveContinuous, type ContinuousBeam } from './continuous';
import { addTo, emptyBand, solveBand, timesRow } from './solve';

const beam = (over: Partial<ContinuousBeam>): ContinuousBeam => ({
  length: 10,
  stiffness: 1e8,
  load: 1000,
  supports: [{ x: 0 }, { x: 10 }],
  pointLoads: [],
  upliftFree: true,
  ...over,
});
const stable = (b: ContinuousBeam) => {
  const result = solveContinuous(b);
  if (!result.stable) throw new Error('it tips');
  return result;
};

describe('hand answers', () => {
  test('simple span: wL/2 and wL²/8', () => {
    const { reactions, maxSagging, maxHogging } = stable(beam({}));
    expect(reactions).toEqual([expect.closeTo(5000, 6), expect.closeTo(5000, 6)]);
    expect(maxSagging).toBeCloseTo(12500, 5);
    expect(maxHogging).toBeCloseTo(0, 5);
  });
  test('point load at a third: 2P/3, P/3 and 2PL/9', () => {
    const { reactions, maxSagging } = stable(beam({ load: 0, pointLoads: [{ x: 10 / 3, force: 9000 }] }));
    expect(reactions[0]).toBeCloseTo(6000, 5);
    expect(maxSagging).toBeCloseTo((2 * 9000 * 10) / 9, 4);
  });
  test('the middle support lifts off when it may and holds down when it must', () => {
    const over = beam({ length: 18, load: 500, supports: [{ x: 0 }, { x: 5 }, { x: 13 }], pointLoads: [{ x: 18, force: 5000 }] });
    const free = stable(over).reactions;
    expect(free[1]).toBe(0);
    // Moments about the last support: (500·18·(13 − 9) − 5000·5)/13
    expect(free[0]).toBeCloseTo((500 * 18 * 4 - 25000) / 13, 4);
    expect(stable({ ...over, upliftFree: false }).reactions[1]).toBeLessThan(0);
  });
  test('springs share like springs: a stiff beam on three equal springs takes a third each', () => {
    const { reactions } = stable(
      beam({
        load: 300,
        stiffness: 1e14,
        supports: [
          { x: 1, spring: 1e6 },
          { x: 5, spring: 1e6 },
          { x: 9, spring: 1e6 },
        ],
      }),
    );
    for (const r of reactions) expect(r).toBeCloseTo(1000, 1);
  });
  test.each([
    ['one support off the middle', { supports: [{ x: 3 }] }],
    [
      'a weightless beam loaded beyond its last support',
      { length: 12, load: 0, supports: [{ x: 0 }, { x: 4 }, { x: 9 }], pointLoads: [{ x: 12, force: 1000 }] },
    ],
    ['load far out over two supports', { length: 20, load: 10, supports: [{ x: 0 }, { x: 4 }], pointLoads: [{ x: 20, force: 50000 }] }],
  ])('%s tips', (_, over) => expect(solveContinuous(beam(over))).toEqual({ stable: false }));
});

/** Clapeyron's three-moment theorem, solved by a matrix package: an independent way to the support moments. */
function threeMoments(spans: number[], w: number): number[] {
  const n = spans.length - 1;
  const a = Matrix.zeros(n, n);
  const b = Matrix.zeros(n, 1);
  for (let i = 0; i < n; i += 1) {
    a.set(i, i, 2 * (spans[i]! + spans[i + 1]!));
    if (i > 0) a.set(i, i - 1, spans[i]!);
    if (i < n - 1) a.set(i, i + 1, spans[i + 1]!);
    b.set(i, 0, (w * (spans[i]! ** 3 + spans[i + 1]! ** 3)) / 4);
  }
  return solve(a, b).to1DArray();
}

test('uneven spans agree with the three-moment theorem', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 3, max: 9, noNaN: true }), { minLength: 2, maxLength: 6 }), (spans) => {
      const xs = spans.reduce<number[]>((list, span) => [...list, list[list.length - 1]! + span], [0]);
      const { maxHogging } = stable(beam({ length: xs[xs.length - 1]!, supports: xs.map((x) => ({ x })), upliftFree: false }));
      expect(maxHogging / Math.max(...threeMoments(spans, 1000))).toBeCloseTo(1, 5);
    }),
  );
});

test('whatever lifts off, the reactions carry the load and its moment', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.integer({ min: 0, max: 40 }), { minLength: 2, maxLength: 6 }),
      fc.array(fc.record({ x: fc.integer({ min: 0, max: 40 }), force: fc.integer({ min: 1, max: 50000 }) }), { maxLength: 4 }),
      (places, pointLoads) => {
        const supports = places.sort((a, b) => a - b).map((x) => ({ x: x / 2 }));
        const loads = pointLoads.map((p) => ({ x: p.x / 2, force: p.force }));
        const result = solveContinuous(beam({ length: 20, supports, pointLoads: loads }));
        if (!result.stable) return;
        const total = 20000 + loads.reduce((sum, p) => sum + p.force, 0);
        const moment = 200000 + loads.reduce((sum, p) => sum + p.force * p.x, 0);
        expect(result.reactions.reduce((sum, r) => sum + r, 0) / total).toBeCloseTo(1, 5);
        expect(result.reactions.reduce((sum, r, i) => sum + r * supports[i]!.x, 0) / moment).toBeCloseTo(1, 5);
        expect(Math.min(...result.reactions)).toBeGreaterThanOrEqual(-1e-6 * total);
      },
    ),
    { numRuns: 200 },
  );
});

const banded = (dense: number[][], width: number) => {
  const band = emptyBand(dense.length, width);
  dense.forEach((row, i) => row.forEach((value, j) => j <= i && i - j <= width && addTo(band, i, j, value)));
  return band;
};

describe('the solver', () => {
  test('brings its residual', () => {
    const solved = solveBand(
      banded(
        [
          [4, 1],
          [1, 3],
        ],
        1,
      ),
      [1, 2],
    );
    if (!solved.ok) throw new Error('a mechanism');
    expect([...solved.u]).toEqual([expect.closeTo(1 / 11, 12), expect.closeTo(7 / 11, 12)]);
  });
  test('calls a mechanism a mechanism', () =>
    expect(
      solveBand(
        banded(
          [
            [1, -1],
            [-1, 1],
          ],
          1,
        ),
        [1, 1],
      ),
    ).toEqual({ ok: false, at: 1 }));
  test('an entry outside the band is a fault of the caller, not lost', () => expect(() => addTo(emptyBand(5, 1), 4, 1, 1)).toThrow(/outside a band/));
  test('agrees with a dense solver on random bands', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 14 }),
        fc.integer({ min: 0, max: 4 }),
        fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 90, maxLength: 90 }),
        (size, width, numbers) => {
          let n = 0;
          const next = () => numbers[n++ % numbers.length]!;
          const dense = Array.from({ length: size }, () => new Array<number>(size).fill(0));
          for (let i = 0; i < size; i += 1)
            for (let j = Math.max(0, i - width); j <= i; j += 1) dense[i]![j] = dense[j]![i] = i === j ? 2 * width + 2 + next() : next();
          const load = dense.map(() => next());
          const solved = solveBand(banded(dense, width), load);
          if (!solved.ok) throw new Error('a mechanism');
          const other = solve(new Matrix(dense), Matrix.columnVector(load)).to1DArray();
          solved.u.forEach((value, i) => expect(value).toBeCloseTo(other[i]!, 9));
          dense.forEach((row, i) =>
            expect(timesRow(banded(dense, width), i, solved.u)).toBeCloseTo(
              row.reduce((sum, value, j) => sum + value * solved.u[j]!, 0),
              9,
            ),
          );
        },
      ),
    ));
});
