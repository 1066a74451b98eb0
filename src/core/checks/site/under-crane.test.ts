import { demoPlan } from '../../../../tests/demo-plan';
import { planScene } from '../../view/plan-scene';
import { allStanding } from '../../view/shore-moment';
import { wrapDeg } from '../../geometry/plane';
import { describe as words } from '../../verdict/describe';
import type { LiftPath } from '../../settle/lift-path';
import { pickContext } from '../lift/pick-context';
import type { Plan } from '../../document/schema';
import { settle } from '../../settle/settle';
import { worstOutrigger, worstTrack, type TrackLoad } from './under-crane';
import { evaluate } from '../../evaluate';

const TODAY = '2026-11-28';
/** The crane of the luggage hall on two tracks, 4 m on the ground and 3.2 m apart. */
const onTracks = (edit: (plan: Plan) => unknown = () => undefined): Plan => {
  const plan = demoPlan();
  const [crane] = plan.cranes;
  Object.assign(crane!, { tracks: { shoe: 0.6 }, baseLength: 4, baseWidth: 3.2 });
  crane!.chartBase = { length: 4, width: 3.2 };
  edit(plan);
  return plan;
};
const rows = (plan: Plan, id: string) => evaluate(plan, TODAY).checks.filter((one) => one.id === id);
const say = (plan: Plan, id: string) => rows(plan, id).map((check) => `${check.verdict}: ${words(check, 'metric')}`);
const of = (plan: Plan) => {
  const picked = pickContext(settle(plan), plan.picks[0]!);
  return { ...picked, path: picked.path as LiftPath, gross: picked.gross as { mass: number; least: number } };
};

test('the worst pressure under the tracks by summing every part at every place of the way', () => {
  const plan = onTracks();
  const { crane, stand, pick, path, gross, loaded } = of(plan);
  let worst = 0;
  // The heavy load with the boom bent, the light one at the radius it was set at.
  for (const [mass, at] of [
    [gross.mass, loaded],
    [gross.least, (r: number) => r],
  ] as const)
    for (const { radius: set, bearingDeg } of path.stations) {
      const radius = at(set);
      const a = (wrapDeg(bearingDeg - stand.azimuthDeg) * Math.PI) / 180;
      let [weight, front, left] = [mass * 9.80665, mass * 9.80665 * radius * Math.cos(a), mass * 9.80665 * radius * Math.sin(a)];
      for (const part of crane.parts) {
        const own = part.mass * 9.80665;
        const r = part.on === 'slewing' ? part.r! : part.on === 'boom' ? part.along! * (radius + crane.pivotBack) - crane.pivotBack : 0;
        weight += own;
        front += own * (part.on === 'chassis' ? part.x! : r * Math.cos(a));
        left += own * (part.on === 'chassis' ? part.y : r * Math.sin(a));
      }
      const off = Math.abs(front) / weight;
      const heavier = weight / 2 + Math.abs(left) / 3.2;
      const pressure = off <= 4 / 6 ? (heavier / 4 / 0.6) * (1 + (6 * off) / 4) : (2 * heavier) / (0.6 * 3 * (2 - off));
      worst = Math.max(worst, pressure);
    }
  const found = worstTrack(crane, stand, pick.boom, path, gross, loaded) as TrackLoad;
  expect(found.pressure).toBeCloseTo(worst, 3);
  expect(rows(plan, 'stand.ground')[0]!.demand).toBeCloseTo(worst, 3);
  // The boom swings over one side of it: that track is the heavier one.
  const mid = path.stations.find(({ bearingDeg }) => Math.abs(Math.abs(wrapDeg(bearingDeg - stand.azimuthDeg)) - 90) < 45)!;
  const side = wrapDeg(mid.bearingDeg - stand.azimuthDeg) > 0 ? 'left' : 'right';
  expect((worstTrack(crane, stand, pick.boom, { ...path, stations: [mid] }, gross, loaded) as TrackLoad).side).toBe(side);
});

