import fc from 'fast-check';
import { swayIn, swaysOf } from './sway';
import { numbersOf, type IslandParts } from './sway-island';
import type { SwayBrace, SwayColumn, SwayFrame, SwayLoad, SwayStands } from './sway-frame';

const EI = 8e6;
const HIGH = 4;
const column = (id: string, x: number, y: number, changes: Partial<SwayColumn & { down: number }> = {}): SwayColumn => {
  const { down = 20e3, ...rest } = changes;
  return { id, x, y, stiffness: EI, canStand: false, nodes: [{ z: HIGH, down }], ...rest };
};
const on = (column: number) => [{ column, node: 0, share: 1 }];
const rope = (at: number, deg: number, changes: Partial<SwayBrace> = {}): SwayBrace => {
  const a = (deg * Math.PI) / 180;
  return {
    id: `${at}-${deg}`,
    a: on(at),
    b: null,
    towards: { x: Math.cos(a) * Math.SQRT1_2, y: Math.sin(a) * Math.SQRT1_2, z: -Math.SQRT1_2 },
    stiffness: 4e6,
    pullsOnly: true,
    ...changes,
  };
};
/** A row of two columns tied along x, guyed all four ways at its first and across at its second. */
const row = (y: number, down: number, ways: readonly number[] = [0, 90, 180, 270]): SwayFrame => ({
  columns: [column(`a${y}`, 0, y, { down }), column(`b${y}`, 6, y, { down })],
  ties: [{ id: `t${y}`, a: on(0), b: on(1), stiffness: 3e8 }],
  braces: [...ways.map((deg) => rope(0, deg)), rope(1, 90), rope(1, 270)],
});
/** Two frames that know nothing of each other, as one. */
const beside = (first: SwayFrame, second: SwayFrame): SwayFrame => {
  const past = first.columns.length;
  const spot = (own: SwayBrace['a']) => own.map((one) => ({ ...one, column: one.column + past }));
  return {
    columns: [...first.columns, ...second.columns],
    ties: [...first.ties, ...second.ties.map((one) => ({ ...one, a: spot(one.a), b: spot(one.b) }))],
    braces: [...first.braces, ...second.braces.map((one) => ({ ...one, a: spot(one.a) }))],
  };
};
const push = (frame: SwayFrame, x: number, y: number): SwayLoad => frame.columns.map(({ nodes }) => nodes.map(() => ({ x, y })));
const stands = (frame: SwayFrame, load: SwayLoad): SwayStands => {
  const answer = swayIn(frame, load, true);
  if (!answer.stable) throw new Error(JSON.stringify(answer));
  return answer;
};
const near = (one: readonly number[], other: readonly number[]) => one.forEach((value, i) => expect(value).toBeCloseTo(other[i]!, 3));

test('two frames that know nothing of each other lean as each does alone, and sway as the weaker', () =>
  fc.assert(
    fc.property(
      fc.integer({ min: 5, max: 90 }),
      fc.integer({ min: 5, max: 90 }),
      fc.integer({ min: -900, max: 900 }),
      fc.integer({ min: -900, max: 900 }),
      (a, b, x, y) => {
        const [first, second] = [row(0, a * 1e3), row(40, b * 1e3)];
        const both = beside(first, second);
        const [one, other, whole] = [first, second, both].map((frame) => stands(frame, push(frame, x, y))) as [SwayStands, SwayStands, SwayStands];
        near(whole.braces, [...one.braces, ...other.braces]);
        near(whole.ties, [...one.ties, ...other.ties]);
        near(
          whole.columns.map(({ footMoment }) => footMoment),
          [...one.columns, ...other.columns].map(({ footMoment }) => footMoment),
        );
        expect(whole.drift).toBeCloseTo(Math.max(one.drift, other.drift), 9);
        expect(whole.alpha / Math.min(one.alpha, other.alpha)).toBeCloseTo(1, 3);
      },
    ),
    { numRuns: 40 },
  ));

test('of two frames the one that nothing holds is named, and no other', () => {
  const both = beside(row(0, 20e3), row(40, 20e3, [90, 270]));
  expect(swayIn(both, push(both, 500, 0))).toEqual({
    stable: false,
    why: 'unheld',
    unheld: [
      { column: 2, way: 'x' },
      { column: 3, way: 'x' },
    ],
  });
});

test('what nothing holds is told before what sways over, and that with its own multiple', () => {
  const heavy = row(0, 40e6);
  const alone = swayIn(heavy, push(heavy, 10, 10));
  expect(alone).toMatchObject({ stable: false, why: 'sways', alpha: expect.any(Number) });
  const beside1 = beside(row(40, 20e3), heavy);
  const answer = swayIn(beside1, push(beside1, 10, 10));
  expect(answer).toMatchObject({ stable: false, why: 'sways' });
  if (!answer.stable && answer.why === 'sways' && !alone.stable && alone.why === 'sways') expect(answer.alpha / alone.alpha).toBeCloseTo(1, 3);
  const beside2 = beside(heavy, row(40, 20e3, [90, 270]));
  expect(swayIn(beside2, push(beside2, 10, 10))).toMatchObject({
    stable: false,
    why: 'unheld',
    unheld: [
      { column: 2, way: 'x' },
      { column: 3, way: 'x' },
    ],
  });
});

test('a wind square to a rope neither stretches it nor lets it go, as near to square as a cosine comes', () => {
  const one = row(0, 20e3, [180, 90, 270]);
  // The only rope along x pulls towards −x: rounding that pushed that way would leave nothing to hold the row.
  for (const deg of [90, 270]) {
    const [x, y] = [Math.cos((deg * Math.PI) / 180) * 800, Math.sin((deg * Math.PI) / 180) * 800];
    for (const sign of [1, -1]) expect(swayIn(one, push(one, sign * x, y))).toMatchObject({ stable: true });
  }
  expect(swayIn(one, push(one, -800, 0))).toMatchObject({ stable: false, why: 'unheld' });
  expect(swayIn(one, push(one, 800, 0))).toMatchObject({ stable: true });
});

