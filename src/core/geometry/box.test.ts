import { rectangle, toOutline, type Vec } from './plane';
import { segmentToBox } from './box';
import type { Vec3 } from './space';

const box = rectangle({ x: 0, y: 0 }, 4, 2, 0);

test.each<[string, Vec3, Vec3, number]>([
  ['above it', { x: -5, y: 0, z: 4 }, { x: 5, y: 0, z: 4 }, 1],
  ['under it', { x: -5, y: 0, z: 0.5 }, { x: 5, y: 0, z: 0.5 }, 0.5],
  ['through it', { x: -5, y: 0, z: 0 }, { x: 5, y: 0, z: 4 }, 0],
  ['within it', { x: 0.1, y: 0, z: 2 }, { x: 0.2, y: 0, z: 2 }, 0],
  ['beside its long side', { x: -1, y: 3, z: 2 }, { x: 1, y: 3, z: 2 }, 2],
  ['its end before a side', { x: 0, y: 2.5, z: 2 }, { x: 0, y: 9, z: 7 }, 1.5],
  ['its end over its top', { x: 0.3, y: 0.2, z: 3.75 }, { x: 0.3, y: 0.9, z: 30 }, 0.75],
  ['off a corner', { x: 5, y: 5, z: 2 }, { x: 5, y: 5, z: 2.5 }, 5],
  ['plumb over it', { x: 0, y: 0, z: 5 }, { x: 0, y: 0, z: 9 }, 2],
])('%s', (_, a, b, gap) => expect(segmentToBox(a, b, box, 1, 3)).toBeCloseTo(gap, 6));

test('against points all along the line, whatever it is and whatever box', () => {
  let seed = 7;
  const next = (least: number, most: number): number => {
    seed = (seed * 16807) % 2147483647;
    return least + ((most - least) * seed) / 2147483647;
  };
  const at = (): Vec3 => ({ x: next(-8, 8), y: next(-8, 8), z: next(-1, 9) });
  const toBox = (point: Vec3, outline: readonly Vec[], low: number, high: number) =>
    Math.hypot(toOutline(point, outline), Math.max(0, low - point.z, point.z - high));
  let [hits, misses] = [0, 0];
  for (let n = 0; n < 400; n += 1) {
    const outline = rectangle({ x: next(-3, 3), y: next(-3, 3) }, next(0.3, 9), next(0.3, 3), next(0, 360));
    const [low, high] = [next(-1, 4), next(4, 6)];
    const [a, b] = [at(), at()];
    const looked = Array.from({ length: 2001 }, (_, i) => i / 2000).map((t) =>
      toBox({ x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t, z: a.z + (b.z - a.z) * t }, outline, low, high),
    );
    const least = Math.min(...looked);
    const gap = segmentToBox(a, b, outline, low, high);
    // Between two looks a line is no nearer than half of what lies between them.
    expect(gap).toBeLessThanOrEqual(least + 1e-6);
    expect(gap).toBeGreaterThanOrEqual(least - Math.hypot(b.x - a.x, b.y - a.y, b.z - a.z) / 4000 - 1e-6);
    if (gap === 0) hits += 1;
    else misses += 1;
  }
  expect(Math.min(hits, misses)).toBeGreaterThan(40);
});
