import { judge, verdicts, type Check, type Verdict } from '../../verdict/check';
import { lasting, sameThings } from '../../document/keep';

/** What a check of one move says of one thing: told only if it is the worst of all moves. */
export interface Offer {
  key: Key;
  rank: number;
  ratio: number;
  move: string | null;
  /** how it is put in words, or the part that says it */
  tell: (() => Check) | Part;
  told: Check | null;
}

/** A part of what is said at a move: said again when one of its rows is to be put in words, so that not every row keeps its words. */
interface Part {
  from: readonly unknown[];
  offers: readonly Offer[];
  say: () => void;
  teller: Teller;
}

/** Whoever says the rows: what is said goes where `rows` points to. */
interface Teller {
  rows: Said;
}

/** A check of one thing, or of a part of it: found by being the same. */
interface Key {
  check: string;
}

/** How one check fared over a stretch of moves. */
interface Row {
  worst: Offer;
  /** first move at which it is a stop or missing; undefined: none */
  firstBad: string | null | undefined;
  /** at how many moves it was what, in the order of `verdicts` */
  counts: readonly [number, number, number, number];
  fared?: Fared;
}

/** How a check fared over the moves, beside its worst. */
export interface Fared {
  firstBad: string | null;
  counts: Record<Verdict, number>;
}

export interface Numbers {
  demand: number;
  capacity: number;
  caution: number | null;
  inclusive?: boolean;
}

const rankOf: Record<Verdict, number> = Object.fromEntries(verdicts.map((verdict, i) => [verdict, i])) as Record<Verdict, number>;
/** Stops and what is missing are bad; what is tight or clear is not. */
const BAD = rankOf.missing;

/** More keys than this and all are forgotten: they come back as they are asked for. */
const KEYS = 400_000;
const keys = { count: 0, by: new Map<string, Map<string, Map<string, Key>>>() };
function keyOf(id: string, kind: string, thing: string, part: string | undefined): Key {
  let kinds = keys.by.get(id);
  if (!kinds) keys.by.set(id, (kinds = new Map()));
  let things = kinds.get(kind);
  if (!things) kinds.set(kind, (things = new Map()));
  const about = part === undefined ? thing : `${thing} ${part}`;
  let key = things.get(about);
  if (!key) {
    things.set(about, (key = { check: id }));
    keys.count += 1;
  }
  return key;
}

/** What the checks of one move say, in the order they are asked. */
export class Said {
  readonly offers: Offer[] = [];
  /** the place among `verdicts` of the worst that was said; known when nothing more is */
  worst = Infinity;
  private readonly parts = new Map<string, Part>();
  private part_: Part | null = null;
  private caught: Check | null = null;

  /**
   * @param before what was said at the same move when it was last looked at
   * @param wanted the one row that is to be put in words; all others are let go
   */
  constructor(
    private before: Said | undefined = undefined,
    private readonly wanted: Key | null = null,
  ) {}

  /** A part of it, said as before where it is said from the same things. */
  part(name: string, from: readonly unknown[], teller: Teller, say: () => void): void {
    const known = this.before?.parts.get(name);
    if (known && sameThings(known.from, from)) {
      this.parts.set(name, known);
      for (const one of known.offers) this.offers.push(one);
      return;
    }
    const offers: Offer[] = [];
    const part: Part = { from, offers, say, teller };
    const start = this.offers.length;
    this.part_ = part;
    say();
    this.part_ = null;
    for (let i = start; i < this.offers.length; i += 1) offers.push(this.offers[i]!);
    this.parts.set(name, part);
  }

  /** Nothing more is said: what was said before is let go. */
  done(): void {
    this.before = undefined;
    for (const { rank } of this.offers) if (rank < this.worst) this.worst = rank;
  }

  put(check: Check): void {
    const { kind, id, part } = check.about;
    this.offer(keyOf(check.id, kind, id, part), rankOf[check.verdict], check.ratio ?? 0, check.move, () => check);
  }

  /** A demand against a capacity, put in words only if it is the worst of all moves. */
  ratio(id: string, kind: string, thing: string, part: string | undefined, move: string | null, numbers: Numbers, tell: () => Check): void {
    const { ratio, verdict } = judge(numbers.demand, numbers.capacity, numbers.caution, numbers.inclusive);
    this.offer(keyOf(id, kind, thing, part), rankOf[verdict], ratio, move, tell);
  }

