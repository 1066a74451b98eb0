import type { Trace } from '../calc/evidence';
import type { QuantityKind } from '../units';
import type { Finding } from './findings';

export type Verdict = 'clear' | 'tight' | 'stop' | 'missing';
export const verdicts: readonly Verdict[] = ['stop', 'missing', 'tight', 'clear'];

/** Stations of the walk, in the order people work. */
export const stations = ['measure', 'steel', 'wayIn', 'shores', 'gear', 'picks', 'runSheet', 'days', 'log'] as const;
export type StationId = (typeof stations)[number];

/** The thing a check is about, by its id: names are for reading only, two things may share one. */
export interface About {
  kind: AboutKind;
  id: string;
  /** which part of it, where one check has several */
  part?: string;
}
export const aboutKinds = [
  'job',
  'piece',
  'bearing',
  'pick',
  'raise',
  'string',
  'launch',
  'roller',
  'stand',
  'crane',
  'powerLine',
  'obstruction',
  'zone',
  'yard',
  'signaller',
  'opening',
  'pattern',
  'spanLine',
  'overlay',
  'link',
  'member',
  'yardPlace',
  'leg',
  'splice',
  'way',
  'line',
  'storey',
  'shore',
  'make',
  'beam',
  'support',
  'joint',
  'brace',
  'strikeStep',
  'watch',
  'stock',
  'hold',
  'move',
  'threshold',
] as const;
export type AboutKind = (typeof aboutKinds)[number];

export interface Check {
  /** what is checked, e.g. `lift.chart`; unique together with about and move */
  id: string;
  subject: string;
  about: About;
  station: StationId;
  /** the move it belongs to; null: before the first */
  move: string | null;
  calc: string;
  demand: number | null;
  capacity: number | null;
  quantity: QuantityKind;
  ratio: number | null;
  /** ratio from which it is tight; null where there is no such step */
  caution: number | null;
  verdict: Verdict;
  finding: Finding;
  source: string;
  traces: Trace[];
}

/** What is checked and of what: the same from move to move and from edit to edit. */
export const keyOf = ({ id, about: { kind, id: thing, part } }: Pick<Check, 'id' | 'about'>): string =>
  [id, kind, thing, ...(part === undefined ? [] : [part])].join('/');

export const worst = (list: readonly Verdict[]): Verdict => verdicts.find((verdict) => list.includes(verdict)) ?? 'clear';

export interface Judgement {
  ratio: number;
  verdict: Verdict;
}

/**
 * Demand against capacity. A rating that equals its load is a stop; `inclusive` is for counts and least distances,
 * where reaching the figure is enough. Written so that a NaN stops.
 */
export function judge(demand: number, capacity: number, caution: number | null, inclusive = false): Judgement {
  const ratio = capacity > 0 ? demand / capacity : demand > 0 ? Infinity : 0;
  const passes = capacity > 0 || (inclusive && demand <= 0) ? (inclusive ? ratio <= 1 + 1e-9 : ratio < 1) : false;
  if (!passes) return { ratio, verdict: 'stop' };
  return { ratio, verdict: caution !== null && ratio > caution ? 'tight' : 'clear' };
}
