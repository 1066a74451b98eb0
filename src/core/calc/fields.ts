import { Type, type TSchema } from 'typebox';

/** Number fields of calculations and of the plan. `unit` is an annotation read by the API page and by error sentences. */
interface FieldOptions {
  description?: string;
  minimum?: number;
  maximum?: number;
  exclusiveMinimum?: number;
  exclusiveMaximum?: number;
}

/**
 * Past these no quantity of this trade lies: a figure beyond them is a unit mistaken (a metre typed as a millimetre, a pound as a ton).
 * No site is 5 km from its origin and no piece weighs 10,000 t.
 */
const FURTHEST: Readonly<Record<string, number>> = {
  m: 5000,
  kg: 1e7,
  'kg/m': 1e6,
  N: 1e9,
  'N·m': 1e12,
  Pa: 1e13,
  m2: 1e6,
  m3: 1e3,
  m4: 1e3,
  deg: 3600,
  K: 1000,
  'm/s': 100,
};

export const real = (unit: string, options: FieldOptions = {}) => {
  const furthest = FURTHEST[unit];
  const low = options.minimum === undefined && options.exclusiveMinimum === undefined && furthest !== undefined ? { minimum: -furthest } : {};
  return Type.Number({ unit, ...low, ...upTo(unit, options), ...options });
};
const upTo = (unit: string, options: FieldOptions) => {
  const furthest = FURTHEST[unit];
  return options.maximum === undefined && options.exclusiveMaximum === undefined && furthest !== undefined ? { maximum: furthest } : {};
};
export const positive = (unit: string, description?: string, options: FieldOptions = {}) =>
  Type.Number({ unit, exclusiveMinimum: 0, ...(description ? { description } : {}), ...upTo(unit, options), ...options });
export const nonNegative = (unit: string, description?: string, options: FieldOptions = {}) =>
  Type.Number({ unit, minimum: 0, ...(description ? { description } : {}), ...upTo(unit, options), ...options });
export const positiveInteger = (description?: string) => Type.Integer({ minimum: 1, ...(description ? { description } : {}) });

/** Strength of any structural steel, wrought iron to the hardest bolt bar; past it a unit was mistaken. */
export const yieldStress = (description?: string) => positive('Pa', description, { minimum: 100e6, maximum: 1500e6 });
/** Partial factor on a resistance: never raises it. */
export const partialFactor = (description?: string) => Type.Number({ unit: '1', minimum: 1, maximum: 3, ...(description ? { description } : {}) });
/** C_D of NDS Table 2.3.2: permanent 0.9 to impact 2.0. */
export const loadDurationNds = () => Type.Number({ unit: '1', minimum: 0.9, maximum: 2, description: 'C_D, NDS Table 2.3.2' });
/** k_mod of EN 1995-1-1 Table 3.1: 0.2 (boards, permanent, outside) to 1.1 (instantaneous). */
export const kMod = () => Type.Number({ unit: '1', minimum: 0.2, maximum: 1.1, description: 'k_mod, EN 1995-1-1 Table 3.1' });
/** Drag coefficient of a body: 0.1 is a streamlined one, above 4 is none. */
export const dragCoefficient = (description?: string) => Type.Number({ unit: '1', minimum: 0.1, maximum: 4, ...(description ? { description } : {}) });
/** Coefficient of friction. */
export const frictionCoefficient = (description?: string) => Type.Number({ unit: '1', minimum: 0, maximum: 2, ...(description ? { description } : {}) });
export const gustSpeed = (description?: string) => positive('m/s', description, { maximum: 100 });
export const airDensityField = () => Type.Number({ unit: 'kg/m3', minimum: 0.5, maximum: 2 });

export const closed = <P extends Record<string, TSchema>>(properties: P) => Type.Object(properties, { additionalProperties: false });

export const nullable = <S extends TSchema>(schema: S) => Type.Union([schema, Type.Null()]);

export const oneOf = <const V extends readonly string[]>(values: V, description?: string) =>
  Type.Unsafe<V[number]>({ type: 'string', enum: [...values], ...(description ? { description } : {}) });

/** Exactly two of something, in the order the field says. */
export const pair = <S extends TSchema>(item: S, description?: string) =>
  Type.Array(item, { minItems: 2, maxItems: 2, ...(description ? { description } : {}) });

export const point = (description?: string) =>
  Type.Object({ x: real('m'), z: real('m') }, { additionalProperties: false, ...(description ? { description } : {}) });
