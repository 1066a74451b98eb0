import type { SwayBrace, SwayColumn, SwayFrame, SwayLoad, SwayRafters, SwayRail, SwaySpot, SwayTie } from '../../frame/sway-frame';
import { Missing } from '../../verdict/missing';
import type { Brace, Joint, Plan, Support } from '../../document/schema';
import type { About } from '../../verdict/check';
import { AT_FOOT } from './at-foot';
import { diagonalOf, type Diagonal } from './diagonal';
import { betweenRests, givesBy } from './rests';
import { isStiff, keepsAngle, type Line, type LoadCase } from './forces';
import type { Ground } from './ground';
import { type SettledBeam } from '../../settle/model';
import { isGiven } from '../../settle/section-strength';
import { pointAt, type Placed, type Point, isInclined } from '../../document/place';
import { beamAt, braceAt, isMade, jointAt, standsAt, type StructureMoment } from '../../replay/moment';

/** Nodes of a column nearer to each other are one [m]. */
const NEAR = 0.2;
/** A beam that rises no more than this over its length is level [rise over length]. */
const LEVEL = 0.05;
/** So near to x or y the web of a column may run and is taken to run along it [deg]. */
const SQUARE = 5;
/** So much stiffer one piece of a beam may be than another that it is of one section all along. */
const ALIKE = 1.01;
/** A place that gives so many times less than the weight over it leans is taken to stand still [1]. */
const FEW = 20;
/** What holds along in a pocket or on a fixed seat gives little [N/m]. */
const FIRM = 1e8;

/** A column as it stands, from its foot up. */
export interface Stack {
  pieces: SettledBeam[];
  foot: Point;
  /** what it stands on: a support, or a beam, by a joint */
  on: { support: Support } | { joint: Joint };
  key: string;
  heights: number[];
  /** of the foot alone: what comes down, and at the least */
  down: number;
  light: number;
}

/** What is put on the frame from above where a pull of one drags at a column: so much of it, upwards. */
interface Drag {
  stack: number;
  share: number;
}

/** Where a brace pulls a beam upright: so much of its pull, upwards. */
interface Press {
  piece: string;
  at: number;
  up: number;
}

/** A frame of plumb columns as it stands after a move, and what the wind does to it. */
export interface FrameModel {
  /** the structure as it was told */
  of: Plan['structure'];
  frame: SwayFrame;
  stacks: Stack[];
  /** by stack that stands on a beam: the columns that carry that, by their shares */
  rides: ReadonlyMap<number, SwaySpot>;
  braces: { brace: Brace; drags: Drag[] }[];
  /** inclined pieces that pull and push, the first of them so many braces of the frame on */
  diagonals: { from: number; all: { diagonal: Diagonal; drags: Drag[] }[] };
  /** where braces and diagonals pull beams, each by its place among the braces of the frame */
  presses: (Press & { brace: number })[];
  /** by tie: the joints it goes through, and what they carry from above */
  ties: { joints: { joint: Joint; brings: number }[] }[];
  /** by rail: its line, how long it is, the columns at its ends, and the joints there that keep their angle */
  rails: Portal[];
  /** by rafters: the same */
  rafters: Portal[];
  /** sideways forces of a wind that presses so hard from a direction, and of a lean of all that weighs */
  push: (way: { x: number; y: number }, pressure: number, lean: number) => SwayLoad;
}

/** A level beam between two columns, stiffly joined to one or both; or pieces between them that are bent, stiffly joined to them or not. */
export interface Portal {
  line: Line;
  /** seen from above */
  length: number;
  ends: Record<'a' | 'b', { joint: Joint; stack: number; keeps: boolean }>;
}

/** What is not known of a frame: of what it is asked, and the question. */
export interface FrameAsked {
  about: About;
  name: string;
  /** which check asks */
  check: string;
  question: string;
}

class Asked extends Error {
  constructor(readonly asked: FrameAsked) {
    super(asked.question);
  }
}
const ask = (kind: About['kind'], thing: { id: string }, name: string, check: string, question: string): never => {
  throw new Asked({ about: { kind, id: thing.id }, name, check, question });
};

/** The frame that some pieces make, or what is not known of it. Null: no column of it stands on the ground. */
export function frameOf(ground: Ground, members: readonly string[], columns: readonly string[], moment: StructureMoment): FrameModel | FrameAsked | null {
  try {
    return new Frame(ground, members, columns, moment).model();
  } catch (fault) {
    if (fault instanceof Asked) return fault.asked;
    throw fault;
  }
}

/** A place of the frame, and on which columns it hangs; empty: it does not move. */
interface Reach {
  spot: SwaySpot;
  /** of a beam pushed square to it between two columns: how little it gives [N/m]; null: it is a column */
  give: number | null;
}
const STILL: Reach = { spot: [], give: null };

/** A place along a line of beams that is held sideways. */
interface Hold {
  x: number;
  spot: SwaySpot;
  joint: { joint: Joint; brings: number } | null;
}

