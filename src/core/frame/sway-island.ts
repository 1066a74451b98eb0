import { addTo, copyBand, emptyBand, factorUp, placeIn, type Band, type Factored } from '../beams/solve';
import { PLENTY } from './sway-frame';
import { stretchOf, type Spring } from './sway-springs';

/** Springs of this share of a column’s own stiffness find out what nothing else holds; they are not in the answer. */
export const SOIL = 1e-7;
/** Of the whole load, so much in such a spring means that nothing else holds the node. */
const LEANS = 1e-4;
/** A cantilever sways at π²EI/4L²; straight between foot and top it would seem to at 3EI/L². */
const BOWED = 12 / Math.PI ** 2;

/** One way that a column of the frame leans: its unknowns, its nodes from the lowest up first. */
export interface Leaning {
  at: readonly number[];
  nodes: readonly { z: number; down: number }[];
  /** EI that way [N·m²] */
  stiffness: number;
  /** those of its nodes that a rail or rafters are fixed to: after its nodes come their turns */
  turned: readonly number[];
  /** what it takes to move these unknowns, with its foot held or turning freely */
  block: (fixed: boolean) => number[][];
  /** whether its foot may hold a moment */
  canStand: boolean;
  /** a rail or rafters along this way are fixed to it */
  railed: boolean;
  /** how far its lowest node goes from where its foot goes, where that is on a beam; its block is among the springs then */
  rides: Spring['terms'] | null;
}

/** Unknowns of a frame that nothing couples with any other: a row of columns and what ties them, one way. All by their places in a band. */
export interface IslandParts {
  size: number;
  width: number;
  columns: readonly Leaning[];
  springs: readonly Spring[];
  braces: readonly (Spring & { pullsOnly: boolean })[];
  /** own stiffness of each unknown, by which a spring that finds mechanisms is measured */
  soil: Float64Array;
}

/** How an island leans under one load: by its unknowns, which of its ropes pull, which of its columns stand by their feet. */
export type IslandAnswer =
  | { stable: true; u: Float64Array; pulls: readonly boolean[]; stands: readonly boolean[]; alpha: number }
  | { stable: false; why: 'unheld'; columns: readonly number[] }
  | { stable: false; why: 'sways'; alpha: number };

/** All that an island is made of, in numbers. */
export function numbersOf({ size, width, columns, springs, braces, soil }: IslandParts, exact: boolean): number[] {
  const numbers = [exact ? 1 : 0, size, width, columns.length, springs.length, braces.length];
  const terms = (own: Spring['terms']) => {
    numbers.push(own.length);
    for (const { at, value } of own) numbers.push(at, value);
  };
  for (const one of soil) numbers.push(one);
  for (const { at, nodes, stiffness, turned, canStand, railed, rides } of columns) {
    numbers.push(nodes.length, turned.length, stiffness, canStand ? 1 : 0, railed ? 1 : 0, rides ? 1 : 0);
    for (const one of at) numbers.push(one);
    for (const one of turned) numbers.push(one);
    for (const { z, down } of nodes) numbers.push(z, down);
    if (rides) terms(rides);
  }
  for (const one of springs) {
    numbers.push(one.stiffness);
    terms(one.terms);
  }
  for (const one of braces) {
    numbers.push(one.stiffness, one.pullsOnly ? 1 : 0);
    terms(one.terms);
  }
  return numbers;
}

interface State {
  pulls: readonly boolean[];
  /** by column: its foot holds a moment */
  stands: readonly boolean[];
}

/** What holds with these ropes pulling and these feet standing: worked out once, whichever winds come to it. */
interface Held {
  /** with the springs that find what nothing else holds */
  found: (load: Float64Array) => Float64Array;
  /** unknowns that nothing else holds when pushed at random */
  loose: () => readonly number[];
  alpha: () => number;
  /** in the place the weights lean to; null: they lean it over */
  leaning: () => ((load: Float64Array) => Float64Array) | null;
}

/** Entries of a symmetric matrix, each of one half of it: where in the band, between which unknowns, and how much. */
interface Entries {
  places: number[];
  i: number[];
  j: number[];
  value: number[];
}

const bits = (list: readonly boolean[]): string => list.map((one) => (one ? '1' : '0')).join('');

export class Island {
  private readonly known = new Map<string, Held>();
  /** stiffness without braces, by which feet hold a moment */
  private readonly bare = new Map<string, Band>();
  /** what the weights take from it as it leans, by which feet hold a moment */
  private readonly leans = new Map<string, Entries>();
  /** pushes that find what nothing holds */
  private readonly tries: readonly Float64Array[];

