'use client';
import { Accordion } from 'radix-ui';
import { verdicts, type Check } from '@/core/plan/check';
import type { UnitSystem } from '@/core/units';
import { CheckLine, checkKey } from './check-line';

/** Worst first; within a verdict the nearest to its limit first. */
export const worstFirst = (checks: readonly Check[]): Check[] =>
  [...checks].sort((a, b) => verdicts.indexOf(a.verdict) - verdicts.indexOf(b.verdict) || rank(b) - rank(a));

const rank = (check: Check): number => (check.quantity === 'count' ? -1 : (check.ratio ?? (check.verdict === 'clear' ? -2 : 2)));

export function CheckList({ checks, system, empty }: { checks: readonly Check[]; system: UnitSystem; empty: string }) {
  if (checks.length === 0) return <p className="px-3.5 py-3 text-soft">{empty}</p>;
  return (
    <Accordion.Root type="multiple" className="border-t border-line">
      {worstFirst(checks).map((check) => (
        <CheckLine key={checkKey(check)} check={check} system={system} />
      ))}
    </Accordion.Root>
  );
}
