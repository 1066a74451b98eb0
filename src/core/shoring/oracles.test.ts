import fc from 'fast-check';
import { attempt } from '../calc/attempt';
import { joistOnShore } from './joist-on-shore.calc';
import { timberScrew } from './timber-screw.calc';

describe('a joist on a temporary wall, summed over slices', () => {
  const joists = fc
    .record({
      load: fc.integer({ min: 0, max: 4000 }),
      span: fc.integer({ min: 20, max: 60 }).map((one) => one / 10),
      setback: fc.integer({ min: 1, max: 90 }),
      tip: fc.integer({ min: 0, max: 6000 }),
      above: fc.integer({ min: 0, max: 6000 }),
      aboveSetback: fc.integer({ min: 0, max: 98 }),
    })
    .map((one) => ({ ...one, setback: (one.span * one.setback) / 100, aboveSetback: (one.span * one.aboveSetback) / 100 }));

  test('shore, far bearing, moments and shear', () => {
    fc.assert(
      fc.property(joists, (joist) => {
        const outcome = attempt(joistOnShore, joist);
        if (!outcome.ok) throw new Error(outcome.error);
        const { shore, farBearing, hogging, sagging, shear } = outcome.output;
        const { span, load, setback, tip, above, aboveSetback } = joist;
        const at = span - setback;
        const N = 4000;
        const all = [
          ...Array.from({ length: N }, (_, i) => ({ x: ((i + 0.5) * span) / N, force: (load * span) / N })),
          { x: span, force: tip },
          { x: span - aboveSetback, force: above },
        ];
        const total = all.reduce((sum, one) => sum + one.force, 0);
        const close = 2e-3 * total + 1e-6;
        const held = all.reduce((sum, one) => sum + one.force * one.x, 0) / at;
        expect(Math.abs(shore - held)).toBeLessThan(close);
        expect(Math.abs(farBearing - (total - held))).toBeLessThan(close);
        const moment = (x: number) =>
          (total - held) * x + (x > at ? held * (x - at) : 0) - all.reduce((sum, one) => (one.x < x ? sum + one.force * (x - one.x) : sum), 0);
        expect(Math.abs(hogging - Math.max(0, -moment(at)))).toBeLessThan(close * span);
        const walked = Math.max(0, ...Array.from({ length: 301 }, (_, i) => moment((at * i) / 300)));
        expect(Math.abs(sagging - walked)).toBeLessThan(close * span);
        // Just left and just right of every place something acts at.
        const shearAt = (x: number) => total - held + (x > at ? held : 0) - all.reduce((sum, one) => (one.x < x ? sum + one.force : sum), 0);
        const places = [1e-9, at - 1e-9, at + 1e-9, span - aboveSetback - 1e-9, span - aboveSetback + 1e-9, span - 1e-9].filter((x) => x > 0 && x < span);
        // A load exactly over the shore goes into it and shears nothing.
        if (Math.abs(at - (span - aboveSetback)) > 1e-6) expect(Math.abs(shear - Math.max(...places.map((x) => Math.abs(shearAt(x)))))).toBeLessThan(close);
      }),
      { numRuns: 150 },
    );
  });

  const whole = { load: 1000, span: 4, setback: 0.8, tip: 0, above: 0, aboveSetback: 0 };
  test('a shore past the far bearing, and one above past the joist, are refused; at the far bearing it stands', () => {
    expect(attempt(joistOnShore, { ...whole, setback: 4 })).toMatchObject({ ok: false, path: 'setback' });
    expect(attempt(joistOnShore, { ...whole, setback: 3.9 })).toMatchObject({ ok: true });
    expect(attempt(joistOnShore, { ...whole, aboveSetback: 4.1 })).toMatchObject({ ok: false, path: 'aboveSetback' });
    expect(attempt(joistOnShore, { ...whole, aboveSetback: 4, above: 500 })).toMatchObject({ ok: true, output: { shore: expect.closeTo(8000 / 3.2, 6) } });
  });
  test('a load exactly over the shore shears neither side', () => {
    // Without it: R = 1000·16/2/3.2 = 2500, far 1500; shear 1500, 1700 inside, 800 outside.
    expect(attempt(joistOnShore, { ...whole, above: 900, aboveSetback: 0.8 })).toMatchObject({
      ok: true,
      output: { shore: expect.closeTo(3400, 6), shear: expect.closeTo(1700, 6) },
    });
  });
});

