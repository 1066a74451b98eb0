import { GRAVITY, kilogramsPer, metresPer, metresPerSecondPer, newtonsPer, pascalsPer } from './factors';
import { formatQuantity } from './format';
import { shownIn, type QuantityKind, type UnitSystem } from './quantity';

export interface Reading {
  label: string;
  value: number;
}

export type Parsed = { ok: true; value: number } | { ok: false; reason: string; /** the readings a person may choose between */ choices?: Reading[] };

type UnitTable = Record<string, number>;

const lengthUnits: UnitTable = {
  m: metresPer.m,
  metre: metresPer.m,
  metres: metresPer.m,
  meter: metresPer.m,
  meters: metresPer.m,
  mm: metresPer.mm,
  cm: metresPer.cm,
  in: metresPer.in,
  inch: metresPer.in,
  inches: metresPer.in,
  '"': metresPer.in,
  ft: metresPer.ft,
  foot: metresPer.ft,
  feet: metresPer.ft,
  "'": metresPer.ft,
};
const massUnits: UnitTable = {
  kg: 1,
  kgs: 1,
  t: kilogramsPer.tonne,
  te: kilogramsPer.tonne,
  tonne: kilogramsPer.tonne,
  tonnes: kilogramsPer.tonne,
  'metric ton': kilogramsPer.tonne,
  'metric tons': kilogramsPer.tonne,
  lb: kilogramsPer.lb,
  lbs: kilogramsPer.lb,
  '#': kilogramsPer.lb,
  pound: kilogramsPer.lb,
  pounds: kilogramsPer.lb,
  kip: kilogramsPer.kip,
  kips: kilogramsPer.kip,
  'short ton': kilogramsPer.shortTon,
  'short tons': kilogramsPer.shortTon,
  'us ton': kilogramsPer.shortTon,
  'us tons': kilogramsPer.shortTon,
  'long ton': kilogramsPer.longTon,
  'long tons': kilogramsPer.longTon,
  'uk ton': kilogramsPer.longTon,
  'uk tons': kilogramsPer.longTon,
};
const forceUnits: UnitTable = {
  n: 1,
  kn: newtonsPer.kN,
  mn: newtonsPer.MN,
  lbf: newtonsPer.lbf,
  lb: newtonsPer.lbf,
  lbs: newtonsPer.lbf,
  '#': newtonsPer.lbf,
  kip: newtonsPer.kipf,
  kips: newtonsPer.kipf,
  k: newtonsPer.kipf,
  kgf: newtonsPer.kgf,
  tf: 1000 * newtonsPer.kgf,
};
const stressUnits: UnitTable = {
  pa: 1,
  kpa: pascalsPer.kPa,
  mpa: pascalsPer.MPa,
  gpa: pascalsPer.GPa,
  'n/mm2': pascalsPer.MPa,
  'n/mm²': pascalsPer.MPa,
  'kn/m2': pascalsPer.kPa,
  'kn/m²': pascalsPer.kPa,
  psi: pascalsPer.psi,
  ksi: pascalsPer.ksi,
  psf: pascalsPer.psf,
};
const perLength = (base: UnitTable): UnitTable =>
  Object.fromEntries(
    Object.entries(base).flatMap(([unit, factor]) => [
      [`${unit}/m`, factor],
      [`${unit}/ft`, factor / metresPer.ft],
    ]),
  );

const unitsOf: Partial<Record<QuantityKind, UnitTable>> = {
  length: lengthUnits,
  reach: lengthUnits,
  dimension: lengthUnits,
  mass: massUnits,
  massPerLength: { ...perLength({ kg: 1, lb: kilogramsPer.lb, lbs: kilogramsPer.lb, '#': kilogramsPer.lb }), plf: kilogramsPer.lb / metresPer.ft },
  force: forceUnits,
  forcePerLength: { ...perLength({ n: 1, kn: 1e3, lb: newtonsPer.lbf, lbf: newtonsPer.lbf }), plf: newtonsPer.lbf / metresPer.ft },
  stress: stressUnits,
  strength: stressUnits,
  pressure: stressUnits,
  speed: {
    'm/s': 1,
    'km/h': metresPerSecondPer.kmh,
    kmh: metresPerSecondPer.kmh,
    kph: metresPerSecondPer.kmh,
    mph: metresPerSecondPer.mph,
    kn: metresPerSecondPer.knot,
    kt: metresPerSecondPer.knot,
    knots: metresPerSecondPer.knot,
  },
  angle: { '°': 1, deg: 1, degrees: 1 },
  fraction: { '%': 0.01 },
  voltage: { v: 1, kv: 1000 },
  floorArea: { m2: 1, 'm²': 1, ft2: metresPer.ft ** 2, 'ft²': metresPer.ft ** 2, 'sq ft': metresPer.ft ** 2 },
  temperature: { '°c': 1, c: 1, k: 1, '°f': 5 / 9, f: 5 / 9 },
  airTemperature: { '°c': 1, c: 1, k: 1, '°f': 5 / 9, f: 5 / 9 },
};

