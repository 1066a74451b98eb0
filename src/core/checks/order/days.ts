import { dayWords, isDay } from '../../units/day';
import { workDays, type WorkDay } from '../../document/work-days';
import { sequenceNeeds } from '../../gates/sequence.calc';
import { phrase } from '../../calc/work';
import { flatStop, missingCheck, on, said, told } from '../../verdict/build';
import type { Check } from '../../verdict/check';
import type { Context } from '../context';

/** The days of the run sheet follow one another: something is done on each, and once one has its date, each has one, and a later one. */
export function dayChecks({ plan }: Context): Check[] {
  const ended = workDays(plan.moves).filter((day): day is WorkDay & { end: NonNullable<WorkDay['end']> } => day.end !== null);
  const dated = ended.some(({ end }) => end.on !== null);
  let before: (typeof ended)[number] | null = null;
  return ended.flatMap((day): Check[] => {
    const { end, number, from, to } = day;
    const place = {
      id: 'day.date',
      ...on('move', end, `Day ${number}`),
      station: 'runSheet' as const,
      move: end.id,
      calc: sequenceNeeds.id,
      source: 'Record: the days of a run sheet in their order',
    };
    if (to - from === 1 && end.on === null)
      return [
        missingCheck(place, 'count', `Nothing is done on day ${number} but that it ends. Is it a day nobody works, and which, or is that move one too many?`),
      ];
    if (!dated) return [];
    if (end.on === null) return [missingCheck(place, 'count', `On which date does day ${number} end? Other days of this run sheet have theirs.`)];
    if (!isDay(end.on)) return [missingCheck(place, 'count', `Day ${number} is said to end on “${end.on}”, which is no date. On which day does it end?`)];
    const last = before;
    before = day;
    if (last && end.on <= last.end.on!)
      return [
        flatStop(
          place,
          'count',
          told(
            phrase`Day ${String(number)} is said to end on ${dayWords(end.on)}, and day ${String(last.number)} before it on ${dayWords(last.end.on!)}. Which of the two is wrong?`,
          ),
          [],
        ),
      ];
    return [said(place, phrase`Day ${String(number)} ends on ${dayWords(end.on)}.`)];
  });
}
