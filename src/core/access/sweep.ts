import { add, angleOf, direction, distance, leftOf, mix, rectangle, scale, sub, type Vec } from '../geometry/plane';

export interface SweepQuestion {
  length: number;
  width: number;
  /** the way, point by point */
  path: readonly Vec[];
  /** convex things that stand in the way */
  obstacles: readonly { name: string; points: readonly Vec[] }[];
}

export interface SweepPose {
  at: Vec;
  headingDeg: number;
}

export type SweepAnswer =
  /** a pose at each point of the way, each reached from the one before without touching anything */
  | { passes: true; poses: SweepPose[] }
  /** the furthest it gets, and what it would run into there */
  | { passes: false; poses: SweepPose[]; after: number; share: number; against: string[] }
  /** the search would take too long, and is not made: why, and the leg of the way it is about */
  | { gaveUp: string; leg: number };

/** No way through a building and its yard is longer than this [m]; past it a point of the way is misplaced. */
const LONGEST_WAY = 400;
/** Looks at a thing in the way before the search is given up: a few tenths of a second. */
const MOST_LOOKS = 12e6;

const STEP = 0.2;
const TURN = 10;
const HEADINGS = 180 / TURN;
/** How far the middle of the piece may be carried beside the line drawn: cutting a corner, it must be. */
const BESIDE = 0.75;

/** A place the middle of the piece may be at, and where that is on the way. */
interface Cell {
  at: Vec;
  column: number;
  row: number;
  /** nearest leg of the way, how far along it, and how far the cell is beside it */
  leg: number;
  share: number;
  beside: number;
}

/** Cells of a grid that lie near the way, by column and row. */
function cellsOf(path: readonly Vec[]): Map<string, Cell> {
  const cells = new Map<string, Cell>();
  const [origin] = path;
  if (!origin) return cells;
  const reach = Math.ceil(BESIDE / STEP) + 1;
  const legs = path.slice(1).map((to, leg) => ({ leg, from: path[leg]!, to, long: distance(path[leg]!, to) }));
  for (const { leg, from, to, long } of legs) {
    const along = long > 0 ? scale(sub(to, from), 1 / long) : { x: 1, y: 0 };
    for (let n = 0; n <= Math.ceil(long / STEP); n += 1) {
      const near = mix(from, to, long > 0 ? Math.min(1, (n * STEP) / long) : 0);
      const [c, r] = [Math.round((near.x - origin.x) / STEP), Math.round((near.y - origin.y) / STEP)];
      for (let column = c - reach; column <= c + reach; column += 1)
        for (let row = r - reach; row <= r + reach; row += 1) {
          const at = { x: origin.x + column * STEP, y: origin.y + row * STEP };
          const off = sub(at, from);
          const share = long > 0 ? Math.min(1, Math.max(0, (off.x * along.x + off.y * along.y) / long)) : 0;
          const beside = distance(at, mix(from, to, share));
          const known = cells.get(`${column} ${row}`);
          if (beside <= BESIDE && (!known || beside < known.beside)) cells.set(`${column} ${row}`, { at, column, row, leg, share, beside });
        }
    }
  }
  return cells;
}

/** A convex thing with its sides’ normals and how far it reaches along each: what a separating-axis test asks again and again. */
interface Solid {
  low: Vec;
  high: Vec;
  points: readonly Vec[];
  axes: { x: number; y: number; from: number; to: number }[];
}

function solidOf(points: readonly Vec[]): Solid {
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  const axes = points.map((p, i) => {
    const { x, y } = leftOf(sub(points[(i + 1) % points.length]!, p));
    const along = points.map((one) => x * one.x + y * one.y);
    return { x, y, from: Math.min(...along), to: Math.max(...along) };
  });
  return { low: { x: Math.min(...xs), y: Math.min(...ys) }, high: { x: Math.max(...xs), y: Math.max(...ys) }, points, axes };
}

