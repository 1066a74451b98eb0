import { allShores } from '../document/views';
import { liftedBy } from '../document/lookups';
import type { Move, MoveKind, Plan } from '../document/schema';
import { allStrikeGroups } from '../document/strike-groups';

type Offer<K extends MoveKind> = (plan: Plan) => Omit<Extract<Move, { kind: K }>, 'id' | 'kind'>[];
const each =
  <T, R>(list: (plan: Plan) => readonly T[], of: (one: T, plan: Plan) => R) =>
  (plan: Plan): R[] =>
    list(plan).map((one) => of(one, plan));
const onBearings = (plan: Plan) => plan.picks.filter((pick) => liftedBy(plan, pick).kind === 'piece');
const picks = (plan: Plan) => plan.picks;
const pieces = (plan: Plan) => plan.pieces;
const stands = (plan: Plan) => plan.stands;
const beams = (plan: Plan) => plan.structure.pieces;
const supports = (plan: Plan) => plan.structure.supports;
const joints = (plan: Plan) => plan.structure.joints;
const braces = (plan: Plan) => plan.structure.braces;
const loads = (plan: Plan) => plan.structure.loads;
const launches = (plan: Plan) => plan.launches ?? [];

/** By kind, in the order people work, the moves that could be added to a plan. A kind that is left out here does not compile. */
const offers: { readonly [K in MoveKind]: Offer<K> } = {
  'bearing.ready': each(
    (plan) => plan.bearings,
    ({ id }) => ({ bearing: id }),
  ),
  'crane.set': each(stands, ({ id }) => ({ stand: id })),
  'piece.deliver': each(pieces, ({ id }) => ({ piece: id })),
  'piece.sling': each(picks, ({ id }) => ({ pick: id })),
  'pick.trial': each(picks, ({ id }) => ({ pick: id })),
  'pick.lift': each(picks, ({ id }) => ({ pick: id })),
  'piece.land': each(onBearings, ({ id }) => ({ pick: id })),
  'end.bolt': (plan) => plan.pieces.flatMap(({ id }) => (['left', 'right'] as const).map((end) => ({ piece: id, end, bolts: null }))),
  'hook.release': each(onBearings, ({ id }) => ({ pick: id })),
  'piece.plumb': each(pieces, ({ id }) => ({ piece: id })),
  'piece.tighten': each(pieces, ({ id }) => ({ piece: id })),
  'crane.leave': each(stands, ({ id }) => ({ stand: id })),
  'shore.set': each(allShores, ({ id }) => ({ shore: id })),
  'line.open': ({ shoring }) => shoring.lines.filter((line) => line.opening !== null).map(({ id }) => ({ line: id })),
  'member.set': ({ survey }) => survey.openings.filter((one) => one.member !== null).map(({ id }) => ({ opening: id })),
  'shore.strike': each(allStrikeGroups, ({ id }) => ({ step: id })),
  'support.ready': each(supports, ({ id }) => ({ support: id })),
  'support.level': each(supports, ({ id, level }) => ({ support: id, level: level ?? 0 })),
  'support.strike': each(supports, ({ id }) => ({ support: id })),
  'piece.hang': each(beams, ({ id }, plan) => {
    const pick = plan.picks.find((one) => one.piece === id);
    return { beam: id, by: pick ? 'crane' : '', pick: pick?.id ?? null };
  }),
  'piece.letGo': each(beams, ({ id }) => ({ beam: id, keeps: 0 })),
  'beam.plumb': each(beams, ({ id }) => ({ beam: id, off: null })),
  'joint.make': each(joints, ({ id }) => ({ joint: id, pins: 0, bolts: null, tight: null, fit: 'drawn' as const })),
  'joint.free': each(joints, ({ id }) => ({ joint: id })),
  'brace.fix': each(braces, ({ id }) => ({ brace: id })),
  'brace.free': each(braces, ({ id }) => ({ brace: id })),
  'load.on': each(loads, ({ id }) => ({ load: id })),
  'load.off': each(loads, ({ id }) => ({ load: id })),
  'launch.build': each(launches, ({ id }) => ({ launch: id })),
  'launch.push': each(launches, ({ id, travel }) => ({ launch: id, to: travel ?? 0 })),
  'launch.stop': each(launches, ({ id }) => ({ launch: id })),
  'launch.lower': each(launches, ({ id }) => ({ launch: id })),
  'day.end': () => [{ on: null }],
  other: () => [{ what: 'Hold point' }],
};

/** Every move that could be added to this plan. */
export const possibleMoves = (plan: Plan): Move[] =>
  (Object.keys(offers) as MoveKind[]).flatMap((kind) => offers[kind](plan).map((one) => ({ id: '', kind, ...one }) as Move));
