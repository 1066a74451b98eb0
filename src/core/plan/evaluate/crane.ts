import { belowBoom, lineOver } from '../../cranes/boom-geometry';
import { craneBoom } from '../../cranes/boom.calc';
import { craneChart } from '../../cranes/chart.calc';
import { headRoom } from '../../cranes/head-room.calc';
import { craneTandem } from '../../cranes/tandem.calc';
import { craneWindLimit } from '../../cranes/wind-limit.calc';
import { clip, rectangle, type Vec } from '../../geometry/plane';
import type { Check } from '../check';
import { boomFrame, boxOf, closeStations, meets, outlineAt, tallestUnder, type LiftPath, type Station } from '../lift-path';
import { standingAt, standingBefore, type Body } from '../bodies';
import { dayFault, namesPerson } from '../records';
import type { Rules } from '../../rules/rule-sets';
import { Missing } from '../missing';
import type { Hanging } from '../hanging';
import { breadthOf, type PieceWeight } from '../piece-weight';
import { chartsOf, dutiesAt, readOnWay } from '../duties';
import { workedUnderLoad } from '../under-load';
import { chartAuditChecks } from './chart-audit';
import { dutyChecks, fallsCheck, reeving } from './duty';
import { phrase, q } from '../../calc/work';
import { flatStop, missingCheck, liftMove, ratioCheck, sourced, traced, type Context, type PickContext, onHook, told } from './context';
import { findSection } from '../../steel/sections';
import { rigWords } from '../document/rig';
import { driftOf, sailOf } from '../wind-on-load';
import { liftDrift } from '../../lift/drift.calc';
import { tagChecks } from './tag-lines';
import type { SettledPlan } from '../settle';
import type { Crane } from '../schema';
import type { Trace } from '../../calc/evidence';

type Place = Parameters<typeof missingCheck>[0];

export function craneChecks(context: Context, picked: PickContext): Check[] {
  const { plan, rules } = context;
  const { pick, piece, crane, path, weight, hanging } = picked;
  const lift = liftMove(plan, pick);
  const at = (id: string, calc: { id: string; source: { text: string } }, ...keys: Parameters<typeof rules.value>[0][]): Place => ({
    id,
    ...onHook(picked, piece.mark),
    station: 'gear',
    move: lift,
    calc: calc.id,
    source: sourced(calc.source.text, rules, ...keys),
  });
  const chart = chartCheck(context, picked, at('lift.chart', craneChart, 'chartCaution', 'boomBend', 'craneLevel', 'padSettles'));
  // A boom that cannot get there is the reason; what the chart says of it would only repeat it.
  if (!(path instanceof Missing) && !path.stations.every((station) => lineOver(crane, pick.boom, station.radius) !== null)) {
    const short = flatStop(at('lift.boomReach', craneBoom), 'length', { code: 'lift.boomShort', boom: pick.boom, radius: path.most }, []);
    return [...(chart.verdict === 'missing' ? [chart, short] : [short]), ...dutyChecks(context, picked, at), ...chartAuditChecks(context, picked, at)];
  }
  const checks: Check[] = [
    chart,
    ...dutyChecks(context, picked, at),
    ...fallsCheck(context, picked, at('lift.falls', reeving)),
    ...criticalCheck(context, picked, at('pick.critical', craneTandem)),
    ...chartAuditChecks(context, picked, at),
  ];
  if (path instanceof Missing || weight instanceof Missing || hanging instanceof Missing || 'impossible' in hanging) {
    const why = path instanceof Missing ? path.questions.join(' ') : 'How the piece hangs is not known.';
    return [
      ...checks,
      missingCheck(at('lift.headRoom', headRoom), 'length', `Head room cannot be worked out. ${why}`),
      missingCheck(at('lift.boomGap', craneBoom), 'length', `The gap to the boom cannot be worked out. ${why}`),
    ];
  }
  const travel = travelHeight(plan, picked, path, weight, rules);
  checks.push(
    headRoomCheck(context, picked, path, hanging, travel, at('lift.headRoom', headRoom, 'headRoomReserve', 'loadClearance', 'clearanceCaution')),
    ...boomGapChecks(context, picked, path, weight, hanging, travel, at('lift.boomGap', craneBoom, 'boomClearance', 'clearanceCaution')),
    ...overSeatsCheck(context, picked, at('lift.overSeats', headRoom, 'loadClearance')),
    windCheck(context, picked, weight, at('lift.wind', craneWindLimit, 'windDrag', 'windCaution')),
    ...tagChecks(context, picked, path, weight, at('lift.drift', liftDrift, 'windDrag')),
  );
  return checks;
}

