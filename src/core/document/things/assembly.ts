import { Type, type Static } from 'typebox';
import { closed, nullable } from '../../calc/fields';
import { real, text } from './fields';

/** How the boom of a crane is put together at a stand, and taken apart there again. */
export const assemblySchema = closed({
  towardsDeg: nullable(real('deg', { description: 'the boom lies out that way on the ground, from the slew centre' })),
  director: text('who directs it, and knows the maker’s procedure'),
  held: text('what holds the boom and its sections while pins are out'),
});
export type Assembly = Static<typeof assemblySchema>;

export const assembledSchema = () => Type.Optional(nullable(Type.Boolean({ description: 'its boom is put together on site; null: nobody says' })));
