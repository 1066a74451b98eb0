import { phrase } from '../../calc/work';
import { craneChart } from '../../cranes/chart.calc';
import type { Pick, Plan } from '../../document/schema';
import { stringOf } from '../../document/strings';
import { dayFault, namesPerson } from '../../document/records';
import type { RuleSetId } from '../../rules/rule-sets';
import { missingCheck, on, said, type Place } from '../../verdict/build';
import type { Check } from '../../verdict/check';
import { liftMove, type Context } from '../context';

/** Past this share of its rated capacity a crane lift is a critical one (29 CFR 1926.751). */
export const CRITICAL_SHARE = 0.75;

/** How much planning a lift asks for. */
export interface Level {
  name: 'ordinary' | 'critical' | 'basic' | 'intermediate' | 'complex';
  /** what made it more than the least */
  why: string[];
  /** something it hangs on is not known yet: it may come to ask for more */
  atLeast: boolean;
  /** it has a plan of its own, which a named person signs */
  signed: boolean;
}

/** Rows that tell what a lift passes over and who sees it. */
const OPEN = new Set(['lift.over', 'lift.sight']);
const RAISES = { people: 'over where people are', railway: 'over a railway', blind: 'the operator does not see all of it' } as const;

/**
 * By the American rule a lift by two cranes or over 75 % of the chart is critical (29 CFR 1926.751). By BS 7121, from memory, a lift is
 * basic, intermediate or complex: two cranes make it complex; a crane near its limit, or a load that is turned, in a string or spliced, is
 * one step up. In either, what goes over people or a railway, or unseen, is a step further (common practice).
 */
export function levelOf(plan: Plan, pick: Pick, checks: readonly Check[]): Level {
  const school = plan.job.ruleSet;
  const two = !!pick.second;
  const near = !two && checks.some(({ id, ratio }) => id === 'lift.chart' && ratio !== null && ratio > CRITICAL_SHARE);
  const rigged = [
    ...(pick.turned ? ['turned upright'] : []),
    ...((pick.joined?.length ?? 0) > 0 ? ['pieces spliced on the ground'] : []),
    ...(stringOf(plan, pick) ? ['in a string'] : []),
  ];
  const raised = [...new Set(checks.flatMap(({ finding }) => (finding.code === 'told' && finding.raises ? [finding.raises] : [])))];
  // What is off the chart, over an open zone or seen by nobody is not judged here: it has a row of its own that is not clear.
  const charted = checks.some(({ id, ratio }) => id === 'lift.chart' && ratio !== null);
  const atLeast = (!two && !charted) || checks.some(({ id, verdict }) => OPEN.has(id) && (verdict === 'stop' || verdict === 'missing'));
  const why = [...(two ? ['two cranes'] : []), ...(near ? ['over 75 % of the chart'] : []), ...raised.map((one) => RAISES[one])];
  if (school === 'us-asd') return why.length > 0 ? { name: 'critical', why, atLeast, signed: true } : { name: 'ordinary', why, atLeast, signed: false };
  const step = two ? 2 : Number(near || rigged.length > 0) + Number(raised.length > 0);
  return { name: (['basic', 'intermediate', 'complex'] as const)[step]!, why: two ? why : [...why, ...rigged], atLeast, signed: step === 2 };
}

/** A level in words: what is not known yet is not told as if it were. */
export const levelWords = ({ name, why, atLeast }: Level): string => [`${atLeast ? 'not known, at least ' : ''}${name}`, ...why].join(', ');

const SOURCE: Record<RuleSetId, string> = {
  'us-asd': '29 CFR 1926.751 and .1432, from memory: over 75 % of its capacity or more than one crane on a piece is a critical lift, with a plan of its own',
  'eu-ls': 'BS 7121, from memory: a complex lift has a plan of its own, made and signed by a named person',
};

/** A critical or complex lift has a plan of its own that a named person signed. */
export function levelChecks({ plan, today, rules }: Context, pick: Pick, mark: string, checks: readonly Check[]): Check[] {
  const { name, why, signed } = levelOf(plan, pick, checks);
  if (!signed) return [];
  const place: Place = {
    id: 'pick.critical',
    ...on('pick', pick, mark),
    station: 'picks',
    move: liftMove(plan, pick),
    calc: craneChart.id,
    source: SOURCE[rules.id],
  };
  const { by = '', on: day = '' } = pick.signed ?? {};
  const fault = namesPerson(by) ? dayFault(day, today) : 'names nobody';
  if (fault !== null)
    return [
      missingCheck(
        place,
        'count',
        `The lift of ${mark} is ${name}: ${why.join(', ')}. Who signed its own plan, and when?${pick.signed ? ` The record ${fault}.` : ''}`,
      ),
    ];
  return [said(place, phrase`The plan of this ${name} lift (${why.join(', ')}) was signed by ${by.trim()} on ${day}.`)];
}
