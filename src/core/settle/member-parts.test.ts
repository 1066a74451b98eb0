import { asWay, wayIn } from '../../../tests/of-plan';
import fc from 'fast-check';
import { demoPlan, ticketHall } from '../../../tests/demo-plan';
import { rulesOf } from '../rules/rule-sets';
import { evaluate } from '../evaluate';
import { hangsPast, itemsOf, partsWeight, shareBetween, sharesKnown, type MemberOfParts } from './member-parts';
import { lorryPieces } from '../evaluate/lorry-pieces';
import { memberWeight } from './member-weight';
import { Missing } from '../verdict/missing';
import { openPlan } from '../document/open';
import type { Member, Plan } from '../document/schema';
import { travellersOf, truckOf } from './travel';
import { carriedOf, splitOf } from './way-pieces';
import { settle } from './settle';

const rules = rulesOf('eu-ls', {});
const known = <T>(value: T | Missing): T => {
  if (value instanceof Missing) throw new Error(value.questions.join(' '));
  return value;
};
type Part = MemberOfParts['parts'][number];
const run = (massPerLength: number, from: number, to: number): Part => ({
  id: `${from}-${to}`,
  what: 'run',
  section: '',
  mass: massPerLength * (to - from),
  count: 1,
  from,
  to,
});
const lump = (mass: number, at: number, count = 1): Part => ({ id: `l${at}`, what: 'plate', section: '', mass, count, from: at, to: at });
const of = (parts: Part[], length = 10): Member => ({
  ...demoPlan().members[0]!,
  mark: 'S1',
  length,
  make: { kind: 'parts', what: 'stepped', width: 0.2, depth: 0.5, parts },
  packing: { mass: 0, sides: 0, height: 0, web: null },
  attachments: 0,
  stated: { drawing: null, weighed: null },
});
const made = (member: Member) => member.make as MemberOfParts;
const asked = (member: Member) => {
  const answer = itemsOf(member.mark, member.length, made(member));
  return answer instanceof Missing ? answer.questions : [];
};

test('the demo’s stepped girder by hand: 8.8 m at 67.1, 6 m at 82 and 208 kg of plates and bracket', () => {
  const girder = demoPlan().members.find((one) => one.mark === 'EG2')!;
  const light = 67.1;
  const heavy = 82;
  const mass = light * 8.8 + heavy * 6 + 124 + 84;
  const moment = light * 5.2 * 2.6 + heavy * 6 * 8.2 + light * 3.6 * 13 + 62 * 5.2 + 62 * 11.2 + 84 * 13.9;
  const weight = known(memberWeight(girder, rules));
  expect(weight.calculated).toBeCloseTo(mass, 6);
  expect(weight.cg).toBeCloseTo(moment / mass, 9);
  expect(weight.cg).toBeGreaterThan(14.8 / 2 + 0.3);
  expect(weight.lifted).toBeCloseTo(mass * 1.05, 6);
});
test('counts, lumps and runs: a lopsided one', () => {
  const weight = known(partsWeight(of([run(50, 0, 10), run(30, 0, 4), lump(100, 9, 2)]), made(of([run(50, 0, 10), run(30, 0, 4), lump(100, 9, 2)]))));
  expect(weight.mass).toBeCloseTo(500 + 120 + 200, 9);
  expect(weight.cg).toBeCloseTo((500 * 5 + 120 * 2 + 200 * 9) / 820, 9);
});

describe('what is not known is asked', () => {
  test.each<[string, Part[], RegExp]>([
    ['a part without section or weight', [run(50, 0, 10), { ...lump(1, 3), mass: null, what: 'bracket' }], /What does bracket of S1 weigh/],
    ['a section in no table', [{ ...run(1, 0, 10), mass: null, section: 'ZZ 9' }], /“ZZ 9” is not in the section tables/],
    ['a section at one place', [run(50, 0, 10), { ...lump(1, 3), mass: null, section: 'HEA 200' }], /What does plate of S1 weigh/],
    ['a length no part covers', [run(50, 0, 4), run(50, 6, 10)], /Nothing is given of S1 from 4.00 m to 6.00 m/],
    ['an end no part covers', [run(50, 0, 9.5)], /from 9.50 m to 10.00 m/],
    ['a beginning no part covers', [run(50, 0.2, 10)], /from 0.00 m to 0.20 m/],
    ['no parts at all', [], /from 0.00 m to 10.00 m/],
  ])('%s', (_, parts, question) => expect(asked(of(parts)).join(' ')).toMatch(question));
  test('runs that overlap or hang past an end leave nothing open', () => expect(asked(of([run(50, -0.3, 6), run(40, 4, 10.4)]))).toEqual([]));
  test('a weight by drawing does not tell where it balances; a balance point that is typed does', () => {
    const member = of([run(50, 0, 9)]);
    member.stated.drawing = 800;
    expect(memberWeight(member, rules)).toBeInstanceOf(Missing);
    member.cg = 4.7;
    expect(known(memberWeight(member, rules))).toMatchObject({ bare: 800, cg: 4.7 });
  });
  test('in the plan it is a question, and nothing is clear for it', () => {
    const plan = demoPlan();
    const girder = plan.members.find((one) => one.mark === 'EG2')!;
    made(girder).parts.splice(1, 1);
    const check = evaluate(plan).checks.find((one) => one.id === 'steel.weight' && one.subject === 'EG2')!;
    expect(check.verdict).toBe('missing');
  });
  test('a part that ends before it begins is refused with its path', () => {
    const plan = demoPlan();
    const girder = plan.members.find((one) => one.mark === 'EG2')!;
    made(girder).parts[0]!.to = -1;
    expect(openPlan(plan)).toMatchObject({ ok: false, faults: [{ path: `members[${plan.members.indexOf(girder)}].make.parts[0].to` }] });
  });
});

