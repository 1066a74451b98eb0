import { teamCarry } from '../../handling/team.calc';
import { twoPlaces } from '../../handling/two-places.calc';
import { GRAVITY } from '../../units';
import { verdicts, type Check, type Verdict } from '../../verdict/check';
import { dutiesAt, readOnWay } from '../../settle/duties';
import { Missing } from '../../verdict/missing';
import { standOf } from '../../document/lookups';
import { hookContext, hooksOf, pickContext } from './pick-context';
import { newPick, usualSlinging } from './plan-lifts';
import type { Pick, Plan, Raise, RaisePoint, Stand } from '../../document/schema';
import { worstFirst } from '../../verdict/worst-first';
import { raiseKinds, newRaise, type RaiseKind } from '../../document/things/raise';
import { craneEffort, raiseEffort, type Effort } from '../../settle/effort';
import { raiseChecksOf, raisedLoad } from '../raise';
import type { Context } from '../context';
import { traced } from '../../verdict/build';
import { craneChecks } from './crane';
import { levelChecks } from './level';
import { otherCraneChecks } from './other-cranes';
import { riggingChecks } from './rigging';
import { standChecks } from '../site/stand';
import { sightChecks } from './seen';
import { upAndDownChecks } from './up-and-down';
import { zoneChecks } from '../site/zones';

/** One lift from one stand, with the boom that suits it best. */
export interface WayUp {
  stand: Stand;
  crane: string;
  boom: number;
  verdict: Verdict;
  /** most of the chart it takes; null: not known */
  share: number | null;
  /** what is worst, or nearest to its limit */
  governs: Check | null;
  /** as the pick has it now */
  now: boolean;
  effort: Effort;
}

/** All that is asked of a lift by crane, of each of its hooks, and what planning it asks for by that. */
export function liftChecks(context: Context, pick: Pick): Check[] {
  const hooks = hooksOf(context.plan, pick);
  const checks = hooks.flatMap((picked) => [
    ...standChecks(context, picked),
    ...riggingChecks(context, picked),
    ...craneChecks(context, picked),
    ...zoneChecks(context, picked),
    ...sightChecks(context, picked),
    ...upAndDownChecks(context, picked),
    ...otherCraneChecks(context, picked),
  ]);
  return [...checks, ...hooks.slice(0, 1).flatMap(({ piece }) => levelChecks(context, pick, piece.mark, checks))];
}

/** Booms looked into whole from one stand: those that take least of the chart. */
const LOOKED_INTO = 2;

/** The same pick from every stand there is, each with the boom of its charts that suits it best; the best first. */
export function craneWays(context: Context, pick: Pick): WayUp[] {
  const { plan } = context;
  const found = plan.stands.flatMap((stand): WayUp[] => {
    if (pick.second?.stand === stand.id) return [];
    const own = stand.id === pick.stand;
    const booms = own ? [...new Set([pick.boom, ...boomsAt(context, pick, stand)])] : boomsAt(context, pick, stand);
    const looked = booms.slice(0, LOOKED_INTO + Number(own)).map((boom) => wayFrom(context, pick, stand, boom));
    const now = looked.find((one) => one.now);
    const [best] = sorted(looked.filter((one) => !one.now));
    return [...(now ? [now] : []), ...(best && (!now || isBetter(best, now)) ? [best] : [])];
  });
  return sorted(found);
}

const rank = ({ verdict, share }: WayUp): [number, number] => [verdicts.indexOf(verdict), share ?? Infinity];
/** `verdicts` begins with the worst. */
const sorted = (ways: readonly WayUp[]): WayUp[] => [...ways].sort((a, b) => rank(b)[0] - rank(a)[0] || rank(a)[1] - rank(b)[1]);
const isBetter = (a: WayUp, b: WayUp): boolean => rank(a)[0] > rank(b)[0] || (rank(a)[0] === rank(b)[0] && rank(a)[1] < rank(b)[1]);

