import type { Phrase } from '../calc/work';
import type { OffChart } from '../cranes/chart-lookup';

/** What asks more planning of a lift than its load does: it goes over people, over a railway, or unseen. */
export type Raises = 'people' | 'railway' | 'blind';

/** What a check found, as data. Words come from `describe` alone. Lengths m, forces N, masses kg, angles degrees. */
export type Finding =
  /** a sentence with its quantities in it; whoever shows it chooses the units */
  | { code: 'told'; words: Phrase; raises?: Raises }
  | { code: 'missing'; question: string }
  | { code: 'weight'; mark: string; mass: number; allowance: number; cg: number }
  | { code: 'moves.lacking'; mark: string; lacks: string[] }
  | { code: 'moves.complete'; mark: string }
  | { code: 'concrete'; bearing: string; result: number; needed: number; by: string }
  | { code: 'ground'; stand: string; corner: string; pressure: number; allowable: number }
  | { code: 'crane.tips'; stand: string; overDeg: number }
  | { code: 'crane.tail'; stand: string; what: string; gap: number; least: number }
  | { code: 'line.clearance'; line: string; distance: number; required: number }
  | { code: 'sling.tension'; tensions: readonly [number, number]; factor: number; rating: number }
  | { code: 'sling.angle'; leg: string; angleDeg: number; leastDeg: number }
  | { code: 'sling.tilt'; mark: string; lowEnd: string; tiltDeg: number; mostDeg: number }
  | { code: 'sling.impossible'; reason: string }
  | {
      code: 'lift.chart';
      gross: number;
      radius: number;
      /** the radius it was set at, where the load carries it out from there */
      set?: number;
      boom: number;
      capacity: number;
      chart?: string;
      chartId?: string;
      shared?: { share: number; chart: number };
    }
  | { code: 'lift.offChart'; gross: number; radius: number; set?: number; boom: number; off: OffChart }
  | { code: 'lift.boomShort'; boom: number; radius: number }
  | { code: 'lift.headRoom'; needed: number; available: number; radius: number; over: string | null }
  | { code: 'lift.boomGap'; what: string; gap: number; least: number }
  | { code: 'lift.wind'; gust: number; limit: number }
  | { code: 'pick.bending'; mark: string; moment: number; capacity: number; ratio: number }
  | { code: 'pick.hanging'; mark: string; moment: number; usable: number }
  | { code: 'set.bearing'; mark: string; at: string; length: number; least: number }
  | { code: 'set.postLoad'; at: string; beside: string[]; reaction: number; capacity: number; factored: boolean }
  | { code: 'set.uplift'; at: string; uplift: number }
  | { code: 'set.web'; mark: string; at: string; reaction: number; capacity: number }
  | { code: 'set.bending'; mark: string; moment: number; capacity: number }
  | { code: 'order'; title: string; lacking: string[] }
  | { code: 'release'; title: string; ends: { at: string; bolts: number }[]; least: number };
