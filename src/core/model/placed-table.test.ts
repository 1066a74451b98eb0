import { readGrid, readPlacedTable, type Grid } from './placed-table';

const grid: Grid = {
  east: [
    { name: 'A', at: 0 },
    { name: 'B', at: 6 },
    { name: 'C', at: 13 },
  ],
  north: [
    { name: '1', at: 0 },
    { name: '2', at: 5 },
  ],
};
const read = (text: string, levelOf: 'underside' | 'top' | 'axis' = 'underside', of: Grid = grid) => readPlacedTable(text, of, levelOf, 'metric');
const HEAD = 'mark\tsection\tfrom\tto\tlevel\n';

test('a grid as people write it; what is no line of it is told', () => {
  expect(readGrid('A 0; B=6; C: 12.5\nD 20 ft', 'metric')).toMatchObject({
    lines: [
      { name: 'A', at: 0 },
      { name: 'B', at: 6 },
      { name: 'C', at: 12.5 },
      { name: 'D', at: expect.closeTo(6.096, 6) },
    ],
    faults: [],
  });
  expect(readGrid('A; B six; A 1; a 2', 'metric').faults).toEqual([
    '“A” is no line of a grid: give its name and where it lies, as in A 0; B 6.',
    expect.stringMatching(/^Line B: /),
    'Line a is given twice.',
  ]);
});

test('two columns and the beam between: by grid reference however it is written, the beam lifted to its axis by half its depth', () => {
  const text = `${HEAD}C1\tUC 203x203x60\tA/1\tA/1\t0 to 4.2\nC2\tUC 203x203x60\tB-1\tB1\t0..4.2\nB1\tUB 305x165x40\t1A\tb 1\t3.8`;
  const { placed, rows, faults } = read(text);
  expect(faults).toEqual([]);
  expect(placed.pieces.map(({ from, to }) => [from, to])).toEqual([
    [
      [0, 0, 0],
      [0, 0, 4.2],
    ],
    [
      [6, 0, 0],
      [6, 0, 4.2],
    ],
    [
      [0, 0, expect.closeTo(3.8 + 0.3034 / 2, 3)],
      [6, 0, expect.closeTo(3.8 + 0.3034 / 2, 3)],
    ],
  ]);
  expect(placed.joints.map(({ a, b, kind }) => `${a} ${kind} ${b}`).sort()).toEqual(['B1 onColumn C1', 'B1 onColumn C2']);
  expect(placed.supports.map(({ piece, kind, end }) => [piece, kind, end])).toEqual([
    ['C1', 'foot', 0],
    ['C2', 'foot', 0],
  ]);
  expect(rows.find(({ mark }) => mark === 'B1')).toMatchObject({ length: 6, count: 1, section: 'UB 305x165x40' });
});

test('levels are of the underside, the top or the axis, as is said', () => {
  const z = (levelOf: 'underside' | 'top' | 'axis') => read(`${HEAD}B1\tUB 305x165x40\tA/1\tB/1\t4`, levelOf).placed.pieces[0]!.from[2];
  expect(z('axis')).toBe(4);
  expect(z('underside')).toBeCloseTo(4 + 0.1517, 3);
  expect(z('top')).toBeCloseTo(4 - 0.1517, 3);
});

test('coordinates with and without a level, in any unit; without headings in the usual order', () => {
  const { placed, faults } = read('B1;UB 305x165x40;0, 1.5, 3;6.5, 1.5, 3\nB2;UB 305x165x40;0 2000mm;6 2000mm;3.25', 'axis');
  expect(faults).toEqual([]);
  expect(placed.pieces.map(({ from, to }) => [from, to])).toEqual([
    [
      [0, 1.5, 3],
      [6.5, 1.5, 3],
    ],
    [
      [0, 2, 3.25],
      [6, 2, 3.25],
    ],
  ]);
});

test('pieces of one mark are numbered and counted, and are alike', () => {
  const alike = read(`${HEAD}B1\tUB 305x165x40\tA/1\tB/1\t4\nB1\tUB 305x165x40\tA/2\tB/2\t4`);
  expect(alike.placed.pieces.map(({ name }) => name)).toEqual(['B1', 'B1 2']);
  expect(alike.rows).toMatchObject([{ mark: 'B1', count: 2 }]);
  const longer = read(`${HEAD}B1\tUB 305x165x40\tA/1\tB/1\t4\nB1\tUB 305x165x40\tB/1\tC/1\t4`);
  expect(longer.faults).toEqual([
    { from: 'row 3, B1', error: 'It is 7.000 m long here and 6.000 m above: pieces of one mark are alike. Give one of them another mark.' },
  ]);
  expect(longer.placed.pieces).toHaveLength(1);
  expect(read(`${HEAD}B1\tUB 305x165x40\tA/1\tB/1\t4\nB1\tUB 254x146x31\tA/2\tB/2\t4`).faults[0]!.error).toContain('It is UB 254x146x31 here');
});

test.each([
  ['\tUB 305x165x40\tA/1\tB/1\t4', 'It has no mark.'],
  ['B1\tUB 305x165x40\tA/1\tD/1\t4', '“to” says “D/1”: no place of the grid is called so'],
  ['B1\tUB 305x165x40\t\tB/1\t4', '“from” says “”: nothing.'],
  ['B1\tUB 305x165x40\tA/1\tB/1\t', 'At what level does it lie?'],
  ['B1\tUB 305x165x40\tA/1\tA/1\t4', 'Its two ends are at one place.'],
  ['B1\tUB 305x165x40\tA/1\tB/1\thigh', 'Level “high”'],
  ['B1\tUB 305x165x40\tA/1\tB/1\t1 to 2 to 3', 'names more than two levels'],
  ['B1\tUB 305x165x40\t0, 0, 3\t6, 0, 3\t4', 'Its first end is at level 3 m by its place and at 4 m by its level. Which?'],
  ['B1\tUB 305x165x40\t0, 0, 3, 9\t6, 0, 3\t', 'no place of the grid is called so'],
])('%j is told and left out', (row, error) => {
  const { faults, placed } = read(HEAD + row);
  expect(faults.map((one) => one.error).join()).toContain(error);
  expect(placed.pieces).toEqual([]);
});

test('a name two places of the grid answer to is asked', () => {
  const twice: Grid = {
    east: [
      { name: '1', at: 0 },
      { name: '11', at: 5 },
    ],
    north: [
      { name: '11', at: 0 },
      { name: '1', at: 7 },
    ],
  };
  expect(read(`${HEAD}B1\tX\t111\t1/1\t4`, 'axis', twice).faults[0]!.error).toContain('more than one place');
});

test('more rows than are read at a time are told', () => {
  const text = HEAD + Array.from({ length: 5003 }, (_, i) => `B${i}\tX\t0, ${i}, 1\t6, ${i}, 1\t`).join('\n');
  const { placed, faults } = read(text, 'axis');
  expect(placed.pieces).toHaveLength(5000);
  expect(faults.at(-1)!.error).toContain('5003 rows');
});
