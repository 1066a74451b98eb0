import { evaluated } from '../../../../tests/evaluated';
import fc from 'fast-check';
import { demoPlan, passengerCanopy } from '../../../../tests/demo-plan';
import { belowBoom, lineOver } from '../../cranes/boom-geometry';
import { add, direction, mix, rectangle, scale, type Vec } from '../../geometry/plane';
import { closeStations, type LiftPath } from '../../settle/lift-path';
import { gapToThing, sweepOf } from './boom-gaps';
import { hooksOf } from './pick-context';
import type { Pick, Plan } from '../../document/schema';
import { settle } from '../../settle/settle';

const TODAY = '2026-11-27';
const gaps = (plan: Plan, pick: string) => evaluated(plan, TODAY).checks.filter(({ id, about }) => id === 'lift.boomGap' && about.id === pick);
const wayOf = (plan: Plan, pick: Pick): LiftPath => hooksOf(settle(plan), pick)[0]!.path as LiftPath;

/** Half way in from the crane to where its boom is midway between two stations of its slew. */
function between(way: LiftPath): Vec {
  const [a, b] = way.stations.filter(({ phase }) => phase === 'slew').slice(10, 12);
  const [from, to] = [a!.bearingDeg, b!.bearingDeg];
  expect(Math.abs(to - from)).toBeGreaterThan(1);
  return add(way.stand.at, scale(direction((from + to) / 2), (0.6 * (a!.radius + b!.radius)) / 2));
}

