import { allShores, lineOf } from '../document/views';
import { bearingOf, liftedBy, pickOf, pieceOf, standOf, standsOfPick } from '../document/lookups';
import type { Move, MoveKind, Pick, Plan } from '../document/schema';
import { allStrikeGroups, strikeGroups } from '../document/strike-groups';
import { keep, keepOne } from '../document/keep';
import { hangsWith, hungWith, liftedAsOne } from '../document/joined';
import { isLaunchMove } from './moves';
import { hoodsOf, type Hood } from './hoods';
import { sharersOf } from '../document/sharers';
import { beamAt, nothingStands, type StructureMoment, picksPulling } from './moment';
import { braceOf, isStructureMove, jointOf, loadOf, readyBefore, splicedNeeds, structureAfter, structureNeeds, supportOf } from './state';

export type Whereabouts = 'away' | 'delivered' | 'slung' | 'hanging' | 'landed' | 'free';

export interface PieceState {
  where: Whereabouts;
  /** picks whose hook holds it now */
  hooks: readonly string[];
  /** bolts in each end; null when a bolting move does not say how many */
  bolts: { left: number | null; right: number | null };
  boltedMoves: { left: boolean; right: boolean };
  /** ends with bolts of which nobody says that they are as drawn and wrench-tight */
  untold: { left: boolean; right: boolean };
  plumbed: boolean;
  tightened: boolean;
}

/** What stands, hangs and is loose after a move. */
export interface Moment {
  bearingsReady: Record<string, boolean>;
  cranesSet: Record<string, boolean>;
  pieces: Record<string, PieceState>;
  /** temporary walls, rows and bents put up */
  shoresSet: Record<string, boolean>;
  /** shored lines that are opened: what rested on them is gone */
  linesOpen: Record<string, boolean>;
  /** members set by hand, by their opening */
  membersSet: Record<string, boolean>;
  /** groups of the strike done, by their first step */
  struck: Record<string, boolean>;
  structure: StructureMoment;
}

/** A move by what it does: its kind, and what it does it to. */
export type Doing = { kind: MoveKind } & Readonly<Record<string, string>>;

export interface Need {
  what: string;
  done: boolean;
  /** what has to be done before for it to be so */
  by?: readonly Doing[];
  /** the move does what was done before: nothing makes it right but to take it out */
  again?: true;
}

export interface Step {
  move: Move;
  /** what this move needs of the moves before it */
  needs: Need[];
  after: Moment;
}

export interface Replay {
  before: Moment;
  steps: Step[];
}

const order: readonly Whereabouts[] = ['away', 'delivered', 'slung', 'hanging', 'landed', 'free'];
const atLeast = (state: PieceState, where: Whereabouts): boolean => order.indexOf(state.where) >= order.indexOf(where);

/** A piece to which nothing was done yet. */
export const UNTOUCHED: PieceState = {
  where: 'away',
  hooks: [],
  bolts: { left: 0, right: 0 },
  boltedMoves: { left: false, right: false },
  untold: { left: false, right: false },
  plumbed: false,
  tightened: false,
};

function firstMoment(plan: Plan): Moment {
  return {
    bearingsReady: Object.fromEntries(plan.bearings.map((b) => [b.id, false])),
    cranesSet: Object.fromEntries(plan.stands.map((s) => [s.id, false])),
    pieces: Object.fromEntries(plan.pieces.map((p): [string, PieceState] => [p.id, UNTOUCHED])),
    shoresSet: {},
    linesOpen: {},
    membersSet: {},
    struck: {},
    structure: nothingStands,
  };
}

/**
 * The plan move by move. A move whose needs are not met is still taken as made, so that one wrong move
 * gives one reason and not a trail of them.
 */
export function replay(plan: Plan): Replay {
  const { bearings, stands, pieces } = plan;
  const before = keepOne('replay.first', [bearings, stands, pieces], () => firstMoment(plan));
  const hoods = hoodsOf(plan);
  let now = before;
  const steps = plan.moves.map((move): Step => {
    const then = now;
    now = keep('replay.after', move, [then, ...afterFrom(plan, move)], () => apply(plan, move, then));
    const after = now;
    return keep('replay.step', move, [then, after, ...needed(plan, move, hoods)], () => ({ move, needs: needsOf(plan, move, then), after }));
  });
  return { before, steps };
}

/** What of the plan a move is carried out by. */
function afterFrom(plan: Plan, move: Move): readonly unknown[] {
  const { picks, shoring, launches } = plan;
  if (isLaunchMove(move)) return [launches];
  if (move.kind === 'piece.hang') return [hungWith(plan, move)];
  if (move.kind === 'piece.letGo') return [hangsWith(plan, move.beam)];
  return isStructureMove(move) ? [] : [picks, shoring];
}

