import { usedTraces } from '../../../tests/used-traces';
import { formatQuantity } from '../units';
import { registry } from './registry';

const traces = usedTraces();

test('every calculation is seen in use', () => {
  expect([...registry.keys()].filter((id) => !traces.has(id))).toEqual([]);
});

/** Answers that are places in a list, not quantities. */
const places = new Set(['access.sweep.leg']);

describe.each([...traces].map(([id, list]) => [id, list] as const))('%s', (id, list) => {
  const calc = registry.get(id)!;
  const some = list.slice(0, 60);
  test('every number it answers stands in its working', () => {
    const untold = new Set<string>();
    for (const { input, output } of some) {
      const lines = calc.work(input as never, output as never);
      for (const [key, value] of Object.entries(output as Record<string, unknown>)) {
        if (typeof value !== 'number' || places.has(`${id}.${key}`)) continue;
        const told = lines.some(({ result, numbers }) =>
          [result, ...(numbers ?? [])].some((one) =>
            typeof one === 'string' ? one.includes(String(value)) : Math.abs(one.value - value) <= 1e-9 * Math.max(1, Math.abs(value)),
          ),
        );
        if (!told) untold.add(key);
      }
    }
    expect([...untold]).toEqual([]);
  });
  test('every line has a label and a figure that prints in both systems', () => {
    for (const { input, output } of some)
      for (const { label, result, numbers } of calc.work(input as never, output as never)) {
        expect(label.trim()).not.toBe('');
        for (const one of [result, ...(numbers ?? [])]) {
          if (typeof one === 'string') expect(one).not.toMatch(/undefined|NaN|\[object/);
          else for (const system of ['metric', 'us'] as const) expect(formatQuantity(one.value, one.kind, system)).toMatch(/\d/);
        }
      }
  });
});
