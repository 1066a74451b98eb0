import { demoPlan, passengerCanopy, quayFootbridge } from '../../../../tests/demo-plan';
import { rulesOf } from '../../rules/rule-sets';
import { evaluate } from '.';
import type { Check } from '../check';
import { replay } from '../replay';
import type { Plan } from '../schema';
import { settle } from '../settle';
import { worstFirst } from '../worst-first';
import type { Context } from './context';
import { craneWays, withoutCrane } from './ways-up';

const TODAY = '2026-11-28';
const contextOf = (drawn: Plan): Context => {
  const plan = settle(drawn);
  return { plan, today: TODAY, rules: rulesOf(plan.job.ruleSet, plan.job.thresholds), replayed: replay(plan) };
};
const waysOf = (plan: Plan, n = 0) => craneWays(contextOf(plan), plan.picks[n]!);

/** What the evaluation of the whole plan says of that lift. */
const wholly = (plan: Plan, pick: string, stand: string): Check => {
  const kinds = /^(lift|rigging|pick|stand\.(ground|tips|tail|power))/;
  return worstFirst(
    evaluate(plan, TODAY).checks.filter(
      ({ id, about }) =>
        kinds.test(id) && ((about.kind === 'pick' && about.id === pick) || (about.kind === 'stand' && about.id === stand && about.part === pick)),
    ),
  )[0]!;
};

test('a pick as it is says what the plan says; another stand what the plan would say with it', () => {
  const plan = quayFootbridge();
  const [now] = waysOf(plan).filter((one) => one.now);
  expect(now).toMatchObject({ boom: 27, stand: { id: 'w1' }, crane: 'Curlew 50' });
  expect(now!.verdict).toBe(wholly(plan, 'k1', 'w1').verdict);
  const other = waysOf(plan).find(({ stand }) => stand.id === 'w2')!;
  const moved = quayFootbridge();
  Object.assign(moved.picks[0]!, { stand: 'w2', boom: other.boom });
  expect(other.verdict).toBe(wholly(moved, 'k1', 'w2').verdict);
  expect(other.governs!.id).toBe(wholly(moved, 'k1', 'w2').id);
});

test('the best stand first: a stop never before a clear one, and of alike ones what takes less of the chart', () => {
  const plan = passengerCanopy();
  for (const n of [0, 20, 30]) {
    const ways = waysOf(plan, n);
    expect(ways.map(({ stand }) => stand.id).length).toBeGreaterThan(1);
    const order = ['clear', 'tight', 'missing', 'stop'];
    const ranks = ways.map(({ verdict, share }) => order.indexOf(verdict) * 1000 + (share ?? 999));
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
    expect(ways.filter((one) => one.now)).toHaveLength(1);
  }
  const far = quayFootbridge();
  far.stands.push({ ...far.stands[0]!, id: 'w3', name: 'W3', at: { x: 400, y: 400 } });
  expect(waysOf(far).map(({ stand }) => stand.id)).not.toContain('w3');
});

test('a stand it may not be lifted from is told with what stops it; two cranes never both stand on one', () => {
  const plan = quayFootbridge();
  plan.stands.find(({ id }) => id === 'w2')!.groundAllowable = 1000;
  expect(waysOf(plan).find(({ stand }) => stand.id === 'w2')).toMatchObject({ verdict: 'stop', governs: { id: 'stand.ground' } });
  plan.picks[0]!.second = { stand: 'w2', boom: 27, slingRating: 5000, riggingMass: 95 };
  expect(waysOf(plan).map(({ stand }) => stand.id)).toEqual(expect.not.arrayContaining(['w2']));
});

test('without a crane: 1188 kg less slings and block on two places a tenth in, and the people at each end', () => {
  const plan = demoPlan();
  const context = contextOf(plan);
  const found = withoutCrane(context, plan.picks[0]!)!;
  const mass = 92.1 * plan.pieces[0]!.length;
  expect(found.each).toBeGreaterThan(mass / 2);
  expect(found.each).toBeLessThan(mass);
  // Balanced near its middle: half each, and what 50 mm of uneven rise walks over.
  expect(found.each / (mass * 1.05)).toBeLessThan(0.6);
  expect(found.in).toBeCloseTo(plan.pieces[0]!.length / 10, 9);
  // Three or more lift half of 25 kg each.
  expect(found.people).toBe(Math.ceil(found.each / 12.5));
  plan.pieces[0]!.section = 'ZZ 9';
  expect(withoutCrane(contextOf(plan), plan.picks[0]!)).toBeNull();
});
