import { verdicts, type Check } from '../check';

/** One row for each key, its worst move: the worse verdict, then the greater ratio, then the earlier. */
export class WorstOf {
  private readonly rows = new Map<string, Check>();

  put(check: Check): void {
    const key = `${check.id} ${check.about.kind} ${check.about.id} ${check.about.part ?? ''}`;
    const now = this.rows.get(key);
    if (!now || worse(check, now)) this.rows.set(key, check);
  }

  all(): Check[] {
    return [...this.rows.values()];
  }
}

const worse = (a: Check, b: Check): boolean => {
  const [left, right] = [verdicts.indexOf(a.verdict), verdicts.indexOf(b.verdict)];
  return left !== right ? left < right : (a.ratio ?? 0) > (b.ratio ?? 0);
};
