import { evaluated } from '../../../../tests/evaluated';
import { demoPlan, passengerCanopy, quayFootbridge, vehicleRamp } from '../../../../tests/demo-plan';
import { type liftDrift } from '../../lift/drift.calc';
import { slingGrip } from '../../rigging/grip.calc';
import { hitchRating } from '../../rigging/hitch.calc';
import { overlap, rectangle } from '../../geometry/plane';
import { rulesOf } from '../../rules/rule-sets';
import { describe as words } from '../../verdict/describe';
import { newHitch, type Hitch } from '../../document/things/hitch';
import { travelHeight } from '../lift/travel';
import { ratingAsPut } from '../lift/hitch';
import type { Hanging } from '../../settle/hanging';
import { sweptBy, type LiftPath } from '../../settle/lift-path';
import { pickContext } from '../lift/pick-context';
import { sameForOthers } from '../../edit/alike';
import { pickLike } from '../lift/plan-lifts';
import type { PieceWeight } from '../../settle/piece-weight';
import type { Plan } from '../../document/schema';
import { settle } from '../../settle/settle';
import { driftOf } from '../lift/wind-on-load';

const TODAY = '2026-11-28';
const of = (plan: Plan, id: string, about?: string) => evaluated(plan, TODAY).checks.filter((one) => one.id === id && (!about || one.about.id === about));
const say = (plan: Plan, id: string, about?: string) => of(plan, id, about).map((check) => `${check.verdict}: ${words(check, 'metric')}`);
/** The luggage hall, its only pick held so. */
const hall = (hitch: Hitch | null | undefined, edit: (plan: Plan) => unknown = () => undefined): Plan => {
  const plan = demoPlan();
  plan.picks[0]!.hitch = hitch;
  edit(plan);
  return plan;
};
const laid = (kind: 'basket' | 'choker', changes: Partial<Extract<Hitch, { kind: 'basket' | 'choker' }>> = {}): Hitch =>
  ({ kind, of: 'wire', thick: 0.016, round: 0.064, padded: true, heldBy: '', ...changes }) as Hitch;

describe('what a sling is good for as it is put on', () => {
  test.each([
    // [parts, hitch, D/d, kept, of 1000 kg]
    [1, 1, null, 1, 1000],
    [1, 0.75, null, 1, 750],
    [1, 0.75, 4, 0.75, 750],
    [1, 0.8, 1, 0.5, 500],
    [2, 1, 1, 0.5, 1000],
    [2, 1, 25, 0.9, 1800],
    [1, 1, 0, 0.5, 500],
  ])('%d parts, hitch %d, D/d %p: keeps %d, good for %d kg', (parts, share, bend, kept, capacity) => {
    const out = hitchRating.compute({ rating: 1000, parts, share, bend });
    expect(out.kept).toBeCloseTo(kept, 9);
    expect(out.capacity).toBeCloseTo(capacity, 6);
  });

  test('by the pick: straight on lugs and clamps, choked by the rule set, a basket on two parts, and as said of what is turned', () => {
    const [us, eu] = [rulesOf('us-asd', {}), rulesOf('eu-ls', {})];
    const pick = { ...demoPlan().picks[0]!, slingRating: 1000 };
    const good = (hitch: Hitch | null, rules = us, turned = false) => ratingAsPut({ ...pick, hitch }, rules, turned)?.rating;
    expect(good(null)).toBe(1000);
    expect(good({ kind: 'lugs', carries: 1 })).toBe(1000);
    expect(good({ kind: 'clamps', carries: 1 })).toBe(1000);
    expect([good(laid('choker', { of: 'fabric' })), good(laid('choker', { of: 'fabric' }), eu)]).toEqual([750, 800]);
    expect([good(laid('choker'), eu), good(laid('basket'))]).toEqual([750, 1500]);
    expect(good(laid('choker'), eu, true)).toBe(1000);
    expect(ratingAsPut({ ...pick, slingRating: null, hitch: laid('choker') }, us, false)).toBeNull();
    expect(ratingAsPut({ ...pick, hitch: laid('choker') }, rulesOf('us-asd', { chokerShare: 0.6 }), false)!.rating).toBeCloseTo(600);
  });

  test('a leg good enough straight is a stop choked round a thin edge, and its capacity is told', () => {
    expect(of(hall({ kind: 'lugs', carries: 2000 }), 'rigging.tension')[0]!.verdict).toBe('clear');
    const choked = of(hall(laid('choker', { round: 0.016 })), 'rigging.tension')[0]!;
    expect([choked.verdict, choked.capacity]).toEqual(['stop', expect.closeTo(500 * 9.80665, 3)]);
    expect(choked.traces.map(({ calc }) => calc)).toContain('rigging.hitch');
  });
});

