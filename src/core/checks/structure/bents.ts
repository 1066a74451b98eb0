import type { SettledPlan } from '../../settle/settle';
import type { Onward } from './ground';

/** The bents with what the structure brings onto their headers, the most at any move, beside what is typed. */
export function bentsUnder(plan: SettledPlan, onward: ReadonlyMap<string, Onward>): SettledPlan {
  if (onward.size === 0) return plan;
  const bents = plan.shoring.bents.map((bent) => {
    const loads = plan.structure.supports.flatMap((support) => {
      const force = onward.get(support.id)?.factored;
      if (support.onBent?.bent !== bent.id || force === undefined || (force !== null && force <= 0)) return [];
      return [{ id: `structure-${support.id}`, what: support.name, at: support.onBent.at, force, bearing: support.seatLength, from: 1, to: null }];
    });
    return loads.length > 0 ? { ...bent, loads: [...bent.loads, ...loads] } : bent;
  });
  return { ...plan, shoring: { ...plan.shoring, bents } };
}
