import type { CommandArguments } from './table';
import { isTurned } from '../document/lookups';
import { isUnslung, usualSlinging } from '../checks/lift/plan-lifts';
import { drawnBolt } from '../checks/structure/joint-bolts';
import { placeOf } from '../document/place';
import type { Beam, Brace, Joint, Move, Pick, Plan, Support } from '../document/schema';

type Same = CommandArguments['editEach'];

/** What things of a kind may have in common. */
interface Shared<T> {
  alike: (a: T, b: T, plan: Plan) => boolean;
  /** what of the one is to be said of the other, where that says nothing yet */
  share: (from: T, to: T) => Partial<T>;
}

/** Takes over each field that is said here and not there. */
const unsaidOf = <T>(from: T, to: T, keys: readonly (keyof T)[]): Partial<T> =>
  Object.fromEntries(keys.flatMap((key) => (isSaid(from[key]) && !isSaid(to[key]) ? [[key, structuredClone(from[key])]] : []))) as Partial<T>;
const isSaid = (value: unknown): boolean => value !== null && value !== undefined && !(typeof value === 'string' && value.trim() === '');

/**
 * A survey, a test of the concrete and a repair are of one support alone: they are never said of another. A support that pushes only
 * has said so: nothing is made to hold it down.
 */
const supports: Shared<Support> = {
  alike: (a, b) => a.kind === b.kind,
  share: (from, to) => {
    const same = unsaidOf(from, to, [
      'seatLength',
      'seatWidth',
      'stiffened',
      'anchors',
      'footing',
      ...(from.twist === to.twist ? (['twistHolds'] as const) : []),
    ]);
    if (same.anchors) {
      const { repairedBy: _, ...sound } = same.anchors;
      same.anchors = { ...sound, repaired: false };
    }
    if (same.footing?.kind === 'concrete') {
      const { erection: _, ...poured } = same.footing;
      same.footing = { ...poured, result: null, by: '', on: '' };
    }
    return from.capacity !== null && to.capacity === null ? { ...same, capacity: from.capacity, capacityBasis: from.capacityBasis } : same;
  },
};
/** A joint that is no splice and has no moment is a simple one: it is not made another. */
const joints: Shared<Joint> = {
  alike: (a, b) => a.kind === b.kind,
  share: (from, to) => {
    // Bolts of which nobody has said the grade yet are not said of others.
    const bolt = drawnBolt(from) ? (['bolt'] as const) : [];
    return unsaidOf(from, to, from.kind === 'splice' ? ['holes', ...bolt, 'boltShear', 'moment', 'shear'] : ['holes', ...bolt, 'boltShear', 'ownBolts']);
  },
};
const braces: Shared<Brace> = {
  alike: (a, b) => a.kind === b.kind && (a.b === null) === (b.b === null),
  share: (from, to) => unsaidOf(from, to, ['capacity', 'stiffness', 'mass', 'liftedBy', 'stays', 'anchoredTo', 'slopeDeg', 'anchor']),
};

/** Pieces come off trucks at one place: where one lies before its lift may be where the others do. Columns stand alike. */
const beams: Shared<Beam> = {
  alike: () => true,
  share: (from, to) => {
    const had: NonNullable<Beam['lies']> = to.lies ?? { x: null, y: null, azimuthDeg: null, level: null };
    const lies = from.lies ? unsaidOf(from.lies, had, ['x', 'y', 'azimuthDeg', 'level', 'onSide', 'comes']) : {};
    const columns = (placeOf(from)?.upright ?? false) && (placeOf(to)?.upright ?? false);
    return { ...(Object.keys(lies).length > 0 ? { lies: { ...had, ...lies } } : {}), ...(columns ? unsaidOf(from, to, ['webDeg']) : {}) };
  },
};