/** Booms of the charts for how a crane stands there, the one that takes least of the chart first. */
function boomsAt({ plan }: Context, pick: Pick, stand: Stand): number[] {
  const duties = dutiesAt(plan, stand);
  const booms = [...new Set(duties.usable.flatMap(({ chart }) => chart.chart?.booms ?? []))];
  return booms
    .flatMap((boom) => {
      const { path } = pickContext(plan, { ...pick, stand: stand.id, boom });
      if (path instanceof Missing) return [];
      const read = readOnWay(plan, duties, stand, path, boom);
      return read?.kind === 'capacity' ? [{ boom, capacity: read.capacity }] : [];
    })
    .sort((a, b) => b.capacity - a.capacity || a.boom - b.boom)
    .map(({ boom }) => boom);
}

function wayFrom(context: Context, pick: Pick, stand: Stand, boom: number): WayUp {
  const now = stand.id === pick.stand && boom === pick.boom;
  return wayOf(context, now ? pick : { ...pick, stand: stand.id, boom }, now);
}

function wayOf(context: Context, lifted: Pick, now: boolean): WayUp {
  // Whoever lifts it with two cranes signs for that then.
  const checks = worstFirst(liftChecks(context, lifted).filter(({ id }) => id !== 'pick.critical'));
  const stand = standOf(context.plan, lifted.stand);
  const charts = checks.filter(({ id }) => id === 'lift.chart');
  const shares = charts.flatMap(({ ratio }) => (ratio === null ? [] : [ratio]));
  return {
    stand,
    crane: context.plan.cranes.find(({ id }) => id === stand.crane)?.name ?? '',
    boom: lifted.boom,
    verdict: checks[0]?.verdict ?? 'missing',
    share: charts.length > 0 && shares.length === charts.length ? Math.max(...shares) : null,
    governs: checks[0] ?? null,
    now,
    effort: craneEffort(context.plan, context.rules, lifted),
  };
}

/** A lift as a pick would have it. */
export interface PickWay {
  way: WayUp;
  /** as it is looked at here: what hangs on a second hook is supposed to be rigged as on the first */
  pick: Pick;
  /** as the plan has it once it is taken: of a second hook that is new, its sling and what is below it are asked */
  taken: Pick;
}

/** The same load on one crane from each stand, and on two: with the second it has, or with another crane of this job beside its own. */
export function pickWays(context: Context, pick: Pick): PickWay[] {
  const alone = { ...pick, second: null };
  const asPick = (of: Pick, ways: readonly WayUp[]): PickWay[] =>
    ways.map((way) => {
      const lifted = { ...of, stand: way.stand.id, boom: way.boom };
      return { way, pick: lifted, taken: lifted };
    });
  const ones = asPick(alone, craneWays(context, alone)).map((one) => ({ ...one, way: { ...one.way, now: one.way.now && !pick.second } }));
  const twos = pick.second ? asPick(pick, craneWays(context, pick)) : onTwoCranes(context, pick);
  return [...ones, ...twos].sort((a, b) => rank(b.way)[0] - rank(a.way)[0] || rank(a.way)[1] - rank(b.way)[1]);
}

