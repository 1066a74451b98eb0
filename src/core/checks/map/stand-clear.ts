import { lineOver, type BoomLine } from '../../cranes/boom-geometry';
import { angleOf, distance, mix, sub, toSegment, wrapDeg, type Vec } from '../../geometry/plane';
import type { Rules } from '../../rules/rule-sets';
import { standingBefore, type Body } from '../../settle/bodies';
import { judge } from '../../verdict/check';
import { gapsToHung, gapToThing, hangsUnder, obstructionsOf, steelAbout, sweepOf, type Hangs, type Standing } from '../lift/boom-gaps';
import type { PickContext } from '../context';
import { ownHeight, travelHeight } from '../lift/travel';
import type { Hanging } from '../../settle/hanging';
import type { LiftPath, Station } from '../../settle/lift-path';
import type { OpenZone } from '../../document/zones';
import { outlineOf, passing } from '../site/zones';
import { SLACK, Swept, type Round, type Sector } from './swept';
import { pathFrom } from '../lift/pick-context';
import { breadthOf, type PieceWeight } from '../../settle/piece-weight';
import type { SettledPlan } from '../../settle/settle';
import { underLoad, type Gives } from '../../settle/under-load';
import { driftOf } from '../lift/wind-on-load';

/** A thing that stands, inside a capsule: no part of it is further from a line than this. */
interface Thing {
  of: Standing;
  a: Vec;
  b: Vec;
  half: number;
}

function thingOf(of: Standing): Thing {
  const { outline } = of;
  const [p, q, r, s] = outline;
  let [a, b] = [p!, p!];
  if (p && q && r && s && outline.length === 4) {
    const [one, other] = [
      [mix(p, s, 0.5), mix(q, r, 0.5)],
      [mix(p, q, 0.5), mix(r, s, 0.5)],
    ] as const;
    [a, b] = distance(...one) >= distance(...other) ? one : other;
  }
  return { of, a, b, half: Math.max(...outline.map((point) => toSegment(point, a, b))) };
}

const DEG = 180 / Math.PI;
const within = (sector: Sector, { middle, half }: { middle: number; half: number }): boolean =>
  sector === null || Math.abs(wrapDeg(middle - sector.middle)) <= sector.half + half;

/** A zone nobody closes, inside a capsule. */
interface Crossed extends Thing {
  zone: OpenZone;
}

/** What of a lift is not clear for certain round a place. */
interface Doubt {
  /** things the boom may come too near to */
  things: Thing[];
  /** things the load may be carried over, the tallest first */
  under: Thing[];
  /** zones nobody closes that it may pass over */
  zones: Crossed[];
  /** head room, and the boom over its load */
  hook: boolean;
}

/** A block of the map is so many cells wide, and so are the blocks in it. */
const BLOCKS = [16, 4] as const;

/**
 * Whether a lift has room under its boom, its boom passes over what stands at its moment, and its load passes under its boom, wherever its
 * crane stands. Blocks of the map of which bounds say that it is clear everywhere in them are not looked at again; what is left is worked
 * out with the very lines of the checks.
 */
export class StandClear {
  private readonly things: Thing[];
  private readonly under: Thing[];
  private readonly before: readonly Body[];
  private readonly hung: readonly Hangs[];
  private readonly blocks: Map<number, Doubt>[] = BLOCKS.map(() => new Map());
  private readonly swept: Swept;
  private readonly zones: Crossed[];
  /** no part of the load is further from its hook, hanging plumb and blown out of plumb */
  private readonly inward: number;
  private readonly reach: number;
  /** how high it is carried where there is nothing to carry it over */
  private readonly own: number;
  private readonly least: number;
  private readonly all: Doubt;
  private readonly picked: PickContext;

  constructor(
    private readonly plan: SettledPlan,
    private readonly rules: Rules,
    picked: PickContext,
    path: LiftPath,
    private readonly weight: PieceWeight,
    private readonly hanging: Hanging,
    gives: Gives,
    private readonly grid: { at: Vec; step: number },
    zones: readonly OpenZone[] = [],
  ) {
    const { pick, crane } = picked;
    this.picked = { ...picked, loaded: (radius) => underLoad(gives, pick.boom, radius) };
    this.before = standingBefore(plan, rules, pick);
    const site = obstructionsOf(plan);
    this.things = [...site, ...steelAbout(plan, picked, rules)].map(thingOf);
    this.under = [...site, ...this.before].map(thingOf).sort((one, other) => other.of.to - one.of.to);
    this.hung = hangsUnder(picked, weight, hanging);
    this.own = ownHeight(picked);
    this.least = rules.value('boomClearance');
    this.swept = new Swept(picked, path);
    this.zones = zones.map((zone) => ({ zone, ...thingOf({ id: zone.id, name: zone.name, outline: outlineOf(zone), to: Infinity }) }));
    const blown = driftOf(plan, picked, path, weight, rules)?.angleDeg ?? 0;
    this.inward = Math.max(...path.stations.map(({ seen }) => Math.abs(seen.toMiddle) + Math.hypot(seen.length, breadthOf(weight)) / 2));
    this.reach = this.inward + (crane.pivotHeight + pick.boom) * Math.tan(blown / DEG);
    this.all = { things: this.things, under: this.under, zones: this.zones, hook: true };
  }

