import Papa from 'papaparse';
import { formatQuantity, parseQuantity, type QuantityKind, type UnitSystem } from '../../units';
import { fixedWidth } from './fixed-width';
import { feetAndInches, headingsOf, type Columns, type TableField, type Units } from './headings';
import { sniffColumns, sniffNames } from './sniff';
import type { SteelRow, SteelRows } from './rows';

export interface Sheet {
  /** rows with anything in them */
  cells: string[][];
  /** where each stands in the file, from 1 */
  lines: number[];
  /** rows above the first piece */
  skip: number;
  /** names of the columns; empty when it has none */
  heads: string[];
  delimiter: string;
  columns: Columns;
  /** unit of bare numbers, as the headings name it */
  units: Units;
}

/** Text of a table, pasted or from a file, to cells; columns are matched by their headings, and a person may match them otherwise. */
export function readSheet(text: string): Sheet {
  const clean = text.replace(/^\ufeff/, '').replace(/^sep=(.)\r?\n/i, '');
  const guess = Papa.parse<string[]>(clean, { skipEmptyLines: false, delimitersToGuess: ['\t', ';', ',', '|'] });
  const printed = isTable(guess.data) ? null : fixedWidth(clean);
  const filled = (printed ?? guess.data)
    .map((row, i) => ({ row: row.map((cell) => cell.trim()), line: i + 1 }))
    .filter(({ row }) => row.some((cell) => cell !== '') && !row.every(isRule));
  const delimiter = printed ? ' ' : guess.meta.delimiter;
  const merged = feetAndInches(filled.map(({ row }) => row));
  const headed = headingsOf(merged);
  // A list of many pages says its headings on each.
  const heads = headed?.heads.join('\t');
  const kept = merged.map((row, i) => ({ row, line: filled[i]?.line ?? i + 1 })).filter(({ row }, i) => i < (headed?.skip ?? 0) || row.join('\t') !== heads);
  const cells = kept.map(({ row }) => row);
  const sheet = { cells, lines: kept.map(({ line }) => line), delimiter };
  if (headed) return { ...sheet, ...headed, columns: sniffNames(cells.slice(headed.skip), headed.columns) };
  const columns = sniffColumns(cells);
  const below = columns.length === undefined && cells.length > 1 ? sniffColumns(cells.slice(1)) : {};
  return below.length !== undefined && below.section !== undefined && cells[0]
    ? { ...sheet, columns: below, units: {}, skip: 1, heads: cells[0] }
    : { ...sheet, columns, units: {}, skip: 0, heads: [] };
}

/** Whether a delimiter makes a table of it: three columns or more, and as many in almost every row. Commas in words make none. */
function isTable(rows: readonly string[][]): boolean {
  const wide = rows.filter((row) => row.some((cell) => cell.trim() !== '')).map((row) => row.length);
  const most = wide.reduce((a, b) => Math.max(a, b), 0);
  return most > 2 && wide.filter((one) => one === most).length >= 0.6 * wide.length;
}

/** A cell of a line drawn across a printed list. */
const isRule = (cell: string): boolean => /^[-=_+:*.\s]*$/.test(cell);

/** No piece of steel on a list is longer, or shorter: a figure past these has lost its unit. */
const LONGEST = 150;
const SHORTEST = 0.02;

export type DecimalMark = 'comma' | 'point';

