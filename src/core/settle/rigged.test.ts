import { evaluated } from '../../../tests/evaluated';
import fc from 'fast-check';
import { demoPlan, vehicleRamp } from '../../../tests/demo-plan';
import { runCalc } from '../catalogue/run';
import { rulesOf } from '../rules/rule-sets';
import { describe as words } from '../verdict/describe';
import { newRig } from '../document/things/rig';
import type { Hanging } from './hanging';
import { openPlan } from '../document/open';
import { pickContext } from '../checks/lift/pick-context';
import type { Pick, Plan, Rig } from '../document/schema';
import { settle } from './settle';

const TODAY = '2026-11-27';
const G = 9.80665;

describe('a piece under a bar', () => {
  type Input = { weight: number; between: number; cgFromLeft: number; cgBelow: number; hookAbove: number; own: number };
  const of = (input: Input) => runCalc('rigging.underBar', input) as { ok: true; output: { ends: [number, number]; tiltDeg: number } };

  test('balanced, each sling carries half and it hangs level', () => {
    expect(of({ weight: 1e5, between: 6, cgFromLeft: 3, cgBelow: 0.4, hookAbove: 3, own: 2e3 }).output).toEqual({ ends: [5e4, 5e4], tiltDeg: 0 });
  });

  test('off balance by hand: 100 kN, 0.2 m left of the middle of 6 m, 0.4 m below, hook 3 m up, bar of 10 kN', () => {
    // tan θ = 100·0.2 / (100·3.4 + 10·3) = 20/370; right = 100·(2.8 + 0.4·20/370)/6.
    const { output } = of({ weight: 1e5, between: 6, cgFromLeft: 2.8, cgBelow: 0.4, hookAbove: 3, own: 1e4 });
    expect(Math.tan((output.tiltDeg * Math.PI) / 180)).toBeCloseTo(20 / 370, 9);
    expect(output.ends[1]).toBeCloseTo((1e5 * (2.8 + (0.4 * 20) / 370)) / 6, 4);
    expect(output.ends[0] + output.ends[1]).toBeCloseTo(1e5, 6);
  });

  test('it hangs where its weight is lowest: looked for by trying', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.35, max: 0.65, noNaN: true }),
        fc.double({ min: 0, max: 1.5, noNaN: true }),
        fc.double({ min: 0.5, max: 6, noNaN: true }),
        fc.double({ min: 0, max: 3e4, noNaN: true }),
        (at, cgBelow, hookAbove, own) => {
          const input = { weight: 8e4, between: 5, cgFromLeft: 5 * at, cgBelow, hookAbove, own };
          // Height of all that hangs, turned about the hook: bar middle straight below it by h, the piece below its left sling.
          const energy = (t: number) => {
            const [s, c] = [Math.sin(t), Math.cos(t)];
            const bar = -hookAbove * c;
            const left = bar - (5 / 2) * s;
            return own * bar + 8e4 * (left + input.cgFromLeft * s - cgBelow * c);
          };
          let [low, high] = [-1.2, 1.2];
          for (let i = 0; i < 200; i += 1) {
            const [a, b] = [low + (high - low) / 3, high - (high - low) / 3];
            if (energy(a) < energy(b)) high = b;
            else low = a;
          }
          expect(of(input).output.tiltDeg).toBeCloseTo((((low + high) / 2) * 180) / Math.PI, 4);
        },
      ),
    );
  });

  test('outside its slings it turns out of them, and a hook no higher than its load holds nothing', () => {
    const base = { weight: 1e5, between: 6, cgFromLeft: 7, cgBelow: 0.4, hookAbove: 3, own: 0 };
    expect(runCalc('rigging.underBar', base)).toMatchObject({ ok: false });
    expect(runCalc('rigging.underBar', { ...base, cgFromLeft: 3, cgBelow: 0, hookAbove: 0 })).toMatchObject({ ok: false });
  });

  test('a lifting beam bends at its hook: 50 kN at 2 m and 4 kN of its own over 4 m', () => {
    expect(runCalc('rigging.liftingBeam', { end: 5e4, length: 4, own: 4e3 })).toMatchObject({ output: { moment: 1e5 + 2e3 } });
  });
});

