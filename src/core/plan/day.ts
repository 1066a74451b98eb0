const day = /^\d{4}-\d{2}-\d{2}$/;

/** Written as a date is stored: year-month-day. */
export const isDay = (text: string): boolean => day.test(text);
