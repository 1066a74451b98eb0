import { portal } from '../../../../tests/portal';
import { describe as words } from '../../verdict/describe';
import { evaluate } from '../../evaluate';
import { openPlan } from '../../document/open';
import type { Plan } from '../../document/schema';

const say = (edit: (plan: Plan) => unknown, id: string): string[] => {
  const plan = portal();
  edit(plan);
  const opened = openPlan(plan);
  if (!opened.ok) throw new Error(opened.faults[0]?.error);
  return evaluate(opened.plan, '2026-11-28').checks.flatMap((one) => (one.id === id ? [`${one.verdict} ${one.about.id}: ${words(one, 'metric')}`] : []));
};

describe('the holes of a joint', () => {
  test('that nobody counted are asked, whatever it joins', () => {
    expect(say((plan) => plan.structure.joints.forEach((one) => (one.holes = null)), 'joint.holes')).toEqual([
      'missing n1: How many holes has n1? It ends with 4 bolts, and whether all are filled is not known.',
      'missing n2: How many holes has n2? It ends with 4 bolts, and whether all are filled is not known.',
      'missing n3: How many holes has n3? It ends with 4 bolts, and whether all are filled is not known.',
    ]);
    expect(say(() => undefined, 'joint.holes')).toEqual([]);
  });
});
