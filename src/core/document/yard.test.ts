import { demoPlan, quayFootbridge } from '../../../tests/demo-plan';
import { raised } from '../../../tests/raised';
import { applyCommand } from '../edit/apply';
import { addMonths } from '../units/day';
import { describe as words } from '../verdict/describe';
import { evaluate } from '../evaluate';
import { openPlan } from './open';
import type { Plan, YardThing } from './schema';
import { gearInUse, saidTwice, withItsGear } from './yard';

const TODAY = '2026-11-27';
/** What is changed of a plan once it was evaluated is another plan. */
const of = (plan: Plan, id: string, today: string | null = TODAY) => evaluate(structuredClone(plan), today).checks.filter((one) => one.id === id);
const say = (plan: Plan, id: string, today: string | null = TODAY) => of(plan, id, today).map((check) => `${check.verdict}: ${words(check, 'metric')}`);
const inspected = (on: string, by = 'P. Varga') => ({ by, on });
const slings = (changes: Partial<YardThing> = {}): YardThing => ({
  id: 'y1',
  kind: 'slings',
  name: 'Set 9',
  rating: 1000,
  inspected: inspected('2026-10-12'),
  ...changes,
});
/** The luggage hall with one set of slings in its yard, in its only pick. */
const hall = (thing: YardThing = slings(), edit: (plan: Plan) => unknown = () => undefined): Plan => {
  const plan = demoPlan();
  plan.yard = [thing];
  plan.picks[0]!.gear = [thing.id];
  edit(plan);
  return plan;
};

test.each([
  ['2026-01-31', 1, '2026-02-28'],
  ['2024-01-31', 1, '2024-02-29'],
  ['2026-08-31', 6, '2027-02-28'],
  ['2026-12-15', 12, '2027-12-15'],
  ['2026-10-12', 6, '2027-04-12'],
])('%s and %d months is %s', (on, months, until) => expect(addMonths(on, months)).toBe(until));

describe('papers', () => {
  test('a crane inspected within the year is good; on the day after it is a stop; by the shorter interval of a job sooner', () => {
    const plan = demoPlan();
    plan.cranes[0]!.inspected = inspected('2025-11-27');
    expect(say(plan, 'crane.inspected')).toEqual([expect.stringMatching(/^clear: .*good until 27 Nov 2026/)]);
    expect(say(plan, 'crane.inspected', '2026-11-28')).toEqual([expect.stringMatching(/^stop: .*ran out on 27 Nov 2026/)]);
    plan.job.thresholds.inspectCrane = 3;
    expect(say(plan, 'crane.inspected')[0]).toMatch(/^stop: .*good for 3/);
    plan.job.thresholds.inspectCrane = 24;
    expect(of(plan, 'rules.floor')).toHaveLength(1);
  });

  test.each<[string, Plan['cranes'][number]['inspected'], RegExp]>([
    ['nobody said', null, /When was .* last inspected/],
    ['of nobody', inspected('2026-06-18', ' '), /names nobody/],
    ['of a role', inspected('2026-06-18', 'inspector'), /names nobody/],
    ['of no day', inspected('', 'P. Varga'), /has no date/],
    ['still to come', inspected('2026-12-24'), /still to come/],
    ['of no calendar', inspected('2026-02-30'), /not a date/],
  ])('an inspection %s is asked about', (_, record, says) => {
    const plan = demoPlan();
    plan.cranes[0]!.inspected = record;
    const [row] = of(plan, 'crane.inspected');
    expect(row!.verdict).toBe('missing');
    expect(words(row!, 'metric')).toMatch(says);
  });

  test('each crane that stands somewhere has its own; one that stands nowhere is not asked', () => {
    const plan = demoPlan();
    plan.cranes.push({ ...structuredClone(plan.cranes[0]!), id: 'c2', name: 'Second', inspected: null });
    expect(of(plan, 'crane.inspected')).toHaveLength(1);
    plan.stands.push({ ...structuredClone(plan.stands[0]!), id: 's2', name: 'S2', crane: 'c2', at: { x: 60, y: 60 } });
    expect(of(plan, 'crane.inspected').map(({ about, verdict }) => [about.id, verdict])).toEqual([
      [plan.cranes[0]!.id, 'clear'],
      ['c2', 'missing'],
    ]);
  });

  test('gear in use is good for six months in Europe and twelve in America; what only lies there is not asked', () => {
    const plan = hall(slings({ inspected: inspected('2026-04-01') }));
    expect(say(plan, 'gear.inspected')[0]).toMatch(/^stop: Set 9 .*ran out on 1 Oct 2026/);
    plan.job.ruleSet = 'us-asd';
    expect(say(plan, 'gear.inspected')[0]).toMatch(/^clear: .*good until 1 Apr 2027/);
    plan.picks[0]!.gear = [];
    expect(of(plan, 'gear.inspected')).toEqual([]);
    expect(say(plan, 'gear.named')).toEqual([expect.stringMatching(/^missing: With which slings of the yard is TB1 lifted/)]);
    plan.yard = [slings({ kind: 'shackles' })];
    expect(of(plan, 'gear.named')).toEqual([]);
  });
});

