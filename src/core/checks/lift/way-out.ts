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
/** Half of the strip it drives out along [m]. */
export const HALF_STRIP = WIDE / 2 + SPARE;
/** Steps of the search [m], and how far past everything one is out. */
const STEP = 0.5;
const OUT = 6;
/** More cells than this the search does not look at each way: the site is then cut to what lies round its middle. */
const MOST = 600;

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
    const wide = 2 * HALF_STRIP;
    const place: Place = {
      id: 'stand.wayOut',
      ...on('stand', stand, stand.name),
      station: 'gear',
      move: move.id,
      calc: sequenceNeeds.id,
      source: 'Geometry; common practice: a crane can build itself in. How it turns is not worked out',
    };
    const key = `${stand.id} ${things.length}`;
    const open = known.get(key) ?? new WaysOut(things, HALF_STRIP, stand.at).leadsOut(stand);
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

/** From where on a site a disc of a radius gets to past everything. What lies further than so far from the middle is cut off. */
export class WaysOut {
  private readonly low: Vec = { x: 0, y: 0 };
  private readonly wide: number = 0;
  private readonly deep: number = 0;
  /** 1: the disc does not fit; 2: it gets out from there */
  private readonly cells: Uint8Array = new Uint8Array();

  constructor(things: readonly Pick<Body, 'outline'>[], radius: number, middle: Vec) {
    const points = things.flatMap(({ outline }) => outline);
    if (points.length === 0) return;
    const half = (MOST * STEP) / 2;
    const from = (pick: (p: Vec) => number) => Math.max(Math.min(...points.map(pick)) - OUT, pick(middle) - half);
    const to = (pick: (p: Vec) => number) => Math.min(Math.max(...points.map(pick)) + OUT, pick(middle) + half);
    this.low = { x: from(({ x }) => x), y: from(({ y }) => y) };
    this.wide = Math.max(0, Math.ceil((to(({ x }) => x) - this.low.x) / STEP) + 1);
    this.deep = Math.max(0, Math.ceil((to(({ y }) => y) - this.low.y) / STEP) + 1);
    this.cells = new Uint8Array(this.wide * this.deep);
    for (const { outline } of things) this.shut(outline, radius);
    this.flood();
  }

  private shut(outline: readonly Vec[], radius: number): void {
    const { low, wide, deep, cells } = this;
    const reach = (pick: (p: Vec) => number, from: number, most: number): [number, number] => [
      Math.max(0, Math.floor((Math.min(...outline.map(pick)) - radius - from) / STEP)),
      Math.min(most - 1, Math.ceil((Math.max(...outline.map(pick)) + radius - from) / STEP)),
    ];
    const [x0, x1] = reach(({ x }) => x, low.x, wide);
    const [y0, y1] = reach(({ y }) => y, low.y, deep);
    for (let y = y0; y <= y1; y += 1)
      for (let x = x0; x <= x1; x += 1)
        if (!cells[y * wide + x] && gapTo({ x: low.x + x * STEP, y: low.y + y * STEP }, outline) < radius) cells[y * wide + x] = 1;
  }

  /** Everything that is reached from the edge. */
  private flood(): void {
    const { wide, deep, cells } = this;
    const waiting: number[] = [];
    const take = (cell: number) => {
      if (cells[cell]) return;
      cells[cell] = 2;
      waiting.push(cell);
    };
    for (let x = 0; x < wide; x += 1) for (const y of [0, deep - 1]) take(y * wide + x);
    for (let y = 0; y < deep; y += 1) for (const x of [0, wide - 1]) take(y * wide + x);
    while (waiting.length > 0) {
      const cell = waiting.pop()!;
      const [x, y] = [cell % wide, Math.floor(cell / wide)];
      if (x > 0) take(cell - 1);
      if (x < wide - 1) take(cell + 1);
      if (y > 0) take(cell - wide);
      if (y < deep - 1) take(cell + wide);
    }
  }

  /** Whether a carrier gets out from where it stands: from anywhere it stands on itself. */
  leadsOut({ at, azimuthDeg }: Pick<Stand, 'at' | 'azimuthDeg'>): boolean {
    const { low, wide, deep, cells } = this;
    if (cells.length === 0) return true;
    const body = rectangle(add(at, direction(azimuthDeg)), 6, 2, azimuthDeg);
    const [x0, x1] = [0, 1].map((end) => ((end ? Math.max : Math.min)(...body.map(({ x }) => x)) - low.x) / STEP);
    const [y0, y1] = [0, 1].map((end) => ((end ? Math.max : Math.min)(...body.map(({ y }) => y)) - low.y) / STEP);
    for (let y = Math.floor(y0!); y <= y1!; y += 1)
      for (let x = Math.floor(x0!); x <= x1!; x += 1) {
        const out = x < 0 || y < 0 || x >= wide || y >= deep;
        if (!out && cells[y * wide + x] !== 2) continue;
        if (gapTo({ x: low.x + x * STEP, y: low.y + y * STEP }, body) === 0) return true;
      }
    return false;
  }
}
