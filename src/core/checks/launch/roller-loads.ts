import type { Rules } from '../../rules/rule-sets';
import { Missing } from '../../verdict/missing';
import type { Launch, Plan } from '../../document/schema';
import { pushedOf, sweepOf } from './pushed';

/** The most each roller carries of all lines together, whatever the place of the tip [N]; null while that cannot be worked out. */
export function rollerLoads(plan: Plan, launch: Launch, rules: Rules): Map<string, number> | null {
  const pushed = pushedOf(plan, launch, rules);
  if (pushed instanceof Missing) return null;
  const swept = pushed.lines.map((line) => sweepOf(plan, pushed, line, rules));
  if (swept.some(({ falls }) => falls !== null)) return null;
  return new Map(
    launch.rollers.map(({ id }) => [id, swept.reduce((sum, { rollers }) => sum + (rollers.get(id)?.load?.value ?? 0), 0) * rules.value('rollerSpread')]),
  );
}
