import fc from 'fast-check';
import { extentOf } from './extent';

type Vector = [number, number, number];
function box(length: number, depth: number, width: number): Vector[] {
  const corners: Vector[] = [];
  for (const x of [0, length]) for (const y of [0, depth]) for (const z of [0, width]) corners.push([x, y, z]);
  return corners;
}
const turned = (points: Vector[], [a, b, c]: Vector, by: Vector): Vector[] =>
  points.map(([x, y, z]) => {
    const x1 = x * Math.cos(a) - y * Math.sin(a);
    const y1 = x * Math.sin(a) + y * Math.cos(a);
    const y2 = y1 * Math.cos(b) - z * Math.sin(b);
    const z2 = y1 * Math.sin(b) + z * Math.cos(b);
    return [x1 * Math.cos(c) + z2 * Math.sin(c) + by[0], y2 + by[1], z2 * Math.cos(c) - x1 * Math.sin(c) + by[2]];
  });

test('a box however it lies: its own length, depth and width', () => {
  const angle = fc.double({ min: -3, max: 3, noNaN: true });
  fc.assert(
    fc.property(
      fc.double({ min: 2, max: 20, noNaN: true }),
      fc.double({ min: 0.2, max: 0.6, noNaN: true }),
      fc.double({ min: 0.05, max: 0.2, noNaN: true }),
      angle,
      angle,
      angle,
      (length, depth, width, a, b, c) => {
        const found = extentOf(turned(box(length, depth, width), [a, b, c], [100, -40, 7]))!;
        expect(found.length).toBeCloseTo(length, 4);
        expect(Math.abs(found.depth - depth)).toBeLessThan(0.006);
        expect(Math.abs(found.width - width)).toBeLessThan(0.006);
      },
    ),
  );
});
test('corners given many times over change nothing', () => {
  const points = box(6, 0.3, 0.15);
  expect(extentOf([...points, ...points.slice(0, 3), ...points.slice(0, 3)])).toEqual(extentOf(points));
});
test('a rafter cut plumb at both ends: from tip to tip along it, a little more than its middle', () => {
  const rafter: Vector[] = [];
  for (const z of [0, 0.1]) rafter.push([0, 0, z], [0.15, 0.2, z], [4, 0, z], [4.15, 0.2, z]);
  const found = extentOf(rafter)!;
  expect(found.length).toBeGreaterThan(4);
  expect(found.length).toBeLessThan(4.2);
});
test.each([[[]], [[[0, 0, 0]]], [Array.from({ length: 5 }, () => [1, 2, 3])]])('%j has no size', (points) => expect(extentOf(points as Vector[])).toBeNull());
test('corners in one plane, or in one line, are no piece', () => {
  expect(extentOf(box(4, 0.2, 0))).toBeNull();
  expect(extentOf(box(4, 0, 0))).toBeNull();
  expect(extentOf(box(4, 0.2, 1e-3))?.width).toBeCloseTo(1e-3, 9);
});
