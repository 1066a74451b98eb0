import { quayFootbridge } from '../../../../tests/demo-plan';
import { pair, pairedBy } from '../../../../tests/girder-pair';
import { opened } from '../../../../tests/said';
import { GRAVITY } from '../../units';
import type { Check } from '../../verdict/check';
import { describe as words } from '../../verdict/describe';
import { evaluate } from '../../evaluate';
import { joinedOf } from '../../document/joined';
import { Missing } from '../../verdict/missing';
import { pickContext } from './pick-context';
import type { PieceWeight } from '../../settle/piece-weight';
import { usualSlinging } from './plan-lifts';
import { replay } from '../../replay/replay';
import { rulesOf } from '../../rules/rule-sets';
import type { Plan } from '../../document/schema';
import { forcesOf } from '../structure/forces';
import { settleBeams } from '../../settle/model';
import { beamAt } from '../../replay/moment';
import { settle } from '../../settle/settle';
import { sailOf } from './wind-on-load';

const TODAY = '2026-11-29';
type Edit = (plan: Plan) => unknown;

const rows = (plan: Plan, id: string, part?: string): readonly Check[] =>
  evaluate(plan, TODAY).checks.filter((one) => one.id === id && (part === undefined || one.about.part === part));
const row = (plan: Plan, id: string, part?: string): Check => {
  const [found] = rows(plan, id, part);
  if (!found) throw new Error(`no ${id}`);
  return found;
};
const text = (check: Check): string => words(check, 'metric').replace(/\u00a0/g, ' ');

// Plates 2 × 0.4 × 0.03 and 0.9 × 0.016 of steel, 60 kg of stiffeners 12 m from the left, 5 % on both; cross-frames of 140 kg.
const LINE = (0.0384 * 7850 * 14 + 60) * 1.05;
const context = (plan: Plan) => pickContext(settle(plan), plan.picks[0]!);

