import { readNc1 } from './nc1';
import type { SteelRows } from './rows';

/** Rows of one or many NC files; the same mark in two files is told, not added up. */
export function rowsOfNc(files: readonly { name: string; text: string }[]): SteelRows {
  const found: SteelRows = { rows: [], faults: [] };
  const seen = new Map<string, string>();
  for (const { name, text } of files) {
    const read = readNc1(text);
    if (!read.ok) {
      found.faults.push({ from: name, error: read.error });
      continue;
    }
    const { mark, grade, count, profile, length, massPerLength } = read.header;
    const before = seen.get(mark);
    if (before !== undefined) {
      found.faults.push({ from: name, error: `${mark} was already read from ${before}: one of the two is out of date. Leave one out.` });
      continue;
    }
    seen.set(mark, name);
    found.rows.push({
      from: name,
      mark,
      section: profile,
      length,
      grade,
      count,
      mass: massPerLength === null ? null : massPerLength * length,
      order: null,
      place: '',
    });
  }
  return found;
}
