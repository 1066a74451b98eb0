import { quayFootbridge } from '../../../../tests/demo-plan';
import { hull, overlap, rectangle } from '../../geometry/plane';
import { describe as words } from '../../verdict/describe';
import { liftPath, outlineAt, sweptBy, type LiftPath } from '../../settle/lift-path';
import { pickContext } from '../lift/pick-context';
import type { Plan, Zone } from '../../document/schema';
import { settle } from '../../settle/settle';
import { evaluate } from '../../evaluate';

const TODAY = '2026-11-28';
const closed = { how: 'possession 0100 to 0400, both lines', by: 'S. Aune, track warden', on: '2026-11-27' };
/** The footbridge with a zone; girder G1a swings from (9, −19) round its stand at (9, −8) to (7, 0), by the right. */
const bridge = (zone: Partial<Zone>, edit: (plan: Plan) => unknown = () => undefined): Plan => {
  const plan = quayFootbridge();
  plan.site.zones = [{ id: 'z', name: 'Harbour line', kind: 'railway', at: { x: -2, y: -8 }, length: 40, width: 3, azimuthDeg: 90, closed: null, ...zone }];
  edit(plan);
  return plan;
};
const rows = (plan: Plan, pick: string) => evaluate(plan, TODAY).checks.filter(({ id, about }) => id === 'lift.over' && about.id === pick);
const told = (plan: Plan, pick = 'k1') =>
  rows(plan, pick)
    .map((row) => `${row.verdict} ${words(row, 'metric')}`)
    .join();

describe('what a load passes over', () => {
  test('a railway under its way is a stop, and nothing where it keeps off', () => {
    expect(told(bridge({}))).toMatch(/^stop G1a passes over Harbour line, a railway/);
    expect(told(bridge({ at: { x: -30, y: -8 } }))).toMatch(/^clear G1a keeps off/);
    expect(told(bridge({}, (plan) => (plan.picks[0]!.swing = 'left')))).toMatch(/^clear/);
  });
  test('of the second pick, not of the first alone', () => {
    // G2b lies at (21, −20.5) and swings round (19, −8).
    const east = bridge({ at: { x: 21, y: -14 }, length: 2, width: 2 });
    expect(told(east, 'k4')).toMatch(/^(stop|clear)/);
    expect(rows(bridge({}), 'k3')).toHaveLength(1);
    expect(told(bridge({ at: { x: 19, y: -19 }, length: 1, width: 1 }), 'k3')).toMatch(/^stop G1b/);
  });
  test.each([
    ['road', 'a public way'],
    ['people', 'where people are'],
    ['roof', 'a roof'],
  ] as const)('%s', (kind, said) => expect(told(bridge({ kind }))).toContain(said));
  test('closed by a named person it passes; said by halves it is asked', () => {
    expect(told(bridge({ closed }))).toMatch(/^clear G1a passes over Harbour line, closed meanwhile: possession 0100 to 0400/);
    expect(told(bridge({ closed: { ...closed, by: '' } }))).toMatch(/^missing/);
    expect(told(bridge({ closed: { ...closed, how: 'x' } }))).toMatch(/^missing/);
    expect(told(bridge({ closed: { ...closed, on: '2027-01-10' } }))).toMatch(/^missing .*record/);
  });
  test('over a railway the boom counts too; over a road only the load', () => {
    // South of the stand, where only the boom stands as the load is raised.
    const near = { at: { x: 9, y: -11 }, length: 0.4, width: 0.4 };
    expect(told(bridge(near))).toMatch(/^stop The boom passes over/);
    expect(told(bridge({ ...near, kind: 'road' }))).toMatch(/^clear/);
    // A signal no wider than a hand anywhere on the arc of the boom, between two stations of it too.
    for (let turn = 182; turn < 268; turn += 1) {
      const at = { x: 9 + 4 * Math.cos((turn * Math.PI) / 180), y: -8 + 4 * Math.sin((turn * Math.PI) / 180) };
      expect(told(bridge({ at, length: 0.05, width: 0.05 }))).toMatch(/^stop/);
    }
  });
  test('a zone whose place nobody has said is asked about', () => {
    const asked = evaluate(bridge({ unsaid: ['at', 'length'] }), TODAY).checks.filter(({ id, about }) => id === 'said.figure' && about.id === 'z');
    expect(asked.map(({ about }) => about.part)).toEqual(['at', 'length']);
  });
});

describe('the load between its stations', () => {
  const path = (): LiftPath => pickContext(settle(quayFootbridge()), quayFootbridge().picks[0]!).path as LiftPath;
  test('a thing no wider than a hand, between two stations, is passed over all the same', () => {
    const way = path();
    const width = 0.4;
    // The end of the piece draws the widest arc: somewhere on it, between two stations, it is in no outline and in the hull.
    const gaps = way.stations.slice(1).flatMap((to, i) => {
      const from = way.stations[i]!;
      const [a, b] = [outlineAt(from, width), outlineAt(to, width)];
      const middle = { x: (a[0]!.x + b[0]!.x) / 2, y: (a[0]!.y + b[0]!.y) / 2 };
      const spot = rectangle(middle, 0.08, 0.08, 0);
      return overlap(a, spot) || overlap(b, spot) ? [] : [spot];
    });
    expect(gaps.length).toBeGreaterThan(5);
    const swept = sweptBy(way, width);
    for (const spot of gaps) expect(swept.some((one) => overlap(one, spot))).toBe(true);
  });
  test('whatever the way, a point of the load at any moment of it lies in what is swept', () => {
    const plan = settle(quayFootbridge());
    const { stand, piece, weight, seat, pick } = pickContext(plan, plan.picks[0]!);
    if (!('cg' in weight) || !('leftEnd' in seat)) throw new Error('the demo is not said whole');
    for (const swing of ['left', 'right'] as const) {
      const way = liftPath(stand, { ...pick, swing }, piece, weight.cg.x, seat);
      const swept = sweptBy(way, 0.4);
      way.stations.slice(1).forEach((to, i) => {
        const from = way.stations[i]!;
        for (let t = 0; t <= 1; t += 0.125) {
          const turn = (a: number, b: number) => a + (((((b - a + 540) % 360) + 360) % 360) - 180) * t;
          const bearing = (turn(from.bearingDeg, to.bearingDeg) * Math.PI) / 180;
          const radius = from.radius + (to.radius - from.radius) * t;
          const hook = { x: stand.at.x + radius * Math.cos(bearing), y: stand.at.y + radius * Math.sin(bearing) };
          for (const corner of outlineAt({ ...to, hook, pieceDeg: turn(from.pieceDeg, to.pieceDeg) }, 0.4))
            expect(swept.some((one) => overlap(one, rectangle(corner, 1e-3, 1e-3, 0)))).toBe(true);
        }
      });
    }
  });
  test('the hull of some points holds them all and turns to the left', () => {
    const points = [
      { x: 0, y: 0 },
      { x: 4, y: 1 },
      { x: 2, y: 3 },
      { x: 2, y: 1 },
      { x: 1, y: 2 },
    ];
    const round = hull(points);
    expect(round).toHaveLength(4);
    round.forEach((a, i) => {
      const b = round[(i + 1) % round.length]!;
      for (const p of points) expect((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)).toBeGreaterThanOrEqual(-1e-9);
    });
  });
});
