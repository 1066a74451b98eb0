'use client';
import { useCallback, useEffect, useState } from 'react';
import { keyOf, type Check } from '@/core/plan/check';
import type { Fix } from '@/core/plan/fixes';
import { useJobStore } from './job-context';

/** So many rows are tried: those a person sees at once. */
const ROWS = 8;
/** A person who is still typing is not overtaken [ms]. */
const CALM = 400;

const NONE: ReadonlyMap<string, readonly Fix[]> = new Map();

/** What would settle the rows shown, found a moment after they came; and how one is taken. */
export function useFixes(checks: readonly Check[]): { fixes: ReadonlyMap<string, readonly Fix[]>; fix: (check: Check, fix: Fix) => void } {
  const store = useJobStore();
  const [found, setFound] = useState<{ of: readonly Check[]; fixes: ReadonlyMap<string, readonly Fix[]> }>({ of: checks, fixes: NONE });
  useEffect(() => {
    const open = checks.filter(({ verdict }) => verdict === 'stop' || verdict === 'missing').slice(0, ROWS);
    if (open.length === 0) return;
    let left = false;
    const find = async () => {
      for (const check of open) {
        const fixes = left ? [] : await store.getState().fixesOf(check);
        if (left) return;
        if (fixes.length > 0) setFound((known) => ({ of: checks, fixes: new Map([...(known.of === checks ? known.fixes : NONE), [keyOf(check), fixes]]) }));
      }
    };
    const soon = setTimeout(() => void find(), CALM);
    return () => {
      left = true;
      clearTimeout(soon);
    };
  }, [checks, store]);
  const fix = useCallback(
    (check: Check, { command }: Fix) => {
      const { act, goTo } = store.getState();
      act(command);
      // The card one was looking at is still the one looked at, wherever it stands now.
      const at = store.getState().history.plan.moves.findIndex(({ id }) => id === check.move);
      if (at >= 0) goTo(at);
    },
    [store],
  );
  return { fixes: found.of === checks ? found.fixes : NONE, fix };
}
