import { dayWords, isDay } from './day';

/** What somebody wrote for a day: the day it is, or what has to be said of it. */
export type ReadDay = { day: string } | { asks: string };

const MONTHS = ['january', 'february', 'march', 'april', 'may', 'june', 'july', 'august', 'september', 'october', 'november', 'december'];
const WEEKDAY = /^(?:mon|tues?|wed(?:nes)?|thu(?:rs?)?|fri|sat(?:ur)?|sun)(?:day)?[.,]?\s+/i;
const HOW = 'Write it as 11 Sep 2026.';

const stored = (year: string, month: number, date: string): string => `${year}-${String(month).padStart(2, '0')}-${date.padStart(2, '0')}`;
const found = (day: string, text: string): ReadDay => (isDay(day) ? { day } : { asks: `No calendar has “${text}”. ${HOW}` });

/** So many of its first letters name a month: “Sept”, never “Ju”. */
function monthOf(word: string): number | null {
  const at = MONTHS.findIndex((month) => word.length >= 3 && month.startsWith(word.toLowerCase()));
  return at < 0 ? null : at + 1;
}

/**
 * A day as people write it: year-month-day, or with the month in letters. Two figures that could each be the month are asked about,
 * because half of the trade reads 09/11 as September and half as November.
 */
export function readDay(written: string): ReadDay {
  const text = written.trim().replace(WEEKDAY, '');
  const ofYear = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})$/.exec(text);
  if (ofYear) return found(stored(ofYear[1]!, Number(ofYear[2]), ofYear[3]!), text);
  const dayFirst = /^(\d{1,2})(?:st|nd|rd|th)?[\s.-]*([a-z]+)[\s.,-]*(\d+)?$/i.exec(text);
  const monthFirst = /^([a-z]+)[\s.-]*(\d{1,2})(?:st|nd|rd|th)?(?:[\s.,-]+(\d+))?$/i.exec(text);
  const [date, word, year] = dayFirst ? [dayFirst[1], dayFirst[2], dayFirst[3]] : [monthFirst?.[2], monthFirst?.[1], monthFirst?.[3]];
  const month = word === undefined ? null : monthOf(word);
  if (date !== undefined && month !== null) return year?.length === 4 ? found(stored(year, month, date), text) : { asks: `Of which year? ${HOW}` };
  const inFigures = /^(\d{1,2})[-/.](\d{1,2})[-/.](\d{4})$/.exec(text);
  if (!inFigures) return { asks: `“${text}” is no day. ${HOW}` };
  const [, a, b, of] = inFigures as unknown as [string, string, string, string];
  const ways = [...new Set([stored(of, Number(b), a), stored(of, Number(a), b)])].filter(isDay);
  if (ways.length > 1) return { asks: `${ways.map(dayWords).join(' or ')}? Write the month in letters.` };
  return found(ways[0] ?? '', text);
}
