import { add, direction, scale, type Vec } from '../geometry/plane';
import { startOf } from '../document/lies';
import { depthOf, hookContext } from '../checks/lift/pick-context';
import type { HookOf } from '../settle/lift-two';
import type { PickContext } from '../checks/context';
import { travelHeight, type Travel } from '../checks/lift/travel';
import type { Station } from '../settle/lift-path';
import { Missing } from '../verdict/missing';
import { UNTOUCHED, type Moment, type PieceState } from '../replay/now';
import { rulesOf } from '../rules/rule-sets';
import type { Pick } from '../document/schema';
import type { SettledPlan } from '../settle/settle';
import { standOf, standsOfPick } from '../document/lookups';
import { beamAt } from '../replay/moment';
import { walkAt, type Walk } from '../settle/walk-way';

/** Where a piece and its crane are at a moment, for drawing. */
export interface Pose {
  context: PickContext;
  state: PieceState;
  /** the piece: left end, direction, underside above ground */
  piece: {
    leftEnd: Vec;
    azimuthDeg: number;
    underside: number;
    tiltDeg: number;
    /** how long it is seen from above, where it is being turned up */ seen?: number;
    upright?: boolean;
  } | null;
  /** the hook and the station of the path it stands at; null when the way is not known */
  hook: { station: Station; height: number; loaded: boolean } | null;
  travel: Travel | null;
  craneThere: boolean;
  /** set before: its crane has another in hand */
  pieceOnly?: boolean;
}

/**
 * One pose for each crane, of the pick it has in hand or comes to next, and one of each piece that a crane has set before. A piece of the
 * structure that hangs in place or is set is drawn with the structure.
 */
export function posesAt(plan: SettledPlan, moment: Moment, walk: Walk | null = null): Pose[] {
  const byCrane = new Map<string, Hooked[]>();
  for (const pick of plan.picks)
    for (const [n, stand] of standsOfPick(pick).entries()) {
      const { crane } = standOf(plan, stand);
      byCrane.set(crane, [...(byCrane.get(crane) ?? []), { pick, stand, hook: n === 0 ? 'main' : 'second' }]);
    }
  const inHand = [...byCrane.values()].map((hooks) => hooks.find(({ pick }) => pick.id === walk?.pick) ?? inHandOf(hooks, moment));
  const drawn = new Set(inHand.map(({ pick }) => pick.piece));
  // A piece on two hooks is drawn once, with the first.
  const shown = new Set<string>();
  const poses = inHand
    .sort((a, b) => Number(a.hook === 'second') - Number(b.hook === 'second'))
    .map((hooked) => {
      const pose = hooked.pick.id === walk?.pick ? walkPose(plan, hooked, moment, walk.at) : poseOf(plan, hooked, moment);
      const twice = shown.has(hooked.pick.piece);
      shown.add(hooked.pick.piece);
      const one = twice ? { ...pose, piece: null } : pose;
      // A crane that has set all it lifts and has left is drawn no more.
      return one.state.where === 'free' && !one.craneThere ? { ...one, pieceOnly: true } : one;
    });
  for (const pick of plan.picks) {
    if (drawn.has(pick.piece) || !moment.pieces[pick.piece]) continue;
    drawn.add(pick.piece);
    const pose = poseOf(plan, { pick, stand: pick.stand, hook: 'main' }, moment);
    if (pose.state.where === 'free' || pose.state.where === 'landed') poses.push({ ...pose, pieceOnly: true });
  }
  return poses;
}

/** One hook of a pick, and the stand of its crane. */
interface Hooked {
  pick: Pick;
  stand: string;
  hook: HookOf;
}

/** What the hook of a crane has in hand: what hangs on it, else what it lifts next, else what it lifted last. */
function inHandOf(hooks: readonly Hooked[], moment: Moment): Hooked {
  const where = ({ pick }: Hooked) => stateOf(pick, moment).where;
  const there = hooks.filter(({ stand }) => moment.cranesSet[stand]);
  const todo = (one: Hooked) => where(one) !== 'free';
  return hooks.find((one) => ['slung', 'hanging', 'landed'].includes(where(one))) ?? there.find(todo) ?? hooks.find(todo) ?? hooks[hooks.length - 1]!;
}

/** Where what a pick lifts is: a piece of the structure hangs in place until it is let go. */
function stateOf(pick: Pick, moment: Moment): PieceState {
  const state = moment.pieces[pick.piece];
  if (state) return state;
  const beam = beamAt(moment.structure, pick.piece);
  if (beam.where === 'away') return { ...UNTOUCHED, where: 'delivered' };
  return { ...UNTOUCHED, where: beam.where === 'hanging' || beam.kept > 0 ? 'landed' : 'free' };
}

function poseOf(plan: SettledPlan, hooked: Hooked, moment: Moment): Pose {
  const pose = piecePose(plan, hooked, moment);
  if (moment.pieces[hooked.pick.piece]) return pose;
  // A piece of the structure is drawn with it once it hangs in place, and nowhere before while nobody says where it lies.
  const { lifted } = pose.context;
  const lies = lifted.kind === 'piece' || startOf(lifted.beam) !== null;
  return pose.state.where === 'delivered' && lies ? pose : { ...pose, piece: null };
}

