import type { Plan } from './schema';
import { allShores } from './views';

/** Everything of a plan that says what it stands on. */
export const standers = (plan: Plan): { id: string; standsOn: { link: string; share: number }[] }[] => [
  ...plan.bearings,
  ...plan.links,
  ...allShores(plan),
  ...plan.structure.supports,
  ...(plan.launches ?? []).flatMap(({ rollers }) => rollers),
];

/** What stands on a link of the load path. */
export const standingOn = (plan: Plan, link: string) => standers(plan).filter(({ standsOn }) => standsOn.some((below) => below.link === link));
