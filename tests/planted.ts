import type { Move, Plan } from '../src/core/document/schema';
import { guy, joint, square } from './portal';

/** Two frames side by side with a post of 3 m on the middle of each girder, a beam between the heads of the posts, and ropes from both. */
export function planted(): Plan {
  const plan = square();
  const { structure } = plan;
  const at = (piece: string, spot: number) => ({ piece, at: spot });
  structure.makes.push({ ...structuredClone(structure.makes[0]!), id: 'post', mark: 'P', length: 3 });
  structure.pieces.push(
    ...([0, 5] as const).map((y) => ({ id: `p${y}`, mark: `P${y}`, make: 'post', weighed: null, from: { x: 3, y, z: 3.7 }, to: { x: 3, y, z: 6.7 } })),
    { id: 't', mark: 'T', make: 'js', weighed: null, from: { x: 3, y: 0, z: 6.6 }, to: { x: 3, y: 5, z: 6.6 } },
  );
  structure.joints.push(
    ...([0, 5] as const).map((y) => joint({ id: `s${y}`, kind: 'seat', moment: 20e3, a: at(`p${y}`, 0), b: at(`b${y}`, 3) })),
    joint({ id: 't0', kind: 'onColumn', a: at('t', 0), b: at('p0', 2.9) }),
    joint({ id: 't5', kind: 'onColumn', a: at('t', 5), b: at('p5', 2.9) }),
  );
  const ropes = (['p0', 'p5'] as const).flatMap((piece) =>
    [0, 90, 180, 270].map((way) => ({ ...guy(`${piece} ${way}`, way), a: at(piece, 2.9), slopeDeg: 55 })),
  );
  structure.braces.push(...ropes);
  let count = 0;
  const put = (list: object[]) => list.map((one) => ({ id: `v${(count += 1)}`, ...one }) as Move);
  const make = (id: string, bolts = 2) => ({ kind: 'joint.make', joint: id, pins: 0, bolts, tight: true, fit: 'drawn' });
  plan.moves.push(
    ...put([
      ...['p0', 'p5'].flatMap((beam) => [
        { kind: 'piece.hang', beam, by: 'mobile crane', checkedBy: 'L. Marsh' },
        make(`s${beam.slice(1)}`),
        ...ropes.filter(({ a }) => a.piece === beam).map(({ id }) => ({ kind: 'brace.fix', brace: id })),
        { kind: 'piece.letGo', beam, keeps: 0 },
        { kind: 'beam.plumb', beam, off: 0.002 },
        make(`s${beam.slice(1)}`),
      ]),
      { kind: 'piece.hang', beam: 't', by: 'mobile crane', checkedBy: 'L. Marsh' },
      make('t0', 4),
      make('t5', 4),
      { kind: 'piece.letGo', beam: 't', keeps: 0 },
    ]),
  );
  return plan;
}
