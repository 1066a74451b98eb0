import { attempt } from '../calc/attempt';
import type { Trace } from '../calc/evidence';
import { liftingBeam } from '../rigging/lifting-beam.calc';
import { riggingHook } from '../rigging/hook.calc';
import { spreader } from '../rigging/spreader.calc';
import { threeLegs } from '../rigging/three-legs.calc';
import { underBar } from '../rigging/under-bar.calc';
import type { Rules } from '../rules/rule-sets';
import { GRAVITY } from '../units';
import { hangPiece, lying, type Bar, type HangingResult } from './hanging';
import { Missing } from '../verdict/missing';
import type { Pair, PieceWeight } from './piece-weight';
import type { Pick, Piece, Rig } from '../document/schema';

const degrees = 180 / Math.PI;
/** A leg is on its line of a pair when it is no further off than this [m]. */
const ON_LINE = 0.15;
/** Slings said to be of one length may differ by so much [m]. */
const SAME = 0.02;

/** How a piece hangs from one hook, by whatever is between the two. */
export function hangBy(piece: Piece, pick: Pick, weight: PieceWeight, rules: Rules): HangingResult {
  const { rig } = pick;
  if (weight.pair && rig?.kind !== 'legs')
    return new Missing(
      `${piece.mark} hang side by side: what is worked out here is one leg at either pick of each line, all to one hook. Say they hang by four legs.`,
    );
  if (!rig) return hangPiece(piece, pick, weight);
  return rig.kind === 'legs' ? onLegs(piece, pick, weight, rig, rules) : underABar(piece, pick, weight, rig);
}

type BarRig = Extract<Rig, { kind: 'spreader' | 'beam' }>;

/** On two plumb slings under a spreader or a lifting beam. */
function underABar(piece: Piece, pick: Pick, weight: PieceWeight, rig: BarRig): HangingResult {
  const what = rig.kind === 'spreader' ? 'the spreader' : 'the lifting beam';
  const said = rig.name.trim() || `${what} of ${piece.mark}`;
  if (rig.length === null) return new Missing(`How long is ${said}, from sling to sling?`);
  if (rig.own === null || rig.own === 0) return new Missing(`What does ${said} weigh? It weighs something.`);
  const reach = rig.kind === 'spreader' ? rig.top : rig.eye;
  if (reach === null)
    return new Missing(
      rig.kind === 'spreader'
        ? `How long are the two slings from the ends of ${said} to the hook?`
        : `How far is the hook above the holes in ${said} that its slings hang in?`,
    );
  const { left, right } = pick.legs;
  if (Math.abs(left - right) > SAME)
    return new Missing(`The two slings under ${said} are not of one length: how ${piece.mark} hangs is not worked out here. Are both figures right?`);
  const { picks, heights } = lying(piece, pick, weight);
  const between = picks[1].x - picks[0].x;
  const hookAbove = rig.kind === 'beam' ? reach : rise(reach, rig.length / 2);
  if (hookAbove === null) return { impossible: `Two slings of ${reach} m do not meet over a spreader of ${rig.length} m: make them longer.` };
  // Slings that run in or out a little to a bar of another length.
  const drop = rise(left, (rig.length - between) / 2);
  if (drop === null || !(between > 0)) return { impossible: `Slings of ${left} m do not reach from ${said} to picks ${between.toFixed(2)} m apart.` };
  const own = rig.own * GRAVITY;
  const input = { weight: weight.weight, between, cgFromLeft: weight.cg.x - pick.left, cgBelow: Math.max(0, picks[0].z - weight.cg.z), hookAbove, own };
  const outcome = attempt(underBar, input);
  if (!outcome.ok) return { impossible: outcome.error };
  const { ends, tiltDeg } = outcome.output;
  const outOfPlumb = Math.abs(Math.atan2((rig.length - between) / 2, drop)) * degrees;
  const tension = ends.map((end) => end / Math.cos(outOfPlumb / degrees));
  const inward = Math.max(...ends) * Math.tan(outOfPlumb / degrees);
  const bar = barOf(rig, Math.max(...ends), own, hookAbove, inward);
  if ('impossible' in bar) return bar;
  return {
    way: 'bar',
    tension,
    angleDeg: [90 - outOfPlumb, 90 - outOfPlumb],
    tiltDeg,
    hookAbovePick: drop + hookAbove,
    ...heights(tiltDeg),
    squeeze: inward,
    bar: { ...bar, above: drop, length: rig.length, outOfPlumb, load: weight.weight },
    trace: { calc: underBar.id, input, output: outcome.output },
  };
}

export const rise = (sling: number, out: number): number | null => (sling > Math.abs(out) ? Math.sqrt(sling ** 2 - out ** 2) : null);

type Forces = { [K in 'moment' | 'compression' | 'top' | 'traces']: Bar[K] };

