import type { LinePlan } from '../document/views';
import type { Moment } from './now';
import { strikeGroups } from '../document/strike-groups';

/** What the run sheet has done with the shores at a moment. */
export interface ShoreState {
  /** shores set by then; null: the run sheet does not set them, they are taken as standing */
  set: ReadonlySet<string> | null;
  /** the line is open: they carry */
  open: boolean;
  /** steps of the strike done, from the first */
  struck: number;
}

/** The shores of a line, and what opens it, in the run sheet. */
const sets = ({ moves, shoring }: LinePlan): boolean => {
  const own = new Set([...shoring.walls, ...shoring.rows, ...shoring.bents].map(({ id }) => id));
  return moves.some((move) => move.kind === 'shore.set' && own.has(move.shore));
};
const opens = ({ moves, shoring }: LinePlan): boolean => moves.some((move) => move.kind === 'line.open' && move.line === shoring.id);

/** The shores at a moment of the strip. What the run sheet does not name is drawn as carrying: the state that matters. */
export function shoreState(plan: LinePlan, moment: Moment): ShoreState {
  const groups = strikeGroups(plan.shoring);
  let struck = 0;
  while (struck < groups.length && moment.struck[groups[struck]!.id]) struck += 1;
  return {
    set: sets(plan) ? new Set(Object.keys(moment.shoresSet).filter((id) => moment.shoresSet[id])) : null,
    open: opens(plan) ? (moment.linesOpen[plan.shoring.id] ?? false) : true,
    struck,
  };
}
