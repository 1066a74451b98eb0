import type { Unit } from './units';

/** A stud further than this along the line from the nearest below it stands on the floor between them, over none: metres. */
export const STANDS_OVER_WITHIN = 0.7;

/** For each unit, those of the storey above that stand over it, by number: each stands over the nearest on its side. */
export function standingOver(units: readonly Unit[]): number[][] {
  const over = units.map((): number[] => []);
  units.forEach((unit, n) => {
    if (!unit.above) return;
    const below = unit.above.storey - 1;
    let nearest = -1;
    let apart = STANDS_OVER_WITHIN;
    units.forEach((one, i) => {
      const level = one.above?.storey ?? 0;
      if (level !== below || one.side !== unit.side || i === n) return;
      const gap = Math.abs(one.x - unit.x);
      if (gap < apart) [nearest, apart] = [i, gap];
    });
    over[nearest]?.push(n);
  });
  return over;
}

/** What a stud of a storey above carries: its own until it goes, less what stood on it and has gone. */
export function ownLoad(units: readonly Unit[], over: readonly number[][], n: number, gone: ReadonlySet<number>): number {
  if (gone.has(n)) return 0;
  const lost = over[n]!.filter((i) => gone.has(i)).reduce((sum, i) => sum + units[i]!.load, 0);
  return Math.max(0, units[n]!.load - lost);
}

/** A shore struck from under one that still stands on it. */
export function under(
  units: readonly Unit[],
  over: readonly number[][],
  own: readonly number[],
  gone: ReadonlySet<number>,
): { lower: string; upper: string } | null {
  for (const n of own) {
    const i = over[n]!.find((one) => !gone.has(one) && (units[one]!.above?.lays ?? 0) > 0);
    if (i !== undefined) return { lower: `${units[n]!.name} ${units[n]!.number}`, upper: `${units[i]!.name} ${units[i]!.number}` };
  }
  return null;
}
