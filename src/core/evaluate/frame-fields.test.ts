import { braced } from '../../../tests/diagonal';
import { gable } from '../../../tests/gable';
import { square } from '../../../tests/portal';
import { afresh, sharing } from '../document/keep';
import type { Plan } from '../document/schema';
import { evaluate } from './';

const TODAY = '2026-11-27';
const told = (plan: Plan): string[] =>
  evaluate(plan, TODAY)
    .checks.map(({ traces: _, ...check }) => JSON.stringify(check))
    .sort();

type Thing = Record<string, unknown>;
/** Another value of the same kind, or one where there was none. */
function another(value: unknown): unknown {
  if (typeof value === 'number') return value * 1.07 + 0.01;
  if (typeof value === 'boolean') return !value;
  if (value === null || value === undefined || typeof value === 'string' || Array.isArray(value)) return undefined;
  const [field, first] = Object.entries(value).find(([, one]) => typeof one === 'number') ?? [];
  return field === undefined ? undefined : { ...value, [field]: (first as number) * 1.07 + 0.01 };
}

/**
 * Whatever figure of a frame is another: asked of the plan as it was before, and of it as if it had never been seen. What is kept from
 * one edit to the next goes by lists of fields that move no frame; a field that is wrongly on one is found here.
 */
describe.each([
  ['four columns and their ropes', square],
  ['a portal with a diagonal', () => braced()],
  ['rafters', gable],
])('each field of a frame, edited: %s', (_, make) => {
  const plan = make();
  const before = told(plan);
  const lists = ['supports', 'joints', 'braces', 'makes', 'pieces'] as const;
  const cases = lists.flatMap((list) => {
    const kinds = new Map<string, number>();
    (plan.structure[list] as unknown as Thing[]).forEach((one, i) => {
      const kind = String(one.kind ?? '');
      if (!kinds.has(kind)) kinds.set(kind, i);
    });
    return [...kinds].flatMap(([kind, i]) =>
      Object.entries((plan.structure[list] as unknown as Thing[])[i]!).flatMap(([field, value]) => {
        const next = another(value);
        return next === undefined ? [] : [[`${list} ${kind} ${field}`, list, i, field, next] as const];
      }),
    );
  });
  test('there are fields of every list', () => expect(new Set(cases.map(([, list]) => list)).size).toBe(lists.length));
  test.each(cases)('%s', (_, list, i, field, next) => {
    const edited = structuredClone(plan);
    (edited.structure[list] as unknown as Thing[])[i]![field] = next;
    evaluate(plan, TODAY);
    const shared = sharing(plan, edited);
    expect(told(shared)).toEqual(afresh(() => told(structuredClone(shared))));
  });
  test('and back again', () => expect(told(plan)).toEqual(before));
});