function chartCheck({ plan, rules }: Context, { pick, drawn, stand, crane, path, gross }: PickContext, place: Place): Check {
  const duties = dutiesAt(plan, stand);
  if (chartsOf(plan, crane).every(({ chart }) => chart === null))
    return missingCheck(place, 'mass', `${crane.name} has no chart yet. Paste or import the maker’s chart for this set-up.`);
  if (gross instanceof Missing) return missingCheck(place, 'mass', gross.questions.join(' '));
  if (path instanceof Missing) return missingCheck(place, 'mass', `The radius is not known. ${path.questions.join(' ')}`);
  const read = readOnWay(plan, duties, stand, path, pick.boom);
  if (read === null || read.kind === 'none')
    return missingCheck(place, 'mass', `No chart of ${crane.name} is good for how it works at ${stand.name}: what it may lift is not known.`);
  const { outcome, traces } = traced(craneChart, { chart: read.chart.chart!, radius: read.radius, boom: pick.boom, rule: plan.job.chartRule });
  if (!outcome.ok) return missingCheck(place, 'mass', outcome.error);
  // At the far end of its way the chart is read where the hook comes to with the load on.
  const out = read.radius > path.most ? workedUnderLoad(duties.gives, pick.boom, path.most) : [];
  const set = out.length > 0 ? { set: path.most } : {};
  if (read.kind === 'off')
    return flatStop(
      { ...place, id: 'lift.offChart' },
      'mass',
      { code: 'lift.offChart', gross: gross.mass, radius: read.radius, ...set, boom: pick.boom, off: read.off },
      [gross.trace, ...out, ...traces],
      gross.mass,
    );
  const share = drawn.second ? rules.value('tandemShare') : 1;
  const capacity = read.capacity * share;
  return ratioCheck(
    drawn.second ? { ...place, source: sourced(place.source, rules, 'tandemShare', 'hookDifference') } : place,
    { demand: gross.mass, capacity, quantity: 'mass', caution: rules.value('chartCaution') },
    {
      code: 'lift.chart',
      gross: gross.mass,
      radius: read.radius,
      ...set,
      boom: pick.boom,
      capacity,
      ...(duties.usable.length + duties.refused.length > 1 ? { chart: read.chart.name, chartId: read.chart.id } : {}),
      ...(drawn.second ? { shared: { share, chart: read.capacity } } : {}),
    },
    [gross.trace, ...out, ...traces],
  );
}

/** A lift by two cranes is a critical one: it has a plan of its own that a named person signed. */
function criticalCheck({ today }: Context, { drawn, hook, piece }: PickContext, place: Place): Check[] {
  if (hook === 'second' || !drawn.second) return [];
  const at: Place = {
    ...place,
    station: 'picks',
    source: '29 CFR 1926.751 and .1432, from memory: more than one crane on a piece is a critical lift, with a plan of its own',
  };
  const { by = '', on: day = '' } = drawn.signed ?? {};
  const fault = namesPerson(by) ? dayFault(day, today) : 'names nobody';
  if (fault !== null)
    return [
      missingCheck(
        at,
        'count',
        `Two cranes lift ${piece.mark}: who signed the plan of this critical lift, and when?${drawn.signed ? ` The record ${fault}.` : ''}`,
      ),
    ];
  const signed = ratioCheck(
    at,
    { demand: 0, capacity: 1, quantity: 'count', caution: null },
    told(phrase`The plan of this critical lift, by two cranes, was signed by ${by.trim()} on ${day}.`),
    [],
  );
  return [{ ...signed, demand: null, capacity: null, ratio: null }];
}

