import goldens from './reference/goldens.json' with { type: 'json' };
import goldens2 from './reference/goldens-2.json' with { type: 'json' };
import { registry } from './registry';
import { runCalc } from './run';

interface Golden {
  id: string;
  input: unknown;
  expect: Record<string, unknown>;
  relTol: number;
  source: string;
}

function compare(got: unknown, want: unknown, relTol: number, path: string): void {
  if (typeof want === 'number') {
    if (typeof got !== 'number') throw new Error(`${path}: ${String(got)} is not a number; ${want} expected`);
    const allowed = relTol * Math.max(Math.abs(want), 1e-12) + (want === 0 ? 1e-6 : 0);
    if (!(Math.abs(got - want) <= allowed)) throw new Error(`${path}: ${got} differs from ${want} by more than ${relTol}`);
  } else if (want !== null && typeof want === 'object') {
    for (const [key, inner] of Object.entries(want)) compare((got as Record<string, unknown>)[key], inner, relTol, `${path}.${key}`);
  } else expect({ path, value: got }).toEqual({ path, value: want });
}

/** Of the second set, those the product has: the others come with the stations they belong to. */
const cases = [...(goldens as Golden[]), ...(goldens2 as Golden[]).filter(({ id }) => registry.has(id))];

describe('independently computed cases', () => {
  cases.forEach((golden, i) => {
    test(`${golden.id} ${i}: ${golden.source}`, () => {
      const outcome = runCalc(golden.id, golden.input);
      if (golden.expect.error === true) {
        expect(outcome.ok).toBe(false);
        if (!outcome.ok) expect(outcome.error.length).toBeGreaterThan(20);
        return;
      }
      if (!outcome.ok) throw new Error(`${outcome.path}: ${outcome.error}`);
      compare(outcome.output, golden.expect, golden.relTol, golden.id);
    });
  });

  test('the comparison itself fails on a wrong number and on a missing one', () => {
    expect(() => compare({ a: 1.001 }, { a: 1 }, 1e-4, 'x')).toThrow('differs');
    expect(() => compare({}, { a: 1 }, 1e-4, 'x')).toThrow('not a number');
  });
});
