import { heldRafters, inverse, springsOfOne, type Hold } from './rafters';
import type { SwayFrame, SwayRafters, SwayRail, SwaySpot, SwayStands } from './sway-frame';

/**
 * Stiffness of a cantilever at its nodes, or of the same column where its foot turns freely. `turns`: heights at which how far it turns
 * counts too; those rows stand after the others.
 */
export function columnStiffness(heights: readonly number[], stiffness: number, fixed: boolean, turns: readonly number[] = []): number[][] {
  const goes = (at: number, z: number) => (Math.min(at, z) ** 2 * (3 * Math.max(at, z) - Math.min(at, z))) / 6;
  /** how far `at` goes when `z` is turned, and how far `z` turns when `at` is pushed */
  const both = (at: number, z: number) => (at <= z ? at ** 2 / 2 : z * (at - z / 2));
  const bends = [
    ...heights.map((at) => [...heights.map((z) => goes(at, z)), ...turns.map((z) => both(at, z))]),
    ...turns.map((at) => [...heights.map((z) => both(z, at)), ...turns.map((z) => Math.min(at, z))]),
  ].map((row) => row.map((value) => value / stiffness));
  const k = inverse(bends);
  if (fixed) return k;
  // As it turns about its foot without bending.
  const leans = [...heights, ...turns.map(() => 1)];
  const moments = k.map((row) => row.reduce((sum, value, j) => sum + value * leans[j]!, 0));
  const all = moments.reduce((sum, value, j) => sum + value * leans[j]!, 0);
  return k.map((row, i) => row.map((value, j) => value - (moments[i]! * moments[j]!) / all));
}

/**
 * Every node of every column has two places in the unknowns, x and y; after those of a column come two for each of its nodes that a rail
 * or rafters keep from turning.
 */
export interface Numbering {
  size: number;
  at: (column: number, node: number) => number;
  turn: (column: number, node: number) => number;
  /** nodes of each column that a rail or rafters are fixed to */
  turned: number[][];
}

/** What a beam that keeps its angle has of a rail and of rafters alike. */
type Between = Pick<SwayRail, 'a' | 'b' | 'keeps'>;

export function numbering({ columns, rails = [], rafters = [] }: SwayFrame): Numbering {
  const turned = columns.map((_, c) => {
    const nodes = [...rails, ...rafters].flatMap(({ a, b, keeps }) => [
      ...(keeps.a && a.column === c ? [a.node] : []),
      ...(keeps.b && b.column === c ? [b.node] : []),
    ]);
    return [...new Set(nodes)].sort((one, other) => one - other);
  });
  const first: number[] = [];
  let size = 0;
  columns.forEach(({ nodes }, c) => {
    first.push(size);
    size += 2 * (nodes.length + turned[c]!.length);
  });
  return {
    size,
    at: (column, node) => first[column]! + 2 * node,
    turn: (column, node) => first[column]! + 2 * (columns[column]!.nodes.length + turned[column]!.indexOf(node)),
    turned,
  };
}

/** A spring between unknowns, as what it stretches by: so much of each. */
export interface Spring {
  terms: { at: number; value: number }[];
  stiffness: number;
}

/** What is less of a movement than this is rounding: it would couple what runs along with what runs across. */
const NOTHING = 1e-12;

const termsOf = (frame: Numbering, spot: SwaySpot, x: number, y: number, sign: number): Spring['terms'] =>
  spot.flatMap(({ column, node, share }) => {
    const at = frame.at(column, node);
    return [
      { at, value: sign * share * x },
      { at: at + 1, value: sign * share * y },
    ].filter(({ value }) => Math.abs(value) > NOTHING);
  });

function along(frame: SwayFrame, a: SwaySpot, b: SwaySpot): { x: number; y: number } {
  const place = (spot: SwaySpot) =>
    spot.reduce((sum, { column, share }) => ({ x: sum.x + share * frame.columns[column]!.x, y: sum.y + share * frame.columns[column]!.y }), { x: 0, y: 0 });
  const [from, to] = [place(a), place(b)];
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  return length < 1e-9 ? { x: 0, y: 0 } : { x: (to.x - from.x) / length, y: (to.y - from.y) / length };
}

export function springsOf(frame: SwayFrame, numbers: Numbering): { ties: Spring[]; braces: Spring[] } {
  return {
    ties: frame.ties.map(({ a, b, stiffness }) => {
      const { x, y } = along(frame, a, b);
      return { terms: [...termsOf(numbers, a, x, y, -1), ...termsOf(numbers, b, x, y, 1)], stiffness };
    }),
    braces: frame.braces.map(({ a, b, towards: { x, y }, stiffness }) => ({
      terms: [...termsOf(numbers, a, x, y, -1), ...(b ? termsOf(numbers, b, x, y, 1) : [])],
      stiffness,
    })),
  };
}