/** A lift somewhere on its way, as its crane has it there. */
function walkPose(plan: SettledPlan, hooked: Hooked, moment: Moment, at: number): Pose {
  const context = hookContext(plan, hooked.pick, hooked.hook);
  const { piece, path, seat, weight, hanging, turned } = context;
  if (path instanceof Missing || weight instanceof Missing || seat instanceof Missing) return poseOf(plan, hooked, moment);
  const travel = travelHeight(plan, context, path, weight, rulesOf(plan.job.ruleSet, plan.job.thresholds));
  const { station, high, lowering } = walkAt(path, at);
  const level = lowering ? Math.max(seat.left.level, seat.right.level) : piece.start.level;
  const underside = level + (travel.underside - level) * high;
  const hung = hanging instanceof Missing || 'impossible' in hanging ? null : hanging;
  const { hook, pieceDeg, seen } = station;
  const end = (long: number) => add(hook, scale(direction(pieceDeg), seen.toMiddle - long / 2));
  const over = hung ? hung.loadDepth + hung.hookAbovePick : 3;
  const common = { context, state: { ...UNTOUCHED, where: 'hanging' as const }, travel, craneThere: true };
  if (turned !== null && (station.phase === 'raise' || station.phase === 'turn')) {
    // It turns about its lower end, which stays where it lies; a second hook has its tail, and lets go of it there.
    const tail = hooked.hook === 'second';
    const share = Math.min(1, Math.max(0, (seen.length - depthOf(weight)) / piece.length));
    const tiltDeg = (Math.acos(share) * 180) / Math.PI;
    const ground = piece.start.level;
    const height = ground + Math.sin((tiltDeg * Math.PI) / 180) * (tail ? turned.tail : turned.slung) + 2;
    return {
      ...common,
      piece: tail ? null : { leftEnd: end(piece.length * share), azimuthDeg: pieceDeg, underside: ground, tiltDeg, seen: seen.length },
      hook: { station, height, loaded: true },
    };
  }
  const upright = turned !== null ? { upright: true, seen: seen.length } : {};
  return {
    ...common,
    piece: { leftEnd: end(turned ? seen.length : piece.length), azimuthDeg: pieceDeg, underside, tiltDeg: turned ? 0 : (hung?.tiltDeg ?? 0), ...upright },
    hook: { station, height: underside + over, loaded: true },
  };
}

function piecePose(plan: SettledPlan, { pick, stand, hook }: Hooked, moment: Moment): Pose {
  const context = hookContext(plan, pick, hook);
  const { piece, path, seat, weight, hanging } = context;
  const state = stateOf(pick, moment);
  const craneThere = moment.cranesSet[stand] ?? false;
  const startEnd = add({ x: piece.start.x, y: piece.start.y }, scale(direction(piece.start.azimuthDeg), -piece.length / 2));
  const atStart = { leftEnd: startEnd, azimuthDeg: piece.start.azimuthDeg, underside: piece.start.level, tiltDeg: 0 };
  const known = !(seat instanceof Missing);
  const level = known ? Math.max(seat.left.level, seat.right.level) : 0;
  const atSeat = known ? { leftEnd: seat.leftEnd, azimuthDeg: seat.azimuthDeg, underside: level, tiltDeg: 0 } : null;
  if (path instanceof Missing || weight instanceof Missing) return { context, state, piece: atStart, hook: null, travel: null, craneThere };
  const travel = travelHeight(plan, context, path, weight, rulesOf(plan.job.ruleSet, plan.job.thresholds));
  const hung = hanging instanceof Missing || 'impossible' in hanging ? null : hanging;
  const first = path.stations[0]!;
  const last = path.stations[path.stations.length - 1]!;
  const hookOver = (underside: number) => underside + (hung ? hung.loadDepth + hung.hookAbovePick : 3);
  switch (state.where) {
    case 'away':
    case 'delivered':
      return {
        context,
        state,
        piece: state.where === 'away' ? null : atStart,
        hook: { station: first, height: hookOver(atStart.underside) + 1, loaded: false },
        travel,
        craneThere,
      };
    case 'slung':
      return { context, state, piece: atStart, hook: { station: first, height: hookOver(atStart.underside), loaded: true }, travel, craneThere };
    case 'hanging': {
      const underside = level + context.pick.liftOver;
      return {
        context,
        state,
        piece: atSeat && { ...atSeat, underside, tiltDeg: hung?.tiltDeg ?? 0 },
        hook: { station: last, height: hookOver(underside), loaded: true },
        travel,
        craneThere,
      };
    }
    case 'landed':
      return { context, state, piece: atSeat, hook: { station: last, height: hookOver(level), loaded: true }, travel, craneThere };
    case 'free':
      return { context, state, piece: atSeat, hook: { station: last, height: hookOver(level) + 1.5, loaded: false }, travel, craneThere };
  }
}
