import { nearest } from '../calc/nearest';
import { meantBy, normaliseMark } from './marks';
import type { SectionRow } from './section-row';
import table from './sections.json' with { type: 'json' };

export const sections = table as SectionRow[];

const byMark = new Map(sections.map((row) => [normaliseMark(row.designation), row]));

export function findSection(designation: string): SectionRow | undefined {
  const mark = normaliseMark(designation);
  return byMark.get(mark) ?? meantBy(mark, sections);
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

/** Parts of a mark as a person types them: letters and numbers, in any order. */
const partsOf = (mark: string): string[] => mark.toUpperCase().match(/[A-WYZ]+|\d+(?:[./]\d+)?/g) ?? [];

/** Sections that begin with what is typed, then those that hold every part of it: “533 92” finds UB 533x210x92. In table order. */
export function searchSections(text: string, limit = 60): SectionRow[] {
  const wanted = normaliseMark(text);
  if (wanted === '') return sections.slice(0, limit);
  const exact = findSection(text);
  const parts = partsOf(text.replace(/[×✕*]/g, 'x').replace(/,/g, '.'));
  const starts: SectionRow[] = [];
  const holds: SectionRow[] = [];
  for (const [mark, row] of byMark) {
    if (row === exact) continue;
    if (mark.startsWith(wanted)) starts.push(row);
    else {
      const own = partsOf(mark);
      if (mark.includes(wanted) || (parts.length > 0 && parts.every((part) => own.some((one) => one.startsWith(part))))) holds.push(row);
    }
  }
  return [...(exact ? [exact] : []), ...starts, ...holds].slice(0, limit);
}
