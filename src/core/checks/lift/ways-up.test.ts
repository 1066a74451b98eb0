import { evaluated } from '../../../../tests/evaluated';
import { demoPlan, passengerCanopy, quayFootbridge } from '../../../../tests/demo-plan';
import { rulesOf } from '../../rules/rule-sets';
import type { Check } from '../../verdict/check';
import { replay } from '../../replay/replay';
import type { Pick, Plan } from '../../document/schema';
import { settle } from '../../settle/settle';
import { worstFirst } from '../../verdict/worst-first';
import type { Context } from '../context';
import { raised } from '../../../../tests/raised';
import { describe as words } from '../../verdict/describe';
import { craneWays, liftChecks, pickInstead, pickWays, raiseWays, withoutCrane } from './ways-up';

const TODAY = '2026-11-28';
const contextOf = (drawn: Plan): Context => {
  const plan = settle(drawn);
  return { plan, today: TODAY, rules: rulesOf(plan.job.ruleSet, plan.job.thresholds), replayed: replay(plan) };
};
const waysOf = (plan: Plan, n = 0) => craneWays(contextOf(plan), plan.picks[n]!);

/** What the evaluation of the whole plan says of that lift. */
const wholly = (plan: Plan, pick: string, stand: string): Check => {
  const kinds = /^(lift|rigging|pick|stand\.(ground|tips|tail|power))/;
  return worstFirst(
    evaluated(plan, TODAY).checks.filter(
      ({ id, about }) =>
        kinds.test(id) && ((about.kind === 'pick' && about.id === pick) || (about.kind === 'stand' && about.id === stand && about.part === pick)),
    ),
  )[0]!;
};

test('a pick as it is says what the plan says; another stand what the plan would say with it', () => {
  const plan = quayFootbridge();
  const [now] = waysOf(plan).filter((one) => one.now);
  expect(now).toMatchObject({ boom: 27, stand: { id: 'w1' }, crane: 'Curlew 50' });
  expect(now!.verdict).toBe(wholly(plan, 'k1', 'w1').verdict);
  const other = waysOf(plan).find(({ stand }) => stand.id === 'w2')!;
  const moved = quayFootbridge();
  Object.assign(moved.picks[0]!, { stand: 'w2', boom: other.boom });
  expect(other.verdict).toBe(wholly(moved, 'k1', 'w2').verdict);
  expect(other.governs!.id).toBe(wholly(moved, 'k1', 'w2').id);
});

test('the best stand first: a stop never before a clear one, and of alike ones what takes less of the chart', () => {
  const plan = passengerCanopy();
  for (const n of [0, 20, 30]) {
    const ways = waysOf(plan, n);
    expect(ways.map(({ stand }) => stand.id).length).toBeGreaterThan(1);
    const order = ['clear', 'tight', 'missing', 'stop'];
    const ranks = ways.map(({ verdict, share }) => order.indexOf(verdict) * 1000 + (share ?? 999));
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
    expect(ways.filter((one) => one.now)).toHaveLength(1);
  }
  const far = quayFootbridge();
  far.stands.push({ ...far.stands[0]!, id: 'w3', name: 'W3', at: { x: 400, y: 400 } });
  expect(waysOf(far).map(({ stand }) => stand.id)).not.toContain('w3');
});

test('a stand it may not be lifted from is told with what stops it; two cranes never both stand on one', () => {
  const plan = quayFootbridge();
  plan.stands.find(({ id }) => id === 'w2')!.groundAllowable = 1000;
  expect(waysOf(plan).find(({ stand }) => stand.id === 'w2')).toMatchObject({ verdict: 'stop', governs: { id: 'stand.ground' } });
  plan.picks[0]!.second = { stand: 'w2', boom: 27, slingRating: 5000, riggingMass: 95 };
  expect(waysOf(plan).map(({ stand }) => stand.id)).toEqual(expect.not.arrayContaining(['w2']));
});

test('without a crane: 1188 kg less slings and block on two places a tenth in, and the people at each end', () => {
  const plan = demoPlan();
  const context = contextOf(plan);
  const found = withoutCrane(context, plan.picks[0]!)!;
  const mass = 92.1 * plan.pieces[0]!.length;
  expect(found.each).toBeGreaterThan(mass / 2);
  expect(found.each).toBeLessThan(mass);
  // Balanced near its middle: half each, and what 50 mm of uneven rise walks over.
  expect(found.each / (mass * 1.05)).toBeLessThan(0.6);
  expect(found.in).toBeCloseTo(plan.pieces[0]!.length / 10, 9);
  // Three or more lift half of 25 kg each.
  expect(found.people).toBe(Math.ceil(found.each / 12.5));
  plan.pieces[0]!.section = 'ZZ 9';
  expect(withoutCrane(contextOf(plan), plan.picks[0]!)).toBeNull();
});

