import { linkSpan, quayFootbridge, ticketHall, vehicleRamp } from '../../../tests/demo-plan';
import { foldByDay, foldByPiece, movesByPiece, setsPiece } from './by-piece';
import { workDays } from '../document/work-days';
import type { Plan } from '../document/schema';

const folds = (plan: Plan) => {
  const of = movesByPiece(plan);
  const at = new Map(plan.moves.map((move, n) => [move.id, of[n]!]));
  return foldByPiece(plan.moves, (move) => at.get(move.id) ?? null).map(({ mark, items }) => [mark, items.map(({ id }) => id).join(' ')]);
};

test('girders: what joins two belongs to the later, what carries one to it, a crane to none', () => {
  expect(folds(quayFootbridge())).toEqual([
    ['G1a', 'm1 m2 t1 m7 m8 m22'],
    ['G1b', 'm3 t3 m13 m14 m15 m20'],
    ['G2a', 'm4 m5 m9 m10 m11 m12 m23'],
    ['G2b', 'm6 m16 m17 m18 m19 m21'],
    [null, 'c1s'],
    [null, 'c1l'],
    [null, 'c2s'],
    [null, 'c2l'],
  ]);
});
test('every move is in one fold, in its order; no fold has two pieces', () => {
  for (const plan of [vehicleRamp(), ticketHall(), linkSpan()]) {
    const of = movesByPiece(plan);
    expect(of).toHaveLength(plan.moves.length);
    const all = folds(plan).flatMap(([, ids]) => ids!.split(' '));
    expect([...all].sort()).toEqual(plan.moves.map(({ id }) => id).sort());
    for (const [, ids] of folds(plan)) {
      const places = ids!.split(' ').map((id) => plan.moves.findIndex((move) => move.id === id));
      expect(places).toEqual([...places].sort((a, b) => a - b));
    }
  }
  expect(folds(linkSpan()).some(([mark]) => mark === linkSpan().launches![0]!.name)).toBe(true);
});
test('a pier under two girders belongs to the one that is hung first', () => {
  const plan = quayFootbridge();
  plan.structure.supports[0]!.seats.unshift({ piece: 'g2a', at: 0.3 });
  expect(folds(plan)[0]).toEqual(['G1a', 'm1 m2 t1 m7 m8 m22']);
});
test('by bay all pieces of a bay are one fold, each piece once; what is in no bay keeps its own', () => {
  const plan = quayFootbridge();
  const of = movesByPiece(plan);
  const at = new Map(plan.moves.map((move, n) => [move.id, of[n]!]));
  const bay = { id: 'one', mark: 'Pier 1 – Bent' };
  const found = foldByPiece(
    plan.moves,
    (move) => at.get(move.id) ?? null,
    new Map([
      ['g1a', bay],
      ['g2a', bay],
    ]),
  );
  expect(found.slice(0, 3).map(({ mark, pieces, items }) => [mark, pieces, items.length])).toEqual([
    ['Pier 1 – Bent', ['g1a', 'g2a'], 13],
    ['G1b', ['g1b'], 6],
    ['G2b', ['g2b'], 6],
  ]);
});
test('by day everything of a day is one fold with the pieces it is done to; a day nothing is shown of has none', () => {
  const plan = quayFootbridge();
  const at = plan.moves.findIndex(({ id }) => id === 'c1l');
  plan.moves.splice(at + 1, 0, { id: 'd1', kind: 'day.end', on: '2026-12-01' });
  const of = movesByPiece(plan);
  const cards = plan.moves.map((move, n) => ({ id: move.id, number: n + 1, piece: of[n]!, sets: setsPiece(move) }));
  const fold = (shown: typeof cards) => foldByDay(shown, workDays(plan.moves));
  const [one, two, ...more] = fold(cards);
  expect(more).toEqual([]);
  expect([one!.mark, two!.mark]).toEqual(['Day 1 · 1 Dec 2026', 'Day 2']);
  expect(one!.items.map(({ id }) => id)).toEqual(plan.moves.slice(0, at + 2).map(({ id }) => id));
  expect(one!.items.length + two!.items.length).toBe(cards.length);
  // What a piece will rest on is made ready on another day than it comes.
  expect([one!.pieces, two!.pieces]).toEqual([
    ['g1a', 'g2a'],
    ['g1b', 'g2b'],
  ]);
  expect(fold(cards.slice(at + 2)).map(({ key }) => key)).toEqual(['day 2']);
});
