import fc from 'fast-check';
import { runCalc } from '../catalogue/run';

interface Afloat {
  draught: number;
  gm: number;
  heelDeg: number | null;
  trimDeg: number | null;
  freeboard: number | null;
}
const barge = {
  length: 30,
  beam: 10,
  depth: 2.5,
  lightMass: 120e3,
  lightZ: 1.2,
  loads: [] as { mass: number; x: number; y: number; z: number }[],
  waterDensity: 1000,
};
const afloat = (input: typeof barge): Afloat => {
  const out = runCalc('float.barge', input);
  if (!out.ok) throw new Error(out.error);
  return out.output as unknown as Afloat;
};

test('empty it floats level: 120 t on 300 m² draw 0.4 m', () => {
  const { draught, gm, heelDeg, trimDeg, freeboard } = afloat(barge);
  expect(draught).toBeCloseTo(0.4, 9);
  // 0.2 + 100 / (12 · 0.4) − 1.2
  expect(gm).toBeCloseTo(19.8333, 4);
  expect([heelDeg, trimDeg]).toEqual([0, 0]);
  expect(freeboard).toBeCloseTo(2.1, 9);
});

test('30 t at a corner put that corner down, whichever it is', () => {
  const load = { mass: 30e3, x: 10, y: -4, z: 3 };
  const { draught, gm, heelDeg, trimDeg, freeboard } = afloat({ ...barge, loads: [load] });
  // 150 t: T = 0.5; KG = (144 + 90) / 150 = 1.56; 0.25 + 100/6 − 1.56; along 0.25 + 900/6 − 1.56
  expect(draught).toBeCloseTo(0.5, 9);
  expect(gm).toBeCloseTo(15.35667, 4);
  expect(Math.tan((heelDeg! * Math.PI) / 180)).toBeCloseTo(-0.8 / 15.35667, 6);
  expect(Math.tan((trimDeg! * Math.PI) / 180)).toBeCloseTo(2 / 148.69, 6);
  expect(freeboard).toBeCloseTo(2 - 15 * (2 / 148.69) - 5 * (0.8 / 15.35667), 5);
  expect(afloat({ ...barge, loads: [{ ...load, x: -10, y: 4 }] }).freeboard).toBeCloseTo(freeboard!, 9);
});

test('a load too high: it does not stay upright, and nothing is said of heel and freeboard', () => {
  const { gm, heelDeg, trimDeg, freeboard } = afloat({ ...barge, loads: [{ mass: 120e3, x: 0, y: 0.1, z: 25 }] });
  // 240 t: T = 0.8; 0.4 + 100/9.6 − 13.1
  expect(gm).toBeCloseTo(-2.28333, 4);
  expect([heelDeg, freeboard]).toEqual([null, null]);
  expect(trimDeg).toBe(0);
  expect(afloat({ ...barge, length: 6, beam: 50, loads: [{ mass: 120e3, x: 0.1, y: 0, z: 25 }] }).trimDeg).toBeNull();
});

test.each([
  ['one that sinks', { ...barge, loads: [{ mass: 700e3, x: 0, y: 0, z: 1 }] }, 'depth'],
  ['a depth of nothing', { ...barge, depth: 0 }, 'depth'],
  ['a load lighter than nothing', { ...barge, loads: [{ mass: -1, x: 0, y: 0, z: 1 }] }, 'loads[0].mass'],
  ['water as light as air', { ...barge, waterDensity: 1.2 }, 'waterDensity'],
])('refused: %s', (_, input, path) => expect(runCalc('float.barge', input)).toMatchObject({ ok: false, path }));

test('a load off the middle never raises the lowest corner; what is heavier draws more', () =>
  fc.assert(
    fc.property(
      fc.double({ min: 1e3, max: 60e3, noNaN: true }),
      fc.double({ min: 0, max: 12, noNaN: true }),
      fc.double({ min: 0, max: 4, noNaN: true }),
      (mass, x, y) => {
        const middle = afloat({ ...barge, loads: [{ mass, x: 0, y: 0, z: 3 }] });
        const off = afloat({ ...barge, loads: [{ mass, x, y, z: 3 }] });
        expect(off.freeboard!).toBeLessThanOrEqual(middle.freeboard! + 1e-12);
        expect(off.draught).toBe(middle.draught);
        expect(middle.draught).toBeGreaterThan(0.4);
      },
    ),
  ));
