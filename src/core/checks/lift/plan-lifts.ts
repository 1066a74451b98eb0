import { joinedOf, loadOf } from '../../document/joined';
import { Missing } from '../../verdict/missing';
import { isTurned, liftedBy, standsOfPick } from '../../document/lookups';
import type { Move, Pick, Plan } from '../../document/schema';

/** A pick of a piece from a stand: where slings take it, how long boom and slings are, is asked. */
export function newPick(id: string, piece: string, stand: string, length: number): Pick {
  const quarter = Math.round(length * 25) / 100;
  return {
    id,
    unsaid: ['left', 'right', 'legs', 'boom', 'liftOver'],
    piece,
    stand,
    left: quarter,
    right: quarter,
    legs: { left: Math.max(1, length / 2), right: Math.max(1, length / 2) },
    slingRating: null,
    riggingMass: null,
    boom: 12,
    swing: 'short',
    swingRadius: null,
    liftOver: 1,
  };
}

/** Another pick, slung and swung as one before it; where the slings take this piece, and how long they are, is asked. */
export const pickLike = (like: Pick, id: string, piece: string, length: number): Pick => {
  const { second: _, turned: __, roll: ___, threads: ____, joined: _____, ...rest } = like;
  return { ...rest, id, unsaid: ['left', 'right', 'legs'], piece, left: Math.min(like.left, length / 2), right: Math.min(like.right, length / 2) };
};

/** Pieces that no pick lifts yet, with their lengths. */
export function unlifted({ picks, pieces, structure, launches = [] }: Plan): { id: string; mark: string; length: number }[] {
  const lifted = new Set([...picks.flatMap(loadOf), ...launches.flatMap((launch) => launch.pieces.map(({ piece }) => piece))]);
  const makes = new Map(structure.makes.map((one) => [one.id, one]));
  return [
    ...pieces.map(({ id, mark, length }) => ({ id, mark, length })),
    ...structure.pieces.map(({ id, mark, make }) => ({ id, mark, length: makes.get(make)?.length ?? 0 })),
  ].filter(({ id }) => !lifted.has(id));
}

/** Lifts for pieces that had none: their picks, by which of them each move hangs what, and the moves that come with them. */
export interface LiftsPlanned {
  picks: Pick[];
  hangs: { id: string; pick: string }[];
  put: { moves: Move[]; before: string | null }[];
}

/**
 * Every piece of the structure that a move hangs and nobody has said by what, lifted from one stand: its pick, the crane set before the
 * first of them, that one tried, and the crane gone after the last has let go. Null where nothing is left to lift.
 */
export function liftsFrom(plan: Plan, stand: string, freshId: (prefix: string) => string): LiftsPlanned | null {
  const makes = new Map(plan.structure.makes.map((one) => [one.id, one]));
  const beams = new Map(plan.structure.pieces.map((one) => [one.id, one]));
  const lifted = new Set(plan.picks.flatMap(loadOf));
  const like = plan.picks.find((pick) => pick.stand === stand);
  const picks: Pick[] = [];
  const hangs: LiftsPlanned['hangs'] = [];
  const here = new Set<string>();
  let [first, last] = [-1, -1];
  plan.moves.forEach((move, at) => {
    if (move.kind === 'piece.letGo' && here.has(move.beam) && move.keeps === 0) last = at;
    if (move.kind !== 'piece.hang' || move.pick || move.by.trim() !== '' || lifted.has(move.beam)) return;
    const length = makes.get(beams.get(move.beam)!.make)!.length;
    const pick = like ? pickLike(like, freshId('k'), move.beam, length) : newPick(freshId('k'), move.beam, stand, length);
    picks.push(pick);
    hangs.push({ id: move.id, pick: pick.id });
    here.add(move.beam);
    lifted.add(move.beam);
    if (first < 0) first = at;
  });
  if (picks.length === 0) return null;
  const has = (kind: 'crane.set' | 'crane.leave') => plan.moves.some((move) => move.kind === kind && move.stand === stand);
  const tried = plan.moves.some((move) => move.kind === 'pick.trial' && plan.picks.some((one) => one.id === move.pick && standsOfPick(one).includes(stand)));
  const before: Move[] = [
    ...(has('crane.set') ? [] : [{ id: freshId('mv'), kind: 'crane.set' as const, stand }]),
    ...(tried ? [] : [{ id: freshId('mv'), kind: 'pick.trial' as const, pick: picks[0]!.id }]),
  ];
  const leaves: Move[] = has('crane.leave') ? [] : [{ id: freshId('mv'), kind: 'crane.leave', stand }];
  return {
    picks,
    hangs,
    put: [
      { moves: before, before: plan.moves[first]!.id },
      { moves: leaves, before: last < 0 ? null : (plan.moves[last + 1]?.id ?? null) },
    ].filter(({ moves }) => moves.length > 0),
  };
}

/** Where slings usually take a piece, from what it is: to be looked at and taken, or not. */
export type Slinging = Partial<Pick>;

/** Between the slings of a level piece, of its length: its own weight bends it as much over the slings as between them (0.586), a little nearer. */
const BETWEEN = 0.56;
/** Between the hooks of two cranes, of its length. */
const APART = 0.8;
const LEG_DEG = 60;
const cm = (value: number) => Math.round(value * 100) / 100;

/**
 * Slings even about the balance point, their legs at 60°; a piece that is turned up slung near its upper end, its tail on its lower.
 * Null where it is too one-sided for that.
 */
export function usualSlinging(plan: Plan, pick: Pick, balance: number): Slinging | null {
  const lifted = liftedBy(plan, pick);
  const joined = joinedOf(plan, pick);
  if (joined instanceof Missing) return null;
  const length = joined?.length ?? (lifted.kind === 'piece' ? lifted.piece.length : lifted.make.length);
  if (isTurned(plan, pick)) return { turned: { top: cm(Math.min(0.3, length * 0.1)), tail: cm(Math.min(0.2, length * 0.05)), sling: 2 } };
  // Of two lines side by side each has its own leg at either pick.
  const apart = joined && joined.lines.length > 1 ? cm(Math.abs(joined.lines[1]!.aside)) : null;
  // Under a bar they are as far apart as the bar is long.
  const bar = apart === null && pick.rig && pick.rig.kind !== 'legs' && !pick.second ? pick.rig.length : null;
  const half = cm((bar ?? (pick.second ? APART : BETWEEN) * length) / 2);
  const left = cm(balance - half);
  const right = cm(length - balance - half);
  if (left < 0 || right < 0) return null;
  const slope = (out: number) => Math.ceil((out / Math.cos((LEG_DEG * Math.PI) / 180)) * 10 - 1e-9) / 10;
  const aside = (apart ?? 0) / 2;
  const leg = pick.second ? Math.max(3, slope(aside)) : bar !== null ? 2 : slope(Math.hypot(half, aside));
  return { left, right, legs: { left: leg, right: leg }, ...(apart === null ? {} : { rig: { kind: 'legs', leftApart: apart, rightApart: apart } }) };
}

/** Whether nobody has said yet where slings take it. */
export const isUnslung = (plan: Plan, pick: Pick): boolean =>
  isTurned(plan, pick) ? !pick.turned || pick.turned.top === null : (['left', 'right', 'legs'] as const).every((key) => pick.unsaid?.includes(key));
