import { hangsWith, hungWith, liftedAsOne } from '../../document/joined';
import { pickOf, pickTies } from '../../document/lookups';
import type { Beam, Move, Plan } from '../../document/schema';
import { sharersOf } from '../../document/sharers';
import { temporarySupports } from '../../document/things/support-kinds';
import type { Hood } from '../hoods';
import { writeLedger } from '../ledger';
import { beamAt, braceAt, isMade, jointAt, loadAt, standsAt, supportAt, type JointState, type StructureMoment } from '../moment';
import { again, type Need } from '../now';
import { byNothing, structural, type MovesOf } from './contract';
import { braceOf, jointOf, knownOf, loadOf, markOf, supportOf } from './known';
import { cranesThere, hookNeeds, onTheGround } from './lifting';

type Hoods = ReadonlyMap<string, Hood>;

const ofSupport = {
  by: byNothing,
  reads: (plan: Plan, { support: id }: { support: string }, hoods: Hoods) => {
    const support = supportOf(plan, id);
    return [support, plan.shoring.bents, ...support.seats.map(({ piece }) => hoods.get(piece))];
  },
};
const supportStands = (plan: Plan, id: string, now: StructureMoment): Need => ({
  what: `${supportOf(plan, id).name} stands`,
  done: standsAt(now, id),
  by: [{ kind: 'support.ready', support: id }],
});

/** What supports of the structure are made ready, raised, lowered and struck. */
export const supportMoves: MovesOf<'support.ready' | 'support.level' | 'support.strike'> = {
  'support.ready': {
    ...ofSupport,
    needs: (plan, move, { structure: now, shoresSet }) => {
      const support = supportOf(plan, move.support);
      const bent = support.onBent === null ? undefined : plan.shoring.bents.find((one) => one.id === support.onBent!.bent);
      return [
        ...(bent ? [{ what: `${bent.name} under it is set`, done: shoresSet[bent.id] ?? false, by: [{ kind: 'shore.set' as const, shore: bent.id }] }] : []),
        ...(standsAt(now, support.id) ? [again(`${support.name} is not ready yet (it was made ready before)`)] : []),
      ];
    },
    after: structural((_, move, now) => ({ ...now, supports: writeLedger(now.supports, move.support, { stands: true, struck: false, level: null }) })),
  },
  'support.level': {
    ...ofSupport,
    needs: (plan, move, { structure: now }) => [supportStands(plan, move.support, now)],
    after: structural((_, move, now) => ({
      ...now,
      supports: writeLedger(now.supports, move.support, { ...supportAt(now, move.support), level: move.level }),
    })),
  },
  'support.strike': {
    ...ofSupport,
    needs: (plan, move, { structure: now }) => {
      const { splices } = knownOf(plan);
      const support = supportOf(plan, move.support);
      const stands = supportStands(plan, move.support, now);
      if (!temporarySupports.includes(support.kind)) return [stands];
      // Bents are lowered when the splices of what lies on them are filled and tight.
      const resting = new Set(support.seats.map(({ piece }) => piece));
      const open = [...new Set([...resting].flatMap((piece) => splices.get(piece) ?? []))].filter(
        (one) => isMade(jointAt(now, one.id)) && one.holes !== null && (jointAt(now, one.id)!.bolts ?? one.holes) < one.holes,
      );
      return [stands, ...open.map((one) => ({ what: `${one.name} is filled and tight`, done: false, by: [{ kind: 'joint.make' as const, joint: one.id }] }))];
    },
    after: structural((_, move, now) => ({
      ...now,
      supports: writeLedger(now.supports, move.support, { ...supportAt(now, move.support), stands: false, struck: true }),
    })),
  },
};

/** Of each support under a piece, whether it is to be ready before the move that hangs the piece. */
function readyBefore(plan: Plan, move: Extract<Move, { kind: 'piece.hang' }>): boolean[] {
  const { under, readyAt, placeOf } = knownOf(plan);
  const at = placeOf.get(move.id)!;
  return [move.beam, ...hungWith(plan, move)].flatMap((beam) => (under.get(beam) ?? []).map(({ id }) => (readyAt.get(id) ?? -1) > at));
}

