import { addTo, emptyBand, factorBand, type Band } from '../beams/solve';
import { heldRafters, inverse, springsOfOne, type Gives, type Hold, type Rafters } from './rafters';

/** A place on a column [height above its foot] at which something comes in. */
export interface SwayNode {
  z: number;
  /** downwards, put on here [N] */
  down: number;
}

/** A column from its foot up, its pieces one above the other. */
export interface SwayColumn {
  id: string;
  x: number;
  y: number;
  /** EI about its weaker axis, taken both ways [N·m²] */
  stiffness: number;
  /** EI against leaning along x and along y, where it is known how it stands about its own axis [N·m²] */
  ways?: { x: number; y: number } | null;
  /** whether its foot may hold a moment, where nothing else holds it */
  canStand: boolean;
  /** where on the frame it stands, on a beam, turning freely there: its foot goes where that goes; null: on the ground */
  rides?: SwaySpot | null;
  /** from the lowest up, none at the foot */
  nodes: readonly SwayNode[];
}

/** A place of the frame: one node of a column, or between two of them by their shares. */
export type SwaySpot = readonly { column: number; node: number; share: number }[];

/** A beam that pulls and pushes between two places. */
export interface SwayTie {
  id: string;
  a: SwaySpot;
  b: SwaySpot;
  /** EA/L [N/m] */
  stiffness: number;
}

export interface SwayBrace {
  id: string;
  a: SwaySpot;
  /** null: tied to the ground or to what does not move */
  b: SwaySpot | null;
  /** from a towards b, of length one */
  towards: { x: number; y: number; z: number };
  /** along itself [N/m] */
  stiffness: number;
  /** a rope pulls only */
  pullsOnly: boolean;
}

/** A level beam between two columns of which one or both keep the angle to it. */
export interface SwayRail {
  id: string;
  a: { column: number; node: number };
  b: { column: number; node: number };
  /** EI in its own upright plane [N·m²] */
  stiffness: number;
  /** which end keeps its angle; the other turns freely */
  keeps: { a: boolean; b: boolean };
  /** what its load hogs each end with while both are held from turning [N·m] */
  ends: { a: number; b: number };
}

/** Rafters between two columns: they push them apart, and hold them at an angle where they keep it. */
export interface SwayRafters extends Rafters {
  id: string;
  a: { column: number; node: number };
  b: { column: number; node: number };
  keeps: { a: boolean; b: boolean };
  /** under their load, while both ends turn and move freely */
  gives: Gives;
}

export interface SwayFrame {
  columns: readonly SwayColumn[];
  ties: readonly SwayTie[];
  braces: readonly SwayBrace[];
  rails?: readonly SwayRail[];
  rafters?: readonly SwayRafters[];
}

/** Sideways forces at the nodes of each column [N]. */
export type SwayLoad = readonly (readonly { x: number; y: number }[])[];

/** A column that nothing holds up, and which way. */
export interface Unheld {
  column: number;
  way: 'x' | 'y';
}

export interface SwayStands {
  stable: true;
  /** pull positive [N], by brace */
  braces: number[];
  /** pull positive [N], by tie */
  ties: number[];
  columns: { stands: { x: boolean; y: boolean }; moment: number; moments: { x: number; y: number }; footMoment: number; shear: number }[];
  /** hogging positive [N·m], by rail */
  rails: { a: number; b: number }[];
  /** pressed between its columns [N] and hogged at its ends [N·m], by rafters */
  rafters: { thrust: number; a: number; b: number }[];
  /** the furthest any node goes [m] */
  drift: number;
  /** what the weights may be multiplied by before the frame sways by itself, with the braces that pull now; `PLENTY`: no less than that */
  alpha: number;
}
export type SwayAnswer = { stable: false; why: 'unheld'; unheld: Unheld[] } | { stable: false; why: 'sways'; alpha: number } | SwayStands;

/** At so many times its weights how far a frame leans counts no more (EN 1993-1-1 5.2.1): whether it is more is asked only where it is wanted. */
export const PLENTY = 10;

