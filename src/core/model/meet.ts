import { dot3, minus, norm3, plus, segmentDistance, unit3, type Vec3 } from '../geometry/space';

/** A piece of a model: its axis and the box round it. */
export interface ModelPiece {
  id: string;
  /** as it is named to people */
  mark: string;
  from: Vec3;
  to: Vec3;
  /** square to the axis and to each other */
  sides: readonly [Vec3, Vec3];
  /** half of the box along each side, and how far its middle lies off the axis [m] */
  half: readonly [number, number];
  off: readonly [number, number];
}

export type MeetingKind = 'splice' | 'onWeb' | 'onColumn' | 'other';

/** An end of `a` meets `b`. */
export interface Meeting {
  a: string;
  b: string;
  kind: MeetingKind;
  /** said by the model, not found */
  declared: boolean;
  /** which end of a: 0 the first, 1 the second */
  end: 0 | 1;
  /** along each from its first end [m] */
  atA: number;
  atB: number;
  why: string;
}

export interface FoundFoot {
  piece: string;
  end: 0 | 1;
  /** from the first end [m] */
  at: number;
  kind: 'foot' | 'bearing';
  why: string;
}

export interface Met {
  joints: Meeting[];
  supports: FoundFoot[];
  /** what nobody can find out from the model alone */
  asked: { question: string; pieces: string[] }[];
}

/** An end reaches what its own line meets within this [m]. */
const REACH = 0.06;
/** Two that are declared to meet and are further apart than this are asked about [m]. */
const FAR = 0.5;
/** Steeper than this a piece is a column; flatter than that a beam [sine of its slope]. */
const STEEP = Math.sin((70 * Math.PI) / 180);
const FLAT = Math.sin((20 * Math.PI) / 180);
/** In one line within 15°, square to each other from 60° on. */
const IN_LINE = Math.cos((15 * Math.PI) / 180);
const SQUARE = Math.cos((60 * Math.PI) / 180);
/** Feet lower than each other by no more than this stand on one floor [m]. */
const ONE_FLOOR = 1;
/** Ends of beams at one height within this [m]. */
const LEVEL = 0.15;

interface Bar extends ModelPiece {
  u: Vec3;
  length: number;
  steep: boolean;
}

interface End {
  bar: Bar;
  end: 0 | 1;
  at: Vec3;
  /** away from the piece */
  out: Vec3;
}

const millimetres = (length: number): string => `${Math.round(length * 1000)} mm`;

/** What meets what, and what stands on the ground: declared first, then by where the ends reach. */
export function meet(pieces: readonly ModelPiece[], declared: readonly (readonly [string, string])[]): Met {
  const bars = pieces.map((one): Bar => {
    const way = minus(one.to, one.from);
    const length = norm3(way);
    return { ...one, u: unit3(way), length, steep: Math.abs(way.z) / length > STEEP };
  });
  const byId = new Map(bars.map((one) => [one.id, one]));
  const ends = bars.flatMap((bar): End[] => [
    { bar, end: 0, at: bar.from, out: plus({ x: 0, y: 0, z: 0 }, bar.u, -1) },
    { bar, end: 1, at: bar.to, out: bar.u },
  ]);
  const joints: Meeting[] = [];
  const asked: Met['asked'] = [];
  const taken = new Set<string>();
  const pairs = new Set<string>();
  const key = (end: End): string => `${end.bar.id} ${end.end}`;
  const pairOf = (a: string, b: string): string => [a, b].sort().join(' ');
  const join = (end: End, other: Bar, isDeclared: boolean, why: string): void => {
    taken.add(key(end));
    pairs.add(pairOf(end.bar.id, other.id));
    const kind = kindOf(end, other);
    const atB = Math.min(other.length, Math.max(0, dot3(minus(end.at, other.from), other.u)));
    const ridge = isRidge(end, other) ? '; both rise or fall to it alike, as rafters to a ridge' : '';
    joints.push({ a: end.bar.id, b: other.id, kind, declared: isDeclared, end: end.end, atA: end.end === 0 ? 0 : end.bar.length, atB, why: `${why}${ridge}` });
  };

  const said = new Set<string>();
  for (const [one, two] of declared) {
    const [a, b] = [byId.get(one), byId.get(two)];
    if (!a || !b || a === b || said.has(pairOf(one, two))) continue;
    said.add(pairOf(one, two));
    const apart = gapOf(a, b);
    if (apart > FAR) {
      asked.push({ question: `The model says that ${a.mark} and ${b.mark} meet, and they are ${apart.toFixed(2)} m apart: do they?`, pieces: [one, two] });
      continue;
    }
    const nearest = nearestEnd(a, b);
    join(nearest.end, nearest.other, true, `the model says so; ${millimetres(nearest.gap)} from its end to the other’s outline`);
  }

  const nearby = new Nearby(bars);
  // Beams first: where one ends at the head of a column, the column carries it, and has not met it otherwise before.
  for (const end of [...ends.filter(({ bar }) => !bar.steep), ...ends.filter(({ bar }) => bar.steep)]) {
    if (taken.has(key(end))) continue;
    const found = [...nearby.round(end.at)]
      .filter((other) => other !== end.bar)
      .flatMap((other) => {
        const gap = reachOf(end, other);
        return gap === null || isTwin(end, other) ? [] : [{ other, gap, rank: rankOf(end, other) }];
      })
      // A column goes on in a column; else the nearest, and of those equally near a column before a beam before what runs on in line.
      .sort((a, b) => Number(b.rank < 0) - Number(a.rank < 0) || Math.round((a.gap - b.gap) * 1000) || a.rank - b.rank || (a.other.id < b.other.id ? -1 : 1));
    const [first] = found;
    if (!first) continue;
    if (pairs.has(pairOf(end.bar.id, first.other.id)) && joints.some((one) => samePlace(one, end, first.other))) {
      taken.add(key(end));
      continue;
    }
    join(
      end,
      first.other,
      false,
      first.gap < 5e-4 ? 'its end lies at or within the other’s outline' : `its end reaches the other’s outline ${millimetres(first.gap)} along its own line`,
    );
  }
  return { joints, ...feetOf(bars, ends, joints, taken, asked, nearby) };
}

