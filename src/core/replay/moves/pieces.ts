import { bearingOf, pickOf, pieceOf } from '../../document/lookups';
import type { Beam, Move, Pick, Piece, Plan } from '../../document/schema';
import { beamAt } from '../moment';
import { again, atLeast, before, type Doing, type Moment, type Need, type PieceState, type Whereabouts } from '../now';
import { onBearings, type MoveOf, type MovesOf } from './contract';
import { cranesThere, hookNeeds, splicedNeeds } from './lifting';

const raise = (state: PieceState, where: Whereabouts): PieceState => (atLeast(state, where) ? state : { ...state, where });
const change = (now: Moment, piece: string, edit: (state: PieceState) => PieceState): Moment => ({
  ...now,
  pieces: { ...now.pieces, [piece]: edit(now.pieces[piece]!) },
});

/** What lands a piece: any of its picks. */
const landing = (plan: Plan, piece: string): Doing[] => plan.picks.flatMap((one) => (one.piece === piece ? [{ kind: 'piece.land', pick: one.id }] : []));
const isLanded = (plan: Plan, { id, mark }: Piece, now: Moment): Need => ({
  what: `${mark} is landed`,
  done: atLeast(now.pieces[id]!, 'landed'),
  by: landing(plan, id),
});

type PickMove = Extract<Move, { kind: 'piece.sling' | 'pick.trial' | 'pick.lift' | 'piece.land' | 'hook.release' }>;

/** A piece of a pick on its way from the ground to its seats. */
interface Lifting {
  plan: Plan;
  now: Moment;
  pick: Pick;
  piece: Piece;
  state: PieceState;
  /** it hangs on the hook of this pick */
  held: Need;
  /** it is not free yet */
  notSetYet: Need;
  /** each of its cranes stands where it lifts from */
  cranes: Need[];
}

/** Of a piece of the structure only the trial is a move of the pick: it comes before the piece is hung. */
function ofBeam(plan: Plan, pick: Pick, { id, mark }: Beam, now: Moment): Need[] {
  return [
    ...cranesThere(plan, pick, now),
    ...hookNeeds(plan, pick, now),
    ...splicedNeeds(plan, pick, now),
    ...(beamAt(now.structure, id).where === 'away' ? [] : [again(`${mark} is still to come (it was hung before)`)]),
  ];
}

const byPick = <K extends PickMove['kind']>(needs: (lifting: Lifting) => Need[], after: (now: Moment, pick: Pick) => Moment): MoveOf<K> => ({
  ...onBearings,
  needs: (plan, move, now) => {
    const pick = pickOf(plan, (move as PickMove).pick);
    const beam = plan.structure.pieces.find((one) => one.id === pick.piece);
    if (beam) return ofBeam(plan, pick, beam, now);
    const piece = pieceOf(plan, pick.piece);
    const state = now.pieces[piece.id]!;
    return needs({
      plan,
      now,
      pick,
      piece,
      state,
      held: { what: `${piece.mark} hangs on the hook of this pick`, done: state.hooks.includes(pick.id), by: [{ kind: 'piece.sling', pick: pick.id }] },
      notSetYet: { what: `${piece.mark} is still to be set (it was let go before)`, done: state.where !== 'free', again: true },
      cranes: cranesThere(plan, pick, now),
    });
  },
  after: (plan, move, now) => after(now, pickOf(plan, (move as PickMove).pick)),
});

/** A trial is made a hand high, before the lift; and what hangs or lies there is not lifted once more. */
const lifted = ({ piece, pick, state, held, notSetYet, cranes }: Lifting): Need[] =>
  state.where === 'free'
    ? [notSetYet]
    : [
        ...before(atLeast(state, 'hanging') && held.done, `${piece.mark} is not lifted yet`),
        { what: `${piece.mark} is slung`, done: atLeast(state, 'slung'), by: [{ kind: 'piece.sling', pick: pick.id }] },
        ...(atLeast(state, 'slung') && !held.done ? [held] : []),
        ...cranes.filter(({ done }) => !done),
      ];

