import { add, angleOf, direction, leftOf, scale, sub, type Vec } from '../../geometry/plane';
import type { HangingResult } from '../../settle/hanging';
import { startOf } from '../../document/lies';
import { hangBy } from '../../settle/rigged';
import { hangsAbove, stringOf } from '../../document/strings';
import { withItsGear } from '../../document/yard';
import { liftPath, type LiftPath } from '../../settle/lift-path';
import { hangTurned, lyingShares, tailPath, turnedOf, turnedPath, type Turned } from '../../settle/lift-turned';
import { asHook, hangOnTwo, sharesOf, twoPath, type HookOf, type Share } from '../../settle/lift-two';
import { craneAt } from '../../settle/duties';
import { givesOf, underLoad } from '../../settle/under-load';
import { joinedOf, type Joined, type Part } from '../../document/joined';
import { joinedLoad, middleOf } from '../../settle/joined-weight';
import { liftedBy, standOf, type Lifted } from '../../document/lookups';
import { Missing } from '../../verdict/missing';
import { pieceWeight, type PieceWeight } from '../../settle/piece-weight';
import type { Beam, Make, Pick, Piece } from '../../document/schema';
import type { Hung, PickContext, Spliced } from '../context';
import { grossOf } from './gross';
import { seatOf, type Target } from '../../settle/seat-geometry';
import type { SettledPlan } from '../../settle/settle';
import { balanceSaid, sectionOf, yieldOfMake } from '../../settle/model';
import { isInclined, placeOf } from '../../document/place';
import { flatOf } from '../../settle/sloping';
import { rulesOf, type Rules } from '../../rules/rule-sets';

/** A piece of the structure as a crane sees it: its steel, what hangs on it, where it lies. */
function asLoad({ beam, make }: { beam: Beam; make: Make }): Piece {
  return {
    id: beam.id,
    mark: beam.mark,
    section: make.made.kind === 'section' ? make.made.section : '',
    length: make.length,
    grade: make.grade,
    yield: yieldOfMake(make),
    allowance: make.allowance,
    packing: [],
    attachments: make.attachments,
    stated: { mass: make.mass, weighed: beam.weighed, length: null },
    start: startOf(beam) ?? { x: 0, y: 0, azimuthDeg: 0, level: 0 },
    seat: { left: '', right: '', leftBearing: null, statedSpan: null },
  };
}

/** Where a piece of the structure is to be. A column is turned up under its hook: only the place of its foot is told. */
function targetOf(beam: Beam, piece: Piece, cgX: number): Target | Missing {
  const place = placeOf(beam);
  if (!place) return new Missing(`Where is ${beam.mark} to be? Give the places of its two ends.`);
  const { from, to } = place;
  const [a, b] = [
    { x: from.x, y: from.y },
    { x: to.x, y: to.y },
  ];
  if (place.upright) {
    const foot = Math.min(from.z, to.z);
    const { azimuthDeg } = piece.start;
    return { leftEnd: sub(a, scale(direction(azimuthDeg), cgX)), azimuthDeg, span: 0, left: { at: a, level: foot }, right: { at: a, level: foot } };
  }
  return {
    leftEnd: a,
    azimuthDeg: angleOf(place.along),
    span: Math.hypot(b.x - a.x, b.y - a.y),
    left: { at: a, level: from.z },
    right: { at: b, level: to.z },
    flat: flatOf(place),
  };
}

interface Load {
  piece: Piece;
  weight: PieceWeight | Missing;
  seat: Target | Missing;
  /** set upright: where its foot comes to stand, and which end is up */
  upright: { foot: Vec; firstUp: boolean } | null;
  /** why how it hangs is not worked out */
  unclear: string | null;
  lies: boolean;
  /** of pieces spliced on the ground, each of them */
  joined: Spliced | null;
}

/** Where what hangs as one is to be: its line, of a pair the middle between the two, from its left end to its right. */
function joinedTarget(joined: Joined, main: string): Target {
  const { parts: all, length } = joined;
  const parts = all.filter(({ line }) => line === 0);
  const ends = ({ beam, flipped }: Part) => {
    const { from, to } = placeOf(beam)!;
    return flipped ? { left: to, right: from } : { left: from, right: to };
  };
  const [first, last] = [parts[0]!, parts.at(-1)!];
  const along = ends(parts.find(({ beam }) => beam.id === main)!);
  const azimuthDeg = angleOf(sub(along.right, along.left));
  const way = direction(azimuthDeg);
  const aside = scale(leftOf(way), middleOf(joined));
  const left = add(sub(ends(first).left, scale(way, first.from)), aside);
  const right = add(add(ends(last).right, scale(way, length - last.to)), aside);
  return {
    leftEnd: left,
    azimuthDeg,
    span: Math.hypot(right.x - left.x, right.y - left.y),
    left: { at: left, level: ends(first).left.z },
    right: { at: right, level: ends(last).right.z },
    flat: Math.min(1, Math.hypot(right.x - left.x, right.y - left.y) / length),
  };
}

