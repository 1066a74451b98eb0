import { passengerCanopy, quayFootbridge, vehicleRamp } from '../../../../tests/demo-plan';
import type { Check } from '../../verdict/check';
import { evaluate } from '../../evaluate';
import { Missing } from '../../verdict/missing';
import type { Plan } from '../../document/schema';
import { settle } from '../../settle/settle';
import { bestPlaces, wholeStandMap, type StandMap } from './stand-map';

const TODAY = '2026-11-28';
const mapOf = (plan: Plan, crane = 'c1'): StandMap => {
  const map = wholeStandMap(settle(plan), crane);
  if (map instanceof Missing) throw new Error(map.questions.join());
  return map;
};
const OF_CHART = /^lift\.(chart|offChart|boomReach)$/;
const OF_BOOM = /^lift\.(headRoom|boomGap)$/;
/** What the checks find with a crane somewhere: of the chart the ratio, and nothing where there is no room under the boom. */
const shareOf = (rows: readonly Check[]): number =>
  rows.some(({ id, verdict }) => OF_BOOM.test(id) && (verdict === 'stop' || verdict === 'missing'))
    ? Infinity
    : Math.max(...rows.filter(({ id }) => OF_CHART.test(id)).map(({ ratio }) => ratio ?? Infinity));
/** Where every stand of the crane is put at one place, the worst share of the chart that the checks find. */
const plainly = (plan: Plan, at: { x: number; y: number }): number =>
  shareOf(evaluate({ ...plan, stands: plan.stands.map((stand) => ({ ...stand, at })) }, TODAY).checks);
const cellAt = (map: StandMap, cell: number) => ({ x: map.at.x + (cell % map.wide) * map.step, y: map.at.y + Math.floor(cell / map.wide) * map.step });

