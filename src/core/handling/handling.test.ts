import fc from 'fast-check';
import { runCalc } from '../catalogue/run';
import { frequencyMultiplier } from './niosh.calc';

const ok = (id: string, input: unknown): Record<string, number> => {
  const outcome = runCalc(id, input);
  if (!outcome.ok) throw new Error(outcome.error);
  return outcome.output as Record<string, number>;
};
const inch = 0.0254;
const lb = 0.45359237;

describe('NIOSH 94-110 worked examples', () => {
  // The printed answers use the inch form (51 lb, 0.0075 an inch) with multipliers rounded to two places; the metric form gives up
  // to 6 % less and never more.
  const near = (limit: number, printed: number) => {
    expect(limit / lb).toBeGreaterThan(0.94 * printed);
    expect(limit / lb).toBeLessThanOrEqual(printed);
  };
  // Example 1, loading punch press stock.
  const press = { load: 44 * lb, reach: 23 * inch, travel: 49 * inch, twistDeg: 0, perMinute: 0.2, hours: '1', coupling: 'fair' };
  test('punch press stock at the origin: 16.3 lb', () => near(ok('handling.niosh', { ...press, height: 15 * inch }).limit!, 16.3));
  test('and at the destination: 14.5 lb, index 3.0', () => {
    const lift = ok('handling.niosh', { ...press, height: 64 * inch });
    near(lift.limit!, 14.5);
    expect(Math.abs(lift.index! - 3)).toBeLessThan(0.25);
  });
  // Example 2, loading supply rolls.
  const rolls = { load: 35 * lb, travel: 17 * inch, twistDeg: 0, perMinute: 0.2, hours: '1', coupling: 'poor' };
  test('supply rolls at the origin: 28.0 lb', () => near(ok('handling.niosh', { ...rolls, reach: 15 * inch, height: 27 * inch }).limit!, 28));
  test('and at the destination: 18.1 lb', () => near(ok('handling.niosh', { ...rolls, reach: 20 * inch, height: 10 * inch }).limit!, 18.1));
});

describe('NIOSH by its parts', () => {
  const best = { load: 10, reach: 0.25, height: 0.75, travel: 0.25, twistDeg: 0, perMinute: 0.2, hours: '1', coupling: 'good' };
  test('the best lift there is has 23 kg', () => expect(ok('handling.niosh', best).limit).toBeCloseTo(23, 9));
  test.each([
    ['reach', 0.64],
    ['height', 1.76],
    ['travel', 1.8],
    ['twistDeg', 136],
    ['perMinute', 16],
  ])('%s of %p leaves no lift at all, and no index', (field, value) => {
    const lift = ok('handling.niosh', { ...best, [field]: value });
    expect(lift).toEqual({ limit: 0, index: 0 });
  });
  test('never better further out, more twisted or more often', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 0.7, noNaN: true }),
        fc.double({ min: 0, max: 140, noNaN: true }),
        fc.double({ min: 0, max: 17, noNaN: true }),
        (reach, twistDeg, perMinute) => {
          const here = ok('handling.niosh', { ...best, reach, twistDeg, perMinute }).limit!;
          expect(ok('handling.niosh', { ...best, reach: reach + 0.05, twistDeg, perMinute }).limit).toBeLessThanOrEqual(here);
          expect(ok('handling.niosh', { ...best, reach, twistDeg: twistDeg + 5, perMinute }).limit).toBeLessThanOrEqual(here);
          expect(ok('handling.niosh', { ...best, reach, twistDeg, perMinute: perMinute + 1 }).limit).toBeLessThanOrEqual(here);
        },
      ),
    ));
  test('the frequency table is read at the next higher row', () => {
    expect(frequencyMultiplier(1.5, '2', 0.8)).toBe(0.84);
    expect(frequencyMultiplier(9, '8', 0.7)).toBe(0);
    expect(frequencyMultiplier(9, '8', 0.75)).toBe(0.15);
  });
});

describe('a team', () => {
  test.each([
    [25, 1],
    [25.1, 2],
    [33.3, 2],
    [33.4, 3],
    [37.5, 3],
    [37.6, 4],
    [150, 12],
  ])('%p kg needs %p', (mass, needed) => expect(ok('handling.team', { mass, perPerson: 25, people: 3 }).needed).toBe(needed));
  test('three lift half of their sum', () => expect(ok('handling.team', { mass: 60, perPerson: 25, people: 3 }).capability).toBeCloseTo(37.5, 9));
});

describe('rollers', () => {
  test('level: 10 kN at 8 % to start and 5 % to keep', () =>
    expect(ok('move.rollers', { weight: 10e3, slopeDeg: 0, starting: 0.08, rolling: 0.05 })).toEqual({ start: 800, keep: 500, holdBack: 0 }));
  test('down 5° at 5 % it runs: hold it back', () => {
    const pull = ok('move.rollers', { weight: 10e3, slopeDeg: -5, starting: 0.08, rolling: 0.05 });
    expect(pull.keep).toBe(0);
    expect(pull.holdBack).toBeCloseTo(10e3 * (Math.sin((5 * Math.PI) / 180) - 0.05 * Math.cos((5 * Math.PI) / 180)), 6);
  });
  test('starting friction under rolling is refused', () =>
    expect(runCalc('move.rollers', { weight: 1, slopeDeg: 0, starting: 0.01, rolling: 0.05 })).toMatchObject({ ok: false, path: 'starting' }));
});
