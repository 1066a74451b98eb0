import { evaluated } from '../../../../tests/evaluated';
import { demoPlan, linkSpan, quayFootbridge } from '../../../../tests/demo-plan';
import { applyCommand } from '../../edit/apply';
import { openPlan } from '../../document/open';
import { revisionDifferences } from '../../document/differences';
import type { HoldRecord, Move, Plan } from '../../document/schema';
import { dayGusts, gustAt } from '../../settle/day-gusts';
import { settle } from '../../settle/settle';
import { describe as say } from '../../verdict/describe';

const TODAY = '2026-12-05';
type Edit = (plan: Plan) => unknown;

/** The quay footbridge in three days: the first pair of girders, the second pair, the bents out; the last day may have no end. */
function bridge(dates: (string | null)[], edit: Edit = () => undefined): Plan {
  const after = ['c1l', 'c2l', 'm23'];
  const plan = quayFootbridge();
  plan.moves = plan.moves.flatMap((move) => {
    const n = after.indexOf(move.id);
    const end: Move[] = n >= 0 && n < dates.length ? [{ id: `d${n + 1}`, kind: 'day.end', on: dates[n] ?? null }] : [];
    return [move, ...end];
  });
  edit(plan);
  const opened = openPlan(structuredClone(plan));
  if (!opened.ok) throw new Error(opened.faults.map(({ path, error }) => `${path}: ${error}`).join('\n'));
  return opened.plan;
}
const record = (id: HoldRecord['id'], on: string, day?: string | null, gust = 3): HoldRecord => ({
  id,
  by: 'R. Adeyemi',
  evidence: 'dry, light, rested, area shut',
  value: '',
  on,
  ...(day === undefined ? {} : { day }),
  ...(id === 'HP11' ? { readings: [{ of: 'shift', value: gust }] } : {}),
});
const told = (plan: Plan, id: string) =>
  evaluated(plan, TODAY)
    .checks.filter((one) => one.id === id)
    .map((one) => `${one.verdict} ${one.about.part ?? '-'} ${one.move ?? '-'}: ${say(one, 'metric').replace(/[\u00a0\u202f]/g, ' ')}`);

