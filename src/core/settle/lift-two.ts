import { attempt } from '../calc/attempt';
import type { Trace } from '../calc/evidence';
import { oneEndLanded } from '../cranes/one-end.calc';
import { craneTandem } from '../cranes/tandem.calc';
import { add, direction, distance, mix, scale, wrapDeg, type Vec } from '../geometry/plane';
import type { Rules } from '../rules/rule-sets';
import type { HangingResult } from './hanging';
import { lyingEnd, pathOf, stationAt, type LiftPath, type Seen, type Station } from './lift-path';
import { Missing } from '../verdict/missing';
import type { Pair, PieceWeight } from './piece-weight';
import { heavierOf, legsApart, rise } from './rigged';
import type { Pick, Piece, Stand } from '../document/schema';
import type { Target } from './seat-geometry';

/** Which of the hooks of a pick: the second is there where two cranes lift together. */
export type HookOf = 'main' | 'second';

/** What one of two hooks carries of the piece: at the most, at the least, and with the piece level [N]. */
export interface Share {
  most: number;
  least: number;
  level: number;
  traces: Trace[];
}

/** Shares of two plumb hooks over the slopes the piece takes where one of them lags; no answer where one would have to push. */
export function sharesOf(piece: Piece, pick: Pick, weight: PieceWeight, rules: Rules): Record<HookOf, Share> | { impossible: string } {
  const pickSpacing = piece.length - pick.left - pick.right;
  if (!(pickSpacing > 0)) return { impossible: `The two hooks of ${piece.mark} cross over: bring them nearer its ends.` };
  const slope = rules.value('hookDifference');
  const traces: Trace[] = [];
  const carried: { a: number; b: number; light: boolean; tiltDeg: number }[] = [];
  for (const tiltDeg of [...new Set([-slope, 0, slope])])
    for (const lump of [weight, weight.light]) {
      const input = { weight: lump.weight, pickSpacing, cgFromA: lump.cg.x - pick.left, cgBelowPicks: weight.section.depth - lump.cg.z, tiltDeg };
      const outcome = attempt(craneTandem, input);
      if (!outcome.ok) return { impossible: outcome.error };
      if (lump === weight) traces.push({ calc: craneTandem.id, input, output: outcome.output });
      carried.push({ ...outcome.output, light: lump !== weight, tiltDeg });
    }
  const landed = oneEndOf(piece, pick, weight);
  const of = (key: 'a' | 'b'): Share => {
    const mine = carried.map((one) => one[key]);
    // Once the other end rests, this hook carries what the seat does not.
    if (landed && landed.hook === (key === 'a' ? 'main' : 'second')) mine.push(...landed.carries);
    return {
      most: Math.max(...mine),
      least: Math.max(0, Math.min(...mine)),
      level: carried.find((one) => !one.light && one.tiltDeg === 0)![key],
      traces: landed ? [...traces, landed.traces[0]!] : traces,
    };
  };
  return { main: of('a'), second: of('b') };
}

/** One end of a piece on two hooks has landed: which hook still holds it, and what that carries from there until it is down. */
export interface OneEnd {
  end: 'left' | 'right';
  hook: HookOf;
  /** from the end that landed to where it rests [m], and how much higher than set the pick of the other hook is then */
  rest: number;
  high: number;
  carries: number[];
  /** most that comes on where it rests [N] */
  seat: number;
  traces: Trace[];
}

/** Null while nobody says that one end lands before the other, and where it rests. */
export function oneEndOf(piece: Piece, pick: Pick, weight: PieceWeight, fall?: number): OneEnd | null {
  const lands = pick.second?.lands ?? null;
  if (!lands || lands.first === 'together' || lands.rest === null || lands.high === null) return null;
  const left = lands.first === 'left';
  const from = (x: number) => (left ? x : piece.length - x);
  const traces: Trace[] = [];
  const told: { hook: number; rest: number }[] = [];
  for (const lump of [weight, weight.light])
    for (const high of new Set([lands.high, 0])) {
      const input = {
        weight: lump.weight,
        cg: from(lump.cg.x),
        cgHeight: lump.cg.z,
        rest: lands.rest,
        hook: from(left ? piece.length - pick.right : pick.left),
        pickHeight: weight.section.depth,
        high,
        ...(fall === undefined ? {} : { fall }),
      };
      const outcome = attempt(oneEndLanded, input);
      if (!outcome.ok) return null;
      told.push(outcome.output);
      if (lump === weight) traces.push({ calc: oneEndLanded.id, input, output: outcome.output });
    }
  return {
    end: lands.first,
    hook: left ? 'second' : 'main',
    rest: lands.rest,
    high: lands.high,
    carries: told.map(({ hook }) => hook),
    seat: Math.max(...told.map(({ rest }) => rest)),
    traces,
  };
}

