import fc from 'fast-check';
import { attempt } from '../calc/attempt';
import { solveLine } from '../stage/line';
import { beamContinuous } from './continuous.calc';
import { greatestDown, solveContinuous, type ContinuousBeam } from './continuous';
import { peakOf, simpleSpan, simpleSpanAt } from './simple-span.calc';

/** Answers by ways that share nothing with the code: another solver, sums over a thousand slices, a cubic walked step by step. */
const step = (from: number, to: number) => fc.integer({ min: Math.round(from * 10), max: Math.round(to * 10) }).map((tenths) => tenths / 10);
const beams = fc.record({
  length: fc.constant(12),
  stiffness: fc.constant(4e7),
  load: fc.integer({ min: 0, max: 5000 }),
  supports: fc.uniqueArray(step(0, 12), { minLength: 2, maxLength: 4 }).map((xs) => xs.sort((a, b) => a - b).map((x) => ({ x }))),
  pointLoads: fc.array(fc.record({ x: step(0, 12), force: fc.integer({ min: 0, max: 40_000 }) }), { maxLength: 3 }),
  runs: fc.array(
    fc.tuple(step(0, 11), step(0.5, 6), fc.integer({ min: 0, max: 9000 })).map(([from, long, load]) => ({ from, to: Math.min(12, from + long), load })),
    { maxLength: 2 },
  ),
  upliftFree: fc.boolean(),
});

/** Cut at every end of a run, so that the load of each stretch is even. */
function asLine(beam: ContinuousBeam) {
  const cuts = [...new Set([0, beam.length, ...(beam.runs ?? []).flatMap(({ from, to }) => [from, to])])].sort((a, b) => a - b);
  const stretches = cuts.slice(1).map((to, i) => {
    const middle = (cuts[i]! + to) / 2;
    const load = beam.load + (beam.runs ?? []).reduce((sum, run) => (run.from < middle && middle < run.to ? sum + run.load : sum), 0);
    return { to, stiffness: beam.stiffness, load };
  });
  const pieces = [{ id: 'b', from: 0, to: beam.length, stretches, loads: beam.pointLoads }];
  return solveLine(
    pieces,
    beam.supports.map(({ x }, i) => ({ id: String(i), x, level: 0, spring: null, tie: !beam.upliftFree })),
    [],
  );
}

describe('a continuous beam', () => {
  test('another solver finds the same reactions and moments, with supports that pull and supports that let go', () => {
    fc.assert(
      fc.property(beams, (beam) => {
        const ours = solveContinuous(beam);
        const line = asLine(beam);
        // What nothing is on stands or falls by a hair; there the two may differ.
        const total =
          beam.load * 12 + beam.pointLoads.reduce((sum, one) => sum + one.force, 0) + beam.runs.reduce((sum, one) => sum + one.load * (one.to - one.from), 0);
        fc.pre(total > 100 && ours.stable === line.stable);
        if (!ours.stable || !line.stable) return;
        beam.supports.forEach((_, i) => expect(Math.abs(ours.reactions[i]! - line.reactions.get(String(i))!)).toBeLessThan(2e-4 * total + 0.5));
        expect(Math.abs(ours.maxSagging - line.sagging)).toBeLessThan(1e-3 * total + 1);
        expect(Math.abs(ours.maxHogging - line.hogging)).toBeLessThan(1e-3 * total + 1);
        expect(ours.reactions.reduce((sum, one) => sum + one, 0)).toBeCloseTo(total, 3);
      }),
      { numRuns: 120 },
    );
  });

  test('a beam that only stands if a support pulls tips; two supports under one load do not', () => {
    const tips = { length: 10, stiffness: 1e7, load: 0, supports: [{ x: 0 }, { x: 4 }], pointLoads: [{ x: 9, force: 1000 }] };
    expect(solveContinuous({ ...tips, upliftFree: true }).stable).toBe(false);
    expect(solveContinuous({ ...tips, upliftFree: false })).toMatchObject({ stable: true, reactions: [expect.closeTo(-1250, 4), expect.closeTo(2250, 4)] });
    const { output } = attempt(beamContinuous, { ...tips, upliftFree: true }) as unknown as { output: { stable: boolean } };
    expect(output.stable).toBe(false);
  });

  test('the greatest deflection is that of the same beam cut a hundred times finer', () => {
    fc.assert(
      fc.property(beams, (beam) => {
        const bent = { ...beam, runs: [], load: 0, upliftFree: false };
        const coarse = solveContinuous(bent);
        // Loads of nothing at every twelve centimetres are nodes and change nothing.
        const fine = solveContinuous({
          ...bent,
          pointLoads: [...bent.pointLoads, ...Array.from({ length: 100 }, (_, i) => ({ x: 0.06 + 0.12 * i, force: 0 }))],
        });
        fc.pre(coarse.stable && fine.stable);
        if (!coarse.stable || !fine.stable) return;
        const walked = Math.max(0, ...fine.deflection.map(({ down }) => down));
        const told = greatestDown(coarse.deflection);
        expect(told).toBeGreaterThanOrEqual(walked * (1 - 1e-6) - 1e-9);
        expect(told).toBeLessThanOrEqual(walked * 1.002 + 1e-7);
      }),
      { numRuns: 80 },
    );
    // Straight between its ends, and lifted everywhere.
    expect(
      greatestDown([
        { x: 0, down: -2, slope: 0.5 },
        { x: 2, down: -1, slope: 0.5 },
      ]),
    ).toBe(0);
    expect(
      greatestDown([
        { x: 0, down: 0, slope: 1 },
        { x: 2, down: 0, slope: -1 },
      ]),
    ).toBeCloseTo(0.5, 12);
    expect(greatestDown([{ x: 0, down: 3, slope: 0 }])).toBe(3);
  });

  const refused: [string, object, string][] = [
    ['a support past the end', { supports: [{ x: 0 }, { x: 10.5 }] }, 'supports[1].x'],
    ['two supports at one place', { supports: [{ x: 0 }, { x: 4 }, { x: 4 }] }, 'supports[2].x'],
    [
      'a load past the end',
      {
        pointLoads: [
          { x: 1, force: 1 },
          { x: 10.1, force: 1 },
        ],
      },
      'pointLoads[1].x',
    ],
    ['a run that goes nowhere', { runs: [{ from: 2, to: 2, load: 1 }] }, 'runs[0].to'],
    [
      'a run that goes back',
      {
        runs: [
          { from: 1, to: 2, load: 1 },
          { from: 3, to: 2, load: 1 },
        ],
      },
      'runs[1].to',
    ],
    ['a run past the end', { runs: [{ from: 2, to: 10.2, load: 1 }] }, 'runs[0].to'],
  ];
  const whole = { length: 10, stiffness: 1e7, load: 100, supports: [{ x: 0 }, { x: 10 }], pointLoads: [], runs: [], upliftFree: true };
  test.each(refused)('refused: %s', (_, changes, path) => {
    const outcome = attempt(beamContinuous, { ...whole, ...changes } as never);
    expect(outcome).toMatchObject({ ok: false, path });
    // Counted from one, as people count.
    if (!outcome.ok && /\[\d\]/.test(path))
      expect(outcome.error).toMatch(new RegExp(`(Support|Supports|Load|Run) .*\\b${Number(/\[(\d)\]/.exec(path)![1]) + 1}\\b`));
  });
  test('at the very end a support, a load and a run are on the beam', () => {
    const edge = { supports: [{ x: 0 }, { x: 10 }], pointLoads: [{ x: 10, force: 5 }], runs: [{ from: 0, to: 10, load: 7 }] };
    expect(attempt(beamContinuous, { ...whole, ...edge } as never)).toMatchObject({ ok: true, output: { stable: true } });
  });
});

