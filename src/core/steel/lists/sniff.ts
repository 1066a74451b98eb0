import { parseQuantity } from '../../units';
import { findSection } from '../sections';
import type { Columns } from './headings';

/** Columns told by what stands in them, where a table has no headings. A person sees the match and may change it. */
export function sniffColumns(cells: readonly string[][]): Columns {
  const rows = cells.slice(0, 200);
  const wide = Math.max(0, ...rows.map((row) => row.length));
  const column = (i: number) => rows.map((row) => row[i] ?? '').filter((cell) => cell !== '');
  const free = new Set(Array.from({ length: wide }, (_, i) => i).filter((i) => column(i).length > 0));
  const share = (i: number, fits: (cell: string) => boolean) => column(i).filter(fits).length / Math.max(1, column(i).length);
  const take = (score: (i: number) => number): number | undefined => {
    const best = [...free].map((i) => ({ i, score: score(i) })).sort((a, b) => b.score - a.score || a.i - b.i)[0];
    if (!best || !(best.score > 0)) return undefined;
    free.delete(best.i);
    return best.i;
  };
  const section = take((i) => (share(i, (cell) => findSection(cell) !== undefined) >= 0.5 ? share(i, (cell) => findSection(cell) !== undefined) : 0));
  // Nothing tells a section from any other word: the usual order.
  if (section === undefined) return { mark: 0, section: 1, length: 2, count: 3 };
  const number = (cell: string) => /^[-+]?[\d.,\s]*\d$/.test(cell);
  const mark = take((i) => (share(i, number) === 1 ? 0 : (new Set(column(i)).size / column(i).length) * (share(i, isGrade) > 0.5 ? 0 : 1)));
  const length = take((i) => {
    const read = column(i).map((cell) => parseQuantity(cell, 'length', 'metric'));
    const values = read.flatMap((one) => (one.ok && one.value > 0 ? [one.value] : []));
    return values.length < column(i).length ? 0 : values.reduce((sum, one) => sum + one, 0) / values.length + (share(i, number) === 1 ? 0 : 1e6);
  });
  const count = take((i) => share(i, (cell) => /^\d{1,4}$/.test(cell)));
  const grade = take((i) => (share(i, isGrade) > 0.5 ? 1 : 0));
  return { mark, section, length, count, grade };
}

const isGrade = (cell: string): boolean => /^(S\d{3}\w*|A\d{2,3}\w*|Gr(ade)?\.? ?\d+)$/i.test(cell);
