import { keyOf, type Check } from '../verdict/check';
import { applyCommand } from './apply';
import type { Command } from './table';
import { listsOf, refsOf } from '../document/listed';
import { refsOfMove } from '../document/listed/moves';
import type { ListName } from '../document/listed/paths';
import type { Kind } from '../document/listed/thing';
import { evaluateWhole, type Whole } from '../evaluate';
import { standsOfPick } from '../document/lookups';
import { possibleMoves } from './move-offers';
import { moveWords } from '../settle/move-words';
import { needsOf } from '../replay/replay';
import type { Doing } from '../replay/now';
import type { Move, Plan } from '../document/schema';
import { settle } from '../settle/settle';
import { allStrikeGroups } from '../document/strike-groups';

/** What would make a stop or a question of the run sheet go away: said in words, done by one command. */
export interface Fix {
  words: string;
  command: Command;
}

interface Candidate extends Fix {
  /** of two that are alike in this the first that helps is enough: a splice filled in two goes */
  alike?: string;
}

/** So many changes of the run sheet are tried for one row, and no more: fewer where each takes longer. */
const TRIED = 10;
const triesFor = ({ moves, structure, pieces }: Plan): number =>
  Math.max(2, Math.min(TRIED, Math.floor(8000 / (moves.length + structure.pieces.length + pieces.length + 1))));
/** So many are offered: more is a list to be read, not a button. */
const OFFERED = 2;

/**
 * Changes of the run sheet that settle a row, each tried before it is offered: the plan with it has this row no more, or with less
 * lacking, and not one stop more. Those that leave the fewest stops come first.
 */
export function fixesOf(plan: Plan, whole: Whole, check: Check, today: string | null): Fix[] {
  if (check.verdict !== 'stop' && check.verdict !== 'missing') return [];
  const found: (Candidate & { stops: number; missing: number })[] = [];
  const most = triesFor(plan);
  let tried = 0;
  for (const candidate of new Sheet(plan, whole).candidates(check)) {
    if (tried >= most || found.filter(({ stops }) => stops === 0).length >= OFFERED) break;
    tried += 1;
    const changed = applyCommand(plan, candidate.command);
    if (!changed.ok) continue;
    const after = evaluateWhole(changed.plan, today);
    if (!settles(check, candidate.command, whole, after)) continue;
    const { stop, missing } = after.evaluation.counts;
    if (!found.some((one) => one.alike !== undefined && one.alike === candidate.alike && one.stops <= stop)) found.push({ ...candidate, stops: stop, missing });
  }
  found.sort((a, b) => a.stops - b.stops || a.missing - b.missing);
  return found.slice(0, OFFERED).map(({ words, command }) => ({ words, command }));
}

/** Whether a row is settled, or less is lacking for it, nothing else is stopped that was not, and what was moved may be made there. */
function settles(check: Check, command: Command, before: Whole, after: Whole): boolean {
  if (after.evaluation.counts.stop > before.evaluation.counts.stop) return false;
  const moved = command.name === 'shiftMove' ? command.args.id : command.name === 'addMove' ? command.args.move.id : null;
  if (moved !== null && moved !== check.move && after.evaluation.replay.steps.some(({ move, needs }) => move.id === moved && needs.some((need) => !need.done)))
    return false;
  const now = after.evaluation.checks.find((one) => keyOf(one) === keyOf(check));
  if (!now || now.verdict === 'clear' || now.verdict === 'tight') return true;
  return lackingIn(now) < lackingIn(check) || (check.verdict === 'stop' && now.verdict === 'missing');
}

const lackingIn = ({ finding }: Check): number =>
  finding.code === 'order' ? finding.lacking.length : finding.code === 'moves.lacking' ? finding.lacks.length : 0;

/** What a row asks to be done that no move does. */
const asked: Readonly<Record<string, (id: string, part: string) => readonly Doing[]>> = {
  'moves.beam': (beam) => [{ kind: 'piece.hang', beam }],
  'moves.letGo': (beam) => [{ kind: 'piece.letGo', beam }],
  'moves.plumb': (beam) => [{ kind: 'beam.plumb', beam }],
  'moves.support': (support) => [{ kind: 'support.ready', support }],
  'moves.strike': (id): Doing[] => [
    { kind: 'support.strike', support: id },
    { kind: 'shore.strike', step: id },
  ],
  'moves.joint': (joint) => [{ kind: 'joint.make', joint }],
  'moves.fill': (joint) => [{ kind: 'joint.make', joint }],
  'moves.leave': (stand) => [{ kind: 'crane.leave', stand }],
  'moves.brace': (brace) => [{ kind: 'brace.fix', brace }],
  'moves.load': (_, load) => [{ kind: 'load.on', load }],
  'moves.shore': (shore) => [{ kind: 'shore.set', shore }],
  'moves.line': (line) => [{ kind: 'line.open', line }],
  'moves.member': (opening) => [{ kind: 'member.set', opening }],
};

