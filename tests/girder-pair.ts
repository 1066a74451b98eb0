import { applyCommand } from '../src/core/edit/apply';
import type { Plan } from '../src/core/document/schema';
import { quayFootbridge } from './demo-plan';
import { opened } from './said';

type Edit = (plan: Plan) => unknown;

/** The footbridge with pieces lifted together by its first pick. */
export function pairedBy(plan: Plan, joined: string[]): Plan {
  const done = applyCommand(plan, { name: 'liftAsOne', args: { pick: 'k1', joined, freed: [] } });
  if (!done.ok) throw new Error(done.faults[0]?.error);
  return structuredClone(done.plan);
}

/** The two long pieces of the footbridge, 14 m, tied on the ground and lifted as a pair by four legs of 6 m, 3.4 m from their ends. */
export function pair(edit: Edit = () => undefined, joined = ['g2a']): Plan {
  const plan = pairedBy(quayFootbridge(), joined);
  for (const brace of plan.structure.braces) Object.assign(brace, { mass: 140, capacity: 60000 });
  Object.assign(plan.picks[0]!, {
    left: 3.4,
    right: 3.4,
    legs: { left: 6, right: 6 },
    rig: { kind: 'legs', leftApart: 2.4, rightApart: 2.4 },
    unsaid: [],
    gear: [],
    slingRating: 9000,
  });
  edit(plan);
  return opened(plan);
}