describe('what a tag says', () => {
  test('the lower of two ratings governs, whichever it is, and it is asked which is right', () => {
    const tension = (plan: Plan) => of(plan, 'rigging.tension')[0]!;
    const half = hall(slings({ rating: 500 }));
    expect(tension(half).capacity).toBeCloseTo(tension(demoPlan()).capacity! / 2, 6);
    expect(say(half, 'gear.rating')).toEqual([
      expect.stringMatching(/^missing: TB1: the pick says 1\s?000\skg for one leg of its slings, and its tag in the yard 500\skg/),
    ]);
    const twice = hall(slings({ rating: 2000 }));
    expect(tension(twice).capacity).toBe(tension(demoPlan()).capacity);
    expect(of(twice, 'gear.rating')).toHaveLength(1);
    expect(of(hall(), 'gear.rating')).toEqual([]);
  });

  test('where the pick says nothing the tag does; of several sets the weakest', () => {
    const plan = hall(slings(), (one) => {
      one.picks[0]!.slingRating = null;
      one.yard!.push(slings({ id: 'y2', rating: 800 }), slings({ id: 'y3', kind: 'shackles', rating: 10 }));
      one.picks[0]!.gear = ['y1', 'y2', 'y3'];
    });
    expect(withItsGear(plan, plan.picks[0]!).slingRating).toBe(800);
    expect(saidTwice(plan, plan.picks[0]!)).toEqual([]);
    expect(of(plan, 'rigging.tension')[0]!.verdict).not.toBe('missing');
  });

  test('a bar that is not in the yard is asked for where the pick names its slings; a ramp, a trolley or a post lifts nothing there', () => {
    const plan = quayFootbridge();
    const bar = plan.yard!.find(({ id }) => id === 'y-bar')!;
    bar.kind = 'mats';
    expect(say(plan, 'gear.named')).toEqual([0, 1].map(() => expect.stringMatching(/^missing: With which spreader or lifting beam of the yard is G/)));
    for (const kind of ['ramp', 'trolley', 'post'] as const) {
      bar.kind = kind;
      expect(say(plan, 'gear.named')).toContainEqual(expect.stringMatching(/of the yard is written down for G.*What is it there for/));
    }
  });

  test('the plate of a bar is held against the yard too', () => {
    const plan = quayFootbridge();
    plan.yard!.find(({ id }) => id === 'y-bar')!.rating = 3000;
    expect(of(plan, 'rigging.bar').map(({ verdict }) => verdict)).toEqual(['stop', 'stop']);
    expect(of(plan, 'gear.rating')).toHaveLength(2);
  });
});

