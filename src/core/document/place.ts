import type { Beam } from './schema';

export interface Point {
  x: number;
  y: number;
  z: number;
}

export interface Placed {
  from: Point;
  to: Point;
  length: number;
  /** along the piece, seen from above; a column has none */
  along: { x: number; y: number };
  upright: boolean;
}

/** Steeper than this a piece is a column [rise over length]. */
const UPRIGHT = Math.cos((20 * Math.PI) / 180);
/** Flatter than this a piece is a beam. */
const FLAT = Math.sin((20 * Math.PI) / 180);

export function placeOf({ from, to }: Beam): Placed | null {
  if (from === null || to === null) return null;
  const length = Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z);
  const flat = Math.hypot(to.x - from.x, to.y - from.y);
  if (length < 1e-6) return null;
  return {
    from,
    to,
    length,
    along: flat > 0 ? { x: (to.x - from.x) / flat, y: (to.y - from.y) / flat } : { x: 0, y: 0 },
    upright: Math.abs(to.z - from.z) / length > UPRIGHT,
  };
}

/** Neither beam nor column: joined at both its ends it pulls and pushes between what it is joined to. */
export const isInclined = (place: Placed): boolean => !place.upright && Math.abs(place.to.z - place.from.z) / place.length > FLAT;

/** A column may lean one in five hundred, AISC 303 7.13.1.1, from memory. */
export const LEAN = 500;

/** Height of the underside at a place along the piece. */
export const heightAt = ({ from, to, length }: Placed, at: number): number => from.z + ((to.z - from.z) * at) / length;
export const pointAt = ({ from, to, length }: Placed, at: number): Point => ({
  x: from.x + ((to.x - from.x) * at) / length,
  y: from.y + ((to.y - from.y) * at) / length,
  z: from.z + ((to.z - from.z) * at) / length,
});
