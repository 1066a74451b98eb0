import { quayFootbridge } from '../../../../tests/demo-plan';
import { evaluateWhole } from '../../evaluate';
import { Carried } from './carried';

test('after each move it is what a fresh look says, and the move that sets a girder is counted with it', () => {
  const plan = quayFootbridge();
  const { evaluation, structure } = evaluateWhole(plan, '2026-11-28');
  const { steps } = evaluation.replay;
  const inTurn = new Carried(plan.structure.supports, structure.changes);
  const sums = steps.map(({ after }, i) => {
    const carried = inTurn.after(i, after.structure);
    expect(carried).toEqual(new Carried(plan.structure.supports, structure.changes).after(i, after.structure));
    return [...carried.values()].reduce((sum, one) => sum + one, 0);
  });
  // When the hook lets go of the first girder all of it stands on its supports, by that very move.
  const go = steps.findIndex(({ move }) => move.kind === 'piece.letGo');
  expect(sums[go]! - sums[go - 1]!).toBeGreaterThan(20e3);
});