describe('without a crane', () => {
  const others = (plan: Plan, load: string) => raiseWays(contextOf(plan), load);
  const of = (plan: Plan, load: string, kind: string) => others(plan, load).find((one) => one.kind === kind)!;

  test('as it is raised now it says what the plan says; by other gear what was said of the lift is kept, and that gear asked', () => {
    const plan = raised('mastLift');
    const [own] = plan.raises!;
    const all = others(plan, own!.load);
    expect(all.map(({ kind, now, verdict }) => [kind, now, verdict])).toEqual([
      ['mastLift', true, 'clear'],
      ['hoist', false, 'missing'],
      ['jack', false, 'missing'],
      ['hands', false, 'stop'],
    ]);
    expect(all[0]!.taken).toBe(own);
    expect(all[1]!.taken.uneven).toBe(own!.uneven);
    const hoist = of(plan, own!.load, 'hoist').raise;
    const { floor, lies, uneven, by } = own!;
    expect(hoist).toMatchObject({ id: own!.id, load: own!.load, floor, lies, uneven, by });
    expect(hoist.points.map(({ at, kind }) => [at, kind])).toEqual([
      [0.5, 'hoist'],
      [5, 'hoist'],
    ]);
    // 386 kg, on two places and one ahead: 14 people an end at 12.5 kg each; no more than twelve find room.
    expect(words(of(plan, own!.load, 'hands').governs!, 'metric')).toMatch(/14 people by the guideline; 12 are named/);
    expect(of(plan, own!.load, 'hands').effort.people).toBe(24);
  });

  test('how uneven it rises is supposed where nobody says, to look at it only', () => {
    const plan = raised('mastLift');
    plan.raises![0]!.uneven = null;
    const way = of(plan, plan.raises![0]!.load, 'hoist');
    expect([way.raise.uneven, way.taken.uneven]).toEqual([0.05, null]);
  });

  test('with the two strongest of the yard: too weak for it is a stop, strong enough asks what else there is to know', () => {
    const plan = raised('mastLift');
    const { load } = plan.raises![0]!;
    const hoist = (id: string, rating: number | null) => ({ id, kind: 'hoist' as const, name: id, rating, inspected: null });
    plan.yard = [hoist('h1', 150), hoist('h2', 100), hoist('h3', 100)];
    const weak = of(plan, load, 'hoist');
    expect(weak.raise.gear).toEqual(['h1', 'h2']);
    expect(weak.raise.points.map((point) => 'rating' in point && point.rating)).toEqual([150, 100]);
    expect(weak).toMatchObject({ verdict: 'stop', governs: { id: 'raise.share' } });
    plan.yard = [hoist('h1', 600), hoist('h2', 500)];
    expect(of(plan, load, 'hoist').verdict).toBe('missing');
    // One alone is not two, and one without a tag is none.
    plan.yard = [hoist('h1', 600), hoist('h2', null)];
    expect(of(plan, load, 'hoist').raise.gear).toBeUndefined();
  });

  test('as another lift of the job has it', () => {
    const plan = raised('mastLift');
    const [own] = plan.raises!;
    plan.raises!.push({ ...raised('hoist').raises![0]!, id: 'other', load: 'elsewhere' });
    expect(of(plan, own!.load, 'hoist').raise.points.map((point) => 'rating' in point && point.rating)).toEqual([500, 500]);
    expect(of(plan, own!.load, 'hoist').raise.points.map(({ id }) => id)).not.toContain(plan.raises![1]!.points[0]!.id);
    // What that one hangs from, and how far it was to lift, is of that lift.
    for (const point of of(plan, own!.load, 'hoist').raise.points)
      expect(point).toMatchObject({ own: 20, closed: 0.5, travel: 3, hangsFrom: '', hangsAt: null, carries: null, sideDeg: null, sling: null });
    for (const [kind, asked] of [
      ['mastLift', { centre: null, reach: 3.4 }],
      ['jack', { step: null, packing: null, stroke: 0.15 }],
      ['hands', { rung: null, keepers: null, friction: null }],
    ] as const) {
      const other = raised(kind === 'mastLift' ? 'hoist' : 'mastLift');
      other.raises!.push({ ...raised(kind).raises![0]!, id: 'other', load: 'elsewhere' });
      expect(of(other, other.raises![0]!.load, kind).raise.points[0]).toMatchObject(asked);
    }
  });

  test('a piece of the structure a tenth in from its ends; one that stands upright, or is none, is not worked out', () => {
    const plan = quayFootbridge();
    const [first] = plan.structure.pieces;
    const length = plan.structure.makes.find(({ id }) => id === first!.make)!.length;
    const way = of(plan, first!.id, 'mastLift');
    expect(way.raise.points.map(({ at }) => at)).toEqual([expect.closeTo(0.1 * length, 9), expect.closeTo(0.9 * length, 9)]);
    // What is supposed to look at it is not in the plan once it is taken.
    expect([way.raise.uneven, way.taken.uneven]).toEqual([0.05, null]);
    const crew = of(plan, first!.id, 'hands');
    expect(crew.raise.points.map((point) => 'people' in point && point.people)).toEqual([12, 12]);
    expect(crew.taken.points.map((point) => 'people' in point && point.people)).toEqual([null, null]);
    // Who answers for it, and when, is asked once somebody takes it.
    expect(way.governs!.id).not.toMatch(/raise\.by|moves\.raise/);
    const column = passengerCanopy().structure.pieces.find(({ id }) => id === 'col-0-1')!;
    expect(others(passengerCanopy(), column.id)).toEqual([]);
    expect(others(plan, 'nothing')).toEqual([]);
  });

  test('what is raised without a crane may be lifted by one, slung as such pieces are', () => {
    const plan = quayFootbridge();
    const [first] = plan.structure.pieces;
    const pick = pickInstead(contextOf(plan), first!.id)!;
    expect(pick).toMatchObject({ piece: first!.id, stand: 'w1', slingRating: null });
    expect(pick.left).toBeGreaterThan(0);
    expect(craneWays(contextOf(plan), pick).length).toBeGreaterThan(0);
    expect(pickInstead({ ...contextOf(plan), plan: settle({ ...plan, stands: [], picks: [], moves: [] }) }, first!.id)).toBeNull();
    expect(pickInstead(contextOf(plan), 'nothing')).toBeNull();
  });
});

