import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { readIfc } from '.';

const models = ['names-without-marks', 'two-beams', 'feet-and-pounds', 'assemblies', 'outlines'].map((name) => readFileSync(`tests/files/${name}.ifc`, 'utf8'));
const bytes = (text: string) => new TextEncoder().encode(text);

/** A line lost, cut short, pointing elsewhere, with figures that are none, with nothing where something was, or written twice. */
const harms: ((line: string, number: number) => string | null)[] = [
  () => null,
  (line, number) => line.slice(0, number % Math.max(1, line.length)),
  (line, number) => line.replace(/#\d+/g, () => `#${number}`),
  (line, number) => line.replace(/\d+\./g, ['-1.', '1e400', '0.', '9999999999.'][number % 4]!),
  (line) => line.replace(/\$/g, "''"),
  (line) => `${line}\n${line}`,
];
const harmed = (text: string, list: readonly { at: number; how: number; number: number }[]): string =>
  list.reduce((now, { at, how, number }) => {
    const lines = now.split('\n');
    const n = at % lines.length;
    const line = harms[how]!(lines[n] ?? '', number);
    return [...lines.slice(0, n), ...(line === null ? [] : [line]), ...lines.slice(n + 1)].join('\n');
  }, text);

test('a model broken anywhere is read as far as it goes: no stumble, no ring, no length that is none', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.constantFrom(...models),
      fc.array(fc.record({ at: fc.nat(400), how: fc.nat(harms.length - 1), number: fc.nat(200) }), { minLength: 1, maxLength: 6 }),
      async (text, list) => {
        const { rows, faults } = await readIfc(bytes(harmed(text, list)));
        for (const row of rows) {
          expect(row.length > 0 && Number.isFinite(row.length)).toBe(true);
          expect(row.mark).not.toBe('');
          expect(row.mass === null || row.mass > 0).toBe(true);
        }
        for (const fault of faults) expect(fault.error.length).toBeGreaterThan(10);
      },
    ),
    { numRuns: 40 },
  );
}, 60_000);
test('a shape cut by itself, and a placement that stands on itself, end', async () => {
  const ring = models[2]!
    .replace('#34=IFCBOOLEANCLIPPINGRESULT(.DIFFERENCE.,#31,#33);', '#34=IFCBOOLEANCLIPPINGRESULT(.DIFFERENCE.,#34,#33);')
    .replace('#24=IFCLOCALPLACEMENT($,#23);', '#24=IFCLOCALPLACEMENT(#27,#23);');
  expect(ring).not.toBe(models[2]);
  const { rows, faults } = await readIfc(bytes(ring));
  expect(rows.length + faults.length).toBe(1);
});
test('a placement all of whose fields point at itself costs no more than another', async () => {
  const text = models[2]!.replace(/#24=IFCLOCALPLACEMENT\([^)]*\);/, '#24=IFCAXIS2PLACEMENT3D(#24,#24,#24);');
  expect(text).not.toBe(models[2]);
  const started = process.memoryUsage().heapUsed;
  const { rows, faults } = await readIfc(bytes(text));
  expect(rows.length + faults.length).toBe(1);
  expect(process.memoryUsage().heapUsed - started).toBeLessThan(200e6);
}, 20_000);
