import { rectangle, type Vec } from '../geometry/plane';
import type { Body } from './bodies';
import { craneAt } from './duties';
import { keepOne } from '../document/keep';
import { standsOfPick } from '../document/lookups';
import type { Crane, Pick, Plan, Stand } from '../document/schema';

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
      if (move.kind === 'crane.set') {
        if (!from.has(move.stand)) from.set(move.stand, at);
        // It comes back, and stands there until it leaves again.
        to.delete(move.stand);
      }
      if (move.kind === 'crane.leave') to.set(move.stand, at);
    });
    return plan.stands.flatMap((stand): Standing[] => {
      const set = from.get(stand.id);
      if (set === undefined) return [];
      const crane = craneAt(plan, stand);
      return [{ stand, crane, base: rectangle(stand.at, crane.baseLength, crane.baseWidth, stand.azimuthDeg), from: set, to: to.get(stand.id) ?? Infinity }];
    });
  });

/** The cranes that stand there while a pick is made and have no part in it. */
export function cranesBeside(plan: Plan, pick: Pick): readonly Standing[] {
  const at = liftedAt(plan).get(pick.id);
  if (at === undefined) return [];
  const own = new Set(standsOfPick(pick).map((id) => plan.stands.find((stand) => stand.id === id)?.crane));
  return cranesStanding(plan).filter((one) => one.from < at && at < one.to && !own.has(one.stand.crane));
}

/** At which move each pick is made. */
const liftedAt = (plan: Plan): ReadonlyMap<string, number> =>
  keepOne('lifted.at', [plan.moves], () => {
    const found = new Map<string, number>();
    plan.moves.forEach((move, at) => {
      const pick = move.kind === 'pick.lift' || move.kind === 'piece.hang' ? move.pick : null;
      if (pick && !found.has(pick)) found.set(pick, at);
    });
    return found;
  });

/** A carrier and its outriggers reach up to here [m]. */
export const CARRIER = 3;
/** A mast is no wider than this (common practice) [m]. */
const MAST = 2.5;

/** What of a crane a load or a boom may run into: its carrier, or the mast of a tower crane. */
export const bodyOf = ({ stand, crane, base }: Standing): Body => ({
  id: stand.id,
  name: `${crane.name} on ${stand.name}`,
  from: 0,
  ...(crane.tower
    ? { outline: rectangle(stand.at, Math.min(MAST, crane.baseLength), Math.min(MAST, crane.baseWidth), stand.azimuthDeg), to: crane.pivotHeight }
    : { outline: base, to: CARRIER }),
});
