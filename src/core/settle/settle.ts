import { keep, keepOne, lasting } from '../document/keep';
import type { Bearing, Move, Opening, Plan } from '../document/schema';
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

/** A move by all that is done in it: its note is for the crew, and another note makes no other move. */
function bareMoves(moves: readonly Move[]): Move[] {
  const slot = lasting('settle.moves', () => ({ known: new Map<string, { from: Move; text: string; bare: Move }>() }));
  const before = slot.known;
  // Of moves that are gone nothing is kept.
  const known: typeof before = new Map();
  slot.known = known;
  return moves.map((move) => {
    const last = before.get(move.id);
    if (last?.from === move) {
      known.set(move.id, last);
      return last.bare;
    }
    const { note: _, ...rest } = move;
    const text = JSON.stringify(rest);
    const bare = last?.text === text ? last.bare : (rest as Move);
    known.set(move.id, { from: move, text, bare });
    return bare;
  });
}

/** Bearings where the tape found them, the worse of two forecasts, moves without their notes. The same things of the plan settle to the same things. */
export function settle(plan: Plan): SettledPlan {
  const gusts = dayGusts(plan);
  const site = keep('settle.site', plan.site, [gusts], () => siteForecast(plan.site, gusts));
  const bearings = keepOne('settle.bearings', [plan.bearings], () =>
    plan.bearings.some(({ measured }) => measured) ? plan.bearings.map((one) => keep('settle.bearing', one, [], () => bearingAsMeasured(one))) : plan.bearings,
  );
  const moves = keep('settle.moves', plan.moves, [], () => bareMoves(plan.moves));
  return keep(
    'settled',
    plan,
    [...Object.values(plan), site, bearings, moves, gusts],
    () => ({ ...plan, site, bearings, moves, ...(gusts ? { gusts } : {}) }) as unknown as SettledPlan,
  );
}
