/** Symmetric positive-definite systems by LDLᵀ, with the evidence that the answer can be trusted. */
export type Solution = { ok: true; u: number[]; residual: number; smallestPivotRatio: number } | { ok: false; at: number };

/** A pivot this small against its original diagonal means the structure moves freely there. */
const MECHANISM = 1e-11;

export function solveSymmetric(matrix: readonly (readonly number[])[], load: readonly number[]): Solution {
  const n = load.length;
  const a = matrix.map((row) => [...row]);
  const original = a.map((row, i) => row[i] ?? 0);
  let smallestPivotRatio = Infinity;
  for (let j = 0; j < n; j += 1) {
    const rowJ = a[j]!;
    for (let k = 0; k < j; k += 1) rowJ[j]! -= a[j]![k]! ** 2 * a[k]![k]!;
    const ratio = rowJ[j]! / (original[j]! || 1);
    if (!(ratio > MECHANISM)) return { ok: false, at: j };
    smallestPivotRatio = Math.min(smallestPivotRatio, ratio);
    for (let i = j + 1; i < n; i += 1) {
      const rowI = a[i]!;
      let sum = rowI[j]!;
      for (let k = 0; k < j; k += 1) sum -= rowI[k]! * rowJ[k]! * a[k]![k]!;
      rowI[j] = sum / rowJ[j]!;
    }
  }
  const u = [...load];
  for (let i = 0; i < n; i += 1) for (let k = 0; k < i; k += 1) u[i]! -= a[i]![k]! * u[k]!;
  for (let i = 0; i < n; i += 1) u[i]! /= a[i]![i]!;
  for (let i = n - 1; i >= 0; i -= 1) for (let k = i + 1; k < n; k += 1) u[i]! -= a[k]![i]! * u[k]!;
  let residual = 0;
  let scale = 0;
  for (let i = 0; i < n; i += 1) {
    const got = matrix[i]!.reduce((sum, value, k) => sum + value * u[k]!, 0);
    residual = Math.max(residual, Math.abs(got - load[i]!));
    scale = Math.max(scale, Math.abs(load[i]!));
  }
  return { ok: true, u, residual: scale === 0 ? residual : residual / scale, smallestPivotRatio };
}
