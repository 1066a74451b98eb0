import type { Rules } from '../../rules/rule-sets';
import { dutiesAt, readAlong } from '../../settle/duties';
import type { PickContext } from '../context';
import type { Station } from '../../settle/lift-path';
import { Missing } from '../../verdict/missing';
import type { SettledPlan } from '../../settle/settle';

/** One step of a way: how far out the hook is there, and how much of the chart the lift takes up to it. */
export interface AlongPoint {
  phase: Station['phase'];
  radius: number;
  /** null: the chart gives nothing there */
  share: number | null;
}

/** How much of the chart a lift takes from step to step of its way; of two cranes, of the share each may use. */
export function alongWay(plan: SettledPlan, picked: PickContext, rules: Rules): AlongPoint[] | Missing {
  const { path, gross, stand, pick, drawn } = picked;
  if (path instanceof Missing) return path;
  if (gross instanceof Missing) return gross;
  const readings = readAlong(plan, dutiesAt(plan, stand), stand, path, pick.boom);
  if (readings.length === 0) return new Missing('No chart with figures is for how the crane stands.');
  const usable = drawn.second ? rules.value('tandemShare') : 1;
  return path.stations.map(({ phase, radius }, i): AlongPoint => {
    // The first station stands at the beginning of the first stretch.
    const reading = readings[Math.max(0, i - 1)];
    return { phase, radius, share: reading?.kind === 'capacity' ? gross.mass / (reading.capacity * usable) : null };
  });
}

/** The place that takes most of the chart; of equals the one furthest out. */
export const worstOf = (points: readonly AlongPoint[]): number =>
  points.reduce((worst, { share, radius }, i) => {
    const [most, now] = [points[worst]!.share ?? 0, share ?? 0];
    return now > most || (now === most && radius > points[worst]!.radius) ? i : worst;
  }, 0);
