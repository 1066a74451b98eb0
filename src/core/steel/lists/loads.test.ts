import fc from 'fast-check';
import { fewestLoads } from '../../../../tests/fewest-loads';
import { keepsOrder, leastLoads, loadsFrom, loadsInOrder, loadsModel, tooBig, type LoadPiece, type Lorry } from './loads';

const lorry: Lorry = { deckLength: 6, deckWidth: 2, mass: 1000, layers: 2 };
const piece = (name: string, mass: number, order: number, length = 3, width = 0.2): LoadPiece => ({ name, length, width, mass, order });
const pieces = (most: number) =>
  fc
    .array(
      fc.record({
        mass: fc.integer({ min: 50, max: 900 }),
        order: fc.integer({ min: 0, max: 3 }),
        length: fc.integer({ min: 1, max: 7 }),
        width: fc.constantFrom(0.2, 0.8, 1.6),
      }),
      { minLength: 1, maxLength: most },
    )
    .map((list) => list.map(({ mass, order, length, width }, i) => piece(`P${i}`, mass, order, length, width)));
const long: Lorry = { ...lorry, overhang: 1 };

describe('filled in order', () => {
  test('whatever the pieces: each on one lorry, nothing over weight or deck, nothing needed sooner on a later one', () =>
    fc.assert(
      fc.property(pieces(25), (list) => {
        const { loads, least } = loadsInOrder(list, long);
        expect(loads.flatMap((load) => load.pieces.map((one) => one.name)).sort()).toEqual(list.map((one) => one.name).sort());
        expect(keepsOrder(loads)).toBe(true);
        for (const load of loads) {
          expect(load.mass).toBeLessThanOrEqual(1000 + 1e-9);
          expect(load.deck).toBeLessThanOrEqual(1 + 1e-9);
        }
        expect(loads.length).toBeGreaterThanOrEqual(least);
      }),
    ));
  test('never fewer than there can be, and the bound never more than that', () =>
    fc.assert(
      fc.property(pieces(6), (list) => {
        const fewest = fewestLoads(list, long);
        expect(loadsInOrder(list, long).loads.length).toBeGreaterThanOrEqual(fewest);
        expect(leastLoads(list, long)).toBeLessThanOrEqual(fewest);
      }),
      { numRuns: 60 },
    ));
  test('in a load what is needed first lies on top: put on last', () => {
    const { loads } = loadsInOrder([piece('A', 100, 1), piece('B', 300, 2), piece('C', 100, 2)], lorry);
    expect(loads.map((load) => load.pieces.map((one) => one.name))).toEqual([['B', 'C', 'A']]);
  });
  test('no pieces, no loads', () => expect(loadsInOrder([], lorry)).toEqual({ loads: [], least: 0, how: 'in order' }));
});

describe('past the end of the deck', () => {
  test('a piece no longer than deck and overhang together goes on; a longer, wider or heavier one does not', () => {
    const list = [piece('fits', 100, 1, 7), piece('long', 100, 1, 7.01), piece('wide', 100, 1, 3, 2.1), piece('heavy', 1001, 1)];
    expect(tooBig(list, long).map((one) => one.name)).toEqual(['long', 'wide', 'heavy']);
    expect(tooBig(list, lorry).map((one) => one.name)).toEqual(['fits', 'long', 'wide', 'heavy']);
  });
  test('what stands past it takes none of the deck', () => {
    const [load] = loadsInOrder([piece('A', 100, 1, 7, 1)], long).loads;
    expect(load!.deck).toBeCloseTo(6 / (6 * 2 * 2), 9);
  });
});

describe('what a solver says is looked over', () => {
  const list = [piece('A', 400, 1), piece('B', 700, 2)];
  const chosen = (where: Record<string, number>) => loadsFrom(list, lorry, 2, (name) => where[name] ?? 0);
  test('a right answer is taken', () => expect(chosen({ x0_0: 1, x1_1: 1 })).toMatchObject({ how: 'solver', loads: [{ mass: 400 }, { mass: 700 }] }));
  test.each([
    ['a piece on no lorry', { x0_0: 1 }],
    ['one over its weight', { x0_0: 1, x1_0: 1 }],
    ['the later piece on the earlier lorry', { x0_1: 1, x1_0: 1 }],
  ])('%s is not', (_, where) => expect(chosen(where)).toBeNull());
});

test('the programme has each piece once, each lorry’s weight and deck, and the order between every two of different turns', () => {
  const text = loadsModel([piece('A', 400, 1), piece('B', 700, 2), piece('C', 50, 2)], lorry, 3);
  expect(text.match(/^ once\d+:/gm)).toHaveLength(3);
  expect(text.match(/^ mass\d+:/gm)).toHaveLength(3);
  expect(text.match(/^ deck\d+:/gm)).toHaveLength(3);
  // A before B and A before C, at the end of each lorry but the last.
  expect(text.match(/^ o\d+_\d+_\d+:/gm)).toHaveLength(4);
  expect(text).toContain('400.000000 x0_0 + 700.000000 x1_0 + 50.000000 x2_0 - 1000.000000 y0 <= 0');
});