describe('what hangs in a leg with the slings, and what no tag tells', () => {
  const add = (kind: YardThing['kind'], rating: number | null) =>
    hall(slings(), (plan) => {
      plan.yard!.push(slings({ id: 'y9', kind, name: 'No. 9', rating }));
      plan.picks[0]!.gear = ['y1', 'y9'];
    });

  test.each([
    ['shackles', 'rigging.shackle'],
    ['other', 'rigging.other'],
  ] as const)('%s carry what a leg pulls, by their own tag', (kind, id) => {
    const [leg] = of(hall(), 'rigging.tension');
    const [strong] = of(add(kind, 2000), id);
    expect(strong!.demand).toBeCloseTo(leg!.demand! / 9.80665, 6);
    expect([strong!.capacity, strong!.verdict]).toEqual([2000, 'clear']);
    expect(say(add(kind, 600), id)).toEqual([
      expect.stringMatching(/^stop: .* of TB1: one comes to carry 768\skg with the dynamic factor; its tag says 600\skg/),
    ]);
    expect(of(hall(), id)).toEqual([]);
    expect(of(add(kind, null), id)).toEqual([]);
  });

  test('a clamp whose tag says less than the pick is held to its tag, and asked about', () => {
    const plan = (rating: number) => {
      const made = add('clamp', rating);
      made.picks[0]!.hitch = { kind: 'clamps', carries: 2000 };
      return made;
    };
    expect(of(plan(2000), 'rigging.held')[0]!.verdict).toBe('clear');
    const weak = plan(600);
    expect(of(weak, 'rigging.held')[0]).toMatchObject({ verdict: 'stop', capacity: expect.closeTo(600 * 9.80665, 3) });
    expect(say(weak, 'gear.rating')).toEqual([expect.stringMatching(/for one clamp, and its tag in the yard 600/)]);
    const lugs = plan(600);
    lugs.picks[0]!.hitch = { kind: 'lugs', carries: 2000 };
    expect(of(lugs, 'rigging.held')[0]!.verdict).toBe('clear');
  });

  test('of two hooks each has the slings that are nearest to what is said of it', () => {
    const plan = (main: number, second: number, ...tags: number[]) => {
      const made = hall(slings(), (one) => {
        one.yard = tags.map((rating, n) => slings({ id: `y${n}`, rating }));
        Object.assign(one.picks[0]!, { gear: one.yard.map(({ id }) => id), slingRating: main });
        one.picks[0]!.second = { stand: one.stands[0]!.id, boom: 20, slingRating: second, riggingMass: 30 };
      });
      const pick = withItsGear(made, made.picks[0]!);
      return [pick.slingRating, pick.second!.slingRating, saidTwice(made, made.picks[0]!).map(({ what, tag }) => [what, tag])];
    };
    expect(plan(1000, 5000, 1000, 5000)).toEqual([1000, 5000, []]);
    expect(plan(5000, 1000, 1000, 5000)).toEqual([5000, 1000, []]);
    expect(plan(1000, 5000, 1000)).toEqual([1000, 1000, [['the sling on its second hook', 1000]]]);
    expect(plan(1000, 5000, 1000, 3000)).toEqual([1000, 3000, [['the sling on its second hook', 3000]]]);
  });

  test.each(['slings', 'shackles', 'spreader', 'clamp', 'hoist', 'post', 'other'] as const)('%s in use of which no tag is read are asked for it', (kind) => {
    expect(say(add(kind, null), 'gear.tag')).toEqual([expect.stringMatching(/^missing: What does the tag of No. 9 say it may carry/)]);
    expect(of(add(kind, 9000), 'gear.tag')).toEqual([]);
  });
  test('what only lies in the yard is not asked, nor tag lines and mats', () => {
    expect(of(add('tagLine', null), 'gear.tag')).toEqual([]);
    expect(of(add('mats', null), 'gear.tag')).toEqual([]);
    const idle = add('shackles', null);
    idle.picks[0]!.gear = ['y1'];
    expect(of(idle, 'gear.tag')).toEqual([]);
  });

  test.each(['slings', 'shackles', 'trolley', 'post', 'other'] as const)('%s of a hoist carry what it pulls, each place by itself', (kind) => {
    const plan = (rating: number) => {
      const made = raised('hoist');
      made.yard = [slings({ id: 'y1', kind: 'hoist', rating: 500 }), slings({ id: 'y2', kind: 'hoist', rating: 500 }), slings({ id: 'y3', kind, rating })];
      made.raises![0]!.gear = ['y1', 'y2', 'y3'];
      return made;
    };
    const pulls = of(plan(900), 'raise.share').map(({ demand }) => demand!);
    const found = of(plan(900), 'raise.tag');
    // Over the hoist hang its own 20 kg too.
    expect(found.map(({ demand }) => demand!)).toEqual(pulls.map((one) => expect.closeTo(one + (kind === 'slings' ? 0 : 20), 6)));
    expect(found.every(({ verdict }) => verdict === 'clear')).toBe(true);
    expect(of(plan(100), 'raise.tag').map(({ verdict }) => verdict)).toEqual(['stop', 'stop']);
    expect(new Set(found.map(({ about }) => about.part)).size).toBe(2);
  });
});

