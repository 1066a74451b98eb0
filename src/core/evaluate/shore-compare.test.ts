import { lineIn } from '../../../tests/of-plan';
import { ticketHall } from '../../../tests/demo-plan';
import { evaluate } from './';
import { arrangements } from './shore-compare';

const by = (name: string) => arrangements(ticketHall(), lineIn(ticketHall())).find((one) => one.name === name)!;

test('as drawn it is what the plan says; further back it uses more of the shores and leaves more room', () => {
  expect(by('as drawn').verdict).toBe('clear');
  // Ten studs a wall, two more at a doubled joist above and a header’s ends for two; plates, header plies and boards.
  expect(by('as drawn').parts).toBe(42 + 4 * 3 + 2 + 3 * 2);
  expect(by('as drawn').hours).toBeCloseTo(62 * 0.35, 9);
  expect(by('walls 1.20 m back').between!).toBeCloseTo(2.4 - 0.095, 9);
  expect(by('walls 0.60 m back').verdict).toBe('stop');
  expect(by('walls 0.60 m back').governs!.id).toBe('shore.room');
  expect(by('walls 1.20 m back').governs!.ratio!).toBeGreaterThan(by('as drawn').governs!.ratio!);
});
test('one side alone is a stop where joists break over the line', () => {
  expect(by('the left side alone').verdict).toBe('stop');
  expect(by('the left side alone').governs!.id).toBe('shore.side');
});
test('needles instead of walls: what they would need to be known is asked, not assumed', () => {
  const needles = by('needles and props');
  const missing = evaluate({ ...ticketHall(), shoring: { ...ticketHall().shoring, lines: [needles.line] } }).checks.filter(
    (check) => check.verdict === 'missing',
  );
  expect(missing.map((check) => check.id)).toEqual(expect.arrayContaining(['shore.arch', 'shore.pad']));
  expect(needles.verdict).not.toBe('clear');
  expect(needles.parts).toBe(5 + 10 + 10);
  expect(needles.hours).toBeCloseTo(5 * 2.5, 9);
});
test('comparing changes nothing in the plan', () => {
  const plan = ticketHall();
  const before = JSON.stringify(plan);
  arrangements(plan, lineIn(plan));
  expect(JSON.stringify(plan)).toBe(before);
});
test('with no walls there is the plan alone', () => {
  const plan = ticketHall();
  Object.assign(lineIn(plan), { walls: [], strike: [] });
  expect(arrangements(plan, lineIn(plan)).map((one) => one.name)).toEqual(['as drawn']);
});
