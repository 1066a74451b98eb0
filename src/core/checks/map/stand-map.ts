import { chartLookup, type ChartRule } from '../../cranes/chart-lookup';
import type { Chart } from '../../cranes/chart-shape';
import { angleOf, distance, hull, rectangle, segmentsApart, sub, toOutline, toSegment, type Vec } from '../../geometry/plane';
import { rulesOf, type Rules } from '../../rules/rule-sets';
import { standingAt, standingBefore } from '../../settle/bodies';
import { laidOut } from '../../settle/laid';
import { isDay } from '../../document/day';
import { pitsOf } from '../../document/pits';
import { namesPerson } from '../../document/records';
import { chartsOf, craneAt, dutiesAt } from '../../settle/duties';
import { boomGround, longestBooms } from '../../document/boom-laid';
import { craneOf, standOf } from '../../document/lookups';
import { cranesStanding } from '../../settle/cranes-standing';
import { standingLow } from '../lift/in-the-way';
import { HALF_STRIP, WaysOut } from '../lift/way-out';
import { inZone } from '../site/stand-zones';
import { groundAsks } from '../site/under-crane';
import { isClosed, zonesOf, type OpenZone } from '../site/zones';
import { StandGround } from './stand-ground';
import { Missing } from '../../verdict/missing';
import { breadthOf } from '../../settle/piece-weight';
import { boomToLine, linesAsking, nearestTo, type PlacedLine } from '../site/power-lines';
import { SLEW_STEPS, slewAngle, type LiftPath } from '../../settle/lift-path';
import type { PickContext } from '../context';
import { pathFrom, pickContext } from '../lift/pick-context';
import { StandClear } from './stand-clear';
import { underLoad, worstGives, type Gives } from '../../settle/under-load';
import { driftOf } from '../lift/wind-on-load';
import type { Pick } from '../../document/schema';
import type { SettledPlan } from '../../settle/settle';

