import type { Check, Verdict } from '../../verdict/check';
import type { Context } from '../context';
import { keepOne, sameThings } from '../../document/keep';
import { hangsWith, hungWith } from '../../document/joined';
import type { Move } from '../../document/schema';
import type { Step } from '../../replay/replay';
import { Stages, type Line, type StageChange, type Taken } from './forces';
import { holdsOf } from '../../replay/held';
import { holdRows } from './hold-rows';
import { hoodsOf, type Hood } from '../../replay/hoods';
import { settleBeams, type SettledBeam } from '../../settle/model';
import { windThen } from '../../settle/wind';
import { beamAt } from '../../replay/moment';
import { isStructureMove } from '../../replay/moves';
import { byMove, rowOver, rowsAt, rowsChanged, Said, verdictsAt, worstOf, type Fared, type Stand } from './worst';
import { bracingChecks } from './bracing';
import { fixedTwiceCheck, putLoadCheck, tippingCheck } from './tipping';
import { Sway } from './sway';
import { Unfinished } from './unfinished';
import { bundleChecks, joistChecks } from './joists';
import { deckingChecks } from './decking';
import { freeLengths, mostOf, strengths, type Ground, type Onward } from './ground';
import { lineChecks } from './line-checks';
import { seatChecks } from './seats';
import { postWebChecks, supportChecks, webChecks } from './supports';
import { releaseChecks, easedCheck, plumbCheck } from './release';
import { sharedBoltChecks } from './shared-bolts';
import { stillChecks } from './still';
import { leftOutOf } from './left-out';

export interface StructureAnswer {
  checks: Check[];
  /** how each check that is asked at many moves fared over them */
  fared: ReadonlyMap<Check, Fared>;
  /** how each move stands by all that is asked there, also where it is worse at another move */
  standing: Record<string, Verdict>;
  /** all that is asked at a move */
  at: () => (move: string) => Check[];
  /** of each move what is another than when it was last asked */
  changed: () => Map<string, Check[]>;
  /** one row over all the moves at which it is asked */
  over: (check: Check) => Stand[];
  changes: StageChange[];
  beams: Map<string, SettledBeam>;
  /** the most each support brings onto what it stands on, at any move */
  onward: Map<string, Onward>;
}

/** What the structure is asked, at every move it concerns, on the state of that move; one row a key, its worst move. */
export function structureChecks(context: Context): StructureAnswer {
  const { plan, rules, replayed } = context;
  const beams = settleBeams(plan, rules);
  const onward = new Map<string, Onward>();
  if (plan.structure.pieces.length === 0)
    return { checks: [], fared: new Map(), standing: {}, at: () => () => [], changed: () => new Map(), over: () => [], changes: [], beams, onward };
  const stages = new Stages(plan, beams, rules);
  const by = keepOne('holds', [plan.structure], () => holdsOf(plan));
  const ground: Ground = {
    context,
    beams,
    by,
    rows: new Said(),
    onward: [],
    nights: stages.nights,
    wind: windThen(plan, false),
    caution: rules.value('strengthCaution'),
    latest: stages.lineOf,
    freeOf: freeLengths(by),
    strengthOf: strengths(rules),
  };
  const run = new MoveByMove(ground, stages);
  const sides = new Sway(ground);
  const unfinished = new Unfinished(ground);
  const changes: StageChange[] = [];
  const told: { id: string; said: Said }[] = [];
  // What asks of the whole structure at once is asked anew; it keeps its own count as the moves go.
  const whole = new Said();
  replayed.steps.forEach((step, at) => {
    const { move, after } = step;
    if (!isStructureMove(move)) return;
    const { taken, said, onward: brought } = run.take(step, at);
    if (taken.lines.length > 0) changes.push({ move, at, moment: after.structure, lines: taken.lines });
    if (said.offers.length > 0) told.push({ id: move.id, said });
    for (const one of brought) onward.set(one.support, mostOf(onward.get(one.support) ?? one, one));
    unfinished.after(move, after.structure);
    sides.after(move, after.structure, taken.lines);
    ground.rows = whole;
    if (move.kind === 'piece.hang') for (const id of [move.beam, ...hungWith(plan, move)]) deckingChecks(ground, id, after.structure, move.id);
    if (move.kind === 'piece.letGo' && move.keeps === 0) {
      unfinished.check(move.id);
      sides.check(move.beam, move.id, after.structure, false, whole);
    }
    sides.push(move, after.structure, whole);
  });
  const end = replayed.steps.at(-1);
  if (end) {
    for (const head of sides.heads()) sides.check(head, end.move.id, end.after.structure, true, whole);
    sides.end(end.move, end.after.structure, whole);
  }
  const order = () => replayed.steps.map(({ move }) => move.id);
  const moves = keepOne('moves.byId', [plan.moves], () => new Map(plan.moves.map((move) => [move.id, move])));
  const rows = worstOf(told);
  const rest = worstOf([{ id: '', said: whole }]);
  return {
    checks: [
      ...rows.checks,
      ...rest.checks,
      ...holdRows(plan, moves, told, whole),
      ...stillChecks(ground),
      ...keepOne('shared.asked', [plan.structure.joints, plan.structure.pieces], () => sharedBoltChecks(ground)),
      ...leftOutOf(ground),
    ],
    fared: new Map([...rows.fared, ...rest.fared]),
    standing: verdictsAt(whole, told),
    at: () => {
      const at = byMove(whole, told);
      return (move) => rowsAt(at, move);
    },
    changed: () => rowsChanged(byMove(whole, told), order()),
    over: (check) => rowOver(byMove(whole, told), order(), check),
    changes,
    beams,
    onward,
  };
}

