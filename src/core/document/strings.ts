import type { LiftString } from './things/string';
import { keepOne } from './keep';
import type { Pick, Plan } from './schema';

/** A string of beams, with the picks of its beams from the top down. */
export interface Strung {
  string: LiftString;
  picks: readonly Pick[];
}

/** Each string that a pick is in. */
const stringsOf = (plan: Plan): ReadonlyMap<string, readonly Strung[]> =>
  keepOne('strings', [plan.strings, plan.picks], () => {
    const byId = new Map(plan.picks.map((pick) => [pick.id, pick]));
    const found = new Map<string, Strung[]>();
    for (const string of plan.strings ?? []) {
      const picks = string.picks.flatMap((id) => byId.get(id) ?? []);
      for (const { id } of picks) found.set(id, [...(found.get(id) ?? []), { string, picks }]);
    }
    return found;
  });

/** The string a pick is in; null: it lifts by itself. Of two, which is asked about, the first. */
export const stringOf = (plan: Plan, pick: { id: string }): Strung | null => stringsOf(plan).get(pick.id)?.[0] ?? null;
export const stringsWith = (plan: Plan, pick: { id: string }): readonly Strung[] => stringsOf(plan).get(pick.id) ?? [];

/** What still hangs above the beam of a pick while that is set, from the beam up: the lowest goes first. */
export function hangsAbove({ picks }: Strung, pick: { id: string }): readonly Pick[] {
  return picks
    .slice(
      0,
      picks.findIndex(({ id }) => id === pick.id),
    )
    .reverse();
}

/** Everything of other picks that the checks of one pick are worked out from. */
export function stringFrom(plan: Plan, pick: Pick): readonly unknown[] {
  const strung = stringOf(plan, pick);
  return strung ? [strung.string, ...strung.picks] : [];
}
