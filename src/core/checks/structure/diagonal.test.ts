import { addDiagonal, braced } from '../../../../tests/diagonal';
import { guy, joint } from '../../../../tests/portal';
import { jointAtEnd, whatMeets } from '../../edit/meeting';
import { describe as words } from '../../verdict/describe';
import { openPlan } from '../../document/open';
import type { Joint, Plan } from '../../document/schema';
import { checksAt, evaluate, evaluateWhole } from '../../evaluate';

const TODAY = '2026-12-01';
type Edit = (plan: Plan) => unknown;
const rowsOf = (plan: Plan) => {
  const opened = openPlan(structuredClone(plan));
  if (!opened.ok) throw new Error(opened.faults.map(({ path, error }) => `${path}: ${error}`).join('\n'));
  return evaluate(opened.plan, TODAY).checks;
};
const made = (edit: Edit = () => undefined, section?: string, turned?: boolean): Plan => {
  const plan = braced(section, turned);
  plan.site.standingGust = 15;
  edit(plan);
  return plan;
};
const bad = (plan: Plan) =>
  rowsOf(plan)
    .filter(({ id, verdict }) => (verdict === 'stop' || verdict === 'missing') && !id.startsWith('hold.'))
    .map((one) => `${one.verdict} ${one.id} ${one.about.id}: ${words(one, 'metric').replace(/[\u00a0\u202f]/g, ' ')}`);
const row = (plan: Plan, id: string, about: string, part?: string) =>
  rowsOf(plan).find((one) => one.id === id && one.about.id === about && (part === undefined || one.about.part === part))!;
const text = (plan: Plan, id: string, about: string) => words(row(plan, id, about), 'metric').replace(/[\u00a0\u202f]/g, ' ');
const pulls = (plan: Plan, about = 'd1') => Number(/pull \S+ with ([\d.]+) kN/.exec(text(plan, 'diagonal.sway', about))![1]);

const G = 9.80665;
const LB_FT = 1.48816;
const IN = 0.0254;
const PRESSURE = 0.5 * 1.25 * 15 ** 2 * 2.2;
const LENGTH = Math.hypot(6, 3.5);

