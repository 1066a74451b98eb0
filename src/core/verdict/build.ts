import type { Static, TObject } from 'typebox';
import { attempt, type Outcome } from '../calc/attempt';
import type { Calc } from '../calc/define';
import type { Trace } from '../calc/evidence';
import type { Phrase } from '../calc/work';
import type { Rules, ThresholdKey } from '../rules/rule-sets';
import type { QuantityKind } from '../units';
import { judge, type About, type AboutKind, type Check, type StationId } from './check';
import type { Finding, Raises } from './findings';

/** A finding told in words, its quantities in whatever units the reader has. */
export const told = (words: Phrase, raises?: Raises) => ({ code: 'told' as const, words, ...(raises ? { raises } : {}) });

export interface Place {
  id: string;
  subject: string;
  about: About;
  station: StationId;
  move: string | null;
  calc: string;
  source: string;
}

/** Name and id of the thing a check is about. */
export const on = (kind: AboutKind, thing: { id: string }, subject: string, part?: string): { subject: string; about: About } => ({
  subject,
  about: { kind, id: thing.id, ...(part === undefined ? {} : { part }) },
});

/** Run a calculation and keep the evidence. */
export function traced<I extends TObject, O extends TObject>(calc: Calc<I, O>, input: Static<I>): { outcome: Outcome<Static<O>>; traces: Trace[] } {
  const outcome = attempt(calc, input);
  return { outcome, traces: outcome.ok ? [{ calc: calc.id, input, output: outcome.output }] : [] };
}

export function missingCheck(place: Place, quantity: QuantityKind, question: string, traces: Trace[] = []): Check {
  return { ...place, demand: null, capacity: null, quantity, ratio: null, caution: null, verdict: 'missing', finding: { code: 'missing', question }, traces };
}

export function ratioCheck(
  place: Place,
  numbers: { demand: number; capacity: number; quantity: QuantityKind; caution: number | null; inclusive?: boolean; ratio?: number },
  finding: Finding,
  traces: Trace[],
): Check {
  const judged =
    numbers.ratio === undefined
      ? judge(numbers.demand, numbers.capacity, numbers.caution, numbers.inclusive)
      : judge(numbers.ratio, 1, numbers.caution, numbers.inclusive);
  // Each field by its name: a spread of so many shapes costs more than all the rest of a check.
  return {
    id: place.id,
    subject: place.subject,
    about: place.about,
    station: place.station,
    move: place.move,
    calc: place.calc,
    source: place.source,
    demand: numbers.demand,
    capacity: numbers.capacity,
    quantity: numbers.quantity,
    ratio: judged.ratio,
    caution: numbers.caution,
    verdict: judged.verdict,
    finding,
    traces,
  };
}

/** A stop that has no capacity to measure against. */
export function flatStop(place: Place, quantity: QuantityKind, finding: Finding, traces: Trace[], demand: number | null = null): Check {
  return { ...place, demand, capacity: null, quantity, ratio: null, caution: null, verdict: 'stop', finding, traces };
}

/** Source line of a check that leans on thresholds of the rule set. */
export function sourced(text: string, rules: Rules, ...keys: ThresholdKey[]): string {
  const bases = keys.map((key) => rules.source(key).text);
  return [text, ...new Set(bases)].join(' · ');
}

/** Clear, with nothing to measure. */
export const said = (place: Place, words: Phrase, raises?: Raises): Check => ({
  ...ratioCheck(place, { demand: 0, capacity: 1, quantity: 'count', caution: null }, told(words, raises), []),
  demand: null,
  capacity: null,
  ratio: null,
});
