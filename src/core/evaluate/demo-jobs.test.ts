import { evaluated } from '../../../tests/evaluated';
import { linkSpan, passengerCanopy, vehicleRamp } from '../../../tests/demo-plan';
import { describe as words } from '../verdict/describe';
import type { Brace, Joint, Move, Pick, Plan, Support } from '../document/schema';

const TODAY = '2026-11-28';
type Edit = (plan: Plan) => unknown;
const edited = (make: () => Plan, edit: Edit): Plan => {
  const plan = make();
  edit(plan);
  return plan;
};
const notClear = (plan: Plan): string[] =>
  evaluated(plan, TODAY)
    .checks.filter(({ verdict }) => verdict === 'stop' || verdict === 'missing')
    .map((check) => `${check.verdict} ${check.id} ${check.about.id} ${words(check, 'metric').replace(/\u00a0/g, ' ')}`);
const support = (plan: Plan, id: string): Support => plan.structure.supports.find((one) => one.id === id)!;
const brace = (plan: Plan, id: string): Brace => plan.structure.braces.find((one) => one.id === id)!;
const joint = (plan: Plan, id: string): Joint => plan.structure.joints.find((one) => one.id === id)!;
const pickOf = (plan: Plan, piece: string): Pick => plan.picks.find((one) => one.piece === piece)!;
const drop = (plan: Plan, gone: (move: Move) => boolean): void => void (plan.moves = plan.moves.filter((move) => !gone(move)));
const toEnd = (plan: Plan, is: (move: Move) => boolean): void => void (plan.moves = [...plan.moves.filter((one) => !is(one)), ...plan.moves.filter(is)]);
const toFront = (plan: Plan, is: (move: Move) => boolean, before: (move: Move) => boolean): void => {
  const taken = plan.moves.filter(is);
  plan.moves = plan.moves.filter((one) => !is(one));
  plan.moves.splice(plan.moves.findIndex(before), 0, ...taken);
};

describe.each([
  ['passenger canopy', passengerCanopy, 57, 'brace.anchor'],
  ['vehicle ramp', vehicleRamp, 16, 'lift.chart'],
] as const)('the %s', (_, make, pieces, tight) => {
  test('is said whole: nothing stops, nothing is asked, one thing is near its limit', () => {
    const plan = make();
    const { checks, counts } = evaluated(plan, TODAY);
    expect(notClear(plan)).toEqual([]);
    expect(checks.filter(({ verdict }) => verdict === 'tight').map(({ id }) => id)).toEqual([tight]);
    expect(counts.clear).toBeGreaterThan(400);
    expect(plan.structure.pieces).toHaveLength(pieces);
    expect(new Set(plan.picks.map(({ piece }) => piece)).size).toBe(pieces);
  });
  test('a move of any kind left out is told; a guy that stays harms nobody', () => {
    const plan = make();
    const kinds = new Set<string>(plan.moves.map(({ kind }) => kind));
    kinds.delete('brace.free');
    const silent = [...kinds].filter((kind) => {
      const gone = plan.moves.findLast((one) => one.kind === kind)!;
      return notClear({ ...plan, moves: plan.moves.filter((one) => one !== gone) }).length === 0;
    });
    expect(silent).toEqual([]);
  });
});

describe('the link span', () => {
  test('is said whole: nothing stops, nothing is asked, its tip alone is near its limit', () => {
    const { checks, counts } = evaluated(linkSpan(), TODAY);
    expect(notClear(linkSpan())).toEqual([]);
    expect(new Set(checks.filter(({ verdict }) => verdict === 'tight').map(({ id }) => id))).toEqual(new Set(['launch.tip']));
    expect(counts.clear).toBeGreaterThan(180);
  });
  test('a move of any kind left out is told', () => {
    const plan = linkSpan();
    const silent = plan.moves.filter((gone) => notClear({ ...plan, moves: plan.moves.filter((one) => one !== gone) }).length === 0);
    // It need not halt where nothing is joined on.
    expect(silent.map(({ kind }) => kind)).toEqual(['launch.push']);
  });
});

