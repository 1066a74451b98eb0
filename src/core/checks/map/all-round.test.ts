import { demoPlan, vehicleRamp } from '../../../../tests/demo-plan';
import { evaluate } from '../../evaluate';
import { allRound, type AllRound } from './all-round';
import { Missing } from '../../verdict/missing';
import { hooksOf } from '../lift/pick-context';
import { settle } from '../../settle/settle';
import type { Plan } from '../../document/schema';

const roundOf = (plan: Plan): AllRound | Missing => allRound(hooksOf(settle(plan), plan.picks[0]!)[0]!);
const known = (plan: Plan): AllRound => {
  const found = roundOf(plan);
  if (found instanceof Missing) throw new Error(found.questions.join());
  return found;
};

describe('what stands under a crane, whichever way its boom points', () => {
  test('on the way it is what the check of the ground says, against what mat and ground may take', () => {
    const plan = demoPlan();
    const { kind, way, limit } = known(plan);
    const row = evaluate(plan, '2026-11-29').checks.find(({ id }) => id === 'stand.ground')!;
    const area = plan.stands[0]!.padArea!;
    expect(kind).toBe('outriggers');
    expect(limit! / area).toBeCloseTo(row.capacity!, 3);
    expect(Math.max(...way.map(({ most }) => most!)) / area).toBeCloseTo(row.demand!, 3);
  });

  test('a crane alike on both sides stands alike with its boom to the left and to the right', () => {
    const plan = demoPlan();
    for (const part of plan.cranes[0]!.parts) if (part.on === 'chassis') part.y = 0;
    const { round } = known(plan);
    const at = new Map(round.map(({ azimuthDeg, most }) => [azimuthDeg, most]));
    expect(round).toHaveLength(72);
    for (const azimuth of [5, 45, 90, 135, 175]) expect(at.get(azimuth)!).toBeCloseTo(at.get(360 - azimuth)!, 3);
    // By hand: over a corner of a square base the corner carries most.
    expect(at.get(0)!).toBeLessThan(Math.max(...round.map(({ most }) => most!)));
  });

  test('a base too narrow tips over the side and not over the front', () => {
    const plan = demoPlan();
    Object.assign(plan.cranes[0]!, { baseWidth: 1.2 });
    const { round } = known(plan);
    const at = new Map(round.map(({ azimuthDeg, most }) => [azimuthDeg, most]));
    expect(at.get(90)).toBeNull();
    expect(round.some(({ most }) => most !== null)).toBe(true);
  });

  test('on tracks it is the pressure under them against the ground; with no mat or no ground figure there is no limit', () => {
    const ramp = vehicleRamp();
    const tracked = ramp.cranes.findIndex(({ tracks }) => tracks);
    if (tracked >= 0) {
      const pick = ramp.picks.find(({ stand }) => ramp.stands.find(({ id }) => id === stand)!.crane === ramp.cranes[tracked]!.id)!;
      const found = allRound(hooksOf(settle(ramp), pick)[0]!);
      expect(found).toMatchObject({ kind: 'tracks' });
    }
    const plan = demoPlan();
    plan.cranes[0]!.tracks = { shoe: 0.6 };
    expect(known(plan)).toMatchObject({ kind: 'tracks', limit: plan.stands[0]!.groundAllowable });
    const bare = demoPlan();
    bare.stands[0]!.padArea = null;
    expect(known(bare).limit).toBeNull();
  });

  test('what the crane weighs not known: asked, nothing drawn', () => {
    const plan = demoPlan();
    plan.cranes[0]!.parts = [];
    expect(roundOf(plan)).toBeInstanceOf(Missing);
    const unslung = demoPlan();
    unslung.picks[0]!.riggingMass = null;
    expect(roundOf(unslung)).toBeInstanceOf(Missing);
  });
});
