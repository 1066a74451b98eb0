import type { Brace } from '../../document/schema';
import { pointAt } from '../../document/place';
import type { Ground } from './ground';

/** A place so near the foot of a column is at its foot [m]. */
export const AT_FOOT = 0.2;

/** Whether a place on a column is at the foot it stands on: what is fixed there holds nothing of it. */
function isAtFoot({ beams, by }: Ground, { piece, at }: Brace['a']): boolean {
  const stands = beams.get(piece)?.place;
  if (!stands?.upright) return false;
  const foot = Math.min(stands.from.z, stands.to.z);
  const high = (along: number) => pointAt(stands, along).z - foot;
  return high(at) <= AT_FOOT && (by.seats.get(piece) ?? []).some((seat) => high(seat.at) <= AT_FOOT);
}

/** Whether a brace goes from what does not move to what does not move. */
export const holdsNothing = (ground: Ground, { a, b, stops }: Brace): boolean =>
  stops !== 'twist' && isAtFoot(ground, a) && (b === null || isAtFoot(ground, b));
