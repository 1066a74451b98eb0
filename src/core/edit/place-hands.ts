import type { CommandArguments } from './table';
import { movePieces } from './many-places';
import type { Beam, Plan } from '../document/schema';
import { heightAt, placeOf } from '../document/place';

type Point = NonNullable<Beam['from']>;
type Changes = CommandArguments['editEach'];
type Edits = Changes['edits'];

/** A piece of the structure taken by hand: by one of its ends, or (null) whole, by its first end. */
export interface PlacePiece {
  id: string;
  end: 'from' | 'to' | null;
  /** where that end is put; null: it has no place yet, and is put down beside the rest */
  at: Point | null;
  /** to so much it is put, and onto what is near; null: just there [m] */
  step: number | null;
  /** seen from above its level stays */
  seen: 'above' | 'side';
}

/** What is so near to another end or seat is put onto it [m]. */
const NEAR = 0.3;
/** An end put so near to the length of the piece from its other end is where it is drawn [m]. */
const AS_DRAWN = 0.06;
/** A piece without a place is put down so far beside the rest [m]. */
const BESIDE = 2;

const tidy = (value: number): number => Math.round(value * 1e5) / 1e5;
const toStep = (value: number, step: number): number => tidy(Math.round(value / step) * step);
const plus = (a: Point, b: Point): Point => ({ x: a.x + b.x, y: a.y + b.y, z: a.z + b.z });
const minus = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y, z: a.z - b.z });

/** The changes that put a piece where a hand puts it; none where it has no make or nothing changes. */
export function placedByHand(plan: Plan, { id, end, at, step, seen }: PlacePiece): Changes {
  const beam = plan.structure.pieces.find((one) => one.id === id);
  const make = plan.structure.makes.find((one) => one.id === beam?.make);
  const none = { edits: [], moves: [] };
  if (!beam || !make) return none;
  if (at === null) return beam.from && beam.to ? none : { ...none, edits: [{ list: 'beams', id, changes: putDown(plan, make.length) }] };
  if (!beam.from || !beam.to) return none;
  const ends = plan.structure.pieces.flatMap((one) => (one.id === id || !one.from || !one.to ? [] : [one.from, one.to]));
  if (end === null) {
    const by = minus(at, beam.from);
    const put = step === null ? by : plus(by, onto([plus(beam.from, by), plus(beam.to, by)], ends, step, seen));
    return movePieces(plan, new Set([id]), { kind: 'by', x: tidy(put.x), y: tidy(put.y), z: tidy(put.z) });
  }
  const still = beam[end === 'from' ? 'to' : 'from']!;
  const asked = step === null ? at : plus(at, onto([at], ends, step, seen));
  const put = turned(beam[end]!, still, asked, make.length, seen);
  return { ...none, edits: [{ list: 'beams', id, changes: { [end]: put } }, ...seatsWith(plan, { ...beam, [end]: put })] };
}

/** How much further the first of some places goes: onto what is nearest to any of them, else to the step. */
function onto(places: readonly Point[], among: readonly Point[], step: number, seen: PlacePiece['seen']): Point {
  let [best, how] = [NEAR, null as Point | null];
  for (const place of places)
    for (const one of among) {
      const off = minus(one, place);
      const by = seen === 'above' ? { ...off, z: 0 } : off;
      const far = Math.hypot(by.x, by.y, by.z);
      if (far < best) [best, how] = [far, by];
    }
  if (how) return how;
  const [first] = places as [Point];
  return { x: toStep(first.x, step) - first.x, y: toStep(first.y, step) - first.y, z: seen === 'above' ? 0 : toStep(first.z, step) - first.z };
}

/** An end that goes round the other one: as far from it as the piece is long. */
function turned(now: Point, still: Point, asked: Point, length: number, seen: PlacePiece['seen']): Point {
  const off = minus(asked, still);
  const far = Math.hypot(off.x, off.y, off.z);
  if (Math.abs(far - length) < AS_DRAWN) return { x: tidy(asked.x), y: tidy(asked.y), z: tidy(asked.z) };
  if (seen === 'above') {
    // Its level stays: it turns about a plumb line.
    const rise = now.z - still.z;
    const run = Math.sqrt(Math.max(0, length ** 2 - rise ** 2));
    const flat = Math.hypot(off.x, off.y);
    if (flat < 1e-9) return now;
    return { x: tidy(still.x + (off.x / flat) * run), y: tidy(still.y + (off.y / flat) * run), z: now.z };
  }
  if (far < 1e-9) return now;
  return { x: tidy(still.x + (off.x / far) * length), y: tidy(still.y + (off.y / far) * length), z: tidy(still.z + (off.z / far) * length) };
}

/** What holds nothing but this piece goes up and down with it, and is surveyed anew. */
function seatsWith({ structure }: Plan, beam: Beam): Edits {
  const [was, is] = [placeOf(structure.pieces.find(({ id }) => id === beam.id)!), placeOf(beam)];
  if (!was || !is) return [];
  return structure.supports.flatMap((support): Edits => {
    const [seat] = support.seats;
    if (!seat || support.seats.some(({ piece }) => piece !== beam.id) || (support.level === null && !support.measured)) return [];
    const level = support.level === null ? null : tidy(support.level + heightAt(is, seat.at) - heightAt(was, seat.at));
    return [{ list: 'supports', id: support.id, changes: { level, measured: null } }];
  });
}

/** Beside everything that has a place, along x, as low as what is lowest. */
function putDown({ structure }: Plan, length: number): { from: Point; to: Point } {
  const points = structure.pieces.flatMap(({ from, to }) => (from && to ? [from, to] : []));
  const y = points.length === 0 ? 0 : Math.min(...points.map((one) => one.y)) - BESIDE;
  const x = points.length === 0 ? 0 : Math.min(...points.map((one) => one.x));
  const z = points.length === 0 ? 0 : Math.min(...points.map((one) => one.z));
  return { from: { x: tidy(x), y: tidy(y), z: tidy(z) }, to: { x: tidy(x + length), y: tidy(y), z: tidy(z) } };
}
