import fc from 'fast-check';
import { runCalc } from '../catalogue/run';
import { findSection } from '../steel/sections';
import { reduction } from './curves-en';

const answer = (id: string, input: unknown) => {
  const outcome = runCalc(id, input);
  if (!outcome.ok) throw new Error(`${outcome.path}: ${outcome.error}`);
  return outcome.output as Record<string, number>;
};
const E = 199947961501.88;
const FY50 = 344737864.66;
const kipFt = 1355.8179483;

describe('AISC', () => {
  const w18 = findSection('W18x50')!;
  const flexure = (unbraced: number, cb = 1) =>
    answer('member.flexureAisc', {
      yield: FY50,
      modulus: E,
      zStrong: w18.zStrong,
      sStrong: w18.sStrong,
      torsion: w18.torsion,
      rts: Math.sqrt(Math.sqrt(w18.iWeak * w18.warping!) / w18.sStrong!),
      flangeCentres: w18.depth - w18.flange,
      rWeak: w18.rWeak,
      unbraced,
      cb,
    });
  test('W18x50: Lp 5.83 ft, Lr 16.9 ft, Mp/Ω 252 kip-ft (AISC Manual Table 3-2)', () => {
    const out = flexure(0);
    expect(out.lp! / 0.3048).toBeCloseTo(5.83, 1);
    expect(out.lr! / 0.3048).toBeCloseTo(16.9, 0);
    expect(out.allowable! / kipFt).toBeCloseTo(252, 0);
  });
  test('longer free length never helps, and the curve does not jump at Lp or Lr', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 20, noNaN: true }), fc.double({ min: 0, max: 5, noNaN: true }), (l, more) =>
        expect(flexure(l + more).nominal!).toBeLessThanOrEqual(flexure(l).nominal! + 1e-6),
      ),
    );
    const { lp, lr } = flexure(1);
    for (const edge of [lp!, lr!]) expect(flexure(edge + 1e-6).nominal! / flexure(edge - 1e-6).nominal!).toBeCloseTo(1, 2);
  });
  test('a slender flange loses some of its plastic moment (W6x15 at 50 ksi: b/2t 11.5 against 9.15)', () => {
    const w6 = findSection('W8x31')!;
    const out = answer('member.localAisc', {
      yield: FY50,
      modulus: E,
      zStrong: w6.zStrong,
      sStrong: w6.sStrong,
      width: w6.width,
      flange: w6.flange,
      web: w6.web,
      clearWeb: w6.depth - 2 * w6.k!,
    });
    expect(out.flangeRatio).toBeCloseTo(9.19, 1);
    expect(out.compact).toBe(false);
    expect(out.nominal!).toBeLessThan(FY50 * w6.zStrong!);
    expect(out.nominal!).toBeGreaterThan(0.98 * FY50 * w6.zStrong!);
  });
  test('column: the two branches meet at 4.71√(E/Fy)', () => {
    const at = (kl: number) => answer('member.columnAisc', { yield: FY50, modulus: E, area: 0.01, radius: 0.05, effectiveLength: kl * 0.05 }).allowable!;
    const edge = 4.71 * Math.sqrt(E / FY50);
    expect(at(edge - 0.01) / at(edge + 0.01)).toBeCloseTo(1, 2);
  });
  test('web crippling at an end over a long bearing uses J10-5b', () => {
    const out = answer('member.webAisc', { yield: FY50, modulus: E, depth: 0.4572, web: 0.009017, flange: 0.014478, k: 0.024689, bearing: 0.2, atEnd: true });
    const byHand = (0.4 * 0.009017 ** 2 * (1 + (4 * (0.2 / 0.4572) - 0.2) * (0.009017 / 0.014478) ** 1.5) * Math.sqrt((E * FY50 * 0.014478) / 0.009017)) / 2;
    expect(out.crippling).toBeCloseTo(byHand, 3);
  });
});

