import fc from 'fast-check';
import { findSection, searchSections, sections } from './sections';

test.each([
  ['W 10 X 88', 'W10x88'],
  ['W10-88', 'W10x88'],
  ['W10 88', 'W10x88'],
  ['10W88', 'W10x88'],
  ['10 WF 88', 'W10x88'],
  ['W10x88#', 'W10x88'],
  ['W 8 x 58 lb/ft', 'W8x58'],
  ['W8x58 A992', 'W8x58'],
  ['W250x73', 'W10x49'],
  ['W310x52', 'W12x35'],
  ['UB254*146*37', 'UB 254x146x37'],
  ['UB 254/146/37', 'UB 254x146x37'],
  ['254 UB 37', 'UB 254x146x37'],
  ['254×146 UB 37', 'UB 254x146x37'],
  ['UB254X146X37KG/M', 'UB 254x146x37'],
  ['203 UC 46', 'UC 203x203x46'],
  ['UC203x46', 'UC 203x203x46'],
  ['203x203x46UC', 'UC 203x203x46'],
  ['HEA-200', 'HEA 200'],
  ['HE-A 200', 'HEA 200'],
  ['HE 200-A', 'HEA 200'],
  ['IPBl 200', 'HEA 200'],
  ['IPB 300', 'HEB 300'],
  ['IPBv 200', 'HEM 200'],
  ['IPE 300 (S275JR)', 'IPE 300'],
  ['DIN 1025 IPE 300', 'IPE 300'],
  ['ipe_300', 'IPE 300'],
  ['HSS 6 x 6 x .375', 'HSS6x6x3/8'],
  ['HSS6X6X3/8"', 'HSS6x6x3/8'],
  ['TS6x6x3/8', 'HSS6x6x3/8'],
  ['PFC 200x75', 'PFC 200x75x23'],
  ['200 PFC 23', 'PFC 200x75x23'],
  ['[200x75x23', 'PFC 200x75x23'],
])('%s is %s', (written, designation) => expect(findSection(written)?.designation).toBe(designation));

test.each(['UB 533x210', 'PFC200', 'W10x4', 'W250x74', 'MC10x22', 'L4x4x1/2', 'S355', '#', '', '  ', 'x', '3/8', '10W'])(
  '“%s” could be several or none: it is none',
  (written) => expect(findSection(written)).toBeUndefined(),
);
test('every section is found by its own name, however blanks, case and crosses are written, with or without a grade', () =>
  fc.assert(
    fc.property(
      fc.constantFrom(...sections),
      fc.constantFrom('x', 'X', '×', '*', ' x '),
      fc.constantFrom('', ' ', '  '),
      fc.constantFrom('', ' S355', ' S275J0', ', A992'),
      fc.boolean(),
      (row, cross, blank, grade, upper) => {
        const written = row.designation.replace(/x/g, cross).replace(/ /g, blank) + grade;
        expect(findSection(upper ? written.toUpperCase() : written.toLowerCase())?.designation).toBe(row.designation);
      },
    ),
    { numRuns: 600 },
  ));
test('metric names of the W series are those of the depth and weight they stand for, never of two', () => {
  const named = new Map<string, string>();
  for (const row of sections.filter((one) => one.family === 'W')) {
    const depth = Number(/^W(\d+)/.exec(row.designation)![1]);
    const mark = `W${({ 8: 200, 10: 250, 12: 310, 14: 360, 16: 410, 18: 460, 21: 530, 24: 610 } as Record<number, number>)[depth] ?? 0}x${Math.round(row.massPerLength)}`;
    const found = findSection(mark);
    if (found && !mark.startsWith('W0')) named.set(mark, found.designation);
  }
  expect(named.size).toBeGreaterThan(60);
  for (const [mark, designation] of named)
    expect(Math.abs(sections.find((one) => one.designation === designation)!.massPerLength - Number(mark.split('x')[1]))).toBeLessThan(0.6);
});
test('any text at all is looked up without a stumble', () => fc.assert(fc.property(fc.string(), (text) => void findSection(text))));

describe('the search while one types', () => {
  const found = (text: string) => searchSections(text).map((one) => one.designation);
  test.each([
    ['533 92', 'UB 533x210x92'],
    ['uc 46', 'UC 203x203x46'],
    ['203 uc 46', 'UC 203x203x46'],
    ['w10 88', 'W10x88'],
    ['hea200', 'HEA 200'],
    ['3/8 6', 'HSS6x6x3/8'],
    ['w250x73', 'W10x49'],
  ])('“%s” brings %s', (text, designation) => expect(found(text)).toContain(designation));
  test('what it is by itself comes first, once', () => {
    const list = found('W10x49');
    expect(list[0]).toBe('W10x49');
    expect(list.filter((one) => one === 'W10x49')).toHaveLength(1);
  });
  test('a beginning comes before a middle', () => {
    const list = found('UB 4');
    expect(list.slice(0, 5).every((one) => one.startsWith('UB 4'))).toBe(true);
  });
  test('nothing typed shows the table from its top; nonsense shows nothing', () => {
    expect(found('')).toEqual(sections.slice(0, 60).map((one) => one.designation));
    expect(found('qq')).toEqual([]);
  });
});
