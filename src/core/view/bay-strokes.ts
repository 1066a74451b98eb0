import type { Plan } from '../document/schema';

/** A small picture of the steel, each piece one stroke: lines to draw in a box of that size. */
export interface BayStrokes {
  wide: number;
  high: number;
  /** by the id of what the moves of a run sheet belong to: a piece, or a launch with all its pieces */
  strokes: ReadonlyMap<string, string>;
}

/** What lies further back is drawn so much to the right of it and above it. */
const BACK = { right: 0.45, up: 0.3 };
/** What is low and long is drawn higher than it is, no more than so many times. */
const STEEPER = 4;
const EDGE = 2;

type Flat = { u: number; v: number };

/** Seen along its shorter side and a little from above, so that lines one behind the other are told apart. */
export function bayStrokes({ structure, launches = [] }: Pick<Plan, 'structure' | 'launches'>, wide: number, high: number): BayStrokes {
  const placed = structure.pieces.flatMap(({ id, from, to }) => (from && to ? [{ id, from, to }] : []));
  const strokes = new Map<string, string>();
  if (placed.length === 0) return { wide, high, strokes };
  const ends = placed.flatMap(({ from, to }) => [from, to]);
  const across = (of: 'x' | 'y') => Math.max(...ends.map((one) => one[of])) - Math.min(...ends.map((one) => one[of]));
  const [long, deep] = across('x') >= across('y') ? (['x', 'y'] as const) : (['y', 'x'] as const);
  // Looking along y from the front, what is further away has the larger y; along x, seen from its far side, the smaller x.
  const away = deep === 'y' ? 1 : -1;
  const flat = (one: { x: number; y: number; z: number }): Flat => ({ u: one[long] + BACK.right * away * one[deep], v: one.z + BACK.up * away * one[deep] });
  const all = ends.map(flat);
  const range = (values: number[]) => ({ least: Math.min(...values), span: Math.max(...values) - Math.min(...values) });
  const [level, up] = [range(all.map(({ u }) => u)), range(all.map(({ v }) => v))];
  const room = { u: wide - 2 * EDGE, v: high - 2 * EDGE };
  const fits = (span: number, has: number) => (span > 0 ? has / span : Infinity);
  const scale = Math.min(fits(level.span, room.u), fits(up.span, room.v));
  const steep = Math.min(fits(up.span, room.v), STEEPER * scale);
  // What has no width, or no height, lies in the middle.
  const middle = (span: number, has: number, by: number) => (span > 0 ? (has - span * by) / 2 : has / 2);
  const margin = { u: middle(level.span, room.u, scale), v: middle(up.span, room.v, steep) };
  const at = (one: { x: number; y: number; z: number }): string => {
    const { u, v } = flat(one);
    const x = EDGE + margin.u + (level.span > 0 ? (u - level.least) * scale : 0);
    const y = high - EDGE - margin.v - (up.span > 0 ? (v - up.least) * steep : 0);
    return `${x.toFixed(1)} ${y.toFixed(1)}`;
  };
  for (const { id, from, to } of placed) strokes.set(id, `M${at(from)}L${at(to)}`);
  for (const { id, pieces } of launches) strokes.set(id, pieces.map(({ piece }) => strokes.get(piece) ?? '').join(''));
  return { wide, high, strokes };
}
