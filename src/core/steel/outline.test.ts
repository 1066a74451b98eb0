import fc from 'fast-check';
import { sectionByMeasures } from './by-measures';
import { outlineMeasures, sizeOf, type Point } from './outline';
import { sections } from './sections';

const list = (...points: [number, number][]): Point[] => points.map(([x, y]) => ({ x, y }));
const iShape = (h: number, b: number, tw: number, tf: number, top = tf): Point[] => {
  const w = (b - tw) / 2;
  // prettier-ignore
  return list([0, 0], [b, 0], [b, tf], [b - w, tf], [b - w, h - top], [b, h - top], [b, h], [0, h], [0, h - top], [w, h - top], [w, tf], [0, tf]);
};
const channel = (h: number, b: number, tw: number, tf: number): Point[] => list([0, 0], [b, 0], [b, tf], [tw, tf], [tw, h - tf], [b, h - tf], [b, h], [0, h]);
const moved = (points: readonly Point[], by: number, quarter: boolean): Point[] =>
  points.map(({ x, y }) => (quarter ? { x: y + by, y: by - x } : { x: x + by, y: y - by }));

test('an I, a channel and an angle by hand', () => {
  expect(outlineMeasures(iShape(0.3, 0.15, 0.0071, 0.0107))).toEqual({
    kind: 'I',
    depth: 0.3,
    width: 0.15,
    wall: expect.closeTo(0.0071, 9),
    flange: expect.closeTo(0.0107, 9),
  });
  expect(outlineMeasures(channel(0.2, 0.075, 0.006, 0.0125))).toMatchObject({ kind: 'U', wall: expect.closeTo(0.006, 9), flange: expect.closeTo(0.0125, 9) });
  const angle = list([0, 0], [0.09, 0], [0.09, 0.01], [0.008, 0.01], [0.008, 0.15], [0, 0.15]);
  expect(outlineMeasures(angle)).toMatchObject({ kind: 'L', depth: 0.15, width: 0.09, wall: expect.closeTo(0.008, 9), flange: expect.closeTo(0.01, 9) });
});
test('a flat, and a hollow one whose corners are cut', () => {
  expect(outlineMeasures(list([0, 0], [0.12, 0], [0.12, 0.02], [0, 0.02]))).toEqual({ kind: 'rectangle', depth: 0.12, width: 0.02, wall: null, flange: null });
  const cut = list([0.01, 0], [0.19, 0], [0.2, 0.01], [0.2, 0.09], [0.19, 0.1], [0.01, 0.1], [0, 0.09], [0, 0.01]);
  const hole = list([0.006, 0.006], [0.194, 0.006], [0.194, 0.094], [0.006, 0.094]);
  expect(outlineMeasures(cut, [hole])).toEqual({ kind: 'box', depth: 0.2, width: 0.1, wall: expect.closeTo(0.006, 9), flange: null });
});
test.each<[string, Point[], Point[][]]>([
  ['a triangle', list([0, 0], [1, 0], [0.5, 1]), []],
  ['unlike flanges', iShape(0.5, 0.2, 0.01, 0.012, 0.03), []],
  ['a web off the middle', list([0, 0], [0.2, 0], [0.2, 0.01], [0.07, 0.01], [0.07, 0.2], [0.05, 0.2], [0.05, 0.01], [0, 0.01]), []],
  ['a hole off the middle', list([0, 0], [0.2, 0], [0.2, 0.2], [0, 0.2]), [list([0.01, 0.01], [0.15, 0.01], [0.15, 0.19], [0.01, 0.19])]],
  ['two holes', list([0, 0], [0.2, 0], [0.2, 0.2], [0, 0.2]), [list([0.01, 0.01], [0.05, 0.01], [0.05, 0.05]), list([0.1, 0.1], [0.15, 0.1], [0.15, 0.15])]],
  ['a hole of nothing', list([0, 0], [0.2, 0], [0.2, 0.2], [0, 0.2]), [[]]],
  ['a line', list([0, 0], [1, 0], [2, 0]), []],
  ['two points', list([0, 0], [1, 1]), []],
])('%s is none of them', (_, outline, holes) => expect(outlineMeasures(outline, holes)).toBeNull());
test('size is over all', () => {
  expect(sizeOf(list([-1, 2], [3, 2], [1, 7]))).toEqual({ depth: 5, width: 4, left: -1, bottom: 2 });
  expect(sizeOf(list([0, 0], [Number.NaN, 1], [1, 1]))).toBeNull();
});
test('wherever it lies and whichever way it is turned or run round, it is the same shape', () =>
  fc.assert(
    fc.property(
      fc.double({ min: 0.15, max: 1, noNaN: true }),
      fc.double({ min: 0.1, max: 0.4, noNaN: true }),
      fc.double({ min: -5, max: 5, noNaN: true }),
      fc.boolean(),
      fc.boolean(),
      fc.nat(11),
      (h, b, by, quarter, back, start) => {
        const shape = moved(iShape(h, b, b / 20, h / 25), by, quarter);
        const turned = [...shape.slice(start), ...shape.slice(0, start)];
        const found = outlineMeasures(back ? turned.reverse() : turned);
        expect(found?.kind).toBe('I');
        expect(found?.wall).toBeCloseTo(b / 20, 9);
        expect(found?.flange).toBeCloseTo(h / 25, 9);
        expect([found?.depth, found?.width]).toEqual([expect.closeTo(h, 9), expect.closeTo(b, 9)]);
      },
    ),
  ));
test('every listed I section drawn without its fillets is known again, or is one of two no measure tells apart', () => {
  const rolled = sections.filter((row) => ['W', 'UB', 'UC', 'IPE', 'HEA', 'HEB'].includes(row.family));
  expect(rolled.length).toBeGreaterThan(200);
  for (const row of rolled) {
    const measures = outlineMeasures(iShape(row.depth, row.width, row.web, row.flange));
    expect([row.designation, measures?.kind]).toEqual([row.designation, 'I']);
    const found = measures && sectionByMeasures(measures);
    if (found && found !== row) expect(Math.abs(found.massPerLength / row.massPerLength - 1)).toBeLessThan(0.02);
  }
});
test('an outline of very many corners is measured like another', () => {
  const round = Array.from({ length: 300_000 }, (_, i) => ({ x: Math.cos((i / 150_000) * Math.PI), y: Math.sin((i / 150_000) * Math.PI) }));
  expect(sizeOf(round)).toMatchObject({ depth: expect.closeTo(2, 6), width: expect.closeTo(2, 6) });
  expect(outlineMeasures(round)).toBeNull();
});