/** Whether the piece, its corners about its middle, shares any area with the thing. */
function touches({ low, high, points, axes }: Solid, at: Vec, piece: readonly Vec[], heading: number, reach: number): boolean {
  if (at.x + reach <= low.x || at.x - reach >= high.x || at.y + reach <= low.y || at.y - reach >= high.y) return false;
  for (const { x, y, from, to } of axes) {
    const middle = x * at.x + y * at.y;
    let least = Infinity;
    let most = -Infinity;
    for (const corner of piece) {
      const along = middle + x * corner.x + y * corner.y;
      if (along < least) least = along;
      if (along > most) most = along;
    }
    if (most <= from || least >= to) return false;
  }
  const along = direction(heading * TURN);
  for (const { x, y } of [along, leftOf(along)]) {
    const middle = x * at.x + y * at.y;
    const half = Math.max(...piece.map((corner) => x * corner.x + y * corner.y));
    let least = Infinity;
    let most = -Infinity;
    for (const p of points) {
      const place = x * p.x + y * p.y - middle;
      if (place < least) least = place;
      if (place > most) most = place;
    }
    if (most <= -half || least >= half) return false;
  }
  return true;
}

/**
 * A straight piece carried along a way that is drawn, its middle no more than three quarters of a metre beside the line, turned as
 * it must be. Places every 0.2 m, turns of 10°; two poses are joined when they are neighbours and neither touches anything. What it
 * says passes does pass by these steps; what it says sticks may pass with finer handling, and is worth a look on the floor.
 */
