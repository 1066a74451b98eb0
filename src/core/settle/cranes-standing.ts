import { rectangle, type Vec } from '../geometry/plane';
import { craneAt } from './duties';
import { keepOne } from '../document/keep';
import type { Crane, Plan, Stand } from '../document/schema';

/** A crane at a stand: the ground it takes up, and between which moves. */
export interface Standing {
  stand: Stand;
  crane: Crane;
  base: Vec[];
  /** the number of the move that sets it, and of the one with which it leaves; Infinity: none does */
  from: number;
  to: number;
}

/** Every stand that a move sets a crane at. */
export const cranesStanding = (plan: Plan): readonly Standing[] =>
  keepOne('cranes.standing', [plan.stands, plan.cranes, plan.duties, plan.moves], () => {
    const from = new Map<string, number>();
    const to = new Map<string, number>();
    plan.moves.forEach((move, at) => {
      if (move.kind === 'crane.set' && !from.has(move.stand)) from.set(move.stand, at);
      if (move.kind === 'crane.leave') to.set(move.stand, at);
    });
    return plan.stands.flatMap((stand): Standing[] => {
      const set = from.get(stand.id);
      if (set === undefined) return [];
      const crane = craneAt(plan, stand);
      return [{ stand, crane, base: rectangle(stand.at, crane.baseLength, crane.baseWidth, stand.azimuthDeg), from: set, to: to.get(stand.id) ?? Infinity }];
    });
  });
