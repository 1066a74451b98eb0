import { demoPlan, passengerCanopy, quayFootbridge, stiff } from '../../../../tests/demo-plan';
import { rulesOf } from '../../rules/rule-sets';
import { alongWay, worstOf } from './along-way';
import { evaluate } from '../../evaluate';
import { Missing } from '../../verdict/missing';
import { hooksOf } from '../lift/pick-context';
import type { Plan } from '../../document/schema';
import { settle } from '../../settle/settle';

const along = (plan: Plan, n = 0, hook = 0) => {
  const settled = settle(plan);
  return alongWay(settled, hooksOf(settled, settled.picks[n]!)[hook]!, rulesOf(plan.job.ruleSet, plan.job.thresholds));
};
const points = (plan: Plan, n = 0, hook = 0) => {
  const found = along(plan, n, hook);
  if (found instanceof Missing) throw new Error(found.questions.join());
  return found;
};
const worst = (plan: Plan, n = 0, hook = 0) => Math.max(...points(plan, n, hook).map(({ share }) => share ?? Infinity));
const ratio = (plan: Plan, id: string, part?: string) =>
  evaluate(plan, '2026-11-28').checks.find((check) => check.id === 'lift.chart' && check.about.id === id && check.about.part === part)!.ratio!;

test('its worst is what the check says, for every lift of the demo jobs', () => {
  for (const plan of [demoPlan(), quayFootbridge(), passengerCanopy()])
    for (const [n, { id }] of plan.picks.slice(0, 8).entries()) expect([id, worst(plan, n)]).toEqual([id, expect.closeTo(ratio(plan, id), 9)]);
});

test('of two cranes each has its own, of the share it may use', () => {
  const plan = stiff(quayFootbridge());
  plan.stands.push({ ...plan.stands[0]!, id: 'w9', name: 'W9', at: { x: 23, y: -9 }, crane: 'c9' });
  plan.stands[0]!.at = { x: -5, y: -9 };
  plan.cranes.push({ ...structuredClone(plan.cranes[0]!), id: 'c9', name: 'Other' });
  plan.picks[0]!.second = { stand: 'w9', boom: 27, slingRating: 5000, riggingMass: 95 };
  expect(worst(plan, 0, 0)).toBeCloseTo(ratio(plan, 'k1'), 9);
  expect(worst(plan, 0, 1)).toBeCloseTo(ratio(plan, 'k1', 'w9'), 9);
});

test('where the chart gives nothing there is no share, and the rest of the way keeps its own', () => {
  const plan = quayFootbridge();
  // Nothing past 10 m on this boom: the way begins at 11.0 m and ends at 8.2 m.
  plan.cranes[0]!.chart!.capacity.forEach((row, i) => {
    if (plan.cranes[0]!.chart!.radii[i]! > 10) row[3] = null;
  });
  const found = points(plan);
  expect(found[0]).toMatchObject({ phase: 'raise', share: null });
  expect(found.at(-1)!.share).toBeCloseTo(5249.17 / 13280, 4);
  plan.cranes[0]!.chart = null;
  expect(along(plan)).toBeInstanceOf(Missing);
  plan.picks[0]!.riggingMass = null;
  expect((along(plan) as Missing).questions[0]).toContain('slings');
});

test('the worst place takes most of the chart; of places that take as much, the one furthest out', () => {
  const at = (share: number | null, radius: number) => ({ phase: 'slew' as const, radius, share });
  expect(worstOf([at(0.5, 9), at(0.7, 10), at(0.7, 12), at(0.7, 11), at(0.2, 14)])).toBe(2);
  expect(worstOf([at(null, 20), at(0.1, 9)])).toBe(1);
});
