import { passengerCanopy, quayFootbridge, vehicleRamp } from '../../../../tests/demo-plan';
import { rulesOf } from '../../rules/rule-sets';
import type { Check } from '../../verdict/check';
import { craneChecks } from '../lift/crane';
import { newRig } from '../../document/things/rig';
import { Missing } from '../../verdict/missing';
import { pickContext } from '../lift/pick-context';
import { replay, type Replay } from '../../replay/replay';
import type { Plan } from '../../document/schema';
import { settle, type SettledPlan } from '../../settle/settle';
import { wholeStandMap, type StandMap } from './stand-map';

const TODAY = '2026-11-28';
const mapOf = (plan: Plan): StandMap => {
  const map = wholeStandMap(settle(plan), 'c1');
  if (map instanceof Missing) throw new Error(map.questions.join());
  return map;
};
const cellAt = (map: StandMap, cell: number) => ({ x: map.at.x + (cell % map.wide) * map.step, y: map.at.y + Math.floor(cell / map.wide) * map.step });

/** What the checks find: of the chart the ratio, and nothing where there is no room under the boom. */
const shareOf = (rows: readonly Check[]): number =>
  rows.some(({ id, verdict }) => /^lift\.(headRoom|boomGap)$/.test(id) && (verdict === 'stop' || verdict === 'missing'))
    ? Infinity
    : Math.max(...rows.filter(({ id }) => /^lift\.(chart|offChart|boomReach)$/.test(id)).map(({ ratio }) => ratio ?? Infinity));
/** One lift by the checks of its crane, with every stand at one place. */
const plainlyOf = (plan: SettledPlan, replayed: Replay, pick: string, at: { x: number; y: number }): number => {
  const moved = { ...plan, stands: plan.stands.map((stand) => ({ ...stand, at })) };
  const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
  const picked = pickContext(
    moved,
    moved.picks.find(({ id }) => id === pick)!,
  );
  return shareOf(craneChecks({ plan: moved, today: TODAY, rules, replayed }, picked));
};

/** One lift in so many, the steel of the others still set when it was. */
const few = (plan: Plan, every: number): Plan => {
  plan.picks = plan.picks.filter((_, n) => n % every === 1);
  const kept = new Set(plan.picks.map(({ id }) => id));
  plan.moves = plan.moves
    .filter((move) => move.kind !== 'pick.trial')
    .map((move) => (move.kind === 'piece.hang' && !kept.has(move.pick ?? '') ? { ...move, pick: null } : move));
  plan.site.powerLines = [];
  return plan;
};

function walls(plan: Plan): void {
  plan.site.obstructions.push(
    { id: 'w', name: 'Wall', at: { x: 9, y: -14 }, length: 16, width: 1, azimuthDeg: 30, height: 12 },
    { id: 'm', name: 'Mast', at: { x: 20, y: 14 }, length: 0.5, width: 0.5, azimuthDeg: 10, height: 22 },
  );
}

