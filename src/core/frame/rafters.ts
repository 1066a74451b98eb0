/** A stretch of a bent line between its two seats: seen from above [m], and how high its ends are above the line through the seats [m]. */
export interface Leg {
  from: number;
  to: number;
  low: number;
  high: number;
  /** EI in its own upright plane [N·m²] */
  stiffness: number;
}

/** Pieces end to end that are bent in one upright plane and stand on two seats of one height: two rafters, an arch of straight pieces. */
export interface Rafters {
  legs: readonly Leg[];
  /** the end of this leg turns freely against the next; null: all keep their angles */
  pin: number | null;
}

/** How far its seats come towards each other, and its ends turn up, while nothing holds them [m, rad]. */
export interface Gives {
  near: number;
  a: number;
  b: number;
  /** sagging, where it is pinned, if it were not [N·m] */
  atPin: number;
}

/** What holds it: pressed together between its seats [N], hogged at its ends [N·m]. */
export type Hold = 'thrust' | 'a' | 'b';

/** A pin is a place so many times softer than the whole line. */
const LOOSE = 1e6;

const lengthOf = ({ legs }: Rafters): number => legs.at(-1)!.to - legs[0]!.from;
export const slopeOf = ({ from, to, low, high }: Leg): number => (high - low) / (to - from);

/** What one of each brings to a place: sagging. */
function bends(hold: Hold, x: number, height: number, length: number): number {
  if (hold === 'thrust') return -height;
  return hold === 'a' ? x / length - 1 : -x / length;
}

const soft = (rafters: Rafters): number => (LOOSE * lengthOf(rafters)) / Math.min(...rafters.legs.map((one) => one.stiffness));

/** How far each hold moves by one of each: from the bending alone, what shortens the pieces left out. */
function flexibility(rafters: Rafters, holds: readonly Hold[]): number[][] {
  const { legs, pin } = rafters;
  const length = lengthOf(rafters);
  const start = legs[0]!.from;
  return holds.map((one) =>
    holds.map((other) =>
      legs.reduce((sum, leg, n) => {
        const at = (hold: Hold, end: 'from' | 'to') => bends(hold, leg[end] - start, end === 'from' ? leg.low : leg.high, length);
        const [a, b, c, d] = [at(one, 'from'), at(one, 'to'), at(other, 'from'), at(other, 'to')];
        const along = Math.hypot(leg.to - leg.from, leg.high - leg.low);
        const turns = pin === n ? soft(rafters) * b * d : 0;
        // Two straight lines over a length: what their product comes to.
        return sum + (along * (2 * a * c + 2 * b * d + a * d + b * c)) / (6 * leg.stiffness) + turns;
      }, 0),
    ),
  );
}

/** How it gives under its load where it turns freely. */
function freely(rafters: Rafters, gives: Gives, hold: Hold): number {
  const own = hold === 'thrust' ? gives.near : gives[hold];
  if (rafters.pin === null) return own;
  const { to, high } = rafters.legs[rafters.pin]!;
  return own + soft(rafters) * gives.atPin * bends(hold, to - rafters.legs[0]!.from, high, lengthOf(rafters));
}

/** Stiffness of what holds it, and what its load brings to each hold while none of them moves. */
export function heldRafters(rafters: Rafters, gives: Gives, holds: readonly Hold[]): { stiffness: number[][]; held: number[] } {
  const stiffness = inverse(flexibility(rafters, holds));
  const free = holds.map((hold) => freely(rafters, gives, hold));
  return { stiffness, held: stiffness.map((row) => -row.reduce((sum, value, i) => sum + value * free[i]!, 0)) };
}

/** What its load presses its seats apart with while they do not move [N]. */
export const thrustOf = (rafters: Rafters, gives: Gives): number => heldRafters(rafters, gives, ['thrust']).held[0]!;

export function inverse(matrix: readonly (readonly number[])[]): number[][] {
  const n = matrix.length;
  const a = matrix.map((row, i) => [...row, ...row.map((_, j) => (i === j ? 1 : 0))]);
  for (let i = 0; i < n; i += 1) {
    const pivot = a[i]![i]!;
    for (let j = 0; j < 2 * n; j += 1) a[i]![j]! /= pivot;
    for (let k = 0; k < n; k += 1) {
      if (k === i) continue;
      const times = a[k]![i]!;
      if (times === 0) continue;
      for (let j = 0; j < 2 * n; j += 1) a[k]![j]! -= times * a[i]![j]!;
    }
  }
  return a.map((row) => row.slice(n));
}

/** A stiffness as springs of one line each: LDLᵀ, those that hold nothing left out. */
export function springsOfOne(matrix: readonly (readonly number[])[]): { by: number[]; stiffness: number }[] {
  const n = matrix.length;
  const left = matrix.map((row) => [...row]);
  const springs: { by: number[]; stiffness: number }[] = [];
  for (let i = 0; i < n; i += 1) {
    const stiffness = left[i]![i]!;
    if (!(stiffness > 1e-12 * matrix[i]![i]!)) continue;
    const by = left.map((row, j) => (j < i ? 0 : row[i]! / stiffness));
    springs.push({ by, stiffness });
    for (let j = i; j < n; j += 1) for (let k = i; k < n; k += 1) left[j]![k]! -= stiffness * by[j]! * by[k]!;
  }
  return springs;
}
