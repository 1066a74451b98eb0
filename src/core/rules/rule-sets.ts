import type { Source } from '../calc/define';
import { practice, type RuleSetId, type Threshold } from './threshold';
import { weights } from './subjects/weights';
import { lifting } from './subjects/lifting';
import { slinging } from './subjects/slinging';
import { powerLines } from './subjects/power-lines';
import { strength } from './subjects/strength';
import { connections } from './subjects/connections';
import { shores } from './subjects/shores';
import { handling } from './subjects/handling';
import { launching } from './subjects/launching';
import { effort } from './subjects/effort';

export type { Floor, RuleSetId, Threshold } from './threshold';

export const ruleSetName: Record<RuleSetId, string> = { 'us-asd': 'US, allowable stress', 'eu-ls': 'European, limit state' };

/** The thresholds by what they are about, in the order a job meets them. */
export const thresholdSubjects = [
  { title: 'Weights and measures', of: weights },
  { title: 'Cranes and lifts', of: lifting },
  { title: 'Slings and how a piece hangs', of: slinging },
  { title: 'Power lines', of: powerLines },
  { title: 'Strength and stability', of: strength },
  { title: 'Seats, bolts and concrete', of: connections },
  { title: 'Shores, bents and striking', of: shores },
  { title: 'By hand, on the way in and on the road', of: handling },
  { title: 'Pushed over rollers', of: launching },
  { title: 'Hours and people', of: effort },
] as const;

/** Every threshold a check uses. A job may put its own value in place of any of them. */
export const thresholds = {
  ...weights,
  ...lifting,
  ...slinging,
  ...powerLines,
  ...strength,
  ...connections,
  ...shores,
  ...handling,
  ...launching,
  ...effort,
} as const satisfies Record<string, Threshold>;

export type ThresholdKey = keyof typeof thresholds;

export interface Material {
  modulus: number;
  shearModulus: number;
  source: string;
}

/** Elastic constants of steel by rule set. */
export const steelOf: Record<RuleSetId, Material> = {
  'us-asd': { modulus: 199947961501.88, shearModulus: 77221281683.48, source: 'AISC 360: E 29,000 ksi, G 11,200 ksi' },
  'eu-ls': { modulus: 210e9, shearModulus: 81e9, source: 'EN 1993-1-1 3.2.6: E 210 GPa, G 81 GPa' },
};

export interface Rules {
  id: RuleSetId;
  steel: Material;
  value(key: ThresholdKey): number;
  /** where the value in force comes from; the job’s own when it was changed */
  source(key: ThresholdKey): Source;
}

export function rulesOf(id: RuleSetId, own: Record<string, number>): Rules {
  return {
    id,
    steel: steelOf[id],
    value: (key) => own[key] ?? thresholds[key].value[id],
    source: (key) => (own[key] === undefined ? thresholds[key].source[id] : practice('set for this job')),
  };
}

/** Keys of the job's own thresholds that no check knows, or values outside their range. */
export function thresholdFault(key: string, value: number): string | null {
  const threshold: Threshold | undefined = (thresholds as Record<string, Threshold>)[key];
  if (!threshold) return `There is no threshold “${key}”: remove it.`;
  if (!(value >= threshold.least && value <= threshold.most)) return `${threshold.title} is ${value}: give ${threshold.least} to ${threshold.most}.`;
  return null;
}

/** Own values of a job that lie on the unsafe side of what is published for its rule set. */
export function belowFloor(id: RuleSetId, own: Record<string, number>): { threshold: Threshold; value: number; at: { value: number; clause: string } }[] {
  return Object.entries(own).flatMap(([key, value]) => {
    const threshold: Threshold | undefined = (thresholds as Record<string, Threshold>)[key];
    const at = threshold?.floor?.at[id];
    if (!threshold?.floor || !at) return [];
    const past = threshold.floor.unsafe === 'under' ? value < at.value * (1 - 1e-9) : value > at.value * (1 + 1e-9);
    return past ? [{ threshold, value, at }] : [];
  });
}
