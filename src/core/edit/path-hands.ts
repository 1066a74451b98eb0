import { angleOf, distance, sub, type Vec } from '../geometry/plane';
import type { PickContext } from '../checks/context';
import { slewAngle, type LiftPath, type Station } from '../settle/lift-path';
import { Missing } from '../verdict/missing';
import type { Pick } from '../document/schema';

/** Nearer to where it would go straight than this, a way is straight again [m]. */
const STRAIGHT = 0.02;

const slewed = ({ stations }: LiftPath): Station[] => stations.filter(({ phase }) => phase === 'slew');

/** Where the way of a pick is taken hold of: the middle of its slew; on two cranes the middle of the piece half way over. */
export function pathGrip({ path, drawn, hook }: PickContext): Vec | null {
  if (path instanceof Missing || hook === 'second') return null;
  if (drawn.second) return drawn.turned ? null : (drawn.second.via ?? middleOf(path));
  const slew = slewed(path);
  return slew[Math.floor(slew.length / 2)]?.hook ?? null;
}

/** The middle of what is carried, half way. */
function middleOf({ stations }: LiftPath): Vec | null {
  const half = stations[Math.floor(stations.length / 2)];
  if (!half) return null;
  const turn = (half.pieceDeg * Math.PI) / 180;
  return { x: half.hook.x + half.seen.toMiddle * Math.cos(turn), y: half.hook.y + half.seen.toMiddle * Math.sin(turn) };
}

/**
 * What a pick says once its way is drawn by its grip to a place: the radius held while slewing and the side it goes round by, as short a
 * way as can be said; on two cranes the place the piece is carried over. Null where there is nothing to draw.
 */
export function pathTo(context: PickContext, to: Vec, snap: (value: number) => number): Partial<Pick> | null {
  const { path, drawn, stand, hook } = context;
  if (path instanceof Missing || hook === 'second') return null;
  if (drawn.second) return drawn.turned ? null : { second: { ...drawn.second, via: { x: snap(to.x), y: snap(to.y) } } };
  const slew = slewed(path);
  const [first, last] = [path.stations[0], path.stations.at(-1)];
  if (!first || !last || slew.length === 0) return null;
  // From where it begins to slew to where it ends: a piece turned up first is not slewed from where it lay.
  const before = path.stations[path.stations.findIndex(({ phase }) => phase === 'boom out' || phase === 'slew') - 1] ?? first;
  const [a0, a1, at] = [before.bearingDeg, last.bearingDeg, angleOf(sub(to, stand.at))];
  const left = slewAngle(a0, a1, 'left');
  const reached = slewAngle(a0, at, 'left');
  const byLeft = reached <= left;
  const short = slewAngle(a0, a1, 'short') >= 0 === byLeft;
  const swing = short && drawn.swing === 'short' ? 'short' : byLeft ? 'left' : 'right';
  const [r0, r1] = [before.radius, last.radius];
  const gone = byLeft ? reached / (left || 360) : (360 - reached) / (360 - left || 360);
  const radius = distance(stand.at, to);
  return { swing, swingRadius: Math.abs(radius - (r0 + (r1 - r0) * gone)) < STRAIGHT ? null : snap(radius) };
}
