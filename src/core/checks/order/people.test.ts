import { evaluated } from '../../../../tests/evaluated';
import { demoPlan, passengerCanopy, quayFootbridge, vehicleRamp } from '../../../../tests/demo-plan';
import { raised } from '../../../../tests/raised';
import { operatorWords } from '../../document/crew';
import { describe as say } from '../../verdict/describe';
import { personsIn, samePerson } from '../../document/records';
import type { Plan } from '../../document/schema';

const IDS = /^(plan\.(planner|checker)|people\.|lift\.(caller|operator))/;
const rows = (plan: Plan): string[] =>
  evaluated(plan, '2026-11-30')
    .checks.filter(({ id, verdict }) => IDS.test(id) && verdict !== 'clear')
    .map((check) => `${check.verdict} ${check.id} ${check.about.id}${check.about.part ? `/${check.about.part}` : ''}: ${say(check, 'metric')}`);
const edited = (plan: Plan, edit: (plan: Plan) => unknown): Plan => {
  edit(plan);
  return plan;
};
const second = (plan: Plan): void => {
  const [first] = plan.cranes;
  plan.cranes.push({ ...structuredClone(first!), id: 'c9', name: 'Dunlin 50' });
  plan.stands.push({ ...structuredClone(plan.stands[0]!), id: 's9', name: 'S9', crane: 'c9', at: { x: 40, y: -9 } });
  for (const pick of plan.picks.slice(0, 2))
    pick.second = { stand: 's9', boom: 22, slingRating: 5000, riggingMass: 95, lands: { first: 'together', rest: null, high: null } };
};

test('one person is one however the name is written, a role is nobody', () => {
  expect(personsIn('P. Novak and T. Brandt; the gang')).toEqual(['p novak', 't brandt']);
  expect(samePerson('J. Marsh, operator', 'j marsh')).toBe(true);
  expect(samePerson('R. Adeyemi, lift leader', 'P. Novak, R. Adeyemi')).toBe(true);
  expect(samePerson('Operator J. Marsh', 'J. Marsh')).toBe(true);
  expect(samePerson('J. Marsh', 'T. Marsh')).toBe(false);
  expect(samePerson('', '')).toBe(false);
  expect(samePerson('the operator', 'operator')).toBe(false);
});

test('the demos name different people', () => {
  for (const plan of [demoPlan(), vehicleRamp(), passengerCanopy(), quayFootbridge()]) expect(rows(plan)).toEqual([]);
});

const cases: [string, () => Plan, (plan: Plan) => unknown, RegExp][] = [
  ['nobody planned it', vehicleRamp, (p) => (p.people.planner = ''), /^missing plan\.planner planner: Who planned/],
  ['a role planned it', vehicleRamp, (p) => (p.people.planner = 'engineer'), /^missing plan\.planner planner: “engineer” is nobody’s name/],
  ['nobody checked it', vehicleRamp, (p) => (p.people.checker = ' '), /^missing plan\.checker checker: Who else/],
  [
    'who planned it checked it',
    vehicleRamp,
    (p) => (p.people.checker = 'K Osei, engineer'),
    /^missing plan\.checker checker: K Osei, engineer planned these lifts/,
  ],
  ['the operator calls', vehicleRamp, (p) => (p.people.caller = 'J. Marsh'), /^stop lift\.caller caller: J\. Marsh operates Gannet 120 and is said to call it/],
  [
    'the operator holds a line',
    vehicleRamp,
    (p) => (p.picks[2]!.tags!.by = 'P. Novak and J. Marsh'),
    /^stop people\.twice k3\/tags: J\. Marsh operates Gannet 120/,
  ],
  ['the operator leads the rolling', vehicleRamp, (p) => (p.picks[0]!.roll!.by = 'J. Marsh'), /^stop people\.twice k1\/roll/],
  [
    'the caller holds a line',
    vehicleRamp,
    (p) => (p.picks[0]!.tags!.by = 'P. Novak and R. Adeyemi'),
    /^tight people\.twice k1\/caller: R\. Adeyemi calls the crane/,
  ],
  [
    'two lines, one holder',
    vehicleRamp,
    (p) => (p.picks[0]!.tags!.by = 'P. Novak'),
    /^missing people\.hands k1\/tags: G1\.1 has 2 tag lines and P\. Novak to hold them: who holds the other\?/,
  ],
  ['four lines, two holders', vehicleRamp, (p) => (p.picks[0]!.tags!.lines = 4), /who holds the others\?/],
  [
    'the operator signals',
    vehicleRamp,
    (p) => (p.site.signallers = [{ id: 'sg', name: 'J. Marsh', at: { x: 0, y: 0 }, eye: 1.7 }]),
    /^stop people\.twice sg: J\. Marsh operates Gannet 120 and is said to signal/,
  ],
  ['the operator watches the line', passengerCanopy, (p) => (p.site.powerLines[0]!.guard!.by = 'J. Marsh'), /^stop people\.twice l1/],
  [
    'one operator in two cranes',
    quayFootbridge,
    second,
    /^missing lift\.operator c9\/both: .* together, and J\. Marsh is said to sit in both\. Who operates Dunlin 50\?/,
  ],
  [
    'a role in a crane of its own',
    vehicleRamp,
    (p) => (p.cranes[0]!.operator = 'operator'),
    /^missing lift\.operator c1: “operator” is nobody’s name\. Who operates Gannet 120\?/,
  ],
  ['a beam raised by hoists, and nobody calls', () => raised('hoist'), (p) => (p.people.caller = ''), /^missing lift\.caller caller: Who calls the raising\?/],
];
test.each(cases)('%s', (_, plan, edit, row) => {
  const found = rows(edited(plan(), edit));
  expect(found).toHaveLength(1);
  expect(found[0]!.replace(/\u00a0/g, ' ')).toMatch(row);
});

test('a gang is as many hands as it takes, and a caller who is nobody’s operator calls', () => {
  expect(rows(edited(vehicleRamp(), (p) => (p.picks[0]!.tags!.by = 'P. Novak and the raising gang')))).toEqual([]);
  expect(rows(raised('hoist'))).toEqual([]);
});

test('each crane with its own operator is asked for no other, and the papers name both', () => {
  const plan = edited(quayFootbridge(), (p) => {
    second(p);
    p.cranes.find(({ id }) => id === 'c9')!.operator = 'T. Varga';
  });
  expect(rows(plan)).toEqual([]);
  expect(operatorWords(plan)).toBe('J. Marsh (Curlew 50), T. Varga (Dunlin 50)');
  expect(operatorWords(plan, [plan.picks[3]!])).toBe('J. Marsh');
  for (const crane of plan.cranes) crane.operator = 'T. Varga';
  plan.people.operator = '';
  expect(rows(plan).map((row) => row.split(':')[0])).toEqual(['missing lift.operator c9/both']);
});