/** One load as the map sees it: where its hook has to go, wherever the crane stands. */
interface Lift {
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

export interface StandMap {
  /** middle of the first cell */
  at: Vec;
  step: number;
  wide: number;
  deep: number;
  /**
   * worst share of the chart over all lifts; Infinity: some lift is off the chart there, too near a power line, without head room, its boom
   * too near to its load or to what stands, its load over a zone that nobody closes, the ground too weak under it, or the crane without a way
   * out; NaN: no room for the crane
   */
  worst: Float64Array;
  /** how many of the lifts it serves */
  serves: Uint16Array;
  lifts: number;
  /** the lifts, in their order: by which pick, of what */
  of: { pick: string; mark: string }[];
  /** which lifts are served together, each with the place that takes least of the chart for them */
  served: Map<string, Served>;
  /** share of the chart that a lift takes with the crane at a place; Infinity where it is not served from there */
  share: (lift: number, at: Vec) => number;
  /** the same by the chart alone, whatever is in its way */
  chart: (lift: number, at: Vec) => number;
  /** lifts of this crane the map says nothing of, and why */
  left: { mark: string; why: string }[];
  /** lifts served as far as the chart goes: how they hang is not said, so that nothing is known of what is under their boom */
  unhung: string[];
  /** what nobody has said of the ground, or of what the crane weighs: nothing of the ground is known for the lifts it is asked of */
  groundAsks: string[];
  /** zones nobody closes: no stand is in one, no lift goes over one */
  zones: string[];
  /** power lines it keeps clear of, and those it cannot: nobody says where they run or what they carry */
  lines: { kept: string[]; unknown: string[] };
}

/** Lifts, by their number, that are served from one place. */
export interface Served {
  lifts: number[];
  at: Vec;
  /** worst share of the chart over them */
  worst: number;
}

/** How far past what is built and what lies the map looks [m]. */
const ROUND = 25;
/** No map has more cells than this: the step grows instead. */
const MOST_CELLS = 40_000;
const STEP = 0.5;

/** What the picks of a crane, or those from one stand of it, ask of its place. */
function liftsOf(
  plan: SettledPlan,
  crane: string,
  stand: string | null,
  rules: Rules,
  lines: ReturnType<typeof linesAsking>['known'],
  gives: Gives,
): { lifts: Lift[]; left: StandMap['left'] } {
  const lifts: Lift[] = [];
  const places = new Map<string, Lift['mayStand']>();
  const stands = (id: string): Lift['mayStand'] => {
    const known = places.get(id);
    if (known) return known;
    const made = mayStandOf(plan, id, rules);
    places.set(id, made);
    return made;
  };
  const left: StandMap['left'] = [];
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
const openZones = (plan: SettledPlan): OpenZone[] => zonesOf(plan).filter((zone) => !isClosed(zone, null));

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

/** What one boom gives by a chart, read row by row once: a cell of the map reads it without a search through the booms. */
class BoomColumn {
  /** NaN: a blank */
  private readonly rows: Float64Array;
  private readonly radii: Float64Array;
  constructor(
    chart: Chart,
    boom: number,
    private readonly rule: ChartRule,
  ) {
    this.radii = Float64Array.from(chart.radii);
    this.rows = Float64Array.from(chart.radii, (radius) => chartLookup(chart, radius, boom, rule).capacity ?? NaN);
  }

  /** The least it gives over the radii of a way; NaN where it gives nothing somewhere. */
  least(least: number, most: number): number {
    const { radii, rows } = this;
    let found = this.at(least);
    const last = this.at(most);
    // Not a number stays so through every comparison.
    found = last < found || Number.isNaN(last) ? last : found;
    for (let i = 0; i < radii.length; i += 1) {
      if (radii[i]! <= least) continue;
      if (radii[i]! >= most) break;
      const capacity = rows[i]!;
      if (capacity < found || Number.isNaN(capacity)) found = capacity;
    }
    return found;
  }

  private at(radius: number): number {
    const { radii, rows } = this;
    let high = 0;
    while (high < radii.length && radii[high]! < radius) high += 1;
    if (high === radii.length) return NaN;
    if (radii[high] === radius) return rows[high]!;
    if (high === 0) return NaN;
    const [before, after] = [rows[high - 1]!, rows[high]!];
    if (Number.isNaN(before)) return NaN;
    if (this.rule === 'step') return after;
    return before + (after - before) * ((radius - radii[high - 1]!) / (radii[high]! - radii[high - 1]!));
  }
}

/** What each boom gives by the worst of some charts. */
class Booms {
  private readonly columns = new Map<number, BoomColumn[]>();
  constructor(
    private readonly charts: readonly Chart[],
    private readonly rule: ChartRule,
  ) {}

  /** The least that any of the charts gives over the radii of a way; NaN where one of them gives nothing. */
  least(boom: number, least: number, most: number): number {
    let columns = this.columns.get(boom);
    if (!columns) this.columns.set(boom, (columns = this.charts.map((chart) => new BoomColumn(chart, boom, this.rule))));
    let found = Infinity;
    for (const column of columns) {
      const capacity = column.least(least, most);
      if (!(capacity >= found)) found = capacity;
      if (Number.isNaN(found)) return NaN;
    }
    return found;
  }
}

/** Share of the chart that a lift takes with the crane at a place; Infinity where the chart or the boom does not go there. */
function shareAt(place: Vec, { ends, straight, swing, boom, gross }: Lift, booms: Booms, gives: Gives): number {
  let [least, most] = swing === null ? [Infinity, 0] : [swing, swing];
  for (const end of ends) {
    const radius = distance(place, end);
    if (radius < least) least = radius;
    if (radius > most) most = radius;
  }
  if (most + gives.pivotBack > boom) return Infinity;
  for (const [a, b] of straight) least = Math.min(least, toSegment(place, a, b));
  const capacity = booms.least(boom, least, underLoad(gives, boom, most));
  return capacity > 0 ? gross / capacity : Infinity;
}

/** What is under the boom of a lift, wherever its crane stands; null: how it hangs is not said. */
function clearOf(plan: SettledPlan, rules: Rules, { picked }: Lift, gives: Gives, grid: { at: Vec; step: number }): StandClear | null {
  const { path, weight, hanging } = picked;
  if (path instanceof Missing || weight instanceof Missing || hanging instanceof Missing || 'impossible' in hanging) return null;
  return new StandClear(plan, rules, picked, path, weight, hanging, gives, grid, openZones(plan));
}

/** What takes up room on the site when the last lift from it is made: nothing of the crane may reach into it. */
function thingsOf(plan: SettledPlan, crane: string, picks: readonly Pick[], upTo: number): Vec[][] {
  const ours = new Set(picks.map(({ id }) => id));
  const lifted = plan.moves.flatMap((move, at) => ((move.kind === 'piece.hang' || move.kind === 'pick.lift') && move.pick && ours.has(move.pick) ? [at] : []));
  const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
  const steel = new Map(picks.flatMap((pick) => standingAt(plan, rules, pick)).map((body) => [`${body.id} ${body.from} ${body.outline[0]!.x}`, body]));
  return [
    ...plan.site.obstructions.map((one) => rectangle(one.at, one.length, one.width, one.azimuthDeg)),
    ...plan.bearings.map((one) => rectangle(one.at, one.seatLength, one.seatWidth, 0)),
    ...[...steel.values()].filter(({ from }) => from < upTo).map(({ outline }) => outline),
    // Other cranes that are there while a lift is made.
    ...cranesStanding(plan)
      .filter((one) => one.crane.id !== crane && lifted.some((at) => one.from < at && at < one.to))
      .map(({ base }) => base),
    // What is laid out before it is wanted: the crane stands beside it.
    ...laidOut(plan, rules)
      .filter(({ comes, body }) => comes !== 'onTruck' && body.from < upTo)
      .map(({ body }) => body.outline),
  ];
}

const FREE = 1;
const TAKEN = 2;
/** What is known of the cells of a map whatever chart is read over it, lift by lift: another set-up of one plan asks nothing of it again. */
const known = new WeakMap<SettledPlan, Map<string, Uint8Array[]>>();
function cellsKnown(plan: SettledPlan, of: string, lifts: number, cells: number): Uint8Array[] {
  const maps = known.get(plan) ?? new Map<string, Uint8Array[]>();
  known.set(plan, maps);
  const kept = maps.get(of) ?? Array.from({ length: lifts }, () => new Uint8Array(cells));
  maps.set(of, kept);
  return kept;
}

/** How high a slewing tail reaches over its foot pin (common practice) [m]. */
const TAIL_TOP = 1.5;

/**
 * A row of the map at a time: whoever shows it can show how far it is, and break it off.
 * @param stand the lifts from this stand alone; null: all of the crane
 * @param setUp the chart of the crane that is read, as if it were set up so; null: those for how it stands at its stands
 */
export function* standMap(plan: SettledPlan, crane: string, stand: string | null = null, setUp: string | null = null): Generator<number, StandMap | Missing> {
  // As it stands at that stand; of all its stands, as it stands at each of them: the worst of their charts.
  const stands = plan.stands.filter((one) => one.crane === crane && (stand === null || one.id === stand));
  const duties = stands.map((one) => dutiesAt(plan, one));
  const machine = stands[0] && stand !== null ? craneAt(plan, stands[0]) : craneOf(plan, crane);
  const as = setUp === null ? null : chartsOf(plan, craneOf(plan, crane)).find(({ id }) => id === setUp);
  const charts = as !== null ? (as?.chart ? [as.chart] : []) : [...new Set(duties.flatMap(({ usable }) => usable.flatMap(({ chart }) => chart.chart ?? [])))];
  const bare = as === null && duties.find(({ usable }) => usable.every(({ chart }) => chart.chart === null));
  if (bare && bare.refused.length > 0) return new Missing(`No chart of ${machine.name} is for how it stands at one of its stands.`);
  if (charts.length === 0 || bare) return new Missing(`${machine.name} has no chart yet. Paste or import the maker’s chart for this set-up.`);
  if (machine.tower) return new Missing(`${machine.name} is a tower crane: it stands where its base is. Give its place in Gear.`);
  const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
  const lines = linesAsking(plan, rules);
  const gives = worstGives(duties.map((one) => one.gives));
  const { lifts, left } = liftsOf(plan, crane, stand, rules, lines.known, gives);
  if (lifts.length === 0) return new Missing(left[0] ? `Nothing can be mapped yet. ${left[0].why}` : `No pick of ${machine.name} is planned yet.`);
  const points = lifts.flatMap(({ ends }) => ends);
  const low = { x: Math.min(...points.map(({ x }) => x)) - ROUND, y: Math.min(...points.map(({ y }) => y)) - ROUND };
  const high = { x: Math.max(...points.map(({ x }) => x)) + ROUND, y: Math.max(...points.map(({ y }) => y)) + ROUND };
  const step = Math.max(STEP, Math.sqrt(((high.x - low.x) * (high.y - low.y)) / MOST_CELLS));
  const [wide, deep] = [Math.ceil((high.x - low.x) / step), Math.ceil((high.y - low.y) / step)];
  const at = { x: low.x + step / 2, y: low.y + step / 2 };
  const booms = new Booms(charts, plan.job.chartRule);
  const ours = new Set(lifts.map(({ pick }) => pick));
  const things = thingsOf(
    plan,
    crane,
    plan.picks.filter(({ id }) => ours.has(id)),
    machine.pivotHeight + TAIL_TOP,
  );
  // Whichever way it stands and slews, outriggers and tail stay within this.
  const room = Math.max(machine.tailRadius + rules.value('tailClearance'), Math.hypot(machine.baseLength, machine.baseWidth) / 2);
  // Of a pit nobody has said how deep it is, the crane keeps off by its own room alone: the stand asks for the depth.
  const bases = [machine, ...stands.map((one) => craneAt(plan, one))].map(({ baseLength, baseWidth }) => Math.hypot(baseLength, baseWidth) / 2);
  const spread = Math.max(...bases) + Math.sqrt(Math.max(0, ...stands.map(({ padArea }) => padArea ?? 0))) / Math.SQRT2;
  const pits = pitsOf(plan).map((pit) => ({
    outline: rectangle(pit.at, pit.length, pit.width, pit.azimuthDeg),
    keep: spread + (pit.edge && namesPerson(pit.edge.by) && isDay(pit.edge.on) ? 0 : (pit.depth ?? 0) * rules.value('edgeRun')),
  }));
  const clear = lifts.map((lift) => clearOf(plan, rules, lift, gives, { at, step }));
  // The chart says soonest that a place is none; what costs more to know is asked last.
  const isFree = (n: number, place: Vec, passes: (of: StandClear) => boolean): boolean => {
    const { ground, mayStand, underLine } = lifts[n]!;
    const of = clear[n];
    return mayStand(place) && (typeof ground === 'string' || ground.at(place)) && !underLine(place) && (!of || passes(of));
  };
  const sureOf = cellsKnown(plan, `${crane} ${stand}`, lifts.length, wide * deep);
  const shareIn = (n: number, place: Vec, column: number, row: number): number => {
    const share = shareAt(place, lifts[n]!, booms, gives);
    if (!(share < 1)) return share;
    const cells = sureOf[n]!;
    const cell = row * wide + column;
    const is = cells[cell] || (cells[cell] = isFree(n, place, (of) => of.inCell(column, row)) ? FREE : TAKEN);
    return is === FREE ? share : Infinity;
  };
  const map: StandMap = {
    at,
    step,
    wide,
    deep,
    worst: new Float64Array(wide * deep),
    serves: new Uint16Array(wide * deep),
    lifts: lifts.length,
    of: lifts.map(({ pick, mark }) => ({ pick, mark })),
    served: new Map(),
    share: (lift, place) => {
      const share = shareAt(place, lifts[lift]!, booms, gives);
      return share < 1 && !isFree(lift, place, (of) => of.at(place)) ? Infinity : share;
    },
    chart: (lift, place) => shareAt(place, lifts[lift]!, booms, gives),
    left,
    unhung: lifts.flatMap(({ mark }, n) => (clear[n] ? [] : [mark])),
    groundAsks: [...new Set(lifts.flatMap(({ ground }) => (typeof ground === 'string' ? [ground] : [])))],
    zones: openZones(plan).map(({ name }) => name),
    lines: { kept: lines.known.map(({ line }) => line.name), unknown: lines.unknown },
  };
  for (let row = 0; row < deep; row += 1) {
    for (let column = 0; column < wide; column += 1) {
      const cell = row * wide + column;
      const place = { x: at.x + column * step, y: at.y + row * step };
      if (things.some((outline) => toOutline(place, outline) < room) || pits.some(({ outline, keep }) => toOutline(place, outline) < keep)) {
        map.worst[cell] = NaN;
        continue;
      }
      let [worst, within] = [0, 0];
      const served: number[] = [];
      lifts.forEach((_, i) => {
        const share = shareIn(i, place, column, row);
        if (share < 1) {
          served.push(i);
          within = Math.max(within, share);
        }
        worst = Math.max(worst, share);
      });
      map.worst[cell] = worst;
      map.serves[cell] = served.length;
      if (served.length === 0) continue;
      const key = served.join();
      const best = map.served.get(key);
      if (!best || within < best.worst) map.served.set(key, { lifts: served, at: place, worst: within });
    }
    yield (row + 1) / deep;
  }
  return map;
}

/** A place worth a look: how many lifts it serves, and the worst of those it serves or of all. */
export interface Place {
  at: Vec;
  serves: number;
  worst: number;
}

/** The best places of a map, those that serve most first, none within so many metres of a better one. */
export function bestPlaces(map: StandMap, count = 5, apart = 4): Place[] {
  const cells = [...map.serves.keys()].filter((cell) => map.serves[cell]! > 0 && !Number.isNaN(map.worst[cell]!));
  cells.sort((a, b) => map.serves[b]! - map.serves[a]! || map.worst[a]! - map.worst[b]!);
  const found: Place[] = [];
  for (const cell of cells) {
    const at = { x: map.at.x + (cell % map.wide) * map.step, y: map.at.y + Math.floor(cell / map.wide) * map.step };
    if (found.some((one) => distance(one.at, at) < apart)) continue;
    found.push({ at, serves: map.serves[cell]!, worst: map.worst[cell]! });
    if (found.length === count) break;
  }
  return found;
}

/** The whole map at once. */
export function wholeStandMap(plan: SettledPlan, crane: string, stand: string | null = null, setUp: string | null = null): StandMap | Missing {
  const rows = standMap(plan, crane, stand, setUp);
  for (;;) {
    const { done, value } = rows.next();
    if (done) return value;
  }
}
