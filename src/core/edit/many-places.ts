import type { CommandArguments } from './table';
import type { Beam, Move, Plan, Support } from '../document/schema';

/** How pieces go elsewhere: by so much, or as in a mirror along a line north (at an east) or along a line east (at a north). */
export type Shift = { kind: 'by'; x: number; y: number; z: number } | { kind: 'mirror'; across: 'x' | 'y'; at: number };

type Point = NonNullable<Beam['from']>;

export function shifted(point: Point, shift: Shift): Point {
  if (shift.kind === 'by') return { x: tidy(point.x + shift.x), y: tidy(point.y + shift.y), z: tidy(point.z + shift.z) };
  return shift.across === 'x' ? { ...point, x: tidy(2 * shift.at - point.x) } : { ...point, y: tidy(2 * shift.at - point.y) };
}
/** To the hundredth of a millimetre: what sums leave behind that is no place. */
const tidy = (value: number): number => Math.round(value * 1e5) / 1e5;

const risesBy = (shift: Shift): number => (shift.kind === 'by' ? shift.z : 0);

/** A direction in plan after the shift. */
function turnedDeg(deg: number | null, shift: Shift): number | null {
  if (deg === null || shift.kind === 'by') return deg;
  const turned = shift.across === 'x' ? 180 - deg : -deg;
  return ((turned % 360) + 360) % 360;
}

/** Which way the web of a column runs after the shift, where somebody has said it. */
const webTurned = (webDeg: number | null | undefined, shift: Shift): { webDeg?: number | null } =>
  typeof webDeg === 'number' && shift.kind === 'mirror' ? { webDeg: turnedDeg(webDeg, shift) } : {};

/** So many times the same shift. */
const times = (shift: Shift, n: number): Shift => (shift.kind === 'by' ? { ...shift, x: shift.x * n, y: shift.y * n, z: shift.z * n } : shift);

/**
 * Pieces put elsewhere, with what goes along: the level of each support all of whose seats go, and where a guy is tied to. What was
 * surveyed there is not so any more.
 */
export function movePieces({ structure }: Plan, ids: ReadonlySet<string>, shift: Shift): CommandArguments['editEach'] {
  const edits: CommandArguments['editEach']['edits'] = [];
  for (const { id, from, to, webDeg } of structure.pieces)
    if (ids.has(id) && (from || to))
      edits.push({ list: 'beams', id, changes: { from: from && shifted(from, shift), to: to && shifted(to, shift), ...webTurned(webDeg, shift) } });
  for (const { id, seats, level, measured } of structure.supports)
    if (seats.every(({ piece }) => ids.has(piece)) && (level !== null || measured))
      edits.push({ list: 'supports', id, changes: { level: level === null ? null : tidy(level + risesBy(shift)), measured: null } });
  if (shift.kind === 'mirror')
    for (const { id, a, b, towardsDeg } of structure.braces)
      if (towardsDeg !== null && ids.has(a.piece) && (b === null || ids.has(b.piece)))
        edits.push({ list: 'braces', id, changes: { towardsDeg: turnedDeg(towardsDeg, shift) } });
  return { edits, moves: [] };
}

/** Ends this close are at one place [m]. */
const SAME = 0.01;
const near = (a: Point | null, b: Point | null): boolean => a !== null && b !== null && Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z) <= SAME;

/**
 * Pieces set once more elsewhere, as often as is said, with their supports, joints and braces and the moves of all these; where a joint
 * or a brace went to a piece that is not copied, to the one that stands as that one would. A survey, a test, a repair, a reading and a
 * pick are of one thing alone: of the copies they are asked.
 */
