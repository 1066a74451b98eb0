import fc from 'fast-check';
import { quayFootbridge, stiff } from '../../../tests/demo-plan';
import { chartLookup } from '../cranes/chart-lookup';
import { wrapDeg } from '../geometry/plane';
import { describe as words } from '../verdict/describe';
import { dutiesAt, readOnWay, type Duties } from './duties';
import { evaluate } from '../evaluate';
import { startHistory, type History } from '../edit/history';
import { perform, undo } from '../edit/perform';
import type { Command } from '../edit/table';
import { afresh } from '../document/keep';
import type { LiftPath } from './lift-path';
import { openPlan } from '../document/open';
import { hooksOf } from '../checks/lift/pick-context';
import type { Duty, Plan } from '../document/schema';
import { settle } from './settle';
import { wholeStandMap } from '../checks/map/stand-map';
import { Missing } from '../verdict/missing';

const TODAY = '2026-11-27';
type Edit = (plan: Plan) => unknown;
const made = (edit: Edit): Plan => {
  const plan = stiff(quayFootbridge());
  edit(plan);
  return plan;
};
const of = (plan: Plan, pick: string, id: string) => evaluate(plan, TODAY).checks.filter((row) => row.id === id && row.about.id === pick);
const said = (plan: Plan, pick: string, id: string): string[] => of(plan, pick, id).map((check) => `${check.verdict} ${words(check, 'metric')}`);

/** The crane's own chart for the range, and a second one with every capacity times so much. */
const two = (own: [number, number], more: Partial<Duty> & { over: [number, number]; times: number }): Edit => {
  const { over, times, ...rest } = more;
  return (plan) => {
    const crane = plan.cranes[0]!;
    crane.chartOver = { from: own[0], to: own[1] };
    const { chartSource, chartGust, chartBase = null } = crane;
    const chart = { ...crane.chart!, capacity: crane.chart!.capacity.map((row) => row.map((cell) => (cell === null ? null : cell * times))) };
    plan.duties = [{ id: 'd1', crane: 'c1', name: 'Second', chart, chartSource, chartGust, chartBase, chartOver: { from: over[0], to: over[1] }, ...rest }];
  };
};

