import { keep } from '../../document/keep';
import type { Moment } from '../../replay/now';
import type { SettledPlan } from '../../settle/settle';
import { allStrikeGroups } from '../../document/strike-groups';
import { beamAt, standsAt } from '../../replay/moment';
import { allShores } from '../../document/views';

/** What a hoist may hang from, by its id. */
export function holdfastOf(plan: SettledPlan, id: string): { name: string } | null {
  const named = [...allShores(plan), ...plan.links, ...plan.bearings, ...plan.structure.supports].find((one) => one.id === id);
  if (named) return { name: named.name };
  const beam = plan.structure.pieces.find((one) => one.id === id);
  return beam ? { name: beam.mark } : null;
}

/** Whether it stands when the load is raised: shores set and not struck, supports ready, pieces let go; links and bearings are the building. */
export function stands(plan: SettledPlan, moment: Moment, id: string): boolean {
  if (allShores(plan).some((one) => one.id === id)) return (moment.shoresSet[id] ?? false) && !struckShores(plan, moment).has(id);
  if (plan.structure.supports.some((one) => one.id === id)) return standsAt(moment.structure, id);
  if (plan.structure.pieces.some((one) => one.id === id)) return beamAt(moment.structure, id).where === 'set';
  return true;
}

const struckShores = (plan: SettledPlan, moment: Moment): ReadonlySet<string> =>
  keep('struck.shores', moment, [plan.shoring], () => {
    const struck = new Set<string>();
    // A shore of which a part is struck holds nothing that is hung from it.
    for (const group of allStrikeGroups(plan)) if (moment.struck[group.id]) for (const step of group.steps) struck.add(step.shore);
    return struck;
  });
