import { addTo, emptyBand, solveBand, timesRow } from './solve';

export interface ContinuousBeam {
  length: number;
  /** EI [N·m²] */
  stiffness: number;
  /** downwards [N/m] */
  load: number;
  supports: readonly { x: number; spring?: number }[];
  pointLoads: readonly { x: number; force: number }[];
  /** even loads on part of the beam, downwards [N/m]; they add to `load` */
  runs?: readonly { from: number; to: number; load: number }[];
  /** true: a support only pushes up and lets go when the beam lifts off it */
  upliftFree: boolean;
}

/** Deflection [m] and slope of the beam at a place; the beam is a cubic between two places where no even load lies between them. */
export interface Bent {
  x: number;
  down: number;
  slope: number;
}

export type ContinuousResult = { stable: true; reactions: number[]; maxSagging: number; maxHogging: number; deflection: Bent[] } | { stable: false };

/**
 * Euler beam by the stiffness method, two freedoms a node (downwards deflection, rotation).
 * Contact by active set: release supports that pull, take back supports the beam has sunk onto, until neither happens.
 */
export function solveContinuous(beam: ContinuousBeam): ContinuousResult {
  const xs = [
    ...new Set([
      0,
      beam.length,
      ...beam.supports.map((s) => s.x),
      ...beam.pointLoads.map((p) => p.x),
      ...(beam.runs ?? []).flatMap((run) => [run.from, run.to]),
    ]),
  ].sort((a, b) => a - b);
  const nodeAt = new Map(xs.map((x, i) => [x, i]));
  const nodeOf = beam.supports.map((support) => nodeAt.get(support.x)!);
  const even = xs.slice(0, -1).map((x, e) => evenLoad(beam, (x + xs[e + 1]!) / 2));
  const load = nodeLoads(beam, xs, even, nodeAt);
  const total = even.reduce((sum, w, e) => sum + Math.abs(w) * (xs[e + 1]! - xs[e]!), 0) + beam.pointLoads.reduce((sum, p) => sum + Math.abs(p.force), 0);
  const slack = 1e-9 * Math.max(total, 1e-12);
  const touching = beam.supports.map(() => true);
  for (let round = 0; round < 4 * beam.supports.length + 8; round += 1) {
    const state = solveHeld(beam, xs, nodeOf, touching, load);
    if (!state) return { stable: false };
    const { u, reactions } = state;
    const pulling = beam.upliftFree ? reactions.map((r, i) => (touching[i] && r < -slack ? i : -1)).filter((i) => i >= 0) : [];
    const travel = Math.max(...u.filter((_, i) => i % 2 === 0).map(Math.abs));
    const sunk = touching.map((held, i) => (!held && u[2 * nodeOf[i]!]! > 1e-9 * travel + 1e-15 ? i : -1)).filter((i) => i >= 0);
    if (pulling.length === 0 && sunk.length === 0) {
      const ends = endMoments(beam, xs, even, u);
      const deflection = xs.map((x, i) => ({ x, down: u[2 * i]!, slope: u[2 * i + 1]! }));
      return { stable: true, reactions, ...extremes(even, xs, ends), deflection };
    }
    // One at a time, the worst first, so that the set cannot chase its own tail.
    const worst = pulling.sort((a, b) => reactions[a]! - reactions[b]!)[0];
    if (worst !== undefined) touching[worst] = false;
    else touching[sunk.sort((a, b) => u[2 * nodeOf[b]!]! - u[2 * nodeOf[a]!]!)[0]!] = true;
  }
  return { stable: false };
}

/** The even load at a place that is no end of a run. */
const evenLoad = ({ load, runs = [] }: ContinuousBeam, x: number): number =>
  runs.reduce((sum, run) => (run.from < x && x < run.to ? sum + run.load : sum), load);

/**
 * The greatest deflection of a beam that is a cubic between neighbouring places [m]: at a place, or where the slope between two of
 * them passes through nothing. Never less than 0.
 */
export function greatestDown(bent: readonly Bent[]): number {
  let most = 0;
  bent.forEach((a, i) => {
    most = Math.max(most, a.down);
    const b = bent[i + 1];
    if (!b) return;
    const l = b.x - a.x;
    // d(t) = d0 + s0·l·t + c·t² + e·t³ with t from 0 to 1 (Hermite).
    const c = 3 * (b.down - a.down) - l * (2 * a.slope + b.slope);
    const e = 2 * (a.down - b.down) + l * (a.slope + b.slope);
    const root = Math.sqrt(Math.max(0, 4 * c * c - 12 * e * l * a.slope));
    const turns = Math.abs(e) < 1e-12 * (Math.abs(c) + 1e-300) ? [(-l * a.slope) / (2 * c)] : [(-2 * c + root) / (6 * e), (-2 * c - root) / (6 * e)];
    for (const t of turns) if (t > 0 && t < 1) most = Math.max(most, a.down + t * (l * a.slope + t * (c + t * e)));
  });
  return most;
}

