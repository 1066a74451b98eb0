import { pascalsPer } from '../units';

const ksi = (value: number): number => value * pascalsPer.ksi;

/** What a grade yields at by the thickness of its thickest part: thicker, it yields at less; past `most` its table says nothing. */
interface Grade {
  name: string;
  yield: number;
  writes: RegExp;
  thick?: { over: number; yield: number; most: number };
}

/** EN 1993-1-1 Table 3.1 has two columns, up to 40 mm and up to 80 mm. */
const en = (name: string, thin: number, thick: number, writes: RegExp): Grade => ({
  name,
  yield: thin * 1e6,
  writes,
  thick: { over: 0.04, yield: thick * 1e6, most: 0.08 },
});
const INCH = 0.0254;

/** Nominal yield of structural grades. EN 1993-1-1 Table 3.1 and ASTM minimums, from memory. */
export const grades: readonly Grade[] = [
  en('S235', 235, 215, /^s235(?!\d)/),
  en('S275', 275, 255, /^s275(?!\d)/),
  en('S355', 355, 335, /^s355(?!\d)/),
  en('S420', 420, 390, /^s420(?!\d)/),
  en('S460', 460, 430, /^s460(?!\d)/),
  { name: 'A36', yield: ksi(36), writes: /^(astm)?a36$/, thick: { over: 8 * INCH, yield: ksi(32), most: Infinity } },
  { name: 'A992', yield: ksi(50), writes: /^(astm)?a992(?!\d)/ },
  { name: 'A572 Gr 50', yield: ksi(50), writes: /^(astm)?a572(gr|grade)?50$/, thick: { over: 4 * INCH, yield: ksi(50), most: 4 * INCH } },
  { name: 'A709 Gr 36', yield: ksi(36), writes: /^(astm)?a709(gr|grade)?36$/, thick: { over: 4 * INCH, yield: ksi(36), most: 4 * INCH } },
  { name: 'A709 Gr 50', yield: ksi(50), writes: /^(astm)?a709(gr|grade)?50$/, thick: { over: 4 * INCH, yield: ksi(50), most: 4 * INCH } },
  { name: 'A500 Gr B', yield: ksi(46), writes: /^(astm)?a500(gr|grade)?b?$/ },
  { name: 'A500 Gr C', yield: ksi(50), writes: /^(astm)?a500(gr|grade)?c$/ },
];

/** A thickness this little over a limit is at it [m]. */
const AT = 1e-6;

/**
 * What a grade yields at, however it is written (S275JR, s 275, ASTM A572 Gr. 50), in steel so thick; null for a grade not known here, and
 * where its table says nothing of that thickness.
 */
export function yieldOf(grade: string, thickness = 0): number | null {
  const plain = grade.toLowerCase().replace(/[\s.\-–()]/g, '');
  const found = grades.find((one) => one.writes.test(plain));
  if (!found) return null;
  const { thick } = found;
  if (!thick || thickness <= thick.over + AT) return found.yield;
  return thickness <= thick.most + AT ? thick.yield : null;
}
