import { verdicts, type About, type Check, type StationId, type Verdict } from './check';

export interface SubjectVerdict {
  verdict: Verdict;
  /** the largest share of a limit that gives it this verdict; null where no measure does */
  used: number | null;
}

/** How a thing stands at a station: the worst of its checks, and of those the nearest to its limit. Null where nothing is checked of it. */
export function subjectVerdict(checks: readonly Check[], station: StationId, about: Pick<About, 'kind' | 'id'>): SubjectVerdict | null {
  const own = checks.filter((check) => check.station === station && check.about.kind === about.kind && check.about.id === about.id);
  if (own.length === 0) return null;
  const verdict = verdicts.find((one) => own.some((check) => check.verdict === one)) ?? 'clear';
  const ratios = own.flatMap((check) =>
    check.verdict !== verdict || check.ratio === null || check.quantity === 'count' || verdict === 'missing' ? [] : [check.ratio],
  );
  return { verdict, used: ratios.length > 0 ? Math.max(...ratios) : null };
}
