import { worst, type Check, type Verdict } from './check';
import type { Leg } from './schema';

/** What is checked of one leg of the way in. */
export const legChecksOf = (leg: Leg, checks: readonly Check[]): Check[] =>
  checks.filter((check) => check.station === 'wayIn' && check.subject === (leg.name || leg.kind));

/** The worst of it; null where nothing is checked there. */
export function legVerdict(leg: Leg, checks: readonly Check[]): Verdict | null {
  const own = legChecksOf(leg, checks);
  return own.length === 0 ? null : worst(own.map((check) => check.verdict));
}