/**
 * A level beam of one section, in one piece or in several that are stiffly spliced, that hangs by its ends on two columns and on nothing
 * else, and keeps its angle to one of them or both.
 */
export function isPortal(ground: Ground, line: Line, moment: StructureMoment): boolean {
  let known = portals.get(line);
  if (known === undefined) portals.set(line, (known = findPortal(ground, line, moment)));
  return known;
}
/** To find the same line is to find all of its pieces and what was done to them the same. */
const portals = new WeakMap<Line, boolean>();

function findPortal({ beams, by }: Ground, line: Line, moment: StructureMoment): boolean {
  const answer = line.answers?.plain;
  if (!answer?.stable || answer.reactions.size !== 2 || line.bent !== null || line.spans.length === 0) return false;
  const whole = line.spans.at(-1)!.to;
  const stiffness: number[] = [];
  for (const { id } of line.spans) {
    const { place: stands, section } = beams.get(id)!;
    // How stiff a thing is that is no section nobody knows.
    if (!stands || section instanceof Missing || isGiven(section) || Math.abs(stands.to.z - stands.from.z) > LEVEL * stands.length) return false;
    stiffness.push(section.iStrong);
  }
  if (Math.max(...stiffness) > ALIKE * Math.min(...stiffness)) return false;
  const joints = line.spans.flatMap((span) =>
    (by.joints.get(span.id) ?? []).flatMap(({ joint, at }) =>
      isMade(jointAt(moment, joint.id)) ? [{ joint, own: joint.a.piece === span.id, x: span.flipped ? span.to - at : span.from + at }] : [],
    ),
  );
  if (joints.some(({ joint }) => joint.kind === 'splice' && isStiff(joint, moment) !== true)) return false;
  const hangs = joints.filter(({ joint, own }) => joint.kind !== 'splice' && own);
  return (
    hangs.length === 2 &&
    hangs.every(({ joint, x }) => (beams.get(joint.b.piece)?.place?.upright ?? false) && Math.min(x, whole - x) <= NEAR) &&
    hangs.some(({ joint }) => keepsAngle(joint, moment))
  );
}

/** Pieces bent in one upright plane between two columns, that keep their angle to one of them or both. */
export const isStiffBent = ({ by }: Ground, line: Line, moment: StructureMoment): boolean =>
  line.bent !== null && line.beams.some((id) => (by.joints.get(id) ?? []).some(({ joint }) => joint.a.piece === id && keepsAngle(joint, moment)));

class Frame {
  private readonly stacks: Stack[] = [];
  /** stack and piece of a column, by its id */
  private readonly stackOf = new Map<string, number>();
  private readonly holds = new Map<Line, Hold[]>();
  /** by stack that stands on a beam: where on the frame that is */
  private readonly rides = new Map<number, Reach>();
  /** where a line hangs, by how many lines it is under the one that is asked about */
  private readonly hung: Map<Line, { x: number; spot: SwaySpot }[]>[] = [];
  private readonly which: LoadCase;
  private inWind: Exposed[] | null = null;

  constructor(
    private readonly ground: Ground,
    private readonly members: readonly string[],
    private readonly columns: readonly string[],
    private readonly moment: StructureMoment,
  ) {
    this.which = ground.context.rules.id === 'us-asd' ? 'plain' : 'factored';
  }

  model(): FrameModel | null {
    this.findStacks();
    if (this.stacks.length === 0) return null;
    for (const id of this.members) this.askOf(id);
    const lines = [...new Set(this.members.flatMap((id) => this.ground.latest.get(id) ?? []))].filter((line) => line.spans.length > 0);
    this.findHeights();
    for (const line of lines) this.holds.set(line, this.holdsOf(line));
    this.findRides();
    const ties = lines.flatMap((line) => this.tiesOf(line));
    const fixed = lines.flatMap((line) => this.fixedOf(line));
    const rails = lines.flatMap((line) => this.railOf(line) ?? []);
    const rafters = lines.flatMap((line) => this.raftersOf(line) ?? []);
    const braces = this.bracesOf();
    const diagonals = this.diagonalsOf();
    const downs = this.downs();
    for (const [s, { give }] of this.rides) this.askGive(s, give);
    const columns = this.stacks.map((stack, s): SwayColumn => ({
      id: stack.pieces.map(({ beam }) => beam.mark).join(' + '),
      x: stack.foot.x,
      y: stack.foot.y,
      stiffness: this.ground.context.rules.steel.modulus * Math.min(...stack.pieces.map((one) => sectionOf(one).iWeak)),
      ways: this.waysOf(stack),
      canStand: 'support' in stack.on && canStand(stack.on.support),
      rides: this.rides.get(s)?.spot ?? null,
      nodes: stack.heights.map((z, n) => ({ z, down: downs[s]![n]! })),
    }));
    return {
      of: this.ground.context.plan.structure,
      frame: {
        columns,
        ties: ties.map(({ tie }) => tie),
        braces: [...braces.map(({ sway }) => sway), ...fixed, ...diagonals.map(({ sway }) => sway)],
        rails: rails.map(({ rail }) => rail),
        rafters: rafters.map(({ sway }) => sway),
      },
      stacks: this.stacks,
      rides: new Map([...this.rides].map(([s, { spot }]) => [s, spot])),
      braces: braces.map(({ brace, drags }) => ({ brace, drags })),
      diagonals: { from: braces.length + fixed.length, all: diagonals.map(({ diagonal, drags }) => ({ diagonal, drags })) },
      presses: [
        ...braces.flatMap(({ presses }, brace) => presses.map((one) => ({ ...one, brace }))),
        ...diagonals.flatMap(({ presses }, i) => presses.map((one) => ({ ...one, brace: braces.length + fixed.length + i }))),
      ],
      ties: ties.map(({ joints }) => ({ joints })),
      rails: rails.map(({ portal }) => portal),
      rafters: rafters.map(({ portal }) => portal),
      push: (way, pressure, lean) => this.push(way, pressure, lean, downs),
    };
  }

