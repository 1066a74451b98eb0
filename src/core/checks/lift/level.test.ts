import { evaluated } from '../../../../tests/evaluated';
import { passengerCanopy, quayFootbridge, vehicleRamp } from '../../../../tests/demo-plan';
import type { Pick, Plan } from '../../document/schema';
import { liftList } from '../../evaluate/lift-list';
import type { Raises } from '../../verdict/findings';
import type { Check } from '../../verdict/check';
import { levelOf, levelWords } from './level';

const TODAY = '2026-11-30';
/** A plan of one school, with a string of two of its lifts. */
const by = (ruleSet: Plan['job']['ruleSet']): Plan => {
  const plan = quayFootbridge();
  plan.job.ruleSet = ruleSet;
  plan.strings = [{ id: 's', name: 'String', picks: [plan.picks[2]!.id, plan.picks[3]!.id] }] as Plan['strings'];
  return plan;
};
const pick = (changes: Partial<Pick> = {}): Pick => ({ ...quayFootbridge().picks[0]!, second: null, turned: null, joined: null, ...changes }) as Pick;
const chart = (ratio: number | null) => ({ id: 'lift.chart', ratio, finding: { code: 'lift.chart' } }) as unknown as Check;
const raised = (raises: Raises) => ({ id: 'lift.over', ratio: null, finding: { code: 'told', words: [], raises } }) as unknown as Check;
const two = { second: { stand: 'w2', boom: 27, slingRating: 5000, riggingMass: 95 } };
const turned = { turned: vehicleRamp().picks[0]!.turned ?? passengerCanopy().picks.find((one) => one.turned)!.turned };

test.each<[string, Pick, Check[], string, string]>([
  ['a light load on one crane', pick(), [chart(0.5)], 'ordinary', 'basic'],
  ['three quarters of the chart', pick(), [chart(0.75)], 'ordinary', 'basic'],
  ['a hair more', pick(), [chart(0.7501)], 'critical', 'intermediate'],
  ['a chart that nobody gave', pick(), [chart(null)], 'ordinary', 'basic'],
  ['turned upright', pick(turned), [chart(0.3)], 'ordinary', 'intermediate'],
  ['spliced on the ground', pick({ joined: ['g1b'] }), [chart(0.3)], 'ordinary', 'intermediate'],
  ['in a string', { ...pick(), id: quayFootbridge().picks[3]!.id }, [chart(0.3)], 'ordinary', 'intermediate'],
  ['over people', pick(), [chart(0.3), raised('people')], 'critical', 'intermediate'],
  ['over a railway, near its limit', pick(), [chart(0.8), raised('railway')], 'critical', 'complex'],
  ['unseen and turned', pick(turned), [chart(0.3), raised('blind')], 'critical', 'complex'],
  ['two cranes', pick(two), [chart(0.3), chart(0.4)], 'critical', 'complex'],
])('%s', (_, of, checks, american, european) => {
  expect([levelOf(by('us-asd'), of, checks), levelOf(by('eu-ls'), of, checks)].map(({ name, signed }) => [name, signed])).toEqual([
    [american, american === 'critical'],
    [european, european === 'complex'],
  ]);
});

test('what made it more is told once each', () => {
  expect(levelOf(by('eu-ls'), pick({ ...two, ...turned }), [chart(0.3)]).why).toEqual(['two cranes']);
  const level = levelOf(by('eu-ls'), pick(two), [chart(0.9), raised('railway'), raised('railway'), raised('blind')]);
  expect(level.why).toEqual(['two cranes', 'over a railway', 'the operator does not see all of it']);
  expect(levelOf(by('eu-ls'), pick(turned), [chart(0.8)]).why).toEqual(['over 75 % of the chart', 'turned upright']);
});

test('what is not known yet is not told as the least there is', () => {
  const open = (id: string, verdict: string) => ({ id, verdict, ratio: null, finding: { code: 'missing' } }) as unknown as Check;
  const words = (...checks: Check[]) => levelWords(levelOf(by('eu-ls'), pick(), checks));
  expect(words(chart(0.5))).toBe('basic');
  expect(words(chart(null))).toBe('not known, at least basic');
  expect(words()).toBe('not known, at least basic');
  expect(words(chart(0.8), open('lift.sight', 'missing'))).toBe('not known, at least intermediate, over 75 % of the chart');
  expect(words(chart(0.5), open('lift.over', 'stop'))).toBe('not known, at least basic');
  expect(words(chart(0.5), open('lift.wind', 'missing'), open('lift.over', 'clear'))).toBe('basic');
});

const critical = (plan: Plan) => evaluated(plan, TODAY).checks.filter(({ id }) => id === 'pick.critical');

test('the ramp: its one lift over three quarters of the chart has a plan of its own, signed; unsigned, tomorrow or by a word it is asked', () => {
  const found = critical(vehicleRamp());
  expect(found.map(({ about, verdict }) => [about.id, verdict])).toEqual([['k4', 'clear']]);
  const edits: ((k4: Pick) => void)[] = [
    (k4) => delete k4.signed,
    (k4) => (k4.signed = { by: 'M. Lindqvist', on: '2026-12-01' }),
    (k4) => (k4.signed = { by: 'site office', on: '2026-11-24' }),
  ];
  for (const edit of edits) {
    const plan = vehicleRamp();
    edit(plan.picks.find(({ id }) => id === 'k4')!);
    expect(critical(plan).map(({ about, verdict }) => [about.id, verdict])).toEqual([['k4', 'missing']]);
  }
});

test('over a railway that is closed, or past a wall, a lift is a step up, and the list of lifts says so', () => {
  const plan = vehicleRamp();
  delete plan.picks.find(({ id }) => id === 'k4')!.signed;
  plan.site.zones = [
    {
      id: 'rail',
      name: 'Harbour line',
      kind: 'railway',
      at: { x: 12, y: -9 },
      length: 6,
      width: 2,
      azimuthDeg: 0,
      closed: { how: 'possession, points clipped', by: 'R. Adeyemi', on: '2026-11-20' },
    },
  ];
  const { checks } = evaluated(plan, TODAY);
  const asked = checks.filter(({ id }) => id === 'pick.critical').map(({ about }) => about.id);
  const over = checks.filter(({ id, finding }) => id === 'lift.over' && finding.code === 'told' && finding.raises === 'railway').map(({ about }) => about.id);
  expect(over.length).toBeGreaterThan(0);
  expect(new Set(asked)).toEqual(new Set([...over, 'k4']));
  const rows = liftList(plan, checks);
  expect(rows.filter(({ critical: why }) => why.includes('over a railway')).map(({ id }) => id)).toEqual([...new Set(over)]);
  expect(rows.find(({ id }) => id === 'k4')!.critical).toContain('over 75 % of the chart');
});

test('columns that are turned up are intermediate in Europe: nobody signs, and the list tells it', () => {
  const plan = passengerCanopy();
  const { checks } = evaluated(plan, TODAY);
  expect(checks.filter(({ id }) => id === 'pick.critical')).toEqual([]);
  const levels = new Set(liftList(plan, checks).map(({ level }) => level!.name));
  expect(levels).toEqual(new Set(['basic', 'intermediate']));
});
