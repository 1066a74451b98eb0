import { addTo, copyBand, emptyBand, placeIn, solveBand, timesRow, type Band } from '../beams/solve';
import { heldAsItStands } from './mechanism';

/** A stretch of a piece over which stiffness and load are the same. */
export interface Stretch {
  /** where it ends [m]; the first begins where the piece begins */
  to: number;
  /** EI [N·m²] */
  stiffness: number;
  /** downwards [N/m] */
  load: number;
}

/** An elastic piece of a line, straight and unstressed by itself. */
export interface LinePiece {
  id: string;
  from: number;
  to: number;
  stretches: readonly Stretch[];
  /** downwards [N] */
  loads: readonly { x: number; force: number }[];
}

/** What stands under a line. It only pushes, unless it is tied to it. */
export interface LineSupport {
  id: string;
  x: number;
  level: number;
  /** [N/m]; null: it does not give */
  spring: number | null;
  tie: boolean;
}

/** Two ends drawn to one height; `angle`: what the right end leans more than the left [rad], null where it is a pin. */
export interface LineJoint {
  x: number;
  angle: number | null;
}

export interface EndState {
  height: number;
  slope: number;
  /** sagging positive [N·m] */
  moment: number;
  shear: number;
}

export interface PieceForces {
  sagging: number;
  hogging: number;
  shear: number;
  /** what presses it along, where that is not what shears it on its slope [N] */
  axial?: number;
  left: EndState;
  right: EndState;
}

export interface LineStands {
  stable: true;
  /** upwards [N], of each support that stands under a piece; 0 where it does not touch */
  reactions: Map<string, number>;
  sagging: number;
  hogging: number;
  pieces: Map<string, PieceForces>;
  /** moment and shear left over past the last end of each run, against the greatest met */
  residual: number;
}
export type LineAnswer = { stable: false } | LineStands;

interface Element {
  from: number;
  to: number;
  stiffness: number;
  load: number;
  /** numbers of height and slope at its ends */
  dofs: readonly [number, number, number, number];
  /** added to its first slope: the angle of the joint it begins at */
  turn: number;
}

interface Contact {
  support: LineSupport;
  dof: number;
}

/** A piece cut into elements. */
interface Cut {
  piece: LinePiece;
  /** joined or pinned to the piece before it */
  joint: LineJoint | null;
  elements: Element[];
  contacts: Contact[];
  loads: { dof: number; x: number; force: number }[];
}

/** Places closer than this are one place [m]. */
const SAME = 1e-9;
/** Height and slope of a node reach to those of the next; a pin puts two slopes at one node. */
const HALF_WIDTH = 4;

/** The pieces in the order of x, each cut where something begins, ends, stands or presses. */
function cutUp(pieces: readonly LinePiece[], supports: readonly LineSupport[], joints: readonly LineJoint[]): { cuts: Cut[]; size: number } {
  let size = 0;
  let before: { height: number; slope: number; to: number } | null = null;
  const cuts = [...pieces]
    .sort((a, b) => a.from - b.from)
    .map((piece): Cut => {
      const meets = before !== null && Math.abs(before.to - piece.from) < SAME;
      const joint = (meets && joints.find((one) => Math.abs(one.x - piece.from) < SAME)) || null;
      const height = joint ? before!.height : size++;
      const slope = joint && joint.angle !== null ? before!.slope : size++;
      const under = supports.filter(({ x }) => x > piece.from - SAME && x < piece.to + SAME);
      const places = [...piece.stretches.map(({ to }) => to), ...under.map(({ x }) => x), ...piece.loads.map(({ x }) => x)]
        .filter((x) => x > piece.from + SAME && x < piece.to - SAME)
        .sort((a, b) => a - b)
        .filter((x, i, all) => i === 0 || x - all[i - 1]! > SAME);
      const nodes = [{ x: piece.from, height, slope }];
      for (const x of [...places, piece.to]) nodes.push({ x, height: size++, slope: size++ });
      let stretch = 0;
      const elements = nodes.slice(1).map((to, i): Element => {
        const from = nodes[i]!;
        while (stretch < piece.stretches.length - 1 && piece.stretches[stretch]!.to <= from.x + SAME) stretch += 1;
        const { stiffness, load } = piece.stretches[stretch]!;
        return { from: from.x, to: to.x, stiffness, load, dofs: [from.height, from.slope, to.height, to.slope], turn: i === 0 ? (joint?.angle ?? 0) : 0 };
      });
      const dofAt = (x: number): number => nodes.reduce((best, node) => (Math.abs(node.x - x) < Math.abs(best.x - x) ? node : best)).height;
      before = { height: nodes.at(-1)!.height, slope: nodes.at(-1)!.slope, to: piece.to };
      return {
        piece,
        joint,
        elements,
        contacts: under.map((support) => ({ support, dof: dofAt(support.x) })),
        loads: piece.loads.map(({ x, force }) => ({ dof: dofAt(x), x, force })),
      };
    });
  return { cuts, size };
}

