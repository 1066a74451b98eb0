import { meet, type Meeting, type Met, type ModelPiece } from '../model/meet';
import { minus, norm3, plus, segmentDistance, type Vec3 } from '../geometry/space';
import { rulesOf } from '../rules/rule-sets';
import { Missing } from '../verdict/missing';
import type { Brace, Joint, Plan, PutLoad, Support } from '../document/schema';
import { heightAt, isInclined, pointAt, type Placed } from '../document/place';
import { sectionOf, settleBeams, type SettledBeam } from '../settle/model';
import { newJoint, newSupport } from './templates/base';

/** What stands within this of where something was found is that already [m]. */
const THERE = 0.3;
/** So far past the middle of a bearing a beam may run on [m]. */
const PAST = 1.5;
/** Of what has no section the outline is taken as no more than a line [m]. */
const LINE = 0.02;

type Stands = SettledBeam & { place: Placed };
const standing = (plan: Plan): Stands[] =>
  [...settleBeams(plan, rulesOf(plan.job.ruleSet, plan.job.thresholds)).values()].filter((one): one is Stands => one.place !== null);

/** A piece of the plan as one of a model: a beam by the middle of its depth, a column by its axis. */
function modelPiece({ beam, make, section: settled, place }: Stands): ModelPiece {
  const section = settled instanceof Missing ? sectionOf(make) : settled;
  const [depth, width] = section instanceof Missing ? [LINE, LINE] : [section.depth, section.width];
  const { from, to, along, upright } = place;
  if (upright)
    return {
      id: beam.id,
      mark: beam.mark,
      from,
      to,
      sides: [
        { x: 1, y: 0, z: 0 },
        { x: 0, y: 1, z: 0 },
      ],
      half: [depth / 2, depth / 2],
      off: [0, 0],
    };
  const across: Vec3 = { x: -along.y, y: along.x, z: 0 };
  const up: Vec3 = { x: 0, y: 0, z: 1 };
  const lift = (point: Vec3) => plus(point, up, depth / 2);
  return { id: beam.id, mark: beam.mark, from: lift(from), to: lift(to), sides: [across, up], half: [width / 2, depth / 2], off: [0, 0] };
}

/** Something that was found, and why: to be taken or refused. */
export interface FoundThing<T> {
  thing: T;
  why: string;
}
export interface Meets {
  joints: FoundThing<Joint>[];
  supports: FoundThing<Support>[];
  /** what nobody can find out from the places alone */
  asked: string[];
}

/** What the places of the pieces say of joints and supports, and the plan does not have yet. */
export function whatMeets(plan: Plan, freshId: (prefix: string) => string): Meets {
  const pieces = standing(plan);
  const found = meet(pieces.map(modelPiece), []);
  const { structure } = plan;
  const marks = new Map(pieces.map(({ beam }) => [beam.id, beam.mark]));
  const near = (spot: { piece: string; at: number }, piece: string, at: number) => spot.piece === piece && Math.abs(spot.at - at) <= THERE;
  const byId = new Map(pieces.map((one) => [one.beam.id, one]));
  const joints = found.joints.flatMap((one): FoundThing<Joint>[] => {
    const joint = jointOf(one, byId);
    if (joint === null) return [];
    const { kind, a, b } = joint;
    const there = structure.joints.some(
      (had) => (near(had.a, a.piece, a.at) && had.b.piece === b.piece) || (near(had.b, a.piece, a.at) && had.a.piece === b.piece),
    );
    if (there) return [];
    return [{ thing: newJoint(freshId('jt'), `${marks.get(a.piece)} ${kind === 'splice' ? 'to' : 'on'} ${marks.get(b.piece)}`, kind, a, b), why: one.why }];
  });
  // A beam runs on a little past the middle of its bearing.
  const held = (piece: string, at: number): boolean => {
    const within = Math.max(THERE, Math.min(PAST, byId.get(piece)!.place.length / 8));
    const is = (spot: { piece: string; at: number }) => spot.piece === piece && Math.abs(spot.at - at) <= within;
    return structure.supports.some(({ seats }) => seats.some(is)) || structure.joints.some(({ a, b }) => is(a) || is(b));
  };
  const supports = found.supports.flatMap(({ piece, at, kind, end, why }): FoundThing<Support>[] => {
    if (held(piece, at)) return [];
    const foot = kind === 'foot';
    const name = `${foot ? 'Base' : 'Bearing'} of ${marks.get(piece)}${foot ? '' : end === 0 ? ', first end' : ', second end'}`;
    return [{ thing: { ...newSupport(freshId('su'), name, foot ? 'anchors' : 'bearing', piece, at), ...(foot ? { along: 'fixed' as const } : {}) }, why }];
  });
  const others = found.joints
    .filter((one) => jointOf(one, byId) === null)
    .map(({ a, b }) => `What joins ${marks.get(a)} to ${marks.get(b)}? They meet neither in line, nor on a web, nor on a column.`);
  return { joints, supports, asked: [...others, ...openEnds(found, plan)] };
}