test('too much for the ground is a stop; what the ground takes, and how wide a track is, are asked; mats are not', () => {
  const pressure = rows(onTracks(), 'stand.ground')[0]!.demand!;
  const allowed = (groundAllowable: number | null) =>
    say(
      onTracks((plan) => (plan.stands[0]!.groundAllowable = groundAllowable)),
      'stand.ground',
    );
  expect(allowed(pressure * 2)).toEqual([expect.stringMatching(/^clear: .*track presses the ground/)]);
  expect(allowed(pressure * 0.9)).toEqual([expect.stringMatching(/^stop/)]);
  expect(allowed(null)).toEqual([expect.stringMatching(/^missing: .*What may the ground at/)]);
  expect(
    say(
      onTracks((plan) => (plan.cranes[0]!.tracks = { shoe: null })),
      'stand.ground',
    ),
  ).toEqual([expect.stringMatching(/^missing: .*How wide is one track/)]);
  expect(
    rows(
      onTracks((plan) => (plan.stands[0]!.padArea = null)),
      'stand.ground',
    )[0]!.verdict,
  ).not.toBe('missing');
  expect(
    say(
      onTracks((plan) => (plan.cranes[0]!.parts = [])),
      'stand.ground',
    ),
  ).toEqual([expect.stringMatching(/^missing: .*What do the parts/)]);
});

test('it tips over a track that stands too near', () => {
  const narrow = onTracks((plan) => {
    plan.cranes[0]!.baseWidth = 0.3;
    plan.cranes[0]!.chartBase = { length: 4, width: 0.3 };
  });
  expect(say(narrow, 'stand.tips')).toEqual([expect.stringMatching(/^stop/)]);
});

test('the lightest load is run too: with a counterweight that outweighs it, the empty hook presses harder', () => {
  const plan = onTracks((one) => {
    for (const part of one.cranes[0]!.parts) if (part.on === 'slewing') Object.assign(part, { r: -1.6, mass: 9000 });
  });
  const { crane, stand, pick, path, gross, loaded } = of(plan);
  const press = (load: { mass: number; least: number }) => (worstTrack(crane, stand, pick.boom, path, load, loaded) as TrackLoad).pressure;
  expect(press({ mass: gross.mass, least: 100 })).toBeGreaterThan(press({ mass: gross.mass, least: gross.mass }));
  const corner = (load: { mass: number; least: number }) => (worstOutrigger(crane, stand, pick.boom, path, load, loaded) as { reaction: number }).reaction;
  expect(corner({ mass: gross.mass, least: 100 })).toBeGreaterThanOrEqual(corner({ mass: gross.mass, least: gross.mass }));
});

test('the lightest load is run at the radius it was set at: a boom that bends takes weight off the counterweight’s side', () => {
  const plan = onTracks((one) => {
    for (const part of one.cranes[0]!.parts) if (part.on === 'slewing') Object.assign(part, { r: -1.6, mass: 9000 });
  });
  const { crane, stand, pick, path } = of(plan);
  const load = { mass: 100, least: 100 };
  const out = (radius: number) => radius + 2;
  const asSet = (radius: number) => radius;
  const press = (at: (radius: number) => number) => (worstTrack(crane, stand, pick.boom, path, load, at) as TrackLoad).pressure;
  expect(press(out)).toBeCloseTo(press(asSet), 6);
  const corner = (at: (radius: number) => number) => (worstOutrigger(crane, stand, pick.boom, path, load, at) as { reaction: number }).reaction;
  expect(corner(out)).toBeCloseTo(corner(asSet), 6);
});

test('words speak of tracks, and two of them are drawn in place of four mats', () => {
  const plan = onTracks((one) => (one.stands[0]!.base = { length: null, width: 6 }));
  expect(say(plan, 'stand.base')).toEqual([expect.stringMatching(/its tracks are 3.20.m/)]);
  const drawn = (one: Plan) => {
    const settled = settle(one);
    const whole = evaluate(one, TODAY);
    const scene = planScene(settled, whole.replay.steps.at(-2)!.after, allStanding(settled, {}), 'gear', [], null as never);
    return scene.shapes.filter((shape) => shape.shape === 'polygon' && 'of' in shape && shape.of?.kind === 'stand').length;
  };
  expect(drawn(demoPlan()) - drawn(onTracks())).toBe(2);
});

