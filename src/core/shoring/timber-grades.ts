import type { RuleSetId } from '../rules/rule-sets';

/** Reference values of sawn timber, Pa. American: NDS Supplement Table 4A. European: EN 338. All from memory. */
export interface TimberValues {
  /** along the grain */
  fc: number;
  /** square to the grain */
  fcPerp: number;
  fb: number;
  fv: number;
  /** American: E_min for stability. European: E_0.05 */
  eLow: number;
  /** mean */
  e: number;
  /** American: specific gravity (NDS Table 12.3.3A). European: characteristic density, kg/m³ */
  dense: number;
}

const psi = 6894.757293168;
const american = (fc: number, fcPerp: number, fb: number, fv: number, eLow: number, e: number, dense: number): TimberValues => ({
  fc: fc * psi,
  fcPerp: fcPerp * psi,
  fb: fb * psi,
  fv: fv * psi,
  eLow: eLow * psi,
  e: e * psi,
  dense,
});
const european = (fc: number, fcPerp: number, fb: number, fv: number, eLow: number, e: number, dense: number): TimberValues => ({
  fc: fc * 1e6,
  fcPerp: fcPerp * 1e6,
  fb: fb * 1e6,
  fv: fv * 1e6,
  eLow: eLow * 1e9,
  e: e * 1e9,
  dense,
});

export const timberGrades = ['SPF No.2', 'SPF Stud', 'DF-L No.2', 'HF No.2', 'C16', 'C24'] as const;
export type TimberGrade = (typeof timberGrades)[number];

const table: Record<TimberGrade, { rules: RuleSetId; values: TimberValues }> = {
  'SPF No.2': { rules: 'us-asd', values: american(1150, 425, 875, 135, 510e3, 1.4e6, 0.42) },
  'SPF Stud': { rules: 'us-asd', values: american(725, 425, 675, 135, 440e3, 1.2e6, 0.42) },
  'DF-L No.2': { rules: 'us-asd', values: american(1350, 625, 900, 180, 580e3, 1.6e6, 0.5) },
  'HF No.2': { rules: 'us-asd', values: american(1300, 405, 850, 150, 470e3, 1.3e6, 0.43) },
  C16: { rules: 'eu-ls', values: european(17, 2.2, 16, 3.2, 5.4, 8, 310) },
  C24: { rules: 'eu-ls', values: european(21, 2.5, 24, 4, 7.4, 11, 350) },
};

export const TIMBER_SOURCE: Record<RuleSetId, string> = {
  'us-asd': 'NDS Supplement Table 4A, from memory',
  'eu-ls': 'EN 338, from memory',
};

/** A grade graded to the other code has no values in this one. */
export const timberValues = (grade: TimberGrade, rules: RuleSetId): TimberValues | null => (table[grade].rules === rules ? table[grade].values : null);

/** NDS Table 4A size factors by depth, dressed inches: for compression and for bending. Stud grade has its own. */
export function sizeFactors(grade: TimberGrade, depth: number): { compression: number; bending: number } {
  const inches = depth / 0.0254;
  if (grade === 'SPF Stud') return inches <= 4 ? { compression: 1.05, bending: 1.1 } : { compression: 1, bending: 1 };
  if (inches <= 3.6) return { compression: 1.15, bending: 1.5 };
  if (inches <= 4.6) return { compression: 1.1, bending: 1.4 };
  if (inches <= 5.6) return { compression: 1.1, bending: 1.3 };
  if (inches <= 7.6) return { compression: 1.05, bending: 1.2 };
  if (inches <= 9.6) return { compression: 1, bending: 1.1 };
  if (inches <= 11.6) return { compression: 1, bending: 1 };
  return { compression: 0.9, bending: 0.9 };
}
