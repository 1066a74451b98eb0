import { demoPlan, quayFootbridge } from '../../../tests/demo-plan';
import { openPlan } from './open';
import { startHistory } from './history';
import { perform } from './perform';
import { hasCrane, hasThing, takenCrane, takenThing, type JobGear } from './shared-gear';
import type { Duty } from './schema';

let n = 0;
const fresh = (prefix: string): string => `${prefix}-new-${(n += 1)}`;
const duty = (id: string, crane: string): Duty => ({ id, crane, name: 'Rear', chart: null, chartSource: '', chartGust: null, chartBase: null });

function bridge(): JobGear {
  const { cranes, yard = [] } = quayFootbridge();
  return { id: 'b', name: 'Quay footbridge', cranes, duties: [duty('d1', cranes[0]!.id), duty('d2', 'another')], yard };
}

test('a crane is taken with its charts and no other’s, under ids of this job; the other job keeps its own', () => {
  const from = bridge();
  const before = structuredClone(from);
  const taken = takenCrane(from, from.cranes[0]!, fresh);
  expect(taken.cranes).toHaveLength(1);
  expect(taken.duties).toHaveLength(1);
  expect(taken.duties[0]!.crane).toBe(taken.cranes[0]!.id);
  expect(new Set([taken.cranes[0]!.id, taken.duties[0]!.id, from.cranes[0]!.id, 'd1']).size).toBe(4);
  expect(taken.cranes[0]).toEqual({ ...from.cranes[0]!, id: taken.cranes[0]!.id });
  taken.cranes[0]!.chart!.radii[0] = 99;
  expect(from).toEqual(before);
});

test('taken in one step, it opens again, and one step back takes it all off', () => {
  const plan = demoPlan();
  const from = bridge();
  const one = takenCrane(from, from.cranes[0]!, fresh);
  const next = perform(startHistory(plan), { name: 'takeGear', args: { ...one, yard: takenThing(from.yard[0]!, fresh).yard } });
  if (!next.ok) throw new Error(next.faults[0]!.error);
  const now = next.history.plan;
  expect(now.cranes).toHaveLength(plan.cranes.length + 1);
  expect(now.duties).toHaveLength(1);
  expect(now.yard!.at(-1)).toMatchObject({ name: from.yard[0]!.name, rating: from.yard[0]!.rating, inspected: from.yard[0]!.inspected });
  expect(openPlan(structuredClone(now)).ok).toBe(true);
  expect(hasCrane(now, from.cranes[0]!)).toBe(true);
  expect(hasThing(now, from.yard[0]!)).toBe(true);
});

test('a name this job has already is seen, however it is written; of another kind it is another thing', () => {
  const plan = quayFootbridge();
  const [crane] = plan.cranes;
  expect(hasCrane(plan, { ...crane!, id: 'x', name: `  ${crane!.name.toUpperCase()} ` })).toBe(true);
  expect(hasCrane(plan, { ...crane!, name: 'Plover 9' })).toBe(false);
  const [slings] = plan.yard!;
  expect(hasThing(plan, { ...slings!, id: 'x' })).toBe(true);
  expect(hasThing(plan, { ...slings!, kind: 'hoist' })).toBe(false);
  expect(hasThing(demoPlan(), slings!)).toBe(false);
});
