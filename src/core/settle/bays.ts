import { keepOne } from '../document/keep';
import { placeOf, pointAt, type Placed, type Point } from '../document/place';
import type { Plan } from '../document/schema';

/** Where a piece stands along the structure: between two rows of supports and columns, on one of them, or over one. */
export interface Bay {
  id: string;
  mark: string;
}

/** A row of supports and columns across the structure. */
interface Row {
  /** along the structure, of the first and the last on it [m] */
  from: number;
  to: number;
  names: string[];
}

/** No wider than this is a row: two bearings on one pier, columns set a little aside [m]. */
const WIDE = 1.5;
/** A piece is along the structure where its ends are further apart than this [m]. */
const ALONG = 1.5;
/** With its middle less than this off a row a piece is on it, or over it [m]. */
const ON = 0.5;

/**
 * The bays of a structure, by the id of the piece. Its long side is that of the two directions most of its steel lies in, along which it
 * is longer. With fewer than three rows there is one bay at most, and nothing to tell apart.
 */
export const baysOf = ({ structure }: Pick<Plan, 'structure'>): ReadonlyMap<string, Bay> =>
  keepOne('bays', [structure.pieces, structure.supports], () => {
    const places = new Map(
      structure.pieces.flatMap((beam): [string, Placed][] => {
        const place = placeOf(beam);
        return place ? [[beam.id, place]] : [];
      }),
    );
    const along = longSide([...places.values()]);
    const rows = rowsOf(
      structure.supports.flatMap(({ name, seats }) => {
        const on = seats.flatMap(({ piece, at }) => (places.has(piece) ? [along(pointAt(places.get(piece)!, at))] : []));
        return on.length > 0 ? [{ at: on.reduce((sum, one) => sum + one, 0) / on.length, name }] : [];
      }),
      [...places.values()].flatMap((place) => (place.upright ? [along(place.from)] : [])),
    );
    const bays = new Map<string, Bay>();
    if (rows.length < 3) return bays;
    for (const [id, place] of places) {
      const [from, to] = [along(place.from), along(place.to)];
      bays.set(id, bayAt(rows, (from + to) / 2, Math.abs(to - from) > ALONG));
    }
    return bays;
  });

/** How far along the structure a point is. */
function longSide(places: readonly Placed[]): (point: Pick<Point, 'x' | 'y'>) => number {
  // Directions a quarter of a turn apart are one: of four times their angle the mean tells it.
  let [x, y] = [0, 0];
  for (const { along, length, upright } of places) {
    const angle = 4 * Math.atan2(along.y, along.x);
    if (upright) continue;
    x += length * Math.cos(angle);
    y += length * Math.sin(angle);
  }
  const angle = Math.atan2(y, x) / 4;
  const by = (turn: number) => (point: Pick<Point, 'x' | 'y'>) => point.x * Math.cos(angle + turn) + point.y * Math.sin(angle + turn);
  const long = (of: ReturnType<typeof by>) => {
    const all = places.flatMap(({ from, to }) => [of(from), of(to)]);
    return Math.max(...all) - Math.min(...all);
  };
  const [one, other] = [by(0), by(Math.PI / 2)];
  return long(other) > long(one) ? other : one;
}

/** Supports and columns row by row; a row takes its names from its supports. */
function rowsOf(supports: readonly { at: number; name: string }[], columns: readonly number[]): Row[] {
  const rows: Row[] = [];
  for (const { at, name } of [...supports, ...columns.map((one) => ({ at: one, name: '' }))].sort((a, b) => a.at - b.at)) {
    const last = rows.at(-1);
    if (last && at - last.from <= WIDE) {
      last.to = at;
      if (name) last.names.push(name);
    } else rows.push({ from: at, to: at, names: name ? [name] : [] });
  }
  return rows;
}

function bayAt(rows: readonly Row[], middle: number, along: boolean): Bay {
  const name = (n: number) => nameOf(rows[n]!) || `row ${n + 1}`;
  const on = rows.findIndex(({ from, to }) => middle > from - ON && middle < to + ON);
  // As much of it lies to one side of the row as to the other.
  if (on >= 0) return along ? { id: `over ${on}`, mark: `over ${name(on)}` } : { id: `row ${on}`, mark: name(on) };
  const after = rows.findIndex(({ from, to }) => middle < (from + to) / 2);
  if (after === 0) return { id: 'before', mark: `before ${name(0)}` };
  if (after < 0) return { id: 'past', mark: `past ${name(rows.length - 1)}` };
  return { id: `bay ${after}`, mark: `${name(after - 1)} – ${name(after)}` };
}

/** What the supports of a row have in common in their names, up to a comma: “Pier 1, line 1” and “Pier 1, line 2” stand at Pier 1. */
function nameOf({ names }: Row): string {
  const [first = '', ...others] = names;
  let alike = first.length;
  for (const other of others) while (!other.startsWith(first.slice(0, alike))) alike -= 1;
  return first
    .slice(0, alike)
    .split(',')[0]!
    .replace(/[^\p{L}\p{N}]+$/u, '')
    .trim();
}
