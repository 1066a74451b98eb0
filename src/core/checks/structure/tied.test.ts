import { quayFootbridge } from '../../../../tests/demo-plan';
import { describe as words } from '../../verdict/describe';
import { evaluate } from '../../evaluate';
import type { Plan } from '../../document/schema';

const TODAY = '2026-11-28';
const bridge = (edit: (plan: Plan) => unknown = () => undefined): Plan => {
  const plan = quayFootbridge();
  edit(plan);
  return plan;
};
const rows = (plan: Plan, id = 'line.tied') => evaluate(plan, TODAY).checks.filter((one) => one.id === id);
const say = (plan: Plan, id = 'line.tied') => rows(plan, id).map((check) => `${check.verdict}: ${words(check, 'metric').replace(/\u00a0/g, ' ')}`);
const ties = (plan: Plan) => plan.structure.supports.filter((one) => one.twist && one.seats.some(({ piece }) => piece === 'g1a'));

describe('a girder that stands alone on seats that keep it from rolling over', () => {
  test('only the first one stands alone; what the wind asks and what its weight gives by hand', () => {
    const [row, ...others] = rows(bridge());
    expect(others).toEqual([]);
    expect(row!.about.id).toBe('g1a');
    const [wind] = row!.traces;
    const { gust, drag, length, depth, weight, bearingWidth, airDensity } = wind!.input as Record<string, number>;
    const overturning = (airDensity! / 2) * gust! ** 2 * drag! * length! * depth! * (depth! / 2);
    expect(row!.demand).toBeCloseTo(1.5 * overturning, 3);
    expect(row!.capacity).toBeCloseTo((weight! * bearingWidth!) / 2, 3);
    expect(gust).toBe(22);
  });
  test('with no gust said it is asked', () => {
    expect(say(bridge((plan) => (plan.site.standingGust = null)))).toEqual([expect.stringMatching(/^missing: What gust may come while G1a/)]);
  });
  test('in more wind than its weight holds, its ties are asked what they hold, each of them', () => {
    const windy = (edit: (plan: Plan) => unknown) => bridge((plan) => ((plan.site.standingGust = 34), edit(plan)));
    expect(say(windy(() => undefined))).toEqual([expect.stringMatching(/^missing: .*What do the ties at .* hold against rolling over/)]);
    const each = (moments: (number | null)[]) => say(windy((plan) => ties(plan).forEach((one, n) => (one.twistHolds = moments[n] ?? null))));
    const enough = ties(bridge()).map(() => 20e3);
    expect(each(enough)).toEqual([expect.stringMatching(/^clear: .*hold .* against rolling over/)]);
    expect(each([...enough.slice(0, -1), null])).toEqual([expect.stringMatching(/^missing/)]);
    expect(each(enough.map(() => 100))).toEqual([expect.stringMatching(/^stop: While G1a stands alone/)]);
  });
  test('on seats of unknown width its weight holds nothing', () => {
    const plan = bridge((one) => one.structure.supports.forEach((support) => (support.seatWidth = null)));
    expect(say(plan)).toEqual([expect.stringMatching(/^missing: .*What do the ties/)]);
  });
  test('while a hook keeps it, or braced to another, it is not alone', () => {
    const kept = bridge((plan) => plan.moves.forEach((move) => move.kind === 'piece.letGo' && move.beam === 'g1a' && (move.keeps = 2000)));
    expect(rows(kept).filter(({ about }) => about.id === 'g1a')).toEqual([]);
    const loose = bridge((plan) => {
      plan.structure.braces = [];
      plan.moves = plan.moves.filter((move) => move.kind !== 'brace.fix' && move.kind !== 'brace.free');
    });
    expect(rows(loose).length).toBeGreaterThan(1);
  });
  test('HP17 is passed where it stands, and not where it does not', () => {
    expect(say(bridge(), 'hold.HP17')).toEqual([expect.stringMatching(/^clear: HP17, standing alone in the wind of G1a/)]);
    expect(
      rows(
        bridge((plan) => (plan.site.standingGust = 34)),
        'hold.HP17',
      ),
    ).toEqual([]);
    expect(
      rows(
        bridge((plan) => (plan.site.standingGust = null)),
        'hold.HP17',
      ),
    ).toEqual([]);
  });
});
