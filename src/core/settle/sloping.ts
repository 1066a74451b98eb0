import type { LineAnswer } from '../stage/line';
import type { Placed } from '../document/place';

/** Pieces that are joined end to end are in one line as far as this: the push of one that is bent there is not worked out. */
const BENT = Math.cos((2 * Math.PI) / 180);

/** Rise over length of a piece, from its first end. */
export const riseOf = ({ from, to, length }: Placed): number => (to.z - from.z) / length;
/** What of its length is seen from above. */
export const flatOf = (place: Placed): number => Math.sqrt(Math.max(0, 1 - riseOf(place) ** 2));

const directionOf = ({ place: { from, to, length }, flipped }: { place: Placed; flipped: boolean }) => {
  const way = flipped ? -1 : 1;
  return { x: (way * (to.x - from.x)) / length, y: (way * (to.y - from.y)) / length, z: (way * (to.z - from.z)) / length };
};

/** Number of the first piece of a line that is not in line with the one before it; null where the line is straight. */
export function bentAt(pieces: readonly { place: Placed; flipped: boolean }[]): number | null {
  for (let n = 1; n < pieces.length; n += 1) {
    const [a, b] = [directionOf(pieces[n - 1]!), directionOf(pieces[n]!)];
    if (a.x * b.x + a.y * b.y + a.z * b.z < BENT) return n;
  }
  return null;
}

const sloped = new WeakMap<LineAnswer, Map<number, LineAnswer>>();

/**
 * What a straight line that slopes feels. It is solved along its length under all that comes down on it, as stiff as EI/cos²: its supports
 * then go down and carry as they do. Levers are cos shorter than its length, and cos of what shears it is square to it.
 */
export function onSlope(answer: LineAnswer, flat: number): LineAnswer {
  if (!answer.stable || flat > 1 - 1e-9) return answer;
  let of = sloped.get(answer);
  if (!of) sloped.set(answer, (of = new Map()));
  let done = of.get(flat);
  if (!done) {
    const end = <T extends { moment: number; shear: number }>(one: T): T => ({ ...one, moment: one.moment * flat, shear: one.shear * flat });
    done = {
      ...answer,
      sagging: answer.sagging * flat,
      hogging: answer.hogging * flat,
      pieces: new Map(
        [...answer.pieces].map(([id, one]) => [
          id,
          {
            ...one,
            sagging: one.sagging * flat,
            hogging: one.hogging * flat,
            shear: one.shear * flat,
            left: end(one.left),
            right: end(one.right),
          },
        ]),
      ),
    };
    of.set(flat, done);
  }
  return done;
}