/** Each pick on a hook of its own, plumb over it: on one sling, or where two lines hang side by side on a leg to each of them. */
export function hangOnTwo(piece: Piece, pick: Pick, weight: PieceWeight, shares: ReturnType<typeof sharesOf>, hook: HookOf): HangingResult {
  if ('impossible' in shares) return shares;
  const legs = weight.pair ? legsToBoth(piece, pick, weight, weight.pair) : null;
  if (legs instanceof Missing || (legs !== null && 'impossible' in legs)) return legs;
  const depth = weight.section.depth + weight.below;
  const end = hook === 'main' ? 0 : 1;
  const slings = [pick.legs.left, pick.legs.right];
  return {
    way: 'two',
    tension: [shares.main.most, shares.second.most].map((share, n) => (legs ? (share * legs.share * slings[n]!) / legs.rises[n]! : share)),
    angleDeg: legs ? legs.rises.map((up, n) => (Math.asin(up / slings[n]!) * 180) / Math.PI) : [90, 90],
    tiltDeg: 0,
    hookAbovePick: legs ? legs.rises[end]! : slings[end]!,
    loadDepth: depth,
    height: depth + weight.above,
    squeeze: 0,
    bar: null,
    trace: shares[hook].traces[0]!,
  };
}

/** From each hook a leg to either line: how far they rise, and what of its hook the leg of the heavier line holds. */
function legsToBoth(piece: Piece, pick: Pick, weight: PieceWeight, pair: Pair): { rises: number[]; share: number } | Missing | { impossible: string } {
  const { rig } = pick;
  if (rig?.kind !== 'legs')
    return new Missing(
      `${piece.mark} hang side by side on two hooks: what is worked out here is a leg from each hook to each line. Say they hang by four legs.`,
    );
  const apart = legsApart(piece, rig, weight);
  if (apart instanceof Missing) return apart;
  const legs = [pick.legs.left, pick.legs.right];
  const rises = legs.map((leg, n) => rise(leg, apart[n]! / 2));
  if (rises.includes(null)) return { impossible: `Legs of ${legs.join(' and ')} m do not meet over two lines so far apart: make them longer.` };
  return { rises: rises as number[], share: heavierOf(pair) };
}

const STEPS = 36;

/**
 * The way of one of two hooks: the piece is raised as it lies, carried straight over, or straight to a place that is said and straight on
 * from there, while it turns, and lowered.
 */
export function twoPath(pick: Pick, stand: Stand, piece: Piece, seat: Target, hook: HookOf): LiftPath {
  const at = hook === 'main' ? pick.left : piece.length - pick.right;
  const seen: Seen = { length: piece.length, toMiddle: piece.length / 2 - at };
  const { azimuthDeg } = piece.start;
  const turn = wrapDeg(seat.azimuthDeg - azimuthDeg);
  const middleOf = (end: Vec, deg: number) => add(end, scale(direction(deg), piece.length / 2));
  const [from, to] = [middleOf(lyingEnd(piece), azimuthDeg), middleOf(seat.leftEnd, seat.azimuthDeg)];
  const via = pick.second?.via ?? null;
  const [first, second] = via ? [distance(from, via), distance(via, to)] : [distance(from, to), 0];
  // As many steps before the place in between as its share of the way, one at least on either side of it.
  const before = via ? Math.min(STEPS - 1, Math.max(1, Math.round((STEPS * first) / (first + second || 1)))) : STEPS;
  const place = (i: number): Station => {
    const deg = azimuthDeg + (turn * i) / STEPS;
    const middle = i <= before ? mix(from, via ?? to, i / before) : mix(via ?? to, to, (i - before) / (STEPS - before));
    const phase = i === 0 ? 'raise' : i === STEPS ? 'lower' : 'carry';
    return stationAt(stand, phase, add(middle, scale(direction(deg), -seen.toMiddle)), deg, seen);
  };
  const stations = Array.from({ length: STEPS + 1 }, (_, i) => place(i));
  // Between two stations a hook runs on an arc about the middle of the piece: so far it may be off the line between them.
  const bulge = (Math.abs(seen.toMiddle) * ((turn / STEPS) * (Math.PI / 180)) ** 2) / 8;
  return pathOf(stand, stations, 0, bulge);
}

/** The pick as the crane of one of its hooks sees it; missing while nobody has said how long the boom of the second is. */
export function asHook(pick: Pick, hook: HookOf): Pick | Missing {
  const { second } = pick;
  if (hook === 'main' || !second) return pick;
  if (second.boom === null) return new Missing('How long is the boom of the second crane?');
  return { ...pick, stand: second.stand, boom: second.boom, slingRating: second.slingRating, riggingMass: second.riggingMass, swingRadius: null };
}
