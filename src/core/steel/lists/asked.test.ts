import { readSheet, rowsOf } from './table';
import type { Choice } from './rows';
import { weightWords } from './weight-words';

const read = (text: string, chosen: Choice = {}, system: 'metric' | 'us' | null = null) => rowsOf(readSheet(text), null, system, chosen);
const masses = (text: string, chosen: Choice = {}) => read(text, chosen).rows.map(({ mass }) => (mass === null ? null : Math.round(mass * 10) / 10));
const about = (text: string, chosen: Choice = {}) => (read(text, chosen).asked ?? []).map((one) => one.about);
/** HEB 200 is 61.3 kg/m and IPE 300 42.2 kg/m: 6 m and 5 m. */
const list = (head: string, a: string, b: string, counts: readonly [number, number] = [1, 1]) =>
  `Mark;Section;Length (m);Qty;${head}\nB1;HEB 200;6.00;${counts[0]};${a}\nB2;IPE 300;5.00;${counts[1]};${b}\n`;
const odd = (head: string, a: string, b: string, counts: readonly [number, number] = [1, 1]) =>
  list(head, a, b, counts).replace('HEB 200', 'Box 1').replace('IPE 300', 'Box 2');

describe('the unit of a weight', () => {
  test.each([
    ['Weight (kg)', '367.8', '211.0', [367.8, 211]],
    ['Weight (t)', '0.3678', '0.211', [367.8, 211]],
    ['Weight, tonnes', '0.3678', '0.211', [367.8, 211]],
    ['Weight [Mg]', '0.3678', '0.211', [367.8, 211]],
    ['Weight (kN)', '3.607', '2.069', [367.8, 211]],
    ['Weight (lbs)', '810.9', '465.2', [367.8, 211]],
    ['Weight (kips)', '0.8109', '0.4652', [367.8, 211]],
    ['Weight (short tons)', '0.4054', '0.2326', [367.8, 211]],
    ['Weight (kg/m)', '61.3', '42.2', [367.8, 211]],
    ['Unit weight (kg/m)', '61.3', '42.2', [367.8, 211]],
    ['Unit weight (lb/ft)', '41.19', '28.36', [367.8, 211]],
    ['Weight (plf)', '41.19', '28.36', [367.8, 211]],
    ['Metergewicht', '61.3', '42.2', [367.8, 211]],
    ['Weight', '367.8 kg', '0.211 t', [367.8, 211]],
    ['Weight', '3.607 kN', '2.069 kN', [367.8, 211]],
    ['Weight', '61.3 kg/m', '42.2 kg/m', [367.8, 211]],
  ])('%s', (head, a, b, wanted) => {
    const got = masses(list(head, a, b));
    got.forEach((mass, i) => expect(mass).toBeCloseTo(wanted[i]!, -0.3));
    expect(about(list(head, a, b))).toEqual([]);
  });
  test.each(['Weight (tons)', 'Weight (ton)', 'Weight (T)', 'Weight (cwt)', 'Weight (stone)'])('%s is asked', (head) => {
    expect(masses(list(head, '0.4', '0.2'))).toEqual([null, null]);
    expect(about(list(head, '0.4', '0.2'))).toEqual(['mass']);
  });
  test('a bare figure the sections bear out is read; of sections no table knows it is asked, with the first rows under each answer', () => {
    expect(masses(list('Weight', '367.8', '211.0'))).toEqual([367.8, 211]);
    expect(masses(list('Weight', '810.9', '465.2'))).toEqual([367.8, 211]);
    expect(masses(odd('Weight', '367.8', '211.0'))).toEqual([null, null]);
    const { asked } = read(odd('Weight', '367.8', '211.0'));
    expect(asked![0]!.answers!.map(({ label }) => label)).toEqual(
      expect.arrayContaining([expect.stringContaining('kg of one piece: B1 367.8 kg'), expect.stringContaining('lb of one piece: B1 166.8 kg')]),
    );
    expect(masses(odd('Weight', '367.8', '211.0'), { mass: 'lb', per: 'one' })).toEqual([166.8, 95.7]);
  });
  test('a heading the sections contradict is asked', () => {
    expect(about(list('Weight (kg)', '810.9', '465.2'))).toEqual(['mass']);
    expect(about(list('Weight (kg)', '0.3678', '0.211'))).toEqual(['mass']);
  });
});

describe('what a weight is of', () => {
  test.each(['Total weight (kg)', 'Gesamtgewicht (kg)', 'Gewicht gesamt [kg]', 'Weight total kg', 'Summe Gewicht (kg)'])('%s is of the row', (head) =>
    expect(masses(odd(head, '735.6', '211.0', [2, 1]))).toEqual([367.8, 211]),
  );
  test('nothing said: as the sections make it, else asked', () => {
    expect(masses(list('Weight (kg)', '735.6', '844.0', [2, 4]))).toEqual([367.8, 211]);
    expect(masses(list('Weight (kg)', '367.8', '211.0', [2, 4]))).toEqual([367.8, 211]);
    expect(masses(odd('Weight (kg)', '367.8', '211.0', [2, 4]))).toEqual([null, null]);
    expect(masses(odd('Weight (kg)', '367.8', '211.0', [1, 1]))).toEqual([367.8, 211]);
    expect(masses(odd('Weight of one (kg)', '367.8', '211.0', [2, 4]))).toEqual([367.8, 211]);
  });
  test('a figure of a metre under a heading that says kilograms is asked', () => expect(about(list('Weight (kg)', '61.3', '42.2'))).toEqual(['mass']));
  test('“unit weight” of no section known may be of a piece or of a metre: asked', () =>
    expect(about(odd('Unit weight (kg)', '61.3', '42.2'))).toEqual(['mass']));
  test('of two columns that of one piece is read', () =>
    expect(masses('Mark;Section;Length (m);Qty;Total weight (kg);Unit weight (kg/m);Weight each (kg)\nB1;Box 1;6;2;700;58;350\n')).toEqual([350]));
});

