import type { LineAnswer, LineJoint, LinePiece, LineSupport } from '../../stage/line';
import type { Rules } from '../../rules/rule-sets';
import { hangsWith, loadOf as joinedLoad } from '../../document/joined';
import { isGiven } from '../../settle/section-strength';
import { Missing } from '../../verdict/missing';
import { answerOf } from '../../replay/answers';
import type { Brace, Joint, Move, Pick, Plan, PutLoad, Support } from '../../document/schema';
import { type Load, type SettledBeam } from '../../settle/model';
import { heightAt } from '../../document/place';
import { bentAt, flatOf, onSlope } from '../../settle/sloping';
import { inOnePlane, solveBent, type BentState } from './bent';
import { putsOf } from '../../replay/put-on';
import { beamAt, isMade, standsAt, jointAt, supportAt, type StructureMoment } from '../../replay/moment';
import { isStructureMove } from '../../replay/moves';
import { nightsOf, type Nights } from './nights';

/** The three ways a stage is solved: as it is, factored anew, and with the least that anybody says it weighs. */
export const cases = ['plain', 'factored', 'light'] as const;
export type LoadCase = (typeof cases)[number];

/** Pieces end to end through joints that pass something on, or one piece alone. */
export interface Line {
  /** the same for a line that carries and is carried as before and is only held otherwise */
  token: object;
  /** its pieces from one end to the other */
  beams: string[];
  /** where each lies along it; flipped: its first end is the further one */
  spans: { id: string; from: number; to: number; flipped: boolean }[];
  /** why no force can be given, if so */
  asked: string | null;
  answers: Record<LoadCase, LineAnswer> | null;
  /** by key of the seat (`support/n`) or of the joint that carries: upwards [N] */
  carried: Record<LoadCase, Map<string, number>>;
  /** of a line that is bent in one upright plane: what presses its seats apart */
  bent: Record<LoadCase, BentState> | null;
}

export interface StageChange {
  move: Move | null;
  /** number of the move, from 0 */
  at: number;
  moment: StructureMoment;
  /** the lines that are another after this move */
  lines: Line[];
}

/** Filled to this share of its holes a splice keeps its angle; under it, it is a pin. */
export const HALF = 0.5;

/** Whether a joint keeps the angle between its ends; null while nobody says how many holes it has. */
export function isStiff(joint: Joint, moment: StructureMoment): boolean | null {
  const state = jointAt(moment, joint.id);
  if (!isMade(state)) return false;
  if (joint.holes === null || state.bolts === null) return null;
  return state.pins + state.bolts >= HALF * joint.holes - 1e-9;
}

/** Whether a beam keeps its angle to the column: a joint the engineer gave a moment, with every hole of it filled and every bolt known to be tight. */
export function keepsAngle(joint: Joint, moment: StructureMoment): boolean {
  if (joint.kind !== 'onColumn' || joint.moment === null || joint.holes === null) return false;
  const state = jointAt(moment, joint.id);
  return isMade(state) && !state.untold && state.bolts !== null && state.bolts >= joint.holes;
}

interface Net {
  beams: Map<string, SettledBeam>;
  /** on loads in limit states, and E of the steel [Pa], both by the rule set */
  factor: number;
  modulus: number;
  /** place of each piece in the plan */
  order: Map<string, number>;
  joints: Map<string, Joint>;
  supports: Map<string, Support>;
  /** splices at each piece */
  splices: Map<string, Joint[]>;
  /** joints by which a piece hangs on another, by the piece that hangs and by the one that carries */
  hangs: Map<string, Joint[]>;
  carries: Map<string, Joint[]>;
  seats: Map<string, { key: string; support: Support; at: number }[]>;
  /** what may be put on each piece */
  puts: ReturnType<typeof putsOf>;
  loads: Map<string, PutLoad>;
  braces: Map<string, Brace>;
  picks: Map<string, Pick>;
  /** what hangs with a piece, spliced to it on the ground */
  with: (piece: string) => readonly string[];
  /** the pieces of each launch */
  launches: Map<string, string[]>;
}

