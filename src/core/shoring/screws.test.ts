import fc from 'fast-check';
import { runCalc } from '../catalogue/run';

const num = (id: string, input: unknown): Record<string, number> => {
  const outcome = runCalc(id, input);
  if (!outcome.ok) throw new Error(outcome.error);
  return outcome.output as Record<string, number>;
};
const refused = (id: string, input: unknown) => {
  const outcome = runCalc(id, input);
  return outcome.ok ? null : outcome;
};
const inch = 0.0254;
const pound = 4.4482216152605;

describe('nails and screws, NDS', () => {
  const nail = (diameter: number, into: number, gravity: number, side = 1.5) => ({
    diameter: diameter * inch,
    side: side * inch,
    into: into * inch,
    gravity,
    loadDuration: 1,
  });
  // NDS Table 12N, common nails, 1½ in side member, from memory of the table: 16d is 0.162 in × 3½ in, 10d is 0.148 in × 3 in.
  test.each([
    ['16d, southern pine', 0.162, 2, 0.55, 154],
    ['16d, Douglas fir-larch', 0.162, 2, 0.5, 141],
    ['16d, hem-fir', 0.162, 2, 0.43, 122],
    ['16d, spruce-pine-fir', 0.162, 2, 0.42, 120],
    ['10d, southern pine', 0.148, 1.5, 0.55, 128],
    ['10d, Douglas fir-larch', 0.148, 1.5, 0.5, 118],
    ['10d, hem-fir', 0.148, 1.5, 0.43, 102],
    ['10d, spruce-pine-fir', 0.148, 1.5, 0.42, 100],
  ] as const)('%s: the value of Table 12N', (_, diameter, into, gravity, pounds) => {
    const out = num('shore.screw', nail(diameter, into, gravity));
    expect(Math.abs(out.reference! / pound - pounds)).toBeLessThan(1);
    expect(out.mode).toBe(6);
  });
  test('a thin board crushes instead: mode I_s, D·l_s·F_e/R_d', () => {
    const out = num('shore.screw', nail(0.2, 3, 0.5, 0.1));
    expect(out.reference! / pound).toBeCloseTo((0.2 * 0.1 * 16600 * 0.5 ** 1.84) / 2.5, 3);
    expect(out.mode).toBe(2);
  });
  test('shallow in the stud it counts in proportion', () => {
    const deep = num('shore.screw', nail(0.162, 1.62, 0.5)).reference!;
    const shallow = num('shore.screw', nail(0.162, 1.2, 0.5)).reference!;
    expect(shallow).toBeLessThanOrEqual(deep * (1.2 / 1.62) + 1e-6);
  });
  test('construction load 1.25', () => {
    const out = num('shore.screw', { ...nail(0.162, 2, 0.5), loadDuration: 1.25 });
    expect(out.allowable).toBeCloseTo(1.25 * out.reference!, 9);
  });
  test.each([
    ['a bolt', nail(0.3, 3, 0.5), 'diameter', /other equations/],
    ['hardly in the stud', nail(0.162, 0.5, 0.5), 'into', /longer screw/],
  ])('%s is refused', (_, input, path, words) => expect(refused('shore.screw', input)).toMatchObject({ path, error: expect.stringMatching(words) as unknown }));
  test('denser wood, thicker screw, thicker board never hold less', () =>
    fc.assert(
      fc.property(
        fc.record({
          diameter: fc.double({ min: 0.1, max: 0.16, noNaN: true }),
          into: fc.double({ min: 1.7, max: 4, noNaN: true }),
          gravity: fc.double({ min: 0.36, max: 0.6, noNaN: true }),
          side: fc.double({ min: 0.3, max: 2, noNaN: true }),
        }),
        ({ diameter, into, gravity, side }) => {
          const at = (d: number, g: number, s: number) => num('shore.screw', nail(d, into, g, s)).reference!;
          const here = at(diameter, gravity, side);
          expect(at(diameter, gravity + 0.02, side)).toBeGreaterThanOrEqual(here - 1e-9);
          expect(at(diameter, gravity, side + 0.2)).toBeGreaterThanOrEqual(here - 1e-9);
        },
      ),
    ));
});

