import Papa from 'papaparse';
import type { RowFault, SteelRow } from '../steel/lists/rows';
import { findSection } from '../steel/sections';
import { cross3, minus, norm3, unit3, type Vec3 } from '../geometry/space';
import { parseQuantity, type UnitSystem } from '../units';
import { meet, type ModelPiece } from './meet';
import type { Placed, PlacedModel } from './placed';

/** A line of the grid: north–south lines have an east, east–west lines a north. */
export interface GridLine {
  name: string;
  at: number;
}
export interface Grid {
  east: readonly GridLine[];
  north: readonly GridLine[];
}

export interface PlacedTable {
  rows: SteelRow[];
  placed: PlacedModel;
  faults: RowFault[];
}

/** What a level in the table is of a beam that lies; of a column it is its end. */
export const levelsOf = ['underside', 'top', 'axis'] as const;
export type LevelOf = (typeof levelsOf)[number];

/** Lines of a grid as people write them: A 0; B 6; C 12.5 */
export function readGrid(text: string, system: UnitSystem): { lines: GridLine[]; faults: string[] } {
  const lines: GridLine[] = [];
  const faults: string[] = [];
  for (const part of text.split(/[;\n]/).map((one) => one.trim())) {
    if (part === '') continue;
    const [, name, at] = /^(\S+?)\s*[=:\s]\s*(\S.*)$/.exec(part) ?? [];
    const read = at === undefined ? null : parseQuantity(at, 'length', system);
    if (!name || !read) faults.push(`“${part}” is no line of a grid: give its name and where it lies, as in A 0; B 6.`);
    else if (!read.ok) faults.push(`Line ${name}: ${read.reason}`);
    else if (lines.some((one) => same(one.name, name))) faults.push(`Line ${name} is given twice.`);
    else lines.push({ name, at: read.value });
  }
  return { lines, faults };
}
const same = (a: string, b: string): boolean => a.toLowerCase() === b.toLowerCase();

type Column = 'mark' | 'section' | 'from' | 'to' | 'level' | 'grade';
const HEADS: Record<Column, RegExp> = {
  mark: /^(mark|piece|no\.?|member)$/i,
  section: /^(section|profile|size|made of)$/i,
  from: /^(from|start|first( end)?)$/i,
  to: /^(to|end|second( end)?)$/i,
  level: /^(levels?|elevation|height|z)$/i,
  grade: /^(grade|steel|material)$/i,
};
const ORDER: readonly Column[] = ['mark', 'section', 'from', 'to', 'level', 'grade'];

/** Shorter than this a piece is none: its two ends were given alike [m]. */
const SHORTEST = 0.05;
/** Pieces of one mark are of one length, within this [m]. */
const ALIKE = 0.002;
/** Half of the box round a piece whose section is in no table [m]. */
const UNKNOWN_HALF = 0.1;
/** Steeper than this it stands: its levels are of its ends [sine of the slope]. */
const STEEP = Math.sin((70 * Math.PI) / 180);
const MOST = 5000;

/** Pieces with their places out of a pasted table: mark, section, from, to, level, grade, by grid references or coordinates. */
export function readPlacedTable(text: string, grid: Grid, levelOf: LevelOf, system: UnitSystem): PlacedTable {
  const { data } = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), { skipEmptyLines: 'greedy', delimitersToGuess: ['\t', ';', '|', ','] });
  const cells = data.map((row) => row.map((cell) => cell.trim()));
  const { columns, first } = columnsIn(cells);
  const faults: RowFault[] = [];
  const pieces: { placed: Placed; model: ModelPiece }[] = [];
  const rows = new Map<string, SteelRow>();
  cells.slice(first, first + MOST).forEach((row, i) => {
    const line = `row ${first + i + 1}`;
    const cell = (column: Column): string => (columns[column] === undefined ? '' : (row[columns[column]] ?? ''));
    const mark = cell('mark');
    if (mark === '') return void faults.push({ from: line, error: 'It has no mark.' });
    const place = placeIn(cell('from'), cell('to'), cell('level'), grid, system);
    if ('error' in place) return void faults.push({ from: `${line}, ${mark}`, error: place.error });
    const length = norm3(minus(place.to, place.from));
    if (length < SHORTEST)
      return void faults.push({ from: `${line}, ${mark}`, error: 'Its two ends are at one place. A column has two levels, as in 0 to 4.2.' });
    const known = rows.get(mark);
    if (known && Math.abs(known.length - length) > ALIKE)
      return void faults.push({
        from: `${line}, ${mark}`,
        error: `It is ${length.toFixed(3)} m long here and ${known.length.toFixed(3)} m above: pieces of one mark are alike. Give one of them another mark.`,
      });
    if (known && cell('section') !== '' && known.section !== cell('section'))
      return void faults.push({ from: `${line}, ${mark}`, error: `It is ${cell('section')} here and ${known.section} above: pieces of one mark are alike.` });
    if (known) known.count += 1;
    else rows.set(mark, { from: line, mark, section: cell('section'), length, grade: cell('grade'), count: 1, mass: null, order: null, place: '' });
    pieces.push(pieceOf(`${i}`, mark, rows.get(mark)!.count, place, rows.get(mark)!.section, levelOf));
  });
  if (cells.length - first > MOST) faults.push({ from: 'the table', error: `It has ${cells.length - first} rows; no more than ${MOST} are read at a time.` });
  const met = meet(
    pieces.map(({ model }) => model),
    [],
  );
  const names = new Map(pieces.map(({ placed }) => [placed.id, placed.name]));
  const named = (id: string): string => names.get(id) ?? id;
  return {
    rows: [...rows.values()],
    faults,
    placed: {
      pieces: pieces.map(({ placed }) => placed),
      left: 0,
      joints: met.joints.map((one) => ({ ...one, a: named(one.a), b: named(one.b) })),
      supports: met.supports.map((one) => ({ ...one, piece: named(one.piece) })),
      asked: met.asked.map((one) => ({ ...one, pieces: one.pieces.map(named) })),
    },
  };
}

