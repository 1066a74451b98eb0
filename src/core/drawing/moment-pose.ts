import { add, direction, scale, type Vec } from '../geometry/plane';
import { pickContext } from '../plan/evaluate';
import type { PickContext } from '../plan/evaluate/context';
import { travelHeight, type Travel } from '../plan/evaluate/crane';
import type { Station } from '../plan/lift-path';
import { Missing } from '../plan/missing';
import type { Moment, PieceState } from '../plan/replay';
import { rulesOf } from '../rules/rule-sets';
import type { SettledPlan } from '../plan/settle';

/** Where a piece and its crane are at a moment, for drawing. */
export interface Pose {
  context: PickContext;
  state: PieceState;
  /** the piece: left end, direction, underside above ground */
  piece: { leftEnd: Vec; azimuthDeg: number; underside: number; tiltDeg: number } | null;
  /** the hook and the station of the path it stands at; null when the way is not known */
  hook: { station: Station; height: number; loaded: boolean } | null;
  travel: Travel | null;
  craneThere: boolean;
}

export function poseAt(plan: SettledPlan, moment: Moment): Pose | null {
  const pick = plan.picks[0];
  if (!pick) return null;
  const context = pickContext(plan, pick);
  const { piece, path, seat, weight, hanging } = context;
  const state = moment.pieces[piece.id]!;
  const craneThere = moment.cranesSet[pick.stand] ?? false;
  const startEnd = add({ x: piece.start.x, y: piece.start.y }, scale(direction(piece.start.azimuthDeg), -piece.length / 2));
  const atStart = { leftEnd: startEnd, azimuthDeg: piece.start.azimuthDeg, underside: piece.start.level, tiltDeg: 0 };
  const known = !(seat instanceof Missing);
  const level = known ? Math.max(seat.left.level, seat.right.level) : 0;
  const atSeat = known ? { leftEnd: seat.leftEnd, azimuthDeg: seat.azimuthDeg, underside: level, tiltDeg: 0 } : null;
  if (path instanceof Missing || weight instanceof Missing) return { context, state, piece: atStart, hook: null, travel: null, craneThere };
  const travel = travelHeight(plan, context, path, weight, rulesOf(plan.job.ruleSet, plan.job.thresholds).value('loadClearance'));
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
