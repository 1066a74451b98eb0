import fc from 'fast-check';
import { fixedWidth } from './fixed-width';
import { decimalMark, readSheet, rowsOf } from './table';

const read = (text: string, system: 'metric' | 'us' = 'metric', chosen: Parameters<typeof rowsOf>[3] = {}) => {
  const sheet = readSheet(text);
  return rowsOf(sheet, null, system, chosen);
};
const one = (text: string, system: 'metric' | 'us' = 'metric') => {
  const { rows, faults } = read(text, system);
  expect(faults).toEqual([]);
  expect(rows).toHaveLength(1);
  return rows[0]!;
};

describe('units, wherever a program writes them', () => {
  test.each([
    ['in brackets', 'Mark,Section,Length (mm),Weight [kg]\nA,HEA 200,6250,254\n'],
    ['after a slash', 'Pos;Profil;Länge/mm;Gewicht/kg\nA;HEA 200;6250;254\n'],
    ['after a comma', 'Mark\tSection\tLength, mm\tWeight, kg\nA\tHEA 200\t6250\t254\n'],
    ['after “in”', 'Mark,Section,Length in mm,Weight in kg\nA,HEA 200,6250,254\n'],
    ['at the end', 'Mark,Section,Length mm,Weight kg\nA,HEA 200,6250,254\n'],
    ['with underscores', 'MARK,SECTION,LENGTH_MM,WEIGHT_KG\nA,HEA 200,6250,254\n'],
    ['in a row of their own', 'Mark,Section,Length,Weight\n,,mm,kg\nA,HEA 200,6250,254\n'],
    ['in brackets in a row of their own', 'Mark,Section,Length,Weight\n,,[mm],(kg)\nA,HEA 200,6250,254\n'],
    ['nowhere, in millimetres', 'Mark,Section,Length,Weight\nA,HEA 200,6250,254\n'],
    ['with each figure', 'Mark,Section,Length,Weight\nA,HEA 200,6250 mm,0.254 t\n'],
    ['in groups of three', 'Mark;Section;Length (mm);Weight (kg)\nA;HEA 200;6 250;254\n'],
    ['grouped by apostrophes', 'Mark;Section;Length (mm);Weight (kg)\nA;HEA 200;6’250;254\n'],
    ['with a heading over two lines', '"Piece\nMark","Section","Length\n(mm)","Weight\n(kg)"\nA,HEA 200,6250,254\n'],
  ])('%s', (_, text) => expect(one(text)).toMatchObject({ mark: 'A', length: 6.25, mass: 254 }));
  test('feet and pounds named in the headings of a metric job', () =>
    expect(one('Mark,Section,Length (ft),Weight (lbs)\nA,W10x88,28.5,2508\n')).toMatchObject({
      length: expect.closeTo(28.5 * 0.3048, 9) as unknown,
      mass: expect.closeTo(2508 * 0.45359237, 9) as unknown,
    }));
  test('“Length in” is a word and not inches; “Length (in)” is inches', () => {
    expect(readSheet('Mark,Section,Length in\nA,HEA 200,6\n').units).toEqual({});
    expect(one('Mark,Section,Length (in)\nA,HEA 200,246\n').length).toBeCloseTo(6.2484, 9);
  });
  test('metres stay metres as soon as one of them could be', () => {
    const sheet = readSheet('Mark,Section,Length\nA,HEA 200,6000\nB,HEA 200,6\n');
    expect(rowsOf(sheet, null, 'metric').faults).toEqual([{ from: 'row 2', error: expect.stringMatching(/A would be 6\s000.00\sm long: choose the unit/) }]);
    const asMillimetres = rowsOf(sheet, null, 'metric', { length: 'mm' });
    expect(asMillimetres.rows.map((row) => row.length)).toEqual([6]);
    expect(asMillimetres.faults[0]!.error).toMatch(/B would be 0.01\sm long: choose the unit/);
  });
  test('a bare figure in a US job is feet; one no piece is long is asked', () => {
    expect(one('Mark,Section,Length\nA,W10x88,28.5\n', 'us').length).toBeCloseTo(28.5 * 0.3048, 9);
    expect(read('Mark,Section,Length\nA,W10x88,6250\n', 'us').faults[0]!.error).toMatch(/choose the unit of the lengths, or how decimals/);
  });
  test('a weight in tonnes by choice', () =>
    expect(read('Mark,Section,Length,Weight\nA,HEA 200,6,0.254\n', 'metric', { mass: 't' }).rows[0]!.mass).toBeCloseTo(254, 9));
});

