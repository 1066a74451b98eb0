import { Type } from 'typebox';
import { closed, nullable } from '../../calc/fields';
import { id, nonNegative, positive, text } from './fields';

const truckSchema = closed({
  id: id(),
  name: text(),
  deckLength: positive('m'),
  deckWidth: positive('m'),
  overhang: nonNegative('m', 'a piece may stand past the end of the deck'),
  mass: positive('kg', 'of the load'),
  layers: Type.Integer({ minimum: 1, maximum: 20 }),
  front: nullable(nonNegative('m', 'deck ahead of the king pin, or of the front axle')),
  wheelbase: nullable(positive('m', 'king pin, or front axle, to the middle of the rear axles')),
  steered: nullable(Type.Boolean({ description: 'rear axles can be steered' })),
});

const turnSchema = closed({
  id: id(),
  name: text(),
  outerRadius: nullable(positive('m', 'outer edge of the road from the centre of the turn')),
  width: nullable(positive('m', 'of road, from the outer to the inner edge')),
});

const permitSchema = closed({
  id: id(),
  number: text('empty while it is only asked for'),
  by: text('who gives it'),
  longest: nullable(positive('m', 'load it covers')),
  heaviest: nullable(positive('kg', 'load it covers; null: it sets none')),
  steered: nullable(Type.Boolean({ description: 'it asks for steered rear axles' })),
  from: text('first day, as a date'),
  until: text('last day, as a date'),
  conditions: text('escort, hours, roads'),
});

/** How the steel gets to the site: what carries it, the tight places on the road, and the permits of the long pieces. */
export const transportSchema = closed({ trucks: Type.Array(truckSchema), turns: Type.Array(turnSchema), permits: Type.Array(permitSchema) });

/** How one mark travels. */
export const travelSchema = closed({
  truck: nullable(id()),
  permit: nullable(id()),
  on: text('when it is to arrive, as a date'),
});
