import type { LiftPath, Station } from './lift-path';

/** How far a lift is looked at along its way: 0 where it lies, 1 where it is set. */
export interface Walk {
  pick: string;
  at: number;
}

/** The share of the way, at either end, in which it goes straight up and straight down. */
const UPRIGHT = 0.12;

/** Where on its way a hook is: the station, and how much of its travelling height is reached there. */
export function walkAt({ stations }: LiftPath, at: number): { index: number; station: Station; high: number; lowering: boolean } {
  const u = Math.min(1, Math.max(0, at));
  const last = stations.length - 1;
  const index = Math.round(Math.min(1, Math.max(0, (u - UPRIGHT) / (1 - 2 * UPRIGHT))) * last);
  const lowering = u > 1 - UPRIGHT;
  const high = lowering ? (1 - u) / UPRIGHT : Math.min(1, u / UPRIGHT);
  return { index, station: stations[index]!, high, lowering };
}

/** The share of the way at which a station is reached. */
export const walkTo = ({ stations }: LiftPath, index: number): number => UPRIGHT + (1 - 2 * UPRIGHT) * (index / Math.max(1, stations.length - 1));