test.each([
  ['chassis', 'x', 'carrier'],
  ['slewing', 'r', 'upper works'],
  ['boom', 'along', 'boom'],
] as const)('where the weight on its %s is, is asked: nothing is taken for it', (on, key, word) => {
  const plan = demoPlan();
  const part = plan.cranes[0]!.parts.find((one) => one.on === on)!;
  Object.assign(part, { [key]: null });
  expect(say(plan, 'stand.ground')).toEqual([
    expect.stringMatching(new RegExp(`^missing: How far from the slew centre of Bittern 12 is the weight of ${word}\\?`)),
  ]);
});

test('a counterweight ahead of the slew centre, or 2.5 km behind it, is a sign or a unit mistaken', () => {
  const plan = demoPlan();
  const part = plan.cranes[0]!.parts[2]!;
  expect(part.what).toBe('Counterweight');
  Object.assign(part, { counterweight: true });
  expect(rows(plan, 'crane.size')).toEqual([]);
  const ahead = demoPlan();
  Object.assign(ahead.cranes[0]!.parts[2]!, { counterweight: true, r: 2.05 });
  expect(say(ahead, 'crane.size')).toEqual(['missing: Counterweight of Bittern 12 is said to be ahead of the slew centre. How far behind it is it?']);
  const far = demoPlan();
  Object.assign(far.cranes[0]!.parts[2]!, { r: -2500 });
  expect(say(far, 'said.size')).toEqual([expect.stringMatching(/how far its counterweight is from the slew centre is 2.500\.00.m/)]);
  const truck = demoPlan();
  Object.assign(truck.cranes[0]!.parts[0]!, { x: 350 });
  expect(rows(truck, 'said.size')).toHaveLength(1);
});

describe('a crane too light for what it lifts', () => {
  const hall = (masses: number[], edit: (plan: Plan) => unknown = () => undefined) => {
    const plan = demoPlan();
    plan.cranes[0]!.parts.forEach((part, n) => (part.mass = masses[n]!));
    edit(plan);
    return say(plan, 'crane.weighs').map((one) => one.replace(/\u00a0/g, ' '));
  };
  test('a carrier typed a digit short, or a crane of half its weight, is asked about', () => {
    // It lifts 12 t: as a whole no less than 6 t, under its ring no less than a quarter of that.
    expect(hall([7400, 2500, 1500, 1850])).toEqual([]);
    expect(hall([740, 2500, 1500, 1850])).toEqual([
      'missing: Bittern 12: what stands still under its slewing ring weighs 740 kg, it says. Of such cranes it is over 1 648 kg, 25 % of the whole. Which part is left out, or which unit was meant?',
    ]);
    expect(hall([1640, 1500, 1000, 1850])).toEqual([expect.stringMatching(/all its parts together weigh 5 990 kg.*over 6 000 kg, 50 % of the most it lifts/)]);
    expect(hall([1640, 1500, 1010, 1850])).toEqual([]);
  });
  test('a large one weighs less for what it lifts; the most is read from every chart', () => {
    const times = (by: number) => (plan: Plan) => {
      const [crane] = plan.cranes;
      crane!.chart!.capacity = crane!.chart!.capacity.map((row) => row.map((one) => one && one * by));
    };
    // 600 t: 120 t as a whole.
    expect(hall([40e3, 30e3, 40e3, 9e3], times(50))).toEqual([expect.stringMatching(/over 120 000 kg, 20 %/)]);
    expect(hall([40e3, 30e3, 40e3, 11e3], times(50))).toEqual([]);
    const two = (plan: Plan) => {
      const [crane] = plan.cranes;
      const more = structuredClone(crane!.chart!);
      more.capacity = more.capacity.map((row) => row.map((one) => one && one * 3));
      const { chartSource, chartGust, chartBase, chartOver } = crane!;
      plan.duties = [{ id: 'd2', crane: crane!.id, name: 'Second', chart: more, chartSource, chartGust, chartBase, chartOver }];
    };
    expect(hall([7400, 2500, 1500, 1850], two)).toEqual([expect.stringMatching(/over 18 000 kg/)]);
  });
  test('of what weighs nothing, has no parts or no chart yet, nothing more is asked', () => {
    expect(hall([0, 2500, 1500, 1850])).toEqual([]);
    expect(hall([740, 2500, 1500, 1850], (plan) => (plan.cranes[0]!.parts = []))).toEqual([]);
    expect(hall([740, 900, 100, 150], (plan) => (plan.cranes[0]!.chart = null))).toEqual([]);
  });
});
