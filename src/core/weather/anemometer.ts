import { inWords, readTable, speeds } from './table';

/** One reading of an anemometer: local time in ms since 1970 as if it were universal, and the wind in it [m/s]. */
export interface Reading {
  at: number;
  gust: number;
}

/** What the wind is now: the greatest reading of the last ten minutes; or why nobody knows. */
export type WindNow = { gust: number; at: number } | { unknown: 'nothing read' | 'too old'; newest: number | null };

/** Readings this far back count: a gust comes again [ms]. */
export const COUNTS = 10 * 60e3;
/** With no reading newer than this nothing is known of the wind now [ms]. */
export const FRESH = 2 * 60e3;

export function windNow(readings: readonly Reading[], now: number): WindNow {
  const past = readings.filter(({ at }) => at <= now);
  const newest = past.reduce<number | null>((last, { at }) => (last === null || at > last ? at : last), null);
  if (newest === null) return { unknown: 'nothing read', newest };
  if (now - newest > FRESH) return { unknown: 'too old', newest };
  return past.filter(({ at }) => now - at <= COUNTS).reduce((worst, one) => (one.gust > worst.gust ? one : worst));
}

export type ReadReadings = { ok: true; readings: Reading[] } | { ok: false; error: string };
const refused = (error: string): ReadReadings => ({ ok: false, error });
/** No more rows than this are read: two days at ten seconds. */
const MOST = 20_000;

/** Readings from a table of any instrument: a column of times and one of the wind or its gusts, with its unit. A time alone is of `day`. */
export function readReadings(text: string, day: string): ReadReadings {
  const table = readTable(text);
  if (!table) return refused('There is no table: give a row of headings, then a row for each reading.');
  const { heads, names, rows, number } = table;
  const find = (words: RegExp) => names.findIndex((name) => words.test(name));
  const time = find(/time|date|hour/);
  const mean = /mean|avg|average/;
  const wind = find(/gust/) >= 0 ? find(/gust/) : names.findIndex((name) => /wind|speed/.test(name) && !/direction/.test(name) && !mean.test(name));
  if (time < 0) return refused('No column is of the time: head it “time”.');
  if (wind < 0)
    return refused(
      find(mean) >= 0
        ? 'There is a mean wind, and no gusts: a mean is not what stops a lift. Give the column of gusts.'
        : 'No column is of the wind: head it “gust (m/s)”.',
    );
  const per = inWords(names[wind]!, speeds);
  if (per === null) return refused(`What unit is the wind in? Say it in the heading “${heads[wind]}”: m/s, km/h, mph or kn.`);
  if (rows.length > MOST) return refused(`There are ${rows.length} readings: ${MOST} are read at the most. Take the newest.`);
  const readings: Reading[] = [];
  for (const [n, row] of rows.entries()) {
    const said = /^(?:(\d{4}-\d{2}-\d{2})[T ])?(\d{1,2}):(\d{2})(?::(\d{2}))?/.exec(row[time] ?? '');
    const at = said ? Date.parse(`${said[1] ?? day}T${said[2]!.padStart(2, '0')}:${said[3]}:${said[4] ?? '00'}Z`) : NaN;
    if (Number.isNaN(at)) return refused(`Row ${n + 2}: “${row[time] ?? ''}” is no time that is read: write 2026-11-29 06:20:10, or 06:20:10.`);
    const blows = number(row[wind]);
    if (blows === null || blows < 0 || blows * per > 100) return refused(`Row ${n + 2}: “${row[wind] ?? ''}” is no wind.`);
    readings.push({ at, gust: blows * per });
  }
  return { ok: true, readings };
}

/** From one reading of the made-up anemometer to the next [ms]. */
export const EVERY = 10e3;

/** A made-up anemometer, to try the program with: at the same moment it always reads the same, calm with a gust now and then. */
export function madeUpReadings(now: number): Reading[] {
  const last = Math.floor(now / EVERY);
  return Array.from({ length: COUNTS / EVERY }, (_, n): Reading => {
    const tick = last - (COUNTS / EVERY - 1 - n);
    const swell = 4 + Math.sin(tick / 40) + 0.6 * Math.sin(tick / 7);
    const gusts = tick % 23 === 0 ? 2.5 : 0;
    return { at: tick * EVERY, gust: Math.round((swell + gusts) * 10) / 10 };
  });
}
