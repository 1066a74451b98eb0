import { passengerCanopy, quayFootbridge } from '../../../tests/demo-plan';
import { raised } from '../../../tests/raised';
import { rulesOf } from '../rules/rule-sets';
import { noCosts, type Costs } from '../document/things/costs';
import { craneEffort, moneyWords, raiseEffort } from './effort';
import type { Plan } from '../document/schema';
import { craneVisits } from '../document/visits';
import { liftsTake } from './takes';

const rules = (plan: Plan) => rulesOf(plan.job.ruleSet, plan.job.thresholds);
const priced = (plan: Plan, more: Partial<Costs> = {}): Plan => {
  plan.costs = { ...noCosts(), currency: 'EUR', person: 40, shift: 8, mastLift: { day: 60, bring: 90 }, ...more };
  for (const crane of plan.cranes) crane.hire = { day: 1600, bring: 700 };
  return plan;
};
const bare = (): Plan => {
  const plan = quayFootbridge();
  delete plan.costs;
  for (const one of plan.cranes) delete one.hire;
  return plan;
};
const crane = (plan: Plan, n = 0) => craneEffort(plan, rules(plan), plan.picks[n]!);

describe('what a lift takes', () => {
  test('by one crane that lifts more from there: its half hour of five people and of the crane, nothing else', () => {
    // 5 × 0.5 h × 40 + 0.5/8 × 1600.
    expect(crane(priced(quayFootbridge()))).toMatchObject({ people: 5, hours: 0.5, money: 100 + 100, asks: [] });
  });

  test('set up for this lift alone it takes the hours of that too; brought for it alone, what that costs', () => {
    const alone = priced(quayFootbridge());
    alone.stands.push({ ...alone.stands[0]!, id: 'w9', name: 'W9' });
    alone.picks[0]!.stand = 'w9';
    // 3.5 h: 5 × 3.5 × 40 + 3.5/8 × 1600.
    expect(crane(alone)).toMatchObject({ hours: 3.5, money: 700 + 700 });
    alone.cranes.push({ ...alone.cranes[0]!, id: 'c9' });
    alone.stands.at(-1)!.crane = 'c9';
    expect(crane(alone)).toMatchObject({ hours: 3.5, money: 700 + 700 + 700 });
  });

  test('two cranes take longer, more people, and both are paid', () => {
    const two = priced(quayFootbridge());
    two.cranes.push({ ...two.cranes[0]!, id: 'c9', name: 'Other', hire: { day: 800, bring: 300 } });
    two.stands.push({ ...two.stands[0]!, id: 'w9', name: 'W9', crane: 'c9' });
    two.picks[0]!.second = { stand: 'w9', boom: 27, slingRating: 5000, riggingMass: 95 };
    // 2 h and 3 h to set the other up: 8 × 5 × 40 + 5/8 × (1600 + 800) + 300.
    expect(crane(two)).toMatchObject({ people: 8, hours: 5, money: 1600 + 1500 + 300 });
  });

  test('a stand that is only the second of another lift is set up for that one too', () => {
    const two = priced(quayFootbridge());
    two.cranes.push({ ...two.cranes[0]!, id: 'c9', name: 'Other' });
    two.stands.push({ ...two.stands[0]!, id: 'w9', name: 'W9', crane: 'c9' });
    two.picks[1]!.second = { stand: 'w9', boom: 27, slingRating: 5000, riggingMass: 95 };
    two.picks[0]!.stand = 'w9';
    expect(crane(two)).toMatchObject({ hours: 0.5, money: 200 });
  });

  test('what nobody priced is asked, and there is no sum', () => {
    const plan = bare();
    expect(crane(plan)).toMatchObject({ money: null, hours: 0.5 });
    expect(crane(plan).asks.join(' ')).toMatch(/one person cost for an hour\? How many hours has a shift\? What does Curlew 50 cost for a day\?/);
    const half = priced(quayFootbridge());
    half.cranes[0]!.hire = { day: null, bring: 3 };
    expect(crane(half)).toMatchObject({ money: null, asks: ['What does Curlew 50 cost for a day?'] });
  });

  test('the figures are the job’s own', () => {
    const plan = priced(quayFootbridge());
    Object.assign(plan.job.thresholds, { hoursPick: 1, gangCrane: 4 });
    expect(crane(plan)).toMatchObject({ people: 4, hours: 1, money: 160 + 200 });
  });

  test('two mast lifts: four people for two hours, both hired and brought; a crew is as many as are in it', () => {
    const plan = priced(raised('mastLift'));
    const own = plan.raises![0]!;
    // 4 × 2 × 40 + 2 × 60 × 2/8 + 2 × 90.
    expect(raiseEffort(plan, rules(plan), own)).toMatchObject({ people: 4, hours: 2, money: 320 + 30 + 180 });
    plan.raises!.push({ ...own, id: 'other' });
    expect(raiseEffort(plan, rules(plan), own).money).toBe(350);
    expect(raiseEffort(plan, rules(plan), raised('hands').raises![0]!)).toMatchObject({ people: 40, hours: 4, money: 6400 });
    const uncounted = raised('hands').raises![0]!;
    for (const point of uncounted.points) if (point.kind === 'hands') point.people = null;
    expect(raiseEffort(plan, rules(plan), uncounted)).toMatchObject({ people: null, money: null, asks: ['How many people lift it?'] });
    const mixed = { ...own, points: [own.points[0]!, raised('jack').raises![0]!.points[1]!] };
    expect(raiseEffort(plan, rules(plan), mixed)).toMatchObject({ people: 4, hours: 4, money: null });
  });

  test('money is told whole, in groups, with its currency', () => {
    const plan = priced(quayFootbridge());
    expect(moneyWords(1234567.6, plan)).toBe('1\u202f234\u202f568\u00a0EUR');
    expect(moneyWords(950, bare())).toBe('950');
  });
});