/** Springs of this share of a column’s own stiffness find out what nothing else holds; they are not in the answer. */
const SOIL = 1e-7;
/** Of the whole load, so much in such a spring means that nothing else holds the node. */
const LEANS = 1e-4;
/** A cantilever sways at π²EI/4L²; straight between foot and top it would seem to at 3EI/L². */
const BOWED = 12 / Math.PI ** 2;

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
 * Every node of every column has two places in the unknowns, x and y, columns beside each other kept together; after those of a column
 * come two for each of its nodes that a rail or rafters keep from turning.
 */
interface Numbering {
  size: number;
  at: (column: number, node: number) => number;
  turn: (column: number, node: number) => number;
  /** nodes of each column that a rail or rafters are fixed to */
  turned: number[][];
}

/** What a beam that keeps its angle has of a rail and of rafters alike. */
type Between = Pick<SwayRail, 'a' | 'b' | 'keeps'>;

function numbering({ columns, rails = [], rafters = [] }: SwayFrame): Numbering {
  const turned = columns.map((_, c) => {
    const nodes = [...rails, ...rafters].flatMap(({ a, b, keeps }) => [
      ...(keeps.a && a.column === c ? [a.node] : []),
      ...(keeps.b && b.column === c ? [b.node] : []),
    ]);
    return [...new Set(nodes)].sort((one, other) => one - other);
  });
  const [xs, ys] = [columns.map(({ x }) => x), columns.map(({ y }) => y)];
  const wide = Math.max(...xs) - Math.min(...xs) >= Math.max(...ys) - Math.min(...ys);
  const order = columns
    .map((_, i) => i)
    .sort((a, b) => (wide ? columns[a]!.x - columns[b]!.x || columns[a]!.y - columns[b]!.y : columns[a]!.y - columns[b]!.y || columns[a]!.x - columns[b]!.x));
  const first = new Array<number>(columns.length);
  let size = 0;
  for (const i of order) {
    first[i] = size;
    size += 2 * (columns[i]!.nodes.length + turned[i]!.length);
  }
  return {
    size,
    at: (column, node) => first[column]! + 2 * node,
    turn: (column, node) => first[column]! + 2 * (columns[column]!.nodes.length + turned[column]!.indexOf(node)),
    turned,
  };
}

/** A spring between unknowns, as what it stretches by: so much of each. */
interface Spring {
  terms: { at: number; value: number }[];
  stiffness: number;
}

const termsOf = (frame: Numbering, spot: SwaySpot, x: number, y: number, sign: number): Spring['terms'] =>
  spot.flatMap(({ column, node, share }) => {
    const at = frame.at(column, node);
    return [
      { at, value: sign * share * x },
      { at: at + 1, value: sign * share * y },
    ];
  });

function along(frame: SwayFrame, a: SwaySpot, b: SwaySpot): { x: number; y: number } {
  const place = (spot: SwaySpot) =>
    spot.reduce((sum, { column, share }) => ({ x: sum.x + share * frame.columns[column]!.x, y: sum.y + share * frame.columns[column]!.y }), { x: 0, y: 0 });
  const [from, to] = [place(a), place(b)];
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  return length < 1e-9 ? { x: 0, y: 0 } : { x: (to.x - from.x) / length, y: (to.y - from.y) / length };
}

