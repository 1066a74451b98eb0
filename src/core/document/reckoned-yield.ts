import { findSection } from '../steel/sections';
import { yieldOf } from '../steel/grades';
import type { Piece } from './schema';

/** The strongest structural grades of the tables yield at 690 to 700 MPa. */
export const STRONGEST = 700e6;

/** The yield a piece is reckoned with: its own, and never more than its grade has. */
export const reckonedYield = (piece: Piece): number => Math.min(piece.yield, yieldOf(piece.grade, findSection(piece.section)?.flange) ?? STRONGEST);
