import { judge, verdicts, type Check, type Verdict } from '../check';

interface Row {
  check: Check | (() => Check);
  verdict: Verdict;
  ratio: number;
  /** first move at which it is a stop or missing; undefined: none */
  firstBad: string | null | undefined;
  /** at how many moves it was what */
  counts: Record<Verdict, number>;
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

const rank: Record<Verdict, number> = Object.fromEntries(verdicts.map((verdict, i) => [verdict, i])) as Record<Verdict, number>;

/**
 * One row for each key, its worst move: the worse verdict, then the greater ratio, then the earlier. A row is put in words only
 * when it is the worst: of two thousand moves most only say the same again, and better.
 */
export class WorstOf {
  private readonly rows = new Map<string, Row>();

  put(check: Check): void {
    this.offer(keyOf(check.id, check.about.kind, check.about.id, check.about.part), check.verdict, check.ratio ?? 0, check.move, () => check);
  }

  /** A demand against a capacity, told only if it is the worst so far. */
  ratio(id: string, kind: string, thing: string, part: string | undefined, move: string | null, numbers: Numbers, tell: () => Check): void {
    const { ratio, verdict } = judge(numbers.demand, numbers.capacity, numbers.caution, numbers.inclusive);
    this.offer(keyOf(id, kind, thing, part), verdict, ratio, move, tell);
  }

  private offer(key: string, verdict: Verdict, ratio: number, move: string | null, tell: () => Check): void {
    const bad = verdict === 'stop' || verdict === 'missing';
    const row = this.rows.get(key);
    if (!row) {
      this.rows.set(key, { check: tell, verdict, ratio, firstBad: bad ? move : undefined, counts: { stop: 0, missing: 0, tight: 0, clear: 0, [verdict]: 1 } });
      return;
    }
    row.counts[verdict] += 1;
    if (bad && row.firstBad === undefined) row.firstBad = move;
    if (rank[verdict] < rank[row.verdict] || (verdict === row.verdict && ratio > row.ratio)) Object.assign(row, { check: tell, verdict, ratio });
  }

  all(): { checks: Check[]; fared: Map<Check, Fared> } {
    const fared = new Map<Check, Fared>();
    const checks = [...this.rows.values()].map((row) => {
      const check = typeof row.check === 'function' ? row.check() : row.check;
      fared.set(check, { firstBad: row.firstBad ?? null, counts: row.counts });
      return check;
    });
    return { checks, fared };
  }
}

const keyOf = (id: string, kind: string, thing: string, part: string | undefined): string => `${id} ${kind} ${thing} ${part ?? ''}`;
