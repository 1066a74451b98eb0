import { sequenceNeeds } from '../../checks/sequence.calc';
import { phrase, q } from '../../calc/work';
import { add, angleOf, direction, overlap, rectangle, scale, type Vec } from '../../geometry/plane';
import type { Check } from '../check';
import { craneOf, pickOfPiece } from '../lookups';
import { Missing } from '../missing';
import { pieceWeight } from '../piece-weight';
import type { Piece } from '../schema';
import { seatOf } from '../seat-geometry';
import { isInclined, settleBeams } from '../structure/model';
import { flatStop, moveFor, on, told, type Context, type Place } from './context';

/** What a thing takes up: its outline from above, and from where to where it reaches in height. */
interface Body {
  id: string;
  name: string;
  outline: Vec[];
  from: number;
  to: number;
}

const SOURCE = 'Geometry: two things cannot be in one place';
/** Things that touch are not in one another [m]. */
const TOUCH = 0.005;
/** What lies this low a truck drives over and an outrigger is packed on [m]. */
const KERB = 0.15;
const TRUCK = { wide: 2.4, past: 0.3 };

/** What is set, what stands and what drives in, against everything that stands there at that moment. */
export function inTheWayChecks(context: Context): Check[] {
  const { plan } = context;
  const things: Body[] = plan.site.obstructions
    .filter((one) => one.height > 0)
    .map((one) => ({ id: one.id, name: one.name, outline: shrunk(one.at, one.length, one.width, one.azimuthDeg), from: 0, to: one.height }));
  const posts: Body[] = plan.bearings
    .filter((one) => one.level > KERB)
    .map((one) => ({ id: one.id, name: one.name, outline: shrunk(one.at, one.seatLength, one.seatWidth, 0), from: 0, to: one.level }));
  const set = plan.pieces.flatMap((piece) => setBody(context, piece) ?? []);
  const clash = (body: Body, place: Place, among: readonly Body[], does: string): Check[] =>
    among
      .filter((one) => one.id !== body.id && one.from < body.to - TOUCH && one.to > body.from + TOUCH && overlap(body.outline, one.outline))
      .map((one) =>
        flatStop(
          { ...place, about: { ...place.about, part: one.id } },
          'length',
          told(
            phrase`${body.name} ${does} ${one.name}, which reaches from ${q(one.from, 'length')} to ${q(one.to, 'length')}. One of the two is elsewhere: move it, or measure it again.`,
          ),
          [],
        ),
      );
  return [
    ...set.flatMap((body, i) => {
      const piece = plan.pieces.find((one) => one.id === body.id)!;
      const pick = pickOfPiece(plan, piece.id);
      const place = placeOf('set.inTheWay', on('piece', piece, piece.mark), 'steel', pick ? moveFor(plan, 'piece.land', pick.id) : null);
      return clash(body, place, [...things, ...set.slice(0, i)], 'is set into');
    }),
    ...beamsInTheWay(context, things, set, clash),
    ...plan.stands.flatMap((stand) => {
      const crane = craneOf(plan, stand.crane);
      const body: Body = { id: stand.id, name: stand.name, outline: shrunk(stand.at, crane.baseLength, crane.baseWidth, stand.azimuthDeg), from: KERB, to: 3 };
      return clash(
        body,
        placeOf('stand.inTheWay', on('stand', stand, stand.name), 'gear', moveFor(plan, 'crane.set', stand.id)),
        [...things, ...posts],
        'stands on',
      );
    }),
    ...plan.pieces.flatMap((piece) => {
      const { x, y, azimuthDeg } = piece.start;
      const outline = shrunk({ x, y }, piece.length + 2 * TRUCK.past, TRUCK.wide, azimuthDeg);
      const body: Body = { id: piece.id, name: `The truck with ${piece.mark}`, outline, from: KERB, to: 3 };
      return clash(
        body,
        placeOf('deliver.inTheWay', on('piece', piece, piece.mark), 'steel', moveFor(plan, 'piece.deliver', piece.id)),
        [...things, ...posts],
        'stands in',
      );
    }),
  ];
}