  /** How stiff a column is against leaning along x and along y, where all of its pieces are said to stand square to them. */
  private waysOf({ pieces }: Stack): { x: number; y: number } | null {
    const ways = pieces.map((one) => {
      const along = webAlong(one);
      const { iStrong, iWeak } = sectionOf(one);
      return along === null ? null : { x: along === 'x' ? iStrong : iWeak, y: along === 'y' ? iStrong : iWeak };
    });
    if (ways.includes(null)) return null;
    const { modulus } = this.ground.context.rules.steel;
    return { x: modulus * Math.min(...ways.map((one) => one!.x)), y: modulus * Math.min(...ways.map((one) => one!.y)) };
  }

  /** A level beam between two columns that keeps its angle to one or both: what it does as the columns lean. */
  private railOf(line: Line): { rail: SwayRail; portal: Portal } | null {
    const [a, b] = this.holds.get(line) ?? [];
    const answer = line.answers?.[this.which];
    if (!a?.joint || !b?.joint || !answer?.stable || !isPortal(this.ground, line, this.moment)) return null;
    const [first, last] = [line.spans[0]!, line.spans.at(-1)!];
    const length = last.to - first.from;
    const [one, other] = [a.spot[0]!, b.spot[0]!];
    const [foot, next] = [this.stacks[one.column]!.foot, this.stacks[other.column]!.foot];
    // Two columns drawn at one place are asked about where they are joined.
    if (Math.hypot(foot.x - next.x, foot.y - next.y) < NEAR) return null;
    const keeps = { a: keepsAngle(a.joint.joint, this.moment), b: keepsAngle(b.joint.joint, this.moment) };
    const stiffness = this.ground.context.rules.steel.modulus * sectionOf(this.settled(first.id)).iStrong;
    // How its ends slope while they turn freely says what would hold them still.
    const [{ left }, { right }] = [answer.pieces.get(first.id)!, answer.pieces.get(last.id)!];
    const chord = (right.height - left.height) / length;
    const [down, up] = [chord - left.slope, right.slope - chord];
    const unit = (2 * stiffness) / length;
    const end = (hold: Hold, which: 'a' | 'b') => ({ joint: hold.joint!.joint, stack: hold.spot[0]!.column, keeps: keeps[which] });
    return {
      rail: {
        id: `${a.joint.joint.id} ${b.joint.joint.id}`,
        a: { column: one.column, node: one.node },
        b: { column: other.column, node: other.node },
        stiffness,
        keeps,
        ends: { a: unit * (2 * down - up), b: unit * (2 * up - down) },
      },
      portal: { line, length, ends: { a: end(a, 'a'), b: end(b, 'b') } },
    };
  }

  /** Rafters between two columns: how they push those apart, and what they do as the columns lean. */
  private raftersOf(line: Line): { sway: SwayRafters; portal: Portal } | null {
    if (line.bent === null) return null;
    const { rafters, gives } = line.bent[this.which];
    const [a, b] = this.holds.get(line) ?? [];
    if (!a?.joint || !b?.joint || a.spot[0]!.column === b.spot[0]!.column) return null;
    const [one, other] = [a.spot[0]!, b.spot[0]!];
    const [foot, next] = [this.stacks[one.column]!.foot, this.stacks[other.column]!.foot];
    if (Math.hypot(foot.x - next.x, foot.y - next.y) < NEAR) return null;
    const whole = line.spans.at(-1)!.to;
    const keeps = { a: keepsAngle(a.joint.joint, this.moment) && a.x <= NEAR, b: keepsAngle(b.joint.joint, this.moment) && whole - b.x <= NEAR };
    const end = (hold: Hold, which: 'a' | 'b') => ({ joint: hold.joint!.joint, stack: hold.spot[0]!.column, keeps: keeps[which] });
    return {
      sway: {
        id: `${a.joint.joint.id} ${b.joint.joint.id}`,
        a: { column: one.column, node: one.node },
        b: { column: other.column, node: other.node },
        keeps,
        legs: rafters.legs.map(({ piece: _, ...leg }) => leg),
        pin: rafters.pin,
        gives,
      },
      portal: { line, length: rafters.legs.at(-1)!.to - rafters.legs[0]!.from, ends: { a: end(a, 'a'), b: end(b, 'b') } },
    };
  }

