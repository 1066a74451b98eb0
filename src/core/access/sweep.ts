import { add, angleOf, direction, distance, leftOf, mix, overlap, rectangle, scale, sub, type Vec } from '../geometry/plane';

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
  | { passes: false; poses: SweepPose[]; after: number; share: number; against: string[] };

const STEP = 0.2;
const TURN = 10;
const HEADINGS = 180 / TURN;
/** How far the middle of the piece may be carried beside the line drawn. */
const BESIDE = [-0.25, 0, 0.25];

interface Station {
  at: Vec;
  across: Vec;
  /** index of the leg of the way it is on, and how far along */
  leg: number;
  share: number;
}

function stationsOf(path: readonly Vec[]): Station[] {
  const stations: Station[] = [];
  for (let leg = 0; leg + 1 < path.length; leg += 1) {
    const [from, to] = [path[leg]!, path[leg + 1]!];
    const long = distance(from, to);
    const count = Math.max(1, Math.ceil(long / STEP));
    const across = long > 0 ? leftOf(scale(sub(to, from), 1 / long)) : { x: 0, y: 1 };
    for (let n = leg === 0 ? 0 : 1; n <= count; n += 1) stations.push({ at: mix(from, to, n / count), across, leg, share: n / count });
  }
  return stations;
}

/**
 * A straight piece carried along a way that is drawn, its middle on the line or up to a quarter of a metre beside it, turned as it
 * must be. Poses every 0.2 m and 10°; two are joined when they are neighbours and neither touches anything. What it says passes
 * does pass by these steps; what it says sticks may pass with finer handling, and is worth a look on the floor.
 */
export function sweep({ length, width, path, obstacles }: SweepQuestion): SweepAnswer {
  const stations = stationsOf(path);
  const [first] = stations;
  if (!first) return { passes: true, poses: path.map((at) => ({ at, headingDeg: 0 })) };
  const reach = Math.hypot(length, width) / 2;
  const lanes = BESIDE.length;
  const size = lanes * HEADINGS;
  const placeOf = (s: number, lane: number): Vec => add(stations[s]!.at, scale(stations[s]!.across, BESIDE[lane] ?? 0));
  const boxes = obstacles.map(({ points }) => ({
    low: { x: Math.min(...points.map((p) => p.x)), y: Math.min(...points.map((p) => p.y)) },
    high: { x: Math.max(...points.map((p) => p.x)), y: Math.max(...points.map((p) => p.y)) },
  }));
  const touched = (at: Vec, heading: number): number[] => {
    const piece = rectangle(at, length, width, heading * TURN);
    return obstacles.flatMap(({ points }, i) => {
      const { low, high } = boxes[i]!;
      const far = at.x + reach < low.x || at.x - reach > high.x || at.y + reach < low.y || at.y - reach > high.y;
      return !far && overlap(piece, points) ? [i] : [];
    });
  };
  const free = new Map<number, boolean>();
  const isFree = (s: number, lane: number, heading: number): boolean => {
    const key = s * size + lane * HEADINGS + heading;
    const known = free.get(key);
    if (known !== undefined) return known;
    const answer = touched(placeOf(s, lane), heading).length === 0;
    free.set(key, answer);
    return answer;
  };
  /** How far a pose is from the plain one: along the way and on its line. */
  const natural = stations.map(({ leg }) => {
    const [from, to] = [path[leg]!, path[leg + 1]!];
    return ((Math.round(angleOf(sub(to, from)) / TURN) % HEADINGS) + HEADINGS) % HEADINGS;
  });
  const awkward = (s: number, lane: number, heading: number): number => {
    const turned = Math.abs(heading - natural[s]!);
    return 1 + Math.min(turned, HEADINGS - turned) + (BESIDE[lane] === 0 ? 0 : 2);
  };
  // Dijkstra by buckets: the cost of a pose is a small whole number.
  const cost = new Map<number, number>();
  const before = new Map<number, number>();
  const buckets: number[][] = [];
  const offer = (s: number, lane: number, heading: number, from: number, sofar: number): void => {
    const key = s * size + lane * HEADINGS + heading;
    const now = sofar + awkward(s, lane, heading);
    if (now >= (cost.get(key) ?? Infinity) || !isFree(s, lane, heading)) return;
    cost.set(key, now);
    before.set(key, from);
    (buckets[now] ??= []).push(key);
  };
  for (const lane of BESIDE.keys()) for (let heading = 0; heading < HEADINGS; heading += 1) offer(0, lane, heading, -1, 0);
  let best = -1;
  let furthest = -1;
  for (let now = 0; now < buckets.length && furthest < stations.length - 1; now += 1) {
    for (const key of buckets[now] ?? []) {
      if (cost.get(key) !== now) continue;
      const s = Math.floor(key / size);
      const lane = Math.floor((key % size) / HEADINGS);
      const heading = key % HEADINGS;
      if (s > furthest) {
        furthest = s;
        best = key;
      }
      if (s < stations.length - 1) offer(s + 1, lane, heading, key, now);
      if (s > 0) offer(s - 1, lane, heading, key, now);
      for (const by of [1, HEADINGS - 1]) offer(s, lane, (heading + by) % HEADINGS, key, now);
      for (const other of [lane - 1, lane + 1]) if (other >= 0 && other < lanes) offer(s, other, heading, key, now);
    }
  }
  const poses = trace(best, before, size, (key) => {
    const s = Math.floor(key / size);
    return { s, pose: { at: placeOf(s, Math.floor((key % size) / HEADINGS)), headingDeg: (key % HEADINGS) * TURN } };
  });
  const shown = path.flatMap((_, leg) => {
    const s = leg === 0 ? 0 : stations.findIndex((one) => one.leg === leg - 1 && one.share === 1);
    const pose = poses.get(s);
    return pose ? [pose] : [];
  });
  if (furthest === stations.length - 1) return { passes: true, poses: shown };
  const next = stations[furthest + 1] ?? first;
  const at = furthest + 1 < stations.length ? placeOf(furthest + 1, 1) : first.at;
  const held = poses.get(Math.max(0, furthest));
  const against = [...new Set(touched(at, held ? Math.round(held.headingDeg / TURN) % HEADINGS : natural[0]!).map((i) => obstacles[i]!.name))];
  return { passes: false, poses: shown, after: Math.max(0, next.leg), share: next.share, against };
}

/** The last pose at each station on the way back from `end`. */
function trace(end: number, before: ReadonlyMap<number, number>, size: number, read: (key: number) => { s: number; pose: SweepPose }): Map<number, SweepPose> {
  const poses = new Map<number, SweepPose>();
  for (let key = end; key >= 0 && size > 0; key = before.get(key) ?? -1) {
    const { s, pose } = read(key);
    if (!poses.has(s)) poses.set(s, pose);
  }
  return poses;
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
