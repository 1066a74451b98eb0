import { add, direction, scale, sub, type Vec } from '../geometry/plane';
import { liftTail } from '../lift/tail.calc';
import { attempt } from '../calc/attempt';
import type { Trace } from '../calc/evidence';
import type { Hanging, HangingResult } from './hanging';
import { lyingEnd, pathOf, slewStations, stationAt, type LiftPath, type Seen, type Station } from './lift-path';
import { Missing } from '../verdict/missing';
import type { PieceWeight } from './piece-weight';
import type { Pick, Piece, Stand } from '../document/schema';

/** A piece stood upright under the hook: slung near its upper end, its tail on the ground or on a second crane until it stands. */
export interface Turned {
  /** from the lower end, along the piece */
  slung: number;
  tail: number;
  cg: number;
  sling: number;
  /** its first end is the upper one once it stands */
  firstUp: boolean;
  /** the lower end as it lies, and the way from it to the upper end */
  low: Vec;
  lowToHighDeg: number;
}

const STEPS = 12;

/** All that is said of how a piece is turned; `firstUp`: its first end is the upper one when it stands. */
export function turnedOf(pick: Pick, piece: Piece, weight: PieceWeight, firstUp: boolean): Turned | Missing {
  const { mark, length } = piece;
  const { turned } = pick;
  if (!turned || turned.top === null) return new Missing(`${mark} is turned upright under the hook. How far from its upper end is it slung?`);
  if (turned.tail === null) return new Missing(`How far from its lower end does the tail of ${mark} rest while it is turned up?`);
  if (turned.sling === null) return new Missing(`How long is the sling that ${mark} hangs on, from where it is slung to the hook?`);
  const start = lyingEnd(piece);
  const along = scale(direction(piece.start.azimuthDeg), length);
  return {
    slung: length - turned.top,
    tail: turned.tail,
    cg: firstUp ? length - weight.cg.x : weight.cg.x,
    sling: turned.sling,
    firstUp,
    low: firstUp ? add(start, along) : start,
    lowToHighDeg: piece.start.azimuthDeg + (firstUp ? 180 : 0),
  };
}

/** How it hangs once it stands: all of it on one sling. Impossible where it would turn over, or its tail would lift first. */
export function hangTurned(piece: Piece, turned: Turned | Missing, weight: PieceWeight): HangingResult {
  if (turned instanceof Missing) return turned;
  const { slung, tail, cg, sling } = turned;
  if (!(slung > cg)) return { impossible: `${piece.mark} is slung below its balance point: it turns over under the hook. Sling it nearer its upper end.` };
  if (!(tail < cg))
    return { impossible: `The tail of ${piece.mark} rests past its balance point: its lower end would not stay down. Rest it nearer the lower end.` };
  return {
    way: 'turned',
    tension: [weight.weight],
    angleDeg: [90],
    tiltDeg: 0,
    hookAbovePick: sling,
    loadDepth: slung,
    height: piece.length,
    squeeze: 0,
    bar: null,
    trace: lyingShares(turned, weight).trace,
  } satisfies Hanging;
}

/** What hook and tail carry as it leaves the ground, lying: from there on the hook takes more and the tail less. */
export function lyingShares({ slung, tail, cg }: Turned, { weight }: { weight: number }): { main: number; tail: number; trace: Trace } {
  const input = { weight, main: { x: slung, z: 0 }, tail: { x: tail, z: 0 }, cg: { x: cg, z: 0 }, anglesDeg: [0] };
  const outcome = attempt(liftTail, input);
  if (!outcome.ok) throw new Error(outcome.error);
  const lying = outcome.output.positions.find(({ angleDeg }) => angleDeg === 0)!;
  return { main: lying.main, tail: lying.tail, trace: { calc: liftTail.id, input, output: outcome.output } };
}

/**
 * The way of the main hook: up over the end that rises while the lower end stays where it is, then slewed upright, over its foot. Where the
 * hook stays and the lower end comes in under it instead, no radius is longer or shorter than on this way.
 */
export function turnedPath(pick: Pick, stand: Stand, piece: Piece, { slung, low, lowToHighDeg }: Turned, depth: number, foot: Vec): LiftPath {
  const up = direction(lowToHighDeg);
  const stations: Station[] = [];
  for (let i = 0; i <= STEPS; i += 1) {
    const share = Math.cos((i / STEPS) * (Math.PI / 2));
    const hook = add(low, scale(up, slung * share));
    const seen: Seen = { length: piece.length * share + depth, toMiddle: (piece.length / 2 - slung) * share };
    stations.push(stationAt(stand, i === 0 ? 'raise' : 'turn', hook, lowToHighDeg, seen));
  }
  const upright: Seen = { length: depth, toMiddle: 0 };
  const slewed = slewStations(pick, stand, [low, foot], [lowToHighDeg, 0], upright);
  return pathOf(stand, [...stations, ...slewed.stations], slewed.slewDeg);
}

/** The way of the second hook: it carries the tail in under the main hook, and has let go when the piece stands. */
export function tailPath(stand: Stand, piece: Piece, { slung, tail, low, lowToHighDeg }: Turned, depth: number): LiftPath {
  const up = direction(lowToHighDeg);
  const main = add(low, scale(up, slung));
  const stations: Station[] = [];
  for (let i = 0; i <= STEPS; i += 1) {
    const share = Math.cos((i / STEPS) * (Math.PI / 2));
    const hook = sub(main, scale(up, (slung - tail) * share));
    const seen: Seen = { length: piece.length * share + depth, toMiddle: (piece.length / 2 - tail) * share };
    stations.push(stationAt(stand, i === 0 ? 'raise' : 'turn', hook, lowToHighDeg, seen));
  }
  return pathOf(stand, stations, 0);
}
