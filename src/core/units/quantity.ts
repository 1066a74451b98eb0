import { kilogramsPer, metresPer, metresPerSecondPer, newtonsPer, pascalsPer } from './factors';

export type UnitSystem = 'metric' | 'us';

/** What a number measures. The value itself is always in SI base units; angles are degrees. */
export type QuantityKind =
  | 'length'
  /** how far out, how high, how near: to the inch */
  | 'reach'
  | 'dimension'
  | 'area'
  | 'floorArea'
  | 'mass'
  | 'massPerLength'
  | 'force'
  | 'forcePerLength'
  | 'moment'
  | 'stress'
  | 'strength'
  | 'pressure'
  | 'speed'
  | 'inertia'
  | 'sectionModulus'
  | 'warping'
  | 'stiffness'
  | 'voltage'
  | 'temperature'
  | 'airTemperature'
  | 'angle'
  | 'fraction'
  | 'factor'
  | 'count';

export interface Quantity {
  value: number;
  kind: QuantityKind;
}

export interface UnitChoice {
  symbol: string;
  /** SI per one of this unit */
  factor: number;
  /** decimals shown when nothing else is asked */
  decimals: number;
  /** SI value where the unit’s own scale starts; 0 when left out */
  zero?: number;
}

const one = (symbol: string, decimals: number): UnitChoice => ({ symbol, factor: 1, decimals });

/** The unit a kind is read and shown in, per system. */
export const shownIn: Record<QuantityKind, Record<UnitSystem, UnitChoice>> = {
  length: {
    metric: one('m', 2),
    us: { symbol: 'ft', factor: metresPer.ft, decimals: 2 },
  },
  reach: {
    metric: one('m', 2),
    us: { symbol: 'ft', factor: metresPer.ft, decimals: 2 },
  },
  dimension: {
    metric: { symbol: 'mm', factor: metresPer.mm, decimals: 1 },
    us: { symbol: 'in', factor: metresPer.in, decimals: 3 },
  },
  area: {
    metric: { symbol: 'mm²', factor: 1e-6, decimals: 0 },
    us: { symbol: 'in²', factor: metresPer.in ** 2, decimals: 2 },
  },
  floorArea: {
    metric: one('m²', 2),
    us: { symbol: 'ft²', factor: metresPer.ft ** 2, decimals: 2 },
  },
  mass: {
    metric: one('kg', 0),
    us: { symbol: 'lb', factor: kilogramsPer.lb, decimals: 0 },
  },
  massPerLength: {
    metric: one('kg/m', 1),
    us: { symbol: 'lb/ft', factor: kilogramsPer.lb / metresPer.ft, decimals: 1 },
  },
  force: {
    metric: { symbol: 'kN', factor: newtonsPer.kN, decimals: 1 },
    us: { symbol: 'lb', factor: newtonsPer.lbf, decimals: 0 },
  },
  forcePerLength: {
    metric: { symbol: 'kN/m', factor: 1e3, decimals: 2 },
    us: { symbol: 'lb/ft', factor: newtonsPer.lbf / metresPer.ft, decimals: 0 },
  },
  moment: {
    metric: { symbol: 'kN·m', factor: 1e3, decimals: 1 },
    us: { symbol: 'lb·ft', factor: newtonsPer.lbf * metresPer.ft, decimals: 0 },
  },
  stress: {
    metric: { symbol: 'MPa', factor: pascalsPer.MPa, decimals: 0 },
    us: { symbol: 'ksi', factor: pascalsPer.ksi, decimals: 1 },
  },
  strength: {
    metric: { symbol: 'MPa', factor: pascalsPer.MPa, decimals: 1 },
    us: { symbol: 'psi', factor: pascalsPer.psi, decimals: 0 },
  },
  pressure: {
    metric: { symbol: 'kPa', factor: pascalsPer.kPa, decimals: 0 },
    us: { symbol: 'psf', factor: pascalsPer.psf, decimals: 0 },
  },
  speed: {
    metric: one('m/s', 1),
    us: { symbol: 'mph', factor: metresPerSecondPer.mph, decimals: 1 },
  },
  inertia: {
    metric: { symbol: 'cm⁴', factor: 1e-8, decimals: 0 },
    us: { symbol: 'in⁴', factor: metresPer.in ** 4, decimals: 1 },
  },
  sectionModulus: {
    metric: { symbol: 'cm³', factor: 1e-6, decimals: 0 },
    us: { symbol: 'in³', factor: metresPer.in ** 3, decimals: 1 },
  },
  warping: {
    metric: { symbol: 'dm⁶', factor: 1e-6, decimals: 4 },
    us: { symbol: 'in⁶', factor: metresPer.in ** 6, decimals: 0 },
  },
  stiffness: {
    metric: { symbol: 'kN·m²', factor: 1e3, decimals: 0 },
    us: { symbol: 'kip·in²', factor: newtonsPer.kipf * metresPer.in ** 2, decimals: 0 },
  },
  voltage: { metric: one('V', 0), us: one('V', 0) },
  temperature: { metric: one('°C', 1), us: { symbol: '°F', factor: 5 / 9, decimals: 1 } },
  airTemperature: {
    metric: { symbol: '°C', factor: 1, decimals: 1, zero: 273.15 },
    us: { symbol: '°F', factor: 5 / 9, decimals: 1, zero: 459.67 * (5 / 9) },
  },
  angle: { metric: one('°', 1), us: one('°', 1) },
  fraction: { metric: { symbol: '%', factor: 0.01, decimals: 1 }, us: { symbol: '%', factor: 0.01, decimals: 1 } },
  factor: { metric: one('', 3), us: one('', 3) },
  count: { metric: one('', 0), us: one('', 0) },
};

/** Symbol of the SI base unit a kind is stored in, as the report and the API give it. */
export const siUnit: Record<QuantityKind, string> = {
  length: 'm',
  reach: 'm',
  dimension: 'm',
  area: 'm2',
  floorArea: 'm2',
  mass: 'kg',
  massPerLength: 'kg/m',
  force: 'N',
  forcePerLength: 'N/m',
  moment: 'N·m',
  stress: 'Pa',
  strength: 'Pa',
  pressure: 'Pa',
  speed: 'm/s',
  inertia: 'm4',
  sectionModulus: 'm3',
  warping: 'm6',
  stiffness: 'N·m2',
  voltage: 'V',
  temperature: 'K',
  airTemperature: 'K',
  angle: 'deg',
  fraction: '1',
  factor: '1',
  count: '1',
};
