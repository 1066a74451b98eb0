import { asLine, lineIn } from '../../../tests/of-plan';
import { ticketHall } from '../../../tests/demo-plan';
import { rulesOf } from '../rules/rule-sets';
import { Missing } from '../verdict/missing';
import type { Plan, ShoreGap } from '../document/schema';
import { joistOf } from './shoring';
import { joistShare, studsOf, type WallStuds } from './wall-studs';
import { studLayout } from './shore-layout';

const rules = rulesOf('eu-ls', {});
const wall = (plan: Plan, id = 'sh1') => lineIn(plan).walls.find((one) => one.id === id)!;
const gap = (from: number, to: number, posts = 2): ShoreGap => ({
  id: `g${from}`,
  from,
  to,
  header: { width: 0.045, depth: 0.195, plies: 2, grade: 'C24' },
  posts,
});
const solved = (plan: Plan, id = 'sh1'): WallStuds => {
  const answer = studsOf(asLine(plan), wall(plan, id), rules);
  if (answer instanceof Missing) throw new Error(answer.questions.join(' '));
  return answer;
};
const each = (plan: Plan): number => {
  const joist = joistOf(asLine(plan), wall(plan), rules);
  if (joist instanceof Missing) throw new Error('unknown');
  return joist.shore;
};
const numbered = (answer: WallStuds, number: number) => answer.studs.find((stud) => stud.number === number)!;

/** The ticket hall with offices that stand evenly on it. */
const evenHall = (): Plan => {
  const plan = ticketHall();
  lineIn(plan).storeys[1]!.joists.doubled = [];
  for (const one of lineIn(plan).walls) one.gaps = [];
  return plan;
};

test('ten studs alike, one under every joist', () => {
  const plan = evenHall();
  const { studs, headers, bare } = solved(plan);
  expect(studs.map((stud) => [stud.number, stud.together])).toEqual(Array.from({ length: 10 }, (_, i) => [i + 1, 1]));
  for (const stud of studs) expect(stud.load).toBeCloseTo(each(plan), 9);
  expect([headers.length, bare.length]).toEqual([0, 0]);
});

describe('a header past a gap', () => {
  test('one joist in the middle of it: half to each end, P·L/4 in it', () => {
    const plan = evenHall();
    wall(plan).gaps = [gap(5, 5)];
    const answer = solved(plan);
    const p = each(plan);
    expect(answer.studs.map((stud) => stud.number)).toEqual([1, 2, 3, 4, 6, 7, 8, 9, 10]);
    expect(numbered(answer, 4)).toMatchObject({ together: 2, load: expect.closeTo(1.5 * p, 6) as unknown });
    expect(answer.headers[0]).toMatchObject({ ends: [4, 6], span: expect.closeTo(0.8, 9) as unknown });
    expect(answer.headers[0]!.moment).toBeCloseTo((p * 0.8) / 4, 6);
  });
  test('lopsided, with a doubled joist near one end: by lever', () => {
    const plan = evenHall();
    lineIn(plan).storeys[0]!.joists.doubled = [{ id: 'd', number: 6, carries: 0.6 }];
    wall(plan).gaps = [gap(5, 6)];
    const answer = solved(plan);
    const p = each(plan);
    // Joist 5 at a third, joist 6 with one and a half times the floor at two thirds of 1.2 m.
    expect(answer.headers[0]!.left).toBeCloseTo((p * 2) / 3 + (1.5 * p) / 3, 6);
    expect(answer.headers[0]!.right).toBeCloseTo(p / 3 + (1.5 * p * 2) / 3, 6);
    expect(numbered(answer, 4).load).toBeCloseTo(p + (p * 2) / 3 + (1.5 * p) / 3, 6);
    expect(numbered(answer, 7).load).toBeCloseTo(p + p / 3 + p, 6);
  });
  test('nothing is lost: studs carry all the joists bring, gaps or none', () => {
    const plan = evenHall();
    const total = () => solved(plan).studs.reduce((sum, stud) => sum + stud.load, 0);
    const whole = total();
    wall(plan).gaps = [gap(2, 3), gap(5, 7, 3)];
    expect(total()).toBeCloseTo(whole, 6);
    expect(numbered(solved(plan), 4)).toMatchObject({ together: 3 });
  });
  test('at the end of the wall there is nothing to stand on: its joists are bare', () => {
    const plan = evenHall();
    wall(plan).gaps = [gap(1, 2)];
    expect(solved(plan).bare).toEqual([1, 2]);
  });
  test('a grade of the other code is asked about', () => {
    const plan = evenHall();
    wall(plan).gaps = [{ ...gap(5, 5), header: { ...gap(5, 5).header, grade: 'SPF No.2' } }];
    const answer = studsOf(asLine(plan), wall(plan), rules);
    expect(answer).toBeInstanceOf(Missing);
    expect((answer as Missing).questions[0]).toMatch(/header of Hall wall, left/);
  });
});

