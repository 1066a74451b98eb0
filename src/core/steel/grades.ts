/** Nominal yield of structural grades; thinner than 40 mm. EN 1993-1-1 Table 3.1 and ASTM minimums, from memory. */
const grades: readonly { name: string; yield: number; writes: RegExp }[] = [
  { name: 'S235', yield: 235e6, writes: /^s235/ },
  { name: 'S275', yield: 275e6, writes: /^s275/ },
  { name: 'S355', yield: 355e6, writes: /^s355/ },
  { name: 'S420', yield: 420e6, writes: /^s420/ },
  { name: 'S460', yield: 460e6, writes: /^s460/ },
  { name: 'A36', yield: 248.2e6, writes: /^(astm)?a36$/ },
  { name: 'A992', yield: 344.7e6, writes: /^(astm)?a992/ },
  { name: 'A572 Gr 50', yield: 344.7e6, writes: /^(astm)?a572(gr|grade)?50$/ },
  { name: 'A500 Gr B', yield: 317.2e6, writes: /^(astm)?a500(gr|grade)?b?$/ },
  { name: 'A500 Gr C', yield: 344.7e6, writes: /^(astm)?a500(gr|grade)?c$/ },
];

/** What a grade yields at, however it is written (S275JR, s 275, ASTM A572 Gr. 50); null for a grade not known here. */
export function yieldOf(grade: string): number | null {
  const plain = grade.toLowerCase().replace(/[\s.\-–()]/g, '');
  return grades.find((one) => one.writes.test(plain))?.yield ?? null;
}
