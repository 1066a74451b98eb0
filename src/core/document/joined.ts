import { angleOf, wrapDeg } from '../geometry/plane';
import { keep, keepOne } from './keep';
import { Missing } from '../verdict/missing';
import type { Beam, Brace, Joint, Make, Move, Pick, Plan } from './schema';
import { isInclined, placeOf, pointAt, type Placed } from './place';

/**
 * One of the pieces that hang as one: from where to where of the whole it reaches, in which of its lines and how far to the left of the
 * line of the piece the pick is named for; flipped: its second end is the nearer.
 */
export interface Part {
  beam: Beam;
  make: Make;
  line: number;
  from: number;
  to: number;
  aside: number;
  flipped: boolean;
  /** of its length, so much is seen from above as it hangs */
  flat: number;
  /** how high its left and its right end are over the lowest end of all, where what hangs is bent [m] */
  left: number;
  right: number;
}

/** A cross-frame between two lines that hang side by side, put in before they are lifted, and where along the whole it is. */
export interface Tie {
  brace: Brace;
  at: number;
}

/**
 * What hangs as one, seen from the left end of the piece the pick is named for: pieces spliced end to end on the ground, and a second
 * line of such pieces beside them, tied to them by cross-frames.
 */
export interface Joined {
  parts: readonly Part[];
  splices: readonly { joint: Joint; at: number; line: number }[];
  length: number;
  /** the line of the piece the pick is named for, and the one beside it */
  lines: readonly { from: number; to: number; aside: number }[];
  ties: readonly Tie[];
  /** bent up or down at a splice, as a pair of rafters is: how high it reaches over its lowest end [m]; 0: it is straight */
  rise: number;
}

/** Ends further apart than this do not meet [m]; lines that turn by more than this are not one line, or not side by side [°]. */
const MEET = 0.06;
const ONE_LINE = 1;
/** Bent up or down at a splice by more than girders are cambered, two pieces hang bent, as a pair of rafters does [°]. */
const CRANKED = 2;
/** Two lines side by side that are to lie at levels further apart than this do not hang as they are tied [m]. */
const LEVEL = 0.1;
/** Nearer than this they are not side by side [m]. */
const ASIDE = 0.1;

/** Everything that hangs on the hooks of a pick: the piece it is named for, and what is spliced to it on the ground. */
export const loadOf = ({ piece, joined }: Pick): readonly string[] => (joined && joined.length > 0 ? [piece, ...joined] : [piece]);

const NONE: readonly string[] = [];

interface Together {
  /** what hangs with a piece, by the piece its pick is named for */
  with: ReadonlyMap<string, readonly string[]>;
  /** picks that lift a piece together with the one they are named for */
  by: ReadonlyMap<string, readonly Pick[]>;
  /** what hangs with the piece of a pick, by the pick */
  of: ReadonlyMap<string, readonly string[]>;
}

const together = ({ picks }: Plan): Together =>
  keepOne('lifted.together', [picks], () => {
    const along = new Map<string, readonly string[]>();
    const by = new Map<string, Pick[]>();
    const of = new Map<string, readonly string[]>();
    for (const pick of picks) {
      if (!pick.joined?.length) continue;
      of.set(pick.id, pick.joined);
      const before = along.get(pick.piece);
      along.set(pick.piece, before ? [...new Set([...before, ...pick.joined])] : pick.joined);
      for (const id of pick.joined) by.set(id, [...(by.get(id) ?? []), pick]);
    }
    return { with: along, by, of };
  });

/** What hangs with a piece where a pick of it says so. */
export const hangsWith = (plan: Plan, piece: string): readonly string[] => together(plan).with.get(piece) ?? NONE;

/** The picks that lift a piece as part of what another hangs by. */
export const carriedAlong = (plan: Plan, piece: string): readonly Pick[] => together(plan).by.get(piece) ?? [];

/** What the move that hangs a piece hangs with it. */
export const hungWith = (plan: Plan, { pick }: Extract<Move, { kind: 'piece.hang' }>): readonly string[] => (pick ? together(plan).of.get(pick) : null) ?? NONE;

/** Whether two pieces are lifted as one: what joins them is made on the ground. */
export function liftedAsOne(plan: Plan, a: string, b: string): boolean {
  const loads = [a, b].flatMap((id) => [id, ...carriedAlong(plan, id).map(({ piece }) => piece)]);
  return loads.some((main) => {
    const all = hangsWith(plan, main);
    const has = (id: string) => id === main || all.includes(id);
    return all.length > 0 && has(a) && has(b);
  });
}

