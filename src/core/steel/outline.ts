import type { ProfileMeasures } from './by-measures';

export interface Point {
  x: number;
  y: number;
}

/** Of one size: within a thousandth of it. */
const SAME = 1e-3;

/** Over all, upright by across; null for what encloses nothing. */
export function sizeOf(outline: readonly Point[]): { depth: number; width: number; left: number; bottom: number } | null {
  if (outline.length < 3) return null;
  const range = (of: (point: Point) => number) =>
    outline.reduce(([least, most], one) => [Math.min(least, of(one)), Math.max(most, of(one))] as [number, number], [Infinity, -Infinity] as [number, number]);
  const [[left, right], [bottom, top]] = [range(({ x }) => x), range(({ y }) => y)];
  const [width, depth] = [right - left, top - bottom];
  return depth > 0 && width > 0 && Number.isFinite(depth * width) ? { depth, width, left, bottom } : null;
}

const areaOf = (outline: readonly Point[]): number =>
  Math.abs(outline.reduce((sum, { x, y }, i) => sum + x * outline[(i + 1) % outline.length]!.y - y * outline[(i + 1) % outline.length]!.x, 0)) / 2;

/** Where a line square to an axis crosses the outline, in rising order. */
function crossings(outline: readonly Point[], along: 'x' | 'y', at: number): number[] {
  const across = along === 'x' ? 'y' : 'x';
  return outline
    .flatMap((a, i) => {
      const b = outline[(i + 1) % outline.length]!;
      return a[across] <= at !== b[across] <= at ? [a[along] + ((at - a[across]) / (b[across] - a[across])) * (b[along] - a[along])] : [];
    })
    .sort((one, other) => one - other);
}

/** An outline standing upright: webs are looked for across its middle, flanges between web and toe. */
function upright(outline: readonly Point[]): ProfileMeasures | null {
  const size = sizeOf(outline);
  if (!size) return null;
  const { depth, width, left, bottom } = size;
  const web = crossings(outline, 'x', bottom + depth / 2);
  const [from = 0, to = 0] = web;
  if (web.length !== 2 || !(to - from < width / 2)) return null;
  const wall = to - from;
  const middle = Math.abs((from + to) / 2 - left - width / 2) < 0.05 * width;
  const atLeft = from - left < SAME * width;
  if (!middle && !atLeft && !(left + width - to < SAME * width)) return null;
  const flanges = crossings(outline, 'y', middle ? left + width / 4 : left + width / 2);
  const [a = 0, b = 0, c = 0, d = 0] = flanges;
  const edge = (at: number) => Math.min(Math.abs(at - bottom), Math.abs(at - bottom - depth)) < SAME * depth;
  // Roots and toes are rounded; more than that off, and it is something else.
  const like = (area: number) => Math.abs(areaOf(outline) / area - 1) < 0.12;
  if (flanges.length === 2 && !middle)
    return (edge(a) || edge(b)) && like(depth * wall + (width - wall) * (b - a)) ? { kind: 'L', depth, width, wall, flange: b - a } : null;
  if (flanges.length !== 4 || !edge(a) || !edge(d) || !like(width * (b - a + d - c) + wall * (c - b))) return null;
  // A girder of unlike flanges is no rolled section.
  return Math.abs(b - a - (d - c)) > 0.02 * (b - a) ? null : { kind: middle ? 'I' : 'U', depth, width, wall, flange: b - a };
}

/** What rolled shape an outline without a name is of, lying or standing; null when it is none of those told here. */
export function outlineMeasures(outline: readonly Point[], holes: readonly (readonly Point[])[] = []): ProfileMeasures | null {
  const size = sizeOf(outline);
  if (!size) return null;
  const full = areaOf(outline) / (size.depth * size.width);
  const [depth, width] = [Math.max(size.depth, size.width), Math.min(size.depth, size.width)];
  if (holes.length === 1) {
    const hole = sizeOf(holes[0] ?? []);
    // Rounded corners take off little; a round one takes off a fifth.
    if (!hole || full < 0.88) return null;
    const [across, up] = [(size.width - hole.width) / 2, (size.depth - hole.depth) / 2];
    return across > 0 && Math.abs(across - up) < 0.02 * across ? { kind: 'box', depth, width, wall: across, flange: null } : null;
  }
  if (holes.length > 0) return null;
  if (full > 1 - SAME) return { kind: 'rectangle', depth, width, wall: null, flange: null };
  return upright(outline) ?? upright(outline.map(({ x, y }) => ({ x: y, y: x })));
}
