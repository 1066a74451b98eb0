import { writeLedger } from './ledger';
import { beamAt, braceAt, isMade, jointAt, loadAt, standsAt, supportAt, type JointState, type StructureMoment } from './moment';
import type { Moment, Need } from './replay';
import { launchAfter, launchNeeds } from './moves';
import { keepOne } from '../document/keep';
import { sharersOf } from '../document/sharers';
import type { Beam, Brace, Joint, Move, Pick, Plan, PutLoad, Support } from '../document/schema';
import { temporarySupports } from '../document/things/support-kinds';
import { hangsWith, hungWith, liftedAsOne, loadOf as loadOfPick } from '../document/joined';

/** Every kind of move that is done to the structure. */
const structureKinds = {
  'support.ready': true,
  'support.level': true,
  'support.strike': true,
  'piece.hang': true,
  'piece.letGo': true,
  'beam.plumb': true,
  'joint.make': true,
  'joint.free': true,
  'brace.fix': true,
  'brace.free': true,
  'load.on': true,
  'load.off': true,
  'launch.build': true,
  'launch.push': true,
  'launch.stop': true,
  'launch.lower': true,
} as const;
export type StructureMove = Extract<Move, { kind: keyof typeof structureKinds }>;
export const isStructureMove = (move: Move): move is StructureMove => move.kind in structureKinds;

/** Steeper than two in one: a column. */
const isUpright = ({ from, to }: Beam): boolean => from !== null && to !== null && Math.abs(to.z - from.z) > 2 * Math.hypot(to.x - from.x, to.y - from.y);

interface Known {
  beams: Map<string, Beam>;
  supports: Map<string, Support>;
  joints: Map<string, Joint>;
  braces: Map<string, Brace>;
  loads: Map<string, PutLoad>;
  /** supports with a seat under each piece, and joints by which it is carried or met */
  under: Map<string, Support[]>;
  carriedBy: Map<string, Joint[]>;
  splices: Map<string, Joint[]>;
  /** place in the run sheet of the first move that makes a support ready, and of each move */
  readyAt: Map<string, number>;
  placeOf: Map<string, number>;
}

function knownOf(plan: Plan): Known {
  const things = keepOne('structure.known', [plan.structure], () => {
    const { pieces, supports, joints, braces, loads } = plan.structure;
    const found = {
      beams: byId(pieces),
      supports: byId(supports),
      joints: byId(joints),
      braces: byId(braces),
      loads: byId(loads),
      under: new Map<string, Support[]>(),
      carriedBy: new Map<string, Joint[]>(),
      splices: new Map<string, Joint[]>(),
    };
    for (const support of supports) for (const { piece } of support.seats) push(found.under, piece, support);
    for (const joint of joints) {
      if (joint.kind !== 'splice') push(found.carriedBy, joint.a.piece, joint);
      else for (const piece of new Set([joint.a.piece, joint.b.piece])) push(found.splices, piece, joint);
    }
    return found;
  });
  const order = keepOne('structure.order', [plan.moves], () => {
    const readyAt = new Map<string, number>();
    const placeOf = new Map<string, number>();
    plan.moves.forEach((move, i) => {
      placeOf.set(move.id, i);
      if (move.kind === 'support.ready' && !readyAt.has(move.support)) readyAt.set(move.support, i);
    });
    return { readyAt, placeOf };
  });
  return keepOne('structure.both', [things, order], () => ({ ...things, ...order }));
}
export const supportOf = (plan: Plan, id: string): Support => knownOf(plan).supports.get(id)!;
export const jointOf = (plan: Plan, id: string): Joint => knownOf(plan).joints.get(id)!;
export const braceOf = (plan: Plan, id: string): Brace => knownOf(plan).braces.get(id)!;
export const loadOf = (plan: Plan, id: string): PutLoad => knownOf(plan).loads.get(id)!;

