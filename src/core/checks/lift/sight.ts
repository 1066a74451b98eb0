import { add, direction, leftOf, rectangle, scale, type Vec } from '../../geometry/plane';
import type { Hanging } from '../../settle/hanging';
import type { LiftPath, Station } from '../../settle/lift-path';
import type { Crane, Obstruction, Plan, Signaller } from '../../document/schema';

/** A place in space. */
interface Spot extends Vec {
  z: number;
}

/** A prism that stands on the ground. */
interface Block {
  name: string;
  outline: Vec[];
  height: number;
}

/** The load at one instant of its way: whether it is seen from the cab, by what it is hidden there, and which of the signal people see it. */
export interface Seen {
  when: 'lies' | 'way' | 'lands';
  at: Spot;
  hiddenBy: string | null;
  seenBy: readonly string[];
}

/** Raising and lowering are looked at at so many heights. */
const HEIGHTS = 5;

const blocksOf = (things: readonly Obstruction[]): Block[] =>
  things
    .filter(({ height }) => height > 0)
    .map((one) => ({ name: one.name, outline: rectangle(one.at, one.length, one.width, one.azimuthDeg), height: one.height }));

/** The stretch of a line between two places that lies over a convex outline, as shares of it; null where it passes by. */
function over(outline: readonly Vec[], from: Vec, to: Vec): [number, number] | null {
  let [a, b] = [0, 1];
  const way = { x: to.x - from.x, y: to.y - from.y };
  const turn = Math.sign(area(outline)) || 1;
  for (let i = 0; i < outline.length; i += 1) {
    const [p, n] = [outline[i]!, outline[(i + 1) % outline.length]!];
    const inward = { x: -(n.y - p.y) * turn, y: (n.x - p.x) * turn };
    const off = (from.x - p.x) * inward.x + (from.y - p.y) * inward.y;
    const slope = way.x * inward.x + way.y * inward.y;
    if (slope === 0) {
      if (off < 0) return null;
      continue;
    }
    const t = -off / slope;
    if (slope > 0) a = Math.max(a, t);
    else b = Math.min(b, t);
    if (a >= b) return null;
  }
  return [a, b];
}

const area = (outline: readonly Vec[]): number =>
  outline.reduce((sum, p, i) => {
    const n = outline[(i + 1) % outline.length]!;
    return sum + p.x * n.y - n.x * p.y;
  }, 0);

/** Whether something stands between two places: from there it hides what is here. */
function hides({ outline, height }: Block, eye: Spot, load: Spot): boolean {
  const stretch = over(outline, eye, load);
  if (!stretch) return false;
  const rise = (t: number) => eye.z + (load.z - eye.z) * t;
  return Math.min(rise(stretch[0]), rise(stretch[1])) < height;
}

/** Where an operator’s eyes are: along the boom, to its left, and up. */
export interface Cab {
  ahead: number;
  left: number;
  height: number;
}

/** Within so much of the slew centre a cab is, along the boom and across it, whatever the crane [m]; and so high its eyes are on a mobile one. */
const CAB_WITHIN = 2;
const EYES: readonly number[] = [1.2, 4];
/** On a mast the cab hangs no lower than this under the jib [m]. */
const UNDER_JIB = 4;

/**
 * Every place the eyes may be, by what somebody says of the cab: one where all of it is said. The first is over the slew centre and as
 * high as the foot of the boom in whatever nobody says; the others are the furthest from it.
 */
export function cabsOf({ cab, pivotHeight, tower }: Crane): Cab[] {
  const one = (said: number | null | undefined, middle: number, others: readonly number[]) =>
    said === null || said === undefined ? [middle, ...others] : [said];
  const heights = one(cab?.height, pivotHeight, tower ? [pivotHeight - UNDER_JIB] : EYES);
  const aheads = one(cab?.ahead, 0, [-CAB_WITHIN, CAB_WITHIN]);
  const lefts = one(cab?.left, 0, [-CAB_WITHIN, CAB_WITHIN]);
  return heights.flatMap((height) => aheads.flatMap((ahead) => lefts.map((left) => ({ ahead, left, height }))));
}

/** Where the operator’s eyes are with the boom at a bearing. */
export function eyeOf({ ahead, left, height }: Cab, stand: Vec, bearingDeg: number): Spot {
  const out = direction(bearingDeg);
  return { ...add(stand, add(scale(out, ahead), scale(leftOf(out), left))), z: height };
}

/** The load along its way from where it lies to where it lands, and who sees it. */
export function seenAlong(
  { site }: Plan,
  cab: Cab,
  path: LiftPath,
  levels: { lies: number; travel: number; lands: number },
  { loadDepth }: Pick<Hanging, 'loadDepth'>,
): Seen[] {
  const blocks = blocksOf(site.obstructions);
  const people = (site.signallers ?? []).filter((one) => one.eye !== null && !one.unsaid?.includes('at'));
  const middle = loadDepth / 2;
  const look = (station: Station, underside: number, when: Seen['when']): Seen => {
    const at = { ...station.hook, z: underside + middle };
    const eye = eyeOf(cab, path.stand.at, station.bearingDeg);
    return {
      when,
      at,
      hiddenBy: blocks.find((block) => hides(block, eye, at))?.name ?? null,
      seenBy: people.filter((one) => !blocks.some((block) => hides(block, spotOf(one), at))).map(({ id }) => id),
    };
  };
  const between = (from: number, to: number) => Array.from({ length: HEIGHTS }, (_, i) => from + ((to - from) * i) / HEIGHTS);
  const [first, last] = [path.stations[0]!, path.stations.at(-1)!];
  return [
    ...between(levels.lies, levels.travel).map((level, i) => look(first, level, i === 0 ? 'lies' : 'way')),
    ...path.stations.map((station) => look(station, levels.travel, 'way')),
    ...between(levels.lands, levels.travel)
      .reverse()
      .map((level, i) => look(last, level, i === HEIGHTS - 1 ? 'lands' : 'way')),
  ];
}

const spotOf = ({ at, eye }: Signaller): Spot => ({ ...at, z: eye! });

/**
 * The stretches of the way where the operator does not see the load: where it lies and lands, and on the way where it is hidden at two
 * places that follow. What passes behind a pole for an instant is not lost from sight.
 */
export function blindParts(seen: readonly Seen[]): Seen[][] {
  const parts: Seen[][] = [];
  let open: Seen[] = [];
  const close = () => {
    if (open.length > 1 || open.some(({ when }) => when !== 'way')) parts.push(open);
    open = [];
  };
  for (const one of seen) {
    if (one.hiddenBy === null) close();
    else open.push(one);
  }
  close();
  return parts;
}
