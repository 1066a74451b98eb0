import { worst, type Check, type Verdict } from '../../verdict/check';
import type { Leg } from '../../document/schema';

const called = (leg: Leg): string => leg.name.trim() || leg.kind;

/** What a leg of the way is called in its checks: by its number too when another bears the same name. */
export function legSubject(leg: Leg, legs: readonly Leg[]): string {
  const name = called(leg);
  return legs.filter((one) => called(one) === name).length > 1 ? `${name}, leg ${legs.findIndex((one) => one.id === leg.id) + 1}` : name;
}

/** What is checked of one leg of the way in. */
export const legChecksOf = (leg: Leg, checks: readonly Check[]): Check[] => checks.filter((check) => check.about.kind === 'leg' && check.about.id === leg.id);

/** The worst of it; null where nothing is checked there. */
export function legVerdict(leg: Leg, checks: readonly Check[]): Verdict | null {
  const own = legChecksOf(leg, checks);
  return own.length === 0 ? null : worst(own.map((check) => check.verdict));
}
