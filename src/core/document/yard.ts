import { GRAVITY } from '../units';
import type { Leg, Pick, Plan, Raise, YardThing } from './schema';
import { stringOf } from './strings';

/** A leg of a way in along which a piece is pulled. */
export type PulledLeg = Extract<Leg, { kind: 'ramp' | 'rollers' }>;
export const isPulled = (leg: Leg): leg is PulledLeg => leg.kind === 'ramp' || leg.kind === 'rollers';

/** A lift, by a crane or without, and the moves between which its gear is in use: `to` Infinity where nothing lets it go. */
export interface InUse {
  by: Pick | Raise;
  how: 'pick' | 'raise';
  gear: readonly string[];
  from: number;
  to: number;
}

/** Which lifts a thing of the yard hangs in, and from which move to which. A lift that no move makes uses nothing yet. */
export function gearInUse(plan: Plan): InUse[] {
  const began = new Map<string, number>();
  const ended = new Map<string, number>();
  const begin = (id: string, at: number) => began.has(id) || began.set(id, at);
  plan.moves.forEach((move, at) => {
    switch (move.kind) {
      case 'piece.sling':
      case 'pick.trial':
      case 'pick.lift':
        begin(move.pick, at);
        break;
      case 'hook.release':
        ended.set(move.pick, at);
        break;
      case 'piece.hang':
        begin(move.pick ?? move.beam, at);
        begin(move.beam, at);
        break;
      case 'piece.letGo':
        if (move.keeps === 0) ended.set(move.beam, at);
        break;
      case 'member.set':
        begin(move.opening, at);
        ended.set(move.opening, at);
        break;
    }
  });
  const of = (by: Pick | Raise, how: InUse['how'], load: string): InUse[] => {
    // What hangs in a string is slung before the first of it is set.
    const starts = [by.id, ...(how === 'pick' ? (stringOf(plan, by)?.picks ?? []).map(({ id }) => id) : [])].flatMap((id) => began.get(id) ?? []);
    const from = starts.length > 0 ? Math.min(...starts) : how === 'raise' ? began.get(load) : undefined;
    const gear = by.gear ?? [];
    return from === undefined || gear.length === 0 ? [] : [{ by, how, gear, from, to: ended.get(by.id) ?? ended.get(load) ?? Infinity }];
  };
  return [...plan.picks.flatMap((one) => of(one, 'pick', one.piece)), ...(plan.raises ?? []).flatMap((one) => of(one, 'raise', one.load))];
}

/** The things some lift, or a leg of a way in, is made with. */
export const inUse = ({ picks, raises = [], ways }: Plan): ReadonlySet<string> =>
  new Set([...picks, ...raises, ...ways.flatMap(({ legs }) => legs.filter(isPulled))].flatMap(({ gear = [] }) => gear));

const things = new WeakMap<readonly YardThing[], ReadonlyMap<string, YardThing>>();
const NOTHING: YardThing[] = [];
/** The things of the yard by their ids. */
export function yardOf({ yard = NOTHING }: Plan): ReadonlyMap<string, YardThing> {
  let known = things.get(yard);
  if (!known) things.set(yard, (known = new Map(yard.map((one) => [one.id, one]))));
  return known;
}

/** What things of a kind are rated for, of those some lift is made with. */
function ratingsOf(plan: Plan, gear: readonly string[], kind: YardThing['kind']): number[] {
  const all = yardOf(plan);
  return gear.flatMap((id) => {
    const one = all.get(id);
    return one?.kind === kind && one.rating !== null ? [one.rating] : [];
  });
}

/** The least that gear of a kind is rated for; null where none of it says. */
export function leastOf(plan: Plan, gear: readonly string[], kind: YardThing['kind']): number | null {
  const said = ratingsOf(plan, gear, kind);
  return said.length === 0 ? null : Math.min(...said);
}

