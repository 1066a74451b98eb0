import Papa from 'papaparse';
import { parseQuantity, type QuantityKind, type UnitSystem } from '../../units';
import type { SteelRow, SteelRows } from './rows';

export const tableFields = ['mark', 'section', 'length', 'count', 'grade', 'mass', 'order', 'place'] as const;
export type TableField = (typeof tableFields)[number];
/** Which column a field is in, from 0; absent when the file has none. */
export type Columns = Partial<Record<TableField, number>>;

export interface Sheet {
  cells: string[][];
  /** the first row names the columns */
  headed: boolean;
  delimiter: string;
  columns: Columns;
  /** unit named in a heading, such as “Length (mm)” */
  units: Partial<Record<TableField, string>>;
}

/** Headings as they are written, in English, German, French and Spanish. A letter may follow no heading: “profile” is not “profiled”. */
const headings: Record<TableField, string> = {
  mark: 'mark|piece ?mark|assembly|part|position|pos|item ?no|tag|id|piece|repere|repère|marke|bauteil|marca',
  section: 'section|profile|profil|perfil|querschnitt|size|shape|member|description|designation|désignation|bezeichnung',
  length: 'length|len|laenge|länge|lg|longueur|longitud',
  count: 'count|qty|quantity|no|nr|number|pcs|pieces|anzahl|stück|stueck|stk|menge|nombre|quantité|quantite|cantidad',
  grade: 'grade|material|steel|quality|werkstoff|güte|nuance|acier|calidad|matériau',
  mass: 'weight|mass|wt|gewicht|masse|poids|peso|unit ?weight',
  order: 'order|sequence|seq|erection|reihenfolge|ordre|orden',
  place: 'place|location|bay|rack|store|lager|lagerplatz|emplacement|lugar',
};
const words = Object.fromEntries(Object.entries(headings).map(([field, list]) => [field, new RegExp(`^(${list})(?![\\p{L}])`, 'iu')])) as Record<
  TableField,
  RegExp
>;

const unitIn = (heading: string): string | null => /[([]\s*([a-z'"]+)\s*[)\]]\s*$/i.exec(heading)?.[1] ?? null;

/** Text of a table, pasted or from a file, to cells; columns are matched by their headings, and a person may match them otherwise. */
export function readSheet(text: string): Sheet {
  const clean = text.replace(/^\ufeff/, '').replace(/^sep=(.)\r?\n/i, '');
  const guess = Papa.parse<string[]>(clean, { skipEmptyLines: 'greedy', delimitersToGuess: ['\t', ';', ',', '|'] });
  // A single column has no delimiter to find; a heading-only guess may be wrong when the first cell has a comma in it.
  const cells = guess.data.map((row) => row.map((cell) => cell.trim()));
  const columns: Columns = {};
  const units: Sheet['units'] = {};
  const first = cells[0] ?? [];
  first.forEach((heading, i) => {
    const name = heading.replace(/[_.]/g, ' ').replace(/\s+/g, ' ').trim();
    const field = tableFields.find((one) => columns[one] === undefined && words[one].test(name));
    if (!field) return;
    columns[field] = i;
    const unit = unitIn(heading);
    if (unit) units[field] = unit;
  });
  const headed = Object.keys(columns).length > 0;
  return { cells, headed, delimiter: guess.meta.delimiter, columns: headed ? columns : { mark: 0, section: 1, length: 2, count: 3 }, units };
}

/** A bare number gets the unit its heading names; in a file parted by semicolons a comma is a decimal. */
function written(cell: string, unit: string | undefined, delimiter: string): string {
  let text = cell;
  if (delimiter === ';' && /^[-+]?[\d.\s]*\d,\d+\s*[a-z'"]*$/i.test(text)) text = text.replace(/[.\s](?=\d{3}\b)/g, '').replace(',', '.');
  return unit && /^[-+]?[\d.,]+$/.test(text) ? `${text} ${unit}` : text;
}

/** The rows a sheet gives, and every row that cannot be read with its place, its value and the remedy. */
export function rowsOf(sheet: Sheet, columns: Columns, system: UnitSystem): SteelRows {
  const found: SteelRows = { rows: [], faults: [] };
  const seen = new Map<string, string>();
  const { cells, headed, delimiter, units } = sheet;
  for (const need of ['mark', 'section', 'length'] as const)
    if (columns[need] === undefined) return { rows: [], faults: [{ from: 'columns', error: `Which column is the ${need}? Choose it above.` }] };
  cells.slice(headed ? 1 : 0).forEach((row, i) => {
    const from = `row ${i + (headed ? 2 : 1)}`;
    const text = (field: TableField) => (columns[field] === undefined ? '' : (row[columns[field]] ?? ''));
    const wrong = (error: string) => void found.faults.push({ from, error });
    const quantity = (field: 'length' | 'mass', kind: QuantityKind): number | null => {
      const read = parseQuantity(written(text(field), units[field], delimiter), kind, system);
      if (!read.ok) wrong(`${field} “${text(field)}”: ${read.reason}`);
      else if (!(read.value > 0)) wrong(`${field} “${text(field)}” is not more than nothing.`);
      else return read.value;
      return null;
    };
    const mark = text('mark');
    if (mark === '') return wrong('There is no mark: give the piece one or leave the row out.');
    const before = seen.get(mark);
    if (before) return wrong(`${mark} is already on ${before}: give each mark one row and a count.`);
    if (text('section') === '') return wrong(`${mark} has no section.`);
    const length = quantity('length', 'length');
    if (length === null) return;
    const mass = text('mass') === '' ? null : quantity('mass', 'mass');
    if (text('mass') !== '' && mass === null) return;
    const count = text('count') === '' ? 1 : Number(text('count'));
    if (!Number.isInteger(count) || count < 1) return wrong(`count “${text('count')}” of ${mark} is not a whole number of pieces.`);
    const order = text('order') === '' ? null : Number(text('order'));
    if (order !== null && (!Number.isInteger(order) || order < 0)) return wrong(`order “${text('order')}” of ${mark} is not a whole number.`);
    seen.set(mark, from);
    const made: SteelRow = { from, mark, section: text('section'), length, grade: text('grade'), count, mass, order, place: text('place') };
    found.rows.push(made);
  });
  if (found.rows.length === 0 && found.faults.length === 0)
    found.faults.push({ from: 'the file', error: 'There are no rows in it. Paste the table with its rows.' });
  return found;
}
