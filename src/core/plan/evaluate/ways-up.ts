import { teamCarry } from '../../handling/team.calc';
import { twoPlaces } from '../../handling/two-places.calc';
import { GRAVITY } from '../../units';
import { verdicts, type Check, type Verdict } from '../check';
import { dutiesAt, readOnWay } from '../duties';
import { Missing } from '../missing';
import { hooksOf, pickContext } from '../pick-context';
import type { Pick, Stand } from '../schema';
import { worstFirst } from '../worst-first';
import { traced, type Context } from './context';
import { craneChecks } from './crane';
import { riggingChecks } from './rigging';
import { standChecks } from './stand';
import { sightChecks } from './sight';
import { upAndDownChecks } from './up-and-down';
import { zoneChecks } from './zones';

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
}

/** All that is asked of a lift by crane, of each of its hooks. */
export const liftChecks = (context: Context, pick: Pick): Check[] =>
  hooksOf(context.plan, pick).flatMap((picked) => [
    ...standChecks(context, picked),
    ...riggingChecks(context, picked),
    ...craneChecks(context, picked),
    ...zoneChecks(context, picked),
    ...sightChecks(context, picked),
    ...upAndDownChecks(context, picked),
  ]);

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
  const checks = worstFirst(liftChecks(context, now ? pick : { ...pick, stand: stand.id, boom }));
  const charts = checks.filter(({ id }) => id === 'lift.chart');
  const shares = charts.flatMap(({ ratio }) => (ratio === null ? [] : [ratio]));
  return {
    stand,
    crane: context.plan.cranes.find(({ id }) => id === stand.crane)?.name ?? '',
    boom,
    verdict: checks[0]?.verdict ?? 'missing',
    share: charts.length > 0 && shares.length === charts.length ? Math.max(...shares) : null,
    governs: checks[0] ?? null,
    now,
  };
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
  const from = IN * piece.length;
  const { outcome } = traced(twoPlaces, {
    weight: weight.weight,
    apart: piece.length - 2 * from,
    cg: weight.cg.x - from,
    height: weight.section.depth / 2,
    uneven: UNEVEN,
  });
  if (!outcome.ok) return null;
  const each = Math.max(outcome.output.a, outcome.output.b) / GRAVITY;
  const team = traced(teamCarry, { mass: each, perPerson: rules.value('personLift'), people: 1 }).outcome;
  return { each, people: team.ok ? team.output.needed : 0, in: from, uneven: UNEVEN };
}
