import { ticketHall } from '../../../../tests/demo-plan';
import { wayIn } from '../../../../tests/of-plan';
import { raised } from '../../../../tests/raised';
import { GRAVITY } from '../../units';
import { applyCommand } from '../../edit/apply';
import { describe as words } from '../../verdict/describe';
import { openPlan } from '../../document/open';
import type { Plan, Raise, YardThing } from '../../document/schema';
import { isPulled, type PulledLeg } from '../../document/yard';
import { evaluate } from '../../evaluate/index';

const TODAY = '2026-11-28';
type Edit<K extends PulledLeg['kind']> = (leg: Extract<PulledLeg, { kind: K }>, plan: Plan) => unknown;
const on = <K extends PulledLeg['kind']>(kind: K, edit: Edit<K> = () => undefined): Plan => {
  const plan = ticketHall();
  edit(wayIn(plan).legs.find((one) => one.kind === kind) as Extract<PulledLeg, { kind: K }>, plan);
  const opened = openPlan(plan);
  if (!opened.ok) throw new Error(opened.faults[0]?.error);
  return opened.plan;
};
const of = (plan: Plan, id: string) => evaluate(plan, TODAY).checks.filter((one) => one.id === id);
const say = (plan: Plan, id: string) => of(plan, id).map((check) => `${check.verdict}: ${words(check, 'metric').replace(/\u00a0/g, ' ')}`);
const thing = (changes: Partial<YardThing>): YardThing => ({
  id: 'y1',
  kind: 'winch',
  name: 'W 3',
  rating: 1000,
  inspected: { by: 'P. Varga', on: '2026-10-12' },
  ...changes,
});
const line = (anchoredTo: string, carries: number | null) => ({ kind: 'line' as const, anchoredTo, carries });
const push = (people: number | null) => ({ kind: 'people' as const, people });

describe('what pulls a piece along', () => {
  test.each(['ramp', 'rollers'] as const)('on a %s: what the line is made fast to takes what the line pulls', (kind) => {
    /** The leg that is changed, not the others. */
    const said = (pull: PulledLeg['pull']): string => {
      let id = '';
      const plan = on(kind, (leg) => ((leg.pull = pull), (id = leg.id)));
      return of(plan, 'way.anchor')
        .filter(({ about }) => about.id === id)
        .map((check) => `${check.verdict}: ${words(check, 'metric')}`)
        .join();
    };
    expect(said(line('a bollard', 50e3))).toMatch(/^clear: .* at a bollard, which may take/);
    expect(said(line('a bollard', 20))).toMatch(/^stop/);
    expect(said(line('a bollard', null))).toMatch(/^missing: What may a bollard take/);
    expect(said(line(' - ', 5000))).toMatch(/^missing: What is the line on .* made fast to/);
    expect(said(null)).toMatch(/^missing: What pulls .*: people, or a line/);
    expect(said(undefined)).toMatch(/^missing: What pulls/);
    expect(said(push(9))).toBe('');
  });

  test('people on a level floor: each his share of what starts it, by hand', () => {
    const plan = on('rollers', (leg) => Object.assign(leg, { pull: push(2), line: null }));
    const [row] = of(plan, 'way.push');
    const { weight, starting } = row!.traces[0]!.input as { weight: number; starting: number };
    expect(row!.demand).toBeCloseTo((weight * starting) / 2, 6);
    expect(row!.capacity).toBe(200);
    expect(row!.verdict).toBe('clear');
    // No line, and nobody asks what a line is rated for or made fast to.
    expect(of(plan, 'way.rollers')).toEqual([]);
    expect(
      say(
        on('rollers', (leg) => Object.assign(leg, { pull: push(1), starting: 0.5 })),
        'way.push',
      ),
    ).toEqual([expect.stringMatching(/^stop: .*the guideline/)]);
    expect(
      say(
        on('rollers', (leg) => (leg.pull = push(null))),
        'way.push',
      ),
    ).toEqual([expect.stringMatching(/^missing: How many people push/)]);
  });

  test('downhill the line holds back more than it pulls', () => {
    const [row] = of(
      on('rollers', (leg) => (leg.slopeDeg = -8)),
      'way.rollers',
    );
    const { start, holdBack } = row!.traces[0]!.output as { start: number; holdBack: number };
    expect(holdBack).toBeGreaterThan(start);
    expect(row!.demand).toBe(holdBack);
  });

  test('what runs by itself is held by a line, not by people', () => {
    expect(
      say(
        on('rollers', (leg) => Object.assign(leg, { pull: push(6), slopeDeg: -8 })),
        'way.push',
      ),
    ).toEqual([expect.stringMatching(/^stop: .*runs by itself/)]);
    expect(
      say(
        on('ramp', (leg) => Object.assign(leg, { pull: push(6) })),
        'way.push',
      ),
    ).toEqual([expect.stringMatching(/^stop: .*runs by itself/)]);
    expect(
      say(
        on('ramp', (leg) => Object.assign(leg, { pull: push(6), friction: 0.4 })),
        'way.push',
      ),
    ).toEqual([expect.stringMatching(/^clear/)]);
  });
});