/** The moves that touched a piece so far, in their order: the same thing while they are the same moves. */
type Past = object;
const NONE: Past = {};
const pasts = new WeakMap<Move, WeakMap<Past, Past>>();
function pastAfter(past: Past, move: Move): Past {
  let of = pasts.get(move);
  if (!of) pasts.set(move, (of = new WeakMap()));
  let next = of.get(past);
  if (!next) of.set(past, (next = {}));
  return next;
}

/** What a move’s answer was worked out from: how a piece stood, by its line or, where it is in none or is touched itself, by its own past. */
interface Read {
  piece: string;
  line: Line | undefined;
  own: { hood: Hood | undefined; past: Past } | null;
}
interface Answer {
  own: readonly string[];
  taken: Taken;
  said: Said;
  onward: readonly Onward[];
  read: readonly Read[];
}

/**
 * The moves one after the other: forces, and what is asked at each. A move whose surroundings are the same as they were is answered
 * as it was. A line is another thing as soon as anything of it is another, so that to find the same line is to find the same past,
 * the same plan and the same loads of all its pieces.
 */
class MoveByMove {
  private readonly hoods: ReadonlyMap<string, Hood>;
  private readonly past = new Map<string, Past>();
  /** by what wind they were judged in */
  private readonly answers: { night: WeakMap<Move, Answer>; shift: WeakMap<Move, Answer> };

  constructor(
    private readonly ground: Ground,
    private readonly stages: Stages,
  ) {
    const { plan, rules } = ground.context;
    this.hoods = hoodsOf(plan);
    const winds = [rules, plan.site.standingGust ?? null, plan.site.forecastGust];
    this.answers = keepOne('structure.moves', winds, () => ({ night: new WeakMap<Move, Answer>(), shift: new WeakMap<Move, Answer>() }));
  }

  take({ move, after }: Step, at: number): Answer {
    const own = move.kind === 'beam.plumb' ? [move.beam] : this.stages.touches(move);
    for (const id of own) this.past.set(id, pastAfter(this.past.get(id) ?? NONE, move));
    const forShift = this.ground.nights.inShift.has(move);
    const answers = this.answers[forShift ? 'shift' : 'night'];
    const before = answers.get(move);
    // Which pieces a day touched is another thing when a move of it is.
    const known = before && sameThings(before.own, own) ? before : undefined;
    if (known?.read.every((one) => this.stillSo(one))) {
      this.stages.again(known.taken);
      return known;
    }
    const { ground, stages } = this;
    const taken = known?.read.every((one) => this.loadedSo(one)) ? stages.anew(known.taken) : stages.take(move, after.structure);
    const said = new Said(known?.said);
    ground.rows = said;
    ground.onward = [];
    ground.wind = windThen(ground.context.plan, forShift);
    ask(ground, { move, at, moment: after.structure, lines: taken.lines });
    said.done();
    const answer = { own, taken, said, onward: ground.onward, read: this.readBy(own, taken) };
    answers.set(move, answer);
    return answer;
  }

