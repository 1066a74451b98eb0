import { ticketHall } from '../../../../tests/demo-plan';
import { sections } from '../../steel/sections';
import { yieldOf } from '../../steel/grades';
import { Missing } from '../../verdict/missing';
import type { Plan } from '../../document/schema';
import { describe as say } from '../../verdict/describe';
import { evaluate } from '../../evaluate';
import { candidatesOf, lightestThatDo, type Candidate, type Limit } from './candidates';
import { settle } from '../../settle/settle';

const listed = (edit: (plan: Plan) => unknown = () => undefined): Candidate[] => {
  const plan = ticketHall();
  edit(plan);
  const found = candidatesOf(settle(plan), plan.survey.openings[0]!);
  if (found instanceof Missing) throw new Error(found.questions[0]);
  return found;
};
const usedIn = (one: Candidate, school: 'us-asd' | 'eu-ls', limit: Limit) => one.schools[school].uses.find((each) => each.limit === limit)!;
const opening = (plan: Plan) => plan.survey.openings[0]!;

test('the section in the piece list comes first, then the ones named, each once', () =>
  expect(listed((p) => opening(p).choice.candidates.push('UB 203x133x30', 'no such section')).map((one) => one.designation)).toEqual([
    'UB 203x133x30',
    'UB 254x102x22',
    'UC 152x152x37',
    'IPE 240',
  ]));

test('by hand: a 4.058 m span under 14 kN/m and itself', () => {
  const one = listed()[0]!;
  const span = 3.908 + 0.15;
  const load = 14e3 + one.section.massPerLength * 9.80665;
  expect(usedIn(one, 'us-asd', 'bending').demand).toBeCloseTo((load * span ** 2) / 8, 2);
  expect(usedIn(one, 'eu-ls', 'bending').demand).toBeCloseTo((1.4 * load * span ** 2) / 8, 2);
  expect(usedIn(one, 'eu-ls', 'shear').demand).toBeCloseTo((1.4 * load * span) / 2, 3);
  expect(usedIn(one, 'eu-ls', 'totalSag').demand).toBeCloseTo((5 * load * span ** 4) / (384 * 210e9 * one.section.iStrong), 9);
  expect(usedIn(one, 'eu-ls', 'totalSag').capacity).toBeCloseTo(span / 250, 9);
  expect(usedIn(one, 'us-asd', 'totalSag').capacity).toBeCloseTo(span / 240, 9);
  expect(usedIn(one, 'eu-ls', 'liveSag').demand).toBeCloseTo((5 * 6000 * span ** 4) / (384 * 210e9 * one.section.iStrong), 9);
  expect(one.mass).toBeCloseTo(one.section.massPerLength * (3.908 + 0.3 - 0.00635), 6);
});

test('flush asks for the joist bay, dropped for the head room, and each says stop on its own', () => {
  const [flushAndDropped, tooDeep] = listed();
  expect(flushAndDropped!.flush.verdict).toBe('clear');
  expect(tooDeep!.flush.verdict).toBe('stop');
  expect(tooDeep!.dropped.verdict).toBe('clear');
  expect(listed((p) => (opening(p).choice.headLeast = 2.55))[0]!.dropped.verdict).toBe('stop');
  expect(listed((p) => (opening(p).bay.height = null))[0]!.flush).toMatchObject({ verdict: 'missing', question: expect.stringContaining('joist bay') });
  expect(listed((p) => (opening(p).choice.ceiling = null))[0]!.dropped.question).toMatch(/How high are the joists/);
  expect(listed((p) => (opening(p).choice.headLeast = null))[0]!.dropped.question).toMatch(/What head room/);
});

test('what is not known is asked in its own place, and the row is never clear', () => {
  const cases: [(plan: Plan) => unknown, Limit, RegExp][] = [
    [(p) => (opening(p).lineLoad = null), 'bending', /carry along its length/],
    [(p) => (opening(p).choice.unbraced = null), 'bending', /top flange held/],
    [(p) => (opening(p).choice.live = null), 'liveSag', /comes and goes/],
    [(p) => (p.members[0]!.grade = ''), 'shear', /yield/],
    [(p) => (opening(p).bearing = { left: 0, right: 0 }), 'web', /bear at each end/],
  ];
  for (const [edit, limit, words] of cases) {
    const one = listed(edit)[0]!;
    expect(usedIn(one, 'eu-ls', limit)).toMatchObject({ verdict: 'missing', question: expect.stringMatching(words) });
    expect(one.schools['eu-ls'].verdict).toBe('missing');
  }
});
test('an opening nobody measured or drew has no span', () => {
  const plan = ticketHall();
  opening(plan).clear = { drawn: null, measured: null };
  expect(candidatesOf(settle(plan), opening(plan))).toBeInstanceOf(Missing);
  expect(lightestThatDo(settle(plan), opening(plan), ['IPE 240'])).toEqual([]);
});

