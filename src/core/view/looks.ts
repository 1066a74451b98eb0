import type { Plan } from '../document/schema';
import type { Look } from './elevation-scene';

/** Ways the elevation may be seen in a job, in the order one turns through them. */
export const looksOf = (plan: Plan): Look[] => [
  'beam',
  ...(plan.picks.length > 0 ? (['boom'] as const) : []),
  ...(plan.shoring.lines.some((line) => line.storeys.length > 0) ? (['across'] as const) : []),
];

export function nextLook(plan: Plan, look: Look): Look {
  const looks = looksOf(plan);
  return looks[(looks.indexOf(look) + 1) % looks.length] ?? 'beam';
}

export const lookWords: Record<Look, string> = { beam: 'Square to the beam', boom: 'Square to the boom', across: 'Cut across the line' };
