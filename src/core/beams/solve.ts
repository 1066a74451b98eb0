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

/** A matrix made ready to be solved for as many loads as there are. */
export type Factored = { ok: true; smallestPivotRatio: number; solve: (load: ArrayLike<number>) => number[] } | { ok: false; at: number };

/** `mechanism`: least pivot against its original diagonal that still counts as held. */
export function factorBand(band: Band, mechanism = MECHANISM): Factored {
  const { size, width } = band;
  const a = band.rows.map((row) => Float64Array.from(row));
  // Left of the first entry of a row nothing ever comes in.
  const first = a.map((row, i) => {
    let k = Math.max(0, width - i);
    while (k < width && row[k] === 0) k += 1;
    return i - width + k;
  });
  let smallestPivotRatio = Infinity;
  for (let i = 0; i < size; i += 1) {
    const row = a[i]!;
    const from = first[i]!;
    // L·D first, so that each entry needs only entries already finished.
    for (let j = from; j < i; j += 1) {
      const other = a[j]!;
      let sum = row[width - (i - j)]!;
      for (let k = Math.max(from, first[j]!); k < j; k += 1) sum -= row[width - (i - k)]! * other[width - (j - k)]!;
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
    if (!(ratio > mechanism) || !(pivot > 0)) return { ok: false, at: i };
    smallestPivotRatio = Math.min(smallestPivotRatio, ratio);
    row[width] = pivot;
  }
  return {
    ok: true,
    smallestPivotRatio,
    solve: (load) => {
      const u = Array.from(load);
      for (let i = 0; i < size; i += 1) for (let k = first[i]!; k < i; k += 1) u[i]! -= a[i]![width - (i - k)]! * u[k]!;
      for (let i = 0; i < size; i += 1) u[i]! /= a[i]![width]!;
      for (let i = size - 1; i >= 0; i -= 1) for (let k = first[i]!; k < i; k += 1) u[k]! -= a[i]![width - (i - k)]! * u[i]!;
      return u;
    },
  };
}

export function solveBand(band: Band, load: ArrayLike<number>, mechanism = MECHANISM): Solution {
  const factored = factorBand(band, mechanism);
  if (!factored.ok) return factored;
  const u = factored.solve(load);
  let residual = 0;
  let scale = 0;
  for (let i = 0; i < band.size; i += 1) {
    residual = Math.max(residual, Math.abs(timesRow(band, i, u) - load[i]!));
    scale = Math.max(scale, Math.abs(load[i]!));
  }
  return { ok: true, u, residual: scale === 0 ? residual : residual / scale, smallestPivotRatio: factored.smallestPivotRatio };
}
