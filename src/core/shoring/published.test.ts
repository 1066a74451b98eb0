import { runCalc } from '../catalogue/run';
import { findSection } from '../steel/sections';

/** Values published elsewhere, set against ours. All from memory of the tables named. */
const num = (id: string, input: unknown) => {
  const outcome = runCalc(id, input);
  if (!outcome.ok) throw new Error(outcome.error);
  return outcome.output as Record<string, number>;
};
const kip = 4448.2216;
const psi = 6894.757293168;

test.each([
  ['A', 2.5, 20.4],
  ['A', 3, 17],
  ['A', 3.5, 14.6],
  ['B', 3, 22.7],
  ['B', 3.5, 19.4],
  ['B', 4, 17],
  ['C', 3, 34],
  ['C', 3.5, 29.1],
  ['D', 3.5, 34],
  ['E', 3.5, 51],
] as const)('EN 1065: class %s, %d m run right out, %d kN', (name, length, kN) =>
  expect(num('shore.steelProp', { class: name, maxLength: length, length }).characteristic! / 1000).toBeCloseTo(kN, 1),
);

test('AISC Manual Table 4-1: W8x31 at 10 ft, 211 kips allowable', () => {
  const { area, rWeak } = findSection('W8x31')!;
  const out = num('member.columnAisc', { yield: 344.738e6, modulus: 199.948e9, area, radius: rWeak, effectiveLength: 3.048 });
  expect(Math.abs(out.allowable! / kip - 211)).toBeLessThan(2);
});

test('common practice: a bare 8 ft 2×4 has l_e/d 64 and carries about a quarter of the one braced at mid-height', () => {
  const stud = (unbracedWidth: number) =>
    num('shore.timberPost', {
      fc: 1150 * psi,
      eMin: 510e3 * psi,
      width: 0.0381,
      depth: 0.0889,
      unbracedWidth,
      unbracedDepth: 2.4384,
      loadDuration: 1.25,
      sizeFactor: 1.15,
    });
  expect(stud(2.4384).slenderness).toBeCloseTo(64, 6);
  const share = stud(2.4384).allowable! / stud(1.2192).allowable!;
  expect(share).toBeGreaterThan(0.22);
  expect(share).toBeLessThan(0.32);
});

test('AISC Table 3-23, case 24: overhanging beam, R = w(l + a)²/2l', () => {
  const [w, l, a] = [3000, 3.2, 0.8];
  const out = num('shore.joist', { load: w, span: l + a, setback: a, tip: 0, above: 0, aboveSetback: a });
  expect(out.shore).toBeCloseTo((w * (l + a) ** 2) / (2 * l), 6);
  expect(out.hogging).toBeCloseTo((w * a * a) / 2, 6);
  expect(out.sagging).toBeCloseTo((w * (l + a) ** 2 * (l - a) ** 2) / (8 * l * l), 6);
});
test('AISC Table 3-23, case 26: point load at the end of an overhang, R = P(l + a)/l', () => {
  const out = num('shore.joist', { load: 0, span: 4, setback: 1, tip: 900, above: 0, aboveSetback: 1 });
  expect(out.shore).toBeCloseTo((900 * 4) / 3, 9);
  expect(out.farBearing).toBeCloseTo((-900 * 1) / 3, 9);
});
