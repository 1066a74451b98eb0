import { quayFootbridge } from '../../../../tests/demo-plan';
import { describe as words } from '../../verdict/describe';
import { evaluate } from '../../evaluate';
import { reckonedYield } from '../../document/reckoned-yield';
import type { Plan } from '../../document/schema';
import { thickestOf, yieldOfMake } from '../../settle/model';

const TODAY = '2026-11-28';
type Make = Plan['structure']['makes'][number];
/** The first girder of the footbridge with flanges of that thickness, of that grade. */
const thick = (thickness: number, changes: Partial<Make> = {}): Plan => {
  const plan = quayFootbridge();
  for (const make of plan.structure.makes) {
    if (make.made.kind !== 'girder') continue;
    make.made.bottomFlange.thickness = thickness;
    Object.assign(make, { grade: 'S355', yield: null }, changes);
  }
  return plan;
};
const make = (plan: Plan): Make => plan.structure.makes.find(({ made }) => made.kind === 'girder')!;
const asked = (plan: Plan) =>
  evaluate(plan, TODAY)
    .checks.filter(({ id }) => id === 'make.grade')
    .map((check) => `${check.verdict} ${words(check, 'metric')}`);

test('the thickest plate of a girder decides what it yields at', () => {
  expect(yieldOfMake(make(thick(0.04)))).toBe(355e6);
  expect(yieldOfMake(make(thick(0.045)))).toBe(335e6);
  expect(thickestOf(make(thick(0.045)))).toBe(0.045);
  const web = make(thick(0.03));
  if (web.made.kind === 'girder') web.made.web = 0.05;
  expect(yieldOfMake(web)).toBe(335e6);
  const top = make(thick(0.03));
  if (top.made.kind === 'girder') top.made.topFlange.thickness = 0.06;
  expect(yieldOfMake(top)).toBe(335e6);
  expect(yieldOfMake({ ...web, made: { kind: 'plain', what: 'slab' } })).toBe(355e6);
});

test('a heavy rolled section has it by its flanges, and an old piece too', () => {
  const heavy = { ...make(thick(0.03)), made: { kind: 'section' as const, section: 'UC 356x406x634' } };
  // Its flanges are 77 mm.
  expect(thickestOf(heavy)).toBeCloseTo(0.077, 3);
  expect(yieldOfMake(heavy)).toBe(335e6);
  expect(yieldOfMake({ ...heavy, made: { kind: 'section', section: 'nothing' } })).toBe(355e6);
  const piece = { section: 'UC 356x406x634', grade: 'S355', yield: 355e6 } as Plan['pieces'][number];
  expect(reckonedYield(piece)).toBe(335e6);
  expect(reckonedYield({ ...piece, section: 'IPE 300' })).toBe(355e6);
});

test('what is said never makes it stronger than its grade at that thickness; past the table it is asked for', () => {
  expect(yieldOfMake(make(thick(0.045, { yield: 355e6 })))).toBe(335e6);
  expect(yieldOfMake(make(thick(0.045, { yield: 320e6 })))).toBe(320e6);
  expect(asked(thick(0.045))).toEqual([]);
  expect(asked(thick(0.045, { yield: 355e6 }))[0]).toMatch(/^missing FG1 is S355, which yields at 335.MPa, and is said to yield at 355.MPa/);
  expect(asked(thick(0.09))[0]).toMatch(/^missing What does “S355” of .* yield at in parts of 90.mm\?/);
  expect(asked(thick(0.09, { yield: 310e6 }))).toEqual([]);
  expect(asked(thick(0.03, { grade: 'forge iron' }))[0]).toMatch(/What does “forge iron”/);
});
