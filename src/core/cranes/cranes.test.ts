import fc from 'fast-check';
import { runCalc } from '../catalogue/run';
import { belowBoom, boomLine } from './boom-geometry';
import { formatQuantity } from '../units';
import { chartLookup, offChartWords } from './chart-lookup';
import { chartFault, type Chart } from './chart-shape';
import { craneOutriggers } from './outriggers.calc';

const chart: Chart = {
  radii: [3, 5, 8, 12],
  booms: [10, 16],
  capacity: [
    [10000, null],
    [6000, 5500],
    [2500, 2600],
    [null, 1200],
  ],
};

describe('chart', () => {
  test('on a cell both rules give the cell', () => {
    for (const rule of ['step', 'linear'] as const) expect(chartLookup(chart, 5, 16, rule)).toEqual({ capacity: 5500 });
  });
  test('step: the next longer radius, the lower of two booms', () => expect(chartLookup(chart, 6, 12, 'step')).toEqual({ capacity: 2500 }));
  test('linear: by hand', () => expect(chartLookup(chart, 6.5, 13, 'linear')).toEqual({ capacity: (6000 + 5500 + 2500 + 2600) / 4 }));
  test.each([
    [2.9, 10, 'short of the chart'],
    [12.1, 16, 'past the chart'],
    [5, 9.9, 'boom 9.9 m is short'],
    [5, 16.1, 'boom 16.1 m is past'],
    [4, 16, 'blank at radius 3 m, boom 16 m'],
    [9, 12, 'blank at radius 12 m, boom 10 m'],
    [NaN, 16, 'past'],
    [5, NaN, 'past'],
  ])('radius %p, boom %p has no answer', (radius, boom, why) => {
    for (const rule of ['step', 'linear'] as const) {
      const answer = chartLookup(chart, radius, boom, rule);
      if (answer.capacity !== null) throw new Error('the chart answered');
      expect(offChartWords(answer.off, (value) => `${value} m`)).toContain(why);
    }
  });
  test('the reason is written in the units asked for', () => {
    const answer = chartLookup(chart, 2.5, 10, 'step');
    if (answer.capacity !== null) throw new Error('the chart answered');
    expect(offChartWords(answer.off, (value) => formatQuantity(value, 'length', 'us'))).toMatch(/^radius 8'\s2\s.*short of the chart’s first, 9'\s10/);
  });
  test('on a chart that falls with radius the step never gives more than the line', () => {
    const full: Chart = {
      radii: [3, 5, 8, 12],
      booms: [10, 16],
      capacity: [
        [10000, 8000],
        [6000, 5500],
        [2500, 2600],
        [900, 1200],
      ],
    };
    fc.assert(
      fc.property(fc.double({ min: 3, max: 12, noNaN: true }), fc.double({ min: 10, max: 16, noNaN: true }), (radius, boom) => {
        const step = chartLookup(full, radius, boom, 'step').capacity!;
        expect(step).toBeLessThanOrEqual(chartLookup(full, radius, boom, 'linear').capacity! + 1e-6);
      }),
    );
  });
  test.each([
    [{ ...chart, radii: [3, 8, 5, 12] }, 'radii[2]'],
    [{ ...chart, booms: [10, 10] }, 'booms[1]'],
    [{ ...chart, capacity: chart.capacity.slice(1) }, 'capacity'],
    [{ ...chart, capacity: [[1], ...chart.capacity.slice(1)] }, 'capacity[0]'],
  ])('a crooked chart is named: %#', (crooked, path) => {
    expect(chartFault(crooked)?.path).toBe(path);
    expect(runCalc('crane.chart', { chart: crooked, radius: 5, boom: 10, rule: 'step' })).toMatchObject({ ok: false, path: `chart.${path}` });
  });
});