function loadTogether(joined: Joined, pick: Pick, lifted: Lifted & { kind: 'beam' }, rules: Rules): Load {
  const { beam } = lifted;
  const load = joinedLoad(joined, beam.id, asLoad, rules, pick);
  const common = { upright: null, unclear: null, lies: startOf(beam) !== null };
  if (load instanceof Missing) return { ...common, piece: asLoad(lifted), weight: load, seat: load, joined: null };
  const { piece, weight, members } = load;
  return { ...common, piece, weight, seat: joinedTarget(joined, beam.id), joined: { ...joined, members } };
}

function loadOf(plan: SettledPlan, pick: Pick, lifted: Lifted, rules: Rules): Load {
  const joined = lifted.kind === 'beam' ? joinedOf(plan, pick) : null;
  if (joined !== null && lifted.kind === 'beam') {
    if (!(joined instanceof Missing)) return loadTogether(joined, pick, lifted, rules);
    return { piece: asLoad(lifted), weight: joined, seat: joined, upright: null, unclear: null, lies: startOf(lifted.beam) !== null, joined: null };
  }
  if (lifted.kind === 'piece')
    return {
      piece: lifted.piece,
      weight: pieceWeight(lifted.piece, rules),
      seat: seatOf(plan, lifted.piece),
      upright: null,
      unclear: null,
      lies: true,
      joined: null,
    };
  const { beam, make } = lifted;
  const piece = asLoad(lifted);
  const section = sectionOf(make);
  const weight = section instanceof Missing ? section : pieceWeight(piece, rules, section, balanceSaid(make));
  const place = placeOf(beam);
  const low = place && (place.from.z < place.to.z ? place.from : place.to);
  return {
    piece,
    weight,
    seat: weight instanceof Missing ? weight : targetOf(beam, piece, weight.cg.x),
    upright: place?.upright && low ? { foot: { x: low.x, y: low.y }, firstUp: place.from.z > place.to.z } : null,
    unclear:
      pick.second && place !== null && isInclined(place)
        ? `${beam.mark} is set inclined, by two hooks: how it hangs from one to the other is not worked out here. Who has checked it?`
        : null,
    lies: startOf(beam) !== null,
    joined: null,
  };
}

/** What the checks and the drawing of one pick share, worked out once, as its main hook has it. */
export const pickContext = (plan: SettledPlan, pick: Pick): PickContext => hookContext(plan, pick, 'main');

/** Each hook of a pick: one, or two where a second crane lifts with it. */
export const hooksOf = (plan: SettledPlan, pick: Pick): PickContext[] => [
  hookContext(plan, pick, 'main'),
  ...(pick.second ? [hookContext(plan, pick, 'second')] : []),
];

export function hookContext(plan: SettledPlan, written: Pick, hook: HookOf): PickContext {
  const drawn = withItsGear(plan, written);
  const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
  const lifted = liftedBy(plan, drawn);
  const load = loadOf(plan, drawn, lifted, rules);
  const { piece, weight, seat, joined } = load;
  const stand = standOf(plan, hook === 'second' && drawn.second ? drawn.second.stand : drawn.stand);
  const seen = asHook(drawn, hook);
  const pick = seen instanceof Missing ? { ...drawn, stand: stand.id } : seen;
  const crane = craneAt(plan, stand);
  const gives = givesOf(plan, crane, stand);
  const loaded = (radius: number) => underLoad(gives, pick.boom, radius);
  const strung = weight instanceof Missing ? null : strungOf(plan, drawn, weight, rules);
  const above = strung === null || strung instanceof Missing ? [] : strung.above;
  const common = { pick, drawn, hook, lifted, piece, joined, stand, crane, loaded, weight, seat, above };
  if (weight instanceof Missing) return { ...common, hanging: weight, path: weight, share: null, turned: null, gross: weight };
  const turned = load.upright ? turnedOf(pick, piece, weight, load.upright.firstUp) : null;
  const { hanging: alone, share } = hangingOf(load, { ...drawn, legs: pick.legs }, weight, turned, hook, rules);
  const hanging = strung === null ? alone : inString(alone, strung);
  const known = seen instanceof Missing ? seen : seat instanceof Missing ? seat : null;
  const path =
    known ??
    (load.lies
      ? wayOf(load, pick, stand, weight, seat as Target, turned, hook)
      : new Missing(`Where does ${piece.mark} lie before it is lifted, and which way?`));
  const shares = share === null || !('impossible' in share);
  return {
    ...common,
    hanging,
    path,
    share: shares ? share : null,
    turned: turned instanceof Missing ? null : turned,
    gross:
      strung instanceof Missing
        ? strung
        : shares
          ? grossOf({ crane, piece, pick, weight, above }, share)
          : new Missing(`What each hook of ${piece.mark} carries cannot be worked out.`),
  };
}