describe('counts, marks and sections', () => {
  test('a number that only goes up is asked, unless another column counts', () => {
    expect(about('No;Mark;Section;Length (m)\n1;B1;HEB 200;6\n2;B2;HEB 200;6\n3;B3;HEB 200;6\n')).toEqual(['count']);
    expect(about('Nr;Mark;Section;Length (m)\n5;B1;HEB 200;6\n')).toEqual(['count']);
    expect(read('No;Mark;Section;Length (m);Qty\n1;B1;HEB 200;6;4\n2;B2;HEB 200;6;4\n').rows.map(({ count }) => count)).toEqual([4, 4]);
    expect(read('No;Mark;Section;Length (m)\n4;B1;HEB 200;6\n2;B2;HEB 200;6\n').rows.map(({ count }) => count)).toEqual([4, 2]);
    expect(read('No;Mark;Section;Length (m)\n1;B1;HEB 200;6\n2;B2;HEB 200;6\n', { count: null }).rows.map(({ count }) => count)).toEqual([1, 1]);
  });
  test('Member, Mark and Pos by what stands under them', () => {
    const pieces = (text: string) => read(text).rows.map(({ mark, section }) => [mark, section]);
    expect(pieces('Member;Section;Length (m)\nB1;HEB 200;6\nB2;IPE 300;5\n')).toEqual([
      ['B1', 'HEB 200'],
      ['B2', 'IPE 300'],
    ]);
    expect(pieces('Mark;Member;Length (m)\nB1;HEB 200;6\nB2;IPE 300;5\n')[0]).toEqual(['B1', 'HEB 200']);
    expect(pieces('Mark;Pos;Length (m)\nHEB 200;B1;6\nIPE 300;B2;5\n')[0]).toEqual(['B1', 'HEB 200']);
    expect(pieces('Pos;Mark;Profile;Length (m)\n1;B1;HEB 200;6\n2;B2;IPE 300;5\n')[0]).toEqual(['B1', 'HEB 200']);
    expect(pieces('Section;Mark;Length (m)\nB1;HEB 200;6\nB2;IPE 300;5\n')[0]).toEqual(['B1', 'HEB 200']);
    expect(pieces('Section;Size;Length (m);Mark\nNorth;HEB 200;6;B1\nSouth;IPE 300;5;B2\n')[0]).toEqual(['B1', 'HEB 200']);
  });
  test('a number that is the mark is no count', () =>
    expect(read('No.;Section;Length (m);kg\n1;HEB 200;6;367.8\n2;HEB 200;5;306.5\n').rows.map(({ mark, count, mass }) => [mark, count, mass])).toEqual([
      ['1', 1, 367.8],
      ['2', 1, 306.5],
    ]));
  test('the same mark more than once beside a column where each is another is asked', () =>
    expect(about('Mark;Pos;Profile;Length (m)\nD1;B1;HEB 200;6\nD1;B2;IPE 300;5\n')).toContain('mark'));
});

describe('the unit of a length', () => {
  test.each([
    ['metres, by sections of Europe', 'HEB 200', '6.2', 6.2],
    ['millimetres, by sections of Europe', 'HEB 200', '6200', 6.2],
    ['feet, by sections of America', 'W10x88', '28.5', 8.6868],
  ])('%s', (_, section, length, wanted) => expect(read(`Mark;Section;Length\nA;${section};${length}\n`).rows[0]!.length).toBeCloseTo(wanted, 9));
  test.each(['Box 1;6.2', 'HEB 200;620'])('%s is asked', (row) => expect(about(`Mark;Section;Length\nA;${row}\n`)).toContain('length'));
  test('a unit nobody here knows is asked; while it is, no weight that hangs on it is given', () => {
    const text = 'Mark;Section;Length (yd);Weight (kg/m)\nA;HEB 200;6.2;61.3\n';
    expect(about(text)).toContain('length');
    expect(masses(text)).toEqual([null]);
  });
});

test.each([
  ['kg/lfm', ['kg'], ['metre']],
  ['kg per metre', ['kg'], ['metre']],
  ['lbs/ft', ['lb'], ['foot']],
  ['Wt', null, null],
  ['Wt (t)', ['t'], null],
  ['Total Wt', null, ['row']],
  ['Gewicht je Stück kg', ['kg'], ['one']],
  ['Weight (net)', null, null],
])('words of a weight: %s', (words, units, per) => expect(weightWords(words)).toEqual({ units, per, strange: null }));
