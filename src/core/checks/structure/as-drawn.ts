import { pointAt } from '../../document/place';
import type { Joint } from '../../document/schema';
import { stageLine } from '../../stage/line.calc';
import { Missing } from '../../verdict/missing';
import type { Ground } from './ground';
import { place, type about } from './places';

/** Of the structure as it is drawn, before any move. */
export const before = (id: string, of: ReturnType<typeof about>, source: string) => place(id, of, null, stageLine.id, source, 'steel');

/** What lies on, hangs in or comes to another reaches its height, whatever plate is between them: so far from each other they do not meet [m]. */
const HEIGHTS_OFF = 0.1;

/** From the height of one to that of the other, where they meet; 0 where they are at one height, or nobody knows how deep one is. */
export function heightsApart(a: Joint['a'], b: Joint['b'], beams: Ground['beams']): number {
  const [one, other] = [a, b].map(({ piece, at }) => {
    const settled = beams.get(piece)!;
    const { z } = pointAt(settled.place!, at);
    if (settled.place!.upright) return { from: z, to: z };
    return settled.section instanceof Missing ? null : { from: z, to: z + settled.section.depth };
  });
  if (!one || !other) return 0;
  const gap = Math.max(0, one.from - other.to, other.from - one.to);
  return gap > HEIGHTS_OFF ? gap : 0;
}
