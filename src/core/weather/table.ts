import Papa from 'papaparse';
import { metresPerSecondPer } from '../units';

/** A pasted table: its headings as written and in small letters, its rows, and how it writes its figures. */
export interface Table {
  heads: string[];
  names: string[];
  rows: string[][];
  number: (cell: string | undefined) => number | null;
}

/** Speeds as headings write their units, each with what one is in m/s. */
export const speeds: readonly (readonly [RegExp, number])[] = [
  [/m\s?\/\s?s|ms-1/, 1],
  [/km\s?\/\s?h|kph/, 1 / 3.6],
  [/mph/, metresPerSecondPer.mph],
  [/\bkn\b|\bkt\b|kts|knot/, 1852 / 3600],
];

/** What one of the unit in a heading is; null where it names none of them. */
export const inWords = (head: string, units: readonly (readonly [RegExp, number])[]): number | null => units.find(([name]) => name.test(head))?.[1] ?? null;

/** Null where there is no row under the headings. */
export function readTable(text: string): Table | null {
  const { data, meta } = Papa.parse<string[]>(text.replace(/^\ufeff/, '').trim(), { skipEmptyLines: 'greedy', delimitersToGuess: ['\t', ';', ',', '|'] });
  const [heads, ...rows] = data.map((row) => row.map((cell) => cell.trim()));
  if (!heads || rows.length === 0) return null;
  const number = (cell: string | undefined): number | null => {
    const plain = (cell ?? '').replace(/\u00a0/g, '').replace(meta.delimiter === ',' ? /$^/ : /,/, '.');
    return plain === '' || !Number.isFinite(Number(plain)) ? null : Number(plain);
  };
  return { heads, names: heads.map((head) => head.toLowerCase()), rows, number };
}
