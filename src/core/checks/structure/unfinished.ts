import { phrase, q } from '../../calc/work';
import { ratioCheck, told } from '../../verdict/build';
import { hangsWith } from '../../document/joined';
import type { Joint, Move } from '../../document/schema';
import type { Ground } from './ground';
import { pointAt } from '../../document/place';
import { about, place } from './places';
import { beamAt, isMade, jointAt, type StructureMoment } from '../../replay/moment';
import { releaseBolts } from '../../gates/release.calc';

/** 48 ft of unfinished bolting above what is finished, 29 CFR 1926.754(b)(2) [m]. */
const UNFINISHED = 14.63;

/** How high the steel stands and which joints are not filled yet, kept as the moves go. */
export class Unfinished {
  private high = -Infinity;
  /** joints that are made and not filled, with their level [m] */
  private readonly open = new Map<string, { joint: Joint; z: number }>();
  private readonly joints: Map<string, Joint>;

  constructor(private readonly ground: Ground) {
    this.joints = new Map(ground.context.plan.structure.joints.map((one) => [one.id, one]));
  }

  after(move: Move, moment: StructureMoment): void {
    const { beams } = this.ground;
    if (move.kind === 'piece.letGo' && beamAt(moment, move.beam).where === 'set') {
      for (const id of [move.beam, ...hangsWith(this.ground.context.plan, move.beam)]) {
        const stands = beams.get(id)!.place;
        if (stands) this.high = Math.max(this.high, stands.from.z, stands.to.z);
      }
    }
    if (move.kind === 'joint.make' || move.kind === 'joint.free') {
      const joint = this.joints.get(move.joint)!;
      const state = jointAt(moment, joint.id);
      const stands = beams.get(joint.a.piece)?.place;
      const filled = !isMade(state) || !stands || (joint.holes !== null && state.bolts !== null && state.bolts >= joint.holes);
      if (filled) this.open.delete(joint.id);
      else this.open.set(joint.id, { joint, z: pointAt(stands, joint.a.at).z });
    }
  }

  /** How much steel stands above the lowest joint that is not filled yet. */
  check(move: string | null): void {
    let lowest: { joint: Joint; z: number } | null = null;
    for (const one of this.open.values()) if (!lowest || one.z < lowest.z) lowest = one;
    if (!lowest || this.high < lowest.z) return;
    const { joint, z } = lowest;
    const rises = this.high - z;
    const numbers = { demand: rises, capacity: UNFINISHED, quantity: 'length' as const, caution: null, inclusive: true };
    this.ground.rows.ratio('frame.unfinished', 'job', 'structure', undefined, move, numbers, () =>
      ratioCheck(
        place(
          'frame.unfinished',
          about('job', { id: 'structure' }, 'Structure'),
          move,
          releaseBolts.id,
          '29 CFR 1926.754(b)(2): no more than four floors or 48 ft of unfinished bolting',
        ),
        numbers,
        told(phrase`${q(rises, 'length')} of steel stand above ${joint.name}, whose holes are not all filled; ${q(UNFINISHED, 'length')} may.`),
        [],
      ),
    );
  }
}
