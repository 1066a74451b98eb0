import { add, angleOf, direction, distance, leftOf, overlap, rectangle, scale, sub, wrapDeg, type Vec } from '../geometry/plane';
import { standOf } from './lookups';
import type { Pick, Piece, Stand } from './schema';
import type { Target } from './seat-geometry';
import type { SettledPlan } from './settle';

/** One instant of the lift seen from above. */
export interface Station {
  phase: 'raise' | 'boom out' | 'slew' | 'boom in' | 'lower';
  hook: Vec;
  radius: number;
  /** boom direction in plan */
  bearingDeg: number;
  /** the piece, left end to right end */
  pieceDeg: number;
}

export interface LiftPath {
  stand: Stand;
  stations: Station[];
  /** extremes of the radius on the way */
  least: number;
  most: number;
  /** degrees slewed, positive to the left */
  slewDeg: number;
}

const SLEW_STEPS = 36;
const BOOM_STEPS = 8;

/** Plan position of the hook with the piece's left end at `leftEnd`: plumb over the centre of gravity. */
const hookOver = (leftEnd: Vec, pieceDeg: number, cgX: number): Vec => add(leftEnd, scale(direction(pieceDeg), cgX));

function slewAngle(from: number, to: number, swing: Pick['swing']): number {
  const short = wrapDeg(to - from);
  if (swing === 'short') return short;
  const left = ((short % 360) + 360) % 360;
  return swing === 'left' ? left : left === 0 ? 0 : left - 360;
}

/** The way of the hook from where the piece lies to its seat: raise, boom to the swing radius, slew, boom to the set radius, lower. */
export function liftPath(plan: SettledPlan, pick: Pick, piece: Piece, cgX: number, seat: Target): LiftPath {
  const stand = standOf(plan, pick.stand);
  const startEnd = add({ x: piece.start.x, y: piece.start.y }, scale(direction(piece.start.azimuthDeg), -piece.length / 2));
  const from = hookOver(startEnd, piece.start.azimuthDeg, cgX);
  const to = hookOver(seat.leftEnd, seat.azimuthDeg, cgX);
  const r0 = distance(stand.at, from);
  const r1 = distance(stand.at, to);
  const a0 = angleOf(sub(from, stand.at));
  const a1 = angleOf(sub(to, stand.at));
  const slewDeg = slewAngle(a0, a1, pick.swing);
  const turn = wrapDeg(seat.azimuthDeg - piece.start.azimuthDeg);
  const rs = pick.swingRadius;
  const stations: Station[] = [];
  const put = (phase: Station['phase'], radius: number, bearingDeg: number, pieceDeg: number) =>
    stations.push({ phase, radius, bearingDeg, pieceDeg, hook: add(stand.at, scale(direction(bearingDeg), radius)) });
  put('raise', r0, a0, piece.start.azimuthDeg);
  if (rs !== null) for (let i = 1; i <= BOOM_STEPS; i += 1) put('boom out', r0 + ((rs - r0) * i) / BOOM_STEPS, a0, piece.start.azimuthDeg);
  for (let i = 1; i <= SLEW_STEPS; i += 1) {
    const t = i / SLEW_STEPS;
    put('slew', rs ?? r0 + (r1 - r0) * t, a0 + slewDeg * t, piece.start.azimuthDeg + turn * t);
  }
  if (rs !== null) for (let i = 1; i <= BOOM_STEPS; i += 1) put('boom in', rs + ((r1 - rs) * i) / BOOM_STEPS, a0 + slewDeg, seat.azimuthDeg);
  put('lower', r1, a0 + slewDeg, seat.azimuthDeg);
  const radii = stations.map((s) => s.radius);
  return { stand, stations, least: Math.min(...radii), most: Math.max(...radii), slewDeg };
}

/** Outline of the piece seen from above at a station. */
export function outlineAt(station: Station, piece: Piece, cgX: number, width: number): Vec[] {
  const centre = add(station.hook, scale(direction(station.pieceDeg), piece.length / 2 - cgX));
  return rectangle(centre, piece.length, width, station.pieceDeg);
}

export interface Overflown {
  name: string;
  height: number;
}

/** The tallest thing the piece passes over on its way; null when it passes over nothing. */
export function tallestUnder(
  plan: SettledPlan,
  path: LiftPath,
  piece: Piece,
  cgX: number,
  width: number,
  standing: readonly { name: string; to: number; outline: Vec[] }[] = [],
): Overflown | null {
  const things = [
    ...plan.site.obstructions.map((o) => ({ name: o.name, height: o.height, outline: rectangle(o.at, o.length, o.width, o.azimuthDeg) })),
    ...standing.map(({ name, to, outline }) => ({ name, height: to, outline })),
  ];
  const passes = path.stations.map((station) => {
    const outline = outlineAt(station, piece, cgX, width);
    return { outline, box: boxOf(outline) };
  });
  // The tallest first; most of what stands is nowhere near the way.
  for (const { name, height, outline } of things.sort((a, b) => b.height - a.height)) {
    const box = boxOf(outline);
    if (passes.some((pass) => meets(pass.box, box) && overlap(pass.outline, outline))) return { name, height };
  }
  return null;
}

const boxOf = (outline: readonly Vec[]) => ({
  x0: Math.min(...outline.map(({ x }) => x)),
  x1: Math.max(...outline.map(({ x }) => x)),
  y0: Math.min(...outline.map(({ y }) => y)),
  y1: Math.max(...outline.map(({ y }) => y)),
});
type Box = ReturnType<typeof boxOf>;
const meets = (a: Box, b: Box): boolean => a.x0 <= b.x1 && b.x0 <= a.x1 && a.y0 <= b.y1 && b.y0 <= a.y1;

/** A point in the boom's own frame: along the boom out from the slew centre, and to its left. */
export function boomFrame(station: Station, stand: Stand, point: Vec): Vec {
  const out = direction(station.bearingDeg);
  const offset = sub(point, stand.at);
  return { x: offset.x * out.x + offset.y * out.y, y: offset.x * leftOf(out).x + offset.y * leftOf(out).y };
}