// The first girder goes from 90° on the right of the carrier, over its rear, to 104° on its left: 11.0 m, falling to 8.2 m.
describe('which chart is read', () => {
  test('of the only chart of a crane, of which nothing else is said, nothing is asked', () => {
    const plan = quayFootbridge();
    expect(evaluate(plan, TODAY).checks.filter(({ id }) => id === 'lift.duty' || id === 'lift.wrongDuty' || id === 'lift.falls')).toEqual([]);
  });

  test('a chart that is good over the front alone stops a lift over the rear', () => {
    const plan = made(({ cranes }) => (cranes[0]!.chartOver = { from: 0, to: 60 }));
    expect(said(plan, 'k1', 'lift.wrongDuty')).toEqual([expect.stringMatching(/^stop At W1 the boom of Curlew 50 passes 89\.6° off its front/)]);
    expect(of(plan, 'k1', 'lift.chart')[0]!.verdict).toBe('missing');
    const turned = made(({ cranes, stands }) => ((cranes[0]!.chartOver = { from: 0, to: 100 }), (stands[0]!.azimuthDeg = 180)));
    expect(of(turned, 'k1', 'lift.wrongDuty')).toEqual([]);
    expect(of(turned, 'k1', 'lift.duty')[0]!.verdict).toBe('clear');
  });

  test('a gap between two charts is found only by the lift that passes it', () => {
    const plan = made(two([0, 120], { over: [121, 180], times: 1 }));
    expect(said(plan, 'k1', 'lift.wrongDuty')[0]).toContain('passes 120.0° off its front');
    const beyond = made(two([0, 60], { over: [80, 180], times: 1 }));
    expect(of(beyond, 'k1', 'lift.wrongDuty')).toEqual([]);
  });

  test('each is read on its own part of the way, and only there', () => {
    const whole = of(quayFootbridge(), 'k1', 'lift.chart')[0]!;
    // 11.0 m out, the next row is 12 m, booms 27: 8610 kg.
    expect(whole.capacity).toBe(8610);
    // The second chart is good to 60° off the front: this lift never comes there, however weak it is.
    const front = made(two([60, 180], { over: [0, 60], times: 0.1 }));
    expect(of(front, 'k1', 'lift.chart')[0]!.capacity).toBe(8610);
    // Over the rear, past 150°: from 9.98 m in, where the row of 10 m is read, times 0.4.
    const rear = made(two([0, 150], { over: [150, 180], times: 0.4 }));
    const read = of(rear, 'k1', 'lift.chart')[0]!;
    expect(read.capacity).toBeCloseTo(11400 * 0.4, 6);
    expect(read.verdict).toBe('stop');
    expect(words(read, 'metric')).toContain('“Second”');
    expect(read.finding).toMatchObject({ chartId: 'd1' });
    // Stronger over the rear: the other one governs, where it is read.
    expect(of(made(two([0, 150], { over: [150, 180], times: 3 })), 'k1', 'lift.chart')[0]!.capacity).toBe(8610);
  });

  test('where both are good the lower governs', () => {
    expect(of(made(two([0, 180], { over: [0, 180], times: 0.9 })), 'k1', 'lift.chart')[0]!.capacity).toBeCloseTo(8610 * 0.9, 6);
    expect(of(made(two([0, 180], { over: [0, 180], times: 1.1 })), 'k1', 'lift.chart')[0]!.capacity).toBe(8610);
  });

  test('never more than any station of the way gives, wherever the charts part', () => {
    const base = quayFootbridge();
    const [picked] = hooksOf(settle(base), base.picks[0]!);
    const path = picked!.path as LiftPath;
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 179, noNaN: true }),
        fc.double({ min: 0.2, max: 2, noNaN: true }),
        fc.integer({ min: -180, max: 180 }),
        (cut, times, azimuthDeg) => {
          const plan = settle(made((one) => (two([0, cut], { over: [cut, 180], times })(one), (one.stands[0]!.azimuthDeg = azimuthDeg))));
          const stand = plan.stands[0]!;
          const duties = dutiesAt(plan, stand);
          const read = readOnWay(plan, duties, stand, path, 27);
          if (read?.kind !== 'capacity') throw new Error('it is on the charts everywhere');
          const at = path.stations.flatMap(({ bearingDeg, radius }) => {
            const off = Math.abs(wrapDeg(bearingDeg - azimuthDeg));
            return duties.usable
              .filter(({ over }) => off >= over.from && off <= over.to)
              .map(({ chart }) => chartLookup(chart.chart!, radius, 27, 'step').capacity!);
          });
          expect(read.capacity).toBeLessThanOrEqual(Math.min(...at) + 1e-9);
          // And no less than the weaker of the two anywhere on the way.
          expect(read.capacity).toBeGreaterThanOrEqual(8610 * Math.min(1, times) - 1e-6);
        },
      ),
      { numRuns: 200 },
    );
  });

  /** Two stations of a way, 5 m out, with the boom that far off the front; the second chart gives a tenth. */
  const between = (fromDeg: number, toDeg: number, own: [number, number], more: [number, number], radius = 5, most = radius) => {
    const plan = settle(made(two(own, { over: more, times: 0.1 })));
    const stand = plan.stands[0]!;
    const station = (bearingDeg: number) => ({
      phase: 'slew' as const,
      hook: { x: 0, y: 0 },
      radius,
      bearingDeg,
      pieceDeg: 0,
      seen: { length: 1, toMiddle: 0 },
    });
    const read = readOnWay(plan, dutiesAt(plan, stand), stand, { stand, stations: [station(fromDeg), station(toDeg)], least: radius, most, slewDeg: 0 }, 27);
    return read?.kind === 'capacity' ? Math.round(read.capacity) : read?.kind;
  };
  test('a chart is read from its very edge on, over the front and over the rear between two stations, either way round', () => {
    expect(between(20, 60, [0, 60], [60, 180])).toBe(2747);
    expect(between(20, 59, [0, 60], [60, 180])).toBe(27470);
    expect(between(80, 60, [60, 180], [0, 60])).toBe(2747);
    // Over the rear neither station is past 170°, over the front neither is under 10°: what lies between is.
    for (const [from, to] of [
      [170, -170],
      [-170, 170],
    ] as const)
      expect(between(from, to, [0, 175], [175, 180])).toBe(2747);
    for (const [from, to] of [
      [10, -10],
      [-10, 10],
    ] as const)
      expect(between(from, to, [5, 180], [0, 5])).toBe(2747);
    // A hook that may be 2 m past its line is read 2 m farther out.
    expect(between(20, 40, [0, 60], [60, 180], 8)).toBe(15580);
    expect(between(20, 40, [0, 60], [60, 180], 8, 10)).toBe(11400);
  });

  test('where round the crane it is good is asked once there are two, and a range that runs backwards is', () => {
    const open = made(two([0, 180], { over: [0, 180], times: 1, chartOver: null }));
    expect(said(open, 'k1', 'lift.duty')).toEqual([
      'missing Where round Curlew 50 is the chart “Second” good: from and to how far off its front? It stands in the chart.',
    ]);
    const half = made((plan) => (plan.cranes[0]!.chartOver = { from: 0, to: null }));
    expect(of(half, 'k1', 'lift.duty')[0]!.verdict).toBe('missing');
    const back = made((plan) => (plan.cranes[0]!.chartOver = { from: 180, to: 90 }));
    expect(said(back, 'k1', 'lift.duty')[0]).toMatch(/^missing The chart of Curlew 50 is good from 180° to 90°/);
    const own = made((plan) => (two([0, 180], { over: [0, 180], times: 1 })(plan), delete plan.cranes[0]!.chartOver));
    expect(of(own, 'k1', 'lift.duty')[0]!.verdict).toBe('missing');
    const blank = made(two([0, 180], { over: [0, 180], times: 1, chart: null }));
    expect(said(blank, 'k1', 'lift.duty')[0]).toContain('has no figures yet');
  });
});

