import type { Move, Plan } from '../../document/schema';
import { workDays } from '../../document/work-days';
import { shiftGust, standingGust } from '../../settle/wind';

/**
 * Days that end. Until then what stands is judged in the wind of the shift; all that was touched that day is judged once more as its
 * day ends, in whatever wind may come before anybody is there again. Of a day nobody ends nothing is known: it is all night.
 */
export interface Nights {
  /** moves judged in the wind of the shift */
  inShift: ReadonlySet<Move>;
  /** by the move a day ends with, the pieces touched that day */
  touched: ReadonlyMap<Move, readonly string[]>;
}

const NONE: Nights = { inShift: new Set(), touched: new Map() };

export function nightsOf(plan: Plan, touches: (move: Move) => readonly string[]): Nights {
  const [shift, night] = [shiftGust(plan), standingGust(plan)];
  // A forecast no weaker than what may come spares nothing.
  if (shift === null || (night !== null && shift >= night)) return NONE;
  const inShift = new Set<Move>();
  const touched = new Map<Move, readonly string[]>();
  for (const { from, to, end } of workDays(plan.moves)) {
    if (end === null) continue;
    const pieces = new Set<string>();
    for (const move of plan.moves.slice(from, to - 1)) {
      inShift.add(move);
      for (const id of touches(move)) pieces.add(id);
    }
    touched.set(end, [...pieces]);
  }
  return { inShift, touched };
}
