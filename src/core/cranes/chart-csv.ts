import Papa from 'papaparse';
import { metresPer, readNumber } from '../units';
import type { Asked } from '../steel/lists/rows';
import { weightUnits, weightWords, type WeightUnit } from '../steel/lists/weight-words';
import { chartFault, type Chart } from './chart-shape';

/**
 * A chart as text: first row the boom lengths, first column the radii, capacities between; comma, semicolon or tab.
 * The corner cell may name the units, as `radius m / capacity kg`. A blank, a dash or n/a is a blank of the chart.
 */

export const radiusUnits = { m: metresPer.m, ft: metresPer.ft } as const;
export const capacityUnits = {
  kg: weightUnits.kg,
  t: weightUnits.t,
  lb: weightUnits.lb,
  kip: weightUnits.kip,
  kN: weightUnits.kN,
  'short ton': weightUnits['short ton'],
  'long ton': weightUnits['long ton'],
} as const;
export type RadiusUnit = keyof typeof radiusUnits;
export type CapacityUnit = keyof typeof capacityUnits;

export interface CsvFault {
  /** as a person finds it: row and column of the text, from 1 */
  row: number;
  column: number;
  error: string;
}

export interface ChartReading {
  /** what the corner cell says; null when it does not */
  radiusUnit: RadiusUnit | null;
  capacityUnit: CapacityUnit | null;
  /** the corner cell says “ton” and does not say which */
  bareTon: boolean;
  /** with the units given; null while there are faults */
  chart: Chart | null;
  faults: CsvFault[];
  /** blanks with figures on both sides: worth a look, not wrong */
  holes: string[];
  /** what neither the corner nor the cells say; while anything is asked there is no chart */
  asked: Asked[];
}

const BLANK = /^(|-|–|—|\*|n\/?a|null|x)$/i;

function cellsOf(text: string): string[][] {
  const parsed = Papa.parse<string[]>(text.replace(/^\ufeff/, '').trimEnd(), { skipEmptyLines: 'greedy', delimitersToGuess: ['\t', ';', ',', '|'] });
  return parsed.data.map((row) => row.map((cell) => cell.trim()));
}

interface Corner {
  radiusUnit: RadiusUnit | null;
  capacityUnit: CapacityUnit | null;
  bareTon: boolean;
  /** “lb × 1000” */
  times: number;
}

function cornerUnits(corner: string): Corner {
  const words = corner.toLowerCase();
  const radiusUnit: RadiusUnit | null = /\b(ft|feet|foot)\b|'/.test(words) ? 'ft' : /\b(m|metres?|meters?)\b/.test(words) ? 'm' : null;
  // Where a slash parts the two, the weight stands behind it: the “m” of the radius is no metre of weight.
  const [, behind = corner] = /[/\\|](.*)$/.exec(corner) ?? [];
  const units = weightWords(behind.replace(/\d+/g, '')).units ?? weightWords(corner.replace(/\d+/g, '')).units;
  const [one, other] = units ?? [];
  const capacityUnit = one !== undefined && other === undefined && one in capacityUnits ? (one as CapacityUnit) : null;
  const times = /[x×*]\s*1[ ,.']?000\b|\b1[ ,.']?000s?\b|thousand/.test(words) ? 1000 : /[x×*]\s*100\b|\b100s?\b/.test(words) ? 100 : 1;
  return { radiusUnit, capacityUnit, bareTon: other !== undefined, times };
}

/** A figure that a comma or a point may part in thousands or in decimals. */
const OPEN = /^[1-9]\d{0,2}[.,]\d{3}$/;
/** No chart has a figure of less, and no crane lifts more: kilograms. */
const LEAST_RATED = 50;
const MOST_RATED = 3e6;
/** No boom and no radius is longer, metres. */
const FURTHEST = 300;