describe('how it is held', () => {
  test.each([undefined, null])('said by nobody (%p) it is asked, once for each pick', (hitch) =>
    expect(say(hall(hitch), 'pick.hitch')).toEqual([expect.stringMatching(/^missing: .*How do the slings hold TB1: shackled to lugs/)]),
  );
  test.each(['lugs', 'clamps', 'basket', 'choker'] as const)('%s of which nothing more is said ask for it', (kind) => {
    const missing = evaluated(hall(newHitch(kind)), TODAY).checks.flatMap((one) => (one.verdict === 'missing' ? [one.id] : []));
    expect(missing).toEqual(kind === 'lugs' || kind === 'clamps' ? ['rigging.held'] : ['rigging.edges', 'rigging.bend']);
  });
  test('a lug that carries less than its leg pulls is a stop, by its own figure', () => {
    expect(say(hall({ kind: 'lugs', carries: 700 }), 'rigging.held')).toEqual([expect.stringMatching(/^stop: .*One lug on TB1 comes to carry 7.53.kN/)]);
    expect(say(hall({ kind: 'clamps', carries: 2000 }), 'rigging.held')).toEqual([expect.stringMatching(/^clear: .*One clamp .* may carry 19.6.kN/)]);
  });
  test('bare corners are a stop; fabric and chain have no bend to ask about', () => {
    expect(say(hall(laid('choker', { padded: false })), 'rigging.edges')).toEqual([expect.stringMatching(/^stop: .*bare corners/)]);
    expect(of(hall(laid('choker', { of: 'fabric', thick: null, round: null })), 'rigging.bend')).toEqual([]);
    expect(say(hall(laid('choker', { thick: null })), 'rigging.bend')).toEqual([expect.stringMatching(/How thick/)]);
    expect(say(hall(laid('choker', { round: null })), 'rigging.bend')).toEqual([expect.stringMatching(/what diameter/)]);
    expect(say(hall(laid('choker', { of: null })), 'rigging.bend')).toEqual([expect.stringMatching(/wire rope, chain or fabric/)]);
  });
});

describe('whether it slides', () => {
  test.each([
    [45, 1, 1],
    [60, 0.2, 2.886751],
    [60, 0.6, 0.96225],
    [30, 0.2, 8.660254],
  ])('at %d° with friction %d it pulls %d of what friction holds', (angleDeg, friction, share) => {
    const { along, holds } = slingGrip.compute({ tension: 1000, angleDeg, friction });
    expect(along / holds).toBeCloseTo(share, 5);
  });
  test('baskets on two legs slide together; choked, stopped, or under a spreader they do not', () => {
    expect(say(hall(laid('basket')), 'rigging.slides')).toEqual([expect.stringMatching(/^stop: .*they slide together/)]);
    expect(of(hall(laid('basket', { heldBy: 'stiffeners 40 mm inside each sling' })), 'rigging.slides')).toEqual([]);
    expect(of(hall(laid('basket', { heldBy: 'x' })), 'rigging.slides')).toHaveLength(1);
    expect(of(hall(laid('choker')), 'rigging.slides')).toEqual([]);
    expect(say(quayFootbridge(), 'rigging.slides')[0]).toMatch(/^clear: .*friction holds/);
  });
  test('by the friction of the rule set, and steeper where the piece hangs out of level', () => {
    const level = of(quayFootbridge(), 'rigging.slides')[0]!;
    const plan = quayFootbridge();
    plan.job.thresholds.slingGrip = 0.4;
    expect(of(plan, 'rigging.slides')[0]!.capacity).toBeCloseTo(2 * level.capacity!, 3);
    // Out of level it is steeper to one of the slings by as much.
    const picked = pickContext(settle(plan), plan.picks[0]!);
    const { angleDeg, tiltDeg } = picked.hanging as Hanging;
    expect(Math.abs(tiltDeg)).toBeGreaterThan(0.1);
    const steep = ((Math.min(...angleDeg) - Math.abs(tiltDeg)) * Math.PI) / 180;
    expect(level.demand! / level.capacity!).toBeCloseTo(1 / (0.2 * Math.tan(steep)), 6);
  });
  test('round what is turned upright a stop is asked of each', () => {
    const plan = passengerCanopy();
    const turned = plan.picks.filter((one) => one.turned);
    for (const one of turned) if (one.hitch?.kind === 'choker') one.hitch.heldBy = '';
    const asked = say(plan, 'rigging.slides');
    expect(asked).toHaveLength(turned.length);
    expect(asked[3]).toMatch(/^missing: .*what keeps it from slipping up/);
  });
});

