import { tipOver } from '../cranes/boom-geometry';
import type { Trace } from '../calc/evidence';
import { attempt } from '../calc/attempt';
import { radiusUnderLoad } from '../cranes/under-load.calc';
import { rulesOf } from '../rules/rule-sets';
import type { Crane, Plan, Stand } from '../document/schema';

/** Of a crane as it stands at a stand: what carries its hook out from where it was set. */
export interface Gives {
  pivotBack: number;
  pivotHeight: number;
  bend: number;
  level: number;
  settles: number;
  base: number;
}

/** What the maker or the ground’s own figure says, or else the rule set. */
export function givesOf({ job }: Plan, { pivotBack, pivotHeight, baseLength, baseWidth, gives, tower }: Crane, stand: Stand): Gives {
  const rules = rulesOf(job.ruleSet, job.thresholds);
  // The trolley of a tower crane is where it is: how its mast leans is in the maker’s chart.
  if (tower) return { pivotBack: 0, pivotHeight, bend: 0, level: 0, settles: 0, base: Math.min(baseLength, baseWidth) };
  return {
    pivotBack,
    pivotHeight,
    bend: gives?.bend ?? rules.value('boomBend'),
    level: gives?.level ?? rules.value('craneLevel'),
    settles: stand.settles ?? rules.value('padSettles'),
    base: Math.min(baseLength, baseWidth),
  };
}

/** The radius of a hook with the load on, from the radius it was set at. */
export const underLoad = ({ pivotBack, pivotHeight, bend, level, settles, base }: Gives, boom: number, radius: number): number => {
  // A boom that does not get there is told of by itself.
  const height = tipOver(pivotBack, pivotHeight, boom, radius) ?? pivotHeight;
  return radius + bend * boom + (level + settles / base) * height;
};

/** The same with its working; nothing where the boom does not get there. */
export function workedUnderLoad(gives: Gives, boom: number, radius: number): Trace[] {
  const input = { ...gives, boom, radius };
  const outcome = attempt(radiusUnderLoad, input);
  return outcome.ok ? [{ calc: radiusUnderLoad.id, input, output: outcome.output }] : [];
}

/** Of several stands of a crane, the worst of each. */
export const worstGives = (all: readonly Gives[]): Gives =>
  all.reduce((a, b) => ({
    ...a,
    bend: Math.max(a.bend, b.bend),
    level: Math.max(a.level, b.level),
    settles: Math.max(a.settles, b.settles),
    base: Math.min(a.base, b.base),
  }));
