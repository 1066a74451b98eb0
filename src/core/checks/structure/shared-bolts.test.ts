import { evaluated } from '../../../../tests/evaluated';
import { passengerCanopy } from '../../../../tests/demo-plan';
import { describe as say } from '../../verdict/describe';
import type { Joint, Plan } from '../../document/schema';
import { sharersOf } from '../../document/sharers';

const A = 'along-0-0-0-j2';
const B = 'along-0-1-0-j1';
const canopy = (edit: (joint: (id: string) => Joint, plan: Plan) => unknown): Plan => {
  const plan = passengerCanopy();
  edit((id) => plan.structure.joints.find((one) => one.id === id)!, plan);
  return plan;
};
const asked = (plan: Plan): string[] =>
  evaluated(plan, '2026-11-30')
    .checks.filter(({ id }) => id === 'joint.shares')
    .map((check) => `${check.verdict} ${check.about.id} ${check.about.part}: ${say(check, 'metric')}`);
const early = (plan: Plan): string[] =>
  evaluated(plan, '2026-11-30')
    .checks.filter(({ id, verdict }) => id === 'move.order' && verdict === 'stop')
    .map((check) => say(check, 'metric'));

test('two beams at both sides of one column are asked about until each is said to have its own bolts', () => {
  expect(asked(passengerCanopy())).toEqual([]);
  const open = asked(canopy((joint) => ((joint(A).ownBolts = null), (joint(B).ownBolts = null))));
  expect(open).toEqual([
    'missing along-0-0-0-j2 along-0-1-0-j1: B-AB1, second end and B-BC1, first end come to C-B1 from both sides. Do they share bolts through it, or has each its own?',
  ]);
  // One of them said is not both.
  expect(asked(canopy((joint) => (joint(B).ownBolts = null)))[0]).toMatch(/^missing along-0-1-0-j1 along-0-0-0-j2/);
  expect(asked(canopy((joint) => (joint(A).ownBolts = null)))[0]).toMatch(/^missing along-0-0-0-j2 along-0-1-0-j1/);
});

test('what comes from one side only, or square to the other, or further along, is not asked', () => {
  const none = (edit: (joint: (id: string) => Joint, plan: Plan) => unknown) =>
    asked(canopy((joint, plan) => (plan.structure.joints.forEach((one) => (one.ownBolts = true)), (joint(A).ownBolts = null), edit(joint, plan))));
  expect(none(() => undefined)).toHaveLength(1);
  expect(none((joint) => (joint(B).b.at -= 0.3))).toEqual([]);
  expect(none((joint) => (joint(B).b.piece = 'col-2-0'))).toEqual([]);
  expect(none((joint) => (joint(A).kind = 'seat'))).toEqual([]);
  // The beam across comes square to both.
  expect(asked(canopy((joint) => (joint('across-0-1-0-j1').ownBolts = null)))).toEqual([]);
});

test('shared, whichever of the two says so, the second to be made is a stop until one bolt stays or a seat is there', () => {
  const sharing = (one: string, other: string, stays: string | null) =>
    canopy((joint) => {
      for (const id of [A, B]) joint(id).ownBolts = null;
      joint(one).sharesWith = other;
      if (stays) joint(stays).oneStays = true;
    });
  for (const [one, other] of [
    [A, B],
    [B, A],
  ] as const) {
    expect(asked(sharing(one, other, null))).toEqual([]);
    expect(early(sharing(one, other, null)).some((row) => /one wrench-tight bolt stays in B-AB1, second end/.test(row))).toBe(true);
    for (const stays of [A, B]) expect(early(sharing(one, other, stays))).toEqual([]);
  }
});

test('who shares with whom is one thing from both its ends', () => {
  const plan = canopy((joint) => (joint(B).sharesWith = A));
  const sharers = sharersOf(plan.structure.joints);
  expect(sharers.get(A)!.id).toBe(B);
  expect(sharers.get(B)!.id).toBe(A);
  expect(sharersOf(passengerCanopy().structure.joints).size).toBe(0);
});
