import { verdicts, type Check } from './check';

const rank = (check: Check): number => (check.quantity === 'count' ? -1 : (check.ratio ?? (check.verdict === 'clear' ? -2 : 2)));

/** Worst first; within a verdict the nearest to its limit first. */
export const worstFirst = (checks: readonly Check[]): Check[] =>
  [...checks].sort((a, b) => verdicts.indexOf(a.verdict) - verdicts.indexOf(b.verdict) || rank(b) - rank(a));
