import { attempt } from '../calc/run';
import type { Trace } from '../calc/evidence';
import type { Rules } from '../rules/rule-sets';
import { findSection } from '../steel/sections';
import type { SectionRow } from '../steel/section-row';
import { steelWeight } from '../steel/weight.calc';
import { GRAVITY } from '../units';
import { Missing } from './missing';
import type { Piece } from './schema';

export interface PieceWeight {
  section: SectionRow;
  /** mass of the bare steel, without allowance */
  bareMass: number;
  packingMass: number;
  attachmentMass: number;
  allowance: number;
  /** with allowance */
  mass: number;
  weight: number;
  /** centre of gravity: x from the left end, z from the underside of the steel */
  cg: { x: number; z: number };
  /** how far packing reaches below and above the steel */
  below: number;
  above: number;
  trace: Trace;
}

/** Steel, packing and everything bolted on, with the allowance; missing when the section is not known. */
export function pieceWeight(piece: Piece, rules: Rules): PieceWeight | Missing {
  const section = findSection(piece.section);
  if (!section) return new Missing(`“${piece.section}” is not in the section tables. What is ${piece.mark} made of?`);
  const allowance = piece.allowance ?? rules.value('weightAllowance');
  const input = {
    items: [
      { massPerLength: section.massPerLength, from: 0, to: piece.length },
      ...piece.packing.map(({ massPerLength, from, to }) => ({ massPerLength, from, to })),
      ...piece.attachments.map(({ mass, at }) => ({ mass, at })),
    ],
    allowance,
  };
  const outcome = attempt(steelWeight, input);
  if (!outcome.ok) return new Missing(outcome.error);
  const bareMass = section.massPerLength * piece.length;
  const packed = piece.packing.map((one) => ({ ...one, mass: one.massPerLength * (one.to - one.from) }));
  const packingMass = packed.reduce((sum, one) => sum + one.mass, 0);
  const attachmentMass = piece.attachments.reduce((sum, one) => sum + one.mass, 0);
  const middle = section.depth / 2;
  const height = { top: (t: number) => section.depth + t / 2, bottom: (t: number) => -t / 2, web: () => middle };
  const z =
    ((bareMass + attachmentMass) * middle + packed.reduce((sum, one) => sum + one.mass * height[one.side](one.thickness), 0)) /
    (bareMass + attachmentMass + packingMass);
  const deepest = (side: 'top' | 'bottom') => packed.filter((one) => one.side === side).reduce((most, one) => Math.max(most, one.thickness), 0);
  return {
    section,
    bareMass,
    packingMass,
    attachmentMass,
    allowance,
    mass: outcome.output.mass,
    weight: outcome.output.mass * GRAVITY,
    cg: { x: outcome.output.cg, z },
    below: deepest('bottom'),
    above: deepest('top'),
    trace: { calc: steelWeight.id, input, output: outcome.output },
  };
}
