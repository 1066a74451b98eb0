import { keep, keepOne } from '../document/keep';
import type { Bearing, Opening, Plan } from '../document/schema';
import { dayGusts, type DayGusts } from './day-gusts';
import { shiftGust } from './shift';

/** Clear opening the plan goes by: the tape's before the drawing's. */
export const clearOf = (opening: Opening): number | null => opening.clear.measured ?? opening.clear.drawn;

/** A bearing as it really stands: what the tape found where it was measured, the drawing elsewhere. */
export function bearingAsMeasured(bearing: Bearing): Bearing {
  const { measured } = bearing;
  if (!measured) return bearing;
  return {
    ...bearing,
    at: { x: measured.x ?? bearing.at.x, y: measured.y ?? bearing.at.y },
    level: measured.level ?? bearing.level,
    seatLength: measured.seatLength ?? bearing.seatLength,
    seatWidth: measured.seatWidth ?? bearing.seatWidth,
  };
}

declare const settledMark: unique symbol;

/** The plan as it really stands. Only `settle` makes one: what computes or draws asks for this type and cannot be handed the drawn plan. */
export type SettledPlan = Plan & { readonly [settledMark]: true; readonly gusts?: DayGusts };

/** Of the gust that is typed, the strongest of the forecast in the shift and the strongest of any day that has its date the greatest. */
function siteForecast(site: Plan['site'], gusts: DayGusts | null): Plan['site'] {
  const known = [shiftGust(site), ...new Set(gusts?.values() ?? [])].flatMap((one) => (one === null ? [] : [one]));
  const gust = known.length === 0 ? null : Math.max(...known);
  return gust === null || (site.forecastGust !== null && site.forecastGust >= gust) ? site : { ...site, forecastGust: gust };
}

/** Bearings where the tape found them, the worse of two forecasts; the plan itself when nothing was measured. The same things of the plan settle to the same things. */
export function settle(plan: Plan): SettledPlan {
  const gusts = dayGusts(plan);
  const site = keep('settle.site', plan.site, [gusts], () => siteForecast(plan.site, gusts));
  const measured = plan.bearings.some((bearing) => bearing.measured);
  const byDay = gusts ? { gusts } : {};
  if (!measured) return (site === plan.site && !gusts ? plan : { ...plan, site, ...byDay }) as SettledPlan;
  const bearings = keepOne('settle.bearings', [plan.bearings], () => plan.bearings.map((one) => keep('settle.bearing', one, [], () => bearingAsMeasured(one))));
  return { ...plan, site, bearings, ...byDay } as SettledPlan;
}
