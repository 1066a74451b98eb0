import { lineOver } from '../../cranes/boom-geometry';
import { craneBoom } from '../../cranes/boom.calc';
import { phrase, q, type Phrase } from '../../calc/work';
import { add, direction, distance, scale, type Vec } from '../../geometry/plane';
import { segmentToBox } from '../../geometry/box';
import { segmentDistance, type Vec3 } from '../../geometry/space';
import type { Check } from '../../verdict/check';
import { standsOfPick } from '../../document/lookups';
import { keepOne } from '../../document/keep';
import { namesPerson, saysSomething } from '../../document/records';
import { bodyOf, cranesBeside, cranesStanding, type Standing } from '../../settle/cranes-standing';
import { chartsOf } from '../../settle/duties';
import { closeStations, outlineAt, sweeps, type LiftPath, type Station } from '../../settle/lift-path';
import { breadthOf, type PieceWeight } from '../../settle/piece-weight';
import type { Hanging } from '../../settle/hanging';
import { Missing } from '../../verdict/missing';
import type { Crane, Pick } from '../../document/schema';
import type { SettledPlan } from '../../settle/settle';
import { flatStop, missingCheck, on, ratioCheck, said, sourced, told, traced, type Place } from '../../verdict/build';
import { liftMove, moveFor, onHook, type Context, type PickContext } from '../context';
import { hooksOf } from './pick-context';
import { driftOf } from './wind-on-load';
import { travelHeight } from './travel';

/** Where a boom sweeps past another it is looked at so often along the way of its hook [m]. */
const STEP = 0.4;
/** A boom that waits nearer than this share of the least radius of its charts was written in another unit (common practice). */
const UPRIGHT = 0.5;
const CIRCLES = '29 CFR 1926.1424(b): where a crane is within the working radius of another, somebody coordinates the two; from memory';
const UNDER = '29 CFR 1926.1425, keeping clear of the load: an operator sits in that cab; from memory';

/** Two cranes that stand there together, and how far each works while the other stands by. */
interface Pair {
  one: Standing;
  other: Standing;
}

/** Whether it is said how the boom of a crane is held while another lifts; a jib is as far out whatever its trolley does. */
const saysHow = ({ stand: { waits }, crane }: Standing): boolean => !!waits && waits.bearingDeg !== null && (!!crane.tower || waits.radius !== null);

/** How far out a crane works with some of its lifts, its loads past its hook; of a lift whose way is not known as far as its boom is long. */
function reachWith(plan: SettledPlan, { stand, crane }: Standing, picks: readonly Pick[]): number {
  const reaches = picks.flatMap((pick) =>
    hooksOf(plan, pick)
      .filter((hook) => hook.stand.id === stand.id)
      .map(({ path, loaded, pick: { boom } }) => (path instanceof Missing ? boom : Math.max(crane.tower ? boom : 0, loaded(path.most) + overhang(path)))),
  );
  return Math.max(crane.tailRadius, ...reaches);
}

/** How far from its middle a crane is while it waits: as is said, or as far out as it works there, or as its longest boom. */
function waitsWithin(plan: SettledPlan, of: Standing): number {
  const { crane, stand } = of;
  const booms = boomsThere(plan, of);
  const longest = Math.max(crane.tailRadius, ...(booms.length > 0 ? booms : (crane.chart?.booms ?? [])));
  if (crane.tower) return longest;
  if (stand.waits && stand.waits.radius !== null) return Math.max(crane.tailRadius, stand.waits.radius);
  const picks = plan.picks.filter((pick) => standsOfPick(pick).includes(stand.id));
  return picks.length > 0 ? reachWith(plan, of, picks) : longest;
}

