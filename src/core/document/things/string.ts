import { Type, type Static } from 'typebox';
import { closed, nullable } from '../../calc/fields';
import { id, positive, text } from './fields';

/** Beams that hang one below the other on one hook and are set one after the other, the lowest first. */
export const stringSchema = closed({
  id: id(),
  name: text(),
  picks: Type.Array(id(), { maxItems: 12, description: 'the picks of its beams, from the top down' }),
  apart: nullable(positive('m', 'clear between a beam and the next below it', { maximum: 20 })),
  rating: nullable(positive('kg', 'of the whole assembly')),
  each: nullable(positive('kg', 'of one attachment point')),
  lowered: nullable(Type.Boolean({ description: 'the crane lowers under power, not on its brake' })),
  by: text('who made up the assembly and answers for its ratings'),
});
export type LiftString = Static<typeof stringSchema>;

export const newString = (id: string, name: string, picks: string[]): LiftString => ({
  id,
  name,
  picks,
  apart: null,
  rating: null,
  each: null,
  lowered: null,
  by: '',
});
