import { readFileSync } from 'node:fs';
import { readIfc } from '.';

const text = readFileSync('tests/files/outlines.ifc', 'utf8');
const read = (from = text) => readIfc(new TextEncoder().encode(from));

test('shapes drawn by their outline, and rods along a line: what they are of, how long, and how it is known', async () => {
  const { rows, faults, notes } = await read();
  expect(faults).toEqual([]);
  expect(rows.map(({ mark, section, length }) => [mark, section, Number(length.toFixed(6))])).toEqual([
    ['O-1', 'IPE 300', 4],
    ['O-2', 'IPE 300', 4],
    ['O-3', 'HSS8x8x3/8', 4],
    ['O-4', 'rectangle 120 × 20 mm', 4],
    ['O-5', 'shape 260 × 150 mm', 4],
    ['O-6', 'IPE 300', 4],
    ['O-7', 'IPE 300', 4],
    ['O-8', 'HEA 200', 3],
    ['O-9', 'shape 50 × 100 mm', 1.2],
    ['O-10', 'round 24 mm', 3.4],
    ['O-11', 'tube 88.9 × 5 mm', 2.5],
  ]);
  const said = (notes ?? []).map(({ from, error }) => `${from}: ${error}`);
  expect(said).toContainEqual(expect.stringMatching(/^O-6: .*names the section IPE 300 and draws it 200 × 190 mm, where IPE 300 is 300 × 150 mm/));
  expect(said).toContainEqual(expect.stringMatching(/^O-5, O-9: .*only the outline/));
  expect(said.some((note) => /O-7/.test(note))).toBe(false);
});
test('an outline of nothing leaves the piece without a section, and says so', async () => {
  const { faults } = await read(text.replace(/IFCARBITRARYCLOSEDPROFILEDEF\(\.AREA\.,\$,#\d+\)/, 'IFCARBITRARYCLOSEDPROFILEDEF(.AREA.,$,#4)'));
  expect(faults).toEqual([{ from: expect.any(String), error: expect.stringContaining('O-1 has neither profile nor shape') }]);
});
test('a curve made of itself ends', async () => {
  const ring = text.replace(/IFCCOMPOSITECURVESEGMENT\(\.CONTINUOUS\.,\.T\.,#\d+\)/g, (one) =>
    one.replace(/#\d+/, `#${/#(\d+)=IFCCOMPOSITECURVE\(/.exec(text)?.[1]}`),
  );
  expect(ring).not.toBe(text);
  const { rows, faults } = await read(ring);
  expect(rows.length + faults.length).toBe(11);
}, 20_000);