describe('rolled upright', () => {
  const ramp = (edit: (pick: Plan['picks'][number], plan: Plan) => unknown): Plan => {
    const plan = vehicleRamp();
    edit(
      plan.picks.find((one) => one.piece === 'g1-1')!,
      plan,
    );
    return plan;
  };
  const lies = (plan: Plan, onSide: boolean | null, piece = 'g1-1') => (plan.structure.pieces.find((one) => one.id === piece)!.lies!.onSide = onSide);

  test('how it lies is asked of each piece set level that is deeper than wide, and of none that is turned up', () => {
    const plan = vehicleRamp();
    for (const one of plan.structure.pieces) if (one.lies) delete one.lies.onSide;
    const level = plan.picks.filter((one) => !one.turned).length;
    expect(say(plan, 'pick.lies').filter((one) => /^missing: .*on its side/.test(one)).length).toBe(level);
    expect(of(passengerCanopy(), 'pick.lies')).toEqual([]);
    const hallPlan = demoPlan();
    hallPlan.pieces[0]!.start.onSide = null;
    expect(say(hallPlan, 'pick.lies')).toEqual([expect.stringMatching(/^missing: .*TB1/)]);
  });
  test('edge, over-centre and weak axis by hand', () => {
    const plan = vehicleRamp();
    const { weight } = pickContext(
      settle(plan),
      plan.picks.find((one) => one.piece === 'g1-1')!,
    ) as { weight: PieceWeight };
    const { depth, width, iWeak } = weight.section;
    // The hook pulls most while it lies flat: half of a symmetric girder; the edge bears all of it as it goes over centre.
    const over = (Math.atan2(depth / 2, width / 2) * 180) / Math.PI;
    expect(words(of(plan, 'turn.over', plan.picks[0]!.id)[0]!, 'metric')).toContain(`${over.toFixed(1)}°`);
    const edge = of(plan, 'turn.edge')[0]!;
    expect(edge.demand).toBeCloseTo(weight.weight * 1.1, 0);
    const bending = of(plan, 'turn.bending')[0]!;
    // Half of it on the hook, slung at two places: over them and between them, whichever is more, dynamic.
    const { left, right } = plan.picks.find((one) => one.piece === 'g1-1')!;
    const { length } = pickContext(settle(plan), plan.picks[0]!).piece;
    const q = weight.weight / length;
    const over2 = (q * left ** 2) / 2;
    const between = (q * length ** 2) / 8 - (weight.weight / 2) * ((left + right) / 2);
    expect(Math.abs(bending.demand! / ((Math.max(over2, between) / 2) * 1.1) - 1)).toBeLessThan(0.02);
    expect(bending.capacity).toBeCloseTo(((iWeak / (width / 2)) * 345e6) / 1.67, -4);
  });
  test.each<[string, (pick: Plan['picks'][number]) => unknown, string, RegExp]>([
    ['nobody leads it', (pick) => (pick.roll!.by = 'foreman'), 'turn.by', /^missing: .*Who leads/],
    ['no roll at all', (pick) => (pick.roll = null), 'turn.by', /^missing/],
    ['nothing holds it back', (pick) => (pick.roll!.holdBack = ''), 'turn.over', /^missing: .*What holds it back/],
    ['timber of unknown strength', (pick) => (pick.roll!.edgeCarries = null), 'turn.edge', /^missing/],
    ['timber too weak', (pick) => (pick.roll!.edgeCarries = 90e3), 'turn.edge', /^stop/],
  ])('%s', (_, edit, id, says) => expect(say(ramp(edit), id)).toEqual([expect.stringMatching(says)]));
  test('what stands upright is not rolled; of a long thin one the weak axis gives way', () => {
    expect(
      say(
        ramp((_, plan) => lies(plan, false)),
        'turn.over',
      ),
    ).toEqual([]);
    const plan = ramp((_, one) => {
      const make = one.structure.makes.find(({ id }) => id === one.structure.pieces.find((piece) => piece.id === 'g1-1')!.make)!;
      if (make.made.kind === 'girder') make.made.topFlange = make.made.bottomFlange = { width: 0.1, thickness: 0.008 };
    });
    expect(of(plan, 'turn.bending')[0]!.ratio!).toBeGreaterThan(of(vehicleRamp(), 'turn.bending')[0]!.ratio! * 5);
  });
  test('a second one on its side is asked for its own', () => {
    const plan = ramp((_, one) => lies(one, true, 'g3-2'));
    expect(say(plan, 'turn.by')).toEqual([expect.stringMatching(/G3\.2/)]);
  });
});