/** Of each support under a piece, whether it is to be ready before the move that hangs the piece. */
export function readyBefore(plan: Plan, move: Extract<Move, { kind: 'piece.hang' }>): boolean[] {
  const { under, readyAt, placeOf } = knownOf(plan);
  const at = placeOf.get(move.id)!;
  return [move.beam, ...hungWith(plan, move)].flatMap((beam) => (under.get(beam) ?? []).map(({ id }) => (readyAt.get(id) ?? -1) > at));
}
const byId = <T extends { id: string }>(list: readonly T[]): Map<string, T> => new Map(list.map((one) => [one.id, one]));
function push<T>(map: Map<string, T[]>, key: string, one: T): void {
  const list = map.get(key);
  if (list) list.push(one);
  else map.set(key, [one]);
}

/** What a move of the structure needs of the moves before it. */
export function structureNeeds(plan: Plan, move: StructureMove, moment: Moment): Need[] {
  const now = moment.structure;
  const { beams, supports, joints, under, carriedBy, splices, readyAt, placeOf } = knownOf(plan);
  const mark = (id: string): string => beams.get(id)?.mark || id;
  switch (move.kind) {
    case 'support.ready': {
      const support = supports.get(move.support)!;
      const bent = support.onBent === null ? undefined : plan.shoring.bents.find((one) => one.id === support.onBent!.bent);
      return [
        ...(bent
          ? [{ what: `${bent.name} under it is set`, done: moment.shoresSet[bent.id] ?? false, by: [{ kind: 'shore.set' as const, shore: bent.id }] }]
          : []),
        ...(standsAt(now, support.id) ? [{ what: `${support.name} is not ready yet (it was made ready before)`, done: false, again: true as const }] : []),
      ];
    }
    case 'support.level':
    case 'support.strike': {
      const support = supports.get(move.support)!;
      const stands: Need = { what: `${support.name} stands`, done: standsAt(now, support.id), by: [{ kind: 'support.ready', support: support.id }] };
      if (move.kind === 'support.level' || !temporarySupports.includes(support.kind)) return [stands];
      // Bents are lowered when the splices of what lies on them are filled and tight.
      const resting = new Set(support.seats.map(({ piece }) => piece));
      const open = [...new Set([...resting].flatMap((piece) => splices.get(piece) ?? []))].filter(
        (one) => isMade(jointAt(now, one.id)) && one.holes !== null && (jointAt(now, one.id)!.bolts ?? one.holes) < one.holes,
      );
      return [stands, ...open.map((one) => ({ what: `${one.name} is filled and tight`, done: false, by: [{ kind: 'joint.make' as const, joint: one.id }] }))];
    }
    case 'piece.hang': {
      const at = placeOf.get(move.id)!;
      // A prop or jack may come under it later; what it is to be landed on for good is there when it lands.
      const all = [move.beam, ...hungWith(plan, move)];
      const seats = [...new Set(all.flatMap((id) => under.get(id) ?? []))].filter(
        (one) => !(temporarySupports.includes(one.kind) && (readyAt.get(one.id) ?? -1) > at),
      );
      return [
        ...seats.map((one) => ({ what: `${one.name} is ready`, done: standsAt(now, one.id), by: [{ kind: 'support.ready' as const, support: one.id }] })),
        ...all.flatMap((id) =>
          (carriedBy.get(id) ?? []).map((one) => ({
            what: `${mark(one.b.piece)} stands, which carries it at ${one.name}`,
            done: beamAt(now, one.b.piece).where === 'set',
            by: [{ kind: 'piece.letGo' as const, beam: one.b.piece }],
          })),
        ),
        ...all
          .filter((id) => beamAt(now, id).where !== 'away')
          .map((id) => ({ what: `${mark(id)} is still to come (it was hung before)`, done: false, again: true as const })),
        ...onTheGround(now, all, splices, mark),
      ];
    }
    case 'piece.letGo': {
      const main = beamAt(now, move.beam).with;
      if (main !== undefined && beamAt(now, main).where === 'hanging')
        return [{ what: `${mark(main)}, which it hangs with, is let go of`, done: false, by: [{ kind: 'piece.letGo', beam: main }] }];
      return [
        {
          what: `${mark(move.beam)} hangs in place`,
          done: beamAt(now, move.beam).where === 'hanging' || beamAt(now, move.beam).kept > 0,
          by: [{ kind: 'piece.hang', beam: move.beam }],
        },
      ];
    }
    case 'joint.make': {
      const joint = joints.get(move.joint)!;
      const had = jointAt(now, joint.id);
      const filled = joint.holes !== null && (had?.bolts ?? 0) + (move.tight === false ? 0 : (move.bolts ?? 0)) >= joint.holes;
      // Filled and tight, what leans stays leaning: columns are plumbed while their joints are loose.
      const leaning = filled ? [joint.a.piece, joint.b.piece].filter((id) => isUpright(beams.get(id)!) && !beamAt(now, id).plumbed) : [];
      const shared = sharersOf(plan.structure.joints).get(joint.id);
      const ends = [joint.a.piece, joint.b.piece];
      // Spliced on the ground, where both lie on their blocks until they are lifted as one.
      const lying = joint.kind === 'splice' && ends.every((id) => beamAt(now, id).where === 'away') && liftedAsOne(plan, joint.a.piece, joint.b.piece);
      return [
        ...(lying ? [] : ends).map((id) => ({
          what: `${mark(id)} is in place`,
          done: beamAt(now, id).where !== 'away',
          by: [{ kind: 'piece.hang' as const, beam: id }],
        })),
        ...leaning.map((id) => ({
          what: `${mark(id)} is plumbed before the last bolts of ${joint.name} are tight`,
          done: false,
          by: [{ kind: 'beam.plumb' as const, beam: id }],
        })),
        ...(shared && isMade(jointAt(now, shared.id)) && !joint.oneStays && !shared.oneStays
          ? [{ what: `one wrench-tight bolt stays in ${shared.name}, or a seat is under the second piece (29 CFR 1926.756(c))`, done: false }]
          : []),
      ];
    }
    case 'beam.plumb':
      return [{ what: `${mark(move.beam)} is set`, done: beamAt(now, move.beam).where === 'set', by: [{ kind: 'piece.letGo', beam: move.beam }] }];
    case 'joint.free':
      return [{ what: `${joints.get(move.joint)!.name} is made`, done: isMade(jointAt(now, move.joint)), by: [{ kind: 'joint.make', joint: move.joint }] }];
    case 'brace.fix': {
      const brace = braceOf(plan, move.brace);
      const ends = [brace.a, ...(brace.b ? [brace.b] : [])];
      // A pair that is lifted as one is tied while both lie on their blocks.
      const lying = brace.b !== null && ends.every(({ piece }) => beamAt(now, piece).where === 'away') && liftedAsOne(plan, brace.a.piece, brace.b.piece);
      return [
        ...(lying ? [] : ends).map(({ piece }) => ({
          what: `${mark(piece)} is in place`,
          done: beamAt(now, piece).where !== 'away',
          by: [{ kind: 'piece.hang' as const, beam: piece }],
        })),
        ...(braceAt(now, brace.id) ? [{ what: `${brace.name} is not in yet (it was fixed before)`, done: false, again: true as const }] : []),
      ];
    }
    case 'load.on': {
      const load = loadOf(plan, move.load);
      return [
        {
          what: `${mark(load.piece)} is set and let go of`,
          done: beamAt(now, load.piece).where === 'set' && beamAt(now, load.piece).kept === 0,
          by: [{ kind: 'piece.letGo', beam: load.piece }],
        },
        ...(loadAt(now, load.id) ? [{ what: `${load.what} is not on it yet`, done: false, again: true as const }] : []),
      ];
    }
    case 'load.off':
      return [{ what: 'the load is on', done: loadAt(now, move.load), by: [{ kind: 'load.on', load: move.load }] }];
    case 'launch.build':
    case 'launch.push':
    case 'launch.stop':
    case 'launch.lower':
      return launchNeeds(plan, move, now);
    case 'brace.free':
      return [{ what: 'the brace is in', done: braceAt(now, move.brace), by: [{ kind: 'brace.fix', brace: move.brace }] }];
  }
}

