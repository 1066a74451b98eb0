import { vehicleRamp } from '../../../../tests/demo-plan';
import { evaluated } from '../../../../tests/evaluated';
import { openPlan } from '../../document/open';
import type { Beam, Plan, Zone } from '../../document/schema';
import { settleBeams } from '../../settle/model';
import { rulesOf } from '../../rules/rule-sets';
import { Missing } from '../../verdict/missing';
import { describe as say } from '../../verdict/describe';

const TODAY = '2026-11-30';
const laydown = (changes: Partial<Zone> = {}): Zone => ({
  id: 'z1',
  name: 'North laydown',
  kind: 'laydown',
  at: { x: 100, y: 100 },
  length: 40,
  width: 6,
  azimuthDeg: 0,
  closed: null,
  carries: 150e3,
  timberLength: 1.2,
  timberWidth: 0.3,
  ...changes,
});
const beam = (plan: Plan, id: string): Beam => plan.structure.pieces.find((one) => one.id === id)!;
const lay = (plan: Plan, id: string, lies: Partial<NonNullable<Beam['lies']>>) =>
  void (beam(plan, id).lies = { ...beam(plan, id).lies!, x: 100, y: 100, azimuthDeg: 0, level: 0.15, comes: 'before', ...lies });
function ramp(zones: Zone[], edit: (plan: Plan) => unknown = () => undefined): Plan {
  const plan = vehicleRamp();
  plan.site.zones = zones;
  edit(plan);
  return plan;
}
const rows = (plan: Plan) =>
  evaluated(plan, TODAY)
    .checks.filter(({ id }) => id.startsWith('laydown.'))
    .map((check) => `${check.verdict} ${check.id} ${check.about.id}: ${say(check, 'metric').replace(/[\u00a0\u202f\u2009]/g, ' ')}`);
const row = (plan: Plan) => evaluated(plan, TODAY).checks.find(({ id }) => id === 'laydown.ground')!;
const weighs = (plan: Plan, id: string): number => {
  const { heavy } = settleBeams(plan, rulesOf(plan.job.ruleSet, plan.job.thresholds)).get(id)!;
  if (heavy instanceof Missing) throw new Error(id);
  return heavy.total;
};

test('a plan without one is not asked, and one in which nothing lies asks nothing more', () => {
  expect(rows(ramp([]))).toEqual([]);
  // All of it comes on its truck as it is lifted.
  const bare = laydown({ carries: null, timberLength: null, timberWidth: null });
  expect(rows(ramp([bare]))).toEqual(['clear laydown.ground z1: Nothing is laid in North laydown before it is lifted.']);
});

test('what lies in it is asked about its ground and its timbers, each by itself', () => {
  const asked = (changes: Partial<Zone>) => rows(ramp([laydown(changes)], (p) => lay(p, 'g1-1', {})));
  expect(asked({ carries: null })).toEqual([
    expect.stringMatching(/^missing laydown.ground z1: What may the ground of North laydown take, where G1\.1 is laid\?$/),
  ]);
  const two = ramp([laydown({ carries: null })], (p) => {
    lay(p, 'g1-1', {});
    lay(p, 'g2-1', { y: 102 });
  });
  expect(rows(two).join()).toMatch(/where G1\.1 and 1 more are laid\?/);
  expect(asked({ timberLength: null })).toEqual([expect.stringMatching(/How long and how wide is the timber under either end/)]);
  expect(asked({ timberWidth: null })).toEqual([expect.stringMatching(/How long and how wide is the timber/)]);
  expect(asked({ carries: null, timberWidth: null })[0]).toMatch(/What may the ground.*How long and how wide/);
});

test('half of its weight presses on either timber', () => {
  const plan = ramp([laydown()], (p) => lay(p, 'g1-1', {}));
  expect(row(plan).demand! / (weighs(plan, 'g1-1') / 2 / (1.2 * 0.3))).toBeCloseTo(1, 9);
  expect(row(plan).capacity).toBe(150e3);
});

