import { newWay } from '../../document/things/way-in';
import { asWay, wayIn } from '../../../../tests/of-plan';
import { demoPlan } from '../../../../tests/demo-plan';
import { applyCommand } from '../../edit/apply';
import { describe as say } from '../../verdict/describe';
import { openPlan } from '../../document/open';
import type { Member, Permit, Plan, Truck } from '../../document/schema';
import { longestBrought } from '../../document/trucks';
import { evaluate } from '../../evaluate/index';

type Edit = (plan: Plan) => unknown;
const girder = (plan: Plan): Member => plan.members.find((one) => one.mark === 'EG1')!;
const trailer = (plan: Plan): Truck => plan.transport.trucks[1]!;
const permit = (plan: Plan): Permit => plan.transport.permits[0]!;
function edited(edit: Edit): Plan {
  const plan = demoPlan();
  edit(plan);
  const opened = openPlan(plan);
  if (!opened.ok) throw new Error(opened.faults[0]?.error);
  return opened.plan;
}
const found = (plan: Plan, verdict: string) =>
  evaluate(plan)
    .checks.filter((check) => check.verdict === verdict)
    .map((check) => ({ name: `${check.id} ${check.subject}`, words: say(check, plan.job.units).replace(/\u00a0/g, ' ') }));

test('the demo’s long girder: truck, turn and permit each say so', () => {
  const mine = evaluate(demoPlan()).checks.filter((check) => check.subject === 'EG1' && ['steel.truck', 'steel.turn', 'steel.permit'].includes(check.id));
  expect(mine.map((check) => `${check.id} ${check.verdict}`)).toEqual(['steel.truck clear', 'steel.turn clear', 'steel.permit clear']);
  // 16.4 m flush with the front of the deck: 1.4 ahead of the king pin, 9.8 to the axles, 5.2 behind; steered, 10.1 m of reach to the tail.
  const turn = mine[1]!;
  expect(turn.demand).toBeCloseTo(14.5 + 2.5 - Math.sqrt(14.5 ** 2 - 10.1 ** 2) + 0.6, 9);
  expect(turn.capacity).toBe(8.2);
});

const faults: [string, Edit, string, RegExp][] = [
  [
    'too long for every truck',
    (p) => Object.assign(girder(p), { length: 16.9, stated: { drawing: null, weighed: null } }),
    'steel.truck EG1',
    /16.90 m; Extending trailer takes 16.80 m/,
  ],
  ['too heavy for its truck', (p) => (trailer(p).mass = 1000), 'steel.truck EG1', /weighs 1.195 kg; Extending trailer takes 1.000 kg/],
  ['too wide for its truck', (p) => (trailer(p).deckWidth = 0.15), 'steel.truck EG1', /is wide 0.19 m; Extending trailer takes 0.15 m/],
  ['the chosen truck does not take it, though another would', (p) => (girder(p).travel.truck = 'tr-yard'), 'steel.truck EG1', /Yard lorry takes 9.60 m/],
  [
    'fixed rear axles in the tight turn',
    (p) => ((trailer(p).steered = false), (permit(p).steered = false)),
    'steel.turn EG1',
    /rear axles fixed, needs 8.39 m of road at Mole corner.*it is 8.20 m. With steered rear axles it would need 7.20 m/,
  ],
  [
    'a turn too tight for either',
    (p) => ((trailer(p).steered = false), (permit(p).steered = false), (p.transport.turns[0]!.width = 6)),
    'steel.turn EG1',
    /Steered rear axles would still need 7.20 m/,
  ],
  [
    'a turn it cannot make at all',
    (p) => (p.transport.turns[1]!.outerRadius = 9),
    'steel.turn EG1',
    /rear axles steered, cannot turn at Terminal gate at all. Find another road/,
  ],
  [
    'a permit that begins after the day',
    (p) => (permit(p).from = '2026-11-20'),
    'steel.permit EG1',
    /arrives on 19 Nov 2026; permit 4471 begins on 20 Nov 2026/,
  ],
  ['a permit run out', (p) => (girder(p).travel.on = '2026-12-05'), 'steel.permit EG1', /ended on 4 Dec 2026/],
  ['a permit for shorter loads', (p) => (permit(p).longest = 16), 'steel.permit EG1', /16.40 m, arrives on 19 Nov 2026; permit 4471 covers 16.00 m/],
  ['a permit for lighter loads', (p) => (permit(p).heaviest = 900), 'steel.permit EG1', /weighs 1.195 kg; permit 4471 covers 900 kg/],
  [
    'a permit that asks for steering the truck has not',
    (p) => ((trailer(p).steered = false), (p.transport.turns = [{ id: 't', name: 'Wide', outerRadius: 40, width: 12 }])),
    'steel.permit EG1',
    /asks for steered rear axles; those of Extending trailer are fixed/,
  ],
];
test.each(faults)('%s: that stop and no other', (_, edit, name, words) => {
  const stops = found(edited(edit), 'stop');
  expect(stops.map((one) => one.name)).toEqual([name]);
  expect(stops[0]!.words).toMatch(words);
});