/** With another crane beside its own: from each stand of one, slung and rigged as the first, with the boom that suits it best. */
function onTwoCranes(context: Context, pick: Pick): PickWay[] {
  const { plan } = context;
  const own = standOf(plan, pick.stand).crane;
  return plan.stands.flatMap((stand): PickWay[] => {
    if (stand.crane === own) return [];
    const duties = dutiesAt(plan, stand);
    const booms = [...new Set(duties.usable.flatMap(({ chart }) => chart.chart?.booms ?? []))];
    const reach = booms.flatMap((boom) => {
      const two: Pick = { ...pick, second: { stand: stand.id, boom, slingRating: pick.slingRating, riggingMass: pick.riggingMass } };
      const { path } = hookContext(plan, two, 'second');
      const read = path instanceof Missing ? null : readOnWay(plan, duties, stand, path, boom);
      return read?.kind === 'capacity' ? [{ two, capacity: read.capacity }] : [];
    });
    // Those whose chart gives most are looked into whole.
    const likely = reach.sort((a, b) => b.capacity - a.capacity).slice(0, LOOKED_INTO);
    const found = likely.map(({ two }): PickWay => ({
      way: wayOf(context, two, false),
      pick: two,
      taken: { ...two, second: { stand: stand.id, boom: two.second!.boom, slingRating: null, riggingMass: null } },
    }));
    const [best] = found.sort((a, b) => rank(b.way)[0] - rank(a.way)[0] || rank(a.way)[1] - rank(b.way)[1]);
    return best ? [best] : [];
  });
}

/** What gear without a crane would have to be good for. */
export interface WithoutCrane {
  /** each of two mast lifts or hoists [kg] */
  each: number;
  /** people at each end, both ends up at once */
  people: number;
  /** where the two places are, from either end [m]; how uneven they may rise [m] */
  in: number;
  uneven: number;
}

/** Places taken so far in from the ends, and so uneven on the way up, until somebody says better. */
const IN = 0.1;
const UNEVEN = 0.05;

/** Of a load on two places: what each must be good for, and how many people at each end. Null where its weight or balance point is not known. */
export function withoutCrane({ plan, rules }: Context, pick: Pick): WithoutCrane | null {
  const { piece, weight } = pickContext(plan, pick);
  if (weight instanceof Missing) return null;
  return onTwoPlaces({ weight: weight.weight, length: piece.length, cg: weight.cg.x, depth: weight.section.depth }, rules);
}

interface OnTwo {
  weight: number;
  length: number;
  cg: number;
  depth: number | null;
}

function onTwoPlaces({ weight, length, cg, depth }: OnTwo, rules: Context['rules']): WithoutCrane | null {
  const from = IN * length;
  const { outcome } = traced(twoPlaces, { weight, apart: length - 2 * from, cg: cg - from, height: (depth ?? 0) / 2, uneven: UNEVEN });
  if (!outcome.ok) return null;
  const each = Math.max(outcome.output.a, outcome.output.b) / GRAVITY;
  const team = traced(teamCarry, { mass: each, perPerson: rules.value('personLift'), people: 1 }).outcome;
  return { each, people: team.ok ? team.output.needed : 0, in: from, uneven: UNEVEN };
}

/** One load raised by one kind of gear, or by hand. */
export interface RaiseWay {
  kind: RaiseKind;
  /** what each of two places comes to carry, one ahead of the other [kg] */
  each: number | null;
  /** as it is looked at here: how uneven two places rise, and how many lift, is supposed until somebody says */
  raise: Raise;
  /** as it is said in the plan once it is taken: nothing supposed is in it */
  taken: Raise;
  verdict: Verdict;
  governs: Check | null;
  /** as it is raised now */
  now: boolean;
  effort: Effort;
}

/** A lift by crane of what is raised without one, slung as such pieces usually are: all that is not said of it is asked. */
export function pickInstead({ plan }: Context, load: string): Pick | null {
  const make = plan.structure.makes.find(({ id }) => id === plan.structure.pieces.find((one) => one.id === load)?.make);
  const [stand] = plan.stands;
  if (!make || !stand) return null;
  const pick = newPick('by-crane', load, stand.id, make.length);
  const { weight } = pickContext(plan, pick);
  return weight instanceof Missing ? pick : { ...pick, ...usualSlinging(plan, pick, weight.cg.x) };
}

/** More people than this find no room at an end of a piece (common practice). */
const MOST_PEOPLE = 12;