describe('wind and tag lines', () => {
  test.each<[string, Plan['picks'][number]['tags'], RegExp]>([
    ['nobody said', undefined, /^missing: .*How many tag lines/],
    ['held by nobody', { lines: 2, by: '' }, /^missing: .*Who holds the 2 tag lines/],
    ['one, held by a blank', { lines: 1, by: '-' }, /^missing: .*Who holds the tag line/],
    ['none', { lines: 0, by: '' }, /^tight: .*no tag line/],
    ['two', { lines: 2, by: 'T. Brandt' }, /^clear: .*2 tag lines on TB1, held by T. Brandt/],
  ])('tag lines: %s', (_, tags, says) => {
    const plan = demoPlan();
    plan.picks[0]!.tags = tags;
    expect(say(plan, 'pick.tags')).toEqual([expect.stringMatching(says)]);
  });
  test('drift is the pendulum’s, from the lightest weight, with the forecast; none without one', () => {
    const plan = settle(demoPlan());
    const picked = pickContext(plan, plan.picks[0]!);
    const rules = rulesOf('eu-ls', {});
    const drift = driftOf(plan, picked, picked.path as LiftPath, picked.weight as PieceWeight, rules)!;
    const input = drift.trace.input as Parameters<typeof liftDrift.compute>[0];
    expect(input.gust).toBe(plan.site.forecastGust);
    expect(input.weight).toBeCloseTo((picked.gross as { least: number }).least * 9.80665, 6);
    expect(drift.force).toBeCloseTo(0.625 * input.gust ** 2 * input.drag * input.area, 9);
    expect(drift.drift).toBeCloseTo(input.drop * Math.sin(Math.atan(drift.force / input.weight)), 9);
    // On its longest fall: the boom at its steepest, the load off the ground.
    const { path, crane, pick, piece } = picked;
    const out = (path as LiftPath).least + crane.pivotBack;
    const { loadDepth } = picked.hanging as { loadDepth: number };
    expect(input.drop).toBeCloseTo(crane.pivotHeight + Math.sqrt(pick.boom ** 2 - out ** 2) - piece.start.level - loadDepth / 2, 9);
    expect(driftOf({ ...plan, site: { ...plan.site, forecastGust: null } }, picked, picked.path as LiftPath, picked.weight as PieceWeight, rules)).toBeNull();
  });
  test('what lies beside the way within the drift counts as passed over: the load goes over it', () => {
    const calm = demoPlan();
    calm.site.forecastGust = 0.1;
    const settled = settle(calm);
    const picked = pickContext(settled, settled.picks[0]!);
    const [path, weight] = [picked.path as LiftPath, picked.weight as PieceWeight];
    const passes = sweptBy(path, weight.section.width);
    // A post just outside what the load sweeps: further and further from the hook’s arc until it is free.
    const station = path.stations[Math.floor(path.stations.length / 2)]!;
    const free = Array.from({ length: 400 }, (_, n) => n * 0.02).find(
      (off) => !passes.some((one) => overlap(one, rectangle({ x: station.hook.x, y: station.hook.y + off }, 0.1, 0.1, 0))),
    )!;
    const post = { id: 'post', name: 'Lamp post', at: { x: station.hook.x, y: station.hook.y + free }, length: 0.1, width: 0.1, azimuthDeg: 0, height: 7 };
    const heights = [0.1, 9].map((gust) => {
      const plan = settle({ ...calm, site: { ...calm.site, forecastGust: gust, obstructions: [...calm.site.obstructions, post] } });
      const context = pickContext(plan, plan.picks[0]!);
      return travelHeight(plan, context, context.path as LiftPath, context.weight as PieceWeight, rulesOf('eu-ls', {})).over;
    });
    expect(heights[0]).not.toBe('Lamp post');
    expect(heights[1]).toBe('Lamp post');
  });
  test('a zone beside the way is passed over where the drift reaches it', () => {
    const zoned = (gust: number, off: number) => {
      const plan = quayFootbridge();
      plan.site.forecastGust = gust;
      const settled = settle(plan);
      const picked = pickContext(settled, settled.picks[0]!);
      const station = (picked.path as LiftPath).stations.at(-1)!;
      plan.site.zones = [
        { id: 'z', name: 'Track', kind: 'road', at: { x: station.hook.x, y: station.hook.y + off }, length: 0.2, width: 0.2, azimuthDeg: 0, closed: null },
      ];
      return of(plan, 'lift.over', plan.picks[0]!.id)[0]!.verdict;
    };
    const free = Array.from({ length: 400 }, (_, n) => n * 0.02).find((off) => zoned(0.1, off) === 'clear')!;
    expect([zoned(0.1, free), zoned(9, free)]).toEqual(['clear', 'stop']);
  });
  test.each([
    ['beside the load', 0.3, 5.2],
    ['beside the fall', 1.2, 11],
  ])('a power line %s is held off by as much more as wind pushes the load', (_, aside, height) => {
    const near = (gust: number) => {
      const plan = demoPlan();
      plan.site.forecastGust = gust;
      const settled = settle(plan);
      const { hook } = (pickContext(settled, settled.picks[0]!).path as LiftPath).stations.at(-1)!;
      const y = hook.y + 2 + aside;
      plan.site.powerLines = [{ ...plan.site.powerLines[0]!, from: { x: hook.x - 60, y }, to: { x: hook.x - 0.5, y }, height }];
      return of(plan, 'stand.powerLine')[0]!.capacity!;
    };
    expect(near(0.1) - near(6)).toBeGreaterThan(0.05);
  });
  test('a power line is held off by as much more as wind pushes the load', () => {
    const near = (gust: number) => {
      const plan = demoPlan();
      plan.site.forecastGust = gust;
      return Math.min(...of(plan, 'stand.powerLine').map((one) => one.capacity!));
    };
    const [calm, light, strong] = [near(0.1), near(3), near(6)];
    expect(calm! - light!).toBeGreaterThan(0.01);
    expect(calm! - strong!).toBeGreaterThan(3 * (calm! - light!));
  });
});