test('a longer free flange never makes a section stronger; a heavier load is used more', () => {
  const ratio = (edit: (plan: Plan) => unknown) => usedIn(listed(edit)[0]!, 'eu-ls', 'bending').ratio!;
  let before = 0;
  for (const unbraced of [0.1, 0.4, 1, 2, 4]) {
    const now = ratio((p) => (opening(p).choice.unbraced = unbraced));
    expect(now).toBeGreaterThanOrEqual(before);
    before = now;
  }
  expect(ratio((p) => (opening(p).lineLoad = 28000))).toBeGreaterThan(1.9 * ratio(() => undefined));
});

test('a tube is not given a shear or web answer the rule set does not have', () => {
  const tube = listed((p) => (opening(p).choice.candidates = ['HSS6x6x3/8'])).find((one) => one.designation.startsWith('HSS'))!;
  expect(usedIn(tube, 'eu-ls', 'shear').verdict).toBe('missing');
  expect(usedIn(tube, 'us-asd', 'web').verdict).toBe('missing');
  expect(usedIn(tube, 'us-asd', 'shear').verdict).toBe('clear');
});

test('the lightest that do: they hold, they fit one way, and nothing lighter in the list does', () => {
  const plan = ticketHall();
  const among = sections.filter((one) => ['IPE', 'UB', 'HEA'].includes(one.family)).map((one) => one.designation);
  const found = lightestThatDo(settle(plan), opening(plan), among);
  expect(found).toHaveLength(3);
  const all = candidatesOf(settle(plan), { ...opening(plan), choice: { ...opening(plan).choice, candidates: among } }) as Candidate[];
  const limit = all.find((one) => one.designation === found[0])!;
  const lighter = all.filter((one) => one.mass < limit.mass);
  expect(lighter.length).toBeGreaterThan(3);
  for (const one of lighter) expect(one.schools['eu-ls'].verdict === 'stop' || (one.flush.verdict === 'stop' && one.dropped.verdict === 'stop')).toBe(true);
});

test.each([
  ['S275', 275e6],
  ['S 355 J2', 355e6],
  ['s275jr', 275e6],
  ['ASTM A992', 344737864.66],
  ['A572-50', 344737864.66],
  ['A36', 248211262.55],
])('grade %s', (text, fy) => expect(yieldOf(text)).toBeCloseTo(fy, 1));
test.each(['', 'mild', '43A', 'A3600', 'S3550'])('grade “%s” is not guessed', (text) => expect(yieldOf(text)).toBeNull());

describe('what is no listed section', () => {
  const girder = (): Plan => {
    const plan = ticketHall();
    plan.members[0]!.make = {
      kind: 'girder',
      webDepth: 0.19,
      web: 0.006,
      topFlange: { width: 0.13, thickness: 0.01 },
      bottomFlange: { width: 0.13, thickness: 0.01 },
    };
    return plan;
  };
  const carries = (plan: Plan) => evaluate(plan).checks.find((one) => one.id === 'steel.carries')!;
  test('the issued design answers for it, named with its evidence', () => {
    const check = carries(girder());
    expect(check).toMatchObject({ verdict: 'clear', ratio: null });
    const design = girder().holds.find((one) => one.id === 'HP1')!;
    expect(say(check, 'metric')).toContain(design.by);
    expect(say(check, 'metric')).toContain(design.evidence);
  });
  test('with no design recorded it is asked, never clear', () => {
    const plan = girder();
    plan.holds = plan.holds.filter((one) => one.id !== 'HP1');
    expect(carries(plan)).toMatchObject({ verdict: 'missing' });
    plan.holds.push({ id: 'HP1', by: 'A. Lindqvist', evidence: ' ', value: '', on: '' });
    expect(carries(plan)).toMatchObject({ verdict: 'missing' });
  });
});

test.each([
  // EN 1993-1-1 Table 3.1: up to 40 mm, up to 80 mm; past it nothing.
  ['S355', 0.04, 355e6],
  ['S355', 0.041, 335e6],
  ['S355', 0.08, 335e6],
  ['S355', 0.081, null],
  ['S235', 0.05, 215e6],
  ['S275 JR', 0.05, 255e6],
  ['S420', 0.05, 390e6],
  ['S460', 0.05, 430e6],
  // ASTM: A36 to 8 in, A572 Gr. 50 to 4 in; shapes of A992 have no thickness.
  ['A36', 0.2032, 36 * 6.894757e6],
  ['A36', 0.21, 32 * 6.894757e6],
  ['A572 Gr. 50', 0.1016, 50 * 6.894757e6],
  ['A572 Gr. 50', 0.11, null],
  ['A992', 0.12, 50 * 6.894757e6],
] as const)('grade %s in steel of %d m', (grade, thickness, fy) => {
  const found = yieldOf(grade, thickness);
  if (fy === null) expect(found).toBeNull();
  else expect(found! / fy).toBeCloseTo(1, 6);
});
