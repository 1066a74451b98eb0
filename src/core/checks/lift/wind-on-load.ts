import { lineOver } from '../../cranes/boom-geometry';
import { attempt } from '../../calc/attempt';
import { liftDrift } from '../../lift/drift.calc';
import type { Rules } from '../../rules/rule-sets';
import type { Trace } from '../../calc/evidence';
import type { PickContext } from '../context';
import type { LiftPath } from '../../settle/lift-path';
import { Missing } from '../../verdict/missing';
import type { PieceWeight } from '../../settle/piece-weight';
import type { SettledPlan } from '../../settle/settle';
import { GRAVITY } from '../../units';
import { AIR_DENSITY } from '../../settle/wind';

/** What of a load on this hook stands in the wind. */
export function sailOf({ piece, turned, share, joined, above }: PickContext, weight: PieceWeight): number {
  // Of what is bent the wind finds its own depth, however high it reaches.
  const depth = weight.section.depth + weight.below + weight.above - (weight.bent?.rise ?? 0);
  // Standing upright it shows the wind its broader side, whichever way it turns.
  const broad = turned ? Math.max(depth, weight.section.width) : depth;
  // Of two lines side by side the one behind is not taken to be sheltered.
  const long = joined?.lines.reduce((sum, { from, to }) => sum + to - from, 0) ?? piece.length;
  const strung = above.reduce((sum, one) => sum + one.length * (one.weight.section.depth + one.weight.below + one.weight.above), 0);
  return strung + long * broad * (share ? share.level / weight.weight : 1);
}

export interface Drift {
  force: number;
  angleDeg: number;
  drift: number;
  trace: Trace;
}

/** How far the forecast gust pushes the load out of plumb on its longest fall; null while gust, load or boom are not known. */
export function driftOf(plan: SettledPlan, picked: PickContext, path: LiftPath, weight: PieceWeight, rules: Rules): Drift | null {
  const { gross, crane, pick, piece, hanging } = picked;
  const gust = plan.site.forecastGust;
  if (gust === null || gross instanceof Missing || hanging instanceof Missing || 'impossible' in hanging) return null;
  const line = lineOver(crane, pick.boom, path.least);
  if (!line) return null;
  const drop = line.tipHeight - (piece.start.level + hanging.loadDepth / 2);
  if (!(drop > 0)) return null;
  // The lighter it is the further it goes.
  const input = { weight: gross.least * GRAVITY, area: sailOf(picked, weight), drag: rules.value('windDrag'), gust, drop, airDensity: AIR_DENSITY };
  const outcome = attempt(liftDrift, input);
  return outcome.ok ? { ...outcome.output, trace: { calc: liftDrift.id, input, output: outcome.output } } : null;
}
