import { nearest } from '../calc/nearest';
import type { SectionRow } from './section-row';
import table from './sections.json' with { type: 'json' };

export const sections = table as SectionRow[];

const FAMILY_LAST = /^(\d.*?)(UB|UC|PFC|IPE|HEA|HEB|HEM)(\d+(?:\.\d+)?)?$/;

/**
 * One spelling for all the ways a mark is written: case, blanks, × and *, comma decimals, `HE 200 A`, `254x146x37 UB`,
 * `254x146 UB 37`, `HSS6x6x0.375`.
 */
export function normaliseMark(text: string): string {
  let mark = text
    .toUpperCase()
    .replace(/[×✕*]/g, 'X')
    .replace(/,/g, '.')
    .replace(/[\s\u00a0\u2009\u202f_]+/g, '');
  const he = /^HE(\d+)([ABM])$/.exec(mark);
  if (he) mark = `HE${he[2]}${he[1]}`;
  const last = FAMILY_LAST.exec(mark);
  if (last) mark = `${last[2]}${last[1]?.replace(/X$/, '')}${last[3] ? `X${last[3]}` : ''}`;
  const hss = /^(HSS.*X)(0?\.\d+)$/.exec(mark);
  if (hss) mark = hss[1] + sixteenths(Number(hss[2]));
  return mark;
}

function sixteenths(inches: number): string {
  for (const denominator of [1, 2, 4, 8, 16]) {
    const numerator = inches * denominator;
    if (Math.abs(numerator - Math.round(numerator)) < 1e-3) return `${Math.round(numerator)}/${denominator}`;
  }
  return String(inches);
}

const byMark = new Map(sections.map((row) => [normaliseMark(row.designation), row]));

export function findSection(designation: string): SectionRow | undefined {
  return byMark.get(normaliseMark(designation));
}

/** The listed designations nearest to a mark, for a person who mistyped it. Same family first. */
export function nearestSections(designation: string, count = 4): string[] {
  const mark = normaliseMark(designation);
  const family = /^[A-Z]+/.exec(mark)?.[0] ?? '';
  const marks = [...byMark.keys()];
  const near = nearest(
    mark,
    marks.filter((one) => one.startsWith(family)),
    count,
  );
  const found = near.length > 0 ? near : nearest(mark, marks, count);
  return found.map((one) => byMark.get(one)?.designation ?? one);
}

/** Sections whose mark contains every word typed, in table order; a start-of-mark match comes first. */
export function searchSections(text: string, limit = 60): SectionRow[] {
  const wanted = normaliseMark(text);
  if (wanted === '') return sections.slice(0, limit);
  const starts: SectionRow[] = [];
  const holds: SectionRow[] = [];
  for (const [mark, row] of byMark) {
    if (mark.startsWith(wanted)) starts.push(row);
    else if (mark.includes(wanted)) holds.push(row);
  }
  return [...starts, ...holds].slice(0, limit);
}