export function sweep({ length, width, path, obstacles }: SweepQuestion): SweepAnswer {
  const legs = path.slice(1).map((to, i) => distance(path[i]!, to));
  const way = legs.reduce((sum, one) => sum + one, 0);
  const longest = legs.indexOf(Math.max(...legs));
  if (!(way <= LONGEST_WAY))
    return {
      gaveUp: `The way is ${way.toFixed(0)} m long, ${legs[longest]?.toFixed(0)} m of it in one leg; a way in is followed up to ${LONGEST_WAY} m. Is a point of it misplaced?`,
      leg: Math.max(0, longest),
    };
  let looks = 0;
  const cells = [...cellsOf(path).values()];
  const [start] = path;
  if (!start || cells.length === 0) return { passes: true, poses: path.map((at) => ({ at, headingDeg: 0 })) };
  const index = new Map(cells.map((cell, i) => [`${cell.column} ${cell.row}`, i]));
  const beside = cells.map(({ column, row }) =>
    [-1, 0, 1]
      .flatMap((c) => [-1, 0, 1].map((r) => (c === 0 && r === 0 ? undefined : index.get(`${column + c} ${row + r}`))))
      .filter((one) => one !== undefined),
  );
  const reach = Math.hypot(length, width) / 2;
  const solids = obstacles.map(({ points }) => solidOf(points));
  const shapes = Array.from({ length: HEADINGS }, (_, heading) => rectangle({ x: 0, y: 0 }, length, width, heading * TURN));
  const free = new Map<number, boolean>();
  const isFree = (cell: number, heading: number): boolean => {
    const key = cell * HEADINGS + heading;
    const known = free.get(key);
    if (known !== undefined) return known;
    looks += solids.length + 1;
    const answer = !solids.some((solid) => touches(solid, cells[cell]!.at, shapes[heading]!, heading, reach));
    free.set(key, answer);
    return answer;
  };
  /** How far a pose is from the plain one: on the line, and along it. */
  const natural = path.slice(1).map((to, leg) => ((Math.round(angleOf(sub(to, path[leg]!)) / TURN) % HEADINGS) + HEADINGS) % HEADINGS);
  const awkward = (cell: number, heading: number): number => {
    const { leg, beside: off } = cells[cell]!;
    const turned = Math.abs(heading - natural[leg]!);
    return 1 + Math.min(turned, HEADINGS - turned) + Math.round(off * 8);
  };
  const closest = (to: Vec): number => cells.reduce((best, cell, i) => (distance(cell.at, to) < distance(cells[best]!.at, to) ? i : best), 0);
  const goal = closest(path[path.length - 1]!);
  // Dijkstra by buckets: the cost of a pose is a small whole number.
  const cost = new Map<number, number>();
  const before = new Map<number, number>();
  const buckets: number[][] = [];
  const offer = (cell: number, heading: number, from: number, sofar: number): void => {
    const key = cell * HEADINGS + heading;
    const now = sofar + awkward(cell, heading);
    if (now >= (cost.get(key) ?? Infinity) || !isFree(cell, heading)) return;
    cost.set(key, now);
    before.set(key, from);
    (buckets[now] ??= []).push(key);
  };
  const along = (cell: number): number => cells[cell]!.leg + cells[cell]!.share;
  const first = closest(start);
  for (let heading = 0; heading < HEADINGS; heading += 1) offer(first, heading, -1, 0);
  let best = -1;
  for (let now = 0; now < buckets.length && looks < MOST_LOOKS && Math.floor(best / HEADINGS) !== goal; now += 1)
    for (const key of buckets[now] ?? []) {
      if (cost.get(key) !== now) continue;
      const cell = Math.floor(key / HEADINGS);
      const heading = key % HEADINGS;
      if (cell === goal || best < 0 || along(cell) > along(Math.floor(best / HEADINGS))) best = key;
      if (cell === goal) break;
      for (const other of beside[cell]!) offer(other, heading, key, now);
      for (const by of [1, HEADINGS - 1]) offer(cell, (heading + by) % HEADINGS, key, now);
    }
  if (looks >= MOST_LOOKS && Math.floor(best / HEADINGS) !== goal)
    return {
      gaveUp: `The way past ${obstacles.length} things over ${way.toFixed(0)} m is too much to search. Draw it shorter, or leave out what does not stand near it.`,
      leg: Math.max(0, longest),
    };
  const trail: { cell: number; heading: number }[] = [];
  for (let key = best; key >= 0; key = before.get(key) ?? -1) trail.unshift({ cell: Math.floor(key / HEADINGS), heading: key % HEADINGS });
  const passes = best >= 0 && Math.floor(best / HEADINGS) === goal;
  const reached = best < 0 ? -1 : along(Math.floor(best / HEADINGS));
  const poses = path.flatMap((point, leg): SweepPose[] => {
    if (!passes && leg > reached) return [];
    const near = trail.reduce<(typeof trail)[number] | null>(
      (one, other) => (one && distance(cells[one.cell]!.at, point) <= distance(cells[other.cell]!.at, point) ? one : other),
      null,
    );
    return near ? [{ at: cells[near.cell]!.at, headingDeg: near.heading * TURN }] : [];
  });
  if (passes) return { passes: true, poses };
  const last = trail[trail.length - 1];
  if (last) poses.push({ at: cells[last.cell]!.at, headingDeg: last.heading * TURN });
  const leg = Math.max(0, Math.min(path.length - 2, Math.floor(reached)));
  // What it would touch a step further on, turned any way it could turn from where it is.
  const ahead = last ? beside[last.cell]!.filter((cell) => along(cell) > reached) : [first];
  const hit = ahead.flatMap((cell) =>
    [-1, 0, 1].flatMap((by) => {
      const heading = ((last?.heading ?? natural[0]!) + by + HEADINGS) % HEADINGS;
      return obstacles.flatMap(({ name }, i) => (touches(solids[i]!, cells[cell]!.at, shapes[heading]!, heading, reach) ? [name] : []));
    }),
  );
  return { passes: false, poses, after: leg, share: Math.max(0, reached - leg), against: [...new Set(hit)] };
}

/** A wall with a hole in it where the way goes through: what is left standing on both sides. */
export function withHole(centre: Vec, length: number, width: number, azimuthDeg: number, hole: { at: Vec; width: number }): Vec[][] {
  const along = direction(azimuthDeg);
  const off = sub(hole.at, centre);
  const x = off.x * along.x + off.y * along.y;
  const y = Math.abs(off.x * -along.y + off.y * along.x);
  if (Math.abs(x) > length / 2 || y > width / 2 + 0.3) return [rectangle(centre, length, width, azimuthDeg)];
  const parts = [
    [-length / 2, x - hole.width / 2],
    [x + hole.width / 2, length / 2],
  ] as const;
  return parts.filter(([a, b]) => b - a > 1e-6).map(([a, b]) => rectangle(add(centre, scale(along, (a + b) / 2)), b - a, width, azimuthDeg));
}
