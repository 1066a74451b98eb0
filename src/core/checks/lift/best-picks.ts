import { verdicts, type Check, type Verdict } from '../../verdict/check';
import { isTurned } from '../../document/lookups';
import { Missing } from '../../verdict/missing';
import { pickContext } from './pick-context';
import type { Pick } from '../../document/schema';
import { worstFirst } from '../../verdict/worst-first';
import type { Context } from '../context';
import { craneChecks } from './crane';
import { riggingChecks } from './rigging';

/** One choice of pick points, and how the lift fares with them. */
export interface PickPoints {
  left: number;
  right: number;
  legs: { left: number; right: number };
  between: number;
  verdict: Verdict;
  /** greatest of what slings, piece and head room take of their limits; null: something of them is not known */
  share: number | null;
  governs: Check | null;
  /** what bending and sideways buckling take of what the piece is good for; null: not known */
  body: number | null;
}

export interface BestPicks {
  now: PickPoints;
  /** from the nearest to the farthest apart */
  tried: PickPoints[];
  /** the best of them; null: none holds better than not at all */
  best: PickPoints | null;
}

/** So many places are looked at along a piece, and then so many more about the best. */
const PLACES = 36;
const AGAIN = 8;
const cm = (value: number): number => Math.round(value * 100) / 100;
/** Legs of slings come by the decimetre. */
const legOf = (value: number): number => Math.ceil(value * 10 - 1e-9) / 10;
/** Legs are taken so steep [°], as slings usually are. */
const LEG_DEG = 60;

/** Of what is asked of a lift, what the choice of its pick points bears on. */
const bearsOn = ({ id }: Check): boolean =>
  id.startsWith('rigging.') || (id.startsWith('pick.') && id !== 'pick.critical') || id === 'lift.headRoom' || id === 'lift.boomGap';

function fares(context: Context, pick: Pick, length: number): PickPoints {
  const picked = pickContext(context.plan, pick);
  const checks = worstFirst([...riggingChecks(context, picked), ...craneChecks(context, picked)].filter(bearsOn));
  const shares = checks.flatMap(({ ratio }) => (ratio === null ? [] : [ratio]));
  const ofBody = checks.filter(({ id }) => id === 'pick.bending' || id === 'pick.hanging');
  const { left, right, legs } = pick;
  return {
    left,
    right,
    legs,
    between: length - left - right,
    verdict: checks[0]?.verdict ?? 'missing',
    share: checks.some(({ verdict }) => verdict === 'missing') || shares.length === 0 ? null : Math.max(...shares),
    governs: checks[0] ?? null,
    body: ofBody.length === 0 || ofBody.some(({ ratio }) => ratio === null) ? null : Math.max(...ofBody.map(({ ratio }) => ratio!)),
  };
}

/** The better verdict of all; of equals the one that asks least of the piece itself. */
const better = (a: PickPoints, b: PickPoints): boolean => {
  const [x, y] = [verdicts.indexOf(a.verdict), verdicts.indexOf(b.verdict)];
  return x !== y ? x > y : (a.body ?? Infinity) < (b.body ?? Infinity);
};

/**
 * Pick points level about the balance point, from near together to the ends of the piece, each judged by all that slings, piece and head
 * room are checked for. Null where there is nothing to choose: a piece turned upright, on two hooks, or of no known weight.
 */
export function bestPicks(context: Context, pick: Pick): BestPicks | null {
  const { plan } = context;
  if (pick.second || isTurned(plan, pick)) return null;
  const { piece, weight } = pickContext(plan, pick);
  if (weight instanceof Missing) return null;
  const { length } = piece;
  const balance = weight.cg.x;
  const most = 2 * Math.min(balance, length - balance);
  const bar = pick.rig && pick.rig.kind !== 'legs' ? pick.rig.length : null;
  const at = (between: number): PickPoints => {
    const [left, right] = [cm(balance - between / 2), cm(length - balance - between / 2)];
    const half = Math.max(balance - left, length - right - balance);
    const across = pick.rig?.kind === 'legs' ? Math.max(pick.rig.leftApart ?? 0, pick.rig.rightApart ?? 0) / 2 : 0;
    const leg = legOf(Math.hypot(half, across) / Math.cos((LEG_DEG * Math.PI) / 180));
    return fares(context, { ...pick, left, right, legs: pick.rig && bar !== null ? pick.legs : { left: leg, right: leg } }, length);
  };
  const spread = (from: number, to: number, parts: number) => Array.from({ length: parts + 1 }, (_, i) => from + ((to - from) * i) / parts);
  // The picks stand under the ends of a bar: it is as long as it is.
  const first = (bar !== null ? (bar <= most ? [bar] : []) : spread(most / 6, most, PLACES)).map(at);
  const bestOf = (list: readonly PickPoints[]) => list.reduce<PickPoints | null>((found, one) => (found === null || better(one, found) ? one : found), null);
  const rough = bestOf(first);
  const step = (most * 5) / 6 / PLACES;
  const closer = rough && bar === null ? spread(rough.between - step, Math.min(most, rough.between + step), AGAIN).map(at) : [];
  const tried = [...first, ...closer].sort((a, b) => a.between - b.between);
  const best = bestOf(tried);
  return { now: fares(context, pick, length), tried, best: best && best.verdict !== 'stop' ? best : null };
}