export interface Travel {
  /** underside of the load while it travels, above ground */
  underside: number;
  /** the thing that set it, when it is not the seats */
  over: string | null;
}

/** High enough for the seats and for the tallest thing passed over. */
export function travelHeight(
  plan: SettledPlan,
  picked: PickContext,
  path: LiftPath,
  weight: PieceWeight,
  rules: Rules,
  standing: readonly Body[] = standingBefore(plan, rules, picked.pick),
): Travel {
  const { pick, piece, seat, turned, hook } = picked;
  const clearance = rules.value('loadClearance');
  // A tail is carried in where the piece lies, and let go there.
  const seats = seat instanceof Missing ? 0 : turned && hook === 'second' ? piece.start.level : Math.max(seat.left.level, seat.right.level);
  const underside = Math.max(seats + pick.liftOver, piece.start.level);
  // What wind may push it over counts as passed over.
  const drift = driftOf(plan, picked, path, weight, rules)?.drift ?? 0;
  const tallest = tallestUnder(plan, path, breadthOf(weight), drift, standing);
  if (tallest && tallest.height + clearance > underside) return { underside: tallest.height + clearance, over: tallest.name };
  return { underside, over: null };
}

function headRoomCheck({ rules }: Context, { pick, crane, loaded }: PickContext, path: LiftPath, hanging: Hanging, travel: Travel, place: Place): Check {
  // The tip is lowest where the radius is longest, with the load on.
  const radius = loaded(path.most);
  const line = lineOver(crane, pick.boom, radius);
  if (!line) return missingCheck(place, 'length', `The boom of ${crane.name} does not reach that far with the load on.`);
  const { outcome, traces } = traced(headRoom, {
    underside: travel.underside,
    loadDepth: hanging.loadDepth,
    hookAbovePick: hanging.hookAbovePick,
    tipHeight: line.tipHeight,
    hookDrop: crane.hookDrop,
    reserve: rules.value('headRoomReserve'),
  });
  if (!outcome.ok) return missingCheck(place, 'length', outcome.error);
  const { needed, available } = outcome.output;
  return ratioCheck(
    place,
    { demand: needed, capacity: available, quantity: 'length', caution: rules.value('clearanceCaution'), inclusive: true },
    { code: 'lift.headRoom', needed, available, radius, over: travel.over },
    [...boomTraces(crane, { boom: pick.boom, radius }), ...traces],
  );
}

/** The working of a boom; a level jib has none. */
const boomTraces = ({ pivotBack, pivotHeight, tower }: Crane, at: { boom: number; radius: number; point?: { x: number; z: number } }): Trace[] =>
  tower ? [] : traced(craneBoom, { pivotBack, pivotHeight, ...at }).traces;

/** Over its seats it is carried as far clear as over anything else. */
function overSeatsCheck({ rules }: Context, { drawn, piece, hook }: PickContext, place: Place): Check[] {
  const least = rules.value('loadClearance');
  if (hook === 'second' || drawn.unsaid?.includes('liftOver') || drawn.liftOver >= least - 1e-9) return [];
  return [
    ratioCheck(
      { ...place, station: 'picks' },
      { demand: least, capacity: drawn.liftOver, quantity: 'length', caution: null, inclusive: true },
      told(
        phrase`${piece.mark} is carried only ${q(drawn.liftOver, 'length')} over its seats before it is lowered; ${q(least, 'length')} is kept from whatever it passes over.`,
      ),
      [],
    ),
  ];
}

interface Nearest {
  gap: number;
  radius: number;
  x: number;
}

/**
 * Least gap between the underside of the boom and whatever of an outline lies in the boom's own upright strip, at a height: with the boom as
 * it is set, and lower, as far out as it comes with the load on. What hangs on it goes out with it.
 */
