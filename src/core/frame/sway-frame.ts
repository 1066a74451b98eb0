import type { Gives, Rafters } from './rafters';

/** A place on a column [height above its foot] at which something comes in. */
export interface SwayNode {
  z: number;
  /** downwards, put on here [N] */
  down: number;
}

/** A column from its foot up, its pieces one above the other. */
export interface SwayColumn {
  id: string;
  x: number;
  y: number;
  /** EI about its weaker axis, taken both ways [N·m²] */
  stiffness: number;
  /** EI against leaning along x and along y, where it is known how it stands about its own axis [N·m²] */
  ways?: { x: number; y: number } | null;
  /** whether its foot may hold a moment, where nothing else holds it */
  canStand: boolean;
  /** where on the frame it stands, on a beam, turning freely there: its foot goes where that goes; null: on the ground */
  rides?: SwaySpot | null;
  /** from the lowest up, none at the foot */
  nodes: readonly SwayNode[];
}

/** A place of the frame: one node of a column, or between two of them by their shares. */
export type SwaySpot = readonly { column: number; node: number; share: number }[];

/** A beam that pulls and pushes between two places. */
export interface SwayTie {
  id: string;
  a: SwaySpot;
  b: SwaySpot;
  /** EA/L [N/m] */
  stiffness: number;
}

export interface SwayBrace {
  id: string;
  a: SwaySpot;
  /** null: tied to the ground or to what does not move */
  b: SwaySpot | null;
  /** from a towards b, of length one */
  towards: { x: number; y: number; z: number };
  /** along itself [N/m] */
  stiffness: number;
  /** a rope pulls only */
  pullsOnly: boolean;
}

/** A level beam between two columns of which one or both keep the angle to it. */
export interface SwayRail {
  id: string;
  a: { column: number; node: number };
  b: { column: number; node: number };
  /** EI in its own upright plane [N·m²] */
  stiffness: number;
  /** which end keeps its angle; the other turns freely */
  keeps: { a: boolean; b: boolean };
  /** what its load hogs each end with while both are held from turning [N·m] */
  ends: { a: number; b: number };
}

/** Rafters between two columns: they push them apart, and hold them at an angle where they keep it. */
export interface SwayRafters extends Rafters {
  id: string;
  a: { column: number; node: number };
  b: { column: number; node: number };
  keeps: { a: boolean; b: boolean };
  /** under their load, while both ends turn and move freely */
  gives: Gives;
}

export interface SwayFrame {
  columns: readonly SwayColumn[];
  ties: readonly SwayTie[];
  braces: readonly SwayBrace[];
  rails?: readonly SwayRail[];
  rafters?: readonly SwayRafters[];
}

/** Sideways forces at the nodes of each column [N]. */
export type SwayLoad = readonly (readonly { x: number; y: number }[])[];

/** A column that nothing holds up, and which way. */
export interface Unheld {
  column: number;
  way: 'x' | 'y';
}

export interface SwayStands {
  stable: true;
  /** pull positive [N], by brace */
  braces: number[];
  /** pull positive [N], by tie */
  ties: number[];
  columns: { stands: { x: boolean; y: boolean }; moment: number; moments: { x: number; y: number }; footMoment: number; shear: number }[];
  /** hogging positive [N·m], by rail */
  rails: { a: number; b: number }[];
  /** pressed between its columns [N] and hogged at its ends [N·m], by rafters */
  rafters: { thrust: number; a: number; b: number }[];
  /** the furthest any node goes [m] */
  drift: number;
  /** what the weights may be multiplied by before the frame sways by itself, with the braces that pull now; `PLENTY`: no less than that */
  alpha: number;
}
export type SwayAnswer = { stable: false; why: 'unheld'; unheld: Unheld[] } | { stable: false; why: 'sways'; alpha: number } | SwayStands;

/** At so many times its weights how far a frame leans counts no more (EN 1993-1-1 5.2.1): whether it is more is asked only where it is wanted. */
export const PLENTY = 10;