/** The piece whose move hangs this one: itself, or the one it hangs with. */
export const hangsBy = (plan: Plan, piece: string): string => (allHungWith(plan).has(piece) ? (carriedAlong(plan, piece)[0]?.piece ?? piece) : piece);

/** All that hang with another when the run sheet hangs it. */
export const allHungWith = (plan: Plan): ReadonlySet<string> =>
  keepOne('hung.with', [plan.picks, plan.moves], () => new Set(plan.moves.flatMap((move) => (move.kind === 'piece.hang' ? hungWith(plan, move) : []))));

const isFirst = (at: number, { length }: Placed): boolean => at < length / 2;

/** Whether a brace holds two pieces side by side against twist: what ties a pair that is lifted as one. */
const ties = ({ kind, b, stops }: Brace): boolean => (kind === 'crossFrame' || kind === 'diaphragm') && b !== null && stops !== 'sideways';

/** Pieces that a splice joins to what hangs by a pick, or that cross-frames tie beside it, and that may hang with it. */
export function joinable({ structure }: Plan, pick: Pick): { beam: Beam; by: 'splice' | 'tie' }[] {
  const all = new Set(loadOf(pick));
  const beams = new Map(structure.pieces.map((beam) => [beam.id, beam]));
  const found = new Map<string, { beam: Beam; by: 'splice' | 'tie' }>();
  const meets = (a: string, b: string, by: 'splice' | 'tie') => {
    if (all.has(a) === all.has(b)) return;
    const beam = beams.get(all.has(a) ? b : a);
    const place = beam && placeOf(beam);
    if (beam && place && !place.upright && (by === 'splice' || !isInclined(place)) && !found.has(beam.id)) found.set(beam.id, { beam, by });
  };
  for (const { kind, a, b } of structure.joints) if (kind === 'splice') meets(a.piece, b.piece, 'splice');
  // Where a second line hangs beside the first already, a third is not offered.
  const second = structure.braces.some((one) => ties(one) && all.has(one.a.piece) && all.has(one.b!.piece));
  if (!second) for (const one of structure.braces) if (ties(one)) meets(one.a.piece, one.b!.piece, 'tie');
  return [...found.values()];
}

/** Cross-frames between pieces that hang as one, whether or not they are in by then. */
export const tiesWithin = ({ structure }: Plan, ids: ReadonlySet<string>): Brace[] =>
  structure.braces.filter((one) => ties(one) && ids.has(one.a.piece) && ids.has(one.b!.piece));

/** Braces that the run sheet puts in before the move that hangs a load, and that are still in by then. */
function inBefore({ moves }: Plan, pick: Pick): ReadonlySet<string> {
  const there = new Set<string>();
  for (const move of moves) {
    if ((move.kind === 'piece.hang' && move.beam === pick.piece) || (move.kind === 'pick.lift' && move.pick === pick.id)) break;
    if (move.kind === 'brace.fix') there.add(move.brace);
    else if (move.kind === 'brace.free') there.delete(move.brace);
  }
  return there;
}

/** What hangs as one by a pick, end to end; null: one piece alone. */
export const joinedOf = (plan: Plan, pick: Pick): Joined | Missing | null =>
  pick.joined?.length
    ? keep('pick.joined', pick, [plan.structure.pieces, plan.structure.makes, plan.structure.joints, plan.structure.braces, plan.moves], () =>
        asOne(plan, pick),
      )
    : null;

/** Whether what it lifts hangs in two lines side by side. */
export function liftsPair(plan: Plan, pick: Pick): boolean {
  const joined = joinedOf(plan, pick);
  return joined !== null && !(joined instanceof Missing) && joined.lines.length > 1;
}

