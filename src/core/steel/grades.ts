import { pascalsPer } from '../units';

const ksi = (value: number): number => value * pascalsPer.ksi;

/** Nominal yield of structural grades; thinner than 40 mm. EN 1993-1-1 Table 3.1 and ASTM minimums, from memory. */
export const grades: readonly { name: string; yield: number; writes: RegExp }[] = [
  { name: 'S235', yield: 235e6, writes: /^s235(?!\d)/ },
  { name: 'S275', yield: 275e6, writes: /^s275(?!\d)/ },
  { name: 'S355', yield: 355e6, writes: /^s355(?!\d)/ },
  { name: 'S420', yield: 420e6, writes: /^s420(?!\d)/ },
  { name: 'S460', yield: 460e6, writes: /^s460(?!\d)/ },
  { name: 'A36', yield: ksi(36), writes: /^(astm)?a36$/ },
  { name: 'A992', yield: ksi(50), writes: /^(astm)?a992(?!\d)/ },
  { name: 'A572 Gr 50', yield: ksi(50), writes: /^(astm)?a572(gr|grade)?50$/ },
  { name: 'A500 Gr B', yield: ksi(46), writes: /^(astm)?a500(gr|grade)?b?$/ },
  { name: 'A500 Gr C', yield: ksi(50), writes: /^(astm)?a500(gr|grade)?c$/ },
];

/** What a grade yields at, however it is written (S275JR, s 275, ASTM A572 Gr. 50); null for a grade not known here. */
export function yieldOf(grade: string): number | null {
  const plain = grade.toLowerCase().replace(/[\s.\-–()]/g, '');
  return grades.find((one) => one.writes.test(plain))?.yield ?? null;
}