describe('European', () => {
  test('reduction is 1 up to 0.2 and falls after (EN 1993-1-1 Fig. 6.4: curve b at 1.0 is 0.60)', () => {
    expect(reduction(0.2, 'b')).toBe(1);
    expect(reduction(1, 'b')).toBeCloseTo(0.597, 3);
    expect(reduction(1, 'a0')).toBeCloseTo(0.7252, 3);
    expect(reduction(1, 'd')).toBeCloseTo(0.4671, 3);
  });
  test('column and beam both lose strength with length', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 12, noNaN: true }), fc.constantFrom('a0', 'a', 'b', 'c', 'd'), (l, curve) => {
        const column = (length: number) =>
          answer('member.columnEn', { yield: 355e6, modulus: 210e9, area: 0.005, radius: 0.04, effectiveLength: length, curve, gammaM1: 1 }).design!;
        expect(column(l * 1.1)).toBeLessThanOrEqual(column(l));
      }),
    );
  });
  test('web over an end bearing, by hand (EN 1993-1-5 6.2 to 6.5, IPE 300, S275, ss 100 mm, c 0)', () => {
    const out = answer('member.webEn', {
      yield: 275e6,
      modulus: 210e9,
      depth: 0.3,
      web: 0.0071,
      width: 0.15,
      flange: 0.0107,
      bearing: 0.1,
      endDistance: 0,
      gammaM1: 1,
    });
    const hw = 0.2786;
    const kf = 2 + (6 * 0.1) / hw;
    const m2 = 0.02 * (hw / 0.0107) ** 2;
    const le = Math.min((kf * 210e9 * 0.0071 ** 2) / (2 * 275e6 * hw), 0.1);
    const ly = Math.min(
      0.1 + 2 * 0.0107 * (1 + Math.sqrt(0.15 / 0.0071 + m2)),
      le + 0.0107 * Math.sqrt(0.15 / 0.0071 / 2 + (le / 0.0107) ** 2 + m2),
      le + 0.0107 * Math.sqrt(0.15 / 0.0071 + m2),
    );
    const slenderness = Math.sqrt((ly * 0.0071 * 275e6) / ((0.9 * kf * 210e9 * 0.0071 ** 3) / hw));
    // Here λ̄ ≤ 0.5 would drop m₂; it does not.
    expect(slenderness).toBeGreaterThan(0.5);
    expect(out.design).toBeCloseTo(275e6 * Math.min(1, 0.5 / slenderness) * ly * 0.0071, 3);
  });
});

describe('hanging', () => {
  const at = (liftFromEnd: number) =>
    answer('member.hanging', { modulus: 210e9, shearModulus: 81e9, iWeak: 1e-5, torsion: 1e-6, warping: 1e-7, length: 20, liftFromEnd }).cb;
  test('factor by lift point, limits belonging to the lower one', () => expect([0, 4.5, 4.51, 5.99, 6, 9].map(at)).toEqual([2, 2, 6, 6, 4, 4]));
  test('past the middle is refused', () =>
    expect(runCalc('member.hanging', { modulus: 1, shearModulus: 1, iWeak: 1, torsion: 1, warping: 0, length: 20, liftFromEnd: 10 })).toMatchObject({
      ok: false,
      path: 'liftFromEnd',
    }));
});

test('combined: H1-1a above 0.2, H1-1b below, plain sum in the European rule', () => {
  const ratio = (axial: number, rule: 'aisc' | 'en') => answer('member.combined', { moment: 45, momentCapacity: 90, axial, axialCapacity: 100, rule }).ratio;
  expect(ratio(40, 'aisc')).toBeCloseTo(0.4 + (8 / 9) * 0.5, 12);
  expect(ratio(10, 'aisc')).toBeCloseTo(0.05 + 0.5, 12);
  expect(ratio(40, 'en')).toBeCloseTo(0.9, 12);
});

test('a timber post past slenderness 75 is refused and between 50 and 75 answered', () => {
  const post = (unbracedWidth: number) =>
    runCalc('shore.timberPost', { fc: 8e6, eMin: 3.5e9, width: 0.038, depth: 0.089, unbracedWidth, unbracedDepth: 2.4, loadDuration: 1.25, sizeFactor: 1.15 });
  expect(post(0.038 * 64).ok).toBe(true);
  expect(post(0.038 * 76)).toMatchObject({ ok: false, path: 'unbracedWidth' });
});

describe('shear', () => {
  const aisc = (name: string) => {
    const s = findSection(name)!;
    return answer('member.shearAisc', { yield: FY50, modulus: E, depth: s.depth, web: s.web, clearWeb: s.depth - 2 * (s.k ?? s.flange), box: false });
  };
  const kip = 4448.2216;
  test('W18x50: Vn/Ω 128 kips (AISC Manual Table 3-2)', () => expect(aisc('W18x50').allowable! / kip).toBeCloseTo(128, 0));
  test('a web past 2.24√(E/Fy) takes Ω 1.67, past 1.10√(kvE/Fy) less than yields', () => {
    const thin = (clearWeb: number) => answer('member.shearAisc', { yield: FY50, modulus: E, depth: 0.6, web: 0.005, clearWeb, box: false });
    expect(thin(0.26).omega).toBe(1.5);
    expect(thin(0.28).omega).toBe(1.67);
    expect(thin(0.28).coefficient).toBe(1);
    expect(thin(0.5).coefficient).toBeCloseTo((1.1 * Math.sqrt((5.34 * E) / FY50)) / 100, 9);
  });
  test('a tube has two webs', () =>
    expect(answer('member.shearAisc', { yield: FY50, modulus: E, depth: 0.15, web: 0.009, clearWeb: 0.12, box: true }).nominal).toBeCloseTo(
      0.6 * FY50 * 2 * 0.12 * 0.009,
      3,
    ));
  test('IPE 300 in S235: A_v 25.7 cm², 348 kN', () => {
    const s = findSection('IPE 300')!;
    const { area, depth, width, web, flange } = s;
    const out = answer('member.shearEn', { yield: 235e6, area, depth, width, web, flange, root: 0.015, gammaM0: 1 });
    expect(out.shearArea! * 1e4).toBeCloseTo(25.7, 0);
    expect(out.design! / 1e3).toBeGreaterThan(343);
    expect(out.design! / 1e3).toBeLessThan(353);
  });
  test('a slender web is refused, and flanges that leave no web', () => {
    const base = { yield: 355e6, area: 0.01, depth: 1, width: 0.2, web: 0.008, flange: 0.02, root: 0, gammaM0: 1 };
    expect(runCalc('member.shearEn', base)).toMatchObject({ ok: false, path: 'web' });
    expect(runCalc('member.shearEn', { ...base, depth: 0.04 })).toMatchObject({ ok: false, path: 'depth' });
  });
});