describe('an inclined piece between the foot of a column and the head of another', () => {
  test('holds the frame along the beam, both ways; without it nothing does', () => {
    expect(bad(made())).toEqual([]);
    const gone = made((plan) => {
      plan.structure.pieces = plan.structure.pieces.filter(({ id }) => id !== 'd1');
      plan.structure.joints = plan.structure.joints.filter(({ a }) => a.piece !== 'd1');
      plan.moves = plan.moves.filter(({ id }) => !id.startsWith('d1 '));
    });
    expect(bad(gone)).toContainEqual(expect.stringMatching(/^stop frame.sideways/));
  });
  test('is pulled and pressed by wind and lean over its slope: by hand', () => {
    const plan = made();
    const own = 40 * LB_FT * G * 1.05 * 6;
    const joist = (22 * LB_FT * 5 * G * 1.05) / 2;
    const column = 31 * LB_FT * 4 * G * 1.05;
    const slope = (19 * LB_FT * LENGTH * G * 1.05) / 2;
    const weight = own + 9000 + joist + column + slope;
    // From 45° the wind finds the beam and half of the diagonal too; along the beam comes a half of what it brings to all that is level.
    const columns = PRESSURE * 8 * IN * 4;
    const level = PRESSURE * (10.2 * IN * 5 + 11.9 * IN * 6 + (6 * IN * LENGTH) / 2);
    const across = (columns + weight / 500) * Math.SQRT1_2 + level / 2;
    const ratio = pulls(plan) / ((across * LENGTH) / 6 / 1e3);
    expect(ratio).toBeGreaterThan(0.98);
    expect(ratio).toBeLessThan(1.02);
    // No rope is at the second column: what it presses its base with is what comes down the diagonal.
    const more = Number(/and ([\d.]+) kN more/.exec(text(plan, 'support.sway', 'f2'))![1]);
    expect((pulls(plan) * 3.5) / LENGTH / more).toBeCloseTo(1, 2);
    // At the foot of the first it pulls too, with the rope there.
    expect(Number(/and ([\d.]+) kN more/.exec(text(plan, 'support.sway', 'f1'))![1])).toBeGreaterThan(1.2 * more);
  });
  test('drawn from its head down it is the same', () => {
    expect(bad(made(undefined, undefined, true))).toEqual([]);
    expect(pulls(made(undefined, undefined, true))).toBeCloseTo(pulls(made()), 3);
  });
  test('it carries what it is pulled and pressed with, with what it bends by itself, and so do its bolts', () => {
    // Twice as hard a gust pulls nearly four times as much.
    const pulled = (gust: number) => pulls(made((one) => (one.site.standingGust = gust), 'HSS4x4x1/4'));
    expect(pulled(60) / pulled(30)).toBeGreaterThan(3.8);
    expect(pulled(60) / pulled(30)).toBeLessThan(4.1);
    // Pressed as much as it is pulled, it is what buckles it that counts.
    const [press, buckles] = /press it with ([\d.]+) kN of ([\d.]+) kN/
      .exec(
        text(
          made((one) => (one.site.standingGust = 60), 'HSS4x4x1/4'),
          'diagonal.sway',
          'd1',
        ),
      )!
      .slice(1)
      .map(Number) as [number, number];
    const gale = row(
      made((one) => (one.site.standingGust = 60), 'HSS4x4x1/4'),
      'diagonal.sway',
      'd1',
    ).ratio!;
    expect(gale - row(made(undefined, 'HSS4x4x1/4'), 'beam.bending', 'd1').ratio!).toBeCloseTo(press / buckles, 2);
    const weak = made((one) => {
      for (const joint of one.structure.joints) if (joint.a.piece === 'd1') joint.boltShear = 550;
    });
    expect(bad(weak)).toContainEqual(expect.stringMatching(/^stop joint.sway d1-[12]/));
    const used = row(made(), 'diagonal.sway', 'd1').ratio!;
    const bends = row(made(), 'beam.bending', 'd1').ratio!;
    expect(used).toBeGreaterThan(bends);
    expect(
      row(
        made((plan) => (plan.job.ruleSet = 'eu-ls')),
        'diagonal.sway',
        'd1',
      ).ratio,
    ).toBeGreaterThan(used * 0.7);
  });
  test('too slender to be pressed it holds one way only; with another across it both', () => {
    const slender = made(undefined, 'HSS2x2x1/4');
    expect(bad(slender)).toContainEqual(expect.stringMatching(/^stop frame.sideways .*all pull to one side|^stop frame.sideways/));
    const both = made((plan) => addDiagonal(plan, 'd2', 'HSS2x2x1/4', ['c2', 'c1']), 'HSS2x2x1/4');
    expect(bad(both).filter((one) => /frame|diagonal/.test(one))).toEqual([]);
    expect(text(both, 'diagonal.sway', row(both, 'diagonal.sway', 'd1') ? 'd1' : 'd2')).toMatch(/it holds one way only/);
  });
  test('with a brace drawn where it runs it would hold twice: which of the two is asked', () => {
    const twice = (z: number) =>
      made((plan) => {
        const [rope] = plan.structure.braces;
        plan.structure.braces.push({
          ...structuredClone(rope!),
          id: 'x',
          name: 'X1',
          kind: 'strut',
          a: { piece: 'c2', at: z },
          b: { piece: 'c1', at: 0.2 },
          towardsDeg: null,
        });
      });
    expect(bad(twice(3.5))).toContainEqual(expect.stringMatching(/^missing said.twice x: X1 runs where D1 runs/));
    expect(bad(twice(2.5)).some((one) => one.includes('said.twice'))).toBe(false);
  });
  test('slender, it pulls its head towards its foot: a rope the other way makes up for it, one the same way does not', () => {
    const roped = (way: number) =>
      made((plan) => {
        plan.structure.braces.push({ ...guy(`r${way}`, way), a: { piece: 'c2', at: 3.6 } });
        const last = plan.moves.findLastIndex(({ kind }) => kind === 'brace.fix');
        plan.moves.splice(last + 1, 0, { id: 'rope', kind: 'brace.fix', brace: `r${way}` });
      }, 'HSS2x2x1/4');
    const atEnd = (plan: Plan) => {
      const opened = openPlan(structuredClone(plan));
      if (!opened.ok) throw new Error(opened.faults[0]?.error);
      return checksAt(evaluateWhole(opened.plan, TODAY), plan.moves.at(-1)!.id).filter(({ id }) => id === 'frame.sideways');
    };
    expect(atEnd(roped(0))).toEqual([]);
    expect(atEnd(roped(180))).toHaveLength(1);
  });
  test('from half way up a column it pulls along its slope, and ties nothing level', () => {
    const plan = made((one) => {
      const piece = one.structure.pieces.find(({ id }) => id === 'd1')!;
      piece.from = { x: 0, y: 0, z: 1.2 };
      one.structure.joints.find(({ id }) => id === 'd1-1')!.b.at = 1.2;
      one.structure.joints.find(({ id }) => id === 'd1-2')!.a.at = Math.hypot(6, 2.4);
      one.structure.makes.find(({ id }) => id === 'make-d1')!.length = Math.hypot(6, 2.4);
    });
    const opened = openPlan(structuredClone(plan));
    if (!opened.ok) throw new Error(opened.faults[0]?.error);
    const frame = checksAt(evaluateWhole(opened.plan, TODAY), 'd1 set3').find(({ id, traces }) => id === 'frame.second' && traces.length > 0)!;
    const input = frame.traces[0]!.input as { ties: { id: string }[]; braces: { id: string }[] };
    expect(input.ties.map(({ id }) => id)).toEqual(['n1 n2']);
    expect(input.braces.map(({ id }) => id)).toContain('d1');
  });
  test('that lies on a seat pulls at nothing there', () => {
    const seated = made((plan) => (plan.structure.joints.find(({ id }) => id === 'd1-2')!.kind = 'seat'));
    expect(bad(seated)).toContainEqual(expect.stringMatching(/^stop frame.sideways/));
  });
  test('joined in its middle too it is left to whoever draws it', () => {
    const three = made((plan) => {
      plan.structure.joints.push(joint({ id: 'mid', kind: 'onWeb', a: { piece: 'd1', at: LENGTH / 2 }, b: { piece: 'b1', at: 3 } }));
      const at = plan.moves.findIndex(({ id }) => id === 'd1 set3');
      plan.moves.splice(at, 0, { id: 'm', kind: 'joint.make', joint: 'mid', pins: 0, bolts: 4, tight: true, fit: 'drawn' });
    });
    expect(bad(three)).toContainEqual(expect.stringMatching(/^stop frame.sideways/));
  });
  test('joined at one end alone, or not yet, it holds nothing', () => {
    for (const end of ['d1-1', 'd1-2'])
      expect(
        bad(made((plan) => (plan.moves = plan.moves.filter((move) => move.kind !== 'joint.make' || move.joint !== end)))).some((one) =>
          /^stop (frame.sideways|line.stands)/.test(one),
        ),
      ).toBe(true);
  });
});

