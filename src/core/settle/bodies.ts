import { add, angleOf, direction, rectangle, scale, type Vec } from '../geometry/plane';
import type { Rules } from '../rules/rule-sets';
import { hungWith, loadOf } from '../document/joined';
import { gist, keep, keepOne } from '../document/keep';
import { Missing } from '../verdict/missing';
import type { SectionRow } from '../steel/section-row';
import { pieceWeight } from './piece-weight';
import type { Pick, Piece, Plan } from '../document/schema';
import { seatOf } from './seat-geometry';
import type { SettledPlan } from './settle';
import { sectionOf, settleBeams } from './model';
import { pointAt, type Placed } from '../document/place';

/** What a thing takes up: its outline from above, and from where to where it reaches in height. */
export interface Body {
  id: string;
  name: string;
  outline: Vec[];
  from: number;
  to: number;
}

/** Things that touch are not in one another [m]. */
export const TOUCH = 0.005;
export const shrunk = (at: Vec, length: number, width: number, azimuthDeg: number): Vec[] =>
  rectangle(at, Math.max(length - 2 * TOUCH, TOUCH), Math.max(width - 2 * TOUCH, TOUCH), azimuthDeg);

/** The pieces of the structure where they are to be. */
export const beamBodies = (plan: Plan, rules: Rules): readonly Body[] =>
  keepOne('beam.bodies', [plan.structure.pieces, plan.structure.makes, rules.id], () => bodiesOf(plan, rules));

function bodiesOf(plan: Plan, rules: Rules): Body[] {
  return [...settleBeams(plan, rules).values()].flatMap(({ beam, make, place, section: settled }): Body[] => {
    // What has no strength here stands in the way all the same.
    const section = settled instanceof Missing ? sectionOf(make) : settled;
    if (!place || section instanceof Missing) return [];
    return slices(place).map(({ from, to }) => sliceOf({ id: beam.id, name: beam.mark }, place, section, from, to));
  });
}

/** Of what is in several boxes the first that is met: it is told once. */
export const oncePerThing = (bodies: readonly Body[]): Body[] => [...new Map([...bodies].reverse().map((one) => [one.id, one])).values()].reverse();

/** A body is upright boxes: a piece that slopes or leans is cut so that none of them reaches further out of it than this, in as many boxes as there may be [m]. */
const SLICE = 0.25;
const MOST_SLICES = 60;
/** In how many boxes a thing is cut that is so far out of level or plumb from end to end. */
export const slicesFor = (off: number): number => Math.min(MOST_SLICES, Math.max(1, Math.ceil(off / SLICE)));

/** Where a piece is cut, from its first end: a level beam and a plumb column are one. */
function slices({ from, to, length, upright }: Placed): { from: number; to: number }[] {
  const off = upright ? Math.hypot(to.x - from.x, to.y - from.y) : Math.abs(to.z - from.z);
  const count = slicesFor(off);
  return Array.from({ length: count }, (_, n) => ({ from: (length * n) / count, to: (length * (n + 1)) / count }));
}

/** What a stretch of a piece takes up: upright boxes round all of it, whichever way it slopes. */
function sliceOf(of: { id: string; name: string }, place: Placed, section: SectionRow, from: number, to: number): Body {
  const [a, b] = [pointAt(place, from), pointAt(place, to)];
  const middle: Vec = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  const run = Math.hypot(b.x - a.x, b.y - a.y);
  const [low, high] = [Math.min(a.z, b.z), Math.max(a.z, b.z)];
  if (place.upright) {
    const lean = run / (to - from);
    const azimuth = lean > 1e-3 ? angleOf(place.along) : 0;
    return { ...of, outline: shrunk(middle, section.depth + run, section.width, azimuth), from: low, to: high };
  }
  // Its depth is square to its length: its top stands back from its underside, towards the lower end.
  const rise = (place.to.z - place.from.z) / place.length;
  const back = section.depth * rise;
  const outline = shrunk(add(middle, scale(place.along, -back / 2)), run + Math.abs(back), section.width, angleOf(place.along));
  return { ...of, outline, from: low, to: high + section.depth * Math.sqrt(1 - rise ** 2) };
}

/** What steel stands when a pick is made. */
export const standingAt = (plan: SettledPlan, rules: Rules, pick: Pick): readonly Body[] =>
  standing('standing.at', plan, rules, pick, () => setBefore(plan, pick));

