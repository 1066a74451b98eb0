import { Type, type Static } from 'typebox';
import { closed, nullable } from '../../calc/fields';
import { nonNegative, positive, text } from './fields';

/** What is said of a crane whose level jib turns on a mast. */
export const towerSchema = closed({
  standsOn: text('its base, or the steel it stands on or climbs in'),
  corner: nullable(positive('N', 'the most that comes down at one leg of its mast, in service or out of it, by its maker')),
  carries: nullable(positive('N', 'what may come down there, by whoever designed it')),
  uplift: nullable(nonNegative('N', 'the most that pulls up at one leg, in service or out of it, by its maker')),
  holds: nullable(positive('N', 'what may pull up there, by whoever designed it')),
  by: text('who worked its base out'),
  on: text('when, as a date'),
  slewsFree: nullable(Type.Boolean({ description: 'out of service its jib turns with the wind' })),
  tied: text('who says that it may be held, where it does not turn with the wind'),
  down: text('how and by what it is taken down once what it has built stands'),
});
export type Tower = Static<typeof towerSchema>;