/** The pieces of the structure where they are to be: against what stands on the site, what is set, and each other where they are not joined. */
function beamsInTheWay(
  { plan, rules }: Context,
  things: readonly Body[],
  set: readonly Body[],
  clash: (body: Body, place: Place, among: readonly Body[], does: string) => Check[],
): Check[] {
  const { structure } = plan;
  if (structure.pieces.length === 0) return [];
  const joined = new Map<string, Set<string>>();
  for (const { a, b } of structure.joints)
    for (const [one, other] of [
      [a.piece, b.piece],
      [b.piece, a.piece],
    ] as const)
      joined.set(one, (joined.get(one) ?? new Set()).add(other));
  // Drawn to centre lines, what meets at one column or beam overlaps there, and so does what is joined.
  const meet = (one: string, other: string): boolean => {
    const [mine, theirs] = [joined.get(one), joined.get(other)];
    return mine !== undefined && (mine.has(other) || (theirs !== undefined && [...mine].some((id) => theirs.has(id))));
  };
  const bodies = [...settleBeams(plan, rules).values()].flatMap(({ beam, place, section }): Body[] => {
    if (!place || section instanceof Missing || isInclined(place)) return [];
    if (place.upright)
      return [
        {
          id: beam.id,
          name: beam.mark,
          outline: shrunk(place.from, section.depth, section.width, 0),
          from: Math.min(place.from.z, place.to.z),
          to: Math.max(place.from.z, place.to.z),
        },
      ];
    const middle = { x: (place.from.x + place.to.x) / 2, y: (place.from.y + place.to.y) / 2 };
    const level = Math.max(place.from.z, place.to.z);
    return [
      { id: beam.id, name: beam.mark, outline: shrunk(middle, place.length, section.width, angleOf(place.along)), from: level, to: level + section.depth },
    ];
  });
  const placed = [...bodies].sort((a, b) => reach(a)[0] - reach(b)[0]);
  return placed.flatMap((body, i) => {
    const [, right] = reach(body);
    // In the order of x: whatever begins past this one's end cannot be in it, nor can what comes after that.
    const near: Body[] = [];
    for (let n = i + 1; n < placed.length && reach(placed[n]!)[0] <= right; n += 1) if (!meet(body.id, placed[n]!.id)) near.push(placed[n]!);
    const place = placeOf('beam.inTheWay', on('beam', { id: body.id }, body.name), 'steel', moveFor(plan, 'piece.hang', body.id));
    return clash(body, place, [...things, ...set, ...near], 'is set into');
  });
}

const reach = ({ outline }: Body): [number, number] => {
  const xs = outline.map(({ x }) => x);
  return [Math.min(...xs), Math.max(...xs)];
};

const placeOf = (id: string, about: ReturnType<typeof on>, station: Place['station'], move: string | null): Place => ({
  id,
  ...about,
  station,
  move,
  calc: sequenceNeeds.id,
  source: SOURCE,
});

const shrunk = (at: Vec, length: number, width: number, azimuthDeg: number): Vec[] =>
  rectangle(at, Math.max(length - 2 * TOUCH, TOUCH), Math.max(width - 2 * TOUCH, TOUCH), azimuthDeg);

/** A piece as it lies on its seats. */
function setBody({ plan, rules }: Context, piece: Piece): Body | null {
  const seat = seatOf(plan, piece);
  const weight = pieceWeight(piece, rules);
  if (seat instanceof Missing || weight instanceof Missing) return null;
  const { depth, width } = weight.section;
  const middle = add(seat.leftEnd, scale(direction(seat.azimuthDeg), piece.length / 2));
  const level = Math.max(seat.left.level, seat.right.level);
  return { id: piece.id, name: piece.mark, outline: shrunk(middle, piece.length, width, seat.azimuthDeg), from: level, to: level + depth };
}
