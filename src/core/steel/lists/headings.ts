import { findSection } from '../sections';
import { weightWords } from './weight-words';

export const tableFields = ['mark', 'section', 'length', 'count', 'grade', 'mass', 'order', 'place'] as const;
export type TableField = (typeof tableFields)[number];
/** Which column a field is in, from 0; absent when the file has none. */
export type Columns = Partial<Record<TableField, number>>;
/** Unit of the bare numbers of the lengths, as their heading names it. */
export interface Units {
  length?: string;
}

/** Headings as they are written, in English, German, French, Spanish, Dutch, Italian and Portuguese. A letter may follow no heading: “profile” is not “profiled”. */
const headings: Record<TableField, string> = {
  mark: 'mark|piece ?mark|assembly|merk|marca|part|position|pos|item ?no|tag|id|piece|repere|repère|marke|bauteil',
  section: 'section|profile|profil|profilé|profilo|profiel|perfil|querschnitt|size|shape|member|description|designation|désignation|bezeichnung',
  length: '(cut|piece|overall|net|saw)? ?length|len|laenge|länge|lg|longueur|longitud|lengte|lunghezza|comprimento',
  count: 'count|qty|quantity|no|nr|nb|number|pcs|pieces|anzahl|stück|stueck|stk|menge|nombre|quantité|quantite|cantidad|aantal|quantità|quantidade',
  grade: 'grade|material|steel|quality|werkstoff|güte|nuance|acier|calidad|matériau|kwaliteit|materiaal|materiale',
  mass: '(unit|piece|net|gross|total|single|assembly)? ?(weight|mass|wt)|\\w*gewicht|masse|poids|peso',
  order: 'order|sequence|seq|erection|reihenfolge|ordre|orden',
  place: 'place|location|bay|rack|store|lager|lagerplatz|emplacement|lugar',
};
const words = Object.fromEntries(Object.entries(headings).map(([field, list]) => [field, new RegExp(`^(${list})(?![\\p{L}])`, 'iu')])) as Record<
  TableField,
  RegExp
>;

const lengthWords: Record<string, string> = {
  mm: 'mm',
  millimetres: 'mm',
  millimeters: 'mm',
  cm: 'cm',
  m: 'm',
  metres: 'm',
  meters: 'm',
  mtr: 'm',
  ft: 'ft',
  feet: 'ft',
  "'": 'ft',
  in: 'in',
  ins: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
};

/** A cell that is nothing but a unit. */
function bareUnit(cell: string, field: 'length' | 'mass'): string | null {
  const bare = cell.replace(/[()[\].\s]/g, '');
  if (field === 'length') return lengthWords[bare.toLowerCase()] ?? null;
  return bare !== '' && !/\d/.test(bare) && weightWords(bare).units !== null ? bare : null;
}

