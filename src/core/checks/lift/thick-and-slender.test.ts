import { quayFootbridge, ticketHall, demoPlan } from '../../../../tests/demo-plan';
import { posesAt } from '../../view/moment-pose';
import { rulesOf } from '../../rules/rule-sets';
import { findSection } from '../../steel/sections';
import { evaluate } from '../../evaluate';
import { applyCommand } from '../../edit/apply';
import { describe as words } from '../../verdict/describe';
import { inWind } from '../../verdict/in-wind';
import { Missing } from '../../verdict/missing';
import { pickContext } from './pick-context';
import { replay } from '../../replay/replay';
import type { Plan } from '../../document/schema';
import { settle } from '../../settle/settle';
import { candidatesOf } from '../measure/candidates';
import { bendingCapacity } from '../../settle/section-strength';

const TODAY = '2026-11-29';
const eu = rulesOf('eu-ls', {});
type Traced = { calc: string; input: unknown };
const inputOf = (traces: readonly Traced[], calc: string) => traces.find((one) => one.calc === calc)?.input as Record<string, number> | undefined;

/** The footbridge with its long girders made of something else. */
function made(of: Plan['structure']['makes'][number]['made'], grade = 'S355'): Plan {
  const plan = quayFootbridge();
  Object.assign(
    plan.structure.makes.find(({ id }) => id === 'long')!,
    { made: of, grade, yield: null },
  );
  return plan;
}
const row = (plan: Plan, id: string, about: string) => evaluate(plan, TODAY).checks.find((one) => one.id === id && one.about.id === about)!;

describe('a section that is not of class 1 or 2', () => {
  test('bends no further than its elastic moment, free sideways or not', () => {
    const section = findSection('HEA 280')!;
    const [held, free] = [null, { length: 3, factor: 1 }].map((unbraced) => bendingCapacity(section, 355e6, eu, unbraced));
    if (held instanceof Missing || free instanceof Missing || !held || !free) throw new Error('known');
    expect(held.capacity).toBeCloseTo((section.sStrong! * 355e6) / eu.value('gammaM1'), 0);
    expect(inputOf(free.traces, 'member.flexureEn')!.wPlastic).toBeCloseTo(section.sStrong!, 12);
  });

  test('as it hangs it is held to the same moment before it buckles sideways', () => {
    const plan = made({ kind: 'section', section: 'HEA 280' });
    const { traces } = row(plan, 'pick.hanging', 'k1');
    expect(inputOf(traces, 'member.hangingStrength')!.plastic).toBeCloseTo(findSection('HEA 280')!.sStrong! * 355e6, 0);
  });

  test('of a slender web the legs press only what counts', () => {
    const flange = { width: 0.3, thickness: 0.02 };
    const plan = made({ kind: 'girder', webDepth: 1.2, web: 0.006, topFlange: flange, bottomFlange: flange });
    Object.assign(plan.picks[0]!, { rig: null, legs: { left: 6, right: 6 } });
    const { traces } = row(plan, 'pick.bending', 'k1');
    const gross = 2 * 0.3 * 0.02 + 1.2 * 0.006;
    expect(inputOf(traces, 'member.columnEn')!.area).toBeLessThan(gross - 0.002);
    expect(inputOf(traces, 'member.columnEn')!.area).toBeGreaterThan(2 * 0.3 * 0.02);
  });
});

test('a rolled and a welded piece lifted as one go by the curve of the welded', () => {
  for (const [main, other] of [
    ['k1', 'g1b'],
    ['k3', 'g1a'],
  ]) {
    const plan = made({ kind: 'section', section: 'UB 914x419x388' });
    const done = applyCommand(plan, { name: 'liftAsOne', args: { pick: main!, joined: [other!], freed: [] } });
    if (!done.ok) throw new Error(done.faults[0]?.error);
    const pick = done.plan.picks.find(({ id }) => id === main)!;
    const { weight } = pickContext(settle(done.plan), pick);
    if (weight instanceof Missing) throw new Error(weight.questions.join());
    expect(weight.section.family).toBe('WG');
  }
});

describe('thick flanges yield lower, wherever a grade is read', () => {
  // UC 356x406x634 has flanges of 77 mm: S355 yields at 335 MPa.
  const THICK = 'UC 356x406x634';
  const yields = (traces: readonly Traced[]) => [...new Set(traces.flatMap(({ input }) => (input as { yield?: number }).yield ?? []))];

  test('a spreader', () => {
    const plan = quayFootbridge();
    Object.assign(plan.picks[0]!.rig!, { section: THICK, grade: 'S355' });
    expect(yields(row(plan, 'rigging.barSteel', 'k1').traces)).toEqual([335e6]);
    Object.assign(plan.picks[0]!.rig!, { section: 'IPE 300' });
    expect(yields(row(structuredClone(plan), 'rigging.barSteel', 'k1').traces)).toEqual([355e6]);
  });

  test('the beams to choose from', () => {
    const plan = ticketHall();
    plan.survey.openings[0]!.choice.candidates.push(THICK);
    for (const member of plan.members) member.grade = 'S355';
    const found = candidatesOf(settle(plan), plan.survey.openings[0]!);
    if (found instanceof Missing) throw new Error(found.questions.join());
    const used = found.find(({ designation }) => designation === THICK)!.schools['eu-ls'].uses.find(({ limit }) => limit === 'bending')!;
    const expected = bendingCapacity(findSection(THICK)!, 335e6, eu, { length: plan.survey.openings[0]!.choice.unbraced!, factor: 1 });
    if (expected instanceof Missing) throw new Error('known');
    expect(used.capacity! / expected.capacity).toBeGreaterThan(0.99);
    const strong = bendingCapacity(findSection(THICK)!, 355e6, eu, null);
    if (strong instanceof Missing) throw new Error('known');
    expect(used.capacity!).toBeLessThan(0.96 * strong.capacity);
  });

  test('what is said of a piece', () => {
    const plan = demoPlan();
    Object.assign(plan.pieces[0]!, { section: THICK, grade: 'S355', yield: 355e6 });
    const said = evaluate(plan, TODAY).checks.filter(({ id }) => id === 'statement.yield');
    expect(said.map(({ verdict }) => verdict)).not.toContain('clear');
    expect(said.map((one) => words(one, 'metric')).join()).toContain('335');
  });
});

test('a launch waits for the wind like a lift', () => {
  const check = (id: string, capacity: number) => ({ ...row(quayFootbridge(), 'lift.wind', 'k1'), id, capacity });
  const rows = inWind([check('launch.wind', 12), check('lift.wind', 10), check('pick.bending', 5)], { gust: 11, at: 0 });
  expect(rows.map(({ check: { id }, may }) => [id, may])).toEqual([
    ['lift.wind', false],
    ['launch.wind', true],
  ]);
});

test('a piece that nobody said where it lies is drawn nowhere before it is lifted', () => {
  const at = (edit: (plan: Plan) => unknown) => {
    const plan = quayFootbridge();
    edit(plan);
    const settled = settle(plan);
    return posesAt(settled, replay(settled).steps.find(({ move }) => move.id === 'c1s')!.after).find(({ context }) => context.pick.id === 'k1')!.piece;
  };
  expect(at(() => undefined)).not.toBeNull();
  expect(at((plan) => (plan.structure.pieces[0]!.lies = null))).toBeNull();
});
