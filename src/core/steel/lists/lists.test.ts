import { newPlan } from '../../document/new-plan';
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { demoPlan, ticketHall } from '../../../../tests/demo-plan';
import { applyCommand, takeBack } from '../../edit/apply';
import { canonicalJson } from '../../document/canonical';
import { previewImport, staysOpen } from '../../edit/import-members';
import { membersCsv } from '../../edit/members-csv';
import { readNc1 } from './nc1';
import { rowsOfNc } from './nc1-rows';
import { readSheet, rowsOf } from './table';
import { textOf } from './text-of';

const nc = (fields: Partial<Record<number, string>> = {}) => {
  const lines = [
    '1042',
    'F-31',
    '1',
    'TB7',
    'S355JR',
    '2',
    'HEA200',
    'I',
    '6000.00',
    '190.00',
    '200.00',
    '10.00',
    '6.50',
    '18.00',
    '42.300',
    '1.136',
    '0.000',
    '0.000',
    '0.000',
    '0.000',
  ];
  for (const [n, text] of Object.entries(fields)) lines[Number(n) - 1] = text!;
  return `ST\n${lines.map((line) => `  ${line}`).join('\n')}\nBO\n  v  100.00  50.00  22.00\nEN\n`;
};

describe('NC1', () => {
  test('mark, profile, length in millimetres, weight', () =>
    expect(readNc1(nc())).toEqual({
      ok: true,
      header: {
        mark: 'TB7',
        grade: 'S355JR',
        count: 2,
        profile: 'HEA200',
        length: 6,
        massPerLength: 42.3,
        measures: { kind: 'I', depth: 0.19, width: 0.2, wall: 0.0065, flange: 0.01 },
      },
    }));
  test.each([
    ['a metre', '47.100', 47.1],
    ['a square metre', '157.00', 47.1],
    ['neither', '90.0', null],
    ['nothing', '0.000', null],
  ])('line 15 of a plate 300 × 20 as the weight of %s', (_, line, mass) => {
    const read = readNc1(nc({ 7: 'PL20*300', 8: 'B', 10: '300.00', 11: '0.00', 12: '0.00', 13: '20.00', 15: line }));
    if (!read.ok) throw new Error(read.error);
    if (mass === null) expect(read.header.massPerLength).toBeNull();
    else expect(read.header.massPerLength).toBeCloseTo(mass, 9);
    expect(read.header.measures).toEqual({ kind: 'rectangle', depth: 0.3, width: 0.02, wall: null, flange: null });
  });
  test('a profile in a fabricator’s own words is known by its measures, and that is told', () => {
    const { rows, notes } = rowsOfNc([{ name: 'a.nc1', text: nc({ 7: 'TRAEGER-200-L' }) }]);
    expect(rows[0]!.section).toBe('HEA 200');
    expect(notes).toEqual([{ from: 'a.nc1', error: 'TB7 is of “TRAEGER-200-L”: by its measures it is HEA 200.' }]);
    expect(rowsOfNc([{ name: 'a.nc1', text: nc({ 7: 'TRAEGER', 10: '198.00' }) }]).rows[0]!.section).toBe('TRAEGER');
    expect(rowsOfNc([{ name: 'a.nc1', text: nc() }]).notes).toEqual([]);
  });
  test.each([
    ['SO', null],
    ['RO', { kind: 'tube', depth: 0.19, width: 0.19, wall: 0.0065, flange: null }],
    ['M', { kind: 'box', depth: 0.19, width: 0.2, wall: 0.0065, flange: null }],
  ])('code %s', (code, measures) => expect(readNc1(nc({ 7: 'Rohr 1', 8: code, 15: '0.000' }))).toMatchObject({ header: { measures } }));
  test.each([
    ['a byte-order mark and CRLF', `\ufeff${nc().replace(/\n/g, '\r\n')}`],
    ['comment lines', nc().replace('ST\n', 'ST\n** made somewhere\n** again\n')],
    ['a saw length after the length', nc({ 9: '6000.00, 6012.50' })],
    ['a comma as decimal', nc({ 9: '6000,00' })],
    ['spaces after ST', nc().replace('ST\n', 'ST   \n')],
  ])('%s reads the same', (_, text) => expect(readNc1(text)).toMatchObject({ ok: true, header: { mark: 'TB7', length: 6 } }));
  test.each([
    ['not an NC file', 'hello', /no ST line/],
    ['cut short', 'ST\n a\n b\n', /cut short/],
    ['no mark', nc({ 4: '' }), /mark, is empty/],
    ['no profile', nc({ 7: '' }), /profile, is empty/],
    ['a length in words', nc({ 9: 'six metres' }), /“six metres” on line 9/],
    ['no length', nc({ 9: '0.00' }), /not a length/],
    ['half a piece', nc({ 6: '1.5' }), /not a whole number/],
  ])('%s is told', (_, text, why) => expect(readNc1(text)).toMatchObject({ ok: false, error: expect.stringMatching(why) as unknown }));
  test('two blocks in one file are two pieces; the same mark in both is told', () => {
    const two = nc() + nc({ 4: 'TB8', 9: '5000.00' });
    expect(rowsOfNc([{ name: 'a.nc1', text: two }]).rows.map(({ from, mark, length }) => [from, mark, length])).toEqual([
      ['a.nc1, block 1', 'TB7', 6],
      ['a.nc1, block 2', 'TB8', 5],
    ]);
    expect(rowsOfNc([{ name: 'a.nc1', text: nc() + nc() }]).faults).toHaveLength(1);
  });
  test.each([...Array(20).keys()].slice(1).map((n) => n + 1))('line %i missing is told', (missing) => {
    const lines = nc().split('\n');
    for (const profile of ['HEA200', 'TRAEGER'] as const) {
      const text = lines
        .filter((_, i) => i !== missing)
        .join('\n')
        .replace('HEA200', profile);
      const read = readNc1(text);
      // Above the mark nothing else changes, and what the file says of the piece is still true.
      if (read.ok) expect([read.header.length, read.header.massPerLength, read.header.measures?.depth]).toEqual([6, 42.3, 0.19]);
      else expect(read.error.length).toBeGreaterThan(20);
      if (missing <= 15) expect(read.ok).toBe(false);
    }
  });
  test.each([
    ['a weight of another section', { 15: '61.300' }, /not what HEA 200 weighs/],
    ['measures of another section', { 10: '200.00' }, /measures are not those of HEA 200/],
    ['a weight its measures do not make', { 7: 'TRAEGER', 15: '90.0' }, /not what its measures make/],
    ['a word for a figure', { 7: 'TRAEGER', 13: 'web' }, /“web” on line 13/],
  ])('%s is told', (_, fields, why) =>
    expect(readNc1(nc(fields as Record<number, string>))).toMatchObject({ ok: false, error: expect.stringMatching(why) as unknown }),
  );
  test('no weight is asked', () => expect(rowsOfNc([{ name: 'a.nc1', text: nc({ 15: '0.000' }) }]).asked).toMatchObject([{ about: 'mass', marks: ['TB7'] }]));
  test('no weight is not nothing', () => expect(readNc1(nc({ 15: '0.000' }))).toMatchObject({ header: { massPerLength: null } }));
  test('the same mark twice is told, not added up', () => {
    const { rows, faults } = rowsOfNc([
      { name: 'a.nc1', text: nc() },
      { name: 'b.nc1', text: nc({ 9: '5000.00' }) },
      { name: 'c.nc1', text: 'x' },
    ]);
    expect(rows).toHaveLength(1);
    expect(rows[0]!.mass).toBeCloseTo(42.3 * 6, 9);
    expect(faults.map((fault) => fault.from)).toEqual(['b.nc1', 'c.nc1']);
  });
});

