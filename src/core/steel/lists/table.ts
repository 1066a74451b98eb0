import Papa from 'papaparse';
import { formatQuantity, parseQuantity, type UnitSystem } from '../../units';
import { settleColumns } from './columns';
import { fixedWidth } from './fixed-width';
import { feetAndInches, headingsOf, type Columns, type TableField, type Units } from './headings';
import { askedLength, LONGEST, SHORTEST } from './length-unit';
import type { Asked, Choice, SteelRow, SteelRows } from './rows';
import { sniffColumns, sniffNames } from './sniff';
import { weightWords } from './weight-words';
import { massOf, readWeights, type WrittenWeight } from './weights';

export interface Sheet {
  /** rows with anything in them */
  cells: string[][];
  /** where each stands in the file, from 1 */
  lines: number[];
  /** rows above the first piece */
  skip: number;
  /** names of the columns; empty when it has none */
  heads: string[];
  /** units in a row of their own under them */
  below: string[];
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
    .map((row, i) => ({ row: row.map((cell) => unescaped(cell.trim())), line: i + 1 }))
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
    ? { ...sheet, columns: below, units: {}, skip: 1, heads: cells[0], below: [] }
    : { ...sheet, columns, units: {}, skip: 0, heads: [], below: [] };
}

/** A cell that would be a formula goes out behind an apostrophe, and comes back without it. */
const unescaped = (cell: string): string => (/^'[=+\-@]/.test(cell) ? cell.slice(1) : cell);

/** Whether a delimiter makes a table of it: three columns or more, and as many in almost every row. Commas in words make none. */
function isTable(rows: readonly string[][]): boolean {
  const wide = rows.filter((row) => row.some((cell) => cell.trim() !== '')).map((row) => row.length);
  const most = wide.reduce((a, b) => Math.max(a, b), 0);
  return most > 2 && wide.filter((one) => one === most).length >= 0.6 * wide.length;
}

/** A cell of a line drawn across a printed list. */
const isRule = (cell: string): boolean => /^[-=_+:*.\s]*$/.test(cell);

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

/** “2”, “2.0”, “2 off”, “2x”, “2 Stk”. */
function wholeCount(text: string): number | null {
  const [, number] = /^(\d+)(?:[.,]0*)?\s*(?:x|off|ea|each|nos?|pcs?|pieces|st|stk|stück|stueck)?\.?$/i.exec(text) ?? [];
  return number === undefined || Number(number) < 1 ? null : Number(number);
}

/** How long a bare figure of the lengths is in a unit; null for anything else. */
function bareLengths(sheet: Sheet, columns: Columns, mark: DecimalMark | null): { row: number; value: number }[] {
  const at = columns.length;
  if (at === undefined) return [];
  return sheet.cells.slice(sheet.skip).flatMap((row, i) => {
    const cell = row[at] ?? '';
    const read = plain.test(cell) || grouped.test(cell) ? parseQuantity(written(cell, 'm', mark), 'length', 'metric') : null;
    return read?.ok ? [{ row: i, value: read.value }] : [];
  });
}

/** Figure of a weight and the words behind it: “254 kg”, “2.1 t”, “42.3 kg/m”, “254”. */
function weightCell(cell: string, mark: DecimalMark | null): { figure: number; words: string } | null {
  const [, figure, words] = /^([-+]?[\d.,\s'\u2019\u00a0\u202f]*\d[.,]?)\s*(\D.*)?$/u.exec(cell.trim()) ?? [];
  if (figure === undefined) return null;
  const read = parseQuantity(written(figure.trim(), 'kg', mark), 'mass', 'metric');
  return read.ok && read.value > 0 ? { figure: read.value, words: (words ?? '').trim() } : null;
}

/** The columns of a sheet as they are read: as its headings and what stands under them settle it, and as a person chose. */
export const columnsOf = (sheet: Sheet, chosen: Choice = {}): Columns => settled(sheet, sheet.columns, chosen).columns;
const settled = (sheet: Sheet, columns: Columns, chosen: Choice) =>
  sheet.heads.length > 0 ? settleColumns(sheet.heads, sheet.cells.slice(sheet.skip), columns, chosen) : { columns, asked: [], notes: [] };

/** The rows a sheet gives, every row that cannot be read with its place, its value and the remedy, and what only a person can say. */
export function rowsOf(sheet: Sheet, picked: Columns | null, system: UnitSystem | null, chosen: Choice = {}): SteelRows {
  const found: SteelRows = { rows: [], faults: [] };
  const seen = new Map<string, string>();
  const { cells, lines, skip } = sheet;
  const settle = picked ? { columns: picked, asked: [], notes: [] } : settled(sheet, sheet.columns, chosen);
  const { columns } = settle;
  const asked: Asked[] = [...settle.asked];
  const notes: string[] = [...settle.notes];
  for (const need of ['mark', 'section', 'length'] as const)
    if (columns[need] === undefined)
      return {
        rows: [],
        faults: [{ from: 'columns', error: `Which column is the ${need}? Choose it above.` }],
        asked: [{ about: need, question: `Which column is the ${need}?` }],
      };
  const mark = chosen.mark ?? decimalMark(sheet, columns);
  const long = askedLength({
    heading: sheet.heads[columns.length ?? -1] ?? '',
    said: sheet.units.length,
    system,
    chosen: chosen.length,
    bare: bareLengths(sheet, columns, mark).map(({ row, value }) => ({ value, section: cells[row + skip]?.[columns.section ?? -1] ?? '' })),
  });
  if (long.asked) asked.push(long.asked);
  const weights: (WrittenWeight & { row: SteelRow; words: string })[] = [];
  cells.slice(skip).forEach((row, i) => {
    const from = `row ${lines[i + skip] ?? i + skip + 1}`;
    const text = (field: TableField) => (columns[field] === undefined ? '' : (row[columns[field]] ?? ''));
    const wrong = (error: string) => void found.faults.push({ from, error });
    const name = text('mark');
    if (name === '') return wrong('There is no mark: give the piece one or leave the row out.');
    const before = seen.get(name);
    if (before) return wrong(`${name} is already on ${before}: give each mark one row and a count.`);
    if (text('section') === '') return wrong(`${name} has no section.`);
    const read = parseQuantity(written(text('length'), long.unit, mark), 'length', system ?? 'metric');
    if (!read.ok) return wrong(`length “${text('length')}”: ${read.reason}`);
    const length = read.value;
    if (!(length > 0)) return wrong(`length “${text('length')}” is not more than nothing.`);
    if (!long.asked && (length > LONGEST || length < SHORTEST))
      return wrong(
        `${name} would be ${formatQuantity(length, 'length', system ?? 'metric')} long: choose the unit of the lengths, or how decimals are written, above.`,
      );
    const mass = text('mass') === '' ? null : weightCell(text('mass'), mark);
    if (text('mass') !== '' && mass === null) return wrong(`mass “${text('mass')}” of ${name} is not a weight: write 940 kg, 0.94 t or 2070 lb.`);
    const count = text('count') === '' ? 1 : wholeCount(text('count'));
    if (count === null) return wrong(`count “${text('count')}” of ${name} is not a whole number of pieces.`);
    const order = text('order') === '' ? null : Number(text('order'));
    if (order !== null && (!Number.isInteger(order) || order < 0)) return wrong(`order “${text('order')}” of ${name} is not a whole number.`);
    seen.set(name, from);
    const made: SteelRow = { from, mark: name, section: text('section'), length, grade: text('grade'), count, mass: null, order, place: text('place') };
    found.rows.push(made);
    if (mass) weights.push({ ...mass, mark: name, section: made.section, length, count, row: made });
  });
  weigh();
  tellUnread();
  if (found.rows.length === 0 && found.faults.length === 0)
    found.faults.push({ from: 'the file', error: 'There are no rows in it. Paste the table with its rows.' });
  if (asked.length > 0) found.asked = asked;
  if (notes.length > 0) found.notes = [...(found.notes ?? []), ...notes.map((error) => ({ from: 'columns', error }))];
  return found;

  /** Bare figures as their column is read; a figure with a unit of its own by that unit. A weight hangs on the length and the count while it is of more than one piece or of a metre. */
  function weigh(): void {
    const heading = [sheet.heads[columns.mass ?? -1] ?? '', sheet.below[columns.mass ?? -1] ?? ''].filter((one) => one !== '').join(' ');
    const bare = weights.filter((one) => one.words === '');
    const read = bare.length > 0 ? readWeights(heading, bare, chosen) : null;
    if (read?.note) notes.push(read.note);
    if (read?.asked) asked.push(read.asked);
    if (read?.reading) for (const one of bare) one.row.mass = massOf(one, read.reading);
    const strange: string[] = [];
    const open = new Map<string, { marks: string[]; asked: Asked }>();
    for (const one of weights.filter((each) => each.words !== '')) {
      const own = weightWords(one.words);
      if (own.units === null) {
        strange.push(`${one.mark}: ${one.figure} ${one.words}`);
        continue;
      }
      const own1 = readWeights(own.per === null ? `${heading.replace(/[([].*$/, '')} (${one.words})` : one.words, [one], ownChoice(chosen, own.units));
      if (own1.reading) one.row.mass = massOf(one, own1.reading);
      else if (own1.asked) {
        const kept = open.get(one.words) ?? { marks: [], asked: own1.asked };
        kept.marks.push(one.mark);
        open.set(one.words, kept);
      }
    }
    for (const { marks, asked: question } of open.values()) asked.push({ ...question, marks });
    if (strange.length > 0)
      asked.push({ about: 'mass', question: `In which unit are these weights: ${strange.slice(0, 5).join(', ')}? Write kg, t or lb behind each.` });
    const hangs = asked.some(({ about }) => about === 'length' || about === 'count');
    if (hangs) for (const { row } of weights) row.mass = null;
    if (hangs && weights.length > 0 && !asked.some(({ about }) => about === 'mass'))
      asked.push({ about: 'mass', question: 'The weights are read when the question above is answered.' });
  }

  /** Figures under a heading nobody here can read may be what was not found. */
  function tellUnread(): void {
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
  }
}

/** What a person chose for the column holds for a cell too when the cell’s own unit leaves it open. */
const ownChoice = (chosen: Choice, units: readonly string[]): Choice => ({
  ...(chosen.per ? { per: chosen.per } : {}),
  ...(chosen.mass !== undefined && units.includes(chosen.mass) && units.length > 1 ? { mass: chosen.mass } : {}),
});