  private stillSo({ piece, line, own }: Read): boolean {
    if (this.stages.lineOf.get(piece) !== line) return false;
    return own === null || (this.hoods.get(piece) === own.hood && (this.past.get(piece) ?? NONE) === own.past);
  }

  /** Whether the forces are the same, whatever is asked of them. */
  private loadedSo({ piece, line, own }: Read): boolean {
    if (this.stages.lineOf.get(piece)?.token !== line?.token) return false;
    return own === null || (this.hoods.get(piece)?.forces === own.hood?.forces && (this.past.get(piece) ?? NONE) === own.past);
  }

  /** The pieces of the lines that changed, those beside them, and those beside the lines of these: as they were before the move. */
  private readBy(own: readonly string[], { lines, was }: Taken): Read[] {
    const { hoods, past, stages } = this;
    const seen = new Set<string>();
    const lineSeen = new Set<Line>();
    const read: Read[] = [];
    const before = (piece: string): Line | undefined => (was.has(piece) ? was.get(piece) : stages.lineOf.get(piece));
    const note = (piece: string, always: boolean): boolean => {
      if (seen.has(piece)) return false;
      seen.add(piece);
      const line = before(piece);
      if (line && !always) {
        if (!lineSeen.has(line)) read.push({ piece, line, own: null });
        lineSeen.add(line);
      } else read.push({ piece, line, own: { hood: hoods.get(piece), past: past.get(piece) ?? NONE } });
      return true;
    };
    for (const piece of own) note(piece, true);
    const core = new Set<string>([...own, ...was.keys(), ...lines.flatMap(({ beams }) => beams)]);
    for (const piece of core) note(piece, false);
    const beside = new Set<string>();
    for (const piece of core) for (const other of hoods.get(piece)?.others ?? []) if (!core.has(other)) beside.add(other);
    const linesBeside = new Set<Line>();
    for (const piece of beside) {
      note(piece, false);
      const line = stages.lineOf.get(piece);
      if (line) linesBeside.add(line);
    }
    for (const line of linesBeside) for (const piece of line.beams) for (const other of hoods.get(piece)?.others ?? []) note(other, false);
    return read;
  }
}

/** What is asked at a move, of the lines it changed and of the piece it is done to. */
function ask(ground: Ground, change: StageChange): void {
  const { move, moment } = change;
  if (!move) return;
  for (const line of change.lines) {
    bracingChecks(ground, line, moment, move.id);
    if (line.answers?.plain.stable) {
      tippingCheck(ground, line, moment, move.id);
      fixedTwiceCheck(ground, line, moment, move.id);
    }
    lineChecks(ground, line, change);
    supportChecks(ground, line, change);
    webChecks(ground, line, change);
    postWebChecks(ground, line, change);
    seatChecks(ground, line, change);
  }
  switch (move.kind) {
    case 'piece.letGo':
      if (move.keeps > 0) return easedCheck(ground, move, moment);
      for (const id of [move.beam, ...hangsWith(ground.context.plan, move.beam).filter((one) => beamAt(moment, one).with === move.beam)]) {
        releaseChecks(ground, id, change);
        joistChecks(ground, id, moment, move.id);
      }
      return;
    case 'load.on': {
      putLoadCheck(ground, move.load, change);
      const load = ground.context.plan.structure.loads.find((one) => one.id === move.load)!;
      return bundleChecks(ground, load, moment, move.id);
    }
    case 'beam.plumb':
      return plumbCheck(ground, move.beam, move.off, move.id);
    default:
  }
}
