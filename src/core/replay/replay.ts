import { keep, keepOne } from '../document/keep';
import type { Move, Plan } from '../document/schema';
import { hoodsOf } from './hoods';
import { kindOf } from './moves';
import { firstMoment, type Moment, type Need } from './now';

export interface Step {
  move: Move;
  /** what this move needs of the moves before it */
  needs: Need[];
  after: Moment;
}

export interface Replay {
  before: Moment;
  steps: Step[];
}

/**
 * The plan move by move. A move whose needs are not met is still taken as made, so that one wrong move
 * gives one reason and not a trail of them.
 */
export function replay(plan: Plan): Replay {
  const { bearings, stands, pieces } = plan;
  const before = keepOne('replay.first', [bearings, stands, pieces], () => firstMoment(plan));
  const hoods = hoodsOf(plan);
  let now = before;
  const steps = plan.moves.map((move): Step => {
    const then = now;
    const kind = kindOf(move);
    now = keep('replay.after', move, [then, ...kind.by(plan, move)], () => kind.after(plan, move, then));
    const after = now;
    return keep('replay.step', move, [then, after, ...kind.reads(plan, move, hoods)], () => ({ move, needs: kind.needs(plan, move, then), after }));
  });
  return { before, steps };
}

export const needsOf = (plan: Plan, move: Move, now: Moment): Need[] => kindOf(move).needs(plan, move, now);
