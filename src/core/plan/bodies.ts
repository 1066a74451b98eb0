import { angleOf, rectangle, type Vec } from '../geometry/plane';
import type { Rules } from '../rules/rule-sets';
import { keepOne } from './keep';
import { Missing } from './missing';
import type { Pick, Plan } from './schema';
import { settleBeams } from './structure/model';
import { isInclined } from './structure/place';

/** What a thing takes up: its outline from above, and from where to where it reaches in height. */
export interface Body {
  id: string;
  name: string;
  outline: Vec[];
  from: number;
  to: number;
}

/** Things that touch are not in one another [m]. */
export const TOUCH = 0.005;
export const shrunk = (at: Vec, length: number, width: number, azimuthDeg: number): Vec[] =>
  rectangle(at, Math.max(length - 2 * TOUCH, TOUCH), Math.max(width - 2 * TOUCH, TOUCH), azimuthDeg);

/** The pieces of the structure where they are to be. */
export const beamBodies = (plan: Plan, rules: Rules): readonly Body[] =>
  keepOne('beam.bodies', [plan.structure.pieces, plan.structure.makes, rules.id], () => bodiesOf(plan, rules));

function bodiesOf(plan: Plan, rules: Rules): Body[] {
  return [...settleBeams(plan, rules).values()].flatMap(({ beam, place, section }): Body[] => {
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
}

/** Pieces of the structure that stand when a pick is made. */
export function standingAt(plan: Plan, rules: Rules, pick: Pick): Body[] {
  const before = setBefore(plan, pick);
  return before.size === 0 ? [] : beamBodies(plan, rules).filter(({ id }) => before.has(id));
}

/** The same but for those that what it lifts is joined to. */
export function standingBefore(plan: Plan, rules: Rules, pick: Pick): Body[] {
  const before = setBefore(plan, pick);
  for (const { a, b } of plan.structure.joints) {
    if (a.piece === pick.piece) before.delete(b.piece);
    if (b.piece === pick.piece) before.delete(a.piece);
  }
  return before.size === 0 ? [] : beamBodies(plan, rules).filter(({ id }) => before.has(id));
}

function setBefore(plan: Plan, pick: Pick): Set<string> {
  if (plan.structure.pieces.length === 0) return new Set();
  const at = plan.moves.findIndex((move) => (move.kind === 'pick.lift' || move.kind === 'piece.hang') && move.pick === pick.id);
  const before = new Set(plan.moves.slice(0, at < 0 ? plan.moves.length : at).flatMap((move) => (move.kind === 'piece.hang' ? [move.beam] : [])));
  before.delete(pick.piece);
  return before;
}