interface Over {
  above: readonly Hung[];
  /** hook to the underside of the topmost, by its own slings [m] */
  top: number;
}

/** What hangs over a beam of a string while that is set; null: nothing does. */
function strungOf(plan: SettledPlan, drawn: Pick, own: PieceWeight, rules: Rules): Over | Missing | null {
  const strung = stringOf(plan, drawn);
  const picks = strung ? hangsAbove(strung, drawn) : [];
  if (!strung || picks.length === 0) return null;
  const { apart, name } = strung.string;
  if (apart === null) return new Missing(`How far apart do the beams of ${name || 'the string'} hang, clear?`);
  const above: Hung[] = [];
  let over = tall(own);
  let top = 0;
  for (const written of picks) {
    const pick = withItsGear(plan, written);
    const { piece, weight } = loadOf(plan, pick, liftedBy(plan, pick), rules);
    if (weight instanceof Missing) return weight;
    if (weight.bent) return new Missing(`${piece.mark} are bent and hang in a string: how they hang there is not worked out here. Who has?`);
    if (!pick.riggingMass) return new Missing(`What do slings and shackles of ${piece.mark} weigh, which hangs above it? They weigh something.`);
    const hanging = hangBy(piece, pick, weight, rules);
    if (hanging instanceof Missing) return hanging;
    if ('impossible' in hanging) return new Missing(hanging.impossible);
    over += apart;
    above.push({ id: piece.id, mark: piece.mark, length: piece.length, weight, rigging: pick.riggingMass, over });
    top = over + hanging.loadDepth + hanging.hookAbovePick;
    over += tall(weight);
  }
  return { above, top };
}
const tall = ({ section, below, above }: PieceWeight): number => section.depth + below + above;

/** The hook is over the topmost beam as that hangs, and the beam that is set as far below it as the string is long. */
function inString(hanging: HangingResult, strung: Over | Missing): HangingResult {
  if (strung instanceof Missing || hanging instanceof Missing || 'impossible' in hanging) return strung instanceof Missing ? strung : hanging;
  return { ...hanging, hookAbovePick: strung.top - hanging.loadDepth };
}

/** The way of a lift by one hook with its crane at another place; null where its way is not known. */
export function pathFrom({ pick, piece, stand: here, weight, seat, turned, path }: PickContext, at: Vec): LiftPath | null {
  if (path instanceof Missing || weight instanceof Missing || seat instanceof Missing) return null;
  const stand = { ...here, at };
  return turned ? turnedPath(pick, stand, piece, turned, depthOf(weight), seat.left.at) : liftPath(stand, pick, piece, weight.cg.x, seat);
}

/** What a piece takes up across once it stands. */
export const depthOf = ({ section }: PieceWeight): number => Math.max(section.depth, section.width);

/** How the load hangs, and what of it this hook carries: null where that is all of it. */
function hangingOf(
  load: Load,
  pick: Pick,
  weight: PieceWeight,
  turned: Turned | Missing | null,
  hook: HookOf,
  rules: Rules,
): { hanging: HangingResult; share: Share | { impossible: string } | null } {
  const { piece, unclear } = load;
  if (unclear !== null) return { hanging: new Missing(unclear), share: null };
  if (turned !== null) {
    const hanging = hangTurned(piece, turned, weight);
    if (hook === 'main' || turned instanceof Missing || hanging instanceof Missing || 'impossible' in hanging) return { hanging, share: null };
    const { tail, trace } = lyingShares(turned, weight);
    const least = lyingShares(turned, weight.light).tail;
    return {
      hanging: { ...hanging, tension: [tail], hookAbovePick: pick.legs.right, loadDepth: weight.section.depth },
      share: { most: tail, least, level: tail, traces: [trace] },
    };
  }
  if (pick.second && weight.bent)
    return {
      hanging: new Missing(`${piece.mark} are bent and hang on two hooks: how they hang from one to the other is not worked out here. Who has?`),
      share: null,
    };
  if (!pick.second) return { hanging: hangBy(piece, pick, weight, rules), share: null };
  const shares = sharesOf(piece, pick, weight, rules);
  return { hanging: hangOnTwo(piece, pick, weight, shares, hook), share: 'impossible' in shares ? shares : shares[hook] };
}

function wayOf(
  { piece, upright }: Load,
  pick: Pick,
  stand: PickContext['stand'],
  weight: PieceWeight,
  seat: Target,
  turned: Turned | Missing | null,
  hook: HookOf,
): LiftPath | Missing {
  if (turned instanceof Missing) return turned;
  const depth = depthOf(weight);
  if (turned !== null) return hook === 'second' ? tailPath(stand, piece, turned, depth) : turnedPath(pick, stand, piece, turned, depth, upright!.foot);
  return pick.second ? twoPath(pick, stand, piece, seat, hook) : liftPath(stand, pick, piece, weight.cg.x, seat);
}
