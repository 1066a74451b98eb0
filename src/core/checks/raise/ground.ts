import type { Trace } from '../../calc/evidence';
import type { Moment } from '../../replay/now';
import type { Raise, RaisePoint } from '../../document/schema';
import type { Context } from '../context';
import type { Place } from '../../verdict/build';

export const PRACTICE = 'Common practice: a rating that equals its load is a stop';

/** What is raised: how heavy, how long, where it balances, how deep, and how high its seats are. */
export interface Load {
  name: string;
  weight: number;
  length: number;
  cg: number;
  depth: number | null;
  /** level its underside comes to */
  level: number | null;
}

export interface Share {
  /** the most it comes to carry [N] */
  most: number;
  traces: Trace[];
}

/** All that the checks of one place of a lift without a crane share. */
export interface Ground {
  context: Context;
  raise: Raise;
  load: Load;
  share: Share;
  moment: Moment;
  at: (id: string, calc: { id: string; source: { text: string } }, source: string, part?: string) => Place;
}
export type Of<K extends RaisePoint['kind']> = Extract<RaisePoint, { kind: K }>;