/** What is done to pieces that come to rest on bearings. */
export const bearingMoves: MovesOf<PickMove['kind'] | 'bearing.ready' | 'piece.deliver' | 'end.bolt' | 'piece.plumb' | 'piece.tighten'> = {
  'bearing.ready': {
    ...onBearings,
    needs: (plan, move, now) => before(now.bearingsReady[move.bearing], `${bearingOf(plan, move.bearing).name} is not ready yet`),
    after: (_, move, now) => ({ ...now, bearingsReady: { ...now.bearingsReady, [move.bearing]: true } }),
  },
  'piece.deliver': {
    ...onBearings,
    needs: (plan, move, now) => {
      const { id, mark } = pieceOf(plan, move.piece);
      return now.pieces[id]!.where === 'away' ? [] : [again(`${mark} is still on its way (it was brought before)`)];
    },
    after: (_, move, now) => change(now, move.piece, (state) => raise(state, 'delivered')),
  },
  'piece.sling': byPick(
    ({ plan, now, pick, piece, state, notSetYet, cranes }) => [
      ...before(state.where === 'slung' && state.hooks.includes(pick.id), `${piece.mark} is not slung yet`),
      { what: `${piece.mark} is on site`, done: atLeast(state, 'delivered'), by: [{ kind: 'piece.deliver', piece: piece.id }] },
      ...cranes,
      ...(state.where === 'free' ? [notSetYet] : []),
      ...hookNeeds(plan, pick, now),
    ],
    (now, { id, piece }) =>
      now.pieces[piece] ? change(now, piece, (state) => ({ ...raise(state, 'slung'), hooks: [...state.hooks.filter((other) => other !== id), id] })) : now,
  ),
  'pick.trial': byPick(lifted, (now) => now),
  'pick.lift': byPick(lifted, (now, { id, piece }) =>
    now.pieces[piece]
      ? change(now, piece, (state) => ({ ...raise(state, 'hanging'), hooks: state.hooks.includes(id) ? state.hooks : [...state.hooks, id] }))
      : now,
  ),
  'piece.land': byPick(
    ({ plan, now, pick, piece, state, held, cranes }) => [
      { what: `${piece.mark} is lifted over its seats`, done: atLeast(state, 'hanging'), by: [{ kind: 'pick.lift', pick: pick.id }] },
      ...before(atLeast(state, 'landed') && held.done, `${piece.mark} is not landed yet`),
      ...(atLeast(state, 'hanging') && !held.done ? [held] : []),
      ...cranes.filter(({ done }) => !done),
      ...[piece.seat.left, piece.seat.right].map((id) => ({
        what: `${bearingOf(plan, id).name} is ready`,
        done: now.bearingsReady[id] ?? false,
        by: [{ kind: 'bearing.ready' as const, bearing: id }],
      })),
    ],
    (now, { piece }) => change(now, piece, (state) => raise(state, 'landed')),
  ),
  'hook.release': byPick(
    ({ pick, piece, state, held }) => [
      { what: `${piece.mark} is landed`, done: atLeast(state, 'landed'), by: [{ kind: 'piece.land', pick: pick.id }] },
      ...(atLeast(state, 'landed') && !held.done ? [held] : []),
    ],
    (now, { id, piece }) =>
      change(now, piece, (state) => {
        const hooks = state.hooks.filter((other) => other !== id);
        return { ...(hooks.length > 0 ? state : raise(state, 'free')), hooks };
      }),
  ),
  'end.bolt': {
    ...onBearings,
    needs: (plan, move, now) => [isLanded(plan, pieceOf(plan, move.piece), now)],
    after: (_, move, now) =>
      change(now, move.piece, (state) => {
        const had = state.bolts[move.end];
        // Bolts that are finger-tight, or not the drawn ones, are in the hole and count for nothing.
        const put = move.tight === false ? 0 : move.bolts;
        const untold = (move.tight === undefined || move.tight === null) && move.bolts !== 0;
        return {
          ...state,
          bolts: { ...state.bolts, [move.end]: put === null || had === null ? null : had + put },
          boltedMoves: { ...state.boltedMoves, [move.end]: true },
          untold: { ...state.untold, [move.end]: state.untold[move.end] || untold },
        };
      }),
  },
  'piece.plumb': {
    ...onBearings,
    needs: (plan, move, now) => {
      const piece = pieceOf(plan, move.piece);
      const state = now.pieces[piece.id]!;
      const loose = (['left', 'right'] as const).filter((end) => !(state.boltedMoves[end] && (state.bolts[end] === null || state.bolts[end] > 0)));
      return [
        isLanded(plan, piece, now),
        {
          what: `${piece.mark} is bolted at both ends, so that it stays where it is plumbed to`,
          done: loose.length === 0,
          by: loose.map((end) => ({ kind: 'end.bolt', piece: piece.id, end })),
        },
      ];
    },
    after: (_, move, now) => change(now, move.piece, (state) => ({ ...state, plumbed: true })),
  },
  'piece.tighten': {
    ...onBearings,
    needs: (plan, move, now) => {
      const piece = pieceOf(plan, move.piece);
      const state = now.pieces[piece.id]!;
      return [
        ...before(state.tightened, `${piece.mark} is not tightened yet`),
        isLanded(plan, piece, now),
        { what: `${piece.mark} is plumbed and levelled`, done: state.plumbed, by: [{ kind: 'piece.plumb', piece: piece.id }] },
      ];
    },
    after: (_, move, now) => change(now, move.piece, (state) => ({ ...state, tightened: true })),
  },
};
