import { Type, type Static } from 'typebox';
import { closed, nullable } from '../../calc/fields';
import { nonNegative, positive, text } from './fields';

const hour = (description: string) => Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:00$', description });

/** A forecast hour by hour, as somebody issued it. */
export const forecastSchema = closed({
  source: text('who issued it'),
  issued: text('when, as a date'),
  hours: Type.Array(
    closed({
      at: hour('local time at which it begins'),
      gust: nonNegative('m/s', 'strongest in it', { maximum: 100 }),
      rain: nullable(nonNegative('m', 'in it', { maximum: 0.5 })),
      temp: nullable(positive('K', 'of the air', { minimum: 200, maximum: 340 })),
    }),
    { maxItems: 400 },
  ),
});

/** The hours somebody works in. */
export const shiftSchema = closed({ from: hour('its first hour begins'), to: hour('its last hour ends') });

export type Forecast = Static<typeof forecastSchema>;
export type Shift = Static<typeof shiftSchema>;
