import { attempt } from '../calc/attempt';
import { releaseBolts } from '../gates/release.calc';
import { sequenceNeeds } from '../gates/sequence.calc';
import { boltEn } from './bolt-en.calc';
import { localAisc } from './local-aisc.calc';
import { splice } from './splice.calc';

const given = (calc: Parameters<typeof attempt>[0], input: object): Record<string, unknown> => {
  const outcome = attempt(calc, input as never);
  if (!outcome.ok) throw new Error(outcome.error);
  return outcome.output as Record<string, unknown>;
};

describe('bolts of a splice, by hand', () => {
  const cover = { kind: 'cover', moment: 120e3, shear: 90e3, depth: 0.4, flange: 0.016, boltShear: 50e3, boltTension: 80e3, prying: 0.3 };
  test('cover plates: M/d on the flange bolts in single shear, V on the web bolts in two planes', () => {
    // 120/0.4 = 300 kN, 6 bolts; 90/(2·50) = 0.9, at least 2; both sides of the joint, two flanges and the web: 2·(2·6 + 2).
    expect(given(splice, cover)).toEqual({ couple: 300e3, flangeBolts: 6, webBolts: 2, perJoint: 28 });
    // 305 kN is 6.1 bolts: 8, in pairs. 310 kN of shear is 3.1 bolts: 4.
    expect(given(splice, { ...cover, moment: 122e3, shear: 310e3 })).toEqual({ couple: 305e3, flangeBolts: 8, webBolts: 4, perJoint: 40 });
    expect(given(splice, { ...cover, moment: 0, shear: 0 })).toEqual({ couple: 0, flangeBolts: 4, webBolts: 2, perJoint: 20 });
    // Three in the web are three: only the flange goes in pairs.
    expect(given(splice, { ...cover, shear: 300e3 })).toMatchObject({ webBolts: 3 });
  });
  test('an end plate: M/(d − t) with prying in tension, V by pairs', () => {
    const plate = { ...cover, kind: 'endPlate' };
    // 120/(0.4 − 0.016) = 312.5 kN; ·1.3/80 = 5.08, 6 in pairs; 90/50 = 1.8, 2.
    expect(given(splice, plate)).toEqual({ couple: 312.5e3, flangeBolts: 6, webBolts: 2, perJoint: 14 });
    expect(given(splice, { ...plate, prying: 0, shear: 210e3 })).toEqual({ couple: 312.5e3, flangeBolts: 4, webBolts: 6, perJoint: 14 });
    expect(given(splice, { ...plate, moment: 0, shear: 0 })).toEqual({ couple: 0, flangeBolts: 4, webBolts: 2, perJoint: 10 });
  });
});

describe('EN bolts, from the table of stress areas', () => {
  test('M20 8.8 and 10.9: α_v 0.6 and 0.5, 0.9 in tension, over γ_M2', () => {
    // 245 mm² · 800 MPa / 1.25 = 156.8 kN; · 0.6 = 94.08, · 0.9 = 141.12; 10.9: 1000/1.25·245 = 196 kN, · 0.5 = 98.
    const m20 = { diameter: 0.02, grade: '8.8', planes: 1, gammaM2: 1.25 };
    expect(given(boltEn, m20)).toMatchObject({ shear: expect.closeTo(94.08e3, 1), tension: expect.closeTo(141.12e3, 1) });
    expect(given(boltEn, { ...m20, grade: '10.9' })).toMatchObject({ shear: expect.closeTo(98e3, 1), tension: expect.closeTo(176.4e3, 1) });
    expect(given(boltEn, { ...m20, planes: 2 })).toMatchObject({ shear: expect.closeTo(188.16e3, 1), tension: expect.closeTo(141.12e3, 1) });
  });
  test('no bolt between two sizes', () => {
    expect(attempt(boltEn, { diameter: 0.0201, grade: '8.8', planes: 1, gammaM2: 1.25 })).toMatchObject({ ok: false, path: 'diameter' });
    const odd = attempt(boltEn, { diameter: 0.021, grade: '8.8', planes: 1, gammaM2: 1.25 });
    expect(odd).toMatchObject({ ok: false });
    if (!odd.ok) expect(odd.error).toContain('M21.0');
    expect(attempt(boltEn, { diameter: 0.02004, grade: '8.8', planes: 1, gammaM2: 1.25 })).toMatchObject({ ok: true });
  });
});