/** The unit a heading ends in: “Length (mm)”, “Länge/mm”, “Length in mm”, “Length mm”. A bare “in” at the end is a word, not inches. */
function unitIn(heading: string): string | null {
  const [, mark, unit] = /(\s+in\s+|[\s([/,:_-]+)([a-z#'"]+)\.?\s*[)\]]?\s*$/i.exec(heading) ?? [];
  if (mark === undefined || unit === undefined) return null;
  if (/^in$/i.test(unit) && !/[([/,:]/.test(mark)) return null;
  return lengthWords[unit.toLowerCase()] ?? null;
}

/** What stands where the unit of a length does, and is none known here. */
export function strangeLength(heading: string): string | null {
  if (unitIn(heading.replace(/[_.]/g, ' ').trim()) !== null) return null;
  const [, where] = /[([/]\s*([^)\]]+?)\s*[)\]]?\s*$/.exec(heading) ?? [];
  return where !== undefined && !/^(net|gross|overall|cut|nominal|approx\.?|ca\.?|c\/c|o\/a|each|ea|l)$/i.test(where) ? where : null;
}

/** How far down headings may stand, under the titles a program prints. */
const MOST_TITLES = 20;

export interface Headed {
  columns: Columns;
  units: Units;
  /** rows above the first piece: titles, headings, a row of units */
  skip: number;
  /** the row of headings */
  heads: string[];
  /** the row of units under them; empty when there is none */
  below: string[];
}

/** In a unit of length, and not how long the piece is. */
const otherSize = /^(width|height|depth|thick|web|flange|breite|höhe|dicke|largeur|hauteur|épaisseur|ancho|alto|espesor|hoogte|dikte|total|gesamt)/i;

/** As long as all pieces of the row together. */
const ofAll = /\b(total|gesamt|summe|sum|all)\b/i;

function matched(row: readonly string[]): { columns: Columns; units: Units } {
  const columns: Columns = {};
  const units: Units = {};
  row.forEach((heading, i) => {
    const name = heading.replace(/[_.]/g, ' ').replace(/\s+/g, ' ').trim();
    const field = tableFields.find((one) => columns[one] === undefined && words[one].test(name) && !(one === 'length' && ofAll.test(name)));
    if (!field) return;
    columns[field] = i;
    const unit = field === 'length' ? unitIn(name) : null;
    if (unit) units.length = unit;
  });
  return { columns, units };
}

/** Under headings of which none is known for a length: the only one that is in a unit of length. */
function onlyLength(row: readonly string[], columns: Columns): { at: number; unit: string } | null {
  const found = row.flatMap((heading, at) => {
    const name = heading.trim();
    const unit = Object.values(columns).includes(at) || otherSize.test(name) || /\d/.test(name) ? null : unitIn(name);
    return unit === null ? [] : [{ at, unit }];
  });
  return found.length === 1 ? (found[0] ?? null) : null;
}

/** Feet in one column and inches in the next are one length. */
export function feetAndInches(cells: readonly string[][]): string[][] {
  const named = (cell: string | undefined, word: RegExp) => word.test((cell ?? '').trim());
  const isPair = (row: readonly string[], i: number) =>
    named(row[i], /^(length[\s,(]*)?\(?(feet|ft|foot)\.?\)?$/i) && named(row[i + 1], /^(length[\s,(]*)?\(?(inch(es)?|ins?)\.?\)?$/i);
  for (const [n, row] of cells.slice(0, MOST_TITLES).entries()) {
    const at = row.findIndex((_, i) => isPair(row, i));
    if (at < 0) continue;
    return cells.map((one, i) => {
      const [feet = '', inches = ''] = [one[at], one[at + 1]];
      const both = i < n ? feet : i === n ? 'Length' : feet === '' && inches === '' ? '' : `${feet || 0}' ${inches || 0}"`;
      return [...one.slice(0, at), both, ...one.slice(at + 2)];
    });
  }
  return cells.map((row) => [...row]);
}

/**
 * The row of headings: the first that names two columns or more; or else, above the first listed section, the fullest that names one.
 * Null when there is none.
 */
export function headingsOf(cells: readonly string[][]): Headed | null {
  const top = cells.slice(0, MOST_TITLES);
  const names = (row: readonly string[]) => Object.keys(matched(row).columns).length;
  const filled = (n: number) => (top[n] ?? []).filter((cell) => cell !== '').length;
  const two = top.findIndex((row) => names(row) > 1);
  const piece = top.findIndex((row) => row.some((cell) => findSection(cell) !== undefined));
  const [one = -1] = top
    .slice(0, piece < 0 ? 1 : piece)
    .flatMap((row, n) => (names(row) > 0 ? [n] : []))
    .sort((a, b) => filled(b) - filled(a) || a - b);
  const at = two >= 0 ? two : one;
  const heads = cells[at];
  if (!heads) return null;
  const { columns, units } = matched(heads);
  const length = columns.length === undefined ? onlyLength(heads, columns) : null;
  if (length) {
    columns.length = length.at;
    units.length = length.unit;
  }
  const below = cells[at + 1] ?? [];
  const said = (['length', 'mass'] as const).filter((field) => columns[field] !== undefined && bareUnit(below[columns[field]] ?? '', field) !== null);
  const long = said.includes('length') ? bareUnit(below[columns.length ?? -1] ?? '', 'length') : null;
  return {
    columns,
    units: long === null ? units : { ...units, length: long },
    skip: at + (said.length > 0 ? 2 : 1),
    heads,
    below: said.length > 0 ? below : [],
  };
}
