import { quayFootbridge, stiff } from '../../../tests/demo-plan';
import { attempt } from '../calc/attempt';
import { radiusUnderLoad } from '../cranes/under-load.calc';
import { describe as words } from '../verdict/describe';
import { evaluate } from '../evaluate';
import type { LiftPath } from './lift-path';
import { hooksOf } from '../checks/lift/pick-context';
import type { Plan } from '../document/schema';
import { Missing } from '../verdict/missing';
import { settle } from './settle';
import { wholeStandMap } from '../checks/map/stand-map';
import { underLoad, worstGives } from './under-load';

const TODAY = '2026-11-28';
type Edit = (plan: Plan) => unknown;
const made = (edit: Edit = () => undefined): Plan => {
  const plan = quayFootbridge();
  edit(plan);
  return plan;
};
const chart = (plan: Plan, pick = 'k1') => evaluate(plan, TODAY).checks.find(({ id, about }) => /^lift\.(chart|offChart)$/.test(id) && about.id === pick)!;
const radius = (plan: Plan, pick = 'k1') => (chart(plan, pick).finding as { radius: number }).radius;
const set = (plan: Plan, n = 0) => (hooksOf(settle(plan), plan.picks[n]!)[0]!.path as LiftPath).most;

describe('the radius with the load on', () => {
  const input = { pivotBack: 1.5, pivotHeight: 2, boom: 30, radius: 16.5, bend: 0.01, level: 0.01, settles: 0.02, base: 6 };
  // The boom stands at cos α = 18/30, its tip 2 + 30 × 0.8 = 26 m up.
  const by = { byBend: 0.3, byLevel: 0.26, bySettling: (0.02 / 6) * 26 };

  test('the boom bends, the crane leans, the pad settles: each by hand', () => {
    const found = attempt(radiusUnderLoad, input);
    expect(found).toEqual({
      ok: true,
      output: {
        byBend: expect.closeTo(by.byBend, 9),
        byLevel: expect.closeTo(by.byLevel, 9),
        bySettling: expect.closeTo(by.bySettling, 9),
        radius: expect.closeTo(16.5 + 0.56 + by.bySettling, 9),
      },
    });
    expect(underLoad(input, 30, 16.5)).toBeCloseTo(16.5 + 0.56 + by.bySettling, 9);
  });

  test('a boom that does not get there is refused', () => {
    expect(attempt(radiusUnderLoad, { ...input, radius: 29 })).toMatchObject({ ok: false, path: 'boom' });
  });

  test('of several stands the worst of each', () => {
    const one = { pivotBack: 1, pivotHeight: 2, bend: 0.01, level: 0.02, settles: 0, base: 6 };
    expect(worstGives([one, { ...one, bend: 0.02, level: 0.01, settles: 0.03, base: 4 }])).toEqual({ ...one, bend: 0.02, settles: 0.03, base: 4 });
  });
});

