import { demoPlan } from '../../../tests/demo-plan';
import type { Plan } from '../document/schema';
import { settle } from './settle';

const noted = (plan: Plan, at: number, note: string | undefined): Plan => ({
  ...plan,
  moves: plan.moves.map((move, i) => (i !== at ? move : note === undefined ? (({ note: _, ...rest }) => rest as typeof move)(move) : { ...move, note })),
});

describe('a move and its note', () => {
  test('another note, a first one or none at all makes no other move; anything else does', () => {
    const plan = demoPlan();
    const before = settle(plan);
    for (const note of ['slowly', 'very slowly', undefined])
      expect(settle(noted(plan, 3, note)).moves.map((one, i) => one === before.moves[i])).not.toContain(false);
    const other = { ...plan, moves: plan.moves.map((move, i) => (i === 3 ? { ...plan.moves[4]!, id: move.id } : move)) };
    expect(
      settle(other)
        .moves.map((one, i) => one === before.moves[i])
        .indexOf(false),
    ).toBe(3);
  });

  test('nothing settled has a note, and the drawn plan keeps its own', () => {
    const plan = noted(demoPlan(), 2, 'mind the kerb');
    expect(settle(plan).moves.filter((move) => 'note' in move)).toEqual([]);
    expect(plan.moves[2]!.note).toBe('mind the kerb');
  });

  test('the same plan settles to the same thing', () => {
    const plan = demoPlan();
    expect(settle(plan)).toBe(settle(plan));
    expect(settle({ ...plan }).moves).toBe(settle(plan).moves);
  });
});
