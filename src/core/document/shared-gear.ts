import { MADE_UP_CHART, modelCranes, type ModelCrane } from '../cranes/models';
import { newTower } from './new-tower';
import type { Crane, Duty, Plan, YardThing } from './schema';

/** The cranes of a job with their charts, and the lifting gear of its yard: what another job may take over. */
export interface JobGear {
  id: string;
  name: string;
  cranes: Crane[];
  duties: Duty[];
  yard: YardThing[];
  /** on which its lifts are made; null: nobody says */
  day: string | null;
  /** ids of the things of its yard that some lift, or a leg of a way in, is made with */
  used: string[];
}

/** What is taken over in one step. */
export type Taken = Pick<JobGear, 'cranes' | 'duties' | 'yard'>;

/** A crane as another job has it, with all its charts; ids are this job’s own, so that no two things here share one. */
export function takenCrane(from: JobGear, crane: Crane, freshId: (prefix: string) => string): Taken {
  const id = freshId('c');
  const duties = from.duties.filter((one) => one.crane === crane.id).map((one) => ({ ...structuredClone(one), id: freshId('d'), crane: id }));
  const own = structuredClone(crane);
  // What holds its mast is of the job it comes from.
  if (own.tower) delete own.tower.heldAt;
  return { cranes: [{ ...own, id }], duties, yard: [] };
}

/** A crane of this job of which nothing is known but that there is one: no chart, no weights, its sizes not said. */
export const isBlank = ({ chart, parts, unsaid = [] }: Crane): boolean => chart === null && parts.length === 0 && unsaid.includes('tailRadius');

/** The same in place of a crane of which nothing is known: its stands and its lifts stay as they are. */
export function takenAs(
  from: JobGear,
  crane: Crane,
  blank: string,
  freshId: (prefix: string) => string,
): { changes: Partial<Omit<Crane, 'id'>>; duties: Duty[] } {
  const { cranes, duties } = takenCrane(from, crane, freshId);
  const { id: _, ...sizes } = cranes[0]!;
  return { changes: { ...sizes, unsaid: [] }, duties: duties.map((duty) => ({ ...duty, crane: blank })) };
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

const partsOf = ({ carrier, upper, counterweight, boom }: NonNullable<ModelCrane['weights']>): Crane['parts'] => [
  { what: 'Carrier', mass: carrier[0], on: 'chassis', x: carrier[1], y: 0 },
  { what: 'Upper works', mass: upper[0], on: 'slewing', r: upper[1] },
  { what: 'Counterweight', mass: counterweight[0], on: 'slewing', r: counterweight[1] },
  { what: 'Boom', mass: boom[0], on: 'boom', along: boom[1] },
];

/** A made-up crane as a plan has one: nobody inspected it, and whose chart it is is asked. */
function asCrane({ name, kind: _, shoe, mast, weights, chart, ...sizes }: ModelCrane, n: number): Crane {
  return {
    id: `model-${n}`,
    name,
    ...sizes,
    chart,
    chartSource: MADE_UP_CHART,
    chartGust: mast ? 20 : 9.8,
    chartBase: { length: sizes.baseLength, width: sizes.baseWidth },
    ...(shoe === null ? {} : { tracks: { shoe } }),
    ...(mast ? { tower: newTower() } : {}),
    parts: weights ? partsOf(weights) : [],
  };
}

/** The made-up cranes that come with the product, as if a job had them. */
export const models: JobGear = {
  id: 'models',
  name: 'Made-up models, to try with',
  cranes: modelCranes.map(asCrane),
  duties: [],
  yard: [],
  day: null,
  used: [],
};
export const modelKinds: ReadonlyMap<string, string> = new Map(modelCranes.map(({ kind }, n) => [`model-${n}`, kind]));

/** The name a crane gets here: its own, or with a number where this job has one of that name. */
export function nameHere(plan: Plan, crane: Crane): string {
  if (!hasCrane(plan, crane)) return crane.name;
  for (let n = 2; ; n += 1) {
    const name = `${crane.name}, no. ${n}`;
    if (!hasCrane(plan, { ...crane, name })) return name;
  }
}
