import { Type, type Static } from 'typebox';
import { closed, nullable } from '../../calc/fields';
import { id, nonNegative, positive, real, text } from './fields';

/** What holds a mast on its way up: a tie to the frame beside it, or a collar of the frame it climbs in. */
const mastHold = closed({
  id: id(),
  name: text('the tie or the collar'),
  level: nullable(real('m', { description: 'above the ground its mast stands on', minimum: -50, maximum: 300 })),
  brings: nullable(positive('N', 'the most its mast pushes or pulls there, in service or out of it, by its maker')),
  carries: nullable(positive('N', 'what may be pushed and pulled there, by whoever designed it')),
  by: text('who worked that out for what holds it'),
  pieces: Type.Array(id(), { maxItems: 40, description: 'pieces of the structure it is fixed to' }),
});
export type MastHold = Static<typeof mastHold>;

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
  free: Type.Optional(
    nullable(positive('m', 'how high its mast may stand over its base, or over the highest thing that holds it, by its maker', { maximum: 300 })),
  ),
  heldAt: Type.Optional(Type.Array(mastHold, { maxItems: 40, description: 'lowest first or not' })),
});
export type Tower = Static<typeof towerSchema>;
