import { joint, portal } from '../../../../tests/portal';
import { describe as words } from '../../verdict/describe';
import { openPlan } from '../../document/open';
import type { Check } from '../../verdict/check';
import type { Plan } from '../../document/schema';
import { checksAt, evaluateWhole } from '../../evaluate';
import { bendsBy, givesBy, sharesOf, type Between } from './rests';

const TODAY = '2026-12-01';
const IN = 0.0254;
const BEAM = 2e11 * 307 * IN ** 4;

/** The portal with no joist to a wall, whose ropes square to the beam are tied so far along it, after it is hung; null: on the first column. */
function roped(at: number | null, edit: (plan: Plan) => unknown = () => undefined): Plan {
  const plan = portal();
  plan.site.standingGust = 15;
  const { structure } = plan;
  if (at !== null) for (const one of structure.braces) if (one.towardsDeg === 90 || one.towardsDeg === 270) one.a = { piece: 'b1', at };
  // The wall the joist is pocketed in would take all that comes square to the beam.
  structure.pieces = structure.pieces.filter(({ id }) => id !== 'j1');
  structure.joints = structure.joints.filter(({ id }) => id !== 'n3');
  structure.supports = structure.supports.filter(({ id }) => id !== 'w');
  plan.moves = plan.moves.filter(
    (move) => !(('beam' in move && move.beam === 'j1') || ('joint' in move && move.joint === 'n3') || ('support' in move && move.support === 'w')),
  );
  edit(plan);
  return plan;
}
function atEnd(plan: Plan): Check[] {
  const opened = openPlan(structuredClone(plan));
  if (!opened.ok) throw new Error(opened.faults.map(({ path, error }) => `${path}: ${error}`).join('\n'));
  return checksAt(evaluateWhole(opened.plan, TODAY), opened.plan.moves.at(-1)!.id);
}
const demand = (rows: readonly Check[], id: string, about: string) => rows.find((one) => one.id === id && one.about.id === about)?.demand ?? null;
const text = (rows: readonly Check[], id: string, about: string) =>
  words(
    rows.find((one) => one.id === id && one.about.id === about)!,
    'metric',
  ).replace(/[\u00a0\u202f]/g, ' ');

describe('a rope tied to the middle of a beam', () => {
  test('pulls it down: P·L/4 on top of what lies on it', () => {
    const rows = atEnd(roped(3));
    const pull = Math.max(...['y2', 'y4'].map((id) => demand(rows, 'brace.sway', id)!));
    const [force, bends, lies] = /up to ([\d.]+) kN more: that bends it ([\d.]+) kN·m over the ([\d.]+) kN·m/
      .exec(text(rows, 'beam.ridden', 'b1'))!
      .slice(1)
      .map(Number) as [number, number, number];
    expect(force).toBeCloseTo((pull * Math.SQRT1_2) / 1e3, 2);
    expect(bends).toBeCloseTo((force * 6) / 4, 2);
    expect(demand(rows, 'beam.ridden', 'b1')! / 1e3).toBeCloseTo(bends + lies, 1);
    expect(lies).toBeCloseTo(demand(rows, 'beam.bending', 'b1')! / 1e3, 1);
  });
  test('near its end bends it less, by a·b/L, and on a column not at all', () => {
    const bends = (at: number) => {
      const rows = atEnd(roped(at));
      const found = rows.find(({ id }) => id === 'beam.ridden');
      return found
        ? Number(/bends it ([\d.]+) kN·m/.exec(text(rows, 'beam.ridden', 'b1'))![1]) / Math.max(...['y2', 'y4'].map((id) => demand(rows, 'brace.sway', id)!))
        : 0;
    };
    expect(bends(1.5) / bends(3)).toBeCloseTo((1.5 * 4.5) / (3 * 3), 1);
    expect(bends(0.5) / bends(3)).toBeCloseTo((0.5 * 5.5) / (3 * 3), 1);
    expect(atEnd(roped(null)).some(({ id }) => id === 'beam.ridden')).toBe(false);
  });
  test('gives as the beam gives under it', () => {
    const stiffness = (plan: Plan) => {
      const trace = atEnd(plan).find(({ id, traces }) => id === 'frame.second' && traces.length > 0)!.traces[0]!;
      return (trace.input as { braces: { id: string; stiffness: number }[] }).braces.find(({ id }) => id === 'y2')!.stiffness;
    };
    expect(stiffness(roped(null))).toBeCloseTo(3e6, 0);
    const under = (3 * 3) ** 2 / (3 * BEAM * 6);
    expect(stiffness(roped(3)) / (1 / (1 / 3e6 + under / 2))).toBeCloseTo(1, 2);
  });
  test('presses the joints of the beam by its share', () => {
    // What the rope pulls grows with the gust: so does what its share brings onto the joint.
    const brings = (at: number, gust: number) =>
      Number(/carries ([\d.]+) kN and in the wind/.exec(text(atEnd(roped(at, (plan) => (plan.site.standingGust = gust))), 'joint.sway', 'n1'))![1]);
    const pull = (gust: number) => {
      const rows = atEnd(roped(3, (plan) => (plan.site.standingGust = gust)));
      return (Math.max(...['y2', 'y4'].map((id) => demand(rows, 'brace.sway', id)!)) * Math.SQRT1_2) / 1e3;
    };
    expect((brings(3, 50) - brings(3, 15)) / ((pull(50) - pull(15)) / 2)).toBeCloseTo(1, 1);
  });
});