describe('local slenderness of a rolled I, by hand', () => {
  // E/Fy = 625: its root is 25, λ_p 9.5, λ_r 25 for the flange and 94 for the web.
  const base = { yield: 320e6, modulus: 200e9, zStrong: 1e-3, sStrong: 0.9e-3, width: 0.18, flange: 0.01, web: 0.01, clearWeb: 0.3 };
  const elastic = 0.7 * 320e6 * 0.9e-3;
  test('compact up to λ_p', () => {
    expect(given(localAisc, base)).toMatchObject({
      flangeRatio: expect.closeTo(9, 9),
      webRatio: expect.closeTo(30, 9),
      compact: true,
      nominal: expect.closeTo(320e3, 3),
    });
    expect(given(localAisc, { ...base, width: 0.19 })).toMatchObject({ compact: true, nominal: expect.closeTo(320e3, 3) });
    expect(given(localAisc, base).allowable as number).toBeCloseTo(320e3 / 1.67, 3);
  });
  test('between λ_p and λ_r on a straight line', () => {
    // Half way between 9.5 and 25: 17.25.
    expect(given(localAisc, { ...base, width: 0.345 })).toMatchObject({ compact: false, nominal: expect.closeTo((320e3 + elastic) / 2, 2) });
    expect(given(localAisc, { ...base, width: 0.5 })).toMatchObject({ compact: false, nominal: expect.closeTo(elastic, 2) });
  });
  test('past λ_r: 0.9·E·k_c·S/λ², k_c between 0.35 and 0.76', () => {
    // Flange 40, web 30: k_c = 4/√30 = 0.730; 0.9·200e9·0.730·0.9e-3/1600 = 73.9 kN·m.
    expect(given(localAisc, { ...base, width: 0.8 }).nominal as number).toBeCloseTo((0.9 * 200e9 * (4 / Math.sqrt(30)) * 0.9e-3) / 1600, 2);
    // Web 16: k_c would be 1.0, and is 0.76. Web 90: 0.42. Web 200 is slender itself, k_c 0.35.
    expect(given(localAisc, { ...base, width: 0.8, clearWeb: 0.16 }).nominal as number).toBeCloseTo((0.9 * 200e9 * 0.76 * 0.9e-3) / 1600, 2);
    expect(given(localAisc, { ...base, width: 0.8, clearWeb: 2 }).nominal as number).toBeCloseTo((0.9 * 200e9 * 0.35 * 0.9e-3) / 1600, 2);
  });
  test('a flange welded to its web is slender sooner: λ_r = 0.95·√(k_c·E/0.7F_y), 20.2 with a web of 62.5', () => {
    // k_c = 4/√62.5 = 0.506; 0.95 × √(0.506/0.7) × 25 = 20.19.
    const web = { ...base, clearWeb: 0.625, builtUp: true };
    const lr = 0.95 * Math.sqrt(4 / Math.sqrt(62.5) / 0.7) * 25;
    const width = (2 * (9.5 + lr) * 0.01) / 2;
    expect(given(localAisc, { ...web, width })).toMatchObject({ nominal: expect.closeTo((320e3 + elastic) / 2, 0) });
    expect(given(localAisc, { ...web, width: 0.18 })).toMatchObject({ compact: true, nominal: expect.closeTo(320e3, 3) });
    expect(given(localAisc, { ...web, width: 2 * 0.01 * (lr + 0.1) }).nominal as number).toBeLessThanOrEqual(elastic);
    expect(given(localAisc, { ...web, width, builtUp: false }).nominal as number).toBeGreaterThan((320e3 + elastic) / 2);
  });
  test('a slender web has no more than the elastic moment, at 3.76·√(E/F_y) not yet', () => {
    expect(given(localAisc, { ...base, clearWeb: 0.94 })).toMatchObject({ compact: true, nominal: expect.closeTo(320e3, 3) });
    expect(given(localAisc, { ...base, clearWeb: 0.95 })).toMatchObject({ compact: false, nominal: expect.closeTo(elastic, 2) });
  });
  test('Z less than S is a mistake; Z equal to S is a thin ring', () => {
    expect(attempt(localAisc, { ...base, zStrong: 0.8e-3 })).toMatchObject({ ok: false, path: 'zStrong' });
    expect(attempt(localAisc, { ...base, zStrong: 0.9e-3 })).toMatchObject({ ok: true });
  });
});

describe('needs and bolts', () => {
  test('what is not done is lacking, in its order', () => {
    const need = (what: string, done: boolean) => ({ what, done });
    expect(given(sequenceNeeds, { needs: [need('a', true), need('b', false), need('c', true), need('d', false)] })).toEqual({ lacking: ['b', 'd'] });
    expect(sequenceNeeds.work({ needs: [] }, { lacking: [] })).toHaveLength(1);
    expect(sequenceNeeds.work({ needs: [need('a', true), need('b', false)] }, { lacking: ['b'] }).map(({ result }) => result)).toEqual([
      'done before',
      'not done yet',
    ]);
  });
  test('as many as needed are enough', () => {
    expect([1, 2, 3].map((bolts) => given(releaseBolts, { bolts, least: 2 }).enough)).toEqual([false, true, true]);
  });
});
