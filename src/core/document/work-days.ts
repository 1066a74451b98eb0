import { dayWords, isDay } from '../units/day';
import { keep } from './keep';
import type { Move } from './schema';

type DayEnd = Extract<Move, { kind: 'day.end' }>;

/** One day of work: its moves, and the move it ends with. */
export interface WorkDay {
  /** from 1 */
  number: number;
  /** the first of its moves, and the first that is not of it */
  from: number;
  to: number;
  /** null: nobody says that it ends */
  end: DayEnd | null;
}

/** The run sheet by days. Of a run sheet on which no day ends nobody says how many days it takes: there are none. */
export const workDays = (moves: readonly Move[]): readonly WorkDay[] =>
  keep('work.days', moves, [], () => {
    const days: WorkDay[] = [];
    let from = 0;
    moves.forEach((move, at) => {
      if (move.kind !== 'day.end') return;
      days.push({ number: days.length + 1, from, to: at + 1, end: move });
      from = at + 1;
    });
    if (days.length > 0 && from < moves.length) days.push({ number: days.length + 1, from, to: moves.length, end: null });
    return days;
  });

/** “Day 2 · 3 Dec 2026”, or without the date while nobody gave one. */
export const dayName = ({ number, end }: WorkDay): string => `Day ${number}${end?.on ? ` · ${dayWords(end.on)}` : ''}`;

/** The day each move is of, by its place on the run sheet. */
export const dayAt = (days: readonly WorkDay[], at: number): WorkDay | undefined => days.find(({ from, to }) => at >= from && at < to);

/** The date up to which a move comes at the least: of its own day, or of the last dated one before it. Null: none is dated. */
export function dateBy(moves: readonly Move[], at: number): string | null {
  const dated = workDays(moves).flatMap(({ from, end }) => (from <= at && end?.on && isDay(end.on) ? [end.on] : []));
  return dated.at(-1) ?? null;
}