/** A load without a crane by each kind of gear: as another lift of this job has it, or with the strongest of the yard; the best first. */
export function raiseWays(context: Context, load: string): RaiseWay[] {
  const { plan, rules } = context;
  const raises = plan.raises ?? [];
  const own = raises.find((one) => one.load === load) ?? null;
  const raised = raisedLoad(context, load);
  const each = raised instanceof Missing ? null : (onTwoPlaces(raised, rules)?.each ?? null);
  const ways = raiseKinds.flatMap((kind): RaiseWay[] => {
    const now = own !== null && own.points.length > 0 && own.points.every((point) => point.kind === kind);
    const raise = now ? own : raiseBy(context, kind, load, own);
    if (raise === null) return [];
    // Whoever takes it says who answers for it, and when it is raised.
    const checks = worstFirst(raiseChecksOf(context, raise).filter(({ id }) => now || (id !== 'moves.raise' && id !== 'raise.by')));
    const taken = now
      ? raise
      : { ...raise, uneven: own?.uneven ?? null, points: raise.points.map((point) => (point.kind === 'hands' ? { ...point, people: null } : point)) };
    return [{ kind, each, raise, taken, verdict: checks[0]?.verdict ?? 'missing', governs: checks[0] ?? null, now, effort: raiseEffort(plan, rules, raise) }];
  });
  return ways.sort((a, b) => verdicts.indexOf(b.verdict) - verdicts.indexOf(a.verdict));
}

/** The same load by another kind of gear: what was said of the lift is kept, of its gear what this job has. */
function raiseBy(context: Context, kind: RaiseKind, load: string, own: Raise | null): Raise | null {
  const { plan } = context;
  const raised = raisedLoad(context, load);
  const needs = raised instanceof Missing ? null : onTwoPlaces(raised, context.rules);
  if (raised instanceof Missing || needs === null) return null;
  const ends = [needs.in, raised.length - needs.in];
  const fresh = newRaise(own?.id ?? `by-${kind}`, load, kind, ends.length, (n) => `by-${kind}-${n + 1}`);
  const yard = strongest(plan, kind, ends.length);
  const like = (plan.raises ?? []).flatMap(({ points }) => points).filter((point) => point.kind === kind);
  const points = fresh.points.map((point, n): RaisePoint => {
    const at = own?.points[n]?.at ?? ends[n]!;
    const known = like[n] ?? like[0];
    const asBefore = known ? { ...gearOnly(known), id: point.id, name: point.name } : point;
    if (asBefore.kind === 'hands') return { ...asBefore, at, people: Math.min(needs.people, MOST_PEOPLE) };
    return { ...asBefore, at, rating: yard[n]?.rating ?? asBefore.rating };
  });
  const gear = yard.map(({ id }) => id);
  const { floor, lies, uneven, floorCarries, by } = own ?? { ...fresh, uneven: needs.uneven };
  return { ...fresh, floor, lies, uneven: uneven ?? needs.uneven, floorCarries, by, points, ...(gear.length > 0 ? { gear } : {}) };
}

/** The gear of another lift by what its plates and tags say; what it hung from, stood at and raised there was of that lift. */
function gearOnly(point: RaisePoint): RaisePoint {
  switch (point.kind) {
    case 'mastLift':
      return { ...point, centre: null };
    case 'hoist': {
      const { arm: _, ...hoist } = point;
      return { ...hoist, sling: null, sideDeg: null, hangsOn: null, hangsFrom: '', hangsAt: null, carries: null };
    }
    case 'jack':
      return { ...point, step: null, packing: null };
    case 'hands':
      return { ...point, rung: null, keepers: null, friction: null, rungCarries: null };
  }
}

/** As many things of the yard of a kind as it takes, the strongest of them; none where there are fewer. */
function strongest({ yard = [] }: Plan, kind: RaiseKind, count: number) {
  const rated = yard.filter((one) => one.kind === kind && one.rating !== null).sort((a, b) => b.rating! - a.rating!);
  return rated.length < count ? [] : rated.slice(0, count);
}
