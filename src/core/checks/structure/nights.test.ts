import fc from 'fast-check';
import { quayFootbridge } from '../../../../tests/demo-plan';
import { square } from '../../../../tests/portal';
import { checksByMove, evaluate, evaluateWhole, type Whole } from '../../evaluate';
import { afresh } from '../../document/keep';
import { openPlan } from '../../document/open';
import type { Move, Plan } from '../../document/schema';
import type { Check } from '../../verdict/check';
import { nightsOf } from './nights';

const TODAY = '2026-11-30';
const night = (id: string): Move => ({ id, kind: 'day.end', on: null });
const made = (plan: Plan): Plan => {
  const opened = openPlan(plan);
  if (!opened.ok) throw new Error(opened.faults[0]?.error);
  return opened.plan;
};
/** The run sheet with days that end after these moves, by their places. */
const ending = (plan: Plan, ...after: number[]): Plan =>
  made({ ...plan, moves: plan.moves.flatMap((move, at) => (after.includes(at) ? [move, night(`night ${at}`)] : [move])) });
const windy = (plan: Plan, standing: number, forecast: number): Plan => ((plan.site.standingGust = standing), (plan.site.forecastGust = forecast), plan);
/** What the wind is asked about: each row by its key, without what a day that ends adds. */
const asked = (plan: Plan) =>
  new Map(
    evaluate(plan, TODAY)
      // What is passed anew each day is asked once for each.
      .checks.filter(({ id, about }) => about.kind !== 'move' && id !== 'hold.HP11' && id !== 'hold.HP14')
      .map((check) => [`${check.id} ${check.about.kind} ${check.about.id} ${check.about.part ?? ''}`, check] as const),
  );
const figures = (rows: ReadonlyMap<string, Check>) => [...rows].map(([key, { verdict, demand, capacity, move }]) => ({ key, verdict, demand, capacity, move }));

describe('what is judged in the wind of the shift', () => {
  const moves = ['a', 'ab', 'night', 'b', 'night', 'a', 'c'].map((what, n) =>
    what === 'night' ? night(String(n)) : ({ id: String(n), kind: 'other', what } as Move),
  );
  const of = (standing: number | null, forecast: number | null) => {
    const plan = { ...square(), moves };
    plan.site.standingGust = standing;
    plan.site.forecastGust = forecast;
    const { inShift, touched } = nightsOf(plan, (move) => (move.kind === 'other' ? [...move.what] : []));
    return { shift: [...inShift].map(({ id }) => id), touched: [...touched].map(([{ id }, pieces]) => `${id}: ${pieces.join(' ')}`) };
  };
  test('the moves of days that end; what they touched is judged when they do', () => {
    expect(of(20, 8)).toEqual({ shift: ['0', '1', '3'], touched: ['2: a b', '4: b'] });
    expect(of(null, 8).shift).toEqual(['0', '1', '3']);
  });
  test('a forecast no weaker than what may come, or none, spares nothing', () => {
    for (const [standing, forecast] of [
      [20, 20],
      [20, 25],
      [20, null],
      [20, 0],
      [null, null],
    ] as const)
      expect(of(standing, forecast)).toEqual({ shift: [], touched: [] });
  });
});

describe('a girder that stands alone until its neighbour is tied to it', () => {
  const bridge = () => windy(quayFootbridge(), 34, 9);
  const { moves } = bridge();
  const letGo = (beam: string) => moves.findIndex((move) => move.kind === 'piece.letGo' && move.beam === beam);
  const tied = (plan: Plan) => [...asked(plan)].filter(([key]) => key.startsWith('line.tied beam g1a')).map(([, check]) => check);
  const gustOf = ([row]: Check[]) => (row!.traces[0]!.input as { gust: number }).gust;
  test('over the night it stands in whatever wind may come', () => {
    const rows = tied(ending(bridge(), letGo('g1a')));
    expect(rows.map(({ verdict, move }) => [verdict, move])).toEqual([['missing', `night ${letGo('g1a')}`]]);
    expect(rows[0]!.source).not.toMatch(/forecast of the shift/);
    expect(gustOf(rows)).toBe(34);
  });
  test('with its neighbour tied to it before the day ends it stands in the wind of the shift, and says so', () => {
    const rows = tied(ending(bridge(), letGo('g2a')));
    expect(rows.map(({ verdict, move }) => [verdict, move])).toEqual([['clear', moves[letGo('g1a')]!.id]]);
    expect(gustOf(rows)).toBe(9);
    expect(rows[0]!.source).toMatch(/the forecast of the shift, as it is changed again before the day ends/);
  });
  test('with no day that ends nobody knows when it is braced', () => expect(gustOf(tied(bridge()))).toBe(34));
  test('with no forecast the gust that may come is taken all the same', () => {
    const plan = ending(bridge(), letGo('g2a'));
    plan.site.forecastGust = null;
    expect(gustOf(tied(made(plan)))).toBe(34);
  });
});

test('nights put on a girder and taken off it again, or found to touch it, say what they say anew', () => {
  const plan = made(windy(quayFootbridge(), 34, 9));
  const after = (id: string) => plan.moves.findIndex((move) => move.id === id);
  const [first, second] = [night('first'), night('second')];
  const put = (...at: number[]): Plan => ({
    ...plan,
    moves: plan.moves.flatMap((move, n) => [move, ...(n === at[0] ? [first] : []), ...(n === at[1] ? [second] : [])]),
  });
  // The second night comes before and after the girder is hung and let go: the same move then touches other pieces.
  const days = [plan, put(after('m6'), after('t1')), put(after('m6'), after('m8')), put(after('m12')), plan, put(after('m8')), put(after('m12')), plan];
  for (const next of days) expect(figures(asked(next))).toEqual(afresh(() => figures(asked(next))));
});

