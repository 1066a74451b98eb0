import { slopeOf, thrustOf, type Gives, type Leg } from '../../frame/rafters';
import { answerOf } from '../../replay/answers';
import { flatOf, riseOf } from '../../settle/sloping';
import type { LineAnswer, LineJoint, LinePiece, LineStands, LineSupport, PieceForces } from '../../stage/line';
import type { Placed } from '../../document/place';

/** Two seats are of one height where the line between them rises no more than this [rise over length]. */
const LEVEL = 0.05;
/** A pin that is no higher over its seats than this [rise over length]. */
const FLAT = 0.005;
/** Pieces lie in one upright plane as far as this, seen from above. */
const PLANE = Math.cos((2 * Math.PI) / 180);

/** A piece of a bent line: where along it, and which way round. */
export interface BentPiece {
  place: Placed;
  from: number;
  to: number;
  flipped: boolean;
}

/** How a bent line presses two columns apart under one load. */
export interface BentState {
  /** on those two alone, which may move apart freely */
  free: LineStands;
  gives: Gives;
  rafters: { legs: readonly (Leg & { piece: string })[]; pin: number | null };
  /** its pieces as they are seen from above, with what lies on them */
  line: readonly LinePiece[];
  /** pressed between them, from their giving freely to their not moving at all; negative: they are pulled together [N] */
  thrust: { least: number; most: number };
}

/** Whether pieces end to end go on the same way, seen from above, in one upright plane. */
export function inOnePlane(pieces: readonly BentPiece[]): boolean {
  const way = ({ place: { along }, flipped }: BentPiece) => (flipped ? { x: -along.x, y: -along.y } : along);
  const first = way(pieces[0]!);
  return pieces.every((one) => {
    const { x, y } = way(one);
    return x * first.x + y * first.y >= PLANE;
  });
}

/** What becomes of places, stiffness and loads of a bent line where it is seen from above. */
class SeenFromAbove {
  private readonly starts: number[] = [];

  constructor(private readonly pieces: readonly BentPiece[]) {
    let at = 0;
    for (const { place } of pieces) {
      this.starts.push(at);
      at += place.length * flatOf(place);
    }
  }

  private pieceAt(x: number): number {
    const found = this.pieces.findIndex(({ to }) => x <= to + 1e-9);
    return found < 0 ? this.pieces.length - 1 : found;
  }

  x(along: number): number {
    const n = this.pieceAt(along);
    const { place, from } = this.pieces[n]!;
    return this.starts[n]! + (along - from) * flatOf(place);
  }

  height(along: number): number {
    const n = this.pieceAt(along);
    const up = (piece: BentPiece) => (piece.flipped ? -1 : 1) * riseOf(piece.place);
    return this.pieces.slice(0, n).reduce((sum, one) => sum + up(one) * one.place.length, 0) + up(this.pieces[n]!) * (along - this.pieces[n]!.from);
  }
}

export type Solved = { answer: LineAnswer; bent: BentState | null } | { asked: 'seats' | 'level' };

/**
 * A bent line on its seats. What comes down on it bends it by levers as they are seen from above, EI·cos stiff there. Where its outer seats
 * are `columns` they can hold a thrust: it lies between nothing and what it is while they do not move, and everything is the worse of
 * the two. A seat between them only takes from it: the most is what it would be without. Pinned on two seats it follows from the pin
 * alone; without a thrust to hold it, it falls.
 */
