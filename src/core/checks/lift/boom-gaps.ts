import { belowBoom, lineOver } from '../../cranes/boom-geometry';
import { clip, direction, rectangle, type Vec } from '../../geometry/plane';
import type { Rules } from '../../rules/rule-sets';
import { findSection } from '../../steel/sections';
import { standingAt, type Body } from '../../settle/bodies';
import { bodyOf, cranesBeside } from '../../settle/cranes-standing';
import { rigWords } from '../../document/things/rig';
import type { Hanging } from '../../settle/hanging';
import { boomFrame, boxOf, closeStations, meets, outlineAt, type LiftPath, type Seen, type Station } from '../../settle/lift-path';
import { breadthOf, type PieceWeight } from '../../settle/piece-weight';
import type { SettledPlan } from '../../settle/settle';
import type { PickContext } from '../context';
import type { Travel } from './travel';

interface Nearest {
  gap: number;
  radius: number;
  x: number;
}

/**
 * Least gap between the underside of the boom and whatever of an outline lies in the boom's own upright strip, at a height: with the boom as
 * it is set, and lower, as far out as it comes with the load on. What hangs on it goes out with it.
 */
function leastGap(
  outlines: (station: Station) => Vec[],
  height: number,
  picked: PickContext,
  stations: readonly Station[],
  what: 'hangs' | 'stands',
): Nearest | null {
  const { crane, pick, stand, loaded } = picked;
  let nearest: Nearest | null = null;
  for (const station of stations) {
    const outline = outlines(station).map((point) => boomFrame(station, stand, point));
    if (outline.every(({ y }) => y > crane.boomWidth / 2) || outline.every(({ y }) => y < -crane.boomWidth / 2)) continue;
    for (const radius of new Set([station.radius, loaded(station.radius)])) {
      const line = lineOver(crane, pick.boom, radius);
      if (!line) continue;
      const out = what === 'hangs' ? radius - station.radius : 0;
      const strip = inStrip(
        outline.map(({ x, y }) => ({ x: x + out, y })),
        crane.boomWidth / 2,
        // A jib reaches past its trolley to its end, and behind its mast.
        crane.tower ? -crane.tailRadius : -crane.pivotBack,
        crane.tower ? pick.boom : radius,
      );
      for (const point of strip) {
        const gap = belowBoom(line, { x: point.x, z: height }) - crane.boomDepth / 2;
        if (nearest === null || gap < nearest.gap) nearest = { gap, radius, x: point.x };
      }
    }
  }
  return nearest;
}

function inStrip(outline: readonly Vec[], halfWidth: number, from: number, to: number): Vec[] {
  const sides: [Vec, number][] = [
    [{ x: 0, y: 1 }, halfWidth],
    [{ x: 0, y: -1 }, halfWidth],
    [{ x: -1, y: 0 }, -from],
    [{ x: 1, y: 0 }, to],
  ];
  return sides.reduce<Vec[]>((polygon, [normal, limit]) => (polygon.length ? clip(polygon, normal, limit) : polygon), [...outline]);
}

/** What of a thing the boom comes nearest to. */
export interface Gap {
  id: string;
  what: string;
  /** the top of the thing */
  height: number;
  nearest: Nearest;
}
const nearestOf = (id: string, what: string, height: number, nearest: Nearest | null): Gap[] => (nearest ? [{ id, what, height, nearest }] : []);

/** What hangs under a boom: how high its top is over the underside of the load, and what of it is seen from above. */
export interface Hangs {
  id: string;
  what: string;
  over: number;
  /** null: the load itself, as it is seen at each station */
  seen: Seen | null;
  width: number;
}

/** Everything that hangs under the boom: the load, the beams of a string above it, the bar it hangs on. */
export function hangsUnder(picked: PickContext, weight: PieceWeight, hanging: Hanging): Hangs[] {
  const { piece, above } = picked;
  return [
    { id: piece.id, what: piece.mark, over: hanging.height, seen: null, width: breadthOf(weight) },
    // Beams of a string over the one that is set are nearer the boom than it: each across under the hook, at its own height.
    ...above.map(({ id, mark, length, weight: own, over }) => ({
      id,
      what: `${mark}, above it in the string`,
      over: over + own.section.depth + own.above,
      seen: { length, toMiddle: 0 },
      width: breadthOf(own),
    })),
    ...barUnder(picked, hanging),
  ];
}

