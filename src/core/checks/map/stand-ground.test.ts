import { passengerCanopy, quayFootbridge, vehicleRamp } from '../../../../tests/demo-plan';
import type { Plan, Zone } from '../../document/schema';
import { replay, type Replay } from '../../replay/replay';
import { rulesOf } from '../../rules/rule-sets';
import { settle, type SettledPlan } from '../../settle/settle';
import { Missing } from '../../verdict/missing';
import { inTheWayChecks } from '../lift/in-the-way';
import { pickContext } from '../lift/pick-context';
import { standChecks } from '../site/stand';
import { standZoneChecks } from '../site/stand-zones';
import { zoneChecks } from '../site/zones';
import { wholeStandMap, type StandMap } from './stand-map';

const TODAY = '2026-11-30';
type At = { x: number; y: number };
/** Of the plan as it is now: what is edited after is another plan. */
const mapOf = (plan: Plan, stand: string | null = null): StandMap => {
  const map = wholeStandMap(settle(structuredClone(plan)), 'c1', stand);
  if (map instanceof Missing) throw new Error(map.questions.join());
  return map;
};
const cellAt = (map: StandMap, cell: number): At => ({ x: map.at.x + (cell % map.wide) * map.step, y: map.at.y + Math.floor(cell / map.wide) * map.step });

/** A few lifts of a plan, all from one stand, with nothing else of the map in their way. */
function few(make: () => Plan, every: number): Plan {
  const plan = make();
  const { stand } = plan.picks[1]!;
  plan.picks = plan.picks.filter((pick, n) => pick.stand === stand && n % every === 1);
  const kept = new Set(plan.picks.map(({ id }) => id));
  plan.moves = plan.moves
    .filter((move) => move.kind !== 'pick.trial' && (!('stand' in move) || move.stand === stand))
    .map((move) => (move.kind === 'piece.hang' && !kept.has(move.pick ?? '') ? { ...move, pick: null } : move));
  plan.site = { ...plan.site, powerLines: [], obstructions: [] };
  return plan;
}

/** What the checks of the stand and of the way of one lift say with every stand at one place: may it be there, as far as they go. */
function mayByChecks(plan: SettledPlan, replayed: Replay, pick: string, at: At): { ground: boolean; over: boolean } {
  const moved = { ...plan, stands: plan.stands.map((stand) => ({ ...stand, at })) };
  const context = { plan: moved, today: TODAY, rules: rulesOf(plan.job.ruleSet, plan.job.thresholds), replayed };
  const picked = pickContext(
    moved,
    moved.picks.find(({ id }) => id === pick)!,
  );
  const bad = (checks: ReturnType<typeof standChecks>, ids: RegExp) =>
    checks.some(({ id, verdict }) => ids.test(id) && (verdict === 'stop' || verdict === 'missing'));
  return {
    ground: !bad(standChecks(context, picked), /^stand\.(ground|tips)$/),
    over: !bad(zoneChecks(context, picked), /^lift\.over$/),
  };
}

const onTracks = (plan: Plan): void => void Object.assign(plan.cranes[0]!, { tracks: { shoe: 0.9 }, baseLength: 7.4, baseWidth: 6.2 });
const weak =
  (allowable: number, more: (plan: Plan) => void = () => undefined) =>
  (plan: Plan): void => {
    more(plan);
    plan.stands.forEach((stand, n) => Object.assign(stand, { groundAllowable: allowable, padArea: 1.4, azimuthDeg: 25 + 40 * n }));
  };