describe('a piece on two bearings', () => {
  const spans = fc.record({
    span: step(1, 20),
    load: fc.integer({ min: 0, max: 9000 }),
    stiffness: fc.constant(2e7),
    pointLoads: fc.array(fc.record({ share: fc.integer({ min: 0, max: 20 }), force: fc.integer({ min: 0, max: 60_000 }) }), { maxLength: 4 }),
  });

  test('summed over slices: moment, where it is, shear, reactions and sag', () => {
    fc.assert(
      fc.property(spans, ({ span, load, stiffness, pointLoads: shares }) => {
        const pointLoads = shares.map(({ share, force }) => ({ x: (span * share) / 20, force }));
        const beam = { span, load, pointLoads, stiffness };
        const SLICES = 2000;
        const parts = Array.from({ length: SLICES }, (_, i) => ({ x: ((i + 0.5) * span) / SLICES, force: (load * span) / SLICES }));
        const all = [...parts, ...pointLoads];
        const total = all.reduce((sum, one) => sum + one.force, 0);
        const right = all.reduce((sum, one) => sum + one.force * one.x, 0) / span;
        const momentAt = (x: number) => (total - right) * x - all.reduce((sum, one) => (one.x < x ? sum + one.force * (x - one.x) : sum), 0);
        const outcome = attempt(simpleSpan, beam);
        if (!outcome.ok) throw new Error(outcome.error);
        const { output } = outcome;
        const close = 1e-5 * total * span + 1e-6;
        expect(Math.abs(output.left - (total - right))).toBeLessThan(close);
        expect(Math.abs(output.right - right)).toBeLessThan(close);
        expect(Math.abs(momentAt(output.at) - output.moment)).toBeLessThan(close * 3);
        for (let i = 0; i <= 40; i += 1) {
          const x = (span * i) / 40;
          expect(momentAt(x)).toBeLessThanOrEqual(output.moment + close);
          expect(Math.abs(simpleSpanAt(beam, x).moment - momentAt(x))).toBeLessThan(close * 3);
        }
        expect(peakOf(beam)).toEqual({ x: output.at, moment: output.moment });
        // Twice integrated, the ends held.
        const N = 400;
        const h = span / N;
        let [slope, down] = [0, 0];
        const sag = [0];
        for (let i = 0; i < N; i += 1) {
          slope += (simpleSpanAt(beam, (i + 0.5) * h).moment / stiffness) * h;
          down += slope * h;
          sag.push(down);
        }
        const most = Math.max(...sag.map((one, i) => -(one - (sag[N]! * i) / N)));
        expect(Math.abs(output.deflection - most)).toBeLessThan(0.01 * most + 1e-9);
      }),
      { numRuns: 40 },
    );
  });

  test('shear just right of a load is without it; a load at an end goes into its bearing', () => {
    const beam = {
      span: 4,
      load: 0,
      pointLoads: [
        { x: 0, force: 100 },
        { x: 1, force: 80 },
        { x: 4, force: 40 },
      ],
    };
    expect(simpleSpanAt(beam, 1).shear).toBeCloseTo(60 - 80, 9);
    expect(simpleSpanAt(beam, 0.5).shear).toBeCloseTo(60, 9);
    expect(attempt(simpleSpan, { ...beam, stiffness: 1 })).toMatchObject({
      ok: true,
      output: { left: expect.closeTo(160, 9), right: expect.closeTo(60, 9), at: 1 },
    });
    expect(attempt(simpleSpan, { ...beam, pointLoads: [{ x: 4.1, force: 1 }], stiffness: 1 })).toMatchObject({ ok: false, path: 'pointLoads[0].x' });
  });
});
