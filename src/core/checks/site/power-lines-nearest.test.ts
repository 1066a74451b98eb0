import fc from 'fast-check';
import { demoPlan, quayFootbridge } from '../../../../tests/demo-plan';
import { segmentDistance } from '../../geometry/space';
import { rulesOf } from '../../rules/rule-sets';
import type { Plan } from '../../document/schema';
import { outlineAt, type LiftPath } from '../../settle/lift-path';
import { breadthOf, type PieceWeight } from '../../settle/piece-weight';
import { settle } from '../../settle/settle';
import { pickContext } from '../lift/pick-context';
import { travelHeight } from '../lift/travel';
import { driftOf } from '../lift/wind-on-load';
import { nearestTo } from './power-lines';

const place = fc.record({ x: fc.double({ min: -40, max: 60, noNaN: true }), y: fc.double({ min: -40, max: 40, noNaN: true }) });

/** Its hook is over one end of it. */
function onTwoHooks(): Plan {
  const plan = quayFootbridge();
  plan.cranes.push({ ...structuredClone(plan.cranes[0]!), id: 'c2' });
  plan.stands.push({ ...structuredClone(plan.stands[0]!), id: 'w3', crane: 'c2', at: { x: 22, y: -9 } });
  plan.picks[0]!.second = { stand: 'w3', boom: 27, slingRating: 9000, riggingMass: 95, lands: null };
  return plan;
}

test.each<[string, () => Plan]>([
  ['a beam on one hook', demoPlan],
  ['a long girder', quayFootbridge],
  ['a long girder on two hooks', onTwoHooks],
])('%s: no corner of it on its way is nearer to a line than is told, wherever the line runs', (_, make) => {
  const plan = settle(make());
  const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
  const picked = pickContext(plan, plan.picks[0]!);
  const [path, weight] = [picked.path as LiftPath, picked.weight as PieceWeight];
  const { underside } = travelHeight(plan, picked, path, weight, rules);
  const drift = driftOf(plan, picked, path, weight, rules)?.drift ?? 0;
  const top = underside + weight.section.depth;
  const corners = path.stations.flatMap((station) => outlineAt(station, breadthOf(weight))).map((corner) => ({ ...corner, z: top }));
  let cornered = 0;
  fc.assert(
    fc.property(place, place, fc.double({ min: 3, max: 25, noNaN: true }), (from, to, height) => {
      const line = { id: 'l', name: 'Line', from, to, height, volts: 11000 };
      const told = nearestTo({ plan, rules }, picked, path, weight, line);
      const least = Math.min(...corners.map((at) => segmentDistance(at, at, { ...from, z: height }, { ...to, z: height }))) - drift;
      expect(told).toBeLessThanOrEqual(least + 1e-9);
      if (Math.abs(told - least) < 1e-6) cornered += 1;
    }),
    { numRuns: 300 },
  );
  // Of many lines a corner of the load, and neither the boom nor the fall of the hook, is nearest.
  expect(cornered).toBeGreaterThan(10);
});
