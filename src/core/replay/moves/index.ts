import type { Move, MoveKind } from '../../document/schema';
import { onBearings, type MoveOf, type MovesOf } from './contract';
import { craneMoves } from './cranes';
import { dayMoves } from './days';
import { launchMoves } from './launch';
import { bearingMoves } from './pieces';
import { shoringMoves } from './shores';
import { joiningMoves, loadMoves, pieceMoves, supportMoves } from './structure';

const structureMoves = { ...supportMoves, ...pieceMoves, ...joiningMoves, ...loadMoves, ...launchMoves, ...dayMoves } as const;
export type StructureMove = Extract<Move, { kind: keyof typeof structureMoves }>;
/** Whether it is done to the structure. */
export const isStructureMove = (move: Move): move is StructureMove => move.kind in structureMoves;

/** Every kind of move: what it is read from, what it needs, what it does. One that is left out does not compile. */
const moveKinds: MovesOf<MoveKind> = {
  ...bearingMoves,
  ...craneMoves,
  ...shoringMoves,
  ...structureMoves,
  other: { ...onBearings, needs: () => [], after: (_, __, now) => now },
};
export const kindOf = (move: Move): MoveOf<MoveKind> => moveKinds[move.kind] as MoveOf<MoveKind>;