  /** With the crane in a cell of the map. */
  inCell(column: number, row: number): boolean {
    const { at, step } = this.grid;
    let doubt = this.all;
    for (const [level, size] of BLOCKS.entries()) {
      const [x, y] = [Math.floor(column / size), Math.floor(row / size)];
      const key = y * 65_536 + x;
      const blocks = this.blocks[level]!;
      let known = blocks.get(key);
      if (!known) {
        const middle = (n: number) => n * size + (size - 1) / 2;
        const round = { at: { x: at.x + middle(x) * step, y: at.y + middle(y) * step }, by: (((size - 1) * step) / 2) * Math.SQRT2 + SLACK };
        blocks.set(key, (known = this.doubt(round, doubt)));
      }
      if (isNone(known)) return true;
      doubt = known;
    }
    return this.from({ x: at.x + column * step, y: at.y + row * step }, doubt);
  }

  /** With the crane at any place. */
  at(place: Vec): boolean {
    return this.from(place, this.all);
  }

  private from(at: Vec, before: Doubt): boolean {
    const doubt = this.doubt({ at, by: 0 }, before);
    return isNone(doubt) || this.plainly(at, doubt);
  }

  /** The lines of the checks, for what is in doubt. */
  private plainly(at: Vec, { things, under, zones, hook }: Doubt): boolean {
    const { plan, rules, weight, picked, hung } = this;
    const path = pathFrom(picked, at);
    if (!path) return false;
    const here = { ...picked, stand: { ...picked.stand, at }, path };
    const clears = ({ nearest }: { nearest: { gap: number } }) => judge(this.least, nearest.gap, null, true).verdict !== 'stop';
    if (hook) {
      const line = lineOver(picked.crane, picked.pick.boom, picked.loaded(path.most));
      if (!line || !this.hasRoom(line, this.own)) return false;
      const carried = (underside: number) => this.hasRoom(line, underside) && gapsToHung(here, path, hung, underside).every(clears);
      // Over the tallest of what it may pass, there is nothing left to ask; else it is looked whether it passes over it.
      const highest = Math.max(this.own, (under[0]?.of.to ?? -Infinity) + rules.value('loadClearance'));
      if (!carried(highest) && !(highest > this.own && carried(travelHeight(plan, here, path, weight, rules, this.before).underside))) return false;
    }
    if (zones.length > 0) {
      const over = passing(plan, here, path, weight, rules);
      if (zones.some(({ zone }) => over(zone) !== null)) return false;
    }
    const passes = (stations: readonly Station[]) => things.every(({ of }) => gapToThing(here, stations, of).every(clears));
    // Mostly one of the stations of the way says already that it does not.
    return things.length === 0 || (passes(path.stations) && passes(sweepOf(here, path)));
  }

  /** Of what was in doubt round here, what still is nearer by. */
  private doubt(round: Round, before: Doubt): Doubt {
    const { crane, pick, loaded } = this.picked;
    const far = this.swept.far(round);
    const near = this.swept.near(round);
    const lowest = lineOver(crane, pick.boom, loaded(far));
    // Somewhere here the boom does not reach: nothing is said for all of it.
    if (!lowest) return before;
    const swept = this.swept.sector(round, near);
    const things = before.things.filter((thing) => this.mayMeet(thing, round, far, lowest, swept));
    const under = before.hook ? before.under.filter((thing) => this.mayPass(thing, round, near, far, swept)) : [];
    const underside = Math.max(this.own, (under[0]?.of.to ?? -Infinity) + this.rules.value('loadClearance'));
    const hook = before.hook && !(this.hasRoom(lowest, underside) && this.hungClear(near, far, underside));
    const zones = before.zones.filter((zone) => this.mayCross(zone, round, near, far, swept));
    return { things, under: hook ? under : [], zones, hook };
  }

