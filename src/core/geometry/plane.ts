/** Plan geometry: x east, y north, metres; angles in degrees counter-clockwise from x. */
export interface Vec {
  x: number;
  y: number;
}

export const add = (a: Vec, b: Vec): Vec => ({ x: a.x + b.x, y: a.y + b.y });
export const sub = (a: Vec, b: Vec): Vec => ({ x: a.x - b.x, y: a.y - b.y });
export const scale = (a: Vec, s: number): Vec => ({ x: a.x * s, y: a.y * s });
export const dot = (a: Vec, b: Vec): number => a.x * b.x + a.y * b.y;
export function distance(a: Vec, b: Vec): number {
  const [x, y] = [a.x - b.x, a.y - b.y];
  return Math.sqrt(x * x + y * y);
}
export const mix = (a: Vec, b: Vec, t: number): Vec => ({ x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t });
export const direction = (angleDeg: number): Vec => ({ x: Math.cos((angleDeg * Math.PI) / 180), y: Math.sin((angleDeg * Math.PI) / 180) });
export const leftOf = (a: Vec): Vec => ({ x: -a.y, y: a.x });
export const angleOf = (a: Vec): number => (Math.atan2(a.y, a.x) * 180) / Math.PI;

/** An angle brought into (−180, 180]. */
export function wrapDeg(angleDeg: number): number {
  const turned = ((angleDeg % 360) + 360) % 360;
  return turned > 180 ? turned - 360 : turned;
}

/** Corners of a rectangle about its centre, counter-clockwise. */
export function rectangle(centre: Vec, length: number, width: number, angleDeg: number): Vec[] {
  const along = scale(direction(angleDeg), length / 2);
  const across = scale(leftOf(direction(angleDeg)), width / 2);
  return [sub(sub(centre, along), across), sub(add(centre, along), across), add(add(centre, along), across), add(sub(centre, along), across)];
}

/** The part of a convex polygon where normal·p ≤ limit (Sutherland–Hodgman). */
export function clip(polygon: readonly Vec[], normal: Vec, limit: number): Vec[] {
  const kept: Vec[] = [];
  polygon.forEach((p, i) => {
    const next = polygon[(i + 1) % polygon.length]!;
    const here = dot(normal, p) - limit;
    const there = dot(normal, next) - limit;
    if (here <= 0) kept.push(p);
    if ((here < 0 && there > 0) || (here > 0 && there < 0)) kept.push(mix(p, next, here / (here - there)));
  });
  return kept;
}

/** The smallest convex polygon round some points, to the left. */
export function hull(points: readonly Vec[]): Vec[] {
  const sorted = [...points].sort((a, b) => a.x - b.x || a.y - b.y);
  const turns = (a: Vec, b: Vec, c: Vec) => (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
  const half = (list: readonly Vec[]): Vec[] => {
    const kept: Vec[] = [];
    for (const point of list) {
      while (kept.length > 1 && turns(kept[kept.length - 2]!, kept[kept.length - 1]!, point) <= 0) kept.pop();
      kept.push(point);
    }
    return kept.slice(0, -1);
  };
  return sorted.length < 3 ? sorted : [...half(sorted), ...half(sorted.reverse())];
}

/** Whether two convex polygons share any area (separating axis; touching edges do not count). */
export function overlap(a: readonly Vec[], b: readonly Vec[]): boolean {
  return !(apartAcross(a, a, b) || apartAcross(b, a, b));
}

/** Whether a line along one of the edges of an outline has the two on either side of it. */
function apartAcross(edges: readonly Vec[], a: readonly Vec[], b: readonly Vec[]): boolean {
  for (let i = 0; i < edges.length; i += 1) {
    const [p, q] = [edges[i]!, edges[(i + 1) % edges.length]!];
    const [x, y] = [p.y - q.y, q.x - p.x];
    let [a0, a1, b0, b1] = [Infinity, -Infinity, Infinity, -Infinity];
    for (const point of a) {
      const out = x * point.x + y * point.y;
      if (out < a0) a0 = out;
      if (out > a1) a1 = out;
    }
    for (const point of b) {
      const out = x * point.x + y * point.y;
      if (out < b0) b0 = out;
      if (out > b1) b1 = out;
    }
    if (a1 <= b0 || b1 <= a0) return true;
  }
  return false;
}

/** How far a point is from a straight piece of a line. */
export function toSegment(point: Vec, a: Vec, b: Vec): number {
  const [ux, uy] = [b.x - a.x, b.y - a.y];
  const t = Math.min(1, Math.max(0, ((point.x - a.x) * ux + (point.y - a.y) * uy) / (ux * ux + uy * uy || 1)));
  const [x, y] = [point.x - (a.x + ux * t), point.y - (a.y + uy * t)];
  return Math.sqrt(x * x + y * y);
}

/** How far two segments are apart, in bare numbers for whoever asks a million times: 0 where they cross. */
export function segmentsApart(ax: number, ay: number, bx: number, by: number, cx: number, cy: number, dx: number, dy: number): number {
  const [ux, uy, vx, vy] = [bx - ax, by - ay, dx - cx, dy - cy];
  const cross = ux * vy - uy * vx;
  if (cross !== 0) {
    const s = ((cx - ax) * vy - (cy - ay) * vx) / cross;
    const t = ((cx - ax) * uy - (cy - ay) * ux) / cross;
    if (s >= 0 && s <= 1 && t >= 0 && t <= 1) return 0;
  }
  return Math.sqrt(
    Math.min(toPoint(ax, ay, cx, cy, vx, vy), toPoint(bx, by, cx, cy, vx, vy), toPoint(cx, cy, ax, ay, ux, uy), toPoint(dx, dy, ax, ay, ux, uy)),
  );
}

/** Square of how far a point is from a segment that starts somewhere and runs so far. */
function toPoint(px: number, py: number, x: number, y: number, ux: number, uy: number): number {
  const t = Math.min(1, Math.max(0, ((px - x) * ux + (py - y) * uy) / (ux * ux + uy * uy || 1)));
  return (px - x - ux * t) ** 2 + (py - y - uy * t) ** 2;
}

/** How far a point is from an outline that runs to the left: 0 inside. */
export function toOutline(point: Vec, outline: readonly Vec[]): number {
  let [inside, nearest] = [true, Infinity];
  outline.forEach((a, i) => {
    const b = outline[(i + 1) % outline.length]!;
    if ((b.x - a.x) * (point.y - a.y) - (b.y - a.y) * (point.x - a.x) < 0) inside = false;
    nearest = Math.min(nearest, toSegment(point, a, b));
  });
  return inside ? 0 : nearest;
}

/** How far two convex outlines are apart: 0 where they share any area. */
export function gapBetween(a: readonly Vec[], b: readonly Vec[]): number {
  if (overlap(a, b)) return 0;
  return Math.min(...a.map((one) => toOutline(one, b)), ...b.map((one) => toOutline(one, a)));
}

/** How far a stretch of line is from a convex outline: 0 where it runs into it. */
export function segmentToOutline(a: Vec, b: Vec, outline: readonly Vec[]): number {
  if (overlap([a, b], outline)) return 0;
  return Math.min(toOutline(a, outline), toOutline(b, outline), ...outline.map((corner) => toSegment(corner, a, b)));
}