const cases: [string, () => Plan, (plan: Plan) => void, number][] = [
  ['a canopy that goes up round it', passengerCanopy, () => undefined, -1],
  ['the same with a wall to lift over and a mast to swing past', passengerCanopy, walls, 8],
  ['girders beside a wall', vehicleRamp, walls, 8],
  [
    'girders slung so long that there is little head room',
    vehicleRamp,
    (plan: Plan) => plan.picks.forEach((pick) => void (pick.legs = { left: 16, right: 16 })),
    8,
  ],
  ['slewed the long way round', vehicleRamp, (plan: Plan) => (walls(plan), plan.picks.forEach((pick) => void (pick.swing = 'left'))), 8],
  ['in wind', passengerCanopy, (plan: Plan) => (walls(plan), void (plan.site.forecastGust = 9)), 8],
];
test.each(cases)('head room, load and all that stands are told at each place as the checks tell them: %s', (_, make, edit, blocks) => {
  const plan = few(make(), make === passengerCanopy ? 7 : 3);
  edit(plan);
  const settled = settle(plan);
  const replayed = replay(settled);
  const map = mapOf(plan);
  const count = { served: 0, off: 0, blocked: 0 };
  for (let n = 0; n < 3000 && count.served + count.blocked < 150; n += 1) {
    // Scattered over the map and the lifts, the same at each run.
    const cell = (n * 7919 * 31 + 17 * n * n) % map.worst.length;
    const lift = n % map.lifts;
    const at = cellAt(map, cell);
    if (Number.isNaN(map.worst[cell]!) || (map.chart(lift, at) >= 1 && count.off > 20)) continue;
    const told = map.share(lift, at);
    const plain = plainlyOf(settled, replayed, map.of[lift]!.pick, at);
    const serves = plain < 1;
    expect([cell, lift, told < 1]).toEqual([cell, lift, serves]);
    if (serves) expect(told).toBeCloseTo(plain, 9);
    count[serves ? 'served' : plain === Infinity && map.chart(lift, at) < 1 ? 'blocked' : 'off'] += 1;
  }
  expect(count.served).toBeGreaterThan(8);
  expect(count.off).toBeGreaterThan(8);
  expect(count.blocked).toBeGreaterThan(blocks);
});
test('what blocks say of all their cells is what each cell says by itself', () => {
  for (const make of [passengerCanopy, vehicleRamp]) {
    const plan = few(make(), make === passengerCanopy ? 9 : 4);
    walls(plan);
    const map = mapOf(plan);
    let [clear, blocked] = [0, 0];
    for (let cell = 11; cell < map.worst.length; cell += 7) {
      if (Number.isNaN(map.worst[cell]!)) continue;
      const charts = map.of.map((_, lift) => map.chart(lift, cellAt(map, cell)));
      if (!charts.some((chart) => chart < 1)) continue;
      const shares = map.of.map((_, lift) => map.share(lift, cellAt(map, cell)));
      expect(map.serves[cell]).toBe(shares.filter((share) => share < 1).length);
      expect(map.worst[cell]).toBe(Math.max(...shares));
      clear += shares.filter((share) => share < 1).length;
      blocked += charts.filter((chart, lift) => chart < 1 && shares[lift]! > 1).length;
    }
    expect(clear).toBeGreaterThan(30);
    expect(blocked).toBeGreaterThan(30);
  }
});
/** Masts in a ring: whichever way a boom goes round, it meets one. */
const ring = (plan: Plan, middle: { x: number; y: number }, radius: number, count: number): void => {
  for (let n = 0; n < count; n += 1) {
    const turn = (2 * Math.PI * n) / count + 0.3;
    const at = { x: middle.x + radius * Math.cos(turn), y: middle.y + radius * Math.sin(turn) };
    plan.site.obstructions.push({ id: `m${n}`, name: `Mast ${n + 1}`, at, length: 0.4, width: 0.4, azimuthDeg: 0, height: 14 + 2 * n });
  }
};
test.each([
  ['a load on the other side of the crane than its seat', quayFootbridge, 2, 'short', 5],
  ['slewed to the right whichever way is shorter', quayFootbridge, 2, 'right', 1],
  ['columns turned up where they lie', passengerCanopy, 11, 'short', 5],
] as const)('between masts all round no block says more than its cells: %s', (_, make, every, swing, masts) => {
  const plan = few(make(), every);
  plan.picks.forEach((pick) => Object.assign(pick, { swing }));
  const piece = plan.structure.pieces.find(({ id }) => id === plan.picks[0]!.piece)!;
  const middle = { x: (piece.lies!.x! + piece.from!.x!) / 2, y: (piece.lies!.y! + piece.from!.y!) / 2 };
  ring(plan, middle, 7, masts);
  const map = mapOf(plan);
  let [clear, blocked] = [0, 0];
  for (let cell = 0; cell < map.worst.length; cell += 1) {
    const at = cellAt(map, cell);
    if (Number.isNaN(map.worst[cell]!) || Math.hypot(at.x - middle.x, at.y - middle.y) > 14) continue;
    const shares = map.of.map((_, lift) => (map.chart(lift, at) < 1 ? map.share(lift, at) : Infinity));
    if (map.serves[cell] !== shares.filter((share) => share < 1).length) throw new Error(`at ${at.x}, ${at.y} the block says ${map.serves[cell]}`);
    clear += shares.filter((share) => share < 1).length;
    blocked += map.of.filter((_, lift) => map.chart(lift, at) < 1 && shares[lift] === Infinity).length;
  }
  expect(clear).toBeGreaterThan(10);
  expect(blocked).toBeGreaterThan(10);
});
test('steel stands in the way of what is lifted after it, and of nothing lifted before', () => {
  const plan = few(passengerCanopy(), 5);
  const at = plan.stands.find(({ id }) => id === 's1')!.at;
  const map = mapOf(plan);
  const order = plan.moves.flatMap((move) => (move.kind === 'piece.hang' && move.pick ? [move.pick] : []));
  const served = order.filter(
    (pick) =>
      map.share(
        map.of.findIndex((one) => one.pick === pick),
        at,
      ) < 1,
  );
  expect(served.length).toBeGreaterThan(4);
  // In the middle of the work a mast of steel is put up before the crane.
  const middle = order.indexOf(served[Math.floor(served.length / 2)]!);
  const column = plan.structure.pieces.find(({ id }) =>
    plan.moves.some((move) => move.kind === 'piece.hang' && move.pick === order[middle] && move.beam === id),
  )!;
  let blockedByMast = 0;
  for (let turn = 1; turn < 8; turn += 2) {
    const foot = { x: at.x + 7 * Math.cos((turn * Math.PI) / 4), y: at.y + 7 * Math.sin((turn * Math.PI) / 4) };
    const tall = structuredClone(plan);
    const piece = tall.structure.pieces.find(({ id }) => id === column.id)!;
    Object.assign(piece, { from: { ...foot, z: 0 }, to: { ...foot, z: 30 } });
    const after = mapOf(tall);
    for (const [n, pick] of order.entries()) {
      const lift = after.of.findIndex((one) => one.pick === pick);
      if (n < middle && served.includes(pick)) expect(after.share(lift, at)).toBeLessThan(1);
    }
    blockedByMast += order.slice(middle + 1).filter(
      (pick) =>
        served.includes(pick) &&
        !(
          after.share(
            after.of.findIndex((one) => one.pick === pick),
            at,
          ) < 1
        ),
    ).length;
  }
  expect(blockedByMast).toBeGreaterThan(0);
});
test('where nobody says how a load hangs it is served as far as the chart goes, and named', () => {
  const plan = quayFootbridge();
  expect(mapOf(plan).unhung).toEqual([]);
  const blank = quayFootbridge();
  blank.picks[0]!.rig = newRig('legs');
  const map = mapOf(blank);
  expect(map.unhung).toEqual([map.of[0]!.mark]);
});
