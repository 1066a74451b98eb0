import { COUNTS, EVERY, FRESH, madeUpReadings, readReadings, windNow, type Reading } from './anemometer';

const NOW = Date.parse('2026-11-29T10:00:00Z');
const ago = (seconds: number, gust: number): Reading => ({ at: NOW - seconds * 1000, gust });

describe('the wind now', () => {
  test('is the greatest reading of the last ten minutes, however calm it is since', () => {
    expect(windNow([ago(590, 9), ago(30, 3), ago(10, 4)], NOW)).toEqual(ago(590, 9));
    expect(windNow([ago(601, 9), ago(600, 8), ago(10, 4)], NOW)).toEqual(ago(600, 8));
    // However the rows are sorted.
    expect(windNow([ago(10, 4), ago(300, 7)], NOW)).toEqual(ago(300, 7));
  });
  test('is not known from an old reading, or from none; one of a time to come is none', () => {
    expect(windNow([], NOW)).toEqual({ unknown: 'nothing read', newest: null });
    expect(windNow([ago(-10, 2)], NOW)).toEqual({ unknown: 'nothing read', newest: null });
    expect(windNow([ago(FRESH / 1000, 2)], NOW)).toMatchObject({ gust: 2 });
    expect(windNow([ago(FRESH / 1000 + 1, 2)], NOW)).toEqual({ unknown: 'too old', newest: NOW - FRESH - 1000 });
  });
});

describe('readings of any instrument', () => {
  const read = (text: string) => readReadings(text, '2026-11-29');
  test.each([
    ['time,gust (m/s)\n09:59:50,4.5', [ago(10, 4.5)]],
    ['date;wind speed (km/h)\n2026-11-29 09:59;18,0', [ago(60, 5)]],
    ['time,wind direction (°),wind speed (m/s)\n09:59,270,4', [ago(60, 4)]],
    ['time\twind (kn)\tgust (kn)\n2026-11-29T09:59:00\t5\t10', [ago(60, (10 * 1852) / 3600)]],
  ])('read %#', (text, readings) => {
    const found = read(text);
    if (!found.ok) throw new Error(found.error);
    expect(found.readings.map(({ at }) => at)).toEqual(readings.map(({ at }) => at));
    found.readings.forEach(({ gust }, n) => expect(gust).toBeCloseTo(readings[n]!.gust, 9));
  });
  test.each([
    ['', /no table/],
    ['time,gust (m/s)', /no table/],
    ['when,gust (m/s)\n09:00,4', /No column is of the time/],
    ['time,rain (mm)\n09:00,4', /No column is of the wind/],
    ['time,mean wind (m/s)\n09:00,4', /a mean is not what stops a lift/],
    ['time,wind avg (m/s)\n09:00,4', /a mean is not what stops a lift/],
    ['time,gust\n09:00,4', /What unit is the wind in/],
    ['time,gust (m/s)\nnoon,4', /Row 2: “noon” is no time/],
    ['time,gust (m/s)\n25:00,4', /Row 2: “25:00” is no time/],
    ['time,gust (m/s)\n09:00,4\n09:01,x', /Row 3: “x” is no wind/],
    ['time,gust (m/s)\n09:00,-1', /Row 2: “-1” is no wind/],
    ['time,gust (m/s)\n09:00,101', /Row 2: “101” is no wind/],
    [`time,gust (m/s)\n${'09:00,4\n'.repeat(20001)}`, /20000 are read at the most/],
  ])('refused %#', (text, why) => {
    const found = read(text);
    expect(found.ok ? '' : found.error).toMatch(why);
  });
});

test('the made-up one reads the same at the same moment, ten minutes of it, up to now', () => {
  const readings = madeUpReadings(NOW + 3000);
  expect(readings).toEqual(madeUpReadings(NOW + 4000));
  expect(readings).toHaveLength(COUNTS / EVERY);
  expect(readings.at(-1)!.at).toBe(NOW);
  expect(readings.every(({ at }, n) => n === 0 || at - readings[n - 1]!.at === EVERY)).toBe(true);
  expect(madeUpReadings(NOW + EVERY).slice(0, -1)).toEqual(readings.slice(1));
  const gusts = readings.map(({ gust }) => gust);
  expect([Math.min(...gusts) > 1, Math.max(...gusts) < 9, Math.max(...gusts) - Math.min(...gusts) > 1]).toEqual([true, true, true]);
});
