import { evaluated } from '../../../../tests/evaluated';
import { demoPlan, passengerCanopy, vehicleRamp } from '../../../../tests/demo-plan';
import { describe as say } from '../../verdict/describe';
import type { Plan, Zone } from '../../document/schema';

const rows = (plan: Plan): string[] =>
  evaluated(plan, '2026-11-30')
    .checks.filter(({ id }) => id === 'stand.over')
    .map((check) => `${check.verdict} ${check.about.id}/${check.about.part}: ${say(check, 'metric')}`);
/** A strip across the ramp’s first stand, whose base is 8.6 m by 8.2 m round x 9.144, y −7. */
const zone = (over: Partial<Zone>): Plan => {
  const plan = vehicleRamp();
  plan.site.zones = [{ id: 'z', name: 'Ferry road', kind: 'road', at: { x: 9.144, y: -11 }, length: 6, width: 0.4, azimuthDeg: 0, closed: null, ...over }];
  return plan;
};

test('the demos’ cranes stand in no zone', () => {
  for (const plan of [demoPlan(), passengerCanopy(), vehicleRamp()]) expect(rows(plan)).toEqual([]);
});

test('outriggers on a public way are a stop until it is closed by a named person', () => {
  expect(rows(zone({}))).toEqual([expect.stringMatching(/^stop s1\/z: Gannet 120 on Stand 1 stands in Ferry road, a public way, and nothing says/)]);
  expect(rows(zone({ at: { x: 9.144, y: -11.4 } }))).toEqual([]);
  expect(rows(zone({ kind: 'pit' }))).toEqual([]);
  expect(rows(zone({ closed: { how: 'barriers', by: 'foreman', on: '2026-11-20' } }))[0]).toMatch(/^missing s1\/z: .*who answers for it/);
  expect(rows(zone({ closed: { how: 'barriers at both ends', by: 'R. Fenn', on: '2027-11-20' } }))[0]).toMatch(/^missing s1\/z: .*still to come/);
  expect(rows(zone({ closed: { how: 'barriers at both ends', by: 'R. Fenn', on: '2026-11-20' } }))[0]).toMatch(
    /^clear s1\/z: .*closed meanwhile: barriers at both ends/,
  );
});

test('a tail that reaches over a railway is a stop, over a road it is not asked', () => {
  // The tail turns in 4.6 m; the base ends at 4.1 m.
  const at = { x: 9.144, y: -11.45 };
  expect(rows(zone({ kind: 'railway', at }))[0]).toMatch(/^stop s1\/z: .*can swing its tail over Ferry road, a railway/);
  expect(rows(zone({ at }))).toEqual([]);
  expect(rows(zone({ kind: 'railway', at: { x: 9.144, y: -11.9 } }))).toEqual([]);
});

test('a boom that is laid out over a public way or a railway is a stop until that is closed, and one that comes whole is not asked', () => {
  const laid = (assembled: boolean, towardsDeg: number | null, over: Partial<Zone> = {}): Plan => {
    const plan = zone({ at: { x: 9.144, y: -25 }, ...over });
    plan.cranes[0]!.assembled = assembled;
    plan.stands.find(({ id }) => id === 's1')!.assembly = { towardsDeg, director: 'S. Aune', held: 'blocks' };
    return plan;
  };
  expect(rows(laid(true, -90))).toEqual([
    expect.stringMatching(/^stop s1\/z: Gannet 120 on Stand 1 lays out and raises its boom over Ferry road, a public way, and nothing says/),
  ]);
  expect(rows(laid(true, -90, { kind: 'railway' }))[0]).toMatch(/^stop s1\/z: .*its boom over Ferry road/);
  expect(rows(laid(true, -90, { closed: { how: 'barriers', by: 'K. Osei', on: '2026-11-20' } }))[0]).toMatch(/^(clear|tight) s1\/z: .*closed meanwhile/);
  for (const plan of [laid(true, 90), laid(true, null), laid(false, -90)]) expect(rows(plan)).toEqual([]);
});