describe('gear of the yard on a way in', () => {
  const yard =
    (...things: YardThing[]) =>
    (plan: Plan) =>
      void (plan.yard = [...(plan.yard ?? []), ...things]);

  test('of what the way says of its line and what the winch’s tag says the lower counts, and both are asked about', () => {
    const plan = (rating: number | null) => on('ramp', (leg, p) => (yard(thing({ rating }))(p), (leg.gear = ['y1'])));
    const ramp = of(plan(10), 'way.ramp')[0]!;
    expect(ramp.capacity).toBeCloseTo(10 * GRAVITY, 6);
    expect(ramp.verdict).toBe('stop');
    expect(say(plan(10), 'gear.rating')).toEqual([
      expect.stringMatching(/^missing: Quay ramp: the way in says 122 kg for its line, and its tag in the yard 10.0 kg/),
    ]);
    expect(of(plan(null), 'way.ramp')[0]!.capacity).toBe(1200);
    expect(say(plan(null), 'gear.rating')).toEqual([]);
    expect(of(plan(9000), 'way.ramp')[0]!.capacity).toBe(1200);
  });

  test('a winch out of date is a stop; one that lies in the yard is asked of the leg that is pulled; people have none', () => {
    const old = thing({ inspected: { by: 'P. Varga', on: '2025-01-05' } });
    expect(
      say(
        on('ramp', (leg, p) => (yard(old)(p), (leg.gear = ['y1']))),
        'gear.inspected',
      ).join(),
    ).toMatch(/stop: W 3 was last inspected/);
    const idle = on('ramp', (_, p) => yard(old)(p));
    expect(say(idle, 'gear.inspected').join()).not.toMatch(/W 3/);
    expect(say(idle, 'gear.named').join()).toMatch(/missing: With which winch of the yard is the piece moved at Quay ramp/);
    const pushed = on('rollers', (leg, p) => (yard(thing({}))(p), (leg.pull = push(3)), (leg.gear = ['y1'])));
    expect(say(pushed, 'gear.named').join()).toMatch(/A winch of the yard is written down for Trolley to the wall, which has no use for one/);
  });

  test('skates carry the piece by their tags, the weakest as much as each', () => {
    const skates = (...ratings: (number | null)[]) =>
      on('rollers', (leg, p) => {
        yard(...ratings.map((rating, n) => thing({ id: `s${n}`, kind: 'rollers', name: `S ${n}`, rating })))(p);
        leg.gear = ratings.map((_, n) => `s${n}`);
      });
    const [one] = of(skates(500), 'way.skates');
    expect([one!.capacity, one!.verdict]).toEqual([500, 'clear']);
    expect(of(skates(500, 40), 'way.skates')[0]!.capacity).toBe(80);
    expect(of(skates(20), 'way.skates')[0]!.verdict).toBe('stop');
    expect(say(skates(500, null), 'way.skates')).toEqual([expect.stringMatching(/^missing: What does the tag of S 1/)]);
    expect(of(on('rollers'), 'way.skates')).toEqual([]);
  });

  test('a ramp carries by its tag too, in halves the weaker as much as each', () => {
    const ramp = (...ratings: (number | null)[]): Plan =>
      on('ramp', (leg, p) => {
        yard(...ratings.map((rating, n) => thing({ id: `r${n}`, kind: 'ramp', name: `R ${n}`, rating })))(p);
        leg.gear = ratings.map((_, n) => `r${n}`);
      });
    const [one] = of(ramp(2000), 'way.skates');
    expect([one!.capacity, one!.verdict]).toEqual([2000, 'clear']);
    expect(of(ramp(2000, 40), 'way.skates')[0]!.capacity).toBe(80);
    expect(say(ramp(20), 'way.skates')).toEqual([expect.stringMatching(/^stop: .* goes over R 0 at /)]);
    expect(say(ramp(null), 'way.skates')).toEqual([expect.stringMatching(/^missing: What does the tag of R 0/)]);
    // Skates written down for a ramp carry nothing there.
    expect(
      of(
        on('ramp', (leg, p) => (yard(thing({ id: 's1', kind: 'rollers', rating: 20 }))(p), (leg.gear = ['s1']))),
        'way.skates',
      ),
    ).toEqual([]);
  });

  test('gear taken out of the yard is on no way, and a way that names none of the yard is refused', () => {
    const plan = on('ramp', (leg, p) => (yard(thing({}))(p), (leg.gear = ['y1'])));
    const done = applyCommand(plan, { name: 'removeFrom', args: { list: 'yard', id: 'y1' } });
    if (!done.ok) throw new Error(done.faults[0]?.error);
    expect(done.plan.ways.flatMap(({ legs }) => legs.filter(isPulled)).flatMap(({ gear = [] }) => gear)).toEqual([]);
    const loose = structuredClone(plan);
    loose.yard = [];
    const opened = openPlan(loose);
    expect(opened.ok ? [] : opened.faults.map(({ path }) => path)).toEqual([expect.stringMatching(/^ways\[0\]\.legs\[\d+\]\.gear\[0\]$/)]);
  });
});