function netOf(plan: Plan, beams: Map<string, SettledBeam>, rules: Rules): Net {
  const { structure, picks, launches = [] } = plan;
  const net: Net = {
    beams,
    factor: rules.value('loadFactor'),
    modulus: rules.steel.modulus,
    order: new Map(structure.pieces.map((one, i) => [one.id, i])),
    joints: new Map(),
    supports: new Map(),
    splices: new Map(),
    hangs: new Map(),
    carries: new Map(),
    seats: new Map(),
    puts: putsOf(plan),
    loads: new Map(structure.loads.map((one) => [one.id, one])),
    braces: new Map(structure.braces.map((one) => [one.id, one])),
    picks: new Map(picks.map((one) => [one.id, one])),
    with: (piece) => hangsWith(plan, piece),
    launches: new Map(launches.map(({ id, pieces }) => [id, pieces.map(({ piece }) => piece)])),
  };
  const push = <T>(map: Map<string, T[]>, key: string, one: T) => void (map.get(key)?.push(one) ?? map.set(key, [one]));
  for (const support of structure.supports) {
    net.supports.set(support.id, support);
    support.seats.forEach(({ piece, at }, n) => push(net.seats, piece, { key: `${support.id}/${n}`, support, at }));
  }
  for (const joint of structure.joints) {
    net.joints.set(joint.id, joint);
    if (joint.kind === 'splice') {
      push(net.splices, joint.a.piece, joint);
      push(net.splices, joint.b.piece, joint);
    } else {
      push(net.hangs, joint.a.piece, joint);
      push(net.carries, joint.b.piece, joint);
    }
  }
  return net;
}

const emptyCases = <T>(make: () => T): Record<LoadCase, T> => ({ plain: make(), factored: make(), light: make() });

/** Two ends further apart than this do not meet [m]. */
export const MEET = 0.06;

/** What a move made of the lines. */
export interface Taken {
  /** the lines that are another after it */
  lines: Line[];
  /** what the pieces of those lines were in before it; undefined: in none */
  was: ReadonlyMap<string, Line | undefined>;
  /** the angle a joint keeps from now on, or keeps no more */
  angle: { joint: string; keeps: number | null } | null;
}

/** The lines of the structure as the moves go. */
export class Stages {
  readonly lineOf = new Map<string, Line>();
  private readonly angles = new Map<string, number>();
  private readonly net: Net;
  readonly nights: Nights;

  constructor(plan: Plan, beams: Map<string, SettledBeam>, rules: Rules) {
    this.net = netOf(plan, beams, rules);
    this.nights = nightsOf(plan, (move) => touched(this.net, move));
  }

  /** The pieces a move may change the forces of, or what holds them. */
  touches(move: Move): readonly string[] {
    return this.nights.touched.get(move) ?? touched(this.net, move);
  }

  take(move: Move, moment: StructureMoment): Taken {
    const { net, lineOf, angles } = this;
    const was = new Map<string, Line | undefined>();
    const put = (id: string, line: Line | undefined): void => {
      if (!was.has(id)) was.set(id, lineOf.get(id));
      if (line) lineOf.set(id, line);
      else lineOf.delete(id);
    };
    const dirty = this.touches(move);
    if (move.kind === 'brace.fix' || move.kind === 'brace.free' || move.kind === 'day.end') {
      // A brace changes how a line is held, and by its weight what it carries: the same line, newly looked at, and what it rests on. So
      // is what stands when a day ends, which the night changes nothing of but the wind.
      const solved = move.kind !== 'day.end' && net.braces.get(move.brace)!.mass ? resolve(net, moment, dirty, lineOf, put, angles) : [];
      const held = [...new Set(dirty.flatMap((id) => lineOf.get(id) ?? []))].filter((line) => !solved.includes(line)).map((line) => ({ ...line }));
      for (const line of held) for (const id of line.beams) put(id, line);
      return { lines: [...solved, ...held], was, angle: null };
    }
    // The angle is held from the move on that fills enough holes; until then the ends turn about their pins.
    let angle: Taken['angle'] = null;
    if (move.kind === 'joint.make' && !angles.has(move.joint) && isStiff(net.joints.get(move.joint)!, moment))
      angle = { joint: move.joint, keeps: move.fit === 'drawn' ? 0 : angleNow(net.joints.get(move.joint)!, lineOf, net) };
    if (move.kind === 'joint.free') angle = { joint: move.joint, keeps: null };
    this.keepAngle(angle);
    return { lines: dirty.length === 0 ? [] : resolve(net, moment, dirty, lineOf, put, angles), was, angle };
  }