const canopy: [string, Edit, RegExp][] = [
  ['three anchors under one column', (p) => (support(p, 'base-4-1').anchors!.count = 3), /stop anchors.count base-4-1/],
  ['one base of green concrete', (p) => Object.assign(support(p, 'base-5-0').footing!, { result: 18e6 }), /stop bearing.concrete base-5-0/],
  ['one column slung below its balance point', (p) => (pickOf(p, 'col-3-0').turned!.top = 2.4), /stop rigging.closes .*turns over/],
  ['a sling rated too low for one column', (p) => (pickOf(p, 'col-5-1').slingRating = 240), /stop rigging.tension/],
  ['one beam on a boom too short for the column line', (p) => (pickOf(p, 'along-0-4-1').boom = 12), /stop lift.(headRoom|boomReach|offChart)/],
  ['the crane leaves its first stand too late to be at its second', (p) => toEnd(p, (m) => m.kind === 'crane.leave' && m.stand === 's1'), /stop move.order/],
  ['no trial at the second stand', (p) => drop(p, (m) => m.kind === 'pick.trial' && pickAt(p, m.pick) === 's2'), /missing moves.trial s2/],
  ['a beam let go with one bolt an end', (p) => bolts(p, 'along-0-2-0-j1', 1), /stop release.ends/],
  ['bolts not tight', (p) => p.moves.forEach((m) => m.kind === 'joint.make' && m.joint === 'across-0-3-0-j2' && (m.tight = false)), /(stop|missing)/],
  ['one column never plumbed', (p) => drop(p, (m) => m.kind === 'beam.plumb' && m.beam === 'col-6-1'), /missing moves.plumb col-6-1/],
  ['one column out of plumb', (p) => p.moves.forEach((m) => m.kind === 'beam.plumb' && m.beam === 'col-2-0' && (m.off = 0.012)), /stop plumb.read col-2-0/],
  ['a guy that carries a tenth of what it has to', (p) => (brace(p, 'guy-2').capacity = 3000), /stop brace.sway guy-2/],
  ['a ballast block that slides', (p) => Object.assign(brace(p, 'guy-3').anchor!, { weight: 12000 }), /stop brace.anchor guy-3/],
  [
    'guys away before the diagonals are in, on anchors a third as strong',
    (p) => {
      p.structure.supports.forEach((one) => (one.anchors!.tension = 22e3));
      toFront(
        p,
        (m) => m.kind === 'brace.free',
        (m) => m.kind === 'brace.fix' && /^(diag|cross)/.test(m.brace),
      );
    },
    /stop anchors.sway/,
  ],
  ['a storm on the frame', (p) => (p.site.standingGust = 60), /stop/],
  ['a gust on the day of the lift', (p) => (p.site.forecastGust = 8), /stop lift.wind/],
  ['a bundle of deck heavier than joists may carry', (p) => p.structure.loads.forEach((one) => (one.bundle!.force = 30000)), /stop joist.bundle/],
  [
    'deck before the bridging',
    (p) =>
      toFront(
        p,
        (m) => m.kind === 'load.on',
        (m) => m.kind === 'brace.fix' && m.brace.startsWith('bridge-3'),
      ),
    /stop joist.bundle/,
  ],
  ['the line of the feeder nearer', (p) => p.site.powerLines.forEach((one) => [one.from!, one.to!].forEach((end) => (end.y = -18))), /stop stand.powerLine l1/],
  ['nobody answers for the feeder', (p) => (p.site.powerLines[0]!.guard = null), /missing stand.powerZone/],
  [
    'two pieces of one mark and place',
    (p) =>
      Object.assign(
        p.structure.pieces.find(({ id }) => id === 'along-0-3-1')!,
        placeOf(p, 'along-0-3-0'),
      ),
    /(stop|missing)/,
  ],
  ['a joist that hangs a metre off its beam', (p) => (joint(p, 'between-0-2-0-3-j2').b.at += 1), /(stop|missing) joint.meets/],
];
const pickAt = (plan: Plan, id: string) => plan.picks.find((one) => one.id === id)?.stand;
const placeOf = (plan: Plan, id: string) => {
  const { from, to } = plan.structure.pieces.find((one) => one.id === id)!;
  return { from, to };
};
function bolts(plan: Plan, id: string, count: number): void {
  const move = plan.moves.find((one) => one.kind === 'joint.make' && one.joint === id)!;
  if (move.kind === 'joint.make') move.bolts = count;
}
const tagsOf = (plan: Plan) => plan.holds.find(({ id }) => id === 'HP9')!.readings!;