test('islands of which nothing is another are found again; those of which something is are worked out', () => {
  const kept = new Map<string, unknown>();
  let made = 0;
  const solve = (frame: SwayFrame, loads: SwayLoad[]) =>
    swaysOf(frame, loads, false, (numbers, make) => {
      const key = numbers.join(' ');
      if (!kept.has(key)) {
        made += 1;
        kept.set(key, make());
      }
      return kept.get(key) as ReturnType<typeof make>;
    });
  const count = (frame: SwayFrame, loads: SwayLoad[]): number => {
    made = 0;
    solve(frame, loads);
    return made;
  };
  const [first, second] = [row(0, 20e3), row(40, 30e3)];
  const both = beside(first, second);
  const winds = (frame: SwayFrame) => [push(frame, 500, 0), push(frame, 0, 500)];
  // Along x each row is one; across each column is by itself, and the two of a row are alike.
  expect(count(both, winds(both))).toBe(4);
  expect(count(both, winds(both))).toBe(0);
  expect(count(second, winds(second))).toBe(0);
  const changed = (change: (frame: SwayFrame) => SwayFrame) => {
    const other = change(both);
    return count(other, winds(other));
  };
  const columns = (change: Partial<SwayColumn>) => (frame: SwayFrame) => ({
    ...frame,
    columns: frame.columns.map((one, i) => (i === 3 ? { ...one, ...change } : one)),
  });
  expect(changed((frame) => ({ ...frame, ties: frame.ties.map((one, i) => (i === 0 ? { ...one, stiffness: 2e8 } : one)) }))).toBe(1);
  expect(changed((frame) => ({ ...frame, braces: frame.braces.map((one, i) => (i === 1 ? { ...one, stiffness: 5e6 } : one)) }))).toBe(1);
  expect(changed((frame) => ({ ...frame, braces: frame.braces.map((one, i) => (i === 1 ? { ...one, pullsOnly: false } : one)) }))).toBe(1);
  // A column is of the row along x and of itself across.
  expect(changed(columns({ canStand: true }))).toBe(2);
  expect(changed(columns({ stiffness: 9e6 }))).toBe(2);
  expect(changed(columns({ ways: { x: EI, y: 2 * EI } }))).toBe(1);
  expect(changed(columns({ nodes: [{ z: HIGH, down: 31e3 }] }))).toBe(2);
  expect(changed(columns({ nodes: [{ z: HIGH + 1, down: 30e3 }] }))).toBe(2);
  made = 0;
  solve(both, [push(both, 500, 0), push(both, 0, 501)]);
  expect(made).toBe(2);
});

describe('what an island is made of is told apart in numbers', () => {
  const parts: IslandParts = {
    size: 3,
    width: 2,
    columns: [
      {
        at: [0, 1, 2],
        nodes: [
          { z: 2, down: 10 },
          { z: 4, down: 20 },
        ],
        stiffness: EI,
        turned: [1],
        block: () => [],
        canStand: false,
        railed: false,
        rides: [{ at: 0, value: 1 }],
      },
    ],
    springs: [{ stiffness: 5, terms: [{ at: 0, value: 1 }] }],
    braces: [{ stiffness: 7, terms: [{ at: 1, value: 1 }], pullsOnly: true }],
    soil: Float64Array.of(1, 2, 3),
  };
  const [column, spring, brace] = [parts.columns[0]!, parts.springs[0]!, parts.braces[0]!];
  const other = (change: Partial<typeof column>): Partial<IslandParts> => ({ columns: [{ ...column, ...change }] });
  test.each([
    ['more unknowns', { size: 4 }],
    ['a wider band', { width: 1 }],
    ['places in the band', other({ at: [0, 2, 1] })],
    ['a height', other({ nodes: [{ z: 3, down: 10 }, column.nodes[1]!] })],
    ['a weight', other({ nodes: [{ z: 2, down: 11 }, column.nodes[1]!] })],
    ['how stiff', other({ stiffness: 2 * EI })],
    ['which node turns', other({ turned: [0] })],
    ['whether it stands', other({ canStand: true })],
    ['whether a rail is fixed to it', other({ railed: true })],
    ['where it rides', other({ rides: [{ at: 0, value: 0.5 }] })],
    ['that it rides', other({ rides: null })],
    ['a spring', { springs: [{ ...spring, stiffness: 6 }] }],
    ['where a spring is', { springs: [{ ...spring, terms: [{ at: 1, value: 1 }] }] }],
    ['how a spring is moved', { springs: [{ ...spring, terms: [{ at: 0, value: -1 }] }] }],
    ['a brace', { braces: [{ ...brace, stiffness: 8 }] }],
    ['a brace that pushes', { braces: [{ ...brace, pullsOnly: false }] }],
    ['where a brace is', { braces: [{ ...brace, terms: [{ at: 2, value: 1 }] }] }],
    ['its own stiffness', { soil: Float64Array.of(1, 2, 4) }],
  ] satisfies [string, Partial<IslandParts>][])('%s', (_, change) => expect(numbersOf({ ...parts, ...change }, false)).not.toEqual(numbersOf(parts, false)));
  test('and whether its far multiple is wanted', () => expect(numbersOf(parts, true)).not.toEqual(numbersOf(parts, false)));
  test('but the same is the same', () =>
    expect(numbersOf(structuredClone({ ...parts, columns: [{ ...column, block: undefined }] }) as never, false)).toEqual(numbersOf(parts, false)));
});