const grouped = /^[-+]?\d{1,3}([ '\u2019\u00a0\u202f]\d{3})+([.,]\d+)?$/;
const plain = /^[-+]?[\d.,]*\d[.,]?$/;
const numeric = /^[-+]?\d[\d.,\s'\u2019\u00a0\u202f]*(?=\s*[a-z'"#]*$)/i;

/**
 * The decimal mark the figures of a sheet prove, all of them together. Where none does, the one that leaves every length as long as
 * a piece can be, when the other leaves none. Null when nothing tells, or one figure proves another wrong.
 */
export function decimalMark(sheet: Sheet, columns: Columns): DecimalMark | null {
  let comma = 0;
  let point = 0;
  let open = 0;
  const figures = (field: 'length' | 'mass') =>
    sheet.cells.slice(sheet.skip).flatMap((row) => (columns[field] === undefined ? [] : (numeric.exec(row[columns[field]] ?? '')?.[0].trim() ?? [])));
  for (const figure of [...figures('length'), ...figures('mass')]) {
    if (/\.\d{3},\d|^[^.]*,(\d{1,2}|\d{4,})$/.test(figure)) comma += 1;
    else if (/,\d{3}\.\d|^[^,]*\.(\d{1,2}|\d{4,})$/.test(figure)) point += 1;
    else if (/[.,]/.test(figure)) open += 1;
  }
  if (comma > 0 && point > 0) return null;
  if (comma > 0) return 'comma';
  if (point > 0) return 'point';
  if (open === 0) return sheet.delimiter === ';' ? 'comma' : null;
  const { length: unit } = sheet.units;
  if (!unit) return null;
  const possible = (mark: DecimalMark) =>
    figures('length')
      .filter((figure) => /[.,]/.test(figure))
      .map((figure) => {
        const read = parseQuantity(written(figure, unit, mark), 'length', 'us');
        return read.ok && read.value >= SHORTEST && read.value <= LONGEST;
      });
  const [asComma, asPoint] = [possible('comma'), possible('point')];
  if (asComma.length === 0) return null;
  if (asComma.every(Boolean) && !asPoint.some(Boolean)) return 'comma';
  return asPoint.every(Boolean) && !asComma.some(Boolean) ? 'point' : null;
}

/** A number without its groups and with a point; a bare one gets the unit its column has. */
function written(cell: string, unit: string | undefined, mark: DecimalMark | null): string {
  let text = grouped.test(cell) ? cell.replace(/[ '\u2019\u00a0\u202f]/g, '') : cell;
  const figure = numeric.exec(text)?.[0];
  if (figure !== undefined && mark === 'comma') text = figure.replace(/[.\s](?=\d{3}(\D|$))/g, '').replace(',', '.') + text.slice(figure.length);
  if (figure !== undefined && mark === 'point') text = figure.replace(/,(?=\d{3}(\D|$))/g, '') + text.slice(figure.length);
  return unit && plain.test(text.trim()) ? `${text.trim()} ${unit}` : text;
}

/** The unit of bare lengths where no heading names one: metres, unless every one of them would be longer than any piece. */
export function lengthUnit(sheet: Sheet, columns: Columns, system: UnitSystem, mark = decimalMark(sheet, columns)): string {
  if (sheet.units.length) return sheet.units.length;
  if (system === 'us' || columns.length === undefined) return system === 'us' ? 'ft' : 'm';
  const at = columns.length;
  const bare = sheet.cells.slice(sheet.skip).flatMap((row) => {
    const read = parseQuantity(written(row[at] ?? '', 'm', mark), 'length', 'metric');
    return (plain.test(row[at] ?? '') || grouped.test(row[at] ?? '')) && read.ok ? [read.value] : [];
  });
  return bare.length > 0 && bare.every((one) => one > LONGEST) ? 'mm' : 'm';
}

export const massUnit = (sheet: Sheet, system: UnitSystem): string => sheet.units.mass ?? (system === 'us' ? 'lb' : 'kg');

/** “2”, “2.0”, “2 off”, “2x”, “2 Stk”. */
function wholeCount(text: string): number | null {
  const [, number] = /^(\d+)(?:[.,]0*)?\s*(?:x|off|ea|each|nos?|pcs?|pieces|st|stk|stück|stueck)?\.?$/i.exec(text) ?? [];
  return number === undefined || Number(number) < 1 ? null : Number(number);
}

/** The rows a sheet gives, and every row that cannot be read with its place, its value and the remedy. */
export function rowsOf(sheet: Sheet, columns: Columns, system: UnitSystem, chosen: Units & { mark?: DecimalMark } = {}): SteelRows {
  const found: SteelRows = { rows: [], faults: [] };
  const seen = new Map<string, string>();
  const { cells, lines, skip } = sheet;
  const mark = chosen.mark ?? decimalMark(sheet, columns);
  const units = { length: chosen.length ?? lengthUnit(sheet, columns, system, mark), mass: chosen.mass ?? massUnit(sheet, system) };
  for (const need of ['mark', 'section', 'length'] as const)
    if (columns[need] === undefined) return { rows: [], faults: [{ from: 'columns', error: `Which column is the ${need}? Choose it above.` }] };
  cells.slice(skip).forEach((row, i) => {
    const from = `row ${lines[i + skip] ?? i + skip + 1}`;
    const text = (field: TableField) => (columns[field] === undefined ? '' : (row[columns[field]] ?? ''));
    const wrong = (error: string) => void found.faults.push({ from, error });
    const quantity = (field: 'length' | 'mass', kind: QuantityKind): number | null => {
      const read = parseQuantity(written(text(field), units[field], mark), kind, system);
      if (!read.ok) wrong(`${field} “${text(field)}”: ${read.reason}`);
      else if (!(read.value > 0)) wrong(`${field} “${text(field)}” is not more than nothing.`);
      else return read.value;
      return null;
    };
    const name = text('mark');
    if (name === '') return wrong('There is no mark: give the piece one or leave the row out.');
    const before = seen.get(name);
    if (before) return wrong(`${name} is already on ${before}: give each mark one row and a count.`);
    if (text('section') === '') return wrong(`${name} has no section.`);
    const length = quantity('length', 'length');
    if (length === null) return;
    if (length > LONGEST || length < SHORTEST)
      return wrong(`${name} would be ${formatQuantity(length, 'length', system)} long: choose the unit of the lengths, or how decimals are written, above.`);
    const mass = text('mass') === '' ? null : quantity('mass', 'mass');
    if (text('mass') !== '' && mass === null) return;
    const count = text('count') === '' ? 1 : wholeCount(text('count'));
    if (count === null) return wrong(`count “${text('count')}” of ${name} is not a whole number of pieces.`);
    const order = text('order') === '' ? null : Number(text('order'));
    if (order !== null && (!Number.isInteger(order) || order < 0)) return wrong(`order “${text('order')}” of ${name} is not a whole number.`);
    seen.set(name, from);
    const made: SteelRow = { from, mark: name, section: text('section'), length, grade: text('grade'), count, mass, order, place: text('place') };
    found.rows.push(made);
  });
  // Figures under a heading nobody here can read may be what was not found.
  const figures = (i: number) => cells.slice(skip).flatMap((row) => row[i] || []);
  const unread = sheet.heads.filter(
    (head, i) => head !== '' && !Object.values(columns).includes(i) && figures(i).length > 0 && figures(i).every((cell) => numeric.test(cell)),
  );
  const lost = (['count', 'mass'] as const).filter((field) => columns[field] === undefined);
  if (found.rows.length > 0 && unread.length > 0 && lost.length > 0)
    found.notes = [
      {
        from: 'columns',
        error: `Not read: ${unread.map((head) => `“${head}”`).join(', ')}. If one is the ${lost.map((field) => ({ count: 'number of pieces', mass: 'weight of one' })[field]).join(' or the ')}, choose it above.`,
      },
    ];
  if (found.rows.length === 0 && found.faults.length === 0)
    found.faults.push({ from: 'the file', error: 'There are no rows in it. Paste the table with its rows.' });
  return found;
}
