import type { Plan } from '../document/schema';

/** Cold air at sea level [kg/m³] (common practice). */
export const AIR_DENSITY = 1.25;

/**
 * The gust that may come while steel stands that is not braced yet [m/s]: never less than what is forecast for the shift. Null while
 * nobody has said it: a forecast is for the hours of a lift.
 */
export function standingGust({ site }: Plan): number | null {
  const standing = site.standingGust ?? null;
  return standing === null || standing === 0 ? null : Math.max(standing, site.forecastGust ?? 0);
}

/** Of what is changed again before the day ends: what is forecast for the shift. Where nobody said a forecast, or that there is no wind, whatever may come. */
export const shiftGust = (plan: Plan): number | null => plan.site.forecastGust || standingGust(plan);

/** The wind in which a thing is judged at a move. */
export interface WindThen {
  gust: number | null;
  /** it is the forecast of the shift: what is judged is changed again before the day ends */
  forShift: boolean;
}
export const windThen = (plan: Plan, forShift: boolean): WindThen => ({ gust: forShift ? shiftGust(plan) : standingGust(plan), forShift });
export const windSource = ({ forShift }: WindThen): string =>
  forShift ? '; the forecast of the shift, as it is changed again before the day ends (common practice)' : '';

export const asksStandingGust = (name: string): string =>
  `What gust may come while ${name} stands as it does? A forecast is for the shift of the lift, not for the days until it is braced.`;
