import type { AboutKind, Check } from '../../verdict/check';
import type { about, place } from './places';
import type { Numbers } from './worst';

/** One thing that is said: a finished row, or numbers that are put in words only where they are the worst of all moves. */
export type Row = Check | { id: string; kind: AboutKind; thing: string; part: string | undefined; numbers: Numbers; tell: () => Check };
export const isTold = (row: Row): row is Check => 'verdict' in row;

export type At = (id: string, of: ReturnType<typeof about>, calc?: string) => ReturnType<typeof place>;

/** The worst of alike rows, and every other that is no longer clear: so that a large frame says what counts. */
export const worstRows = (rows: readonly { row: Row; ratio: number }[], caution: number): Row[] => {
  const worst = rows.reduce<{ row: Row; ratio: number } | null>((most, one) => (most === null || one.ratio > most.ratio ? one : most), null);
  return rows.filter((one) => one === worst || !(one.ratio < caution)).map(({ row }) => row);
};