/** What pieces of the structure are hung, let go and plumbed. */
export const pieceMoves: MovesOf<'piece.hang' | 'piece.letGo' | 'beam.plumb'> = {
  'piece.hang': {
    by: (plan, move) => [hungWith(plan, move)],
    // When each of its supports is made ready is a matter of the run sheet.
    reads: (plan, move, hoods) => [
      hoods.get(move.beam),
      ...hungWith(plan, move).map((id) => hoods.get(id)),
      pickTies(plan),
      plan.stands,
      plan.pieces,
      ...readyBefore(plan, move),
    ],
    needs: (plan, move, moment) => {
      const now = moment.structure;
      const { under, carriedBy, readyAt, placeOf } = knownOf(plan);
      const at = placeOf.get(move.id)!;
      // A prop or jack may come under it later; what it is to be landed on for good is there when it lands.
      const all = [move.beam, ...hungWith(plan, move)];
      const seats = [...new Set(all.flatMap((id) => under.get(id) ?? []))].filter(
        (one) => !(temporarySupports.includes(one.kind) && (readyAt.get(one.id) ?? -1) > at),
      );
      const pick = move.pick ? pickOf(plan, move.pick) : null;
      return [
        ...seats.map((one) => ({ what: `${one.name} is ready`, done: standsAt(now, one.id), by: [{ kind: 'support.ready' as const, support: one.id }] })),
        ...all.flatMap((id) =>
          (carriedBy.get(id) ?? []).map((one) => ({
            what: `${markOf(plan, one.b.piece)} stands, which carries it at ${one.name}`,
            done: beamAt(now, one.b.piece).where === 'set',
            by: [{ kind: 'piece.letGo' as const, beam: one.b.piece }],
          })),
        ),
        ...all.filter((id) => beamAt(now, id).where !== 'away').map((id) => again(`${markOf(plan, id)} is still to come (it was hung before)`)),
        ...onTheGround(plan, now, all),
        ...(pick ? [...cranesThere(plan, pick, moment), ...hookNeeds(plan, pick, moment)] : []),
      ];
    },
    after: structural((plan, move, now) => ({
      ...now,
      beams: hungWith(plan, move).reduce<StructureMoment['beams']>(
        (beams, id) => writeLedger(beams, id, { where: 'hanging', kept: 0, with: move.beam }),
        writeLedger(now.beams, move.beam, { where: 'hanging', kept: 0, ...(move.pick ? { pick: move.pick } : {}) }),
      ),
    })),
  },
  'piece.letGo': {
    by: (plan, move) => [hangsWith(plan, move.beam)],
    reads: (plan, move, hoods) => [hoods.get(move.beam), pickTies(plan), plan.stands, plan.pieces],
    needs: (plan, move, moment) => {
      const now = moment.structure;
      const { with: main, pick } = beamAt(now, move.beam);
      const cranes = pick === undefined ? [] : cranesThere(plan, pickOf(plan, pick), moment);
      if (main !== undefined && beamAt(now, main).where === 'hanging')
        return [{ what: `${markOf(plan, main)}, which it hangs with, is let go of`, done: false, by: [{ kind: 'piece.letGo', beam: main }] }, ...cranes];
      return [
        {
          what: `${markOf(plan, move.beam)} hangs in place`,
          done: beamAt(now, move.beam).where === 'hanging' || beamAt(now, move.beam).kept > 0,
          by: [{ kind: 'piece.hang', beam: move.beam }],
        },
        ...cranes,
      ];
    },
    after: structural((plan, move, now) => {
      const { pick, ...had } = beamAt(now, move.beam);
      const holds = move.keeps > 0 && pick ? { pick } : {};
      const along = hangsWith(plan, move.beam).filter((id) => beamAt(now, id).with === move.beam);
      return {
        ...now,
        beams: along.reduce<StructureMoment['beams']>(
          (beams, id) => writeLedger(beams, id, { ...beamAt(now, id), where: 'set' }),
          writeLedger(now.beams, move.beam, { ...had, where: 'set', kept: move.keeps, ...holds }),
        ),
      };
    }),
  },
  'beam.plumb': {
    by: byNothing,
    reads: (_, move, hoods) => [hoods.get(move.beam)],
    needs: (plan, move, { structure: now }) => [
      { what: `${markOf(plan, move.beam)} is set`, done: beamAt(now, move.beam).where === 'set', by: [{ kind: 'piece.letGo', beam: move.beam }] },
    ],
    after: structural((_, move, now) => ({ ...now, beams: writeLedger(now.beams, move.beam, { ...beamAt(now, move.beam), plumbed: true }) })),
  },
};

/** Steeper than two in one: a column. */
const isUpright = ({ from, to }: Beam): boolean => from !== null && to !== null && Math.abs(to.z - from.z) > 2 * Math.hypot(to.x - from.x, to.y - from.y);

/** Both ends are in place, or lie on the ground and are lifted as one. */
const inPlace = (plan: Plan, ends: readonly string[], now: StructureMoment, lifted: boolean): Need[] =>
  lifted && ends.every((id) => beamAt(now, id).where === 'away')
    ? []
    : ends.map((id) => ({
        what: `${markOf(plan, id)} is in place`,
        done: beamAt(now, id).where !== 'away',
        by: [{ kind: 'piece.hang' as const, beam: id }],
      }));

const ofJoint = {
  by: byNothing,
  reads: (plan: Plan, move: { joint: string }, hoods: Hoods) => {
    const joint = jointOf(plan, move.joint);
    return [
      joint,
      hoods.get(joint.a.piece),
      hoods.get(joint.b.piece),
      sharersOf(plan.structure.joints).get(joint.id),
      liftedAsOne(plan, joint.a.piece, joint.b.piece),
    ];
  },
};
const ofBrace = {
  by: byNothing,
  reads: (plan: Plan, move: { brace: string }, hoods: Hoods) => {
    const brace = braceOf(plan, move.brace);
    return [brace, hoods.get(brace.a.piece), ...(brace.b === null ? [] : [hoods.get(brace.b.piece), liftedAsOne(plan, brace.a.piece, brace.b.piece)])];
  },
};