  private settled(id: string): SettledBeam & { place: Placed } {
    const found = this.ground.beams.get(id)!;
    if (!found.place) return ask('beam', found.beam, found.beam.mark, 'frame.sway', `Where is ${found.beam.mark} to be? Give the places of its two ends.`);
    return found as SettledBeam & { place: Placed };
  }

  private askOf(id: string): void {
    const one = this.settled(id);
    const { mark } = one.beam;
    if (one.section instanceof Missing) ask('beam', one.beam, mark, 'frame.sway', `What is ${mark} made of? Wind on it and how it bends depend on it.`);
    const line = this.ground.latest.get(id);
    if (!line || line.asked !== null) ask('beam', one.beam, mark, 'frame.sway', line?.asked ?? `What ${mark} carries is not known.`);
  }

  /** Columns that stand on a support, with those spliced on top of them. */
  private findStacks(): void {
    const { by } = this.ground;
    for (const id of this.columns) {
      const first = this.settled(id);
      const seat = (by.seats.get(id) ?? []).find(({ support, at }) => Math.abs(at - footOf(first.place)) < NEAR && standsAt(this.moment, support.id));
      const joint = seat ? undefined : this.footJoint(first);
      if (!seat && !joint) continue;
      const pieces = [first];
      for (let top = first; ;) {
        const joint = (by.joints.get(top.beam.id) ?? []).find(
          ({ joint, at, other }) =>
            joint.kind === 'splice' && Math.abs(at - headOf(top.place)) < NEAR && isMade(jointAt(this.moment, joint.id)) && this.isSet(other),
        );
        // Two heads joined to each other go no higher: that they do not meet as drawn is asked of the joint.
        if (!joint || pieces.some(({ beam }) => beam.id === joint.other)) break;
        const stiff = isStiff(joint.joint, this.moment);
        if (stiff === null)
          ask('joint', joint.joint, joint.joint.name, 'frame.sway', `How many holes has ${joint.joint.name}, and how many of them are filled?`);
        if (!stiff)
          ask(
            'joint',
            joint.joint,
            joint.joint.name,
            'frame.sway',
            `${joint.joint.name} is filled to less than half: what the column does sideways there is not worked out. Who has checked it?`,
          );
        top = this.settled(joint.other);
        pieces.push(top);
      }
      const [foot] = ends(first.place);
      const stands = seat ? { on: { support: seat.support }, key: seat.key } : { on: { joint: joint! }, key: joint!.id };
      const stack: Stack = { pieces, foot, ...stands, heights: [], down: 0, light: 0 };
      for (const one of pieces) this.stackOf.set(one.beam.id, this.stacks.length);
      this.stacks.push(stack);
    }
    for (const id of this.columns)
      if (!this.stackOf.has(id)) {
        const { beam } = this.ground.beams.get(id)!;
        if (this.stacks.length > 0)
          ask(
            'beam',
            beam,
            beam.mark,
            'frame.sway',
            `${beam.mark} stands on no support: what it does to the frame sideways is not worked out here. Who has checked it?`,
          );
      }
  }

  /** The joint by which a column stands on a beam. */
  private footJoint({ beam, place }: SettledBeam & { place: Placed }): Joint | undefined {
    return (this.ground.by.joints.get(beam.id) ?? []).find(
      ({ joint, at, other }) =>
        joint.kind !== 'splice' &&
        joint.a.piece === beam.id &&
        Math.abs(at - footOf(place)) < NEAR &&
        isMade(jointAt(this.moment, joint.id)) &&
        this.isSet(other) &&
        !(this.ground.beams.get(other)?.place?.upright ?? false),
    )?.joint;
  }

  /** Where on the frame columns stand that stand on beams: those lower down first. */
  private findRides(): void {
    const riding = this.stacks.flatMap(({ on, foot }, s) => ('joint' in on ? [{ s, z: foot.z, ...on }] : []));
    for (const { s, joint } of riding.sort((a, b) => a.z - b.z)) {
      const reach = this.reach(joint.b.piece, joint.b.at);
      if (reach === null) {
        const { beam } = this.stacks[s]!.pieces[0]!;
        const { mark } = this.settled(joint.b.piece).beam;
        ask('beam', beam, beam.mark, 'frame.sway', `${beam.mark} stands on ${mark}, which no column holds sideways. What keeps its foot from moving?`);
      } else this.rides.set(s, reach);
    }
  }

  /** A beam that gives sideways between its columns lets a foot on it move: only where it hardly does is that left out. */
  private askGive(s: number, give: number | null): void {
    const { pieces, down, heights, on } = this.stacks[s]!;
    if (give === null || !('joint' in on) || give > FEW * (down / heights[0]!)) return;
    const { beam } = pieces[0]!;
    const { mark } = this.settled(on.joint.b.piece).beam;
    ask(
      'beam',
      beam,
      beam.mark,
      'frame.sway',
      `${beam.mark} stands on ${mark} between its columns, and ${mark} gives sideways there. What holds it sideways under ${beam.mark}?`,
    );
  }