/** Cranes that stand there at one time: whether one reaches to where the other is, and who then sees to it that one waits. */
export function cranesTogetherChecks(context: Context): Check[] {
  const { plan, rules } = context;
  const { stands, cranes, duties, moves, picks, structure, pieces, bearings, site, strings, yard } = plan;
  const from = [stands, cranes, duties, moves, picks, structure, pieces, bearings, site.together, strings, yard, rules];
  return keepOne('cranes.together', from, () => {
    const all = cranesStanding(plan);
    // Most never stand there together: those are not looked at lift by lift.
    const pairs = all.flatMap((one, i) => all.slice(i + 1).flatMap((other): Pair[] => (one.from < other.to && other.from < one.to ? [{ one, other }] : [])));
    return pairs.flatMap((pair) => togetherCheck(plan, pair));
  });
}

/** The lifts of a crane while another stands by that has no part in them. */
const liftsBeside = (plan: SettledPlan, of: Standing, by: Standing): Pick[] =>
  plan.picks.filter((pick) => standsOfPick(pick).includes(of.stand.id) && cranesBeside(plan, pick).some(({ stand }) => stand.id === by.stand.id));

function togetherCheck(plan: SettledPlan, { one, other }: Pair): Check[] {
  const apart = distance(one.stand.at, other.stand.at);
  const ways = [
    { lifts: one, waits: other },
    { lifts: other, waits: one },
  ].flatMap(({ lifts, waits }) => {
    const picks = liftsBeside(plan, lifts, waits);
    return picks.length === 0 ? [] : [{ lifts, waits, within: reachWith(plan, lifts, picks) + waitsWithin(plan, waits) }];
  });
  if (ways.length === 0) return [];
  const late = one.from > other.from ? one : other;
  const early = late === one ? other : one;
  const names = `${early.crane.name} on ${early.stand.name} and ${late.crane.name} on ${late.stand.name}`;
  const place = ({ stand }: Standing, beside: Standing): Place => ({
    id: 'crane.together',
    ...on('stand', stand, stand.name, beside.stand.id),
    station: 'gear',
    move: moveFor(plan, 'crane.set', late.stand.id),
    calc: craneBoom.id,
    source: CIRCLES,
  });
  const meeting = ways.filter(({ within }) => within > apart);
  const within = Math.max(...ways.map((way) => way.within));
  if (meeting.length === 0)
    return [
      ratioCheck(
        place(late, early),
        { demand: within, capacity: apart, quantity: 'length', caution: null, inclusive: true },
        told(phrase`${names} stand ${q(apart, 'reach')} apart; together they reach ${q(within, 'reach')}: neither comes to where the other is.`),
        [],
      ),
    ];
  const unsaid = meeting.find(({ lifts, waits }) => asksHow(plan, waits, lifts).length > 0);
  const asks = meeting.flatMap(({ lifts, waits }) => asksHow(plan, waits, lifts));
  const { by = '', how = '' } = plan.site.together ?? {};
  if (!namesPerson(by) || !saysSomething(how)) asks.push(['Who gives the word to both, a person’s name, and how does one know that the other waits?']);
  const at = unsaid ? place(unsaid.waits, unsaid.lifts) : place(late, early);
  const meet = phrase`${names} reach into each other’s circle: ${q(within, 'reach')} together, and they stand ${q(apart, 'reach')} apart.`;
  if (asks.length > 0) return [{ ...missingCheck(at, 'length', ''), demand: within, finding: told([...meet, ...asks.flatMap((one) => [' ', ...one])]) }];
  return [said(at, [...meet, ` ${by.trim()} gives the word to both: ${how.trim()}`])];
}

