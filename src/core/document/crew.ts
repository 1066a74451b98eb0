import { craneOf, standOf, standsOfPick } from './lookups';
import type { Crane, Pick, Plan } from './schema';

/** Who sits in a crane: as the crane says, else the one operator of the job. */
export const operatorOf = (plan: Plan, crane: Crane): string => crane.operator?.trim() || plan.people.operator.trim();

/** The cranes that lift a pick: the first hook’s before the second’s. */
export const cranesOf = (plan: Plan, pick: Pick): Crane[] => standsOfPick(pick).map((id) => craneOf(plan, standOf(plan, id).crane));

/** Who operates the cranes of these picks, each named once, with the crane where there are several. */
export function operatorWords(plan: Plan, picks: readonly Pick[] = plan.picks): string {
  const cranes = [...new Set(picks.flatMap((pick) => cranesOf(plan, pick)))];
  const names = new Set(cranes.map((crane) => operatorOf(plan, crane)));
  if (names.size < 2) return [...names][0] ?? plan.people.operator.trim();
  return cranes.map((crane) => `${operatorOf(plan, crane) || '?'} (${crane.name})`).join(', ');
}