/** A bar over the load is nearer the boom than the load: its middle under the hook, as wide and as deep as its section, or as bars are. */
function barUnder({ pick: { rig } }: PickContext, { bar, loadDepth }: Hanging): Hangs[] {
  if (!bar || !rig || rig.kind === 'legs') return [];
  const steel = findSection(rig.section);
  return [
    {
      id: 'bar',
      what: rig.name.trim() || `the ${rigWords[rig.kind]}`,
      over: loadDepth + bar.above + (steel?.depth ?? BAR),
      seen: { length: bar.length, toMiddle: 0 },
      width: steel?.width ?? BAR,
    },
  ];
}
/** Depth and width of a bar of which nobody says what it is made of [m]. */
const BAR = 0.35;

/** The boom against what hangs on it, with the underside of the load so high. */
export const gapsToHung = (picked: PickContext, path: LiftPath, hung: readonly Hangs[], underside: number): Gap[] =>
  hung.flatMap(({ id, what, over, seen, width }) => {
    const outline = (station: Station) => outlineAt(seen ? { ...station, seen } : station, width);
    return nearestOf(id, what, underside + over, leastGap(outline, underside + over, picked, path.stations, 'hangs'));
  });

/** How far round its crane a boom or a jib is looked at beyond its hook [m]. */
const jibReach = ({ crane, pick }: PickContext): number => (crane.tower ? Math.max(pick.boom, crane.tailRadius) : 0);

/** Where the boom is swept past things that stand. */
export const sweepOf = (picked: PickContext, path: LiftPath): Station[] => closeStations(path, picked.crane.boomWidth, jibReach(picked));

/** The boom against one thing that stands. */
export const gapToThing = (picked: PickContext, sweep: readonly Station[], { id, name, to, outline }: Standing): Gap[] =>
  nearestOf(
    id,
    name,
    to,
    leastGap(() => outline, to, picked, pointedAt(picked, sweep, outline), 'stands'),
  );

/** Where the boom may be over an outline: where the circle round that is no further off the line of the boom than half its width. */
function pointedAt({ stand, crane }: PickContext, sweep: readonly Station[], outline: readonly Vec[]): Station[] {
  const { x0, x1, y0, y1 } = boxOf(outline);
  const [x, y] = [(x0 + x1) / 2 - stand.at.x, (y0 + y1) / 2 - stand.at.y];
  const within = Math.hypot(x1 - x0, y1 - y0) / 2 + crane.boomWidth / 2 + 1e-9;
  return sweep.filter(({ bearingDeg }) => {
    const out = direction(bearingDeg);
    return Math.abs(y * out.x - x * out.y) <= within;
  });
}

/** A thing that stands, as the boom sees it. */
export type Standing = Pick<Body, 'id' | 'name' | 'to' | 'outline'>;

export const obstructionsOf = ({ site }: SettledPlan): Standing[] =>
  site.obstructions.map((one) => ({ id: one.id, name: one.name, to: one.height, outline: rectangle(one.at, one.length, one.width, one.azimuthDeg) }));

/** The steel that stands when a lift is made and is as high as a boom: all of that is above its foot. */
export const steelAbout = (plan: SettledPlan, { drawn, crane }: PickContext, rules: Rules): Body[] =>
  standingAt(plan, rules, drawn).filter(({ to }) => to > crane.pivotHeight - crane.boomDepth / 2 - 2 * rules.value('boomClearance'));

/** The boom against everything that stands under its sweep: each thing of the site, each other crane, and of the steel the piece it comes nearest to. */
function gapsToStanding(plan: SettledPlan, picked: PickContext, path: LiftPath, rules: Rules): Gap[] {
  const { crane } = picked;
  const sweep = sweepOf(picked, path);
  const reach = crane.tower ? jibReach(picked) : Math.abs(crane.pivotBack);
  const near = boxOf([path.stand.at, ...path.stations.map(({ hook }) => hook)], crane.boomWidth + reach);
  const steel = steelAbout(plan, picked, rules)
    .filter(({ outline }) => meets(near, boxOf(outline)))
    .flatMap((one) => gapToThing(picked, sweep, one));
  const worst = steel.reduce<Gap[]>(([worst], one) => [!worst || one.nearest.gap < worst.nearest.gap ? one : worst], []);
  const things = [...obstructionsOf(plan), ...cranesBeside(plan, picked.drawn).map(bodyOf)];
  return [...things.flatMap((one) => gapToThing(picked, sweep, one)), ...worst];
}

/** The boom against the load and against what stands. */
export const boomGaps = (
  plan: SettledPlan,
  picked: PickContext,
  path: LiftPath,
  weight: PieceWeight,
  hanging: Hanging,
  travel: Travel,
  rules: Rules,
): Gap[] => [...gapsToHung(picked, path, hangsUnder(picked, weight, hanging), travel.underside), ...gapsToStanding(plan, picked, path, rules)];
