import { readFileSync } from 'node:fs';
import { readIfc } from '.';

const text = readFileSync('tests/files/assemblies.ifc', 'utf8');
const read = (from = text) => readIfc(new TextEncoder().encode(from));
const short = async (from?: string) =>
  (await read(from)).rows.map(({ mark, section, length, count, mass }) => [mark, section, Number(length.toFixed(6)), count, mass]);
const changed = (what: string | RegExp, to: string) => {
  const other = text.replace(what, to);
  expect(other).not.toBe(text);
  return other;
};

test('a bar with its plates goes by the mark and the weight of its assembly', async () => {
  expect((await short()).filter(([mark]) => mark === 'W-4')).toEqual([['W-4', 'IPE300', 5.8, 2, 268.5]]);
});
test('bars of one assembly come in one by one behind its mark, and that is told', async () => {
  const { rows, notes } = await read();
  expect(rows.filter((row) => row.mark.startsWith('FR-1')).map((row) => [row.mark, row.count])).toEqual([
    ['FR-1/head', 1],
    ['FR-1/leg', 2],
  ]);
  expect(notes).toContainEqual({ from: 'FR-1', error: expect.stringMatching(/together of 3 bars.*one piece of parts\.$/) });
});
test('what the model weighs such an assembly is told with it, and given to no bar', async () => {
  const weighed = changed('(#32,#41),#52', '(#32,#41,#73),#52').replace("'Assembly/unit Mark'", "'Something else'");
  const { rows, notes } = await read(weighed);
  expect(notes).toContainEqual({ from: 'FR-1', error: expect.stringContaining('weighs it 268.5 kg') });
  expect(rows.filter((row) => row.mark.startsWith('FR-1')).every((row) => row.mass === null)).toBe(true);
});
test('a bar that says the mark of its assembly itself keeps it, however often the assembly names it', async () => {
  expect((await short()).filter(([mark]) => mark === 'W-9')).toEqual([['W-9', 'IPE300', 5.8, 1, null]]);
});
test('an assembly of a name alone leaves the bar its own mark', async () => {
  const bare = changed("'Assembly mark'", "'Colour'");
  expect((await short(bare)).map(([mark]) => mark)).toContain('p7');
});
test('a storey is no assembly', async () => {
  expect((await short()).map(([mark]) => mark)).toContain('C-2');
});
test('a shape mapped larger is as large as it stands; one stretched along itself alone has no length it could be sure of', async () => {
  const { rows, faults } = await read();
  // HEA 200 half as large again is 285 deep: no listed section, so it goes by its measures.
  expect(rows.find((row) => row.mark === 'C-3')).toMatchObject({ length: expect.closeTo(4.8, 9) });
  expect(rows.some((row) => row.mark === 'C-4')).toBe(false);
  expect(faults).toEqual([
    { from: '1 plates', error: expect.stringContaining('not in the weight of a bar') },
    { from: '#110', error: expect.stringContaining('C-4') },
  ]);
});
test('a shape mapped twice end to end is one long piece, measured where its maps put it', async () => {
  expect((await read()).rows.find((row) => row.mark === 'M-1')).toMatchObject({ section: 'shape 200 × 100 mm', length: expect.closeTo(4, 6) });
  // Half a metre between them: they reach half a metre further.
  const apart = changed('#127=IFCCARTESIANPOINT((0.,0.,2000.))', '#127=IFCCARTESIANPOINT((0.,0.,2500.))');
  expect((await read(apart)).rows.find((row) => row.mark === 'M-1')?.length).toBeCloseTo(4.5, 6);
});
test('a shape mapped into itself ends', async () => {
  const ring = changed('#123=IFCREPRESENTATIONMAP(#5,#122)', '#123=IFCREPRESENTATIONMAP(#5,#131)');
  const { faults } = await read(ring);
  expect(faults.map((fault) => fault.from)).toContain('#133');
});
