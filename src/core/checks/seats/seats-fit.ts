import { phrase, q } from '../../calc/work';
import { bearingLength } from '../../fit/bearing-length.calc';
import type { Check } from '../../verdict/check';
import { Missing } from '../../verdict/missing';
import type { Bearing } from '../../document/schema';
import { seatOf } from '../../settle/seat-geometry';
import type { Context } from '../context';
import { flatStop, missingCheck, on, told, type Place } from '../../verdict/build';

const SOURCE = 'Geometry of the seat; common practice';

/** What no seat of that stuff is good for, however it is made: past it a unit or a material was mistaken [Pa]. */
const PAST_ANY = { steel: 500e6, concrete: 60e6, masonry: 15e6, timber: 12e6 } as const;
/** A slope that a seat or a shim takes up; past it the piece is meant to lie on a slope, or a level is wrong. */
const SLOPE = 1 / 200;

const place = (id: string, bearing: Bearing): Place => ({
  id,
  ...on('bearing', bearing, bearing.name),
  station: 'measure',
  move: null,
  calc: bearingLength.id,
  source: SOURCE,
});

/** Seats that cannot be as they are said to be: posts under their own base, slopes nobody asked for, stuff stronger than any. */
export function seatsFitChecks({ plan }: Context): Check[] {
  return [
    ...plan.bearings.flatMap((bearing): Check[] => {
      const checks: Check[] = [];
      if (bearing.post && bearing.post.baseLevel + bearing.post.plates >= bearing.level)
        checks.push(
          flatStop(
            place('seat.post', bearing),
            'length',
            told(
              phrase`The post of ${bearing.name} stands at ${q(bearing.post.baseLevel, 'length')} with ${q(bearing.post.plates, 'dimension')} of plates, and its seat is at ${q(bearing.level, 'length')}: no post is left between them.`,
            ),
            [],
          ),
        );
      const most = bearing.material === null ? null : PAST_ANY[bearing.material];
      if (most !== null && bearing.allowable !== null && bearing.allowable > most)
        checks.push({
          ...missingCheck(place('seat.allowable', bearing), 'stress', ''),
          demand: bearing.allowable,
          finding: told(
            phrase`${bearing.name} may be pressed ${q(bearing.allowable, 'stress')}, it says, and is ${bearing.material ?? ''}: no ${bearing.material ?? ''} takes over ${q(most, 'stress')}. Which of the two is wrong?`,
          ),
        });
      return checks;
    }),
    ...plan.pieces.flatMap((piece): Check[] => {
      const seat = seatOf(plan, piece);
      if (seat instanceof Missing) return [];
      const { left, right, span } = seat;
      const checks: Check[] = [];
      const out = Math.abs(left.level - right.level);
      if (out / span > SLOPE)
        checks.push({
          ...missingCheck({ ...place('seat.level', left), about: { kind: 'piece', id: piece.id } }, 'length', ''),
          demand: out,
          finding: told(
            phrase`${left.name} is at ${q(left.level, 'length')} and ${right.name} at ${q(right.level, 'length')}, ${q(out, 'dimension')} apart: is ${piece.mark} to lie on a slope, or is a level wrong?`,
          ),
        });
      const { leftBearing } = piece.seat;
      if (leftBearing !== null && leftBearing > left.seatLength + 1e-6)
        checks.push({
          ...missingCheck({ ...place('seat.long', left), about: { kind: 'piece', id: piece.id } }, 'dimension', ''),
          demand: leftBearing,
          finding: told(
            phrase`${piece.mark} is said to bear ${q(leftBearing, 'dimension')} at ${left.name}, whose seat is ${q(left.seatLength, 'dimension')} long. Which of the two is wrong?`,
          ),
        });
      return checks;
    }),
  ];
}
