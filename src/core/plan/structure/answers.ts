import { solveLine, type LineAnswer, type LineJoint, type LinePiece, type LineSupport } from '../../stage/line';

interface Kept {
  numbers: number[];
  ids: string[];
  answer: LineAnswer;
}

/** Answers kept, by all that goes into them; past this many the oldest are forgotten. */
const KEPT = 20000;
const kept = new Map<number, Kept>();

/** The same line under the same loads is the same answer. */
export function answerOf(pieces: readonly LinePiece[], supports: readonly LineSupport[], joints: readonly LineJoint[]): LineAnswer {
  const numbers: number[] = [pieces.length, supports.length, joints.length];
  const ids: string[] = [];
  for (const { id, from, to, stretches, loads } of pieces) {
    ids.push(id);
    numbers.push(from, to, stretches.length, loads.length);
    for (const one of stretches) numbers.push(one.to, one.stiffness, one.load);
    for (const one of loads) numbers.push(one.x, one.force);
  }
  for (const { id, x, level, spring, tie } of supports) {
    ids.push(id);
    numbers.push(x, level, spring ?? -1, tie ? 1 : 0);
  }
  // No angle is told apart from every angle there can be.
  for (const { x, angle } of joints) numbers.push(x, angle ?? Infinity);
  const key = hashOf(numbers, ids);
  const before = kept.get(key);
  if (before && same(before.numbers, numbers) && same(before.ids, ids)) return before.answer;
  const answer = solveLine(pieces, supports, joints);
  if (kept.size >= KEPT) kept.delete(kept.keys().next().value!);
  kept.set(key, { numbers, ids, answer });
  return answer;
}

const same = <T>(a: readonly T[], b: readonly T[]): boolean => a.length === b.length && a.every((one, i) => Object.is(one, b[i]));

const bits = new Float64Array(1);
const halves = new Int32Array(bits.buffer);
function hashOf(numbers: readonly number[], ids: readonly string[]): number {
  let [one, two] = [17, 31];
  const mix = (value: number): void => {
    one = Math.imul(one ^ value, 0x01000193);
    two = Math.imul((two << 5) ^ (two >>> 27) ^ value, 0x85ebca6b);
  };
  for (const number of numbers) {
    bits[0] = number;
    mix(halves[0]!);
    mix(halves[1]!);
  }
  for (const id of ids) for (let i = 0; i < id.length; i += 1) mix(id.charCodeAt(i));
  return (one >>> 0) * 0x200000 + (two >>> 11);
}