describe('how often a crane comes', () => {
  const of = (plan: Plan) => craneVisits(plan, rules(plan));

  test('set up again straight after it left its first stand it has moved on: one visit', () => {
    const plan = priced(quayFootbridge());
    const [one] = of(plan);
    // Two stands of 3 h, four lifts of half an hour: 8 h are one day of 8.
    expect(one!.visits).toEqual([{ move: 'c1s', stands: ['w1', 'w2'], lifts: 4, hours: 8, days: 1, money: 1600 + 700 }]);
    expect(one!.together).toEqual(one!.visits[0]);
    plan.job.thresholds.hoursPick = 0.6;
    expect(of(plan)[0]!.visits[0]).toMatchObject({ hours: expect.closeTo(8.4, 9), days: 2, money: 3900 });
  });

  test('other work between, it comes again: both are held against one', () => {
    const plan = priced(passengerCanopy());
    const [one] = of(plan);
    expect(one!.visits.map(({ lifts, stands }) => [lifts, stands])).toEqual([
      [30, ['s1']],
      [27, ['s2']],
    ]);
    // 18 h and 16.5 h are three days each; 34.5 h in one visit are five.
    expect(one!.visits.map(({ days, money }) => [days, money])).toEqual([
      [3, 5500],
      [3, 5500],
    ]);
    expect(one!.together).toMatchObject({ lifts: 57, hours: 34.5, days: 5, money: 8700 });
  });

  test('a crane that stands at two places at once is there once; one that no move sets is not there', () => {
    const plan = priced(quayFootbridge());
    const set = plan.moves.filter(({ kind }) => kind === 'crane.set');
    plan.moves = [...set, ...plan.moves.filter(({ kind }) => kind !== 'crane.set' && kind !== 'crane.leave')];
    expect(of(plan)[0]!.visits).toHaveLength(1);
    plan.moves = plan.moves.filter(({ kind }) => kind !== 'crane.set');
    expect(of(plan)).toEqual([]);
  });

  test('of two cranes at one piece each has that lift, as one by two', () => {
    const plan = priced(quayFootbridge());
    plan.cranes.push({ ...plan.cranes[0]!, id: 'c9', name: 'Other' });
    plan.stands.push({ ...plan.stands[0]!, id: 'w9', name: 'W9', crane: 'c9' });
    plan.picks[0]!.second = { stand: 'w9', boom: 27, slingRating: 5000, riggingMass: 95 };
    plan.moves.unshift({ id: 'x9', kind: 'crane.set', stand: 'w9' });
    const found = of(plan);
    expect(found.map(({ crane: { id }, visits }) => [id, visits[0]!.lifts, visits[0]!.hours])).toEqual([
      ['c1', 4, 6 + 3 * 0.5 + 2],
      ['c9', 1, 3 + 2],
    ]);
  });

  test('prices that are not said are asked of each crane', () => {
    const [one] = of(bare());
    expect(one!.visits[0]).toMatchObject({ hours: 8, days: null, money: null });
    expect(one!.asks).toHaveLength(3);
  });
});

describe('what all lifts of a job take, in words', () => {
  const of = (plan: Plan) =>
    liftsTake(plan, rules(plan)).map((one) => ({ ...one, visits: one.visits.map(plain), together: one.together && plain(one.together) }));
  const plain = (words: string) => words.replace(/[\u202f\u00a0]/g, ' ');

  test('one visit; two are held against one', () => {
    expect(of(priced(quayFootbridge()))).toEqual([
      { crane: 'c1', name: 'Curlew 50', visits: ['4 lifts from 2 stands, 8 h, one day, 2 300 EUR'], together: null, saved: null, asks: [] },
    ]);
    const [two] = of(priced(passengerCanopy()));
    expect(two!.visits).toEqual(['Visit 1: 30 lifts from one stand, 18 h, 3 days, 5 500 EUR', 'Visit 2: 27 lifts from one stand, 16.5 h, 3 days, 5 500 EUR']);
    expect(two!.together).toBe('In one visit: 57 lifts from 2 stands, 34.5 h, 5 days, 8 700 EUR');
    expect(plain(two!.saved!)).toBe('Coming more than once costs 2 300 EUR more.');
  });

  test('without prices the hours stand, and what they would need is asked', () => {
    const [one] = of(bare());
    expect(one!.visits).toEqual(['4 lifts from 2 stands, 8 h']);
    expect(one!.saved).toBeNull();
    expect(one!.asks).toHaveLength(3);
  });

  test('lifts without a crane are told with their sum, each of them counted', () => {
    const plan = priced(raised('mastLift'));
    plan.cranes = [];
    expect(of(plan).at(-1)).toMatchObject({ crane: null, visits: ['one lift, 4 people at most, 2 h, 530 EUR'], together: null });
    plan.raises!.push({ ...raised('hands').raises![0]!, id: 'by hand' });
    // The mast lifts as before, and forty people for four hours.
    expect(of(plan).at(-1)!.visits).toEqual(['2 lifts, 40 people at most, 6 h, 6 930 EUR']);
    for (const point of plan.raises![1]!.points) if (point.kind === 'hands') point.people = null;
    expect(of(plan).at(-1)).toMatchObject({ visits: ['2 lifts, a crew nobody has counted, 6 h'], asks: ['How many people lift it?'] });
  });
});