interface Cell {
  /** what stands before the unit */
  figure: string;
  unit: string;
}
const cellOf = (text: string): Cell | null => {
  const [, figure, unit] = /^([-+]?[\d.,\s'\u2019\u00a0]*\d[.,]?)\s*(.*)$/u.exec(text) ?? [];
  return figure === undefined ? null : { figure: figure.replace(/[\s'\u2019\u00a0](?=\d{3}(\D|$))/g, '').trim(), unit: (unit ?? '').trim() };
};

type Marked = 'decimals' | 'thousands' | 'open';

/** What a comma or a point before three digits parts, in all figures of a kind: as another figure shows, or as leaves every one of them possible. */
function markedAs(figures: readonly { figure: string; factor: number }[], least: number, most: number): Marked {
  const open = figures.filter(({ figure }) => OPEN.test(figure));
  const marks = new Set(open.map(({ figure }) => (figure.includes(',') ? ',' : '.')));
  if (figures.some(({ figure }) => [...marks].some((mark) => /^\d+[.,]\d{1,2}$/.test(figure) && figure.includes(mark)))) return 'decimals';
  const all = (value: (figure: string) => number) => open.every(({ figure, factor }) => value(figure) * factor >= least && value(figure) * factor <= most);
  const [decimals, thousands] = [all((figure) => Number(figure.replace(',', '.'))), all((figure) => Number(figure.replace(/[.,]/, '')))];
  return decimals === thousands ? 'open' : decimals ? 'decimals' : 'thousands';
}

/** A figure in SI; null when it is none, “open” when its comma or point may mean either. */
function valueOf(figure: string, factor: number, marked: Marked): number | 'open' | null {
  if (OPEN.test(figure)) return marked === 'open' ? 'open' : Number(marked === 'decimals' ? figure.replace(',', '.') : figure.replace(/[.,]/, '')) * factor;
  const read = readNumber(figure, 'metric');
  return read === null ? null : 'value' in read ? read.value * factor : 'open';
}

function lengthFactor(unit: string, bare: RadiusUnit | null): number | null {
  const word = unit.toLowerCase().replace(/\.$/, '');
  if (word === '') return bare === null ? null : radiusUnits[bare];
  if (/^(m|metres?|meters?)$/.test(word)) return metresPer.m;
  if (/^(ft|feet|foot|'|’)$/.test(word)) return metresPer.ft;
  return word === 'mm' ? metresPer.mm : Number.NaN;
}

function massFactor(unit: string, bare: number | null): number | 'which' | null {
  if (unit === '') return bare;
  const units: readonly WeightUnit[] = weightWords(unit).units ?? [];
  const [one, other] = units;
  return one === undefined ? Number.NaN : other !== undefined ? 'which' : weightUnits[one];
}

/** The chart a text holds. A cell with a unit of its own is read in it; the others in the units given. */
export function readChartCsv(text: string, units: { radius: RadiusUnit | null; capacity: CapacityUnit | null }): ChartReading {
  const cells = cellsOf(text);
  const { times, ...corner } = cornerUnits(cells[0]?.[0] ?? '');
  const faults: CsvFault[] = [];
  const holes: string[] = [];
  const open = new Map<string, string[]>();
  const fault = (row: number, column: number, error: string) => faults.push({ row: row + 1, column: column + 1, error });
  const nothing = (): ChartReading => ({ ...corner, chart: null, faults, holes, asked: [...open].map(([key, places]) => question(key, places)) });
  if (cells.length < 2 || (cells[0]?.length ?? 0) < 2) {
    fault(0, 0, 'There is no table here: the first row holds the boom lengths, the first column the radii.');
    return nothing();
  }
  const ask = (key: string, place: string) => void open.set(key, [...(open.get(key) ?? []), place]);
  const header = cells[0]!;
  const width = header.length;
  const bare = units.capacity === null ? null : capacityUnits[units.capacity] * times;
  const figures = (texts: readonly string[], factorOf: (unit: string) => number | string | null) =>
    texts.flatMap((text) => {
      const cell = cellOf(text);
      const factor = cell && factorOf(cell.unit);
      return cell && typeof factor === 'number' ? [{ figure: cell.figure, factor }] : [];
    });
  const body = cells.slice(1);
  const markedLengths = markedAs(
    figures([...header.slice(1), ...body.map((row) => row[0] ?? '')], (unit) => lengthFactor(unit, units.radius)),
    0.5,
    FURTHEST,
  );
  const markedWeights = markedAs(
    figures(
      body.flatMap((row) => row.slice(1, width)),
      (unit) => massFactor(unit, bare),
    ),
    LEAST_RATED,
    MOST_RATED,
  );
  /** nought where the cell is asked about or wrong, and that is told */
  const length = (text: string, row: number, column: number, what: string): number => {
    const cell = cellOf(text);
    const factor = cell && lengthFactor(cell.unit, units.radius);
    const value = cell && typeof factor === 'number' ? valueOf(cell.figure, factor, markedLengths) : null;
    if (cell && factor === null) ask('radius', text);
    else if (value === 'open') ask('figures', text);
    else if (value === null || !(value > 0)) fault(row, column, `“${text}” is not a ${what}: write a number in ${units.radius ?? 'm or ft'}.`);
    else return Number(value.toPrecision(12));
    return 0;
  };
  const booms = header.slice(1).map((cell, j) => length(cell, 0, j + 1, 'boom length'));
  const radii: number[] = [];
  const capacity: (number | null)[][] = [];
  body.forEach((row, k) => {
    const i = k + 1;
    radii.push(length(row[0] ?? '', i, 0, 'radius'));
    if (row.length > width && row.slice(width).some((cell) => cell !== ''))
      fault(i, width, `This row has ${row.length - 1} capacities for ${width - 1} booms: is a comma used for decimals in a comma-separated table?`);
    capacity.push(
      Array.from({ length: width - 1 }, (_, j) => {
        const text = row[j + 1] ?? '';
        if (BLANK.test(text)) return null;
        const place = `radius ${row[0]}, boom ${header[j + 1]}`;
        const cell = cellOf(text);
        const factor = cell && massFactor(cell.unit, bare);
        const value = cell && typeof factor === 'number' ? valueOf(cell.figure, factor, markedWeights) : null;
        if (cell && factor === null) ask('capacity', `${text} at ${place}`);
        else if (cell && factor === 'which') ask('ton', `${text} at ${place}`);
        else if (value === 'open') ask('figures', `${text} at ${place}`);
        else if (value === null || Number.isNaN(value))
          fault(
            i,
            j + 1,
            `“${text}” at ${place} is not a capacity: write a number in ${units.capacity ?? 'kg, t or lb'}, or leave it blank as the maker does.`,
          );
        else if (value < 0) fault(i, j + 1, `${text} at ${place} is below zero: a capacity is more than nothing.`);
        else return Number(value.toPrecision(12));
        return null;
      }),
    );
  });
  if (open.size > 0) return nothing();
  if (faults.length > 0) return nothing();
  const chart: Chart = { radii, booms, capacity };
  const shape = chartFault(chart);
  if (shape) {
    const at = Number(/\[(\d+)\]/.exec(shape.path)?.[1] ?? 0);
    fault(shape.path.startsWith('radii') ? at + 1 : 0, shape.path.startsWith('booms') ? at + 1 : 0, shape.error);
    return nothing();
  }
  for (let j = 0; j < booms.length; j += 1)
    for (let i = 1; i < radii.length - 1; i += 1)
      if (capacity[i]![j] === null && capacity.slice(0, i).some((row) => row[j] !== null) && capacity.slice(i + 1).some((row) => row[j] !== null))
        holes.push(
          `Radius ${cells[i + 1]![0]}, boom ${header[j + 1]} is blank between two figures: a pick there is stopped. Fill it in unless the maker leaves it blank.`,
        );
  return { ...corner, chart, faults, holes, asked: [] };
}

const questions: Record<string, { about: string; question: string }> = {
  radius: { about: 'radius', question: 'In which unit are the radii and the booms?' },
  capacity: { about: 'capacity', question: 'In which unit are the capacities?' },
  ton: { about: 'capacity', question: 'Which ton: a short ton of 2,000 lb, a metric tonne of 1 000 kg, or a long ton of 2,240 lb?' },
  figures: { about: 'capacity', question: 'Is the comma or the point before three digits a decimal or a thousand? Write the figures without it.' },
};
function question(key: string, places: readonly string[]): Asked {
  const { about = key, question: words = key } = questions[key] ?? {};
  return { about, question: `${words} ${places.slice(0, 3).join('; ')}${places.length > 3 ? ` and ${places.length - 3} more` : ''}.` };
}

/** Whether a text is a table of radii and booms and not a list: every heading but the corner and every first cell is a length, the rest capacities. */
export function looksLikeChart(text: string): boolean {
  const cells = cellsOf(text);
  const [head = [], ...body] = cells;
  const long = (cell: string | undefined) => {
    const read = cellOf(cell ?? '');
    return read !== null && !Number.isNaN(lengthFactor(read.unit, 'm') ?? 0);
  };
  if (body.length === 0 || head.length < 2 || !head.slice(1).every(long) || !body.every((row) => long(row[0]))) return false;
  const rated = body.flatMap((row) => row.slice(1)).filter((cell) => !BLANK.test(cell));
  return rated.length > 0 && rated.filter((cell) => cellOf(cell) !== null).length >= 0.7 * rated.length;
}

/** The chart as CSV that `readChartCsv` reads back. */
export function writeChartCsv(chart: Chart): string {
  const rows = [
    ['radius m / capacity kg', ...chart.booms.map(String)],
    ...chart.radii.map((radius, i) => [String(radius), ...chart.capacity[i]!.map((value) => (value === null ? '' : String(value)))]),
  ];
  return Papa.unparse(rows, { newline: '\n' }) + '\n';
}
