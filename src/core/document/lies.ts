import type { Beam, Piece } from './schema';

/** Where a piece of the structure lies before it is lifted; null while any of it is not said. */
export function startOf({ lies }: Beam): Piece['start'] | null {
  if (!lies) return null;
  const { x, y, azimuthDeg, level, onSide = null } = lies;
  return x === null || y === null || azimuthDeg === null || level === null ? null : { x, y, azimuthDeg, level, onSide };
}