  private isSet(id: string): boolean {
    return beamAt(this.moment, id).where === 'set';
  }

  private heightOn(id: string, at: number): number {
    const stack = this.stacks[this.stackOf.get(id)!]!;
    return pointAt(this.settled(id).place, at).z - stack.foot.z;
  }

  /** Where beams, braces and column heads are, those near each other as one. */
  private findHeights(): void {
    const { by } = this.ground;
    const raw = this.stacks.map(({ pieces, foot }) => [Math.max(...pieces.flatMap(({ place }) => ends(place!).map(({ z }) => z - foot.z)))]);
    for (const [id, s] of this.stackOf) {
      for (const { joint } of by.joints.get(id) ?? [])
        if (joint.kind !== 'splice' && joint.b.piece === id && isMade(jointAt(this.moment, joint.id)) && this.isSet(joint.a.piece))
          raw[s]!.push(this.heightOn(id, joint.b.at));
      for (const { brace, at } of by.braces.get(id) ?? []) if (braceAt(this.moment, brace.id)) raw[s]!.push(this.heightOn(id, at));
    }
    raw.forEach((heights, s) => {
      const kept: number[] = [];
      for (const z of heights.filter((one) => one > AT_FOOT).sort((a, b) => a - b)) {
        // The higher of two that are near: it leans further.
        if (kept.length > 0 && z - kept.at(-1)! < NEAR) kept[kept.length - 1] = z;
        else kept.push(z);
      }
      const [{ beam }] = this.stacks[s]!.pieces as [SettledBeam];
      if (kept.length === 0) ask('beam', beam, beam.mark, 'frame.sway', `${beam.mark} is drawn no higher than its base. How long is it?`);
      this.stacks[s]!.heights = kept;
    });
  }

  private onColumn(id: string, at: number): Reach | null {
    const s = this.stackOf.get(id);
    if (s === undefined) return null;
    const z = this.heightOn(id, at);
    if (z <= AT_FOOT) return STILL;
    const { heights } = this.stacks[s]!;
    const near = heights.reduce((best, one, n) => (Math.abs(one - z) < Math.abs(heights[best]! - z) ? n : best), 0);
    return { spot: [{ column: s, node: near, share: 1 }], give: null };
  }

  private alongLine(line: Line, id: string, at: number): number {
    const span = line.spans.find((one) => one.id === id)!;
    return span.flipped ? span.to - at : span.from + at;
  }

  /** Where a line meets columns, one after the other. */
  private holdsOf(line: Line): Hold[] {
    const { by } = this.ground;
    const found: Hold[] = [];
    for (const { id } of line.spans)
      for (const { joint, at } of by.joints.get(id) ?? []) {
        if (joint.kind === 'splice' || joint.a.piece !== id || !isMade(jointAt(this.moment, joint.id)) || !this.stackOf.has(joint.b.piece)) continue;
        const spot = this.onColumn(joint.b.piece, joint.b.at)?.spot ?? [];
        if (spot.length > 0)
          found.push({ x: this.alongLine(line, id, at), spot, joint: { joint, brings: Math.abs(line.carried[this.which].get(joint.id) ?? 0) } });
      }
    return found.sort((a, b) => a.x - b.x);
  }

  /** A place on a beam that two columns hold: between them, by the lever; null: no column holds it. */
  private onBeam(id: string, at: number, deep = 0): Reach | null {
    const line = this.ground.latest.get(id);
    if (!line || line.spans.length === 0) return null;
    const holds = this.holds.get(line) ?? [];
    const x = this.alongLine(line, id, at);
    const exact = holds.find((one) => Math.abs(one.x - x) < NEAR);
    if (exact) return { spot: exact.spot, give: null };
    const right = holds.findIndex((one) => one.x > x);
    if (right > 0) {
      const [a, b] = [holds[right - 1]!, holds[right]!];
      const share = (x - a.x) / (b.x - a.x);
      const stiff = this.ground.context.rules.steel.modulus * sectionOf(this.settled(id)).iWeak;
      return { spot: mixed(a.spot, 1 - share, b.spot, share), give: (3 * stiff * (b.x - a.x)) / ((x - a.x) ** 2 * (b.x - x) ** 2) };
    }
    // A beam between two girders hands on to them.
    if (deep > 3) return null;
    const ends = this.carriers(line, deep);
    if (ends.length === 2 && x >= ends[0]!.x && x <= ends[1]!.x && ends[1]!.x > ends[0]!.x) {
      const share = (x - ends[0]!.x) / (ends[1]!.x - ends[0]!.x);
      return { spot: mixed(ends[0]!.spot, 1 - share, ends[1]!.spot, share), give: null };
    }
    const [nearest] = [...ends].sort((a, b) => Math.abs(a.x - x) - Math.abs(b.x - x));
    return nearest ? { spot: nearest.spot, give: null } : null;
  }

