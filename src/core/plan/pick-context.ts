import { angleOf, direction, scale, sub } from '../geometry/plane';
import { hangPiece } from './hanging';
import { liftPath } from './lift-path';
import { craneOf, liftedBy, standOf, type Lifted } from './lookups';
import { Missing } from './missing';
import { pieceWeight, type PieceWeight } from './piece-weight';
import type { Beam, Make, Pick, Piece } from './schema';
import type { PickContext } from './evaluate/context';
import { grossOf } from './evaluate/gross';
import { seatOf, type Target } from './seat-geometry';
import type { SettledPlan } from './settle';
import { isInclined, placeOf, sectionOf, yieldOfMake } from './structure/model';
import { rulesOf, type Rules } from '../rules/rule-sets';

/** Where a piece of the structure lies before it is lifted; null while any of it is not said. */
export function startOf({ lies }: Beam): Piece['start'] | null {
  if (!lies) return null;
  const { x, y, azimuthDeg, level } = lies;
  return x === null || y === null || azimuthDeg === null || level === null ? null : { x, y, azimuthDeg, level };
}

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
  };
}

function loadOf(
  plan: SettledPlan,
  lifted: Lifted,
  rules: Rules,
): { piece: Piece; weight: PieceWeight | Missing; seat: Target | Missing; turns: string | null; lies: boolean } {
  if (lifted.kind === 'piece')
    return { piece: lifted.piece, weight: pieceWeight(lifted.piece, rules), seat: seatOf(plan, lifted.piece), turns: null, lies: true };
  const { beam, make } = lifted;
  const piece = asLoad(lifted);
  const section = sectionOf(make);
  const weight = section instanceof Missing ? section : pieceWeight(piece, rules, section);
  const place = placeOf(beam);
  const turns =
    place?.upright === true
      ? `${beam.mark} is turned upright under the hook: how it hangs and what it needs over it are not worked out here. Who has checked it?`
      : place !== null && isInclined(place)
        ? `${beam.mark} is set inclined: how it hangs is not worked out here. Who has checked it?`
        : null;
  return { piece, weight, seat: weight instanceof Missing ? weight : targetOf(beam, piece, weight.cg.x), turns, lies: startOf(beam) !== null };
}

/** What the checks and the drawing of one pick share, worked out once. */
export function pickContext(plan: SettledPlan, pick: Pick): PickContext {
  const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
  const lifted = liftedBy(plan, pick);
  const { piece, weight, seat, turns, lies } = loadOf(plan, lifted, rules);
  const stand = standOf(plan, pick.stand);
  const crane = craneOf(plan, stand.crane);
  const path =
    weight instanceof Missing
      ? weight
      : seat instanceof Missing
        ? seat
        : lies
          ? liftPath(plan, pick, piece, weight.cg.x, seat)
          : new Missing(`Where does ${piece.mark} lie before it is lifted, and which way?`);
  const hanging = turns === null ? hangPiece(piece, pick, weight) : new Missing(turns);
  return { pick, lifted, piece, stand, crane, weight, seat, hanging, path, gross: grossOf({ crane, piece, pick, weight }) };
}
