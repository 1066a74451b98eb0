import { Ajv2020 } from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { Type, type TSchema } from 'typebox';
import { demoPlan, linkSpan, passengerCanopy, quayFootbridge, ticketHall, vehicleRamp } from '../../../tests/demo-plan';
import { planSchema } from './schema';
import { closed, nullable, oneOf } from '../calc/fields';
import { fits } from '../calc/fits';
import { faultsOf } from '../calc/schema';

const ajv = new Ajv2020({ strictTypes: false, validateSchema: false });
ajv.addKeyword('unit');
const whole = ajv.compile(planSchema);
const byParts = (value: unknown, schema: TSchema = planSchema) => fits(schema, value, (node, part) => ajv.validate(node, part));

const plans = [demoPlan, ticketHall, quayFootbridge, linkSpan, vehicleRamp, passengerCanopy];

test('every demo plan fits, part by part as a whole', () => {
  for (const plan of plans) expect([byParts(plan()), whole(plan())]).toEqual([true, true]);
});

/** One thing somewhere in a plan put otherwise. */
function harmed(plan: unknown, pick: () => number): unknown {
  let at = plan as Record<string, unknown>;
  for (;;) {
    const keys = Object.keys(at);
    if (keys.length === 0) return plan;
    const key = keys[Math.floor(pick() * keys.length)]!;
    const inner = at[key];
    if (typeof inner === 'object' && inner !== null && Object.keys(inner).length > 0 && pick() > 0.2) {
      at = inner as Record<string, unknown>;
      continue;
    }
    const others = [undefined, null, '', 'nonsense', -1, 0, 3.5, 1e12, true, [], {}, [1], { kind: 'nothing' }, '\u0000', inner];
    const how = pick();
    if (how < 0.2) delete at[key];
    else if (how < 0.35) at[`${key}x`] = inner;
    else if (how < 0.45 && Array.isArray(at)) (at as unknown[]).push({ id: 'more' });
    else at[key] = others[Math.floor(pick() * others.length)];
    return plan;
  }
}

test('whatever is put otherwise in a plan, the parts say what the whole says', () => {
  let misfits = 0;
  fc.assert(
    fc.property(fc.nat(plans.length - 1), fc.array(fc.double({ min: 0, max: 0.999999, noNaN: true }), { minLength: 40, maxLength: 40 }), (n, dice) => {
      let turn = 0;
      const plan = harmed(plans[n]!(), () => dice[turn++ % dice.length]!);
      const right = whole(plan);
      if (!right) misfits += 1;
      expect([byParts(plan), faultsOf(planSchema, plan).length === 0, whole.errors?.map(({ message, instancePath }) => `${instancePath} ${message}`)]).toEqual([
        right,
        right,
        whole.errors?.map(({ message, instancePath }) => `${instancePath} ${message}`),
      ]);
    }),
    { numRuns: 400 },
  );
  expect(misfits).toBeGreaterThan(100);
});

describe('large schemas of each shape', () => {
  const many = Object.fromEntries(Array.from({ length: 30 }, (_, n) => [`f${n}`, Type.Number()]));
  const full = Object.fromEntries(Object.keys(many).map((key) => [key, 1]));
  const kinds = Type.Union([
    closed({ kind: Type.Literal('a'), ...many }),
    closed({ kind: Type.Literal('b'), ...many, more: Type.String() }),
    closed({ kind: oneOf(['c', 'd']), ...many }),
  ]);
  const sparse = Type.Object({ ...many, maybe: Type.Optional(Type.String()) });
  test.each<[string, TSchema, unknown, boolean]>([
    ['a list that is empty', Type.Array(kinds), [], true],
    ['a list that must not be', Type.Array(kinds, { minItems: 1 }), [], false],
    [
      'a list that is too long',
      Type.Array(kinds, { maxItems: 1 }),
      [
        { kind: 'a', ...full },
        { kind: 'a', ...full },
      ],
      false,
    ],
    ['no list', Type.Array(kinds), { 0: { kind: 'a', ...full } }, false],
    ['a thing of its kind', kinds, { kind: 'b', ...full, more: 'x' }, true],
    ['a thing of its kind with what another has', kinds, { kind: 'a', ...full, more: 'x' }, false],
    ['a kind by one of several words', kinds, { kind: 'd', ...full }, true],
    ['of no kind', kinds, { ...full }, false],
    ['of a kind that is none', kinds, { kind: 'z', ...full }, false],
    ['nothing, where nothing may be', nullable(kinds), null, true],
    ['nothing, where something has to be', kinds, null, false],
    ['a field left out', Type.Array(kinds), [{ kind: 'a', ...full, f7: undefined }], false],
    ['a field more', sparse, { ...full, more: 1 }, true],
    ['a field that may be left out, left out', sparse, { ...full, maybe: undefined }, true],
    ['a field that may be left out, wrong', sparse, { ...full, maybe: 1 }, false],
    ['a list for a thing', sparse, [], false],
    ['a word for a thing', sparse, 'a', false],
  ])('%s', (_, schema, value, right) => {
    expect(byParts(value, schema)).toBe(right);
    expect(ajv.validate(schema, value)).toBe(right);
  });
});

test('two figures that ask for the same under two names are told by their own', () => {
  const length = Type.Number({ minimum: 0, unit: 'm' });
  const mass = Type.Number({ minimum: 0, unit: 'kg' });
  expect(faultsOf(closed({ a: length }), { a: -1 })[0]!.error).toBe('a is -1 m: give 0 m or more.');
  expect(faultsOf(closed({ a: mass }), { a: -1 })[0]!.error).toBe('a is -1 kg: give 0 kg or more.');
  // A field may be called as a word that tells only what another is.
  const [text, number] = [closed({ unit: Type.String() }), closed({ unit: Type.Number() })];
  expect(faultsOf(text, { unit: 'm' })).toEqual([]);
  expect(faultsOf(number, { unit: 'm' })).toHaveLength(1);
  expect(faultsOf(number, { unit: 1 })).toEqual([]);
});