const parts = fc
  .array(
    fc.record({
      mass: fc.double({ min: 1, max: 300, noNaN: true }),
      from: fc.double({ min: -0.3, max: 10, noNaN: true }),
      long: fc.double({ min: 0, max: 5, noNaN: true }),
      count: fc.integer({ min: 1, max: 3 }),
    }),
    { maxLength: 8 },
  )
  .map((list) => [
    run(40, 0, 10),
    ...list.map(({ mass, from, long, count }, i): Part => ({ id: `p${i}`, what: 'part', section: '', mass, count, from, to: from + long })),
  ]);
test('cut anywhere, the shares make the whole, and balance where it does', () =>
  fc.assert(
    fc.property(parts, fc.array(fc.double({ min: 0.1, max: 9.9, noNaN: true }), { maxLength: 4 }), (list, cuts) => {
      const member = of(list);
      const weight = known(partsWeight(member, made(member)));
      const ends = [0, ...new Set(cuts.sort((a, b) => a - b)), 10];
      const shares = ends.slice(1).map((to, i) => shareBetween(member, ends[i]!, to));
      expect(shares.reduce((sum, one) => sum + one.share, 0)).toBeCloseTo(1, 9);
      expect(shares.reduce((sum, one) => sum + one.share * one.cg, 0)).toBeCloseTo(weight.cg, 6);
    }),
  ));
test('a member alike along its length shares by length', () =>
  expect(shareBetween(ticketHall().members[0]!, 1, 2)).toEqual({ share: 1 / ticketHall().members[0]!.length, cg: 1.5 }));

describe('carried in its pieces', () => {
  const stepped = (): Plan => {
    const plan = ticketHall();
    const member = plan.members[0]!;
    member.stated = { drawing: null, weighed: null };
    member.make = { kind: 'parts', what: 'stepped', width: 0.134, depth: 0.207, parts: [run(30, 0, member.length), run(25, 0, 1.2), lump(20, 4)] };
    return plan;
  };
  test('each weighs what lies in it and half its splices, and all of them the whole', () => {
    const plan = stepped();
    const carried = known(carriedOf(asWay(settle(plan)), rules));
    const total = carried.pieces.reduce((sum, one) => sum + one.mass, 0);
    expect(total).toBeCloseTo(carried.weight.lifted + 2 * wayIn(plan).splice.mass, 6);
    const moment = carried.pieces.reduce((sum, one) => sum + one.mass * (one.from + one.cg), 0);
    const splices = wayIn(plan).cuts.reduce((sum, cut) => sum + wayIn(plan).splice.mass * cut, 0);
    expect(moment).toBeCloseTo(carried.weight.lifted * carried.weight.cg + splices, 6);
    const first = carried.pieces[1]!;
    expect(shareBetween(plan.members[0]!, first.from, first.to).cg).toBeLessThan((first.from + first.to) / 2);
  });
  test('the search for fewest pieces does not pretend: it asks for the cuts', () => {
    const answer = splitOf(asWay(settle(stepped())), rules);
    expect(answer).toBeInstanceOf(Missing);
    expect((answer as Missing).questions[0]).toMatch(/not alike along its length/);
  });
  test('without an overall size nobody knows whether it passes', () => {
    const plan = stepped();
    made(plan.members[0]!).depth = null;
    expect(evaluate(plan).checks.find((one) => one.id === 'way.piece')).toMatchObject({ verdict: 'missing' });
  });
});