/** The same but for those that what it lifts is joined to. */
export const standingBefore = (plan: SettledPlan, rules: Rules, pick: Pick): readonly Body[] =>
  standing('standing.before', plan, rules, pick, () => {
    const before = setBefore(plan, pick);
    const own = new Set(loadOf(pick));
    for (const { a, b } of plan.structure.joints) {
      if (own.has(a.piece)) before.delete(b.piece);
      if (own.has(b.piece)) before.delete(a.piece);
    }
    return before;
  });

const standing = (name: string, plan: SettledPlan, rules: Rules, pick: Pick, set: () => ReadonlySet<string>): readonly Body[] => {
  const { pieces, structure, bearings } = plan;
  const from = [settings(plan), pieces, bearings, beamBodies(plan, rules), structure.joints, rules];
  return keep(name, pick, from, () => bodiesSet(plan, rules, set()));
};

function bodiesSet(plan: SettledPlan, rules: Rules, set: ReadonlySet<string>): Body[] {
  if (set.size === 0) return [];
  const own = plan.pieces.flatMap((piece) => (set.has(piece.id) ? (pieceBody(plan, rules, piece) ?? []) : []));
  return [...own, ...beamBodies(plan, rules).filter(({ id }) => set.has(id))];
}

/** Which pieces hang together: the same thing while none of that is another. */
const liftedTogether = ({ picks }: Plan): object => gist('lifted.together', picks, ({ id, piece, joined }) => (joined?.length ? [id, piece, ...joined] : []));

/** The steel that is set before a move, by its number. */
export const steelBefore = (plan: SettledPlan, rules: Rules, now: number): Body[] =>
  bodiesSet(plan, rules, new Set(settings(plan).set.flatMap(({ at, piece }) => (at < now ? [piece] : []))));

/** At which move each pick is made, and what is set at which, in the order of the moves. */
interface Settings {
  picks: ReadonlyMap<string, number>;
  set: readonly { at: number; piece: string }[];
}

const settings = (plan: Plan): Settings =>
  keepOne('settings', [plan.moves, plan.launches, liftedTogether(plan), plan.pieces.length > 0 ? plan.picks : null], () => {
    const pieceOf = new Map(plan.pieces.length === 0 ? [] : plan.picks.map((one) => [one.id, one.piece]));
    const picks = new Map<string, number>();
    const set: { at: number; piece: string }[] = [];
    plan.moves.forEach((move, at) => {
      const pick = move.kind === 'pick.lift' || move.kind === 'piece.hang' ? move.pick : null;
      if (pick !== null && pick !== undefined && !picks.has(pick)) picks.set(pick, at);
      if (move.kind === 'piece.hang') for (const piece of [move.beam, ...hungWith(plan, move)]) set.push({ at, piece });
      else if (move.kind === 'launch.lower') for (const { piece } of plan.launches?.find(({ id }) => id === move.launch)?.pieces ?? []) set.push({ at, piece });
      else if (move.kind === 'piece.land') set.push({ at, piece: pieceOf.get(move.pick) ?? move.pick });
    });
    return { picks, set };
  });

function setBefore(plan: Plan, pick: Pick): Set<string> {
  if (plan.structure.pieces.length + plan.pieces.length < 2) return new Set();
  const { picks, set } = settings(plan);
  const now = picks.get(pick.id) ?? Infinity;
  const before = new Set<string>();
  for (const { at, piece } of set) {
    if (at >= now) break;
    before.add(piece);
  }
  for (const id of loadOf(pick)) before.delete(id);
  return before;
}

/** A piece as it lies on its seats. */
export function pieceBody(plan: SettledPlan, rules: Rules, piece: Piece): Body | null {
  const seat = seatOf(plan, piece);
  const weight = pieceWeight(piece, rules);
  if (seat instanceof Missing || weight instanceof Missing) return null;
  const { depth, width } = weight.section;
  const middle = add(seat.leftEnd, scale(direction(seat.azimuthDeg), piece.length / 2));
  const level = Math.max(seat.left.level, seat.right.level);
  return { id: piece.id, name: piece.mark, outline: shrunk(middle, piece.length, width, seat.azimuthDeg), from: level, to: level + depth };
}