  /** The same move again, with what it made before. */
  again({ lines, was, angle }: Taken): void {
    this.keepAngle(angle);
    for (const id of was.keys()) this.lineOf.delete(id);
    for (const line of lines) for (const id of line.beams) this.lineOf.set(id, line);
  }

  /** The same forces again on lines that are held or judged otherwise. */
  anew({ lines, was, angle }: Taken): Taken {
    const taken = { lines: lines.map((line) => ({ ...line })), was: new Map([...was.keys()].map((id) => [id, this.lineOf.get(id)])), angle };
    this.again(taken);
    return taken;
  }

  private keepAngle(angle: Taken['angle']): void {
    if (angle?.keeps === null) this.angles.delete(angle.joint);
    else if (angle) this.angles.set(angle.joint, angle.keeps);
  }
}

/** The forces of the structure, move by move: what changed at each. */
export function forcesOf(plan: Plan, beams: Map<string, SettledBeam>, moments: readonly StructureMoment[], rules: Rules): { changes: StageChange[] } {
  const stages = new Stages(plan, beams, rules);
  const changes: StageChange[] = [];
  moments.forEach((moment, at) => {
    const move = plan.moves[at]!;
    if (!isStructureMove(move)) return;
    const { lines } = stages.take(move, moment);
    if (lines.length > 0) changes.push({ move, at, moment, lines });
  });
  return { changes };
}

function touched(net: Net, move: Move): readonly string[] {
  switch (move.kind) {
    case 'support.ready':
    case 'support.level':
    case 'support.strike':
      return [...new Set(net.supports.get(move.support)!.seats.map(({ piece }) => piece))];
    case 'piece.hang':
    case 'piece.letGo':
      return [
        ...new Set(
          [move.beam, ...net.with(move.beam)].flatMap((id) => [
            id,
            ...(net.carries.get(id) ?? []).map(({ a }) => a.piece),
            ...(net.hangs.get(id) ?? []).map(({ b }) => b.piece),
          ]),
        ),
      ];
    case 'joint.make':
    case 'joint.free': {
      const { a, b } = net.joints.get(move.joint)!;
      return [a.piece, b.piece];
    }
    case 'brace.fix':
    case 'brace.free': {
      const { a, b } = net.braces.get(move.brace)!;
      return b === null ? [a.piece] : [...new Set([a.piece, b.piece])];
    }
    case 'load.on':
    case 'load.off':
      return [net.loads.get(move.load)!.piece];
    case 'launch.lower':
      return net.launches.get(move.launch)!;
    default:
      return [];
  }
}

const inForce = (moment: StructureMoment, id: string): boolean => beamAt(moment, id).where === 'set';

