import { Missing } from '../../missing';
import { wallTotal } from './walls';
import { bentOf } from './bent-answer';
import { needleOf } from './needles';
import type { Context } from '../context';

/** All that one shore carries as it stands, factored by the rule set [N]; null where that is not known. */
export function shoreLoad({ plan, rules }: Pick<Context, 'plan' | 'rules'>, id: string): number | null {
  const { walls, rows, bents } = plan.shoring;
  const wall = walls.find((one) => one.id === id);
  if (wall) {
    const total = wallTotal(plan, wall, rules);
    return total instanceof Missing ? null : total.load;
  }
  const row = rows.find((one) => one.id === id);
  if (row) {
    const answer = needleOf(plan, row, rules);
    return answer instanceof Missing ? null : (answer.leftProp + answer.rightProp) * row.count;
  }
  const bent = bents.find((one) => one.id === id);
  const answer = bent ? bentOf(bent, rules) : null;
  return answer === null || typeof answer === 'string' || answer instanceof Missing ? null : answer.total;
}
