import type { WindNow } from '../weather/anemometer';
import type { Check } from './check';

/** A lift or a launch and the gust it stops at; null: the limit is not known. */
export interface InWind {
  check: Check;
  limit: number | null;
  /** null while the wind or the limit is not known */
  may: boolean | null;
}

/** What may be lifted in the wind there is now, what waits first. */
export function inWind(checks: readonly Check[], now: WindNow): InWind[] {
  const gust = 'gust' in now ? now.gust : null;
  return checks
    .filter(({ id }) => id === 'lift.wind' || id === 'launch.wind')
    .map((check): InWind => {
      const limit = check.capacity;
      return { check, limit, may: gust === null || limit === null ? null : gust <= limit };
    })
    .sort((a, b) => (a.limit ?? -1) - (b.limit ?? -1));
}
