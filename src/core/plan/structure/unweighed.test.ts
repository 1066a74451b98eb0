import { quayFootbridge } from '../../../../tests/demo-plan';
import { describe as words } from '../describe';
import { evaluate } from '../evaluate';
import type { Brace, Plan } from '../schema';

const TODAY = '2026-11-28';
const asked = (edit: (brace: Brace) => unknown) => {
  const plan: Plan = quayFootbridge();
  edit(plan.structure.braces[0]!);
  return evaluate(plan, TODAY).checks.flatMap((one) => (one.id === 'brace.weight' ? [`${one.verdict} ${one.about.id}: ${words(one, 'metric')}`] : []));
};

describe('what ties pieces rests on them', () => {
  test.each(['crossFrame', 'diaphragm', 'strut', 'knee', 'deck'] as const)('a %s nobody weighed is asked about, by its two pieces', (kind) => {
    expect(asked((one) => Object.assign(one, { kind, mass: null }))).toEqual([
      'missing x1: What does Cross-frame 1 weigh, with its bolts? Half of it rests on G1a and half on G2a.',
    ]);
    expect(asked((one) => Object.assign(one, { kind, mass: 60 }))).toEqual([]);
  });
  test.each(['guy', 'bridging'] as const)('a %s is not', (kind) => {
    expect(asked((one) => Object.assign(one, { kind, mass: null }))).toEqual([]);
  });
  test('one that ties a piece to the ground hangs on that piece', () => {
    expect(asked((one) => Object.assign(one, { kind: 'knee', mass: null, b: null, anchoredTo: 'the pier' }))).toEqual([
      'missing x1: What does Cross-frame 1 weigh, with its bolts? Half of it hangs on G1a.',
    ]);
  });
});