/** What is not known of how a crane waits while another lifts. */
function asksHow(plan: SettledPlan, waits: Standing, lifts: Standing): Phrase[] {
  const { crane, stand } = waits;
  const name = `${crane.name} on ${stand.name}`;
  if (!saysHow(waits))
    return [[`Which way does the ${crane.tower ? 'jib' : 'boom'} of ${name} point${crane.tower ? '' : ', and how far out,'} while ${lifts.crane.name} lifts?`]];
  const booms = boomsThere(plan, waits);
  if (booms.length === 0) return [[`How long is the ${crane.tower ? 'jib' : 'boom'} of ${name} then? It lifts nothing there.`]];
  const radius = stand.waits!.radius ?? 0;
  const charts = crane.tower ? [] : chartsOf(plan, crane).flatMap(({ chart }) => chart ?? []);
  const typed = stand.waits!.boom;
  const longest = Math.max(...charts.flatMap((chart) => chart.booms));
  if (charts.length > 0 && typed !== null && typed > longest + 1e-6)
    return [phrase`${name} is said to wait with ${q(typed, 'reach')} of boom, and the longest of its charts is ${q(longest, 'reach')}. How long is it then?`];
  const nearest = Math.min(...charts.flatMap((chart) => chart.radii));
  if (charts.length > 0 && radius < UPRIGHT * nearest)
    return [
      phrase`${name} is said to wait with its boom ${q(radius, 'reach')} out, and no chart has it nearer than ${q(nearest, 'reach')}. How far out is it?`,
    ];
  const never = booms.find((boom) => !lineOver(crane, boom, crane.tower ? 0 : radius));
  return never === undefined ? [] : [phrase`The boom of ${name}, ${q(never, 'reach')} long, cannot wait ${q(radius, 'reach')} out. How far out is it?`];
}

/** A lift past the other cranes that stand there: their cabs are not under its load, their booms not in its way. */
export function otherCraneChecks(context: Context, picked: PickContext): Check[] {
  const { plan, rules } = context;
  const { path, weight, hanging, drawn, piece } = picked;
  const beside = cranesBeside(plan, drawn);
  if (beside.length === 0 || path instanceof Missing || weight instanceof Missing || hanging instanceof Missing || 'impossible' in hanging) return [];
  const place = (id: string, of: Standing, source: string): Place => ({
    id,
    ...onHook(picked, piece.mark, of.stand.id),
    station: 'gear',
    move: liftMove(plan, drawn),
    calc: craneBoom.id,
    source,
  });
  const over = sweeps(path, breadthOf(weight), driftOf(plan, picked, path, weight, rules)?.drift ?? 0);
  return beside.flatMap((of): Check[] => {
    const body = bodyOf(of);
    if (over(body.outline)) {
      const words = of.crane.tower
        ? phrase`${piece.mark} is carried into the mast of ${body.name}. Take it round the other way.`
        : phrase`${piece.mark} is carried over ${body.name}, whose operator sits in the cab. Take it round the other way, or let ${of.crane.name} leave first.`;
      return [flatStop(place('lift.overCrane', of, UNDER), 'length', told(words), [])];
    }
    return waitingBoom(context, picked, { path, weight, hanging }, of, (source) => place('lift.otherBoom', of, source));
  });
}

interface Lifting {
  path: LiftPath;
  weight: PieceWeight;
  hanging: Hanging;
}

/** The boom, the rope and the load of a lift against the boom of a crane that waits. */
function waitingBoom({ plan, rules }: Context, picked: PickContext, lifting: Lifting, of: Standing, place: (source: string) => Place): Check[] {
  // Where nobody says how it waits, that is asked of the two cranes.
  if (!saysHow(of)) return [];
  const { bearingDeg, radius: out } = of.stand.waits!;
  const { tailRadius, tower } = of.crane;
  const where = place(sourced(craneBoom.source.text, rules, 'boomClearance', 'clearanceCaution'));
  const least = rules.value('boomClearance');
  const within = Math.max(picked.loaded(lifting.path.most), picked.crane.tower ? picked.pick.boom : 0) + overhang(lifting.path);
  const booms = boomsThere(plan, of);
  const radius = tower ? 0 : out!;
  if (distance(picked.stand.at, of.stand.at) > within + Math.max(tailRadius, radius, ...(tower ? booms : [])) + least) return [];
  const held = booms.flatMap((boom) => boomOf(of.crane, of.stand.at, boom, radius, bearingDeg!) ?? []);
  const name = `${of.crane.name} on ${of.stand.name}`;
  const nearest = nearestTo(plan, rules, picked, lifting, of.crane, held);
  if (nearest === null) return [];
  return [
    ratioCheck(
      where,
      { demand: least, capacity: nearest.gap, quantity: 'length', caution: rules.value('clearanceCaution'), inclusive: true },
      told(
        nearest.gap > 0
          ? phrase`${nearest.what} comes within ${q(nearest.gap, 'reach')} of the boom of ${name}, which waits there; keep ${q(least, 'reach')}.`
          : phrase`${nearest.what} runs into the boom of ${name}, which waits there; keep ${q(least, 'reach')} from it.`,
      ),
      tower ? [] : traced(craneBoom, { pivotBack: of.crane.pivotBack, pivotHeight: of.crane.pivotHeight, boom: booms[0]!, radius }).traces,
    ),
  ];
}

