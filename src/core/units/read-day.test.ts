import { readDay } from './read-day';

describe('a day as somebody writes it', () => {
  test.each([
    ['2026-09-11', '2026-09-11'],
    ['2026/9/1', '2026-09-01'],
    ['11 Sep 2026', '2026-09-11'],
    ['11 september 2026', '2026-09-11'],
    ['1st Sept. 2026', '2026-09-01'],
    ['11-Sep-2026', '2026-09-11'],
    ['11sep2026', '2026-09-11'],
    ['Sep 11, 2026', '2026-09-11'],
    ['September 1 2026', '2026-09-01'],
    ['Fri 11 Sep 2026', '2026-09-11'],
    ['Tuesday, 8 Dec 2026', '2026-12-08'],
    ['  3 May 2026 ', '2026-05-03'],
    ['29 Feb 2028', '2028-02-29'],
    // Only one of the two can be the month.
    ['25/11/2026', '2026-11-25'],
    ['11/25/2026', '2026-11-25'],
    ['25.11.2026', '2026-11-25'],
    ['7/7/2026', '2026-07-07'],
  ])('%s', (text, day) => expect(readDay(text)).toEqual({ day }));

  test('two figures that could each be the month are asked about', () => {
    expect(readDay('09/11/2026')).toEqual({ asks: '9 Nov 2026 or 11 Sep 2026? Write the month in letters.' });
    expect(readDay('9.11.2026')).toEqual({ asks: '9 Nov 2026 or 11 Sep 2026? Write the month in letters.' });
  });

  test.each(['11 Sep', 'Sep 11', '11 Sep 26', '11 Sep 202', 'Sep 11 26'])('%s: of which year', (text) =>
    expect(readDay(text)).toEqual({ asks: 'Of which year? Write it as 11 Sep 2026.' }),
  );

  test.each(['30 Feb 2026', '29 Feb 2027', '2026-13-01', '31/31/2026', '0 May 2026'])('%s is in no calendar', (text) =>
    expect(readDay(text)).toEqual({ asks: `No calendar has “${text}”. Write it as 11 Sep 2026.` }),
  );

  test.each(['soon', '11', '2026', '11 Ju 2026', 'Friday', '11 Sepp 2026', '1/2/3/2026', '11/12/26', 'Sep 2026'])('%s is no day', (text) =>
    expect(readDay(text)).toEqual({ asks: expect.stringMatching(/is no day\. |Of which year\? /) as string }),
  );
});