describe('columns that stand alone until they are guyed', () => {
  const frame = () => windy(square(), 26, 6);
  const { moves } = frame();
  const firstGuy = moves.findIndex(({ kind }) => kind === 'brace.fix');
  const lastGuy = moves.findLastIndex(({ kind }) => kind === 'brace.fix');
  const worst = (plan: Plan, id: string) => Math.max(...[...asked(plan).values()].filter((row) => row.id === id).map(({ demand }) => demand ?? Infinity));
  const foot = (plan: Plan) => asked(plan).get('anchors.sway support f-c1 ')!.demand!;
  test('the night between column and guy is what the anchors of its foot feel', () => {
    const [plain, before, after] = [frame(), ending(frame(), firstGuy - 1, moves.length - 1), ending(frame(), moves.length - 1)].map(foot);
    expect(before! / plain!).toBeCloseTo(1, 6);
    expect(after!).toBeLessThan(plain! / 2);
    expect(lastGuy).toBeGreaterThan(firstGuy);
  });
  test('guyed before the night, its ropes are judged in what may come', () => {
    const [plain, ended] = [worst(frame(), 'brace.sway'), worst(ending(frame(), moves.length - 1), 'brace.sway')];
    expect(ended / plain).toBeGreaterThan(0.5);
    expect(worst(ending(windy(square(), 6, 6), moves.length - 1), 'brace.sway')).toBeLessThan(plain / 2);
  });
});

/** What the wind brings into the frames judged at a move, by what it is asked of. */
const windOf = (whole: Whole, move: string) =>
  new Map(
    checksByMove(whole)(move)
      .filter((row) => row.move === move && /\.sway$|^frame\.second$/.test(row.id))
      .map(({ id, about, ratio }) => [`${id} ${about.kind} ${about.id}`, ratio] as const),
  );

/** The worst of each check. */
function worstOf(plan: Plan): Map<string, number> {
  const worst = new Map<string, number>();
  for (const { id, ratio } of asked(plan).values()) if (ratio !== null) worst.set(id, Math.max(ratio, worst.get(id) ?? 0));
  return worst;
}

describe('over any days', () => {
  const frame = (standing: number, forecast: number) => windy(square(), standing, forecast);
  const places = fc.uniqueArray(fc.nat(square().moves.length - 1), { maxLength: 6 });
  const kept = { numRuns: 12 };
  test('a forecast as strong as what may come changes nothing', () => {
    const plain = figures(asked(frame(22, 22)));
    fc.assert(
      fc.property(places, (after) => expect(figures(asked(ending(frame(22, 22), ...after)))).toEqual(plain)),
      kept,
    );
  });
  test('a day after every move is no day', () => {
    const plan = frame(22, 6);
    const [plain, nightly] = [worstOf(frame(22, 6)), worstOf(ending(plan, ...plan.moves.map((_, at) => at)))];
    expect([...nightly.keys()].sort()).toEqual([...plain.keys()].sort());
    for (const [id, ratio] of plain) expect(`${id} ${nightly.get(id)!.toFixed(9)}`).toBe(`${id} ${ratio.toFixed(9)}`);
  });
  test('nothing is worse for a day that ends, nor better than in the forecast alone', () => {
    const [plain, calm] = [worstOf(frame(22, 6)), worstOf(frame(6, 6))];
    fc.assert(
      fc.property(places, (after) => {
        for (const [id, ratio] of worstOf(ending(frame(22, 6), ...after))) {
          expect(ratio).toBeLessThanOrEqual(plain.get(id)! + 1e-9);
          expect(ratio).toBeGreaterThanOrEqual(calm.get(id)! - 1e-9);
        }
      }),
      kept,
    );
  });
  test('a day that ends later or earlier says what the same days say anew', () => {
    const plan = frame(22, 6);
    const at = (after: number[]): Plan => ({ ...plan, moves: plan.moves.flatMap((move, n) => (after.includes(n) ? [move, ends[n]!] : [move])) });
    const ends = plan.moves.map((_, n) => night(`night ${n}`));
    // The same day may end after other moves: it is the one move that is put elsewhere.
    const one = night('the night');
    const put = (after: number): Plan => ({ ...plan, moves: [...plan.moves.slice(0, after + 1), one, ...plan.moves.slice(after + 1)] });
    for (const next of [plan, put(20), plan, put(12), put(20), put(11), put(33), at([5, 20]), at([20]), at([13, 20, 40])])
      expect(figures(asked(next))).toEqual(afresh(() => figures(asked(next))));
  });
  test('what stands when a day ends is judged in what may come: as if that were all', () => {
    const { moves } = frame(22, 6);
    const letGos = moves.flatMap(({ kind }, at) => (kind === 'piece.letGo' ? [at] : []));
    for (const at of letGos.slice(3)) {
      const upTo = moves.slice(0, at + 1);
      const ended = windOf(evaluateWhole(made({ ...frame(22, 6), moves: [...upTo, night('n')] }), TODAY), 'n');
      expect(ended.size).toBeGreaterThan(0);
      const alone = windOf(evaluateWhole(made({ ...frame(22, 22), moves: upTo }), TODAY), moves[at]!.id);
      for (const [id, ratio] of alone) expect(`${at} ${id} ${ended.get(id)?.toFixed(9)}`).toBe(`${at} ${id} ${ratio?.toFixed(9)}`);
    }
  });
});

test('what is joined last is judged as it stands when all is done', () => {
  const plan = made(square());
  const last = plan.moves.at(-1)!;
  expect(last.kind).toBe('joint.make');
  expect([...windOf(evaluateWhole(plan, TODAY), last.id).keys()]).toContain('frame.second beam c1');
});
