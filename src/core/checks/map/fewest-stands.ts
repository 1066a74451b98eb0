import type { Vec } from '../../geometry/plane';
import type { Served } from './stand-map';

/** Places that serve the same lifts, by the best of them. */
export interface CoverSet {
  lifts: number[];
  /** worst share of the chart over these lifts */
  worst: number;
}

export interface Cover {
  /** which of the sets are taken */
  chosen: number[];
  /** no fewer can serve them all */
  least: number;
  how: 'solver' | 'one after another';
}

export interface CoverPlace extends CoverSet {
  at: Vec;
}

/** Sets of lifts that no other place serves whole and more beside; of alike ones the place that takes least of the chart. */
export function widestSets(served: Iterable<Served>): CoverPlace[] {
  const kept: { place: CoverPlace; has: Set<number> }[] = [];
  // The widest first: a set can only be part of one that is as wide or wider.
  for (const { lifts, at, worst } of [...served].sort((a, b) => b.lifts.length - a.lifts.length || a.worst - b.worst))
    if (!kept.some(({ has }) => lifts.every((lift) => has.has(lift)))) kept.push({ place: { lifts, at, worst }, has: new Set(lifts) });
  return kept.map(({ place }) => place);
}

/** Lifts no place serves. */
export function unserved(sets: readonly CoverSet[], lifts: number): number[] {
  const found = new Set(sets.flatMap((one) => one.lifts));
  return Array.from({ length: lifts }, (_, i) => i).filter((lift) => !found.has(lift));
}

/** Always the place that serves most of what is left: quick, and seldom far off. */
export function coverInTurn(sets: readonly CoverSet[]): Cover {
  const left = new Set(sets.flatMap((one) => one.lifts));
  const chosen: number[] = [];
  const all = left.size;
  while (left.size > 0) {
    let best = -1;
    let most = 0;
    sets.forEach(({ lifts, worst }, i) => {
      const serves = lifts.filter((lift) => left.has(lift)).length;
      if (serves > most || (serves === most && best >= 0 && serves > 0 && worst < sets[best]!.worst)) [best, most] = [i, serves];
    });
    for (const lift of sets[best]!.lifts) left.delete(lift);
    chosen.push(best);
  }
  const widest = Math.max(1, ...sets.map(({ lifts }) => lifts.length));
  return { chosen, least: Math.ceil(all / widest), how: 'one after another' };
}

/** Of two covers of as many places the one that is farther from its limits is the better: so much a share of the chart weighs. */
const SLIGHT = 1e-4;

/** The whole-number programme: as few places as serve each lift. */
export function coverModel(sets: readonly CoverSet[]): string {
  const of = new Map<number, number[]>();
  sets.forEach(({ lifts }, i) => {
    for (const lift of lifts) of.set(lift, [...(of.get(lift) ?? []), i]);
  });
  const terms = sets.map(({ worst }, i) => `${(1 + SLIGHT * Math.min(1, worst)).toFixed(8)} s${i}`).join(' + ');
  const rows = [...of].map(([lift, by]) => ` l${lift}: ${by.map((i) => `s${i}`).join(' + ')} >= 1`).join('\n');
  return `Minimize\n obj: ${terms}\nSubject To\n${rows}\nBinary\n ${sets.map((_, i) => `s${i}`).join(' ')}\nEnd`;
}

/** What the solver chose, if it serves them all. */
export function coverFrom(sets: readonly CoverSet[], value: (name: string) => number): number[] | null {
  const chosen = sets.flatMap((_, i) => (value(`s${i}`) > 0.5 ? [i] : []));
  const served = new Set(chosen.flatMap((i) => sets[i]!.lifts));
  return sets.every(({ lifts }) => lifts.every((lift) => served.has(lift))) ? chosen : null;
}

/** Each lift from the chosen place where it takes least of the chart. `share`: of the chart, of a lift at a place. */
export function sharedOut<P extends CoverPlace>(places: readonly P[], share: (lift: number, at: Vec) => number): { place: P; lifts: number[] }[] {
  const out = places.map((place) => ({ place, lifts: [] as number[] }));
  for (const lift of new Set(places.flatMap(({ lifts }) => lifts))) {
    let best: (typeof out)[number] | null = null;
    let least = Infinity;
    for (const one of out) {
      if (!one.place.lifts.includes(lift)) continue;
      const taken = share(lift, one.place.at);
      if (taken < least || best === null) [best, least] = [one, taken];
    }
    best!.lifts.push(lift);
  }
  return out;
}
