import { original, type Draft } from 'immer';
import type { Vec } from '../geometry/plane';
import { pathTo } from './path-hands';
import { pickContext } from '../checks/lift/pick-context';
import type { Plan } from '../document/schema';
import { settle } from '../settle/settle';

const cm = (value: number): number => Math.round(value * 100) / 100;

/** The way of a pick, drawn by its grip to a place. */
export interface DrawPath {
  pick: string;
  to: Vec;
}

/** A way that is not known yet, or that has no grip, stays as it is. */
export function drawPath(plan: Draft<Plan>, { pick: id, to }: DrawPath): void {
  const written = original(plan) as Plan;
  const pick = written.picks.find((one) => one.id === id)!;
  const changes = pathTo(pickContext(settle(written), pick), to, cm);
  if (changes)
    Object.assign(
      plan.picks.find((one) => one.id === id)!,
      changes,
    );
}