/** The steps of a piece on bearings in their order, of its seats, its pick and itself. */
function journey(plan: Plan, piece: string, pick: string): Doing[] {
  const seat = plan.pieces.find((one) => one.id === piece)?.seat;
  const lifting = plan.picks.find((one) => one.id === pick);
  return [
    ...(seat ? [seat.left, seat.right].map((bearing): Doing => ({ kind: 'bearing.ready', bearing })) : []),
    ...(lifting ? standsOfPick(lifting) : []).map((stand): Doing => ({ kind: 'crane.set', stand })),
    { kind: 'piece.deliver', piece },
    { kind: 'piece.sling', pick },
    { kind: 'pick.trial', pick },
    { kind: 'pick.lift', pick },
    { kind: 'piece.land', pick },
    { kind: 'end.bolt', piece, end: 'left' },
    { kind: 'end.bolt', piece, end: 'right' },
    { kind: 'hook.release', pick },
    { kind: 'piece.plumb', piece },
    { kind: 'piece.tighten', piece },
  ];
}

/** A run sheet and what could be changed in it. */
class Sheet {
  private readonly moves: readonly Move[];

  constructor(
    private readonly plan: Plan,
    private readonly whole: Whole,
  ) {
    this.moves = plan.moves;
  }

  /** What might settle a row, the likeliest first. */
  *candidates(check: Check): Generator<Candidate> {
    const { id, about, move } = check;
    // No order of moves signs a hold point.
    if (about.kind === 'hold') return;
    if (id === 'moves.complete') return yield* this.lacked(about.id, about.part ?? '');
    if (id === 'moves.trial') {
      const tries = this.plan.picks.filter((pick) => standsOfPick(pick).includes(about.id)).map((pick): Doing => ({ kind: 'pick.trial', pick: pick.id }));
      for (const doing of tries) yield* this.added(doing);
      return;
    }
    for (const doing of asked[id]?.(about.id, about.part ?? '') ?? []) yield* this.added(doing);
    const at = this.moves.findIndex((one) => one.id === move);
    if (at < 0) return;
    if (id === 'move.order') yield* this.ordered(at);
    else if (check.station === 'runSheet' || check.verdict === 'stop') yield* this.later(at);
  }

  /** A move whose needs are not met: what it needs is put before it, or it after that, or it is taken out. */
  private *ordered(at: number): Generator<Candidate> {
    const move = this.moves[at]!;
    const lacking = this.whole.evaluation.replay.steps[at]!.needs.filter((need) => !need.done);
    for (const { by, again } of lacking) {
      if (again) yield { words: `Take ${this.named(at)} out: it is done before`, command: { name: 'removeMove', args: { id: move.id } } };
      for (const doing of by ?? []) {
        const late = this.moves.findIndex((one, i) => i > at && this.does(one, doing));
        if (late >= 0) {
          yield { words: `Put ${this.named(late)} before move ${at + 1}`, command: { name: 'shiftMove', args: { id: this.moves[late]!.id, to: at } } };
          yield { words: `Put ${this.named(at)} after move ${late + 1}, ${this.title(late)}`, command: { name: 'shiftMove', args: { id: move.id, to: late } } };
        } else yield* this.insertedAt(doing, [at]);
      }
    }
  }

  /** What the structure does not bear at a move: the move is made after one that helps, or what nobody made is made before. */
  private *later(at: number): Generator<Candidate> {
    const move = this.moves[at]!;
    const near = this.near(move);
    const helps = this.moves.flatMap((one, i) => (i > at && HELPS.has(one.kind) && this.near(one).some((piece) => near.includes(piece)) ? [i] : []));
    for (const i of helps.filter((one) => MAKES.has(this.moves[one]!.kind)).slice(0, TRIED / 3))
      yield {
        words: `Put ${this.named(i)} before move ${at + 1}`,
        command: { name: 'shiftMove', args: { id: this.moves[i]!.id, to: at } },
        alike: `before ${doneBy(this.moves[i]!)}`,
      };
    for (const i of helps.slice(0, TRIED / 3))
      yield {
        words: `Put ${this.named(at)} after move ${i + 1}, ${this.title(i)}`,
        command: { name: 'shiftMove', args: { id: move.id, to: i } },
        alike: `after ${doneBy(this.moves[i]!)}`,
      };
    for (const offer of possibleMoves(this.plan))
      if (MAKES.has(offer.kind) && this.near(offer).some((piece) => near.includes(piece)) && !this.moves.some((one) => this.does(one, doingOf(offer))))
        yield this.insertion(offer, at);
  }

  /** A move nobody makes: before the first that needs it, else as soon as it may be made, else last. */
  private *added(doing: Doing): Generator<Candidate> {
    const { steps } = this.whole.evaluation.replay;
    const wanted = steps.findIndex(({ needs }) => needs.some((need) => need.by?.some((one) => sameDoing(one, doing))));
    const offer = this.offer(doing);
    if (!offer) return;
    const plan = settle(this.plan);
    const { before } = this.whole.evaluation.replay;
    const soonest = [before, ...steps.map(({ after }) => after)].findIndex((moment) => needsOf(plan, offer, moment).every((need) => need.done));
    const near = this.near(offer);
    const after = this.moves.flatMap((one, i) => (i + 1 > soonest && soonest >= 0 && this.near(one).some((piece) => near.includes(piece)) ? [i + 1] : []));
    yield* this.insertedAt(doing, [...(wanted >= 0 ? [wanted] : []), ...(soonest >= 0 ? [soonest] : []), this.moves.length, ...after.slice(0, TRIED / 2)]);
  }