/** Stiffness and load of the bare pieces, nothing under them. */
function assemble(cuts: readonly Cut[], size: number): { band: Band; load: Float64Array } {
  const band = emptyBand(size, HALF_WIDTH);
  const load = new Float64Array(size);
  for (const { elements, loads } of cuts) {
    for (const { from, to, stiffness, load: q, dofs, turn } of elements) {
      const l = to - from;
      const k = stiffness / (l * l * l);
      const rows = [
        [12 * k, 6 * k * l, -12 * k, 6 * k * l],
        [6 * k * l, 4 * k * l * l, -6 * k * l, 2 * k * l * l],
        [-12 * k, -6 * k * l, 12 * k, -6 * k * l],
        [6 * k * l, 2 * k * l * l, -6 * k * l, 4 * k * l * l],
      ];
      for (let i = 0; i < 4; i += 1) {
        for (let j = 0; j <= i; j += 1) addTo(band, dofs[i]!, dofs[j]!, rows[i]![j]!);
        load[dofs[i]!]! -= rows[i]![1]! * turn;
      }
      load[dofs[0]]! -= (q * l) / 2;
      load[dofs[1]]! -= (q * l * l) / 12;
      load[dofs[2]]! -= (q * l) / 2;
      load[dofs[3]]! += (q * l * l) / 12;
    }
    for (const { dof, force } of loads) load[dof]! -= force;
  }
  return { band, load };
}

interface Trial {
  u: ArrayLike<number>;
  /** of every contact, upwards on the piece */
  forces: number[];
}

/** Solves with the contacts that touch as they are told. `soft` is a bedding so weak that it changes nothing and holds what nothing else does. */
function tryContacts(
  bare: { band: Band; load: Float64Array },
  contacts: readonly Contact[],
  touching: readonly boolean[],
  soft: ReadonlyMap<number, number>,
): Trial | null {
  const band = copyBand(bare.band);
  const load = bare.load.slice();
  for (const [dof, stiffness] of soft) addTo(band, dof, dof, stiffness);
  for (const [i, { support, dof }] of contacts.entries())
    if (touching[i] && support.spring !== null) {
      addTo(band, dof, dof, support.spring);
      load[dof]! += support.spring * support.level;
    }
  const whole = copyBand(band);
  const open = load.slice();
  const { width, size } = band;
  const fixed = new Map<number, number>();
  for (const [i, { support, dof }] of contacts.entries()) if (touching[i] && support.spring === null) fixed.set(dof, support.level);
  for (const [dof, level] of fixed) {
    for (let j = Math.max(0, dof - width); j <= Math.min(size - 1, dof + width); j += 1) {
      if (j === dof) continue;
      const at = placeIn(width, dof, j);
      const value = band.entries[at]!;
      if (value !== 0 && !fixed.has(j)) load[j]! -= value * level;
      band.entries[at] = 0;
    }
  }
  for (const [dof, level] of fixed) {
    const diagonal = band.entries[placeIn(width, dof, dof)]!;
    load[dof] = diagonal * level;
  }
  const solved = solveBand(band, load, 0);
  if (!solved.ok) return null;
  const { u } = solved;
  return {
    u,
    forces: contacts.map(({ support, dof }, i) => {
      if (!touching[i]) return 0;
      if (support.spring !== null) return support.spring * (support.level - u[dof]!);
      return timesRow(whole, dof, u) - open[dof]!;
    }),
  };
}