const ramp: [string, Edit, RegExp][] = [
  [
    'a bent struck before its closure is filled',
    (p) =>
      toFront(
        p,
        (m) => m.kind === 'support.strike' && m.support === 'bent3-2',
        (m) => m.kind === 'joint.make' && m.joint === 'splice3-2' && m.bolts === 90,
      ),
    /stop move.order .*Closure, line 2 is filled and tight/,
  ],
  ['a splice let go with a quarter of its holes filled', (p) => bolts(p, 'splice2-3', 0), /stop joint.filled/],
  ['a bent seat that carries too little', (p) => (support(p, 'bent2-3').capacity = 60e3), /stop support.load bent2-3/],
  ['a seat 20 mm low', (p) => (support(p, 'pier3-2').measured!.level -= 0.02), /(stop|tight|missing) support.measured|stop support/],
  ['a bent nobody is allowed to strike', (p) => (p.holds = p.holds.filter(({ id }) => id !== 'HP26')), /missing hold.HP26/],
  ['one reading before the strike left out', (p) => p.holds.find(({ id }) => id === 'HP26')!.readings!.pop(), /missing hold.HP26/],
  ['a tag of a bent under its load', (p) => (tagsOf(p)[0]!.value = 20e3), /stop hold.HP9/],
  ['a tag that allows another load than the plan', (p) => (tagsOf(p)[0]!.value *= 1.1), /missing hold.HP9/],
  [
    'one tag to be asked about, and a later one under its load',
    (p) => {
      tagsOf(p)[0]!.value *= 1.1;
      tagsOf(p)[7]!.value = 20e3;
    },
    /stop hold.HP9/,
  ],
  [
    'a tag under its load, where another was not read and nobody signed',
    (p) => {
      tagsOf(p)[7]!.value = 20e3;
      tagsOf(p).shift();
      p.holds.find(({ id }) => id === 'HP9')!.by = '';
    },
    /stop hold.HP9/,
  ],
  ['one tag not read', (p) => tagsOf(p).shift(), /missing hold.HP9/],
  ['cross-frames too weak', (p) => p.structure.braces.forEach((one) => (one.capacity = 2000)), /stop brace.force/],
  ['one line weighed at half as much again', (p) => p.structure.pieces.forEach((one) => one.id.startsWith('g4-') && (one.weighed = 14000)), /stop lift.chart/],
  [
    'a girder on seats that hold no twist',
    (p) => p.structure.supports.forEach((one) => one.seats.some(({ piece }) => piece.startsWith('g1-')) && (one.twist = false)),
    /(stop|missing) line/,
  ],
  ['lines 1 foot apart', (p) => p.structure.pieces.forEach((one) => [one.from!, one.to!].forEach((end) => (end.y /= 12))), /stop/],
  ['the crane stands on soft ground at its last stand', (p) => (p.stands[3]!.groundAllowable = 60e3), /stop stand.ground s4/],
  ['the far line lies farther out', (p) => Object.assign(p.structure.pieces.find(({ id }) => id === 'g4-2')!.lies!, { y: -27 }), /stop lift/],
  ['no legs of slings', (p) => (pickOf(p, 'g2-3').legs = { left: 4, right: 4 }), /stop rigging/],
  ['no crane at one stand', (p) => drop(p, (m) => m.kind === 'crane.set' && m.stand === 's3'), /stop move.order/],
  ['web not stiffened over a bent', (p) => (support(p, 'bent1-1').stiffened = null), /missing support.web bent1-1/],
];

describe('one fault each', () => {
  test.each(canopy)('canopy: %s', (_, edit, wanted) => expect(notClear(edited(passengerCanopy, edit)).join('\n')).toMatch(wanted));
  test.each(ramp)('ramp: %s', (_, edit, wanted) => expect(notClear(edited(vehicleRamp, edit)).join('\n')).toMatch(wanted));
});
