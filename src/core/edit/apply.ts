import { applyPatches, enablePatches, produceWithPatches, type Patch } from 'immer';
import type { Fault } from '../calc/schema';
import { openPlan } from '../document/open';
import type { Plan } from '../document/schema';
import { NoSuchThing, runs, type Command, type CommandArguments, type CommandName } from './table';

enablePatches();

export interface Applied {
  ok: true;
  plan: Plan;
  /** patches that bring the plan back; plain JSON */
  inverse: Patch[];
}
export type ApplyResult = Applied | { ok: false; faults: Fault[] };

/** Do one command. A result that is no longer a plan is refused with the reason; the plan given is never changed. */
export function applyCommand(plan: Plan, command: Command): ApplyResult {
  try {
    const run = runs[command.name] as (plan: Plan, args: CommandArguments[CommandName]) => void;
    const [next, , inverse] = produceWithPatches(plan, (draft) => run(draft, command.args));
    const opened = openPlan(next);
    return opened.ok ? { ok: true, plan: next, inverse } : opened;
  } catch (problem) {
    if (problem instanceof NoSuchThing) return { ok: false, faults: [{ path: '', error: problem.message }] };
    throw problem;
  }
}

export const takeBack = (plan: Plan, inverse: readonly Patch[]): Plan => applyPatches(plan, inverse as Patch[]);