/** The beam of the luggage hall, 9 m, slung 2.40 m from its ends. */
const slung = (rig: Rig, edit: (pick: Pick, plan: Plan) => void = () => undefined): Plan => {
  const plan = demoPlan();
  Object.assign(plan.picks[0]!, { rig, legs: { left: 1.5, right: 1.5 } });
  edit(plan.picks[0]!, plan);
  return plan;
};
const spreader = (changes: Partial<Extract<Rig, { kind: 'spreader' }>> = {}): Rig => ({
  kind: 'spreader',
  name: 'Spreader 4',
  length: 4.2,
  own: 180,
  rating: 6000,
  section: '',
  grade: '',
  top: 3.2,
  topRating: 4000,
  ...changes,
});
const beam = (changes: Partial<Extract<Rig, { kind: 'beam' }>> = {}): Rig => ({
  kind: 'beam',
  name: '',
  length: 4.2,
  own: 260,
  rating: 6000,
  section: '',
  grade: '',
  eye: 0.45,
  ...changes,
});
const rows = (plan: Plan) => evaluated(plan, TODAY).checks.filter(({ about }) => about.kind === 'pick');
const row = (plan: Plan, id: string) => rows(plan).find((one) => one.id === id);
const hangs = (plan: Plan): Hanging => pickContext(settle(plan), settle(plan).picks[0]!).hanging as Hanging;

