import { add, direction, rectangle, scale, type Vec } from '../geometry/plane';
import type { Crane, Plan, Stand } from './schema';

/** Beside a boom that lies people go along it (common practice) [m]. */
const BESIDE = 0.6;

/** The longest boom a crane lifts with at each stand. */
export function longestBooms({ picks }: Plan): ReadonlyMap<string, number> {
  const booms = new Map<string, number>();
  const put = (stand: string, boom: number | null) => boom !== null && booms.set(stand, Math.max(boom, booms.get(stand) ?? 0));
  for (const { stand, boom, second } of picks) {
    put(stand, boom);
    if (second) put(second.stand, second.boom);
  }
  return booms;
}

/** The ground a boom takes up that lies out from its crane, and those who work beside it. */
export function boomStrip({ at }: Stand, { pivotBack, boomWidth }: Crane, boom: number, towardsDeg: number): Vec[] {
  const long = boom - pivotBack;
  return rectangle(add(at, scale(direction(towardsDeg), long / 2)), long, boomWidth + 2 * BESIDE, towardsDeg);
}

/** Where the boom of a crane lies while it is put together at a stand; null: it comes whole, nothing is lifted there, or nobody says which way. */
export function boomGround(stand: Stand, crane: Crane, booms: ReadonlyMap<string, number>): Vec[] | null {
  const boom = booms.get(stand.id);
  const towardsDeg = stand.assembly?.towardsDeg ?? null;
  return crane.assembled && !crane.tower && boom !== undefined && towardsDeg !== null ? boomStrip(stand, crane, boom, towardsDeg) : null;
}
