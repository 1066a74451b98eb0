import { chartLookup, type ChartRule, type OffChart } from '../cranes/chart-lookup';
import { phrase, q, type Phrase } from '../calc/work';
import { wrapDeg } from '../geometry/plane';
import { keep } from '../document/keep';
import { spanBetween, type LiftPath } from './lift-path';
import type { Crane, Duty, Plan, Stand } from '../document/schema';
import { givesOf, underLoad, type Gives } from './under-load';

/** A chart of a crane with what it is good for: its own, or one of its further ones. */
export type ChartOf = Omit<Duty, 'crane'>;

/** Measures this close are the same set-up [m]. */
const SAME_BASE = 0.02;
/** Counterweights this close, as a share, are the same. */
const SAME_WEIGHT = 0.01;

/** The charts of a crane: its own, unless it has only further ones, and these. */
export function chartsOf({ duties = [] }: Plan, crane: Crane): ChartOf[] {
  const more = duties.filter((one) => one.crane === crane.id);
  return crane.chart === null && more.length > 0 ? more : [{ ...crane, name: crane.chartSource || crane.name }, ...more];
}

/** The crane as it stands at a stand: on the base it has there, with the counterweight that is on it there. */
export function craneAt(plan: Plan, stand: Stand): Crane {
  const crane = plan.cranes.find(({ id }) => id === stand.crane);
  if (!crane) throw new RangeError(`the plan has no crane “${stand.crane}”`);
  const { base, counterweight = null } = stand;
  if (!base && counterweight === null) return crane;
  return keep('crane.at', stand, [crane], () => {
    const stated = counterweightOf(crane);
    return {
      ...crane,
      baseLength: base?.length ?? crane.baseLength,
      baseWidth: base?.width ?? crane.baseWidth,
      parts:
        counterweight === null || stated === null
          ? crane.parts
          : crane.parts.map((part, i) =>
              part.on === 'slewing' && part.counterweight
                ? { ...part, mass: stated > 0 ? (part.mass * counterweight) / stated : firstOf(crane) === i ? counterweight : 0 }
                : part,
            ),
    };
  });
}

/** The first of the parts that are counterweight: where all are stated as nothing, what is on goes there. */
const firstOf = ({ parts }: Crane): number => parts.findIndex((part) => part.on === 'slewing' && part.counterweight);

/** What the parts of a crane that are counterweight weigh together; null while none is said to be. */
export function counterweightOf({ parts }: Crane): number | null {
  const own = parts.flatMap((part) => (part.on === 'slewing' && part.counterweight ? [part.mass] : []));
  return own.length > 0 ? own.reduce((sum, one) => sum + one, 0) : null;
}

export interface DutyRange {
  from: number;
  to: number;
}
const ALL_ROUND: DutyRange = { from: 0, to: 180 };

export interface Duties {
  /** charts for the crane as it stands, each with where round the carrier it is good */
  usable: { chart: ChartOf; over: DutyRange }[];
  /** charts of the crane that are not for it as it stands, and why */
  refused: { chart: ChartOf; why: Phrase }[];
  /** what has to be known before anybody can say which chart is the right one */
  asked: string[];
  /** what carries its hook out as the load comes on */
  gives: Gives;
}

