import { evaluated } from '../../../../tests/evaluated';
import { quayFootbridge, vehicleRamp } from '../../../../tests/demo-plan';
import { describe as words } from '../../verdict/describe';
import type { Brace, Plan } from '../../document/schema';

const TODAY = '2026-11-28';
const asked = (edit: (brace: Brace) => unknown) => {
  const plan: Plan = quayFootbridge();
  edit(plan.structure.braces[0]!);
  return evaluated(plan, TODAY).checks.flatMap((one) => (one.id === 'brace.weight' ? [`${one.verdict} ${one.about.id}: ${words(one, 'metric')}`] : []));
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

describe('what lifts a brace or a load', () => {
  const rows = (edit: (plan: Plan) => unknown, id: string) => {
    const plan = vehicleRamp();
    edit(plan);
    return evaluated(plan, '2026-11-30').checks.filter((one) => one.id === id);
  };
  const frame = (plan: Plan) => plan.structure.braces[3]!;
  test('what two people do not put up by hand is asked for, what they do is not', () => {
    expect(rows(() => undefined, 'brace.lifted')).toEqual([]);
    const [asked] = rows((p) => (frame(p).liftedBy = 'tbd'), 'brace.lifted');
    expect(asked).toMatchObject({ verdict: 'missing', demand: 310, about: { kind: 'brace', id: 'frame4-1' } });
    expect(rows((p) => Object.assign(frame(p), { liftedBy: '', mass: 50 }), 'brace.lifted')).toEqual([]);
    expect(rows((p) => Object.assign(frame(p), { liftedBy: undefined, mass: 50.1 }), 'brace.lifted')).toHaveLength(1);
    expect(rows((p) => (Object.assign(frame(p), { liftedBy: '', mass: 60 }), (p.job.thresholds.personLift = 30)), 'brace.lifted')).toEqual([]);
  });
  test('a bundle, and any other load of half a tonne, is asked for', () => {
    const load = (over: object) => (p: Plan) => (p.structure.loads = [{ id: 'l', what: 'form panels', piece: 'g1-1', at: 3, force: 4000, ...over }]);
    const bundle = { force: 2000, joists: 3, edge: 0.2, by: 'M. Lindqvist' };
    expect(rows(load({}), 'load.lifted')).toEqual([]);
    expect(rows(load({ force: 5001 }), 'load.lifted')).toMatchObject([{ verdict: 'missing', demand: 5001, about: { id: 'g1-1', part: 'l' } }]);
    expect(rows(load({ force: 5001, liftedBy: 'the crane, K. Osei' }), 'load.lifted')).toEqual([]);
    expect(rows(load({ bundle }), 'load.lifted')).toMatchObject([{ demand: 2000 }]);
    expect(rows(load({ bundle: { ...bundle, force: 400 } }), 'load.lifted')).toEqual([]);
    expect(rows(load({ force: 9000, unsaid: ['force'] }), 'load.lifted')).toEqual([]);
  });
});