describe('nails and screws, EN 1995-1-1', () => {
  const screw = { diameter: 0.005, side: 0.025, into: 0.055, density: 350, kmod: 0.8, gammaM: 1.3 };
  test('by hand: f_h 17.7 N/mm², M_y 11 800 N·mm, the mode of (8.6) that is least', () => {
    const fh = 0.082 * 350 * 5 ** -0.3;
    const my = 0.3 * 600 * 5 ** 2.6;
    const d = 1.05 * ((fh * 25 * 5) / 3) * (Math.sqrt(4 + (12 * my) / (fh * 5 * 25 ** 2)) - 1);
    const f = 1.15 * Math.sqrt(2 * my * fh * 5);
    const c = ((fh * 25 * 5) / 2) * (Math.sqrt(1 + 2 * (1 + 2.2 + 2.2 ** 2) + 2.2 ** 2) - 3.2);
    const out = num('shore.screwEn', screw);
    expect(out.characteristic).toBeCloseTo(Math.min(d, f, c, fh * 125), 6);
    expect(out.mode).toBe(4);
    expect(out.design).toBeCloseTo((out.characteristic! * 0.8) / 1.3, 9);
  });
  test('a long way in and a thick board: two hinges, 1.15·√(2·M_y·f_h·d)', () => {
    const out = num('shore.screwEn', { ...screw, side: 0.08, into: 0.09 });
    expect(out.mode).toBe(6);
    expect(out.characteristic).toBeCloseTo(1.15 * Math.sqrt(2 * 0.3 * 600 * 5 ** 2.6 * 0.082 * 350 * 5 ** -0.3 * 5), 6);
  });
  test.each([
    ['a bolt', { ...screw, diameter: 0.01, into: 0.08 }, 'diameter'],
    ['hardly in the stud', { ...screw, into: 0.02 }, 'into'],
  ])('%s is refused', (_, input, path) => expect(refused('shore.screwEn', input)).toMatchObject({ path }));
});

describe('props off their middle', () => {
  const prop = { strength: 20e3, moment: 1.2e3, off: 0, free: 0.01, leanDeg: 0, length: 3, freeLeanDeg: 0.5 };
  test('plumb and within what the rating allows for, nothing is lost', () =>
    expect(num('shore.offCentre', { ...prop, off: 0.01, leanDeg: 0.5 })).toMatchObject({ eccentricity: 0, strength: 20e3, share: 1 }));
  test('by hand: 25 mm off, 15 beyond the free 10: 1/(1/20 + 0.015/1.2) = 16 kN', () =>
    expect(num('shore.offCentre', { ...prop, off: 0.025 }).strength).toBeCloseTo(16e3, 6));
  test('by hand: 1.5° over 3 m, half a degree free', () => {
    const off = (Math.tan((1.5 * Math.PI) / 180) - Math.tan((0.5 * Math.PI) / 180)) * 1.5;
    const out = num('shore.offCentre', { ...prop, leanDeg: 1.5 });
    expect(out.eccentricity).toBeCloseTo(off, 12);
    expect(out.strength).toBeCloseTo(1 / (1 / 20e3 + off / 1.2e3), 6);
    expect(out.sideways).toBeCloseTo(Math.tan((1.5 * Math.PI) / 180), 12);
  });
  test('further off or further leaning never carries more', () =>
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.1, noNaN: true }), fc.double({ min: 0, max: 5, noNaN: true }), (off, leanDeg) => {
        const at = (o: number, l: number) => num('shore.offCentre', { ...prop, off: o, leanDeg: l }).strength!;
        expect(at(off + 0.01, leanDeg)).toBeLessThanOrEqual(at(off, leanDeg) + 1e-9);
        expect(at(off, leanDeg + 0.5)).toBeLessThanOrEqual(at(off, leanDeg) + 1e-9);
      }),
    ));
});

test('wind by hand: 20 m/s on 3 m² with c 2: ½ × 1.25 × 400 × 2 × 3 = 1.5 kN', () =>
  expect(num('wind.force', { gust: 20, area: 3, drag: 2, airDensity: 1.25 })).toEqual({ pressure: 250, force: 1500 }));
