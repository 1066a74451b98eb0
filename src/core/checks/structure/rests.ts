import type { Line } from './forces';
import type { Ground } from './ground';

/** A seat or a joint on which a line rests, and how far it is from a place. */
export interface Rest {
  key: string;
  off: number;
}

/** A place on a line: along it, and the rests nearest to it before and past it. */
export interface Between {
  line: Line;
  x: number;
  left: Rest | null;
  right: Rest | null;
}

/** Where a place on a piece lies between the rests of its line; null while that is not worked out. */
export function betweenRests({ by, latest }: Pick<Ground, 'by' | 'latest'>, piece: string, spot: number): Between | null {
  const line = latest.get(piece);
  const span = line?.spans.find(({ id }) => id === piece);
  if (!line || !span) return null;
  const placed = ({ from, to, flipped }: Line['spans'][number], at: number) => (flipped ? to - at : from + at);
  const x = placed(span, spot);
  const rests = line.spans
    .flatMap((one) => [
      ...(by.seats.get(one.id) ?? []).map(({ key, at }) => ({ key, x: placed(one, at) })),
      ...(by.joints.get(one.id) ?? []).flatMap(({ joint, at }) => (joint.a.piece === one.id ? [{ key: joint.id, x: placed(one, at) }] : [])),
    ])
    .filter(({ key }) => line.carried.plain.has(key));
  const nearest = (list: typeof rests): Rest | null =>
    list.reduce<Rest | null>((best, one) => (best === null || Math.abs(one.x - x) < best.off ? { key: one.key, off: Math.abs(one.x - x) } : best), null);
  return { line, x, left: nearest(rests.filter((one) => one.x <= x)), right: nearest(rests.filter((one) => one.x > x)) };
}

/** What a force of one there bends the line, as a beam that turns freely at the two rests beside it; past its last rest by the whole arm [m]. */
export function bendsBy({ left, right }: Between): number {
  if (!left || !right) return left?.off ?? right?.off ?? 0;
  return (left.off * right.off) / (left.off + right.off);
}

/** How far a force of one there moves it upright, for so stiff a line [m/N]. */
export function givesBy({ left, right }: Between, stiffness: number): number {
  // Past its last rest it turns there too: no less than twice as far as held from turning.
  if (!left || !right) return (2 * (left?.off ?? right?.off ?? 0) ** 3) / (3 * stiffness);
  return (left.off * right.off) ** 2 / (3 * stiffness * (left.off + right.off));
}

/** Of a force there what comes onto each of the two rests beside it. */
export function sharesOf({ left, right }: Between): { key: string; share: number }[] {
  if (left && right) {
    const whole = left.off + right.off;
    return [
      { key: left.key, share: right.off / whole },
      { key: right.key, share: left.off / whole },
    ];
  }
  const one = left ?? right;
  return one ? [{ key: one.key, share: 1 }] : [];
}
