import fc from 'fast-check';
import { passengerCanopy, quayFootbridge } from '../../../../tests/demo-plan';
import { lineOver } from '../../cranes/boom-geometry';
import { add, angleOf, direction, leftOf, scale, sub, wrapDeg, type Vec } from '../../geometry/plane';
import { rulesOf } from '../../rules/rule-sets';
import { craneChecks } from '../lift/crane';
import type { PickContext } from '../context';
import type { Hanging } from '../../settle/hanging';
import type { LiftPath } from '../../settle/lift-path';
import { pathFrom, pickContext } from '../lift/pick-context';
import type { PieceWeight } from '../../settle/piece-weight';
import { replay } from '../../replay/replay';
import { settle, type SettledPlan } from '../../settle/settle';
import { StandClear } from './stand-clear';
import { givesOf } from '../../settle/under-load';

const rules = (plan: SettledPlan) => rulesOf(plan.job.ruleSet, plan.job.thresholds);

/** One lift of a plan, with nothing round it. */
function lift(make: () => ReturnType<typeof quayFootbridge>, pick: string) {
  const plan = make();
  plan.picks = plan.picks.filter(({ id }) => id === pick);
  plan.moves = plan.moves.filter((move) => move.kind !== 'pick.trial' && !('beam' in move && move.kind === 'piece.hang' && move.pick !== pick));
  plan.site.powerLines = [];
  plan.site.obstructions = [];
  return plan;
}

/** What the checks of the crane say of head room and of the gap under the boom. */
function plainly(settled: SettledPlan, at: Vec): boolean {
  const moved = { ...settled, stands: settled.stands.map((stand) => ({ ...stand, at })) };
  const checks = craneChecks({ plan: moved, today: '2026-11-28', rules: rules(moved), replayed: replay(moved) }, pickContext(moved, moved.picks[0]!));
  return !checks.some(({ id, verdict }) => /^lift\.(headRoom|boomGap)$/.test(id) && (verdict === 'stop' || verdict === 'missing'));
}

function clearOf(settled: SettledPlan, grid: { at: Vec; step: number }): StandClear {
  const picked = pickContext(settled, settled.picks[0]!);
  const { path, weight, hanging, crane, stand } = picked;
  return new StandClear(settled, rules(settled), picked, path as LiftPath, weight as PieceWeight, hanging as Hanging, givesOf(settled, crane, stand), grid);
}

/** A place of the crane at which its boom reaches all of the way; null: it does not from there. */
function reached(picked: PickContext, at: Vec): LiftPath | null {
  const path = pathFrom(picked, at);
  return path && path.most < picked.pick.boom - 1 && path.stations.every(({ radius }) => lineOver(picked.crane, picked.pick.boom, radius)) ? path : null;
}

const cases = fc.record({
  x: fc.double({ min: -14, max: 14, noNaN: true }),
  y: fc.double({ min: -14, max: 14, noNaN: true }),
  station: fc.oneof(fc.constantFrom(0, 1), fc.double({ min: 0, max: 1, noNaN: true })),
  between: fc.constantFrom(0, 0, 0.5),
  slings: fc.double({ min: 1, max: 3, noNaN: true }),
  out: fc.double({ min: 0, max: 1.05, noNaN: true }),
  aside: fc.double({ min: -1.6, max: 1.6, noNaN: true }),
  up: fc.double({ min: -1.2, max: 0.4, noNaN: true }),
  size: fc.constantFrom(0.05, 0.4, 3),
  swing: fc.constantFrom('short' as const, 'left' as const, 'right' as const),
  under: fc.constantFrom('boom' as const, 'load' as const),
  over: fc.double({ min: 0.2, max: 9, noNaN: true }),
  column: fc.integer({ min: 0, max: 15 }),
  row: fc.integer({ min: 0, max: 15 }),
  step: fc.constantFrom(0.05, 0.5),
});

const girder = lift(quayFootbridge, 'k1');
const column = (() => {
  const first = passengerCanopy().picks.find(({ turned }) => turned)!.id;
  return lift(passengerCanopy, first);
})();

test.each([
  ['a girder', girder, 1000, 60],
  ['a column turned upright', column, 260, 20],
] as const)('a thing close by the boom or the load, and a load close under the boom, are told as the checks tell them: %s', (_, base, runs, least) => {
  const seen = { clear: 0, shut: 0 };
  fc.assert(
    fc.property(cases, (one) => {
      const plan = structuredClone(base);
      const [pick] = plan.picks;
      const { legs, turned } = pick!;
      const longer = turned
        ? { turned: { ...turned, sling: turned.sling! * one.slings } }
        : { legs: { left: legs.left * one.slings, right: legs.right * one.slings } };
      Object.assign(pick!, { swing: one.swing, liftOver: one.over, ...longer });
      const bare = settle(plan);
      const picked = pickContext(bare, bare.picks[0]!);
      const hooks = (picked.path as LiftPath).stations.map(({ hook }) => hook);
      const middle = scale(add(hooks[0]!, hooks.at(-1)!), 0.5);
      const at = add(middle, { x: one.x, y: one.y });
      const path = reached(picked, at);
      if (!path) return;
      const station = path.stations[Math.round(one.station * (path.stations.length - 1))]!;
      // At a station, or half way to the next.
      const next = path.stations[Math.min(path.stations.length - 1, path.stations.indexOf(station) + 1)]!;
      const along = direction(station.bearingDeg + one.between * wrapDeg(next.bearingDeg - station.bearingDeg));
      const line = lineOver(picked.crane, picked.pick.boom, picked.loaded(station.radius));
      if (!line) return;
      let [foot, height] = [at, 0];
      if (one.under === 'boom') {
        // Beside or under the strip of the boom, about as high as its underside less what is kept clear.
        const out = one.out * station.radius;
        foot = add(add(at, scale(along, out)), scale(leftOf(along), one.aside));
        height = picked.crane.pivotHeight + (out + picked.crane.pivotBack) * Math.tan(line.angleRad) + one.up - 1;
      } else {
        // About the end or the side of the load, a little higher than it is carried.
        const axis = direction(station.pieceDeg);
        const end = add(station.hook, scale(axis, station.seen.toMiddle + ((one.out - 0.5) * station.seen.length) / 0.98));
        foot = add(end, scale(leftOf(axis), one.aside));
        height = 4 + 4 * (one.up + 1.2);
      }
      if (height <= 0.2) return;
      const site = {
        ...plan.site,
        obstructions: [{ id: 'o', name: 'Thing', at: foot, length: one.size, width: 0.05, azimuthDeg: angleOf(sub(foot, at)) + 40, height }],
      };
      const settled = settle({ ...plan, site });
      const grid = { at: sub(at, { x: one.column * one.step, y: one.row * one.step }), step: one.step };
      const clear = clearOf(settled, grid);
      const told = plainly(settled, at);
      seen[told ? 'clear' : 'shut'] += 1;
      expect([clear.at(at), clear.inCell(one.column, one.row)]).toEqual([told, told]);
    }),
    { numRuns: runs },
  );
  expect(seen.clear).toBeGreaterThan(least);
  expect(seen.shut).toBeGreaterThan(least);
});
