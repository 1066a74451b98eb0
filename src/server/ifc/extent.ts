import { cross, dot, plus, times, unit, type Vector } from './vectors';

/** Length along its own long axis, and the least rectangle round it square to that. */
export interface Extent {
  length: number;
  depth: number;
  width: number;
  axis: Vector;
  /** square to the axis, along the depth */
  side: Vector;
}

const spread = (values: number[]): number =>
  values.reduce((most, one) => Math.max(most, one), -Infinity) - values.reduce((least, one) => Math.min(least, one), Infinity);

/**
 * Size of a straight piece from the corners of its shape, however it lies. The long axis runs between the middles of the two ends,
 * found from the corners furthest apart and then from those near each end. Null for fewer than four corners, or all in one place or one plane.
 */
export function extentOf(points: readonly Vector[]): Extent | null {
  const first = points[0];
  if (!first || points.length < 4) return null;
  const furthest = (from: Vector): Vector => points.reduce((best, one) => (distance(one, from) > distance(best, from) ? one : best), first);
  const a = furthest(first);
  const b = furthest(a);
  if (!(distance(a, b) > 1e-6)) return null;
  let axis = unit(between(a, b));
  // The diagonal is turned onto the axis by the middles of the two halves, then of the very ends: what stands between does not count.
  for (const share of [0.5, 0.5, 0.5, 0.25, 0.25, 0.1, 0.1, 0.1]) {
    const along = points.map((one) => dot(one, axis));
    const low = along.reduce((least, one) => Math.min(least, one), Infinity);
    const high = along.reduce((most, one) => Math.max(most, one), -Infinity);
    const near = (high - low) * share;
    const ends = [points.filter((_, i) => (along[i] ?? 0) - low < near), points.filter((_, i) => high - (along[i] ?? 0) <= near)].map(boxMiddle);
    const [start, end] = ends;
    if (!start || !end || distance(start, end) < 1e-9) break;
    axis = unit(between(start, end));
  }
  const side = unit(cross(axis, Math.abs(axis[2]) < 0.9 ? [0, 0, 1] : [1, 0, 0]));
  const up = cross(axis, side);
  const flat = points.map((one) => [dot(one, side), dot(one, up)] as const);
  let best: [number, number] = [Infinity, Infinity];
  let turned = 0;
  for (let turn = 0; turn < 90; turn += 0.5) {
    const c = Math.cos((turn * Math.PI) / 180);
    const s = Math.sin((turn * Math.PI) / 180);
    const wide = spread(flat.map(([x, y]) => x * c + y * s));
    const high = spread(flat.map(([x, y]) => y * c - x * s));
    if (wide * high < best[0] * best[1] * (1 - 1e-9)) [best, turned] = [[wide, high], turn + (high > wide ? 90 : 0)];
  }
  // What has no thickness is a line or a sheet of paper, not a piece.
  if (!(Math.min(...best) > 1e-6)) return null;
  const [c, s] = [Math.cos((turned * Math.PI) / 180), Math.sin((turned * Math.PI) / 180)];
  return {
    length: spread(points.map((one) => dot(one, axis))),
    depth: Math.max(...best),
    width: Math.min(...best),
    axis,
    side: plus(times(side, c), times(up, s)),
  };
}

const between = (a: Vector, b: Vector): Vector => plus(b, times(a, -1));
const distance = (a: Vector, b: Vector): number => Math.hypot(...between(a, b));
/** Mean of the different corners: a corner shared by many faces counts once. */
function boxMiddle(points: readonly Vector[]): Vector | null {
  if (points.length === 0) return null;
  const own = new Map(points.map((one) => [one.map((value) => value.toFixed(5)).join(), one]));
  return times([...own.values()].reduce<Vector>(plus, [0, 0, 0]), 1 / own.size);
}
