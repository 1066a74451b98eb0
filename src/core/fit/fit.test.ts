import fc from 'fast-check';
import { runCalc } from '../catalogue/run';

const ok = (id: string, input: unknown): Record<string, never> => {
  const outcome = runCalc(id, input);
  if (!outcome.ok) throw new Error(outcome.error);
  return outcome.output as Record<string, never>;
};
const bad = (id: string, input: unknown) => {
  const outcome = runCalc(id, input);
  if (outcome.ok) throw new Error('it answered');
  return outcome;
};

describe('length to cut', () => {
  test('23 ft 6 in clear with 6 in bearings, ¼ in short: 24 ft 5¾ in', () =>
    expect(ok('fit.memberLength', { clear: 7.1628, bearingLeft: 0.1524, bearingRight: 0.1524, clearance: 0.00635 }).length).toBeCloseTo(7.46125, 9));
  test('a clearance that eats the bearings is refused by name', () =>
    expect(bad('fit.memberLength', { clear: 3, bearingLeft: 0.01, bearingRight: 0, clearance: 0.01 })).toMatchObject({ path: 'clearance' }));
});

describe('pocket', () => {
  test('from the packed width: 165 flange with 2 × 38 packing and 6 mm each side is 253, never 177', () => {
    const pocket = ok('fit.pocket', { width: 0.165, depth: 0.303, packingSides: 0.076, packingHeight: 0, clearance: 0.006 });
    expect(pocket.pocketWidth).toBeCloseTo(0.253, 9);
    expect(pocket.pocketHeight).toBeCloseTo(0.315, 9);
  });
});

describe('anchor bolts against the plate', () => {
  const drawn = [
    { x: 0, y: 0 },
    { x: 0.3, y: 0 },
    { x: 0.3, y: 0.2 },
    { x: 0, y: 0.2 },
  ];
  const moved = (turnDeg: number, dx: number, dy: number) =>
    drawn.map(({ x, y }) => {
      const c = Math.cos((turnDeg * Math.PI) / 180);
      const s = Math.sin((turnDeg * Math.PI) / 180);
      return { x: x * c - y * s + dx, y: x * s + y * c + dy };
    });
  test('a pattern that only shifted and turned fits with nothing left over', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -40, max: 40, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (turn, dx, dy) => {
          const fit = ok('fit.boltPattern', { drawn, cast: moved(turn, dx, dy), play: 0.003 });
          expect(fit.turnDeg).toBeCloseTo(turn, 6);
          expect(fit.worst).toBeLessThan(1e-9);
          expect(fit.goesOn).toBe(true);
        },
      ),
    ));
  test('one bolt 12 mm out of four: the fit spreads it as 3, 6 and 9 mm would have it, and the plate does not go on', () => {
    const cast = drawn.map((one, i) => (i === 2 ? { x: one.x + 0.012, y: one.y } : one));
    const fit = ok('fit.boltPattern', { drawn, cast, play: 0.005 });
    expect((fit.shift as unknown as { x: number }).x).toBeCloseTo(0.003, 9);
    expect(fit.offDrawn).toBeCloseTo(0.012, 9);
    expect(fit.worst).toBeGreaterThan(0.005);
    expect(fit.worst).toBeLessThan(0.009 + 1e-9);
    expect(fit.goesOn).toBe(false);
  });
  test('no turn or shift near the answer leaves less', () => {
    const cast = [
      { x: 0.004, y: -0.002 },
      { x: 0.297, y: 0.006 },
      { x: 0.309, y: 0.203 },
      { x: -0.002, y: 0.199 },
    ];
    const fit = ok('fit.boltPattern', { drawn, cast, play: 0.01 }) as unknown as { shift: { x: number; y: number }; turnDeg: number; residuals: number[] };
    const sum = fit.residuals.reduce((total, one) => total + one ** 2, 0);
    for (const [t, x, y] of [
      [0.1, 0, 0],
      [-0.1, 0, 0],
      [0, 1e-3, 0],
      [0, -1e-3, 0],
      [0, 0, 1e-3],
      [0, 0, -1e-3],
    ] as const) {
      // the turn is about the middle of the pattern
      const turn = ((fit.turnDeg + t) * Math.PI) / 180;
      const other = drawn.reduce((total, one, i) => {
        const a = { x: one.x - 0.15, y: one.y - 0.1 };
        const px = 0.15 + fit.shift.x + x + a.x * Math.cos(turn) - a.y * Math.sin(turn);
        const py = 0.1 + fit.shift.y + y + a.x * Math.sin(turn) + a.y * Math.cos(turn);
        return total + (px - cast[i]!.x) ** 2 + (py - cast[i]!.y) ** 2;
      }, 0);
      expect(other).toBeGreaterThan(sum);
    }
  });
  test('a bolt not surveyed is asked for', () => expect(bad('fit.boltPattern', { drawn, cast: drawn.slice(1), play: 0.003 })).toMatchObject({ path: 'cast' }));
  test('play that equals what is left does not let the plate on', () => {
    const fit = ok('fit.boltPattern', { drawn, cast: drawn, play: 0 });
    expect(fit.goesOn).toBe(false);
  });
});

describe('levels', () => {
  test('a post from slab to seat, 5 mm long to tap in', () =>
    expect(ok('fit.postCut', { seatLevel: 2.75, baseLevel: 0.02, plates: 0.03, tightFit: 0.005 }).length).toBeCloseTo(2.705, 9));
  test('a seat under its base is refused', () =>
    expect(bad('fit.postCut', { seatLevel: 0, baseLevel: 0.02, plates: 0, tightFit: 0 })).toMatchObject({ path: 'seatLevel' }));
  test('8 mm low on M20 (2.5 mm pitch): 3.2 turns up, or 4 shims of 2 mm', () =>
    expect(ok('fit.levelAdjust', { wanted: 3, found: 2.992, pitch: 0.0025, shim: 0.002 })).toMatchObject({ turns: expect.closeTo(3.2, 6), shims: 4 }));
  test('a seat too high is turned down; no shim helps', () => {
    const low = ok('fit.levelAdjust', { wanted: 3, found: 3.005, pitch: 0.0025, shim: 0.002 });
    expect(low.turns).toBeCloseTo(-2, 6);
    expect(low.shims).toBe(0);
    expect(low.left).toBeCloseTo(-0.005, 9);
  });
  test('layers to the finished floor and the step they make', () =>
    expect(
      ok('fit.levelStack', {
        top: 2.9,
        layers: [
          { what: 'ply', thickness: 0.018 },
          { what: 'boards', thickness: 0.022 },
        ],
        meets: 2.93,
      }),
    ).toMatchObject({
      finished: expect.closeTo(2.94, 9),
      step: expect.closeTo(0.01, 9),
    }));
  test('three spans that do not add up to the stated length', () =>
    expect(ok('fit.spanSum', { spans: [12.2, 15.4, 12.2], stated: 40 }).difference).toBeCloseTo(-0.2, 9));
  test('what is off the drawing has a side', () => {
    expect(ok('fit.offDrawing', { drawn: 4, measured: 3.98, tolerance: 0.01 }).difference).toBeCloseTo(-0.02, 9);
    expect(ok('fit.offDrawing', { drawn: 4, measured: 3.98, tolerance: 0.01 }).off).toBeCloseTo(0.02, 9);
  });
});
