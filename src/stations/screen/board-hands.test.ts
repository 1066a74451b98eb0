import { lineIn, wayIn } from '../../../tests/of-plan';
import { jest } from '@jest/globals';
import { demoPlan, ticketHall } from '../../../tests/demo-plan';
import type { Ref } from '@/core/view/draw-list';
import type { Plan } from '@/core/document/schema';
import { shoreGrip } from '@/core/edit/shore-place';
import { surveyPlan } from '@/core/view/survey';
import { boardHands } from './board-hands';
import * as editing from '@/job/editing/editing';
import { createJobStore } from '@/job/job-store';

const survey = surveyPlan(demoPlan(), null, -1, 'beam');
const board = (plan: Plan) => {
  const store = createJobStore({ id: 'j', revision: 1, plan, survey, cursor: -1, station: 'runSheet' }, editing);
  return { store, hands: boardHands(store, 0.05), plan: () => store.getState().history.plan };
};
/** Taken hold of at one place and carried along to others, as a pointer does it. */
const drag = (hands: ReturnType<typeof boardHands>, ref: Ref, to: { x: number; y: number }[], free = false, how: 'dragAbove' | 'dragSide' = 'dragAbove') => {
  to.forEach((at, i) => hands[how]({ ref, from: { x: 10, y: 10 }, to: { x: 10 + at.x, y: 10 + at.y }, free, first: i === 0 }));
  hands.drop();
};
/** Saving is not what is tried here: its moment never comes. */
beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

