import { demoPlan, stiff, passengerCanopy } from '../../../../tests/demo-plan';
import { rulesOf } from '../../rules/rule-sets';
import { bestPicks } from './best-picks';
import { levelled } from './tilt';
import type { Hanging } from '../../settle/hanging';
import { pickContext } from './pick-context';
import { replay } from '../../replay/replay';
import type { Plan } from '../../document/schema';
import { settle } from '../../settle/settle';
import type { Context } from '../context';

const contextOf = (drawn: Plan): Context => {
  const plan = settle(drawn);
  return { plan, today: '2026-11-27', rules: rulesOf(plan.job.ruleSet, plan.job.thresholds), replayed: replay(plan) };
};
const hall = (edit: (plan: Plan) => unknown = () => undefined): Plan => {
  const plan = stiff(demoPlan());
  edit(plan);
  return plan;
};
const bestOf = (plan: Plan) => {
  const context = contextOf(plan);
  return bestPicks(context, context.plan.picks[0]!);
};
/** All of it alike from end to end: no packing, nothing left on. */
const bare = (plan: Plan) => ((plan.pieces[0]!.packing = []), (plan.pieces[0]!.attachments = []));

test('a piece alike from end to end bends least where its overhang bends it as much as its middle: 0.207 of its length from either end', () => {
  const { best, tried } = bestOf(hall(bare))!;
  // w·a²/2 = w·(L/2 − a)²/2 − w·a²/2, so a = 0.2071 L of 9 m.
  expect(best!.left).toBeCloseTo(0.2071 * 9, 0);
  expect(best!.left).toBeCloseTo(best!.right, 2);
  const same = tried.filter(({ verdict }) => verdict === best!.verdict);
  expect(Math.min(...same.map(({ body }) => body!))).toBe(best!.body);
  expect(same.length).toBeGreaterThan(5);
});

test('every choice is level about the balance point, wherever that is', () => {
  const plan = hall((one) => (one.pieces[0]!.attachments = [{ id: 'a9', what: 'Lump', mass: 400, at: 1 }]));
  const context = contextOf(plan);
  const { tried } = bestPicks(context, context.plan.picks[0]!)!;
  const { weight } = pickContext(context.plan, context.plan.picks[0]!);
  const balance = (weight as { cg: { x: number } }).cg.x;
  expect(balance).toBeLessThan(4.2);
  for (const { left, right } of tried) expect((left + 9 - right) / 2).toBeCloseTo(balance, 1);
  expect(tried.every(({ left, right }) => left >= 0 && right >= 0)).toBe(true);
});

test('what stops the lift wherever it is picked up leaves no best; a weaker sling is no matter of the piece', () => {
  const none = bestOf(hall((plan) => (plan.picks[0]!.slingRating = 100)))!;
  expect(none.best).toBeNull();
  expect(none.now.verdict).toBe('stop');
  const unknown = bestOf(hall((plan) => (plan.picks[0]!.slingRating = null)))!;
  expect(unknown.now).toMatchObject({ verdict: 'missing', share: null });
});

test('under a spreader it is picked up below its ends, and nowhere else', () => {
  const rig = { kind: 'spreader', name: '', length: 5, own: 200, rating: 6000, section: '', grade: '', top: 4, topRating: 4000 } as const;
  const { tried } = bestOf(hall((plan) => Object.assign(plan.picks[0]!, { rig, legs: { left: 2, right: 2 } })))!;
  expect(tried).toHaveLength(1);
  expect(tried[0]!.between).toBeCloseTo(5, 1);
  expect(tried[0]!.legs).toEqual({ left: 2, right: 2 });
});

test('what is turned upright, or on two hooks, or weighs nobody knows what, has no such choice', () => {
  expect(bestOf(passengerCanopy())).toBeNull();
  expect(bestOf(hall((plan) => (plan.pieces[0]!.section = 'Spruce')))).toBeNull();
  expect(bestOf(hall((plan) => (plan.picks[0]!.second = { stand: plan.stands[0]!.id, boom: null, slingRating: null, riggingMass: null })))).toBeNull();
});

test('legs that hang it level do so, to the centimetre they are given in', () => {
  const plan = hall((one) => Object.assign(one.picks[0]!, { left: 1.8, right: 2.9, legs: { left: 3.5, right: 3.5 } }));
  const tilt = (one: Plan) => (pickContext(settle(one), settle(one).picks[0]!).hanging as Hanging).tiltDeg;
  expect(Math.abs(tilt(plan))).toBeGreaterThan(2);
  const legs = levelled(pickContext(settle(plan), settle(plan).picks[0]!))!;
  plan.picks[0]!.legs = legs;
  expect(Math.abs(tilt(plan))).toBeLessThan(0.2);
});
