import { craneVisits, type Visit } from '../document/visits';
import type { Plan } from '../document/schema';
import type { Rules } from '../rules/rule-sets';
import { hoursWords, moneyWords, raiseEffort } from './effort';

/** What the lifts of a job take: hours of people and gear, and money, in words for a sheet or a screen. */
export interface Takes {
  /** id of the crane; null: the lifts without one */
  crane: string | null;
  name: string;
  /** one line a visit */
  visits: string[];
  /** all in one visit, where it comes more than once */
  together: string | null;
  /** what coming more than once costs; null: it comes once, or nobody knows */
  saved: string | null;
  /** prices nobody has said */
  asks: string[];
}

function visitWords(plan: Plan, { stands, lifts, hours, days, money }: Visit): string {
  const from = stands.length === 1 ? 'one stand' : `${stands.length} stands`;
  const said = days === null ? hoursWords(hours) : `${hoursWords(hours)}, ${days === 1 ? 'one day' : `${days} days`}`;
  return `${lifts === 1 ? 'one lift' : `${lifts} lifts`} from ${from}, ${said}${money === null ? '' : `, ${moneyWords(money, plan)}`}`;
}

function savedWords(plan: Plan, visits: readonly Visit[], together: Visit): string | null {
  if (visits.length < 2 || together.money === null || visits.some(({ money }) => money === null)) return null;
  const more = visits.reduce((sum, { money }) => sum + money!, 0) - together.money;
  return `Coming more than once costs ${moneyWords(more, plan)} more.`;
}

/** Of each crane its visits by the run sheet, one held against several; of all lifts without one their sum. */
export function liftsTake(plan: Plan, rules: Rules): Takes[] {
  const cranes = craneVisits(plan, rules).map(({ crane, visits, together, asks }): Takes => {
    const several = visits.length > 1;
    return {
      crane: crane.id,
      name: crane.name,
      visits: visits.map((visit, n) => `${several ? `Visit ${n + 1}: ` : ''}${visitWords(plan, visit)}`),
      together: several ? `In one visit: ${visitWords(plan, together)}` : null,
      saved: savedWords(plan, visits, together),
      asks,
    };
  });
  const raises = (plan.raises ?? []).map((raise) => raiseEffort(plan, rules, raise));
  if (raises.length === 0) return cranes;
  const hours = raises.reduce((sum, one) => sum + one.hours, 0);
  const crews = raises.map(({ people }) => people);
  const most = crews.some((one) => one === null) ? 'a crew nobody has counted' : `${Math.max(...crews.map((one) => one!))} people at most`;
  const money = raises.every((one) => one.money !== null) ? raises.reduce((sum, one) => sum + one.money!, 0) : null;
  return [
    ...cranes,
    {
      crane: null,
      name: 'Lifts without a crane',
      visits: [
        `${raises.length === 1 ? 'one lift' : `${raises.length} lifts`}, ${most}, ${hoursWords(hours)}${money === null ? '' : `, ${moneyWords(money, plan)}`}`,
      ],
      together: null,
      saved: null,
      asks: [...new Set(raises.flatMap(({ asks }) => asks))],
    },
  ];
}
