import { solveLine, type LineAnswer, type LineJoint, type LinePiece, type LineSupport } from '../stage/line';
import { swayOf, type SwayAnswer, type SwayFrame, type SwayLoad, type SwaySpot } from '../frame/sway';
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

const sways = new ByNumbers<SwayAnswer[]>(2000);

/** The same frame in the same winds leans the same. */
export function leaningsOf(frame: SwayFrame, loads: readonly SwayLoad[]): readonly SwayAnswer[] {
  const signature = new Signature();
  const { numbers } = signature;
  const put = (spot: SwaySpot) => {
    numbers.push(spot.length);
    for (const { column, node, share } of spot) numbers.push(column, node, share);
  };
  const rails = frame.rails ?? [];
  const rafters = frame.rafters ?? [];
  numbers.push(frame.columns.length, frame.ties.length, frame.braces.length, rails.length, rafters.length, loads.length);
  for (const { x, y, stiffness, ways, canStand, rides = null, nodes } of frame.columns) {
    numbers.push(x, y, stiffness, ways?.x ?? -1, ways?.y ?? -1, canStand ? 1 : 0, nodes.length);
    for (const { z, down } of nodes) numbers.push(z, down);
    numbers.push(rides ? 1 : 0);
    if (rides) put(rides);
  }
  for (const { a, b, stiffness } of frame.ties) {
    put(a);
    put(b);
    numbers.push(stiffness);
  }
  for (const { a, b, towards, stiffness, pullsOnly } of frame.braces) {
    put(a);
    put(b ?? []);
    numbers.push(b === null ? 1 : 0, towards.x, towards.y, towards.z, stiffness, pullsOnly ? 1 : 0);
  }
  for (const { a, b, stiffness, keeps, ends } of rails)
    numbers.push(a.column, a.node, b.column, b.node, stiffness, keeps.a ? 1 : 0, keeps.b ? 1 : 0, ends.a, ends.b);
  for (const { a, b, keeps, legs, pin, gives } of rafters) {
    numbers.push(a.column, a.node, b.column, b.node, keeps.a ? 1 : 0, keeps.b ? 1 : 0, legs.length, pin ?? -1, gives.near, gives.a, gives.b, gives.atPin);
    for (const { from, to, low, high, stiffness } of legs) numbers.push(from, to, low, high, stiffness);
  }
  for (const load of loads) for (const nodes of load) for (const { x, y } of nodes) numbers.push(x, y);
  return sways.get(signature, () => {
    const sway = swayOf(frame);
    return loads.map((load) => sway.solve(load));
  });
}
