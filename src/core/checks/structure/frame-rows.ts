import type { AboutKind, Check } from '../../verdict/check';
import type { Phrase } from '../../calc/work';
import type { Trace } from '../../calc/evidence';
import type { Beam, Joint } from '../../document/schema';
import type { QuantityKind } from '../../units';
import { ratioCheck, told } from '../../verdict/build';
import { about, type place } from './places';
import { exceeds, type Numbers } from './worst';

/** One thing that is said: a finished row, or numbers that are put in words only where they are the worst of all moves. */
export type Row = Check | { id: string; kind: AboutKind; thing: string; part: string | undefined; numbers: Numbers; tell: () => Check };
export const isTold = (row: Row): row is Check => 'verdict' in row;

export type At = (id: string, of: ReturnType<typeof about>, calc?: string) => ReturnType<typeof place>;

/** The worst of alike rows, and every other that is no longer clear: so that a large frame says what counts. */
export const worstRows = (rows: readonly Rated[], caution: number): Row[] => {
  const worst = rows.reduce<Rated | null>((most, one) => (most === null || exceeds(one.ratio, most.ratio) ? one : most), null);
  return rows.filter((one) => one === worst || !(one.ratio < caution)).map(({ row }) => row);
};

export interface Rated {
  row: Row;
  ratio: number;
}

/** Numbers about a thing, put in words only where they are told; with no capacity at all they use it up. */
export function rated(
  { id, kind, thing, numbers }: { id: string; kind: 'beam' | 'joint'; thing: Beam | Joint; numbers: Numbers & { quantity: QuantityKind } },
  at: At,
  words: () => Phrase,
  traces: () => readonly Trace[] = () => [],
): Rated {
  const name = 'mark' in thing ? thing.mark : thing.name;
  return {
    ratio: numbers.capacity > 0 ? numbers.demand / numbers.capacity : Infinity,
    row: {
      id,
      kind,
      thing: thing.id,
      part: undefined,
      numbers,
      tell: () => ratioCheck(at(id, about(kind, thing, name)), numbers, told(words()), [...traces()]),
    },
  };
}

/** What has to be known first: it is told before anything that is worked out. */
export const askedFirst = (row: Check): Rated => ({ row, ratio: Infinity });
