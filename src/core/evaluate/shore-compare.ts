import { viewOfLine } from '../document/views';
import { formatQuantity } from '../units';
import { rulesOf, type ThresholdKey } from '../rules/rule-sets';
import type { Check, Verdict } from '../verdict/check';
import { worst } from '../verdict/check';
import { evaluate } from './';
import { usualTube } from '../document/migrations';
import { Missing } from '../verdict/missing';
import type { Plan, ShoredLine } from '../document/schema';
import { untagged } from '../document/shore-tag';
import { shoreParts, type Part } from '../settle/shore-parts';
import { shoredOpening } from '../settle/shore-layout';

/** One arrangement beside the others. */
export interface Arrangement {
  name: string;
  verdict: Verdict;
  /** the check nearest to its limit */
  governs: Check | null;
  parts: number;
  /** person-hours to put up and take down */
  hours: number;
  /** clear between the walls; null where there are not two */
  between: number | null;
  line: ShoredLine;
}

/** Props and pads come with their needle. */
const hoursEach: Partial<Record<Part['what'], ThresholdKey>> = {
  stud: 'hoursPerStud',
  plate: 'hoursPerStud',
  header: 'hoursPerStud',
  board: 'hoursPerStud',
  needle: 'hoursPerNeedle',
};

function arrangement(name: string, whole: Plan, line: ShoredLine): Arrangement {
  // The others stand as they do: this line is looked at alone.
  const plan: Plan = { ...whole, shoring: { ...whole.shoring, lines: [line] } };
  const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
  const checks = evaluate(plan).checks.filter((check) => check.station === 'shores');
  const told = checks.filter((check) => check.verdict === 'stop' || check.verdict === 'missing');
  const ranked = checks
    .filter((check) => check.ratio !== null && check.id !== 'shore.line' && check.id !== 'shore.room')
    .sort((a, b) => (b.ratio ?? 0) - (a.ratio ?? 0));
  const parts = shoreParts(plan);
  const room = checks.find((check) => check.id === 'shore.room');
  return {
    name,
    verdict: checks.length === 0 ? 'missing' : worst(checks.map((check) => check.verdict)),
    governs: told.find((check) => check.verdict === 'stop') ?? told[0] ?? ranked[0] ?? null,
    parts: parts instanceof Missing ? 0 : parts.filter((part) => part.what !== 'screw').reduce((sum, part) => sum + part.count, 0),
    hours: parts instanceof Missing ? 0 : parts.reduce((sum, part) => sum + part.count * (hoursEach[part.what] ? rules.value(hoursEach[part.what]!) : 0), 0),
    between: room?.capacity ?? null,
    line,
  };
}

const set = (line: ShoredLine, setback: number): ShoredLine => ({ ...line, walls: line.walls.map((wall) => ({ ...wall, setback })) });

/** The shores of a line as drawn, the walls at other distances, one side alone where joists run through, and bracing left out: side by side. */
export function arrangements(plan: Plan, line: ShoredLine): Arrangement[] {
  if (line.walls.length === 0) return [arrangement('as drawn', plan, line)];
  const list = [
    arrangement('as drawn', plan, line),
    ...[0.6, 0.9, 1.2].map((setback) => arrangement(`walls ${formatQuantity(setback, 'length', plan.job.units)} back`, plan, set(line, setback))),
  ];
  for (const side of ['left', 'right'] as const) {
    const walls = line.walls.filter((wall) => wall.side === side);
    const kept = new Set([...walls, ...line.rows].map((one) => one.id));
    if (walls.length === line.walls.length) continue;
    list.push(arrangement(`the ${side} side alone`, plan, { ...line, walls, strike: line.strike.filter((step) => kept.has(step.shore)) }));
  }
  const opening = shoredOpening(viewOfLine(plan, line));
  const [lowest] = line.storeys;
  const width = opening?.clear.measured ?? opening?.clear.drawn ?? null;
  if (lowest && width !== null && line.rows.length === 0) {
    const count = Math.max(2, Math.ceil(width / 0.9));
    const id = 'row-compared';
    list.push(
      arrangement('needles and props', plan, {
        ...line,
        walls: [],
        rows: [
          {
            id,
            name: 'Needles',
            storey: lowest.id,
            from: width / count / 2,
            spacing: width / count,
            count,
            needle: { kind: 'steel', section: 'UC 152x152x23', grade: 'S275' },
            arms: { left: 0.6, right: 0.6 },
            over: null,
            masonry: { width: null, allowable: null },
            head: 0.15,
            lateral: null,
            prop: {
              kind: 'steel',
              class: 'D',
              maxLength: 3.5,
              tube: usualTube(),
              length: lowest.height === null ? null : Math.max(0.5, lowest.height - 0.6),
              leanDeg: 0,
              off: 0,
            },
            pad: { length: 0.3, width: 0.3, allowable: null },
            tag: line.walls[0]?.tag ?? untagged(),
            packedOn: '',
            struckOn: '',
            standsOn: line.walls.find((wall) => wall.storey === lowest.id)?.standsOn ?? [],
          },
        ],
        strike: [{ id: 'strike-compared', shore: id, units: [], together: false }],
      }),
    );
  }
  return list;
}
