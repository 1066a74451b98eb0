'use client';
import { useMemo } from 'react';
import type { Plan } from '@/core/document/schema';
import { viewOfLine, viewOfWay, type LinePlan, type WayPlan } from '@/core/document/views';
import { useJob, usePlan } from '@/job/job-context';

const chosenOf = <T extends { id: string }>(list: readonly T[], chosen: string | null): T | null => list.find((one) => one.id === chosen) ?? list[0] ?? null;

/** The plan as the shored line whose fields are open sees it; null where there is none. */
export function useLine(): LinePlan | null {
  const plan = usePlan();
  const chosen = useJob((state) => state.line);
  return useMemo(() => lineShown(plan, chosen), [plan, chosen]);
}
const lineShown = (plan: Plan, chosen: string | null): LinePlan | null => {
  const line = chosenOf(plan.shoring.lines, chosen);
  return line && viewOfLine(plan, line);
};

/** The plan as the way in whose fields are open sees it; null where there is none. */
export function useWay(): WayPlan | null {
  const plan = usePlan();
  const chosen = useJob((state) => state.way);
  return useMemo(() => {
    const way = chosenOf(plan.ways, chosen);
    return way && viewOfWay(plan, way);
  }, [plan, chosen]);
}

function there<T>(view: T | null): T {
  if (view === null) throw new Error('used where no line or way is open');
  return view;
}
/** For the fields of what belongs to a line: they are drawn only where one is open. */
export const useLinePlan = (): LinePlan => there(useLine());
export const useWayPlan = (): WayPlan => there(useWay());