  private *insertedAt(doing: Doing, places: readonly number[]): Generator<Candidate> {
    const offer = this.offer(doing);
    if (!offer) return;
    for (const at of new Set(places)) yield this.insertion(offer, at);
  }

  /** All that a piece still lacks on its way from the truck to its last bolt, in order; what is there stays where it is. */
  private *lacked(piece: string, pick: string): Generator<Candidate> {
    const lacks = journey(this.plan, piece, pick).filter((doing) => !this.moves.some((one) => this.does(one, doing)));
    if (lacks.length === 1) for (const doing of lacks) yield* this.added(doing);
    const offers = lacks.flatMap((doing) => this.offer(doing) ?? []);
    if (offers.length < lacks.length || offers.length === 0) return;
    const mark = this.plan.pieces.find((one) => one.id === piece)?.mark ?? piece;
    const ids = this.freeIds(offers.length);
    const moves = offers.map((offer, n) => ({ ...offer, id: ids[n]! }));
    yield {
      words: `Add the ${moves.length === 1 ? 'move' : `${moves.length} moves`} ${mark} lacks, last`,
      command: { name: 'addMoves', args: { moves, at: this.moves.length } },
    };
  }

  private insertion(offer: Move, at: number): Candidate {
    const move = { ...offer, id: this.freeIds(1).join('') };
    const { title, about } = moveWords(this.plan, move);
    const what = title.includes(about) || about === '' ? title : `${title}: ${about}`;
    const where = at >= this.moves.length ? 'as the last move' : `before move ${at + 1}, ${this.title(at)}`;
    return { words: `Add “${what}” ${where}`, command: { name: 'addMove', args: { move, at } } };
  }

  private offer(doing: Doing): Move | undefined {
    return possibleMoves(this.plan).find((one) => this.does(one, doing));
  }

  /** Whether a move does it; each step of a group of the strike strikes the group. */
  private does(move: Move, doing: Doing): boolean {
    if (move.kind !== doing.kind) return false;
    if (move.kind === 'shore.strike') {
      const group = allStrikeGroups(this.plan).find((one) => one.id === doing.step || one.steps.some((step) => step.id === doing.step));
      return group !== undefined && (group.id === move.step || group.steps.some((step) => step.id === move.step));
    }
    return Object.entries(doing).every(([field, value]) => (move as unknown as Record<string, unknown>)[field] === value);
  }

  /** The pieces of the structure a move is done to, or to what holds them. */
  private near(move: Move): string[] {
    return refsOfMove(move).flatMap(({ kind, id }) => {
      if (kind === 'beam') return [id];
      const name = HOLDS.get(kind);
      const thing = name && listsOf(this.plan, name).flatMap(({ list }) => list.filter((one) => one.id === id))[0];
      return thing ? refsOf(name, thing).flatMap((one) => (one.kind === 'beam' ? [one.id] : [])) : [];
    });
  }

  private title(at: number): string {
    return moveWords(this.plan, this.moves[at]!).title;
  }

  private named(at: number): string {
    return `move ${at + 1}, ${this.title(at)},`;
  }

  /** Ids no move has. */
  private freeIds(count: number): string[] {
    const taken = new Set(this.moves.map(({ id }) => id));
    const free: string[] = [];
    for (let k = this.moves.length + 1; free.length < count; k += 1) if (!taken.has(`m${k}`)) free.push(`m${k}`);
    return free;
  }
}

/** What holds a piece of the structure or lies on it, and in which list it stands. */
const HOLDS: ReadonlyMap<Kind, ListName> = new Map([
  ['support', 'supports'],
  ['joint', 'joints'],
  ['brace', 'braces'],
  ['load', 'putLoads'],
]);
/** Moves after which a structure may bear what it did not before. */
const HELPS: ReadonlySet<Move['kind']> = new Set(['support.ready', 'support.level', 'joint.make', 'brace.fix', 'beam.plumb', 'load.off', 'piece.letGo']);
/** Moves that make something there that nobody made. */
const MAKES: ReadonlySet<Move['kind']> = new Set(['support.ready', 'joint.make', 'brace.fix']);

const sameDoing = (one: Doing, other: Doing): boolean =>
  Object.keys(one).length === Object.keys(other).length && Object.entries(one).every(([field, value]) => other[field] === value);

/** What a move does, as one word. */
const doneBy = (move: Move): string => Object.values(doingOf(move)).join(' ');

/** What a move does, without how. */
const doingOf = (move: Move): Doing => Object.fromEntries([['kind', move.kind], ...refsOfMove(move).map(({ field, id }) => [field, id])]) as Doing;
