import { planted } from '../../../../tests/planted';
import { describe as words } from '../../verdict/describe';
import { openPlan } from '../../document/open';
import type { Check } from '../../verdict/check';
import type { Joint, Move, Plan } from '../../document/schema';
import { checksAt, evaluate, evaluateWhole } from '../../evaluate';

const TODAY = '2026-12-01';
type Edit = (plan: Plan) => unknown;
const made = (edit: Edit = () => undefined): Plan => {
  const plan = planted();
  plan.site.standingGust = 15;
  plan.site.forecastGust = 8;
  edit(plan);
  const opened = openPlan(structuredClone(plan));
  if (!opened.ok) throw new Error(opened.faults.map(({ path, error }) => `${path}: ${error}`).join('\n'));
  return opened.plan;
};
const rows = (edit?: Edit): Check[] => evaluate(made(edit), TODAY).checks;
const told = (edit: Edit, id: string, about?: string): string[] =>
  rows(edit)
    .filter((one) => one.id === id && (about === undefined || one.about.id === about))
    .map((one) => `${one.verdict}: ${words(one, 'metric').replace(/[\u00a0\u202f]/g, ' ')}`);
const stops = (edit?: Edit): string[] =>
  rows(edit)
    .filter(({ verdict }) => verdict === 'stop')
    .map(({ id, about }) => `${id} ${about.id}`);
const jointOf = (plan: Plan, id: string): Joint => plan.structure.joints.find((one) => one.id === id)!;
const without = (plan: Plan, gone: (move: Move) => boolean) => (plan.moves = plan.moves.filter((move) => !gone(move)));
const loaded = (plan: Plan, force: number) => {
  plan.structure.loads = [{ id: 'l', what: 'Plant', piece: 'p0', at: 2.9, force, liftedBy: 'mobile crane' }];
  plan.moves.push({ id: 'on', kind: 'load.on', load: 'l' });
};
const noRopes = (plan: Plan, piece: string) => {
  plan.structure.braces = plan.structure.braces.filter(({ a }) => a.piece !== piece);
  without(plan, (move) => move.kind === 'brace.fix' && !plan.structure.braces.some(({ id }) => id === move.brace));
};