describe('a lift with a spreader or a lifting beam', () => {
  test('a plan with one opens again as it was, and is told row by row', () => {
    const plan = slung(spreader());
    const opened = openPlan(JSON.parse(JSON.stringify(plan)));
    expect(opened).toMatchObject({ ok: true, plan: { picks: [{ rig: spreader() }] } });
    expect(
      rows(plan)
        .filter(({ id }) => id.startsWith('rigging.'))
        .map(({ id }) => id),
    ).toEqual(['rigging.tension', 'rigging.bar', 'rigging.plumb', 'rigging.top', 'rigging.topAngle', 'rigging.tilt', 'rigging.held']);
  });

  test('its weight is on the hook, and it squeezes the piece no more', () => {
    const plain = demoPlan();
    const [two, one] = [row(plain, 'lift.chart')!, row(slung(spreader()), 'lift.chart')!];
    expect(one.demand! - two.demand!).toBeCloseTo(180, 6);
    // It holds the load against the wind as well.
    const least = (plan: Plan) => (pickContext(settle(plan), settle(plan).picks[0]!).gross as { least: number }).least;
    expect(least(slung(spreader())) - least(plain)).toBeCloseTo(180, 6);
    expect(hangs(slung(spreader())).squeeze).toBeCloseTo(0, 6);
    expect(hangs(slung(spreader({ length: 4 }))).squeeze).toBeGreaterThan(100);
    expect(hangs(plain).squeeze).toBeGreaterThan(0);
  });

  test('the hook stands over slings, spreader and the slings above it', () => {
    // √(3.2² − 2.1²) above the spreader, 1.5 m below it.
    expect(hangs(slung(spreader())).hookAbovePick).toBeCloseTo(1.5 + Math.sqrt(3.2 ** 2 - 2.1 ** 2), 6);
    expect(hangs(slung(beam())).hookAbovePick).toBeCloseTo(1.5 + 0.45, 6);
  });

  test('the slings above carry half of load and spreader, at their angle, with the dynamic factor', () => {
    const plan = slung(spreader());
    const { weight } = pickContext(settle(plan), settle(plan).picks[0]!);
    const { bar } = hangs(plan);
    const heavier = Math.max(...hangs(plan).tension);
    expect(bar!.top!.tension).toBeCloseTo((2 * heavier + 180 * G) / 2 / (Math.sqrt(3.2 ** 2 - 2.1 ** 2) / 3.2), 3);
    expect(bar!.load).toBeCloseTo((weight as { weight: number }).weight, 6);
    const factor = rulesOf(plan.job.ruleSet, plan.job.thresholds).value('dynamicFactor');
    expect(row(plan, 'rigging.top')!.demand).toBeCloseTo(bar!.top!.tension * factor, 3);
    expect(row(plan, 'rigging.bar')!.demand).toBeCloseTo(bar!.load * factor, 3);
  });

  test.each<[string, Rig, string, 'stop' | 'missing', RegExp]>([
    ['a plate that says less than hangs on it', spreader({ rating: 700 }), 'rigging.bar', 'stop', /its plate says/],
    ['no plate', spreader({ rating: null }), 'rigging.bar', 'missing', /What may Spreader 4 carry/],
    ['slings above that are too weak', spreader({ topRating: 400 }), 'rigging.top', 'stop', /Each sling above Spreader 4/],
    ['slings above of no rating', spreader({ topRating: null }), 'rigging.top', 'missing', /rated for/],
    ['slings above too flat', spreader({ top: 2.2 }), 'rigging.topAngle', 'stop', /press it with/],
    ['slings above that do not meet', spreader({ top: 2 }), 'rigging.closes', 'stop', /do not meet/],
    ['a spreader too short for its picks', spreader({ length: 3.2 }), 'rigging.plumb', 'stop', /out of plumb/],
    ['no length', spreader({ length: null }), 'rigging.tension', 'missing', /How long is Spreader 4/],
    ['no weight', spreader({ own: null }), 'rigging.tension', 'missing', /What does Spreader 4 weigh/],
    ['a weight of nothing', spreader({ own: 0 }), 'lift.chart', 'missing', /weigh something|weighs something/],
    ['no slings above', spreader({ top: null }), 'rigging.tension', 'missing', /to the hook/],
    ['a beam of no eye', beam({ eye: null }), 'rigging.tension', 'missing', /above the holes/],
  ])('%s', (_, rig, id, verdict, says) => {
    const found = row(slung(rig), id);
    expect(found).toBeDefined();
    expect(found!.verdict).toBe(verdict);
    expect(words(found!, 'metric')).toMatch(says);
  });

  test('slings of two lengths below it are asked about, not guessed', () => {
    const plan = slung(spreader(), (pick) => (pick.legs.right = 1.8));
    expect(words(row(plan, 'rigging.tension')!, 'metric')).toMatch(/not of one length/);
  });

  test('its own steel, bent and pressed, by both schools', () => {
    const of = (ruleSet: Plan['job']['ruleSet'], section: string, grade = 'S355') =>
      row(
        slung(beam({ section, grade }), (_, plan) => (plan.job.ruleSet = ruleSet)),
        'rigging.barSteel',
      )!;
    for (const school of ['us-asd', 'eu-ls'] as const) {
      expect(of(school, 'HEB 200').verdict).toBe('clear');
      expect(of(school, 'IPE 80').verdict).toBe('stop');
      expect(of(school, 'IPE 80').ratio).toBeGreaterThan(of(school, 'HEB 200').ratio!);
      expect(of(school, 'HEB 200', '').verdict).toBe('missing');
      expect(of(school, 'Spruce').verdict).toBe('missing');
    }
    expect(row(slung(beam()), 'rigging.barSteel')).toBeUndefined();
    // The flatter the slings above a spreader, the more they press it.
    const pressed = (top: number) => row(slung(spreader({ section: 'HEB 100', grade: 'S235', top })), 'rigging.barSteel')!.ratio!;
    expect(pressed(2.5) / pressed(6)).toBeGreaterThan(1.5);
  });

  test('a balance point off its middle tilts it more the nearer the hook is', () => {
    const off = (rig: Rig) => hangs(slung(rig, (pick) => ((pick.left = 2.6), (pick.right = 2.2))));
    const [low, high] = [off(beam()), off(spreader())];
    expect(Math.abs(low.tiltDeg)).toBeGreaterThan(Math.abs(high.tiltDeg));
    // Picked up to the right of its balance point its left end comes down.
    expect(low.tiltDeg).toBeGreaterThan(0);
    expect(low.tension[0]).toBeGreaterThan(low.tension[1]!);
  });

  test('the boom is held off the bar as off the load', () => {
    const gap = (rig: Rig, sling = 1.5) =>
      rows(slung(rig, (pick) => (pick.legs = { left: sling, right: sling }))).find(({ id, about }) => id === 'lift.boomGap' && about.part === 'bar');
    const [low, high] = [gap(spreader())!, gap(spreader(), 2)!];
    expect(low.capacity! - high.capacity!).toBeGreaterThan(0.1);
    expect(words(low, 'metric')).toContain('Spreader 4');
    expect(gap({ ...newRig('legs'), leftApart: 0.5, rightApart: 0.5 } as Rig)).toBeUndefined();
  });

  test('on two hooks there is no bar between them: it is asked which', () => {
    const plan = vehicleRamp();
    const pick = plan.picks[0]!;
    plan.cranes.push({ ...structuredClone(plan.cranes[0]!), id: 'c-other', name: 'The other' });
    plan.stands.push({ ...structuredClone(plan.stands[0]!), id: 's-other', crane: 'c-other' });
    Object.assign(pick, { rig: spreader(), second: { stand: 's-other', boom: null, slingRating: null, riggingMass: null } });
    const found = evaluated(plan, TODAY).checks.filter(({ id, about }) => id === 'pick.rig' && about.id === pick.id);
    expect(found.map(({ verdict }) => verdict)).toEqual(['missing']);
  });
});

