import { evaluated } from '../../../../tests/evaluated';
import { linkSpan, passengerCanopy } from '../../../../tests/demo-plan';
import { segmentToOutline } from '../../geometry/plane';
import { describe as say } from '../../verdict/describe';
import type { Plan, PowerLine } from '../../document/schema';

const line = (over: Partial<PowerLine>): PowerLine => ({
  id: 'l9',
  name: 'Yard feeder',
  from: { x: 20, y: -30 },
  to: { x: 20, y: 30 },
  height: 12,
  volts: 20000,
  ...over,
});
const row = (plan: Plan, id: string, about: string) =>
  evaluated(plan, '2026-11-30').checks.find((one) => one.id === id && (one.about.id === about || one.about.part === about));
const canopy = (over: Partial<PowerLine>) => {
  const plan = passengerCanopy();
  plan.site.powerLines = [line(over)];
  return row(plan, 'steel.powerLine', 'l9')!;
};
const link = (over: Partial<PowerLine>, edit: (plan: Plan) => unknown = () => undefined) => {
  const plan = linkSpan();
  plan.site.powerLines = [line(over)];
  edit(plan);
  return row(plan, 'launch.powerLine', 'l9')!;
};

test('a line beside an outline, past its corner and over it', () => {
  const square = [
    { x: 0, y: 0 },
    { x: 2, y: 0 },
    { x: 2, y: 2 },
    { x: 0, y: 2 },
  ];
  expect(segmentToOutline({ x: 5, y: -9 }, { x: 5, y: 9 }, square)).toBeCloseTo(3, 12);
  expect(segmentToOutline({ x: 5, y: 6 }, { x: 9, y: 6 }, square)).toBeCloseTo(5, 12);
  // In line with a side, and beyond it.
  expect(segmentToOutline({ x: 3, y: 0 }, { x: 9, y: 0 }, square)).toBeCloseTo(1, 12);
  expect(segmentToOutline({ x: -4, y: 1 }, { x: 9, y: 1.5 }, square)).toBe(0);
});

test('the canopy’s steel, by hand: the nearest piece, across and upwards', () => {
  // Its columns of HEB 180 stand at x = 0 and reach up to 4.2 m; 5 mm of each side are left for touching.
  const west = canopy({ from: { x: -4, y: -30 }, to: { x: -4, y: 30 }, height: 7.2 });
  expect(west.capacity).toBeCloseTo(Math.hypot(4 - 0.09 + 0.005, 3), 3);
  expect(west).toMatchObject({ verdict: 'clear', demand: 3 });
  // Right over it: up from what reaches highest.
  const over = canopy({ from: { x: 0, y: -30 }, to: { x: 0, y: 30 }, height: 6.5 });
  expect(over.capacity).toBeLessThan(2.31);
  expect(over.verdict).toBe('stop');
  expect(say(over, 'metric')).toMatch(/comes to stand within .* of Yard feeder; it asks for 3\.00/);
  expect(canopy({ volts: null })).toBeUndefined();
  expect(canopy({ ownerAsks: 40 })).toMatchObject({ verdict: 'stop', demand: 40 });
});

test('steel over a line is as near to it as that is below it', () => {
  const plan = linkSpan();
  plan.site.powerLines = [line({ height: 3 })];
  const lowest = Math.min(...plan.structure.pieces.flatMap(({ from, to }) => [from!.z, to!.z]));
  expect(row(plan, 'steel.powerLine', 'l9')!.capacity).toBeCloseTo(lowest - 3, 2);
  plan.site.powerLines = [line({ height: lowest - 2 })];
  expect(row(plan, 'steel.powerLine', 'l9')).toMatchObject({ verdict: 'stop' });
});

test('a launch goes under a line: its top on the rollers, by hand', () => {
  const plan = linkSpan();
  const girders = plan.structure.pieces.filter(({ id }) => /^g1-/.test(id));
  const level = Math.max(...girders.flatMap(({ from, to }) => [from!.z, to!.z]));
  const { made } = plan.structure.makes.find(({ id }) => id === girders[0]!.make)!;
  if (made.kind !== 'girder') throw new Error('no girder');
  const deep = made.webDepth + made.topFlange.thickness + made.bottomFlange.thickness;
  const top = level + deep + plan.launches![0]!.over!;
  const across = link({ height: 12 });
  expect(across.capacity).toBeCloseTo(12 - top, 6);
  expect(across.verdict).toBe(12 - top < 3 ? 'stop' : 'clear');
  expect(link({ height: top + 2.9 })).toMatchObject({ verdict: 'stop', demand: 3 });
  expect(link({ height: top + 4 })).toMatchObject({ verdict: 'clear' });
  expect(say(link({ height: top + 2.9 }), 'metric')).toMatch(/its nose included, is pushed within 2\.90.* of Yard feeder; it asks for 3\.00/);
  // Ahead of where it ends the nose reaches; behind it the yard is.
  expect(link({ from: { x: 65, y: -30 }, to: { x: 65, y: 30 }, height: top + 1 })).toMatchObject({ verdict: 'stop' });
  expect(link({ from: { x: -20, y: -30 }, to: { x: -20, y: 30 }, height: top + 1 })).toMatchObject({ verdict: 'stop' });
  expect(link({ from: { x: 120, y: -30 }, to: { x: 120, y: 30 }, height: top + 1 })).toMatchObject({ verdict: 'clear' });
});

test('what is not known of a line is asked where nothing else asks it', () => {
  const unplaced = { from: null, to: null, height: null };
  expect(link(unplaced)).toMatchObject({ verdict: 'missing' });
  expect(link({ volts: null })).toMatchObject({ verdict: 'missing' });
  const plan = linkSpan();
  plan.site.powerLines = [line(unplaced)];
  expect(row(plan, 'steel.powerLine', 'l9')).toMatchObject({ verdict: 'missing' });
  // The picks of the canopy ask it already.
  const lifted = passengerCanopy();
  lifted.site.powerLines = [line(unplaced)];
  expect(row(lifted, 'steel.powerLine', 'l9')).toBeUndefined();
  expect(evaluated(lifted, '2026-11-30').checks.some(({ id, verdict }) => id === 'stand.powerLine' && verdict === 'missing')).toBe(true);
});
