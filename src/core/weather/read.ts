import { inWords, readTable, speeds } from './table';

export interface ForecastHour {
  /** local time at which it begins: 2026-11-29T06:00 */
  at: string;
  /** strongest in it [m/s] */
  gust: number;
  /** in it [m]; null: not said */
  rain: number | null;
  /** [K]; null: not said */
  temp: number | null;
}

export type ReadForecast = { ok: true; hours: ForecastHour[] } | { ok: false; error: string };

const ZERO_CELSIUS = 273.15;
const MOST = 400;

const depths: readonly (readonly [RegExp, number])[] = [
  [/mm/, 1e-3],
  [/\bin\b|inch/, 0.0254],
];

const refused = (error: string): ReadForecast => ({ ok: false, error });

/** Hours of a forecast from a table of any service: a column of times, one of gusts, and of rain and temperature where it has them, each with its unit. */
export function readForecast(text: string): ReadForecast {
  const table = readTable(text);
  if (!table) return refused('There is no table: give a row of headings, then a row for each hour.');
  const { heads, names, rows, number } = table;
  const find = (words: RegExp) => names.findIndex((name) => words.test(name));
  const [time, rain, temp] = [find(/time|hour|date/), find(/rain|precip/), find(/temp/)];
  const gust = find(/gust/);
  if (time < 0) return refused('No column is of the time: head it “time”.');
  if (gust < 0)
    return refused(
      find(/wind/) < 0
        ? 'No column is of gusts: head it “gust (m/s)”.'
        : 'There is a wind, and no gusts: a mean wind is not what stops a lift. Give the column of gusts.',
    );
  const perSpeed = inWords(names[gust]!, speeds);
  if (perSpeed === null) return refused(`What unit are the gusts in? Say it in the heading “${heads[gust]}”: m/s, km/h, mph or kn.`);
  const perDepth = rain < 0 ? 1 : inWords(names[rain]!, depths);
  if (perDepth === null) return refused(`What unit is the rain in? Say it in the heading “${heads[rain]}”: mm or in.`);
  const fahrenheit = temp >= 0 && /°?\s?f\b|fahrenheit/.test(names[temp]!);
  if (temp >= 0 && !fahrenheit && !/°?\s?c\b|celsius/.test(names[temp]!))
    return refused(`What unit is the temperature in? Say it in the heading “${heads[temp]}”: °C or °F.`);
  if (rows.length > MOST) return refused(`There are ${rows.length} hours: ${MOST} are read at the most. Take those of the days in question.`);
  const hours: ForecastHour[] = [];
  for (const [n, row] of rows.entries()) {
    const said = /^(\d{4}-\d{2}-\d{2})[T ](\d{1,2})(?::(\d{2}))?/.exec(row[time] ?? '');
    if (!said) return refused(`Row ${n + 2}: “${row[time] ?? ''}” is no time that is read: write 2026-11-29 06:00.`);
    if ((said[3] ?? '00') !== '00') return refused(`Row ${n + 2}: “${row[time]}” does not begin on the hour: give hours.`);
    const at = `${said[1]}T${said[2]!.padStart(2, '0')}:00`;
    if (Number.isNaN(Date.parse(`${at}Z`))) return refused(`Row ${n + 2}: “${row[time]}” is no day or no hour.`);
    const last = hours.at(-1);
    if (last && Date.parse(`${at}Z`) - Date.parse(`${last.at}Z`) !== 3600e3)
      return refused(
        `Row ${n + 2}: ${at.replace('T', ' ')} does not follow ${last.at.replace('T', ' ')} by an hour: one is left out, or the table is in another order.`,
      );
    const blows = number(row[gust]);
    if (blows === null || blows < 0 || blows * perSpeed > 100) return refused(`Row ${n + 2}: “${row[gust] ?? ''}” is no gust.`);
    const falls = rain < 0 ? null : number(row[rain]);
    if (falls !== null && (falls < 0 || falls * perDepth > 0.5)) return refused(`Row ${n + 2}: “${row[rain]}” is no rain of an hour.`);
    const warm = temp < 0 ? null : number(row[temp]);
    const kelvin = warm === null ? null : fahrenheit ? ((warm - 32) * 5) / 9 + ZERO_CELSIUS : warm + ZERO_CELSIUS;
    if (kelvin !== null && (kelvin < 200 || kelvin > 340)) return refused(`Row ${n + 2}: “${row[temp]}” is no temperature of air.`);
    hours.push({ at, gust: blows * perSpeed, rain: falls === null ? null : falls * perDepth, temp: kelvin });
  }
  return { ok: true, hours };
}
