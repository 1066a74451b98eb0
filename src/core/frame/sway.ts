import { bandOrder } from '../beams/order';
import { springsOfOne } from './rafters';
import type { SwayAnswer, SwayFrame, SwayLoad, Unheld } from './sway-frame';
import { Island, numbersOf, SOIL, type IslandAnswer, type IslandParts, type Leaning } from './sway-island';
import {
  bentForces,
  bentOf,
  bentSprings,
  columnStiffness,
  heldEnds,
  numbering,
  railAlong,
  railMoments,
  railSprings,
  springsOf,
  stretchOf,
  turnOf,
  type Bent,
  type Numbering,
  type Spring,
} from './sway-springs';

/** Where an unknown stands: on which island, and where in its band. */
interface Isle {
  parts: IslandParts;
  /** its unknowns by their places in the band */
  unknowns: readonly number[];
  /** column and way of each that leans there */
  columns: readonly { column: number; way: 0 | 1 }[];
  braces: readonly number[];
}

/** A load less than this beside the largest is rounding. */
const NO_LOAD = 1e-12;

/** All that a frame’s stiffness is put together from, read once for all winds. */
class Whole {
  readonly numbers: Numbering;
  readonly ties: Spring[];
  readonly braces: Spring[];
  readonly bents: readonly Bent[];
  private readonly rails: Spring[];
  /** columns that ride on beams, bent by how far their nodes go from where their feet go */
  private readonly riding: Spring[];
  private readonly own: (readonly number[])[] = [];
  private readonly blocks = new Map<number, number[][]>();
  readonly isles: readonly Isle[];

  constructor(readonly frame: SwayFrame) {
    this.numbers = numbering(frame);
    ({ ties: this.ties, braces: this.braces } = springsOf(frame, this.numbers));
    this.bents = (frame.rafters ?? []).map((one) => bentOf(frame, this.numbers, one));
    this.rails = [...(frame.rails ?? []).flatMap((one) => railSprings(frame, this.numbers, one)), ...this.bents.flatMap(bentSprings)];
    this.riding = frame.columns.flatMap(({ rides = null }, c) => (rides ? ([0, 1] as const).flatMap((way) => this.ridingSprings(c, way)) : []));
    this.isles = this.findIsles();
  }

  /** What is coupled, be it by many others, is one island. */
  private findIsles(): Isle[] {
    const { frame, numbers } = this;
    const leaning = frame.columns.flatMap((_, column) => ([0, 1] as const).map((way) => ({ column, way })));
    const springs = [...this.ties, ...this.rails, ...this.riding].filter(({ terms }) => terms.length > 0);
    const feet = leaning.map(({ column, way }) => (frame.columns[column]!.rides ? this.fromFoot(column, 0, way) : null));
    const groups = [
      ...leaning.map(({ column, way }) => this.unknowns(column, way)),
      ...[...springs, ...this.braces].map(({ terms }) => terms.map(({ at }) => at)),
      ...feet.flatMap((terms) => (terms ? [terms.map(({ at }) => at)] : [])),
    ];
    const { isle, place, isles } = bandOrder(numbers.size, groups);
    const railed = this.railedWays();
    const terms = (own: Spring['terms']): Spring['terms'] => own.map(({ at, value }) => ({ at: place[at]!, value }));
    const placed = ({ terms: own, stiffness }: Spring): Spring => ({ terms: terms(own), stiffness });
    const found = isles.map(({ size, width }) => ({
      unknowns: new Array<number>(size),
      columns: [] as { column: number; way: 0 | 1 }[],
      braces: [] as number[],
      parts: {
        size,
        width,
        columns: [] as Leaning[],
        springs: [] as Spring[],
        braces: [] as (Spring & { pullsOnly: boolean })[],
        soil: new Float64Array(size),
      },
    }));
    for (let at = 0; at < numbers.size; at += 1) found[isle[at]!]!.unknowns[place[at]!] = at;
    leaning.forEach(({ column, way }, i) => {
      const own = this.unknowns(column, way);
      const { nodes, stiffness, canStand } = frame.columns[column]!;
      if (own.length === 0) return;
      const one = found[isle[own[0]!]!]!;
      const at = own.map((unknown) => place[unknown]!);
      one.columns.push({ column, way });
      one.parts.columns.push({
        at,
        nodes,
        stiffness: this.stiffnessOf(column, way),
        turned: numbers.turned[column]!,
        block: (fixed) => this.block(column, way, fixed),
        canStand,
        railed: railed[2 * column + way]!,
        rides: feet[i] ? terms(feet[i]) : null,
      });
      nodes.forEach(({ z }, n) => (one.parts.soil[at[n]!] = (SOIL * 3 * stiffness) / z ** 3));
      numbers.turned[column]!.forEach((n, turn) => (one.parts.soil[at[nodes.length + turn]!] = (SOIL * stiffness) / nodes[n]!.z));
    });
    for (const spring of springs) found[isle[spring.terms[0]!.at]!]!.parts.springs.push(placed(spring));
    this.braces.forEach((brace, i) => {
      if (brace.terms.length === 0) return;
      const one = found[isle[brace.terms[0]!.at]!]!;
      one.braces.push(i);
      one.parts.braces.push({ ...placed(brace), pullsOnly: frame.braces[i]!.pullsOnly });
    });
    return found;
  }

