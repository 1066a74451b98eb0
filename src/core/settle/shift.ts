import type { Forecast, Shift } from '../document/things/forecast';
import type { Plan } from '../document/schema';

/** Hours of a forecast that lie in a shift. */
export const hoursIn = ({ hours }: Forecast, { from, to }: Shift) => hours.filter(({ at }) => at >= from && at < to);

/** The strongest gust forecast in the shift [m/s]; null where there is no forecast by the hour, or no shift. */
export function shiftGust({ forecast, shift }: Plan['site']): number | null {
  if (!forecast || !shift) return null;
  const gusts = hoursIn(forecast, shift).map(({ gust }) => gust);
  return gusts.length === 0 ? null : Math.max(...gusts);
}
