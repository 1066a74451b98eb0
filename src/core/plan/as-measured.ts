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

/** The plan as it really stands; checks and drawings go by this one. The same object when nothing was measured. */
export function asMeasured(plan: Plan): Plan {
  return plan.bearings.some((bearing) => bearing.measured) ? { ...plan, bearings: plan.bearings.map(bearingAsMeasured) } : plan;
}