/** How long the boom of a crane may be while it waits: as is said, or as it lifts there. */
function boomsThere(plan: SettledPlan, { stand }: Standing): number[] {
  if (stand.waits && stand.waits.boom !== null) return [stand.waits.boom];
  return [
    ...new Set(
      plan.picks.flatMap(({ stand: main, boom, second }) => [
        ...(main === stand.id ? [boom] : []),
        ...(second?.stand === stand.id && second.boom !== null ? [second.boom] : []),
      ]),
    ),
  ];
}

/** How far a load reaches out past its hook. */
const overhang = ({ stations }: LiftPath): number => Math.max(...stations.map(({ seen }) => Math.abs(seen.toMiddle) + seen.length / 2));

interface Bar {
  foot: Vec3;
  tip: Vec3;
}

/** The line of a boom or a jib in space; null where a boom so long is at no such radius. */
function boomOf(crane: Crane, at: Vec, boom: number, radius: number, bearingDeg: number): Bar | null {
  const line = lineOver(crane, boom, radius);
  if (!line) return null;
  const out = direction(bearingDeg);
  const point = (x: number, z: number): Vec3 => ({ ...add(at, scale(out, x)), z });
  return crane.tower
    ? { foot: point(-crane.tailRadius, crane.pivotHeight), tip: point(boom, crane.pivotHeight) }
    : { foot: point(line.pivot.x, line.pivot.z), tip: point(radius, line.tipHeight) };
}

interface Near {
  gap: number;
  what: string;
}

/** What of a lift comes nearest to booms that wait, and how near: nothing between two looks can be nearer than is told. */
function nearestTo(
  plan: SettledPlan,
  rules: Context['rules'],
  picked: PickContext,
  { path, weight, hanging }: Lifting,
  other: Crane,
  held: readonly Bar[],
): Near | null {
  const { crane, pick, stand, loaded, piece } = picked;
  const travel = travelHeight(plan, picked, path, weight, rules);
  const thick = (one: Crane): number => Math.max(one.boomDepth, one.boomWidth) / 2;
  let nearest: Near | null = null;
  const see = (gap: number, what: string): void => {
    if (nearest === null || gap < nearest.gap) nearest = { gap, what };
  };
  for (const station of closeStations(path, STEP, crane.tower ? Math.max(pick.boom, crane.tailRadius) : overhang(path) + path.most)) {
    const low = station.phase === 'raise' || station.phase === 'lower' ? 0 : travel.underside;
    const outline = outlineAt(station, breadthOf(weight));
    for (const bar of held) {
      const slack = thick(other) + STEP / 2;
      see(segmentToBox(bar.foot, bar.tip, outline, low, travel.underside + hanging.height) - slack, piece.mark);
      for (const radius of new Set([station.radius, loaded(station.radius)])) {
        const own = boomOf(crane, stand.at, pick.boom, radius, station.bearingDeg);
        if (!own) continue;
        see(segmentDistance(own.foot, own.tip, bar.foot, bar.tip) - slack - thick(crane), `The boom of ${crane.name}`);
        const rope = ropeOf(station, stand.at, radius, low, own.tip.z);
        see(segmentDistance(rope.foot, rope.tip, bar.foot, bar.tip) - slack, `The rope of ${crane.name}`);
      }
    }
  }
  return nearest;
}

/** The rope from the load up to the boom. */
function ropeOf({ bearingDeg }: Station, at: Vec, radius: number, low: number, high: number): Bar {
  const hook = add(at, scale(direction(bearingDeg), radius));
  return { foot: { ...hook, z: low }, tip: { ...hook, z: high } };
}