  /** @param exact by how much it is from swaying by itself is told also where it is far */
  constructor(
    private readonly of: IslandParts,
    private readonly exact: boolean,
  ) {
    this.tries = [1, 2].map((seed) => some(of.size, seed));
  }

  solve(f: Float64Array): IslandAnswer {
    const { braces, columns } = this.of;
    const state = { pulls: braces.map(() => true), stands: columns.map(() => false) };
    for (;;) {
      const held = this.ropes(state, f);
      const loose = this.looseOf(state, held, f);
      const stand = loose.filter((column) => columns[column]!.canStand);
      if (loose.length > 0 && stand.length === 0) return { stable: false, why: 'unheld', columns: loose };
      for (const column of stand) state.stands[column] = true;
      if (loose.length > 0) continue;
      const alpha = held.alpha();
      const solve = held.leaning();
      return solve ? { stable: true, u: solve(f), ...state, alpha } : { stable: false, why: 'sways', alpha: Math.min(alpha, 1) };
    }
  }

  /** Ropes that would have to push are let go, those that are stretched pull again: all at once at first, then one by one. */
  private ropes(state: { pulls: boolean[]; stands: readonly boolean[] }, f: Float64Array): Held {
    const { braces } = this.of;
    const limit = 20 + 4 * braces.length;
    for (let turn = 0; ; turn += 1) {
      const held = this.held(state);
      const u = held.found(f);
      // A rope that is neither stretched nor slack is there for the next push.
      const slack = -1e-9 * furthest(u);
      const wrong = braces.flatMap((one, i) => (one.pullsOnly && stretchOf(one, u) >= slack !== state.pulls[i] ? [i] : []));
      if (wrong.length === 0 || turn >= limit) return held;
      for (const i of turn < 20 ? wrong : wrong.slice(0, 1)) state.pulls[i] = !state.pulls[i];
    }
  }

  /** Columns that only the finding springs hold, whatever pushes them. */
  private looseOf({ stands }: State, held: Held, f: Float64Array): number[] {
    const loose = new Set([...held.loose(), ...this.leansOn(held.found(f), f)]);
    if (loose.size === 0) return [];
    return this.of.columns.flatMap(({ at, nodes }, c) => (nodes.some((_, n) => loose.has(at[n]!)) && !stands[c] ? [c] : []));
  }

  /** Unknowns that push the finding springs with a part of the whole load. */
  private leansOn(u: Float64Array, push: Float64Array): number[] {
    const least = LEANS * furthest(push);
    const found: number[] = [];
    if (least > 0) u.forEach((one, i) => Math.abs(one * this.of.soil[i]!) > least && found.push(i));
    return found;
  }

  private held(state: State): Held {
    const key = `${bits(state.pulls)} ${bits(state.stands)}`;
    let found = this.known.get(key);
    if (!found) this.known.set(key, (found = this.holding({ pulls: [...state.pulls], stands: [...state.stands] })));
    return found;
  }

  private holding(state: State): Held {
    const soil = this.factored(state, { leaning: 0, soil: true }, 0);
    const found = soil.ok ? soil.solve : (load: Float64Array) => new Float64Array(load.length);
    let loose: readonly number[] | undefined;
    let alpha: number | undefined;
    let leaning: ReturnType<Held['leaning']> | undefined;
    return {
      found,
      loose: () => (loose ??= this.tries.flatMap((push) => this.leansOn(found(push), push))),
      alpha: () => (alpha ??= !this.exact && this.factored(state, { leaning: PLENTY, soil: false }).ok ? PLENTY : this.swaysAt(state)),
      leaning: () => {
        if (leaning === undefined) {
          const solved = this.factored(state, { leaning: 1, soil: false });
          leaning = solved.ok ? solved.solve : null;
        }
        return leaning;
      },
    };
  }

  /** Stiffness with what pulls and stands now, less so many times what the weights take from it as it leans: ready to be solved. */
  private factored(state: State, { leaning, soil }: { leaning: number; soil: boolean }, mechanism?: number): Factored {
    const band = copyBand(this.bareOf(state));
    const { entries } = band;
    this.of.braces.forEach((one, i) => state.pulls[i] && addSpring(band, one));
    if (soil) this.of.soil.forEach((k, i) => addTo(band, i, i, k));
    if (leaning > 0) {
      const { places, value } = this.weights(state);
      for (let n = 0; n < value.length; n += 1) entries[places[n]!]! -= leaning * value[n]!;
    }
    return factorUp(band, mechanism);
  }

