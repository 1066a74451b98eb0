const day = /^(\d{4})-(\d{2})-(\d{2})$/;

/** A day of the calendar, written as it is stored: year-month-day. The thirtieth of February is none. */
export function isDay(text: string): boolean {
  const [, year, month, date] = day.exec(text) ?? [];
  if (year === undefined || month === undefined || date === undefined) return false;
  return new Date(Date.UTC(Number(year), Number(month) - 1, Number(date))).toISOString().startsWith(text);
}

const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;

/** A day as a person reads it, the month in letters: 11 Sep 2026. What is no day stays as it was written. */
export function dayWords(text: string): string {
  if (!isDay(text)) return text;
  const [year, month, date] = text.split('-').map(Number);
  return `${date} ${months[(month ?? 1) - 1]} ${year}`;
}

/** The same day so many months on; the last of a month where that has no such day. */
export function addMonths(text: string, months: number): string {
  const [year, month, date] = text.split('-').map(Number) as [number, number, number];
  const last = new Date(Date.UTC(year, month + months, 0)).getUTCDate();
  return new Date(Date.UTC(year, month - 1 + months, Math.min(date, last))).toISOString().slice(0, 10);
}

/** The day so many days on, or back. */
export function addDays(text: string, days: number): string {
  const [year, month, date] = text.split('-').map(Number) as [number, number, number];
  return new Date(Date.UTC(year, month - 1, date + days)).toISOString().slice(0, 10);
}

/** The day of an instant where the reader is, year-month-day. The core has no clock: whoever has one hands the instant in. */
export function dayOf(now: Date): string {
  const two = (value: number) => String(value).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
