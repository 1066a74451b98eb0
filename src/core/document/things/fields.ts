import { Type } from 'typebox';
import * as fields from '../../calc/fields';
import { PLAIN_TEXT } from '../../calc/schema';

const { closed } = fields;

/** Fields that every part of the plan document uses. */
export const id = () => Type.String({ minLength: 1, maxLength: 64, pattern: PLAIN_TEXT });
export const text = (description?: string) => Type.String({ maxLength: 2000, pattern: PLAIN_TEXT, ...(description ? { description } : {}) });

type Options = NonNullable<Parameters<typeof fields.real>[1]>;

/** No length of a plan is over 500 m, and no place lies 2 km from the origin: past that a millimetre was typed for a metre. */
const LONGEST = 500;
const FURTHEST = 2000;
const within = (unit: string, options: Options): Options =>
  unit === 'm' && options.maximum === undefined && options.exclusiveMaximum === undefined ? { maximum: LONGEST, ...options } : options;

export const positive = (unit: string, description?: string, options: Options = {}) => fields.positive(unit, description, within(unit, options));
export const nonNegative = (unit: string, description?: string, options: Options = {}) => fields.nonNegative(unit, description, within(unit, options));
export const real = (unit: string, options: Options = {}) =>
  fields.real(
    unit,
    unit === 'm' && options.minimum === undefined && options.exclusiveMinimum === undefined ? { minimum: -LONGEST, ...within(unit, options) } : options,
  );
/** Sizes of wood, plates, seats and mats. */
export const size = (description?: string, maximum = 5) => fields.positive('m', description, { maximum });

export const place = () =>
  closed({ x: fields.real('m', { minimum: -FURTHEST, maximum: FURTHEST }), y: fields.real('m', { minimum: -FURTHEST, maximum: FURTHEST }) });

/** What a thing stands on, and the share of its load that goes there. */
export const standsOn = () => Type.Array(closed({ link: id(), share: nonNegative('1', undefined, { maximum: 1 }) }));
