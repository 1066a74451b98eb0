import type { ForecastHour } from './read';

/** Hours of the made-up forecast. */
const HOURS = 48;

/** Hours of nobody’s forecast, to try the program with: calm mornings, a breeze in the afternoon, a shower in the second night. */
export function madeUpHours(day: string): ForecastHour[] {
  const first = Date.parse(`${day}T00:00Z`);
  return Array.from({ length: HOURS }, (_, n) => {
    const hour = n % 24;
    const swell = Math.sin(((hour - 9) * Math.PI) / 12);
    return {
      at: new Date(first + n * 3600e3).toISOString().slice(0, 13) + ':00',
      gust: Math.round((6 + 4 * swell + (n >= 24 ? 1.5 : 0)) * 10) / 10,
      rain: n >= 26 && n <= 29 ? 0.0015 : 0,
      temp: Math.round((277 + 4 * Math.sin(((hour - 10) * Math.PI) / 12)) * 10) / 10,
    };
  });
}
