import { clip, leftOf, scale, sub, toOutline, type Vec } from './plane';
import { segmentDistance, type Vec3 } from './space';

/** How far a line in space is from an upright box of a convex outline, from a height to a height; 0: it runs into it. */
export function segmentToBox(a: Vec3, b: Vec3, outline: readonly Vec[], low: number, high: number): number {
  const edges = outline.flatMap((corner, i): [Vec3, Vec3][] => {
    const next = outline[(i + 1) % outline.length]!;
    const level = [low, high].map((z): [Vec3, Vec3] => [
      { ...corner, z },
      { ...next, z },
    ]);
    return [[level[0]![0], level[1]![0]], ...level];
  });
  const ends = [a, b].map((end) => Math.hypot(toOutline(end, outline), Math.max(0, low - end.z, end.z - high)));
  return Math.min(overBox(a, b, outline, low, high), ...ends, ...edges.map(([c, d]) => segmentDistance(a, b, c, d)));
}

/** How high over a box, or how far under it, a line is where it is over the outline; 0: it runs through it. */
function overBox(a: Vec3, b: Vec3, outline: readonly Vec[], low: number, high: number): number {
  const run = sub(b, a);
  const length = Math.hypot(run.x, run.y);
  if (length === 0) return Infinity;
  const along = scale(run, 1 / length);
  const across = leftOf(along);
  const local = outline.map((point) => {
    const off = sub(point, a);
    return { x: off.x * along.x + off.y * along.y, y: off.x * across.x + off.y * across.y };
  });
  const strip = [
    [{ x: 0, y: 1 }, 1e-6],
    [{ x: 0, y: -1 }, 1e-6],
    [{ x: -1, y: 0 }, 0],
    [{ x: 1, y: 0 }, length],
  ] as const;
  const inside = strip.reduce<Vec[]>((polygon, [normal, limit]) => (polygon.length ? clip(polygon, normal, limit) : polygon), local);
  if (inside.length === 0) return Infinity;
  const heights = [Math.min, Math.max].map((pick) => a.z + ((b.z - a.z) * pick(...inside.map(({ x }) => x))) / length);
  return Math.max(0, low - Math.max(...heights), Math.min(...heights) - high);
}