  /** Of the rows of some checks the worst, and how many there are; undefined: there are none. */
  static worstOf(rows: readonly Offer[], wanted: ReadonlySet<string>): { worst: Offer; count: number } | undefined {
    let found: Offer | undefined;
    let count = 0;
    for (const one of rows) {
      if (!wanted.has(one.key.check)) continue;
      count += 1;
      if (!found || worse(one, found)) found = one;
    }
    return found && { worst: found, count };
  }

  private offer(key: Key, rank: number, ratio: number, move: string | null, tell: () => Check): void {
    if (this.wanted === null) this.offers.push({ key, rank, ratio, move, tell: this.part_ ?? tell, told: null });
    else if (this.wanted === key) this.caught = tell();
  }

  /** One row in words. */
  static told(offer: Offer): Check {
    if (offer.told) return offer.told;
    const { tell, key } = offer;
    if (typeof tell === 'function') return (offer.told = tell());
    const rows = new Said(undefined, key);
    const before = tell.teller.rows;
    tell.teller.rows = rows;
    tell.say();
    tell.teller.rows = before;
    return (offer.told = rows.caught!);
  }
}

/** Two ratios that differ by rounding alone are one: of two alike things, or of two moves, the first is told. */
export const exceeds = (one: number, than: number): boolean => Math.fround(one) > Math.fround(than);

const worse = (one: Offer, than: Offer): boolean => one.rank < than.rank || (one.rank === than.rank && exceeds(one.ratio, than.ratio));

/** The rows of a stretch of moves. */
type Rows = ReadonlyMap<Key, Row>;

function rowsOf(stretch: readonly Said[]): Rows {
  const rows = new Map<Key, { worst: Offer; firstBad: string | null | undefined; counts: [number, number, number, number] }>();
  for (const { offers } of stretch)
    for (const one of offers) {
      const row = rows.get(one.key);
      if (!row) {
        const counts: [number, number, number, number] = [0, 0, 0, 0];
        counts[one.rank] = 1;
        rows.set(one.key, { worst: one, firstBad: one.rank <= BAD ? one.move : undefined, counts });
        continue;
      }
      row.counts[one.rank]! += 1;
      if (one.rank <= BAD && row.firstBad === undefined) row.firstBad = one.move;
      if (worse(one, row.worst)) row.worst = one;
    }
  return rows;
}

/** Two stretches one after the other: the worse verdict, then the greater ratio, then the earlier. */
function joined(first: Rows, second: Rows): Rows {
  if (first.size === 0) return second;
  if (second.size === 0) return first;
  const rows = new Map(first);
  for (const [key, late] of second) {
    const early = first.get(key);
    rows.set(
      key,
      early === undefined
        ? late
        : {
            worst: worse(late.worst, early.worst) ? late.worst : early.worst,
            firstBad: early.firstBad === undefined ? late.firstBad : early.firstBad,
            counts: [early.counts[0] + late.counts[0], early.counts[1] + late.counts[1], early.counts[2] + late.counts[2], early.counts[3] + late.counts[3]],
          },
    );
  }
  return rows;
}

/** A stretch ends after a move whose id falls so: a move put in between moves no other stretch’s ends. */
const ENDS = 16;
function endsAfter(move: string): boolean {
  let hash = 7;
  for (let i = 0; i < move.length; i += 1) hash = (Math.imul(hash, 31) + move.charCodeAt(i)) | 0;
  return (hash >>> 4) % ENDS === 0;
}

interface Node {
  of: readonly unknown[];
  rows: Rows;
}

