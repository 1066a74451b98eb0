import { attempt } from '../calc/attempt';
import type { Trace } from '../calc/evidence';
import { riggingHook } from '../rigging/hook.calc';
import { Missing } from '../verdict/missing';
import type { PieceWeight } from './piece-weight';
import type { Pick as Lift, Piece } from '../document/schema';

export interface Hanging {
  /** on legs to one hook, on plumb slings under a bar, turned upright on one sling, or each end on a crane of its own */
  way: 'slung' | 'bar' | 'turned' | 'two';
  /** of each leg or sling */
  tension: readonly number[];
  angleDeg: readonly number[];
  tiltDeg: number;
  hookAbovePick: number;
  /** lowest point of the load to the higher pick, tilt included */
  loadDepth: number;
  /** lowest point of the load to its highest */
  height: number;
  /** what the legs press the piece with, end to end [N] */
  squeeze: number;
  /** what is over the slings of the piece; null: they go to the hook */
  bar: Bar | null;
  trace: Trace;
}

/** A spreader or lifting beam as it hangs. */
export interface Bar {
  /** its slings hang from there, above the higher pick [m] */
  above: number;
  length: number;
  /** its slings are out of plumb by so much [°] */
  outOfPlumb: number;
  /** what hangs on it [N] */
  load: number;
  moment: number;
  compression: number;
  /** of a spreader, each of the slings above it */
  top: { tension: number; angleDeg: number } | null;
  traces: Trace[];
}

export type HangingResult = Hanging | Missing | { impossible: string };

/** What a load takes up below and above its higher pick, tilt included. */
type Takes = Pick<Hanging, 'loadDepth' | 'height'>;

/** How a piece lies in its slings: its picks in its own axes, and what it takes up once it hangs out of level. */
export function lying(piece: Piece, pick: Lift, weight: PieceWeight) {
  const top = weight.section.depth;
  const picks = [
    { x: pick.left, z: top },
    { x: piece.length - pick.right, z: top },
  ] as const;
  const heights = (tiltDeg: number): Takes => {
    const tilt = (tiltDeg * Math.PI) / 180;
    const height = (x: number, z: number) => x * Math.sin(tilt) + z * Math.cos(tilt);
    const lowest = Math.min(height(0, -weight.below), height(piece.length, -weight.below));
    const loadDepth = Math.max(...picks.map((p) => height(p.x, p.z))) - lowest;
    return { loadDepth, height: loadDepth + weight.above };
  };
  return { picks, heights };
}
/** The piece on its two legs, slung to the top of the steel. */
export function hangPiece(piece: Piece, pick: Lift, weight: PieceWeight | Missing): HangingResult {
  if (weight instanceof Missing) return weight;
  const { picks, heights } = lying(piece, pick, weight);
  const input = { weight: weight.weight, picks: [...picks], cg: weight.cg, legs: [pick.legs.left, pick.legs.right] };
  const outcome = attempt(riggingHook, input);
  if (!outcome.ok) return { impossible: outcome.error };
  const { tension, angleDeg, tiltDeg, hookAbovePick } = outcome.output;
  return {
    way: 'slung',
    tension,
    angleDeg,
    tiltDeg,
    hookAbovePick,
    ...heights(tiltDeg),
    squeeze: tension[0]! * Math.cos((angleDeg[0]! * Math.PI) / 180),
    bar: null,
    trace: { calc: riggingHook.id, input, output: outcome.output },
  };
}
