import { keyOf, type Check } from '../../verdict/check';
import { worstFirst } from '../../verdict/worst-first';
import { Missing } from '../../verdict/missing';
import type { Move } from '../../document/schema';
import type { SettledPlan } from '../../settle/settle';
import { strikeGroups } from '../../document/strike-groups';
import { linesTogether, type Strikes } from './together';
import { lineViews, type LinePlan } from '../../document/views';
import { moveFor, type Context } from '../context';
import { walkDown, type Source } from '../seats/load-path';
import { bentOf } from './bent-answer';
import { bentChecks } from './bents';
import { lineChecks } from './lines';
import { registerChecks } from './register';
import { stockChecks } from './stock';
import { needleOf } from './needles';
import { rowChecks } from './rows';
import { strikeChecks, strikeOf, watchChecks, type StrikeAnswer } from './strike';
import { unitsOf, type Unit } from './units';
import type { KnownStuds } from '../../settle/wall-studs';
import { wallChecks, wallTotal } from './walls';

type Ground = Pick<Context, 'plan' | 'rules' | 'today'>;
type LineGround = Pick<Context<LinePlan<SettledPlan>>, 'plan' | 'rules' | 'today'>;

export type { Strikes } from './together';

/** Every check of the shores of every line and of the bents, and what each carries step by step; nothing when no shoring is planned. */
export function shoreChecks(context: Ground): { checks: Check[]; strikes: Strikes } {
  const { plan } = context;
  const lines = lineViews(plan).map((view) => oneLine({ ...context, plan: view }));
  if (lines.length + plan.shoring.bents.length === 0) return { checks: [], strikes: {} };
  const bentMove = bentMoves(plan);
  const strikes: Strikes = Object.fromEntries(lines.map(({ line, strike }) => [line.id, strike]));
  const sourcesOf = new Map(lines.map(({ line, sources }) => [line.id, sources]));
  const together = linesTogether(plan, strikes);
  const shared = [
    ...bentChecks(context),
    ...registerChecks(context),
    ...stockChecks(context, strikes),
    // What two lines stand on carries the sum of both while both carry.
    ...worstOfEach(
      together.map(({ group, opens }) => {
        const sources = [...bentSources(context), ...group.flatMap(({ id }) => sourcesOf.get(id) ?? [])];
        return walkDown(context, sources, 'shorePath', 'shores').map((check) => ({ ...check, move: opens }));
      }),
    ),
  ];
  const moveOfLine = new Map(lines.flatMap(({ line, moveOf }) => [...line.walls, ...line.rows].map(({ id }) => [id, moveOf] as const)));
  const opens = plan.moves.find((move) => move.kind === 'line.open')?.id ?? null;
  return {
    checks: [
      ...lines.flatMap(({ checks, moveOf }) => checks.map((check) => ({ ...check, move: moveOf(check) }))),
      ...shared.map((check) => ({ ...check, move: moveOfLine.get(check.about.id)?.(check) ?? bentMove.get(check.about.id) ?? check.move ?? opens })),
    ],
    strikes,
  };
}

/** Of one question asked several times, the worst answer. */
function worstOfEach(asked: readonly (readonly Check[])[]): Check[] {
  const worst = new Map<string, Check>();
  for (const check of asked.flat()) {
    const before = worst.get(keyOf(check));
    if (!before || worstFirst([before, check])[0] === check) worst.set(keyOf(check), check);
  }
  return [...worst.values()];
}

/** What is asked of one line: what comes down on it, what holds that meanwhile, and the strike. */
function oneLine(context: LineGround) {
  const { plan, rules } = context;
  const known: KnownStuds = new Map();
  const units = unitsOf(plan, rules, known);
  const answer = strikeOf(plan, rules, units);
  return {
    line: plan.shoring,
    checks: [...lineChecks(context), ...wallChecks(context, known), ...rowChecks(context), ...strikeChecks(context, answer), ...watchChecks(context)],
    sources: lineSources(context, known),
    strike: answer instanceof Missing ? asTheyStand(units) : answer,
    moveOf: movesOf(plan),
  };
}

const bentMoves = (plan: SettledPlan) => new Map(plan.shoring.bents.map(({ id }) => [id, moveFor(plan, 'shore.set', id)] as const));

/** The move of the run sheet a check of a line belongs to: what carries is needed when the line opens, a step when it is struck. */
function movesOf(plan: LinePlan): (check: Check) => string | null {
  const { moves } = plan;
  if (moves.length === 0) return () => null;
  const first = (test: (move: Move) => boolean): string | null => moves.find(test)?.id ?? null;
  const own = new Set(plan.shoring.strike.map(({ id }) => id));
  const strikes = moves.flatMap((move) => (move.kind === 'shore.strike' && own.has(move.step) ? [move] : []));
  const opens = first((move) => move.kind === 'line.open' && move.line === plan.shoring.id);
  const setting = first((move) => move.kind === 'member.set' && move.opening === plan.shoring.opening);
  const steps = new Map(
    strikeGroups(plan.shoring).map((group) => [group.id, strikes.find((move) => group.steps.some((one) => one.id === move.step))?.id ?? null]),
  );
  return ({ id, about }) => {
    const step = about.kind === 'strikeStep' ? steps.get(about.id) : undefined;
    if (step !== undefined) return step;
    if (id === 'shore.sag' || id === 'shore.watch') return strikes[strikes.length - 1]?.id ?? null;
    if (id === 'shore.strike' || id === 'shore.dryPack') return strikes[0]?.id ?? null;
    if (id === 'shore.restraint') return setting;
    return opens;
  };
}

/** Where the strike cannot be worked out, the shores are shown as they stand. */
const asTheyStand = (units: Unit[] | Missing): StrikeAnswer | null =>
  units instanceof Missing ? null : { units, steps: [], traces: [], lasting: units.length, span: 0, through: false, undercut: [], idle: [] };

/** What the bents bring down. */
const bentSources = ({ plan, rules }: Ground): Source[] =>
  plan.shoring.bents.map((bent): Source => {
    const answer = bentOf(bent, rules);
    const known = typeof answer !== 'string' && !(answer instanceof Missing);
    const question = known ? null : answer instanceof Missing ? answer.questions.join(' ') : answer;
    return { kind: 'shore', id: bent.id, name: bent.name, load: known ? answer.total : 0, question, below: bent.standsOn, traces: known ? answer.traces : [] };
  });

/** What the shores of the lowest storey of a line bring down: those above stand on them. */
function lineSources({ plan, rules }: LineGround, worked: KnownStuds): Source[] {
  const lowest = plan.shoring.storeys[0] ?? null;
  return [
    ...plan.shoring.walls
      .filter((wall) => wall.storey === lowest?.id)
      .map((wall): Source => {
        const total = wallTotal(plan, wall, rules, worked);
        const known = !(total instanceof Missing);
        return {
          kind: 'shore',
          id: wall.id,
          name: wall.name,
          load: known ? total.load : 0,
          question: known ? null : total.questions.join(' '),
          below: wall.standsOn,
          traces: known ? total.traces : [],
        };
      }),
    ...plan.shoring.rows
      .filter((row) => row.storey === lowest?.id)
      .map((row): Source => {
        const answer = needleOf(plan, row, rules);
        const known = !(answer instanceof Missing);
        return {
          kind: 'shore',
          id: row.id,
          name: row.name,
          load: known ? (answer.leftProp + answer.rightProp) * row.count : 0,
          question: known ? null : answer.questions.join(' '),
          below: row.standsOn,
          traces: known ? answer.traces : [],
        };
      }),
  ];
}