test.each<[string, () => Plan, number, (plan: Plan) => void]>([
  ['columns turned up and beams on soft ground', passengerCanopy, 6, weak(85e3)],
  ['girders on soft ground', vehicleRamp, 2, weak(240e3)],
  ['slewed the long way round', vehicleRamp, 2, (plan) => (weak(240e3)(plan), plan.picks.forEach((pick) => void (pick.swing = 'right')))],
  ['at a swing radius of its own', vehicleRamp, 2, (plan) => (weak(230e3)(plan), plan.picks.forEach((pick) => void (pick.swingRadius = 12)))],
  ['on tracks', vehicleRamp, 2, weak(170e3, onTracks)],
  [
    'with a counterweight that presses harder behind the lighter the load is',
    vehicleRamp,
    2,
    weak(425e3, (plan) => {
      plan.cranes[0]!.parts.forEach((part) => part.on === 'slewing' && Object.assign(part, { mass: 3 * part.mass }));
      plan.structure.makes.forEach((make) => (make.allowance = 0.5));
    }),
  ],
  ['with a corner that lifts', vehicleRamp, 2, weak(430e3, (plan) => void Object.assign(plan.cranes[0]!, { baseLength: 3.4, baseWidth: 3.2 }))],
  ['on narrow tracks', vehicleRamp, 2, weak(612e3, (plan) => (onTracks(plan), void (plan.cranes[0]!.tracks!.shoe = 0.25)))],
  ['on tracks of which a part lifts', vehicleRamp, 2, weak(330e3, (plan) => (onTracks(plan), void Object.assign(plan.cranes[0]!, { baseLength: 4.6 })))],
  ['on narrow outriggers, where it may tip', vehicleRamp, 2, weak(900e3, (plan) => void Object.assign(plan.cranes[0]!, { baseLength: 2.6, baseWidth: 2.4 }))],
])('the ground under it is told at each place as the checks tell it: %s', (_, make, every, edit) => {
  const plan = few(make, every);
  edit(plan);
  const map = mapOf(plan);
  expect(map.groundAsks).toEqual([]);
  const settled = settle(plan);
  const replayed = replay(settled);
  // The same with ground that carries anything: what is not served then is not the ground’s.
  const firm = structuredClone(plan);
  firm.stands.forEach((stand) => (stand.groundAllowable = 1e9));
  firm.cranes.forEach((crane) => Object.assign(crane, { baseLength: 30, baseWidth: 30 }));
  const bare = mapOf(firm);
  const count = { holds: 0, gives: 0 };
  for (let n = 0; n < 6000 && count.holds + count.gives < 160; n += 1) {
    const cell = (n * 7919 * 31 + 17 * n * n) % map.worst.length;
    const lift = n % map.lifts;
    const at = cellAt(map, cell);
    if (!(bare.share(lift, at) < 1) || !(map.chart(lift, at) < 1)) continue;
    const { ground } = mayByChecks(settled, replayed, map.of[lift]!.pick, at);
    expect([lift, at, map.share(lift, at) < 1]).toEqual([lift, at, ground]);
    count[ground ? 'holds' : 'gives'] += 1;
  }
  expect(count.holds).toBeGreaterThan(10);
  expect(count.gives).toBeGreaterThan(10);
});

test('what nobody has said of ground, mats, tracks or of what the crane weighs is asked on the map', () => {
  const asked = (edit: (plan: Plan) => void, make = vehicleRamp) => {
    const plan = few(make, 2);
    edit(plan);
    return mapOf(plan).groundAsks;
  };
  expect(asked(() => undefined)).toEqual([]);
  expect(asked((plan) => plan.stands.forEach((stand) => (stand.groundAllowable = null)))).toEqual([expect.stringMatching(/^What may the ground at .* carry/)]);
  expect(asked((plan) => plan.stands.forEach((stand) => (stand.padArea = null)))).toEqual([expect.stringMatching(/^How large is the mat/)]);
  expect(asked((plan) => (onTracks(plan), void (plan.cranes[0]!.tracks!.shoe = null)))).toEqual([expect.stringMatching(/^How wide is one track/)]);
  expect(asked((plan) => void (plan.cranes[0]!.parts = []))).toEqual([expect.stringMatching(/^What do the parts of/)]);
  // Two stands, one of them unsaid: that one is named, the other is read.
  const two = vehicleRamp();
  two.stands[1]!.groundAllowable = null;
  expect(mapOf(two).groundAsks).toEqual([expect.stringContaining(two.stands[1]!.name)]);
  expect(mapOf(two, two.stands[0]!.id).groundAsks).toEqual([]);
});

const zone = (kind: Zone['kind'], at: At, size: [number, number], azimuthDeg = 0): Zone => ({
  id: `z ${kind}`,
  name: `The ${kind}`,
  kind,
  at,
  length: size[0],
  width: size[1],
  azimuthDeg,
  closed: null,
});
const good = { how: 'gates shut, one man at each', by: 'R. Achterberg', on: '2026-11-02' };