/** What its heavier end, doubled, and its own weight do to a bar. */
function barOf(rig: BarRig, end: number, own: number, hookAbove: number, inward: number): Forces | { impossible: string } {
  if (rig.kind === 'beam') {
    const input = { end, length: rig.length!, own };
    const outcome = attempt(liftingBeam, input);
    if (!outcome.ok) return { impossible: outcome.error };
    return { moment: outcome.output.moment, compression: inward, top: null, traces: [{ calc: liftingBeam.id, input, output: outcome.output }] };
  }
  const topAngleDeg = Math.atan2(hookAbove, rig.length! / 2) * degrees;
  const input = { load: 2 * end, length: rig.length!, topAngleDeg, own };
  const outcome = attempt(spreader, input);
  if (!outcome.ok) return { impossible: outcome.error };
  const { topSling, compression, moment } = outcome.output;
  const traces: Trace[] = [{ calc: spreader.id, input, output: outcome.output }];
  return { moment, compression: compression + inward, top: { tension: topSling, angleDeg: topAngleDeg }, traces };
}

/** How far apart across the legs at the left pick are, and at the right: of two lines as far as these are from each other. */
export function legsApart({ mark }: Piece, { leftApart, rightApart }: Extract<Rig, { kind: 'legs' }>, { pair }: PieceWeight): [number, number] | Missing {
  if (leftApart === null || rightApart === null) return new Missing(`How far apart across ${mark} are its two legs at each pick? Where there is one leg: 0.`);
  const off = pair && [leftApart, rightApart].find((apart) => Math.abs(apart - pair.apart) > ON_LINE);
  return pair && off !== undefined
    ? new Missing(
        `The legs of ${mark} are said to be ${off} m apart across, and the two lines are ${pair.apart.toFixed(2)} m apart. Which is it? Each line has its own leg.`,
      )
    : [leftApart, rightApart];
}

/** Of what two legs at one pick hold the part of the leg of the heavier line. */
export const heavierOf = ({ offCentre, apart }: Pair): number => 1 / 2 + offCentre / apart;

/**
 * On three or four legs: one or two at either pick, two of them as far to one side as to the other. Seen from the side the two of a pick
 * are one leg; of four no more than the rule set counts carry.
 */
function onLegs(piece: Piece, pick: Pick, weight: PieceWeight, rig: Extract<Rig, { kind: 'legs' }>, rules: Rules): HangingResult {
  const apart = legsApart(piece, rig, weight);
  if (apart instanceof Missing) return apart;
  const { pair } = weight;
  const [leftApart, rightApart] = apart;
  if (leftApart === 0 && rightApart === 0) return hangPiece(piece, pick, weight);
  const halves = [leftApart / 2, rightApart / 2] as const;
  const legs = [pick.legs.left, pick.legs.right] as const;
  const flat = legs.map((leg, n) => rise(leg, halves[n]!));
  if (flat.includes(null)) return { impossible: `Legs of ${legs.join(' and ')} m do not meet over picks so far apart across ${piece.mark}: make them longer.` };
  const { picks, heights } = lying(piece, pick, weight);
  const input = { weight: weight.weight, picks: [...picks], cg: weight.cg, legs: flat as number[] };
  const outcome = attempt(riggingHook, input);
  if (!outcome.ok) return { impossible: outcome.error };
  const { tension, angleDeg, tiltDeg, hookAbovePick } = outcome.output;
  const four = leftApart > 0 && rightApart > 0;
  const counted = four ? Math.min(4, rules.value('legsCounted')) / 2 : 2;
  // However many legs are counted.
  const most = Math.max(1 / counted, pair ? heavierOf(pair) : 0);
  const share = [0, 1].map((n) => (halves[n]! > 0 ? tension[n]! * most * (legs[n]! / flat[n]!) : tension[n]!));
  const slopes = [0, 1].map((n) => Math.asin((Math.sin(angleDeg[n]! / degrees) * flat[n]!) / legs[n]!) * degrees);
  return {
    way: 'slung',
    tension: share,
    angleDeg: slopes,
    tiltDeg,
    hookAbovePick,
    ...heights(tiltDeg),
    squeeze: tension[0]! * Math.cos(angleDeg[0]! / degrees),
    bar: null,
    trace: four ? { calc: riggingHook.id, input, output: outcome.output } : inSpace(piece, pick, weight, halves, picks[0].z),
  };
}

/** Three legs as they are in space. */
function inSpace({ length }: Piece, pick: Pick, weight: PieceWeight, [l, r]: readonly [number, number], z: number): Trace {
  const spots = [pick.left, length - pick.right].flatMap((x, n) =>
    (n === 0 ? [l] : [r]).flatMap((off) => (off > 0 ? [off, -off] : [0]).map((y) => ({ x, y, z }))),
  );
  const lengths = spots.map(({ x }) => (x === pick.left ? pick.legs.left : pick.legs.right));
  const input = { weight: weight.weight, picks: spots, cg: { ...weight.cg, y: 0 }, legs: lengths };
  const outcome = attempt(threeLegs, input);
  return { calc: threeLegs.id, input, output: outcome.ok ? outcome.output : {} };
}
