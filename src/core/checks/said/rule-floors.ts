import { phrase, q } from '../../calc/work';
import { belowFloor } from '../../rules/rule-sets';
import type { Check } from '../../verdict/check';
import type { Context } from '../context';
import { flatStop, on, told } from '../../verdict/build';

/** A published minimum or maximum cannot be edited into a pass: a value on its unsafe side is a stop that names the clause. */
export function floorChecks({ plan }: Pick<Context, 'plan'>): Check[] {
  return belowFloor(plan.job.ruleSet, plan.job.thresholds).map(({ threshold, value, at }) => {
    const { kind, title, key } = threshold;
    const where = {
      id: 'rules.floor',
      ...on('threshold', { id: key }, title),
      station: 'runSheet' as const,
      move: null,
      calc: 'record',
      source: at.clause,
    };
    const exceptions = threshold.floor?.exceptions ? ` ${threshold.floor.exceptions}` : '';
    return flatStop(
      where,
      kind,
      told(phrase`“${title}” is set to ${q(value, kind)} for this job; ${at.clause} sets ${q(at.value, kind)}. Set it back.${exceptions}`),
      [],
      value,
    );
  });
}
