import { evaluated } from '../../../../tests/evaluated';
import { demoPlan, passengerCanopy, quayFootbridge } from '../../../../tests/demo-plan';
import { dateBy, dayAt, dayName, workDays } from '../../document/work-days';
import { openPlan } from '../../document/open';
import type { Move, Plan } from '../../document/schema';
import { possibleMoves } from '../../edit/move-offers';
import { fixesOf } from '../../edit/fixes';
import { evaluateWhole } from '../../evaluate';
import { moveWords } from '../../settle/move-words';
import { describe as say } from '../../verdict/describe';

const TODAY = '2026-12-01';
const end = (id: string, on: string | null = null): Move => ({ id, kind: 'day.end', on });
/** A plan with a day that ends after each of these moves. */
function ending(plan: Plan, ...ends: [after: string, on?: string | null][]): Plan {
  const after = new Map(ends.map(([move, on], n) => [move, end(`d${n + 1}`, on ?? null)]));
  const opened = openPlan({ ...plan, moves: plan.moves.flatMap((move) => [move, ...[after.get(move.id)].flatMap((one) => one ?? [])]) });
  if (!opened.ok) throw new Error(opened.faults[0]?.error);
  return opened.plan;
}
const rows = (plan: Plan, id: string) => evaluated(plan, TODAY).checks.filter((check) => check.id === id);
const told = (plan: Plan, id: string) => rows(plan, id).map((check) => `${check.verdict}: ${say(check, 'metric').replace(/[\u00a0\u202f]/g, ' ')}`);

describe('the days of a run sheet', () => {
  const plan = ending(quayFootbridge(), ['c1l', '2026-12-01'], ['c2l', null]);
  test('each with its moves and its number; what comes after the last that ends is a day too', () => {
    const [first, second, third, ...more] = workDays(plan.moves);
    expect(more).toEqual([]);
    expect([first, second, third].map((day) => [day!.number, day!.end?.id ?? null])).toEqual([
      [1, 'd1'],
      [2, 'd2'],
      [3, null],
    ]);
    expect([first!.from, second!.from, third!.to]).toEqual([0, first!.to, plan.moves.length]);
    expect(plan.moves[first!.to - 1]!.id).toBe('d1');
    expect(dayAt(workDays(plan.moves), first!.to)).toBe(second);
    expect([first, second].map((day) => dayName(day!))).toEqual(['Day 1 · 1 Dec 2026', 'Day 2']);
  });
  test('with no end of a day there are none, and an end as the last move leaves no empty day', () => {
    expect(workDays(quayFootbridge().moves)).toEqual([]);
    expect(workDays([...quayFootbridge().moves, end('x')])).toHaveLength(1);
  });
  test('the date a move comes by is that of its own day, or of the last dated one before', () => {
    const at = (id: string) =>
      dateBy(
        plan.moves,
        plan.moves.findIndex((move) => move.id === id),
      );
    expect([at('m1'), at('d1'), at('m13'), dateBy(plan.moves, Infinity), dateBy(quayFootbridge().moves, 3)]).toEqual([
      '2026-12-01',
      '2026-12-01',
      '2026-12-01',
      '2026-12-01',
      null,
    ]);
  });
  test('in words', () => {
    expect(
      moveWords(
        plan,
        plan.moves.find(({ id }) => id === 'd1')!,
      ),
    ).toEqual({ title: 'End of day 1', about: '1 Dec 2026' });
    expect(possibleMoves(plan).filter(({ kind }) => kind === 'day.end')).toEqual([{ id: '', kind: 'day.end', on: null }]);
    expect(moveWords(plan, end('')).title).toBe('End of the day');
  });
});

test('a day put before another is told with its new number', () => {
  const plan = ending(quayFootbridge(), ['c2l']);
  const titles = (of: Plan) =>
    evaluated(of, TODAY)
      .checks.filter(({ id, move }) => id === 'move.order' && move === 'd1')
      .map(({ subject }) => subject);
  expect(titles(plan)).toEqual(['End of day 1']);
  const at = plan.moves.findIndex(({ id }) => id === 'c1l');
  expect(titles({ ...plan, moves: [...plan.moves.slice(0, at + 1), end('d0'), ...plan.moves.slice(at + 1)] })).toEqual(['End of day 2']);
});

describe('nothing hangs through the night', () => {
  const order = (plan: Plan, id = 'd1') => rows(plan, 'move.order').filter(({ move }) => move === id);
  test('a day that ends with nothing on a hook is clear', () => {
    expect(order(ending(quayFootbridge(), ['c1l'])).map(({ verdict }) => verdict)).toEqual(['clear']);
  });
  test('a piece on the hook is a stop, with the clause; letting it go mends it', () => {
    const plan = ending(quayFootbridge(), ['m9']);
    const [stop] = order(plan);
    expect(stop!.verdict).toBe('stop');
    expect(say(stop!, 'metric')).toMatch(/the hook has let go of G2a before the night: no load is left on a hook \(29 CFR 1926\.1417\(e\)\)/);
    const fixes = fixesOf(plan, evaluateWhole(plan, TODAY), stop!, TODAY);
    expect(fixes.length).toBeGreaterThan(0);
  });
  test('a piece that is set and still pulled by its hook is one as well', () => {
    const plan = quayFootbridge();
    for (const move of plan.moves) if (move.kind === 'piece.letGo' && move.beam === 'g1a') move.keeps = 2000;
    expect(order(ending(plan, ['m8'])).map(({ verdict }) => verdict)).toEqual(['stop']);
  });
  test('so is one on bearings until its hook lets go', () => {
    const { moves } = demoPlan();
    const at = (kind: Move['kind']) => moves.find((move) => move.kind === kind)!.id;
    const verdict = (kind: Move['kind']) => order(ending(demoPlan(), [at(kind)])).map((row) => row.verdict);
    expect([verdict('piece.deliver'), verdict('pick.lift'), verdict('piece.land'), verdict('hook.release')]).toEqual([
      ['clear'],
      ['stop'],
      ['stop'],
      ['clear'],
    ]);
  });
});

