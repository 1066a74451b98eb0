import fc from 'fast-check';
import { attempt } from '../calc/attempt';
import { pickMoments } from './pick-moments.calc';
import { twoPointPick } from './two-point-pick.calc';

const tenth = (from: number, to: number) => fc.integer({ min: Math.round(from * 10), max: Math.round(to * 10) }).map((one) => one / 10);

describe('a piece on two picks, summed over slices', () => {
  const pieces = fc.record({
    length: fc.constant(12),
    left: tenth(0, 5),
    right: tenth(0, 5),
    runs: fc.array(
      fc
        .tuple(tenth(0, 11), tenth(0.5, 12), fc.integer({ min: 1, max: 4000 }))
        .map(([from, long, w]) => ({ from, to: Math.min(12, from + long), weightPerLength: w })),
      {
        minLength: 1,
        maxLength: 3,
      },
    ),
    lumps: fc.array(fc.record({ at: tenth(0, 12), weight: fc.integer({ min: 0, max: 20_000 }) }), { maxLength: 3 }),
  });
  test('reactions, hogging over each pick, sagging between and beyond', () => {
    fc.assert(
      fc.property(pieces, (piece) => {
        const stretches = [
          { from: 0, to: 3.3 },
          { from: 3.3, to: 12 },
        ];
        const outcome = attempt(pickMoments, { ...piece, stretches, cuts: [3.3, 6, 9.1] });
        const SLICE = 0.005;
        const parts = piece.runs.flatMap(({ from, to, weightPerLength }) =>
          Array.from({ length: Math.round((to - from) / SLICE) }, (_, i) => ({ at: from + (i + 0.5) * SLICE, weight: weightPerLength * SLICE })),
        );
        const all = [...parts, ...piece.lumps];
        const weight = all.reduce((sum, one) => sum + one.weight, 0);
        const [a, b] = [piece.left, piece.length - piece.right];
        const r2 = all.reduce((sum, one) => sum + one.weight * (one.at - a), 0) / (b - a);
        const r1 = weight - r2;
        if (Math.min(r1, r2) < -1e-6) {
          expect(outcome).toMatchObject({ ok: false, path: r2 < 0 ? 'left' : 'right' });
          return;
        }
        if (!outcome.ok) {
          expect(Math.min(r1, r2)).toBeLessThan(1e-6);
          return;
        }
        const { reaction, hogging, sagging, governing } = outcome.output;
        const moment = (x: number) =>
          (x > a ? r1 * (x - a) : 0) + (x > b ? r2 * (x - b) : 0) - all.reduce((sum, one) => (one.at < x ? sum + one.weight * (x - one.at) : sum), 0);
        const close = 2e-3 * weight + 1e-6;
        expect(Math.abs(reaction[0]! - r1)).toBeLessThan(close);
        expect(Math.abs(reaction[1]! - r2)).toBeLessThan(close);
        expect(Math.abs(hogging[0]! - Math.max(0, -moment(a)))).toBeLessThan(close);
        expect(Math.abs(hogging[1]! - Math.max(0, -moment(b)))).toBeLessThan(close);
        const walked = Math.max(0, ...Array.from({ length: 241 }, (_, i) => moment(i * 0.05)));
        expect(Math.abs(sagging - walked)).toBeLessThan(close + 0.002 * walked);
        expect(governing).toBe(Math.max(...hogging, sagging));
        const { greatest, felt } = outcome.output;
        for (const [n, { from, to }] of stretches.entries()) {
          const most = Math.max(...Array.from({ length: 401 }, (_, i) => Math.abs(moment(from + ((to - from) * i) / 400))));
          expect(greatest![n]).toBeGreaterThan(most - close);
          expect(greatest![n]).toBeLessThan(most * 1.01 + 12 * close);
        }
        // What is left of a cut, and what is at it or not.
        const leftOf = (x: number) => (x > a ? r1 : 0) + (x > b ? r2 : 0) - all.reduce((sum, one) => (one.at < x ? sum + one.weight : sum), 0);
        for (const [n, x] of [3.3, 6, 9.1].entries()) {
          expect(Math.abs(felt![n]!.moment - moment(x))).toBeLessThan(close);
          const sides = [leftOf(x - 1e-7), leftOf(x + 1e-7)].map(Math.abs);
          expect(Math.abs(felt![n]!.shear - Math.max(...sides))).toBeLessThan(close + 20);
        }
      }),
      { numRuns: 120 },
    );
  });

  const whole = { length: 10, left: 2, right: 2, runs: [{ weightPerLength: 100, from: 0, to: 10 }], lumps: [] };
  const refused: [string, object, string, RegExp][] = [
    [
      'a run that goes back',
      {
        runs: [
          { weightPerLength: 1, from: 0, to: 1 },
          { weightPerLength: 1, from: 4, to: 3 },
        ],
      },
      'runs[1].to',
      /Run 2/,
    ],
    ['a run before the piece', { runs: [{ weightPerLength: 1, from: -0.1, to: 3 }] }, 'runs[0].from', /Run 1/],
    ['a run past the piece', { runs: [{ weightPerLength: 1, from: 0, to: 10.1 }] }, 'runs[0].to', /Run 1/],
    ['a lump before the piece', { lumps: [{ weight: 1, at: -0.1 }] }, 'lumps[0].at', /Lump 1/],
    [
      'a lump past the piece',
      {
        lumps: [
          { weight: 1, at: 1 },
          { weight: 1, at: 10.1 },
        ],
      },
      'lumps[1].at',
      /Lump 2/,
    ],
    ['picks that cross', { left: 6, right: 5 }, 'right', /cross/],
    ['picks at one place', { left: 5, right: 5 }, 'right', /cross/],
    ['all its weight left of both', { runs: [{ weightPerLength: 1, from: 0, to: 1 }] }, 'left', /Straddle/],
    ['all its weight right of both', { runs: [{ weightPerLength: 1, from: 9, to: 10 }] }, 'right', /Straddle/],
  ];
  test.each(refused)('refused: %s', (_, changes, path, words) => {
    const outcome = attempt(pickMoments, { ...whole, ...changes } as never);
    expect(outcome).toMatchObject({ ok: false, path });
    if (!outcome.ok) expect(outcome.error).toMatch(words);
  });
  test('by hand: each stretch by what is in it, a cut with a sling at it sheared by its greater side', () => {
    // 500 N at each sling; over a sling 100·2²/2 = 200 hogging, in the middle 500·3 − 100·5²/2 = 250 sagging, 4 m in 500·2 − 800 = 200.
    const parts = {
      stretches: [
        { from: 0, to: 1 },
        { from: 0, to: 3 },
        { from: 4, to: 10 },
      ],
      cuts: [2, 4, 5],
    };
    expect(attempt(pickMoments, { ...whole, ...parts } as never)).toMatchObject({
      ok: true,
      output: {
        greatest: [expect.closeTo(50, 9), expect.closeTo(200, 9), expect.closeTo(250, 9)],
        felt: [
          { moment: expect.closeTo(-200, 9), shear: expect.closeTo(300, 6) },
          { moment: expect.closeTo(200, 9), shear: expect.closeTo(100, 6) },
          { moment: expect.closeTo(250, 9), shear: expect.closeTo(0, 6) },
        ],
      },
    });
    for (const [changes, path] of [
      [{ stretches: [{ from: 3, to: 3 }] }, 'stretches[0].to'],
      [{ stretches: [{ from: -1, to: 3 }] }, 'stretches[0].from'],
      [{ stretches: [{ from: 1, to: 11 }] }, 'stretches[0].to'],
      [{ cuts: [5, 10.1] }, 'cuts[1]'],
      [{ cuts: [-0.1] }, 'cuts[0]'],
    ] as const)
      expect(attempt(pickMoments, { ...whole, ...changes } as never)).toMatchObject({ ok: false, path });
  });
  test('a lump and a run at the very ends are on the piece', () => {
    const edge = {
      lumps: [
        { weight: 10, at: 0 },
        { weight: 10, at: 10 },
      ],
    };
    expect(attempt(pickMoments, { ...whole, ...edge } as never)).toMatchObject({
      ok: true,
      output: { reaction: [expect.closeTo(510, 9), expect.closeTo(510, 9)] },
    });
  });
});