/** What of the plan the needs of a move are read from. */
function needed(plan: Plan, move: Move, hoods: ReadonlyMap<string, Hood>): readonly unknown[] {
  const { structure, picks, stands, pieces } = plan;
  if (!isStructureMove(move))
    return [plan.bearings, pieces, plan.cranes, stands, picks, plan.shoring, plan.survey, plan.members, structure.pieces, structure.joints];
  const lifts = [picks, stands, pieces];
  switch (move.kind) {
    case 'piece.hang':
      // When each of its supports is made ready is a matter of the run sheet.
      return [hoods.get(move.beam), ...hungWith(plan, move).map((id) => hoods.get(id)), ...lifts, ...readyBefore(plan, move)];
    case 'piece.letGo':
      return [hoods.get(move.beam), ...lifts];
    case 'beam.plumb':
      return [hoods.get(move.beam)];
    case 'support.ready':
    case 'support.level':
    case 'support.strike': {
      const support = supportOf(plan, move.support);
      return [support, plan.shoring.bents, ...support.seats.map(({ piece }) => hoods.get(piece))];
    }
    case 'joint.make':
    case 'joint.free': {
      const joint = jointOf(plan, move.joint);
      return [
        joint,
        hoods.get(joint.a.piece),
        hoods.get(joint.b.piece),
        sharersOf(plan.structure.joints).get(joint.id),
        liftedAsOne(plan, joint.a.piece, joint.b.piece),
      ];
    }
    case 'brace.fix':
    case 'brace.free': {
      const brace = braceOf(plan, move.brace);
      return [brace, hoods.get(brace.a.piece), ...(brace.b === null ? [] : [hoods.get(brace.b.piece), liftedAsOne(plan, brace.a.piece, brace.b.piece)])];
    }
    case 'load.on':
    case 'load.off': {
      const load = loadOf(plan, move.load);
      return [load, hoods.get(load.piece)];
    }
    case 'launch.build':
    case 'launch.push':
    case 'launch.stop':
    case 'launch.lower':
      return [plan.launches, structure.pieces, structure.joints, structure.supports];
  }
}