function springsOf(frame: SwayFrame, numbers: Numbering): { ties: Spring[]; braces: Spring[] } {
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
function railAlong({ columns }: SwayFrame, { a, b }: Between): { x: number; y: number; length: number } {
  const [from, to] = [columns[a.column]!, columns[b.column]!];
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  return { x: (to.x - from.x) / length, y: (to.y - from.y) / length, length };
}

/** How far the node at an end of a rail turns, along the rail. */
function turnOf(frame: SwayFrame, numbers: Numbering, rail: Between, end: 'a' | 'b'): Spring['terms'] {
  const { x, y } = railAlong(frame, rail);
  const at = numbers.turn(rail[end].column, rail[end].node);
  return [
    { at, value: x },
    { at: at + 1, value: y },
  ];
}

/** What its load hogs each end with while the ends that keep their angle are held from turning. */
const heldEnds = ({ keeps, ends }: SwayRail): { a: number; b: number } => ({
  a: keeps.a ? ends.a + (keeps.b ? 0 : ends.b / 2) : 0,
  b: keeps.b ? ends.b + (keeps.a ? 0 : ends.a / 2) : 0,
});

/** A rail bent by the turning of its ends: 4EI/L and 2EI/L, or 3EI/L where the other end turns freely. */
function railSprings(frame: SwayFrame, numbers: Numbering, rail: SwayRail): Spring[] {
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
interface Bent {
  holds: readonly Hold[];
  moves: Spring['terms'][];
  stiffness: number[][];
  held: number[];
}

function bentOf(frame: SwayFrame, numbers: Numbering, rafters: SwayRafters): Bent {
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

const bentSprings = ({ moves, stiffness }: Bent): Spring[] =>
  springsOfOne(stiffness).map((one) => ({
    stiffness: one.stiffness,
    terms: one.by.flatMap((share, i) => (share === 0 ? [] : moves[i]!.map(({ at, value }) => ({ at, value: share * value })))),
  }));

function bentForces({ holds, moves, stiffness, held }: Bent, u: ArrayLike<number>): SwayStands['rafters'][number] {
  const moved = moves.map((terms) => stretchOf({ terms, stiffness: 0 }, u));
  const forces = { thrust: 0, a: 0, b: 0 };
  holds.forEach((hold, i) => (forces[hold] = held[i]! + stiffness[i]!.reduce((sum, value, j) => sum + value * moved[j]!, 0)));
  return forces;
}

const stretchOf = ({ terms }: Spring, u: ArrayLike<number>): number => terms.reduce((sum, { at, value }) => sum + value * u[at]!, 0);

/** All that a frame’s stiffness is put together from, read once for all winds. */
class Whole {
  readonly numbers: Numbering;
  readonly ties: Spring[];
  readonly braces: Spring[];
  private readonly rails: Spring[];
  readonly bents: readonly Bent[];
  /** columns that ride on beams, bent by how far their nodes go from where their feet go */
  private readonly riding: Spring[];
  /** by column and way: a rail or rafters along that way are fixed to it */
  private readonly railed: boolean[];
  private readonly width: number;
  private readonly blocks = new Map<string, number[][]>();
  /** own stiffness of each unknown, by which a spring that finds mechanisms is measured */
  readonly soil: Float64Array;

  constructor(
    readonly frame: SwayFrame,
    private readonly exact: boolean,
  ) {
    this.numbers = numbering(frame);
    ({ ties: this.ties, braces: this.braces } = springsOf(frame, this.numbers));
    const rails = frame.rails ?? [];
    const rafters = frame.rafters ?? [];
    this.bents = rafters.map((one) => bentOf(frame, this.numbers, one));
    this.rails = [...rails.flatMap((one) => railSprings(frame, this.numbers, one)), ...this.bents.flatMap(bentSprings)];
    this.railed = frame.columns.flatMap((_, c) =>
      (['x', 'y'] as const).map((way) =>
        [...rails, ...rafters].some(
          (one) => Math.abs(railAlong(frame, one)[way]) > 1e-6 && ((one.keeps.a && one.a.column === c) || (one.keeps.b && one.b.column === c)),
        ),
      ),
    );
    this.riding = frame.columns.flatMap(({ rides = null }, c) => (rides ? ([0, 1] as const).flatMap((way) => this.ridingSprings(c, way)) : []));
    const reach = ({ terms }: Spring) => (terms.length === 0 ? 0 : Math.max(...terms.map(({ at }) => at)) - Math.min(...terms.map(({ at }) => at)));
    this.width = Math.max(
      1,
      ...frame.columns.map(({ nodes }, c) => 2 * (nodes.length + this.numbers.turned[c]!.length - 1)),
      ...[...this.ties, ...this.braces, ...this.rails, ...this.riding].map(reach),
      // What the weights of a column that rides take from its foot couples its lowest node with those it rides on.
      ...frame.columns.map(({ rides = null }, c) => (rides ? reach({ terms: this.fromFoot(c, 0, 0), stiffness: 0 }) : 0)),
    );
    this.soil = new Float64Array(this.numbers.size);
    frame.columns.forEach(({ nodes, stiffness }, c) =>
      nodes.forEach(({ z }, n) => {
        const k = (SOIL * 3 * stiffness) / z ** 3;
        this.soil[this.numbers.at(c, n)] = k;
        this.soil[this.numbers.at(c, n) + 1] = k;
        if (!this.numbers.turned[c]!.includes(n)) return;
        const turns = (SOIL * stiffness) / z;
        this.soil[this.numbers.turn(c, n)] = turns;
        this.soil[this.numbers.turn(c, n) + 1] = turns;
      }),
    );
  }

  /** The unknowns of a column one way: how far its nodes go, then how far those turn that a rail is fixed to. */
  unknowns(column: number, way: 0 | 1): number[] {
    const { numbers, frame } = this;
    return [...frame.columns[column]!.nodes.map((_, n) => numbers.at(column, n) + way), ...numbers.turned[column]!.map((n) => numbers.turn(column, n) + way)];
  }

  private readonly known = new Map<string, Held>();

  held(state: State): Held {
    const bits = (list: readonly boolean[]) => list.map((one) => (one ? '1' : '0')).join('');
    const key = `${bits(state.pulls)} ${bits(state.stands)}`;
    let found = this.known.get(key);
    if (!found) this.known.set(key, (found = this.holding({ pulls: [...state.pulls], stands: [...state.stands] })));
    return found;
  }

  private holding(state: State): Held {
    const soil = factorBand(this.stiffness(state, { leaning: 0, soil: true }), 0);
    const found = soil.ok ? soil.solve : (load: ArrayLike<number>) => Array.from(load, () => 0);
    let alpha: number | undefined;
    let leaning: ReturnType<Held['leaning']> | undefined;
    return {
      found,
      loose: [1, 2].flatMap((seed) => leansOn(this, found(some(this.numbers.size, seed)), some(this.numbers.size, seed))),
      alpha: () => (alpha ??= !this.exact && factorBand(this.stiffness(state, { leaning: PLENTY, soil: false })).ok ? PLENTY : swaysAt(this, state)),
      leaning: () => {
        if (leaning === undefined) {
          const solved = factorBand(this.stiffness(state, { leaning: 1, soil: false }));
          leaning = solved.ok ? solved.solve : null;
        }
        return leaning;
      },
    };
  }

  block(column: number, way: 0 | 1, fixed: boolean): number[][] {
    const { nodes, stiffness, ways } = this.frame.columns[column]!;
    const key = `${column} ${ways ? way : ''} ${fixed}`;
    let found = this.blocks.get(key);
    if (!found) {
      const heights = nodes.map(({ z }) => z);
      const turns = this.numbers.turned[column]!.map((n) => heights[n]!);
      this.blocks.set(key, (found = columnStiffness(heights, ways ? ways[way === 0 ? 'x' : 'y'] : stiffness, fixed, turns)));
    }
    return found;
  }

  /** How far a node of a column goes from where its foot goes: each unknown once. */
  fromFoot(column: number, node: number, way: 0 | 1): Spring['terms'] {
    const goes = new Map([[this.numbers.at(column, node) + way, 1]]);
    for (const one of this.frame.columns[column]!.rides ?? []) {
      const at = this.numbers.at(one.column, one.node) + way;
      goes.set(at, (goes.get(at) ?? 0) - one.share);
    }
    return [...goes].map(([at, value]) => ({ at, value }));
  }

  private ridingSprings(column: number, way: 0 | 1): Spring[] {
    const { nodes } = this.frame.columns[column]!;
    const own = this.unknowns(column, way);
    const moves = own.map((at, i) => (i < nodes.length ? this.fromFoot(column, i, way) : [{ at, value: 1 }]));
    return springsOfOne(this.block(column, way, false)).map(({ by, stiffness }) => {
      const goes = new Map<number, number>();
      by.forEach((share, i) => moves[i]!.forEach(({ at, value }) => goes.set(at, (goes.get(at) ?? 0) + share * value)));
      return { stiffness, terms: [...goes].flatMap(([at, value]) => (value === 0 ? [] : [{ at, value }])) };
    });
  }

  /** Stiffness with what pulls and stands now, less so many times what the weights take from it as it leans. */
  stiffness(state: State, { leaning, soil }: { leaning: number; soil: boolean }): Band {
    const { frame, numbers } = this;
    const band = emptyBand(numbers.size, this.width);
    if (leaning > 0) this.weights(state, (i, j, value) => addTo(band, i, j, -leaning * value));
    frame.columns.forEach(({ rides = null }, c) => {
      if (rides) return;
      for (const way of [0, 1] as const) {
        const own = this.unknowns(c, way);
        this.block(c, way, state.stands[2 * c + way]!).forEach((row, i) =>
          row.forEach((value, j) => {
            if (j <= i) addTo(band, own[i]!, own[j]!, value);
          }),
        );
      }
    });
    const spring = ({ terms, stiffness }: Spring) => {
      for (let i = 0; i < terms.length; i += 1)
        for (let j = 0; j <= i; j += 1) {
          const value = stiffness * terms[i]!.value * terms[j]!.value;
          if (value !== 0) addTo(band, terms[i]!.at, terms[j]!.at, i !== j && terms[i]!.at === terms[j]!.at ? 2 * value : value);
        }
    };
    this.ties.forEach(spring);
    this.rails.forEach(spring);
    this.riding.forEach(spring);
    this.braces.forEach((one, i) => state.pulls[i] && spring(one));
    if (soil) this.soil.forEach((k, i) => addTo(band, i, i, k));
    return band;
  }

  /** What the weights push sideways as the frame leans, storey by storey: each entry of it. */
  weights(state: State, entry: (i: number, j: number, value: number) => void): void {
    const { frame, numbers } = this;
    frame.columns.forEach(({ nodes, rides = null }, c) => {
      for (const way of [0, 1] as const) {
        let axial = 0;
        for (let n = nodes.length - 1; n >= 0; n -= 1) {
          axial += nodes[n]!.down;
          const high = nodes[n]!.z - (n === 0 ? 0 : nodes[n - 1]!.z);
          const k = ((state.stands[2 * c + way] || this.railed[2 * c + way] ? BOWED : 1) * axial) / high;
          const at = numbers.at(c, n) + way;
          if (n === 0 && rides) {
            const terms = this.fromFoot(c, 0, way);
            terms.forEach((one, i) => terms.slice(0, i + 1).forEach((other) => entry(one.at, other.at, k * one.value * other.value)));
            continue;
          }
          entry(at, at, k);
          if (n > 0) {
            entry(at - 2, at - 2, k);
            entry(at, at - 2, -k);
          }
        }
      }
    });
  }
}

interface State {
  pulls: boolean[];
  /** by column and way: its foot holds a moment */
  stands: boolean[];
}

/** What holds with these ropes pulling and these feet standing: worked out once, whichever winds come to it. */
interface Held {
  /** with the springs that find what nothing else holds */
  found: (load: ArrayLike<number>) => number[];
  /** unknowns that nothing else holds when pushed at random */
  loose: readonly number[];
  alpha: () => number;
  /** in the place the weights lean to; null: they lean it over */
  leaning: () => ((load: ArrayLike<number>) => number[]) | null;
}

/** A frame of plumb columns, ties and braces under its weights and a sideways load, each in its moved place. */
function solveSway(whole: Whole, load: SwayLoad): SwayAnswer {
  const { frame, numbers } = whole;
  const f = new Float64Array(numbers.size);
  load.forEach((nodes, c) =>
    nodes.forEach(({ x, y }, n) => {
      f[numbers.at(c, n)] = x;
      f[numbers.at(c, n) + 1] = y;
    }),
  );
  for (const rail of frame.rails ?? []) {
    const held = heldEnds(rail);
    // What hogs an end turns the column towards the beam.
    for (const { at, value } of rail.keeps.a ? turnOf(frame, numbers, rail, 'a') : []) f[at]! += held.a * value;
    for (const { at, value } of rail.keeps.b ? turnOf(frame, numbers, rail, 'b') : []) f[at]! -= held.b * value;
  }
  for (const { moves, held } of whole.bents) moves.forEach((terms, i) => terms.forEach(({ at, value }) => (f[at]! -= held[i]! * value)));
  const state: State = { pulls: frame.braces.map(() => true), stands: frame.columns.flatMap(() => [false, false]) };
  for (;;) {
    const held = ropes(whole, state, f);
    const loose = looseOf(whole, state, held, f);
    const stand = loose.filter(({ column }) => frame.columns[column]!.canStand);
    if (loose.length > 0 && stand.length === 0) return { stable: false, why: 'unheld', unheld: loose };
    for (const { column, way } of stand) state.stands[2 * column + (way === 'x' ? 0 : 1)] = true;
    if (loose.length > 0) continue;
    const alpha = held.alpha();
    const solve = held.leaning();
    return solve ? answer(whole, state, solve(f), alpha) : { stable: false, why: 'sways', alpha: Math.min(alpha, 1) };
  }
}

/** Ropes that would have to push are let go, those that are stretched pull again: all at once at first, then one by one. */
function ropes(whole: Whole, state: State, f: Float64Array): Held {
  const { frame } = whole;
  const limit = 20 + 4 * frame.braces.length;
  for (let turn = 0; ; turn += 1) {
    const held = whole.held(state);
    const u = held.found(f);
    // A rope that is neither stretched nor slack is there for the next push.
    const slack = -1e-9 * Math.max(...u.map(Math.abs));
    const wrong = frame.braces.flatMap(({ pullsOnly }, i) => (pullsOnly && stretchOf(whole.braces[i]!, u) >= slack !== state.pulls[i] ? [i] : []));
    if (wrong.length === 0 || turn >= limit) return held;
    for (const i of turn < 20 ? wrong : wrong.slice(0, 1)) state.pulls[i] = !state.pulls[i];
  }
}

/** Unknowns that push the finding springs with a part of the whole load. */
function leansOn(whole: Whole, u: readonly number[], push: ArrayLike<number>): number[] {
  const most = Math.max(...Array.from(push, Math.abs));
  return most === 0 ? [] : u.flatMap((one, i) => (Math.abs(one * whole.soil[i]!) > LEANS * most ? [i] : []));
}

/** Columns that only the finding springs hold, whatever pushes them. */
function looseOf(whole: Whole, state: State, held: Held, f: Float64Array): Unheld[] {
  const { frame, numbers } = whole;
  const loose = new Set([...held.loose, ...leansOn(whole, held.found(f), f)]);
  const unheld: Unheld[] = [];
  if (loose.size === 0) return unheld;
  frame.columns.forEach(({ nodes }, column) => {
    for (const way of [0, 1] as const)
      if (nodes.some((_, n) => loose.has(numbers.at(column, n) + way)) && !state.stands[2 * column + way]) unheld.push({ column, way: way === 0 ? 'x' : 'y' });
  });
  return unheld;
}

/** Pushes of all sizes and both ways, the same ones every time. */
const some = (size: number, seed: number): Float64Array => Float64Array.from({ length: size }, (_, i) => Math.sin((i + 1) * 12.9898 * seed + seed));

/** How near to the multiple at which it sways a frame is shown to stand. */
const CLOSE = 0.99;

/** Least multiple of the weights under which the frame sways by itself. */
function swaysAt(whole: Whole, state: State): number {
  const { frame, numbers } = whole;
  if (frame.columns.every(({ nodes }) => nodes.every(({ down }) => down <= 0))) return Infinity;
  const entries: { i: number; j: number; value: number }[] = [];
  whole.weights(state, (i, j, value) => void entries.push({ i, j, value }));
  const pushed = (u: Float64Array): Float64Array => {
    const push = new Float64Array(u.length);
    for (const { i, j, value } of entries) {
      push[i]! += value * u[j]!;
      if (i !== j) push[j]! += value * u[i]!;
    }
    return push;
  };
  const stiff = factorBand(whole.stiffness(state, { leaning: 0, soil: false }));
  if (!stiff.ok) return 0;
  let u = some(numbers.size, 3);
  let push = pushed(u);
  let alpha = Infinity;
  for (let turn = 1; turn <= 400; turn += 1) {
    const next = Float64Array.from(stiff.solve(push));
    const leans = pushed(next);
    let [energy, leaned, most] = [0, 0, 0];
    for (let i = 0; i < next.length; i += 1) {
      energy += next[i]! * push[i]!;
      leaned += next[i]! * leans[i]!;
      most = Math.max(most, Math.abs(next[i]!));
    }
    if (!(leaned > 0)) return Infinity;
    const settled = Math.abs(alpha - energy / leaned) < 1e-4 * alpha;
    alpha = energy / leaned;
    u = next.map((one) => one / most);
    push = leans.map((one) => one / most);
    // The quotient comes from above: it is taken when the frame would still stand so near to it.
    if ((settled || turn % 40 === 0) && factorBand(whole.stiffness(state, { leaning: CLOSE * alpha, soil: false })).ok) return alpha;
  }
  while (alpha > 1e-6 && !factorBand(whole.stiffness(state, { leaning: alpha, soil: false })).ok) alpha *= CLOSE;
  return alpha;
}

/** What a rail hogs at its ends. */
function railMoments(frame: SwayFrame, numbers: Numbering, rail: SwayRail, u: readonly number[]): { a: number; b: number } {
  const unit = rail.stiffness / railAlong(frame, rail).length;
  const held = heldEnds(rail);
  const turned = (end: 'a' | 'b') => turnOf(frame, numbers, rail, end).reduce((sum, { at, value }) => sum + value * u[at]!, 0);
  if (rail.keeps.a && rail.keeps.b) {
    const [a, b] = [turned('a'), turned('b')];
    return { a: held.a - unit * (4 * a + 2 * b), b: held.b + unit * (2 * a + 4 * b) };
  }
  return { a: rail.keeps.a ? held.a - 3 * unit * turned('a') : 0, b: rail.keeps.b ? held.b + 3 * unit * turned('b') : 0 };
}

function answer(whole: Whole, state: State, u: readonly number[], alpha: number): SwayStands {
  const { frame, numbers } = whole;
  return {
    stable: true,
    braces: whole.braces.map((one, i) => (state.pulls[i] ? one.stiffness * stretchOf(one, u) : 0)),
    ties: whole.ties.map((one) => one.stiffness * stretchOf(one, u)),
    columns: frame.columns.map(({ nodes }, c) => {
      const bends = ([0, 1] as const).map((way) => {
        const k = whole.block(c, way, state.stands[2 * c + way]!);
        const own = whole.unknowns(c, way);
        const goes = own.map((at, j) => (j < nodes.length ? stretchOf({ terms: whole.fromFoot(c, j, way), stiffness: 0 }, u) : u[at]!));
        const load = own.map((_, i) => goes.reduce((sum, far, j) => sum + k[i]![j]! * far, 0));
        const push = load.slice(0, nodes.length);
        const turns = numbers.turned[c]!.map((n, i) => ({ z: nodes[n]!.z, moment: load[nodes.length + i]! }));
        /** just below a place: what is pushed above it, and what rails turn at it and above */
        const below = (z: number) =>
          push.reduce((sum, one, i) => sum + (nodes[i]!.z > z ? one * (nodes[i]!.z - z) : 0), 0) +
          turns.reduce((sum, one) => sum + (one.z >= z ? one.moment : 0), 0);
        const above = (z: number) => below(z) - turns.reduce((sum, one) => sum + (one.z === z ? one.moment : 0), 0);
        // Nothing but rounding where the foot turns freely.
        const foot = below(0);
        return {
          foot,
          most: Math.max(Math.abs(foot), ...nodes.flatMap(({ z }) => [Math.abs(below(z)), Math.abs(above(z))])),
          shear: push.reduce((sum, one) => sum + one, 0),
        };
      });
      const [x, y] = [bends[0]!, bends[1]!];
      return {
        stands: { x: state.stands[2 * c]!, y: state.stands[2 * c + 1]! },
        moment: Math.hypot(x.most, y.most),
        moments: { x: x.most, y: y.most },
        footMoment: Math.hypot(x.foot, y.foot),
        shear: Math.hypot(x.shear, y.shear),
      };
    }),
    rails: (frame.rails ?? []).map((rail) => railMoments(frame, numbers, rail, u)),
    rafters: whole.bents.map((one) => bentForces(one, u)),
    drift: Math.max(0, ...frame.columns.flatMap(({ nodes }, c) => nodes.map((_, n) => Math.hypot(u[numbers.at(c, n)]!, u[numbers.at(c, n) + 1]!)))),
    alpha,
  };
}

/** A frame made ready to be asked about many winds; `exact`: by how much it is from swaying by itself is told also where it is far. */
export const swayOf = (frame: SwayFrame, exact = false): { solve: (load: SwayLoad) => SwayAnswer } => {
  const whole = new Whole(frame, exact);
  return { solve: (load) => solveSway(whole, load) };
};
