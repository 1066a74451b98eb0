import { asLine, lineIn } from '../../../tests/of-plan';
import { ticketHall } from '../../../tests/demo-plan';
import { needleRow, twoPostBent } from '../../../tests/shores';
import { add, scale } from '../geometry/plane';
import { shoredLine, shoreGrip, shoreTo } from './shore-place';

const setback = (move: ReturnType<typeof shoreTo>) => (move?.list === 'shoreWalls' ? move.changes.setback : null);

test('a wall is held in its middle, its set-back to its own side of the line', () => {
  const plan = ticketHall();
  const line = shoredLine(asLine(plan))!;
  expect(line.length).toBeCloseTo(3.908, 9);
  const grip = shoreGrip(plan, 'sh1')!;
  expect(grip).toEqual(add(add(line.from, scale(line.along, line.length / 2)), scale(line.left, 0.9)));
});
test('dragged away from the line it stands further back, on either side', () => {
  const plan = ticketHall();
  const { left } = shoredLine(asLine(plan))!;
  expect(setback(shoreTo(plan, 'sh1', add(shoreGrip(plan, 'sh1')!, scale(left, 0.41)), 0.05))).toBeCloseTo(1.3, 9);
  expect(setback(shoreTo(plan, 'sh2', add(shoreGrip(plan, 'sh2')!, scale(left, -0.41)), 0.05))).toBeCloseTo(1.3, 9);
});
test('it snaps to the walls it should stand in line with, unless asked not to', () => {
  const plan = ticketHall();
  lineIn(plan).walls[2]!.setback = 1.02;
  const near = add(shoreGrip(plan, 'sh1')!, scale(shoredLine(asLine(plan))!.left, 0.1));
  expect(setback(shoreTo(plan, 'sh1', near, 0.05))).toBe(1.02);
  expect(setback(shoreTo(plan, 'sh1', near, 0))).toBeCloseTo(1, 9);
});
test('it cannot be dragged over the line', () => {
  const plan = ticketHall();
  expect(setback(shoreTo(plan, 'sh1', add(shoreGrip(plan, 'sh1')!, scale(shoredLine(asLine(plan))!.left, -3)), 0.05))).toBe(0.05);
});
test('a row slides along the line and snaps to a joist', () => {
  const plan = ticketHall();
  lineIn(plan).rows = [needleRow({ id: 'r', from: 0.3, count: 3 })];
  const move = shoreTo(plan, 'r', add(shoreGrip(plan, 'r')!, scale(shoredLine(asLine(plan))!.along, 0.24)), 0.05);
  expect(move).toEqual({ list: 'shoreRows', changes: { from: expect.closeTo((3.908 % 0.4) / 2 + 0.4, 3) } });
});
test('with no opening chosen there is no line and nothing to hold', () => {
  const plan = ticketHall();
  lineIn(plan).opening = null;
  expect(shoredLine(asLine(plan))).toBeNull();
  expect(shoreGrip(plan, 'sh1')).toBeNull();
  expect(shoreTo(plan, 'sh1', { x: 0, y: 0 }, 0.05)).toBeNull();
});

describe('a bent', () => {
  const withBent = () => {
    const plan = ticketHall();
    plan.shoring.bents = [twoPostBent({ id: 'bt', at: { x: 1, y: 1 } })];
    return plan;
  };
  test('is held by its middle and goes to the grid', () => {
    expect(shoreGrip(withBent(), 'bt')).toEqual({ x: 1, y: 1 });
    expect(shoreTo(withBent(), 'bt', { x: 2.437, y: -1.262 }, 0.05)).toEqual({ list: 'bents', changes: { at: { x: 2.45, y: -1.25 } } });
  });
  test('snaps to a bearing near it, and goes free when asked', () => {
    expect(shoreTo(withBent(), 'bt', { x: 4.1, y: 0.03 }, 0.05)).toEqual({ list: 'bents', changes: { at: { x: 4.12, y: 0 } } });
    expect(shoreTo(withBent(), 'bt', { x: 4.1, y: 0.03 }, 0)).toEqual({ list: 'bents', changes: { at: { x: 4.1, y: 0.03 } } });
  });
});
