import { demoPlan, passengerCanopy, ticketHall } from '../../../tests/demo-plan';
import { raised } from '../../../tests/raised';
import { dayOfLifts, elsewhere } from './across-jobs';
import type { JobGear } from './shared-gear';
import type { Plan, YardThing } from './schema';
import { inUse, isPulled } from './yard';

const thing = (changes: Partial<YardThing> = {}): YardThing => ({
  id: 'y1',
  kind: 'slings',
  name: 'Set 4',
  rating: 2000,
  inspected: { by: 'P. Varga', on: '2026-10-12' },
  ...changes,
});
const here = (edit: (plan: Plan) => unknown = () => undefined): Plan => {
  const plan = demoPlan();
  plan.yard = [thing()];
  plan.picks[0]!.gear = ['y1'];
  plan.site.shift = { from: '2026-11-25T07:00', to: '2026-11-25T15:00' };
  edit(plan);
  return plan;
};
const other = (yard: YardThing[], changes: Partial<JobGear> = {}): JobGear => ({
  id: 'j2',
  name: 'Quay',
  cranes: [],
  duties: [],
  yard,
  day: null,
  used: [],
  ...changes,
});
const told = (jobs: JobGear[], mine = thing(), plan = here()) => elsewhere(plan, mine, jobs).map(({ job, ...says }) => [job.name, ...Object.values(says)]);

describe('one thing in two jobs', () => {
  test('said alike nothing is told; its number goes by its letters, not by how they are spaced', () => {
    expect(told([other([thing({ id: 'z' })])])).toEqual([]);
    expect(told([other([thing({ id: 'z', name: ' set  4', rating: 2010 })])])).toEqual([]);
    expect(told([other([thing({ id: 'z', name: 'Set 5', rating: 900 })])])).toEqual([]);
    expect(told([other([thing({ id: 'z', kind: 'shackles', rating: 900 })])])).toEqual([]);
    expect(told([other([thing({ id: 'z', name: '', rating: 900 })])], thing({ name: ' ' }))).toEqual([]);
  });
  test('a tag read otherwise, higher or lower, or read there and not here', () => {
    expect(told([other([thing({ id: 'z', rating: 1500 })])])).toEqual([['Quay', 'rating', 1500]]);
    expect(told([other([thing({ id: 'z', rating: 2500 })])])).toEqual([['Quay', 'rating', 2500]]);
    expect(told([other([thing({ id: 'z' })])], thing({ rating: null }))).toEqual([['Quay', 'rating', 2000]]);
    expect(told([other([thing({ id: 'z', rating: null })])])).toEqual([]);
  });
  test('another inspection, of another day or by somebody else', () => {
    const by = (inspected: YardThing['inspected']) => told([other([thing({ id: 'z', inspected })])]);
    expect(by({ by: 'P. Varga', on: '2026-11-01' })).toEqual([['Quay', 'inspected', { by: 'P. Varga', on: '2026-11-01' }]]);
    expect(by({ by: 'L. Marsh', on: '2026-10-12' })).toEqual([['Quay', 'inspected', { by: 'L. Marsh', on: '2026-10-12' }]]);
    expect(by({ by: ' P. Varga ', on: '2026-10-12' })).toEqual([]);
    expect(by(null)).toEqual([]);
    expect(told([other([thing({ id: 'z' })])], thing({ inspected: null }))).toHaveLength(1);
  });
  test('a day on which both lift with it; not where one of them only has it, or on another day', () => {
    const same = { day: '2026-11-25', used: ['z'] };
    expect(told([other([thing({ id: 'z' })], same)])).toEqual([['Quay', 'day', '2026-11-25']]);
    expect(told([other([thing({ id: 'z' })], { ...same, day: '2026-11-26' })])).toEqual([]);
    expect(told([other([thing({ id: 'z' })], { ...same, used: ['y1'] })])).toEqual([]);
    expect(
      told(
        [other([thing({ id: 'z' })], same)],
        thing(),
        here((plan) => (plan.picks[0]!.gear = [])),
      ),
    ).toEqual([]);
    expect(
      told(
        [other([thing({ id: 'z' })], { ...same, day: null })],
        thing(),
        here((plan) => delete plan.site.shift),
      ),
    ).toEqual([]);
  });
  test('of every job, and of every thing of that number in it', () =>
    expect(
      told([other([thing({ id: 'z', rating: 900 }), thing({ id: 'w', rating: 800 })]), other([thing({ id: 'v', rating: 700 })], { name: 'Hall' })]),
    ).toEqual([
      ['Quay', 'rating', 900],
      ['Quay', 'rating', 800],
      ['Hall', 'rating', 700],
    ]));
});

test('what is in use: by picks, lifts without a crane and legs on which something is pulled', () => {
  const hoist = raised('hoist');
  hoist.raises![0]!.gear = ['h1', 'h2'];
  expect([...inUse(hoist)]).toEqual(['h1', 'h2']);
  const way = ticketHall();
  const leg = way.ways.flatMap(({ legs }) => legs.filter(isPulled))[0]!;
  leg.gear = ['w1'];
  expect(inUse(way).has('w1')).toBe(true);
  expect([...inUse(passengerCanopy())]).toEqual(['y-slings']);
});

test('the day of the lifts is that of the shift', () => {
  expect(dayOfLifts(here())).toBe('2026-11-25');
  expect(dayOfLifts(here((plan) => delete plan.site.shift))).toBeNull();
});