export function copyPieces(
  plan: Plan,
  ids: ReadonlySet<string>,
  shift: Shift,
  count: number,
  freshId: (prefix: string) => string,
): CommandArguments['addStructure'] {
  const { structure, moves } = plan;
  const marks = new Set(structure.pieces.map(({ mark }) => mark));
  const names = new Set([...structure.supports, ...structure.joints, ...structure.braces].map(({ name }) => name));
  const found: Required<CommandArguments['addStructure']> = { makes: [], pieces: [], supports: [], joints: [], braces: [], moves: [], at: moves.length };
  for (let n = 1; n <= count; n += 1) {
    const by = times(shift, n);
    const went = new Map<string, string>();
    for (const beam of structure.pieces) {
      if (!ids.has(beam.id)) continue;
      const { lies: _, ...kept } = beam;
      const id = freshId('pc');
      went.set(beam.id, id);
      found.pieces.push({
        ...kept,
        id,
        mark: free(marks, beam.mark),
        weighed: null,
        from: beam.from && shifted(beam.from, by),
        to: beam.to && shifted(beam.to, by),
        ...webTurned(beam.webDeg, by),
      });
    }
    /** Where the copy of a spot is: on the copy of its piece, or on a piece that stands there already. */
    const spotOf = <S extends { piece: string; at: number }>(spot: S): S | null => {
      const copy = went.get(spot.piece);
      if (copy) return { ...spot, piece: copy };
      const own = structure.pieces.find(({ id }) => id === spot.piece);
      const there =
        own?.from &&
        own.to &&
        [...structure.pieces, ...found.pieces].find((one) => near(one.from, shifted(own.from!, by)) && near(one.to, shifted(own.to!, by)));
      return there ? { ...spot, piece: there.id } : null;
    };
    const copies = new Map(went);
    for (const support of structure.supports) {
      const seats = support.seats.flatMap((seat) => (went.has(seat.piece) ? [{ ...seat, piece: went.get(seat.piece)! }] : []));
      if (seats.length === 0) continue;
      const id = freshId('su');
      copies.set(support.id, id);
      found.supports.push(freshSupport(support, id, free(names, support.name), seats, risesBy(by)));
    }
    for (const joint of structure.joints) {
      if (!went.has(joint.a.piece) && !went.has(joint.b.piece)) continue;
      const [a, b] = [spotOf(joint.a), spotOf(joint.b)];
      if (!a || !b) continue;
      const id = freshId('jt');
      copies.set(joint.id, id);
      const { opened: _, ...kept } = joint;
      found.joints.push({ ...kept, id, name: free(names, joint.name), a, b, sharesWith: null });
    }
    for (const { id, sharesWith } of structure.joints) {
      const copy = sharesWith === null ? undefined : found.joints.find((one) => one.id === copies.get(id));
      if (copy) copy.sharesWith = copies.get(sharesWith!) ?? null;
    }
    for (const brace of structure.braces) {
      if (!went.has(brace.a.piece) && !(brace.b && went.has(brace.b.piece))) continue;
      const [a, b] = [spotOf(brace.a), brace.b && spotOf(brace.b)];
      if (!a || (brace.b && !b)) continue;
      const id = freshId('br');
      copies.set(brace.id, id);
      // What a guy is tied to there is another thing.
      const anchor = brace.anchor?.kind === 'fixed' ? null : brace.anchor;
      found.braces.push({
        ...brace,
        ...(anchor === undefined ? {} : { anchor }),
        id,
        name: free(names, brace.name),
        a,
        b,
        towardsDeg: turnedDeg(brace.towardsDeg, by),
      });
    }
    for (const move of moves) {
      const copy = movedTo(move, copies, freshId('mv'), risesBy(by));
      if (copy) found.moves.push(copy);
    }
  }
  // While what lifted the last of them is still there.
  const last = moves.reduce((at, move, i) => ((move.kind === 'piece.letGo' || move.kind === 'piece.hang') && ids.has(move.beam) ? i + 1 : at), 0);
  return { ...found, at: last === 0 ? moves.length : last };
}

/** A support of the same kind: what somebody measured, tested or repaired there is not said of it. */
function freshSupport(support: Support, id: string, name: string, seats: Support['seats'], rise: number): Support {
  const anchors = support.anchors && (({ repairedBy: _, ...rest }) => ({ ...rest, repaired: false }))(support.anchors);
  // What it stands on elsewhere is for somebody to say there; of concrete only what it is meant to reach.
  const footing = support.footing?.kind === 'concrete' ? { kind: 'concrete' as const, intended: support.footing.intended, result: null, by: '', on: '' } : null;
  const { holdsMoment: _, ...kept } = support;
  return {
    ...kept,
    holdsDown: null,
    id,
    name,
    seats,
    level: support.level === null ? null : tidy(support.level + rise),
    measured: null,
    onBent: null,
    anchors,
    footing,
    standsOn: [],
  };
}

/** A mark or a name nobody has yet: the same with a stroke and the next number. */
function free(taken: Set<string>, name: string): string {
  const base = name.replace(/\/\d+$/, '');
  let next = name;
  for (let n = 2; taken.has(next); n += 1) next = `${base}/${n}`;
  taken.add(next);
  return next;
}

/** The thing of the structure a move is done to; null where it is done to none that is copied. */
function thingOf(move: Move): string | null {
  switch (move.kind) {
    case 'support.ready':
    case 'support.level':
    case 'support.strike':
      return move.support;
    case 'piece.hang':
    case 'piece.letGo':
    case 'beam.plumb':
      return move.beam;
    case 'joint.make':
    case 'joint.free':
      return move.joint;
    case 'brace.fix':
    case 'brace.free':
      return move.brace;
    default:
      return null;
  }
}

/** The move done to the copy; null where its thing was not copied. */
function movedTo(move: Move, copies: ReadonlyMap<string, string>, id: string, rise: number): Move | null {
  const thing = thingOf(move);
  const copy = thing === null ? undefined : copies.get(thing);
  if (copy === undefined) return null;
  switch (move.kind) {
    case 'support.ready':
    case 'support.strike':
      return { ...move, id, support: copy };
    case 'support.level':
      return { ...move, id, support: copy, level: tidy(move.level + rise) };
    case 'piece.hang': {
      const { checkedBy: _, ...rest } = move;
      return { ...rest, id, beam: copy, pick: null };
    }
    case 'piece.letGo':
      return { ...move, id, beam: copy };
    case 'beam.plumb':
      return { ...move, id, beam: copy, off: null };
    case 'joint.make':
    case 'joint.free':
      return { ...move, id, joint: copy };
    case 'brace.fix':
    case 'brace.free':
      return { ...move, id, brace: copy };
    default:
      return null;
  }
}
