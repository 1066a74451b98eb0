import { metresPer } from './factors';
import { shownIn, type QuantityKind, type UnitSystem } from './quantity';

const NBSP = '\u00a0';
const APPROX = '≈';

function group(digits: string, separator: string): string {
  return digits.replace(/\B(?=(\d{3})+(?!\d))/g, separator);
}

/** Fixed decimals with the system's thousands separator; a value that rounds to zero has no sign. */
export function formatNumber(value: number, decimals: number, system: UnitSystem): string {
  const fixed = Math.abs(value).toFixed(decimals);
  const [whole = '0', part] = fixed.split('.');
  const grouped = whole.length > 3 ? group(whole, system === 'us' ? ',' : NBSP) : whole;
  const sign = value < 0 && Number(fixed) !== 0 ? '−' : '';
  return sign + grouped + (part ? '.' + part : '');
}

function trimZeros(text: string): string {
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
}

function gcd(a: number, b: number): number {
  return b === 0 ? a : gcd(b, a % b);
}

function feetInches(metres: number, denominator: number): string {
  const sign = metres < 0 ? '−' : '';
  const parts = Math.round((Math.abs(metres) / metresPer.in) * denominator);
  const feet = Math.floor(parts / (12 * denominator));
  const inches = Math.floor((parts - feet * 12 * denominator) / denominator);
  const numerator = parts % denominator;
  const divisor = gcd(numerator, denominator);
  const fraction = numerator === 0 ? '' : `${numerator / divisor}/${denominator / divisor}`;
  const inchText = [inches > 0 || fraction === '' ? String(inches) : '', fraction].filter(Boolean).join(' ');
  return `${sign}${feet}'${NBSP}${inchText}"`;
}

/** Decimals that keep about three significant figures for quantities that span many sizes. */
function adaptiveDecimals(magnitude: number, usual: number): number {
  if (magnitude === 0) return usual;
  if (magnitude < 1) return usual + 2;
  if (magnitude < 10) return usual + 1;
  if (magnitude < 100) return usual;
  return Math.max(0, usual - 1);
}

/** A stored value as a person of that system reads it, unit included. Rounds for show only. */
export function formatQuantity(value: number | null, kind: QuantityKind, system: UnitSystem): string {
  if (value === null || !Number.isFinite(value)) return '—';
  if (kind === 'length' && system === 'us') return feetInches(value, 16);
  // What is nearer than a foot is not rounded to an inch.
  if (kind === 'reach' && system === 'us') return feetInches(value, Math.abs(value) < metresPer.ft ? 16 : 1);
  const unit = shownIn[kind][system];
  let shown = (value - (unit.zero ?? 0)) / unit.factor;
  let symbol = unit.symbol;
  let decimals = unit.decimals;
  if (kind === 'force' || kind === 'moment') {
    if (system === 'us' && Math.abs(shown) >= 20000) {
      shown /= 1000;
      symbol = kind === 'force' ? 'kip' : 'kip·ft';
      decimals = 1;
    } else if (system === 'metric') decimals = adaptiveDecimals(Math.abs(shown), 1);
  } else if (kind === 'mass' && Math.abs(shown) < 100) decimals = 1;
  else if (kind === 'pressure' && system === 'metric') decimals = adaptiveDecimals(Math.abs(shown), 0);
  const number =
    kind === 'factor' || kind === 'dimension' || kind === 'fraction' || kind === 'massPerLength' || kind === 'strength'
      ? trimZeros(formatNumber(shown, decimals, system))
      : formatNumber(shown, decimals, system);
  if (symbol === '') return number;
  return symbol === '°' || symbol === '%' ? `${number}${symbol === '%' ? NBSP : ''}${symbol}` : `${number}${NBSP}${symbol}`;
}

/** Decimals past which a figure is long, and the most a person types. */
const SHORT = 4;
const LONG = 7;

/** Decimals that give the stored value back exactly; null when even the most do not. */
function exactPlaces(value: number, kind: QuantityKind, system: UnitSystem): number | null {
  const { factor, zero = 0 } = shownIn[kind][system];
  const shown = (value - zero) / factor;
  for (let places = 0; places <= LONG; places += 1) if (Math.abs(Number(shown.toFixed(places)) * factor + zero - value) <= tolerance(value)) return places;
  return null;
}
const tolerance = (value: number): number => 1e-9 * Math.max(Math.abs(value), 1e-3);

