import { phrase, q } from '../../calc/work';
import { weatherWindows } from '../../weather/windows.calc';
import type { Limit } from '../../weather/windows';
import type { Check } from '../../verdict/check';
import { addDays, dayWords, isDay } from '../../units/day';
import { dayFault, saysSomething } from '../../document/records';
import type { Plan } from '../../document/schema';
import type { Shift } from '../../document/things/forecast';
import { dayName } from '../../document/work-days';
import { datedShifts } from '../../settle/day-gusts';
import { hourAfter, hoursIn, isCovered, shiftGust } from '../../settle/shift';
import type { Context } from '../context';
import { flatStop, missingCheck, on, type Place, ratioCheck, said, sourced, told, traced } from '../../verdict/build';

/** Two statements of one gust may differ by so much [m/s]. */
const SAME_GUST = 0.05;

/** No forecast of gusts reaches further ahead (common practice) [days]. */
const AHEAD = 16;

const clock = (at: string): string => at.replace('T', ' ');

/** A forecast by the hour: who issued it, whether it covers the shift, what was typed beside it, and which hours keep every limit. */
export function weatherChecks(context: Context, drawn: Plan, others: readonly Check[]): Check[] {
  const { plan, today } = context;
  const { forecast = null, shift = null } = plan.site;
  if (!forecast) return [];
  const place = (id: string, source = 'Record: a forecast names who issued it, and covers the hours it is used for'): Place => ({
    id,
    ...on('job', { id: 'weather' }, 'Weather'),
    station: 'gear',
    move: null,
    calc: weatherWindows.id,
    source,
  });
  const checks: Check[] = [];
  const fault = saysSomething(forecast.source) ? dayFault(forecast.issued, today) : 'names nobody who issued it';
  if (fault !== null) checks.push(missingCheck(place('weather.source'), 'count', `The forecast ${fault}. Who issued it, and when?`));
  else {
    const first = forecast.hours[0]?.at.slice(0, 10) ?? '';
    if (isDay(first) && addDays(forecast.issued, AHEAD) < first)
      checks.push(
        missingCheck(
          place('weather.source'),
          'count',
          `The forecast is said to be issued on ${dayWords(forecast.issued)}, and begins on ${dayWords(first)}: no forecast of gusts reaches so far. When was it issued?`,
        ),
      );
  }
  if (!shift || shift.from >= shift.to) {
    checks.push(missingCheck(place('weather.shift'), 'count', 'In which hours of the forecast is the work done? Say from when to when.'));
    return checks;
  }
  const whole = isCovered(forecast, shift);
  const inOrder = forecast.hours.every(({ at }, n) => n === 0 || at === hourAfter(forecast.hours[n - 1]!.at, 1));
  if (!whole || !inOrder) {
    checks.push(
      missingCheck(
        place('weather.shift'),
        'count',
        whole
          ? 'The hours of the forecast do not follow one another: one is there twice, left out, or out of order. Read it again.'
          : `The shift is ${clock(shift.from)} to ${clock(shift.to)}, and the forecast says something of ${new Set(hoursIn(forecast, shift).map(({ at }) => at)).size} of its hours. Take another forecast, or another shift.`,
      ),
    );
    return checks;
  }
  const most = shiftGust(plan.site)!;
  const typed = drawn.site.forecastGust;
  if (typed !== null && typed < most - SAME_GUST)
    checks.push({
      ...said(
        place('weather.gust', 'Common practice: of two statements the worse governs'),
        phrase`Gusts of ${q(typed, 'speed')} are typed, and the forecast has ${q(most, 'speed')} in the shift: the greater governs.`,
      ),
      verdict: 'tight',
    });
  const dated = datedShifts(plan);
  if (dated.length === 0) checks.push(windowCheck(context, { shift, of: others, words: 'the shift' }, place));
  for (const { day, shift: hours } of dated) {
    if (!isCovered(forecast, hours)) continue;
    const moves = new Set(plan.moves.slice(day.from, day.to).map(({ id }) => id));
    const of = others.filter(({ move }) => move === null || moves.has(move));
    const row = windowCheck(context, { shift: hours, of, words: dayName(day) }, place);
    checks.push({ ...row, subject: dayName(day), about: { ...row.about, part: day.end!.id } });
  }
  return checks;
}

/** The hours worked, what is done in them, and what they are called. */
interface Worked {
  shift: Shift;
  of: readonly Check[];
  words: string;
}

/** Hours of work against those in which every lift, launch and rule of the job may go on. */
function windowCheck({ plan, rules }: Context, { shift, of, words }: Worked, place: (id: string, source?: string) => Place): Check {
  const forecast = plan.site.forecast!;
  const gusts = of.flatMap(({ id, capacity }) => ((id === 'lift.wind' || id === 'launch.wind') && capacity !== null ? [capacity] : []));
  const gust = gusts.length === 0 ? null : Math.min(...gusts);
  const where = place('weather.window', sourced('Counting the hours that keep every limit', rules, 'rainMost', 'coldLeast'));
  const silent = hoursIn(forecast, shift).find(({ rain, temp }) => rain === null || temp === null);
  if (silent)
    return missingCheck(
      where,
      'count',
      `The forecast says nothing of ${silent.rain === null ? 'rain' : 'the temperature'} at ${clock(silent.at)}. What is expected?`,
    );
  const limits: Limit[] = [
    ...(gust === null ? [] : [{ of: 'gust', bound: 'most' as const, value: gust }]),
    { of: 'rain', bound: 'most', value: rules.value('rainMost') },
    { of: 'temp', bound: 'least', value: rules.value('coldLeast') },
  ];
  // An hour of which it says nothing keeps no limit.
  const hours = forecast.hours.map(({ gust: blows, rain, temp }) => ({ gust: blows, rain: rain ?? 1, temp: temp ?? 0 }));
  const { outcome, traces } = traced(weatherWindows, { hours, limits });
  if (!outcome.ok) return missingCheck(where, 'count', outcome.error);
  const { runs, longest } = outcome.output;
  const index = (at: string) => forecast.hours.findIndex((one) => one.at === at);
  const [start, end] = [index(shift.from), index(shift.from) + hoursIn(forecast, shift).length];
  const run = runs.find((one) => one.start <= start && one.end >= end);
  const best = runs.find((one) => one.end - one.start === longest);
  const longestWords = best
    ? ` The longest run of hours that do is ${clock(forecast.hours[best.start]!.at)} to ${clock(forecast.hours[best.end - 1]!.at).slice(11, 13)}:59, ${longest} h.`
    : ' No hour of the forecast does.';
  if (run)
    return {
      ...ratioCheck(
        where,
        { demand: end - start, capacity: run.end - run.start, quantity: 'count', caution: null, inclusive: true },
        told([...phrase`Every hour of ${words} keeps the limits of wind, rain and cold.`, longestWords]),
        traces,
      ),
    };
  const bad = forecast.hours.slice(start, end).find((_, n) => !runs.some((one) => one.start <= start + n && one.end > start + n))!;
  const why =
    gust !== null && bad.gust > gust
      ? phrase`gusts of ${q(bad.gust, 'speed')} where ${q(gust, 'speed')} may be`
      : (bad.rain ?? 0) > rules.value('rainMost')
        ? phrase`rain of ${q(bad.rain ?? 0, 'dimension')} where ${q(rules.value('rainMost'), 'dimension')} may be`
        : phrase`${q(bad.temp ?? 0, 'airTemperature')} where ${q(rules.value('coldLeast'), 'airTemperature')} is the least`;
  return flatStop(where, 'count', told([`At ${clock(bad.at)} ${words} has `, ...why, '.', longestWords]), traces);
}
