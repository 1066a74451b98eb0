import { parseQuantity } from '../../units';
import { findSection } from '../sections';
import type { Columns } from './headings';

const isNumber = (cell: string): boolean => /^[-+]?[\d.,\s]*\d$/.test(cell);
const isGrade = (cell: string): boolean => /^(S\d{3}\w*|A\d{2,3}\w*|Gr(ade)?\.? ?\d+)$/i.test(cell);
const isListed = (cell: string): boolean => findSection(cell) !== undefined;

/** How long a cell would be, for telling lengths from counts: its decimals and its unit are settled later. */
function lengthLike(cell: string): number | null {
  const read = parseQuantity(cell, 'length', 'metric');
  if (read.ok) return read.value > 0 ? read.value : null;
  const bare = Number(cell.replace(/\s/g, '').replace(',', '.'));
  return isNumber(cell) && bare > 0 ? bare : null;
}

class Cells {
  readonly free: Set<number>;
  constructor(
    private readonly rows: readonly string[][],
    taken: readonly number[],
  ) {
    const wide = rows.reduce((most, row) => Math.max(most, row.length), 0);
    this.free = new Set(Array.from({ length: wide }, (_, i) => i).filter((i) => this.column(i).length > 0 && !taken.includes(i)));
  }
  column(i: number): string[] {
    return this.rows.map((row) => row[i] ?? '').filter((cell) => cell !== '');
  }
  share(i: number, fits: (cell: string) => boolean): number {
    const column = this.column(i);
    return column.filter(fits).length / Math.max(1, column.length);
  }
  /** The free column that scores most, no more free; none when none scores. */
  take(score: (i: number) => number): number | undefined {
    const [best] = [...this.free].map((i) => ({ i, score: score(i) })).sort((a, b) => b.score - a.score || a.i - b.i);
    if (!best || !(best.score > 0)) return undefined;
    this.free.delete(best.i);
    return best.i;
  }
  section = (): number | undefined => this.take((i) => (this.share(i, isListed) >= 0.5 ? this.share(i, isListed) : 0));
  mark = (): number | undefined =>
    this.take((i) => (this.share(i, isNumber) === 1 || this.share(i, isGrade) > 0.5 ? 0 : new Set(this.column(i)).size / this.column(i).length));
}

/** Columns told by what stands in them, where a table has no headings. A person sees the match and may change it. */
export function sniffColumns(all: readonly string[][]): Columns {
  const cells = new Cells(all.slice(0, 200), []);
  const section = cells.section();
  // Nothing tells a section from any other word: the usual order.
  if (section === undefined) return { mark: 0, section: 1, length: 2, count: 3 };
  const mark = cells.mark();
  const length = cells.take((i) => {
    const column = cells.column(i);
    const values = column.flatMap((cell) => lengthLike(cell) ?? []);
    // Whole numbers of one or two figures count pieces.
    if (values.length < column.length || cells.share(i, (cell) => /^\d{1,2}$/.test(cell)) === 1) return 0;
    return values.reduce((sum, one) => sum + one, 0) / values.length + (cells.share(i, isNumber) === 1 ? 0 : 1e6);
  });
  const count = cells.take((i) => cells.share(i, (cell) => /^\d{1,4}$/.test(cell)));
  const grade = cells.take((i) => (cells.share(i, isGrade) > 0.5 ? 1 : 0));
  return { mark, section, length, count, grade };
}

/** Mark and section under headings nobody here can read. Of figures nothing tells which is which: they are asked for. */
export function sniffNames(all: readonly string[][], known: Columns): Columns {
  const cells = new Cells(all.slice(0, 200), Object.values(known));
  const section = known.section ?? cells.section();
  return { ...known, section, mark: known.mark ?? (section === undefined ? undefined : cells.mark()) };
}