/** The bedding stands for a ten-thousandth of the weight a metre of sinking, and is never lost beside the stiffest element. */
const SOFT = 1e-4;
const LOST = 1e-12;
/** Rounds in which the number of wrong contacts may fail to fall before they are turned one by one. */
const PATIENCE = 4;

/** Which contacts are wrong: pulling where they touch, pressed into where they do not. */
function wrongOnes(contacts: readonly Contact[], touching: readonly boolean[], { u, forces }: Trial, least: { force: number; gap: number }): number[] {
  return contacts.flatMap(({ support, dof }, i) => {
    if (support.tie) return [];
    return (touching[i] ? forces[i]! < -least.force : u[dof]! < support.level - least.gap) ? [i] : [];
  });
}

/**
 * What touches. All wrong contacts are turned at once while that makes them fewer; otherwise the last of them alone. With the bedding the
 * compliance of the contacts is positive definite, and turning one at a time by a fixed order then ends (Murty 1974), since no set of
 * contacts comes twice.
 */
function settleContacts(
  bare: { band: Band; load: Float64Array },
  contacts: readonly Contact[],
  start: readonly boolean[],
  soft: ReadonlyMap<number, number>,
  weight: number,
): { touching: boolean[]; trial: Trial } | null {
  const touching = [...start];
  const least = { force: weight * 1e-9, gap: 1e-9 };
  let fewest = Infinity;
  let patience = PATIENCE;
  for (let round = 0; round < 200 + 20 * contacts.length; round += 1) {
    const trial = tryContacts(bare, contacts, touching, soft);
    if (!trial) return null;
    const wrong = wrongOnes(contacts, touching, trial, least);
    if (wrong.length === 0) return { touching, trial };
    if (wrong.length < fewest) {
      fewest = wrong.length;
      patience = PATIENCE;
    } else patience -= 1;
    for (const i of patience > 0 ? wrong : wrong.slice(-1)) touching[i] = !touching[i];
  }
  return null;
}

/** One stage of a line: what every support carries and what every piece feels, or that it does not stand. */
export function solveLine(pieces: readonly LinePiece[], supports: readonly LineSupport[], joints: readonly LineJoint[]): LineAnswer {
  const { cuts, size } = cutUp(pieces, supports, joints);
  if (cuts.length === 0) return { stable: true, reactions: new Map(), sagging: 0, hogging: 0, pieces: new Map(), residual: 0 };
  const bare = assemble(cuts, size);
  const contacts = cuts.flatMap((cut) => cut.contacts);
  const weight = bare.load.reduce((sum, one) => sum + Math.abs(one), 0) || 1;
  const stiffest = bare.load.reduce((most, _, dof) => Math.max(most, bare.band.entries[placeIn(HALF_WIDTH, dof, dof)]!), 0);
  const soft = new Map<number, number>();
  const bedding = Math.max(SOFT * weight, LOST * stiffest);
  for (const { elements } of cuts) for (const { dofs } of elements) for (const dof of [dofs[0], dofs[2]]) soft.set(dof, bedding / size);
  const held = settleContacts(
    bare,
    contacts,
    contacts.map(() => true),
    soft,
    weight,
  );
  if (!held) return { stable: false };
  // Without the bedding it has to stand by what touches.
  const real = tellMechanism(cuts, contacts, held.touching) ? null : settleReal(bare, contacts, held.touching, cuts, weight);
  return real ? tell(cuts, contacts, real) : { stable: false };
}

function tellMechanism(cuts: readonly Cut[], contacts: readonly Contact[], touching: readonly boolean[]): boolean {
  let n = 0;
  return !heldAsItStands(
    cuts.map(({ piece, joint, contacts: own }) => ({
      from: piece.from,
      to: piece.to,
      before: joint === null ? 'apart' : joint.angle === null ? 'pin' : 'join',
      holds: own.flatMap(({ support }) => (touching[n++] ? [support.x] : [])),
    })),
  );
}