/** Picks from one stand have boom, slings and reach in common; where the slings take a piece is of that piece alone. */
const picks: Shared<Pick> = {
  alike: (a, b, plan) => a.stand === b.stand && isTurned(plan, a) === isTurned(plan, b) && (a.second?.stand ?? null) === (b.second?.stand ?? null),
  share: (from, to) => ({
    ...unsaidOf(from, to, ['slingRating', 'riggingMass', 'hitch', 'tags']),
    ...((from.gear?.length ?? 0) > 0 && (to.gear?.length ?? 0) === 0 ? { gear: [...from.gear!] } : {}),
    ...Object.fromEntries(
      (['boom', 'liftOver'] as const).flatMap((key) => (from.unsaid?.includes(key) || !to.unsaid?.includes(key) ? [] : [[key, from[key]]])),
    ),
  }),
};

const lists = { supports, joints, braces, beams, picks } as const;
export type AlikeList = keyof typeof lists;
const ownOf = ({ structure, picks: lifts }: Plan): Record<AlikeList, readonly { id: string }[]> => ({
  supports: structure.supports,
  joints: structure.joints,
  braces: structure.braces,
  beams: structure.pieces,
  picks: lifts,
});

/** Every pick that nobody has slung yet, slung as usual by its own length and balance; null where there is none. */
export function slungAsUsual(plan: Plan, balanceOf: (pick: Pick) => number | null): Same | null {
  const edits = plan.picks.flatMap((pick): Same['edits'] => {
    if (!isUnslung(plan, pick)) return [];
    const balance = balanceOf(pick);
    const changes = balance === null ? null : usualSlinging(plan, pick, balance);
    return changes ? [{ list: 'picks', id: pick.id, changes }] : [];
  });
  return edits.length > 0 ? { edits, moves: [] } : null;
}

/** What is said of one thing and not yet of others of its kind, for all of them; null where there is nothing to say. */
export function sameForOthers(plan: Plan, list: AlikeList, id: string): Same | null {
  const { alike, share } = lists[list] as unknown as Shared<{ id: string }>;
  const all = ownOf(plan)[list];
  const from = all.find((one) => one.id === id);
  if (!from) return null;
  const edits = all.flatMap((to) => {
    const changes = to.id !== id && alike(from, to, plan) ? share(from, to) : {};
    return Object.keys(changes).length > 0 ? [{ list, id: to.id, changes }] : [];
  });
  return edits.length > 0 ? { edits, moves: [] } : null;
}

/** Of each move that makes a joint, which time it is: bolts to hold it, or those that fill it. */
function timesOf(moves: readonly Move[]): Map<string, number> {
  const made = new Map<string, number>();
  const times = new Map<string, number>();
  for (const move of moves) {
    if (move.kind !== 'joint.make') continue;
    const time = made.get(move.joint) ?? 0;
    times.set(move.id, time);
    made.set(move.joint, time + 1);
  }
  return times;
}

/** What is said of one move and not yet of others like it: of joints of the same kind made for the same time, of pieces hung. */
export function sameForOtherMoves(plan: Plan, move: Move): Same | null {
  if (move.kind !== 'joint.make' && move.kind !== 'piece.hang') return null;
  const kinds = new Map(plan.structure.joints.map((one) => [one.id, one.kind]));
  const times = timesOf(plan.moves);
  const moves = plan.moves.flatMap((one): Same['moves'] => {
    if (one.id === move.id) return [];
    if (one.kind === 'joint.make' && move.kind === 'joint.make')
      return kinds.get(one.joint) === kinds.get(move.joint) && times.get(one.id) === times.get(move.id)
        ? said(one.id, unsaidOf(move, one, ['bolts', 'tight']))
        : [];
    // What lifts it may be one crane for all; who worked a lift out answers for that lift alone.
    if (one.kind === 'piece.hang' && move.kind === 'piece.hang') return one.pick || move.pick ? [] : said(one.id, unsaidOf(move, one, ['by']));
    return [];
  });
  return moves.length > 0 ? { edits: [], moves } : null;
}

const said = (id: string, changes: Same['moves'][number]['changes']): Same['moves'] => (Object.keys(changes).length > 0 ? [{ id, changes }] : []);