describe('one thing in one place at a time', () => {
  test('slings go from one lift to the next once the first has let go', () => {
    const plan = quayFootbridge();
    expect(of(plan, 'gear.twice')).toEqual([]);
    const uses = gearInUse(plan);
    expect(uses).toHaveLength(4);
    const at = (kind: string, beam: string) => plan.moves.findIndex((move) => move.kind === kind && 'beam' in move && move.beam === beam);
    const first = uses.find(({ by }) => by.id === 'k1')!;
    // From the short raise of it, the first thing done with it, until its hook has let go.
    expect(plan.moves[first.from]).toMatchObject({ kind: 'pick.trial', pick: 'k1' });
    expect(first.to).toBe(at('piece.letGo', 'g1a'));
    for (const { by, from, to } of uses) expect([by.id, from < to, Number.isFinite(to)]).toEqual([by.id, true, true]);
    // A hook that keeps some of it has not let go.
    Object.assign(plan.moves[at('piece.letGo', 'g1a')]!, { keeps: 5000 });
    expect(gearInUse(plan).find(({ by }) => by.id === 'k1')!.to).toBe(Infinity);
  });

  test('slung with them while the first still hangs is a stop at that move, named', () => {
    const plan = quayFootbridge();
    // The first girder is let go only at the end.
    const at = plan.moves.findIndex((move) => move.kind === 'piece.letGo' && move.beam === 'g1a');
    plan.moves.push(...plan.moves.splice(at, 1));
    const rows = of(plan, 'gear.twice');
    // All that follow, also past those that were let go meanwhile.
    expect(rows.flatMap(({ about }) => (about.id === 'y-slings' ? [about.part] : []))).toEqual(['k2', 'k3', 'k4']);
    expect(rows.every(({ verdict, about }) => verdict === 'stop' && about.kind === 'yard')).toBe(true);
    expect(words(rows[0]!, 'metric')).toMatch(/still holds G1a when G2a is slung with it/);
    expect(rows.some(({ move }) => move !== null && plan.moves.some(({ id }) => id === move))).toBe(true);
    // Other slings for the second: nothing is in two places but what both share.
    plan.yard!.push(slings({ id: 'y-more', rating: 5000 }));
    for (const pick of plan.picks) if (pick.id !== 'k1') Object.assign(pick, { gear: ['y-more'], rig: null, legs: { left: 5.5, right: 5.5 } });
    expect(of(plan, 'gear.twice')).toEqual([]);
  });
});

test('a rating that is told later, all else the same, is heard of', () => {
  const plan = hall();
  const before = of(plan, 'rigging.tension')[0]!.capacity!;
  expect(of({ ...plan, yard: [slings({ rating: 500 })] }, 'rigging.tension')[0]!.capacity).toBeCloseTo(before / 2, 6);
});

test('what a lift without a crane is made with has its papers too, and is of the yard', () => {
  const plan = raised('hoist');
  plan.yard = [slings({ id: 'y-hoist', kind: 'hoist', name: 'Hoist 3', inspected: null })];
  plan.raises![0]!.gear = ['y-hoist'];
  expect(say(plan, 'gear.inspected')).toEqual([expect.stringMatching(/^missing: When was Hoist 3 last inspected/)]);
  const opened = openPlan(JSON.parse(JSON.stringify({ ...plan, yard: [] })));
  expect(JSON.stringify(opened)).toContain('raises[0].gear[0]');
});

test('a thing taken out of the yard is in no lift, and a lift that names none of the yard is refused', () => {
  const plan = hall();
  const { plan: without } = applyCommand(plan, { name: 'removeFrom', args: { list: 'yard', id: 'y1' } }) as { plan: Plan };
  expect(without.yard).toEqual([]);
  expect(without.picks[0]!.gear).toEqual([]);
  const opened = openPlan(JSON.parse(JSON.stringify({ ...plan, yard: [] })));
  expect(opened).toMatchObject({ ok: false });
  expect(JSON.stringify(opened)).toContain('picks[0].gear[0]');
});
