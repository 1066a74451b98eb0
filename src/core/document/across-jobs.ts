import type { JobGear } from './shared-gear';
import type { Plan, YardThing } from './schema';
import { inUse } from './yard';

/** What another job says of a thing that by its kind and its number is the same. */
export type Elsewhere = { job: { id: string; name: string } } & (
  | { says: 'rating'; rating: number }
  | { says: 'inspected'; inspected: NonNullable<YardThing['inspected']> }
  /** both lift with it on one day */
  | { says: 'day'; day: string }
);

const marked = ({ name }: YardThing): string => name.trim().toLowerCase().replace(/\s+/g, ' ');
/** Tags this close are the same but for rounding. */
const SAME = 0.01;

/** The day on which the lifts of a plan are made; null: nobody says. */
export const dayOfLifts = ({ site }: Pick<Plan, 'site'>): string | null => site.shift?.from.slice(0, 10) ?? null;

/**
 * One thing of the yard as other jobs have it: a tag that is read otherwise, an inspection that is another, a day on which both jobs lift
 * with it. What has no number on it is not known again.
 */
export function elsewhere(plan: Plan, thing: YardThing, jobs: readonly JobGear[]): Elsewhere[] {
  const mark = marked(thing);
  if (mark === '') return [];
  const here = inUse(plan).has(thing.id) ? dayOfLifts(plan) : null;
  return jobs.flatMap(({ id, name, yard, day, used }) =>
    yard
      .filter((one) => one.kind === thing.kind && marked(one) === mark)
      .flatMap((one): Elsewhere[] => {
        const job = { id, name };
        const { rating, inspected } = one;
        const told: Elsewhere[] = [];
        if (rating !== null && (thing.rating === null || Math.abs(rating / thing.rating - 1) > SAME)) told.push({ job, says: 'rating', rating });
        if (inspected && (inspected.on !== thing.inspected?.on || inspected.by.trim() !== thing.inspected.by.trim()))
          told.push({ job, says: 'inspected', inspected });
        if (here !== null && here === day && used.includes(one.id)) told.push({ job, says: 'day', day });
        return told;
      }),
  );
}
