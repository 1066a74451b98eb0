import fc from 'fast-check';
import type { CoverSet } from '@/core/checks/map/fewest-stands';
import { fewestStands } from './cover';

const set = (lifts: number[], worst = 0.5): CoverSet => ({ lifts, worst });

test('where in turn takes three, two are found; of two ways with as many, the one farther from its limits', async () => {
  expect(await fewestStands([set([1, 2, 3, 4]), set([0, 1, 2]), set([3, 4, 5])])).toEqual({ chosen: [1, 2], least: 2, how: 'solver' });
  const either = [set([0, 1], 0.9), set([2, 3], 0.9), set([0, 2], 0.3), set([1, 3], 0.4)];
  expect((await fewestStands(either)).chosen).toEqual([2, 3]);
});

/** The fewest by trying all. */
function fewest(sets: readonly CoverSet[]): number {
  const all = new Set(sets.flatMap(({ lifts }) => lifts));
  let best = sets.length;
  for (let mask = 0; mask < 2 ** sets.length; mask += 1) {
    const chosen = sets.filter((_, i) => (mask >> i) % 2 === 1);
    if (chosen.length < best && new Set(chosen.flatMap(({ lifts }) => lifts)).size === all.size) best = chosen.length;
  }
  return best;
}

test('never more than trying all of them finds', async () => {
  const sets = fc.array(
    fc.record({ lifts: fc.uniqueArray(fc.integer({ min: 0, max: 7 }), { minLength: 1, maxLength: 4 }), worst: fc.double({ min: 0, max: 0.99, noNaN: true }) }),
    { minLength: 2, maxLength: 9 },
  );
  await fc.assert(
    fc.asyncProperty(sets, async (list) => {
      const { chosen, least } = await fewestStands(list);
      expect(new Set(chosen.flatMap((i) => list[i]!.lifts))).toEqual(new Set(list.flatMap(({ lifts }) => lifts)));
      expect(chosen.length).toBe(fewest(list));
      expect(least).toBeLessThanOrEqual(chosen.length);
    }),
    { numRuns: 60 },
  );
});
