import type { Move, Plan } from '../src/core/document/schema';
import { joint, portal } from './portal';

/** A portal whose columns are held along its beam by one piece, from the foot of the first to the head of the second, and by ropes square to it. */
export function braced(section = 'HSS6x6x1/4', turned = false): Plan {
  const plan = portal();
  const { structure } = plan;
  structure.braces = structure.braces.filter(({ towardsDeg }) => towardsDeg === 90 || towardsDeg === 270);
  plan.moves = plan.moves.filter((move) => move.kind !== 'brace.fix' || structure.braces.some(({ id }) => id === move.brace));
  addDiagonal(plan, 'd1', section, ['c1', 'c2'], turned);
  return plan;
}

/** One more, from the foot of a column to the head of another, before the ropes are fixed. */
export function addDiagonal(plan: Plan, id: string, section: string, [low, high]: [string, string], turned = false): void {
  const { structure } = plan;
  const x = (column: string) => structure.pieces.find((one) => one.id === column)!.from!.x;
  const length = Math.hypot(6, 3.5);
  const [foot, head] = [
    { x: x(low), y: 0, z: 0.1 },
    { x: x(high), y: 0, z: 3.6 },
  ];
  const [first, last] = turned ? [high, low] : [low, high];
  const height = (column: string) => (column === low ? 0.1 : 3.6);
  structure.makes.push({ ...structuredClone(structure.makes[0]!), id: `make-${id}`, mark: id.toUpperCase(), made: { kind: 'section', section }, length });
  structure.pieces.push({ id, mark: id.toUpperCase(), make: `make-${id}`, weighed: null, ...(turned ? { from: head, to: foot } : { from: foot, to: head }) });
  const joints = [
    joint({ id: `${id}-1`, kind: 'onColumn', a: { piece: id, at: 0 }, b: { piece: first, at: height(first) } }),
    joint({ id: `${id}-2`, kind: 'onColumn', a: { piece: id, at: length }, b: { piece: last, at: height(last) } }),
  ];
  structure.joints.push(...joints);
  const made = (bolts: number) => joints.map((one) => ({ kind: 'joint.make', joint: one.id, pins: 0, bolts, tight: true, fit: 'drawn' }));
  const before: object[] = [
    { kind: 'piece.hang', beam: id, by: 'mobile crane, lift card 3', checkedBy: 'L. Marsh' },
    ...made(2),
    { kind: 'piece.letGo', beam: id, keeps: 0 },
  ];
  const put = (list: object[], name: string) => list.map((one, n) => ({ id: `${id} ${name}${n}`, ...one }) as Move);
  const guys = plan.moves.findIndex(({ kind }) => kind === 'brace.fix');
  plan.moves.splice(guys, 0, ...put(before, 'set'));
  const plumbed = plan.moves.findLastIndex(({ kind }) => kind === 'beam.plumb');
  plan.moves.splice(plumbed + 1, 0, ...put(made(2), 'fill'));
}