/** What a pick lifts as one is spliced before it leaves the ground. */
export function splicedNeeds(plan: Plan, pick: Pick, moment: Moment): Need[] {
  const { beams, splices } = knownOf(plan);
  return pick.joined?.length ? onTheGround(moment.structure, loadOfPick(pick), splices, (id) => beams.get(id)?.mark || id) : [];
}

/** What is lifted as one is spliced before, all its holes filled and tight; what is spliced to it is lifted with it. */
function onTheGround(now: StructureMoment, all: readonly string[], splices: ReadonlyMap<string, readonly Joint[]>, mark: (id: string) => string): Need[] {
  const needs: Need[] = [];
  for (const joint of new Set(all.flatMap((id) => splices.get(id) ?? []))) {
    const state = jointAt(now, joint.id);
    const other = [joint.a.piece, joint.b.piece].find((id) => !all.includes(id));
    if (other === undefined) {
      const filled = isMade(state) && !state.untold && (joint.holes === null || (state.bolts ?? 0) >= joint.holes);
      needs.push({
        what: `${joint.name} is filled with bolts, all tight, before what it joins is lifted as one`,
        done: filled,
        by: [{ kind: 'joint.make', joint: joint.id }],
      });
    } else if (isMade(state) && beamAt(now, other).where === 'away')
      needs.push({ what: `${mark(other)} is lifted with it: ${joint.name} joins them already`, done: false });
  }
  return needs;
}

