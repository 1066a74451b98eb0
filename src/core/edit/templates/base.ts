import { noStructure } from '../../document/things/structure';
import { newPlan, type NewPlan } from '../../document/new-plan';
import type { Joint, Make, Move, Plan, Support } from '../../document/schema';

/** What somebody asked for and cannot be built so. */
export class NotSo extends Error {}

/** A job with nothing in it yet. */
export const emptyPlan = (job: NewPlan): Plan => ({
  ...newPlan(job),
  bearings: [],
  pieces: [],
  cranes: [],
  stands: [],
  picks: [],
  moves: [],
  structure: noStructure(),
});

/** What alike pieces share, its weight still by what it is made of. */
export const newMake = (id: string, mark: string, made: Make['made'], length: number, grade: string): Make => ({
  id,
  mark,
  made,
  length,
  grade,
  yield: null,
  mass: null,
  allowance: null,
  attachments: [],
});

/** A place of rest with all that only the drawings or the site can tell left open. */
export const newSupport = (id: string, name: string, kind: Support['kind'], piece: string, at: number): Support => ({
  id,
  name,
  kind,
  seats: [{ piece, at }],
  onBent: null,
  level: null,
  measured: null,
  spring: null,
  holdsDown: null,
  twist: false,
  along: 'free',
  seatLength: null,
  seatWidth: null,
  capacity: null,
  capacityBasis: 'design',
  stiffened: null,
  anchors: null,
  footing: null,
  standsOn: [],
});

export const newJoint = (id: string, name: string, kind: Joint['kind'], a: Joint['a'], b: Joint['b']): Joint => ({
  id,
  name,
  kind,
  a,
  b,
  holes: null,
  boltShear: null,
  moment: null,
  shear: null,
  traffic: false,
  sharesWith: null,
  oneStays: false,
});

type Bare = Move extends infer M ? (M extends Move ? Omit<M, 'id'> : never) : never;

/** Moves in the order they are put down. */
export class RunSheet {
  readonly moves: Move[] = [];
  put(...moves: Bare[]): void {
    for (const move of moves) this.moves.push({ id: `m${this.moves.length + 1}`, ...move } as Move);
  }
  /** a piece hung, its joints begun with bolts nobody has counted yet, and let go */
  set(beam: string, joints: readonly string[] = []): void {
    this.put(
      { kind: 'piece.hang', beam, by: '', pick: null },
      ...joints.map((joint): Bare => ({ kind: 'joint.make', joint, pins: 0, bolts: null, tight: null, fit: 'asLies' })),
      { kind: 'piece.letGo', beam, keeps: 0 },
    );
  }
  /** joints that were begun, filled and tightened */
  fill(joints: readonly string[]): void {
    this.put(...joints.map((joint): Bare => ({ kind: 'joint.make', joint, pins: 0, bolts: null, tight: null, fit: 'asLies' })));
  }
}