describe('how the crane stands', () => {
  const flagged: Edit = ({ cranes }) => {
    const part = cranes[0]!.parts[2]!;
    if (part.on === 'slewing') part.counterweight = true;
    cranes[0]!.chartCounterweight = 7500;
  };

  test('a chart for another counterweight is the wrong one, at the stand where that is on and at no other', () => {
    expect(of(made(flagged), 'k1', 'lift.wrongDuty')).toEqual([]);
    const plan = made((one) => (flagged(one), (one.stands[0]!.counterweight = 5000)));
    expect(said(plan, 'k1', 'lift.wrongDuty')[0]).toMatch(/is for 7\s500\skg of counterweight, and 5\s000\skg is on/);
    expect(of(plan, 'k1', 'lift.chart')[0]!.verdict).toBe('missing');
    expect(of(plan, 'k3', 'lift.wrongDuty')).toEqual([]);
    const inParts = made((one) => (flagged(one), (one.cranes[0]!.parts[2]!.mass = 7000)));
    expect(of(inParts, 'k3', 'lift.wrongDuty')).toHaveLength(1);
  });

  test('which part is the counterweight, and what the chart is for, is asked', () => {
    const unflagged = made((one) => (one.cranes[0]!.chartCounterweight = 7500));
    expect(said(unflagged, 'k1', 'lift.duty')[0]).toContain('Which of the parts of Curlew 50 is its counterweight');
    const unsaid = made((one) => (flagged(one), (one.cranes[0]!.chartCounterweight = null), (one.stands[0]!.counterweight = 7500)));
    expect(said(unsaid, 'k1', 'lift.duty')[0]).toContain('For what counterweight is the chart');
    expect(of(unsaid, 'k3', 'lift.duty')).toEqual([]);
  });

  test('less counterweight tips the crane less far back and the load more: the ground feels what is on', () => {
    const ground = (plan: Plan) => evaluate(plan, TODAY).checks.find(({ id, about }) => id === 'stand.ground' && about.id === 'w1')!;
    // 2500 kg less, all of it over the one corner at the worst: never more than that on one outrigger.
    const full = ground(made(flagged)).demand!;
    const less = ground(made((one) => (flagged(one), (one.stands[0]!.counterweight = 5000)))).demand!;
    expect(less).not.toBeCloseTo(full, -2);
    expect(Math.abs(less - full) * 1.44).toBeLessThan(2500 * 9.80665);
    const zero = made((one) => (flagged(one), (one.cranes[0]!.parts[2]!.mass = 0), (one.stands[0]!.counterweight = 7500)));
    expect(ground(zero).demand).toBeCloseTo(full, 6);
  });

  test('outriggers half out at one stand: the only chart is for more, and the ground feels the narrower base', () => {
    const plan = made((one) => (one.stands[0]!.base = { length: null, width: 4.4 }));
    expect(of(plan, 'k1', 'lift.chartBase')[0]!.verdict).toBe('stop');
    expect(of(plan, 'k3', 'lift.chartBase')[0]!.verdict).toBe('clear');
    const ground = (one: Plan) => evaluate(one, TODAY).checks.find(({ id, about }) => (id === 'stand.ground' || id === 'stand.tips') && about.id === 'w1')!;
    expect(ground(plan).demand ?? Infinity).toBeGreaterThan(ground(quayFootbridge()).demand!);
  });

  test('no crane stands wider than its outriggers run out: a slip of the point is asked', () => {
    const asked = (base: { length: number | null; width: number | null }) =>
      evaluate(
        made((one) => (one.stands[0]!.base = base)),
        TODAY,
      )
        .checks.filter(({ id, about }) => id === 'stand.base' && about.id === 'w1')
        .map((check) => `${check.verdict} ${words(check, 'metric')}`);
    expect(new Set(asked({ length: null, width: 36 }))).toEqual(
      new Set([
        'missing Curlew 50 is said to stand 36.00 m side to side at W1; its outriggers run out to 6.60 m. Which is right?'.replace(/(\d) m/g, '$1\u00a0m'),
      ]),
    );
    expect(asked({ length: 9, width: 6.6 })[0]).toContain('front to rear');
    expect(asked({ length: 7.4, width: 6.6 })).toEqual([]);
    expect(asked({ length: null, width: 4 })).toEqual([]);
  });

  test('with a chart for either base each stand is read off its own', () => {
    const narrow = two([0, 180], { over: [0, 180], times: 0.5, chartBase: { length: 7.4, width: 4.4 } });
    const plan = made((one) => (narrow(one), (one.stands[0]!.base = { length: null, width: 4.4 })));
    expect(of(plan, 'k1', 'lift.chart')[0]!.capacity).toBeCloseTo(8610 / 2, 6);
    expect(of(plan, 'k3', 'lift.chart')[0]!.capacity).toBe(8610);
    // Between the two bases the narrower chart is read; on less than either there is none.
    const between = made((one) => (narrow(one), (one.stands[0]!.base = { length: null, width: 5 })));
    expect(of(between, 'k1', 'lift.chart')[0]!.capacity).toBeCloseTo(8610 / 2, 6);
    // However strong the narrower one is: the chart for the full base is not for it.
    const strong = two([0, 180], { over: [0, 180], times: 2, chartBase: { length: 7.4, width: 4.4 } });
    expect(
      of(
        made((one) => (strong(one), (one.stands[0]!.base = { length: null, width: 5 }))),
        'k1',
        'lift.chart',
      )[0]!.capacity,
    ).toBe(8610 * 2);
    const less = made((one) => (narrow(one), (one.stands[0]!.base = { length: 7, width: 4.4 })));
    expect(said(less, 'k1', 'lift.wrongDuty')[0]).toMatch(/is for a base of 7\.40\sm front to rear, and it stands on 7\.00\sm/);
    const unsaid = made(two([0, 180], { over: [0, 180], times: 1, chartBase: null }));
    expect(said(unsaid, 'k1', 'lift.duty')[0]).toContain('For what outrigger base');
  });

  test('the block carries no more than its parts of line', () => {
    const reeved = (falls: number | null, linePull: number | null) =>
      made(({ cranes, stands }) => ((stands[0]!.falls = falls), (cranes[0]!.linePull = linePull)));
    // 5249.2 kg on the hook.
    expect(of(reeved(1, 5000), 'k1', 'lift.falls')[0]).toMatchObject({ verdict: 'stop', capacity: 5000 });
    expect(of(reeved(2, 2600), 'k1', 'lift.falls')[0]).toMatchObject({ verdict: 'stop', capacity: 5200 });
    expect(of(reeved(2, 2700), 'k1', 'lift.falls')[0]).toMatchObject({ verdict: 'clear', capacity: 5400 });
    expect(of(reeved(2, null), 'k1', 'lift.falls')[0]!.verdict).toBe('missing');
    expect(of(reeved(null, 2600), 'k1', 'lift.falls')[0]!.verdict).toBe('missing');
    expect(of(reeved(null, 2600), 'k3', 'lift.falls')[0]!.verdict).toBe('missing');
  });

  test('of two charts the one that bears less wind, and each that is read is audited', () => {
    const gust = (chartGust: number | null) => of(made(two([0, 150], { over: [150, 180], times: 1, chartGust })), 'k1', 'lift.wind')[0]!;
    expect(gust(5).capacity!).toBeLessThan(gust(9.8).capacity!);
    expect(gust(12).capacity).toBe(gust(9.8).capacity);
    expect(gust(null).verdict).toBe('missing');
    const risen = made((one) => (two([0, 150], { over: [150, 180], times: 1 })(one), (one.duties![0]!.chart!.capacity[9]![2] = 9e4)));
    expect(of(risen, 'k1', 'lift.chartCells').map(({ verdict, about }) => `${verdict} ${about.part}`)).toEqual(['stop d1']);
    const unnamed = made(two([0, 150], { over: [150, 180], times: 1, chartSource: '' }));
    expect(evaluate(unnamed, TODAY).checks.find(({ id }) => id === 'crane.chartSource')!.about).toMatchObject({ id: 'c1', part: 'd1' });
  });

  test('the stand map reads the worst of the charts for how the crane stands', () => {
    const least = (plan: Plan) => {
      const map = wholeStandMap(settle(plan), 'c1', 'w1');
      if (map instanceof Missing) return map.questions[0];
      return Math.min(...map.worst);
    };
    const own = least(stiff(quayFootbridge())) as number;
    expect(least(made(two([0, 90], { over: [90, 180], times: 0.5 })))).toBeCloseTo(own * 2, 6);
    expect(least(made(two([0, 90], { over: [90, 180], times: 2 })))).toBeCloseTo(own, 6);
    expect(least(made((one) => (flagged(one), (one.stands[0]!.counterweight = 5000))))).toContain('No chart of Curlew 50');
  });
});

