import { original, type Draft } from 'immer';
import { placedByHand, type PlacePiece } from './place-hands';
import type { Plan } from '../document/schema';

export type { PlacePiece } from './place-hands';

/** What changes where a hand puts a piece. */
export const placePiece = (plan: Draft<Plan>, args: PlacePiece) => placedByHand(original(plan) as Plan, args);
