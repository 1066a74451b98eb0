import type { Check } from '../../check';
import { Missing } from '../../missing';
import type { Move, Plan } from '../../schema';
import { strikeGroups } from '../../strike-groups';
import type { Context } from '../context';
import { walkDown, type Source } from '../load-path';
import { bentOf } from './bent-answer';
import { bentChecks } from './bents';
import { lineChecks } from './lines';
import { registerChecks } from './register';
import { stockChecks } from './stock';
import { needleOf } from './needles';
import { rowChecks } from './rows';
import { strikeChecks, strikeOf, watchChecks, type StrikeAnswer } from './strike';
import { unitsOf, type Unit } from './units';
import type { KnownStuds } from '../../wall-studs';
import { wallChecks, wallTotal } from './walls';

type Ground = Pick<Context, 'plan' | 'rules' | 'today'>;

/** Every check of the shores, and what each carries step by step; nothing when no shoring is planned. */
export function shoreChecks(context: Ground): { checks: Check[]; strike: StrikeAnswer | null } {
  const { storeys, walls, rows, bents } = context.plan.shoring;
  if (storeys.length + walls.length + rows.length + bents.length === 0) return { checks: [], strike: null };
  const known: KnownStuds = new Map();
  const units = unitsOf(context.plan, context.rules, known);
  const answer = strikeOf(context.plan, context.rules, units);
  const checks = [
    ...lineChecks(context),
    ...wallChecks(context, known),
    ...rowChecks(context),
    ...bentChecks(context),
    ...registerChecks(context),
    ...stockChecks(context),
    ...walkDown(context, shoreSources(context, known), 'shorePath', 'shores'),
    ...strikeChecks(context, answer),
    ...watchChecks(context),
  ];
  const moveOf = movesOf(context.plan);
  return { checks: checks.map((check) => ({ ...check, move: moveOf(check) })), strike: answer instanceof Missing ? asTheyStand(units) : answer };
}

/** The move of the run sheet a check belongs to: what carries is needed when the line opens, a bent when it is set, a step when it is struck. */
function movesOf(plan: Plan): (check: Check) => string | null {
  const { moves } = plan;
  if (moves.length === 0) return () => null;
  const first = (test: (move: Move) => boolean): string | null => moves.find(test)?.id ?? null;
  const strikes = moves.filter((move) => move.kind === 'shore.strike');
  const opens = first((move) => move.kind === 'line.open');
  const setting = first((move) => move.kind === 'member.set' && move.opening === plan.shoring.opening);
  const steps = new Map(strikeGroups(plan).map((group) => [group.id, strikes.find((move) => group.steps.some((one) => one.id === move.step))?.id ?? null]));
  const bents = new Map(plan.shoring.bents.map(({ id }) => [id, first((move) => move.kind === 'shore.set' && move.shore === id)]));
  return ({ id, about }) => {
    const step = about.kind === 'strikeStep' ? steps.get(about.id) : undefined;
    if (step !== undefined) return step;
    if (id === 'shore.sag' || id === 'shore.watch') return strikes[strikes.length - 1]?.id ?? null;
    if (id === 'shore.strike' || id === 'shore.dryPack') return strikes[0]?.id ?? null;
    if (id === 'shore.restraint') return setting;
    return about.kind === 'shore' && bents.has(about.id) ? (bents.get(about.id) ?? null) : opens;
  };
}

/** Where the strike cannot be worked out, the shores are shown as they stand. */
const asTheyStand = (units: Unit[] | Missing): StrikeAnswer | null =>
  units instanceof Missing ? null : { units, steps: [], traces: [], lasting: units.length, span: 0, through: false, undercut: [], idle: [] };

/** What the shores of the lowest storey bring down: those above stand on them. */
function shoreSources({ plan, rules }: Ground, worked: KnownStuds): Source[] {
  const lowest = plan.shoring.storeys[0] ?? null;
  return [
    ...plan.shoring.bents.map((bent): Source => {
      const answer = bentOf(bent, rules);
      const known = typeof answer !== 'string' && !(answer instanceof Missing);
      const question = known ? null : answer instanceof Missing ? answer.questions.join(' ') : answer;
      return {
        kind: 'shore',
        id: bent.id,
        name: bent.name,
        load: known ? answer.total : 0,
        question,
        below: bent.standsOn,
        traces: known ? answer.traces : [],
      };
    }),
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