describe('go for the day', () => {
  test('is asked on each day on which something is lifted, at its first lift; a day that lifts nothing is not asked', () => {
    const rows = told(bridge(['2026-12-02', '2026-12-03', '2026-12-04']), 'hold.HP11');
    expect(rows).toHaveLength(2);
    expect(rows[0]).toMatch(/^missing d1 t1: HP11 Go for the day, Day 1 · 2 Dec 2026: not recorded.* Move 8, .*, waits for it/);
    expect(rows[1]).toMatch(/^missing d2 t3: HP11 Go for the day, Day 2 · 3 Dec 2026: not recorded/);
  });
  test('one day passed does not pass the other', () => {
    const rows = told(
      bridge(['2026-12-02', '2026-12-03'], (plan) => plan.holds.push(record('HP11', '2026-12-02', 'd1'))),
      'hold.HP11',
    );
    expect(rows.map((row) => row.split(':')[0])).toEqual(['clear d1 t1', 'missing d2 t3']);
  });
  test('the last day, which nothing ends, is passed by the record that names no day', () => {
    const rows = told(
      bridge(['2026-12-02'], (plan) => plan.holds.push(record('HP11', '2026-12-02', 'd1'), record('HP11', '2026-12-03'))),
      'hold.HP11',
    );
    expect(rows.map((row) => row.split(':')[0])).toEqual(['clear d1 t1', 'clear - t3']);
  });
  test('a record is of its own day, and the shift of another day is nothing to it', () => {
    const of = (on: string, edit: Edit = () => undefined) =>
      told(
        bridge(['2026-12-02', '2026-12-03'], (plan) => (plan.holds.push(record('HP11', on, 'd2')), edit(plan))),
        'hold.HP11',
      )[1]!;
    expect(of('2026-12-02')).toMatch(/^missing d2 t3: .*it is of 2 Dec 2026, and that day is 3 Dec 2026/);
    expect(of('2026-12-03')).toMatch(/^clear/);
    const shift: Edit = (plan) => (plan.site.shift = { from: '2026-12-02T07:00', to: '2026-12-02T15:00' });
    expect(of('2026-12-03', shift)).toMatch(/^clear/);
    const last = bridge(['2026-12-02'], (plan) => (plan.holds.push(record('HP11', '2026-12-03')), shift(plan)));
    expect(told(last, 'hold.HP11')[1]).toMatch(/^clear - t3/);
  });
  test('a gust that a lift of that day stops at is a stop; what stops a lift of another day is not', () => {
    const limits = new Map(
      evaluated(bridge([]), TODAY)
        .checks.filter(({ id }) => id === 'lift.wind')
        .map(({ move, capacity }) => [move, capacity!]),
    );
    const first = Math.min(limits.get('m8') ?? limits.get('m7')!, limits.get('m9')!);
    const second = Math.min(limits.get('m13')!, limits.get('m16')!);
    // The second pair stops sooner.
    expect(second).toBeLessThan(first);
    const gust = (second + first) / 2;
    const rows = (day: string, on: string) =>
      told(
        bridge(['2026-12-02', '2026-12-03'], (plan) => plan.holds.push(record('HP11', on, day, gust))),
        'hold.HP11',
      ).find((row) => row.includes(` ${day} `));
    expect(rows('d1', '2026-12-02')).toMatch(/^clear/);
    expect(rows('d2', '2026-12-03')).toMatch(/^stop .*were measured; .* Wait\./);
  });
  test('it follows the temporary works and the lift plan, and the records of its own day alone', () => {
    const plan = bridge(['2026-12-02', '2026-12-03'], ({ holds }) =>
      holds.push(record('HP10', '2026-12-03'), record('HP11', '2026-12-02', 'd1'), record('HP11', '2026-12-03', 'd2')),
    );
    expect(told(plan, 'hold.HP11').map((row) => row.slice(0, 7).trim())).toEqual(['stop d1', 'clear d']);
  });
  test('a record of a day that the run sheet does not have is asked about', () => {
    expect(
      told(
        bridge(['2026-12-02', '2026-12-03'], ({ holds }) => holds.push(record('HP11', '2026-12-02', 'gone'))),
        'hold.HP11',
      ),
    ).toContainEqual(
      expect.stringMatching(/^missing no day 1 -: HP11 Go for the day: the record of R. Adeyemi on 2 Dec 2026 is of a day that the run sheet does not have/),
    );
    // With every day ended a record of no day is of none of them.
    expect(
      told(
        bridge(['2026-12-02', '2026-12-03', '2026-12-04'], ({ holds }) => holds.push(record('HP11', '2026-12-02'))),
        'hold.HP11',
      ),
    ).toHaveLength(3);
    // Of what is passed once in a job a day says nothing.
    const once = told(
      bridge([], ({ holds }) => holds.push(record('HP1', '2026-12-02', 'gone'))),
      'hold.HP1',
    );
    expect(once).toEqual([expect.stringMatching(/^clear/)]);
    // A job without days has one, of no day.
    const plain = (day?: string) =>
      told(
        bridge([], ({ holds }) => holds.push(record('HP11', '2026-12-02', day))),
        'hold.HP11',
      );
    expect(plain().map((row) => row.split(':')[0])).toEqual(['clear - t1']);
    expect(plain('d1').map((row) => row.split(':')[0])).toEqual(['missing - t1', 'missing no day 1 -']);
  });
  test('two records of one day are refused, as two of the whole job are', () => {
    const both = (day?: string) => bridge(['2026-12-02'], ({ holds }) => holds.push(record('HP11', '2026-12-02', day), record('HP11', '2026-12-02', day)));
    for (const day of ['d1', undefined]) expect(() => both(day)).toThrow(/holds\[1\].id “HP11” is used twice/);
  });
});