describe('in a lift', () => {
  test('the chart is read at that radius, and the sentence tells both', () => {
    const plan = made();
    const [picked] = hooksOf(settle(plan), plan.picks[0]!);
    expect(radius(stiff(made()))).toBeCloseTo(set(plan), 9);
    expect(radius(plan)).toBeCloseTo(picked!.loaded(set(plan)), 9);
    expect(radius(plan) - set(plan)).toBeGreaterThan(0.27);
    expect(words(chart(plan), 'metric')).toMatch(/on the hook at 11\.\d\d.m with the load on \(set at 11\.0\d.m\), the worst on the way/);
    expect(words(chart(stiff(made())), 'metric')).not.toMatch(/with the load on/);
    expect(chart(plan).traces.map(({ calc }) => calc)).toContain('crane.underLoad');
  });

  test('the maker and the stand say better than the rule set, each on its own', () => {
    const rule = radius(made());
    const stiffer = radius(made((p) => (p.cranes[0]!.gives = { bend: 0, level: null })));
    // 1 % of 27 m of boom.
    expect(rule - stiffer).toBeCloseTo(0.27, 9);
    const { pivotHeight, pivotBack } = made().cranes[0]!;
    const tip = pivotHeight + Math.sqrt(27 ** 2 - (set(made()) + pivotBack) ** 2);
    expect(radius(made((p) => (p.cranes[0]!.gives = { bend: null, level: 0.03 }))) - rule).toBeCloseTo(0.02 * tip, 9);
    const base = Math.min(made().cranes[0]!.baseLength, made().cranes[0]!.baseWidth);
    expect(radius(made((p) => (p.stands[0]!.settles = 0.11))) - rule).toBeCloseTo((0.1 / base) * tip, 9);
    // On a narrower base it leans more.
    expect(radius(made((p) => (p.stands[0]!.base = { length: null, width: base / 2 }))) - rule).toBeCloseTo((0.01 / base) * tip, 9);
  });

  test('the map of all stands of a crane goes by the worst of them', () => {
    const at = (settles: number | null) => {
      const plan = made((p) => ((p.job.chartRule = 'linear'), (p.stands[1]!.settles = settles)));
      const map = wholeStandMap(settle(plan), 'c1');
      if (map instanceof Missing) throw new Error(map.questions.join());
      return map.share(0, plan.stands[0]!.at);
    };
    const asRules = at(null);
    expect(at(0.1)).toBeGreaterThan(asRules * 1.005);
    // The first stand settles as the rules say: less at the second changes nothing.
    expect(at(0)).toBeCloseTo(asRules, 12);
  });

  test('a lift that is on its chart as set and off it with the load on is a stop', () => {
    const edge = (plan: Plan): Plan => {
      const { chart: grid } = plan.cranes[0]!;
      // The chart ends just past the radius as set.
      grid!.radii = grid!.radii.map((one) => (one === 12 ? set(plan) + 0.1 : one));
      grid!.capacity = grid!.capacity.map((row, i) => (grid!.radii[i]! > set(plan) + 0.1 ? row.map(() => null) : row));
      return plan;
    };
    expect(chart(edge(stiff(made())))).toMatchObject({ id: 'lift.chart', verdict: 'clear' });
    expect(chart(edge(made()))).toMatchObject({ id: 'lift.offChart', verdict: 'stop' });
    expect(words(chart(edge(made())), 'metric')).toMatch(/with the load on \(set at/);
  });

  test('its tip is lower there, and the worst outrigger presses harder', () => {
    const row = (plan: Plan, id: string) => evaluate(plan, TODAY).checks.find((one) => one.id === id)!;
    const soft = made((p) => (p.cranes[0]!.gives = { bend: 0.05, level: 0 }));
    expect(row(soft, 'lift.headRoom').capacity!).toBeLessThan(row(made(), 'lift.headRoom').capacity!);
    expect(row(soft, 'stand.ground').demand!).toBeGreaterThan(row(made(), 'stand.ground').demand!);
  });

  test('what stands under the boom is nearer with the load on; the lesser of both is told', () => {
    const gap = (plan: Plan, part: string) =>
      evaluate(plan, TODAY).checks.find(({ id, about }) => id === 'lift.boomGap' && about.id === 'k1' && about.part === part)!;
    const wall = (plan: Plan) =>
      void plan.site.obstructions.push({ id: 'shed', name: 'Shed', at: { x: 9, y: -5 }, length: 1, width: 1, azimuthDeg: 0, height: 3 });
    const soft = made((plan) => ((plan.cranes[0]!.gives = { bend: 0.05, level: 0 }), (plan.stands[0]!.settles = 0), wall(plan)));
    const hard = made((plan) => (stiff(plan), wall(plan)));
    expect(gap(soft, 'shed').capacity!).toBeLessThan(gap(hard, 'shed').capacity! - 0.1);
    const at = (plan: Plan) => (gap(plan, 'shed').traces[0]!.input as { radius: number }).radius;
    expect(at(soft)).toBeGreaterThan(at(hard));
    // A long piece under a boom that lies flatter may have more room: then the boom as it is set governs.
    expect(gap(soft, 'g1a').capacity!).toBeCloseTo(gap(hard, 'g1a').capacity!, 9);
  });
});
