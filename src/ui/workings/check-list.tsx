'use client';
import * as Accordion from '@radix-ui/react-accordion';
import { memo, useState, type ReactNode } from 'react';
import { keyOf, type Check } from '@/core/plan/check';
import type { Fix } from '@/core/plan/fixes';
import { worstFirst } from '@/core/plan/worst-first';
import type { UnitSystem } from '@/core/units';
import { CheckLine, checkKey } from './check-line';

/** More than this at once is no longer read; the rest is a press away. */
const SHOWN = 60;

export const CheckList = memo(function CheckList({
  checks,
  system,
  empty,
  onGo,
  fixes,
  onFix,
  beyond,
}: {
  checks: readonly Check[];
  system: UnitSystem;
  empty: string;
  /** where something is missing: take the person to it */
  onGo?: (check: Check) => void;
  /** what would settle a row, by the key of the row */
  fixes?: ReadonlyMap<string, readonly Fix[]>;
  onFix?: (check: Check, fix: Fix) => void;
  /** what an opened row shows beyond its own working */
  beyond?: (check: Check) => ReactNode;
}) {
  const [all, setAll] = useState(false);
  if (checks.length === 0) return <p className="px-3.5 py-3 text-soft">{empty}</p>;
  const sorted = worstFirst(checks);
  const left = all ? 0 : sorted.length - SHOWN;
  return (
    <Accordion.Root type="multiple" className="border-t border-line">
      {(left > 0 ? sorted.slice(0, SHOWN) : sorted).map((check) => (
        <CheckLine key={checkKey(check)} check={check} system={system} onGo={onGo} fixes={fixes?.get(keyOf(check))} onFix={onFix} beyond={beyond} />
      ))}
      {left > 0 && (
        <button type="button" onClick={() => setAll(true)} className="w-full px-3.5 py-2 text-left text-soft hover:bg-board">
          {left} more, none worse than these. Show them.
        </button>
      )}
    </Accordion.Root>
  );
});
