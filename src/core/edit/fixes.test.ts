import { demoPlan, quayFootbridge, ticketHall } from '../../../tests/demo-plan';
import { girderLines } from '../../../tests/girder-lines';
import { applyCommand } from './apply';
import { keyOf, type Check } from '../verdict/check';
import { evaluateWhole } from '../evaluate';
import { fixesOf, type Fix } from './fixes';
import { reportWithFixes } from '../view/report';
import type { Plan } from '../document/schema';

const placeOf = (plan: Plan, id: string) => plan.moves.findIndex((move) => move.id === id);
/** The plan with one move taken elsewhere; null: taken out. */
function moved(plan: Plan, id: string, to: number | null): Plan {
  const [move] = plan.moves.splice(placeOf(plan, id), 1);
  if (to !== null) plan.moves.splice(to, 0, move!);
  return plan;
}
const rowOf = (plan: Plan, id: string, thing: string): { check: Check; fixes: Fix[] } => {
  const whole = evaluateWhole(plan, null);
  const check = whole.evaluation.checks.find((one) => one.id === id && one.about.id === thing && one.verdict !== 'clear');
  if (!check) throw new Error(`no ${id} of ${thing} is open`);
  return { check, fixes: fixesOf(plan, whole, check, null) };
};
const done = (plan: Plan, fix: Fix): Plan => {
  const changed = applyCommand(plan, fix.command);
  if (!changed.ok) throw new Error('refused');
  return changed.plan;
};
const open = (plan: Plan): string[] =>
  evaluateWhole(plan, null)
    .evaluation.checks.filter(({ verdict }) => verdict === 'stop' || verdict === 'missing')
    .map(keyOf)
    .sort();

describe('a move whose needs are not met', () => {
  test('what it needs comes late: it is put before it, and the plan is as it was', () => {
    const plan = moved(quayFootbridge(), 'm13', quayFootbridge().moves.length - 1);
    const { fixes } = rowOf(plan, 'move.order', 'm14');
    expect(fixes.map(({ words }) => words)).toContain('Put move 29, Hang G1b in place, before move 18');
    const mended = done(
      plan,
      fixes.find(({ words }) => words.startsWith('Put move 29'))!,
    );
    expect(placeOf(mended, 'm13')).toBe(placeOf(mended, 'm14') - 1);
    expect(rowsOfOrder(mended)).toEqual([]);
  });

  test('nobody does what it needs: it is added before it, under an id no move has', () => {
    const plan = moved(quayFootbridge(), 'c1s', null);
    const { fixes } = rowOf(plan, 'move.order', 'm7');
    expect(fixes).toHaveLength(1);
    const mended = done(plan, fixes.at(-1)!);
    expect(mended.moves[placeOf(mended, 'm7') - 1]).toMatchObject({ kind: 'crane.set', stand: 'w1' });
    expect(new Set(mended.moves.map(({ id }) => id)).size).toBe(mended.moves.length);
  });

  test('it is done a second time: it is taken out', () => {
    const plan = quayFootbridge();
    plan.moves.splice(placeOf(plan, 'm7') + 3, 0, { ...plan.moves[placeOf(plan, 'm7')]!, id: 'again' });
    const { fixes } = rowOf(plan, 'move.order', 'again');
    const out = fixes.find(({ command }) => command.name === 'removeMove')!;
    expect(out.command).toEqual({ name: 'removeMove', args: { id: 'again' } });
    expect(open(done(plan, out))).toEqual(open(quayFootbridge()));
  });

  test('of two things it needs each may be put right alone', () => {
    const plan = moved(moved(quayFootbridge(), 'm1', null), 'm2', null);
    const { check, fixes } = rowOf(plan, 'move.order', 'm7');
    expect(fixes.map(({ words }) => words)).toEqual([
      expect.stringMatching(/^Add “Pier 1, girder 1 ready” before move/),
      expect.stringMatching(/^Add “Bent, girder 1 ready” before move/),
    ]);
    for (const fix of fixes) expect(rowOf(done(plan, fix), 'move.order', 'm7').check.demand).toBe(check.demand);
  });

  test('what settles more comes first', () => {
    const plan = moved(quayFootbridge(), 'm22', placeOf(quayFootbridge(), 'm22') - 8);
    const { fixes } = rowOf(plan, 'move.order', 'm22');
    expect(fixes.map(({ words }) => words)).toEqual([
      'Put move 20, Strike Bent, girder 1, after move 27, Join Splice of girder 1',
      'Put move 27, Join Splice of girder 1, before move 20',
    ]);
    expect(fixes.map((fix) => stopsOf(done(plan, fix)))).toEqual([0, 1]);
  });

  test('what was done and undone before is done again, not put off', () => {
    const plan = quayFootbridge();
    plan.moves.push({ id: 'up', kind: 'support.level', support: 't-1', level: 5 });
    const { fixes } = rowOf(plan, 'move.order', 'up');
    expect(fixes.map(({ words }) => words)).toEqual(['Add “Bent, girder 1 ready” before move 30, Level Bent, girder 1']);
  });

  test('on bearings: the last pair as well as the first', () => {
    const plan = demoPlan();
    const tighten = plan.moves.find(({ kind }) => kind === 'piece.tighten')!;
    const broken = moved(plan, plan.moves.find(({ kind }) => kind === 'piece.plumb')!.id, plan.moves.length - 1);
    const { fixes } = rowOf(broken, 'move.order', tighten.id);
    expect(open(done(broken, fixes.at(0)!))).toEqual(open(demoPlan()));
  });
});

