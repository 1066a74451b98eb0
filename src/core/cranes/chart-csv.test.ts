import fc from 'fast-check';
import { looksLikeChart, readChartCsv, writeChartCsv } from './chart-csv';
import type { Chart } from './chart-shape';

const metric = { radius: 'm', capacity: 'kg' } as const;
const good = 'radius m / capacity kg,10,14\n4,9000,8200\n6,5200,5000\n8,,3100\n';

describe('a chart as text', () => {
  test('comma, semicolon with decimal commas, tabs, BOM and CRLF all read alike', () => {
    const want: Chart = {
      radii: [4, 6, 8],
      booms: [10.5, 14],
      capacity: [
        [9000, 8200],
        [5200, 5000],
        [null, 3100],
      ],
    };
    for (const text of [
      'r,10.5,14\n4,9000,8200\n6,5200,5000\n8,-,3100',
      '\ufeffr;10,5;14\r\n4;9000;8200\r\n6;5200;5000\r\n8;n/a;3100\r\n',
      'r\t10.5\t14\n4\t9,000\t8,200\n6\t5,200\t5,000\n8\t\t3,100',
    ])
      expect(readChartCsv(text, metric)).toMatchObject({ chart: want, faults: [] });
  });
  test('units come from the corner when it says them', () => {
    expect(readChartCsv(good, metric)).toMatchObject({ radiusUnit: 'm', capacityUnit: 'kg', bareTon: false });
    expect(readChartCsv('ft \\ lb,30,40\n10,9000,8000', metric)).toMatchObject({ radiusUnit: 'ft', capacityUnit: 'lb' });
    expect(readChartCsv('radius ft / short tons,30,40\n10,9,8', metric)).toMatchObject({ capacityUnit: 'short ton' });
  });
  test('a bare ton is not taken for any of the three', () =>
    expect(readChartCsv('ft / tons,30\n10,9', metric)).toMatchObject({ capacityUnit: null, bareTon: true }));
  test('feet and pounds become metres and kilograms', () => {
    const { chart } = readChartCsv('r,30\n10,2000', { radius: 'ft', capacity: 'lb' });
    expect(chart?.radii[0]).toBeCloseTo(3.048, 12);
    expect(chart?.capacity[0]?.[0]).toBeCloseTo(907.18474, 8);
  });
  test.each([
    ['text in a cell', good.replace('5000', 'abc'), 3, 3, '“abc” at radius 6, boom 14'],
    ['a negative capacity', good.replace('5000', '-5000'), 3, 3, 'below zero'],
    ['text for a radius', good.replace('\n6,', '\nsix,'), 3, 1, '“six” is not a radius'],
    ['text for a boom', good.replace(',14', ',long'), 1, 3, '“long” is not a boom length'],
    ['radii out of order', good.replace('\n8,', '\n5,'), 4, 1, 'rising order'],
    ['too many cells', good.replace('5200,5000', '5200,5000,1'), 3, 4, '3 capacities for 2 booms'],
    ['nothing', '', 1, 1, 'no table'],
    ['one line', 'r,10,14', 1, 1, 'no table'],
  ])('%s is named by row and column', (_, text, row, column, words) => {
    const reading = readChartCsv(text, metric);
    expect(reading.chart).toBeNull();
    expect(reading.faults[0]).toMatchObject({ row, column, error: expect.stringContaining(words) as unknown });
  });
  test.each([
    ['feet in the cells', 'r,30 ft,40 ft\n10 ft,9000 lb,8000 lb\n20 ft,5000 lb,4000 lb', 9.144, 3.048, 4082.33],
    ['metres and tonnes, and a corner of other units', 'ft / lb,10 m,14 m\n4 m,9 t,8.2 t\n6 m,5 t,4 t', 10, 4, 9000],
    ['capacities in kN', 'm / kN,10,14\n4,90,82\n6,50,40', 10, 4, 9177.4],
    ['pounds by the thousand', 'ft / lb x 1000,30,40\n10,9,8\n20,5,4', 9.144, 3.048, 4082.33],
    ['a point that can only part thousands', 'm / kg,10,14\n4,9.000,8.200\n6,5.000,4.000', 10, 4, 9000],
    ['a point that can only part decimals', 'm / t,10,14\n4.000,9.000,8.200\n6.000,5.000,4.000', 10, 4, 9000],
  ])('%s are converted, not stripped', (_, text, boom, radius, rated) => {
    const { radiusUnit, capacityUnit } = readChartCsv(text, { radius: null, capacity: null });
    const { chart, asked, faults } = readChartCsv(text, { radius: radiusUnit, capacity: capacityUnit });
    expect([asked, faults]).toEqual([[], []]);
    expect(chart!.booms[0]).toBeCloseTo(boom, 6);
    expect(chart!.radii[0]).toBeCloseTo(radius, 6);
    expect(chart!.capacity[0]![0]).toBeCloseTo(rated, 1);
  });
  test.each([
    ['no unit anywhere', 'r,30,40\n10,9000,8000', ['radius', 'capacity']],
    ['tons in the cells', 'r m,30,40\n10,9 tons,8 tons', ['capacity']],
    ['a figure that is nine hundred or as many thousand', 'm / lb,30,40\n10,"900.000","800.000"', ['capacity']],
  ])('%s is asked, and there is no chart', (_, text, about) => {
    const { radiusUnit, capacityUnit } = readChartCsv(text, { radius: null, capacity: null });
    const { chart, asked } = readChartCsv(text, { radius: radiusUnit, capacity: capacityUnit });
    expect(chart).toBeNull();
    expect(asked.map((one) => one.about)).toEqual(about);
  });
  test.each([
    ['a chart', good, true],
    ['a chart in feet', 'r,30 ft\n10 ft,9000 lb', true],
    ['a list', 'Mark,Section,Length\nB1,HEB 200,6', false],
    ['a list without headings', 'B1,HEB 200,6\nB2,IPE 300,5', false],
  ])('%s is told from a list', (_, text, wanted) => expect(looksLikeChart(text)).toBe(wanted));
  test('a hole between figures is pointed at but stays a blank', () => {
    const reading = readChartCsv('r,10\n4,9000\n6,\n8,3000', metric);
    expect(reading.chart?.capacity[1]).toEqual([null]);
    expect(reading.holes[0]).toContain('Radius 6, boom 10');
  });
  test('written and read back it is the same chart', () => {
    const axis = fc.uniqueArray(fc.integer({ min: 1, max: 400 }), { minLength: 1, maxLength: 8 }).map((list) => list.sort((a, b) => a - b).map((n) => n / 4));
    fc.assert(
      fc.property(axis, axis, fc.infiniteStream(fc.option(fc.integer({ min: 0, max: 90000 }))), (radii, booms, cells) => {
        const chart: Chart = { radii, booms, capacity: radii.map(() => booms.map(() => cells.next().value as number | null)) };
        expect(readChartCsv(writeChartCsv(chart), metric).chart).toEqual(chart);
      }),
    );
  });
  test('no text makes it throw', () =>
    fc.assert(
      fc.property(fc.string(), (text) => void readChartCsv(text, metric)),
      { numRuns: 400 },
    ));
});
