import type { Moment } from './replay';
import type { Plan } from './schema';
import { strikeGroups } from './strike-groups';

/** What the run sheet has done with the shores at a moment. */
export interface ShoreState {
  /** shores set by then; null: the run sheet does not set them, they are taken as standing */
  set: ReadonlySet<string> | null;
  /** the line is open: they carry */
  open: boolean;
  /** steps of the strike done, from the first */
  struck: number;
}

const moved = (plan: Plan, kind: 'shore.set' | 'line.open' | 'shore.strike'): boolean => plan.moves.some((move) => move.kind === kind);

/** The shores at a moment of the strip. What the run sheet does not name is drawn as carrying: the state that matters. */
export function shoreState(plan: Plan, moment: Moment): ShoreState {
  const groups = strikeGroups(plan);
  let struck = 0;
  while (struck < groups.length && moment.struck[groups[struck]!.id]) struck += 1;
  return {
    set: moved(plan, 'shore.set') ? new Set(Object.keys(moment.shoresSet).filter((id) => moment.shoresSet[id])) : null,
    open: moved(plan, 'line.open') ? moment.lineOpen : true,
    struck,
  };
}
