import { add, angleOf, direction, distance, dot, hull, leftOf, mix, overlap, rectangle, scale, sub, wrapDeg, type Vec } from '../geometry/plane';
import type { Pick, Piece, Stand } from '../document/schema';
import type { Target } from './seat-geometry';
import type { SettledPlan } from './settle';

/** One instant of the lift seen from above. */
export interface Station {
  phase: 'raise' | 'turn' | 'boom out' | 'slew' | 'boom in' | 'carry' | 'lower';
  hook: Vec;
  radius: number;
  /** boom direction in plan */
  bearingDeg: number;
  /** the piece, left end to right end */
  pieceDeg: number;
  seen: Seen;
}

/** A load seen from above, from its hook: how long it is, and where along it its middle is. */
export interface Seen {
  length: number;
  toMiddle: number;
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

export const SLEW_STEPS = 36;
const BOOM_STEPS = 8;

/** Plan position of the hook with the piece's left end at `leftEnd`: plumb over the centre of gravity. */
const hookOver = (leftEnd: Vec, pieceDeg: number, cgX: number): Vec => add(leftEnd, scale(direction(pieceDeg), cgX));

/** How far a crane slews from one bearing to another, the way it is told to, positive to the left. */
export function slewAngle(from: number, to: number, swing: Pick['swing']): number {
  const short = wrapDeg(to - from);
  if (swing === 'short') return short;
  const left = ((short % 360) + 360) % 360;
  return swing === 'left' ? left : left === 0 ? 0 : left - 360;
}

/** The extremes of the radius over the stations of a way; `bulge`: how far a hook may be past the line from one station to the next. */
export function pathOf(stand: Stand, stations: Station[], slewDeg: number, bulge = 0): LiftPath {
  let [least, most] = [Infinity, -Infinity];
  stations.forEach((station, i) => {
    // Carried straight, a hook may come nearer its crane between two stations than at either.
    const [nearest] = i > 0 ? spanBetween(stand, stations[i - 1]!, station) : [station.radius];
    least = Math.min(least, nearest!);
    most = Math.max(most, station.radius);
  });
  return { stand, stations, least: Math.max(0, least - bulge), most: most + bulge, slewDeg };
}

/** The shortest and the longest radius on the way from one station to the next. */
export function spanBetween(stand: Stand, from: Station, to: Station): [number, number] {
  const ends = [from.radius, to.radius];
  return [Math.min(...ends, ...(isStraight(from, to) ? [toSegment(stand.at, from.hook, to.hook)] : [])), Math.max(...ends)];
}

const isStraight = (from: Station, to: Station): boolean => to.phase === 'turn' || to.phase === 'carry' || (to.phase === 'lower' && from.phase === 'carry');

function toSegment(point: Vec, a: Vec, b: Vec): number {
  const [along, out] = [sub(b, a), sub(point, a)];
  const t = Math.min(1, Math.max(0, dot(out, along) / (dot(along, along) || 1)));
  return distance(point, mix(a, b, t));
}

/** A station with the hook at a place. */
export function stationAt(stand: Stand, phase: Station['phase'], hook: Vec, pieceDeg: number, seen: Seen): Station {
  return { phase, hook, radius: distance(stand.at, hook), bearingDeg: angleOf(sub(hook, stand.at)), pieceDeg, seen };
}

/** Where the piece lies before it is lifted: its left end. */
export const lyingEnd = (piece: Piece): Vec => add({ x: piece.start.x, y: piece.start.y }, scale(direction(piece.start.azimuthDeg), -piece.length / 2));

/** The slew of one hook from a place to another, over the radius it is held at: what a piece on one hook does in the air. */
export function slewStations(
  pick: Pick,
  stand: Stand,
  [from, to]: readonly [Vec, Vec],
  [fromDeg, turn]: readonly [number, number],
  seen: Seen,
): { stations: Station[]; slewDeg: number } {
  const r0 = distance(stand.at, from);
  const r1 = distance(stand.at, to);
  const a0 = angleOf(sub(from, stand.at));
  const slewDeg = slewAngle(a0, angleOf(sub(to, stand.at)), pick.swing);
  const rs = pick.swingRadius;
  const stations: Station[] = [];
  const put = (phase: Station['phase'], radius: number, bearingDeg: number, pieceDeg: number) =>
    stations.push({ phase, radius, bearingDeg, pieceDeg, hook: add(stand.at, scale(direction(bearingDeg), radius)), seen });
  if (rs !== null) for (let i = 1; i <= BOOM_STEPS; i += 1) put('boom out', r0 + ((rs - r0) * i) / BOOM_STEPS, a0, fromDeg);
  for (let i = 1; i <= SLEW_STEPS; i += 1) {
    const t = i / SLEW_STEPS;
    put('slew', rs ?? r0 + (r1 - r0) * t, a0 + slewDeg * t, fromDeg + turn * t);
  }
  if (rs !== null) for (let i = 1; i <= BOOM_STEPS; i += 1) put('boom in', rs + ((r1 - rs) * i) / BOOM_STEPS, a0 + slewDeg, fromDeg + turn);
  put('lower', r1, a0 + slewDeg, fromDeg + turn);
  return { stations, slewDeg };
}

/** The way of the hook from where the piece lies to its seat: raise, boom to the swing radius, slew, boom to the set radius, lower. */
export function liftPath(stand: Stand, pick: Pick, piece: Piece, cgX: number, seat: Target): LiftPath {
  const { azimuthDeg } = piece.start;
  const seen: Seen = { length: piece.length, toMiddle: piece.length / 2 - cgX };
  const from = hookOver(lyingEnd(piece), azimuthDeg, cgX);
  const to = hookOver(seat.leftEnd, seat.azimuthDeg, cgX * (seat.flat ?? 1));
  const { stations, slewDeg } = slewStations(pick, stand, [from, to], [azimuthDeg, wrapDeg(seat.azimuthDeg - azimuthDeg)], seen);
  return pathOf(stand, [stationAt(stand, 'raise', from, azimuthDeg, seen), ...stations], slewDeg);
}

/** Outline of the load seen from above at a station. */
export function outlineAt({ hook, pieceDeg, seen }: Station, width: number): Vec[] {
  return rectangle(add(hook, scale(direction(pieceDeg), seen.toMiddle)), seen.length, width, pieceDeg);
}

/** What a load passes over from one station to the next: a box round it, and its outline, worked out where it is wanted. */
interface Pass {
  box: Box;
  outline: () => Vec[];
}

/**
 * What the load passes over, seen from above: the hull of it at each two stations that follow, a little wider where it swings on an arc
 * between them, and as much wider as wind pushes it out of plumb.
 */
function passesOf(path: LiftPath, width: number, drift: number): Pass[] {
  const { stations } = path;
  let widest = 0;
  for (let i = 1; i < stations.length; i += 1) {
    const [from, to] = [stations[i - 1]!, stations[i]!];
    const turn = Math.max(Math.abs(wrapDeg(to.bearingDeg - from.bearingDeg)), Math.abs(wrapDeg(to.pieceDeg - from.pieceDeg)));
    if (isStraight(from, to) && to.pieceDeg === from.pieceDeg) continue;
    const reach = path.most + Math.abs(to.seen.toMiddle) + to.seen.length / 2;
    widest = Math.max(widest, reach * (1 - Math.cos((turn * Math.PI) / 360)));
  }
  const out = drift + widest;
  const seen = stations.map((station) => outlineAt({ ...station, seen: { ...station.seen, length: station.seen.length + 2 * out } }, width + 2 * out));
  const boxes = seen.map((outline) => boxOf(outline));
  if (seen.length === 1) return [{ box: boxes[0]!, outline: () => seen[0]! }];
  return boxes.slice(1).map((box, i) => ({ box: round(boxes[i]!, box), outline: () => hull([...seen[i]!, ...seen[i + 1]!]) }));
}

export const sweptBy = (path: LiftPath, width: number, drift = 0): Vec[][] => passesOf(path, width, drift).map(({ outline }) => outline());

/** Whether a load passes over an outline: only what it passes near to is worked out. */
export function sweeps(path: LiftPath, width: number, drift: number): (outline: readonly Vec[]) => boolean {
  const passes = passesOf(path, width, drift);
  return (outline) => {
    const box = boxOf(outline);
    return passes.some((pass) => meets(pass.box, box) && overlap(pass.outline(), outline));
  };
}

export interface Overflown {
  name: string;
  height: number;
}

/** The tallest thing the piece passes over on its way; null when it passes over nothing. */
export function tallestUnder(
  plan: SettledPlan,
  path: LiftPath,
  width: number,
  drift: number,
  standing: readonly { name: string; to: number; outline: Vec[] }[] = [],
): Overflown | null {
  const over = sweeps(path, width, drift);
  let tallest: Overflown | null = null;
  const see = (name: string, height: number, outline: readonly Vec[]): void => {
    if ((tallest === null || height > tallest.height) && over(outline)) tallest = { name, height };
  };
  for (const o of plan.site.obstructions) see(o.name, o.height, rectangle(o.at, o.length, o.width, o.azimuthDeg));
  for (const { name, to, outline } of standing) see(name, to, outline);
  return tallest;
}

interface Box {
  x0: number;
  x1: number;
  y0: number;
  y1: number;
}

/** The box round an outline, so much wider on every side. */
export function boxOf(outline: readonly Vec[], by = 0): Box {
  const box: Box = { x0: Infinity, x1: -Infinity, y0: Infinity, y1: -Infinity };
  for (const { x, y } of outline) {
    if (x < box.x0) box.x0 = x;
    if (x > box.x1) box.x1 = x;
    if (y < box.y0) box.y0 = y;
    if (y > box.y1) box.y1 = y;
  }
  return { x0: box.x0 - by, x1: box.x1 + by, y0: box.y0 - by, y1: box.y1 + by };
}
const round = (a: Box, b: Box): Box => ({ x0: Math.min(a.x0, b.x0), x1: Math.max(a.x1, b.x1), y0: Math.min(a.y0, b.y0), y1: Math.max(a.y1, b.y1) });
export const meets = (a: Box, b: Box): boolean => a.x0 <= b.x1 && b.x0 <= a.x1 && a.y0 <= b.y1 && b.y0 <= a.y1;

/**
 * The stations of a way, with so many between them that strips of this width from the crane to the hook, or as far out as a jib reaches,
 * leave nothing out between two of them.
 */
export function closeStations({ stand, stations }: LiftPath, width: number, reach = 0): Station[] {
  return stations.flatMap((to, i) => {
    const from = stations[i - 1];
    if (!from) return [to];
    const turn = wrapDeg(to.bearingDeg - from.bearingDeg);
    const swept = ((Math.abs(turn) * Math.PI) / 180) * Math.max(from.radius, to.radius, reach);
    const parts = Math.max(1, Math.ceil(swept / width));
    return Array.from({ length: parts }, (_, k): Station => {
      const t = (k + 1) / parts;
      if (t === 1) return to;
      const hook = isStraight(from, to)
        ? mix(from.hook, to.hook, t)
        : add(stand.at, scale(direction(from.bearingDeg + turn * t), from.radius + (to.radius - from.radius) * t));
      return stationAt(stand, to.phase, hook, from.pieceDeg + wrapDeg(to.pieceDeg - from.pieceDeg) * t, to.seen);
    });
  });
}

/** A point in the boom's own frame: along the boom out from the slew centre, and to its left. */
export function boomFrame(station: Station, stand: Stand, point: Vec): Vec {
  const out = direction(station.bearingDeg);
  const offset = sub(point, stand.at);
  return { x: offset.x * out.x + offset.y * out.y, y: offset.x * leftOf(out).x + offset.y * leftOf(out).y };
}
