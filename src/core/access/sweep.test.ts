import fc from 'fast-check';
import { runCalc } from '../catalogue/run';
import { overlap, rectangle } from '../geometry/plane';
import { accessCorner } from './corner.calc';
import { sweep as search, withHole } from './sweep';
import { attempt } from '../calc/attempt';
import { accessSweep } from './sweep.calc';

/** The search, where it is made. */
const sweep = (question: Parameters<typeof search>[0]) => {
  const answer = search(question);
  if ('gaveUp' in answer) throw new Error(answer.gaveUp);
  return answer;
};

/** An L of corridors: along x at the bottom, `a` wide, then up along y on the right, `b` wide. */
function corridors(a: number, b: number) {
  const wall = (name: string, x: number, y: number, long: number, high: number) => ({ name, points: rectangle({ x, y }, long, high, 0) });
  return {
    path: [
      { x: -4, y: a / 2 },
      { x: -b / 2, y: a / 2 },
      { x: -b / 2, y: 5 },
    ],
    obstacles: [wall('bottom', -4, -0.5, 12, 1), wall('right', 0.5, 2, 1, 12), wall('inner corner', -b - 5, a + 5, 10, 10)],
  };
}

describe('round a corner', () => {
  test.each([
    [1.4, 1.4, 0.2],
    [1.2, 1.6, 0.2],
    [1, 2, 0.3],
  ])('corridors %d and %d m: nothing longer than the corner formula allows passes, and pieces well inside it do', (a, b, width) => {
    const longest = accessCorner.compute({ corridorA: a, corridorB: b, width }).longest;
    const at = (length: number) => sweep({ length, width, ...corridors(a, b) }).passes;
    expect(at(longest * 1.02)).toBe(false);
    expect(at(longest * 0.72)).toBe(true);
  });
  test('it is told where it sticks and against what', () => {
    const answer = sweep({ length: 4, width: 0.2, ...corridors(1.2, 1.2) });
    expect(answer).toMatchObject({ passes: false, after: 0 });
    if (answer.passes) throw new Error('passes');
    expect(answer.against.length).toBeGreaterThan(0);
    expect(['bottom', 'right', 'inner corner']).toEqual(expect.arrayContaining(answer.against));
  });
});

test('on open ground it is carried along the line, turned with it', () => {
  const answer = sweep({
    length: 3,
    width: 0.2,
    path: [
      { x: 0, y: 0 },
      { x: 4, y: 0 },
      { x: 4, y: 4 },
    ],
    obstacles: [],
  });
  expect(answer.passes).toBe(true);
  expect(answer.poses[0]).toMatchObject({ at: { x: 0, y: 0 }, headingDeg: 0 });
  expect(answer.poses[2]!.headingDeg).toBe(90);
});
test('a wall right across the way stops it', () => {
  const answer = sweep({
    length: 2,
    width: 0.2,
    path: [
      { x: 0, y: 0 },
      { x: 6, y: 0 },
    ],
    obstacles: [{ name: 'a wall', points: rectangle({ x: 4, y: 0 }, 0.3, 8, 0) }],
  });
  expect(answer).toMatchObject({ passes: false, after: 0, against: ['a wall'] });
});
test('no pose that is shown touches anything, whatever stands there', () =>
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          x: fc.double({ min: 1, max: 7, noNaN: true }),
          y: fc.double({ min: -2, max: 2, noNaN: true }),
          turn: fc.double({ min: 0, max: 180, noNaN: true }),
        }),
        {
          maxLength: 5,
        },
      ),
      fc.double({ min: 0.5, max: 4, noNaN: true }),
      (things, length) => {
        const obstacles = things.map(({ x, y, turn }, i) => ({ name: `thing ${i}`, points: rectangle({ x, y }, 1.2, 0.4, turn) }));
        const { poses } = sweep({
          length,
          width: 0.25,
          path: [
            { x: 0, y: 0 },
            { x: 4, y: 0.5 },
            { x: 8, y: 0 },
          ],
          obstacles,
        });
        for (const { at, headingDeg } of poses)
          for (const { points } of obstacles) expect(overlap(rectangle(at, length, 0.25, headingDeg), points)).toBe(false);
      },
    ),
    { numRuns: 40 },
  ));
