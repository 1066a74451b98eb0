import { runCalc } from '../catalogue/run';
import { madeUpHours } from './made-up';
import { readForecast } from './read';
import { longestOf, runsOf } from './windows';

const hour = (gust: number, rain = 0) => ({ gust, rain });

describe('hours that keep every limit', () => {
  test('run by run; a value equal to its limit keeps it; the earliest of two as long', () => {
    const hours = [hour(5), hour(9), hour(9.1), hour(4), hour(4, 2), hour(3), hour(2)];
    const limits = [
      { of: 'gust', bound: 'most' as const, value: 9 },
      { of: 'rain', bound: 'most' as const, value: 1 },
    ];
    const runs = runsOf(hours, limits);
    expect(runs).toEqual([
      { start: 0, end: 2 },
      { start: 3, end: 4 },
      { start: 5, end: 7 },
    ]);
    expect(longestOf(runs)).toEqual({ start: 0, end: 2 });
    expect(longestOf([])).toBeNull();
    expect(runsOf(hours, [{ of: 'gust', bound: 'least', value: 4 }])).toEqual([{ start: 0, end: 5 }]);
    expect(runsOf(hours, [])).toEqual([{ start: 0, end: 7 }]);
  });
  test('refused: an hour that says nothing of what a limit is of', () => {
    expect(runCalc('weather.windows', { hours: [{ gust: 3 }, { rain: 0 }], limits: [{ of: 'gust', bound: 'most', value: 9 }] })).toMatchObject({
      ok: false,
      path: 'hours[1].gust',
    });
    expect(runCalc('weather.windows', { hours: [], limits: [{ of: 'gust', bound: 'most', value: 9 }] })).toMatchObject({
      ok: true,
      output: { runs: [], longest: 0 },
    });
    expect(runCalc('weather.windows', { hours: [{ gust: 3 }], limits: [{ of: 'gust', bound: 'over', value: 9 }] })).toMatchObject({ ok: false });
  });
});

describe('a forecast read', () => {
  const of = (text: string) => {
    const read = readForecast(text);
    if (!read.ok) throw new Error(read.error);
    return read.hours;
  };
  const refusal = (text: string) => {
    const read = readForecast(text);
    return read.ok ? '' : read.error;
  };

  test('commas, in metres a second, millimetres and degrees Celsius', () => {
    expect(of('time,gust (m/s),rain (mm),temperature (°C)\n2026-11-29 06:00,6.5,1.2,4\n2026-11-29 07:00,7,0,-2')).toEqual([
      { at: '2026-11-29T06:00', gust: 6.5, rain: expect.closeTo(0.0012, 9) as number, temp: expect.closeTo(277.15, 9) as number },
      { at: '2026-11-29T07:00', gust: 7, rain: 0, temp: expect.closeTo(271.15, 9) as number },
    ]);
  });
  test('semicolons and decimal commas, kilometres an hour, no rain and no temperature said', () => {
    expect(of('Hour;Wind gust [km/h]\n2026-11-29T06:00;36,0')).toEqual([{ at: '2026-11-29T06:00', gust: 10, rain: null, temp: null }]);
  });
  test('knots, miles an hour, inches and Fahrenheit; tabs; over midnight', () => {
    const [late, early] = of('time\tgusts (kn)\tprecipitation (in)\ttemp (°F)\n2026-11-29 23:00\t10\t0.1\t32\n2026-11-30 00:00\t10\t\t');
    expect(late).toEqual({
      at: '2026-11-29T23:00',
      gust: expect.closeTo(5.1444, 4) as number,
      rain: expect.closeTo(0.00254, 9) as number,
      temp: expect.closeTo(273.15, 9) as number,
    });
    expect(early).toMatchObject({ at: '2026-11-30T00:00', rain: null, temp: null });
    expect(of('time,gust (mph)\n2026-11-29 06:00,10')[0]!.gust).toBeCloseTo(4.4704, 6);
  });
  test.each([
    ['no unit of the gusts', 'time,gust\n2026-11-29 06:00,6', 'What unit are the gusts in?'],
    ['a mean wind alone', 'time,wind (m/s)\n2026-11-29 06:00,6', 'a mean wind is not what stops a lift'],
    ['no wind', 'time,rain (mm)\n2026-11-29 06:00,6', 'No column is of gusts'],
    ['no time', 'gust (m/s)\n6', 'No column is of the time'],
    ['no table', '', 'There is no table'],
    ['no unit of the rain', 'time,gust (m/s),rain\n2026-11-29 06:00,6,1', 'What unit is the rain in?'],
    ['no unit of the temperature', 'time,gust (m/s),temp\n2026-11-29 06:00,6,1', 'What unit is the temperature in?'],
    ['a day written another way', 'time,gust (m/s)\n29.11.2026 06:00,6', 'is no time that is read'],
    ['half hours', 'time,gust (m/s)\n2026-11-29 06:30,6', 'does not begin on the hour'],
    ['an hour of no day', 'time,gust (m/s)\n2026-11-29 25:00,6', 'is no day or no hour'],
    ['an hour left out', 'time,gust (m/s)\n2026-11-29 06:00,6\n2026-11-29 08:00,6', 'does not follow'],
    ['hours backwards', 'time,gust (m/s)\n2026-11-29 06:00,6\n2026-11-29 05:00,6', 'does not follow'],
    ['a gust of words', 'time,gust (m/s)\n2026-11-29 06:00,calm', 'is no gust'],
    ['a gust below nought', 'time,gust (m/s)\n2026-11-29 06:00,-1', 'is no gust'],
    ['a gust no storm has', 'time,gust (m/s)\n2026-11-29 06:00,140', 'is no gust'],
    ['a rain no sky has', 'time,gust (m/s),rain (mm)\n2026-11-29 06:00,4,900', 'is no rain'],
    ['air of a furnace', 'time,gust (m/s),temp (°C)\n2026-11-29 06:00,4,300', 'is no temperature of air'],
    ['a month of hours too many', `time,gust (m/s)\n${Array.from({ length: 401 }, () => '2026-11-29 06:00,6').join('\n')}`, '400 are read at the most'],
  ])('%s is refused with what to do', (_, text, words) => {
    expect(refusal(text)).toContain(words);
  });
});

test('the made-up forecast is two days of hours, one after the other, calmer in the morning', () => {
  const hours = madeUpHours('2026-12-31');
  expect(hours).toHaveLength(48);
  expect(hours[0]!.at).toBe('2026-12-31T00:00');
  expect(hours[24]!.at).toBe('2027-01-01T00:00');
  expect(hours[15]!.gust).toBeGreaterThan(hours[5]!.gust);
  expect(hours.every(({ gust, temp }) => gust >= 0 && temp !== null && temp > 250)).toBe(true);
});