/** The coarsest fraction of an inch, down to a sixty-fourth, that gives a length back exactly. */
const exactFraction = (value: number): number | null =>
  [16, 64].find((parts) => Math.abs((Math.round((value / metresPer.in) * parts) / parts) * metresPer.in - value) <= tolerance(value)) ?? null;

/** Whether it is a short figure in the units of the other system: then it was typed there, and a long one here is only its echo. */
function typedIn(value: number, kind: QuantityKind, system: UnitSystem): boolean {
  if (kind === 'length' && system === 'us' && exactFraction(value) !== null) return true;
  const places = exactPlaces(value, kind, system);
  return places !== null && places <= SHORT;
}

/**
 * A stored value as text for an input field. The text reads back as exactly the stored value whenever a short text can, or when it was
 * typed so; otherwise it is rounded and marked with ≈ so that nobody takes the rounding for what was typed: 220 kg is ≈485.02 lb.
 */
export function formatForInput(value: number | null, kind: QuantityKind, system: UnitSystem): string {
  if (value === null || !Number.isFinite(value)) return '';
  if (kind === 'length' && system === 'us') {
    const parts = exactFraction(value);
    return (parts === null ? APPROX : '') + feetInches(value, parts ?? 16).replace('−', '-');
  }
  const { factor, decimals, zero = 0 } = shownIn[kind][system];
  const shown = (value - zero) / factor;
  const places = exactPlaces(value, kind, system);
  if (places !== null && (places <= SHORT || !typedIn(value, kind, system === 'us' ? 'metric' : 'us'))) {
    const text = shown.toFixed(places);
    return Number(text) === 0 ? '0' : text;
  }
  return APPROX + trimZeros(shown.toFixed(kind === 'length' ? SHORT : Math.max(decimals, 2)));
}

/** A stored value as a bare number in the unit a column names, for other programs: nothing of it is lost that anybody could measure. */
export function formatPlain(value: number | null, kind: QuantityKind, system: UnitSystem): string {
  if (value === null || !Number.isFinite(value)) return '';
  const { factor, zero = 0 } = shownIn[kind][system];
  return String(Number(((value - zero) / factor).toFixed(6)));
}

/** Unit shown beside an input of this kind; feet and inches carry their own marks. */
export function inputUnit(kind: QuantityKind, system: UnitSystem): string {
  return kind === 'length' && system === 'us' ? 'ft-in' : shownIn[kind][system].symbol;
}

/** Lengths a scale bar may stand for: round in the system it is read in, in metres. */
export const roundLengths: Record<UnitSystem, readonly number[]> = {
  metric: [0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500],
  us: [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000].map((feet) => feet * metresPer.ft),
};

const spoken: Record<string, readonly [kind: QuantityKind, factor: number]> = {
  m: ['length', 1],
  mm: ['dimension', 1e-3],
  kN: ['force', 1e3],
  N: ['force', 1],
  kPa: ['pressure', 1e3],
  Pa: ['pressure', 1],
  MPa: ['stress', 1e6],
  kg: ['mass', 1],
};

/** A sentence with figures in SI, as a person of that system reads it. What stands in quotes is somebody’s own and stays. */
export function spokenIn(sentence: string, system: UnitSystem): string {
  return sentence
    .split(/(“[^”]*”)/)
    .map((part) =>
      part.startsWith('“')
        ? part
        : part.replace(/(?<![\w.,/-])(\d+(?:\.\d+)?(?:e[-+]?\d+)?)[ \u00a0](kN|N|kPa|Pa|MPa|kg|mm|m)(?![\w²³⁴/·])/g, (whole, figure: string, unit: string) => {
            const [kind, factor] = spoken[unit] ?? ['length', 1];
            if (system === 'us') return formatQuantity(Number(figure) * factor, kind, 'us');
            return figure.replace(/\D/g, '').length > LONG ? `${Number(Number(figure).toPrecision(4))}${NBSP}${unit}` : whole;
          }),
    )
    .join('');
}