const stopsOf = (plan: Plan) => evaluateWhole(plan, null).evaluation.counts.stop;
const rowsOfOrder = (plan: Plan) => evaluateWhole(plan, null).evaluation.checks.filter(({ id, verdict }) => id === 'move.order' && verdict === 'stop');

describe('what the structure does not bear', () => {
  test('a bent struck before its splice is made: struck after it', () => {
    const plan = moved(quayFootbridge(), 'm22', placeOf(quayFootbridge(), 'm14'));
    const { check, fixes } = rowOf(plan, 'line.stands', 'g1a');
    expect(check.verdict).toBe('stop');
    expect(fixes.length).toBeGreaterThan(0);
    for (const fix of fixes) expect(open(done(plan, fix))).not.toContain(keyOf(check));
  });

  test('a pier nobody made ready holds no end: it is made ready before the hook goes', () => {
    const { fixes } = rowOf(moved(quayFootbridge(), 'm4', null), 'release.ends', 'g2a');
    expect(fixes.map(({ words }) => words)).toContainEqual(expect.stringMatching(/^Add “Pier 1, girder 2 ready” before move 13/));
  });

  test('no order of moves helps a bent that may carry too little', () => {
    const plan = quayFootbridge();
    plan.structure.supports.find((one) => one.id === 't-1')!.capacity = 5e3;
    expect(rowOf(plan, 'support.load', 't-1').fixes).toEqual([]);
  });
});

describe('what no move does', () => {
  test.each([
    ['m4', 'moves.support', 'p1-2'],
    ['m10', 'moves.brace', 'x1'],
    ['m22', 'moves.strike', 't-1'],
  ] as const)('%s left out', (id, row, thing) => {
    const plan = moved(quayFootbridge(), id, null);
    const { check, fixes } = rowOf(plan, row, thing);
    expect(fixes.length).toBeGreaterThan(0);
    for (const fix of fixes) {
      const mended = done(plan, fix);
      expect(mended.moves).toHaveLength(plan.moves.length + 1);
      expect(open(mended)).not.toContain(keyOf(check));
      expect(stopsOf(mended)).toBeLessThanOrEqual(stopsOf(plan));
    }
  });

  test('a splice nobody makes is made once both its pieces are there', () => {
    const plan = quayFootbridge();
    plan.moves = plan.moves.filter((move) => !(move.kind === 'joint.make' && move.joint === 's2'));
    const { check, fixes } = rowOf(plan, 'moves.joint', 's2');
    expect(fixes.length).toBeGreaterThan(0);
    for (const fix of fixes) expect(open(done(plan, fix))).not.toContain(keyOf(check));
  });

  test('a shore nobody sets, a strike nobody makes', () => {
    for (const kind of ['shore.set', 'shore.strike'] as const) {
      const plan = ticketHall();
      const last = plan.moves.findLast((move) => move.kind === kind)!;
      const broken = moved(plan, last.id, null);
      const { check, fixes } = rowOf(
        broken,
        kind === 'shore.set' ? 'moves.shore' : 'moves.strike',
        'shore' in last ? last.shore : 'step' in last ? last.step : '',
      );
      expect(fixes.length).toBeGreaterThan(0);
      for (const fix of fixes) expect(open(done(broken, fix))).not.toContain(keyOf(check));
    }
  });

  test('a piece with no moves at all gets all of them in their order', () => {
    const plan = demoPlan();
    const { piece } = plan.picks.at(-1)!;
    plan.moves = [];
    const { fixes } = rowOf(plan, 'moves.complete', piece);
    const mended = done(plan, fixes.at(0)!);
    expect(mended.moves.map(({ kind }) => kind)).toEqual([
      'bearing.ready',
      'bearing.ready',
      'crane.set',
      'piece.deliver',
      'piece.sling',
      'pick.trial',
      'pick.lift',
      'piece.land',
      'end.bolt',
      'end.bolt',
      'hook.release',
      'piece.plumb',
      'piece.tighten',
    ]);
    expect(new Set(mended.moves.map(({ id }) => id)).size).toBe(13);
  });
});

test('whatever is offered stops nothing that was not stopped, and what is clear is offered nothing', () => {
  const sound = quayFootbridge();
  for (let i = 0; i < sound.moves.length; i += 9) {
    const plan = moved(quayFootbridge(), sound.moves[i]!.id, (i * 7) % sound.moves.length);
    const whole = evaluateWhole(plan, null);
    for (const check of whole.evaluation.checks) {
      const fixes = check.station === 'runSheet' ? fixesOf(plan, whole, check, null) : [];
      if (check.verdict === 'clear' || check.verdict === 'tight') expect(fixes).toEqual([]);
      for (const fix of fixes) expect(evaluateWhole(done(plan, fix), null).evaluation.counts.stop).toBeLessThanOrEqual(whole.evaluation.counts.stop);
    }
  }
});

test('of a large plan fewer changes are tried, the likeliest among them', () => {
  const plan = girderLines(4, 6);
  const late = moved(plan, plan.moves.at(1)!.id, plan.moves.length - 1);
  const order = evaluateWhole(late, null).evaluation.checks.find(({ id, verdict }) => id === 'move.order' && verdict === 'stop')!;
  const { fixes } = rowOf(late, 'move.order', order.about.id);
  expect(fixes.at(0)!.words).toMatch(/^Put move \d+, .* before move \d+$/);
});

test('the report carries them where they were asked for', () => {
  const plan = moved(quayFootbridge(), 'm4', null);
  const { checks } = reportWithFixes(plan, null);
  const order = checks.find(({ id, verdict }) => id === 'move.order' && verdict === 'stop')!;
  expect(order.fixes!.at(0)!.command).toMatchObject({ name: 'addMove', args: { move: { kind: 'support.ready', support: 'p1-2' } } });
});
