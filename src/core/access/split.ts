import { peakOf, simpleSpanAt, type SimpleSpan } from '../beams/simple-span.calc';

/** Where a member may be cut into pieces that can be got there, and what stands in the way of fewer. */
export interface SplitQuestion {
  length: number;
  /** end of the member to its left support; the span lies between */
  leftOverhang: number;
  massPerLength: number;
  /** plates and bolts a splice adds, half to each piece */
  spliceMass: number;
  /** limits a piece must keep; null: nothing limits it */
  limits: { way: number | null; transport: number | null; mass: number | null };
  /** load the finished member carries, on its span; null: not known, and splices keep to the shape of self-weight */
  beam: SimpleSpan;
  /** a splice stands only where the moment is at most this share of the peak */
  peakShare: number;
  shortest: number;
  step: number;
  mostPieces: number;
}

export interface SplitPlan {
  cuts: number[];
  pieces: { from: number; to: number; length: number; mass: number }[];
  /** worst moment at a splice over the peak moment; 0 with no splice */
  worstShare: number;
}

export type Blocker =
  { limit: 'way' | 'transport'; longest: number; allowed: number } | { limit: 'mass'; heaviest: number; allowed: number } | { limit: 'peak' };

export interface SplitAnswer {
  best: SplitPlan | null;
  runnersUp: SplitPlan[];
  /** what blocks one piece fewer than the best */
  fewer: { pieces: number; blockers: Blocker[] } | null;
  peak: { x: number; moment: number };
}

export function momentShare(question: SplitQuestion, at: number, peak: number): number {
  const x = at - question.leftOverhang;
  if (x <= 0 || x >= question.beam.span || peak <= 0) return 0;
  return Math.abs(simpleSpanAt(question.beam, x).moment) / peak;
}

function planOf(question: SplitQuestion, cuts: readonly number[], peak: number): SplitPlan {
  const ends = [0, ...cuts, question.length];
  const pieces = ends.slice(1).map((to, i) => {
    const from = ends[i] ?? 0;
    const splices = (i > 0 ? 1 : 0) + (i < cuts.length ? 1 : 0);
    return { from, to, length: to - from, mass: (to - from) * question.massPerLength + (splices * question.spliceMass) / 2 };
  });
  return { cuts: [...cuts], pieces, worstShare: cuts.reduce((most, cut) => Math.max(most, momentShare(question, cut, peak)), 0) };
}

/** Longest piece that keeps every limit, with the given number of spliced ends. */
function longestAllowed({ limits, massPerLength, spliceMass }: SplitQuestion, spliced: number): number {
  const byMass = limits.mass === null ? Infinity : (limits.mass - (spliced * spliceMass) / 2) / massPerLength;
  return Math.min(limits.way ?? Infinity, limits.transport ?? Infinity, byMass);
}

/** What comes first among plans of as many pieces; the other breaks ties. */
type Aim = 'moment' | 'even';