  /** The first and the last place where a line hangs on beams or columns of the frame. */
  private carriers(line: Line, deep: number): { x: number; spot: SwaySpot }[] {
    const known = (this.hung[deep] ??= new Map());
    let found = known.get(line);
    if (!found) known.set(line, (found = this.hangsOn(line, deep)));
    return found;
  }

  private hangsOn(line: Line, deep: number): { x: number; spot: SwaySpot }[] {
    const found = line.spans.flatMap(({ id }) =>
      (this.ground.by.joints.get(id) ?? []).flatMap(({ joint, at }) => {
        if (joint.kind === 'splice' || joint.a.piece !== id || !isMade(jointAt(this.moment, joint.id))) return [];
        const spot = this.reach(joint.b.piece, joint.b.at, deep + 1)?.spot ?? [];
        return spot.length === 0 ? [] : [{ x: this.alongLine(line, id, at), spot }];
      }),
    );
    found.sort((a, b) => a.x - b.x);
    return found.length > 2 ? [found[0]!, found.at(-1)!] : found;
  }

  private reach(id: string, at: number, deep = 0): Reach | null {
    if (!this.ground.beams.get(id)?.place?.upright) return this.onBeam(id, at, deep);
    // What comes in at a foot on a beam goes to what carries that.
    const rides = this.rides.get(this.stackOf.get(id) ?? -1);
    return rides && this.heightOn(id, at) <= AT_FOOT ? rides : this.onColumn(id, at);
  }

  /** Beams between columns, and beams from a column or girder to another girder. */
  private tiesOf(line: Line): { tie: SwayTie; joints: { joint: Joint; brings: number }[] }[] {
    // What is bent gives by its bending, and what is inclined holds along its slope.
    if (line.bent || line.beams.some((id) => diagonalOf(this.ground, id, this.moment))) return [];
    const { rules } = this.ground.context;
    const joints = line.spans.flatMap(({ id }) =>
      (this.ground.by.joints.get(id) ?? []).flatMap(({ joint, at }) => {
        if (joint.kind === 'splice' || joint.a.piece !== id || !isMade(jointAt(this.moment, joint.id))) return [];
        const reach = this.reach(joint.b.piece, joint.b.at);
        const brings = Math.abs(line.carried[this.which].get(joint.id) ?? 0);
        return reach === null || reach.spot.length === 0 ? [] : [{ x: this.alongLine(line, id, at), ...reach, joint: { joint, brings } }];
      }),
    );
    joints.sort((a, b) => a.x - b.x);
    const area = joints.length < 2 ? 1 : Math.min(...line.beams.map((id) => this.areaOf(id)));
    return joints.slice(1).flatMap((b, i) => {
      const a = joints[i]!;
      if (b.x - a.x < NEAR) return [];
      const gives = (b.x - a.x) / (rules.steel.modulus * area) + (a.give ? 1 / a.give : 0) + (b.give ? 1 / b.give : 0);
      return [{ tie: { id: `${a.joint.joint.id} ${b.joint.joint.id}`, a: a.spot, b: b.spot, stiffness: 1 / gives }, joints: [a.joint, b.joint] }];
    });
  }

  private areaOf(id: string): number {
    const one = this.settled(id);
    const { area } = sectionOf(one);
    return Number.isFinite(area)
      ? area
      : ask('beam', one.beam, one.beam.mark, 'frame.sway', `What area do the chords of ${one.beam.mark} have together? It holds columns to each other.`);
  }

  /** A line that a pocket or a fixed seat keeps from moving along. */
  private fixedOf(line: Line): SwayBrace[] {
    return line.spans.flatMap(({ id }) =>
      (this.ground.by.seats.get(id) ?? []).flatMap(({ support, key }) => {
        if (support.along !== 'fixed' || !standsAt(this.moment, support.id)) return [];
        const near = this.carriers(line, 0)[0];
        const { along } = this.settled(id).place;
        return near ? [{ id: key, a: near.spot, b: null, towards: { ...along, z: 0 }, stiffness: FIRM, pullsOnly: false }] : [];
      }),
    );
  }

  private bracesOf(): { brace: Brace; sway: SwayBrace; drags: Drag[]; presses: Press[] }[] {
    const seen = new Set<string>();
    return this.members.flatMap((id) =>
      (this.ground.by.braces.get(id) ?? []).flatMap(({ brace }) => {
        if (seen.has(brace.id) || brace.stops === 'twist' || !braceAt(this.moment, brace.id)) return [];
        seen.add(brace.id);
        if (!this.isSet(brace.a.piece) || (brace.b && !this.isSet(brace.b.piece))) return [];
        const one = this.braceOf(brace);
        return one ? [one] : [];
      }),
    );
  }

