import { angleOf, distance, hull, rectangle, segmentsApart, sub, toOutline, type Vec } from '../../geometry/plane';
import type { Rules } from '../../rules/rule-sets';
import { standingBefore } from '../../settle/bodies';
import { craneAt } from '../../settle/duties';
import { boomGround, longestBooms } from '../../document/boom-laid';
import { standOf } from '../../document/lookups';
import { standingLow } from '../lift/in-the-way';
import { HALF_STRIP, WaysOut } from '../lift/way-out';
import { inZone } from '../site/stand-zones';
import { groundAsks } from '../site/under-crane';
import { zonesOf, type OpenZone } from '../../document/zones';
import { isClosed } from '../site/zones';
import { StandGround } from './stand-ground';
import { Missing } from '../../verdict/missing';
import { breadthOf } from '../../settle/piece-weight';
import { boomToLine, type linesAsking, nearestTo, type PlacedLine } from '../site/power-lines';
import { SLEW_STEPS, slewAngle, type LiftPath } from '../../settle/lift-path';
import type { PickContext } from '../context';
import { pathFrom, pickContext } from '../lift/pick-context';
import type { Gives } from '../../settle/under-load';
import { driftOf } from '../lift/wind-on-load';
import type { Pick } from '../../document/schema';
import type { SettledPlan } from '../../settle/settle';

/** One load as the map sees it: where its hook has to go, wherever the crane stands. */
export interface Lift {
  pick: string;
  mark: string;
  gross: number;
  boom: number;
  /** places of the hook where its radius may be longest or shortest */
  ends: readonly Vec[];
  /** carried straight: between its ends a hook may come nearer the crane */
  straight: readonly (readonly [Vec, Vec])[];
  /** radius held while slewing */
  swing: number | null;
  /** how near its boom, rope and load come to the power lines with the crane at a place: one of them too near */
  underLine: (at: Vec) => boolean;
  /** what it may press on the ground with; a text: what nobody has said of that */
  ground: StandGround | string;
  /** whether its stand may be at a place: out of zones nobody closes, and with a way out for the crane */
  mayStand: (at: Vec) => boolean;
  picked: PickContext;
}

/** What the picks of a crane, or those from one stand of it, ask of its place. */
export function liftsOf(
  plan: SettledPlan,
  crane: string,
  stand: string | null,
  rules: Rules,
  lines: ReturnType<typeof linesAsking>['known'],
  gives: Gives,
): { lifts: Lift[]; left: { mark: string; why: string }[] } {
  const lifts: Lift[] = [];
  const places = new Map<string, Lift['mayStand']>();
  const stands = (id: string): Lift['mayStand'] => {
    const known = places.get(id);
    if (known) return known;
    const made = mayStandOf(plan, id, rules);
    places.set(id, made);
    return made;
  };
  const left: { mark: string; why: string }[] = [];
  for (const pick of plan.picks) {
    if (standOf(plan, pick.stand).crane !== crane || (stand !== null && pick.stand !== stand)) continue;
    const picked = pickContext(plan, pick);
    const { piece, path, gross, turned } = picked;
    const leave = (why: string) => left.push({ mark: piece.mark, why });
    if (pick.second) leave('it is lifted by two cranes');
    else if (path instanceof Missing || gross instanceof Missing) leave((path instanceof Missing ? path : (gross as Missing)).questions.join(' '));
    else {
      const hooks = path.stations.map(({ hook }) => hook);
      const [first, last] = [hooks[0]!, hooks.at(-1)!];
      const low = turned ? turned.low : null;
      lifts.push({
        pick: pick.id,
        mark: piece.mark,
        gross: gross.mass,
        boom: pick.boom,
        ends: low ? [first, low, last] : [first, last],
        straight: low ? [[first, low]] : [],
        swing: pick.swingRadius,
        underLine: nearLines(plan, picked, rules, lines),
        ground: groundOf(picked, path, gross, gives),
        mayStand: stands(pick.stand),
        picked,
      });
    }
  }
  return { lifts, left };
}

/** The ground under a lift, as it is said at its stand; what is asked of it where something is not. */
function groundOf(picked: PickContext, path: LiftPath, gross: { mass: number; least: number }, gives: Gives): Lift['ground'] {
  const { crane, stand } = picked;
  const { padArea, groundAllowable } = stand;
  const asks = groundAsks(crane, stand);
  return asks ?? new StandGround(picked, path, gross, gives, { padArea: padArea ?? 0, groundAllowable: groundAllowable! });
}

/** Zones of a plan that nobody closes. */
export const openZones = (plan: SettledPlan): OpenZone[] => zonesOf(plan).filter((zone) => !isClosed(zone, null));

