import { asLine, lineIn } from '../../../../tests/of-plan';
import { viewOfLine } from '../../document/views';
import fc from 'fast-check';
import { ticketHall } from '../../../../tests/demo-plan';
import { opened } from '../../../../tests/said';
import { evaluate } from '../../evaluate';
import { Missing } from '../../verdict/missing';
import { openPlan } from '../../document/open';
import { applyCommand, takeBack } from '../../edit/apply';
import { rulesOf } from '../../rules/rule-sets';
import type { Plan } from '../../document/schema';
import { joistOf } from '../../settle/shoring';
import { shoringMoves } from '../../edit/shoring-moves';
import { joistShare, studsOf } from '../../settle/wall-studs';

const rules = rulesOf('eu-ls', {});
const span = fc.double({ min: 2, max: 6, noNaN: true });
const load = fc.double({ min: 300, max: 3000, noNaN: true });

/** A hall whose floors, distances and gaps are anything that can be built. */
const anyHall = fc
  .record({
    left: span,
    right: span,
    dead: load,
    live: load,
    setback: fc.double({ min: 0.3, max: 1.4, noNaN: true }),
    over: fc.constantFrom('broken' as const, 'through' as const),
    gap: fc.option(fc.record({ from: fc.integer({ min: 2, max: 5 }), width: fc.integer({ min: 0, max: 2 }), posts: fc.integer({ min: 1, max: 3 }) })),
    doubled: fc.option(fc.record({ number: fc.integer({ min: 1, max: 10 }), carries: fc.double({ min: 0.3, max: 1, noNaN: true }) })),
  })
  .map(({ left, right, dead, live, setback, over, gap, doubled }): Plan => {
    const plan = ticketHall();
    plan.moves = [];
    const [lowest] = lineIn(plan).storeys;
    Object.assign(lowest!, { left: { span: left, dead, live }, right: { span: right, dead, live } });
    lowest!.joists.over = over;
    lowest!.joists.doubled = doubled ? [{ id: 'd', ...doubled }] : [];
    for (const wall of lineIn(plan).walls) wall.setback = setback;
    lineIn(plan).walls[0]!.gaps = gap
      ? [{ id: 'g', from: gap.from, to: gap.from + gap.width, posts: gap.posts, header: { width: 0.045, depth: 0.2, plies: 2, grade: 'C24' } }]
      : [];
    return opened(plan);
  });

test('studs carry all that the joists bring, however the wall is gapped and doubled', () =>
  fc.assert(
    fc.property(anyHall, (plan) => {
      const [lowest] = lineIn(plan).storeys;
      for (const wall of lineIn(plan).walls.filter((one) => one.storey === lowest!.id)) {
        const answer = studsOf(asLine(plan), wall, rules);
        if (answer instanceof Missing) throw new Error(answer.questions[0]);
        const plain = viewOfLine(plan, { ...lineIn(plan), walls: lineIn(plan).walls.map((one) => (one.id === wall.id ? { ...one, gaps: [] } : one)) });
        const even = studsOf(
          plain,
          plain.shoring.walls.find((one) => one.id === wall.id)!,
          rules,
        );
        if (even instanceof Missing) throw new Error(even.questions[0]);
        const sum = (list: { load: number }[]) => list.reduce((total, stud) => total + stud.load, 0);
        expect(sum(answer.studs)).toBeCloseTo(sum(even.studs), 4);
        for (const header of answer.headers) expect(Math.min(header.left, header.right, header.moment)).toBeGreaterThanOrEqual(0);
        expect(even.studs.map((stud) => stud.number)).toEqual(even.studs.map((_, i) => i + 1));
      }
    }),
    { numRuns: 40 },
  ));

