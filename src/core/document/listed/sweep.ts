import type { Draft } from 'immer';
import type { Plan } from '../schema';
import { idsByKind, listsOf, refsOf, thingNames, things } from '.';
import { refsOfMove } from './moves';
import type { Ref } from './thing';

/**
 * What a thing that went took with it: whatever was part of it or done to it goes, and fields that may say nothing say nothing. What may
 * not be without it still names it, and the plan is refused as it then is.
 */
export function sweep(plan: Draft<Plan>): void {
  for (let again = true; again;) {
    again = false;
    const known = idsByKind(plan);
    const gone = (refs: readonly Ref<unknown>[]) => refs.filter(({ kind, id }) => !known(kind).has(id));
    /** Whether it stays. */
    const stays = (thing: unknown, refs: readonly Ref<unknown>[]): boolean => {
      const lost = gone(refs);
      if (lost.some((one) => one.gone === 'goes')) return false;
      for (const one of lost) if (typeof one.gone === 'function') one.gone(thing as Draft<unknown>);
      return true;
    };
    for (const name of thingNames) {
      const empty = things[name].empty as ((thing: unknown) => boolean) | undefined;
      for (const { list, holder, field } of listsOf(plan, name)) {
        const left = list.filter((one) => stays(one, refsOf(name, one)) && !(empty?.(one) ?? false));
        if (left.length === list.length) continue;
        holder[field] = left;
        again = true;
      }
    }
    const moves = plan.moves.filter((move) => stays(move, refsOfMove(move) as Ref<unknown>[]));
    if (moves.length < plan.moves.length) plan.moves = moves;
  }
}
