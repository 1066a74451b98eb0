import { Type } from 'typebox';
import { defineCalc, refuse } from '../calc/define';
import { closed, oneOf } from '../calc/fields';
import { phrase } from '../calc/work';
import { longestOf, runsOf } from './windows';

const count = (description: string) => Type.Integer({ minimum: 0, description });

/** Hours of a forecast that keep every limit, run by run. */
export const weatherWindows = defineCalc({
  id: 'weather.windows',
  title: 'Hours that keep every limit',
  input: closed({
    hours: Type.Array(Type.Record(Type.String(), Type.Number()), { maxItems: 9000, description: 'one after the other, each with its figures by name' }),
    limits: Type.Array(
      closed({
        of: Type.String({ minLength: 1, maxLength: 64, description: 'name of the figure' }),
        bound: oneOf(['most', 'least'], 'a figure equal to it keeps it'),
        value: Type.Number(),
      }),
      { maxItems: 40 },
    ),
  }),
  output: closed({
    runs: Type.Array(closed({ start: count('first hour, from 0'), end: count('hour after the last') })),
    longest: count('hours of the longest run'),
  }),
  source: { basis: 'practice', text: 'Counting; an hour that is equal to a limit keeps it' },
  compute({ hours, limits }) {
    for (const [n, { of }] of limits.entries()) {
      const without = hours.findIndex((hour) => !Object.hasOwn(hour, of));
      if (without >= 0) refuse(`hours[${without}].${of}`, `Hour ${without} says nothing of “${of}”, which limit ${n} is of: give it, or leave the limit out.`);
    }
    const runs = runsOf(hours, limits);
    const longest = longestOf(runs);
    return { runs, longest: longest === null ? 0 : longest.end - longest.start };
  },
  work: (i, o) => [
    {
      label: 'Hours that keep every limit',
      numbers: phrase`${String(i.hours.length)} hours, ${String(i.limits.length)} limits`,
      result: `${o.runs.reduce((sum, { start, end }) => sum + end - start, 0)} in ${o.runs.length} runs`,
    },
    { label: 'Longest run', result: `${o.longest} h` },
  ],
});