  /** Whether a thing is where the boom sweeps and as high as it may be: the boom lower than anywhere round here, the thing as near as it may be. */
  private mayMeet({ of, a, b, half }: Thing, round: Round, far: number, lowest: BoomLine, swept: Sector): boolean {
    const { crane } = this.picked;
    const side = crane.boomWidth / 2;
    const away = toSegment(round.at, a, b);
    const nearest = away - half - round.by - SLACK;
    if (nearest > Math.hypot(this.picked.loaded(far), side)) return false;
    // The strip of the boom begins behind the slew centre, at its foot.
    if (nearest <= Math.abs(crane.pivotBack) + side) return true;
    const out = Math.sqrt(nearest ** 2 - side ** 2) - lowest.pivot.x;
    const over = Math.max(0, of.to - crane.pivotHeight);
    const gap = out * Math.sin(lowest.angleRad) - over * Math.cos(lowest.angleRad) - crane.boomDepth / 2;
    if (gap >= this.least + SLACK) return false;
    return within(swept, this.seenFrom(round, { a, b }, away, half + side));
  }

  /** Whether the load may be carried over a thing. */
  private mayPass(thing: Thing, round: Round, near: number, far: number, swept: Sector): boolean {
    return thing.of.to + this.rules.value('loadClearance') > this.own && this.mayBeOver(thing, round, near, far, swept, this.outTo(far));
  }

  /** Whether the load, or over a railway the boom, may pass over a zone. */
  private mayCross(thing: Crossed, round: Round, near: number, far: number, swept: Sector): boolean {
    const load = this.outTo(far);
    // The boom is over all that lies between its foot and the hook.
    return thing.zone.kind === 'railway'
      ? this.mayBeOver(thing, round, 0, far, swept, Math.max(load, this.picked.crane.boomWidth))
      : this.mayBeOver(thing, round, near, far, swept, load);
  }

  /** So far from its hook a load may reach. Between two stations its outline is taken a little wider. */
  private outTo(far: number): number {
    return this.reach + 0.01 * (far + 2 * this.reach);
  }

  /** Whether what is carried between two radii and reaches so far to every side may be over a thing. */
  private mayBeOver({ a, b, half }: Thing, round: Round, near: number, far: number, swept: Sector, reach: number): boolean {
    const away = toSegment(round.at, a, b);
    if (away - half - round.by > far + reach) return false;
    if (Math.max(distance(round.at, a), distance(round.at, b)) + half + round.by < near - reach) return false;
    return within(swept, this.seenFrom(round, { a, b }, away, half + reach));
  }

  /** The bearings under which a line is seen, so much wider, from anywhere round here. */
  private seenFrom({ at, by }: Round, { a, b }: { a: Vec; b: Vec }, away: number, wider: number): { middle: number; half: number } {
    const out = wider + by + SLACK;
    if (away <= out) return { middle: 0, half: 360 };
    const from = angleOf(sub(a, at));
    const turn = wrapDeg(angleOf(sub(b, at)) - from);
    return { middle: from + turn / 2, half: Math.abs(turn) / 2 + Math.asin(out / away) * DEG };
  }

  private hasRoom({ tipHeight }: BoomLine, underside: number): boolean {
    const { loadDepth, hookAbovePick } = this.hanging;
    const available = tipHeight - this.picked.crane.hookDrop - this.rules.value('headRoomReserve');
    return judge(underside + loadDepth + hookAbovePick, available, null, true).verdict !== 'stop';
  }

  /** Whether the boom is over all that hangs on it at every radius from the nearest to the furthest, however that lies under it. */
  private hungClear(near: number, far: number, underside: number): boolean {
    const { crane, pick, loaded } = this.picked;
    const [steep, flat] = [lineOver(crane, pick.boom, Math.max(0, near)), lineOver(crane, pick.boom, loaded(far))];
    if (!steep || !flat) return false;
    return this.hung.every(({ over, seen, width }) => {
      const inward = seen ? Math.hypot(seen.length, width) / 2 : this.inward;
      const rise = Math.max(0, underside + over - crane.pivotHeight);
      for (let i = 0; i < PARTS; i += 1) {
        const angle = (t: number) => flat.angleRad + ((steep.angleRad - flat.angleRad) * t) / PARTS;
        // What is least and most anywhere in this part of the luff.
        const out = Math.max(0, pick.boom * Math.cos(angle(i + 1)) - inward);
        if (out * Math.sin(angle(i)) - rise * Math.cos(angle(i)) - crane.boomDepth / 2 < this.least + SLACK) return false;
      }
      return true;
    });
  }
}
/** The luff is looked at in so many parts. */
const PARTS = 12;

const isNone = ({ things, zones, hook }: Doubt): boolean => things.length === 0 && zones.length === 0 && !hook;
