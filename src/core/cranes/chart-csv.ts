import Papa from 'papaparse';
import { kilogramsPer, metresPer, readNumber } from '../units';
import { chartFault, type Chart } from './chart-shape';

/**
 * A chart as text: first row the boom lengths, first column the radii, capacities between; comma, semicolon or tab.
 * The corner cell may name the units, as `radius m / capacity kg`. A blank, a dash or n/a is a blank of the chart.
 */

export const radiusUnits = { m: metresPer.m, ft: metresPer.ft } as const;
export const capacityUnits = {
  kg: 1,
  t: kilogramsPer.tonne,
  lb: kilogramsPer.lb,
  'short ton': kilogramsPer.shortTon,
  'long ton': kilogramsPer.longTon,
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
}

const BLANK = /^(|-|–|—|\*|n\/?a|null|x)$/i;

function cellsOf(text: string): string[][] {
  const parsed = Papa.parse<string[]>(text.replace(/^\ufeff/, '').trimEnd(), { skipEmptyLines: 'greedy', delimitersToGuess: ['\t', ';', ',', '|'] });
  return parsed.data.map((row) => row.map((cell) => cell.trim()));
}

function cornerUnits(corner: string): { radiusUnit: RadiusUnit | null; capacityUnit: CapacityUnit | null; bareTon: boolean } {
  const words = corner.toLowerCase();
  const radiusUnit: RadiusUnit | null = /\b(ft|feet)\b/.test(words) ? 'ft' : /\b(m|metres|meters)\b/.test(words) ? 'm' : null;
  if (/\bshort tons?\b/.test(words)) return { radiusUnit, capacityUnit: 'short ton', bareTon: false };
  if (/\blong tons?\b/.test(words)) return { radiusUnit, capacityUnit: 'long ton', bareTon: false };
  const capacityUnit: CapacityUnit | null = /\bkg\b/.test(words) ? 'kg' : /\blbs?\b/.test(words) ? 'lb' : /\b(t|tonnes?)\b/.test(words) ? 't' : null;
  return { radiusUnit, capacityUnit, bareTon: capacityUnit === null && /\btons?\b/.test(words) };
}

/** A number of the table; a single comma before three digits is taken as the table's other figures suggest: thousands in whole kilograms or pounds. */
function numberOf(cell: string, thousands: boolean): number | null {
  const plain = cell.replace(/\s*(m|ft|kg|t|lbs?)$/i, '').trim();
  const read = readNumber(plain, 'metric');
  if (read === null) return null;
  return 'value' in read ? read.value : thousands ? read.readings[1] : read.readings[0];
}

export function readChartCsv(text: string, units: { radius: RadiusUnit; capacity: CapacityUnit }): ChartReading {
  const cells = cellsOf(text);
  const corner = cornerUnits(cells[0]?.[0] ?? '');
  const faults: CsvFault[] = [];
  const holes: string[] = [];
  const fault = (row: number, column: number, error: string) => faults.push({ row: row + 1, column: column + 1, error });
  const nothing = (): ChartReading => ({ ...corner, chart: null, faults, holes });
  if (cells.length < 2 || (cells[0]?.length ?? 0) < 2) {
    fault(0, 0, 'There is no table here: the first row holds the boom lengths, the first column the radii.');
    return nothing();
  }
  const metres = radiusUnits[units.radius];
  const kilograms = capacityUnits[units.capacity];
  const thousands = units.capacity === 'kg' || units.capacity === 'lb';
  const header = cells[0]!;
  const width = header.length;
  const booms = header.slice(1).map((cell, j) => {
    const value = numberOf(cell, false);
    if (value === null || !(value > 0)) fault(0, j + 1, `“${cell}” is not a boom length: write a number in ${units.radius}.`);
    return Number(((value ?? 0) * metres).toPrecision(12));
  });
  const radii: number[] = [];
  const capacity: (number | null)[][] = [];
  cells.slice(1).forEach((row, k) => {
    const i = k + 1;
    const radius = numberOf(row[0] ?? '', false);
    if (radius === null || !(radius > 0)) fault(i, 0, `“${row[0] ?? ''}” is not a radius: write a number in ${units.radius}.`);
    radii.push(Number(((radius ?? 0) * metres).toPrecision(12)));
    if (row.length > width && row.slice(width).some((cell) => cell !== ''))
      fault(i, width, `This row has ${row.length - 1} capacities for ${width - 1} booms: is a comma used for decimals in a comma-separated table?`);
    capacity.push(
      Array.from({ length: width - 1 }, (_, j) => {
        const cell = row[j + 1] ?? '';
        if (BLANK.test(cell)) return null;
        const value = numberOf(cell, thousands);
        if (value === null)
          fault(
            i,
            j + 1,
            `“${cell}” at radius ${row[0]}, boom ${header[j + 1]} is not a capacity: write a number in ${units.capacity}, or leave it blank as the maker does.`,
          );
        else if (value < 0) fault(i, j + 1, `${cell} at radius ${row[0]}, boom ${header[j + 1]} is below zero: a capacity is 0 or more.`);
        return value === null ? null : Number((value * kilograms).toPrecision(12));
      }),
    );
  });
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
  return { ...corner, chart, faults, holes };
}

/** The chart as CSV that `readChartCsv` reads back. */
export function writeChartCsv(chart: Chart): string {
  const rows = [
    ['radius m / capacity kg', ...chart.booms.map(String)],
    ...chart.radii.map((radius, i) => [String(radius), ...chart.capacity[i]!.map((value) => (value === null ? '' : String(value)))]),
  ];
  return Papa.unparse(rows, { newline: '\n' }) + '\n';
}
