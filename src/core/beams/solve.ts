/** Symmetric positive-definite band matrices by LDLᵀ, with the evidence that the answer can be trusted. */
export type Solution = { ok: true; u: Float64Array; residual: number; smallestPivotRatio: number } | { ok: false; at: number };

/** Lower half of a symmetric matrix of half-width `width`, its rows one after the other: row i holds columns i − width … i. */
export interface Band {
  size: number;
  width: number;
  entries: Float64Array;
}

export const emptyBand = (size: number, width: number): Band => ({ size, width, entries: new Float64Array(size * (width + 1)) });
export const copyBand = ({ size, width, entries }: Band): Band => ({ size, width, entries: entries.slice() });

/** Where in a band of that half-width an entry stands; the matrix is symmetric, so either half may be named. */
export function placeIn(width: number, i: number, j: number): number {
  const low = i >= j ? i : j;
  const high = i >= j ? j : i;
  if (low - high > width) throw new RangeError(`entry ${i}, ${j} is outside a band of ${width}`);
  return (low + 1) * width + high;
}

export function addTo({ width, entries }: Band, i: number, j: number, value: number): void {
  entries[placeIn(width, i, j)]! += value;
}

/** Row i of the matrix times u. */
export function timesRow({ size, width, entries }: Band, i: number, u: ArrayLike<number>): number {
  let sum = 0;
  const row = (i + 1) * width;
  for (let j = Math.max(0, i - width); j <= i; j += 1) sum += entries[row + j]! * u[j]!;
  for (let j = i + 1; j <= Math.min(size - 1, i + width); j += 1) sum += entries[(j + 1) * width + i]! * u[j]!;
  return sum;
}

/** A pivot this small against its original diagonal means the structure moves freely there. */
const MECHANISM = 1e-11;

/** A matrix made ready to be solved for as many loads as there are. */
export type Factored = { ok: true; smallestPivotRatio: number; solve: (load: ArrayLike<number>) => Float64Array } | { ok: false; at: number };

/** `mechanism`: least pivot against its original diagonal that still counts as held. The band is used up: its entries become those of LDLᵀ. */
export function factorUp({ size, width, entries: a }: Band, mechanism = MECHANISM): Factored {
  // Left of the first entry of a row nothing ever comes in.
  const first = new Int32Array(size);
  let smallestPivotRatio = Infinity;
  for (let i = 0; i < size; i += 1) {
    const row = (i + 1) * width;
    let from = Math.max(0, i - width);
    while (from < i && a[row + from] === 0) from += 1;
    first[i] = from;
    // L·D first, so that each entry needs only entries already finished.
    for (let j = from; j < i; j += 1) {
      const other = (j + 1) * width;
      let sum = a[row + j]!;
      for (let k = Math.max(from, first[j]!); k < j; k += 1) sum -= a[row + k]! * a[other + k]!;
      a[row + j] = sum;
    }
    const diagonal = a[row + i]!;
    let pivot = diagonal;
    for (let j = from; j < i; j += 1) {
      const scaled = a[row + j]!;
      const l = scaled / a[(j + 1) * width + j]!;
      pivot -= l * scaled;
      a[row + j] = l;
    }
    const ratio = pivot / (diagonal || 1);
    if (!(ratio > mechanism) || !(pivot > 0)) return { ok: false, at: i };
    if (ratio < smallestPivotRatio) smallestPivotRatio = ratio;
    a[row + i] = pivot;
  }
  return {
    ok: true,
    smallestPivotRatio,
    solve: (load) => {
      const u = Float64Array.from(load);
      for (let i = 0; i < size; i += 1) {
        const row = (i + 1) * width;
        let sum = u[i]!;
        for (let k = first[i]!; k < i; k += 1) sum -= a[row + k]! * u[k]!;
        u[i] = sum;
      }
      for (let i = 0; i < size; i += 1) u[i]! /= a[(i + 1) * width + i]!;
      for (let i = size - 1; i >= 0; i -= 1) {
        const row = (i + 1) * width;
        const one = u[i]!;
        if (one !== 0) for (let k = first[i]!; k < i; k += 1) u[k]! -= a[row + k]! * one;
      }
      return u;
    },
  };
}

export function solveBand(band: Band, load: ArrayLike<number>, mechanism = MECHANISM): Solution {
  const factored = factorUp(copyBand(band), mechanism);
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
