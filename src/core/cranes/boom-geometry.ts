/** A straight boom in its own upright plane: x outwards from the slew centre, z up from the ground. */
export interface BoomLine {
  angleRad: number;
  tipHeight: number;
  pivot: { x: number; z: number };
}

/** cos α = (R + pivotBack)/boom; null when the boom is too short for the radius or would pass the vertical. */
export function boomLine(pivotBack: number, pivotHeight: number, boom: number, radius: number): BoomLine | null {
  const cosine = (radius + pivotBack) / boom;
  if (!(cosine >= 0 && cosine <= 1)) return null;
  const angleRad = Math.acos(cosine);
  return { angleRad, tipHeight: pivotHeight + boom * Math.sin(angleRad), pivot: { x: -pivotBack, z: pivotHeight } };
}

/** How high the tip of a boom is with its hook at a radius; null where it does not get there. */
export function tipOver(pivotBack: number, pivotHeight: number, boom: number, radius: number): number | null {
  const out = radius + pivotBack;
  return out >= 0 && out <= boom ? pivotHeight + Math.sqrt(boom * boom - out * out) : null;
}

/** Distance square to the boom centreline, positive below it. */
export function belowBoom(line: BoomLine, point: { x: number; z: number }): number {
  return (point.x - line.pivot.x) * Math.sin(line.angleRad) - (point.z - line.pivot.z) * Math.cos(line.angleRad);
}

/** Of a crane, what its boom or jib is drawn and checked by. */
export interface Machine {
  pivotBack: number;
  pivotHeight: number;
  /** its jib is level, on a mast, and a trolley runs on it */
  tower?: object | null;
}

/** The boom of a crane with its hook at a radius; of a tower crane its jib, level however far out the trolley is. */
export function lineOver({ pivotBack, pivotHeight, tower }: Machine, boom: number, radius: number): BoomLine | null {
  if (!tower) return boomLine(pivotBack, pivotHeight, boom, radius);
  return radius <= boom ? { angleRad: 0, tipHeight: pivotHeight, pivot: { x: 0, z: pivotHeight } } : null;
}
