import { passengerCanopy, quayFootbridge, vehicleRamp } from '../../../tests/demo-plan';
import { applyCommand, takeBack } from './apply';
import { evaluate } from '../evaluate';
import { copyPieces, movePieces, shifted, type Shift } from './many-places';
import type { Plan } from '../document/schema';

const fresh = () => {
  let n = 0;
  return (prefix: string) => `${prefix}-new-${(n += 1)}`;
};
const by = (x: number, y: number, z = 0): Shift => ({ kind: 'by', x, y, z });
const across = (axis: 'x' | 'y', at: number): Shift => ({ kind: 'mirror', across: axis, at });

const copied = (plan: Plan, ids: Iterable<string>, shift: Shift, count = 1): Plan => {
  const done = applyCommand(plan, { name: 'addStructure', args: copyPieces(plan, new Set(ids), shift, count, fresh()) });
  if (!done.ok) throw new Error(done.faults[0]!.error);
  return done.plan;
};
const moved = (plan: Plan, ids: Iterable<string>, shift: Shift): Plan => {
  const done = applyCommand(plan, { name: 'editEach', args: movePieces(plan, new Set(ids), shift) });
  if (!done.ok) throw new Error(done.faults[0]!.error);
  return done.plan;
};
const all = (plan: Plan) => plan.structure.pieces.map(({ id }) => id);

describe('put elsewhere', () => {
  test('by so much, and in a mirror along a line: lopsided, by hand', () => {
    expect(shifted({ x: 1, y: 2, z: 3 }, by(10, -5, 0.5))).toEqual({ x: 11, y: -3, z: 3.5 });
    expect(shifted({ x: 1, y: 2, z: 3 }, across('x', 4))).toEqual({ x: 7, y: 2, z: 3 });
    expect(shifted({ x: 1, y: 2, z: 3 }, across('y', 4))).toEqual({ x: 1, y: 6, z: 3 });
    expect(shifted({ x: 0.1, y: 0.2, z: 0 }, by(0.2, 0.1))).toEqual({ x: 0.3, y: 0.3, z: 0 });
  });

  test('ends and levels go along, what was surveyed there is asked again, and one undo brings all of it back', () => {
    const plan = quayFootbridge();
    const { structure } = moved(plan, all(plan), by(0, 0, 0.25));
    structure.pieces.forEach(({ from }, i) => expect(from!.z).toBeCloseTo(plan.structure.pieces[i]!.from!.z + 0.25, 6));
    structure.supports.forEach(({ level, measured }, i) => {
      const was = plan.structure.supports[i]!;
      if (was.level !== null) expect(level).toBeCloseTo(was.level + 0.25, 6);
      expect(measured).toBeNull();
    });
    const done = applyCommand(plan, { name: 'editEach', args: movePieces(plan, new Set(all(plan)), by(1, 1)) });
    if (!done.ok) throw new Error('refused');
    expect(takeBack(done.plan, done.inverse)).toEqual(plan);
  });

  test('a pier that also carries a piece that stays keeps its level and its survey', () => {
    const plan = quayFootbridge();
    const [one, other] = plan.structure.pieces;
    const pier = plan.structure.supports[0]!;
    pier.level = 5;
    pier.seats = [
      { piece: one!.id, at: 0 },
      { piece: other!.id, at: 0 },
    ];
    expect(moved(plan, [one!.id], by(0, 0, 1)).structure.supports[0]!.level).toBe(5);
    expect(moved(plan, [one!.id, other!.id], by(0, 0, 1)).structure.supports[0]!.level).toBe(6);
  });

  test('a guy points the other way in a mirror, and is left where its piece stays', () => {
    const plan = passengerCanopy();
    const guy = plan.structure.braces.findIndex(({ towardsDeg }) => towardsDeg !== null);
    const column = plan.structure.braces[guy]!.a.piece;
    plan.structure.braces[guy]!.towardsDeg = 30;
    expect(moved(plan, [column], across('x', 0)).structure.braces[guy]!.towardsDeg).toBe(150);
    expect(moved(plan, [column], across('y', 0)).structure.braces[guy]!.towardsDeg).toBe(330);
    expect(moved(plan, [column], by(3, 0)).structure.braces[guy]!.towardsDeg).toBe(30);
    expect(moved(plan, [all(plan).find((id) => id !== column)!], across('x', 0)).structure.braces[guy]!.towardsDeg).toBe(30);
  });
});

