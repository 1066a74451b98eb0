import type { Need } from './replay';
import type { Joint, Launch, Move, Plan, Support } from '../document/schema';
import { writeLedger } from './ledger';
import { beamAt, isMade, jointAt, launchAt, standsAt, type LaunchState, type StructureMoment } from './moment';

export type LaunchMove = Extract<Move, { launch: string }>;
export const isLaunchMove = (move: Move): move is LaunchMove => 'launch' in move;

/** Travels nearer than this are one [m]. */
const SAME = 1e-6;

export const launchOf = (plan: Plan, id: string): Launch => (plan.launches ?? []).find((one) => one.id === id)!;
/** The pieces that are on it once it has come so far. */
export const joinedBy = ({ pieces }: Launch, travel: number): string[] =>
  pieces.flatMap(({ piece, joined }) => ((joined ?? 0) <= travel + SAME ? [piece] : []));

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

export function launchNeeds(plan: Plan, move: LaunchMove, now: StructureMoment): Need[] {
  const launch = launchOf(plan, move.launch);
  const { structure } = plan;
  const state = launchAt(now, launch.id);
  const name = launch.name || 'the launch';
  const mark = (id: string): string => structure.pieces.find((one) => one.id === id)?.mark || id;
  const whole = launch.travel ?? 0;
  const built: Need = { what: `${name} is built on its rollers`, done: state.built, by: [{ kind: 'launch.build', launch: launch.id }] };
  const again = (what: string): Need => ({ what: `${what} (a move before did it)`, done: false, again: true });
  if (state.lowered) return [again(`${name} is not lowered yet`)];
  switch (move.kind) {
    case 'launch.build':
      return [
        ...(state.built ? [again(`${name} is not built yet`)] : []),
        ...joinedBy(launch, 0).flatMap((id) =>
          beamAt(now, id).where === 'away' ? [] : [{ what: `${mark(id)} is still to come (it was hung before)`, done: false, again: true as const }],
        ),
      ];
    case 'launch.push': {
      const on = joinedBy(launch, state.travel);
      const open = splicesOf(structure.joints, on).filter(({ id, holes }) => {
        const made = jointAt(now, id);
        // How many holes or bolts there are, where nobody has said, is asked of the joint.
        return !isMade(made) || (holes !== null && (made.bolts ?? holes) < holes);
      });
      const late = launch.pieces.find(({ joined }) => joined !== null && joined > state.travel + SAME && joined < move.to - SAME);
      return [
        built,
        ...(state.stopped ? [again(`the side stops of ${name} are not on yet`)] : []),
        ...(move.to > state.travel + SAME ? [] : [again(`${name} has not come as far as ${round(move.to)} m yet`)]),
        ...open.map((one) => ({ what: `${one.name} is filled and tight`, done: false, by: [{ kind: 'joint.make' as const, joint: one.id }] })),
        ...(late ? [{ what: `${name} halts at ${round(late.joined!)} m, where ${mark(late.piece)} is joined on behind`, done: false }] : []),
        ...(launch.travel !== null && move.to > whole + SAME ? [{ what: `${name} is pushed no further than its ${round(whole)} m`, done: false }] : []),
      ];
    }
    case 'launch.stop':
      return [
        built,
        {
          what: `${name} has come all of its ${round(whole)} m`,
          done: launch.travel !== null && state.travel >= whole - SAME,
          by: [{ kind: 'launch.push', launch: launch.id }],
        },
        ...(state.stopped ? [again(`the side stops of ${name} are not on yet`)] : []),
      ];
    case 'launch.lower': {
      const pieces = launch.pieces.map(({ piece }) => piece);
      return [
        built,
        { what: `the side stops of ${name} are on and its landing is confirmed`, done: state.stopped, by: [{ kind: 'launch.stop', launch: launch.id }] },
        ...seatsOf(structure.supports, pieces).map((one) => ({
          what: `${one.name} is ready`,
          done: standsAt(now, one.id),
          by: [{ kind: 'support.ready' as const, support: one.id }],
        })),
        ...splicesOf(structure.joints, pieces)
          .filter(({ id }) => !isMade(jointAt(now, id)))
          .map((one) => ({ what: `${one.name} is made`, done: false, by: [{ kind: 'joint.make' as const, joint: one.id }] })),
      ];
    }
  }
}

const round = (metres: number): number => Math.round(metres * 100) / 100;

export function launchAfter(plan: Plan, move: LaunchMove, now: StructureMoment): StructureMoment {
  const launch = launchOf(plan, move.launch);
  const had = launchAt(now, launch.id);
  const put = (state: LaunchState, beams = now.beams): StructureMoment => ({ ...now, beams, launches: writeLedger(now.launches, launch.id, state) });
  /** What is joined on comes onto the rollers. */
  const rolling = (travel: number) =>
    joinedBy(launch, travel).reduce(
      (beams, id) => (beamAt(now, id).where === 'away' ? writeLedger(beams, id, { where: 'rolling', kept: 0 }) : beams),
      now.beams,
    );
  switch (move.kind) {
    case 'launch.build':
      return put({ ...had, built: true }, rolling(had.travel));
    case 'launch.push':
      return put({ ...had, travel: move.to }, rolling(move.to));
    case 'launch.stop':
      return put({ ...had, stopped: true });
    case 'launch.lower':
      return put(
        { ...had, lowered: true },
        launch.pieces.reduce((beams, { piece }) => writeLedger(beams, piece, { where: 'set', kept: 0 }), now.beams),
      );
  }
}