const expected: Partial<Record<QuantityKind, string>> = {
  length: `write 7.18, 7180 mm, 23' 6 1/2" or 23-6.5`,
  dimension: 'write 150, 150 mm, 6 in or 6 1/2"',
  mass: 'write 940 kg, 0.94 t or 2070 lb',
  force: 'write 40 kN, 9000 lb or 9 kip',
};

const hint = (kind: QuantityKind, system: UnitSystem): string => expected[kind] ?? `write a number in ${shownIn[kind][system].symbol || 'figures'}`;

const vulgar: Record<string, string> = { '½': ' 1/2', '¼': ' 1/4', '¾': ' 3/4', '⅛': ' 1/8', '⅜': ' 3/8', '⅝': ' 5/8', '⅞': ' 7/8' };

function tidy(text: string): string {
  return text
    .trim()
    .replace(/^≈/, '')
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (mark) => vulgar[mark] ?? mark)
    .replace(/[\u2212\u2012\u2013\u2014]/g, '-')
    .replace(/[′’‘´]/g, "'")
    .replace(/[″”“]|''/g, '"')
    .replace(/[\s\u00a0\u2009\u202f]+/g, ' ')
    .trim();
}

type NumberReading = { value: number } | { readings: [number, number] } | null;

/** A number as people write it: point or comma decimals, grouped thousands. One comma before three digits can be either. */
export function readNumber(text: string, system: UnitSystem): NumberReading {
  let digits = text.replace(/(\d) (?=\d{3}(\D|$))/g, '$1');
  if (!/^[-+]?[\d.,]*\d[\d.,]*(e[-+]?\d+)?$/i.test(digits)) return null;
  const commas = (digits.match(/,/g) ?? []).length;
  const points = (digits.match(/\./g) ?? []).length;
  if (commas > 0 && points > 0) {
    const decimal = digits.lastIndexOf(',') > digits.lastIndexOf('.') ? ',' : '.';
    if ((decimal === ',' ? commas : points) > 1) return null;
    const thousands = decimal === ',' ? /\./g : /,/g;
    digits = digits.replace(thousands, '').replace(',', '.');
  } else if (commas > 1) {
    if (!/^[-+]?\d{1,3}(,\d{3})+$/.test(digits)) return null;
    digits = digits.replace(/,/g, '');
  } else if (commas === 1) {
    if (/^[-+]?[1-9]\d{0,2},\d{3}$/.test(digits)) {
      const asThousands = Number(digits.replace(',', ''));
      if (system === 'metric') return { readings: [Number(digits.replace(',', '.')), asThousands] };
      digits = String(asThousands);
    } else digits = digits.replace(',', '.');
  }
  const value = Number(digits);
  return Number.isFinite(value) ? { value } : null;
}

function readFraction(text: string): number | null {
  const match = /^(?:(\d+(?:\.\d+)?)[ -])?(\d+)\/(\d+)$/.exec(text.trim());
  if (match) {
    const denominator = Number(match[3]);
    return denominator === 0 ? null : Number(match[1] ?? 0) + Number(match[2]) / denominator;
  }
  const plain = /^\d*\.?\d+$|^\d+\.$/.exec(text.trim());
  return plain ? Number(text) : null;
}