describe('a nail or screw, the six modes written out with both woods', () => {
  /** NDS 12.3.1 and Table 12.3.1A, in inches and pounds, with R_e and R_t as printed. */
  function printed(d: number, ls: number, lm: number, gravity: number): { z: number; mode: number } {
    const fem = 16_600 * Math.pow(gravity, 1.84);
    const fes = fem;
    const re = fem / fes;
    const rt = lm / ls;
    const table: [number, number][] = [
      [0.142, 100_000],
      [0.177, 90_000],
      [0.236, 80_000],
      [0.273, 70_000],
    ];
    const fyb = table.find(([most]) => d <= most)?.[1] ?? 45_000;
    const kd = d > 0.17 ? 10 * d + 0.5 : 2.2;
    const k1 = (Math.sqrt(re + 2 * re * re * (1 + rt + rt * rt) + rt * rt * re * re * re) - re * (1 + rt)) / (1 + re);
    const k2 = -1 + Math.sqrt(2 * (1 + re) + (2 * fyb * (1 + 2 * re) * d * d) / (3 * fem * lm * lm));
    const k3 = -1 + Math.sqrt((2 * (1 + re)) / re + (2 * fyb * (2 + re) * d * d) / (3 * fem * ls * ls));
    const modes = [
      (d * lm * fem) / kd,
      (d * ls * fes) / kd,
      (k1 * d * ls * fes) / kd,
      (k2 * d * lm * fem) / ((1 + 2 * re) * kd),
      (k3 * d * ls * fem) / ((2 + re) * kd),
      ((d * d) / kd) * Math.sqrt((2 * fem * fyb) / (3 * (1 + re))),
    ];
    const least = Math.min(...modes);
    return { z: least * (lm < 10 * d ? lm / (10 * d) : 1), mode: modes.indexOf(least) + 1 };
  }
  const cases = [0.1, 0.131, 0.142, 0.148, 0.162, 0.17, 0.177, 0.19, 0.207, 0.236, 0.24].flatMap((d) =>
    [0.3, 0.75, 1.5].flatMap((ls) => [6, 8, 10, 14].flatMap((times) => [0.36, 0.42, 0.55].map((gravity) => ({ d, ls, lm: times * d, gravity })))),
  );
  test('every diameter, board, depth and wood', () => {
    const modes = new Set<number>();
    for (const { d, ls, lm, gravity } of cases) {
      const outcome = attempt(timberScrew, { diameter: d * 0.0254, side: ls * 0.0254, into: lm * 0.0254 * (1 + 1e-12), gravity, loadDuration: 1.25 });
      if (!outcome.ok) throw new Error(`${d} ${ls} ${lm}: ${outcome.error}`);
      const { z, mode } = printed(d, ls, lm, gravity);
      expect(outcome.output.reference).toBeCloseTo(z * 4.4482216, 1);
      expect(outcome.output.allowable).toBeCloseTo(z * 4.4482216 * 1.25, 1);
      expect(outcome.output.mode).toBe(mode);
      modes.add(mode);
    }
    expect([...modes].sort()).toEqual(expect.arrayContaining([3, 4, 5, 6]));
  });
  test('a quarter inch and over, and less than six diameters deep, are refused', () => {
    const one = { diameter: 0.005, side: 0.02, into: 0.04, gravity: 0.5, loadDuration: 1 };
    const thick = attempt(timberScrew, { ...one, diameter: 0.00635, into: 0.08 });
    expect(thick).toMatchObject({ ok: false, path: 'diameter' });
    if (!thick.ok) expect(thick.error).toContain('6.3 mm');
    const shallow = attempt(timberScrew, { ...one, into: 0.029 });
    expect(shallow).toMatchObject({ ok: false, path: 'into' });
    if (!shallow.ok) expect(shallow.error).toContain('29 mm');
  });
});