/** All pieces of the line a piece is in now, from one end to the other. */
function chainOf(net: Net, moment: StructureMoment, start: string): { id: string; by: Joint | null }[] {
  const upright = (id: string): boolean => net.beams.get(id)?.place?.upright ?? false;
  if (upright(start)) return [{ id: start, by: null }];
  const next = (id: string, from: Joint | null): { id: string; by: Joint } | null => {
    for (const joint of net.splices.get(id) ?? []) {
      if (joint === from || !isMade(jointAt(moment, joint.id))) continue;
      const other = joint.a.piece === id ? joint.b.piece : joint.a.piece;
      if (inForce(moment, other) && !upright(other)) return { id: other, by: joint };
    }
    return null;
  };
  // Back to one end, then on to the other.
  let head = start;
  let by: Joint | null = null;
  const seen = new Set([start]);
  for (let step = next(head, by); step && !seen.has(step.id); step = next(head, by)) {
    head = step.id;
    by = step.by;
    seen.add(head);
  }
  const chain: { id: string; by: Joint | null }[] = [{ id: head, by: null }];
  const taken = new Set([head]);
  by = null;
  let at = head;
  for (;;) {
    const step: { id: string; by: Joint } | null = (net.splices.get(at) ?? []).reduce<{ id: string; by: Joint } | null>((found, joint) => {
      if (found || joint === by || !isMade(jointAt(moment, joint.id))) return found;
      const other = joint.a.piece === at ? joint.b.piece : joint.a.piece;
      return inForce(moment, other) && !taken.has(other) && !upright(other) ? { id: other, by: joint } : null;
    }, null);
    if (!step) return oneWay(net, chain);
    chain.push(step);
    taken.add(step.id);
    at = step.id;
    by = step.by;
  }
}

/** The same line runs the same way whoever asks: from the end that stands first in the plan. */
function oneWay(net: Net, chain: { id: string; by: Joint | null }[]): { id: string; by: Joint | null }[] {
  const [head, tail] = [chain[0]!.id, chain.at(-1)!.id];
  if (net.order.get(head)! <= net.order.get(tail)!) return chain;
  return chain.map((_, n) => ({ id: chain[chain.length - 1 - n]!.id, by: n === 0 ? null : chain[chain.length - n]!.by }));
}

/** What the right end leans more than the left before they are joined: as they lie, a hanging piece as straight as it is drawn. */
function angleNow(joint: Joint, lineOf: Map<string, Line>, net: Net): number {
  const slope = ({ piece, at }: Joint['a']): { slope: number; first: boolean } => {
    const line = lineOf.get(piece);
    const answer = line?.answers?.plain;
    const { place } = net.beams.get(piece)!;
    const first = place !== null && at < place.length / 2;
    const told = answer?.stable ? answer.pieces.get(piece) : undefined;
    return { slope: told ? (first ? told.left.slope : told.right.slope) : 0, first };
  };
  const [a, b] = [slope(joint.a), slope(joint.b)];
  return a.first && !b.first ? a.slope - b.slope : b.slope - a.slope;
}

function resolve(
  net: Net,
  moment: StructureMoment,
  dirty: readonly string[],
  lineOf: Map<string, Line>,
  put: (id: string, line: Line | undefined) => void,
  angles: Map<string, number>,
): Line[] {
  const changed = new Map<Line, true>();
  const waiting = [...dirty];
  for (let turn = 0; waiting.length > 0 && turn < 20000; turn += 1) {
    const id = waiting.shift()!;
    const old = lineOf.get(id);
    if (!inForce(moment, id)) {
      if (old) {
        put(id, undefined);
        waiting.push(...old.beams.filter((one) => one !== id && lineOf.get(one) === old));
      }
      continue;
    }
    const chain = chainOf(net, moment, id);
    const line = lineFrom(net, moment, chain, lineOf, angles);
    // A line that fell apart leaves its other pieces to be solved too.
    if (old) waiting.push(...old.beams.filter((one) => !line.beams.includes(one) && lineOf.get(one) === old));
    const same = old !== undefined && sameLine(old, line);
    for (const one of line.beams) {
      const other = lineOf.get(one);
      if (other && changed.has(other)) changed.delete(other);
      put(one, line);
    }
    changed.set(line, true);
    if (!same && net.beams.get(id)?.place?.upright)
      for (const joint of net.splices.get(id) ?? [])
        if (isMade(jointAt(moment, joint.id)))
          waiting.push(...[joint.a.piece, joint.b.piece].filter((one) => one !== id && inForce(moment, one) && lower(net, one, id)));
    if (!same)
      for (const one of line.beams)
        for (const joint of net.hangs.get(one) ?? []) if (isMade(jointAt(moment, joint.id)) && inForce(moment, joint.b.piece)) waiting.push(joint.b.piece);
  }
  return [...changed.keys()];
}

