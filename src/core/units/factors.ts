/**
 * One exact factor per unit; everything else is derived from these.
 * Yard and pound: international agreement of 1959. Standard gravity: CGPM 1901. All exact by definition.
 */
export const GRAVITY = 9.80665;

export const metresPer = { m: 1, mm: 1e-3, cm: 1e-2, in: 0.0254, ft: 0.3048 } as const;

const POUND = 0.45359237;
export const kilogramsPer = {
  kg: 1,
  tonne: 1000,
  lb: POUND,
  kip: 1000 * POUND,
  shortTon: 2000 * POUND,
  longTon: 2240 * POUND,
} as const;

export const newtonsPer = {
  N: 1,
  kN: 1e3,
  MN: 1e6,
  lbf: POUND * GRAVITY,
  kipf: 1000 * POUND * GRAVITY,
  kgf: GRAVITY,
} as const;

const SQUARE_INCH = metresPer.in ** 2;
const SQUARE_FOOT = metresPer.ft ** 2;
export const pascalsPer = {
  Pa: 1,
  kPa: 1e3,
  MPa: 1e6,
  GPa: 1e9,
  psf: newtonsPer.lbf / SQUARE_FOOT,
  psi: newtonsPer.lbf / SQUARE_INCH,
  ksi: newtonsPer.kipf / SQUARE_INCH,
} as const;

export const metresPerSecondPer = { mps: 1, kmh: 1 / 3.6, mph: 0.44704, knot: 1852 / 3600 } as const;