describe('one crane or two', () => {
  const two = (edit: (plan: Plan) => unknown = () => undefined): Plan => {
    const plan = quayFootbridge();
    plan.cranes.push({ ...structuredClone(plan.cranes[0]!), id: 'c2', name: 'Dunlin 50' });
    plan.stands.push({ ...structuredClone(plan.stands[1]!), id: 'w3', name: 'W3', crane: 'c2', at: { x: 20, y: -9 } });
    edit(plan);
    return plan;
  };
  const names = (plan: Plan) => pickWays(contextOf(plan), plan.picks[0]!).map(({ way, pick }) => [way.stand.id, pick.second?.stand ?? null, way.now]);

  test('with another crane on the job its own crane may be joined by that one, rigged as the first; nothing signed yet is held against it', () => {
    expect(names(quayFootbridge()).every(([, second]) => second === null)).toBe(true);
    const plan = two();
    const ways = pickWays(contextOf(plan), plan.picks[0]!);
    expect(names(plan)).toContainEqual(['w1', 'w3', false]);
    // Where its chart gives nothing it is no way.
    expect(names(two((p) => (p.stands.at(-1)!.at = { x: 400, y: 0 }))).every(([, second]) => second === null)).toBe(true);
    const pair = ways.find(({ pick }) => pick.second)!;
    const { slingRating, riggingMass } = plan.picks[0]!;
    expect(pair.pick.second).toMatchObject({ stand: 'w3', slingRating, riggingMass });
    expect(pair.taken.second).toEqual({ stand: 'w3', boom: pair.pick.second!.boom, slingRating: null, riggingMass: null });
    expect(pair.way.effort.people).toBe(8);
    const ids = (of: Pick) => liftChecks(contextOf({ ...plan, picks: [of, ...plan.picks.slice(1)] }), of).map(({ id, verdict }) => `${verdict} ${id}`);
    expect(ids(pair.pick)).toContain('missing pick.critical');
    // Of its booms the one that suits it best: no other takes less of the chart and stands no worse.
    const other = wholly({ ...plan, picks: [pair.pick, ...plan.picks.slice(1)] }, 'k1', 'w1');
    expect(other.verdict).toBe(pair.way.verdict === 'clear' ? 'missing' : pair.way.verdict);
  });

  test('lifted by two it may be lifted by one', () => {
    const plan = two((p) => (p.picks[0]!.second = { stand: 'w3', boom: 27, slingRating: 5000, riggingMass: 95 }));
    const ways = names(plan);
    expect(ways.filter(([, , now]) => now)).toEqual([['w1', 'w3', true]]);
    expect(ways).toContainEqual(['w1', null, false]);
  });
});