/** Where one of the pieces lies while they are joined: in line with the piece the pick is named for, from its left to its right end, or beside it. */
export function liesInLine({ parts }: Joined, main: string, part: Part): { x: number; y: number; azimuthDeg: number } | null {
  const of = parts.find(({ beam }) => beam.id === main)!;
  const { x = null, y = null, azimuthDeg = null } = of.beam.lies ?? {};
  if (x === null || y === null || azimuthDeg === null) return null;
  const along = (part.from + part.to - of.from - of.to) / 2;
  const turn = (azimuthDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const at = { x: x + along * cos - part.aside * sin, y: y + along * sin + part.aside * cos };
  return { ...at, azimuthDeg: part.flipped ? wrapDeg(azimuthDeg + 180) : azimuthDeg };
}

/** The same worked out anew: what a plan that is being edited says. */
export function asOne(plan: Plan, pick: Pick): Joined | Missing {
  const { structure } = plan;
  const ids = new Set(loadOf(pick));
  const beams = structure.pieces.filter(({ id }) => ids.has(id));
  const marks = beams.map(({ mark }) => mark).join(', ');
  const known = new Map<string, Known>();
  for (const beam of beams) {
    const place = placeOf(beam);
    const make = structure.makes.find((one) => one.id === beam.make);
    if (!place || !make) return new Missing(`${marks} are lifted as one. Where is ${beam.mark} to be? Give the places of its two ends.`);
    if (place.upright)
      return new Missing(`${marks} are lifted as one, and ${beam.mark} is not level: how they hang is not worked out here. Who has checked it?`);
    known.set(beam.id, { beam, make, place });
  }
  const main = known.get(pick.piece);
  if (!main) return new Missing('Which pieces are lifted as one?');
  const splices = structure.joints.filter(({ kind, a, b }) => kind === 'splice' && a.piece !== b.piece && ids.has(a.piece) && ids.has(b.piece));
  const along = { x: main.place.along.x, y: main.place.along.y };
  const first = chainOf(known, splices, pick.piece, false);
  const taken = new Set(first.pieces.map(({ id }) => id));
  const other = [...ids].find((id) => !taken.has(id));
  const beside = other === undefined ? null : known.get(other)!;
  const chains = [first];
  const braces = tiesWithin(plan, ids);
  if (other !== undefined && beside) {
    if (braces.length === 0) return new Missing(`${marks} are lifted as one, and no splices join all of them end to end. What joins them?`);
    chains.push(chainOf(known, splices, other, beside.place.along.x * along.x + beside.place.along.y * along.y < 0));
    if (chains.reduce((sum, { pieces }) => sum + pieces.length, 0) !== ids.size)
      return new Missing(
        `${marks} are lifted as one in three lines or more, or what ties them is not said: how they hang is not worked out here. Who has checked it?`,
      );
  }
  let cranked = false;
  for (const { a, b, name } of chains.flatMap(({ joints }) => joints)) {
    const [one, two] = [known.get(a.piece)!, known.get(b.piece)!];
    const [p, r] = [pointAt(one.place, a.at), pointAt(two.place, b.at)];
    if (Math.abs(climbs(one, a.at) + climbs(two, b.at)) > CRANKED) cranked = true;
    if (Math.hypot(p.x - r.x, p.y - r.y, p.z - r.z) > MEET || turned(one, two) > ONE_LINE)
      return new Missing(
        `${marks} are lifted as one, and ${one.beam.mark} and ${two.beam.mark} do not run on in one line at ${name}: how they hang is not worked out here. Who has checked it?`,
      );
  }
  const steep = cranked ? undefined : beams.find(({ id }) => isInclined(known.get(id)!.place));
  if (steep) return new Missing(`${marks} are lifted as one, and ${steep.mark} is not level: how they hang is not worked out here. Who has checked it?`);
  if (cranked && chains.length > 1)
    return new Missing(`${marks} are lifted as one, bent and in two lines: how they hang is not worked out here. Who has checked it?`);
  const lines = chains.map(({ pieces }, line) => lineOf(pieces, line, known, main, along, cranked));
  const heights = lines[0]!.parts.flatMap(({ left, right }) => [left, right]);
  if (Math.abs(heights[0]! - heights.at(-1)!) > LEVEL)
    return new Missing(`${marks} are lifted as one, bent, and their two ends are not of one height: how they hang is not worked out here. Who has checked it?`);
  for (const { level, one, aside } of lines) {
    const apart = one === lines[0]!.one || Math.abs(aside) > ASIDE;
    if (turned(main, one) > ONE_LINE || (!cranked && Math.abs(level) > LEVEL) || !apart)
      return new Missing(
        `${marks} are lifted as one, and ${one.beam.mark} is not to lie beside ${main.beam.mark}, level and parallel: how they hang is not worked out here. Who has checked it?`,
      );
  }
  // Seen from the left end of whichever line begins first.
  const begin = Math.min(...lines.flatMap(({ parts }) => parts.map(({ from }) => from)));
  const lowest = Math.min(...heights);
  const parts = lines.flatMap((line) =>
    line.parts.map((part) => ({ ...part, from: part.from - begin, to: part.to - begin, left: part.left - lowest, right: part.right - lowest })),
  );
  const ofLine = (n: number) => parts.filter(({ line }) => line === n);
  const there = braces.length > 0 ? inBefore(plan, pick) : new Set<string>();
  const whole = (id: string, at: number) => {
    const part = parts.find(({ beam }) => beam.id === id)!;
    return part.flipped ? part.to - at : part.from + at;
  };
  return {
    parts,
    splices: chains.flatMap(({ joints }, line) => joints.map((joint, n) => ({ joint, at: ofLine(line)[n]!.to, line }))),
    length: Math.max(...parts.map(({ to }) => to)),
    rise: Math.max(...heights) - lowest,
    lines: lines.map(({ aside }, n) => ({ from: ofLine(n)[0]!.from, to: ofLine(n).at(-1)!.to, aside })),
    ties: braces
      .filter(({ id }) => lines.length > 1 && there.has(id))
      .map((brace) => ({ brace, at: (whole(brace.a.piece, brace.a.at) + whole(brace.b!.piece, brace.b!.at)) / 2 }))
      .sort((a, b) => a.at - b.at),
  };
}

interface Known {
  beam: Beam;
  make: Make;
  place: Placed;
}

interface Chain {
  pieces: { id: string; flipped: boolean }[];
  /** the splice between each and the next */
  joints: Joint[];
}

const turned = (one: Known, two: Known): number => {
  const turn = Math.abs(wrapDeg(angleOf(one.place.along) - angleOf(two.place.along)));
  return Math.min(turn, 180 - turn);
};

/** How steeply a piece goes up from where it is joined [°]: two that run on in one line go up and down alike. */
const climbs = ({ place: { from, to, length } }: Known, at: number): number => (Math.asin((to.z - from.z) / length) * (at < length / 2 ? 180 : -180)) / Math.PI;

/** All that splices join to a piece, from left to right. */
function chainOf(known: ReadonlyMap<string, Known>, splices: readonly Joint[], id: string, flipped: boolean): Chain {
  /** The next piece past one end of a piece: `first` its first end. */
  const next = (of: string, first: boolean): { id: string; joint: Joint; byFirst: boolean } | null => {
    for (const joint of splices) {
      const [own, other] = joint.a.piece === of ? [joint.a, joint.b] : joint.b.piece === of ? [joint.b, joint.a] : [];
      if (!own || !other || isFirst(own.at, known.get(of)!.place) !== first) continue;
      return { id: other.piece, joint, byFirst: isFirst(other.at, known.get(other.piece)!.place) };
    }
    return null;
  };
  const pieces = [{ id, flipped }];
  const taken = new Set([id]);
  const joints: Joint[] = [];
  for (const right of [true, false]) {
    let at = { id, flipped };
    for (;;) {
      // To the right a piece goes on from its second end, or from its first where it is flipped.
      const step = next(at.id, right === at.flipped);
      if (!step || taken.has(step.id)) break;
      taken.add(step.id);
      at = { id: step.id, flipped: right !== step.byFirst };
      if (right) {
        pieces.push(at);
        joints.push(step.joint);
      } else {
        pieces.unshift(at);
        joints.unshift(step.joint);
      }
    }
  }
  return { pieces, joints };
}

/** A chain as it lies to the piece the pick is named for: along from the left end of that piece, and to the left of it. */
function lineOf(pieces: Chain['pieces'], line: number, known: ReadonlyMap<string, Known>, main: Known, along: { x: number; y: number }, cranked: boolean) {
  const seen = (id: string): number => {
    const { place, make } = known.get(id)!;
    return cranked ? (make.length * Math.hypot(place.to.x - place.from.x, place.to.y - place.from.y)) / place.length : make.length;
  };
  const [first] = pieces;
  const one = known.get(first!.id)!;
  const left = first!.flipped ? one.place.to : one.place.from;
  const off = { x: left.x - main.place.from.x, y: left.y - main.place.from.y };
  const before = pieces.slice(
    0,
    Math.max(
      0,
      pieces.findIndex(({ id }) => id === main.beam.id),
    ),
  );
  // Along its own line the lengths of the pieces count; the line beside begins where it is to lie.
  let reached = line === 0 ? -before.reduce((sum, { id }) => sum + seen(id), 0) : off.x * along.x + off.y * along.y;
  const aside = line === 0 ? 0 : off.y * along.x - off.x * along.y;
  const parts = pieces.map(({ id, flipped }): Part => {
    const { beam, make, place } = known.get(id)!;
    const from = reached;
    reached += seen(id);
    const [up, down] = cranked ? (flipped ? [place.to.z, place.from.z] : [place.from.z, place.to.z]) : [0, 0];
    return { beam, make, line, from, to: reached, aside, flipped, flat: seen(id) / make.length, left: up, right: down };
  });
  return { parts, aside, level: left.z - main.place.from.z, one };
}
