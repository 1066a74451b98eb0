import { attempt } from '../calc/run';
import type { Trace } from '../calc/evidence';
import { riggingHook } from '../rigging/hook.calc';
import { Missing } from './missing';
import type { PieceWeight } from './piece-weight';
import type { Pick, Piece } from './schema';

export interface Hanging {
  /** on two legs to one hook, turned upright on one sling, or each end on a crane of its own */
  way: 'slung' | 'turned' | 'two';
  /** of each leg or sling */
  tension: readonly number[];
  angleDeg: readonly number[];
  tiltDeg: number;
  hookAbovePick: number;
  /** lowest point of the load to the higher pick, tilt included */
  loadDepth: number;
  /** lowest point of the load to its highest */
  height: number;
  trace: Trace;
}

export type HangingResult = Hanging | Missing | { impossible: string };

/** The piece on its two legs, slung to the top of the steel. */
export function hangPiece(piece: Piece, pick: Pick, weight: PieceWeight | Missing): HangingResult {
  if (weight instanceof Missing) return weight;
  const top = weight.section.depth;
  const picks = [
    { x: pick.left, z: top },
    { x: piece.length - pick.right, z: top },
  ];
  const input = { weight: weight.weight, picks, cg: weight.cg, legs: [pick.legs.left, pick.legs.right] };
  const outcome = attempt(riggingHook, input);
  if (!outcome.ok) return { impossible: outcome.error };
  const { tension, angleDeg, tiltDeg, hookAbovePick } = outcome.output;
  const tilt = (tiltDeg * Math.PI) / 180;
  const height = (x: number, z: number) => x * Math.sin(tilt) + z * Math.cos(tilt);
  const lowest = Math.min(height(0, -weight.below), height(piece.length, -weight.below));
  const higherPick = Math.max(...picks.map((p) => height(p.x, p.z)));
  return {
    way: 'slung',
    tension,
    angleDeg,
    tiltDeg,
    hookAbovePick,
    loadDepth: higherPick - lowest,
    height: higherPick - lowest + weight.above,
    trace: { calc: riggingHook.id, input, output: outcome.output },
  };
}