export function solveBent(
  pieces: readonly BentPiece[],
  line: readonly LinePiece[],
  seats: readonly LineSupport[],
  joints: readonly LineJoint[],
  columns: ReadonlySet<string>,
): Solved {
  if (seats.length < 2) return { answer: { stable: false }, bent: null };
  const inOrder = [...seats].sort((a, b) => a.x - b.x);
  const [first, last, between] = [inOrder[0]!, inOrder.at(-1)!, inOrder.slice(1, -1)];
  const pressed = columns.has(first.id) && columns.has(last.id);
  if (between.some(({ id }) => columns.has(id))) return { asked: 'seats' };
  const above = new SeenFromAbove(pieces);
  const [start, end] = [above.x(first.x), above.x(last.x)];
  const [low, high] = [above.height(first.x), above.height(last.x)];
  const pins = joints.filter(({ angle }) => angle === null);
  const alone = between.length === 0;
  if (alone && (pins.length > 1 || (pins.length === 1 && !pressed))) return { answer: { stable: false }, bent: null };
  if (pins.length > 1 && pressed) return { asked: 'seats' };
  const flat = line.map((one, n): LinePiece => ({
    ...one,
    from: above.x(one.from),
    to: above.x(one.to),
    stretches: one.stretches.map(({ to, stiffness, load }) => ({
      to: above.x(to),
      stiffness: stiffness * flatOf(pieces[n]!.place),
      load: load / flatOf(pieces[n]!.place),
    })),
    loads: one.loads.map(({ x, force }) => ({ x: above.x(x), force })),
  }));
  const stiff = joints.map(({ x, angle }): LineJoint => ({ x: above.x(x), angle: angle ?? 0 }));
  const on = (list: readonly LineSupport[]) => list.map((one) => ({ ...one, x: above.x(one.x) }));
  const outer = answerOf(flat, on([first, last]), stiff);
  const now = alone
    ? outer
    : answerOf(
        flat,
        on(seats),
        joints.map(({ x, angle }): LineJoint => ({ x: above.x(x), angle })),
      );
  if (!now.stable || !outer.stable) return { answer: { stable: false }, bent: null };
  if (!pressed) return { answer: merged(pieces, line, now, [now], 0), bent: null };
  if (Math.abs(high - low) > LEVEL * (end - start)) return { asked: 'level' };
  const over = (along: number) => above.height(along) - low - ((high - low) * (above.x(along) - start)) / (end - start);
  const legs = line.flatMap((one, n): (Leg & { piece: string; sinks: [number, number] })[] => {
    const [from, to] = [Math.max(one.from, first.x), Math.min(one.to, last.x)];
    if (to - from < 1e-6) return [];
    const felt = outer.pieces.get(one.id)!;
    return [
      {
        piece: one.id,
        from: above.x(from),
        to: above.x(to),
        low: over(from),
        high: over(to),
        stiffness: line[n]!.stretches[0]!.stiffness,
        sinks: [from === one.from && from > first.x ? felt.left.height : first.level, to === one.to && to < last.x ? felt.right.height : last.level],
      },
    ];
  });
  const pinned = pins[0] ? legs.findIndex(({ to }) => Math.abs(to - above.x(pins[0]!.x)) < 1e-6) : -1;
  const pin = pinned < 0 ? null : pinned;
  // A pin nearly in line with both seats holds nothing up.
  if (pin !== null && Math.abs(legs[pin]!.high) < FLAT * (end - start)) return alone ? { answer: { stable: false }, bent: null } : { asked: 'level' };
  const rafters: BentState['rafters'] = { legs: legs.map(({ sinks: _, ...leg }) => leg), pin };
  const chord = (last.level - first.level) / (end - start);
  const gives: Gives = {
    near: legs.reduce((sum, leg) => sum + slopeOf(leg) * (leg.sinks[1] - leg.sinks[0]), 0),
    a: outer.pieces.get(legs[0]!.piece)!.left.slope - chord,
    b: chord - outer.pieces.get(legs.at(-1)!.piece)!.right.slope,
    atPin: pin === null ? 0 : outer.pieces.get(legs[pin]!.piece)!.right.moment,
  };
  const thrust = thrustOf(rafters, gives);
  const only = alone && pin !== null;
  const bent: BentState = {
    line: flat,
    free: outer,
    gives,
    rafters,
    thrust: only ? { least: thrust, most: thrust } : { least: Math.min(0, thrust), most: Math.max(0, thrust) },
  };
  // What presses it bends it as so much more or less at each bend.
  const held = (share: number): LineAnswer => {
    const kicks = new Map(legs.slice(1).map((leg, n) => [legs[n]!.piece, share * thrust * (slopeOf(leg) - slopeOf(legs[n]!))]));
    const loaded = flat.map((one) => (kicks.has(one.id) ? { ...one, loads: [...one.loads, { x: one.to, force: kicks.get(one.id)! }] } : one));
    return answerOf(loaded, on(seats), alone ? stiff : joints.map(({ x, angle }): LineJoint => ({ x: above.x(x), angle })));
  };
  // With seats between, what touches may be another half way.
  const states = only ? [held(1)] : alone ? [now, held(1)] : [now, held(0.5), held(1)];
  const standing = states.flatMap((one) => (one.stable ? [one] : []));
  if (standing.length < states.length) return { answer: { stable: false }, bent: null };
  return { answer: merged(pieces, line, now, standing, Math.abs(thrust)), bent };
}

const known = new WeakMap<LineAnswer, Map<string, LineStands>>();

/** The worse of what a piece feels with its seats free to part and with their not moving; the same answers are the same thing. */
function merged(pieces: readonly BentPiece[], line: readonly LinePiece[], free: LineStands, all: readonly LineStands[], thrust: number): LineStands {
  const key = [all.length, thrust, ...pieces.map(({ place }) => flatOf(place))].join();
  let of = known.get(free);
  if (!of) known.set(free, (of = new Map()));
  let found = of.get(key);
  if (!found) {
    const forces = line.map(({ id }, n): [string, PieceForces] => {
      const flat = flatOf(pieces[n]!.place);
      const one = free.pieces.get(id)!;
      const felt = all.map((answer) => answer.pieces.get(id)!);
      const most = (of: (one: PieceForces) => number) => Math.max(...felt.map(of));
      const end = (which: 'left' | 'right') => ({
        ...one[which],
        moment: felt.map((each) => each[which].moment).reduce((worst, each) => (Math.abs(each) > Math.abs(worst) ? each : worst)),
        shear: Math.hypot(one[which].shear, thrust),
      });
      return [
        id,
        {
          sagging: most(({ sagging }) => sagging),
          hogging: most(({ hogging }) => hogging),
          shear: most(({ shear }) => shear) * flat,
          axial: one.shear * Math.sqrt(Math.max(0, 1 - flat ** 2)) + thrust * flat,
          left: end('left'),
          right: end('right'),
        },
      ];
    });
    found = {
      ...free,
      sagging: Math.max(...forces.map(([, one]) => one.sagging)),
      hogging: Math.max(...forces.map(([, one]) => one.hogging)),
      pieces: new Map(forces),
    };
    of.set(key, found);
  }
  return found;
}
