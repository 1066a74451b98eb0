import { judge, verdicts, type Check, type Verdict } from '../check';

interface Row {
  check: Check | (() => Check);
  rank: number;
  ratio: number;
  /** first move at which it is a stop or missing; undefined: none */
  firstBad: string | null | undefined;
  /** at how many moves it was what, in the order of `verdicts` */
  counts: [number, number, number, number];
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

/**
 * One row for each key, its worst move: the worse verdict, then the greater ratio, then the earlier. A row is put in words only
 * when it is the worst: of two thousand moves most only say the same again, and better.
 */
export class WorstOf {
  /** by the check, then by what it is about */
  private readonly rows = new Map<string, Map<string, Row>>();

  put(check: Check): void {
    const { kind, id, part } = check.about;
    this.offer(check.id, kind, id, part, rankOf[check.verdict], check.ratio ?? 0, check.move, () => check);
  }

  /** A demand against a capacity, told only if it is the worst so far. */
  ratio(id: string, kind: string, thing: string, part: string | undefined, move: string | null, numbers: Numbers, tell: () => Check): void {
    const { ratio, verdict } = judge(numbers.demand, numbers.capacity, numbers.caution, numbers.inclusive);
    this.offer(id, kind, thing, part, rankOf[verdict], ratio, move, tell);
  }

  private offer(
    id: string,
    kind: string,
    thing: string,
    part: string | undefined,
    rank: number,
    ratio: number,
    move: string | null,
    check: Row['check'],
  ): void {
    const key = part === undefined ? thing : `${thing} ${part}`;
    const list = `${id} ${kind}`;
    let rows = this.rows.get(list);
    if (!rows) this.rows.set(list, (rows = new Map()));
    const row = rows.get(key);
    if (!row) {
      const counts: Row['counts'] = [0, 0, 0, 0];
      counts[rank] = 1;
      rows.set(key, { check, rank, ratio, firstBad: rank <= BAD ? move : undefined, counts });
      return;
    }
    row.counts[rank] = row.counts[rank]! + 1;
    if (rank <= BAD && row.firstBad === undefined) row.firstBad = move;
    if (rank < row.rank || (rank === row.rank && ratio > row.ratio)) {
      row.check = check;
      row.rank = rank;
      row.ratio = ratio;
    }
  }

  all(): { checks: Check[]; fared: Map<Check, Fared> } {
    const fared = new Map<Check, Fared>();
    const checks = [...this.rows.values()].flatMap((rows) =>
      [...rows.values()].map((row) => {
        const check = typeof row.check === 'function' ? row.check() : row.check;
        fared.set(check, {
          firstBad: row.firstBad ?? null,
          counts: Object.fromEntries(verdicts.map((verdict, i) => [verdict, row.counts[i]!])) as Record<Verdict, number>,
        });
        return check;
      }),
    );
    return { checks, fared };
  }
}