describe('decimals', () => {
  const mark = (text: string) => {
    const sheet = readSheet(text);
    return decimalMark(sheet, sheet.columns);
  };
  test.each([
    ['a comma by one figure that can be nothing else', 'Mark\tSection\tLength\nA\tHEA 200\t6,250\nB\tHEA 200\t7,5\n', 'comma'],
    ['a point by its groups', 'Mark\tSection\tLength\tWeight\nA\tHEA 200\t6\t"1,264.5"\n', 'point'],
    ['a comma where semicolons part the cells', 'Mark;Section;Length\nA;HEA 200;6\n', 'comma'],
    ['a point in a file parted by semicolons', 'Mark;Section;Length\nA;HEA 200;6.25\n', 'point'],
    ['a comma, as no piece is six millimetres long', 'Pos;Profil;Länge/mm\nA;HEA 200;6.250\nB;HEA 200;12.000\nC;HEA 200;9000\n', 'comma'],
    ['a point, as no piece is six kilometres long', 'Pos;Profil;Länge/m\nA;HEA 200;6.250\nB;HEA 200;12.000\n', 'point'],
    ['a point in groups of three', 'Mark,Section,Length (mm)\nA,HEA 200,"6,250"\n', 'point'],
    ['nothing shown', 'Mark,Section,Length\nA,HEA 200,"6,250"\n', null],
    ['each of them proved', 'Mark\tSection\tLength\nA\tHEA 200\t6,25\nB\tHEA 200\t6.25\n', null],
  ])('%s', (_, text, wanted) => expect(mark(text)).toBe(wanted));
  test('one figure decides for all of the file', () =>
    expect(read('Mark\tSection\tLength\nA\tHEA 200\t6,250\nB\tHEA 200\t7,5\n').rows.map((row) => row.length)).toEqual([6.25, 7.5]));
  test('groups of three in millimetres', () =>
    expect(read('Mark,Section,Length (mm),Weight (kg)\nA,HEA 200,"6,250","1,264.5"\n').rows[0]).toMatchObject({ length: 6.25, mass: 1264.5 }));
  test('where nothing decides, it is asked; chosen, it is read', () => {
    const text = 'Mark,Section,Length\nA,HEA 200,"6,250"\n';
    expect(read(text).faults[0]!.error).toMatch(/can be read two ways/);
    expect(read(text, 'metric', { mark: 'comma' }).rows[0]!.length).toBe(6.25);
    expect(read(text, 'metric', { mark: 'point', length: 'mm' }).rows[0]!.length).toBe(6.25);
  });
  test('whatever the length, written either way it comes back', () =>
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 149_000 }), fc.constantFrom('comma', 'point'), (millimetres, how) => {
        const metres = (millimetres / 1000).toFixed(3);
        const text = how === 'comma' ? metres.replace('.', ',') : metres;
        const proof = how === 'comma' ? '1,5' : '1.5';
        const { rows } = read(`Mark;Section;Length\nP;HEA 200;${proof}\nA;HEA 200;${text}\n`);
        expect(rows[1]!.length).toBeCloseTo(millimetres / 1000, 9);
      }),
    ));
});

describe('where the table begins', () => {
  test('titles above the headings are passed over, and rows are counted as the file has them', () => {
    const { rows, faults } = read('Terminal steel\nList of 12 May\n\nMark,Section,Length,Qty\nA,HEA 200,6.0,2\n\nB,HEA 200,long,1\n');
    expect(rows).toMatchObject([{ from: 'row 5', mark: 'A', count: 2 }]);
    expect(faults[0]!.from).toBe('row 7');
  });
  test('a title that begins with a heading’s word is no heading', () =>
    expect(read('Steel list\nMark,Section,Length\nA,HEA 200,6\n').rows).toMatchObject([{ mark: 'A', grade: '' }]));
  test.each([
    [
      'the usual order',
      'A,IPE 300,6.2\nB,HEA 200,7\n',
      [
        { mark: 'A', section: 'IPE 300', length: 6.2, count: 1 },
        { mark: 'B', length: 7 },
      ],
    ],
    [
      'number first, lengths in millimetres, grade last',
      '2,A,HEA 200,6200,S355\n1,B,IPE 300,7000,S275\n',
      [
        { mark: 'A', length: 6.2, count: 2, grade: 'S355' },
        { mark: 'B', length: 7, count: 1 },
      ],
    ],
    [
      'section first',
      'W10x88\tG1\t28.5\t3\nW8x58\tG2\t22\t1\n',
      [
        { mark: 'G1', section: 'W10x88', length: 28.5, count: 3 },
        { mark: 'G2', count: 1 },
      ],
    ],
    ['feet and inches', `G1,W10x88,28'-6",2\nG2,W8x58,22'-0",12\n`, [{ mark: 'G1', length: expect.closeTo(8.6868, 9) as unknown, count: 2 }, { count: 12 }]],
  ])('no headings, %s', (_, text, wanted) => {
    const { rows, faults } = read(text);
    expect(faults).toEqual([]);
    expect(rows).toMatchObject(wanted);
  });
  test('no headings and no section known: the usual order, and every cell that does not fit is told', () =>
    expect(read('one,two,three\n').faults[0]!.error).toMatch(/length “three”/));
});

