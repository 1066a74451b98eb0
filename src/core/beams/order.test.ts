import fc from 'fast-check';
import { bandOrder } from './order';

const chain = (order: readonly number[]): number[][] => order.slice(1).map((one, i) => [order[i]!, one]);

test('a chain numbered any way takes a band of one', () => {
  expect(bandOrder(6, chain([3, 0, 5, 1, 4, 2]))).toMatchObject({ isles: [{ size: 6, width: 1 }] });
});

test('a grid numbered along its long side takes a band of its short one', () => {
  const [long, short] = [30, 4];
  const at = (i: number, j: number) => j * long + i;
  const groups: number[][] = [];
  for (let i = 0; i < long; i += 1)
    for (let j = 0; j < short; j += 1) {
      if (i > 0) groups.push([at(i - 1, j), at(i, j)]);
      if (j > 0) groups.push([at(i, j - 1), at(i, j)]);
    }
  const { isles } = bandOrder(long * short, groups);
  expect(isles).toHaveLength(1);
  expect(isles[0]!.width).toBeLessThanOrEqual(short + 1);
});

test('what nothing couples makes islands of their own, each with places from nought', () => {
  const { isle, place, isles } = bandOrder(5, [[0, 2], [2, 4], [1]]);
  expect([...isle]).toEqual([0, 1, 0, 2, 0]);
  expect(isles).toEqual([
    { size: 3, width: 1 },
    { size: 1, width: 0 },
    { size: 1, width: 0 },
  ]);
  expect([place[1], place[3]]).toEqual([0, 0]);
});

test('whatever is coupled: one island each, every place once, and no entry outside its band', () =>
  fc.assert(
    fc.property(
      fc
        .integer({ min: 1, max: 25 })
        .chain((size) => fc.tuple(fc.constant(size), fc.array(fc.uniqueArray(fc.nat(size - 1), { maxLength: 4 }), { maxLength: 30 }))),
      ([size, groups]) => {
        const { isle, place, isles } = bandOrder(size, groups);
        for (const group of groups)
          for (const a of group)
            for (const b of group) {
              expect(isle[a]).toBe(isle[b]);
              expect(Math.abs(place[a]! - place[b]!)).toBeLessThanOrEqual(isles[isle[a]!]!.width);
            }
        isles.forEach((one, n) => {
          const own = [...place].filter((_, i) => isle[i] === n).sort((a, b) => a - b);
          expect(own).toEqual(Array.from({ length: one.size }, (_, i) => i));
        });
        // Two that share an island hang together by groups: as many islands as trees of a forest.
        const root = Array.from({ length: size }, (_, i) => i);
        const find = (i: number): number => (root[i] === i ? i : find(root[i]!));
        for (const group of groups) for (const one of group) root[find(one)] = find(group[0]!);
        expect(isles).toHaveLength(new Set(root.map((_, i) => find(i))).size);
      },
    ),
  ));