describe('charts in the plan', () => {
  const duty = (): Duty => ({ id: 'd1', crane: 'c1', name: 'Rear', chart: null, chartSource: '', chartGust: null, chartBase: null });

  test('added, given figures, taken out, gone with its crane; one of no crane, or with the id of a crane, is refused', () => {
    let history: History = startHistory(quayFootbridge());
    const run = (command: Command) => {
      const next = perform(history, command);
      if (!next.ok) throw new Error(next.faults[0]!.error);
      ({ history } = next);
    };
    run({ name: 'addTo', args: { list: 'duties', thing: duty() } });
    const chart = { radii: [5], booms: [20], capacity: [[1000]] };
    run({ name: 'setChart', args: { id: 'd1', chart, source: 'typed' } });
    expect(history.plan.duties).toMatchObject([{ chart, chartSource: 'typed' }]);
    expect(openPlan(history.plan).ok).toBe(true);
    history = undo(history);
    expect(history.plan.duties![0]!.chart).toBeNull();
    run({ name: 'removeFrom', args: { list: 'cranes', id: 'c1' } });
    expect(history.plan.duties).toEqual([]);
    const bad = (over: Partial<Duty>) => openPlan(made((plan) => (plan.duties = [{ ...duty(), ...over }])));
    expect(bad({ crane: 'c9' })).toMatchObject({ ok: false, faults: [{ path: 'duties[0].crane' }] });
    expect(bad({ id: 'c1' }).ok).toBe(false);
    expect(bad({ chart: { ...chart, capacity: [] } })).toMatchObject({ ok: false, faults: [{ path: expect.stringContaining('duties[0].chart') }] });
  });

  test('a chart that changes is read afresh', () => {
    const plan = made(two([0, 150], { over: [150, 180], times: 1 }));
    evaluate(plan, TODAY);
    const next = structuredClone(plan);
    next.duties![0]!.chart!.capacity = next.duties![0]!.chart!.capacity.map((row) => row.map((cell) => cell && cell * 0.3));
    const shared = { ...plan, duties: next.duties };
    const read = (one: Plan) => of(one, 'k1', 'lift.chart')[0]!.capacity;
    expect(read(shared)).toBe(afresh(() => read(next)));
    expect(read(shared)).not.toBe(read(plan));
  });

  test('a crane with further charts alone has these', () => {
    const plan = made((one) => {
      two([0, 180], { over: [0, 180], times: 1 })(one);
      one.cranes[0]!.chart = null;
    });
    const duties: Duties = dutiesAt(plan, plan.stands[0]!);
    expect(duties.usable.map(({ chart }) => chart.id)).toEqual(['d1']);
    expect(of(plan, 'k1', 'lift.chart')[0]!.capacity).toBe(8610);
  });
});