test('what passes still passes with one thing fewer in the way', () =>
  fc.assert(
    fc.property(fc.array(fc.double({ min: -1.5, max: 1.5, noNaN: true }), { minLength: 1, maxLength: 4 }), (ys) => {
      const question = {
        length: 2,
        width: 0.25,
        path: [
          { x: 0, y: 0 },
          { x: 8, y: 0 },
        ],
      };
      const obstacles = ys.map((y, i) => ({ name: String(i), points: rectangle({ x: 1.5 + 1.5 * i, y }, 0.4, 1, 0) }));
      if (sweep({ ...question, obstacles }).passes) expect(sweep({ ...question, obstacles: obstacles.slice(1) }).passes).toBe(true);
    }),
    { numRuns: 25 },
  ));

describe('a hole in a wall', () => {
  test('two parts are left, the hole between them', () => {
    const parts = withHole({ x: 0, y: 0 }, 4, 0.3, 0, { at: { x: 0.5, y: 0 }, width: 1 });
    expect(parts).toHaveLength(2);
    expect(Math.max(...parts[0]!.map((p) => p.x))).toBeCloseTo(0, 9);
    expect(Math.min(...parts[1]!.map((p) => p.x))).toBeCloseTo(1, 9);
  });
  test('a hole somewhere else leaves the wall whole; one at its end leaves one part', () => {
    expect(withHole({ x: 0, y: 0 }, 4, 0.3, 0, { at: { x: 0, y: 3 }, width: 1 })).toHaveLength(1);
    expect(withHole({ x: 0, y: 0 }, 4, 0.3, 90, { at: { x: 0, y: 1.8 }, width: 1 })).toHaveLength(1);
  });
});
test('as a calculation it gives its working and refuses a way of no points', () => {
  expect(runCalc('access.sweep', { length: 2, width: 0.2, path: [], obstacles: [] })).toMatchObject({ ok: false, path: 'path' });
  expect(runCalc('access.sweep', { length: 2, width: 0.2, path: [{ x: 0, y: 0 }], obstacles: [] })).toMatchObject({
    ok: true,
    output: { passes: true, leg: -1 },
  });
});

describe('what is too much to search is said, and at once', () => {
  const square = (x: number, y: number) => [
    { x, y },
    { x: x + 0.1, y },
    { x: x + 0.1, y: y + 0.1 },
    { x, y: y + 0.1 },
  ];
  test('a millimetre typed for a metre', () => {
    const answer = search({
      length: 4,
      width: 0.3,
      path: [
        { x: 0, y: 0 },
        { x: 12400, y: 0 },
        { x: 5, y: 5 },
      ],
      obstacles: [],
    });
    expect(answer).toMatchObject({ gaveUp: expect.stringMatching(/Is a point of it misplaced/) as unknown, leg: 0 });
    const refused = attempt(accessSweep, {
      length: 4,
      width: 0.3,
      path: [
        { x: 0, y: 0 },
        { x: 700, y: 0 },
      ],
      obstacles: [],
    });
    expect(refused).toMatchObject({ ok: false, path: 'path[1]' });
  });
  test('ten thousand things on a long way are given up by count of looks', () => {
    const obstacles = Array.from({ length: 10000 }, (_, i) => ({ name: `thing ${i}`, points: square((i % 100) * 3, 4 + Math.floor(i / 100)) }));
    const answer = search({
      length: 9,
      width: 0.3,
      path: [
        { x: 0, y: 0 },
        { x: 300, y: 0 },
      ],
      obstacles,
    });
    expect(answer).toMatchObject({ gaveUp: expect.stringMatching(/10000 things/) as unknown });
  });
});
