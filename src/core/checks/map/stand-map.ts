import { distance, rectangle, toOutline, toSegment, type Vec } from '../../geometry/plane';
import { rulesOf, type Rules } from '../../rules/rule-sets';
import { standingAt } from '../../settle/bodies';
import { laidOut } from '../../settle/laid';
import { isDay } from '../../units/day';
import { pitsOf } from '../../document/zones';
import { namesPerson } from '../../document/records';
import { chartsOf, craneAt, dutiesAt } from '../../settle/duties';
import { craneOf } from '../../document/lookups';
import { cranesStanding } from '../../settle/cranes-standing';
import { Missing } from '../../verdict/missing';
import { linesAsking } from '../site/power-lines';
import { StandClear } from './stand-clear';
import { underLoad, worstGives, type Gives } from '../../settle/under-load';
import type { Pick } from '../../document/schema';
import type { SettledPlan } from '../../settle/settle';
import { Booms } from './booms';
import { liftsOf, openZones, type Lift } from './map-lifts';

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
