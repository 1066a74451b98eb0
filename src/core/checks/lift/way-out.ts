import { add, direction, rectangle, type Vec } from '../../geometry/plane';
import { sequenceNeeds } from '../../gates/sequence.calc';
import { phrase, q } from '../../calc/work';
import type { Check } from '../../verdict/check';
import { craneAt } from '../../settle/duties';
import type { Stand } from '../../document/schema';
import type { Context } from '../context';
import { flatStop, on, ratioCheck, told, type Place } from '../../verdict/build';
import type { Body } from '../../settle/bodies';

/** A carrier is as wide as this where it drives [m]; so much is left on each side of it. */
const WIDE = 2.55;
const SPARE = 0.25;
/** Steps of the search [m], and how far past everything one is out. */
const STEP = 0.5;
const OUT = 6;
/** More cells than this the search does not look at: the site is then cut to what lies round the stand. */
const MOST = 300;

/**
 * A crane that has built itself in: from where it stands to past everything that stands there when it leaves, no strip as wide as the
 * carrier is open. That there is one says nothing of how long a truck turns.
 */
export function wayOutChecks({ plan, replayed }: Context, standing: (at: number) => readonly Body[]): Check[] {
  // What stands only grows: as many things round one stand are the same things.
  const known = new Map<string, boolean>();
  return replayed.steps.flatMap(({ move }, at): Check[] => {
    if (move.kind !== 'crane.leave') return [];
    const stand = plan.stands.find((one) => one.id === move.stand)!;
    const crane = craneAt(plan, stand);
    // A tower crane does not drive out: how it comes down is asked of it.
    if (crane.tower) return [];
    const things = standing(at);
    const wide = WIDE + 2 * SPARE;
    const place: Place = {
      id: 'stand.wayOut',
      ...on('stand', stand, stand.name),
      station: 'gear',
      move: move.id,
      calc: sequenceNeeds.id,
      source: 'Geometry; common practice: a crane can build itself in. How it turns is not worked out',
    };
    const key = `${stand.id} ${things.length}`;
    const open = known.get(key) ?? leadsOut(stand, things, wide / 2);
    known.set(key, open);
    if (open)
      return [
        ratioCheck(
          place,
          { demand: 1, capacity: 1, quantity: 'count', caution: null, inclusive: true },
          told(phrase`When ${crane.name} leaves ${stand.name} a strip ${q(wide, 'length')} wide leads out.`),
          [],
        ),
      ];
    const near = nearest(stand, things);
    return [
      flatStop(
        place,
        'length',
        told(
          phrase`${crane.name} cannot leave ${stand.name}: nowhere is a strip ${q(wide, 'length')} wide open from it${near ? ` past ${near}` : ''}. Leave before what closes the way is set, or stand elsewhere.`,
        ),
        [],
      ),
    ];
  });
}

const nearest = (stand: Stand, things: readonly Body[]): string | null =>
  [...things].sort((a, b) => gapTo(stand.at, a.outline) - gapTo(stand.at, b.outline))[0]?.name ?? null;

/** Distance from a point to an outline; 0 inside. */
function gapTo(point: Vec, outline: readonly Vec[]): number {
  let inside = false;
  let least = Infinity;
  outline.forEach((a, i) => {
    const b = outline[(i + 1) % outline.length]!;
    if (a.y > point.y !== b.y > point.y && point.x < ((b.x - a.x) * (point.y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const t = Math.max(0, Math.min(1, ((point.x - a.x) * dx + (point.y - a.y) * dy) / (dx * dx + dy * dy || 1)));
    least = Math.min(least, Math.hypot(point.x - a.x - t * dx, point.y - a.y - t * dy));
  });
  return inside ? 0 : least;
}

/** Whether a disc of this radius gets from the stand to past everything. */
export function leadsOut(stand: Pick<Stand, 'at' | 'azimuthDeg'>, things: readonly Body[], radius: number): boolean {
  const points = things.flatMap(({ outline }) => outline);
  if (points.length === 0) return true;
  const half = (MOST * STEP) / 2;
  const low = {
    x: Math.max(Math.min(stand.at.x, ...points.map(({ x }) => x)) - OUT, stand.at.x - half),
    y: Math.max(Math.min(stand.at.y, ...points.map(({ y }) => y)) - OUT, stand.at.y - half),
  };
  const high = {
    x: Math.min(Math.max(stand.at.x, ...points.map(({ x }) => x)) + OUT, stand.at.x + half),
    y: Math.min(Math.max(stand.at.y, ...points.map(({ y }) => y)) + OUT, stand.at.y + half),
  };
  const [wide, deep] = [Math.ceil((high.x - low.x) / STEP) + 1, Math.ceil((high.y - low.y) / STEP) + 1];
  const shut = new Uint8Array(wide * deep);
  for (const { outline } of things) {
    const reach = (pick: (p: Vec) => number, from: number, most: number): [number, number] => [
      Math.max(0, Math.floor((Math.min(...outline.map(pick)) - radius - from) / STEP)),
      Math.min(most - 1, Math.ceil((Math.max(...outline.map(pick)) + radius - from) / STEP)),
    ];
    const [x0, x1] = reach(({ x }) => x, low.x, wide);
    const [y0, y1] = reach(({ y }) => y, low.y, deep);
    for (let y = y0; y <= y1; y += 1)
      for (let x = x0; x <= x1; x += 1)
        if (!shut[y * wide + x] && gapTo({ x: low.x + x * STEP, y: low.y + y * STEP }, outline) < radius) shut[y * wide + x] = 1;
  }
  // From anywhere the carrier itself stands on.
  const body = rectangle(add(stand.at, direction(stand.azimuthDeg)), 6, 2, stand.azimuthDeg);
  const waiting: number[] = [];
  for (let y = 0; y < deep; y += 1)
    for (let x = 0; x < wide; x += 1) if (gapTo({ x: low.x + x * STEP, y: low.y + y * STEP }, body) === 0 && !shut[y * wide + x]) waiting.push(y * wide + x);
  for (const cell of waiting) shut[cell] = 1;
  while (waiting.length > 0) {
    const cell = waiting.pop()!;
    const [x, y] = [cell % wide, Math.floor(cell / wide)];
    if (x === 0 || y === 0 || x === wide - 1 || y === deep - 1) return true;
    for (const next of [cell - 1, cell + 1, cell - wide, cell + wide])
      if (!shut[next]) {
        shut[next] = 1;
        waiting.push(next);
      }
  }
  return false;
}