  private braceOf(brace: Brace): { brace: Brace; sway: SwayBrace; drags: Drag[]; presses: Press[] } | null {
    const { name } = brace;
    const a = this.reach(brace.a.piece, brace.a.at);
    const b = brace.b ? this.reach(brace.b.piece, brace.b.at) : STILL;
    // What ends at a piece of another frame, or at one that no column holds, is not counted.
    if (a === null || b === null || (a.spot.length === 0 && b.spot.length === 0)) return null;
    let towards: Point;
    if (brace.b) {
      const [from, to] = [pointAt(this.settled(brace.a.piece).place, brace.a.at), pointAt(this.settled(brace.b.piece).place, brace.b.at)];
      const long = Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z);
      if (long < NEAR) return null;
      towards = { x: (to.x - from.x) / long, y: (to.y - from.y) / long, z: (to.z - from.z) / long };
    } else {
      const { towardsDeg } = brace;
      const slopeDeg = brace.slopeDeg ?? null;
      if (towardsDeg === null) return ask('brace', brace, name, 'brace.towards', `Which way does ${name} pull, seen from above?`);
      if (slopeDeg === null) return ask('brace', brace, name, 'brace.slope', `How steep is ${name}, from the horizontal?`);
      const [turn, slope] = [(towardsDeg * Math.PI) / 180, (slopeDeg * Math.PI) / 180];
      towards = { x: Math.cos(turn) * Math.cos(slope), y: Math.sin(turn) * Math.cos(slope), z: -Math.sin(slope) };
    }
    if (Math.hypot(towards.x, towards.y) < 0.05) return null;
    if (brace.stiffness === null)
      return ask('brace', brace, name, 'brace.stiffness', `How stiff is ${name} along itself? How far the frame leans depends on it.`);
    const turned = a.spot.length === 0;
    const presses = [...this.pressAt(brace.a.piece, brace.a.at, towards.z), ...(brace.b ? this.pressAt(brace.b.piece, brace.b.at, -towards.z) : [])];
    const gives = 1 / brace.stiffness + presses.reduce((sum, one) => sum + this.beamGives(one), 0);
    return {
      brace,
      sway: {
        id: brace.id,
        a: turned ? b.spot : a.spot,
        b: turned || b.spot.length === 0 ? null : b.spot,
        towards: turned ? { x: -towards.x, y: -towards.y, z: -towards.z } : towards,
        stiffness: 1 / gives,
        pullsOnly: brace.kind === 'guy',
      },
      presses,
      drags: [...this.dragAt(brace.a.piece, a.spot, towards.z), ...(brace.b ? this.dragAt(brace.b.piece, b.spot, -towards.z) : [])],
    };
  }

  /** What pulls at a place pulls so much of itself up at the columns that hold it; at a foot, at what that column stands on. */
  private dragAt(piece: string, spot: SwaySpot, up: number): Drag[] {
    if (spot.length > 0) return spot.map(({ column, share }) => ({ stack: column, share: share * up }));
    const stack = this.stackOf.get(piece);
    return stack === undefined ? [] : [{ stack, share: up }];
  }

  /** Where what is fixed to a beam pulls it, between its rests. */
  private pressAt(piece: string, at: number, up: number): Press[] {
    const place = this.ground.beams.get(piece)?.place;
    return !place || place.upright || isInclined(place) || up === 0 ? [] : [{ piece, at, up }];
  }

  /** How far a beam gives along a brace that pulls it with a force of one [m/N]. */
  private beamGives({ piece, at, up }: Press): number {
    const between = betweenRests(this.ground, piece, at);
    return between ? up ** 2 * givesBy(between, this.ground.context.rules.steel.modulus * sectionOf(this.settled(piece)).iStrong) : 0;
  }

  /** Inclined pieces between two others: they pull, and push where they are stout enough. */
  private diagonalsOf(): { diagonal: Diagonal; sway: SwayBrace; drags: Drag[]; presses: Press[] }[] {
    return this.members.flatMap((id) => {
      const diagonal = diagonalOf(this.ground, id, this.moment);
      if (!diagonal) return [];
      const { high, low, place } = diagonal;
      const [a, b] = [high, low].map((joint) => this.reach(joint.b.piece, joint.b.at)) as [Reach | null, Reach | null];
      // What ends at a piece that no column holds is not counted.
      if (a === null || b === null || a.spot.length === 0) return [];
      const [foot, head] = ends(place);
      const towards = { x: (foot.x - head.x) / place.length, y: (foot.y - head.y) / place.length, z: (foot.z - head.z) / place.length };
      const presses = [...this.pressAt(high.b.piece, high.b.at, towards.z), ...this.pressAt(low.b.piece, low.b.at, -towards.z)];
      const gives =
        place.length / (this.ground.context.rules.steel.modulus * this.areaOf(id)) +
        (a.give ? 1 / a.give : 0) +
        (b.give ? 1 / b.give : 0) +
        presses.reduce((sum, one) => sum + this.beamGives(one), 0);
      return [
        {
          diagonal,
          sway: { id, a: a.spot, b: b.spot.length === 0 ? null : b.spot, towards, stiffness: 1 / gives, pullsOnly: diagonal.pullsOnly },
          presses,
          drags: [...this.dragAt(high.b.piece, a.spot, towards.z), ...this.dragAt(low.b.piece, b.spot, -towards.z)],
        },
      ];
    });
  }

  /** What comes down at each node of each column, half of a piece at its head and half at its foot. */
  private downs(): number[][] {
    const { by, latest } = this.ground;
    const times = this.which === 'factored' ? this.ground.context.rules.value('loadFactor') : 1;
    const downs = this.stacks.map(({ heights }) => heights.map(() => 0));
    const put = (reach: Reach | null, force: number) => reach?.spot.forEach(({ column, node, share }) => (downs[column]![node]! += share * force));
    for (const [id] of this.stackOf) {
      const { heavy, place } = this.settled(id);
      if (heavy instanceof Missing) ask('beam', this.ground.beams.get(id)!.beam, this.ground.beams.get(id)!.beam.mark, 'frame.sway', heavy.questions.join(' '));
      else for (const at of [0, place.length]) put(this.onColumn(id, at), (heavy.total * times) / 2);
      for (const one of by.puts.get(id) ?? []) if (one.there(this.moment)) put(this.onColumn(id, one.at), one.force * times);
      for (const { joint, at } of by.joints.get(id) ?? [])
        if (joint.kind !== 'splice' && joint.b.piece === id && isMade(jointAt(this.moment, joint.id)) && this.isSet(joint.a.piece))
          put(this.onColumn(id, at), latest.get(joint.a.piece)?.carried[this.which].get(joint.id) ?? 0);
    }
    for (const stack of this.stacks) {
      const line = latest.get(stack.pieces[0]!.beam.id)!;
      stack.down = line.carried[this.which].get(stack.key) ?? 0;
      stack.light = line.carried.light.get(stack.key) ?? 0;
    }
    return downs;
  }

  /** What the wind finds of all pieces that run along one way, by the node where half of each comes in; read once for all winds. */
  private exposed(): Exposed[] {
    const found = new Map<string, Exposed>();
    for (const id of this.members) {
      const one = this.settled(id);
      const section = sectionOf(one);
      const { length, along, upright } = one.place;
      // How a column stands about its own axis is not said: its larger side is in the wind.
      const side = upright ? Math.max(section.depth, section.width) : section.depth;
      const diagonal = upright ? null : diagonalOf(this.ground, id, this.moment);
      const spots = diagonal
        ? [diagonal.low, diagonal.high].map(({ b }) => this.reach(b.piece, b.at)?.spot ?? [])
        : [0, length].map((at) => this.reach(id, at)?.spot ?? []);
      const way = upright ? null : along;
      const key = way === null ? '' : `${way.x} ${way.y}`;
      let same = found.get(key);
      if (!same) found.set(key, (same = { along: way, areas: this.stacks.map(({ heights }) => new Float64Array(heights.length)) }));
      for (const spot of spots) for (const { column, node, share } of spot) same.areas[column]![node]! += (share * side * length) / 2;
    }
    return [...found.values()];
  }

  private push(way: { x: number; y: number }, pressure: number, lean: number, downs: readonly (readonly number[])[]): SwayLoad {
    this.inWind ??= this.exposed();
    const finds = this.inWind.map(({ along, areas }) => ({ areas, by: pressure * (along === null ? 1 : Math.abs(along.x * way.y - along.y * way.x)) }));
    return downs.map((nodes, column) =>
      nodes.map((down, node) => {
        let force = lean * down;
        for (const { areas, by } of finds) force += by * areas[column]![node]!;
        return { x: way.x * force, y: way.y * force };
      }),
    );
  }
}