test.each(['2', '2.0', '2,00', '2x', '2 off', '2 Stk', '2 pcs.', '2 ea'])('a count written “%s”', (count) =>
  expect(read(`Mark\tSection\tLength\tQty\nA\tHEA 200\t6\t${count}\n`).rows[0]!.count).toBe(2),
);
test.each(['0', '1.5', '-2', 'two', '2 boxes of'])('a count written “%s” is told', (count) =>
  expect(read(`Mark\tSection\tLength\tQty\nA\tHEA 200\t6\t${count}\n`).faults[0]!.error).toMatch(/not a whole number/),
);
test('any text is read without a stumble, and no row it gives is longer than a piece can be', () =>
  fc.assert(
    fc.property(fc.string({ maxLength: 300 }), fc.constantFrom('metric', 'us'), (text, system) => {
      for (const row of read(text, system).rows) expect(row.length >= 0.02 && row.length <= 150).toBe(true);
    }),
  ));

describe('lists printed for the eye', () => {
  const printed = `ASSEMBLY LIST          Job 12

Mark     Profile        Length    Qty   Grade     Weight
                          mm                       kg
--------------------------------------------------------
B1       UB 305x165x40    5800      2   S275       244.8
B2       HEA 200         12250          S355J2     518.0
--------------------------------------------------------
Page 2
Mark     Profile        Length    Qty   Grade     Weight
B10      IPE 300           900     14   S355        38.0
`;
  test('columns lined up with blanks are cut where every line is blank; rules and headings said again are passed over', () => {
    const { rows, faults } = read(printed);
    expect(rows.map(({ mark, section, length, count, grade, mass }) => [mark, section, length, count, grade, mass])).toEqual([
      ['B1', 'UB 305x165x40', 5.8, 2, 'S275', 244.8],
      ['B2', 'HEA 200', 12.25, 1, 'S355J2', 518],
      ['B10', 'IPE 300', 0.9, 14, 'S355', 38],
    ]);
    expect(faults).toEqual([{ from: 'row 9', error: 'Page 2 has no section.' }]);
  });
  test('commas in its figures and words do not cut it', () => {
    const { rows } = read('Mark  Section   Length   Remark\nB1    IPE 300   5,80 m   north, by the door\nB2    IPE 300   6,10 m   none\n');
    expect(rows.map(({ mark, length }) => [mark, length])).toEqual([
      ['B1', 5.8],
      ['B2', 6.1],
    ]);
  });
  test.each([
    ['a single line', 'B1    IPE 300   5.8'],
    ['sentences', 'First  we lift.\nThen   we rest.\n'],
    ['lines that share no blank', 'aaaa  bbbb  cccc\nddddddd  eeee  f\n g hh  iiiiiiii  j'],
    ['cells between tabs', 'B1\tIPE 300  \t5.8  m\tx  y\nB2\tIPE 300  \t6.1  m\tx  y\n'],
    ['one line longer than any page', `${'B1    IPE 300   5.8\n'.repeat(3000)}B2    IPE 300   ${' '.repeat(400_000)}6.1`],
  ])('%s is no such list', (_, text) => expect(fixedWidth(text)).toBeNull());
  test('a table between bars is read, its rule passed over', () => {
    const { rows, faults } = read('| Mark | Section | Length | Qty |\n|------|:--------|-------:|-----|\n| B1 | UB 305x165x40 | 6.2 m | 2 |\n');
    expect(faults).toEqual([]);
    expect(rows).toMatchObject([{ mark: 'B1', section: 'UB 305x165x40', length: 6.2, count: 2 }]);
  });
});