test('a doubled joist has two studs together under it and carries the width it is told', () => {
  const plan = evenHall();
  lineIn(plan).storeys[0]!.joists.doubled = [{ id: 'd', number: 3, carries: 0.7 }];
  expect(joistShare(lineIn(plan).storeys[0]!, 3)).toBeCloseTo(1.75, 9);
  expect(joistShare(lineIn(plan).storeys[0]!, 4)).toBe(1);
  expect(numbered(solved(plan), 3)).toMatchObject({ together: 2, load: expect.closeTo(1.75 * each(plan), 6) as unknown });
});
test('where studs stand is known before what they carry is', () => {
  const plan = evenHall();
  lineIn(plan).storeys[0]!.left.dead = null;
  expect(studsOf(asLine(plan), wall(plan), rules)).toBeInstanceOf(Missing);
  expect(studLayout(asLine(plan), wall(plan))).toHaveLength(10);
});

describe('under a wall that stands unevenly', () => {
  const above = (plan: Plan) => {
    const answer = studsOf(asLine(plan), wall(plan, 'sh3'), rules);
    if (answer instanceof Missing) throw new Error('unknown');
    return answer;
  };
  test('a stud under the end of a gap above carries what the header brings there; the one under the gap is relieved; the sum stays', () => {
    const plan = evenHall();
    const even = solved(plan).studs.map((stud) => stud.load);
    wall(plan, 'sh3').gaps = [gap(5, 5)];
    const uneven = solved(plan).studs.map((stud) => stud.load);
    const p = above(plan).joist.shore;
    // The walls stand in line, 0.9 m back in both storeys: what stands above goes straight down.
    expect(uneven[3]! - even[3]!).toBeCloseTo(p / 2, 6);
    expect(uneven[4]! - even[4]!).toBeCloseTo(-p, 6);
    expect(uneven.reduce((a, b) => a + b, 0)).toBeCloseTo(
      even.reduce((a, b) => a + b, 0),
      6,
    );
  });
  test('nearer to the line above than below, it levers over the shore', () => {
    const plan = evenHall();
    wall(plan, 'sh3').setback = 0.5;
    const even = solved(plan).studs[3]!.load;
    wall(plan, 'sh3').gaps = [gap(5, 5)];
    expect(solved(plan).studs[3]!.load - even).toBeCloseTo(((above(plan).joist.shore / 2) * (3.6 - 0.5)) / (3.6 - 0.9), 6);
  });
  test('with joists otherwise apart the sole plate spreads it', () => {
    const plan = evenHall();
    lineIn(plan).storeys[1]!.joists.spacing = 0.5;
    const even = solved(plan).studs.map((stud) => stud.load);
    wall(plan, 'sh3').gaps = [gap(4, 4)];
    expect(solved(plan).studs.map((stud) => stud.load)).toEqual(even);
  });
});
