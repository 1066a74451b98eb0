import type { Shape } from './draw-list';
import { keptShapes } from './kept-shapes';

const dot = (x: number, id?: string): Shape => ({
  shape: 'dot',
  centre: { x, y: 0 },
  size: 3,
  style: { fill: 'steel' },
  ...(id ? { of: { kind: 'beam' as const, id } } : {}),
});

test('what is drawn as before is the thing of before, wherever in the list; what is not is new', () => {
  const before = [dot(1), dot(2, 'a'), dot(3)];
  const now = [dot(0), dot(1), dot(2, 'b'), dot(3)];
  const kept = keptShapes(before, now);
  expect(kept).toEqual(now);
  expect(kept.map((one) => before.indexOf(one))).toEqual([-1, 0, -1, 2]);
  // And of the next drawing those of this one.
  const next = keptShapes(kept, [dot(2, 'b'), dot(0)]);
  expect(next.map((one) => kept.indexOf(one))).toEqual([2, 0]);
});

test('of shapes that are alike each stands in once: no two in a list are one thing', () => {
  const before = [dot(1), dot(1)];
  const kept = keptShapes(before, [dot(1), dot(1), dot(1)]);
  expect(new Set(kept).size).toBe(3);
  expect(kept.filter((one) => before.includes(one))).toHaveLength(2);
  expect(keptShapes([], [dot(1)])).toEqual([dot(1)]);
});