/** Whether one piece stands lower than another. */
const lower = (net: Net, one: string, than: string): boolean => (net.beams.get(one)?.place?.from.z ?? 0) < (net.beams.get(than)?.place?.from.z ?? 0);

const sameLine = (a: Line, b: Line): boolean =>
  a.asked === b.asked && cases.every((one) => a.answers?.[one] === b.answers?.[one]) && a.beams.join() === b.beams.join();

/** One line as it stands, solved. */
function lineFrom(
  net: Net,
  moment: StructureMoment,
  chain: readonly { id: string; by: Joint | null }[],
  lineOf: Map<string, Line>,
  angles: Map<string, number>,
): Line {
  const line: Line = { token: {}, beams: chain.map(({ id }) => id), spans: [], asked: null, answers: null, carried: emptyCases(() => new Map()), bent: null };
  const ask = (question: string): Line => ({ ...line, asked: question });
  const pieces: { beam: SettledBeam; from: number; to: number; flipped: boolean }[] = [];
  const joints: LineJoint[] = [];
  for (const [n, { id, by }] of chain.entries()) {
    const beam = net.beams.get(id)!;
    const { place } = beam;
    if (!place) return ask(`Where is ${beam.beam.mark} to be? Give the places of its two ends.`);
    if (place.upright) return column(net, moment, line, beam, lineOf);
    if (n === 0) {
      // The first end of a chain is the one that meets nothing.
      const next = chain[1]?.by;
      const spot = next ? (next.a.piece === id ? next.a : next.b) : null;
      const flipped = spot !== null && spot.at < place.length / 2;
      pieces.push({ beam, from: 0, to: place.length, flipped });
      continue;
    }
    const spot = by!.a.piece === id ? by!.a : by!.b;
    const stiff = isStiff(by!, moment);
    if (stiff === null) return ask(`How many holes has ${by!.name}, and how many of them are filled?`);
    const start = pieces[n - 1]!.to;
    joints.push({ x: start, angle: stiff ? (angles.get(by!.id) ?? 0) : null });
    pieces.push({ beam, from: start, to: start + place.length, flipped: spot.at > place.length / 2 });
  }
  const placed = pieces.map(({ beam, flipped }) => ({ place: beam.place!, flipped }));
  const bent = bentAt(placed);
  const on = pieces.map(({ beam, from, to, flipped }) => ({ place: beam.place!, from, to, flipped }));
  const meet = () => [pieces[bent! - 1]!, pieces[bent!]!].map(({ beam }) => beam.beam.mark).join(' and ');
  if (bent !== null && !inOnePlane(on))
    return ask(`${meet()} are joined end to end and do not lie in one upright plane: what twists such a line is not worked out here. Who has checked it?`);
  const flat = bent === null ? flatOf(placed[0]!.place) : 1;
  const run = (which: LoadCase): { answer: LineAnswer; carried: Map<string, number>; bent: BentState | null } | string => {
    const seats: LineSupport[] = [];
    const line: LinePiece[] = [];
    const times = which === 'factored' ? net.factor : 1;
    const pulls = pieces.flatMap((main) => hookPulls(net, moment, pieces, main, which, times));
    for (const { beam, from, to, flipped } of pieces) {
      const { section, beam: one } = beam;
      const place = beam.place!;
      const load = which === 'light' ? beam.light : beam.heavy;
      if (load instanceof Missing) return load.questions.join(' ');
      if (section instanceof Missing) return section.questions.join(' ');
      const spot = (at: number) => (flipped ? to - Math.min(at, place.length) : from + Math.min(at, place.length));
      const hung = (net.carries.get(one.id) ?? []).filter(({ id, a }) => isMade(jointAt(moment, id)) && inForce(moment, a.piece));
      const loads = load.points.map(({ x, force }) => ({ x: spot(x), force: force * times }));
      // What is put on is there or not: for what weight holds down it is left out.
      if (which !== 'light') for (const put of net.puts.get(one.id) ?? []) if (put.there(moment)) loads.push({ x: spot(put.at), force: put.force * times });
      for (const joint of hung) {
        const above = lineOf.get(joint.a.piece);
        const force = above?.carried[which].get(joint.id);
        if (force === undefined) return `What ${net.beams.get(joint.a.piece)!.beam.mark} brings to ${one.mark} at ${joint.name} is not known.`;
        loads.push({ x: spot(joint.b.at), force });
      }
      for (const { on, x, force } of pulls) if (on === one.id) loads.push({ x, force: -force });
      line.push({ id: one.id, from, to, stretches: [{ to, stiffness: (net.modulus * section.iStrong) / flat ** 2, load: load.perLength * times }], loads });
      for (const { key, support, at } of net.seats.get(one.id) ?? []) {
        if (!standsAt(moment, support.id)) continue;
        const drawn = heightAt(place, at);
        const level = supportAt(moment, support.id).level ?? support.measured?.level ?? support.level ?? drawn;
        seats.push({ id: key, x: inside(spot(at), from, to, pieces), level: level - drawn, spring: support.spring, tie: support.holdsDown !== null });
      }
      for (const joint of net.hangs.get(one.id) ?? [])
        if (isMade(jointAt(moment, joint.id)) && inForce(moment, joint.b.piece))
          seats.push({ id: joint.id, x: inside(spot(joint.a.at), from, to, pieces), level: 0, spring: null, tie: joint.kind !== 'seat' });
    }
    const rigid = pieces.find(({ beam: { section } }) => !(section instanceof Missing) && isGiven(section));
    if (rigid && (pieces.length > 1 || seats.length > 2))
      return `${rigid.beam.beam.mark} is no section, and how stiff it is is not known: what each of more than two supports carries, or what a splice feels, is not worked out here. Who has?`;
    const stood = apart(seats);
    if (bent === null) {
      const answer = answerOf(line, stood, joints);
      return { answer, carried: answer.stable ? answer.reactions : new Map(), bent: null };
    }
    const solved = solveBent(on, line, stood, joints, columns);
    if (!('asked' in solved)) return { ...solved, carried: solved.answer.stable ? solved.answer.reactions : new Map() };
    return solved.asked === 'seats'
      ? `${meet()} are bent, with a column between two others or more than one pin: what presses those apart is not worked out here. Who has checked it?`
      : `${meet()} are bent, and their outer seats or the pin between them are of such heights: what presses those apart is not worked out here. Who has checked it?`;
  };

  /** joints by which it hangs, those of them bolted to columns, which can hold it together, and seats that keep it along */
  const hung = pieces.flatMap(({ beam }) => net.hangs.get(beam.beam.id) ?? []).filter(({ id, b }) => isMade(jointAt(moment, id)) && inForce(moment, b.piece));
  const columns = new Set(hung.filter(({ kind, b }) => kind !== 'seat' && net.beams.get(b.piece)?.place?.upright).map(({ id }) => id));
  const fixed = pieces.flatMap(({ beam }) =>
    (net.seats.get(beam.beam.id) ?? []).filter(({ support }) => support.along === 'fixed' && standsAt(moment, support.id)),
  );
  if (bent !== null && columns.size < 2 && hung.length + fixed.length > 1)
    return ask(
      `${meet()} are bent, and more than one seat keeps them from moving along: what presses those apart is worked out between two columns only. Who has checked it?`,
    );
  const answers: Partial<Record<LoadCase, LineAnswer>> = {};
  const carried = emptyCases(() => new Map<string, number>());
  const states: Partial<Record<LoadCase, BentState>> = {};
  for (const which of cases) {
    const done = which === 'factored' && net.factor === 1 ? null : run(which);
    if (typeof done === 'string') return ask(done);
    answers[which] = done ? onSlope(done.answer, flat) : answers.plain!;
    carried[which] = done?.carried ?? carried.plain;
    const state = done ? done.bent : states.plain;
    if (state) states[which] = state;
  }
  return {
    ...line,
    bent: states.plain && states.factored && states.light ? (states as Record<LoadCase, BentState>) : null,
    spans: pieces.map(({ beam, from, to, flipped }) => ({ id: beam.beam.id, from, to, flipped })),
    answers: answers as Record<LoadCase, LineAnswer>,
    carried,
  };
}