/** Along a rail, seen from above, and how long it is. */
export function railAlong({ columns }: SwayFrame, { a, b }: Between): { x: number; y: number; length: number } {
  const [from, to] = [columns[a.column]!, columns[b.column]!];
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  return { x: (to.x - from.x) / length, y: (to.y - from.y) / length, length };
}

/** How far the node at an end of a rail turns, along the rail. */
export function turnOf(frame: SwayFrame, numbers: Numbering, rail: Between, end: 'a' | 'b'): Spring['terms'] {
  const { x, y } = railAlong(frame, rail);
  const at = numbers.turn(rail[end].column, rail[end].node);
  return [
    { at, value: x },
    { at: at + 1, value: y },
  ];
}

/** What its load hogs each end with while the ends that keep their angle are held from turning. */
export const heldEnds = ({ keeps, ends }: SwayRail): { a: number; b: number } => ({
  a: keeps.a ? ends.a + (keeps.b ? 0 : ends.b / 2) : 0,
  b: keeps.b ? ends.b + (keeps.a ? 0 : ends.a / 2) : 0,
});

/** A rail bent by the turning of its ends: 4EI/L and 2EI/L, or 3EI/L where the other end turns freely. */
export function railSprings(frame: SwayFrame, numbers: Numbering, rail: SwayRail): Spring[] {
  const { length } = railAlong(frame, rail);
  const unit = rail.stiffness / length;
  const terms = (end: 'a' | 'b', sign = 1) => turnOf(frame, numbers, rail, end).map(({ at, value }) => ({ at, value: sign * value }));
  if (rail.keeps.a && rail.keeps.b)
    return [
      { terms: [...terms('a'), ...terms('b')], stiffness: 3 * unit },
      { terms: [...terms('a'), ...terms('b', -1)], stiffness: unit },
    ];
  return rail.keeps.a || rail.keeps.b ? [{ terms: terms(rail.keeps.a ? 'a' : 'b'), stiffness: 3 * unit }] : [];
}

/** What moves at each hold of rafters: their columns towards each other, and their ends up. */
export interface Bent {
  holds: readonly Hold[];
  moves: Spring['terms'][];
  stiffness: number[][];
  held: number[];
}

export function bentOf(frame: SwayFrame, numbers: Numbering, rafters: SwayRafters): Bent {
  const { a, b, keeps } = rafters;
  const holds: Hold[] = ['thrust', ...(keeps.a ? (['a'] as const) : []), ...(keeps.b ? (['b'] as const) : [])];
  const { x, y } = railAlong(frame, rafters);
  const spot = ({ column, node }: SwayRafters['a']): SwaySpot => [{ column, node, share: 1 }];
  const turns = (end: 'a' | 'b', sign: number) => turnOf(frame, numbers, rafters, end).map(({ at, value }) => ({ at, value: sign * value }));
  const moves = holds.map((hold) =>
    hold === 'thrust' ? [...termsOf(numbers, spot(a), x, y, 1), ...termsOf(numbers, spot(b), x, y, -1)] : turns(hold, hold === 'a' ? -1 : 1),
  );
  return { holds, moves, ...heldRafters(rafters, rafters.gives, holds) };
}

export const bentSprings = ({ moves, stiffness }: Bent): Spring[] =>
  springsOfOne(stiffness).map((one) => ({
    stiffness: one.stiffness,
    terms: one.by.flatMap((share, i) => (share === 0 ? [] : moves[i]!.map(({ at, value }) => ({ at, value: share * value })))),
  }));

export function bentForces({ holds, moves, stiffness, held }: Bent, u: ArrayLike<number>): SwayStands['rafters'][number] {
  const moved = moves.map((terms) => stretchOf({ terms, stiffness: 0 }, u));
  const forces = { thrust: 0, a: 0, b: 0 };
  holds.forEach((hold, i) => (forces[hold] = held[i]! + stiffness[i]!.reduce((sum, value, j) => sum + value * moved[j]!, 0)));
  return forces;
}

export const stretchOf = ({ terms }: Spring, u: ArrayLike<number>): number => terms.reduce((sum, { at, value }) => sum + value * u[at]!, 0);

/** What a rail hogs at its ends. */
export function railMoments(frame: SwayFrame, numbers: Numbering, rail: SwayRail, u: ArrayLike<number>): { a: number; b: number } {
  const unit = rail.stiffness / railAlong(frame, rail).length;
  const held = heldEnds(rail);
  const turned = (end: 'a' | 'b') => turnOf(frame, numbers, rail, end).reduce((sum, { at, value }) => sum + value * u[at]!, 0);
  if (rail.keeps.a && rail.keeps.b) {
    const [a, b] = [turned('a'), turned('b')];
    return { a: held.a - unit * (4 * a + 2 * b), b: held.b + unit * (2 * a + 4 * b) };
  }
  return { a: rail.keeps.a ? held.a - 3 * unit * turned('a') : 0, b: rail.keeps.b ? held.b + 3 * unit * turned('b') : 0 };
}