describe('what hangs past the ends', () => {
  const bracketed = of([run(50, 0, 10), run(20, -0.6, 0), run(20, 10, 10.25), lump(30, 10.4)]);
  test('is as far as the furthest part each way', () => {
    const past = hangsPast(bracketed);
    expect(past.left).toBeCloseTo(0.6, 12);
    expect(past.right).toBeCloseTo(0.4, 12);
    expect(hangsPast(of([run(50, 0, 10)]))).toEqual({ left: 0, right: 0 });
    expect(hangsPast(demoPlan().members[0]!)).toEqual({ left: 0, right: 0 });
  });
  test('lengthens the piece on the truck and on the way in, at its own end only, and takes nothing off what the cuts add up to', () => {
    const plan = ticketHall();
    const member = plan.members.find((one) => one.id === wayIn(plan).member)!;
    Object.assign(member, { make: bracketed.make, length: 10, travel: { ...member.travel } });
    wayIn(plan).cuts = [];
    expect(travellersOf(settle(plan), member, rules).map((one) => one.length)).toEqual([expect.closeTo(11, 12)]);
    expect(known(carriedOf(asWay(settle(plan)), rules)).longest.length).toBeCloseTo(11, 12);
    wayIn(plan).cuts = [4, 7];
    const { pieces } = known(carriedOf(asWay(settle(plan)), rules));
    expect(pieces.map((one) => one.length)).toEqual([expect.closeTo(4.6, 12), expect.closeTo(3, 12), expect.closeTo(3.4, 12)]);
    expect(pieces.reduce((sum, one) => sum + one.to - one.from, 0)).toBeCloseTo(10, 12);
    expect(travellersOf(settle(plan), member, rules).map((one) => one.length)).toEqual(pieces.map((one) => one.length));
  });
  test('a truck just long enough for the member itself refuses it', () => {
    const plan = demoPlan();
    const girder = plan.members.find((one) => one.mark === 'EG2')!;
    const truck = truckOf(settle(plan), girder, travellersOf(settle(plan), girder, rules)[0]!)!;
    girder.travel.truck = truck.id;
    girder.state = 'made';
    truck.overhang = girder.length - truck.deckLength;
    const stops = () => evaluate(plan).checks.filter((check) => check.id === 'steel.truck' && check.subject === 'EG2' && check.verdict === 'stop').length;
    expect(stops()).toBe(0);
    made(girder).parts.push(lump(5, girder.length + 0.2));
    expect(stops()).toBe(1);
  });
});

describe('a piece cut out of a member whose weight lies nobody knows how', () => {
  const cutBeam = (change: (member: Member) => void): Plan => {
    const plan = ticketHall();
    const member = plan.members.find((one) => one.id === wayIn(plan).member)!;
    wayIn(plan).cuts = [member.length / 3];
    change(member);
    return plan;
  };
  const cutOf = (plan: Plan) =>
    travellersOf(
      settle(plan),
      plan.members.find((one) => one.id === wayIn(plan).member)!,
      rules,
    );
  const askedOfCut = (plan: Plan): string => {
    const carried = carriedOf(asWay(settle(plan)), rules);
    return carried instanceof Missing ? carried.questions.join(' ') : '';
  };
  test('balanced off its middle by hand: asked, and no piece of it is weighed or said to fit a load', () => {
    const plan = cutBeam((member) => (member.cg = member.length * 0.6));
    expect(askedOfCut(plan)).toMatch(/off its middle.*What lies where/);
    expect(cutOf(plan).map((one) => one.mass)).toEqual([null, null]);
    expect(cutOf(plan).reduce((sum, one) => sum + one.length, 0)).toBeCloseTo(plan.members.find((one) => one.id === wayIn(plan).member)!.length, 12);
    expect(lorryPieces(plan, rules).lacking).toContain(plan.members.find((one) => one.id === wayIn(plan).member)!.mark);
  });
  test('the split search does not pretend either, before it is cut', () => {
    const plan = cutBeam((member) => (member.cg = member.length * 0.6));
    wayIn(plan).cuts = [];
    expect(splitOf(asWay(settle(plan)), rules)).toBeInstanceOf(Missing);
    expect(askedOfCut(plan)).toBe('');
  });
  test('balanced within a hundredth of its middle it is alike along its length', () => {
    const near = cutBeam((member) => (member.cg = member.length * 0.505));
    expect(askedOfCut(near)).toBe('');
    const [a, b] = cutOf(near);
    expect(a!.mass! / b!.mass!).toBeGreaterThan(0.4);
    expect(splitOf(asWay(settle(near)), rules)).not.toBeInstanceOf(Missing);
  });
  test('of parts nobody can weigh the same is asked, though somebody gave its balance and its weight', () => {
    const plan = cutBeam((member) =>
      Object.assign(member, {
        make: { kind: 'parts', what: 'stepped', width: 0.2, depth: 0.4, parts: [{ ...run(50, 0, 1), mass: null }] },
        cg: member.length / 2,
        stated: { drawing: 400, weighed: null },
        use: 'worst',
      }),
    );
    const member = plan.members.find((one) => one.id === wayIn(plan).member)!;
    expect(sharesKnown(member)).toBeInstanceOf(Missing);
    expect(askedOfCut(plan)).toMatch(/What does run of .* weigh\?/);
    expect(cutOf(plan).every((one) => one.mass === null)).toBe(true);
  });
});
