import { readNc1Blocks } from './nc1';
import { sectionByMeasures } from '../by-measures';
import { findSection } from '../sections';
import type { Asked, RowFault, SteelRows } from './rows';

/** Rows of one or many NC files; the same mark in two files is told, not added up. */
export function rowsOfNc(files: readonly { name: string; text: string }[]): SteelRows {
  const notes: RowFault[] = [];
  const found: SteelRows = { rows: [], faults: [], notes };
  const seen = new Map<string, string>();
  const asked: Asked[] = [];
  for (const { name, read } of files.flatMap(({ name, text }) => {
    const blocks = readNc1Blocks(text);
    return blocks.map((read, n) => ({ name: blocks.length > 1 ? `${name}, block ${n + 1}` : name, read }));
  })) {
    if (!read.ok) {
      found.faults.push({ from: name, error: read.error });
      continue;
    }
    const { mark, grade, count, profile, length, massPerLength, measures } = read.header;
    const before = seen.get(mark);
    if (before !== undefined) {
      found.faults.push({ from: name, error: `${mark} was already read from ${before}: one of the two is out of date. Leave one out.` });
      continue;
    }
    seen.set(mark, name);
    const known = findSection(profile) !== undefined || measures === null ? null : sectionByMeasures(measures);
    if (known) notes.push({ from: name, error: `${mark} is of “${profile}”: by its measures it is ${known.designation}.` });
    if (massPerLength === null)
      asked.push({ about: 'mass', question: 'What does it weigh? Line 15 of its file says nothing, or nothing its measures bear out.', marks: [mark] });
    found.rows.push({
      from: name,
      mark,
      section: known?.designation ?? profile,
      length,
      grade,
      count,
      mass: massPerLength === null ? null : massPerLength * length,
      order: null,
      place: '',
    });
  }
  return asked.length > 0 ? { ...found, asked } : found;
}