  private bareOf({ stands }: State): Band {
    const key = bits(stands);
    const known = this.bare.get(key);
    if (known) return known;
    const { size, width, columns, springs } = this.of;
    const band = emptyBand(size, width);
    columns.forEach(({ at, block, rides }, c) => {
      if (rides) return;
      block(stands[c]!).forEach((row, i) => {
        for (let j = 0; j <= i; j += 1) addTo(band, at[i]!, at[j]!, row[j]!);
      });
    });
    for (const one of springs) addSpring(band, one);
    this.bare.set(key, band);
    return band;
  }

  /** What the weights push sideways as it leans, storey by storey: each entry of it. */
  private weights({ stands }: State): Entries {
    const key = bits(stands);
    const known = this.leans.get(key);
    if (known) return known;
    const found: Entries = { places: [], i: [], j: [], value: [] };
    const entry = (i: number, j: number, value: number) => {
      found.places.push(placeIn(this.of.width, i, j));
      found.i.push(i);
      found.j.push(j);
      found.value.push(value);
    };
    this.of.columns.forEach(({ at, nodes, railed, rides }, c) => {
      let axial = 0;
      for (let n = nodes.length - 1; n >= 0; n -= 1) {
        axial += nodes[n]!.down;
        const high = nodes[n]!.z - (n === 0 ? 0 : nodes[n - 1]!.z);
        const k = ((stands[c] || railed ? BOWED : 1) * axial) / high;
        if (n === 0 && rides) {
          rides.forEach((one, i) => rides.slice(0, i + 1).forEach((other) => entry(one.at, other.at, k * one.value * other.value)));
          continue;
        }
        entry(at[n]!, at[n]!, k);
        if (n > 0) {
          entry(at[n - 1]!, at[n - 1]!, k);
          entry(at[n]!, at[n - 1]!, -k);
        }
      }
    });
    this.leans.set(key, found);
    return found;
  }

  /** Least multiple of the weights under which it sways by itself. */
  private swaysAt(state: State): number {
    if (this.of.columns.every(({ nodes }) => nodes.every(({ down }) => down <= 0))) return Infinity;
    const { i: rows, j: columns, value: values } = this.weights(state);
    const pushed = (u: Float64Array): Float64Array => {
      const push = new Float64Array(u.length);
      for (let n = 0; n < values.length; n += 1) {
        const [i, j, value] = [rows[n]!, columns[n]!, values[n]!];
        push[i]! += value * u[j]!;
        if (i !== j) push[j]! += value * u[i]!;
      }
      return push;
    };
    const stiff = this.factored(state, { leaning: 0, soil: false });
    if (!stiff.ok) return 0;
    const standsAt = (alpha: number) => this.factored(state, { leaning: alpha, soil: false }).ok;
    let push = pushed(some(this.of.size, 3));
    let alpha = Infinity;
    for (let turn = 1; turn <= 400; turn += 1) {
      const next = stiff.solve(push);
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
      push = leans.map((one) => one / most);
      // The quotient comes from above: it is taken when the frame would still stand so near to it.
      if ((settled || turn % 40 === 0) && standsAt(CLOSE * alpha)) return alpha;
    }
    while (alpha > 1e-6 && !standsAt(alpha)) alpha *= CLOSE;
    return alpha;
  }
}

/** How near to the multiple at which it sways a frame is shown to stand. */
const CLOSE = 0.99;

const furthest = (u: Float64Array): number => u.reduce((most, one) => Math.max(most, Math.abs(one)), 0);

function addSpring(band: Band, { terms, stiffness }: Spring): void {
  for (let i = 0; i < terms.length; i += 1)
    for (let j = 0; j <= i; j += 1) {
      const value = stiffness * terms[i]!.value * terms[j]!.value;
      const [one, other] = [terms[i]!.at, terms[j]!.at];
      if (value !== 0) addTo(band, one, other, i !== j && one === other ? 2 * value : value);
    }
}

/** Pushes of all sizes and both ways, the same ones every time. */
function some(size: number, seed: number): Float64Array {
  const pushes = new Float64Array(size);
  for (let i = 0; i < size; i += 1) pushes[i] = Math.sin((i + 1) * 12.9898 * seed + seed);
  return pushes;
}
