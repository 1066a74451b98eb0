/** Imperfection factors α of the European buckling curves, EN 1993-1-1 Tables 6.1 and 6.3. */
export const curves = { a0: 0.13, a: 0.21, b: 0.34, c: 0.49, d: 0.76 } as const;
export type CurveName = keyof typeof curves;

/** χ = 1/(φ + √(φ² − λ²)) ≤ 1, φ = ½(1 + α(λ − 0.2) + λ²); 1 up to λ = 0.2. */
export function reduction(relativeSlenderness: number, curve: CurveName): number {
  if (relativeSlenderness <= 0.2) return 1;
  const phi = 0.5 * (1 + curves[curve] * (relativeSlenderness - 0.2) + relativeSlenderness ** 2);
  return Math.min(1, 1 / (phi + Math.sqrt(phi ** 2 - relativeSlenderness ** 2)));
}