/** The same without the bedding; what the bedding had decided by a hair is decided again, one contact at a time. */
function settleReal(
  bare: { band: Band; load: Float64Array },
  contacts: readonly Contact[],
  start: readonly boolean[],
  cuts: readonly Cut[],
  weight: number,
): Trial | null {
  const touching = [...start];
  const none = new Map<number, number>();
  for (let round = 0; round <= contacts.length; round += 1) {
    const trial = tryContacts(bare, contacts, touching, none);
    if (!trial) return null;
    const wrong = wrongOnes(contacts, touching, trial, { force: weight * 1e-7, gap: 1e-7 });
    if (wrong.length === 0) return trial;
    const last = wrong.at(-1)!;
    touching[last] = !touching[last];
    if (tellMechanism(cuts, contacts, touching)) return null;
  }
  return null;
}

/** Moments and shears by walking along each run with the reactions in hand: statics alone, so that what is left at its end is the error. */
function tell(cuts: readonly Cut[], contacts: readonly Contact[], { u, forces }: Trial): LineStands {
  const reactions = new Map<string, number>();
  contacts.forEach(({ support }, i) => reactions.set(support.id, (reactions.get(support.id) ?? 0) + Math.max(support.tie ? -Infinity : 0, forces[i]!)));
  const told = new Map<string, PieceForces>();
  let first = 0;
  let [shear, moment] = [0, 0];
  let [left, most] = [0, 1e-12];
  let [sagging, hogging] = [0, 0];
  let end = { moment: 0, shear: 0 };
  const close = () => {
    left = Math.max(left, Math.abs(shear), Math.abs(moment));
    [shear, moment] = [0, 0];
  };
  const jumps: { x: number; up: number }[] = [];
  for (const { piece, joint, elements, contacts: own, loads } of cuts) {
    if (!joint) close();
    jumps.length = 0;
    for (let i = 0; i < own.length; i += 1) jumps.push({ x: own[i]!.support.x, up: forces[first + i]! });
    for (const { x, force } of loads) jumps.push({ x, up: -force });
    if (jumps.length > 1) jumps.sort((a, b) => a.x - b.x);
    first += own.length;
    const start = { moment, shear };
    let [pieceSags, pieceHogs, pieceShear] = [Math.max(0, moment), Math.max(0, -moment), Math.abs(shear)];
    let next = 0;
    for (let n = 0; n <= elements.length; n += 1) {
      // At the start of each element, and at the end of the last.
      const element = elements[n];
      const at = (element ? element.from : piece.to) + SAME;
      for (; next < jumps.length && jumps[next]!.x < at; next += 1) {
        shear += jumps[next]!.up;
        pieceShear = Math.max(pieceShear, Math.abs(shear));
      }
      if (!element) continue;
      const { load } = element;
      const l = element.to - element.from;
      const peak = load !== 0 ? shear / load : -1;
      if (peak > 0 && peak < l) {
        const there = moment + shear * peak - (load * peak * peak) / 2;
        pieceSags = Math.max(pieceSags, there);
        pieceHogs = Math.max(pieceHogs, -there);
      }
      moment += shear * l - (load * l * l) / 2;
      shear -= load * l;
      pieceShear = Math.max(pieceShear, Math.abs(shear));
      pieceSags = Math.max(pieceSags, moment);
      pieceHogs = Math.max(pieceHogs, -moment);
      if (n === elements.length - 1) end = { moment, shear };
    }
    most = Math.max(most, pieceSags, pieceHogs, pieceShear);
    sagging = Math.max(sagging, pieceSags);
    hogging = Math.max(hogging, pieceHogs);
    const [opening, closing] = [elements[0]!, elements.at(-1)!];
    told.set(piece.id, {
      sagging: pieceSags,
      hogging: pieceHogs,
      shear: pieceShear,
      left: { moment: start.moment, shear: start.shear, height: u[opening.dofs[0]]!, slope: u[opening.dofs[1]]! + opening.turn },
      right: { moment: end.moment, shear: end.shear, height: u[closing.dofs[2]]!, slope: u[closing.dofs[3]]! },
    });
  }
  close();
  return { stable: true, reactions, sagging, hogging, pieces: told, residual: left / most };
}