test('two struts that meet under the middle of a beam hold each other up: one pulls it down as the other pushes it up', () => {
  const chevron = (ways: readonly number[]) =>
    atEnd(
      roped(null, (plan) => {
        const { structure } = plan;
        const rope = structure.braces[0]!;
        structure.braces = structure.braces.filter(({ towardsDeg }) => towardsDeg === 90 || towardsDeg === 270);
        const struts = ways.map((way) => ({
          ...structuredClone(rope),
          id: `s${way}`,
          name: `s${way}`,
          kind: 'strut' as const,
          a: { piece: 'b1', at: 3 },
          towardsDeg: way,
          anchor: null,
        }));
        structure.braces.push(...struts);
        const first = plan.moves.findIndex(({ kind }) => kind === 'brace.fix');
        plan.moves = plan.moves.filter((move) => move.kind !== 'brace.fix' || structure.braces.some(({ id }) => id === move.brace));
        plan.moves.splice(first, 0, ...struts.map(({ id }) => ({ id: `fix ${id}`, kind: 'brace.fix' as const, brace: id })));
      }),
    );
  const presses = (rows: readonly Check[]) => {
    const found = rows.some(({ id }) => id === 'beam.ridden') ? /up to ([\d.]+) kN more/.exec(text(rows, 'beam.ridden', 'b1')) : null;
    return found ? Number(found[1]) : 0;
  };
  const [one, both] = [chevron([0]), chevron([0, 180])].map(presses);
  expect(one).toBeGreaterThan(0.2);
  expect(both!).toBeLessThan(0.1 * one!);
});

test('a knee bends the beam it comes to', () => {
  const plan = roped(null, ({ structure, moves }) => {
    structure.braces = structure.braces.filter(({ towardsDeg }) => towardsDeg === 90 || towardsDeg === 270);
    moves.splice(0, moves.length, ...moves.filter((move) => move.kind !== 'brace.fix' || structure.braces.some(({ id }) => id === move.brace)));
    structure.makes.push({
      ...structuredClone(structure.makes[0]!),
      id: 'kn',
      mark: 'K',
      made: { kind: 'section', section: 'HSS4x4x1/4' },
      length: Math.hypot(1.7, 1.7),
    });
    structure.pieces.push({ id: 'k1', mark: 'K1', make: 'kn', weighed: null, from: { x: 0, y: 0, z: 2 }, to: { x: 1.7, y: 0, z: 3.7 } });
    structure.joints.push(
      joint({ id: 'k1a', kind: 'onColumn', a: { piece: 'k1', at: 0 }, b: { piece: 'c1', at: 2 } }),
      joint({ id: 'k1b', kind: 'onWeb', a: { piece: 'k1', at: Math.hypot(1.7, 1.7) }, b: { piece: 'b1', at: 1.7 } }),
    );
    moves.push(
      { id: 'kh', kind: 'piece.hang', beam: 'k1', by: 'hand line, K. Osei', checkedBy: 'L. Marsh' },
      { id: 'ka', kind: 'joint.make', joint: 'k1a', pins: 0, bolts: 4, tight: true, fit: 'drawn' },
      { id: 'kb', kind: 'joint.make', joint: 'k1b', pins: 0, bolts: 4, tight: true, fit: 'drawn' },
      { id: 'kl', kind: 'piece.letGo', beam: 'k1', keeps: 0 },
    );
  });
  const rows = atEnd(plan);
  const pulled = Number(/pull K1 with ([\d.]+) kN/.exec(text(rows, 'diagonal.sway', 'k1'))![1]);
  expect(pulled).toBeGreaterThan(0.5);
  const [force, bends] = /up to ([\d.]+) kN more: that bends it ([\d.]+) kN·m/
    .exec(text(rows, 'beam.ridden', 'b1'))!
    .slice(1)
    .map(Number) as [number, number];
  expect(force / (pulled * Math.SQRT1_2)).toBeCloseTo(1, 1);
  expect(bends / ((force * 1.7 * 4.3) / 6)).toBeCloseTo(1, 1);
});

describe('a place between two rests', () => {
  const between = (left: number | null, right: number | null) =>
    ({ left: left === null ? null : { key: 'l', off: left }, right: right === null ? null : { key: 'r', off: right } }) as Between;
  test('bends by a·b/L, gives by a²b²/3EIL, and shares by the lever', () => {
    expect(bendsBy(between(2, 4))).toBeCloseTo(8 / 6, 12);
    expect(givesBy(between(2, 4), 1e6)).toBeCloseTo(64 / (3e6 * 6), 15);
    expect(sharesOf(between(2, 4))).toEqual([
      { key: 'l', share: 4 / 6 },
      { key: 'r', share: 2 / 6 },
    ]);
  });
  test('past the last rest bends by the whole arm, and is all on that rest', () => {
    expect(bendsBy(between(1.5, null))).toBe(1.5);
    expect(bendsBy(between(null, 1.5))).toBe(1.5);
    expect(givesBy(between(1.5, null), 1e6)).toBeGreaterThan(1.5 ** 3 / 3e6);
    expect(sharesOf(between(null, 2))).toEqual([{ key: 'r', share: 1 }]);
    expect(sharesOf(between(null, null))).toEqual([]);
    expect(bendsBy(between(null, null))).toBe(0);
  });
});