const read = (text: string, system: 'metric' | 'us' = 'metric') => {
  const sheet = readSheet(text);
  return rowsOf(sheet, null, system);
};

describe('files other programs wrote', () => {
  const file = (name: string) => {
    const text = textOf(new Uint8Array(readFileSync(`tests/files/${name}`)));
    const sheet = readSheet(text);
    return { sheet, ...rowsOf(sheet, null, 'metric') };
  };
  const beams = [
    { mark: 'B-101', section: 'UB 254x146x37', length: 6.2505, count: 2, grade: 'S275' },
    { mark: 'B-102', section: 'HEA 200', length: 4, count: 1, grade: 'S355' },
    { mark: 'C-1', section: 'SHS "special", 100x100', length: 3.20025, count: 4, mass: null },
  ];
  test.each([
    ['commas, quoted text and a number with all its digits', 'spreadsheet-comma.csv'],
    ['semicolons, decimal commas and CRLF, of a German spreadsheet', 'spreadsheet-german.csv'],
    ['UTF-16 with tabs and CRLF', 'spreadsheet-utf16.txt'],
  ])('%s', (_, name) => {
    const { rows, faults } = file(name);
    expect(faults).toEqual([]);
    expect(rows).toHaveLength(3);
    beams.forEach((beam, i) => expect(rows[i]).toMatchObject({ ...beam, length: expect.closeTo(beam.length, 9) as unknown }));
    expect(rows[0]!.mass).toBeCloseTo(231.3, 9);
  });
  test('the Windows code page, German headings, a unit in brackets', () => {
    const { rows, faults, sheet } = file('spreadsheet-windows-1252.csv');
    expect(faults).toEqual([]);
    expect(sheet.columns).toMatchObject({ mark: 0, section: 1, length: 2, count: 3 });
    expect(rows).toMatchObject([
      { mark: 'T-7', section: 'HEA 200', length: expect.closeTo(4.5005, 9) as unknown, count: 3, mass: expect.closeTo(190.4, 9) as unknown },
      { mark: 'T-8', section: 'IPE 300', length: 12, count: 1, mass: null },
    ]);
  });
  test('any bytes are some text', () => fc.assert(fc.property(fc.uint8Array(), (bytes) => typeof textOf(bytes) === 'string')));
});