/** Balance point of a piece from its first end. */
const balance = ({ make }: SettledBeam, { perLength, points, total }: Load): number =>
  (perLength * make.length * (make.length / 2) + points.reduce((sum, one) => sum + one.force * one.x, 0)) / total;

interface OnLine {
  beam: SettledBeam;
  from: number;
  to: number;
  flipped: boolean;
}

/** What a hook that still pulls a piece pulls, and where along the line: of pieces that hang as one, all of them. */
function hookPulls(
  net: Net,
  moment: StructureMoment,
  pieces: readonly OnLine[],
  main: OnLine,
  which: LoadCase,
  times: number,
): { on: string; x: number; force: number }[] {
  const { kept, pick: by } = beamAt(moment, main.beam.beam.id);
  if (kept <= 0) return [];
  const pick = by === undefined ? undefined : net.picks.get(by);
  const all = pick ? joinedLoad(pick) : [main.beam.beam.id];
  const held = pieces.filter(({ beam }) => all.includes(beam.beam.id));
  const [from, to] = [Math.min(...held.map((one) => one.from)), Math.max(...held.map((one) => one.to))];
  let [total, turning] = [0, 0];
  // What hangs with it in a line of its own takes its share of what the hook still pulls; that line itself is not eased by it.
  const beside = all.filter((id) => !held.some(({ beam }) => beam.beam.id === id));
  let apart = 0;
  for (const id of beside) {
    const one = net.beams.get(id);
    const load = which === 'light' ? one?.light : one?.heavy;
    if (!load || load instanceof Missing) return [];
    apart += load.total;
  }
  for (const one of held) {
    const load = which === 'light' ? one.beam.light : one.beam.heavy;
    if (load instanceof Missing) return [];
    const own = balance(one.beam, load);
    total += load.total;
    turning += load.total * (one.flipped ? one.to - own : one.from + own);
  }
  // Picks are told from the left end of the piece the pick is named for.
  const centre = main.flipped ? to - turning / total : turning / total - from;
  return pullsOf(pick, to - from, centre).map(({ x, share }) => {
    const at = main.flipped ? to - x : from + x;
    const on = held.find((one) => at >= one.from && at <= one.to) ?? main;
    return { on: on.beam.beam.id, x: at, force: share * Math.min((kept * total) / (total + apart), total * times) };
  });
}