describe('the dates of days', () => {
  const of = (...on: (string | null)[]) =>
    told(ending(quayFootbridge(), ...(['m6', 'c1l', 'c2l'] as const).map((id, n): [string, string | null] => [id, on[n] ?? null])), 'day.date');
  test('none is asked while no day has one', () => expect(of(null, null, null)).toEqual([]));
  test('one after the other they are clear', () => {
    expect(of('2026-11-30', '2026-12-01', '2026-12-04')).toEqual([
      'clear: Day 1 ends on 30 Nov 2026.',
      'clear: Day 2 ends on 1 Dec 2026.',
      'clear: Day 3 ends on 4 Dec 2026.',
    ]);
  });
  test('once one is dated the others are asked', () => {
    expect(of(null, '2026-12-01', null).map((row) => row.slice(0, 50))).toEqual([
      'missing: On which date does day 1 end? Other days ',
      'clear: Day 2 ends on 1 Dec 2026.',
      'missing: On which date does day 3 end? Other days ',
    ]);
  });
  test('the same day twice, or an earlier one, also with one between that is not dated', () => {
    expect(of('2026-12-01', '2026-12-01', '2026-12-02')[1]).toMatch(/^stop: Day 2 is said to end on 1 Dec 2026, and day 1 before it on 1 Dec 2026/);
    expect(of('2026-12-01', '2026-12-04', '2026-12-02')[2]).toMatch(/^stop: Day 3 is said to end on 2 Dec 2026, and day 2 before it on 4 Dec 2026/);
    expect(of('2026-12-02', null, '2026-12-01')[2]).toMatch(/^stop: Day 3 is said to end on 1 Dec 2026, and day 1 before it on 2 Dec 2026/);
  });
  test('a day on which nothing is done is asked, dated or not others; one with its date is a day nobody works', () => {
    const twice = (...on: (string | null)[]) => {
      const plan = quayFootbridge();
      const at = plan.moves.findIndex(({ id }) => id === 'c1l');
      plan.moves.splice(at + 1, 0, ...on.map((one, n) => end(`d${n + 1}`, one)));
      return told(plan, 'day.date').map((row) => row.slice(0, 60));
    };
    expect(twice(null)).toEqual([]);
    expect(twice(null, null)).toEqual(['missing: Nothing is done on day 2 but that it ends. Is it a ']);
    expect(twice('2026-12-04', null)[1]).toBe('missing: Nothing is done on day 2 but that it ends. Is it a ');
    expect(twice('2026-12-04', '2026-12-05')).toEqual(['clear: Day 1 ends on 4 Dec 2026.', 'clear: Day 2 ends on 5 Dec 2026.']);
    const first = quayFootbridge();
    first.moves.unshift(end('d0'));
    expect(told(first, 'day.date')).toHaveLength(1);
  });
  test('what is no date is asked', () =>
    expect(of('2026-02-30', '2026-12-01', '2026-12-02')[0]).toMatch(/^missing: Day 1 is said to end on “2026-02-30”, which is no date/));
});

describe('gear that is inspected', () => {
  const inspected = (id: 'crane.inspected' | 'gear.inspected', leaves: string, last: string) =>
    told(ending(passengerCanopy(), ['mv67', leaves], ['mv97', last]), id);
  test('is good on the last day it is used', () => {
    expect(inspected('crane.inspected', '2026-12-01', '2026-12-02')).toEqual([expect.stringMatching(/^clear/)]);
    expect(inspected('gear.inspected', '2026-12-01', '2026-12-02')).toEqual([expect.stringMatching(/^clear/)]);
  });
  test('a stop where it runs out before that day, though it is good today', () => {
    expect(inspected('crane.inspected', '2026-12-01', '2030-01-08')).toEqual([
      expect.stringMatching(/^stop: Curlew 50 was last inspected on .* it runs out on .*, and is still used on 8 Jan 2030\. Inspect it again before that day/),
    ]);
    expect(inspected('gear.inspected', '2026-12-01', '2030-01-08')).toEqual([expect.stringMatching(/^stop: Sling set 2 .* still used on 8 Jan 2030/)]);
  });
  test('a crane that has left is not used on later days', () => {
    const plan = ending(quayFootbridge(), ['c1l', '2026-12-01'], ['c2l', '2026-12-02'], ['m23', '2031-03-03']);
    expect(told(plan, 'crane.inspected').every((row) => row.startsWith('clear'))).toBe(true);
  });
});
