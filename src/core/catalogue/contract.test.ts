import { Ajv2020 } from 'ajv/dist/2020.js';
import { planSchema } from '../document/schema';
import goldens from './reference/goldens.json' with { type: 'json' };
import goldens2 from './reference/goldens-2.json' with { type: 'json' };
import { readFileSync } from 'node:fs';
import { calculationsPage } from '../../../scripts/lib/calculations-page';
import { usedTraces } from '../../../tests/used-traces';
import { registry } from './registry';
import { attempt } from '../calc/attempt';
import { runCalc } from './run';
import { fitThermal } from '../fit/thermal.calc';
import { faultsOf } from '../calc/schema';

/** One input of each calculation: of the public cases where it has one, else as the demo jobs use it. */
const samples = new Map<string, Record<string, unknown>>([
  ...[...usedTraces()].map(([id, traces]) => [id, traces[0]!.input as Record<string, unknown>] as const),
  ...([...goldens, ...goldens2] as { id: string; input: Record<string, unknown>; expect: { error?: boolean } }[])
    .filter((one) => !one.expect.error)
    .map((one) => [one.id, one.input] as const),
]);

const fixedIds = [
  'steel.section',
  'steel.plateGirder',
  'steel.weight',
  'rigging.hook',
  'rigging.twoPointPick',
  'crane.chart',
  'crane.tandem',
  'crane.outriggers',
  'crane.windLimit',
  'crane.boom',
  'crane.powerLine',
  'move.ramp',
  'hoist.bracket',
  'shore.overhang',
  'shore.timberPost',
  'shore.steelProp',
  'member.flexureAisc',
  'member.columnAisc',
  'member.webAisc',
  'member.columnEn',
  'member.flexureEn',
  'member.hanging',
  'member.pairGlobal',
  'member.windRollover',
  'connection.boltShearAisc',
  'access.corner',
  'fit.thermal',
  'beam.continuous',
];

test('every fixed id is registered', () => {
  for (const id of fixedIds) expect(registry.has(id)).toBe(true);
});

test('the page of calculations is what runs', () => expect(readFileSync('docs/calculations.md', 'utf8')).toBe(calculationsPage()));

describe.each([...registry.values()].map((calc) => [calc.id, calc] as const))('%s', (id, calc) => {
  test('names its source and takes no unknown field', () => {
    expect(calc.source.text.length).toBeGreaterThan(5);
    expect((calc.input as { additionalProperties?: unknown }).additionalProperties).toBe(false);
    expect(faultsOf(calc.input, {}).length).toBeGreaterThan(0);
  });
  const sample = samples.get(id)!;
  test('answers to its own output schema and tells a working that ends in results', () => {
    const outcome = runCalc(id, sample);
    if (!outcome.ok) throw new Error(outcome.error);
    expect(faultsOf(calc.output, outcome.output)).toEqual([]);
    const lines = calc.work(sample as never, outcome.output as never);
    expect(lines.length).toBeGreaterThan(0);
    for (const line of lines) if (typeof line.result !== 'string') expect(Number.isFinite(line.result.value)).toBe(true);
  });
  test('refuses an unknown field, a missing field and text for a number, each with its path', () => {
    const extra = runCalc(id, { ...sample, tonnage: 1 });
    expect(extra).toMatchObject({ ok: false, path: 'tonnage' });
    for (const field of Object.keys(sample)) {
      const required = (calc.input as unknown as { required: string[] }).required.includes(field);
      const without = Object.fromEntries(Object.entries(sample).filter(([key]) => key !== field));
      if (required) expect(runCalc(id, without)).toMatchObject({ ok: false, path: field });
      if (typeof sample[field] === 'number') expect(runCalc(id, { ...sample, [field]: '12' })).toMatchObject({ ok: false, path: field });
    }
  });
  test('refuses a negative weight, mass, length or load by name', () => {
    for (const [field, value] of Object.entries(sample)) {
      if (typeof value !== 'number' || !/weight|mass|length|load|boom|radius$/i.test(field)) continue;
      const outcome = runCalc(id, { ...sample, [field]: -Math.abs(value) - 1 });
      expect(outcome.ok).toBe(false);
      if (!outcome.ok) {
        expect(outcome.path).toBe(field);
        expect(outcome.error).toContain(String(-Math.abs(value) - 1));
      }
    }
  });
});

describe('the door for outsiders', () => {
  test('an unknown id names the nearest', () =>
    expect(runCalc('crane.charts', {})).toMatchObject({ ok: false, path: 'id', error: expect.stringContaining('crane.chart') as unknown }));
  test.each([null, 5, 'text', [], undefined])('%p as input is refused, not thrown', (input) => expect(runCalc('fit.thermal', input).ok).toBe(false));
  test('NaN and Infinity never get in, and an answer too large to be a number never gets out', () => {
    expect(runCalc('fit.thermal', { length: Infinity, deltaT: 1, coefficient: 1 }).ok).toBe(false);
    expect(runCalc('fit.thermal', { length: 1e300, deltaT: 1, coefficient: 1 })).toMatchObject({ ok: false, path: 'length' });
    expect(attempt(fitThermal, { length: 1e300, deltaT: 1e300, coefficient: 1 })).toMatchObject({ ok: false, path: 'change' });
  });
  test('of a union only the nearest branch is complained about', () => {
    expect(runCalc('steel.weight', { items: [{ mass: -5, at: 0 }], allowance: 0 })).toMatchObject({ ok: false, path: 'items[0].mass' });
    expect(runCalc('steel.weight', { items: [{ massPerLength: 5, from: 0 }], allowance: 0 })).toMatchObject({ ok: false, path: 'items[0].to' });
    expect(runCalc('steel.weight', { items: [{ massPerLength: 5, from: 3, to: 1 }], allowance: 0 })).toMatchObject({ ok: false, path: 'items[0].to' });
  });
});

it('every schema of the registry and of the plan is a schema', () => {
  const ajv = new Ajv2020({ strictTypes: false });
  ajv.addKeyword('unit');
  for (const { id, input, output } of registry.values()) {
    expect([id, ajv.validateSchema(input), ajv.errors]).toEqual([id, true, null]);
    expect([id, ajv.validateSchema(output), ajv.errors]).toEqual([id, true, null]);
  }
  expect(ajv.validateSchema(planSchema)).toBe(true);
  expect(ajv.validateSchema({ type: 'nonsense' })).toBe(false);
});
