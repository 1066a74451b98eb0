/** What an hour of a forecast says, by the name of the figure. */
export type Hour = Readonly<Record<string, number>>;

export interface Limit {
  of: string;
  bound: 'most' | 'least';
  value: number;
}

export interface Run {
  /** number of its first hour, from 0 */
  start: number;
  /** number of the hour after its last */
  end: number;
}

/** A value equal to its limit keeps it. */
export const keepsLimit = (hour: Hour, { of, bound, value }: Limit): boolean => (bound === 'most' ? hour[of]! <= value : hour[of]! >= value);

/** Hours one after the other that keep every limit. */
export function runsOf(hours: readonly Hour[], limits: readonly Limit[]): Run[] {
  const runs: Run[] = [];
  hours.forEach((hour, i) => {
    if (!limits.every((limit) => keepsLimit(hour, limit))) return;
    const last = runs.at(-1);
    if (last?.end === i) last.end = i + 1;
    else runs.push({ start: i, end: i + 1 });
  });
  return runs;
}

/** The longest, the earliest of several; null: no hour keeps every limit. */
export const longestOf = (runs: readonly Run[]): Run | null =>
  runs.reduce<Run | null>((best, run) => (best === null || run.end - run.start > best.end - best.start ? run : best), null);
