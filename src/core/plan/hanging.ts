import { attempt } from '../calc/run';
import type { Trace } from '../calc/evidence';
import { riggingHook } from '../rigging/hook.calc';
import { Missing } from './missing';
import type { PieceWeight } from './piece-weight';
import type { Pick, Piece } from './schema';

export interface Hanging {
  tension: readonly [number, number];
  angleDeg: readonly [number, number];
  tiltDeg: number;
  hookAbovePick: number;
  /** lowest point of the load to the higher pick, tilt included */
  loadDepth: number;
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
    tension: [tension[0]!, tension[1]!],
    angleDeg: [angleDeg[0]!, angleDeg[1]!],
    tiltDeg,
    hookAbovePick,
    loadDepth: higherPick - lowest,
    trace: { calc: riggingHook.id, input, output: outcome.output },
  };
}
