import type { Rules } from '../../rules/rule-sets';
import { standingBefore, type Body } from '../../settle/bodies';
import { keep } from '../../document/keep';
import { tallestUnder, type LiftPath } from '../../settle/lift-path';
import { Missing } from '../../verdict/missing';
import { breadthOf, type PieceWeight } from '../../settle/piece-weight';
import type { SettledPlan } from '../../settle/settle';
import { driftOf } from './wind-on-load';
import type { PickContext } from '../context';

export interface Travel {
  /** underside of the load while it travels, above ground */
  underside: number;
  /** the thing that set it, when it is not the seats */
  over: string | null;
}

/** High enough for its own seats and for where it lies. */
export function ownHeight({ pick, piece, seat, turned, hook }: PickContext): number {
  // A tail is carried in where the piece lies, and let go there.
  const seats = seat instanceof Missing ? 0 : turned && hook === 'second' ? piece.start.level : Math.max(seat.left.level, seat.right.level);
  return Math.max(seats + pick.liftOver, piece.start.level);
}

/** High enough for the seats and for the tallest thing passed over. */
export function travelHeight(
  plan: SettledPlan,
  picked: PickContext,
  path: LiftPath,
  weight: PieceWeight,
  rules: Rules,
  standing: readonly Body[] = standingBefore(plan, rules, picked.pick),
): Travel {
  return keep('travel', path, [plan, picked, weight, rules, standing], () => travelOver(plan, picked, path, weight, rules, standing));
}

function travelOver(plan: SettledPlan, picked: PickContext, path: LiftPath, weight: PieceWeight, rules: Rules, standing: readonly Body[]): Travel {
  const clearance = rules.value('loadClearance');
  const underside = ownHeight(picked);
  // What wind may push it over counts as passed over.
  const drift = driftOf(plan, picked, path, weight, rules)?.drift ?? 0;
  const tallest = tallestUnder(plan, path, breadthOf(weight), drift, standing);
  if (tallest && tallest.height + clearance > underside) return { underside: tallest.height + clearance, over: tallest.name };
  return { underside, over: null };
}
