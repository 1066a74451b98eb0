import { Type } from 'typebox';
import { closed, nonNegative, real } from '../../calc/fields';

/** Fields that every part of the plan document uses. */
export const id = () => Type.String({ minLength: 1, maxLength: 64 });
export const text = (description?: string) => Type.String({ maxLength: 2000, ...(description ? { description } : {}) });
export const place = () => closed({ x: real('m'), y: real('m') });

/** What a thing stands on, and the share of its load that goes there. */
export const standsOn = () => Type.Array(closed({ link: id(), share: nonNegative('1', undefined, { maximum: 1 }) }));