export function needsOf(plan: Plan, move: Move, now: Moment): Need[] {
  if (isStructureMove(move)) return [...structureNeeds(plan, move, now), ...craneNeeds(plan, move, now)];
  switch (move.kind) {
    case 'piece.sling':
    case 'pick.trial':
    case 'pick.lift':
    case 'piece.land':
    case 'hook.release': {
      const pick = pickOf(plan, move.pick);
      const cranesSet = cranesThere(plan, pick, now);
      const beam = plan.structure.pieces.find((one) => one.id === pick.piece);
      if (beam)
        return [
          ...cranesSet,
          ...hookNeeds(plan, pick, now),
          ...splicedNeeds(plan, pick, now),
          ...(beamAt(now.structure, beam.id).where === 'away'
            ? []
            : [{ what: `${beam.mark} is still to come (it was hung before)`, done: false, again: true as const }]),
        ];
      const piece = pieceOf(plan, pick.piece);
      const state = now.pieces[piece.id]!;
      const held: Need = {
        what: `${piece.mark} hangs on the hook of this pick`,
        done: state.hooks.includes(pick.id),
        by: [{ kind: 'piece.sling' as const, pick: pick.id }],
      };
      const notSetYet: Need = { what: `${piece.mark} is still to be set (it was let go before)`, done: state.where !== 'free', again: true as const };
      if (move.kind === 'piece.sling')
        return [
          ...before(state.where === 'slung' && state.hooks.includes(pick.id), `${piece.mark} is not slung yet`),
          { what: `${piece.mark} is on site`, done: atLeast(state, 'delivered'), by: [{ kind: 'piece.deliver' as const, piece: piece.id }] },
          ...cranesSet,
          ...(state.where === 'free' ? [notSetYet] : []),
          ...hookNeeds(plan, pick, now),
        ];
      if (move.kind === 'pick.trial' || move.kind === 'pick.lift') {
        if (state.where === 'free') return [notSetYet];
        // A trial is made a hand high, before the lift; and what hangs or lies there is not lifted once more.
        return [
          ...before(atLeast(state, 'hanging') && held.done, `${piece.mark} is not lifted yet`),
          { what: `${piece.mark} is slung`, done: atLeast(state, 'slung'), by: [{ kind: 'piece.sling' as const, pick: pick.id }] },
          ...(atLeast(state, 'slung') && !held.done ? [held] : []),
          ...cranesSet.filter(({ done }) => !done),
        ];
      }
      if (move.kind === 'hook.release')
        return [
          { what: `${piece.mark} is landed`, done: atLeast(state, 'landed'), by: [{ kind: 'piece.land' as const, pick: pick.id }] },
          ...(atLeast(state, 'landed') && !held.done ? [held] : []),
        ];
      const seats = [piece.seat.left, piece.seat.right].map((id) => bearingOf(plan, id));
      return [
        { what: `${piece.mark} is lifted over its seats`, done: atLeast(state, 'hanging'), by: [{ kind: 'pick.lift' as const, pick: pick.id }] },
        ...before(atLeast(state, 'landed') && held.done, `${piece.mark} is not landed yet`),
        ...(atLeast(state, 'hanging') && !held.done ? [held] : []),
        ...cranesSet.filter(({ done }) => !done),
        ...seats.map((seat) => ({
          what: `${seat.name} is ready`,
          done: now.bearingsReady[seat.id] ?? false,
          by: [{ kind: 'bearing.ready' as const, bearing: seat.id }],
        })),
      ];
    }
    case 'end.bolt': {
      const piece = pieceOf(plan, move.piece);
      return [{ what: `${piece.mark} is landed`, done: atLeast(now.pieces[piece.id]!, 'landed'), by: landed(plan, piece.id) }];
    }
    case 'piece.plumb': {
      const piece = pieceOf(plan, move.piece);
      const state = now.pieces[piece.id]!;
      const loose = (['left', 'right'] as const).filter((end) => !(state.boltedMoves[end] && (state.bolts[end] === null || state.bolts[end] > 0)));
      return [
        { what: `${piece.mark} is landed`, done: atLeast(state, 'landed'), by: landed(plan, piece.id) },
        {
          what: `${piece.mark} is bolted at both ends, so that it stays where it is plumbed to`,
          done: loose.length === 0,
          by: loose.map((end) => ({ kind: 'end.bolt', piece: piece.id, end })),
        },
      ];
    }
    case 'piece.tighten': {
      const piece = pieceOf(plan, move.piece);
      const state = now.pieces[piece.id]!;
      return [
        ...before(state.tightened, `${piece.mark} is not tightened yet`),
        { what: `${piece.mark} is landed`, done: atLeast(state, 'landed'), by: landed(plan, piece.id) },
        { what: `${piece.mark} is plumbed and levelled`, done: state.plumbed, by: [{ kind: 'piece.plumb' as const, piece: piece.id }] },
      ];
    }
    case 'crane.leave': {
      const here = plan.picks.filter((pick) => standsOfPick(pick).includes(move.stand));
      const stands = now.cranesSet[move.stand]
        ? []
        : [{ what: `the crane stands at ${standOf(plan, move.stand).name}`, done: false, by: [{ kind: 'crane.set' as const, stand: move.stand }] }];
      const free = here.map((pick): Need => {
        const lifted = liftedBy(plan, pick);
        return lifted.kind === 'piece'
          ? { what: `the hook has let go of ${lifted.piece.mark}`, done: atLeast(now.pieces[lifted.piece.id]!, 'free'), by: [lettingGo(plan, pick)] }
          : {
              what: `the hook has let go of ${lifted.beam.mark}`,
              done: beamAt(now.structure, lifted.beam.id).where === 'set' && beamAt(now.structure, lifted.beam.id).kept === 0,
              by: [lettingGo(plan, pick)],
            };
      });
      return [...stands, ...free];
    }
    case 'line.open': {
      const line = plan.shoring.lines.find((one) => one.id === move.line);
      return [
        ...before(now.linesOpen[move.line], 'the line is not open yet'),
        ...[...(line?.walls ?? []), ...(line?.rows ?? [])].map((shore) => ({
          what: `${shore.name} stands`,
          done: now.shoresSet[shore.id] ?? false,
          by: [{ kind: 'shore.set' as const, shore: shore.id }],
        })),
      ];
    }
    case 'member.set': {
      const opening = plan.survey.openings.find((one) => one.id === move.opening);
      const seats = [opening?.left, opening?.right].map((id) => plan.bearings.find((one) => one.id === id)).filter((one) => one !== undefined);
      const open = plan.shoring.lines.flatMap((line) =>
        line.opening === move.opening
          ? [{ what: 'the line is open', done: now.linesOpen[line.id] ?? false, by: [{ kind: 'line.open' as const, line: line.id }] }]
          : [],
      );
      return [
        ...before(now.membersSet[move.opening], `the new piece over ${opening?.name ?? move.opening} is not in yet`),
        ...open,
        ...seats.map((seat) => ({
          what: `${seat.name} is ready`,
          done: now.bearingsReady[seat.id] ?? false,
          by: [{ kind: 'bearing.ready' as const, bearing: seat.id }],
        })),
      ];
    }
    case 'shore.strike': {
      const line = lineOf(plan, move.step);
      const groups = line ? strikeGroups(line) : [];
      const n = groups.findIndex((group) => group.id === move.step || group.steps.some((step) => step.id === move.step));
      const over = line?.opening ?? null;
      const own = groups[n];
      return [
        ...before(own !== undefined && now.struck[own.id], `${own?.name ?? 'it'} is not struck yet`),
        ...(over === null ? [] : [{ what: 'the new piece is in', done: now.membersSet[over] ?? false, by: [{ kind: 'member.set' as const, opening: over }] }]),
        ...groups
          .slice(Math.max(0, n - 1), n)
          .map((group) => ({ what: `${group.name} is struck`, done: now.struck[group.id] ?? false, by: [{ kind: 'shore.strike' as const, step: group.id }] })),
      ];
    }
    case 'crane.set': {
      const { crane } = standOf(plan, move.stand);
      const others = plan.stands.filter((one) => one.crane === crane && one.id !== move.stand && now.cranesSet[one.id]);
      return [
        ...others.map((one) => ({ what: `the same crane has left ${one.name}`, done: false, by: [{ kind: 'crane.leave' as const, stand: one.id }] })),
        ...(now.cranesSet[move.stand]
          ? [{ what: `the crane is not at ${standOf(plan, move.stand).name} yet (it was set there before)`, done: false, again: true as const }]
          : []),
      ];
    }
    case 'piece.deliver': {
      const piece = pieceOf(plan, move.piece);
      return now.pieces[piece.id]!.where === 'away'
        ? []
        : [{ what: `${piece.mark} is still on its way (it was brought before)`, done: false, again: true as const }];
    }
    case 'shore.set': {
      // Setting tightens it. What stands under it is tightened before: an upper wall tapped in first lifts the floor off nothing.
      const { storeys, walls } = lineOf(plan, move.shore) ?? { storeys: [], walls: [] };
      const wall = walls.find((one) => one.id === move.shore);
      const level = storeys.findIndex((one) => one.id === wall?.storey);
      const below = level > 0 ? walls.filter((one) => one.storey === storeys[level - 1]!.id && one.side === wall?.side) : [];
      return [
        // What was struck is not put up again: the strike of it has been worked out.
        ...before(now.shoresSet[move.shore], `${shoreName(plan, move.shore)} is not set yet`),
        ...below.map((one) => ({
          what: `${one.name} under it is set and tightened`,
          done: now.shoresSet[one.id] ?? false,
          by: [{ kind: 'shore.set' as const, shore: one.id }],
        })),
      ];
    }
    case 'bearing.ready':
      return before(now.bearingsReady[move.bearing], `${bearingOf(plan, move.bearing).name} is not ready yet`);
    case 'other':
      return [];
  }
}