describe('two girders tied side by side on the ground and lifted as a pair', () => {
  test('the hook carries both lines and the cross-frames put in before', () => {
    const slings = 95 + 420;
    expect(row(pair(), 'lift.chart').demand).toBeCloseTo(2 * LINE + 2 * 140 + slings, 6);
    const early = pair((plan) => {
      const at = plan.moves.findIndex(({ id }) => id === 'm11');
      const [fix] = plan.moves.splice(at, 1);
      plan.moves.push(fix!);
    });
    expect(text(row(early, 'pick.ties'))).toContain('only Cross-frame 1 ties them');
    expect(row(early, 'pick.ties').verdict).toBe('missing');
  });

  test('the command brings the cross-frames between them before the lift, and leaves the others', () => {
    const ids = pair().moves.map(({ id }) => id);
    expect(ids.indexOf('m10')).toBeLessThan(ids.indexOf('t1'));
    expect(ids.indexOf('m11')).toBeLessThan(ids.indexOf('t1'));
    expect(ids.indexOf('m18')).toBeGreaterThan(ids.indexOf('m16'));
    expect(ids).not.toContain('m9');
    expect(ids).not.toContain('m12');
  });

  test('its cross-frames may be fixed while both lie on the ground; of pieces lifted by themselves they may not', () => {
    const needs = (plan: Plan, id: string) =>
      replay(settle(plan))
        .steps.find(({ move }) => move.id === id)!
        .needs.filter(({ done }) => !done)
        .map(({ what }) => what);
    expect(needs(pair(), 'm10')).toEqual([]);
    const apart = quayFootbridge();
    const at = apart.moves.findIndex(({ id }) => id === 'm10');
    apart.moves.unshift(...apart.moves.splice(at, 1));
    expect(needs(opened(apart), 'm10')).toEqual(['G1a is in place', 'G2a is in place']);
  });

  test('hung and let go of together, both stand', () => {
    const plan = pair();
    const { steps } = replay(settle(plan));
    const after = (id: string, beam: string) => beamAt(steps.find(({ move }) => move.id === id)!.after.structure, beam).where;
    expect(['g1a', 'g2a'].map((beam) => after('m11', beam))).toEqual(['away', 'away']);
    expect(['g1a', 'g2a'].map((beam) => after('m7', beam))).toEqual(['hanging', 'hanging']);
    expect(['g1a', 'g2a'].map((beam) => after('m8', beam))).toEqual(['set', 'set']);
    expect(rows(plan, 'move.order').filter((one) => one.verdict === 'stop')).toEqual([]);
  });

  test('each line bends by its own weight and half of each cross-frame, on its own two legs', () => {
    // By hand: w over 14 m, stiffeners at 12 m, 70 kg at 6 m and at 12 m, picks at 3.4 and 10.6 m.
    const w = 0.0384 * 7850 * GRAVITY * 1.05;
    const points = [
      { at: 12, force: 60 * 1.05 * GRAVITY },
      { at: 6, force: 70 * GRAVITY },
      { at: 12, force: 70 * GRAVITY },
    ];
    const right = (w * 14 * (7 - 3.4) + points.reduce((sum, one) => sum + one.force * (one.at - 3.4), 0)) / 7.2;
    const left = w * 14 + points.reduce((sum, one) => sum + one.force, 0) - right;
    const at = (x: number) =>
      (-w * x ** 2) / 2 +
      (x > 3.4 ? left * (x - 3.4) : 0) +
      (x > 10.6 ? right * (x - 10.6) : 0) -
      points.reduce((sum, one) => sum + (x > one.at ? one.force * (x - one.at) : 0), 0);
    const greatest = Math.max(...Array.from({ length: 14001 }, (_, n) => Math.abs(at(n / 1000))));
    const bending = row(pair(), 'pick.bending', 'g1a');
    expect(row(pair(), 'pick.bending', 'g2a').demand).toBeCloseTo(bending.demand!, 6);
    expect(bending.demand! / greatest).toBeCloseTo(factorOf(pair()), 4);
  });

  test('between its cross-frames a line is free over twice what is beyond the outer one', () => {
    expect(text(row(pair(), 'pick.hanging', 'g1a'))).toContain('over 12.00 m between its cross-frames');
    const near = pair((plan) => {
      plan.structure.braces[0]!.a.at = 1;
      plan.structure.braces[0]!.b!.at = 1;
      plan.structure.braces[1]!.a.at = 13;
      plan.structure.braces[1]!.b!.at = 13;
    });
    // 12 m from one to the other; 1 m beyond either.
    expect(text(row(near, 'pick.hanging', 'g1a'))).toContain('over 12.00 m between');
    const three = pair((plan) => {
      [1, 13, 7].forEach((x, n) => {
        const brace = plan.structure.braces[n] ?? plan.structure.braces[0]!;
        Object.assign(brace, { a: { piece: 'g1a', at: x }, b: { piece: 'g2a', at: x } });
      });
      const at = plan.moves.findIndex(({ id }) => id === 'm18');
      plan.moves.unshift(...plan.moves.splice(at, 1));
    });
    expect(text(row(three, 'pick.hanging', 'g2a'))).toContain('over 6.00 m between');
  });

  test('together they can buckle as one: as far apart as they are, over their whole length', () => {
    const plan = pair();
    const [iStrong, iWeak] = [(0.4 * 0.96 ** 3 - 0.384 * 0.9 ** 3) / 12, (2 * 0.03 * 0.4 ** 3 + 0.9 * 0.016 ** 3) / 12];
    const limit = (0.7 * 1.1 * Math.PI ** 2 * 2.4 * 210e9 * Math.sqrt(iStrong * iWeak)) / 14 ** 2;
    const found = row(plan, 'pick.pair');
    expect(found.capacity! / limit).toBeCloseTo(1, 1);
    expect(found.demand).toBeCloseTo(2 * row(plan, 'pick.bending', 'g1a').demand!, 3);
    const nearer = pair((one) => {
      for (const id of ['g2a', 'g2b']) {
        const beam = one.structure.pieces.find((piece) => piece.id === id)!;
        beam.from!.y = 1.2;
        beam.to!.y = 1.2;
      }
      Object.assign(one.picks[0]!.rig!, { leftApart: 1.2, rightApart: 1.2 });
    });
    expect(row(nearer, 'pick.pair').capacity).toBeCloseTo(found.capacity! / 2, 3);
  });

  test('the legs press the lines together: the flange to the nearest cross-frame, and that cross-frame by the sum of what it holds', () => {
    const plan = pair();
    const { hanging } = context(plan);
    if (hanging instanceof Missing || 'impossible' in hanging) throw new Error('hangs');
    const across = (n: number) => ((hanging.tension[n]! * 1.2) / 6) * factorOf(plan);
    // From the left pick at 3.4 m to 6 m; from the right one at 10.6 m to 12 m.
    expect(row(plan, 'pick.pressed', 'left').demand).toBeCloseTo(across(0) * 2.6, 3);
    expect(row(plan, 'pick.pressed', 'right').demand).toBeCloseTo(across(1) * 1.4, 3);
    const struts = rows(plan, 'pick.strut');
    expect(struts.map(({ about }) => about.id).sort()).toEqual(['x1', 'x2']);
    // Both nearer to one cross-frame: it carries the sum.
    const one = pair((edited) => {
      for (const [n, x] of [7, 0.2].entries()) Object.assign(edited.structure.braces[n]!, { a: { piece: 'g1a', at: x }, b: { piece: 'g2a', at: x } });
      edited.picks[0]!.left = 4.4;
      edited.picks[0]!.right = 4.4;
    });
    const again = context(one).hanging;
    if (again instanceof Missing || 'impossible' in again) throw new Error('hangs');
    const [strut] = rows(one, 'pick.strut');
    expect(rows(one, 'pick.strut')).toHaveLength(1);
    expect(strut!.demand).toBeCloseTo(((again.tension[0]! + again.tension[1]!) * 1.2 * factorOf(one)) / 6, 3);
    expect(
      rows(
        pair((p) => (p.structure.braces[0]!.capacity = null)),
        'pick.strut',
      ).map(({ verdict }) => verdict),
    ).toContain('missing');
  });

  test('lines of unlike weight hang out of level across, and the heavier takes more of each pick', () => {
    expect(row(pair(), 'rigging.across').demand).toBeCloseTo(0, 9);
    const odd = pair((plan) => {
      plan.structure.makes.push({ ...plan.structure.makes[0]!, id: 'other', attachments: [{ id: 'cat', what: 'Walkway', mass: 2000, at: 7 }] });
      plan.structure.pieces.find(({ id }) => id === 'g2a')!.make = 'other';
    });
    const { weight, hanging } = context(odd);
    if (weight instanceof Missing || hanging instanceof Missing || 'impossible' in hanging) throw new Error('known');
    const [a, b] = [LINE, (0.0384 * 7850 * 14 + 2000) * 1.05];
    expect(weight.pair!.offCentre).toBeCloseTo((1.2 * (b - a)) / (a + b), 6);
    const h = hanging.hookAbovePick + weight.section.depth - weight.cg.z;
    expect(row(odd, 'rigging.across').demand).toBeCloseTo((Math.atan2(weight.pair!.offCentre, h) * 180) / Math.PI, 6);
  });

  test('its weight balances between the lines: the hook is over the middle, where it lies and where it is set', () => {
    const { piece, seat } = context(pair());
    // G1a lies at (9, -19), turned 0°: its mate 2.4 m to the left of it.
    expect(piece.start).toMatchObject({ x: 9, y: -17.8 });
    if (seat instanceof Missing) throw new Error(seat.questions.join());
    expect(seat.leftEnd).toMatchObject({ x: 0, y: 1.2 });
    expect(seat.left.at).toMatchObject({ x: 0, y: 1.2 });
    expect(seat.right.at).toMatchObject({ x: 14, y: 1.2 });
  });

  test('it is as broad as both, and both stand in the wind', () => {
    const plan = pair();
    const picked = context(plan);
    const weight = picked.weight as PieceWeight;
    expect(weight.pair).toMatchObject({ broad: expect.closeTo(2.8, 9), apart: 2.4 });
    expect(sailOf(picked, weight)).toBeCloseTo(2 * 14 * 0.96, 6);
  });

  test('lines that begin at different places hang by legs of their own from each', () => {
    const shifted = pair((plan) => {
      for (const id of ['g2a', 'g2b']) {
        const beam = plan.structure.pieces.find((piece) => piece.id === id)!;
        beam.from!.x += 1;
        beam.to!.x += 1;
      }
      for (const brace of plan.structure.braces) brace.b!.at -= 1;
    });
    const joined = joinedOf(settle(shifted), shifted.picks[0]!);
    if (!joined || joined instanceof Missing) throw new Error('joined');
    expect(joined.length).toBeCloseTo(15, 9);
    expect(joined.lines).toEqual([
      { from: 0, to: 14, aside: 0 },
      { from: 1, to: 15, aside: expect.closeTo(2.4, 9) },
    ]);
    expect(joined.ties.map(({ at }) => at)).toEqual([6, 12]);
    const past = pair((plan) => {
      Object.assign(plan, shifted);
      plan.picks[0]!.left = 0.5;
    });
    expect(rows(past, 'pick.bending').some((one) => text(one).includes('A leg is past the end of G2a'))).toBe(true);
  });

  test('two lines of two pieces each: their splices filled before, each felt in its own line', () => {
    const whole = pair((plan) => Object.assign(plan.picks[0]!, { left: 7, right: 7, legs: { left: 9, right: 9 } }), ['g1b', 'g2a', 'g2b']);
    const joined = joinedOf(settle(whole), whole.picks[0]!);
    if (!joined || joined instanceof Missing) throw new Error('joined');
    expect(joined.parts.map(({ beam, line, from, to }) => [beam.id, line, from, to])).toEqual([
      ['g1a', 0, 0, 14],
      ['g1b', 0, 14, 24],
      ['g2a', 1, 0, 14],
      ['g2b', 1, 14, 24],
    ]);
    expect(joined.ties.map(({ brace, at }) => [brace.id, at])).toEqual([
      ['x1', 6],
      ['x2', 12],
      ['x3', 18],
    ]);
    expect(new Set(rows(whole, 'pick.splice').map(({ about }) => about.id))).toEqual(new Set(['s1', 's2']));
  });

  test.each<[string, Edit, string]>([
    ['no legs', (plan) => (plan.picks[0]!.rig = null), 'Say they hang by four legs'],
    [
      'legs not on the lines',
      (plan) => Object.assign(plan.picks[0]!.rig!, { leftApart: 2 }),
      'said to be 2 m apart across, and the two lines are 2.40 m apart',
    ],
    ['one leg at a pick', (plan) => Object.assign(plan.picks[0]!.rig!, { rightApart: 0 }), 'said to be 0 m apart'],
    ['a cross-frame of no weight', (plan) => (plan.structure.braces[0]!.mass = null), 'What does Cross-frame 1 weigh?'],
    [
      'nothing between them',
      (plan) => {
        plan.structure.braces = [];
        plan.moves = plan.moves.filter(({ kind }) => kind !== 'brace.fix');
      },
      'What joins them?',
    ],
    ['a strut that stops no twist', (plan) => plan.structure.braces.forEach((one) => (one.stops = 'sideways')), 'What joins them?'],
    [
      'lines that do not run side by side',
      (plan) => (plan.structure.pieces.find(({ id }) => id === 'g2a')!.to!.y = 3.4),
      'is not to lie beside G1a, level and parallel',
    ],
    [
      'lines at two levels',
      (plan) => {
        const beam = plan.structure.pieces.find(({ id }) => id === 'g2a')!;
        beam.from!.z += 0.4;
        beam.to!.z += 0.4;
      },
      'is not to lie beside G1a, level and parallel',
    ],
    ['one of them on its side', (plan) => (plan.structure.pieces.find(({ id }) => id === 'g1a')!.lies!.onSide = true), 'said to lie on its side'],
  ])('%s: asked, and nothing of it clear', (_, edit, question) => {
    const plan = pair(edit);
    const asked = evaluate(plan, TODAY)
      .checks.filter(({ verdict }) => verdict === 'missing')
      .map(text);
    expect(asked.join('\n')).toContain(question);
    expect(evaluate(plan, TODAY).counts.missing).toBeGreaterThan(evaluate(pair(), TODAY).counts.missing);
  });

  test('the weight of a cross-frame is asked of that cross-frame', () => {
    const asked = rows(
      pair((plan) => (plan.structure.braces[1]!.mass = null)),
      'brace.weight',
    );
    expect(asked.map(({ about, verdict }) => [about.kind, about.id, verdict])).toEqual([['brace', 'x2', 'missing']]);
    expect(rows(pair(), 'brace.weight')).toEqual([]);
  });

  test('slung as usual each line has its own leg at either pick, at 60° from the balance point', () => {
    const plan = pairedBy(quayFootbridge(), ['g2a']);
    expect(usualSlinging(plan, plan.picks[0]!, 7)).toEqual({
      left: 3.08,
      right: 3.08,
      // √(3.92² + 1.2²) / cos 60°, to the next 0.1 m.
      legs: { left: 8.2, right: 8.2 },
      rig: { kind: 'legs', leftApart: 2.4, rightApart: 2.4 },
    });
  });

  test.each([0.14, 140e3])('a cross-frame of %d kg is asked: which unit was meant', (mass) => {
    const asked = rows(
      pair((plan) => (plan.structure.braces[0]!.mass = mass)),
      'said.size',
    );
    expect(asked.map(({ about, verdict }) => [about.id, verdict])).toEqual([['x1', 'missing']]);
    expect(rows(pair(), 'said.size')).toEqual([]);
  });

  test('a cross-frame taken out again before the lift does not count', () => {
    const plan = pair((one) =>
      one.moves.splice(
        one.moves.findIndex(({ id }) => id === 'm7'),
        0,
        { id: 'out', kind: 'brace.free', brace: 'x2' },
      ),
    );
    expect(text(row(plan, 'pick.ties'))).toContain('only Cross-frame 1 ties them');
  });

  test('two lines on top of each other are not side by side', () => {
    const plan = pair((one) => {
      for (const id of ['g2a', 'g2b']) {
        const beam = one.structure.pieces.find((piece) => piece.id === id)!;
        beam.from!.y = 0.05;
        beam.to!.y = 0.05;
      }
    });
    expect(joinedOf(settle(plan), plan.picks[0]!)).toMatchObject({ questions: [expect.stringContaining('is not to lie beside G1a')] });
  });

  test('said to lie where it is tied, its mate lies to the left of it; anywhere else is asked', () => {
    const at = (y: number, onSide = false) =>
      pair((plan) => (plan.structure.pieces.find(({ id }) => id === 'g2a')!.lies = { x: 9, y, azimuthDeg: 0, level: 1.3, onSide }));
    expect(rows(at(-19 + 2.4), 'pick.lies')).toEqual([]);
    expect(
      rows(at(-19 - 2.4), 'pick.lies')
        .map(text)
        .join(),
    ).toContain('G2a is said to lie elsewhere');
    expect(
      rows(at(-19 + 2.4, true), 'pick.lies')
        .map(text)
        .join('\n'),
    ).toContain('G2a is said to lie on its side, and is tied to what stands beside it');
  });

  test('turned a quarter, its mate lies a quarter round too', () => {
    const at = (x: number, y: number) =>
      pair((plan) => {
        plan.structure.pieces.find(({ id }) => id === 'g1a')!.lies!.azimuthDeg = 90;
        plan.structure.pieces.find(({ id }) => id === 'g2a')!.lies = { x, y, azimuthDeg: 90, level: 1.3, onSide: false };
      });
    expect(rows(at(9 - 2.4, -19), 'pick.lies')).toEqual([]);
    expect(rows(at(9 + 2.4, -19), 'pick.lies')).toHaveLength(1);
    const { piece } = context(at(9 - 2.4, -19));
    expect(piece.start).toMatchObject({ x: expect.closeTo(9 - 1.2, 9), y: expect.closeTo(-19, 9) });
  });

  test('the allowance is on the steel and not on cross-frames that were weighed; they are as high as what they tie', () => {
    const weight = context(pair()).weight as PieceWeight;
    const bare = 2 * (0.0384 * 7850 * 14 + 60) + 280;
    expect(weight.allowance).toBeCloseTo((2 * LINE + 280) / bare - 1, 9);
    const alone = pickContext(settle(opened(quayFootbridge())), quayFootbridge().picks[0]!).weight as PieceWeight;
    expect(weight.cg.z).toBeCloseTo(alone.cg.z, 9);
    expect(weight.lumps.filter(({ weight: force }) => Math.abs(force - 140 * GRAVITY) < 1e-6).map(({ at }) => at)).toEqual([6, 12]);
    const sum = weight.runs.reduce((all, one) => all + one.weightPerLength * (one.to - one.from), 0) + weight.lumps.reduce((all, one) => all + one.weight, 0);
    expect(sum).toBeCloseTo(weight.weight, 3);
  });

  test('where all four legs count, the heavier line still has more of each pick', () => {
    const heavier = (plan: Plan) => {
      plan.job.thresholds.legsCounted = 4;
      plan.structure.makes.push({ ...plan.structure.makes[0]!, id: 'other', attachments: [{ id: 'cat', what: 'Walkway', mass: 2000, at: 7 }] });
      plan.structure.pieces.find(({ id }) => id === 'g2a')!.make = 'other';
    };
    const of = (plan: Plan) => {
      const { hanging, weight } = context(plan);
      if (hanging instanceof Missing || 'impossible' in hanging || weight instanceof Missing) throw new Error('hangs');
      return { tension: hanging.tension, trace: hanging.trace.output as { tension: number[] }, pair: weight.pair! };
    };
    const found = of(pair(heavier));
    const flat = Math.sqrt(6 ** 2 - 1.2 ** 2);
    const share = 1 / 2 + found.pair.offCentre / 2.4;
    expect(share).toBeGreaterThan(0.55);
    expect(found.tension[0]).toBeCloseTo(found.trace.tension[0]! * share * (6 / flat), 3);
  });

  test('a free end counts twice at the right as at the left', () => {
    const plan = pair((one) => {
      for (const [n, x] of [1, 8].entries()) Object.assign(one.structure.braces[n]!, { a: { piece: 'g1a', at: x }, b: { piece: 'g2a', at: x } });
    });
    expect(text(row(plan, 'pick.hanging', 'g1a'))).toContain('over 12.00 m between');
  });

  test('a line that begins further on is slung nearer its own left end and further from its right', () => {
    const shifted = pair((plan) => {
      for (const id of ['g2a', 'g2b']) {
        const beam = plan.structure.pieces.find((piece) => piece.id === id)!;
        beam.from!.x += 1;
        beam.to!.x += 1;
      }
      for (const brace of plan.structure.braces) brace.b!.at -= 1;
    });
    const input = (part: string) =>
      row(shifted, 'pick.bending', part).traces.find(({ calc }) => calc === 'rigging.pickMoments')!.input as {
        left: number;
        right: number;
        lumps: { weight: number; at: number }[];
      };
    expect(input('g1a')).toMatchObject({ left: 3.4, right: expect.closeTo(2.4, 9) });
    expect(input('g2a')).toMatchObject({ left: expect.closeTo(2.4, 9), right: 3.4 });
    const ties = (part: string) =>
      input(part)
        .lumps.filter(({ weight }) => Math.abs(weight - 70 * GRAVITY) < 1e-6)
        .map(({ at }) => at);
    expect(ties('g1a')).toEqual([6, 12]);
    expect(ties('g2a')).toEqual([5, 11]);
  });

  test('in allowable stress what the pair feels is held against its limit at strength level', () => {
    const plan = pair((one) => (one.job.ruleSet = 'us-asd'));
    expect(row(plan, 'pick.pair').demand).toBeCloseTo(1.67 * 2 * row(plan, 'pick.bending', 'g1a').demand!, 2);
  });

  test('a hook that eases off in parts takes from either line its share', () => {
    const ground = (keeps: number) => {
      const plan = settle(
        pair((one) => {
          const go = one.moves.find(({ id }) => id === 'm8')!;
          if (go.kind === 'piece.letGo') go.keeps = keeps;
        }),
      );
      const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
      const { changes } = forcesOf(
        plan,
        settleBeams(plan, rules),
        replay(plan).steps.map(({ after }) => after.structure),
        rules,
      );
      const { lines } = changes.find(({ move }) => move?.id === 'm8')!;
      return (piece: string) =>
        [...lines.find(({ beams }) => beams.includes(piece))!.carried.plain].reduce((sum, [key, force]) => sum + (key.includes('/') ? force : 0), 0);
    };
    const [all, eased] = [ground(0), ground(20e3)];
    expect(all('g1a') - eased('g1a')).toBeCloseTo(10e3, 3);
    // The other line is not relieved: what stands under it carries all of it.
    expect(all('g2a')).toBeCloseTo(eased('g2a'), 6);
  });

  test('a cross-frame to a piece that hangs already by itself waits for the other', () => {
    const plan = pair((one) => one.moves.unshift({ id: 'own', kind: 'piece.hang', beam: 'g2a', by: 'Curlew 50' }));
    const needs = replay(settle(plan))
      .steps.find(({ move }) => move.id === 'm10')!
      .needs.filter(({ done }) => !done);
    expect(needs.map(({ what }) => what)).toEqual(['G1a is in place']);
  });
});

/** What a weight on the hook counts for in bending. */
function factorOf({ job }: Plan): number {
  const rules = rulesOf(job.ruleSet, job.thresholds);
  return rules.value('dynamicFactor') * rules.value('loadFactor');
}