function nodeLoads(beam: ContinuousBeam, xs: readonly number[], even: readonly number[], nodeAt: Map<number, number>): number[] {
  const load = new Array<number>(2 * xs.length).fill(0);
  for (let e = 0; e + 1 < xs.length; e += 1) {
    const l = xs[e + 1]! - xs[e]!;
    const w = even[e]!;
    load[2 * e]! += (w * l) / 2;
    load[2 * e + 1]! += (w * l * l) / 12;
    load[2 * e + 2]! += (w * l) / 2;
    load[2 * e + 3]! -= (w * l * l) / 12;
  }
  for (const p of beam.pointLoads) load[2 * nodeAt.get(p.x)!]! += p.force;
  return load;
}

const elementMatrix = (stiffness: number, l: number): number[][] => {
  const c = stiffness / l ** 3;
  return [
    [12 * c, 6 * c * l, -12 * c, 6 * c * l],
    [6 * c * l, 4 * c * l * l, -6 * c * l, 2 * c * l * l],
    [-12 * c, -6 * c * l, 12 * c, -6 * c * l],
    [6 * c * l, 2 * c * l * l, -6 * c * l, 4 * c * l * l],
  ];
};

/** Two freedoms a node, and an element joins two neighbours: no entry is further than three from the diagonal. */
const HALF_WIDTH = 3;

/** Displacements and reactions with the touching supports held; null when what is left is a mechanism. */
function solveHeld(beam: ContinuousBeam, xs: readonly number[], nodeOf: readonly number[], touching: readonly boolean[], load: readonly number[]) {
  const size = 2 * xs.length;
  const rigid = new Set<number>();
  beam.supports.forEach((support, i) => {
    if (touching[i] && support.spring === undefined) rigid.add(2 * nodeOf[i]!);
  });
  const full = emptyBand(size, HALF_WIDTH);
  // A held freedom stays in its place, cut loose from the others and given no load: it comes out as nought.
  const held = emptyBand(size, HALF_WIDTH);
  for (let e = 0; e + 1 < xs.length; e += 1) {
    const k = elementMatrix(beam.stiffness, xs[e + 1]! - xs[e]!);
    for (let i = 0; i < 4; i += 1)
      for (let j = 0; j <= i; j += 1) {
        const [row, column] = [2 * e + i, 2 * e + j];
        addTo(full, row, column, k[i]![j]!);
        if (row === column || !(rigid.has(row) || rigid.has(column))) addTo(held, row, column, k[i]![j]!);
      }
  }
  beam.supports.forEach((support, i) => {
    if (touching[i] && support.spring !== undefined) {
      const dof = 2 * nodeOf[i]!;
      addTo(full, dof, dof, support.spring);
      addTo(held, dof, dof, support.spring);
    }
  });
  const solved = solveBand(
    held,
    load.map((value, dof) => (rigid.has(dof) ? 0 : value)),
  );
  if (!solved.ok || !(solved.residual < 1e-4)) return null;
  const { u } = solved;
  const reactions = beam.supports.map((support, i) => {
    if (!touching[i]) return 0;
    const dof = 2 * nodeOf[i]!;
    return support.spring === undefined ? load[dof]! - timesRow(full, dof, u) : support.spring * u[dof]!;
  });
  return { u, reactions };
}

/** Sagging-positive moment and upward shear at the left end of each element. */
function endMoments(beam: ContinuousBeam, xs: readonly number[], even: readonly number[], u: ArrayLike<number>): { moment: number; shear: number }[] {
  return xs.slice(0, -1).map((x, e) => {
    const l = xs[e + 1]! - x;
    const k = elementMatrix(beam.stiffness, l);
    const force = (row: number) => k[row]!.reduce((sum, value, j) => sum + value * u[2 * e + j]!, 0);
    const shear = -(force(0) - (even[e]! * l) / 2);
    const moment = force(1) - (even[e]! * l * l) / 12;
    return { moment, shear };
  });
}

function extremes(even: readonly number[], xs: readonly number[], ends: readonly { moment: number; shear: number }[]) {
  let maxSagging = 0;
  let maxHogging = 0;
  ends.forEach(({ moment, shear }, e) => {
    const l = xs[e + 1]! - xs[e]!;
    const w = even[e]!;
    const at = (x: number) => moment + shear * x - (w * x * x) / 2;
    const stations = [0, l];
    if (w !== 0 && shear / w > 0 && shear / w < l) stations.push(shear / w);
    for (const x of stations) {
      maxSagging = Math.max(maxSagging, at(x));
      maxHogging = Math.max(maxHogging, -at(x));
    }
  });
  return { maxSagging, maxHogging };
}