/** Areas that the wind finds of pieces along one way (null: of columns), by column and node [m²]. */
interface Exposed {
  along: { x: number; y: number } | null;
  areas: Float64Array[];
}

const canStand = ({ kind, anchors, holdsMoment }: Support): boolean =>
  kind === 'anchors' ? anchors !== null && anchors.count >= 2 : (holdsMoment ?? null) !== null;
/** Along which of x and y the web of a column runs; null: neither, or nobody says. */
export function webAlong({ beam }: SettledBeam): 'x' | 'y' | null {
  const { webDeg } = beam;
  if (webDeg === undefined || webDeg === null) return null;
  const off = ((webDeg % 180) + 180) % 180;
  if (Math.min(off, 180 - off) <= SQUARE) return 'x';
  return Math.abs(off - 90) <= SQUARE ? 'y' : null;
}
const sectionOf = ({ section }: SettledBeam) => section as Exclude<SettledBeam['section'], Missing>;
const footOf = ({ from, to, length }: Placed): number => (from.z <= to.z ? 0 : length);
const headOf = ({ from, to, length }: Placed): number => (from.z <= to.z ? length : 0);
const ends = (place: Placed): [Point, Point] => (place.from.z <= place.to.z ? [place.from, place.to] : [place.to, place.from]);
const mixed = (a: SwaySpot, partA: number, b: SwaySpot, partB: number): SwaySpot => [
  ...a.map((one) => ({ ...one, share: one.share * partA })),
  ...b.map((one) => ({ ...one, share: one.share * partB })),
];
