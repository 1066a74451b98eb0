import type { Rules } from '../../rules/rule-sets';
import type { SectionRow } from '../../steel/section-row';
import type { Context } from '../context';
import { bendingCapacity, postCapacity, shearCapacity } from '../../settle/section-strength';
import type { Line } from './forces';
import { heldOf, type Holds } from '../../replay/held';
import type { SettledBeam } from '../../settle/model';
import type { StructureMoment } from '../../replay/moment';
import type { WindThen } from '../../settle/wind';
import type { Nights } from './nights';
import type { Said } from './worst';

/** What a support brings onto its bent or the links it stands on [N]; null: nobody knows. */
export interface Onward {
  support: string;
  plain: number | null;
  factored: number | null;
}

/** The greater of each over the moves; once not known, not known. */
export const mostOf = (a: Onward, b: Onward): Onward => ({ support: a.support, plain: most(a.plain, b.plain), factored: most(a.factored, b.factored) });
const most = (a: number | null, b: number | null): number | null => (a === null || b === null ? null : Math.max(a, b));

/** What every check of the structure reads. */
export interface Ground {
  context: Context;
  beams: Map<string, SettledBeam>;
  by: Holds;
  /** what is said at the move that is looked at */
  rows: Said;
  /** what supports bring onto what they stand on at that move */
  onward: Onward[];
  nights: Nights;
  /** the wind of that move */
  wind: WindThen;
  /** ratio from which a strength is tight */
  caution: number;
  /** each piece’s line as it stands now */
  latest: ReadonlyMap<string, Line>;
  /** longest stretch of a piece’s line that nothing holds */
  freeOf: (line: Line, moment: StructureMoment, beam: string) => number;
  strengthOf: (settled: SettledBeam, section: SectionRow, free: number) => Strength;
}

/** What a piece is good for, each worked out when it is first asked for. */
interface Strength {
  bending: () => ReturnType<typeof bendingCapacity>;
  shear: () => ReturnType<typeof shearCapacity>;
  /** pressed along itself, held nowhere between about either axis */
  post: () => ReturnType<typeof postCapacity>;
}

/** Strengths by make and unbraced length, each worked out once. */
export function strengths(rules: Rules): Ground['strengthOf'] {
  const known = new Map<string, Strength>();
  return ({ make, fy }, section, unbraced) => {
    // To the micrometre, so that the same length by another way of adding is the same answer.
    const free = Number(unbraced.toFixed(6));
    const key = `${make.id} ${free}`;
    let found = known.get(key);
    if (!found) {
      found = {
        bending: once(() => bendingCapacity(section, fy, rules, { length: free, factor: 1 })),
        shear: once(() => shearCapacity(section, fy, rules)),
        post: once(() => postCapacity(section, fy, { strong: free, weak: free }, rules)),
      };
      known.set(key, found);
    }
    return found;
  };
}

function once<T>(make: () => T): () => T {
  let made: { value: T } | null = null;
  return () => (made ??= { value: make() }).value;
}

/** Longest free stretches, by the line at the moment. */
export function freeLengths(by: Holds): Ground['freeOf'] {
  return (line, moment, beam) => heldOf(line, moment, by).get(beam)?.free ?? 0;
}
