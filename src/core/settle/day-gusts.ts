import { addDays, isDay } from '../units/day';
import { keepOne } from '../document/keep';
import type { Plan } from '../document/schema';
import type { Shift } from '../document/things/forecast';
import { dayAt, dayName, workDays, type WorkDay } from '../document/work-days';
import { hoursIn, isCovered } from './shift';
import type { SettledPlan } from './settle';

/** A day that has its date, and the hours worked on it. */
export interface DatedShift {
  day: WorkDay;
  shift: Shift;
}

/** The hours of a shift on another day. */
function onDay({ from, to }: Shift, date: string): Shift {
  const first = from.slice(0, 10);
  const nights = Math.round((Date.parse(to.slice(0, 10)) - Date.parse(first)) / 86400e3);
  return { from: date + from.slice(10), to: addDays(date, nights) + to.slice(10) };
}

/** Each day of the run sheet that has its date, with the hours of the shift on it; none while nobody says which hours are worked. */
export function datedShifts({ moves, site: { shift = null } }: Plan): readonly DatedShift[] {
  if (!shift || !isDay(shift.from.slice(0, 10)) || !isDay(shift.to.slice(0, 10))) return [];
  return workDays(moves).flatMap((day): DatedShift[] => (day.end?.on && isDay(day.end.on) ? [{ day, shift: onDay(shift, day.end.on) }] : []));
}

/** By move: the strongest gust of its day [m/s]; null where neither the forecast by the hour reaches it nor a gust is typed. */
export type DayGusts = ReadonlyMap<string, number | null>;

/** The gusts of the days that have a date, while there is a forecast by the hour; null: one figure serves all moves. */
export const dayGusts = (plan: Plan): DayGusts | null =>
  keepOne('settle.dayGusts', [plan.site, plan.moves], () => {
    const { forecast = null, forecastGust: typed } = plan.site;
    const shifts = forecast ? datedShifts(plan) : [];
    if (!forecast || shifts.length === 0) return null;
    return new Map(
      shifts.flatMap(({ day, shift }) => {
        const gusts = [...hoursIn(forecast, shift).map(({ gust }) => gust), ...(typed === null ? [] : [typed])];
        const gust = gusts.length > 0 && (typed !== null || isCovered(forecast, shift)) ? Math.max(...gusts) : null;
        return plan.moves.slice(day.from, day.to).map(({ id }): [string, number | null] => [id, gust]);
      }),
    );
  });

/** The gust forecast for a move [m/s]: of its day, or of the shift where it has no date. Null: nobody says. */
export function gustAt(plan: SettledPlan, move: string | null): number | null {
  const { gusts, site } = plan;
  const ofDay = move === null ? undefined : gusts?.get(move);
  return ofDay === undefined ? site.forecastGust : ofDay;
}

/** What is asked where no gust is known for what is done at a move. */
export function asksGust({ gusts, moves }: SettledPlan, move: string | null, what: string): string {
  const day = gusts
    ? dayAt(
        workDays(moves),
        moves.findIndex(({ id }) => id === move),
      )
    : undefined;
  return day ? `What gusts are forecast for ${what} on ${dayName(day)}? The forecast by the hour does not reach it.` : `What gusts are forecast for ${what}?`;
}