/** Which charts of a crane are for it as it stands. With one chart of which nothing else is said, that one, all round. */
export function dutiesAt(plan: Plan, stand: Stand): Duties {
  const crane = craneAt(plan, stand);
  const charts = chartsOf(plan, crane);
  const several = charts.length > 1;
  const found: Duties = { usable: [], refused: [], asked: [], gives: givesOf(plan, crane, stand) };
  const ask = (question: string) => void (found.asked.includes(question) || found.asked.push(question));
  const weighed = charts.some(({ chartCounterweight = null }) => chartCounterweight !== null) || (stand.counterweight ?? null) !== null;
  const on = counterweightOf(crane);
  if (weighed && on === null) ask(`Which of the parts of ${crane.name} is its counterweight, and what does it weigh? The chart to read depends on it.`);
  const fits: (Duties['usable'][number] & { same: boolean })[] = [];
  for (const chart of charts) {
    const { chartCounterweight = null, chartBase, chartOver } = chart;
    const what = several ? `the chart “${chart.name}”` : 'the chart';
    if (several && chart.chart === null) ask(`${capital(what)} of ${crane.name} has no figures yet. Paste or import the maker’s chart.`);
    if (weighed && chartCounterweight === null) ask(`For what counterweight is ${what} of ${crane.name} good? It stands in the chart.`);
    if (several && !chartBase) ask(`For what outrigger base is ${what} of ${crane.name} good? It stands in the chart.`);
    const over = rangeOf(chartOver);
    // Of the only chart of a crane nobody has to say that it is good all round; of one of several somebody has to.
    if (over === null || (several && !chartOver)) {
      if (several || chartOver) ask(`Where round ${crane.name} is ${what} good: from and to how far off its front? It stands in the chart.`);
    } else if (over.from >= over.to) ask(`${capital(what)} of ${crane.name} is good from ${over.from}° to ${over.to}° off its front, it says. Which is meant?`);
    if (on !== null && chartCounterweight !== null && Math.abs(on - chartCounterweight) > SAME_WEIGHT * Math.max(on, chartCounterweight)) {
      found.refused.push({ chart, why: phrase`is for ${q(chartCounterweight, 'mass')} of counterweight, and ${q(on, 'mass')} is on` });
      continue;
    }
    const short = several && chartBase ? shortOf(crane, chartBase) : null;
    if (short) {
      found.refused.push({ chart, why: phrase`is for a base of ${q(short.needs, 'length')} ${short.way}, and it stands on ${q(short.has, 'length')}` });
      continue;
    }
    fits.push({
      chart,
      over: over ?? ALL_ROUND,
      same: !!chartBase && Math.abs(crane.baseLength - chartBase.length) <= SAME_BASE && Math.abs(crane.baseWidth - chartBase.width) <= SAME_BASE,
    });
  }
  // On its full base a crane is read off the chart for it; on one between two, off whatever is for less.
  const same = fits.filter((one) => one.same);
  found.usable = (same.length > 0 ? same : fits).map(({ chart, over }) => ({ chart, over }));
  return found;
}

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** Null where one end of it is not said. */
function rangeOf(over: ChartOf['chartOver']): DutyRange | null {
  if (!over) return ALL_ROUND;
  return over.from === null || over.to === null ? null : { from: over.from, to: over.to };
}

function shortOf(crane: Crane, base: NonNullable<ChartOf['chartBase']>): { way: string; has: number; needs: number } | null {
  if (crane.baseLength < base.length - SAME_BASE) return { way: 'front to rear', has: crane.baseLength, needs: base.length };
  if (crane.baseWidth < base.width - SAME_BASE) return { way: 'side to side', has: crane.baseWidth, needs: base.width };
  return null;
}

/** Part of a way that is read off one chart: its longest and shortest radius. */
interface Stretch {
  least: number;
  most: number;
}

interface StretchOf {
  off: DutyRange;
  radii: Stretch;
}

/** How far the boom is off the front of the carrier on its way from one station to the next, either side. */
function offFront(fromDeg: number, toDeg: number, azimuthDeg: number): DutyRange {
  const from = wrapDeg(fromDeg - azimuthDeg);
  const to = from + wrapDeg(toDeg - fromDeg);
  const sides = [Math.abs(from), Math.abs(to)];
  const passes = (at: number) => (from - at) * (to - at) <= 0;
  const folded = sides.map((one) => (one > 180 ? 360 - one : one));
  return {
    from: passes(0) ? 0 : Math.min(...folded),
    to: passes(180) || passes(-180) ? 180 : Math.max(...folded),
  };
}

/** The stretches of a way: from each station to the next, with how far off the front the boom is there. */
function stretchesOf(path: LiftPath, azimuthDeg: number, loaded: (radius: number) => number): StretchOf[] {
  const bulge = Math.max(0, path.most - Math.max(...path.stations.map(({ radius }) => radius)));
  const [first] = path.stations;
  if (!first) return [];
  const pairs = path.stations.length === 1 ? [[first, first] as const] : path.stations.slice(1).map((to, i) => [path.stations[i]!, to] as const);
  return pairs.map(([from, to]) => {
    const [least, most] = spanBetween(path.stand, from, to);
    return { off: offFront(from.bearingDeg, to.bearingDeg, azimuthDeg), radii: { least: Math.max(0, least - bulge), most: loaded(most + bulge) } };
  });
}

