import { describe as say } from '../src/core/verdict/describe';
import { evaluate } from '../src/core/evaluate';
import { openPlan } from '../src/core/document/open';
import type { Plan } from '../src/core/document/schema';
import { ticketHall } from './demo-plan';

export type Edit = (plan: Plan) => unknown;

/** The plan through the one door; a test that edits it into something refused is told why. */
export function opened(value: unknown): Plan {
  const answer = openPlan(value);
  if (!answer.ok) throw new Error(`${answer.faults[0]?.path}: ${answer.faults[0]?.error}`);
  return answer.plan;
}

/** The ticket hall edited, with no run sheet: moves name shores that an edit may take away. */
export function editedHall(edit: Edit): Plan {
  const plan = ticketHall();
  plan.moves = [];
  edit(plan);
  return opened(plan);
}

/** Id and subject of every check of the shores with a verdict. */
export const shoreChecks = (plan: Plan, verdict: string): string[] =>
  evaluate(plan)
    .checks.filter((check) => check.station === 'shores' && check.verdict === verdict)
    .map((check) => `${check.id} ${check.subject}`);

/** What a check says, named by id and subject. */
export function sentenceOf(plan: Plan, name: string): string {
  const check = evaluate(plan).checks.find((one) => `${one.id} ${one.subject}` === name);
  if (!check) throw new Error(`no ${name}`);
  return say(check, plan.job.units).replace(/\u00a0/g, ' ');
}