/** Two ends that reach each other are one joint. */
function samePlace({ a, b, atA, atB }: Meeting, { bar, at }: End, other: Bar): boolean {
  if (a === bar.id && b === other.id) return false;
  if (a !== other.id || b !== bar.id) return false;
  const there = plus(other.from, other.u, atA);
  return norm3(minus(there, at)) < 2 * REACH + Math.max(...bar.half, ...other.half) && atB >= 0;
}

/** Bars by where they are seen from above, so that an end looks only at those round it. */
class Nearby {
  private readonly cells = new Map<string, Bar[]>();
  /** so long and askew that they would be in too many cells */
  private readonly long: Bar[] = [];

  constructor(bars: readonly Bar[]) {
    for (const bar of bars) {
      const wide = REACH + Math.hypot(bar.half[0] + Math.abs(bar.off[0]), bar.half[1] + Math.abs(bar.off[1]));
      const span = (a: number, b: number) => [Math.floor((Math.min(a, b) - wide) / CELL), Math.floor((Math.max(a, b) + wide) / CELL)] as const;
      const [x, y] = [span(bar.from.x, bar.to.x), span(bar.from.y, bar.to.y)];
      if ((x[1] - x[0] + 1) * (y[1] - y[0] + 1) > MOST_CELLS) this.long.push(bar);
      else for (let i = x[0]; i <= x[1]; i += 1) for (let j = y[0]; j <= y[1]; j += 1) this.put(`${i} ${j}`, bar);
    }
  }

  private put(cell: string, bar: Bar): void {
    const list = this.cells.get(cell);
    if (list) list.push(bar);
    else this.cells.set(cell, [bar]);
  }

  /** Those over a place, or within a cell of it. */
  round({ x, y }: Vec3, ring = 0): Set<Bar> {
    const [i, j] = [Math.floor(x / CELL), Math.floor(y / CELL)];
    const found = new Set(this.long);
    for (let a = i - ring; a <= i + ring; a += 1)
      for (let b = j - ring; b <= j + ring; b += 1) for (const bar of this.cells.get(`${a} ${b}`) ?? []) found.add(bar);
    return found;
  }
}
const CELL = 3;
const MOST_CELLS = 200;

