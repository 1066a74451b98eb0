import { planSchema } from './schema';
import { openPlan } from './open';
import { demoPlan } from '../../../tests/demo-plan';
import { faultsOf, MOST_FAULTS } from '../calc/schema';
import { runCalc } from '../catalogue/run';

const deep = (levels: number): unknown => {
  let value: unknown = [];
  for (let i = 0; i < levels; i += 1) value = [value];
  return value;
};

/** Counts how often the fields of one object are looked at: work, not time. */
function watched(): { value: object; looks: () => number } {
  let looks = 0;
  const value = new Proxy({ id: 'm', kind: 'piece.sling', pick: 3, surprise: 1 } as Record<string, unknown>, {
    get: (target, key) => ((looks += 1), Reflect.get(target, key) as unknown),
    getOwnPropertyDescriptor: (target, key) => ((looks += 1), Reflect.getOwnPropertyDescriptor(target, key)),
  });
  return { value, looks: () => looks };
}

test('of two thousand wrong moves the first faults are told, and more; what comes after is not looked at', () => {
  const last = watched();
  const plan = { ...demoPlan(), moves: [...Array.from({ length: 2000 }, (_, i) => ({ id: `m${i}`, kind: 'piece.sling', pick: 3, surprise: 1 })), last.value] };
  const faults = faultsOf(planSchema, plan);
  expect(faults).toHaveLength(MOST_FAULTS + 1);
  expect(faults[0]).toEqual({ path: 'moves[0].pick', error: 'moves[0].pick is 3: give text.' });
  expect(faults[1]?.path).toBe('moves[0].surprise');
  expect(faults[MOST_FAULTS]?.error).toMatch(/and more/);
  // Once by the validator at most, and never by the walk.
  expect(last.looks()).toBe(0);
});
test('fifty thousand wrong members are too many before they are wrong', () => {
  const plan = { ...demoPlan(), members: Array.from({ length: 50000 }, () => ({ id: 1 })) };
  expect(faultsOf(planSchema, plan)).toEqual([{ path: 'members', error: 'members has 50000 entries: give at most 20000.' }]);
});
test('of a union the branch of its kind is complained about, however deep', () => {
  const plan = demoPlan() as unknown as { moves: Record<string, unknown>[]; wayIn: { legs: unknown[] }; members: { make: unknown }[] };
  plan.moves[4] = { id: 'm5', kind: 'end.bolt', piece: 'tb1', end: 'middle', bolts: 2.5 };
  plan.members[0]!.make = { kind: 'girder', webDepth: 0.5, web: 0.01, topFlange: { width: 0.2 }, bottomFlange: { width: 0.2, thickness: 0.02 } };
  const told = faultsOf(planSchema, plan);
  expect(told.map((fault) => fault.path)).toEqual(['moves[4].end', 'moves[4].bolts', 'members[0].make.topFlange.thickness']);
});
test('nesting without end is a fault in few words', () => {
  const faults = faultsOf(planSchema, { ...demoPlan(), pieces: deep(100000) });
  expect(faults).toHaveLength(1);
  expect(faults[0]!.error.length).toBeLessThan(120);
  expect(openPlan(deep(100000))).toMatchObject({ ok: false });
});
test.each(['a\u0000b', 'half \ud800', '\udc00 half'])('text %j is no text', (name) => {
  const plan = demoPlan();
  plan.job.name = name;
  expect(openPlan(plan)).toMatchObject({ ok: false, faults: [{ path: 'job.name', error: expect.stringMatching(/no text holds/) as unknown }] });
});
test('a whole pair is text', () => {
  const plan = demoPlan();
  plan.job.name = 'hall \u{1F3D7}';
  expect(openPlan(plan).ok).toBe(true);
});
test('a long name of a field is cut in the sentence', () => {
  const refused = runCalc('fit.thermal', { length: 1, deltaT: 1, coefficient: 1, ['x'.repeat(100000)]: 1 });
  expect(refused.ok ? '' : refused.error.length).toBeLessThan(200);
});
test('lengths typed in millimetres are refused at the door', () => {
  const plan = demoPlan();
  plan.pieces[0]!.length = 9000;
  expect(openPlan(plan)).toMatchObject({ ok: false, faults: [{ path: 'pieces[0].length' }] });
  const far = demoPlan();
  far.stands[0]!.at.x = 12400;
  expect(openPlan(far)).toMatchObject({ ok: false, faults: [{ path: 'stands[0].at.x' }] });
});
