import type { Crane, Duty, Plan, YardThing } from './schema';

/** The cranes of a job with their charts, and the lifting gear of its yard: what another job may take over. */
export interface JobGear {
  id: string;
  name: string;
  cranes: Crane[];
  duties: Duty[];
  yard: YardThing[];
}

/** What is taken over in one step. */
export type Taken = Pick<JobGear, 'cranes' | 'duties' | 'yard'>;

/** A crane as another job has it, with all its charts; ids are this job’s own, so that no two things here share one. */
export function takenCrane(from: JobGear, crane: Crane, freshId: (prefix: string) => string): Taken {
  const id = freshId('c');
  const duties = from.duties.filter((one) => one.crane === crane.id).map((one) => ({ ...structuredClone(one), id: freshId('d'), crane: id }));
  return { cranes: [{ ...structuredClone(crane), id }], duties, yard: [] };
}

/** A thing of another job’s yard, with its tag and its inspection. */
export const takenThing = (thing: YardThing, freshId: (prefix: string) => string): Taken => ({
  cranes: [],
  duties: [],
  yard: [{ ...structuredClone(thing), id: freshId('y') }],
});

const blank = (name: string): string => name.trim().toLowerCase();
/** Whether this job has a crane, or a thing of the yard, of that name already. */
export const hasCrane = (plan: Plan, crane: Crane): boolean => plan.cranes.some(({ name }) => blank(name) === blank(crane.name));
export const hasThing = (plan: Plan, thing: YardThing): boolean =>
  (plan.yard ?? []).some(({ name, kind }) => kind === thing.kind && blank(name) === blank(thing.name));
