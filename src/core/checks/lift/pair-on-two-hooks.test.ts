import { pair } from '../../../../tests/girder-pair';
import { GRAVITY } from '../../units';
import type { Check } from '../../verdict/check';
import { describe as words } from '../../verdict/describe';
import { evaluate } from '../../evaluate';
import { Missing } from '../../verdict/missing';
import type { Hanging } from '../../settle/hanging';
import { hooksOf } from './pick-context';
import { usualSlinging } from './plan-lifts';
import { rulesOf } from '../../rules/rule-sets';
import type { Pick, Plan } from '../../document/schema';
import { settle } from '../../settle/settle';

const TODAY = '2026-11-29';
type Second = NonNullable<Pick['second']>;

/** The pair of girders of 14 m, 2.4 m apart, on two cranes: legs of 3 m from each hook, 3.4 m from the ends. */
function onTwo(edit: (plan: Plan, pick: Pick) => unknown = () => undefined, second: Partial<Second> = {}): Plan {
  return pair((plan) => {
    plan.cranes.push({ ...structuredClone(plan.cranes[0]!), id: 'c2', name: 'Dunlin 50' });
    plan.stands.push({ ...structuredClone(plan.stands[0]!), id: 'w3', name: 'W3', crane: 'c2', at: { x: 22, y: -9 } });
    const pick = plan.picks[0]!;
    Object.assign(pick, { legs: { left: 3, right: 3 }, signed: { by: 'K. Osei, lift leader', on: '2026-11-20' } });
    pick.second = { stand: 'w3', boom: 27, slingRating: 9000, riggingMass: 95, lands: { first: 'together', rest: null, high: null }, ...second };
    edit(plan, pick);
  });
}
const rows = (plan: Plan, id: string, part?: string): Check[] =>
  evaluate(plan, TODAY).checks.filter((one) => one.id === id && one.about.id === 'k1' && one.about.part === part);
const say = (plan: Plan, id: string, part?: string): string =>
  rows(plan, id, part)
    .map((one) => `${one.verdict}: ${words(one, 'metric').replace(/\u00a0/g, ' ')}`)
    .join('; ') || 'nothing';
function hanging(plan: Plan): { hung: Hanging; most: number }[] {
  return hooksOf(settle(plan), plan.picks[0]!).map(({ hanging, share }) => {
    if (hanging instanceof Missing || 'impossible' in hanging || !share) throw new Error('it does not hang');
    return { hung: hanging, most: share.most };
  });
}

// Plates 2 × 0.4 × 0.03 and 0.9 × 0.016 of steel, 60 kg of stiffeners 12 m from the left, 5 % on both; cross-frames of 140 kg at 6 and 12 m.
const [STEEL, STIFFENERS, FRAME] = [0.0384 * 7850 * 14 * 1.05, 60 * 1.05, 140];
const WHOLE = 2 * (STEEL + STIFFENERS) + 2 * FRAME;
const BALANCE = (2 * (STEEL * 7 + STIFFENERS * 12) + FRAME * (6 + 12)) / WHOLE;
/** 7.2 m between the hooks. */
const SECOND = (WHOLE * GRAVITY * (BALANCE - 3.4)) / 7.2;
const RISE = Math.sqrt(3 ** 2 - 1.2 ** 2);

