import { Type } from 'typebox';
import { closed, nullable } from '../../calc/fields';
import { id, text } from './fields';

/** The crew goes home: what stands then stands through the night. All moves since the last one are of this day. */
export const dayMoves = [
  closed({ id: id(), note: Type.Optional(text()), kind: Type.Literal('day.end'), on: nullable(text('the day that ends, as a date')) }),
] as const;
