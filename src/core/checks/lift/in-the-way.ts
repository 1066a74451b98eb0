import { sequenceNeeds } from '../../gates/sequence.calc';
import { phrase, q } from '../../calc/work';
import { overlap } from '../../geometry/plane';
import type { Check } from '../../verdict/check';
import { beamBodies, oncePerThing, pieceBody, shrunk, TOUCH, type Body } from '../../settle/bodies';
import { CARRIER, cranesStanding } from '../../settle/cranes-standing';
import { craneAt } from '../../settle/duties';
import { hangsBy, hungWith } from '../../document/joined';
import { pickOfPiece, pickTies } from '../../document/lookups';
import { wayOutChecks } from './way-out';
import type { Rules } from '../../rules/rule-sets';
import type { SettledPlan } from '../../settle/settle';
import { moveFor, type Context } from '../context';
import { flatStop, on, told, type Place } from '../../verdict/build';

const SOURCE = 'Geometry: two things cannot be in one place';
/** What lies this low a truck drives over and an outrigger is packed on [m]. */
const KERB = 0.15;
const TRUCK = { wide: 2.4, past: 0.3 };

/** All that the checks of this file are read from. */
export const inTheWayFrom = ({ plan, rules }: Context): readonly unknown[] => [
  rules,
  plan.site.obstructions,
  plan.bearings,
  plan.pieces,
  pickTies(plan),
  plan.stands,
  plan.cranes,
  plan.duties,
  plan.moves,
  plan.structure.pieces,
  plan.structure.makes,
  plan.structure.joints,
];

/** What takes up room on the site, and with which move each piece of the structure comes. */
function standsOnSite(plan: SettledPlan, rules: Rules) {
  const things: Body[] = plan.site.obstructions
    .filter((one) => one.height > 0)
    .map((one) => ({ id: one.id, name: one.name, outline: shrunk(one.at, one.length, one.width, one.azimuthDeg), from: 0, to: one.height }));
  const posts: Body[] = plan.bearings
    .filter((one) => one.level > KERB)
    .map((one) => ({ id: one.id, name: one.name, outline: shrunk(one.at, one.seatLength, one.seatWidth, 0), from: 0, to: one.level }));
  const set = plan.pieces.flatMap((piece) => pieceBody(plan, rules, piece) ?? []);
  const beams = beamBodies(plan, rules);
  const low = beams.filter(({ from, to }) => from < CARRIER && to > KERB);
  const hung = new Map(
    plan.moves.flatMap((move, at) => (move.kind === 'piece.hang' ? [move.beam, ...hungWith(plan, move)].map((id): [string, number] => [id, at]) : [])),
  );
  return { things, posts, set, beams, low, hung };
}

/** What a carrier cannot drive over or under at a move. */
export function standingLow(plan: SettledPlan, rules: Rules): (at: number) => Body[] {
  const { things, posts, low, hung } = standsOnSite(plan, rules);
  return (at) => [...things, ...posts, ...low.filter(({ id }) => (hung.get(id) ?? Infinity) < at)];
}

/** What is set, what stands and what drives in, against everything that stands there at that moment. */
export function inTheWayChecks(context: Context): Check[] {
  const { plan } = context;
  const { things, posts, set, beams, low, hung } = standsOnSite(plan, context.rules);
  // To the end where it never leaves; a crane that no move sets stands nowhere yet.
  const left = new Map(plan.moves.flatMap((move) => (move.kind === 'crane.set' ? [[move.stand, Infinity]] : [])));
  plan.moves.forEach((move, at) => move.kind === 'crane.leave' && left.set(move.stand, at));
  const clash = (body: Body, place: Place, among: readonly Body[], does: string): Check[] =>
    oncePerThing(
      among.filter((one) => one.id !== body.id && one.from < body.to - TOUCH && one.to > body.from + TOUCH && overlap(body.outline, one.outline)),
    ).map((one) =>
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
    ...beamsInTheWay(context, beams, things, set, clash),
    ...wayOutChecks(context, standingLow(plan, context.rules)),
    ...plan.stands.flatMap((stand) => {
      const crane = craneAt(plan, stand);
      const body: Body = { id: stand.id, name: stand.name, outline: shrunk(stand.at, crane.baseLength, crane.baseWidth, stand.azimuthDeg), from: KERB, to: 3 };
      return clash(
        body,
        placeOf('stand.inTheWay', on('stand', stand, stand.name), 'gear', moveFor(plan, 'crane.set', stand.id)),
        // A column that comes after the crane has left is not in its way.
        [...things, ...posts, ...low.filter(({ id }) => (hung.get(id) ?? Infinity) < (left.get(stand.id) ?? Infinity) && left.has(stand.id))],
        'stands on',
      );
    }),
    ...cranesInOnePlace(context),
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

/** Two cranes do not stand in one place at one time. */
function cranesInOnePlace({ plan }: Context): Check[] {
  const stood = cranesStanding(plan);
  return stood.flatMap((one, i) =>
    stood
      .slice(i + 1)
      .filter((other) => one.stand.crane !== other.stand.crane && one.from < other.to && other.from < one.to && overlap(one.base, other.base))
      .map((other) =>
        flatStop(
          { ...placeOf('stand.inTheWay', on('stand', other.stand, other.stand.name, one.stand.id), 'gear', moveFor(plan, 'crane.set', other.stand.id)) },
          'length',
          told(
            phrase`${other.crane.name} on ${other.stand.name} stands where ${one.crane.name} stands on ${one.stand.name} at the same time. Move one of the two, or let one leave first.`,
          ),
          [],
        ),
      ),
  );
}

/** The pieces of the structure where they are to be: against what stands on the site, what is set, and each other where they are not joined. */
function beamsInTheWay(
  { plan }: Context,
  bodies: readonly Body[],
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
  const placed = [...bodies].sort((a, b) => reach(a)[0] - reach(b)[0]);
  // Two sloping pieces meet box by box: each pair is told once.
  const met = new Set<string>();
  return placed.flatMap((body, i) => {
    const [, right] = reach(body);
    // In the order of x: whatever begins past this one's end cannot be in it, nor can what comes after that.
    const near: Body[] = [];
    for (let n = i + 1; n < placed.length && reach(placed[n]!)[0] <= right; n += 1) if (!meet(body.id, placed[n]!.id)) near.push(placed[n]!);
    const place = placeOf('beam.inTheWay', on('beam', { id: body.id }, body.name), 'steel', moveFor(plan, 'piece.hang', hangsBy(plan, body.id)));
    return clash(body, place, [...things, ...set, ...near], 'is set into').filter(({ about }) => {
      const pair = [about.id, about.part].sort().join(' ');
      return !met.has(pair) && met.add(pair);
    });
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
