import { quayFootbridge } from '../../../tests/demo-plan';
import { evaluate } from '../evaluate';
import { hoodsOf } from '../replay/hoods';
import { pickTies } from './lookups';
import type { Pick, Plan } from './schema';

const TODAY = '2026-11-30';
const changed = (plan: Plan, changes: Partial<Pick>): Plan => ({ ...plan, picks: plan.picks.map((pick, n) => (n === 0 ? { ...pick, ...changes } : pick)) });
const second = { stand: 'w2', boom: 27, slingRating: 5000, riggingMass: 95 };

describe('what of a pick the run sheet goes by', () => {
  const plan = quayFootbridge();
  const [piece, other] = plan.structure.pieces;

  test('how it is rigged is none of it; what it lifts, with what and from where is', () => {
    const ties = pickTies(plan);
    for (const changes of [{ slingRating: 4321 }, { riggingMass: 12 }, { boom: 31 }, { liftOver: 2 }, { tags: { lines: 1, by: 'P. Novak' } }, { left: 1.2 }])
      expect(pickTies(changed(plan, changes))).toBe(ties);
    for (const changes of [{ stand: 'w2' }, { piece: other!.id }, { id: 'k9' }, { joined: [other!.id] }, { second }]) {
      const before = pickTies(plan);
      expect(pickTies(changed(plan, changes))).not.toBe(before);
    }
    const two = pickTies(changed(plan, { second }));
    expect(pickTies(changed(plan, { second: { ...second, boom: 30 } }))).toBe(two);
    expect(pickTies(changed(plan, { second: { ...second, stand: 'w1' } }))).not.toBe(two);
  });

  test('where its hooks hold a piece is another surrounding of that piece, and of no other', () => {
    const before = hoodsOf(plan);
    const [first] = plan.picks;
    for (const changes of [{ left: first!.left + 0.3 }, { right: first!.right + 0.3 }, { turned: { top: 1, tail: 1, sling: 3 } }, { joined: [] }]) {
      const after = hoodsOf(changed(plan, changes));
      expect(plan.structure.pieces.filter(({ id }) => after.get(id) !== before.get(id)).map(({ id }) => id)).toEqual([first!.piece]);
      hoodsOf(plan);
    }
    const rigged = hoodsOf(plan);
    expect(hoodsOf(changed(plan, { slingRating: 4321 })).get(first!.piece)).toBe(rigged.get(first!.piece));
  });

  test('from another stand, by another pick or with another piece, the run sheet stands as in a plan seen for the first time', () => {
    const order = (of: Plan) => evaluate(of, TODAY).checks.filter(({ id }) => /^move\.|inTheWay$/.test(id));
    expect(piece).toBeDefined();
    order(plan);
    for (const changes of [{ stand: 'w2' }, { joined: [other!.id] }, { second }, { second: { ...second, stand: 'w1' } }, { piece: other!.id }]) {
      const next = changed(plan, changes);
      expect(order(next)).toEqual(order(structuredClone(next)));
      order(plan);
    }
  });
});
