import type { Forecast, Shift } from '../document/things/forecast';
import type { Plan } from '../document/schema';

/** Hours of a forecast that lie in a shift. */
export const hoursIn = ({ hours }: Forecast, { from, to }: Shift) => hours.filter(({ at }) => at >= from && at < to);

const HOUR = 3600e3;
/** So many hours after an hour; nothing where that is no hour of any day. */
export const hourAfter = (at: string, hours: number): string => {
  const time = Date.parse(`${at}Z`) + hours * HOUR;
  return Number.isFinite(time) ? `${new Date(time).toISOString().slice(0, 13)}:00` : '';
};

/** Whether each hour of a shift is in the forecast: one twice does not stand for one that is left out, and a day there is not has no hours. */
export function isCovered(forecast: Forecast, shift: Shift): boolean {
  const there = new Set(hoursIn(forecast, shift).map(({ at }) => at));
  const wanted = Math.round((Date.parse(`${shift.to}Z`) - Date.parse(`${shift.from}Z`)) / HOUR);
  // Of more hours than there are some are left out, however many a mistyped year asks for.
  return wanted > 0 && wanted <= there.size && Array.from({ length: wanted }, (_, n) => hourAfter(shift.from, n)).every((at) => there.has(at));
}

/** The strongest gust forecast in the shift [m/s]; null where there is no forecast by the hour, or no shift. */
export function shiftGust({ forecast, shift }: Plan['site']): number | null {
  if (!forecast || !shift) return null;
  const gusts = hoursIn(forecast, shift).map(({ gust }) => gust);
  return gusts.length === 0 ? null : Math.max(...gusts);
}