/** One row a key over all moves: stretches and pairs of stretches of which nothing is another are taken as they were. */
export function worstOf(moves: readonly { id: string; said: Said }[]): { checks: Check[]; fared: Map<Check, Fared> } {
  const before = lasting('worst', () => ({ nodes: new WeakMap<object, Node>() }));
  if (keys.count > KEYS) {
    keys.by.clear();
    keys.count = 0;
    before.nodes = new WeakMap();
  }
  const node = (of: readonly object[], make: () => Rows): Node => {
    const known = before.nodes.get(of[0]!);
    if (known && sameThings(known.of, of)) return known;
    const next = { of, rows: make() };
    before.nodes.set(of[0]!, next);
    return next;
  };
  let level: Node[] = [];
  let stretch: Said[] = [];
  moves.forEach(({ id, said }, i) => {
    stretch.push(said);
    if (!endsAfter(id) && stretch.length < 4 * ENDS && i < moves.length - 1) return;
    const whole = stretch;
    level.push(node(whole, () => rowsOf(whole)));
    stretch = [];
  });
  while (level.length > 1) {
    const next: Node[] = [];
    for (let i = 0; i < level.length; i += 2) {
      const [first, second] = [level[i]!, level[i + 1]];
      next.push(second ? node([first, second], () => joined(first.rows, second.rows)) : first);
    }
    level = next;
  }
  const fared = new Map<Check, Fared>();
  const checks: Check[] = [];
  for (const row of level[0]?.rows.values() ?? []) {
    const { worst, firstBad, counts } = row;
    const check = Said.told(worst);
    checks.push(check);
    fared.set(check, (row.fared ??= { firstBad: firstBad ?? null, counts: { stop: counts[0], missing: counts[1], tight: counts[2], clear: counts[3] } }));
  }
  return { checks, fared };
}

/** What is asked at one move of all that is asked there, each thing once. */
export type AtMoves = ReadonlyMap<string, readonly Offer[]>;

/** The rows by the move they are asked at; of several rows of one thing at one move the worst. */
export function byMove(whole: Said, moves: readonly { id: string; said: Said }[]): AtMoves {
  const at = new Map<string, Map<Key, Offer>>();
  const note = (move: string, one: Offer) => {
    let rows = at.get(move);
    if (!rows) at.set(move, (rows = new Map()));
    const known = rows.get(one.key);
    if (!known || worse(one, known)) rows.set(one.key, one);
  };
  for (const { id, said } of moves) for (const one of said.offers) note(id, one);
  for (const one of whole.offers) if (one.move !== null) note(one.move, one);
  return new Map([...at].map(([move, rows]) => [move, [...rows.values()]]));
}

/** All that is asked at a move, in words. */
export const rowsAt = (at: AtMoves, move: string): Check[] => (at.get(move) ?? []).map((one) => Said.told(one));

/** Of each move only what is another than when it was last asked, in words. */
export function rowsChanged(at: AtMoves, order: readonly string[]): Map<string, Check[]> {
  const last = new Map<Key, Offer>();
  const changed = new Map<string, Check[]>();
  for (const move of order) {
    const rows = (at.get(move) ?? []).filter((one) => {
      const known = last.get(one.key);
      last.set(one.key, one);
      return !known || known.rank !== one.rank || Math.abs(known.ratio - one.ratio) > 1e-9 * Math.max(known.ratio, one.ratio);
    });
    if (rows.length > 0) changed.set(move, rows.map(Said.told));
  }
  return changed;
}

/** How one thing stands at a move. */
export interface Stand {
  move: string;
  verdict: Verdict;
  /** demand against capacity; null where there is none */
  ratio: number | null;
}

/** One row over all the moves at which it is asked, in their order. */
export function rowOver(at: AtMoves, order: readonly string[], { id, about }: Pick<Check, 'id' | 'about'>): Stand[] {
  const key = keyOf(id, about.kind, about.id, about.part);
  return order.flatMap((move) => {
    const one = at.get(move)?.find((offer) => offer.key === key);
    const verdict = one && verdicts[one.rank]!;
    return one && verdict ? [{ move, verdict, ratio: verdict === 'missing' || !Number.isFinite(one.ratio) ? null : one.ratio }] : [];
  });
}

/** How each move stands by what is asked of the structure there. */
export function verdictsAt(whole: Said, moves: readonly { id: string; said: Said }[]): Record<string, Verdict> {
  const standing: Record<string, Verdict> = {};
  const worst = new Map<string, number>();
  for (const { move, rank } of whole.offers) if (move !== null && rank < (worst.get(move) ?? Infinity)) worst.set(move, rank);
  for (const { id, said } of moves) {
    standing[id] = verdicts[Math.min(said.worst, worst.get(id) ?? Infinity)]!;
    worst.delete(id);
  }
  for (const [id, rank] of worst) standing[id] = verdicts[rank]!;
  return standing;
}