describe('outriggers', () => {
  const part = fc.oneof(
    fc.record({
      weight: fc.double({ min: 1e3, max: 3e5, noNaN: true }),
      x: fc.double({ min: -2, max: 2, noNaN: true }),
      y: fc.double({ min: -2, max: 2, noNaN: true }),
    }),
    fc.record({ weight: fc.double({ min: 1e3, max: 1e5, noNaN: true }), r: fc.double({ min: -3, max: 12, noNaN: true }) }),
  );
  test('reactions hold up the weight and both moments, whatever lifts', () => {
    fc.assert(
      fc.property(fc.array(part, { minLength: 1, maxLength: 5 }), fc.double({ min: -180, max: 180, noNaN: true }), (parts, azimuthDeg) => {
        const { reaction, tips } = craneOutriggers.compute({ baseLength: 7, baseWidth: 6, parts, azimuthDeg });
        if (tips || !reaction) return;
        const a = (azimuthDeg * Math.PI) / 180;
        const place = (p: (typeof parts)[number]) => ('r' in p ? [p.r * Math.cos(a), p.r * Math.sin(a)] : [p.x, p.y]) as [number, number];
        const v = parts.reduce((sum, p) => sum + p.weight, 0);
        const mx = parts.reduce((sum, p) => sum + p.weight * place(p)[0], 0);
        const my = parts.reduce((sum, p) => sum + p.weight * place(p)[1], 0);
        const { frontLeft: fl, frontRight: fr, rearLeft: rl, rearRight: rr } = reaction;
        expect((fl + fr + rl + rr) / v).toBeCloseTo(1, 6);
        expect(Math.abs((fl + fr - rl - rr) * 3.5 - mx) / v).toBeLessThan(1e-6);
        expect(Math.abs((fl + rl - fr - rr) * 3 - my) / v).toBeLessThan(1e-6);
        expect(Math.min(fl, fr, rl, rr)).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 300 },
    );
  });
  test('a load beyond the base tips it, and no reaction is given', () => {
    expect(
      craneOutriggers.compute({
        baseLength: 4,
        baseWidth: 4,
        parts: [
          { weight: 1e5, x: 0, y: 0 },
          { weight: 1e5, r: 6 },
        ],
        azimuthDeg: 0,
      }),
    ).toEqual({ reaction: null, tips: true });
  });
});

describe('boom', () => {
  test('a point on the centreline has no clearance; the tip is where the radius says', () => {
    const line = boomLine(1, 2, 20, 11)!;
    expect(belowBoom(line, { x: 11, z: line.tipHeight })).toBeCloseTo(0, 9);
    expect(belowBoom(line, { x: 5, z: 0 })).toBeGreaterThan(0);
    expect(belowBoom(line, { x: 5, z: 30 })).toBeLessThan(0);
  });
  test('a 3-4-5 boom, by hand', () => {
    const line = boomLine(0, 0, 10, 6)!;
    expect(line.tipHeight).toBeCloseTo(8, 12);
    expect(belowBoom(line, { x: 6, z: 0 })).toBeCloseTo(4.8, 12);
  });
  test.each([
    [1, 2, 5, 9],
    [0, 0, 5, NaN],
    [-9, 0, 5, 3],
  ])('it cannot reach: %p', (back, height, boom, radius) => expect(boomLine(back, height, boom, radius)).toBeNull());
});

test('power line: each step of Table A, and above it no answer', () => {
  const feet = (volts: number) => (runCalc('crane.powerLine', { volts }) as unknown as { output: { clearance: number } }).output.clearance / 0.3048;
  expect([50e3, 50.001e3, 200e3, 350e3, 500e3, 750e3, 1000e3].map((v) => Math.round(feet(v)))).toEqual([10, 15, 15, 20, 25, 35, 45]);
  expect(runCalc('crane.powerLine', { volts: 1100e3 })).toMatchObject({ ok: false, path: 'volts', error: expect.stringContaining('engineer') as unknown });
});

test('a larger sail lowers the permitted gust and a smaller one never raises it', () => {
  const limit = (area: number) =>
    (runCalc('crane.windLimit', { chartGust: 10, mass: 5000, area, drag: 1 }) as unknown as { output: { limit: number } }).output.limit;
  expect(limit(1)).toBe(10);
  expect(limit(24)).toBeCloseTo(5, 9);
});