describe('a bolt group', () => {
  const bolts = [
    { x: 0, y: 0 },
    { x: 0, y: 0.1 },
  ];
  test('a force through its middle is shared alike; one off it turns the group', () => {
    const through = runCalc('connection.boltGroup', { bolts, fx: 0, fy: -20e3, at: { x: 0, y: 0.05 } });
    expect(through).toMatchObject({ ok: true, output: { force: [10e3, 10e3], most: 10e3 } });
    const off = runCalc('connection.boltGroup', { bolts, fx: 0, fy: -20e3, at: { x: 0.05, y: 0.05 } });
    // M = 1 kNm on two bolts 100 mm apart: 10 kN more square to the direct share.
    expect(off).toMatchObject({ ok: true, output: { most: expect.closeTo(Math.hypot(10e3, 10e3), 6) } });
  });
  test('one bolt takes what goes through it and nothing else; two in one hole are refused', () => {
    const one = [{ x: 0.2, y: 0.1 }];
    expect(runCalc('connection.boltGroup', { bolts: one, fx: 3e3, fy: 4e3, at: { x: 0.2, y: 0.1 } })).toMatchObject({
      ok: true,
      output: { force: [5e3], most: 5e3 },
    });
    expect(runCalc('connection.boltGroup', { bolts: one, fx: 3e3, fy: 4e3, at: { x: 0.3, y: 0.1 } })).toMatchObject({ ok: false, path: 'bolts' });
    expect(runCalc('connection.boltGroup', { bolts: [...one, ...one], fx: 0, fy: 1, at: { x: 0, y: 0 } })).toMatchObject({ ok: false, path: 'bolts[1]' });
  });
});

describe('bases, guys and closures', () => {
  test('a base that is pressed enough pulls no anchor; one that is lifted whole is refused', () => {
    expect(runCalc('frame.baseAnchors', { axial: 50e3, moment: 5e3, lever: 0.3, toe: 0.15 })).toMatchObject({
      ok: true,
      output: { tension: 0, presses: 50e3 },
    });
    expect(runCalc('frame.baseAnchors', { axial: -20e3, moment: 0, lever: 0.3, toe: 0.15 })).toMatchObject({ ok: false, path: 'axial' });
    expect(runCalc('frame.baseAnchors', { axial: -2e3, moment: 3e3, lever: 0.3, toe: 0.15 })).toMatchObject({
      ok: true,
      output: { tension: expect.closeTo(11e3, 6), presses: expect.closeTo(9e3, 6) },
    });
  });
  test('a block that is just heavy enough does not hold', () => {
    const guy = { horizontal: 1000, slopeDeg: 0, awayDeg: 0, friction: 0.5 };
    expect(runCalc('frame.guy', { ...guy, block: 2000 })).toMatchObject({ ok: true, output: { tension: 1000, down: 0, needsBlock: 2000, holds: false } });
    expect(runCalc('frame.guy', { ...guy, block: 2001 })).toMatchObject({ ok: true, output: { holds: true } });
    expect(runCalc('frame.guy', { ...guy, awayDeg: 90, block: 1 })).toMatchObject({ ok: false });
  });
  test('a gap that warmth shuts presses, and arms without length never shut it', () => {
    const gap = { gap: 0.002, left: 40, right: 60, deltaT: 5, coefficient: 12e-6, stiffness: [1e8, 1e8] };
    expect(runCalc('fit.closure', gap)).toMatchObject({
      ok: true,
      output: { gap: expect.closeTo(-0.004, 9), force: 0, thrust: expect.closeTo(200e3, 3), closesAt: expect.closeTo(1.6667, 3) },
    });
    expect(runCalc('fit.closure', { ...gap, left: 0, right: 0 })).toMatchObject({ ok: true, output: { gap: 0.002, closesAt: null } });
  });
});
