import type { Joint, Plan } from '../../document/schema';
import { drawnBolt, type Bolt } from './joint-bolts';

/** A joint with the moves that put something into it, in their order. */
export interface JointMade {
  joint: Joint;
  at: { number: number; pins: number; bolts: number | null; tight: boolean | null }[];
}

/** Joints in the order they are first made; those never made last. */
export function jointsInOrder({ structure, moves }: Plan): JointMade[] {
  const made = new Map(structure.joints.map((joint): [string, JointMade] => [joint.id, { joint, at: [] }]));
  moves.forEach((move, i) => {
    if (move.kind === 'joint.make') made.get(move.joint)?.at.push({ number: i + 1, pins: move.pins, bolts: move.bolts, tight: move.tight });
  });
  const first = ({ at }: JointMade) => at[0]?.number ?? Infinity;
  return [...made.values()].sort((a, b) => (first(a) === first(b) ? 0 : first(a) - first(b)));
}

export interface BoltCount {
  bolt: Pick<Bolt, 'diameter' | 'grade'>;
  joints: number;
  /** null: of some joint of that size nobody has said how many holes it has */
  count: number | null;
}

/** Bolts to take up, by size and grade: the holes of each joint, of a splice those of both its sides; bolts two joints share once. */
export function boltCounts({ structure }: Plan): { sizes: BoltCount[]; unsaid: number } {
  const sizes = new Map<string, BoltCount>();
  let unsaid = 0;
  const counted = new Set<string>();
  const shared = new Set<string>();
  for (const joint of structure.joints) {
    const { id, holes, kind, sharesWith } = joint;
    const bolt = drawnBolt(joint);
    if (shared.has(id) || (sharesWith !== null && counted.has(sharesWith))) continue;
    if (kind === 'seat' && !joint.bolt) continue;
    if (!bolt) {
      unsaid += 1;
      continue;
    }
    counted.add(id);
    if (sharesWith !== null) shared.add(sharesWith);
    const { diameter, grade } = bolt;
    const key = `${diameter.toFixed(5)} ${grade}`;
    const before = sizes.get(key) ?? { bolt: { diameter, grade }, joints: 0, count: 0 };
    const here = holes === null ? null : holes * (kind === 'splice' ? 2 : 1);
    sizes.set(key, { ...before, joints: before.joints + 1, count: before.count === null || here === null ? null : before.count + here });
  }
  return { sizes: [...sizes.values()].sort((a, b) => a.bolt.diameter - b.bolt.diameter || a.bolt.grade.localeCompare(b.bolt.grade)), unsaid };
}
