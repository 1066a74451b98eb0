import type { Joint, Launch, Move, MoveKind, Plan, Support } from '../../document/schema';
import { writeLedger } from '../ledger';
import { beamAt, isMade, jointAt, launchAt, standsAt, type LaunchState, type StructureMoment } from '../moment';
import { again, before, type Moment, type Need } from '../now';
import { structural, type MoveOf, type MovesOf } from './contract';
import { markOf } from './known';

type LaunchMove = Extract<Move, { launch: string }>;

/** Travels nearer than this are one [m]. */
const SAME = 1e-6;

const launchOf = (plan: Plan, id: string): Launch => (plan.launches ?? []).find((one) => one.id === id)!;
/** The pieces that are on it once it has come so far. */
const joinedBy = ({ pieces }: Launch, travel: number): string[] => pieces.flatMap(({ piece, joined }) => ((joined ?? 0) <= travel + SAME ? [piece] : []));

/** Splices between pieces that are pushed together. */
export const splicesOf = (joints: readonly Joint[], pieces: readonly string[]): Joint[] => {
  const on = new Set(pieces);
  return joints.filter((one) => one.kind === 'splice' && on.has(one.a.piece) && on.has(one.b.piece));
};

/** What it is lowered onto for good. */
const seatsOf = (supports: readonly Support[], pieces: readonly string[]): Support[] => {
  const on = new Set(pieces);
  return supports.filter(({ seats }) => seats.some(({ piece }) => on.has(piece)));
};

/** What every move of a launch is read from, and what none does once it is lowered. */
const launching = <K extends MoveKind & LaunchMove['kind']>(
  needs: (plan: Plan, move: Extract<Move, { kind: K }>, launch: Launch, state: LaunchState, now: StructureMoment) => Need[],
  after: (launch: Launch, move: Extract<Move, { kind: K }>, had: LaunchState, now: StructureMoment) => StructureMoment,
): MoveOf<K> => ({
  by: ({ launches }) => [launches],
  reads: ({ launches, structure }) => [launches, structure.pieces, structure.joints, structure.supports],
  needs: (plan, move, { structure: now }: Moment) => {
    const launch = launchOf(plan, (move as LaunchMove).launch);
    const state = launchAt(now, launch.id);
    return state.lowered ? before(true, `${nameOf(launch)} is not lowered yet`) : needs(plan, move, launch, state, now);
  },
  after: structural((plan, move, now) => {
    const launch = launchOf(plan, (move as LaunchMove).launch);
    return after(launch, move, launchAt(now, launch.id), now);
  }),
});

const nameOf = ({ name }: Launch): string => name || 'the launch';
const built = (launch: Launch, state: LaunchState): Need => ({
  what: `${nameOf(launch)} is built on its rollers`,
  done: state.built,
  by: [{ kind: 'launch.build', launch: launch.id }],
});
const put = (launch: Launch, now: StructureMoment, state: LaunchState, beams = now.beams): StructureMoment => ({
  ...now,
  beams,
  launches: writeLedger(now.launches, launch.id, state),
});
/** What is joined on comes onto the rollers. */
const rolling = (launch: Launch, now: StructureMoment, travel: number): StructureMoment['beams'] =>
  joinedBy(launch, travel).reduce((beams, id) => (beamAt(now, id).where === 'away' ? writeLedger(beams, id, { where: 'rolling', kept: 0 }) : beams), now.beams);
const round = (metres: number): number => Math.round(metres * 100) / 100;

export const launchMoves: MovesOf<LaunchMove['kind']> = {
  'launch.build': launching(
    (plan, _, launch, state, now) => [
      ...before(state.built, `${nameOf(launch)} is not built yet`),
      ...joinedBy(launch, 0).flatMap((id) => (beamAt(now, id).where === 'away' ? [] : [again(`${markOf(plan, id)} is still to come (it was hung before)`)])),
    ],
    (launch, _, had, now) => put(launch, now, { ...had, built: true }, rolling(launch, now, had.travel)),
  ),
  'launch.push': launching(
    (plan, move, launch, state, now) => {
      const name = nameOf(launch);
      const whole = launch.travel ?? 0;
      const open = splicesOf(plan.structure.joints, joinedBy(launch, state.travel)).filter(({ id, holes }) => {
        const made = jointAt(now, id);
        // How many holes or bolts there are, where nobody has said, is asked of the joint.
        return !isMade(made) || (holes !== null && (made.bolts ?? holes) < holes);
      });
      const late = launch.pieces.find(({ joined }) => joined !== null && joined > state.travel + SAME && joined < move.to - SAME);
      return [
        built(launch, state),
        ...before(state.stopped, `the side stops of ${name} are not on yet`),
        ...before(move.to <= state.travel + SAME, `${name} has not come as far as ${round(move.to)} m yet`),
        ...open.map((one) => ({ what: `${one.name} is filled and tight`, done: false, by: [{ kind: 'joint.make' as const, joint: one.id }] })),
        ...(late ? [{ what: `${name} halts at ${round(late.joined!)} m, where ${markOf(plan, late.piece)} is joined on behind`, done: false }] : []),
        ...(launch.travel !== null && move.to > whole + SAME ? [{ what: `${name} is pushed no further than its ${round(whole)} m`, done: false }] : []),
      ];
    },
    (launch, move, had, now) => put(launch, now, { ...had, travel: move.to }, rolling(launch, now, move.to)),
  ),
  'launch.stop': launching(
    (_, __, launch, state) => {
      const name = nameOf(launch);
      const whole = launch.travel ?? 0;
      return [
        built(launch, state),
        {
          what: `${name} has come all of its ${round(whole)} m`,
          done: launch.travel !== null && state.travel >= whole - SAME,
          by: [{ kind: 'launch.push', launch: launch.id }],
        },
        ...before(state.stopped, `the side stops of ${name} are not on yet`),
      ];
    },
    (launch, _, had, now) => put(launch, now, { ...had, stopped: true }),
  ),
  'launch.lower': launching(
    ({ structure }, _, launch, state, now) => {
      const pieces = launch.pieces.map(({ piece }) => piece);
      return [
        built(launch, state),
        {
          what: `the side stops of ${nameOf(launch)} are on and its landing is confirmed`,
          done: state.stopped,
          by: [{ kind: 'launch.stop', launch: launch.id }],
        },
        ...seatsOf(structure.supports, pieces).map((one) => ({
          what: `${one.name} is ready`,
          done: standsAt(now, one.id),
          by: [{ kind: 'support.ready' as const, support: one.id }],
        })),
        ...splicesOf(structure.joints, pieces)
          .filter(({ id }) => !isMade(jointAt(now, id)))
          .map((one) => ({ what: `${one.name} is made`, done: false, by: [{ kind: 'joint.make' as const, joint: one.id }] })),
      ];
    },
    (launch, _, had, now) =>
      put(
        launch,
        now,
        { ...had, lowered: true },
        launch.pieces.reduce((beams, { piece }) => writeLedger(beams, piece, { where: 'set', kept: 0 }), now.beams),
      ),
  ),
};
