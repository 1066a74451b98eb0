import { strToU8, zipSync } from 'fflate';
import type { SteelRows } from '@/core/steel/lists/rows';
import { readSteelFiles } from './steel-files';

const nc = (mark: string, length = 5200) =>
  // prettier-ignore
  ['ST', '** file', 'JOB', '1', '1', mark, 'S275JR', '2', 'IPE300', 'I', length.toFixed(2), '300.00', '150.00', '10.70', '7.10', '15.00', '42.20', '1.16', 'EN'].join('\r\n');
const file = (name: string, content: string | Uint8Array) => new File([content as BlobPart], name);
const zip = (inside: Record<string, string>) => zipSync(Object.fromEntries(Object.entries(inside).map(([name, text]) => [name, strToU8(text)])));
const rowsOf = async (...files: File[]): Promise<SteelRows> => {
  const read = await readSteelFiles(files);
  if ('table' in read) throw new Error('read as a table');
  return read.rows;
};
const marks = (read: SteelRows) => read.rows.map((row) => row.mark);

let posted: string[] = [];
/** The server: a model is answered by a row of its first line’s name. */
beforeEach(() => {
  posted = [];
  Object.assign(globalThis, {
    fetch: async (_: string, { body }: { body: Blob }) => {
      const text = await body.text();
      posted.push(text);
      if (text === 'gone') throw new TypeError('Failed to fetch');
      if (text === 'large') return { ok: false, json: async () => ({ detail: 'The model is over 128 MB: export only the steel.' }) };
      if (text === 'ill') return { ok: false, json: async () => Promise.reject(new Error('no JSON')) };
      return { ok: true, json: async () => ({ rows: [{ mark: text }], faults: [], notes: [{ from: text, error: 'told' }] }) };
    },
  });
});

test('one table is given as text; two, or one among other files, are told', async () => {
  expect(await readSteelFiles([file('list.csv', '\ufeffMark,Section\r\n')])).toEqual({ table: expect.stringContaining('Mark,Section') });
  expect((await rowsOf(file('a.csv', 'x'), file('b.txt', 'y'))).faults).toEqual([
    { from: 'the tables', error: expect.stringContaining('One table at a time') },
  ]);
  const mixed = await rowsOf(file('a.csv', 'x'), file('N1.nc1', nc('N1')));
  expect([marks(mixed), mixed.faults.length]).toEqual([['N1'], 1]);
});
test('NC files chosen one by one and in archives are read together: a mark in two of them is told', async () => {
  const read = await rowsOf(
    file('N1.nc1', nc('N1')),
    file('N2.NC', nc('N2')),
    file('all.zip', zip({ 'deep/er/N1.nc1': nc('N1', 4000), 'N3.NC1': nc('N3'), 'readme.txt': 'x' })),
  );
  expect(marks(read)).toEqual(['N1', 'N2', 'N3']);
  expect(read.faults).toEqual([{ from: 'deep/er/N1.nc1', error: expect.stringContaining('N1 was already read from N1.nc1') }]);
});
test('models go to the server, zipped or not, and what it notes comes with them', async () => {
  const read = await rowsOf(file('m.ifc', 'one'), file('m.ifczip', zip({ 'two.ifc': 'two' })), file('n.IFC', 'three'));
  expect(marks(read).sort()).toEqual(['one', 'three', 'two']);
  expect(read.notes).toHaveLength(3);
  expect([...posted].sort()).toEqual(['one', 'three', 'two']);
});
test.each([
  ['large', /over 128 MB/],
  ['ill', /could not read it/],
  ['gone', /does not answer/],
])('a server that says “%s” is told, and the other files are read', async (text, words) => {
  const read = await rowsOf(file('m.ifc', text), file('N1.nc1', nc('N1')));
  expect(marks(read)).toEqual(['N1']);
  expect(read.faults).toEqual([{ from: 'm.ifc', error: expect.stringMatching(words) }]);
});
test.each([
  ['with nothing of use', zip({ 'readme.txt': 'x' }), /no .nc1 or .ifc file/],
  ['that is none', strToU8('PK nothing'), /not a ZIP archive/],
  ['cut short', zip({ 'N1.nc1': nc('N1') }).slice(0, 60), /not a ZIP archive/],
  ['with a piece too large to be one', zip({ 'N1.nc1': nc('N1'), 'N9.nc1': 'x'.repeat(8e6 + 1) }), /N9.nc1 in it is too large/],
])('an archive %s is told', async (_, content, words) => {
  const read = await rowsOf(file('a.zip', content));
  expect(read.rows).toEqual([]);
  expect(read.faults).toEqual([{ from: 'a.zip', error: expect.stringMatching(words) }]);
});
test.each([
  ['a workbook', 'list.xlsx', zip({ 'xl/workbook.xml': '<x/>' }), /workbook.*save it as CSV/],
  ['an old workbook', 'list.xls', new Uint8Array([0xd0, 0xcf, 0x11, 0xe0, 0]), /workbook/],
  ['a PDF', 'list.pdf', strToU8('%PDF-1.7'), /PDF.*as CSV or as cells/],
])('%s is told for what it is', async (_, name, content, words) => {
  expect((await rowsOf(file(name, content))).faults).toEqual([{ from: name, error: expect.stringMatching(words) }]);
});
test('an empty file is an empty table', async () => expect(await readSteelFiles([file('list.csv', '')])).toEqual({ table: '' }));
