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

export const asksStandingGust = (name: string): string =>
  `What gust may come while ${name} stands as it does? A forecast is for the shift of the lift, not for the days until it is braced.`;
