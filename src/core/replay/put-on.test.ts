import { quayFootbridge } from '../../../tests/demo-plan';
import { opened } from '../../../tests/said';
import { rulesOf } from '../rules/rule-sets';
import { GRAVITY } from '../units';
import { evaluate } from '../evaluate';
import { afresh } from '../document/keep';
import { replay } from './replay';
import type { Plan } from '../document/schema';
import { settle } from '../settle/settle';
import { forcesOf } from '../checks/structure/forces';
import { settleBeams } from '../settle/model';

const TODAY = '2026-11-29';

/** What stands on the ground after a move, by the supports of the footbridge. */
function groundAfter(drawn: Plan, id: string): Map<string, number> {
  const plan = settle(opened(drawn));
  const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
  const { changes } = forcesOf(
    plan,
    settleBeams(plan, rules),
    replay(plan).steps.map(({ after }) => after.structure),
    rules,
  );
  const last = plan.moves.findIndex((move) => move.id === id);
  const lines = new Map<string, (typeof changes)[number]['lines'][number]>();
  for (const { at, lines: changed } of changes) if (at <= last) for (const line of changed) for (const beam of line.beams) lines.set(beam, line);
  return new Map([...new Set(lines.values())].flatMap((line) => [...line.carried.plain].filter(([key]) => key.includes('/'))));
}
const sum = (ground: Map<string, number>): number => [...ground.values()].reduce((all, one) => all + one, 0);

const weighed = (mass: number | null): Plan => {
  const plan = quayFootbridge();
  for (const brace of plan.structure.braces) brace.mass = mass;
  return plan;
};

describe('what a brace weighs', () => {
  test('stands on the ground from the move that fixes it, half of it at either piece, and no longer once it is taken out', () => {
    const without = groundAfter(weighed(null), 'm12');
    const at = (id: string) => groundAfter(weighed(800), id);
    // Cross-frames 1 and 2 are in, 3 is not.
    expect(sum(at('m12')) - sum(without)).toBeCloseTo(2 * 800 * GRAVITY, 4);
    // At m11 G2a still hangs: of the two G1a carries its half.
    expect(sum(at('m11')) - sum(groundAfter(weighed(null), 'm11'))).toBeCloseTo(800 * GRAVITY, 4);
    const out = weighed(800);
    const where = out.moves.findIndex(({ id }) => id === 'm12');
    out.moves.splice(where + 1, 0, { id: 'out', kind: 'brace.free', brace: 'x2' });
    expect(sum(groundAfter(out, 'out')) - sum(without)).toBeCloseTo(800 * GRAVITY, 4);
  });

  test('by the lever: 400 kg at 6 m of G1a, between seats that are as far from it as they are', () => {
    const only = weighed(null);
    only.structure.braces[0]!.mass = 800;
    const [bare, loaded] = [groundAfter(weighed(null), 'm10'), groundAfter(only, 'm10')];
    const more = [...loaded].map(([key, force]) => force - (bare.get(key) ?? 0));
    const plan = quayFootbridge();
    const seats = plan.structure.supports.flatMap((one) => one.seats.filter(({ piece }) => piece === 'g1a').map(({ at }) => at)).sort((a, b) => a - b);
    const [a, b] = [seats[0]!, seats.at(-1)!];
    const right = (400 * GRAVITY * (6 - a)) / (b - a);
    expect(more.sort((p, r) => p - r)).toEqual([400 * GRAVITY - right, right].sort((p, r) => p - r).map((one) => expect.closeTo(one, 3)));
  });

  test('changed in place, all that is told is what a plan read anew tells', () => {
    const before = opened(weighed(null));
    evaluate(before, TODAY);
    const edited: Plan = {
      ...before,
      structure: { ...before.structure, braces: before.structure.braces.map((one, n) => (n === 1 ? { ...one, mass: 5000 } : one)) },
    };
    const rows = (all: ReturnType<typeof evaluate>) =>
      all.checks.map(({ id, about, ratio, verdict, move }) => [id, about.id, about.part, ratio, verdict, move]);
    expect(rows(evaluate(edited, TODAY))).toEqual(rows(afresh(() => evaluate(edited, TODAY))));
    expect(rows(evaluate(edited, TODAY))).not.toEqual(rows(afresh(() => evaluate(before, TODAY))));
  });
});