function leastGap(
  outlines: (station: Station) => Vec[],
  height: number,
  picked: PickContext,
  stations: readonly Station[],
  what: 'hangs' | 'stands',
): Nearest | null {
  const { crane, pick, stand, loaded } = picked;
  let nearest: Nearest | null = null;
  for (const station of stations) {
    const outline = outlines(station).map((point) => boomFrame(station, stand, point));
    for (const radius of new Set([station.radius, loaded(station.radius)])) {
      const line = lineOver(crane, pick.boom, radius);
      if (!line) continue;
      const out = what === 'hangs' ? radius - station.radius : 0;
      const strip = inStrip(
        outline.map(({ x, y }) => ({ x: x + out, y })),
        crane.boomWidth / 2,
        // A jib reaches past its trolley to its end, and behind its mast.
        crane.tower ? -crane.tailRadius : -crane.pivotBack,
        crane.tower ? pick.boom : radius,
      );
      for (const point of strip) {
        const gap = belowBoom(line, { x: point.x, z: height }) - crane.boomDepth / 2;
        if (nearest === null || gap < nearest.gap) nearest = { gap, radius, x: point.x };
      }
    }
  }
  return nearest;
}

function inStrip(outline: readonly Vec[], halfWidth: number, from: number, to: number): Vec[] {
  const sides: [Vec, number][] = [
    [{ x: 0, y: 1 }, halfWidth],
    [{ x: 0, y: -1 }, halfWidth],
    [{ x: -1, y: 0 }, -from],
    [{ x: 1, y: 0 }, to],
  ];
  return sides.reduce<Vec[]>((polygon, [normal, limit]) => (polygon.length ? clip(polygon, normal, limit) : polygon), [...outline]);
}

/** The boom against the load at its travelling height, and against everything standing under the boom's sweep. */
function boomGapChecks(
  { plan, rules }: Context,
  picked: PickContext,
  path: LiftPath,
  weight: PieceWeight,
  hanging: Hanging,
  travel: Travel,
  place: Place,
): Check[] {
  const { piece, crane, pick } = picked;
  const least = rules.value('boomClearance');
  const top = travel.underside + hanging.height;
  const load = leastGap((station) => outlineAt(station, breadthOf(weight)), top, picked, path.stations, 'hangs');
  const sweep = closeStations(path, crane.boomWidth, crane.tower ? Math.max(pick.boom, crane.tailRadius) : 0);
  const gapTo = (id: string, what: string, height: number, outline: Vec[]) => ({
    id,
    what,
    height,
    nearest: leastGap(() => outline, height, picked, sweep, 'stands'),
  });
  const things = plan.site.obstructions.map((o) => gapTo(o.id, o.name, o.height, rectangle(o.at, o.length, o.width, o.azimuthDeg)));
  // Of the steel that stands by then, the piece the boom comes nearest to. All of the boom is above its foot.
  const foot = crane.pivotHeight - crane.boomDepth / 2 - 2 * least;
  const reach = crane.tower ? Math.max(pick.boom, crane.tailRadius) : Math.abs(crane.pivotBack);
  const near = boxOf([path.stand.at, ...path.stations.map(({ hook }) => hook)], crane.boomWidth + reach);
  const steel = standingAt(plan, rules, picked.drawn)
    .filter(({ to, outline }) => to > foot && meets(near, boxOf(outline)))
    .map(({ id, name, to, outline }) => gapTo(id, name, to, outline))
    .reduce<ReturnType<typeof gapTo>[]>(([worst], one) => [!worst?.nearest || (one.nearest && one.nearest.gap < worst.nearest.gap) ? one : worst], []);
  return [
    { id: piece.id, what: piece.mark, height: top, nearest: load },
    ...strungGaps(picked, travel, path),
    ...barGap(picked, hanging, travel, path),
    ...things,
    ...steel,
  ].flatMap(({ id, what, height, nearest }) => {
    if (nearest === null) return [];
    const traces = boomTraces(crane, { boom: pick.boom, radius: nearest.radius, point: { x: nearest.x, z: height } });
    return [
      ratioCheck(
        { ...place, ...onHook(picked, what, id) },
        { demand: least, capacity: nearest.gap, quantity: 'length', caution: rules.value('clearanceCaution'), inclusive: true },
        { code: 'lift.boomGap', what, gap: nearest.gap, least },
        traces,
      ),
    ];
  });
}