test.each<[string, () => Plan, number, (plan: Plan) => Zone[]]>([
  ['a road past girders', vehicleRamp, 2, () => [zone('road', { x: 2, y: -9 }, [9, 2], 10)]],
  [
    'people in the middle of the site and a road beside them',
    vehicleRamp,
    2,
    () => [zone('people', { x: 14, y: -4 }, [2, 2], 30), zone('road', { x: 20, y: -3 }, [2, 2])],
  ],
  ['a railway, over which no boom goes either', vehicleRamp, 2, () => [zone('railway', { x: 3, y: -13 }, [6, 1.5], 70)]],
  [
    'a roof beside columns that are turned up',
    passengerCanopy,
    6,
    () => [zone('roof', { x: 20, y: -14 }, [3, 3], 45), zone('railway', { x: 10, y: -12.5 }, [3, 0.8])],
  ],
  ['in wind', vehicleRamp, 2, (plan) => (void (plan.site.forecastGust = 9), [zone('people', { x: 12, y: -9 }, [3, 2], 30)])],
])('what a load or a boom passes over is told at each place as the checks tell it: %s', (_, make, every, zones) => {
  const plan = few(make, every);
  const bare = mapOf(plan);
  plan.site.zones = zones(plan);
  const map = mapOf(plan);
  const settled = settle(plan);
  const replayed = replay(settled);
  const outside = new Set<string>();
  const count = { off: 0, over: 0 };
  for (let n = 0; n < 8000 && count.off + count.over < 180; n += 1) {
    const cell = (n * 7919 * 31 + 17 * n * n) % map.worst.length;
    const lift = n % map.lifts;
    const at = cellAt(map, cell);
    if (Number.isNaN(map.worst[cell]!) || !(bare.share(lift, at) < 1)) continue;
    const stood = { ...settled, stands: settled.stands.map((stand) => ({ ...stand, at })) };
    const stands = standZoneChecks({ plan: stood, today: TODAY, rules: rulesOf(plan.job.ruleSet, plan.job.thresholds), replayed });
    const { over } = mayByChecks(settled, replayed, map.of[lift]!.pick, at);
    const may = over && stands.length === 0;
    if (stands.length > 0) outside.add(`${at.x} ${at.y}`);
    expect([lift, at, map.share(lift, at) < 1]).toEqual([lift, at, may]);
    count[may ? 'off' : 'over'] += 1;
  }
  expect(count.off).toBeGreaterThan(8);
  expect(count.over).toBeGreaterThan(30);
  expect(outside.size).toBeGreaterThan(0);
  // What blocks say of all their cells is what each of them says.
  for (let cell = 3; cell < map.worst.length; cell += 41) {
    if (Number.isNaN(map.worst[cell]!)) continue;
    const served = map.of.filter((__, lift) => map.share(lift, cellAt(map, cell)) < 1).length;
    expect([cell, map.serves[cell]]).toEqual([cell, served]);
  }
});

test('a zone that is closed, and by whom is said, is in nobody’s way; half a record closes nothing', () => {
  const plan = few(vehicleRamp, 2);
  const bare = mapOf(plan);
  const road = zone('road', { x: 9, y: -9 }, [60, 3]);
  const sum = (closed: Zone['closed']) => {
    plan.site.zones = [{ ...road, closed }];
    const map = mapOf(plan);
    return [map.serves.reduce((all, one) => all + one, 0), map.zones] as const;
  };
  const all = bare.serves.reduce((sumOf, one) => sumOf + one, 0);
  expect(sum(good)).toEqual([all, []]);
  for (const half of [null, { ...good, by: 'site office' }, { ...good, how: '' }, { ...good, on: 'soon' }]) {
    const [served, named] = sum(half);
    expect(served).toBeLessThan(all);
    expect(named).toEqual(['The road']);
  }
});

test('a boom that is laid out over a zone keeps the stand away from it', () => {
  const plan = few(vehicleRamp, 2);
  Object.assign(plan.cranes[0]!, { assembled: true });
  plan.stands.forEach((stand) => Object.assign(stand, { assembly: { towardsDeg: 270, by: null, held: null } }));
  plan.site.zones = [zone('road', { x: 9, y: -40 }, [80, 3])];
  const far = mapOf(plan);
  plan.stands.forEach((stand) => (stand.assembly!.towardsDeg = 90));
  const away = mapOf(plan);
  let fewer = 0;
  far.serves.forEach((serves, cell) => (fewer += serves < away.serves[cell]! ? 1 : 0));
  expect(fewer).toBeGreaterThan(50);
});

