import type { Vec } from '../../geometry/plane';
import type { Stand } from '../../document/schema';
import type { LiftPath } from '../../settle/lift-path';
import { underLoad, type Gives } from '../../settle/under-load';
import { GRAVITY } from '../../units';
import { judge } from '../../verdict/check';
import { Missing } from '../../verdict/missing';
import type { PickContext } from '../context';
import { pathFrom } from '../lift/pick-context';
import { outriggerParts, worstOutrigger, worstTrack } from '../site/under-crane';
import { Swept } from './swept';

const RAD = Math.PI / 180;
/** Closer to what is allowed than this the checks themselves are asked. */
const MARGIN = 1e-6;

/** What a crane and its load weigh, and how far off the slew centre along the boom, which grows with the radius. */
interface Loading {
  weight: number;
  /** moment of the carrier, forward and to the left */
  fixed: { front: number; left: number };
  /** moment along the boom: `at` with the hook on the slew centre, `more` for each metre of radius */
  along: { at: number; more: number };
}

/** The ground under a crane wherever it stands, turned and packed as it is at its stand and on ground as good as there. */
export class StandGround {
  private readonly swept: Swept;
  private readonly heavy: Loading;
  private readonly light: Loading;
  private readonly picked: PickContext;
  /** what may press on one mat [N], or under a track [Pa] */
  private readonly allowed: number;

  constructor(
    picked: PickContext,
    path: LiftPath,
    private readonly gross: { mass: number; least: number },
    private readonly gives: Gives,
    { padArea, groundAllowable }: { padArea: number; groundAllowable: number },
  ) {
    this.picked = { ...picked, loaded: (radius) => underLoad(gives, picked.pick.boom, radius) };
    this.swept = new Swept(picked, path);
    this.allowed = picked.crane.tracks ? groundAllowable : groundAllowable * padArea;
    this.heavy = this.loading(gross.mass);
    this.light = this.loading(gross.least);
  }

  private loading(mass: number): Loading {
    const { crane, pick } = this.picked;
    // The moment along the boom is linear in the radius: two radii tell all of it.
    const at = (radius: number) => outriggerParts(crane, pick.boom, radius, mass).reduce((sum, part) => sum + ('r' in part ? part.weight * part.r : 0), 0);
    const fixed = { front: 0, left: 0 };
    for (const part of outriggerParts(crane, pick.boom, 0, mass))
      if ('x' in part) {
        fixed.front += part.weight * part.x;
        fixed.left += part.weight * part.y;
      }
    const weight = crane.parts.reduce((sum, part) => sum + part.mass, mass) * GRAVITY;
    return { weight, fixed, along: { at: at(0), more: at(1) - at(0) } };
  }

  /** With the crane at a place: nothing under it gives way, and it does not tip, on all of the way. */
  at(place: Vec): boolean {
    const { swept, heavy, light, gives, picked } = this;
    const round = { at: place, by: 0 };
    const [near, far] = [Math.max(0, swept.near(round)), swept.far(round)];
    // With the load on, the hook is out by no more than where the boom is steepest.
    const out = far + Math.max(0, underLoad(gives, picked.pick.boom, near) - near);
    if (this.allRound(heavy, near, out) && this.allRound(light, near, far)) return true;
    return this.along(place);
  }

  /** Whichever way the boom points. */
  private allRound({ weight, fixed, along }: Loading, near: number, far: number): boolean {
    const { crane } = this.picked;
    if (crane.tracks) return false;
    const moment = Math.max(Math.abs(along.at + along.more * near), Math.abs(along.at + along.more * far));
    const [a, b] = [1 / (2 * crane.baseLength), 1 / (2 * crane.baseWidth)];
    const [front, left] = [Math.abs(fixed.front) * a, Math.abs(fixed.left) * b];
    const worst = onCorners(weight, front + moment * a, left + moment * b, front + left + moment * Math.hypot(a, b));
    return worst < this.allowed * (1 - MARGIN);
  }

  /** Along the way of the lift: by the load on the worst corner or track at each station, and where that is close by the lines of the checks. */
  private along(at: Vec): boolean {
    const { picked, gross, allowed } = this;
    const { crane, stand, pick, loaded } = picked;
    const path = pathFrom(picked, at);
    if (!path) return false;
    let worst = 0;
    for (const { radius, bearingDeg } of path.stations) {
      const azimuth = (bearingDeg - stand.azimuthDeg) * RAD;
      worst = Math.max(worst, this.pressing(this.heavy, loaded(radius), azimuth), this.pressing(this.light, radius, azimuth));
      if (worst > allowed * (1 + MARGIN)) return false;
    }
    if (worst < allowed * (1 - MARGIN)) return true;
    if (crane.tracks) {
      const under = worstTrack(crane, stand, pick.boom, path, gross, loaded);
      return !(under instanceof Missing) && 'pressure' in under && stands(under.pressure, stand);
    }
    const under = worstOutrigger(crane, stand, pick.boom, path, gross, loaded);
    return !(under instanceof Missing) && 'reaction' in under && stands(under.reaction / stand.padArea!, stand);
  }

  /** What the worst corner carries [N], or the worst track presses with [Pa]; Infinity where it tips. */
  private pressing({ weight, fixed, along }: Loading, radius: number, azimuth: number): number {
    const { baseLength, baseWidth, tracks } = this.picked.crane;
    const moment = along.at + along.more * radius;
    const front = Math.abs(fixed.front + moment * Math.cos(azimuth));
    const left = Math.abs(fixed.left + moment * Math.sin(azimuth));
    if (!tracks) return onCorners(weight, front / (2 * baseLength), left / (2 * baseWidth));
    const off = front / weight;
    if (off >= baseLength / 2 || left / baseWidth > weight / 2) return Infinity;
    const load = weight / 2 + left / baseWidth;
    const shoe = tracks.shoe!;
    return off <= baseLength / 6 ? (load / (shoe * baseLength)) * (1 + (6 * off) / baseLength) : (2 * load) / (shoe * 3 * (baseLength / 2 - off));
  }
}

const stands = (pressure: number, { groundAllowable }: Stand): boolean => judge(pressure, groundAllowable!, null).verdict !== 'stop';

/**
 * The worst of four corners under a weight and moments `front` = M/2a and `left` = M/2b: it carries V/4 + s with s = front + left, and
 * twice s where its opposite lifts; the base tips where either is more than V/4. It grows with each of the two.
 */
function onCorners(weight: number, front: number, left: number, both = front + left): number {
  const quarter = weight / 4;
  if (Math.max(front, left) > quarter) return Infinity;
  return both <= quarter ? quarter + both : 2 * both;
}