describe('tables', () => {
  test('headings in any order, with a unit in one of them', () => {
    const { rows, faults } = read('Qty,Length (mm),Profile,Piece Mark,Weight (kg)\n2,6000,HEA 200,TB7,254\n');
    expect(faults).toEqual([]);
    expect(rows[0]).toMatchObject({ from: 'row 2', mark: 'TB7', section: 'HEA 200', length: 6, count: 2, mass: 254 });
  });
  test('a spreadsheet’s tabs, CRLF and byte-order mark', () =>
    expect(read('\ufeffMark\tSection\tLength\r\nA\tIPE 300\t6.2\r\n').rows[0]).toMatchObject({ mark: 'A', length: 6.2 }));
  test('semicolons and commas as decimals', () =>
    expect(read('Mark;Section;Length;Weight\nA;UB 533x210x92;13,70;1.264,5\n').rows[0]).toMatchObject({ length: 13.7, mass: 1264.5 }));
  test('feet and inches in quotes', () =>
    expect(read('Mark,Section,Length\nA,W10x88,"23\' 6 1/2"""\n', 'us').rows[0]!.length).toBeCloseTo(23.5416667 * 0.3048, 6));
  test('no headings: mark, section, length, count', () => expect(read('A\tIPE 300\t6.2\t3\n').rows[0]).toMatchObject({ from: 'row 1', mark: 'A', count: 3 }));
  test('each row that cannot be read says where and why, and the others are read', () => {
    const { rows, faults, asked } = read(
      'Mark,Section,Length,Count,Weight\nA,IPE 300,6,1,\n,IPE 300,6,1,\nB,IPE 300,long,1,\nC,IPE 300,6,1.5,\nA,IPE 300,7,1,\nD,,6,1,\nE,IPE 300,-3,1,\nF,IPE 300,6,1,2 ton\n',
    );
    expect(rows.map((row) => [row.mark, row.mass])).toEqual([
      ['A', null],
      ['F', null],
    ]);
    expect(faults.map((fault) => fault.from)).toEqual(['row 3', 'row 4', 'row 5', 'row 6', 'row 7', 'row 8']);
    expect(faults[1]!.error).toMatch(/length “long”/);
    expect(faults[3]!.error).toMatch(/already on row 2/);
    expect(asked).toMatchObject([{ about: 'mass', marks: ['F'], question: expect.stringContaining('in short ton or in t or in long ton') as unknown }]);
  });
  test('a file with no length column asks for it', () => {
    const sheet = readSheet('Mark,Section\nA,IPE 300\n');
    expect(rowsOf(sheet, null, 'metric').faults).toEqual([{ from: 'columns', error: 'Which column is the length? Choose it above.' }]);
  });
  test('nothing is told as nothing', () => expect(read('').faults[0]!.error).toMatch(/Which column|no rows/));
});

