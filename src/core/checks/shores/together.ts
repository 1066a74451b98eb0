import type { Plan, ShoredLine } from '../../document/schema';
import { strikeGroups } from '../../document/strike-groups';
import type { StrikeAnswer } from './strike';

/** What the shores of each line carry step by step, by the id of the line; null where that cannot be worked out. */
export type Strikes = Readonly<Record<string, StrikeAnswer | null>>;

/** Lines that stand and carry at one time, and the move that opens the last of them. */
export interface Together {
  group: ShoredLine[];
  opens: string | null;
}

/**
 * The lines that carry at the same time: those that are open when each of them opens. A line carries from its opening until its last
 * shore is struck; where the run sheet does not open it, or leaves some of it standing, it is taken to carry beside every other.
 */
export function linesTogether({ moves, shoring: { lines } }: Plan, strikes: Strikes): Together[] {
  const spanOf = (line: ShoredLine) => {
    const strike = strikes[line.id] ?? null;
    const from = moves.findIndex((move) => move.kind === 'line.open' && move.line === line.id);
    const last = strikeGroups(line).map(({ steps }) => moves.findIndex((move) => move.kind === 'shore.strike' && steps.some(({ id }) => id === move.step)));
    const struck = strike !== null && strike.lasting === 0 && last.length > 0 && !last.includes(-1);
    return { from, to: struck ? Math.max(...last) : Infinity };
  };
  const spans = new Map(lines.map((line) => [line, spanOf(line)]));
  const groups = lines.map((opening): Together => {
    const { from } = spans.get(opening)!;
    const group = lines.filter((one) => one === opening || (spans.get(one)!.from <= from && spans.get(one)!.to > from));
    return { group, opens: moves[from]?.id ?? null };
  });
  return groups.length > 0 ? groups : [{ group: [], opens: null }];
}