/** What a move does is still to be done; where an earlier move has done it, this one is one too many. */
const before = (done: boolean | undefined, what: string): Need[] => (done ? [{ what: `${what} (a move before did it)`, done: false, again: true }] : []);

const shoreName = (plan: Plan, id: string): string => allShores(plan).find((one) => one.id === id)?.name ?? id;

/** What lands a piece: any of its picks. */
const landed = (plan: Plan, piece: string): Doing[] => plan.picks.flatMap((one) => (one.piece === piece ? [{ kind: 'piece.land', pick: one.id }] : []));

/** What makes the hook of a pick free. */
function lettingGo(plan: Plan, pick: Pick): Doing {
  const lifted = liftedBy(plan, pick);
  return lifted.kind === 'piece' ? { kind: 'hook.release', pick: pick.id } : { kind: 'piece.letGo', beam: lifted.beam.id };
}

/** Each crane of a pick stands where the pick is made from. */
const cranesThere = (plan: Plan, pick: Pick, now: Moment): Need[] =>
  standsOfPick(pick).map((stand) => ({
    what: `the crane is set at ${standOf(plan, stand).name}`,
    done: now.cranesSet[stand] ?? false,
    by: [{ kind: 'crane.set' as const, stand }],
  }));

/** One hook holds one load: what else hangs on the hook of the same crane, or of the second where two lift. */
function hookNeeds(plan: Plan, pick: Pick, now: Moment): Need[] {
  // Mostly nothing hangs, and of hundreds of lifts one does.
  const pulling = new Set([...picksPulling(now.structure), ...Object.values(now.pieces).flatMap(({ hooks }) => hooks)]);
  if (pulling.size === 0) return [];
  const cranes = standsOfPick(pick).map((stand) => standOf(plan, stand).crane);
  return plan.picks.flatMap((one) => {
    if (one.id === pick.id || !pulling.has(one.id) || !standsOfPick(one).some((stand) => cranes.includes(standOf(plan, stand).crane))) return [];
    const lifted = liftedBy(plan, one);
    const holds = lifted.kind === 'piece' ? now.pieces[lifted.piece.id]!.hooks.includes(one.id) : beamAt(now.structure, lifted.beam.id).pick === one.id;
    return holds
      ? [{ what: `the hook has let go of ${lifted.kind === 'piece' ? lifted.piece.mark : lifted.beam.mark}`, done: false, by: [lettingGo(plan, one)] }]
      : [];
  });
}

