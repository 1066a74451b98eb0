import type { Plan, ShoredLine, WayIn } from '@/core/document/schema';
import { viewOfLine, viewOfWay, type LinePlan, type WayPlan } from '@/core/document/views';

function there<T>(thing: T | undefined, what: string): T {
  if (thing === undefined) throw new Error(`the plan has no ${what}`);
  return thing;
}

/** The line a test speaks of where its plan has one only. */
export const lineIn = (plan: Plan): ShoredLine => there(plan.shoring.lines[0], 'shored line');
export const asLine = <P extends Plan>(plan: P): LinePlan<P> => viewOfLine(plan, lineIn(plan));

export const wayIn = (plan: Plan): WayIn => there(plan.ways[0], 'way in');
export const asWay = <P extends Plan>(plan: P): WayPlan<P> => viewOfWay(plan, wayIn(plan));
