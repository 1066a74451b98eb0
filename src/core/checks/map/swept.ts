import { angleOf, distance, sub, toSegment, wrapDeg, type Vec } from '../../geometry/plane';
import { slewAngle, type LiftPath } from '../../settle/lift-path';
import type { PickContext } from '../context';

/** All round a place, or from a bearing so many degrees to either side. */
export type Sector = { middle: number; half: number } | null;
const DEG = 180 / Math.PI;
/** Rounding in the bounds is on the side of a doubt [m]. */
export const SLACK = 1e-6;

/** A place of the crane somewhere round here, no further from it than this: 0 is the place itself. */
export interface Round {
  at: Vec;
  by: number;
}

/** Between which radii a hook is carried, and through which bearings, wherever its crane stands. */
export class Swept {
  private readonly straight: readonly Vec[];
  private readonly to: Vec;
  private readonly swing: PickContext['pick']['swing'];
  private readonly swingRadius: number | null;

  constructor({ pick, turned }: Pick<PickContext, 'pick' | 'turned'>, path: LiftPath) {
    const hooks = path.stations.map(({ hook }) => hook);
    this.straight = [hooks[0]!, ...(turned ? [{ x: turned.low.x, y: turned.low.y }] : [])];
    this.to = hooks.at(-1)!;
    this.swing = pick.swing;
    this.swingRadius = pick.swingRadius;
  }

  /** No hook is further from a crane anywhere round here. */
  far({ at, by }: Round): number {
    return Math.max(...[...this.straight, this.to].map((end) => distance(at, end)), this.swingRadius ?? 0) + by + SLACK;
  }

  /** No hook is nearer to it. */
  near({ at, by }: Round): number {
    const [first, low] = this.straight;
    return Math.min(distance(at, this.to), this.swingRadius ?? Infinity, low ? toSegment(at, first!, low) : distance(at, first!)) - by - SLACK;
  }

  /** Which bearings the hook is carried through, wherever round here the crane stands; null: it may be any. */
  sector({ at, by }: Round, near: number): Sector {
    if (near <= 0.1) return null;
    const { straight, to, swing } = this;
    const wide = 2 * Math.asin(Math.min(1, by / (near + by))) * DEG + 0.01;
    const from = angleOf(sub(straight.at(-1)!, at));
    const turn = slewAngle(from, angleOf(sub(to, at)), swing);
    // A little aside it may go round the other way.
    const [short, long] = [Math.abs(turn), swing === 'short' ? 180 : 360];
    if (by > 0 && (long - short < 2 * wide || (swing !== 'short' && short < 2 * wide))) return null;
    const lying = straight.length > 1 ? wrapDeg(angleOf(sub(straight[0]!, at)) - from) : 0;
    const [least, most] = [Math.min(0, turn, lying), Math.max(0, turn, lying)];
    return { middle: from + (least + most) / 2, half: (most - least) / 2 + wide };
  }
}
