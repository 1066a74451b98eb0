import type { Move, Plan } from '../src/core/document/schema';
import { bare, support } from './spliced-girder';

const LONG = 12;
type Bare = Move extends infer M ? (M extends Move ? Omit<M, 'id'> : never) : never;

/** Girder lines side by side, each of so many pieces spliced over piers: every piece is hung, joined and let go. */
export function girderLines(lines: number, each: number, most = Infinity): Plan {
  const plan = bare('us-asd');
  const { structure } = plan;
  structure.makes.push({
    id: 'g',
    mark: 'G',
    made: { kind: 'section', section: 'W30x108' },
    length: LONG,
    grade: 'A992',
    yield: null,
    mass: null,
    allowance: null,
    attachments: [],
  });
  const moves: Bare[] = [];
  for (let line = 0; line < lines; line += 1) {
    const y = 3 * line;
    for (let n = 0; n < each; n += 1) {
      const id = `p${line}-${n}`;
      structure.pieces.push({
        id,
        mark: `G${line + 1}.${n + 1}`,
        make: 'g',
        weighed: null,
        from: { x: LONG * n, y, z: 6 },
        to: { x: LONG * (n + 1), y, z: 6 },
      });
      const seats = n === 0 ? [0.3, 9] : [9];
      seats.forEach((at, k) => {
        const seat = `${id}s${k}`;
        structure.supports.push(support(seat, `Pier ${line + 1}.${n + 1}.${k}`, id, at, { along: n === 0 && k === 0 ? 'fixed' : 'free' }));
        moves.push({ kind: 'support.ready', support: seat });
      });
      moves.push({ kind: 'piece.hang', beam: id, by: 'mobile crane', checkedBy: 'L. Marsh' });
      if (n > 0) {
        const joint = `${id}j`;
        structure.joints.push({
          id: joint,
          name: `Splice ${line + 1}.${n}`,
          kind: 'splice',
          a: { piece: `p${line}-${n - 1}`, at: LONG },
          b: { piece: id, at: 0 },
          holes: 24,
          bolt: { diameter: 0.022225, grade: 'A325', planes: 2 },
          boltShear: null,
          moment: 900e3,
          shear: 400e3,
          traffic: false,
          sharesWith: null,
          oneStays: false,
        });
        moves.push({ kind: 'joint.make', joint, pins: 6, bolts: 24, tight: true, fit: 'asLies' });
      }
      moves.push({ kind: 'piece.letGo', beam: id, keeps: 0 });
    }
  }
  plan.moves = moves.slice(0, most).map((move, i) => ({ id: `m${i}`, ...move }) as Move);
  return plan;
}