describe('a column on a beam', () => {
  test('stands, and what it carries goes down through the beam into the columns under it', () => {
    expect(stops()).toEqual([]);
    expect(told(() => undefined, 'line.stands', 'p0')).toEqual([expect.stringMatching(/^clear/)]);
    const { changes } = evaluateWhole(made(), TODAY).structure;
    const latest = (id: string) => changes.flatMap(({ lines }) => lines).findLast(({ beams }) => beams.includes(id))!.carried.plain;
    const sum = (id: string) => [...latest(id).values()].reduce((all, one) => all + one, 0);
    const [post, alone] = [latest('p0').get('s0')!, latest('b0')];
    // The post and half of the beam between the heads; half of it and of all else on the girder at each of its ends.
    expect(post).toBeCloseTo(sum('p5'), 6);
    expect(post - sum('t') / 2).toBeGreaterThan(0);
    expect(alone.get('b0a')).toBeCloseTo(alone.get('b0b')!, 6);
    const light = changes.flatMap(({ lines, move }) => lines.map((line) => ({ line, move }))).filter(({ line }) => line.beams.includes('b0'));
    const before = light.filter(({ move }) => move!.id.startsWith('q')).at(-1)!.line.carried.plain;
    expect(alone.get('b0a')! - before.get('b0a')!).toBeCloseTo(post / 2, 6);
  });
  test('of which the foot is not joined when the hook lets go does not stand', () => {
    expect(stops((plan) => without(plan, (move) => move.kind === 'joint.make' && move.joint === 's0'))).toEqual(
      expect.arrayContaining(['line.stands p0', 'release.ends p0']),
    );
  });
  test('with no rope at its head and nothing else there nothing holds it', () => {
    expect(told((plan) => noRopes(plan, 'p5'), 'frame.sideways')).toEqual([expect.stringMatching(/^stop: Nothing holds P5 when the wind pushes/)]);
  });
  test('holds 300 lb at 18 in by its foot, by what of it is filled', () => {
    expect(told((plan) => (jointOf(plan, 's0').moment = null), 'column.splice', 's0')).toEqual([expect.stringMatching(/^missing: How many holes has s0/)]);
    // 1.334 kN at 457 mm from the face of a W8x31, 203 mm deep; two of four bolts are in when the hook lets go.
    const row = rows().find((one) => one.id === 'column.splice' && one.about.id === 's0')!;
    expect(row.demand! / (300 * 4.4482216 * (18 + 4) * 0.0254)).toBeCloseTo(1, 2);
    expect(row.capacity).toBe(10e3);
    expect(told((plan) => (jointOf(plan, 's0').moment = 1.4e3), 'column.splice', 's0')).toEqual([expect.stringMatching(/^stop/)]);
  });
  test('of which a move does not say how many bolts go in it is asked, and a moment its bolts never carry is a stop', () => {
    const second = (plan: Plan) => plan.moves.filter((move) => move.kind === 'joint.make' && move.joint === 's0')[1] as Extract<Move, { kind: 'joint.make' }>;
    expect(told((plan) => (second(plan).bolts = null), 'moves.fill', 's0')).toEqual([expect.stringMatching(/^missing: How many bolts does s0 end with/)]);
    expect(told((plan) => (jointOf(plan, 's0').moment = 20e6), 'joint.boltSays', 's0')).toContainEqual(
      expect.stringMatching(/^stop: s0 is said to carry a moment of/),
    );
  });
  test('presses into the web of the beam, unless there are stiffeners under it', () => {
    const heavy =
      (edit: Edit = () => undefined): Edit =>
      (plan) => (loaded(plan, 600e3), edit(plan));
    expect(told(heavy(), 'joint.web', 's0')).toEqual([expect.stringMatching(/^stop: P0 stands on B0 with 602 kN; .*takes 462 kN/)]);
    expect(
      told(
        heavy((plan) => (jointOf(plan, 's0').stiffened = true)),
        'joint.web',
        's0',
      ),
    ).toEqual([]);
    expect(
      told(
        heavy((plan) => (jointOf(plan, 's0').stiffened = false)),
        'joint.web',
        's0',
      ),
    ).toHaveLength(1);
    expect(told(() => undefined, 'joint.web')).toHaveLength(2);
  });
  test('on the web of a beam hangs on its bolts; on its flange it does not', () => {
    const side: Edit = (plan) => (jointOf(plan, 's0').kind = 'onWeb');
    expect(told(side, 'joint.bolts', 's0')).toEqual([expect.stringMatching(/^clear: s0 carries [\d.]+ kN on \d bolts/)]);
    expect(told((plan) => (side(plan), loaded(plan, 250e3)), 'joint.bolts', 's0')).toEqual([expect.stringMatching(/^stop/)]);
    expect(told(() => undefined, 'joint.bolts', 's0')).toEqual([]);
  });
  test('where the beam gives sideways under much weight it is asked what holds the foot', () => {
    expect(told((plan) => loaded(plan, 600e3), 'frame.sway', 'p0')).toEqual([
      expect.stringMatching(/^missing: P0 stands on B0 between its columns, and B0 gives sideways there/),
    ]);
    expect(told((plan) => loaded(plan, 20e3), 'frame.sway', 'p0')).toEqual([]);
  });
  test('on a beam that no column holds it is asked what keeps its foot', () => {
    // The girder of the second frame rests on seats of its own.
    const seats: Edit = (plan) => {
      const { structure } = plan;
      const gone = structure.joints.filter(({ id }) => ['b5a', 'b5b', 'j0b', 'j6b', 'j3b'].includes(id)).map(({ id }) => id);
      structure.joints = structure.joints.filter(({ id }) => !gone.includes(id));
      without(plan, (move) => move.kind === 'joint.make' && gone.includes(move.joint));
      const base = structuredClone(structure.supports[0]!);
      const seat = (id: string, at: number) => ({
        ...base,
        id,
        name: id,
        kind: 'bearing' as const,
        anchors: null,
        seats: [{ piece: 'b5', at }],
        measured: null,
        level: 3.7,
      });
      structure.supports.push(seat('w1', 0), seat('w2', 6));
      plan.moves.unshift(...['w1', 'w2'].map((id): Move => ({ id: `r${id}`, kind: 'support.ready', support: id })));
    };
    expect(told(seats, 'frame.sway', 'p5')).toEqual([expect.stringMatching(/^missing: P5 stands on B5, which no column holds sideways/)]);
  });
  test('what ropes at its head pull down bends the beam, presses its joints and comes down on the bases', () => {
    const [row] = told(() => undefined, 'beam.ridden', 'b0');
    const [, down, more, lies] = /with up to ([\d.]+) kN more: that bends it ([\d.]+) kN·m over the ([\d.]+) kN·m/.exec(row!)!.map(Number) as [
      number,
      number,
      number,
      number,
    ];
    // In the middle of 6 m: P·L/4.
    expect(more).toBeCloseTo((down * 6) / 4, 2);
    const check = rows().find(({ id, about }) => id === 'beam.ridden' && about.id === 'b0')!;
    expect(check.demand! / 1e3).toBeCloseTo(more + lies, 1);
    // Ropes of 55° pull down with sin 55° of what they pull.
    const pulls = rows().filter(({ id, about }) => id === 'brace.sway' && about.id.startsWith('p0 '));
    expect(down * 1e3).toBeGreaterThan(Math.max(...pulls.map(({ demand }) => demand!)) * Math.sin((55 * Math.PI) / 180) - 5);
    expect(down * 1e3).toBeLessThan(pulls.reduce((sum, { demand }) => sum + demand!, 0) * Math.sin((55 * Math.PI) / 180));
    const steep =
      (deg: number): Edit =>
      (plan) => {
        for (const one of plan.structure.braces) if (one.a.piece.startsWith('p')) one.slopeDeg = deg;
        for (const one of plan.structure.supports) one.capacity = 200e3;
      };
    const base = (deg: number) => rows(steep(deg)).find(({ id, about }) => id === 'support.sway' && about.id === 'f-c4' && about.part === 'down')!.demand!;
    // Nothing else pulls at the fourth column than what comes by the posts: more, the steeper the ropes.
    expect(base(75)).toBeGreaterThan(base(30) * 1.005);
    const brought = (deg: number) => {
      const plan = made(steep(deg));
      const last = checksAt(evaluateWhole(plan, TODAY), plan.moves.at(-1)!.id);
      return last.find(({ id, about }) => id === 'joint.sway' && about.id === 'b0a')!.demand!;
    };
    expect(brought(75)).toBeGreaterThan(brought(30));
  });
  test('the bolts of its foot hand on what pushes it, and hold it down where it is lifted', () => {
    const wind =
      (gust: number): Edit =>
      (plan) =>
        (plan.site.standingGust = gust);
    const demand = (gust: number) => rows(wind(gust)).find(({ id, about }) => id === 'joint.sway' && about.id === 's0')!.demand!;
    // Half of the wind on it, at the least, and that grows with the square of the gust.
    expect(demand(30)).toBeGreaterThan(3.5 * demand(15));
    expect(told((plan) => (jointOf(plan, 's0').boltShear = null), 'joint.sway', 's0')).toEqual([
      expect.stringMatching(/^missing: What may one bolt of s0 carry/),
    ]);
    expect(told((plan) => (wind(40)(plan), (jointOf(plan, 's0').boltShear = 50)), 'joint.sway', 's0')).toEqual([expect.stringMatching(/^stop/)]);
  });
  test('a rope at its foot holds the girder there', () => {
    // In place of the ropes at the heads of two columns.
    const low: Edit = (plan) => {
      for (const one of plan.structure.braces) if (/^c[13] (0|180)$/.test(one.id)) one.a = { piece: one.a.piece === 'c1' ? 'p0' : 'p5', at: 0 };
      const fixes = plan.moves.filter((move) => move.kind === 'brace.fix' && /^c[13] (0|180)$/.test(move.brace));
      without(plan, (move) => fixes.includes(move));
      plan.moves.push(...fixes);
    };
    const plan = made(low);
    const end = checksAt(evaluateWhole(plan, TODAY), plan.moves.at(-1)!.id);
    expect(end.filter(({ id, about }) => id === 'brace.sway' && about.id === 'c1 0')).toMatchObject([{ verdict: 'clear' }]);
  });
  test('struts that push its head up lift it off the beam, and what it carries leans on its bolts', () => {
    const demand = (edit: Edit) => rows(edit).find(({ id, about }) => id === 'joint.sway' && about.id === 's0')!;
    const struts: Edit = (plan) => {
      for (const one of plan.structure.braces)
        if (one.a.piece === 'p0') Object.assign(one, { kind: 'strut', slopeDeg: 70, stiffness: 3e7, capacity: 500e3, anchor: undefined });
      // One each way: what would pull down on the other side is not there.
      plan.structure.braces = plan.structure.braces.filter(({ id }) => id !== 'p0 180' && id !== 'p0 270');
      without(plan, (move) => move.kind === 'brace.fix' && (move.brace === 'p0 180' || move.brace === 'p0 270'));
      plan.site.standingGust = 60;
    };
    const lifted = words(demand(struts), 'metric').replace(/[\u00a0\u202f]/g, ' ');
    expect(Number(/is lifted with ([\d.]+) kN/.exec(lifted)![1])).toBeGreaterThan(1);
    expect(demand((plan) => loaded(plan, 90e3)).demand! - demand(() => undefined).demand!).toBeGreaterThan(90e3 * 0.002);
  });
  test('off the middle of the girder it comes down more on the nearer end', () => {
    const off =
      (x: number, deg: number): Edit =>
      (plan) => {
        for (const one of plan.structure.pieces)
          if (['p0', 'p5', 't'].includes(one.id)) Object.assign(one, { from: { ...one.from!, x }, to: { ...one.to!, x } });
        for (const one of ['s0', 's5']) jointOf(plan, one).b.at = x;
        for (const one of plan.structure.braces) if (one.a.piece.startsWith('p')) one.slopeDeg = deg;
      };
    const brought = (x: number, deg: number) => {
      const plan = made(off(x, deg));
      return checksAt(evaluateWhole(plan, TODAY), plan.moves.at(-1)!.id).find(({ id, about }) => id === 'joint.sway' && about.id === 'b0a')!.demand!;
    };
    const [nearer, middle] = [2, 3].map((x) => brought(x, 80) - brought(x, 45));
    // Two thirds of it against a half.
    expect(nearer! / middle!).toBeGreaterThan(1.25);
    expect(nearer! / middle!).toBeLessThan(1.42);
  });
  test('may be loaded when it stands; while it hangs it may not, and a beam still has to be held at two places', () => {
    const at =
      (move: string): Edit =>
      (plan) => {
        loaded(plan, 5e3);
        const on = plan.moves.pop()!;
        plan.moves.splice(plan.moves.findIndex(({ id }) => id === move) + 1, 0, on);
      };
    expect(told(at('v22'), 'load.held', 'p0')).toEqual([expect.stringMatching(/^clear: P0 stands when Plant comes on/)]);
    expect(told(at('v1'), 'load.held', 'p0')).toEqual([expect.stringMatching(/^stop: Plant, 5.00 kN, comes on P0, which does not stand by itself yet/)]);
    const onBeam: Edit = (plan) => (loaded(plan, 5e3), (plan.structure.loads[0]!.piece = 'b0'));
    expect(told(onBeam, 'load.held', 'b0')).toEqual([expect.stringMatching(/^clear: B0 is held at 2 places/)]);
  });
});