/** Whether a crane may stand at a place as it does at a stand: in no zone that nobody closes, and with a way out when it leaves. */
function mayStandOf(plan: SettledPlan, id: string, rules: Rules): Lift['mayStand'] {
  const stand = standOf(plan, id);
  const crane = craneAt(plan, stand);
  const zones = openZones(plan);
  const booms = longestBooms(plan);
  const leaves = plan.moves.flatMap((move, at) => (move.kind === 'crane.leave' && move.stand === id ? [at] : []));
  const standing = standingLow(plan, rules);
  const ways = leaves.map((at) => new WaysOut(standing(at), HALF_STRIP, stand.at));
  let last: Vec | null = null;
  let may = true;
  return (at) => {
    // Many lifts from one stand ask of one place after the other.
    if (at === last) return may;
    const there = { ...stand, at };
    const base = rectangle(at, crane.baseLength, crane.baseWidth, stand.azimuthDeg);
    const taken = { base, boom: zones.length === 0 ? null : boomGround(there, crane, booms) };
    may = zones.every((zone) => inZone(there, crane, taken, zone) === null) && ways.every((way) => way.leadsOut(there));
    last = at;
    return may;
  };
}

/** Whether a lift with its crane at a place comes nearer to a power line than the line asks for. */
function nearLines(plan: SettledPlan, picked: PickContext, rules: Rules, lines: ReturnType<typeof linesAsking>['known']): Lift['underLine'] {
  const { pick, weight, crane, path } = picked;
  if (lines.length === 0 || path instanceof Missing || weight instanceof Missing) return () => false;
  const standing = standingBefore(plan, rules, pick);
  const hooks = path.stations.map(({ hook }) => hook);
  // No part of the load is further from its hook than this, as far as wind may push it on the longest fall.
  const reach = Math.max(...path.stations.map(({ seen }) => Math.abs(seen.toMiddle) + Math.hypot(seen.length, breadthOf(weight)) / 2));
  const blown = driftOf(plan, picked, path, weight, rules)?.angleDeg ?? 0;
  const round = reach + (crane.pivotHeight + pick.boom) * Math.tan((blown * Math.PI) / 180) + Math.abs(crane.pivotBack) + crane.boomDepth;
  const straight = picked.turned ? [hooks[0]!, { x: picked.turned.low.x, y: picked.turned.low.y }] : [];
  return (at) => {
    const close = lines.filter(({ line, clearance }) => sweepToLine(at, pick, [...straight, hooks[0]!], hooks.at(-1)!, line) - round < clearance);
    if (close.length === 0) return false;
    const from = pathFrom(picked, at);
    if (from === null) return false;
    const here = { ...picked, stand: { ...picked.stand, at } };
    // Mostly the boom alone says so; only else is it worked out how high the load goes by.
    return (
      close.some(({ line, clearance }) => from.stations.some((station) => boomToLine(here, station, line) < clearance)) ||
      close.some(({ line, clearance }) => nearestTo({ plan, rules }, here, from, weight, line, standing) < clearance)
    );
  };
}

/**
 * How far, seen from above, a line is from all that a boom sweeps: from its foot to the hook as it slews from one place to another, and
 * over what lies between the foot and the places the hook is carried to straight before.
 */
function sweepToLine(at: Vec, { swing, swingRadius }: Pick, before: readonly Vec[], to: Vec, { from: a, to: b }: PlacedLine): number {
  let nearest = Infinity;
  const see = (x: number, y: number) => (nearest = Math.min(nearest, segmentsApart(at.x, at.y, x, y, a.x, a.y, b.x, b.y)));
  before.forEach((hook, i) => {
    see(hook.x, hook.y);
    const last = before[i - 1];
    if (last) nearest = Math.min(nearest, segmentsApart(last.x, last.y, hook.x, hook.y, a.x, a.y, b.x, b.y));
  });
  // A line that ends inside what is carried past is on none of its edges.
  if (before.length > 1 && insideOf(a, [at, ...before])) return 0;
  const from = before.at(-1)!;
  const [r0, r1] = [distance(at, from), distance(at, to)];
  const a0 = angleOf(sub(from, at));
  const turn = slewAngle(a0, angleOf(sub(to, at)), swing);
  for (let i = 0; i <= SLEW_STEPS; i += 1) {
    const t = i / SLEW_STEPS;
    const rad = ((a0 + turn * t) * Math.PI) / 180;
    // Boomed in or out before and after: the longer of both covers them.
    const held = swingRadius ?? r0 + (r1 - r0) * t;
    const r = i === 0 ? Math.max(held, r0) : i === SLEW_STEPS ? Math.max(held, r1) : held;
    see(at.x + r * Math.cos(rad), at.y + r * Math.sin(rad));
  }
  return nearest;
}

const insideOf = (point: Vec, around: readonly Vec[]): boolean => toOutline(point, hull(around)) === 0;
