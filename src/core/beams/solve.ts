/** Symmetric positive-definite band matrices by LDLᵀ, with the evidence that the answer can be trusted. */
export type Solution = { ok: true; u: number[]; residual: number; smallestPivotRatio: number } | { ok: false; at: number };

/** Lower half of a symmetric matrix of half-width `width`: row i holds columns i − width … i, the last of them the diagonal. */
export interface Band {
  size: number;
  width: number;
  rows: Float64Array[];
}

export const emptyBand = (size: number, width: number): Band => ({ size, width, rows: Array.from({ length: size }, () => new Float64Array(width + 1)) });

/** Add to an entry; the matrix is symmetric, so either half may be named. */
export function addTo({ width, rows }: Band, i: number, j: number, value: number): void {
  const [low, high] = i >= j ? [i, j] : [j, i];
  if (low - high > width) throw new RangeError(`entry ${i}, ${j} is outside a band of ${width}`);
  rows[low]![width - (low - high)]! += value;
}

/** Row i of the matrix times u. */
export function timesRow({ size, width, rows }: Band, i: number, u: ArrayLike<number>): number {
  let sum = 0;
  for (let j = Math.max(0, i - width); j <= i; j += 1) sum += rows[i]![width - (i - j)]! * u[j]!;
  for (let j = i + 1; j <= Math.min(size - 1, i + width); j += 1) sum += rows[j]![width - (j - i)]! * u[j]!;
  return sum;
}

/** A pivot this small against its original diagonal means the structure moves freely there. */
const MECHANISM = 1e-11;

/** `mechanism`: least pivot against its original diagonal that still counts as held. */
export function solveBand(band: Band, load: ArrayLike<number>, mechanism = MECHANISM): Solution {
  const { size, width } = band;
  const a = band.rows.map((row) => Float64Array.from(row));
  let smallestPivotRatio = Infinity;
  for (let i = 0; i < size; i += 1) {
    const row = a[i]!;
    const from = Math.max(0, i - width);
    // L·D first, so that each entry needs only entries already finished.
    for (let j = from; j < i; j += 1) {
      const other = a[j]!;
      let sum = row[width - (i - j)]!;
      for (let k = Math.max(from, j - width); k < j; k += 1) sum -= row[width - (i - k)]! * other[width - (j - k)]!;
      row[width - (i - j)] = sum;
    }
    let pivot = row[width]!;
    for (let j = from; j < i; j += 1) {
      const scaled = row[width - (i - j)]!;
      const l = scaled / a[j]![width]!;
      pivot -= l * scaled;
      row[width - (i - j)] = l;
    }
    const ratio = pivot / (row[width]! || 1);
    if (!(ratio > mechanism)) return { ok: false, at: i };
    smallestPivotRatio = Math.min(smallestPivotRatio, ratio);
    row[width] = pivot;
  }
  const u = Array.from(load);
  for (let i = 0; i < size; i += 1) for (let k = Math.max(0, i - width); k < i; k += 1) u[i]! -= a[i]![width - (i - k)]! * u[k]!;
  for (let i = 0; i < size; i += 1) u[i]! /= a[i]![width]!;
  for (let i = size - 1; i >= 0; i -= 1) for (let k = i + 1; k <= Math.min(size - 1, i + width); k += 1) u[i]! -= a[k]![width - (k - i)]! * u[k]!;
  let residual = 0;
  let scale = 0;
  for (let i = 0; i < size; i += 1) {
    residual = Math.max(residual, Math.abs(timesRow(band, i, u) - load[i]!));
    scale = Math.max(scale, Math.abs(load[i]!));
  }
  return { ok: true, u, residual: scale === 0 ? residual : residual / scale, smallestPivotRatio };
}
