import { Type, type TSchema } from 'typebox';

/** Number fields of calculations and of the plan. `unit` is an annotation read by the API page and by error sentences. */
interface FieldOptions {
  description?: string;
  minimum?: number;
  maximum?: number;
  exclusiveMinimum?: number;
  exclusiveMaximum?: number;
}

export const real = (unit: string, options: FieldOptions = {}) => Type.Number({ unit, ...options });
export const positive = (unit: string, description?: string, options: FieldOptions = {}) =>
  Type.Number({ unit, exclusiveMinimum: 0, ...(description ? { description } : {}), ...options });
export const nonNegative = (unit: string, description?: string, options: FieldOptions = {}) =>
  Type.Number({ unit, minimum: 0, ...(description ? { description } : {}), ...options });
export const positiveInteger = (description?: string) => Type.Integer({ minimum: 1, ...(description ? { description } : {}) });

export const closed = <P extends Record<string, TSchema>>(properties: P) => Type.Object(properties, { additionalProperties: false });

export const nullable = <S extends TSchema>(schema: S) => Type.Union([schema, Type.Null()]);

export const oneOf = <const V extends readonly string[]>(values: V, description?: string) =>
  Type.Unsafe<V[number]>({ type: 'string', enum: [...values], ...(description ? { description } : {}) });

/** Exactly two of something, in the order the field says. */
export const pair = <S extends TSchema>(item: S, description?: string) =>
  Type.Array(item, { minItems: 2, maxItems: 2, ...(description ? { description } : {}) });

export const point = (description?: string) =>
  Type.Object({ x: real('m'), z: real('m') }, { additionalProperties: false, ...(description ? { description } : {}) });