describe('headings nobody here can read', () => {
  test('mark and section are told by what stands there; the one length in a unit of length is the length', () => {
    const { rows, notes } = read('Znak;Profil;Długość [mm];Ilość;Masa [kg]\nA1;HEA200;6250;2;264,4\n');
    expect(rows).toMatchObject([{ mark: 'A1', section: 'HEA200', length: 6.25, count: 1, mass: null }]);
    expect(notes).toEqual([
      { from: 'columns', error: 'Not read: “Ilość”, “Masa [kg]”. If one is the number of pieces or the weight of one, choose it above.' },
    ]);
  });
  test('of two columns in a unit of length nobody can tell: it is asked', () =>
    expect(read('Znak;Profil;Długość [mm];Szerokość [mm]\nA1;HEA200;6250;200\n').faults).toEqual([
      { from: 'columns', error: 'Which column is the length? Choose it above.' },
    ]));
  test.each(['Width (mm)', 'Breite [mm]', 'Total, mm', 'Web thickness (mm)'])('“%s” is never taken for the length', (heading) =>
    expect(read(`Mark;Section;${heading}\nA1;HEA200;200\n`).faults[0]!.error).toMatch(/Which column is the length/),
  );
  test('words under such a heading are not worth a note, figures are', () => {
    expect(read('Mark,Section,Length,Qty,Remark\nA,HEA 200,6 m,1,north\n').notes).toBeUndefined();
    expect(read('Mark,Section,Length,Qty,Qx\nA,HEA 200,6 m,1,12.5\n').notes?.[0]?.error).toBe('Not read: “Qx”. If one is the weight of one, choose it above.');
  });
  test('in no script known here: read below them all the same', () =>
    expect(read('编号,截面,长度,数量\nB1,IPE300,5800,2\nB2,IPE330,6100,1\n').rows).toMatchObject([
      { mark: 'B1', length: 5.8, count: 2 },
      { mark: 'B2', length: expect.closeTo(6.1, 9) as unknown, count: 1 },
    ]));
  test.each([
    ['French', 'Repère;Profilé;Longueur (mm);Nb;Poids (kg);Nuance\nP1;HEB 200;3 200,5;2;196,2;S275\n'],
    ['Italian', 'Marca;Profilo;Lunghezza (mm);Quantità;Peso (kg);Materiale\nP1;HEB 200;3200,5;2;196,2;S275\n'],
    ['Dutch', 'Merk;Aantal;Profiel;Lengte (mm);Gewicht;Kwaliteit\nP1;2;HEB 200;3200,5;196,2;S275\n'],
    ['Spanish', 'Marca;Perfil;Longitud (mm);Cantidad;Peso (kg);Calidad\nP1;HEB 200;3200,5;2;196,2;S275\n'],
  ])('%s ones are known', (_, text) =>
    expect(one(text)).toMatchObject({ mark: 'P1', section: 'HEB 200', length: 3.2005, count: 2, mass: 196.2, grade: 'S275' }),
  );
});

describe('feet in one column, inches in the next', () => {
  test.each(['Feet,Inches', 'Length (ft),(in)', 'FT.,INS', 'Length Feet,Length Inches'])('%s', (heads) => {
    const { rows, faults } = read(`Piece,Size,${heads},Pcs\nG1,W36X150,62,6 1/2,2\nG2,W36X150,,9,1\nG3,W36X150,20,,1\n`, 'us');
    expect(faults).toEqual([]);
    expect(rows.map(({ length, count }) => [Number((length / 0.0254).toFixed(6)), count])).toEqual([
      [750.5, 2],
      [9, 1],
      [240, 1],
    ]);
  });
  test('both blank is no length', () => expect(read('Piece,Size,Feet,Inches\nG1,W36X150,,\nG2,W36X150,4,0\n', 'us').faults[0]!.error).toMatch(/length “”/));
});

test('without headings a count is never taken for a length that cannot be read', () => {
  const { rows, faults } = read('B1  IPE300  5,800  2\nB2  IPE300  6,100  1\n');
  expect(rows).toEqual([]);
  expect(faults.map((fault) => fault.error)).toEqual([expect.stringContaining('5,800'), expect.stringContaining('6,100')]);
  expect(read('B1,IPE300,2\nB2,IPE300,1\n').faults[0]!.error).toMatch(/Which column is the length/);
});
test('a first piece whose length bears its unit is no row of headings', () =>
  expect(read('B1,IPE 300,6250 mm\nB2,IPE 300,5.8 m\n').rows.map(({ mark, length }) => [mark, length])).toEqual([
    ['B1', 6.25],
    ['B2', 5.8],
  ]));
test('a title that begins like a heading is none when a fuller row below it names a column too', () =>
  expect(
    read('ASSEMBLY LIST    Job 12\n\nZnak     Profil          Dlug [mm]\nN1       UB 305x165x40        5800\nN2       HEA 200             12250\n').rows.map(
      ({ mark, section, length }) => [mark, section, length],
    ),
  ).toEqual([
    ['N1', 'UB 305x165x40', 5.8],
    ['N2', 'HEA 200', 12.25],
  ]));
test('a first piece called like a heading is a piece', () =>
  expect(read('Part 1\tHEA 200\t6.2 m\nPart 2\tIPE 300\t5.8 m\n').rows.map(({ mark }) => mark)).toEqual(['Part 1', 'Part 2']));
test('cells between commas stay cells, however they are padded with blanks', () => {
  const { rows, faults } = read('Mark,   Section,        Length,   Qty\nB1,     IPE 300,        5.8 m,    2\nB2,     UB 305x165x40,  6.25 m,   1\n');
  expect(faults).toEqual([]);
  expect(rows.map(({ mark, section, length, count }) => [mark, section, length, count])).toEqual([
    ['B1', 'IPE 300', 5.8, 2],
    ['B2', 'UB 305x165x40', 6.25, 1],
  ]);
});
