import { asLine, lineIn } from '../../../../tests/of-plan';
import { ticketHall } from '../../../../tests/demo-plan';
import { evaluate } from '../../evaluate';
import { holdsAsked } from '../../document/holds';
import { moveWords } from '../../settle/move-words';
import { openPlan } from '../../document/open';
import { replay } from '../../replay/replay';
import type { Plan } from '../../document/schema';
import { shoreState } from '../../replay/shore-state';
import { shoringMoves } from '../../edit/shoring-moves';
import { standing } from '../../replay/standing';
import { strikeGroups } from '../../document/strike-groups';
import { applyCommand } from '../../edit/apply';

const edited = (edit: (plan: Plan) => unknown): Plan => {
  const plan = ticketHall();
  edit(plan);
  const opened = openPlan(plan);
  if (!opened.ok) throw new Error(`${opened.faults[0]?.path}: ${opened.faults[0]?.error}`);
  return opened.plan;
};
const orderStops = (plan: Plan) =>
  evaluate(plan)
    .checks.filter((check) => check.id === 'move.order' && check.verdict === 'stop')
    .map((check) => check.move);
const moveOf = (plan: Plan, kind: string) => plan.moves.find((move) => move.kind === kind)!;
const at = (plan: Plan, n: number) => replay(plan).steps[n]?.after ?? replay(plan).before;
const swap = (plan: Plan, a: string, b: string) => {
  const [i, j] = [a, b].map((id) => plan.moves.findIndex((move) => move.id === id)) as [number, number];
  [plan.moves[i], plan.moves[j]] = [plan.moves[j]!, plan.moves[i]!];
};

describe('the run sheet of the shores', () => {
  test('seats, the hall, the storeys on it, the line, the piece, the strike', () =>
    expect(ticketHall().moves.map((move) => moveWords(ticketHall(), move).title)).toEqual([
      'A ready',
      'B ready',
      'Set Hall wall, left',
      'Set Hall wall, right',
      'Set Office wall, left',
      'Set Office wall, right',
      'Open the line',
      'Set TH1',
      ...[1, 2, 3, 4, 5, 6].map((n) => `Strike ${n}`),
    ]));
  test('it is made in one go, only what is lacking, and in a form that opens', () => {
    let n = 0;
    const fresh = () => `x${(n += 1)}`;
    const plan = ticketHall();
    expect(shoringMoves(plan, fresh)).toEqual([]);
    plan.moves = plan.moves.filter((move) => move.kind !== 'line.open' && move.id !== 'm1');
    expect(shoringMoves(plan, fresh).map((move) => move.kind)).toEqual(['bearing.ready', 'line.open']);
    plan.moves = [];
    const made = shoringMoves(plan, fresh);
    const next = applyCommand(plan, { name: 'addMoves', args: { moves: made, at: 0 } });
    if (!next.ok) throw new Error(next.faults[0]?.error);
    expect(next.plan.moves).toHaveLength(14);
  });
  test('in that order nothing is out of turn', () => expect(orderStops(ticketHall())).toEqual([]));
  test.each([
    ['the line opened before a wall stands', 'm6', 'm7', ['m7']],
    ['the piece set before the line is open', 'm7', 'm8', ['m8']],
    ['the piece set on a seat that is not ready', 'm2', 'm8', ['m8']],
    ['a strike before the one before it', 'm10', 'm11', ['m11']],
    ['a strike before the piece is in', 'm8', 'm9', ['m9']],
  ])('%s is a stop at that move', (_, a, b, stops) => {
    const plan = edited((p) => swap(p, a, b));
    expect(orderStops(plan)).toEqual(expect.arrayContaining(stops));
  });
  test('a shore taken away takes its moves with it', () => {
    const next = applyCommand(ticketHall(), { name: 'removeFrom', args: { list: 'shoreWalls', id: 'sh4' } });
    if (!next.ok) throw new Error(next.faults[0]?.error);
    expect(next.plan.moves.some((move) => move.kind === 'shore.set' && move.shore === 'sh4')).toBe(false);
    expect(next.plan.moves.some((move) => move.kind === 'shore.strike' && move.step === 'sk0b')).toBe(false);
  });
  test('a move that names no shore, no step or no opening is refused with its place', () => {
    for (const [edit, path] of [
      [(p: Plan) => Object.assign(p.moves[2]!, { shore: 'nobody' }), 'moves[2].shore'],
      [(p: Plan) => Object.assign(p.moves[8]!, { step: 'nobody' }), 'moves[8].step'],
      [(p: Plan) => Object.assign(p.moves[7]!, { opening: 'nobody' }), 'moves[7].opening'],
    ] as const) {
      const plan = ticketHall();
      edit(plan);
      const opened = openPlan(plan);
      expect(opened.ok ? null : opened.faults[0]?.path).toBe(path);
    }
  });
});