describe('two picks of an even piece', () => {
  const of = (left: number, right: number) => attempt(twoPointPick, { length: 10, weightPerLength: 100, left, right } as never);
  test('by hand: hogging w·a²/2, sagging from the middle', () => {
    // R₂ = 1000·(5 − 2)/5 = 600 N, R₁ = 400 N; over the picks 100·2²/2 = 200 and 100·3²/2 = 450 N·m; nowhere does it sag.
    expect(of(2, 3)).toMatchObject({
      ok: true,
      output: {
        reaction: [expect.closeTo(400, 9), expect.closeTo(600, 9)],
        hogging: [expect.closeTo(200, 9), expect.closeTo(450, 9)],
        sagging: expect.closeTo(0, 9),
        governing: expect.closeTo(450, 9),
      },
    });
    // At the ends: w·L²/8.
    expect(of(0, 0)).toMatchObject({ ok: true, output: { sagging: expect.closeTo(1250, 9), governing: expect.closeTo(1250, 9) } });
  });
  test('picks that cross, and picks on one side of the middle, are refused with the end that is wrong', () => {
    expect(of(5, 5)).toMatchObject({ ok: false, path: 'right' });
    expect(of(7, 4)).toMatchObject({ ok: false, path: 'right' });
    expect(of(6, 1)).toMatchObject({ ok: false, path: 'left' });
    expect(of(1, 6)).toMatchObject({ ok: false, path: 'right' });
    expect(of(5, 1)).toMatchObject({ ok: true });
    expect(of(1, 5)).toMatchObject({ ok: true });
  });
});