describe('what an import does', () => {
  const plan = demoPlan();
  const rows = read('Mark,Section,Length,Count,Order\nTB1,UB 533x210x92,9.2,1,1\nP1-P2,UC 203x203x46,3.505,2,0\nN1,ipe 300,4,6,\nN2,ZZ 9,4,1,\n').rows;
  const preview = previewImport(plan, rows, [], (n) => `n${n}`);
  test('a section known by another name is told; one only parted otherwise is not', () => {
    const { readAs } = previewImport(
      plan,
      read('Mark,Section,Length\nA,W250x73,6\nB,203 UC 46,6\nC,w 10 × 88,6\nD,HE-A 200,6\nE,IPB 300,6\n').rows,
      [],
      (n) => `r${n}`,
    );
    expect(readAs).toEqual(['A: W250x73 as W10x49', 'B: 203 UC 46 as UC 203x203x46', 'E: IPB 300 as HEB 300']);
  });
  test('is told before it is done', () => {
    expect(preview.added).toEqual(['N1', 'N2']);
    expect(preview.changed).toEqual([{ mark: 'TB1', what: ['length'] }]);
    expect(preview.same).toBe(1);
    expect(preview.unknownSections).toEqual(['N2: ZZ 9']);
  });
  test('is one step, and undone as one', () => {
    const done = applyCommand(plan, { name: 'importMembers', args: preview.command });
    if (!done.ok) throw new Error(done.faults[0]?.error);
    expect(done.plan.members).toHaveLength(6);
    expect(done.plan.members.find((one) => one.mark === 'N1')!.make).toEqual({ kind: 'section', section: 'IPE 300' });
    expect(canonicalJson(takeBack(done.plan, done.inverse))).toBe(canonicalJson(plan));
  });
  test('a thousand rows come through whole', () => {
    const text = [
      'Mark,Section,Length,Count',
      ...Array.from({ length: 1000 }, (_, i) => `M${i},IPE 300,${(3 + (i % 50) / 10).toFixed(1)},${1 + (i % 3)}`),
    ].join('\n');
    const many = previewImport(plan, read(text).rows, [], (n) => `m${n}`);
    expect(many.added).toHaveLength(1000);
    const done = applyCommand(plan, { name: 'importMembers', args: many.command });
    expect(done.ok && done.plan.members.length).toBe(1004);
  });
  test('plates, parts and plain weights go out by name and come back as they were', () => {
    const hall = ticketHall();
    const back = read(membersCsv(hall));
    expect(hall.members.map((one) => one.make.kind)).toEqual(expect.arrayContaining(['plain', 'girder']));
    expect(previewImport(hall, back.rows, [], () => 'x').changed.flatMap((one) => one.what)).not.toContain('section');
  });
  test.each(['=cmd|1', '+1+1', '-2', '@SUM(A1)'])('a mark like %s leaves as text and comes back as it was', (mark) => {
    const text = membersCsv({ ...plan, members: plan.members.map((one, i) => (i === 0 ? { ...one, mark } : one)) });
    expect(text).toContain(`'${mark}`);
    expect(text).not.toMatch(/(^|[,;\t"])[=+@-]/m);
    expect(read(text).rows[0]!.mark).toBe(mark);
  });
  test.each(['metric', 'us'] as const)('what goes out comes back the same (%s), as bare numbers under named units', (units) => {
    const text = membersCsv({ ...plan, job: { ...plan.job, units } });
    expect(text).not.toContain('≈');
    expect(text).toContain(units === 'us' ? 'Length (ft)' : 'Length (m)');
    const sheet = readSheet(text);
    const back = rowsOf(sheet, null, plan.job.units);
    expect(back.faults).toEqual([]);
    expect(previewImport(plan, back.rows, [], () => 'x')).toMatchObject({ added: [], changed: [], same: 4 });
  });
});

describe('questions about named pieces', () => {
  const row = (mark: string, length: number) => ({
    from: mark,
    mark,
    section: 'UB 254x146x37',
    length,
    grade: 'S355',
    count: 2,
    mass: 180,
    order: null,
    place: '',
  });
  const asked = [
    { about: 'length', question: 'How long is it?', marks: ['A1'] },
    { about: 'section', question: 'Which section is it?', marks: ['A2'] },
    { about: 'mark', question: 'Which of the two is it?', marks: ['A3'] },
  ];
  it('come in open where a plan can hold them open, and keep what stands where the piece is known', () => {
    const plan = newPlan({ name: 'N', place: '', units: 'metric', ruleSet: 'eu-ls' });
    const preview = previewImport(plan, [row('A1', 0), row('A2', 5), row('A4', 5)], [], (n) => `n${n}`, asked);
    expect(preview.command.add.map(({ mark, unsaid, length }) => ({ mark, unsaid, length }))).toEqual([
      { mark: 'A1', unsaid: ['length'], length: 1 },
      { mark: 'A2', unsaid: ['make'], length: 5 },
      { mark: 'A4', unsaid: undefined, length: 5 },
    ]);
    plan.members.push(...preview.command.add);
    const again = previewImport(plan, [row('A1', 7), row('A4', 6)], [], (n) => `n${n}`, asked);
    expect(again.changed.map(({ mark }) => mark)).toEqual(['A4']);
    expect(asked.map(staysOpen)).toEqual([true, true, false]);
    expect(staysOpen({ about: 'length', question: 'of the whole file' })).toBe(false);
  });
});