const unknowns: [string, Edit, string, RegExp][] = [
  ['which truck', (p) => ((p.transport.trucks = []), (girder(p).travel.truck = null)), 'steel.truck EG1', /Which truck carries EG1/],
  ['whether it steers', (p) => (trailer(p).steered = null), 'steel.turn EG1', /Can the rear axles of Extending trailer be steered/],
  ['its wheelbase', (p) => (trailer(p).wheelbase = null), 'steel.turn EG1', /king pin and rear axles of Extending trailer/],
  ['its deck ahead of the king pin', (p) => (trailer(p).front = null), 'steel.turn EG1', /king pin and rear axles/],
  ['how wide it is', (p) => ((girder(p).make = { kind: 'plain', what: 'truss' }), (girder(p).stated.drawing = 1400)), 'steel.turn EG1', /How wide is EG1/],
  ['the road', (p) => (p.transport.turns = []), 'steel.turn EG1', /Which is the tightest turn on the road/],
  ['one width of the road', (p) => (p.transport.turns[1]!.width = null), 'steel.turn EG1', /How wide and on what radius is Terminal gate/],
  ['a permit', (p) => (girder(p).travel.permit = null), 'steel.permit EG1', /Which permit covers it/],
  ['its number', (p) => (permit(p).number = ' '), 'steel.permit EG1', /Has the permit for EG1 been given/],
  ['its length', (p) => (permit(p).longest = null), 'steel.permit EG1', /What length of load does 4471 cover/],
  ['whether it asks for steering', (p) => (permit(p).steered = null), 'steel.permit EG1', /Does 4471 ask for steered rear axles/],
  ['its last day', (p) => (permit(p).until = ''), 'steel.permit EG1', /From which day to which day/],
  ['a last day that is none', (p) => (permit(p).until = '2026-02-30'), 'steel.permit EG1', /From which day to which day/],
  ['the day it comes', (p) => (girder(p).travel.on = ''), 'steel.permit EG1', /On which day does EG1 arrive/],
];
test.each(unknowns)('%s not known: asked, never clear', (_, edit, name, words) => {
  const plan = edited(edit);
  const asked = found(plan, 'missing');
  expect(asked.map((one) => one.name)).toEqual([name]);
  expect(asked[0]!.words).toMatch(words);
  expect(found(plan, 'stop')).toEqual([]);
  expect(evaluate(plan).verdict).toBe('missing');
});

test('a wide piece needs a permit though it is short; what is on site needs none', () => {
  const wide = edited((p) => ((p.job.thresholds.freeTransportWidth = 1), (p.members[0]!.packing.sides = 1)));
  expect(found(wide, 'missing').map((one) => one.name)).toEqual(['steel.permit TB1']);
  const there = edited((p) => ((girder(p).state = 'stored'), (girder(p).travel.permit = null)));
  expect(found(there, 'missing')).toEqual([]);
});
test('a truck that may carry just what the piece weighs does not take it: nothing to spare', () => {
  const lifted = 1195.03;
  const exact = edited((p) => ((girder(p).attachments = 0), (girder(p).stated.drawing = lifted / 1.05), (trailer(p).mass = lifted)));
  expect(found(exact, 'stop').map((one) => one.name)).toEqual(['steel.truck EG1']);
});
test('cut on the way in, each long part is judged on the truck it comes on', () => {
  const plan = edited((p) => {
    girder(p).count = 1;
    girder(p).travel.truck = null;
    p.job.thresholds.freeTransport = 5;
    p.ways = [{ ...newWay('w', 'Way in'), member: girder(p).id, cuts: [10] }];
    p.transport.turns = [{ id: 't', name: 'Mole corner', outerRadius: 14.5, width: 6 }];
  });
  // 10 m on the trailer with steered axles, 6.4 m on the yard lorry with fixed ones: the worse of the two is told.
  const turn = evaluate(plan).checks.filter((check) => check.id === 'steel.turn' && check.subject.startsWith('EG1'));
  expect(turn).toHaveLength(1);
  expect(say(turn[0]!, 'metric')).toMatch(/EG1\/\d on (Yard lorry|Extending trailer)/);
  const permitted = evaluate(plan).checks.find((check) => check.id === 'steel.permit' && check.subject.startsWith('EG1'))!;
  expect(say(permitted, 'metric')).toMatch(/asks for steered rear axles; those of Yard lorry are fixed/);
});
test('the worst of several turns is the one told', () => {
  const plan = edited((p) => p.transport.turns.push({ id: 't3', name: 'Bridge head', outerRadius: 14.5, width: 8 }));
  const turns = evaluate(plan).checks.filter((check) => check.id === 'steel.turn');
  expect(turns).toHaveLength(1);
  expect(say(turns[0]!, 'metric')).toMatch(/Bridge head/);
});
test('a truck or permit taken away takes its name off the pieces; one named that is not there is refused with its path', () => {
  const plan = demoPlan();
  for (const [list, id] of [
    ['trucks', 'tr-ext'],
    ['permits', 'pm-4471'],
  ] as const) {
    const done = applyCommand(plan, { name: 'removeFrom', args: { list, id } });
    if (!done.ok) throw new Error(done.faults[0]?.error);
    expect(girder(done.plan).travel[list === 'trucks' ? 'truck' : 'permit']).toBeNull();
  }
  girder(plan).travel.truck = 'gone';
  expect(openPlan(plan)).toMatchObject({ ok: false, faults: [{ path: `members[${plan.members.indexOf(girder(plan))}].travel.truck` }] });
});
test('the longest that can be brought: the figure given, else the trucks, else nobody knows', () => {
  const plan = demoPlan();
  plan.ways = [{ ...newWay('w', 'Way in'), member: girder(plan).id }];
  expect(longestBrought(asWay(plan))).toBeCloseTo(16.8, 9);
  girder(plan).travel.truck = 'tr-yard';
  expect(longestBrought(asWay(plan))).toBe(9.6);
  wayIn(plan).transport = 5;
  expect(longestBrought(asWay(plan))).toBe(5);
  wayIn(plan).transport = null;
  plan.transport.trucks = [];
  expect(longestBrought(asWay(plan))).toBeNull();
});
