import { attempt } from '../calc/attempt';
import type { Trace } from '../calc/evidence';
import type { Rules } from '../rules/rule-sets';
import { findSection } from '../steel/sections';
import type { SectionRow } from '../steel/section-row';
import { steelWeight } from '../steel/weight.calc';
import { GRAVITY } from '../units';
import { Missing } from '../verdict/missing';
import type { Piece } from '../document/schema';

/** Who says what the bare steel weighs. */
export type WeightBy = 'computed' | 'drawing' | 'weighed';

export interface Statement {
  by: WeightBy;
  mass: number;
}

/** Mass, weight and balance point of a piece with all that hangs on it. */
export interface Lump {
  bareMass: number;
  mass: number;
  weight: number;
  /** centre of gravity: x from the left end, z from the underside of the steel */
  cg: { x: number; z: number };
}

/** Two lines that hang side by side: outer edge to outer edge, middle to middle, and how far their balance point is off the middle between them. */
export interface Pair {
  broad: number;
  apart: number;
  offCentre: number;
}

export interface PieceWeight extends Lump {
  section: SectionRow;
  /** every figure anybody gave for the bare steel */
  statements: Statement[];
  by: WeightBy;
  packingMass: number;
  attachmentMass: number;
  allowance: number;
  /** the lightest figure anybody gave, without allowance: what holds down counts no more than this */
  light: Lump;
  /** how far packing reaches below and above the steel */
  below: number;
  above: number;
  /** of two lines side by side */
  pair?: Pair;
  /** of pieces that hang bent: how high its slings, its highest place and the ends of each piece are over its lowest end [m] */
  bent?: { slung: number; rise: number; pieces: readonly { from: number; to: number; left: number; right: number }[] };
  /** what bends it as it hangs, allowance and all */
  runs: { weightPerLength: number; from: number; to: number }[];
  lumps: { weight: number; at: number }[];
  trace: Trace;
}

/** How broad a load is as it hangs upright. */
export const breadthOf = ({ pair, section }: PieceWeight): number => pair?.broad ?? section.width;

/** A choice between the figures stands only with a name and a reason under it, and only for a figure somebody gave. */
export function chosenWeight(piece: Piece, statements: readonly Statement[]): Statement | null {
  const { chosen } = piece.stated;
  if (!chosen || chosen.who.trim() === '' || chosen.why.trim() === '') return null;
  return statements.find((one) => one.by === chosen.by) ?? null;
}

/**
 * Steel, packing and everything bolted on. Until a person chooses between the figures given for the bare steel and says why, the
 * heaviest with the allowance is what must be carried, and the lightest without allowance is what holds down. A weighing that was
 * chosen needs no allowance. Missing when the section is not known.
 */
export function pieceWeight(
  piece: Piece,
  rules: Rules,
  section: SectionRow | undefined = findSection(piece.section),
  balance?: number | null,
): PieceWeight | Missing {
  if (!section) return new Missing(`“${piece.section}” is not in the section tables. What is ${piece.mark} made of?`);
  if (balance === null) return new Missing(`Where does ${piece.mark} balance, from its first end?`);
  const statements: Statement[] = [
    ...(balance === undefined ? [{ by: 'computed' as const, mass: section.massPerLength * piece.length }] : []),
    ...(piece.stated.mass === null ? [] : [{ by: 'drawing' as const, mass: piece.stated.mass }]),
    ...(piece.stated.weighed === null || piece.stated.weighed === undefined ? [] : [{ by: 'weighed' as const, mass: piece.stated.weighed }]),
  ];
  if (statements.length === 0) return new Missing(`What does ${piece.mark} weigh?`);
  const chosen = chosenWeight(piece, statements);
  const heaviest = chosen ?? statements.reduce((a, b) => (b.mass > a.mass ? b : a));
  const lightest = chosen ?? statements.reduce((a, b) => (b.mass < a.mass ? b : a));
  const allowance = chosen?.by === 'weighed' ? 0 : (piece.allowance ?? rules.value('weightAllowance'));
  const packed = piece.packing.map((one) => ({ ...one, mass: one.massPerLength * (one.to - one.from) }));
  const packingMass = packed.reduce((sum, one) => sum + one.mass, 0);
  const attachmentMass = piece.attachments.reduce((sum, one) => sum + one.mass, 0);
  const middle = section.depth / 2;
  const height = { top: (t: number) => section.depth + t / 2, bottom: (t: number) => -t / 2, web: () => middle };

  const lump = (bareMass: number, allowed: number): { lump: Lump; trace: Trace } | Missing => {
    const perLength = bareMass / piece.length;
    const input = {
      items: [
        balance === undefined ? { massPerLength: perLength, from: 0, to: piece.length } : { mass: bareMass, at: balance },
        ...piece.packing.map(({ massPerLength, from, to }) => ({ massPerLength, from, to })),
        ...piece.attachments.map(({ mass, at }) => ({ mass, at })),
      ],
      allowance: allowed,
    };
    const outcome = attempt(steelWeight, input);
    if (!outcome.ok) return new Missing(outcome.error);
    const z =
      ((bareMass + attachmentMass) * middle + packed.reduce((sum, one) => sum + one.mass * height[one.side](one.thickness), 0)) /
      (bareMass + attachmentMass + packingMass);
    const { mass, cg } = outcome.output;
    return {
      lump: { bareMass, mass, weight: mass * GRAVITY, cg: { x: cg, z } },
      trace: { calc: steelWeight.id, input, output: outcome.output },
    };
  };
  const heavy = lump(heaviest.mass, allowance);
  if (heavy instanceof Missing) return heavy;
  const light = lump(lightest.mass, 0);
  if (light instanceof Missing) return light;
  const newtons = (mass: number) => mass * (1 + allowance) * GRAVITY;
  const deepest = (side: 'top' | 'bottom') => packed.filter((one) => one.side === side).reduce((most, one) => Math.max(most, one.thickness), 0);
  return {
    section,
    statements,
    by: heaviest.by,
    ...heavy.lump,
    packingMass,
    attachmentMass,
    allowance,
    light: light.lump,
    below: deepest('bottom'),
    above: deepest('top'),
    runs: [
      ...(balance === undefined ? [{ weightPerLength: newtons(heavy.lump.bareMass / piece.length), from: 0, to: piece.length }] : []),
      ...packed.map((one) => ({ weightPerLength: newtons(one.massPerLength), from: one.from, to: one.to })),
    ],
    lumps: [
      ...piece.attachments.map(({ mass, at }) => ({ weight: newtons(mass), at })),
      ...(balance === undefined ? [] : [{ weight: newtons(heavy.lump.bareMass), at: balance }]),
    ],
    trace: heavy.trace,
  };
}