export type Reading =
  | { kind: 'capacity'; capacity: number; radius: number; chart: ChartOf }
  | { kind: 'off'; off: OffChart; radius: number; chart: ChartOf }
  /** the boom passes where no chart is good */
  | { kind: 'none'; offDeg: number };

/**
 * Radii where a chart must be read: from the least of the way, as set, to the greatest of it with the load on, and at every chart row
 * between them, where a stepped chart changes.
 */
export function radiiToRead({ least, most }: { least: number; most: number }, chartRadii: readonly number[], loaded: (radius: number) => number): number[] {
  const far = loaded(most);
  return [...new Set([least, ...chartRadii.filter((r) => r > least && r < far), far])].sort((a, b) => a - b);
}

/** The worst that the usable charts give on a way; null where there is none with figures. */
export function readOnWay(plan: Plan, { usable, gives }: Duties, stand: Stand, path: LiftPath, boom: number): Reading | null {
  const loaded = (radius: number) => underLoad(gives, boom, radius);
  const rule = plan.job.chartRule;
  let worst: Extract<Reading, { kind: 'capacity' }> | null = null;
  const read = (chart: ChartOf, radii: readonly number[]): Reading | null => {
    for (const radius of radii) {
      const answer = chartLookup(chart.chart!, radius, boom, rule);
      if (answer.capacity === null) return { kind: 'off', off: answer.off, radius, chart };
      if (worst === null || answer.capacity <= worst.capacity) worst = { kind: 'capacity', capacity: answer.capacity, radius, chart };
    }
    return null;
  };
  const good = usable.filter(({ chart }) => chart.chart !== null);
  if (good.length === 0) return null;
  const whole = ({ over }: Duties['usable'][number]) => over.from <= 0 && over.to >= 180;
  if (good.every(whole)) {
    for (const { chart } of good) {
      const off = read(chart, radiiToRead(path, chart.chart!.radii, loaded));
      if (off) return off;
    }
    return worst;
  }
  for (const stretch of stretchesOf(path, stand.azimuthDeg, loaded)) {
    const found = readStretch(good, stretch, boom, rule);
    if (found === null || found.kind !== 'capacity') return found;
    if (worst === null || found.capacity <= worst.capacity) worst = found;
  }
  return worst;
}

type Usable = Duties['usable'][number];

/** The worst that charts with figures give between two stations of a way. */
function readStretch(good: readonly Usable[], { off, radii }: StretchOf, boom: number, rule: ChartRule): Reading | null {
  const open = gapIn(
    off,
    good.map(({ over }) => over),
  );
  if (open !== null) return { kind: 'none', offDeg: open };
  let worst: Extract<Reading, { kind: 'capacity' }> | null = null;
  for (const { chart, over } of good) {
    if (over.from > off.to || over.to < off.from) continue;
    const rows = chart.chart!.radii.filter((radius) => radius > radii.least && radius < radii.most);
    for (const radius of [radii.least, ...rows, radii.most]) {
      const answer = chartLookup(chart.chart!, radius, boom, rule);
      if (answer.capacity === null) return { kind: 'off', off: answer.off, radius, chart };
      if (worst === null || answer.capacity <= worst.capacity) worst = { kind: 'capacity', capacity: answer.capacity, radius, chart };
    }
  }
  return worst;
}

/** What the usable charts give on each stretch of a way, in its order: up to each station after the first. */
export function readAlong(plan: Plan, { usable, gives }: Duties, stand: Stand, path: LiftPath, boom: number): (Reading | null)[] {
  const good = usable.filter(({ chart }) => chart.chart !== null);
  const loaded = (radius: number) => underLoad(gives, boom, radius);
  return good.length === 0 ? [] : stretchesOf(path, stand.azimuthDeg, loaded).map((stretch) => readStretch(good, stretch, boom, plan.job.chartRule));
}

/** The first place within a range that none of the others covers; null where all of it is covered. */
function gapIn({ from, to }: DutyRange, covers: readonly DutyRange[]): number | null {
  if (!covers.some((cover) => cover.from <= from && cover.to >= from)) return from;
  let at = from;
  for (const cover of [...covers].sort((a, b) => a.from - b.from)) {
    if (cover.from > at + 1e-9) break;
    at = Math.max(at, cover.to);
  }
  return at >= to - 1e-9 ? null : at;
}