/** A place on a piece where it was seen to meet another. */
export interface MeetingPlace {
  piece: string;
  at: number;
  place: Placed;
}

/**
 * What was found as the plan says it: `a` is carried by `b`, also where it is the head of a column that was seen to reach the beam. Null:
 * what joins them is for somebody to say.
 */
export function jointBy(kind: Meeting['kind'], one: MeetingPlace, other: MeetingPlace): Pick<Joint, 'kind' | 'a' | 'b'> | null {
  const [a, b] = [one, other].map(({ piece, at }) => ({ piece, at })) as [Joint['a'], Joint['b']];
  // A diagonal is fixed to what it comes to, by bolts: how they lie only the drawing says.
  if (kind === 'other' && isInclined(one.place) && !isInclined(other.place)) return { kind: other.place.upright ? 'onColumn' : 'onWeb', a, b };
  if (!one.place.upright || other.place.upright) return kind === 'other' ? null : { kind, a, b };
  // A beam runs on over the head of a column, or a column stands on a beam.
  return isHead(one.place, one.at) ? { kind: 'onColumn', a: b, b: a } : { kind: 'seat', a, b };
}

const jointOf = ({ kind, a, atA, b, atB }: Meeting, pieces: ReadonlyMap<string, Stands>): Pick<Joint, 'kind' | 'a' | 'b'> | null =>
  jointBy(kind, { piece: a, at: atA, place: pieces.get(a)!.place }, { piece: b, at: atB, place: pieces.get(b)!.place });

/** Whether a place on a column is nearer to its head than to its foot. */
const isHead = (column: Placed, at: number): boolean => pointAt(column, at).z > (column.from.z + column.to.z) / 2;

/** Ends that meet nothing, but for those a person has already given a seat or a joint. */
const openEnds = ({ asked }: Met, { structure }: Plan): string[] => {
  const said = new Set([
    ...structure.supports.flatMap(({ seats }) => seats.map(({ piece }) => piece)),
    ...structure.joints.flatMap(({ a, b }) => [a.piece, b.piece]),
  ]);
  return asked.filter(({ pieces }) => !pieces.every((piece) => said.has(piece))).map(({ question }) => question);
};

/** Ends that come together lie no further from each other than this [m]. */
const TOGETHER = 0.4;

/** The other piece that comes nearest to a point of one. */
function nearestTo(pieces: readonly Stands[], own: string, point: Vec3, among: (one: Stands) => boolean = () => true): Stands | null {
  let best: { one: Stands; apart: number } | null = null;
  for (const one of pieces) {
    if (one.beam.id === own || !among(one)) continue;
    // Where beams and a column come together it is the column that carries.
    const apart = segmentDistance(point, point, one.place.from, one.place.to) - (one.place.upright ? TOGETHER : 0);
    if (!best || apart < best.apart) best = { one, apart };
  }
  return best?.one ?? null;
}

/** Where along a piece a point is nearest to it, kept on the piece [m]. */
function along({ place: { from, to, length } }: Stands, point: Vec3): number {
  const way = minus(to, from);
  const off = minus(point, from);
  return Math.min(length, Math.max(0, (way.x * off.x + way.y * off.y + way.z * off.z) / length));
}

/** A joint at one end of a piece with what is nearest there; null where it is not placed, or there is no other. */
export function jointAtEnd(plan: Plan, piece: string, end: 'first' | 'second', id: string): Joint | null {
  const pieces = standing(plan);
  const own = pieces.find(({ beam }) => beam.id === piece);
  if (!own) return null;
  const at = end === 'first' ? 0 : own.place.length;
  const point = pointAt(own.place, at);
  const other = nearestTo(pieces, piece, point);
  if (!other) return null;
  const there = { piece: other.beam.id, at: along(other, point) };
  // A column stands on a beam by its foot; over its head the beam runs on.
  if (own.place.upright && !other.place.upright)
    return isHead(own.place, at)
      ? newJoint(id, `${other.beam.mark} on ${own.beam.mark}`, 'onColumn', there, { piece, at })
      : newJoint(id, `${own.beam.mark} on ${other.beam.mark}`, 'seat', { piece, at }, there);
  const kind = other.place.upright ? (own.place.upright ? 'splice' : 'onColumn') : inLine(own.place, other.place) ? 'splice' : 'onWeb';
  const name = `${own.beam.mark} ${kind === 'splice' ? 'to' : 'on'} ${other.beam.mark}`;
  return newJoint(id, name, kind, { piece, at }, there);
}

