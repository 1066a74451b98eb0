/** Fewest columns that make a printed list one. */
const COLUMNS = 3;
/** No printed line is longer, and one between tabs is not lined up with blanks. */
const WIDEST = 1000;
const chunks = (line: string): number => line.trim().split(/\s{2,}/).length;

/**
 * A list printed for the eye, its columns lined up with blanks: cut where every line of it has two blanks or more under one another.
 * Null when it is no such list.
 */
export function fixedWidth(text: string): string[][] | null {
  const lines = text.split(/\r\n|\r|\n/).map((line) => line.replace(/\u00a0/g, ' ').trimEnd());
  const rows = lines.filter((line) => chunks(line) >= COLUMNS);
  if (rows.length < 2) return null;
  const wide = rows.reduce((most, line) => Math.max(most, line.length), 0);
  if (wide > WIDEST || rows.some((line) => line.includes('\t'))) return null;
  const blank = (at: number) => rows.every((line) => (line[at] ?? ' ') === ' ');
  const cuts: number[] = [];
  for (let at = 0; at < wide; at += 1) {
    let end = at;
    while (end < wide && blank(end)) end += 1;
    if (end - at >= 2 && end < wide) cuts.push(end);
    if (end > at) at = end;
  }
  if (cuts.length < COLUMNS - 1) return null;
  const from = [0, ...cuts.filter((cut) => cut > 0)];
  return lines.map((line) => (line.trim() === '' ? [''] : from.map((start, i) => line.slice(start, from[i + 1]))));
}