describe('set once more', () => {
  test('twice, 6 m apart: pieces, supports, joints, braces and all their moves, each with an id and a name of its own', () => {
    const plan = vehicleRamp();
    const next = copied(plan, all(plan), by(0, 20), 2);
    for (const list of ['pieces', 'supports', 'joints', 'braces'] as const) {
      expect([list, next.structure[list].length]).toEqual([list, 3 * plan.structure[list].length]);
      const ids = next.structure[list].map(({ id }) => id);
      expect(new Set(ids).size).toBe(ids.length);
    }
    const names = next.structure.pieces.map(({ mark }) => mark);
    expect(new Set(names).size).toBe(names.length);
    expect(names).toContain('G1.1/3');
    const first = plan.structure.pieces[0]!;
    expect(next.structure.pieces.filter(({ mark }) => mark.startsWith(first.mark)).map(({ from }) => from!.y - first.from!.y)).toEqual([0, 20, 40]);
    // A copy is joined to copies of the same turn.
    const joint = next.structure.joints[plan.structure.joints.length]!;
    const y = (id: string) => next.structure.pieces.find((one) => one.id === id)!.from!.y;
    const was = plan.structure.joints[0]!;
    expect(y(joint.a.piece) - plan.structure.pieces.find(({ id }) => id === was.a.piece)!.from!.y).toBe(20);
    expect(y(joint.b.piece) - plan.structure.pieces.find(({ id }) => id === was.b.piece)!.from!.y).toBe(20);
    const kinds = (one: Plan, kind: string) => one.moves.filter((move) => move.kind === kind).length;
    for (const kind of ['piece.hang', 'joint.make', 'brace.fix', 'support.ready', 'piece.letGo'])
      expect([kind, kinds(next, kind)]).toEqual([kind, 3 * kinds(plan, kind)]);
    // The crane leaves after the copies too.
    const at = (one: (kind: string) => boolean) => next.moves.findLastIndex(({ kind }) => one(kind));
    expect(at((kind) => kind === 'piece.hang')).toBeLessThan(at((kind) => kind === 'crane.leave'));
  });

  test('what is of one thing alone is asked of the copy', () => {
    const plan = passengerCanopy();
    const before = plan.structure.supports.length;
    plan.structure.supports[0]!.anchors!.repaired = true;
    plan.structure.supports[0]!.anchors!.repairedBy = 'K. Osei';
    Object.assign(plan.structure.supports[0]!, { holdsDown: 9e3, holdsMoment: 5e3 });
    Object.assign(plan.structure.supports[0]!.footing!, { erection: { strength: 12e6, by: 'M. Lindqvist', on: '2026-11-01' } });
    plan.structure.supports[1]!.footing = { kind: 'other', what: 'rock, seen by M. Lindqvist' };
    const next = copied(plan, all(plan), by(0, 100));
    const support = next.structure.supports[before]!;
    expect(support).toMatchObject({ measured: null, anchors: { repaired: false }, footing: { result: null, by: '', on: '' } });
    expect(support.anchors).not.toHaveProperty('repairedBy');
    expect(support.footing).not.toHaveProperty('erection');
    expect(support).not.toHaveProperty('holdsMoment');
    expect([support.holdsDown, next.structure.supports[before + 1]!.footing]).toEqual([null, null]);
    const copies = new Set(next.structure.pieces.slice(plan.structure.pieces.length).map(({ id }) => id));
    for (const move of next.moves) {
      if (move.kind === 'piece.hang' && copies.has(move.beam)) expect([move.pick, move.checkedBy]).toEqual([null, undefined]);
      if (move.kind === 'beam.plumb' && copies.has(move.beam)) expect(move.off).toBeNull();
    }
    expect(next.structure.pieces.slice(plan.structure.pieces.length).every(({ lies, weighed }) => lies === undefined && weighed === null)).toBe(true);
    const rows = evaluate(next, '2026-11-27').checks;
    expect(rows.filter(({ verdict, about }) => verdict === 'missing' && (copies.has(about.id) || copies.has(about.part ?? ''))).length).toBeGreaterThan(20);
  });

  test('a bay set once more is joined to the column that stands where the next bay begins', () => {
    const plan = passengerCanopy();
    const { pieces, joints } = plan.structure;
    const named = (mark: string) => pieces.find((one) => one.mark === mark)!;
    // The beam along from A1 to B1, a bay further on, stands between B1 and C1.
    const beam = named('B-AB1');
    const step = named('C-B1').from!.x - named('C-A1').from!.x;
    const without = applyCommand(plan, { name: 'removeFrom', args: { list: 'beams', id: named('B-BC1').id } });
    if (!without.ok) throw new Error(without.faults[0]!.error);
    const next = copied(without.plan, [beam.id], by(step, named('C-B1').from!.y - named('C-A1').from!.y));
    const copy = next.structure.pieces.at(-1)!;
    const onto = next.structure.joints.filter(({ a }) => a.piece === copy.id).map(({ b }) => next.structure.pieces.find(({ id }) => id === b.piece)!.mark);
    expect(onto).toEqual(['C-B1', 'C-C1']);
    // Where nothing stands it is joined to nothing.
    const alone = copied(plan, [beam.id], by(0, 500));
    expect(alone.structure.joints).toHaveLength(joints.length);
  });

  test('copies come in after the last move of what they are copied from', () => {
    const plan = quayFootbridge();
    const beam = plan.structure.pieces[0]!;
    const { at, moves } = copyPieces(plan, new Set([beam.id]), by(0, 30), 1, fresh());
    const last = plan.moves.reduce((found, move, i) => ('beam' in move && move.beam === beam.id ? i : found), -1);
    expect(at!).toBeGreaterThan(last);
    expect(moves.length).toBeGreaterThan(0);
    expect(copyPieces(plan, new Set(['no such']), by(0, 30), 1, fresh())).toMatchObject({ pieces: [], moves: [], at: plan.moves.length });
  });
});