describe('the moment', () => {
  const plan = ticketHall();
  test.each([
    [-1, { open: false, struck: 0 }, 0],
    [3, { open: false, struck: 0 }, 2],
    [6, { open: true, struck: 0 }, 4],
    [10, { open: true, struck: 3 }, 4],
    [13, { open: true, struck: 6 }, 4],
  ])('after move %d', (n, expected, set) => {
    const state = shoreState(asLine(plan), at(plan, n));
    expect(state).toMatchObject(expected);
    expect(state.set!.size).toBe(set);
  });
  test('a run sheet that does not name the shores leaves them carrying: the state that matters', () => {
    const bare = edited((p) => (p.moves = []));
    expect(shoreState(asLine(bare), at(bare, -1))).toEqual({ set: null, open: true, struck: 0 });
  });
  test('told in one line, shores struck no longer among those that stand', () => {
    const say = (n: number) => standing(plan, at(plan, n), evaluate(plan).checks);
    expect(say(-1)).toMatch(/0 of 4 shores stand/);
    expect(say(6)).toMatch(/4 of 4 shores stand · line open · TH1 not in yet/);
    expect(say(8)).toMatch(/2 of 4 shores stand · line open · TH1 in · 1 of 6 struck/);
  });
  test('steps that go together are one', () => {
    expect(strikeGroups(lineIn(plan))).toHaveLength(6);
    expect(strikeGroups(lineIn(plan))[1]!.name).toBe('Hall wall, left 1, 10 and Hall wall, right 1, 10');
  });
});

describe('checks stand at their moves', () => {
  const { checks } = evaluate(ticketHall());
  const move = (id: string, subject: string) => checks.find((check) => check.id === id && check.subject === subject)?.move;
  test.each([
    ['shore.stud', 'Hall wall, left', 'm7'],
    ['shore.strike', 'step 1', 'm9'],
    ['shore.strike', 'step 6', 'm14'],
    ['shore.sag', 'Strike', 'm14'],
    ['hold.HP9', 'HP9', 'm7'],
    ['hold.HP13', 'HP13', 'm8'],
    ['hold.HP26', 'HP26', 'm9'],
    ['hold.HP7', 'HP7', 'm1'],
    ['hold.HP0', 'HP0', 'm1'],
  ])('%s of %s at %s', (id, subject, expected) => expect(move(id, subject)).toBe(expected));
});

describe('hold points', () => {
  test('each says which move waits for it', () => {
    const plan = edited((p) => (p.holds = []));
    const { checks } = evaluate(plan);
    const open = checks.filter((check) => check.id.startsWith('hold.'));
    expect(open.every((check) => check.verdict === 'missing')).toBe(true);
    const words = open.map((check) => (check.finding.code === 'missing' ? check.finding.question : ''));
    expect(words.find((one) => one.startsWith('HP12'))).toMatch(/Move 7, Open the line, waits for it/);
  });
  test('what stands open at a move is what waits there or before it', () => {
    const plan = edited((p) => (p.holds = p.holds.filter((one) => one.id !== 'HP9')));
    const waits = evaluate(plan).checks.filter((check) => check.id.startsWith('hold.') && check.verdict === 'missing');
    expect(waits.map((check) => [check.about.id, check.move])).toEqual([
      ['HP6', moveOf(plan, 'member.set').id],
      ['HP9', moveOf(plan, 'line.open').id],
      ['HP12', moveOf(plan, 'line.open').id],
      ['HP13', moveOf(plan, 'member.set').id],
      ['HP26', 'm9'],
    ]);
  });
  test('with no run sheet nothing waits, and they are still asked', () => {
    const plan = edited((p) => ((p.moves = []), (p.holds = [])));
    for (const { waits } of holdsAsked(plan)) expect(waits).toBeNull();
    expect(evaluate(plan).checks.filter((check) => check.id.startsWith('hold.') && check.verdict === 'missing')).toHaveLength(15);
  });
});
