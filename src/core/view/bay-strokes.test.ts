import { passengerCanopy, vehicleRamp } from '../../../tests/demo-plan';
import { portal } from '../../../tests/portal';
import { bayStrokes } from './bay-strokes';

const points = (d: string): { x: number; y: number }[] => [...d.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => ({ x: Number(x), y: Number(y) }));

test('each placed piece is one stroke inside the box; what has no place has none', () => {
  for (const plan of [passengerCanopy(), vehicleRamp(), portal()]) {
    const { strokes } = bayStrokes(plan, 80, 30);
    expect(strokes.size).toBe(plan.structure.pieces.length);
    for (const d of strokes.values()) {
      const ends = points(d);
      expect(ends).toHaveLength(2);
      for (const { x, y } of ends) {
        expect(x).toBeGreaterThanOrEqual(2 - 1e-9);
        expect(x).toBeLessThanOrEqual(78 + 1e-9);
        expect(y).toBeGreaterThanOrEqual(2 - 1e-9);
        expect(y).toBeLessThanOrEqual(28 + 1e-9);
      }
    }
  }
  const plan = portal();
  plan.structure.pieces[1]!.to = null;
  expect([...bayStrokes(plan, 80, 30).strokes.keys()]).toEqual(['c1', 'b1', 'j1']);
  plan.structure.pieces = [];
  expect(bayStrokes(plan, 80, 30).strokes.size).toBe(0);
});

test('columns stand up, beams lie level, and what runs to the back goes right and up', () => {
  const { strokes } = bayStrokes(portal(), 80, 30);
  const [foot, head] = points(strokes.get('c1')!);
  expect(foot!.x).toBe(head!.x);
  expect(foot!.y).toBeGreaterThan(head!.y);
  const [left, right] = points(strokes.get('b1')!);
  expect(left!.y).toBe(right!.y);
  expect(right!.x).toBeGreaterThan(left!.x);
  const [near, far] = points(strokes.get('j1')!);
  expect(far!.x).toBeGreaterThan(near!.x);
  expect(far!.y).toBeLessThan(near!.y);
});

test('lines of a bridge one behind the other are strokes apart, also where it runs north', () => {
  const ramp = vehicleRamp();
  const north = structuredClone(ramp);
  for (const piece of north.structure.pieces) for (const end of [piece.from!, piece.to!]) [end.x, end.y] = [-end.y, end.x];
  for (const plan of [ramp, north]) {
    const all = [...bayStrokes(plan, 80, 30).strokes.values()];
    expect(new Set(all).size).toBe(all.length);
  }
  // Turned by a quarter it is the same picture.
  expect([...bayStrokes(north, 80, 30).strokes.values()]).toEqual([...bayStrokes(ramp, 80, 30).strokes.values()]);
});

test('one piece alone, or one that is a point from the side, is drawn and not out of the box', () => {
  const plan = portal();
  plan.structure.pieces = plan.structure.pieces.filter(({ id }) => id === 'c1');
  for (const { x, y } of points(bayStrokes(plan, 80, 30).strokes.get('c1')!)) {
    expect(x).toBeCloseTo(40, 6);
    expect([2, 28]).toContain(y);
  }
  plan.structure.pieces[0]!.to = { ...plan.structure.pieces[0]!.from! };
  expect(bayStrokes(plan, 80, 30).strokes.get('c1')).toBe('M40.0 15.0L40.0 15.0');
});

test('a launch is all that is pushed with it', () => {
  const plan = portal();
  const one = { id: 'l1', pieces: [{ piece: 'b1' }, { piece: 'j1' }, { piece: 'gone' }] };
  const { strokes } = bayStrokes({ structure: plan.structure, launches: [one] as unknown as NonNullable<typeof plan.launches> }, 80, 30);
  expect(strokes.get('l1')).toBe(`${strokes.get('b1')}${strokes.get('j1')}`);
});
