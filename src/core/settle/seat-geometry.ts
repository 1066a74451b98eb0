import { attempt } from '../calc/attempt';
import type { Trace } from '../calc/evidence';
import { bearingLength } from '../fit/bearing-length.calc';
import { add, angleOf, distance, scale, sub, type Vec } from '../geometry/plane';
import { bearingOf } from '../document/lookups';
import { Missing } from '../verdict/missing';
import type { Bearing, Piece } from '../document/schema';
import type { SettledPlan } from './settle';

export interface SeatLine {
  left: Bearing;
  right: Bearing;
  /** centre to centre */
  span: number;
  azimuthDeg: number;
  unit: Vec;
}

/** The line a piece is set on, from its left bearing to its right; missing when the two stand on one spot. */
export function seatLine(plan: SettledPlan, piece: Piece): SeatLine | Missing {
  const left = bearingOf(plan, piece.seat.left);
  const right = bearingOf(plan, piece.seat.right);
  const span = distance(left.at, right.at);
  if (!(span > 0)) return new Missing(`${left.name} and ${right.name} stand on the same spot. Where does ${piece.mark} go?`);
  const unit = scale(sub(right.at, left.at), 1 / span);
  return { left, right, span, azimuthDeg: angleOf(unit), unit };
}

export interface Seat extends SeatLine {
  /** plan position of the left end of the piece when set */
  leftEnd: Vec;
  bearing: { left: number; right: number };
  /** middle of each bearing, from the left end of the piece */
  contact: { left: number; right: number };
  /** how far each end runs past its seat */
  past: { left: number; right: number };
  clear: number;
  trace: Trace;
}

/** Where the piece lies when set and what of it bears. */
export function seatOf(plan: SettledPlan, piece: Piece): Seat | Missing {
  const line = seatLine(plan, piece);
  if (line instanceof Missing) return line;
  if (piece.seat.leftBearing === null) return new Missing(`How far does ${piece.mark} lie over the seat at ${line.left.name}?`);
  const input = { span: line.span, seatLeft: line.left.seatLength, seatRight: line.right.seatLength, length: piece.length, left: piece.seat.leftBearing };
  const outcome = attempt(bearingLength, input);
  if (!outcome.ok) return new Missing(outcome.error);
  const { clear, overLeft, overRight, bearingLeft, bearingRight } = outcome.output;
  const startsAt = line.left.seatLength / 2 - overLeft;
  return {
    ...line,
    leftEnd: add(line.left.at, scale(line.unit, startsAt)),
    bearing: { left: bearingLeft, right: bearingRight },
    contact: { left: overLeft - bearingLeft / 2, right: piece.length - overRight + bearingRight / 2 },
    past: { left: Math.max(0, overLeft - line.left.seatLength), right: Math.max(0, overRight - line.right.seatLength) },
    clear,
    trace: { calc: bearingLength.id, input, output: outcome.output },
  };
}

/** Where a lift puts its piece down: the plan place and direction of its first end, and what is under its two ends. */
export interface Target {
  leftEnd: Vec;
  azimuthDeg: number;
  /** between what is under its two ends */
  span: number;
  left: { at: Vec; level: number };
  right: { at: Vec; level: number };
  /** of a piece set on a slope, what of its length is seen from above; left out: all of it */
  flat?: number;
}

/** How steep what is under a piece rises from left to right [°]. */
export const slopeToSet = ({ span, left, right }: Target): number => (span > 0 ? (Math.atan2(right.level - left.level, span) * 180) / Math.PI : 0);
