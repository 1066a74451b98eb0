'use client';
import { useCallback, useEffect, useState } from 'react';
import { keyOf, type Check } from '@/core/verdict/check';
import type { Fix } from '@/core/edit/fixes';
import type { Plan } from '@/core/document/schema';
import { useJobStore, usePlan } from '../job-context';

/** So many rows are tried: those a person sees at once. */
const ROWS = 8;
/** A person who is still typing is not overtaken [ms]. */
const CALM = 400;

const NONE: ReadonlyMap<string, readonly Fix[]> = new Map();

/** What would settle the rows shown, found a moment after they came; and how one is taken. */
export function useFixes(checks: readonly Check[]): { fixes: ReadonlyMap<string, readonly Fix[]>; fix: (check: Check, fix: Fix) => void } {
  const store = useJobStore();
  const plan = usePlan();
  const [found, setFound] = useState<{ of: readonly Check[]; plan: Plan; fixes: ReadonlyMap<string, readonly Fix[]> }>({ of: checks, plan, fixes: NONE });
  useEffect(() => {
    const open = checks.filter(({ verdict }) => verdict === 'stop' || verdict === 'missing').slice(0, ROWS);
    if (open.length === 0) return;
    let left = false;
    // What settles several rows is offered once, at the worst of them.
    const offered = new Set<string>();
    const find = async () => {
      for (const check of open) {
        const fixes = left ? [] : (await store.getState().fixesOf(check)).filter(({ words }) => !offered.has(words));
        if (left) return;
        for (const { words } of fixes) offered.add(words);
        if (fixes.length > 0)
          setFound((known) => ({
            of: checks,
            plan,
            fixes: new Map([...(known.of === checks && known.plan === plan ? known.fixes : NONE), [keyOf(check), fixes]]),
          }));
      }
    };
    const soon = setTimeout(() => void find(), CALM);
    return () => {
      left = true;
      clearTimeout(soon);
    };
  }, [checks, plan, store]);
  const fix = useCallback(
    (check: Check, { command }: Fix) => {
      const { act, goTo, history } = store.getState();
      if (history.plan !== plan) return;
      act(command);
      // The card one was looking at is still the one looked at, wherever it stands now.
      const at = store.getState().history.plan.moves.findIndex(({ id }) => id === check.move);
      if (at >= 0) goTo(at);
    },
    [plan, store],
  );
  return { fixes: found.of === checks && found.plan === plan ? found.fixes : NONE, fix };
}
