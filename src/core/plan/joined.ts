import { angleOf, wrapDeg } from '../geometry/plane';
import { keep, keepOne } from './keep';
import { Missing } from './missing';
import type { Beam, Joint, Make, Move, Pick, Plan } from './schema';
import { isInclined, placeOf, pointAt, type Placed } from './structure/place';

/** One of the pieces that hang as one: from where to where of the whole it reaches; flipped: its second end is the nearer. */
export interface Part {
  beam: Beam;
  make: Make;
  from: number;
  to: number;
  flipped: boolean;
}

/** Pieces spliced to each other on the ground, as they hang: seen from the left end of the piece the pick is named for. */
export interface Joined {
  parts: readonly Part[];
  splices: readonly { joint: Joint; at: number }[];
  length: number;
}

/** Ends further apart than this do not meet [m]; lines that turn by more than this are not one line [°]. */
const MEET = 0.06;
const ONE_LINE = 1;

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

/** Pieces that a splice joins to what hangs by a pick, and that may hang with it. */
export function spliceable({ structure }: Plan, pick: Pick): { beam: Beam; by: Joint }[] {
  const all = new Set(loadOf(pick));
  const beams = new Map(structure.pieces.map((beam) => [beam.id, beam]));
  const found = new Map<string, { beam: Beam; by: Joint }>();
  for (const joint of structure.joints) {
    if (joint.kind !== 'splice' || all.has(joint.a.piece) === all.has(joint.b.piece)) continue;
    const beam = beams.get(all.has(joint.a.piece) ? joint.b.piece : joint.a.piece);
    const place = beam && placeOf(beam);
    if (beam && place && !place.upright && !isInclined(place) && !found.has(beam.id)) found.set(beam.id, { beam, by: joint });
  }
  return [...found.values()];
}

/** What hangs as one by a pick, end to end; null: one piece alone. */
export const joinedOf = (plan: Plan, pick: Pick): Joined | Missing | null =>
  pick.joined?.length ? keep('pick.joined', pick, [plan.structure.pieces, plan.structure.makes, plan.structure.joints], () => endToEnd(plan, pick)) : null;

/** Where one of the pieces lies while they are joined: in line with the piece the pick is named for, from its left to its right end. */
export function liesInLine({ parts }: Joined, main: string, part: Part): { x: number; y: number; azimuthDeg: number } | null {
  const of = parts.find(({ beam }) => beam.id === main)!;
  const { x = null, y = null, azimuthDeg = null } = of.beam.lies ?? {};
  if (x === null || y === null || azimuthDeg === null) return null;
  const along = (part.from + part.to - of.from - of.to) / 2;
  const turn = (azimuthDeg * Math.PI) / 180;
  return { x: x + along * Math.cos(turn), y: y + along * Math.sin(turn), azimuthDeg: part.flipped ? wrapDeg(azimuthDeg + 180) : azimuthDeg };
}

/** The same worked out anew: what a plan that is being edited says. */
export function endToEnd({ structure }: Plan, pick: Pick): Joined | Missing {
  const ids = new Set(loadOf(pick));
  const beams = structure.pieces.filter(({ id }) => ids.has(id));
  const marks = beams.map(({ mark }) => mark).join(', ');
  const placed = new Map<string, { beam: Beam; make: Make; place: Placed }>();
  for (const beam of beams) {
    const place = placeOf(beam);
    const make = structure.makes.find((one) => one.id === beam.make);
    if (!place || !make) return new Missing(`${marks} are lifted as one. Where is ${beam.mark} to be? Give the places of its two ends.`);
    if (place.upright || isInclined(place))
      return new Missing(`${marks} are lifted as one, and ${beam.mark} is not level: how they hang is not worked out here. Who has checked it?`);
    placed.set(beam.id, { beam, make, place });
  }
  const splices = structure.joints.filter(({ kind, a, b }) => kind === 'splice' && a.piece !== b.piece && ids.has(a.piece) && ids.has(b.piece));
  const main = placed.get(pick.piece);
  if (!main) return new Missing('Which pieces are lifted as one?');
  /** The next piece past one end of a piece: `first` its first end. */
  const next = (id: string, first: boolean): { id: string; joint: Joint; byFirst: boolean } | null => {
    for (const joint of splices) {
      const [own, other] = joint.a.piece === id ? [joint.a, joint.b] : joint.b.piece === id ? [joint.b, joint.a] : [];
      if (!own || !other || isFirst(own.at, placed.get(id)!.place) !== first) continue;
      return { id: other.piece, joint, byFirst: isFirst(other.at, placed.get(other.piece)!.place) };
    }
    return null;
  };
  const chain: { id: string; flipped: boolean; joint: Joint | null }[] = [{ id: pick.piece, flipped: false, joint: null }];
  const taken = new Set([pick.piece]);
  const before: Joint[] = [];
  for (const right of [true, false]) {
    let at = { id: pick.piece, flipped: false };
    for (;;) {
      // To the right a piece goes on from its second end, or from its first where it is flipped.
      const step = next(at.id, right === at.flipped);
      if (!step || taken.has(step.id)) break;
      taken.add(step.id);
      const flipped = right !== step.byFirst;
      if (right) chain.push({ id: step.id, flipped, joint: step.joint });
      else {
        chain.unshift({ id: step.id, flipped, joint: null });
        before.unshift(step.joint);
      }
      at = { id: step.id, flipped };
    }
  }
  if (chain.length !== ids.size) return new Missing(`${marks} are lifted as one, and no splices join all of them end to end. What joins them?`);
  const joints = [...before, ...chain.flatMap(({ joint }) => joint ?? [])];
  for (const { a, b, name } of joints) {
    const [one, two] = [placed.get(a.piece)!, placed.get(b.piece)!];
    const [p, r] = [pointAt(one.place, a.at), pointAt(two.place, b.at)];
    const turn = Math.abs(wrapDeg(angleOf(one.place.along) - angleOf(two.place.along)));
    if (Math.hypot(p.x - r.x, p.y - r.y, p.z - r.z) > MEET || Math.min(turn, 180 - turn) > ONE_LINE)
      return new Missing(
        `${marks} are lifted as one, and ${one.beam.mark} and ${two.beam.mark} do not run on in one line at ${name}: how they hang is not worked out here. Who has checked it?`,
      );
  }
  let reached = 0;
  const parts = chain.map(({ id, flipped }): Part => {
    const { beam, make } = placed.get(id)!;
    const from = reached;
    reached += make.length;
    return { beam, make, from, to: reached, flipped };
  });
  return { parts, splices: joints.map((joint, n) => ({ joint, at: parts[n]!.to })), length: reached };
}