/** What a lift of the structure needs of the cranes that make it. */
function craneNeeds(plan: Plan, move: Move, now: Moment): Need[] {
  const held = move.kind === 'piece.letGo' ? beamAt(now.structure, move.beam).pick : move.kind === 'piece.hang' ? move.pick : null;
  if (held === null || held === undefined) return [];
  const pick = pickOf(plan, held);
  return [...cranesThere(plan, pick, now), ...(move.kind === 'piece.hang' ? hookNeeds(plan, pick, now) : [])];
}

function raise(state: PieceState, where: Whereabouts): PieceState {
  return atLeast(state, where) ? state : { ...state, where };
}

function apply(plan: Plan, move: Move, now: Moment): Moment {
  if (isStructureMove(move)) return { ...now, structure: structureAfter(plan, move, now.structure) };
  const change = (piece: string, edit: (state: PieceState) => PieceState): Moment => ({ ...now, pieces: { ...now.pieces, [piece]: edit(now.pieces[piece]!) } });
  const reach = (pick: string, where: Whereabouts) => change(pickOf(plan, pick).piece, (state) => raise(state, where));
  switch (move.kind) {
    case 'bearing.ready':
      return { ...now, bearingsReady: { ...now.bearingsReady, [move.bearing]: true } };
    case 'crane.set':
      return { ...now, cranesSet: { ...now.cranesSet, [move.stand]: true } };
    case 'crane.leave':
      return { ...now, cranesSet: { ...now.cranesSet, [move.stand]: false } };
    case 'piece.deliver':
      return change(move.piece, (state) => raise(state, 'delivered'));
    case 'piece.sling': {
      const { piece } = pickOf(plan, move.pick);
      if (!now.pieces[piece]) return now;
      return change(piece, (state) => ({ ...raise(state, 'slung'), hooks: [...state.hooks.filter((id) => id !== move.pick), move.pick] }));
    }
    case 'pick.trial':
      return now;
    case 'pick.lift': {
      const { piece } = pickOf(plan, move.pick);
      if (!now.pieces[piece]) return now;
      return change(piece, (state) => ({ ...raise(state, 'hanging'), hooks: state.hooks.includes(move.pick) ? state.hooks : [...state.hooks, move.pick] }));
    }
    case 'piece.land':
      return reach(move.pick, 'landed');
    case 'hook.release': {
      const { piece } = pickOf(plan, move.pick);
      return change(piece, (state) => {
        const hooks = state.hooks.filter((id) => id !== move.pick);
        return { ...(hooks.length > 0 ? state : raise(state, 'free')), hooks };
      });
    }
    case 'end.bolt':
      return change(move.piece, (state) => {
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
      });
    case 'piece.plumb':
      return change(move.piece, (state) => ({ ...state, plumbed: true }));
    case 'piece.tighten':
      return change(move.piece, (state) => ({ ...state, tightened: true }));
    case 'shore.set':
      return { ...now, shoresSet: { ...now.shoresSet, [move.shore]: true } };
    case 'line.open':
      return { ...now, linesOpen: { ...now.linesOpen, [move.line]: true } };
    case 'member.set':
      return { ...now, membersSet: { ...now.membersSet, [move.opening]: true } };
    case 'shore.strike': {
      const group = allStrikeGroups(plan).find((one) => one.steps.some((step) => step.id === move.step));
      return group ? { ...now, struck: { ...now.struck, [group.id]: true } } : now;
    }
    case 'other':
      return now;
  }
}