  /** By column and way: whether a rail or rafters along that way are fixed to it. */
  private railedWays(): boolean[] {
    const { frame } = this;
    const fixed = frame.columns.flatMap(() => [false, false]);
    for (const one of [...(frame.rails ?? []), ...(frame.rafters ?? [])]) {
      const along = railAlong(frame, one);
      for (const end of ['a', 'b'] as const)
        for (const way of [0, 1] as const) if (one.keeps[end] && Math.abs(along[way === 0 ? 'x' : 'y']) > 1e-6) fixed[2 * one[end].column + way] = true;
    }
    return fixed;
  }

  /** The unknowns of a column one way: how far its nodes go, then how far those turn that a rail is fixed to. */
  unknowns(column: number, way: 0 | 1): readonly number[] {
    const { numbers, frame } = this;
    return (this.own[2 * column + way] ??= [
      ...frame.columns[column]!.nodes.map((_, n) => numbers.at(column, n) + way),
      ...numbers.turned[column]!.map((n) => numbers.turn(column, n) + way),
    ]);
  }

  private stiffnessOf(column: number, way: 0 | 1): number {
    const { stiffness, ways } = this.frame.columns[column]!;
    return ways ? ways[way === 0 ? 'x' : 'y'] : stiffness;
  }

  block(column: number, way: 0 | 1, fixed: boolean): number[][] {
    const { nodes, ways } = this.frame.columns[column]!;
    const key = 4 * column + (ways ? 2 * way : 0) + (fixed ? 1 : 0);
    let found = this.blocks.get(key);
    if (!found) {
      const heights = nodes.map(({ z }) => z);
      const turns = this.numbers.turned[column]!.map((n) => heights[n]!);
      this.blocks.set(key, (found = columnStiffness(heights, this.stiffnessOf(column, way), fixed, turns)));
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

  /** Forces on the unknowns of a load, with what rails and rafters bring to their ends. */
  forces(load: SwayLoad): Float64Array {
    const { frame, numbers } = this;
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
    for (const { moves, held } of this.bents) moves.forEach((terms, i) => terms.forEach(({ at, value }) => (f[at]! -= held[i]! * value)));
    const least = NO_LOAD * f.reduce((most, one) => Math.max(most, Math.abs(one)), 0);
    return f.map((one) => (Math.abs(one) < least ? 0 : one));
  }
}

/** How a column bends one way: at its foot, where it bends most, and the shear at its foot. */
function bendsOf(whole: Whole, stands: boolean, u: Float64Array, c: number, way: 0 | 1): { foot: number; most: number; shear: number } {
  const { nodes, rides = null } = whole.frame.columns[c]!;
  const k = whole.block(c, way, stands);
  const own = whole.unknowns(c, way);
  const goes = own.map((at, j) => (rides && j < nodes.length ? stretchOf({ terms: whole.fromFoot(c, j, way), stiffness: 0 }, u) : u[at]!));
  const force = (i: number): number => {
    const row = k[i]!;
    let sum = 0;
    for (let j = 0; j < goes.length; j += 1) sum += row[j]! * goes[j]!;
    return sum;
  };
  const turned = whole.numbers.turned[c]!;
  let [shear, moment, most, turn] = [0, 0, 0, turned.length - 1];
  // From its top down: what is pushed higher up, and what rails turn at a node and above.
  for (let n = nodes.length - 1; n >= 0; n -= 1) {
    most = Math.max(most, Math.abs(moment));
    if (turned[turn] === n) {
      moment += force(nodes.length + turn);
      most = Math.max(most, Math.abs(moment));
      turn -= 1;
    }
    shear += force(n);
    moment += shear * (nodes[n]!.z - (n === 0 ? 0 : nodes[n - 1]!.z));
  }
  // At the foot nothing but rounding where it turns freely.
  return { foot: moment, most: Math.max(most, Math.abs(moment)), shear };
}

/** What each island of a frame does in one wind, put together. */
function together(whole: Whole, answers: readonly IslandAnswer[]): SwayAnswer {
  const { frame, isles, numbers } = whole;
  const unheld = answers.flatMap((one, i): Unheld[] =>
    one.stable || one.why !== 'unheld'
      ? []
      : one.columns.map((c) => {
          const { column, way } = isles[i]!.columns[c]!;
          return { column, way: way === 0 ? 'x' : 'y' };
        }),
  );
  if (unheld.length > 0) return { stable: false, why: 'unheld', unheld: unheld.sort((a, b) => a.column - b.column || (a.way < b.way ? -1 : 1)) };
  const alpha = Math.min(...answers.map((one) => (one.stable || one.why === 'sways' ? one.alpha : Infinity)));
  if (answers.some(({ stable }) => !stable)) return { stable: false, why: 'sways', alpha };
  const u = new Float64Array(numbers.size);
  const pulls = frame.braces.map(() => true);
  const stands = frame.columns.flatMap(() => [false, false]);
  answers.forEach((one, i) => {
    if (!one.stable) return;
    const { unknowns, braces, columns } = isles[i]!;
    unknowns.forEach((unknown, place) => (u[unknown] = one.u[place]!));
    braces.forEach((brace, b) => (pulls[brace] = one.pulls[b]!));
    columns.forEach(({ column, way }, c) => (stands[2 * column + way] = one.stands[c]!));
  });
  return {
    stable: true,
    braces: whole.braces.map((one, i) => (pulls[i] ? one.stiffness * stretchOf(one, u) : 0)),
    ties: whole.ties.map((one) => one.stiffness * stretchOf(one, u)),
    columns: frame.columns.map((_, c) => {
      const [standsX, standsY] = [stands[2 * c]!, stands[2 * c + 1]!];
      const [x, y] = [bendsOf(whole, standsX, u, c, 0), bendsOf(whole, standsY, u, c, 1)];
      return {
        stands: { x: standsX, y: standsY },
        moment: Math.hypot(x.most, y.most),
        moments: { x: x.most, y: y.most },
        footMoment: Math.hypot(x.foot, y.foot),
        shear: Math.hypot(x.shear, y.shear),
      };
    }),
    rails: (frame.rails ?? []).map((rail) => railMoments(frame, numbers, rail, u)),
    rafters: whole.bents.map((one) => bentForces(one, u)),
    drift: frame.columns.reduce(
      (most, { nodes }, c) => nodes.reduce((so, _, n) => Math.max(so, Math.hypot(u[numbers.at(c, n)]!, u[numbers.at(c, n) + 1]!)), most),
      0,
    ),
    alpha,
  };
}

/** Finds the answers of an island again by all that it and its loads are made of, or works them out. */
export type KeptIslands = (numbers: readonly number[], make: () => IslandAnswer[]) => readonly IslandAnswer[];
const AFRESH: KeptIslands = (_, make) => make();

/** A frame of plumb columns, ties and braces under its weights in as many winds as there are, in its moved place each time. */
export function swaysOf(frame: SwayFrame, loads: readonly SwayLoad[], exact = false, kept: KeptIslands = AFRESH): SwayAnswer[] {
  const whole = new Whole(frame);
  const forces = loads.map((load) => whole.forces(load));
  const found = whole.isles.map(({ parts, unknowns }) => {
    const own = forces.map((f) => Float64Array.from(unknowns, (unknown) => f[unknown]!));
    const numbers = numbersOf(parts, exact);
    for (const f of own) for (const one of f) numbers.push(one);
    return kept(numbers, () => {
      const island = new Island(parts, exact);
      return own.map((f) => island.solve(f));
    });
  });
  return loads.map((_, i) =>
    together(
      whole,
      found.map((answers) => answers[i]!),
    ),
  );
}

/** The same in one wind. */
export const swayIn = (frame: SwayFrame, load: SwayLoad, exact = false): SwayAnswer => swaysOf(frame, [load], exact)[0]!;