/** What a move makes of the structure. */
export function structureAfter(plan: Plan, move: StructureMove, now: StructureMoment): StructureMoment {
  switch (move.kind) {
    case 'support.ready':
      return { ...now, supports: writeLedger(now.supports, move.support, { stands: true, struck: false, level: null }) };
    case 'support.level':
      return { ...now, supports: writeLedger(now.supports, move.support, { ...supportAt(now, move.support), level: move.level }) };
    case 'support.strike':
      return { ...now, supports: writeLedger(now.supports, move.support, { ...supportAt(now, move.support), stands: false, struck: true }) };
    case 'piece.hang':
      return {
        ...now,
        beams: hungWith(plan, move).reduce<StructureMoment['beams']>(
          (beams, id) => writeLedger(beams, id, { where: 'hanging', kept: 0, with: move.beam }),
          writeLedger(now.beams, move.beam, { where: 'hanging', kept: 0, ...(move.pick ? { pick: move.pick } : {}) }),
        ),
      };
    case 'piece.letGo': {
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
    }
    case 'beam.plumb':
      return { ...now, beams: writeLedger(now.beams, move.beam, { ...beamAt(now, move.beam), plumbed: true }) };
    case 'joint.make': {
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
    }
    case 'joint.free':
      return { ...now, joints: writeLedger<JointState>(now.joints, move.joint, undefined) };
    case 'brace.fix':
      return { ...now, braces: writeLedger(now.braces, move.brace, true) };
    case 'brace.free':
      return { ...now, braces: writeLedger(now.braces, move.brace, false) };
    case 'load.on':
      return { ...now, loads: writeLedger(now.loads, move.load, true) };
    case 'load.off':
      return { ...now, loads: writeLedger(now.loads, move.load, false) };
    case 'launch.build':
    case 'launch.push':
    case 'launch.stop':
    case 'launch.lower':
      return launchAfter(plan, move, now);
  }
}
