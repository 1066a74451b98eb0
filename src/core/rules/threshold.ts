import type { QuantityKind } from '../units';
import type { Source } from '../calc/define';

export type RuleSetId = 'us-asd' | 'eu-ls';

export interface Threshold {
  key: string;
  title: string;
  kind: QuantityKind;
  value: Record<RuleSetId, number>;
  /** range a person may set it in, SI */
  least: number;
  most: number;
  /** the published minimum or maximum it may not be set past; null: practice alone, free on both sides */
  floor: Floor | null;
  source: Record<RuleSetId, Source>;
}

/** A published bound of a threshold, by rule set. Past it on the unsafe side the job stops; the safe side is free. */
export interface Floor {
  /** `least`: going under it is unsafe; `most`: going over it is */
  unsafe: 'under' | 'over';
  at: Partial<Record<RuleSetId, { value: number; clause: string }>>;
  /** what the clause itself lets pass, and what it may ask beyond it */
  exceptions?: string;
}

export const under = (at: Floor['at'], exceptions?: string): Floor => ({ unsafe: 'under', at, ...(exceptions ? { exceptions } : {}) });
export const over = (at: Floor['at'], exceptions?: string): Floor => ({ unsafe: 'over', at, ...(exceptions ? { exceptions } : {}) });
export const bound = (value: number, clause: string) => ({ value, clause });

export const practice = (text = 'common practice'): Source => ({ basis: 'practice', text });
export const published = (text: string): Source => ({ basis: 'published', text });
export const memory = (text: string): Source => ({ basis: 'memory', text });
export const both = (source: Source): Record<RuleSetId, Source> => ({ 'us-asd': source, 'eu-ls': source });
export const alike = (value: number): Record<RuleSetId, number> => ({ 'us-asd': value, 'eu-ls': value });