/** Cuts for exactly `count` pieces: the least worst moment at a splice, or the most even pieces. Null when there are none. */
function cutsFor(question: SplitQuestion, count: number, peak: number, share: number, aim: Aim = 'moment'): number[] | null {
  const { length, step, shortest } = question;
  if (count === 1) return length <= longestAllowed(question, 0) + 1e-9 ? [] : null;
  const places: number[] = [];
  for (let n = Math.ceil(shortest / step - 1e-9); n * step <= length - shortest + 1e-9; n += 1) places.push(n * step);
  const cost = places.map((at) => momentShare(question, at, peak));
  const open = places.map((_, i) => (cost[i] ?? 1) <= share + 1e-12);
  const even = length / count;
  // best[i]: the least (worst share, unevenness) with cut k at place i; from[k][i]: the cut before it.
  interface State {
    worst: number;
    uneven: number;
  }
  const [main, tie] = aim === 'moment' ? (['worst', 'uneven'] as const) : (['uneven', 'worst'] as const);
  const better = (a: State, b: State | null) => b === null || a[main] < b[main] - 1e-12 || (a[main] < b[main] + 1e-12 && a[tie] < b[tie] - 1e-12);
  const edge = longestAllowed(question, 1);
  const inner = longestAllowed(question, 2);
  let best: (State | null)[] = places.map((at, i) => (open[i] && at <= edge + 1e-9 ? { worst: cost[i] ?? 1, uneven: Math.abs(at - even) } : null));
  const from: number[][] = [];
  for (let k = 2; k < count; k += 1) {
    const before = best;
    const chosen: number[] = [];
    best = places.map((at, i) => {
      chosen[i] = -1;
      if (!open[i]) return null;
      let state: State | null = null;
      for (let j = i - 1; j >= 0; j -= 1) {
        const gap = at - (places[j] ?? 0);
        if (gap > inner + 1e-9) break;
        const prior = before[j];
        if (!prior || gap < shortest - 1e-9) continue;
        const next = { worst: Math.max(prior.worst, cost[i] ?? 1), uneven: prior.uneven + Math.abs(gap - even) };
        if (better(next, state)) {
          state = next;
          chosen[i] = j;
        }
      }
      return state;
    });
    from.push(chosen);
  }
  let end = -1;
  let state: State | null = null;
  best.forEach((one, i) => {
    const last = length - (places[i] ?? 0);
    if (!one || last > edge + 1e-9 || last < shortest - 1e-9) return;
    const next = { worst: one.worst, uneven: one.uneven + Math.abs(last - even) };
    if (better(next, state)) {
      state = next;
      end = i;
    }
  });
  if (end < 0) return null;
  const cuts: number[] = [];
  for (let k = count - 1; k >= 1; k -= 1) {
    cuts.unshift(places[end] ?? 0);
    if (k > 1) end = from[k - 2]?.[end] ?? -1;
  }
  return cuts;
}

/** What is in the way of so many pieces: lengths, weight, or no place for a splice away from the peak. */
function blockersOf(question: SplitQuestion, count: number): Blocker[] {
  const longest = question.length / count;
  const found: Blocker[] = [];
  for (const limit of ['way', 'transport'] as const) {
    const allowed = question.limits[limit];
    if (allowed !== null && longest > allowed + 1e-9) found.push({ limit, longest, allowed });
  }
  const heaviest = longest * question.massPerLength + (count > 1 ? question.spliceMass / (count === 2 ? 2 : 1) : 0);
  if (question.limits.mass !== null && heaviest > question.limits.mass + 1e-9) found.push({ limit: 'mass', heaviest, allowed: question.limits.mass });
  return found.length > 0 ? found : [{ limit: 'peak' }];
}

/** The fewest pieces that keep every limit with each splice away from the peak, the runners-up, and what blocks one fewer. */
export function searchSplit(question: SplitQuestion): SplitAnswer {
  const peak = peakOf(question.beam);
  for (let count = 1; count <= question.mostPieces; count += 1) {
    const cuts = cutsFor(question, count, peak.moment, question.peakShare);
    if (!cuts) continue;
    const best = planOf(question, cuts, peak.moment);
    const runnersUp: SplitPlan[] = [];
    const alike = (plan: SplitPlan) =>
      [best, ...runnersUp].some((one) => one.cuts.length === plan.cuts.length && one.cuts.every((cut, i) => Math.abs(cut - (plan.cuts[i] ?? 0)) < 1e-6));
    // The same number of pieces, as even as the peak allows: each is easier to carry.
    const evenCuts = count === 1 ? null : cutsFor(question, count, peak.moment, question.peakShare, 'even');
    const evenly = evenCuts && planOf(question, evenCuts, peak.moment);
    if (evenly && !alike(evenly)) runnersUp.push(evenly);
    for (const more of [count + 1, count + 2]) {
      if (more > question.mostPieces) break;
      const next = cutsFor(question, more, peak.moment, question.peakShare);
      const plan = next && planOf(question, next, peak.moment);
      if (plan && !alike(plan)) runnersUp.push(plan);
    }
    return { best, runnersUp, fewer: count === 1 ? null : { pieces: count - 1, blockers: blockersOf(question, count - 1) }, peak };
  }
  return { best: null, runnersUp: [], fewer: { pieces: question.mostPieces, blockers: blockersOf(question, question.mostPieces) }, peak };
}
