import { lineOf, viewOfLine } from '../../document/views';
import { Missing } from '../../verdict/missing';
import { wallTotal } from './walls';
import { bentOf } from './bent-answer';
import { needleOf } from './needles';
import type { Context } from '../context';

/** All that one shore carries as it stands, factored by the rule set [N]; null where that is not known. */
export function shoreLoad({ plan, rules }: Pick<Context, 'plan' | 'rules'>, id: string): number | null {
  const line = lineOf(plan, id);
  if (line) {
    const view = viewOfLine(plan, line);
    const wall = line.walls.find((one) => one.id === id);
    if (wall) {
      const total = wallTotal(view, wall, rules);
      return total instanceof Missing ? null : total.load;
    }
    const row = line.rows.find((one) => one.id === id);
    const answer = row ? needleOf(view, row, rules) : null;
    return row === undefined || answer === null || answer instanceof Missing ? null : (answer.leftProp + answer.rightProp) * row.count;
  }
  const bent = plan.shoring.bents.find((one) => one.id === id);
  const answer = bent ? bentOf(bent, rules) : null;
  return answer === null || typeof answer === 'string' || answer instanceof Missing ? null : answer.total;
}