/** How far along its own line an end is from the outline of a piece, 0 inside it; null: not within reach. */
function reachOf({ at, out }: End, bar: Bar, within = REACH): number | null {
  const from = minus(at, bar.from);
  let [low, high] = [-Infinity, Infinity];
  for (const [axis, least, most] of [
    [bar.u, 0, bar.length],
    [bar.sides[0], bar.off[0] - bar.half[0], bar.off[0] + bar.half[0]],
    [bar.sides[1], bar.off[1] - bar.half[1], bar.off[1] + bar.half[1]],
  ] as const) {
    const start = dot3(from, axis);
    const speed = dot3(out, axis);
    if (Math.abs(speed) < 1e-9) {
      if (start < least - SKIN || start > most + SKIN) return null;
      continue;
    }
    const [a, b] = [(least - start) / speed, (most - start) / speed];
    low = Math.max(low, Math.min(a, b));
    high = Math.min(high, Math.max(a, b));
  }
  if (low > high + SKIN) return null;
  const gap = low <= 0 && high >= 0 ? 0 : Math.min(Math.abs(low), Math.abs(high));
  return gap <= within ? gap : null;
}
/** A line along a face touches it [m]. */
const SKIN = 2e-3;

/** The same piece drawn twice, or two side by side: they begin and run alike and meet nowhere. */
function isTwin({ bar, at, out }: End, other: Bar): boolean {
  if (Math.abs(dot3(bar.u, other.u)) < IN_LINE) return false;
  const nearer = norm3(minus(other.from, at)) < norm3(minus(other.to, at));
  const otherOut = nearer ? plus({ x: 0, y: 0, z: 0 }, other.u, -1) : other.u;
  return dot3(out, otherOut) > 0;
}

/**
 * Two rafters at their ridge: end to end in one upright plane, both going up to it alike, or both down. Steeper ones may as well be the
 * diagonals of a truss, that meet a chord.
 */
function isRidge({ bar, at, out }: End, other: Bar): boolean {
  const far = norm3(minus(other.from, at)) < norm3(minus(other.to, at)) ? -1 : 1;
  const end = far < 0 ? other.from : other.to;
  if (norm3(minus(end, at)) > RIDGE) return false;
  const [one, two] = [Math.asin(out.z), Math.asin(far * other.u.z)];
  const [flat, across] = [Math.hypot(bar.u.x, bar.u.y) * Math.hypot(other.u.x, other.u.y), bar.u.x * other.u.y - bar.u.y * other.u.x];
  return (
    Math.sign(one) === Math.sign(two) &&
    Math.min(Math.abs(one), Math.abs(two)) > LOW &&
    Math.max(Math.abs(one), Math.abs(two)) < HIGH &&
    Math.abs(one - two) < ALIKE &&
    Math.abs(across) < PLANE * flat
  );
}
/** Ends so near are one place [m]. */
const RIDGE = 0.25;
const DEG = Math.PI / 180;
/** Rafters rise between, differ in their slopes by no more than, and lie in one plane within [rad]. */
const [LOW, HIGH, ALIKE, PLANE] = [2 * DEG, 30 * DEG, 10 * DEG, 3 * DEG];

function kindOf(end: End, other: Bar): MeetingKind {
  const { bar, at } = end;
  if (isRidge(end, other)) return 'splice';
  const turn = Math.abs(dot3(bar.u, other.u));
  const along = dot3(minus(at, other.from), other.u);
  const edge = Math.min(along, other.length - along);
  if (turn > IN_LINE) return edge < REACH + 0.1 * Math.min(bar.length, other.length) ? 'splice' : 'other';
  if (other.steep && !bar.steep) return 'onColumn';
  // A beam that comes square to another’s side; a column on a beam, a brace or a corner is neither.
  return !bar.steep && turn < SQUARE && edge > -REACH && Math.abs(bar.u.z) < FLAT && Math.abs(other.u.z) < FLAT ? 'onWeb' : 'other';
}

const ranks: Record<MeetingKind, number> = { onColumn: 0, onWeb: 1, splice: 2, other: 3 };
function rankOf(end: End, other: Bar): number {
  const kind = kindOf(end, other);
  // A column goes on in a column before it carries anything.
  return end.bar.steep && kind === 'splice' ? -1 : ranks[kind];
}

/** Least distance between the outlines, near enough: from axis to axis less what lies round each. */
function gapOf(a: Bar, b: Bar): number {
  const round = ({ half, off }: Bar) => Math.min(half[0] + Math.abs(off[0]), half[1] + Math.abs(off[1]));
  return Math.max(0, segmentDistance(a.from, a.to, b.from, b.to) - round(a) - round(b));
}