/** Beams of a string over the one that is set are nearer the boom than it: each across under the hook, at its own height. */
const strungGaps = (picked: PickContext, { underside }: Travel, path: LiftPath) =>
  picked.above.map(({ id, mark, length, weight, over }) => {
    const height = underside + over + weight.section.depth + weight.above;
    const seen = { length, toMiddle: 0 };
    const nearest = leastGap((station) => outlineAt({ ...station, seen }, breadthOf(weight)), height, picked, path.stations, 'hangs');
    return { id, what: `${mark}, above it in the string`, height, nearest };
  });

/** A bar over the load is nearer the boom than the load: its middle under the hook, as wide and as deep as its section, or as bars are. */
function barGap(picked: PickContext, { bar, loadDepth }: Hanging, { underside }: Travel, path: LiftPath) {
  const { rig } = picked.pick;
  if (!bar || !rig || rig.kind === 'legs') return [];
  const steel = findSection(rig.section);
  const height = underside + loadDepth + bar.above + (steel?.depth ?? BAR);
  const seen = { length: bar.length, toMiddle: 0 };
  const nearest = leastGap((station) => outlineAt({ ...station, seen }, steel?.width ?? BAR), height, picked, path.stations, 'hangs');
  return [{ id: 'bar', what: rig.name.trim() || `the ${rigWords[rig.kind]}`, height, nearest }];
}
/** Depth and width of a bar of which nobody says what it is made of [m]. */
const BAR = 0.35;

/** Charts of cranes are good for gusts of 8 to 20 m/s (common practice); past this a unit was mistaken. */
const MOST_CHART_GUST = 25;

function windCheck({ plan, rules }: Context, picked: PickContext, weight: PieceWeight, place: Place): Check {
  const { stand, crane, gross } = picked;
  // Of the charts it may be read off, the one that bears the least wind.
  const { usable } = dutiesAt(plan, stand);
  const gusts = usable.length > 0 ? usable.map(({ chart }) => chart.chartGust) : [crane.chartGust];
  if (gusts.includes(null)) return missingCheck(place, 'speed', `Up to what gust is ${crane.name}’s chart good? Read it off the chart.`);
  const chartGust = Math.min(...gusts.map((one) => one!));
  if (chartGust > MOST_CHART_GUST)
    return {
      ...missingCheck(place, 'speed', ''),
      finding: told(
        phrase`${crane.name}’s chart is said to be good up to ${q(chartGust, 'speed')}. No maker gives more than ${q(MOST_CHART_GUST, 'speed')}: read it off the chart again.`,
      ),
    };
  if (plan.site.forecastGust === null) return missingCheck(place, 'speed', 'What gusts are forecast for the lift?');
  if (gross instanceof Missing) return missingCheck(place, 'speed', gross.questions.join(' '));
  const { outcome, traces } = traced(craneWindLimit, {
    chartGust,
    // Its own weight holds the load against the wind: no more of it is counted than anybody is sure of.
    mass: gross.least,
    area: sailOf(picked, weight),
    drag: rules.value('windDrag'),
  });
  if (!outcome.ok) return missingCheck(place, 'speed', outcome.error);
  const { limit } = outcome.output;
  return ratioCheck(
    place,
    { demand: plan.site.forecastGust, capacity: limit, quantity: 'speed', caution: rules.value('windCaution') },
    { code: 'lift.wind', gust: plan.site.forecastGust, limit },
    traces,
  );
}
