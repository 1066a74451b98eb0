/** A vector or a point of the model. */
export type Vector = [number, number, number];

export const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vector, b: Vector): Vector => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
export const times = (a: Vector, by: number): Vector => [a[0] * by, a[1] * by, a[2] * by];
export const plus = (a: Vector, b: Vector): Vector => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
/** One long; the vector itself when it has no length. */
export const unit = (a: Vector): Vector => {
  const size = Math.hypot(...a);
  return size > 0 ? times(a, 1 / size) : a;
};
/** What of `wanted` is square to an axis, one long. */
export const squareTo = (wanted: Vector, axis: Vector): Vector => unit(plus(wanted, times(axis, -dot(wanted, axis))));

/** Three figures of a line, what is left out being nothing; null when it is no list of figures. */
export function vectorOf(value: unknown): Vector | null {
  if (!Array.isArray(value)) return null;
  const list = value.map((one: unknown) =>
    typeof one === 'object' && one !== null && 'value' in one ? Number((one as { value: unknown }).value) : Number(one),
  );
  return list.every(Number.isFinite) ? [list[0] ?? 0, list[1] ?? 0, list[2] ?? 0] : null;
}