describe('where the crane may stand', () => {
  test.each([
    ['girders by the step of the chart', quayFootbridge],
    ['girders between its cells', () => Object.assign(quayFootbridge(), { job: { ...quayFootbridge().job, chartRule: 'linear' } }) as Plan],
    [
      'with a boom shorter than its chart',
      () =>
        edited((plan) => (plan.cranes[0]!.chart!.capacity.forEach((row) => row.fill(30_000)), plan.picks.forEach((pick) => Object.assign(pick, { boom: 24 })))),
    ],
    ['with a radius held while slewing', () => edited((plan) => plan.picks.forEach((pick) => (pick.swingRadius = 17)))],
  ] as const)('every cell says what the checks say with the crane there: %s', (_, make) => {
    const plan = make();
    const map = mapOf(plan);
    let [compared, served] = [0, 0];
    for (let cell = 7; cell < map.worst.length; cell += Math.floor(map.worst.length / 60)) {
      const worst = map.worst[cell]!;
      if (Number.isNaN(worst)) continue;
      const plain = plainly(plan, cellAt(map, cell));
      if (Number.isFinite(plain) || Number.isFinite(worst)) expect(worst).toBeCloseTo(plain, 9);
      compared += 1;
      served += Number.isFinite(worst) ? 1 : 0;
    }
    expect(compared).toBeGreaterThan(30);
    expect(served).toBeGreaterThan(1);
  });
  test('columns that are turned up are read where they are slung, where they lie and on the way between', () => {
    const plan = passengerCanopy();
    plan.picks = plan.picks.filter(({ turned }) => turned).slice(0, 4);
    const kept = new Set(plan.picks.map(({ id }) => id));
    plan.moves = plan.moves.map((move) => (move.kind === 'piece.hang' && !kept.has(move.pick ?? '') ? { ...move, pick: null } : move));
    plan.moves = plan.moves.filter((move) => move.kind !== 'pick.trial');
    const map = mapOf(plan);
    for (let cell = 3; cell < map.worst.length; cell += Math.floor(map.worst.length / 25)) {
      const worst = map.worst[cell]!;
      if (!Number.isNaN(worst) && Number.isFinite(worst)) expect(worst).toBeCloseTo(plainly(plan, cellAt(map, cell)), 9);
    }
    // Beside the middle of a column as it lies, nearer than the chart begins though neither end is: it is carried past there.
    const beside = [...map.worst.keys()].filter((cell) => Math.hypot(cellAt(map, cell).x - 7.4, cellAt(map, cell).y + 13.8) < 0.4);
    expect(beside.length).toBeGreaterThan(0);
    for (const cell of beside) expect([map.worst[cell], plainly(plan, cellAt(map, cell))]).toEqual([Infinity, Infinity]);
  });
  test('nearer to a power line than it asks for it serves no lift that comes there; every cell says what the checks say', () => {
    const plan = passengerCanopy();
    plan.picks = plan.picks.filter(({ id }, n) => n % 9 === 0 || id === 'k1');
    const kept = new Set(plan.picks.map(({ id }) => id));
    plan.moves = plan.moves.map((move) => (move.kind === 'piece.hang' && !kept.has(move.pick ?? '') ? { ...move, pick: null } : move));
    plan.moves = plan.moves.filter((move) => move.kind !== 'pick.trial');
    // The line along the works, as high as a boom.
    Object.assign(plan.site.powerLines[0]!, { from: { x: -20, y: -6 }, to: { x: 60, y: -9 }, height: 9 });
    const bare = mapOf({ ...plan, site: { ...plan.site, powerLines: [] } });
    const map = mapOf(plan);
    expect(map.lines).toEqual({ kept: plan.site.powerLines.map(({ name }) => name), unknown: [] });
    const changed = [...map.serves.keys()].filter((cell) => map.serves[cell] !== bare.serves[cell]);
    expect(changed.length).toBeGreaterThan(50);
    const far = [...map.serves.keys()].filter((cell) => map.serves[cell] === bare.serves[cell] && map.serves[cell]! > 0);
    const some = (cells: number[], count: number) => cells.filter((_, n) => n % Math.ceil(cells.length / count) === 0);
    for (const cell of [...some(changed, 14), ...some(far, 14)]) {
      const at = cellAt(map, cell);
      const moved = { ...plan, stands: plan.stands.map((stand) => ({ ...stand, at })) };
      const { checks } = evaluate(moved, TODAY);
      const bad = new Set(checks.filter(({ id, verdict }) => id === 'stand.powerLine' && verdict === 'stop').map(({ about }) => about.part));
      const off = new Set(
        checks.filter(({ id, ratio }) => /^lift\.(chart|offChart|boomReach)$/.test(id) && !((ratio ?? Infinity) < 1)).map(({ about }) => about.id),
      );
      const good = plan.picks.filter(({ id }) => !bad.has(id) && !off.has(id)).map(({ id }) => id);
      const served = map.of.filter((_, n) => map.share(n, at) < 1).map(({ pick }) => pick);
      expect(served.sort()).toEqual(good.sort());
    }
    // Of a line that nobody knows the voltage of, the map keeps clear of nothing, and says so.
    const blind = structuredClone(plan);
    blind.site.powerLines[0]!.volts = null;
    expect(mapOf(blind).lines.unknown).toEqual([plan.site.powerLines[0]!.name]);
  });
  test('the end of a long load comes near a line that the boom stays far from', () => {
    const plan = quayFootbridge();
    const line = { id: 'pl', name: 'Pier feeder', volts: 20_000, from: { x: -2.5, y: -30 }, to: { x: -2.5, y: 30 }, height: 7 };
    const map = mapOf({ ...plan, site: { ...plan.site, powerLines: [line] } });
    const lift = map.of.findIndex(({ pick }) => pick === 'k1');
    expect(mapOf(plan).share(lift, { x: 9, y: -8 })).toBeLessThan(1);
    expect(map.share(lift, { x: 9, y: -8 })).toBe(Infinity);
    const far = mapOf({ ...plan, site: { ...plan.site, powerLines: [{ ...line, from: { x: -30, y: -30 }, to: { x: -30, y: 30 } }] } });
    expect(far.share(lift, { x: 9, y: -8 })).toBeLessThan(1);
  });
  test('the best places serve all lifts where any place does, and are apart', () => {
    const map = mapOf(quayFootbridge());
    const best = bestPlaces(map);
    expect(best[0]!.serves).toBe(Math.max(...map.serves));
    expect(best[0]!.worst).toBe(Math.min(...[...map.worst.keys()].filter((cell) => map.serves[cell] === best[0]!.serves).map((cell) => map.worst[cell]!)));
    for (const [i, a] of best.entries()) for (const b of best.slice(i + 1)) expect(Math.hypot(a.at.x - b.at.x, a.at.y - b.at.y)).toBeGreaterThanOrEqual(4);
    expect(best[0]!.worst).toBeLessThanOrEqual(plainly(quayFootbridge(), { x: 9, y: -8 }));
  });
  test('where no one place serves all it says how many the best serves', () => {
    const map = mapOf(vehicleRamp());
    const [first] = bestPlaces(map);
    expect(first!.serves).toBeGreaterThan(3);
    expect(first!.serves).toBeLessThan(map.lifts);
    expect(first!.worst).toBe(Infinity);
  });
  test('of one stand alone its own lifts are read', () => {
    const map = wholeStandMap(settle(vehicleRamp()), 'c1', 's4');
    if (map instanceof Missing) throw new Error('a map there is');
    expect(map.lifts).toBe(4);
    expect(bestPlaces(map)[0]!.serves).toBe(4);
    expect(bestPlaces(map)[0]!.worst).toBeLessThan(1);
  });
  test('set up another way it is read off that chart, whatever stands are said to have', () => {
    const plan = quayFootbridge();
    const [crane] = plan.cranes;
    const { chart, chartSource, chartGust, chartBase } = crane!;
    const twice = { ...chart!, capacity: chart!.capacity.map((row) => row.map((one) => (one === null ? null : 2 * one))) };
    plan.duties = [
      {
        id: 'd1',
        crane: 'c1',
        name: 'More counterweight',
        chart: twice,
        chartSource,
        chartGust,
        chartBase,
        chartOver: { from: 0, to: 180 },
        chartCounterweight: 9000,
      },
      { id: 'd2', crane: 'c1', name: 'Narrow', chart: null, chartSource, chartGust, chartBase, chartOver: { from: 0, to: 180 }, chartCounterweight: 9000 },
    ] as Plan['duties'];
    const as = (setUp: string) => wholeStandMap(settle(plan), 'c1', null, setUp);
    const [own, more] = [as('c1'), as('d1')];
    if (own instanceof Missing || more instanceof Missing) throw new Error('both have figures');
    const [at] = bestPlaces(own);
    expect(more.share(0, at!.at)).toBeCloseTo(own.share(0, at!.at) / 2, 9);
    expect(own.share(0, at!.at)).toBeCloseTo(mapOf(quayFootbridge()).share(0, at!.at), 9);
    for (const none of ['d2', 'gone']) expect(as(none)).toBeInstanceOf(Missing);
  });
  test('it stands in nothing: walls and the steel that is there by then', () => {
    const map = mapOf(
      edited((plan) => plan.site.obstructions.push({ id: 'w', name: 'Wall', at: { x: 9, y: -8 }, length: 6, width: 1, azimuthDeg: 30, height: 3 })),
    );
    const near = [...map.worst.keys()].filter((cell) => Math.hypot(cellAt(map, cell).x - 9, cellAt(map, cell).y + 8) < 2);
    expect(near.length).toBeGreaterThan(3);
    expect(near.every((cell) => Number.isNaN(map.worst[cell]!))).toBe(true);
  });
  test('moving the whole site moves nothing of it', () => {
    const far = edited((plan) => {
      for (const piece of plan.structure.pieces) {
        for (const end of [piece.from!, piece.to!]) Object.assign(end, { x: end.x + 300, y: end.y - 150 });
        Object.assign(piece.lies!, { x: piece.lies!.x! + 300, y: piece.lies!.y! - 150 });
      }
      for (const stand of plan.stands) stand.at = { x: stand.at.x + 300, y: stand.at.y - 150 };
    });
    const [here, there] = [bestPlaces(mapOf(quayFootbridge())), bestPlaces(mapOf(far))];
    expect(there.map(({ worst }) => worst.toFixed(6))).toEqual(here.map(({ worst }) => worst.toFixed(6)));
    expect(there[0]!.at.x - here[0]!.at.x).toBeCloseTo(300, 6);
  });
  test.each([
    ['no chart', (plan: Plan) => (plan.cranes[0]!.chart = null), /no chart yet/],
    ['no pick', (plan: Plan) => (plan.picks = []), /No pick of Curlew 50/],
    ['nothing known of any load', (plan: Plan) => plan.picks.forEach((pick) => (pick.riggingMass = null)), /slings and shackles weigh/],
  ])('%s is said', (_, edit, wanted) => {
    const map = wholeStandMap(settle(edited(edit)), 'c1');
    expect(map instanceof Missing && map.questions.join()).toMatch(wanted);
  });
  test('what two cranes lift, and what is not known, is left out and named', () => {
    const map = mapOf(
      edited((plan) => {
        plan.picks[1]!.second = { stand: 'w2', boom: 27, slingRating: 5000, riggingMass: 95 };
        plan.picks[2]!.riggingMass = null;
      }),
    );
    expect(map.lifts).toBe(2);
    expect(map.left.map(({ mark, why }) => `${mark}: ${why}`)).toEqual([
      expect.stringMatching(/^G2a: it is lifted by two cranes/),
      expect.stringMatching(/^G1b: What do slings/),
    ]);
  });
});

function edited(edit: (plan: Plan) => unknown): Plan {
  const plan = quayFootbridge();
  edit(plan);
  return plan;
}