describe('gear of the yard that raises', () => {
  const lifting = (kind: 'hoist' | 'mastLift' | 'jack', ratings: (number | null)[], edit: (raise: Raise) => unknown = () => undefined): Plan =>
    raised(kind, (raise, plan) => {
      plan.yard = ratings.map((rating, n) => thing({ id: `y${n}`, kind, name: `No. ${n}`, rating }));
      raise.gear = plan.yard.map(({ id }) => id);
      edit(raise);
    });

  test.each(['hoist', 'mastLift', 'jack'] as const)('a %s whose tag says less than its plate is held to its tag, and asked about', (kind) => {
    const sound = of(lifting(kind, [null, null]), 'raise.share').map(({ capacity }) => capacity!);
    const weak = of(lifting(kind, [30, 30]), 'raise.share');
    expect(weak.every(({ verdict }) => verdict === 'stop')).toBe(true);
    for (const [n, { capacity }] of weak.entries()) expect(capacity!).toBeLessThan(sound[n]! / 5);
    expect(of(lifting(kind, [30, 30]), 'gear.rating').map(({ verdict }) => verdict)).toEqual(['missing', 'missing']);
    expect(of(lifting(kind, [null, null]), 'gear.rating')).toEqual([]);
  });

  test('two places and one hoist: where is the other; none named and one there: which', () => {
    expect(say(lifting('jack', [300]), 'gear.named')).toEqual([
      expect.stringMatching(/is raised at 2 places by a jack each, and only 1 of the yard is written down/),
    ]);
    expect(of(lifting('jack', [300, 300]), 'gear.named')).toEqual([]);
    expect(
      say(
        lifting('jack', [300, 300], (raise) => (raise.gear = [])),
        'gear.named',
      ),
    ).toEqual([expect.stringMatching(/With which jack of the yard/)]);
    expect(
      say(
        lifting('hoist', [300, 300], (raise) => raise.points.forEach((one) => (one.kind === 'hoist' ? Object.assign(one, { kind: 'hands' }) : one))),
        'gear.named',
      ).join(),
    ).toMatch(/A hoist of the yard is written down for/);
  });
});