/** Where a hook that eases off pulls a piece, and with what share: at its two pick points, or over its balance point where none are said. */
function pullsOf(pick: Pick | undefined, length: number, centre: number): { x: number; share: number }[] {
  if (pick && !pick.turned) {
    const [left, right] = [pick.left, length - pick.right];
    if (left < centre && centre < right)
      return [
        { x: left, share: (right - centre) / (right - left) },
        { x: right, share: (centre - left) / (right - left) },
      ];
  }
  return [{ x: centre, share: 1 }];
}

/** A seat exactly where two ends meet stands a millimetre under its own. */
function inside(x: number, from: number, to: number, pieces: readonly { from: number; to: number }[]): number {
  const meets = (edge: number) => pieces.filter((one) => Math.abs(one.from - edge) < 1e-9 || Math.abs(one.to - edge) < 1e-9).length > 1;
  if (Math.abs(x - from) < 1e-6 && meets(from)) return from + 1e-3;
  if (Math.abs(x - to) < 1e-6 && meets(to)) return to - 1e-3;
  return Math.min(Math.max(x, from), to);
}

/** Two seats under one spot stand a millimetre apart. */
function apart(seats: readonly LineSupport[]): LineSupport[] {
  const sorted = [...seats].sort((a, b) => a.x - b.x);
  return sorted.map((one, i) => (i > 0 && one.x - sorted[i - 1]!.x < 1e-6 ? { ...one, x: one.x - 1e-3 * i } : one));
}

