import { portal } from '../../../tests/portal';
import { applyCommand } from './apply';
import type { PlacePiece } from './place-hands';
import type { Plan } from '../document/schema';

const put = (args: PlacePiece, edit: (plan: Plan) => unknown = () => undefined): Plan => {
  const plan = portal();
  edit(plan);
  const done = applyCommand(plan, { name: 'placePiece', args });
  if (!done.ok) throw new Error(done.faults[0]?.error);
  return done.plan;
};
const piece = (plan: Plan, id: string) => plan.structure.pieces.find((one) => one.id === id)!;
const base = (plan: Plan, id: string) => plan.structure.supports.find((one) => one.id === id)!;
const whole = { end: null, step: 0.05, seen: 'above' } as const;

describe('a piece taken whole', () => {
  test('goes to the step, both its ends alike, and its level stays', () => {
    const { from, to } = piece(put({ ...whole, id: 'b1', at: { x: 12.12, y: 9.04, z: 3.7 } }), 'b1');
    expect([from, to]).toEqual([
      { x: 12.1, y: 9.05, z: 3.7 },
      { x: 18.1, y: 9.05, z: 3.7 },
    ]);
  });

  test.each([
    ['its first end near a column', { x: 0.21, y: 0.1, z: 3.7 }, { x: 0, y: 0, z: 3.7 }],
    ['its second end near one', { x: -5.8, y: -0.2, z: 3.7 }, { x: -6, y: 0, z: 3.7 }],
    ['near neither', { x: 0.4, y: 0.2, z: 3.7 }, { x: 0.4, y: 0.2, z: 3.7 }],
  ])('%s', (_, at, from) => {
    // Away from the joist, whose ends would draw it too.
    const plan = put({ ...whole, id: 'b1', at }, (p) => Object.assign(piece(p, 'j1'), { from: { x: 30, y: 0, z: 3.7 }, to: { x: 30, y: 5, z: 3.7 } }));
    expect(piece(plan, 'b1').from).toEqual(from);
  });

  test('free of steps and of what is near it is just there', () =>
    expect(piece(put({ ...whole, id: 'b1', at: { x: 0.213, y: 0.1, z: 3.7 }, step: null }), 'b1').from).toEqual({ x: 0.213, y: 0.1, z: 3.7 }));

  test('from the side it goes up and down, onto what is near in space, and what holds it is surveyed anew', () => {
    const up = put({ ...whole, id: 'j1', at: { x: 3, y: 0, z: 4.72 }, seen: 'side' }, (p) => (base(p, 'w').level = 3.7));
    expect(piece(up, 'j1')).toMatchObject({ from: { z: 4.7 }, to: { z: 4.7 } });
    expect(base(up, 'w')).toMatchObject({ level: 4.7, measured: null });
    const plan = put({ ...whole, id: 'j1', at: { x: 6.1, y: 0.1, z: 4.15 }, seen: 'side' });
    // The head of the second column.
    expect(piece(plan, 'j1').from).toEqual({ x: 6, y: 0, z: 4 });
  });

  test('what two pieces share stays where it was surveyed', () => {
    const plan = put({ ...whole, id: 'j1', at: { x: 9, y: 9, z: 3.7 } }, (p) => base(p, 'w').seats.push({ piece: 'b1', at: 1 }));
    expect(base(plan, 'w').measured).not.toBeNull();
  });
});

describe('a piece taken by an end', () => {
  test('turns about the other one, as long as it is made', () => {
    const plan = put({ id: 'j1', end: 'to', at: { x: 9, y: 8, z: 3.7 }, step: 0.05, seen: 'above' });
    // 6 m and 8 m from its first end, and 5 m long.
    expect(piece(plan, 'j1')).toMatchObject({ from: { x: 3, y: 0, z: 3.7 }, to: { x: 6, y: 4, z: 3.7 } });
    expect(base(plan, 'w').measured).toBeNull();
  });

  test('by its first end, from the side, it rises as it turns', () => {
    const plan = put({ id: 'j1', end: 'from', at: { x: 3, y: 0, z: 7.45 }, step: null, seen: 'side' });
    const { from, to } = piece(plan, 'j1');
    expect(to).toEqual({ x: 3, y: 5, z: 3.7 });
    expect(Math.hypot(from!.x - to!.x, from!.y - to!.y, from!.z - to!.z)).toBeCloseTo(5, 4);
    expect((from!.z - to!.z) / (to!.y - from!.y)).toBeCloseTo(3.75 / 5, 4);
  });

  test('near an end it fits to, as it is drawn; where it does not, along the way there', () => {
    const at = (x: number) =>
      piece(
        put({ id: 'b1', end: 'to', at: { x, y: 0.2, z: 3.7 }, step: 0.05, seen: 'above' }, (p) => (piece(p, 'c2').from!.x = piece(p, 'c2').to!.x = x + 0.05)),
        'b1',
      ).to!;
    expect(at(6)).toEqual({ x: 6.05, y: 0, z: 3.7 });
    expect(at(7)).toEqual({ x: 6, y: 0, z: 3.7 });
  });

  test('its seat goes with it', () => {
    const plan = put({ id: 'j1', end: 'to', at: { x: 3, y: 4, z: 6.7 }, step: null, seen: 'side' }, (p) => (base(p, 'w').level = 3.7));
    expect(piece(plan, 'j1').to).toEqual({ x: 3, y: 4, z: 6.7 });
    expect(base(plan, 'w').level).toBeCloseTo(6.7, 4);
  });

  test('put onto its other end it stays', () => {
    const plan = put({ id: 'j1', end: 'to', at: { x: 3, y: 0, z: 3.7 }, step: null, seen: 'above' });
    expect(piece(plan, 'j1').to).toEqual({ x: 3, y: 5, z: 3.7 });
  });
});

describe('a piece without a place', () => {
  const loose = (p: Plan) => Object.assign(piece(p, 'j1'), { from: null, to: null });
  test('is put down beside the rest, as long as it is made', () => {
    const plan = put({ ...whole, id: 'j1', at: null }, loose);
    expect(piece(plan, 'j1')).toMatchObject({ from: { x: 0, y: -2, z: 0 }, to: { x: 5, y: -2, z: 0 } });
  });
  test('cannot be dragged, and one in its place is not put down again', () => {
    expect(piece(put({ ...whole, id: 'j1', at: { x: 1, y: 1, z: 1 } }, loose), 'j1').from).toBeNull();
    expect(piece(put({ ...whole, id: 'j1', at: null }), 'j1').from).toEqual({ x: 3, y: 0, z: 3.7 });
  });
});