describe('what the boom is swept over', () => {
  test('a flagpole as thin as a hand between two stations of the slew is met', () => {
    const plan = demoPlan();
    const [pick] = plan.picks;
    const at = between(wayOf(plan, pick!));
    const pole = (height: number) => ({ id: 'pole', name: 'Flagpole', at, length: 0.05, width: 0.05, azimuthDeg: 0, height });
    const row = (height: number) =>
      gaps({ ...plan, site: { ...plan.site, obstructions: [pole(height)] } }, pick!.id).find(({ about }) => about.part === 'pole');
    const [low, high] = [row(1)!, row(40)!];
    expect(low.verdict).toBe('clear');
    expect(high.verdict).toBe('stop');
    // Lower by so much, the boom clears it by so much more.
    expect(low.capacity! - row(2)!.capacity!).toBeGreaterThan(0.2);
  });

  test('strips as wide as the boom leave nothing out between two of them, and every station of the way is among them', () => {
    const plan = demoPlan();
    const way = wayOf(plan, plan.picks[0]!);
    for (const width of [0.1, 0.3, 1]) {
      const close = closeStations(way, width);
      expect(way.stations.every((one) => close.includes(one))).toBe(true);
      for (const [i, to] of close.entries()) {
        const from = close[i - 1];
        if (!from) continue;
        const turn = (Math.abs(((to.bearingDeg - from.bearingDeg + 540) % 360) - 180) * Math.PI) / 180;
        expect(turn * Math.max(from.radius, to.radius)).toBeLessThan(width * 1.2);
      }
    }
    expect(closeStations(way, 0.1).length).toBeGreaterThan(way.stations.length * 2);
  });

  test('of things of any shape, wherever they stand, it is as near as the nearest point of them under it', () => {
    const plan = demoPlan();
    const [picked] = hooksOf(settle(plan), plan.picks[0]!);
    const { crane, pick, stand, loaded, path } = picked!;
    const sweep = sweepOf(picked!, path as LiftPath);
    const nearestBySamples = (corners: readonly Vec[], top: number): number => {
      const [a, b, , d] = corners as [Vec, Vec, Vec, Vec];
      let least = Infinity;
      for (const { bearingDeg, radius: set } of sweep)
        for (const radius of [set, loaded(set)]) {
          const line = lineOver(crane, pick.boom, radius);
          const turn = (bearingDeg * Math.PI) / 180;
          for (let i = 0; line && i <= 40; i += 1)
            for (let j = 0; j <= 8; j += 1) {
              const at = { x: a.x + ((b.x - a.x) * i) / 40 + ((d.x - a.x) * j) / 8, y: a.y + ((b.y - a.y) * i) / 40 + ((d.y - a.y) * j) / 8 };
              const out = (at.x - stand.at.x) * Math.cos(turn) + (at.y - stand.at.y) * Math.sin(turn);
              const aside = (at.y - stand.at.y) * Math.cos(turn) - (at.x - stand.at.x) * Math.sin(turn);
              if (Math.abs(aside) > crane.boomWidth / 2 || out < -crane.pivotBack || out > radius) continue;
              least = Math.min(least, belowBoom(line, { x: out, z: top }) - crane.boomDepth / 2);
            }
        }
      return least;
    };
    const far = pick.boom;
    const thing = fc.record({
      x: fc.double({ min: -far, max: far, noNaN: true }),
      y: fc.double({ min: -far, max: far, noNaN: true }),
      length: fc.double({ min: 0.05, max: 30, noNaN: true }),
      width: fc.double({ min: 0.05, max: 4, noNaN: true }),
      azimuthDeg: fc.double({ min: 0, max: 180, noNaN: true }),
      to: fc.double({ min: 0.5, max: 30, noNaN: true }),
    });
    let met = 0;
    fc.assert(
      fc.property(thing, ({ x, y, length, width, azimuthDeg, to }) => {
        const outline = rectangle({ x: stand.at.x + x, y: stand.at.y + y }, length, width, azimuthDeg);
        const sampled = nearestBySamples(outline, to);
        const [found] = gapToThing(picked!, sweep, { id: 'thing', name: 'Thing', to, outline });
        if (sampled < Infinity) met += 1;
        // Of a thing between two samples something is left out: at most what a step along it is long.
        expect(found?.nearest.gap ?? Infinity).toBeLessThanOrEqual(sampled + 1e-9);
        if (sampled < Infinity) expect(found!.nearest.gap).toBeGreaterThan(sampled - Math.hypot(length / 40, width / 8) - crane.boomWidth);
      }),
      { numRuns: 150 },
    );
    expect(met).toBeGreaterThan(20);
  });

  test('a thin pole beside the middle of the boom is under it as far as the boom is wide', () => {
    const plan = demoPlan();
    const [picked] = hooksOf(settle(plan), plan.picks[0]!);
    const { stand, crane, path } = picked!;
    const station = (path as LiftPath).stations[0]!;
    const pole = (aside: number) => {
      const out = direction(station.bearingDeg);
      const at = add(stand.at, add(scale(out, station.radius / 2), scale({ x: -out.y, y: out.x }, aside)));
      return gapToThing(picked!, [station], { id: 'pole', name: 'Pole', to: 3, outline: rectangle(at, 0.02, 0.02, station.bearingDeg) }).length;
    };
    expect([pole(0.48 * crane.boomWidth), pole(-0.48 * crane.boomWidth)]).toEqual([1, 1]);
    expect([pole(0.6 * crane.boomWidth), pole(-0.6 * crane.boomWidth)]).toEqual([0, 0]);
  });

  /** A lift of the canopy late in the day, and a column that stands by then put under the sweep of its boom, as high as is said. */
  const canopy = (top: number, edit: (plan: Plan, column: string, pick: Pick) => void = () => undefined) => {
    const plan = passengerCanopy();
    const pick = plan.picks[plan.picks.length - 1]!;
    const hung = plan.moves.flatMap((move) => (move.kind === 'piece.hang' ? [move.beam] : []));
    const columns = plan.structure.pieces.filter(({ from, to }) => from && to && Math.hypot(from.x! - to.x!, from.y! - to.y!) < 1e-6);
    const joined = plan.structure.joints.flatMap(({ a, b }) => (a.piece === pick.piece ? [b.piece] : b.piece === pick.piece ? [a.piece] : []));
    const column = columns.find(({ id }) => hung.includes(id) && !joined.includes(id))!;
    const way = wayOf(plan, pick);
    const { hook } = way.stations[Math.floor(way.stations.length / 2)]!;
    const at = mix(way.stand.at, hook, 0.6);
    Object.assign(column, { from: { ...at, z: 0 }, to: { ...at, z: top } });
    edit(plan, column.id, pick);
    return { rows: gaps(plan, pick.id), column: column.id };
  };

  test('steel that stands by then is met by the boom, the nearest piece of it named', () => {
    const { rows, column } = canopy(60);
    expect(rows.find(({ about }) => about.part === column)).toMatchObject({ verdict: 'stop', station: 'gear' });
  });

  test('what is hung after that lift is no matter of its boom', () => {
    const { rows, column } = canopy(60, (plan, id) => {
      const at = plan.moves.findIndex((move) => move.kind === 'piece.hang' && move.beam === id);
      plan.moves.push(...plan.moves.splice(at, 1));
    });
    expect(rows.some(({ about }) => about.part === column)).toBe(false);
  });

  test('a stub below the foot of the boom is not told of', () => {
    const { rows, column } = canopy(0.3);
    expect(rows.some(({ about }) => about.part === column)).toBe(false);
  });
});
