import { quayFootbridge } from '../../../../tests/demo-plan';
import { portal } from '../../../../tests/portal';
import { keyOf, type Check } from '../../verdict/check';
import { describe as inWords } from '../../verdict/describe';
import { evaluate } from '../../evaluate';
import { openPlan } from '../../document/open';
import type { Plan } from '../../document/schema';

const TODAY = '2026-11-27';
function checksOf(plan: Plan): Check[] {
  const opened = openPlan(structuredClone(plan));
  if (!opened.ok) throw new Error(opened.faults.map(({ path, error }) => `${path}: ${error}`).join('; '));
  return evaluate(opened.plan, TODAY).checks;
}
/** What is told of the harmed plan and not of the sound one: verdict, check, thing, sentence. */
function toldOf(make: () => Plan, harm: (plan: Plan) => unknown): string[] {
  const sound = new Map(checksOf(make()).map((check) => [keyOf(check), check.verdict]));
  const plan = make();
  harm(plan);
  return checksOf(plan)
    .filter((check) => check.verdict !== 'clear' && sound.get(keyOf(check)) !== check.verdict)
    .map((check) => `${check.verdict} ${check.id} ${check.about.id}: ${inWords(check, plan.job.units)}`.replace(/\u00a0/g, ' '));
}
const by = <T extends { id: string }>(list: T[], id: string): T => list.find((one) => one.id === id)!;

test.each<[string, () => Plan, (plan: Plan) => unknown, RegExp]>([
  ['a seat nobody measured', quayFootbridge, (p) => (by(p.structure.supports, 'p2-2').seatLength = null), /^missing support\.seat p2-2: How long and how wide/],
  ['a seat of no width', quayFootbridge, (p) => (by(p.structure.supports, 't-2').seatWidth = null), /^missing support\.seat t-2/],
  ['a seat a tenth as long', quayFootbridge, (p) => (by(p.structure.supports, 'p2-2').seatLength = 0.004), /^stop support\.seat p2-2/],
  [
    'a base plate of a fingernail',
    portal,
    (p) => Object.assign(by(p.structure.supports, 'f2'), { seatLength: 0.01, seatWidth: 0.01 }),
    /^stop support\.seat f2/,
  ],
  [
    'no chassis',
    quayFootbridge,
    (p) => p.cranes.forEach((one) => (one.parts = one.parts.filter(({ on }) => on !== 'chassis'))),
    /^missing stand\.ground w2: .*carrier/,
  ],
  ['no upper works', quayFootbridge, (p) => p.cranes.forEach((one) => (one.parts = one.parts.filter(({ on }) => on !== 'slewing'))), /upper works/],
  ['no boom', quayFootbridge, (p) => p.cranes.forEach((one) => (one.parts = one.parts.filter(({ on }) => on !== 'boom'))), /on its boom/],
  ['a tail in feet', quayFootbridge, (p) => p.cranes.forEach((one) => (one.tailRadius *= 3.28)), /^missing crane\.size c1: .*tail swings/],
  ['a tail of a hand', quayFootbridge, (p) => p.cranes.forEach((one) => (one.tailRadius /= 10)), /^missing crane\.size c1/],
  ['a boom as wide as a road', quayFootbridge, (p) => p.cranes.forEach((one) => (one.boomWidth *= 10)), /^missing crane\.size c1: .*boom is wide/],
  ['a boom as thin as a pipe', quayFootbridge, (p) => p.cranes.forEach((one) => (one.boomDepth /= 10)), /^missing crane\.size c1: .*boom is deep/],
  ['a foot pin as high as a house', quayFootbridge, (p) => p.cranes.forEach((one) => (one.pivotHeight = 23)), /^missing crane\.size c1: .*foot pin/],
  ['a hook at the tip', quayFootbridge, (p) => p.cranes.forEach((one) => (one.hookDrop = 0)), /^missing crane\.size c1: .*hook hangs/],
  ['a chart from nowhere', quayFootbridge, (p) => p.cranes.forEach((one) => (one.chartSource = ' ')), /^missing crane\.chartSource c1/],
  [
    'stiffeners of 0 kg',
    quayFootbridge,
    (p) => p.structure.makes.forEach(({ attachments }) => attachments.forEach((one) => (one.mass = 0))),
    /^missing make\.weightless long/,
  ],
  ['a cross-frame askew', quayFootbridge, (p) => (by(p.structure.braces, 'x3').b!.at += 1.2), /^tight brace\.askew x3: .*26\.6°/],
  ['a strut that is to stop twist', quayFootbridge, (p) => (by(p.structure.braces, 'x2').kind = 'strut'), /^missing brace\.stops x2/],
  ['a guy that is to stop twist', portal, (p) => (p.structure.braces.at(-1)!.stops = 'both'), /^missing brace\.stops y4/],
  [
    'one seat written twice',
    quayFootbridge,
    (p) => by(p.structure.supports, 'p2-1').seats.push({ ...by(p.structure.supports, 'p2-1').seats.at(0)! }),
    /^missing support\.seats p2-1: .*two seats/,
  ],
  ['a column on a bearing', portal, (p) => (by(p.structure.supports, 'f2').kind = 'bearing'), /^missing anchors\.count f2: C2 is a column/],
  ['a column on blocks', portal, (p) => (by(p.structure.supports, 'f1').kind = 'block'), /^missing anchors\.count f1: C1 is a column/],
  ['a column ten times as deep', portal, (p) => (by(p.structure.supports, 'f2').anchors!.columnDepth = 2), /^missing anchors\.depth f2/],
  [
    'a crane set twice',
    quayFootbridge,
    (p) => p.moves.splice(8, 0, { id: 'again', kind: 'crane.set', stand: 'w1' }),
    /^stop move\.order again: .*set there before/,
  ],
  [
    'a crane that leaves twice',
    quayFootbridge,
    (p) => p.moves.push({ id: 'again', kind: 'crane.leave', stand: 'w2' }),
    /^stop move\.order again: .*stands at W2/,
  ],
  ['a brace fixed twice', quayFootbridge, (p) => p.moves.push({ id: 'again', kind: 'brace.fix', brace: 'x3' }), /^stop move\.order again: .*fixed before/],
  [
    'holes opened by flame, nobody said so',
    quayFootbridge,
    (p) => (by(p.structure.joints, 's2').opened = { how: 'burnt', by: '' }),
    /^missing joint\.opened s2: .*by flame/,
  ],
  ['holes reamed, signed “x”', portal, (p) => (by(p.structure.joints, 'n3').opened = { how: 'reamed', by: 'x' }), /^missing joint\.opened n3: .*reamed/],
])('%s is told', (_, make, harm, told) => {
  expect(toldOf(make, harm)).toContainEqual(expect.stringMatching(told));
});

