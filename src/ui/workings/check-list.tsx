'use client';
import * as Accordion from '@radix-ui/react-accordion';
import { memo } from 'react';
import type { Check } from '@/core/plan/check';
import { worstFirst } from '@/core/plan/worst-first';
import type { UnitSystem } from '@/core/units';
import { CheckLine, checkKey } from './check-line';

export const CheckList = memo(function CheckList({ checks, system, empty }: { checks: readonly Check[]; system: UnitSystem; empty: string }) {
  if (checks.length === 0) return <p className="px-3.5 py-3 text-soft">{empty}</p>;
  return (
    <Accordion.Root type="multiple" className="border-t border-line">
      {worstFirst(checks).map((check) => (
        <CheckLine key={checkKey(check)} check={check} system={system} />
      ))}
    </Accordion.Root>
  );
});