const zoned = (): Plan => {
  const plan = demoPlan();
  plan.site.zones = [{ id: 'z', name: 'Platform', kind: 'people', at: { x: 3, y: 4 }, length: 6, width: 2, azimuthDeg: 0, closed: null }];
  return plan;
};
const movable: [string, () => Plan, Ref, (plan: Plan) => { x: number; y: number }][] = [
  ['a bearing', demoPlan, { kind: 'bearing', id: 'p1' }, (p) => p.bearings[0]!.at],
  ['the crane', demoPlan, { kind: 'stand', id: demoPlan().stands[0]!.id }, (p) => p.stands[0]!.at],
  ['a wall in the way', demoPlan, { kind: 'obstruction', id: demoPlan().site.obstructions[0]!.id }, (p) => p.site.obstructions[0]!.at],
  ['a zone', zoned, { kind: 'zone', id: 'z' }, (p) => p.site.zones![0]!.at],
  ['a leg of the way', ticketHall, { kind: 'leg', id: wayIn(ticketHall()).legs[2]!.id }, (p) => wayIn(p).legs[2]!.at],
  ['the truck', demoPlan, { kind: 'start', id: demoPlan().pieces[0]!.id }, (p) => p.pieces[0]!.start!],
];
test.each(movable)('%s goes where it is dragged, on the grid unless held free; one undo brings it back', (_, from, ref, at) => {
  const { store, hands, plan } = board(from());
  const before = at(plan());
  const onGrid = (value: number) => Math.abs(value / 0.05 - Math.round(value / 0.05)) < 1e-6;
  drag(hands, ref, [
    { x: 0.2, y: 0.1 },
    { x: 1.013, y: -0.987 },
  ]);
  expect(at(plan()).x).toBeCloseTo(before.x + 1.013, 1);
  expect([onGrid(at(plan()).x), onGrid(at(plan()).y)]).toEqual([true, true]);
  store.getState().undo();
  expect(at(plan())).toEqual(before);
  drag(hands, ref, [{ x: 1.013, y: -0.987 }], true);
  expect(at(plan()).x).toBeCloseTo(before.x + 1.013, 9);
  expect(at(plan()).y).toBeCloseTo(before.y - 0.987, 9);
});
test('two drags of one thing are two steps to undo', () => {
  const { store, hands, plan } = board(demoPlan());
  const x = () => plan().bearings[0]!.at.x;
  const before = x();
  drag(hands, { kind: 'bearing', id: 'p1' }, [{ x: 1, y: 0 }]);
  drag(hands, { kind: 'bearing', id: 'p1' }, [{ x: 1, y: 0 }]);
  expect(x()).toBeCloseTo(before + 2, 6);
  store.getState().undo();
  expect(x()).toBeCloseTo(before + 1, 6);
});
test('arrow keys nudge by what they say, to a tenth of a millimetre', () => {
  const { hands, plan } = board(demoPlan());
  const before = plan().bearings[0]!.at;
  hands.nudgeAbove({ kind: 'bearing', id: 'p1' }, { x: 0.01, y: 0 });
  hands.nudgeAbove({ kind: 'bearing', id: 'p1' }, { x: 0.00003, y: -0.2 });
  expect(plan().bearings[0]!.at.x).toBeCloseTo(before.x + 0.01, 9);
  expect(plan().bearings[0]!.at.y).toBeCloseTo(before.y - 0.2, 9);
});
test('a shore moves square to the line only, and stays on its side', () => {
  const { hands, plan } = board(ticketHall());
  const [wall] = lineIn(plan()).walls;
  const grip = shoreGrip(plan(), wall!.id)!;
  drag(hands, { kind: 'shore', id: wall!.id }, [{ x: 0.31, y: 0.31 }]);
  const moved = lineIn(plan()).walls[0]!;
  expect(moved.setback).not.toBe(wall!.setback);
  expect(moved.setback).toBeGreaterThan(0);
  expect(Math.hypot(shoreGrip(plan(), wall!.id)!.x - grip.x, shoreGrip(plan(), wall!.id)!.y - grip.y)).toBeCloseTo(Math.abs(moved.setback - wall!.setback), 6);
  hands.nudgeAbove({ kind: 'shore', id: wall!.id }, { x: 0, y: 0.01 });
  expect(lineIn(plan()).walls[0]!.setback).not.toBe(moved.setback);
});
test('a pick point slides along its piece, each from its own end, never past it', () => {
  const { hands, plan } = board(demoPlan());
  const pick = () => plan().picks[0]!;
  const { id, left, right } = pick();
  drag(hands, { kind: 'pickPoint', id, end: 'left' }, [{ x: 0.4, y: 0 }], true, 'dragSide');
  drag(hands, { kind: 'pickPoint', id, end: 'right' }, [{ x: 0.4, y: 0 }], true, 'dragSide');
  expect([pick().left, pick().right]).toEqual([expect.closeTo(left + 0.4, 9), expect.closeTo(right - 0.4, 9)]);
  drag(hands, { kind: 'pickPoint', id, end: 'left' }, [{ x: -99, y: 0 }], false, 'dragSide');
  expect(pick().left).toBe(0);
  hands.nudgeSide({ kind: 'pickPoint', id, end: 'left' }, { x: 0.01, y: 0 });
  expect(pick().left).toBeCloseTo(0.01, 9);
});
test('what cannot be dragged stays: a thing nobody knows, a bearing in the elevation', () => {
  const { hands, plan } = board(demoPlan());
  const before = plan();
  drag(hands, { kind: 'bearing', id: 'nobody' }, [{ x: 1, y: 1 }]);
  drag(hands, { kind: 'bearing', id: 'p1' }, [{ x: 1, y: 1 }], false, 'dragSide');
  hands.nudgeSide({ kind: 'bearing', id: 'p1' }, { x: 1, y: 0 });
  hands.nudgeAbove({ kind: 'opening', id: 'op1' }, { x: 1, y: 0 });
  expect(plan()).toBe(before);
});
test('a power line is dragged whole, or by one end', () => {
  const { hands, plan } = board(demoPlan());
  const [line] = plan().site.powerLines;
  drag(hands, { kind: 'powerLine', id: line!.id }, [{ x: 1, y: 2 }]);
  const moved = plan().site.powerLines[0]!;
  expect(moved.to!.x - moved.from!.x).toBeCloseTo(line!.to!.x - line!.from!.x, 9);
  expect(moved.from).toEqual({ x: line!.from!.x + 1, y: line!.from!.y + 2 });
  drag(hands, { kind: 'powerLineEnd', id: line!.id, end: 'to' }, [{ x: -3, y: 0 }]);
  expect(plan().site.powerLines[0]!.from).toEqual(moved.from);
  expect(plan().site.powerLines[0]!.to!.x).toBeCloseTo(moved.to!.x - 3, 6);
});
test('a thing chosen opens the station its figures stand at', () => {
  const { store, hands } = board(demoPlan());
  const at = (ref: Ref | null) => {
    hands.choose(ref);
    return store.getState().station;
  };
  expect(at({ kind: 'stand', id: 's1' })).toBe('gear');
  expect(at({ kind: 'shore', id: 'sh1' })).toBe('shores');
  expect(at(null)).toBe('shores');
  expect(store.getState().chosen).toBeNull();
});