/** A column: what comes into it goes down through it to what it stands on: a support, a column or a beam. */
function column(net: Net, moment: StructureMoment, line: Line, beam: SettledBeam, lineOf: Map<string, Line>): Line {
  const carried = emptyCases(() => new Map<string, number>());
  const place = beam.place!;
  const foot = place.from.z <= place.to.z ? 0 : place.length;
  const seat = (net.seats.get(beam.beam.id) ?? []).find(({ support, at }) => Math.abs(at - foot) < MEET && standsAt(moment, support.id));
  const below = (net.splices.get(beam.beam.id) ?? []).find((joint) => {
    const [own, other] = joint.a.piece === beam.beam.id ? [joint.a, joint.b] : [joint.b, joint.a];
    return Math.abs(own.at - foot) < MEET && isMade(jointAt(moment, joint.id)) && inForce(moment, other.piece);
  });
  const on = (net.hangs.get(beam.beam.id) ?? []).find(
    (joint) => Math.abs(joint.a.at - foot) < MEET && isMade(jointAt(moment, joint.id)) && inForce(moment, joint.b.piece),
  );
  for (const which of cases) {
    const load = which === 'light' ? beam.light : beam.heavy;
    if (load instanceof Missing) return { ...line, beams: [beam.beam.id], asked: load.questions.join(' ') };
    const times = which === 'factored' ? net.factor : 1;
    const own = load.total * times;
    let sum = own - Math.min(beamAt(moment, beam.beam.id).kept, own);
    if (which !== 'light') for (const put of net.puts.get(beam.beam.id) ?? []) if (put.there(moment)) sum += put.force * times;
    for (const joint of net.carries.get(beam.beam.id) ?? []) {
      if (!isMade(jointAt(moment, joint.id)) || !inForce(moment, joint.a.piece)) continue;
      const force = lineOf.get(joint.a.piece)?.carried[which].get(joint.id);
      if (force === undefined)
        return {
          ...line,
          beams: [beam.beam.id],
          asked: `What ${net.beams.get(joint.a.piece)!.beam.mark} brings to ${beam.beam.mark} at ${joint.name} is not known.`,
        };
      sum += force;
    }
    for (const joint of net.splices.get(beam.beam.id) ?? []) {
      if (joint === below || !isMade(jointAt(moment, joint.id))) continue;
      const other = joint.a.piece === beam.beam.id ? joint.b.piece : joint.a.piece;
      sum += lineOf.get(other)?.carried[which].get(joint.id) ?? 0;
    }
    carried[which].set(seat ? seat.key : (below?.id ?? on?.id ?? ''), sum);
  }
  const stands: LineAnswer =
    seat || below || on ? { stable: true, reactions: carried.plain, sagging: 0, hogging: 0, pieces: new Map(), residual: 0 } : { stable: false };
  return { ...line, beams: [beam.beam.id], answers: { plain: stands, factored: stands, light: stands }, carried };
}