describe('three and four legs', () => {
  const legs = (leftApart: number | null, rightApart: number | null): Rig => ({ kind: 'legs', leftApart, rightApart });
  const on = (rig: Rig | null, leg = 3.2, school: Plan['job']['ruleSet'] = 'eu-ls') =>
    slung(rig!, (pick, plan) => ((pick.legs = { left: leg, right: leg }), (plan.job.ruleSet = school)));

  test('two at one pick and one at the other carry what statics in space says', () => {
    const plan = on(legs(0.8, 0));
    const hung = hangs(plan);
    expect(hung.trace.calc).toBe('rigging.threeLegs');
    const { tension, angleDeg, tiltDeg } = hung.trace.output as { tension: number[]; angleDeg: number[]; tiltDeg: number };
    expect(tension[0]).toBeCloseTo(tension[1]!, 3);
    expect(hung.tension[0]).toBeCloseTo(tension[0]!, 1);
    expect(hung.tension[1]).toBeCloseTo(tension[2]!, 1);
    expect(hung.angleDeg[0]).toBeCloseTo(angleDeg[0]!, 4);
    expect(Math.abs(hung.tiltDeg)).toBeCloseTo(tiltDeg, 4);
  });

  test('of four, two carry by the one school and three by the other', () => {
    const two = hangs(on(null));
    const half = Math.sqrt(3.2 ** 2 - 0.4 ** 2);
    const [us, eu] = [hangs(on(legs(0.8, 0.8), 3.2, 'us-asd')), hangs(on(legs(0.8, 0.8)))];
    expect(us.tension[0]! / eu.tension[0]!).toBeCloseTo(1.5, 9);
    // Two of four that carry all pull as two legs do that are a little shorter seen from the side, and longer in truth.
    const flat = hangs(on(null, half));
    expect(us.tension[0]).toBeCloseTo(flat.tension[0]! * (3.2 / half), 6);
    expect(us.squeeze).toBeCloseTo(flat.squeeze, 6);
    expect(us.hookAbovePick).toBeCloseTo(flat.hookAbovePick, 9);
    expect(two.hookAbovePick).toBeGreaterThan(us.hookAbovePick);
  });

  test('more legs counted than the published bound is a stop', () => {
    const plan = on(legs(0.8, 0.8));
    plan.job.thresholds.legsCounted = 4;
    expect(evaluated(plan, TODAY).checks.find(({ id, about }) => id === 'rules.floor' && about.id === 'legsCounted')?.verdict).toBe('stop');
  });

  test('how far apart they are is asked; as far as they are long they meet nowhere', () => {
    expect(row(on(legs(null, 0.8)), 'rigging.tension')!.verdict).toBe('missing');
    expect(row(on(legs(7, 7)), 'rigging.closes')!.verdict).toBe('stop');
    expect(hangs(on(legs(0, 0)))).toEqual(hangs(on(null)));
  });
});
