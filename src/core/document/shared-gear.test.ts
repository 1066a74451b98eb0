import { demoPlan, quayFootbridge } from '../../../tests/demo-plan';
import { openPlan } from './open';
import { startHistory } from '../edit/history';
import { perform } from '../edit/perform';
import { auditChart } from '../cranes/chart-audit';
import { MADE_UP_CHART } from '../cranes/models';
import { evaluate } from '../evaluate';
import { unknownCrane } from './new-plan';
import { hasCrane, hasThing, isBlank, modelKinds, models, nameHere, takenAs, takenCrane, takenThing, type JobGear } from './shared-gear';
import type { Duty } from './schema';

let n = 0;
const fresh = (prefix: string): string => `${prefix}-new-${(n += 1)}`;
const duty = (id: string, crane: string): Duty => ({ id, crane, name: 'Rear', chart: null, chartSource: '', chartGust: null, chartBase: null });

function bridge(): JobGear {
  const { cranes, yard = [] } = quayFootbridge();
  return { id: 'b', name: 'Quay footbridge', cranes, duties: [duty('d1', cranes[0]!.id), duty('d2', 'another')], yard, day: null, used: [] };
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

describe('the models', () => {
  /** The footbridge with a model in place of its crane. */
  const withModel = (n: number) => {
    const plan = quayFootbridge();
    plan.cranes = [{ ...structuredClone(models.cranes[n]!), id: plan.cranes[0]!.id, inspected: plan.cranes[0]!.inspected }];
    return plan;
  };
  const rows = (n: number, pattern: RegExp) => evaluate(withModel(n), '2026-11-28').checks.filter(({ id }) => pattern.test(id));

  test.each(models.cranes.map((crane, n) => [crane.name, n] as const))(
    '%s: its sizes are those of a crane, and nothing of its chart is out of line',
    (_, n) => {
      expect(openPlan(withModel(n)).ok).toBe(true);
      expect(rows(n, /^crane\.size$|^said\./)).toEqual([]);
      const { cells, runs } = auditChart(models.cranes[n]!.chart!);
      expect([cells, runs]).toEqual([[], []]);
      expect(modelKinds.get(models.cranes[n]!.id)).toBeTruthy();
      // Each boom lifts something somewhere, less the farther out, and no more than what the crane is called by.
      const { capacity, booms } = models.cranes[n]!.chart!;
      booms.forEach((__, b) => {
        const column = capacity.flatMap((row) => row[b] ?? []);
        expect(column.length).toBeGreaterThan(3);
        expect(column).toEqual([...column].sort((x, y) => y - x));
      });
      expect(Math.max(...capacity.flat().map((one) => one ?? 0)) / 1000).toBeLessThanOrEqual(Number(models.cranes[n]!.name.split(' ')[1]));
    },
  );

  test('a chart that is made up is asked for the maker’s own, and is never clear', () => {
    expect(rows(1, /^crane\.chartSource$/).map(({ verdict, finding }) => [verdict, finding])).toEqual([
      [
        'missing',
        expect.objectContaining({ question: expect.stringMatching(/^The chart of Curlew 50 is made up, to try with\. Paste the maker’s own/) as string }),
      ],
    ]);
    const own = withModel(1);
    own.cranes[0]!.chartSource = 'Maker’s chart 7, 2024';
    expect(evaluate(own, '2026-11-28').checks.filter(({ id }) => id === 'crane.chartSource')).toEqual([]);
    expect(models.cranes.every(({ chartSource, inspected }) => chartSource === MADE_UP_CHART && inspected === undefined)).toBe(true);
  });
});

test('in place of a crane of which nothing is known: its id, stands and lifts stay, its charts are taken too', () => {
  const plan = demoPlan();
  plan.cranes.push({ ...unknownCrane(), id: 'c2', name: 'Crane 2' });
  expect(plan.cranes.map(isBlank)).toEqual([false, true]);
  expect(isBlank({ ...plan.cranes[1]!, chart: plan.cranes[0]!.chart })).toBe(false);
  expect(isBlank({ ...plan.cranes[1]!, parts: plan.cranes[0]!.parts })).toBe(false);
  expect(isBlank({ ...plan.cranes[1]!, unsaid: [] })).toBe(false);
  const from = bridge();
  const { changes, duties } = takenAs(from, from.cranes[0]!, 'c2', fresh);
  expect(duties.map(({ crane }) => crane)).toEqual(['c2']);
  const done = perform(startHistory(plan), { name: 'editCrane', args: { id: 'c2', changes } });
  if (!done.ok) throw new Error(done.faults[0]!.error);
  const { unsaid, ...now } = done.history.plan.cranes[1]!;
  expect(now).toEqual({ ...from.cranes[0]!, id: 'c2' });
  expect(unsaid ?? []).toEqual([]);
  expect(openPlan(structuredClone(done.history.plan)).ok).toBe(true);
});

test('of two cranes of one name the second has a number', () => {
  const plan = quayFootbridge();
  const [crane] = plan.cranes;
  expect(nameHere(demoPlan(), crane!)).toBe('Curlew 50');
  expect(nameHere(plan, crane!)).toBe('Curlew 50, no. 2');
  plan.cranes.push({ ...crane!, id: 'c2', name: 'curlew 50, NO. 2' });
  expect(nameHere(plan, crane!)).toBe('Curlew 50, no. 3');
});