/** Feet and inches in any of their spellings; null when the text is not of that kind. */
function readFeetInches(text: string): Parsed | null {
  const negative = text.startsWith('-');
  const body = negative ? text.slice(1).trim() : text;
  const marked = /^(\d+(?:\.\d+)?) ?(?:'|ft|feet|foot)[ -]*(?:(.+?) ?(?:"|in|inch|inches)?)?$/i.exec(body);
  const dashed = marked ? null : /^(\d+)-(\d.*?) ?(?:"|in)?$/.exec(body);
  const match = marked ?? dashed;
  if (match) {
    const inches = match[2] === undefined ? 0 : readFraction(match[2]);
    if (inches === null) return { ok: false, reason: `“${match[2]}” is not a number of inches: ${expected.length}.` };
    if (inches >= 12) return { ok: false, reason: `${match[2]} inches is a foot or more: carry it into the feet.` };
    const value = Number(match[1]) * metresPer.ft + inches * metresPer.in;
    return { ok: true, value: negative ? -value : value };
  }
  const inchOnly = /^([\d./ -]+?) ?(?:"|in|inch|inches)$/i.exec(body);
  if (inchOnly?.[1]?.includes('/')) {
    const inches = readFraction(inchOnly[1]);
    if (inches !== null) return { ok: true, value: (negative ? -1 : 1) * inches * metresPer.in };
  }
  return null;
}

function bareTon(amount: number, kind: 'mass' | 'force', system: UnitSystem): Parsed {
  const scale = kind === 'force' ? GRAVITY : 1;
  const choice = (name: string, kilograms: number): Reading => ({
    label: `${name} — ${formatQuantity(amount * kilograms * scale, kind, system)}`,
    value: amount * kilograms * scale,
  });
  return {
    ok: false,
    reason: 'Which ton? A short ton is 2,000 lb, a long ton 2,240 lb, a metric tonne 1 000 kg.',
    choices: [choice('short ton', kilogramsPer.shortTon), choice('metric tonne', kilogramsPer.tonne), choice('long ton', kilogramsPer.longTon)],
  };
}

/** Read what a person typed. The value is SI; nothing is guessed where two readings differ. */
export function parseQuantity(text: string, kind: QuantityKind, system: UnitSystem): Parsed {
  const clean = tidy(text);
  if (clean === '') return { ok: false, reason: `Nothing is written here: ${hint(kind, system)}.` };
  if (kind === 'length' || kind === 'dimension') {
    const imperial = readFeetInches(clean);
    if (imperial) return imperial;
    const fraction = clean.includes('/') ? readFraction(clean) : null;
    if (fraction !== null && system === 'us') return { ok: true, value: fraction * shownIn[kind].us.factor };
  }
  const match = /^([-+]?[\d.,][\d., ]*(?:e[-+]?\d+)?)\s*([^\d].*)?$/i.exec(clean);
  const number = match?.[1] ? readNumber(match[1].trim(), system) : null;
  if (!match || !number) return { ok: false, reason: `“${clean}” is not a ${kindName[kind]}: ${hint(kind, system)}.` };
  const rawUnit = (match[2] ?? '').trim();
  const unit = rawUnit.toLowerCase().replace(/\.$/, '');
  const factor = factorOf(kind, unit, system);
  const zero = kind === 'airTemperature' ? zeroOf(unit, system) : 0;
  if ('readings' in number) {
    const symbol = rawUnit || shownIn[kind][system].symbol;
    const scale = factor ?? 1;
    return {
      ok: false,
      reason: `“${clean}” can be read two ways.`,
      choices: number.readings.map((value) => ({ label: `${value} ${symbol}`, value: value * scale + zero })),
    };
  }
  if ((kind === 'mass' || kind === 'force') && (/^tons?$/.test(unit) || rawUnit === 'T')) return bareTon(number.value, kind, system);
  if (kind === 'force' && unit in massUnits && factor === null) {
    const newtons = number.value * (massUnits[unit] ?? 0) * GRAVITY;
    return {
      ok: false,
      reason: `${clean} is a mass and a force is asked for.`,
      choices: [{ label: `its weight, ${formatQuantity(newtons, 'force', system)}`, value: newtons }],
    };
  }
  if (factor === null) return { ok: false, reason: `“${rawUnit}” is not a unit of ${kindName[kind]}: ${hint(kind, system)}.` };
  return { ok: true, value: number.value * factor + zero };
}

/** Where the scale of a written temperature starts, K. */
function zeroOf(unit: string, system: UnitSystem): number {
  if (unit === 'k') return 0;
  const scale = unit === '' ? system : unit.endsWith('f') ? 'us' : 'metric';
  return shownIn.airTemperature[scale].zero ?? 0;
}

function factorOf(kind: QuantityKind, unit: string, system: UnitSystem): number | null {
  if (unit === '') return shownIn[kind][system].factor;
  return unitsOf[kind]?.[unit] ?? null;
}

export const kindName: Record<QuantityKind, string> = {
  length: 'length',
  reach: 'length',
  dimension: 'length',
  area: 'area',
  floorArea: 'area',
  mass: 'mass',
  massPerLength: 'mass per length',
  force: 'force',
  forcePerLength: 'load per length',
  moment: 'moment',
  stress: 'stress',
  strength: 'strength',
  pressure: 'pressure',
  speed: 'speed',
  inertia: 'second moment of area',
  sectionModulus: 'section modulus',
  warping: 'warping constant',
  stiffness: 'stiffness',
  voltage: 'voltage',
  temperature: 'temperature difference',
  airTemperature: 'temperature',
  angle: 'angle',
  fraction: 'percentage',
  factor: 'number',
  count: 'count',
};