test('a place from which the crane cannot leave when it is to serves nothing, as the check of the way out says', () => {
  const plan = few(vehicleRamp, 2);
  const wall = (id: string, x: number, y: number, length: number, azimuthDeg: number) => ({
    id,
    name: id,
    at: { x, y },
    length,
    width: 0.5,
    azimuthDeg,
    height: 2,
  });
  // A yard of three walls, open to nobody: the fourth side is shut as well.
  plan.site.obstructions = [wall('a', 9, -24, 44, 0), wall('b', -13, -12, 24, 90), wall('c', 31, -12, 24, 90), wall('d', 9, 0.5, 44, 0)];
  const shut = mapOf(plan);
  plan.site.obstructions = plan.site.obstructions.filter(({ id }) => id !== 'a');
  const open = mapOf(plan);
  const [settled, at] = [settle(plan), { x: 9, y: -9 }];
  const moved = { ...settled, stands: settled.stands.map((stand) => ({ ...stand, at })) };
  const said = (of: SettledPlan) =>
    inTheWayChecks({ plan: of, today: TODAY, rules: rulesOf(plan.job.ruleSet, plan.job.thresholds), replayed: replay(of) }).filter(
      ({ id }) => id === 'stand.wayOut',
    );
  expect(said(moved).map(({ verdict }) => verdict)).toEqual(['clear']);
  const lift = open.of.findIndex((_, n) => open.share(n, at) < 1);
  expect(lift).toBeGreaterThanOrEqual(0);
  expect(shut.share(lift, at)).toBe(Infinity);
  // Where nothing says that it leaves, nothing is asked of its way out.
  plan.site.obstructions.push(wall('a', 9, -24, 44, 0));
  plan.moves = plan.moves.filter(({ kind }) => kind !== 'crane.leave');
  expect(mapOf(plan).share(lift, at)).toBeLessThan(1);
});

test('another crane that is there while it lifts is in its way, one that has left is not', () => {
  const plan = few(quayFootbridge, 1);
  plan.picks = quayFootbridge().picks.slice(0, 1);
  const other = { ...structuredClone(plan.cranes[0]!), id: 'c9', name: 'The other' };
  plan.cranes.push(other);
  const { at } = plan.stands[0]!;
  plan.stands.push({ ...structuredClone(plan.stands[0]!), id: 's9', name: 'Beside', crane: 'c9', at: { x: at.x + 6, y: at.y } });
  plan.moves = quayFootbridge().moves.filter((move) => move.kind !== 'pick.trial' && !('pick' in move && move.pick && move.pick !== plan.picks[0]!.id));
  const here = (map: StandMap) => map.worst[Math.round((at.y - map.at.y) / map.step) * map.wide + Math.round((at.x - map.at.x) / map.step)]!;
  expect(here(mapOf(plan))).not.toBeNaN();
  const set = { id: 'm90', kind: 'crane.set' as const, stand: 's9', note: '' };
  const leave = { id: 'm91', kind: 'crane.leave' as const, stand: 's9', note: '' };
  const moves = plan.moves;
  plan.moves = [set, ...moves];
  expect(here(mapOf(plan))).toBeNaN();
  plan.moves = [set, leave, ...moves];
  expect(here(mapOf(plan))).not.toBeNaN();
});

test('what is known of the places for one chart is what is known of them for another', () => {
  const plan = few(vehicleRamp, 2);
  const crane = plan.cranes[0]!;
  const lighter = { ...crane.chart!, capacity: crane.chart!.capacity.map((row) => row.map((one) => (one === null ? null : 0.5 * one))) };
  plan.duties = [{ id: 'd1', crane: 'c1', name: 'Half', chart: lighter, chartSource: '', chartGust: null, chartBase: null, chartOver: null }] as Plan['duties'];
  plan.stands.forEach((stand) => Object.assign(stand, { groundAllowable: 240e3, padArea: 1.4 }));
  const settled = settle(plan);
  const read = (of: SettledPlan, setUp: string) => {
    const map = wholeStandMap(of, 'c1', null, setUp);
    if (map instanceof Missing) throw new Error(map.questions.join());
    return map;
  };
  const [half, whole] = [read(settled, 'd1'), read(settled, 'c1')];
  expect(whole.serves).toEqual(read(settle(structuredClone(plan)), 'c1').serves);
  expect(half.serves).toEqual(read(settle(structuredClone(plan)), 'd1').serves);
  const sum = (map: StandMap) => map.serves.reduce((all, one) => all + one, 0);
  expect(sum(half)).toBeLessThan(sum(whole));
  expect(sum(half)).toBeGreaterThan(0);
});