/** What is joined and braced, and made free again. */
export const joiningMoves: MovesOf<'joint.make' | 'joint.free' | 'brace.fix' | 'brace.free'> = {
  'joint.make': {
    ...ofJoint,
    needs: (plan, move, { structure: now }) => {
      const joint = jointOf(plan, move.joint);
      const had = jointAt(now, joint.id);
      const ends = [joint.a.piece, joint.b.piece];
      const filled = joint.holes !== null && (had?.bolts ?? 0) + (move.tight === false ? 0 : (move.bolts ?? 0)) >= joint.holes;
      // Filled and tight, what leans stays leaning: columns are plumbed while their joints are loose.
      const leaning = filled ? ends.filter((id) => isUpright(knownOf(plan).beams.get(id)!) && !beamAt(now, id).plumbed) : [];
      const shared = sharersOf(plan.structure.joints).get(joint.id);
      return [
        // Spliced on the ground, where both lie on their blocks until they are lifted as one.
        ...inPlace(plan, ends, now, joint.kind === 'splice' && liftedAsOne(plan, joint.a.piece, joint.b.piece)),
        ...leaning.map((id) => ({
          what: `${markOf(plan, id)} is plumbed before the last bolts of ${joint.name} are tight`,
          done: false,
          by: [{ kind: 'beam.plumb' as const, beam: id }],
        })),
        ...(shared && isMade(jointAt(now, shared.id)) && !joint.oneStays && !shared.oneStays
          ? [{ what: `one wrench-tight bolt stays in ${shared.name}, or a seat is under the second piece (29 CFR 1926.756(c))`, done: false }]
          : []),
      ];
    },
    after: structural((_, move, now) => {
      const had = jointAt(now, move.joint);
      const before = isMade(had) ? had : { pins: 0, bolts: 0 as number | null, untold: false, fit: move.fit };
      // Bolts that are finger-tight, or not the drawn ones, are in the hole and count for nothing.
      const put = move.tight === false ? 0 : move.bolts;
      const state: JointState = {
        pins: before.pins + move.pins,
        bolts: put === null || before.bolts === null ? null : before.bolts + put,
        untold: before.untold || (move.tight === null && move.bolts !== 0),
        fit: before.fit,
      };
      return { ...now, joints: writeLedger(now.joints, move.joint, state) };
    }),
  },
  'joint.free': {
    ...ofJoint,
    needs: (plan, move, { structure: now }) => [
      { what: `${jointOf(plan, move.joint).name} is made`, done: isMade(jointAt(now, move.joint)), by: [{ kind: 'joint.make', joint: move.joint }] },
    ],
    after: structural((_, move, now) => ({ ...now, joints: writeLedger<JointState>(now.joints, move.joint, undefined) })),
  },
  'brace.fix': {
    ...ofBrace,
    needs: (plan, move, { structure: now }) => {
      const { id, name, a, b } = braceOf(plan, move.brace);
      return [
        // A pair that is lifted as one is tied while both lie on their blocks.
        ...inPlace(plan, [a.piece, ...(b ? [b.piece] : [])], now, b !== null && liftedAsOne(plan, a.piece, b.piece)),
        ...(braceAt(now, id) ? [again(`${name} is not in yet (it was fixed before)`)] : []),
      ];
    },
    after: structural((_, move, now) => ({ ...now, braces: writeLedger(now.braces, move.brace, true) })),
  },
  'brace.free': {
    ...ofBrace,
    needs: (_, move, { structure: now }) => [{ what: 'the brace is in', done: braceAt(now, move.brace), by: [{ kind: 'brace.fix', brace: move.brace }] }],
    after: structural((_, move, now) => ({ ...now, braces: writeLedger(now.braces, move.brace, false) })),
  },
};

const ofLoad = {
  by: byNothing,
  reads: (plan: Plan, move: { load: string }, hoods: Hoods) => {
    const load = loadOf(plan, move.load);
    return [load, hoods.get(load.piece)];
  },
};
/** What is put on the steel and taken off it. */
export const loadMoves: MovesOf<'load.on' | 'load.off'> = {
  'load.on': {
    ...ofLoad,
    needs: (plan, move, { structure: now }) => {
      const load = loadOf(plan, move.load);
      return [
        {
          what: `${markOf(plan, load.piece)} is set and let go of`,
          done: beamAt(now, load.piece).where === 'set' && beamAt(now, load.piece).kept === 0,
          by: [{ kind: 'piece.letGo', beam: load.piece }],
        },
        ...(loadAt(now, load.id) ? [again(`${load.what} is not on it yet`)] : []),
      ];
    },
    after: structural((_, move, now) => ({ ...now, loads: writeLedger(now.loads, move.load, true) })),
  },
  'load.off': {
    ...ofLoad,
    needs: (_, move, { structure: now }) => [{ what: 'the load is on', done: loadAt(now, move.load), by: [{ kind: 'load.on', load: move.load }] }],
    after: structural((_, move, now) => ({ ...now, loads: writeLedger(now.loads, move.load, false) })),
  },
};