test('what is stacked on a piece presses with it; what lies beside it, or comes on its truck, does not', () => {
  const stacked = (second: Partial<NonNullable<Beam['lies']>>) =>
    ramp([laydown({ width: 12 })], (p) => {
      lay(p, 'g1-1', {});
      lay(p, 'g2-1', second);
    });
  const both = stacked({ level: 2.4 });
  expect(row(both).demand! / ((weighs(both, 'g1-1') + weighs(both, 'g2-1')) / 2 / 0.36)).toBeCloseTo(1, 9);
  expect(rows(both).join()).toMatch(/G1\.1 with G2\.1 on top of it presses/);
  const apart = stacked({ y: 103 });
  expect(row(apart).demand! / (Math.max(weighs(apart, 'g1-1'), weighs(apart, 'g2-1')) / 2 / 0.36)).toBeCloseTo(1, 9);
  const later = stacked({ level: 2.4, comes: 'onTruck' });
  expect(row(later).demand! / (weighs(later, 'g1-1') / 2 / 0.36)).toBeCloseTo(1, 9);
});

test('across two that lie beside each other it presses with either, never with both', () => {
  const plan = ramp([laydown({ width: 12 })], (p) => {
    lay(p, 'g1-1', {});
    lay(p, 'g2-1', { y: 102 });
    lay(p, 'g3-1', { y: 101, azimuthDeg: 20, level: 2.4 });
  });
  const heavier = Math.max(weighs(plan, 'g1-1'), weighs(plan, 'g2-1'));
  expect(row(plan).demand! / ((heavier + weighs(plan, 'g3-1')) / 2 / 0.36)).toBeCloseTo(1, 9);
});

test('what lies outside of it presses elsewhere', () => {
  const plan = ramp([laydown()], (p) => lay(p, 'g1-1', { y: 150 }));
  expect(rows(plan)).toEqual([
    expect.stringMatching(/^tight laydown.outside g1-1/),
    'clear laydown.ground z1: Nothing is laid in North laydown before it is lifted.',
  ]);
});

test('ground that takes less is a stop, and one that takes just more is tight', () => {
  const plan = ramp([laydown()], (p) => lay(p, 'g1-1', {}));
  const demand = row(plan).demand!;
  const verdict = (carries: number) => row(ramp([laydown({ carries })], (p) => lay(p, 'g1-1', {}))).verdict;
  expect([verdict(demand * 0.99), verdict(demand * 1.02), verdict(demand * 2)]).toEqual(['stop', 'tight', 'clear']);
});

test('what lies out of every laydown is told with how far', () => {
  const out = (lies: Partial<NonNullable<Beam['lies']>>, zones = [laydown()]) =>
    rows(ramp(zones, (p) => lay(p, 'g1-1', lies))).filter((one) => one.includes('outside'));
  expect(out({})).toEqual([]);
  const long = vehicleRamp().structure.makes.find(({ id }) => id === beam(vehicleRamp(), 'g1-1').make)!.length;
  const [told] = out({ x: 120 - long / 2 + 1.5 });
  expect(told).toMatch(/^tight laydown.outside g1-1: G1\.1 is laid 1\.4\d? ?\d* ?m out of North laydown/);
  // Another that begins where the first ends takes the rest of it.
  expect(out({ x: 120 - long / 2 + 1.5 }, [laydown(), laydown({ id: 'z2', name: 'Next', at: { x: 140, y: 100 } })])).toEqual([]);
  expect(out({ x: 120 - long / 2 + 1.5, comes: 'onTruck' })).toEqual([]);
});

test('no load is kept off it, no crane, and nobody is asked to close it', () => {
  const plan = ramp([laydown({ at: { x: 0, y: 0 }, length: 200, width: 200 })]);
  const other = evaluated(plan, TODAY).checks.filter(({ about, id }) => about.part === 'z1' || (about.id === 'z1' && !id.startsWith('laydown.')));
  expect(other.filter(({ verdict }) => verdict !== 'clear')).toEqual([]);
  expect(other.filter(({ id }) => id === 'lift.over' || id === 'stand.over')).toEqual([]);
});

test('a figure nobody can mean is asked about', () => {
  const odd = (changes: Partial<Zone>) =>
    evaluated(
      ramp([laydown(changes)], (p) => lay(p, 'g1-1', {})),
      TODAY,
    ).checks.filter(({ about, verdict, subject }) => about.id === 'z1' && verdict !== 'clear' && subject.length > 0).length;
  expect(odd({ carries: 5e9 })).toBeGreaterThan(odd({ carries: 1e6 }));
  expect(odd({ timberLength: 1200 })).toBeGreaterThan(odd({}));
  expect(odd({ timberWidth: 0.003 })).toBeGreaterThan(0);
});

test('a plan with one opens as it was saved', () => {
  const plan = ramp([laydown()]);
  expect(openPlan(structuredClone(plan))).toMatchObject({ plan: { site: { zones: [laydown()] } } });
});
