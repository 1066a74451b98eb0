import fc from 'fast-check';
import { runCalc } from '../catalogue/run';
import { sizeFactors, timberValues } from './timber-grades';

const ok = (id: string, input: unknown) => {
  const outcome = runCalc(id, input);
  if (!outcome.ok) throw new Error(`${outcome.path}: ${outcome.error}`);
  return outcome.output as Record<string, never>;
};
const num = (id: string, input: unknown) => ok(id, input) as unknown as Record<string, number>;

describe('load on the line', () => {
  const side = (span: number, dead = 1000, live = 1500) => ({ span, dead, live });
  test('joists broken over the line bring half of each span', () => {
    expect(ok('shore.takedown', { through: false, left: side(4), right: side(3), aboveDead: 2000, aboveLive: 500 })).toEqual({
      share: 0.5,
      shareLeft: 0.5,
      shareRight: 0.5,
      dead: 5500,
      live: 5750,
      farLeast: { left: 2000, right: 1500 },
    });
  });
  test('running through, the middle takes five eighths', () =>
    expect(num('shore.takedown', { through: true, left: side(4), right: side(4), aboveDead: 0, aboveLive: 0 }).dead).toBeCloseTo(1.25 * 1000 * 4, 9));
  test('unequal spans of 2.2 and 5.6 m by three moments: M = w(L1³+L2³)/8(L1+L2), R = w(L1+L2)/2 + M/L1 + M/L2', () => {
    const [l1, l2] = [2.2, 5.6];
    const out = num('shore.takedown', { through: true, left: side(l1, 700, 1900), right: side(l2, 700, 1900), aboveDead: 0, aboveLive: 0 });
    const middle = (w: number) => {
      const m = (w * (l1 ** 3 + l2 ** 3)) / (8 * (l1 + l2));
      return (w * (l1 + l2)) / 2 + m / l1 + m / l2;
    };
    expect(out.dead).toBeCloseTo(middle(700), 6);
    expect(out.dead).toBeCloseTo(4052.9, 1);
    expect(out.live).toBeCloseTo(11000.7, 1);
    // Turned round, the same load on the line.
    const turned = num('shore.takedown', { through: true, left: side(l2, 700, 1900), right: side(l1, 700, 1900), aboveDead: 0, aboveLive: 0 });
    expect(turned.dead).toBeCloseTo(out.dead!, 9);
  });
  test('each side keeps its own load, and agrees with the beam on three supports; the far bearing of the short span lifts', () => {
    const out = ok('shore.takedown', { through: true, left: side(2.2, 400, 0), right: side(5.6, 900, 2000), aboveDead: 0, aboveLive: 0 }) as unknown as {
      dead: number;
      live: number;
      farLeast: { left: number };
    };
    const beam = (left: number, right: number) =>
      (
        ok('beam.continuous', {
          length: 7.8,
          stiffness: 1e6,
          load: 0,
          runs: [
            { from: 0, to: 2.2, load: left },
            { from: 2.2, to: 7.8, load: right },
          ],
          supports: [{ x: 0 }, { x: 2.2 }, { x: 7.8 }],
          pointLoads: [],
          upliftFree: false,
        }) as unknown as { reactions: number[] }
      ).reactions;
    expect(out.dead).toBeCloseTo(beam(400, 900)[1]!, 6);
    expect(out.live).toBeCloseTo(beam(0, 2000)[1]!, 6);
    expect(out.farLeast.left).toBeCloseTo(beam(400, 2900)[0]!, 6);
    expect(out.farLeast.left).toBeLessThan(0);
  });
  test('with nothing on one side a joist that runs through has no second span', () =>
    expect(num('shore.takedown', { through: true, left: side(4), right: side(0), aboveDead: 0, aboveLive: 0 }).share).toBe(0.5));
});