test('whatever is built, it is evaluated with figures that are figures, and nothing unknown is clear', () =>
  fc.assert(
    fc.property(anyHall, (plan) => {
      const { checks, strikes, verdict } = evaluate(plan);
      for (const check of checks) {
        if (check.verdict === 'missing') expect(check.finding.code).toBe('missing');
        if (check.demand !== null) expect(Number.isFinite(check.demand)).toBe(true);
      }
      for (const step of Object.values(strikes).flatMap((strike) => strike?.steps ?? []))
        for (const load of step.loads) expect(load).toBeGreaterThanOrEqual(-1e-3);
      expect(verdict).not.toBe('clear');
    }),
    { numRuns: 30 },
  ));

test('joists that run through far from even: a shore they would lift off carries nothing, and the other what it carries alone', () => {
  const hall = (walls: string[]): Plan => {
    const plan = ticketHall();
    plan.moves = [];
    const [lowest, above] = lineIn(plan).storeys;
    lowest!.joists.over = 'through';
    Object.assign(lowest!, { left: { span: 2, dead: 900, live: 1000 }, right: { span: 6, dead: 900, live: 1000 } });
    above!.bears = 'nothing';
    lineIn(plan).walls = lineIn(plan).walls.filter((wall) => walls.includes(wall.id));
    for (const wall of lineIn(plan).walls) wall.setback = 0.3;
    lineIn(plan).strike = [];
    return opened(plan);
  };
  const shore = (plan: Plan, id: string): number => {
    const answer = joistOf(
      asLine(plan),
      lineIn(plan).walls.find((wall) => wall.id === id)!,
      rules,
    );
    if (answer instanceof Missing) throw new Error(answer.questions[0]);
    return answer.shore;
  };
  const both = hall(['sh1', 'sh2']);
  expect(shore(both, 'sh1')).toBe(0);
  expect(shore(both, 'sh2')).toBeCloseTo(shore(hall(['sh2']), 'sh2'), 6);
});

test('a joist’s share is one unless it is doubled', () =>
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 20 }), fc.double({ min: 0.2, max: 2, noNaN: true }), (number, carries) => {
      const [lowest] = lineIn(ticketHall()).storeys;
      lowest!.joists.doubled = [{ id: 'd', number, carries }];
      expect(joistShare(lowest!, number)).toBeCloseTo(carries / 0.4, 9);
      expect(joistShare(lowest!, number + 1)).toBe(1);
    }),
  ));

test('any moves lost from the run sheet are made again, once, and then none is lacking', () =>
  fc.assert(
    fc.property(fc.nat({ max: 2 ** 14 - 1 }), (mask) => {
      const plan = ticketHall();
      plan.moves = plan.moves.filter((_, i) => !((mask >> i) & 1));
      let n = 0;
      const made = shoringMoves(plan, () => `x${(n += 1)}`);
      const next = applyCommand(plan, { name: 'addMoves', args: { moves: made, at: plan.moves.length } });
      if (!next.ok) throw new Error(next.faults[0]?.error);
      expect(next.plan.moves).toHaveLength(14);
      expect(shoringMoves(next.plan, () => 'y')).toEqual([]);
      const back = takeBack(next.plan, next.inverse);
      expect(back).toEqual(plan);
    }),
    { numRuns: 40 },
  ));

test('a shore cut out of a plan file by hand is refused with the place that still names it, or opens', () =>
  fc.assert(
    fc.property(fc.constantFrom('sh1', 'sh2', 'sh3', 'sh4'), fc.boolean(), fc.boolean(), (id, strikeToo, movesToo) => {
      const plan = ticketHall();
      lineIn(plan).walls = lineIn(plan).walls.filter((wall) => wall.id !== id);
      if (strikeToo) lineIn(plan).strike = lineIn(plan).strike.filter((step) => step.shore !== id);
      if (movesToo) plan.moves = [];
      const answer = openPlan(plan);
      expect(answer.ok).toBe(strikeToo && movesToo);
      if (!answer.ok) expect(answer.faults[0]!.path).toMatch(/^(shoring\.lines\[0\]\.strike|moves)\[\d+\]\.(shore|step)$/);
    }),
  ));