describe('safe at the end of the day', () => {
  test('is asked of each day that ends, and the next day waits for it; without days nobody asks', () => {
    const rows = told(bridge(['2026-12-02', '2026-12-03', '2026-12-04']), 'hold.HP14');
    expect(rows.map((row) => row.split(':')[0])).toEqual(['missing d1 c2s', 'missing d2 m20', 'missing d3 -']);
    expect(rows[0]).toMatch(/Safe at the end of the day, Day 1 · 2 Dec 2026: not recorded/);
    // As each evening leaves it: two girders on their bents; all of them, and the bents still under them; the bents gone.
    expect(rows[0]).toMatch(/It is left so: .*G1a, G2a set\. Move 17/);
    expect(rows[1]).toMatch(/G1a, G1b, G2a, G2b set/);
    expect(rows[0]).not.toContain('a crane at');
    const early = bridge(['2026-12-02'], (plan) => {
      const end = plan.moves.find(({ id }) => id === 'd1')!;
      plan.moves = plan.moves.filter((move) => move !== end);
      plan.moves.splice(
        plan.moves.findIndex(({ id }) => id === 'c1l'),
        0,
        end,
      );
    });
    expect(told(early, 'hold.HP14')[0]).toMatch(/set · a crane at W1\./);
    // Of a piece on its bearings, that it is set; what they carry is not told there.
    const hall = demoPlan();
    const last = hall.moves.findIndex(({ kind }) => kind === 'hook.release');
    hall.moves.splice(last + 1, 0, { id: 'd1', kind: 'day.end', on: '2026-12-02' });
    expect(told(hall, 'hold.HP14')[0]).toMatch(/It is left so: .*TB1 set, not yet plumbed/);
    expect(told(hall, 'hold.HP14')[0]).not.toContain('not known');
    expect(told(bridge([]), 'hold.HP14')).toEqual([]);
  });
  test('a pass on another day is none', () => {
    const of = (on: string) =>
      told(
        bridge(['2026-12-02'], ({ holds }) => holds.push(record('HP14', on, 'd1'))),
        'hold.HP14',
      )[0];
    expect(of('2026-12-02')).toMatch(/^clear/);
    expect(of('2026-12-01')).toMatch(/^missing .*it is of 1 Dec 2026, and that day is 2 Dec 2026/);
  });
});

test('records are recorded and withdrawn day by day', () => {
  const plan = bridge(['2026-12-02', '2026-12-03']);
  const done = (from: Plan, name: 'recordHold' | 'withdrawHold', args: object): Plan => {
    const after = applyCommand(from, { name, args } as Parameters<typeof applyCommand>[1]);
    if (!after.ok) throw new Error(after.faults[0]!.error);
    return after.plan;
  };
  let now = done(plan, 'recordHold', { hold: record('HP11', '2026-12-02', 'd1') });
  now = done(now, 'recordHold', { hold: record('HP11', '2026-12-03', 'd2') });
  now = done(now, 'recordHold', { hold: { ...record('HP11', '2026-12-03', 'd2'), by: 'S. Okafor' } });
  expect(now.holds.map(({ by, day }) => `${by} ${day}`)).toEqual(['R. Adeyemi d1', 'S. Okafor d2']);
  expect(revisionDifferences(now, plan).join(' ')).toMatch(/hold points? that is not there now: HP11 of 2 Dec 2026, HP11 of 3 Dec 2026/);
  now = done(now, 'withdrawHold', { id: 'HP11', day: 'd1' });
  expect(now.holds.map(({ day }) => day)).toEqual(['d2']);
  expect(applyCommand(now, { name: 'withdrawHold', args: { id: 'HP11' } })).toMatchObject({ ok: false });
});