describe('a joist on a temporary wall', () => {
  const base = { load: 1000, span: 4, setback: 1, tip: 0, above: 0, aboveSetback: 1 };
  test('by hand: wL²/2(L−a), and agrees with the fixed calculation', () => {
    const out = num('shore.joist', base);
    expect(out.shore).toBeCloseTo((1000 * 16) / 6, 9);
    const old = num('shore.overhang', { loadPerLength: 1000, span: 4, setback: 1 });
    expect(out.shore).toBeCloseTo(old.shore!, 9);
    expect(out.farBearing).toBeCloseTo(old.farBearing!, 9);
    expect(out.hogging).toBeCloseTo(old.tipMoment!, 9);
  });
  test('a wall left hanging on the tip levers: 600 N at 4 m over a shore at 3 m brings 800 N and lifts the far end', () => {
    const out = num('shore.joist', { ...base, load: 0, tip: 600 });
    expect(out.shore).toBeCloseTo(800, 9);
    expect(out.farBearing).toBeCloseTo(-200, 9);
    expect(out.hogging).toBeCloseTo(600, 9);
  });
  test('a shore standing right over this one goes straight down and bends nothing', () => {
    const out = num('shore.joist', { ...base, load: 0, above: 5000 });
    expect(out).toMatchObject({ shore: 5000, farBearing: 0, hogging: 0, sagging: 0 });
    expect(out.shear).toBe(0);
  });
  test('set further back than the one below, it bends the joist as on a simple span', () => {
    const out = num('shore.joist', { ...base, load: 0, above: 3000, aboveSetback: 2 });
    expect(out.shore).toBeCloseTo(2000, 9);
    expect(out.sagging).toBeCloseTo((3000 * 2 * 1) / 3, 9);
    expect(out.shear).toBeCloseTo(2000, 9);
  });
  test('loads and supports balance, whatever they are; moment in the span is never less than a sampled one', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 5000, noNaN: true }),
        fc.double({ min: 1, max: 8, noNaN: true }),
        fc.double({ min: 0, max: 0.9, noNaN: true }),
        fc.double({ min: 0, max: 9000, noNaN: true }),
        fc.double({ min: 0, max: 9000, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (load, span, back, tip, above, at) => {
          const setback = back * span;
          const aboveSetback = at * span;
          const out = num('shore.joist', { load, span, setback, tip, above, aboveSetback });
          expect(out.shore! + out.farBearing!).toBeCloseTo(load * span + tip + above, 5);
          for (let n = 1; n < 20; n += 1) {
            const x = ((span - setback) * n) / 20;
            const m = out.farBearing! * x - (load * x * x) / 2 - Math.max(0, x - (span - aboveSetback)) * above;
            expect(out.sagging!).toBeGreaterThanOrEqual(m - 1e-6 * (1 + Math.abs(m)));
          }
        },
      ),
      { numRuns: 80 },
    ));
  test('a shore past the joist is refused', () => expect(runCalc('shore.joist', { ...base, setback: 4 })).toMatchObject({ ok: false, path: 'setback' }));
});

describe('needle', () => {
  test('shares by lever: 20 kN/m at 0.9 m, props 0.6 and 1.2 m away', () => {
    const out = num('shore.needle', { line: 20e3, spacing: 0.9, left: 0.6, right: 1.2, own: 600 });
    expect(out.load).toBe(18e3);
    expect(out.leftProp).toBeCloseTo(12300, 9);
    expect(out.rightProp).toBeCloseTo(6300, 9);
    expect(out.moment).toBeCloseTo((18e3 * 0.6 * 1.2) / 1.8 + (600 * 1.8) / 8, 9);
    expect(out.leftProp! + out.rightProp!).toBeCloseTo(18e3 + 600, 9);
  });
});

describe('timber posts', () => {
  const c24 = { fc: 21e6, eLow: 7.4e9, kmod: 0.8, gammaM: 1.3 };
  test('EN 1995: a C24 95 × 95, 2.4 m: λ 87.5, λ_rel 1.48, k_c 0.393', () => {
    const out = num('shore.timberPostEn', { ...c24, width: 0.095, depth: 0.095, unbracedWidth: 2.4, unbracedDepth: 2.4 });
    expect(out.slenderness).toBeCloseTo(87.5, 1);
    expect(out.relative).toBeCloseTo(1.484, 3);
    const k = 0.5 * (1 + 0.2 * (out.relative! - 0.3) + out.relative! ** 2);
    expect(out.kc).toBeCloseTo(1 / (k + Math.sqrt(k * k - out.relative! ** 2)), 9);
    expect(out.design).toBeCloseTo((out.kc! * 0.8 * 21e6 * 0.095 ** 2) / 1.3, 3);
  });
  test('a stub does not buckle', () =>
    expect(num('shore.timberPostEn', { ...c24, width: 0.1, depth: 0.1, unbracedWidth: 0.2, unbracedDepth: 0.2 }).kc).toBe(1));
  test('longer never carries more, in either school', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 1.8, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (free, more) => {
        const en = (l: number) => num('shore.timberPostEn', { ...c24, width: 0.045, depth: 0.095, unbracedWidth: l, unbracedDepth: 2.4 }).design!;
        const nds = (l: number) =>
          num('shore.timberPost', {
            fc: 7.9e6,
            eMin: 3.5e9,
            width: 0.0381,
            depth: 0.0889,
            unbracedWidth: l,
            unbracedDepth: 2.4,
            loadDuration: 1.25,
            sizeFactor: 1.15,
          }).allowable!;
        for (const strength of [en, nds]) expect(strength(free + more)).toBeLessThanOrEqual(strength(free) + 1e-6);
      }),
    ));
  test('a matchstick is refused', () =>
    expect(runCalc('shore.timberPostEn', { ...c24, width: 0.02, depth: 0.1, unbracedWidth: 2.4, unbracedDepth: 2.4 })).toMatchObject({ ok: false }));
  test('the grades of one code have no values in the other', () => {
    expect(timberValues('C24', 'us-asd')).toBeNull();
    expect(timberValues('SPF No.2', 'eu-ls')).toBeNull();
    expect(timberValues('SPF No.2', 'us-asd')!.fc / 6894.757293168).toBeCloseTo(1150, 6);
  });
  test('size factors fall with depth: 2×4 1.15, 2×6 1.10, 2×12 1.0; stud grade its own', () => {
    const at = (inches: number) => sizeFactors('SPF No.2', inches * 0.0254);
    expect([3.5, 5.5, 7.25, 9.25, 11.25, 13.25].map((d) => at(d).compression)).toEqual([1.15, 1.1, 1.05, 1, 1, 0.9]);
    expect([3.5, 4.5, 5.5, 7.25, 9.25, 11.25, 13.25].map((d) => at(d).bending)).toEqual([1.5, 1.4, 1.3, 1.2, 1.1, 1, 0.9]);
    expect(sizeFactors('SPF Stud', 0.089)).toEqual({ compression: 1.05, bending: 1.1 });
    expect(sizeFactors('SPF Stud', 0.14)).toEqual({ compression: 1, bending: 1 });
  });
  test('timber in bending: f·b·d²/6 and ⅔·f·b·d', () =>
    expect(ok('shore.timberBeam', { bending: 10e6, shear: 1e6, width: 0.05, depth: 0.2 })).toEqual({
      moment: expect.closeTo((10e6 * 0.05 * 0.04) / 6, 6),
      shear: expect.closeTo((2 / 3) * 1e6 * 0.01, 6),
    }));
});