/** By their headings; without any in the usual order. */
function columnsIn(cells: readonly string[][]): { columns: Partial<Record<Column, number>>; first: number } {
  const heads = cells[0] ?? [];
  const found: Partial<Record<Column, number>> = {};
  for (const column of ORDER) {
    const at = heads.findIndex((head) => HEADS[column].test(head));
    if (at >= 0) found[column] = at;
  }
  return found.mark !== undefined && found.from !== undefined
    ? { columns: found, first: 1 }
    : { columns: Object.fromEntries(ORDER.map((column, i) => [column, i])), first: 0 };
}

type Place = { from: Vec3; to: Vec3 };

function placeIn(from: string, to: string, level: string, grid: Grid, system: UnitSystem): Place | { error: string } {
  const levels = level === '' ? [] : level.split(/\s+to\s+|\.\.|–|\bbis\b/i).map((one) => parseQuantity(one.trim(), 'length', system));
  const wrong = levels.find((one) => !one.ok);
  if (wrong && !wrong.ok) return { error: `Level “${level}”: ${wrong.reason}` };
  const heights = levels.flatMap((one) => (one.ok ? [one.value] : []));
  if (heights.length > 2) return { error: `Level “${level}” names more than two levels.` };
  const [a, b] = [pointIn(from, grid, system), pointIn(to === '' ? from : to, grid, system)];
  for (const [point, text, end] of [
    [a, from, 'from'],
    [b, to, 'to'],
  ] as const)
    if (typeof point === 'string') return { error: `“${end}” says “${text}”: ${point}` };
  const [p, q] = [a, b] as [Point2, Point2];
  const [low, high] = [p.z ?? heights[0], q.z ?? heights[1] ?? heights[0]];
  if (low === undefined || high === undefined) return { error: 'At what level does it lie? Give one, of a column two: 0 to 4.2.' };
  if (p.z !== undefined && heights[0] !== undefined && Math.abs(p.z - heights[0]) > 1e-6)
    return { error: `Its first end is at level ${p.z} m by its place and at ${heights[0]} m by its level. Which?` };
  return { from: { x: p.x, y: p.y, z: low }, to: { x: q.x, y: q.y, z: high } };
}

type Point2 = { x: number; y: number; z?: number };

/** A grid reference (A/1, A-1, A1, 1A) or coordinates east, north and level if it is said; else what is wrong with it. */
function pointIn(text: string, grid: Grid, system: UnitSystem): Point2 | string {
  if (text === '') return 'nothing. Give a grid reference or coordinates.';
  const bare = text.replace(/[\s/\-,.]+/g, '').toLowerCase();
  const hits = grid.east.flatMap((one) =>
    grid.north.flatMap((other) => {
      const [a, b] = [one.name.toLowerCase(), other.name.toLowerCase()].map((name) => name.replace(/[\s/\-,.]+/g, ''));
      return bare === `${a}${b}` || bare === `${b}${a}` ? [{ x: one.at, y: other.at }] : [];
    }),
  );
  if (hits.length > 1) return 'more than one place of the grid is called so.';
  if (hits[0]) return hits[0];
  const parts = text.split(/\s*[;,]\s+|\s*;\s*|\s+/).filter(Boolean);
  const figures = (parts.length >= 2 ? parts : text.split(',')).map((one) => parseQuantity(one, 'length', system));
  if (figures.length < 2 || figures.length > 3 || figures.some((one) => !one.ok))
    return 'no place of the grid is called so, and it is no east, north and level either.';
  const [x, y, z] = figures.map((one) => (one.ok ? one.value : 0));
  return { x: x!, y: y!, ...(z === undefined ? {} : { z }) };
}

/** The piece with its box: a beam with its flanges level, a column by the broader of its sides both ways. */
function pieceOf(id: string, mark: string, number: number, { from, to }: Place, designation: string, levelOf: LevelOf): { placed: Placed; model: ModelPiece } {
  const section = findSection(designation);
  const depth = section?.depth ?? 2 * UNKNOWN_HALF;
  const width = section?.width ?? 2 * UNKNOWN_HALF;
  const along = unit3(minus(to, from));
  const steep = Math.abs(along.z) > STEEP;
  const rise = steep ? 0 : { underside: depth / 2, top: -depth / 2, axis: 0 }[levelOf];
  const [a, b] = [from, to].map((point) => ({ ...point, z: point.z + rise })) as [Vec3, Vec3];
  const across = steep ? unit3(cross3(along, { x: 1, y: 0, z: 0 })) : unit3(cross3({ x: 0, y: 0, z: 1 }, along));
  const half: [number, number] = steep ? [Math.max(width, depth) / 2, Math.max(width, depth) / 2] : [width / 2, depth / 2];
  const tuple = ({ x, y, z }: Vec3): [number, number, number] => [x, y, z];
  const name = number > 1 ? `${mark} ${number}` : mark;
  return {
    placed: { id, name, mark, from: tuple(a), to: tuple(b), up: steep ? 0 : depth / 2, by: 'axis', differs: 0 },
    model: { id, mark: name, from: a, to: b, sides: [across, unit3(cross3(along, across))], half, off: [0, 0] },
  };
}