/** Of two pieces the end that is nearest to the other. */
function nearestEnd(a: Bar, b: Bar): { end: End; other: Bar; gap: number } {
  const options = (
    [
      [a, b],
      [b, a],
    ] as const
  ).flatMap(([bar, other]) =>
    ([0, 1] as const).map((end) => {
      const at = end === 0 ? bar.from : bar.to;
      const one: End = { bar, end, at, out: end === 0 ? plus({ x: 0, y: 0, z: 0 }, bar.u, -1) : bar.u };
      return { end: one, other, gap: reachOf(one, other) ?? segmentDistance(at, at, other.from, other.to), rank: rankOf(one, other) };
    }),
  );
  return options.sort((one, two) => one.gap - two.gap || one.rank - two.rank)[0]!;
}

/** What stands on the ground: the lowest ends that nothing holds, of each thing that hangs together. */
function feetOf(
  bars: readonly Bar[],
  ends: readonly End[],
  joints: readonly Meeting[],
  taken: ReadonlySet<string>,
  asked: Met['asked'],
  nearby: Nearby,
): Omit<Met, 'joints'> {
  const parent = new Map(bars.map(({ id }) => [id, id]));
  const rootOf = (id: string): string => {
    let at = id;
    while (parent.get(at) !== at) at = parent.get(at)!;
    parent.set(id, at);
    return at;
  };
  for (const { a, b } of joints) parent.set(rootOf(a), rootOf(b));
  const groups = new Map<string, End[]>();
  for (const end of ends) {
    const root = rootOf(end.bar.id);
    groups.set(root, [...(groups.get(root) ?? []), end]);
  }
  const isFree = ({ bar, end }: End) => !taken.has(`${bar.id} ${end}`);
  const isLow = ({ bar, end }: End) => (end === 0 ? bar.from.z <= bar.to.z : bar.to.z < bar.from.z);
  const supports: FoundFoot[] = [];
  const put = ({ bar, end }: End, kind: FoundFoot['kind'], why: string) => supports.push({ piece: bar.id, end, at: end === 0 ? 0 : bar.length, kind, why });
  const standing = ends.filter((end) => end.bar.steep && isLow(end) && isFree(end));
  const ground = Math.min(...standing.map(({ at }) => at.z));
  for (const group of groups.values()) {
    const free = group.filter(isFree);
    const feet = free.filter((end) => end.bar.steep && isLow(end));
    for (const end of feet) {
      const high = end.at.z - ground;
      if (high <= ONE_FLOOR) put(end, 'foot', 'the lower end of a column that nothing else holds');
      else
        asked.push({
          question: `${end.bar.mark} ends ${high.toFixed(2)} m over the lowest foot and reaches nothing: what does it stand on?`,
          pieces: [end.bar.id],
        });
    }
    const rest = free.filter((end) => !feet.includes(end) && !(end.bar.steep && !isLow(end)));
    if (feet.length > 0) {
      for (const end of rest) asked.push({ question: openEnd(end, nearby), pieces: [end.bar.id] });
      continue;
    }
    const lowest = Math.min(...rest.map(({ at }) => at.z));
    for (const end of rest)
      if (end.at.z - lowest <= LEVEL) put(end, 'bearing', 'the lowest end of what hangs together, and nothing holds it');
      else asked.push({ question: openEnd(end, nearby), pieces: [end.bar.id] });
    if (rest.length === 0 && group.length > 0) {
      const names = [...new Set(group.map(({ bar }) => bar.mark))];
      asked.push({
        question: `What do ${names.slice(0, 4).join(', ')}${names.length > 4 ? ' …' : ''} stand on? Every end of them is joined to another.`,
        pieces: [...new Set(group.map(({ bar }) => bar.id))],
      });
    }
  }
  return { supports, asked };
}

/** An end in the air: what is nearest to it, so that somebody can say whether they meet. */
function openEnd(end: End, nearby: Nearby): string {
  const { bar, at } = end;
  const closest = (gaps: (other: Bar) => number | null) =>
    [...nearby.round(at, 1)].reduce<{ mark: string; gap: number } | null>((best, other) => {
      const gap = other === bar ? null : gaps(other);
      return gap !== null && gap < 1 && (best === null || gap < best.gap) ? { mark: other.mark, gap } : best;
    }, null);
  // What lies on its own line before what is beside it.
  const nearest =
    closest((other) => reachOf(end, other, 1)) ?? closest((other) => Math.max(0, segmentDistance(at, at, other.from, other.to) - Math.max(...other.half)));
  const which = `${end.end === 0 ? 'first' : 'second'} end of ${bar.mark}`;
  return nearest
    ? `The ${which} reaches nothing within ${millimetres(REACH)} along its line; ${nearest.mark} is ${millimetres(nearest.gap)} from it. Do they meet?`
    : `What holds the ${which}? Nothing is near it.`;
}