describe('two girders tied side by side, on two hooks', () => {
  test('each hook carries its share of both lines and the cross-frames, and a leg to either line half of that over its slope', () => {
    const [first, second] = hanging(onTwo());
    // A hook that lags shifts a little of it: more than level, by no more than a twentieth.
    expect(second!.most).toBeGreaterThan(SECOND);
    expect(second!.most).toBeLessThan(1.05 * SECOND);
    expect(first!.most + second!.most).toBeGreaterThan(WHOLE * GRAVITY);
    for (const [n, { hung, most }] of [first!, second!].entries()) {
      expect(hung.tension[n]).toBeCloseTo((most / 2) * (3 / RISE), 6);
      expect(hung.angleDeg[n]).toBeCloseTo((Math.asin(RISE / 3) * 180) / Math.PI, 9);
      expect(hung.hookAbovePick).toBeCloseTo(RISE, 9);
      expect(hung.squeeze).toBe(0);
    }
  });

  test('both hooks are asked what one leg carries, how flat it is and how the pair hangs across', () => {
    const plan = onTwo();
    expect(say(plan, 'rigging.tension')).toMatch(/^clear: One leg of G1a \+ G2a carries .* kN with the dynamic factor/);
    expect(say(plan, 'rigging.tension', 'w3')).toMatch(/^clear: One leg of G1a \+ G2a on the second hook carries/);
    for (const part of [undefined, 'w3']) {
      expect(say(plan, 'rigging.angle', part)).toMatch(/^clear: The flattest leg of .* stands at 66\.4°/);
      expect(say(plan, 'rigging.across', part)).toMatch(/^clear/);
    }
    for (const id of ['pick.bending', 'pick.hanging', 'pick.pair', 'pick.pressed', 'pick.strut', 'pick.rig'])
      expect([id, evaluate(plan, TODAY).checks.some((one) => one.id === id)]).toEqual([id, id !== 'pick.rig']);
  });

  test('legs of two lengths: each hook has its own', () => {
    const [first, second] = hanging(onTwo((_, pick) => (pick.legs = { left: 3, right: 1.5 })));
    const low = Math.sqrt(1.5 ** 2 - 1.2 ** 2);
    expect([first!.hung.hookAbovePick, second!.hung.hookAbovePick]).toEqual([expect.closeTo(RISE, 9), expect.closeTo(low, 9)]);
    expect(second!.hung.tension[1]).toBeCloseTo((second!.most / 2) * (1.5 / low), 6);
    const flat = onTwo((_, pick) => (pick.legs = { left: 3, right: 1.5 }));
    expect(say(flat, 'rigging.angle', 'w3')).toMatch(/stands at 36\.9°/);
    expect(say(flat, 'rigging.angle')).toMatch(/stands at 66\.4°/);
  });

  test('each hook by how far apart its own legs are', () => {
    const hung = hanging(onTwo((_, pick) => (pick.rig = { kind: 'legs', leftApart: 2.4, rightApart: 2.5 }))).map((one) => one.hung.hookAbovePick);
    expect(hung).toEqual([expect.closeTo(RISE, 9), expect.closeTo(Math.sqrt(9 - 1.25 ** 2), 9)]);
  });

  test('a basket round a line is pulled across it, not along it', () => {
    const slides = evaluate(onTwo(), TODAY).checks.filter(({ id, about }) => id === 'rigging.slides' && about.id === 'k1');
    expect(slides.map(({ demand }) => demand)).toEqual([expect.closeTo(0, 6), expect.closeTo(0, 6)]);
  });

  test('what a leg is rated for counts on its own hook', () => {
    const weak = onTwo(undefined, { slingRating: 1000 });
    expect(say(weak, 'rigging.tension', 'w3')).toMatch(/^stop/);
    expect(say(weak, 'rigging.tension')).toMatch(/^clear/);
    expect(
      say(
        onTwo((_, pick) => (pick.slingRating = 1000)),
        'rigging.tension',
      ),
    ).toMatch(/^stop/);
  });

  test('the leg of the heavier line pulls more, and the heavier line hangs low', () => {
    const plan = onTwo((one) => (one.structure.pieces.find(({ id }) => id === 'g2a')!.weighed = 7000));
    const { weight } = hooksOf(settle(plan), plan.picks[0]!)[0]!;
    if (weight instanceof Missing || !weight.pair) throw new Error('no pair');
    const { offCentre } = weight.pair;
    // Weighed it has its own share of the allowance; both lines at ± 1.2 m, frames in the middle.
    expect(offCentre).toBeGreaterThan(0.1);
    const [first] = hanging(plan);
    expect(first!.hung.tension[0]).toBeCloseTo(first!.most * (1 / 2 + offCentre / 2.4) * (3 / RISE), 6);
    for (const part of [undefined, 'w3']) expect(rows(plan, 'rigging.across', part)[0]!.demand).toBeGreaterThan(1);
  });

  test('legs press the lines towards each other by what their own hook carries', () => {
    const plan = onTwo();
    const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
    const factor = rules.value('dynamicFactor') * rules.value('loadFactor');
    const pressed = evaluate(plan, TODAY).checks.filter(({ id }) => id === 'pick.pressed');
    // From the left pick to the cross-frame at 6 m, from the right one to that at 12 m.
    for (const [n, { most }] of hanging(plan).entries()) {
      const demand = pressed.find(({ about }) => about.part === ['left', 'right'][n])!.demand!;
      expect(demand).toBeCloseTo((most / 2) * (1.2 / RISE) * [2.6, 1.4][n]! * factor, 3);
    }
  });

  test('said to hang otherwise, or not said how, it is asked', () => {
    expect(
      say(
        onTwo((_, pick) => delete pick.rig),
        'rigging.tension',
      ),
    ).toMatch(/^missing: .*a leg from each hook to each line\. Say they hang by four legs/);
    expect(
      say(
        onTwo((_, pick) => (pick.rig = { kind: 'legs', leftApart: null, rightApart: 2.4 })),
        'rigging.tension',
      ),
    ).toMatch(/^missing: .*How far apart across/);
    expect(
      say(
        onTwo((_, pick) => (pick.rig = { kind: 'legs', leftApart: 2.4, rightApart: 1 })),
        'rigging.tension',
      ),
    ).toMatch(/^missing: .*said to be 1 m apart across, and the two lines are 2\.40 m apart/);
    expect(
      say(
        onTwo((_, pick) => (pick.legs = { left: 3, right: 1.1 })),
        'rigging.closes',
      ),
    ).toMatch(/^stop/);
    const bar = onTwo((_, pick) => (pick.rig = { kind: 'beam', length: 6, own: 300, rating: 9000, name: '', eye: 0.5, section: '', grade: '' }));
    expect([say(bar, 'pick.rig'), say(bar, 'rigging.tension')]).toEqual([
      expect.stringMatching(/^missing/),
      expect.stringMatching(/Say they hang by four legs/),
    ]);
  });

  test('slung as usual: a leg to either line, no flatter than 60° however far apart they are', () => {
    const wide = (y: number) =>
      onTwo(({ structure }) => structure.pieces.forEach(({ from, to, id }) => id.startsWith('g2') && [from!, to!].forEach((end) => (end.y = y))));
    const legs = (plan: Plan) => usualSlinging(settle(plan), plan.picks[0]!, 7)?.legs;
    expect(legs(onTwo())).toEqual({ left: 3, right: 3 });
    expect(legs(wide(4.2))).toEqual({ left: 4.2, right: 4.2 });
  });

  test('one end of both down before the other is asked about', () => {
    const plan = onTwo(undefined, { lands: { first: 'left', rest: 0.3, high: 0.2 } });
    expect(say(plan, 'pick.lands')).toMatch(/^missing: How G1a \+ G2a stand side by side with one end of both down is not worked out here/);
  });
});