test('each of two hooks has its own share on its lug, and what is turned up bends no rope that is asked about', () => {
  const two = vehicleRamp();
  const pick = two.picks[0]!;
  pick.second = {
    stand: two.stands.find((one) => one.crane !== two.stands.find(({ id }) => id === pick.stand)!.crane)?.id ?? two.stands[1]!.id,
    boom: 30,
    slingRating: 12000,
    riggingMass: 100,
  };
  pick.left = 0.5;
  pick.right = 4;
  const shares = of(two, 'rigging.held', pick.id).map((one) => one.demand!);
  expect(shares).toHaveLength(2);
  expect(Math.abs(shares[0]! - shares[1]!)).toBeGreaterThan(1000);
  const turned = passengerCanopy();
  turned.picks.find((one) => one.turned)!.hitch = laid('choker', { thick: null, round: null, heldBy: 'the cap plate' });
  expect(of(turned, 'rigging.bend')).toEqual([]);
});

test('hitch and tag lines are said once for picks alike; how one is rolled is its own', () => {
  const plan = passengerCanopy();
  const [from, ...rest] = plan.picks.filter((one) => !one.turned);
  for (const one of rest) Object.assign(one, { hitch: null, tags: null });
  const same = sameForOthers(plan, 'picks', from!.id)!;
  expect(same.edits.length).toBeGreaterThan(5);
  expect(same.edits.every(({ changes }) => 'hitch' in changes && 'tags' in changes && !('roll' in changes))).toBe(true);
  expect(pickLike({ ...from!, roll: { by: 'A. Ferreira', holdBack: 'x', edgeCarries: 1 } }, 'k', 'p', 4).roll).toBeUndefined();
});
