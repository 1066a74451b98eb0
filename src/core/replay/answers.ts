import { solveLine, type LineAnswer, type LineJoint, type LinePiece, type LineSupport } from '../stage/line';
import { swaysOf } from '../frame/sway';
import type { SwayAnswer, SwayFrame, SwayLoad } from '../frame/sway-frame';
import type { IslandAnswer } from '../frame/sway-island';
import { ByNumbers, Signature } from '../document/by-numbers';

const lines = new ByNumbers<LineAnswer>(20000);

/** The same line under the same loads is the same answer. */
export function answerOf(pieces: readonly LinePiece[], supports: readonly LineSupport[], joints: readonly LineJoint[]): LineAnswer {
  const signature = new Signature();
  const { numbers, ids } = signature;
  numbers.push(pieces.length, supports.length, joints.length);
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
  return lines.get(signature, () => solveLine(pieces, supports, joints));
}

const islands = new ByNumbers<readonly IslandAnswer[]>(4000);
const NO_IDS: readonly string[] = [];

/** Islands of the frame that are the same in the same winds lean the same, whatever else of it is another. */
export const leaningsOf = (frame: SwayFrame, loads: readonly SwayLoad[]): readonly SwayAnswer[] =>
  swaysOf(frame, loads, false, (numbers, make) => islands.get({ numbers, ids: NO_IDS }, make));