describe('striking', () => {
  interface Out {
    steps: { shores: number[]; left: number; right: number; deflection: number }[];
  }
  const strike = (input: unknown) => ok('shore.strike', input) as unknown as Out;
  const three = { span: 4, stiffness: 6e6, shores: [1, 2, 3].map((x) => ({ x, spring: 1e7, load: 10e3 })) };
  test('all at once: the beam carries point loads as on a simple span', () => {
    const [end] = strike({ ...three, steps: [[0, 1, 2]] }).steps;
    expect(end!.shores).toEqual([0, 0, 0]);
    expect(end!.left).toBeCloseTo(15e3, 3);
    // Pb(…)/EI at the middle, by cases 7 and 9 of AISC Table 3-23: P L³/48EI + 2·P a(3L² − 4a²)/48EI, a = 1.
    expect(end!.deflection).toBeCloseTo((10e3 * 64) / (48 * 6e6) + (2 * 10e3 * 1 * (48 - 4)) / (48 * 6e6), 9);
  });
  test('one by one ends the same as all at once', () => {
    const { steps } = strike({ ...three, steps: [[1], [0], [2]] });
    expect(steps[2]!.left).toBeCloseTo(15e3, 3);
    expect(steps[2]!.right).toBeCloseTo(15e3, 3);
  });
  test('the middle last: it takes up what the others gave, more than it ever held', () => {
    const { steps } = strike({ ...three, steps: [[0], [2], [1]] });
    expect(steps[1]!.shores[1]!).toBeGreaterThan(15e3);
    const outward = strike({ ...three, steps: [[1], [0, 2]] }).steps;
    expect(Math.max(...outward[0]!.shores)).toBeLessThan(steps[1]!.shores[1]!);
  });
  test('a stiff beam leaves the shores alone, a limber one loads the next', () => {
    const most = (stiffness: number) => Math.max(...strike({ ...three, stiffness, steps: [[1]] }).steps[0]!.shores);
    expect(most(1e10)).toBeLessThan(most(1e5));
    expect(most(1e12)).toBeLessThan(10e3 * 1.6);
  });
  test('nothing is lost at any step: shores and seats sum to what was there', () =>
    fc.assert(
      fc.property(
        fc.array(fc.record({ x: fc.double({ min: 0.1, max: 3.9, noNaN: true }), load: fc.double({ min: 0, max: 30e3, noNaN: true }) }), {
          minLength: 1,
          maxLength: 8,
        }),
        fc.double({ min: 4, max: 8, noNaN: true }),
        fc.infiniteStream(fc.nat()),
        (list, exponent, order) => {
          const shores = list.map((one) => ({ ...one, spring: 8e6 }));
          const left = shores.map((_, i) => i);
          const steps: number[][] = [];
          while (left.length > 0) steps.push(left.splice(order.next().value % left.length, 1));
          const total = shores.reduce((sum, one) => sum + one.load, 0);
          for (const step of strike({ span: 4, stiffness: 10 ** exponent, shores, steps }).steps) {
            expect(Math.abs(step.shores.reduce((a, b) => a + b, 0) + step.left + step.right - total)).toBeLessThan(1e-5 * total + 1e-2);
            for (const load of step.shores) expect(load).toBeGreaterThan(-1e-3);
          }
        },
      ),
      { numRuns: 60 },
    ));
  test('a shore past the span, or one that is not there, is refused', () => {
    expect(runCalc('shore.strike', { ...three, shores: [{ x: 5, spring: 1, load: 1 }], steps: [] })).toMatchObject({ ok: false, path: 'shores[0].x' });
    expect(runCalc('shore.strike', { ...three, steps: [[3]] })).toMatchObject({ ok: false, path: 'steps[0][0]' });
  });
});