/** The tag of the slings on a hook: the least of all, but where two hooks hold a piece each has those that are nearest to what is said of it. */
function slingTag(plan: Plan, { gear = [], second }: Pick, says: number | null): number | null {
  const tags = ratingsOf(plan, gear, 'slings');
  if (!second || tags.length < 2 || says === null) return leastOf(plan, gear, 'slings');
  return tags.reduce((near, tag) => (Math.abs(tag - says) < Math.abs(near - says) ? tag : near));
}

export const lowerOf = (a: number | null, b: number | null): number | null => (a === null ? b : b === null ? a : Math.min(a, b));

/** A pick with the gear it is lifted with: of what it says itself and what the tag in the yard says, the lower figure governs. */
export function withItsGear(plan: Plan, pick: Pick): Pick {
  if (!pick.gear || pick.gear.length === 0) return pick;
  // A tag speaks of a straight pull: what a sling is good for round a piece that is turned up, the pick says.
  const open = pick.slingRating === null && pick.turned;
  const slingRating = open ? null : lowerOf(pick.slingRating, slingTag(plan, pick, pick.slingRating));
  const { rig, hitch, second } = pick;
  return {
    ...pick,
    slingRating,
    ...(rig && rig.kind !== 'legs' ? { rig: { ...rig, rating: lowerOf(rig.rating, leastOf(plan, pick.gear, 'spreader')) } } : {}),
    ...(hitch?.kind === 'clamps' ? { hitch: { ...hitch, carries: lowerOf(hitch.carries, leastOf(plan, pick.gear, 'clamp')) } } : {}),
    // Nobody says which slings hang on the second hook: of those it is asked, their tags only lower what is said.
    ...(second && second.slingRating !== null
      ? { second: { ...second, slingRating: lowerOf(second.slingRating, slingTag(plan, pick, second.slingRating)) } }
      : {}),
  };
}

/** A lift without a crane with its gear: what a plate says and what the tag in the yard says, the lower figure governs. */
export function raiseWithItsGear(plan: Plan, raise: Raise): Raise {
  const { gear = [] } = raise;
  if (gear.length === 0) return raise;
  return {
    ...raise,
    points: raise.points.map((point) => (point.kind === 'hands' ? point : { ...point, rating: lowerOf(point.rating, leastOf(plan, gear, point.kind)) })),
  };
}

/** One rating by two statements that are not alike [kg]. */
export interface TwoRatings {
  what: string;
  here: number;
  tag: number;
}
interface Pair {
  what: string;
  here: number | null;
  tag: number | null;
}
const unlike = (pairs: readonly Pair[]): TwoRatings[] =>
  pairs.flatMap(({ what, here, tag }) => (here === null || tag === null || Math.abs(here / tag - 1) <= SAME ? [] : [{ what, here, tag }]));

/** What is said of the gear of a pick twice, and not alike. */
export function saidTwice(plan: Plan, pick: Pick): TwoRatings[] {
  const { gear = [], rig, hitch, slingRating, second } = pick;
  return unlike([
    { what: 'one leg of its slings', here: slingRating, tag: slingTag(plan, pick, slingRating) },
    { what: 'the sling on its second hook', here: second?.slingRating ?? null, tag: second ? slingTag(plan, pick, second.slingRating) : null },
    { what: 'its bar', here: rig && rig.kind !== 'legs' ? rig.rating : null, tag: leastOf(plan, gear, 'spreader') },
    { what: 'one clamp', here: hitch?.kind === 'clamps' ? hitch.carries : null, tag: leastOf(plan, gear, 'clamp') },
  ]);
}

/** The same of a lift without a crane, place by place. */
export const raiseSaidTwice = (plan: Plan, { gear = [], points }: Raise): TwoRatings[] =>
  unlike(points.flatMap((point) => (point.kind === 'hands' ? [] : [{ what: point.name, here: point.rating, tag: leastOf(plan, gear, point.kind) }])));

/** The same of a leg of a way in. */
export const legSaidTwice = (plan: Plan, { gear = [], line }: PulledLeg): TwoRatings[] =>
  unlike([{ what: 'its line', here: line === null ? null : line / GRAVITY, tag: leastOf(plan, gear, 'winch') }]);
/** Figures this close are the same but for rounding. */
const SAME = 0.01;