test('where a diagonal comes to a column or a beam is found, for somebody to take; by hand it is no splice with a beam over it', () => {
  const plan = made();
  const known: Joint[] = plan.structure.joints;
  plan.structure.joints = known.filter(({ a }) => a.piece !== 'd1');
  let count = 0;
  const found = whatMeets(plan, () => `n${(count += 1)}`);
  const of = found.joints.filter(({ thing }) => thing.a.piece === 'd1').map(({ thing }) => [thing.kind, thing.b.piece]);
  expect(of).toEqual([
    ['onColumn', 'c1'],
    ['onColumn', 'c2'],
  ]);
  const under = made((one) => {
    const piece = one.structure.pieces.find(({ id }) => id === 'd1')!;
    piece.to = { x: 4, y: 0, z: 3.7 };
    one.structure.joints = one.structure.joints.filter(({ a }) => a.piece !== 'd1');
  });
  expect(jointAtEnd(under, 'd1', 'second', 'j')).toMatchObject({ kind: 'onWeb', b: { piece: 'b1' } });
  const beside = whatMeets(under, () => `n${(count += 1)}`).joints.filter(({ thing }) => thing.a.piece === 'd1');
  expect(beside.map(({ thing }) => [thing.kind, thing.b.piece])).toContainEqual(['onWeb', 'b1']);
});
