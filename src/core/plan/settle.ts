import type { Bearing, Opening, Plan } from './schema';

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
export type SettledPlan = Plan & { readonly [settledMark]: true };

/** Bearings where the tape found them; the plan itself when nothing was measured. */
export function settle(plan: Plan): SettledPlan {
  const measured = plan.bearings.some((bearing) => bearing.measured);
  return (measured ? { ...plan, bearings: plan.bearings.map(bearingAsMeasured) } : plan) as SettledPlan;
}