const inLine = (a: Placed, b: Placed): boolean => {
  const [one, other] = [a, b].map(({ from, to, length }) => ({ x: (to.x - from.x) / length, y: (to.y - from.y) / length, z: (to.z - from.z) / length })) as [
    Vec3,
    Vec3,
  ];
  return Math.abs(one.x * other.x + one.y * other.y + one.z * other.z) > Math.cos((15 * Math.PI) / 180);
};

/** A support under an end of a piece that has none: the foot of a column, the first bare end of a beam. */
export function supportUnder(plan: Plan, piece: string, id: string): Support | null {
  const own = standing(plan).find(({ beam }) => beam.id === piece);
  if (!own) return null;
  const { place, beam } = own;
  if (place.upright) {
    const at = place.from.z <= place.to.z ? 0 : place.length;
    return { ...newSupport(id, `Base of ${beam.mark}`, 'anchors', piece, at), along: 'fixed', level: pointAt(place, at).z };
  }
  const seats = plan.structure.supports.flatMap((one) => one.seats.filter((seat) => seat.piece === piece));
  const free = [0, place.length].find((at) => !seats.some((seat) => Math.abs(seat.at - at) < place.length / 4)) ?? place.length / 2;
  const words = free === 0 ? 'first end' : free === place.length ? 'second end' : 'middle';
  // How far from its end it rests is for whoever drew it.
  return { ...newSupport(id, `Bearing of ${beam.mark}, ${words}`, 'bearing', piece, free), unsaid: ['at'], level: heightAt(place, free) };
}

/** What may hold a piece: a guy near the head of a column, else a cross-frame to the beam that runs beside it. */
export function braceOf(plan: Plan, piece: string, id: string): Brace | null {
  const pieces = standing(plan);
  const own = pieces.find(({ beam }) => beam.id === piece);
  if (!own) return null;
  const { place, beam } = own;
  const bare: Pick<Brace, 'id' | 'unsaid' | 'capacity' | 'stiffness' | 'towardsDeg'> = {
    id,
    unsaid: ['at'],
    capacity: null,
    stiffness: null,
    towardsDeg: null,
  };
  const guy = (at: number): Brace => ({ ...bare, name: `Guy of ${beam.mark}`, kind: 'guy', a: { piece, at }, b: null, anchoredTo: '', stops: 'sideways' });
  if (place.upright) return guy(place.from.z <= place.to.z ? 0.85 * place.length : 0.15 * place.length);
  const at = place.length / 2;
  const point = pointAt(place, at);
  const runsBeside = (one: Stands): boolean => {
    if (one.place.upright || !inLine(place, one.place)) return false;
    const off = minus(pointAt(one.place, along(one, point)), point);
    const ahead = off.x * place.along.x + off.y * place.along.y;
    return Math.abs(ahead) < THERE && norm3(off) > THERE;
  };
  const beside = nearestTo(pieces, piece, point, runsBeside);
  if (!beside) return guy(at);
  const b = { piece: beside.beam.id, at: along(beside, point) };
  return {
    ...bare,
    name: `Cross-frame, ${beam.mark} and ${beside.beam.mark}`,
    kind: 'crossFrame',
    a: { piece, at },
    b,
    anchoredTo: '',
    stops: 'both',
    mass: null,
  };
}

/** Something that is put on a piece while it is built, its weight still to be said. */
export const loadOn = (plan: Plan, piece: string, id: string): PutLoad => {
  const own = plan.structure.pieces.find((one) => one.id === piece);
  const make = plan.structure.makes.find((one) => one.id === own?.make);
  return { id, unsaid: ['force', 'at'], what: 'Bundle', piece, at: (make?.length ?? 0) / 2, force: 1000 };
};

/** A piece by what is written on it; where several are, the one nearest to a point. */
export function pieceMarked({ structure }: Plan, mark: string, near: Vec3 | null): { id: string } | { fault: string } {
  const wanted = mark.trim().toLowerCase();
  const named = structure.pieces.filter((one) => one.mark.trim().toLowerCase() === wanted);
  const [only] = named;
  if (!only) return { fault: `No piece is marked “${mark.trim()}”: write the mark of one that is there.` };
  if (named.length === 1) return { id: only.id };
  const apart = ({ from, to }: (typeof named)[number]): number => (from && to && near ? segmentDistance(near, near, from, to) : Infinity);
  const [first] = [...named].sort((a, b) => apart(a) - apart(b));
  return near && Number.isFinite(apart(first!))
    ? { id: first!.id }
    : { fault: `${named.length} pieces are marked “${mark.trim()}”: give each a mark of its own first.` };
}
