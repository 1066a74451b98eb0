import { bare, moves, support } from '../../../../tests/spliced-girder';
import { rulesOf } from '../../rules/rule-sets';
import type { Move, Pick, Plan } from '../../document/schema';
import { forcesOf } from './forces';
import { hoodsOf } from '../../replay/hoods';
import { settleBeams } from '../../settle/model';
import { kindOf } from '../../replay/moves';
import { firstMoment } from '../../replay/now';

/** HEB 300, 10 m, on seats at its two ends, eased off to `keeps` and then let go. */
function eased(keeps: number, pick: Partial<Pick> | null): Plan {
  const plan = bare();
  const made = { kind: 'section' as const, section: 'HEB 300' };
  plan.structure = {
    makes: [{ id: 'm', mark: 'B1', made, length: 10, grade: 'S355', yield: null, mass: null, allowance: null, attachments: [] }],
    pieces: [{ id: 'a', mark: 'B1', make: 'm', weighed: null, from: { x: 0, y: 0, z: 5 }, to: { x: 10, y: 0, z: 5 } }],
    supports: [support('A', 'Pier 1', 'a', 0), support('B', 'Pier 2', 'a', 10)],
    joints: [],
    braces: [],
    loads: [],
  };
  if (pick) plan.picks = [{ id: 'k', piece: 'a', left: 2, right: 2, ...pick } as Pick];
  plan.moves = moves(
    { kind: 'support.ready', support: 'A' },
    { kind: 'support.ready', support: 'B' },
    { kind: 'piece.hang', beam: 'a', by: 'crane', ...(pick ? { pick: 'k' } : {}) },
    { kind: 'piece.letGo', beam: 'a', keeps },
  );
  return plan;
}
function answer(plan: Plan) {
  const rules = rulesOf('eu-ls', {});
  let now = firstMoment(plan);
  const moments = plan.moves.map((move: Move) => (now = kindOf(move).after(plan, move, now)).structure);
  const last = forcesOf(plan, settleBeams(plan as never, rules), moments, rules).changes.at(-1)!.lines[0]!.answers!.plain;
  if (!last.stable) throw new Error('it stands');
  return { ...last, sum: [...last.reactions.values()].reduce((a, b) => a + b, 0) };
}

test('a hook that eases off pulls at the two pick points: their arms, not the middle, relieve the piece', () => {
  const free = answer(eased(0, {}));
  const kept = answer(eased(6000, {}));
  expect(free.sum - kept.sum).toBeCloseTo(6000, 6);
  // wL²/8 less 3 kN at 2 m from each end.
  expect(free.sagging - kept.sagging).toBeCloseTo(6000, 3);
  // Over the balance point it bends most where the seat’s reaction is used up: R²/2w.
  const [reaction, perLength] = [(free.sum - 6000) / 2, free.sum / 10];
  expect(answer(eased(6000, null)).sagging).toBeCloseTo(reaction ** 2 / (2 * perLength), 3);
});

test('slung askew, each point pulls its share about the balance point', () => {
  const free = answer(eased(0, {}));
  // Points at 1 m and 7 m, balance at 5 m: a third and two thirds, so each seat is relieved alike.
  const kept = answer(eased(6000, { left: 1, right: 3 }));
  for (const id of ['A/0', 'B/0']) expect(free.reactions.get(id)! - kept.reactions.get(id)!).toBeCloseTo(3000, 6);
  // Both points on one side of the balance point say nothing: it pulls over the balance point.
  expect(answer(eased(6000, { left: 6, right: 1 })).sagging).toBeCloseTo(answer(eased(6000, null)).sagging, 6);
});

test('a pick that moves makes other surroundings, one that only weighs otherwise makes none', () => {
  const plan = eased(6000, {});
  const hood = (picks: Pick[]) => hoodsOf({ ...plan, picks }).get('a')!;
  const before = hood(plan.picks);
  expect(hood([{ ...plan.picks[0]!, left: 2.5 }]).forces).not.toBe(before.forces);
  const again = hood(plan.picks);
  expect(hood([{ ...plan.picks[0]!, riggingMass: 77 }]).forces).toBe(again.forces);
});
