import type { WayPlan } from '../document/views';
import { accessSweep } from '../access/sweep.calc';
import { withHole } from '../access/sweep';
import { lasting } from '../document/keep';
import { attempt, type Outcome } from '../calc/attempt';
import { rectangle, type Vec } from '../geometry/plane';
import type { Static } from 'typebox';
import type { Carried } from './way-pieces';

type Input = Static<typeof accessSweep.input>;
type Output = Static<typeof accessSweep.output>;

/** What the piece is carried past: what stands on the site, with a hole where the way goes through a wall. */
function sweepInput(plan: WayPlan, carried: Carried): Input {
  const { legs } = plan.wayIn;
  const holes = legs.flatMap((leg) => (leg.kind === 'opening' && leg.width !== null ? [{ at: leg.at, width: leg.width }] : []));
  const obstacles = plan.site.obstructions.flatMap(({ name, at, length, width, azimuthDeg }) => {
    let parts: Vec[][] = [rectangle(at, length, width, azimuthDeg)];
    const through = holes.map((hole) => withHole(at, length, width, azimuthDeg, hole)).find((left) => left.length !== 1);
    if (through) parts = through;
    return parts.map((points) => ({ name, points }));
  });
  return { length: carried.longest.length, width: carried.width, path: legs.map((leg) => ({ ...leg.at })), obstacles };
}

/** The longest piece along the way. The search is kept until the way, the piece or what stands there changes. */
export function sweepOf(plan: WayPlan, carried: Carried): { input: Input; outcome: Outcome<Output> } {
  const input = sweepInput(plan, carried);
  const key = JSON.stringify(input);
  const kept = lasting('way.sweep', () => new Map<string, { key: string; outcome: Outcome<Output> }>());
  let last = kept.get(plan.wayIn.id);
  if (last?.key !== key) kept.set(plan.wayIn.id, (last = { key, outcome: attempt(accessSweep, input) }));
  return { input, outcome: last.outcome };
}