describe('gusts by the day', () => {
  // Calm but for one hour of the shift, and a storm in the night before it.
  const hours = (date: string, gust: number) =>
    Array.from({ length: 24 }, (_, n) => ({
      at: `${date}T${String(n).padStart(2, '0')}:00`,
      gust: n === 9 ? gust : n === 5 ? 40 : gust - 1,
      rain: 0,
      temp: 285,
    }));
  const forecast = (...days: [string, number][]) => ({
    source: 'Harbour office',
    issued: '2026-12-01',
    hours: days.flatMap(([date, gust]) => hours(date, gust)),
  });
  const windy = (typed: number | null, days: [string, number][], dates: (string | null)[] = ['2026-12-02', '2026-12-03']) =>
    bridge(dates, (plan) => {
      plan.site.forecastGust = typed;
      plan.site.forecast = forecast(...days);
      plan.site.shift = { from: '2026-12-02T07:00', to: '2026-12-02T15:00' };
    });
  const wind = (plan: Plan) =>
    new Map(
      evaluated(plan, TODAY)
        .checks.filter(({ id }) => id === 'lift.wind')
        .map((one) => [one.about.id, one.demand ?? say(one, 'metric').replace(/[\u00a0\u202f]/g, ' ')]),
    );

  test('each lift meets the strongest gust of its own day', () => {
    const met = wind(
      windy(null, [
        ['2026-12-02', 3],
        ['2026-12-03', 5],
      ]),
    );
    expect([met.get('k1'), met.get('k2'), met.get('k3'), met.get('k4')]).toEqual([3, 3, 5, 5]);
  });
  test('what is typed governs where it is the greater', () => {
    const met = wind(
      windy(4, [
        ['2026-12-02', 3],
        ['2026-12-03', 5],
      ]),
    );
    expect([met.get('k1'), met.get('k3')]).toEqual([4, 5]);
  });
  test('a day the forecast does not reach, or half, is asked about unless a gust is typed', () => {
    expect(wind(windy(null, [['2026-12-02', 3]])).get('k3')).toMatch(/What gusts are forecast for the lift on Day 2 · 3 Dec 2026/);
    expect(wind(windy(4, [['2026-12-02', 3]])).get('k3')).toBe(4);
    const half = windy(null, [
      ['2026-12-02', 3],
      ['2026-12-03', 5],
    ]);
    half.site.forecast!.hours = half.site.forecast!.hours.filter(({ at }) => at < '2026-12-03T14:00');
    expect(wind(half).get('k3')).toMatch(/What gusts are forecast for the lift on Day 2/);
    expect(wind(half).get('k1')).toBe(3);
  });
  test('the last day, which has no date, meets the strongest of all that are known', () => {
    expect(
      wind(
        windy(
          null,
          [
            ['2026-12-02', 6],
            ['2026-12-03', 5],
          ],
          ['2026-12-02'],
        ),
      ).get('k3'),
    ).toBe(6);
  });
  test('the last day meets also the gust of a day that is not the one of the shift', () => {
    const days: [string, number][] = [
      ['2026-12-02', 3],
      ['2026-12-03', 6],
    ];
    expect(wind(windy(null, days, ['2026-12-03'])).get('k3')).toBe(6);
  });
  test('the hours of a day keep the limits of what is lifted on it, not of what is lifted on another', () => {
    const limits = evaluated(bridge([]), TODAY).checks.filter(({ id }) => id === 'lift.wind');
    const least = (...picks: string[]) => Math.min(...limits.filter(({ about }) => picks.includes(about.id)).map(({ capacity }) => capacity!));
    const gust = (least('k1', 'k2') + least('k3', 'k4')) / 2;
    const rows = told(
      windy(null, [
        ['2026-12-02', gust],
        ['2026-12-03', 2],
      ]),
      'weather.window',
    );
    expect(rows.map((row) => row.split(' ')[0])).toEqual(['clear', 'clear']);
  });
  test('each day that the forecast reaches has its own hours to keep the limits', () => {
    const plan = windy(null, [
      ['2026-12-02', 3],
      ['2026-12-03', 5],
    ]);
    plan.site.forecast!.hours.find(({ at }) => at === '2026-12-03T09:00')!.rain = 0.02;
    const rows = told(plan, 'weather.window');
    expect(rows).toHaveLength(2);
    expect(rows[0]).toMatch(/^clear d1 -: Every hour of Day 1 · 2 Dec 2026 keeps the limits/);
    expect(rows[1]).toMatch(/^stop d2 -: At 3 Dec 2026 09:00 Day 2 · 3 Dec 2026 has rain of 20/);
    // A day of which nothing is known has no row: its lifts are asked.
    expect(told(windy(null, [['2026-12-02', 3]]), 'weather.window')).toHaveLength(1);
  });
  test('a forecast is not issued weeks before it begins', () => {
    const issued = (on: string) => {
      const plan = windy(null, [['2026-12-02', 3]]);
      plan.site.forecast!.issued = on;
      return told(plan, 'weather.source');
    };
    expect(issued('2026-11-16')).toEqual([]);
    expect(issued('2026-11-15')).toEqual([expect.stringMatching(/^missing .*said to be issued on 15 Nov 2026, and begins on 2 Dec 2026/)]);
  });
  test('a shift to a mistyped year, or backwards, is asked about and takes no time', () => {
    for (const to of ['9026-12-02T15:00', '2026-12-01T15:00']) {
      const plan = windy(null, [['2026-12-02', 3]]);
      plan.site.shift = { from: '2026-12-02T07:00', to };
      expect(told(plan, 'weather.shift')).toEqual([expect.stringMatching(/^missing/)]);
      expect(wind(plan).get('k3')).toMatch(/What gusts are forecast for the lift on Day 2/);
    }
  });
  test('without a date, a shift or hours there are none by the day', () => {
    expect(dayGusts(bridge(['2026-12-02']))).toBeNull();
    expect(dayGusts(windy(null, [['2026-12-02', 3]], [null, null]))).toBeNull();
    const plan = windy(null, [['2026-12-02', 3]]);
    plan.site.shift = null;
    expect(dayGusts(plan)).toBeNull();
    expect(gustAt(settle(windy(null, [['2026-12-02', 3]])), null)).toBe(3);
  });
  test('a shift over midnight is over midnight on each day', () => {
    const plan = windy(null, []);
    plan.site.shift = { from: '2026-12-02T22:00', to: '2026-12-03T02:00' };
    plan.site.forecast!.hours = [
      '2026-12-02T22',
      '2026-12-02T23',
      '2026-12-03T00',
      '2026-12-03T01',
      '2026-12-03T22',
      '2026-12-03T23',
      '2026-12-04T00',
      '2026-12-04T01',
    ].map((at, n) => ({ at: `${at}:00`, gust: n + 1, rain: 0, temp: 280 }));
    const gusts = dayGusts(structuredClone(plan))!;
    expect([gusts.get('t1'), gusts.get('t3')]).toEqual([4, 8]);
  });
  test('what is pushed over several days meets the strongest of them, and a day of which nothing is known is asked', () => {
    const pushed = (days: [string, number][]) => {
      const plan = linkSpan();
      const pushes = plan.moves.filter(({ kind }) => kind === 'launch.push');
      expect(pushes.length).toBeGreaterThan(1);
      const [first] = pushes;
      plan.moves = plan.moves.flatMap((move): Move[] => [
        move,
        ...(move === first ? [{ id: 'd1', kind: 'day.end' as const, on: '2026-12-02' }] : []),
        ...(move === plan.moves.at(-1) ? [{ id: 'd2', kind: 'day.end' as const, on: '2026-12-03' }] : []),
      ]);
      plan.site.forecastGust = null;
      plan.site.forecast = forecast(...days);
      plan.site.shift = { from: '2026-12-02T07:00', to: '2026-12-02T15:00' };
      return told(plan, 'launch.wind');
    };
    expect(
      pushed([
        ['2026-12-02', 3],
        ['2026-12-03', 5],
      ])[0],
    ).toMatch(/Gusts of 5\.0 m\/s are forecast/);
    expect(
      pushed([
        ['2026-12-02', 6],
        ['2026-12-03', 5],
      ])[0],
    ).toMatch(/Gusts of 6\.0 m\/s are forecast/);
    expect(pushed([['2026-12-02', 3]])[0]).toMatch(/^missing .*What gusts are forecast for the shift in which .* is pushed on Day 2/);
  });
});