test('one support under two places of one piece is no seat written twice', () => {
  const plan = quayFootbridge();
  const { seats } = by(plan.structure.supports, 'p2-1');
  seats.push({ ...seats.at(0)!, at: seats.at(0)!.at - 1 });
  expect(checksOf(plan).filter(({ id }) => id === 'support.seats')).toEqual([]);
});

test('holes opened with the engineer’s name are asked no more', () => {
  const plan = quayFootbridge();
  by(plan.structure.joints, 's2').opened = { how: 'reamed', by: 'L. Marsh' };
  expect(checksOf(plan).filter(({ id }) => id === 'joint.opened')).toEqual([]);
});

test('sound plans are asked none of it', () => {
  const ids = ['support.seat', 'crane.size', 'crane.chartSource', 'make.weightless', 'brace.askew', 'brace.stops', 'anchors.depth', 'anchors.count'];
  for (const plan of [quayFootbridge(), portal()])
    expect(
      checksOf(plan)
        .filter(({ id, verdict }) => ids.includes(id) && verdict !== 'clear')
        .map(keyOf),
    ).toEqual([]);
});

test('a seat presses with what lies on it: by hand', () => {
  const find = (plan: Plan) => checksOf(plan).find(({ id, about }) => id === 'support.seat' && about.id === 'p2-1')!;
  const load = checksOf(quayFootbridge()).find(({ id, about }) => id === 'support.load' && about.id === 'p2-1')!.demand!;
  // 400 mm long, centred 300 mm from the end: whole on the seat; the flange is as wide as the seat.
  expect(find(quayFootbridge()).demand!).toBeCloseTo(load / (0.4 * 0.4), 0);
  expect(find(quayFootbridge()).capacity!).toBeCloseTo(Math.min(28e6, 30e6) / 1.5, 0);
  const near = quayFootbridge();
  const seat = by(near.structure.supports, 'p2-1').seats.at(0)!;
  const { length } = near.structure.makes.find(({ id }) => id === near.structure.pieces.find((one) => one.id === seat.piece)!.make)!;
  seat.at = length - 0.1;
  // 100 mm from the end only 200 + 100 mm of it lie there.
  const moved = checksOf(near).find(({ id, about }) => id === 'support.load' && about.id === 'p2-1')!.demand!;
  expect(find(near).demand!).toBeCloseTo(moved / (0.3 * 0.4), 0);
  // A wider seat than the flange bears no more.
  const wide = quayFootbridge();
  by(wide.structure.supports, 'p2-1').seatWidth = 0.8;
  expect(find(wide).demand!).toBeCloseTo(find(quayFootbridge()).demand!, 0);
  const us = quayFootbridge();
  us.job.ruleSet = 'us-asd';
  expect(find(us).capacity!).toBeCloseTo((0.85 * 28e6) / 2.31, 0);
});

test('a tail is held against the steel that stands by then, and no other', () => {
  const low = (): Plan => {
    const plan = quayFootbridge();
    for (const piece of plan.structure.pieces) for (const end of [piece.from!, piece.to!]) end.z = 2;
    by(plan.stands, 'w2').at.y = -4;
    return plan;
  };
  const tails = (plan: Plan) => checksOf(plan).filter(({ id, about }) => id === 'stand.tail' && about.id === 'w2');
  expect(tails(low()).map(({ about, verdict }) => `${about.part} ${verdict}`)).toEqual(['k3 clear', 'k4 stop']);
  // The first pieces lie clear of it; G1b, which stands when G2b is lifted, does not. Five metres up they pass over it.
  const high = low();
  for (const piece of high.structure.pieces) for (const end of [piece.from!, piece.to!]) end.z = 5;
  expect(tails(high)).toEqual([]);
});
