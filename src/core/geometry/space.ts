/** Points in space: x east, y north, z up. */
export interface Vec3 {
  x: number;
  y: number;
  z: number;
}

export const minus = (a: Vec3, b: Vec3): Vec3 => ({ x: a.x - b.x, y: a.y - b.y, z: a.z - b.z });
/** a and so many times b. */
export const plus = (a: Vec3, b: Vec3, times = 1): Vec3 => ({ x: a.x + times * b.x, y: a.y + times * b.y, z: a.z + times * b.z });
export const cross3 = (a: Vec3, b: Vec3): Vec3 => ({ x: a.y * b.z - a.z * b.y, y: a.z * b.x - a.x * b.z, z: a.x * b.y - a.y * b.x });
export const norm3 = (a: Vec3): number => Math.sqrt(dot3(a, a));
export const unit3 = (a: Vec3): Vec3 => plus({ x: 0, y: 0, z: 0 }, a, 1 / norm3(a));
export const dot3 = (a: Vec3, b: Vec3): number => a.x * b.x + a.y * b.y + a.z * b.z;
const clamp = (t: number): number => Math.min(1, Math.max(0, t));

/** Least distance between segments p1–q1 and p2–q2 (closest points, clamped to both). */
export function segmentDistance(p1: Vec3, q1: Vec3, p2: Vec3, q2: Vec3): number {
  const d1 = minus(q1, p1);
  const d2 = minus(q2, p2);
  const r = minus(p1, p2);
  const a = dot3(d1, d1);
  const e = dot3(d2, d2);
  const f = dot3(d2, r);
  const c = dot3(d1, r);
  const b = dot3(d1, d2);
  const denominator = a * e - b * b;
  let s = denominator > 1e-12 * a * e ? clamp((b * f - c * e) / denominator) : 0;
  let t = e > 0 ? (b * s + f) / e : 0;
  if (t < 0) {
    t = 0;
    s = a > 0 ? clamp(-c / a) : 0;
  } else if (t > 1) {
    t = 1;
    s = a > 0 ? clamp((b - c) / a) : 0;
  }
  const gap = minus({ x: p1.x + d1.x * s, y: p1.y + d1.y * s, z: p1.z + d1.z * s }, { x: p2.x + d2.x * t, y: p2.y + d2.y * t, z: p2.z + d2.z * t });
  return Math.sqrt(dot3(gap, gap));
}
