import { readIfc } from '.';
import { ifcModel, type IfcBar } from '../../../tests/ifc-model';
import { applyCommand } from '@/core/edit/apply';
import { evaluate } from '@/core/evaluate';
import { structureOf, type Refused } from '@/core/edit/import-structure';
import { emptyPlan } from '@/core/edit/templates/base';
import { openPlan } from '@/core/document/open';
import type { Plan } from '@/core/document/schema';

const none: Refused = { joints: new Set(), supports: new Set() };
let count = 0;
const fresh = (prefix: string) => `${prefix}${(count += 1)}`;
const job = { name: 'Canopy', place: 'Wrenholm ferry terminal', units: 'metric', ruleSet: 'us-asd' } as const;

async function into(bars: IfcBar[], { plan = emptyPlan(job), refused = none, sheet = true }: { plan?: Plan; refused?: Refused; sheet?: boolean } = {}) {
  const { rows, placed, asked = [] } = await readIfc(new TextEncoder().encode(ifcModel(bars)));
  const { command, left } = structureOf(plan, { rows, asked }, placed!, refused, sheet, fresh);
  const done = applyCommand(plan, { name: 'addStructure', args: command });
  if (!done.ok) throw new Error(done.faults.map(({ path, error }) => `${path}: ${error}`).join('\n'));
  return { plan: done.plan, left };
}

const frame: IfcBar[] = [
  ...[0, 6].flatMap((x, i) =>
    [0, 5].map((y, j): IfcBar => ({
      mark: `C${i}${j}`,
      kind: 'IFCCOLUMN',
      from: [x, y, j ? 4 : 0],
      to: [x, y, j ? 0 : 4],
      section: 'HEA 200',
      depth: 0.19,
      width: 0.2,
    })),
  ),
  ...[0, 5].map((y, j): IfcBar => ({ mark: `B${j}`, from: [0.1, y, 3.7], to: [5.9, y, 3.7] })),
  { mark: 'J', from: [3, 0.01, 3.6], to: [3, 4.99, 3.6], section: 'IPE 200', depth: 0.2, width: 0.1 },
];

test('a frame comes in where it stands: beams by their underside, columns from their foot, joints and bases with all else open', async () => {
  const { plan, left } = await into(frame);
  const { pieces, joints, supports } = plan.structure;
  expect(left).toEqual([]);
  const piece = (mark: string) => pieces.find((one) => one.mark === mark)!;
  expect(piece('B0')).toMatchObject({ from: { x: 0.1, y: 0, z: 3.55 }, to: { x: 5.9, y: 0, z: 3.55 } });
  // Drawn from its head down, it is turned about.
  expect(piece('C01')).toMatchObject({ from: { x: 0, y: 5, z: 0 }, to: { x: 0, y: 5, z: 4 } });
  expect(joints.map(({ name, kind }) => `${name}: ${kind}`).sort()).toEqual(
    ['B0 on C00', 'B0 on C10', 'B1 on C01', 'B1 on C11'].map((one) => `${one}: onColumn`).concat(['J on B0: onWeb', 'J on B1: onWeb']),
  );
  expect(joints.find(({ name }) => name === 'B1 on C01')!.b.at).toBeCloseTo(3.7, 5);
  expect(supports.map(({ name, kind, seats }) => [name, kind, seats[0]!.at])).toEqual(
    ['C00', 'C01', 'C10', 'C11'].map((one) => [`Base of ${one}`, 'anchors', 0]),
  );
  expect(joints.every(({ holes, boltShear }) => holes === null && boltShear === null)).toBe(true);
  expect(openPlan(plan).ok).toBe(true);
});

test('its run sheet can be made as it stands; a frame that nothing braces is stopped, and what nobody has said is asked', async () => {
  const { plan } = await into(frame);
  const { checks } = evaluate(plan, '2026-11-28');
  expect(checks.filter(({ verdict }) => verdict === 'stop').map(({ id, subject }) => `${id} ${subject}`)).toEqual([
    'frame.sideways C00, C10, C01, C11',
    'frame.sideways C00, C10, C01, C11',
  ]);
  const asked = new Set(checks.filter(({ verdict }) => verdict === 'missing').map(({ id }) => id));
  for (const id of ['support.measured', 'anchors.count', 'release.ends', 'frame.wind', 'lift.by']) expect([...asked]).toContain(id);
  const orders = checks.filter(({ id }) => id === 'move.order');
  expect(orders.length).toBeGreaterThan(20);
  expect(orders.every(({ verdict }) => verdict === 'clear')).toBe(true);
});

test('refused joints and supports stay out, and what is left is asked about', async () => {
  const { plan } = await into(frame, { refused: { joints: new Set([0]), supports: new Set([1]) } });
  expect(plan.structure.joints).toHaveLength(5);
  expect(plan.structure.supports).toHaveLength(3);
  const { checks } = evaluate(plan, '2026-11-28');
  // Its foot was refused: it stands on nothing.
  expect(checks.filter(({ verdict, subject }) => verdict === 'stop' && subject === 'C01').map(({ id }) => id)).toContain('line.stands');
});

test('the same model again changes nothing; without a run sheet no moves come', async () => {
  const { plan } = await into(frame, { sheet: false });
  expect(plan.moves).toEqual([]);
  const again = await into(frame, { plan, sheet: false });
  expect(again.plan.structure).toEqual(plan.structure);
  expect(again.left.join()).toMatch(/7 of these marks stand in the structure already/);
});

test('girders in two pieces: bearings, a splice, and an order in which the second hangs on the first', async () => {
  const { plan } = await into([
    { mark: 'Ga', from: [0, 0, 5], to: [13.995, 0, 5], depth: 0.6 },
    { mark: 'Gb', from: [14.005, 0, 5], to: [24, 0, 5], depth: 0.6 },
  ]);
  expect(plan.structure.supports.map(({ name, kind }) => `${name} ${kind}`)).toEqual(['Bearing of Ga, first end bearing', 'Bearing of Gb, second end bearing']);
  expect(plan.structure.joints.map(({ kind, a, b }) => [kind, a.at.toFixed(2), b.at.toFixed(2)])).toEqual([['splice', '14.00', '0.00']]);
  expect(evaluate(plan, '2026-11-28').checks.filter(({ id, verdict }) => id === 'move.order' && verdict !== 'clear')).toEqual([]);
});

test('a section the model says two ways is neither: the plan asks on', async () => {
  const { plan } = await into(frame.map((one) => (one.mark === 'C00' ? { ...one, section: 'IPE 300' } : one)));
  const made = (mark: string) => plan.structure.makes.find((one) => one.mark === mark)!.made;
  // Named IPE 300 and drawn 190 by 200.
  expect(made('C00')).toEqual({ kind: 'plain', what: 'IPE 300, or as it is drawn?' });
  expect(made('B0')).toEqual({ kind: 'section', section: 'IPE 300' });
});

test('a diagonal is joined to what it comes to at both its ends; what meets askew is not taken as a joint, and is told', async () => {
  const { plan, left } = await into([
    { mark: 'C', kind: 'IFCCOLUMN', from: [0, 0, 0], to: [0, 0, 4], depth: 0.2, width: 0.2 },
    { mark: 'B', from: [0.1, 0, 3.8], to: [6, 0, 3.8] },
    { mark: 'K', kind: 'IFCMEMBER', from: [2, 0, 3.65], to: [0.1, 0, 1.75], depth: 0.08, width: 0.08 },
    // Level, and neither square to the beam nor in line with it.
    { mark: 'S', from: [4, 0, 3.8], to: [5.5, 1.5, 3.8], depth: 0.1, width: 0.1 },
  ]);
  const of = (mark: string) => plan.structure.joints.filter(({ name }) => name.startsWith(`${mark} `)).map(({ kind, name }) => `${kind} ${name}`);
  expect(of('B')).toEqual(['onColumn B on C']);
  expect(of('K').sort()).toEqual(['onColumn K on C', 'onWeb K on B']);
  expect(of('S')).toEqual([]);
  expect(left.join()).toMatch(/1 meet neither in line/);
});

test('a post on a beam stands there by its foot', async () => {
  const { plan } = await into([
    { mark: 'C1', kind: 'IFCCOLUMN', from: [0, 0, 0], to: [0, 0, 4], depth: 0.2, width: 0.2 },
    { mark: 'C2', kind: 'IFCCOLUMN', from: [6, 0, 0], to: [6, 0, 4], depth: 0.2, width: 0.2 },
    { mark: 'B', from: [0.1, 0, 3.8], to: [5.9, 0, 3.8] },
    { mark: 'P', kind: 'IFCCOLUMN', from: [3, 0, 3.95], to: [3, 0, 6.5], depth: 0.15, width: 0.15 },
  ]);
  const { joints, supports, pieces } = plan.structure;
  const post = pieces.find(({ mark }) => mark === 'P')!;
  expect(joints.find(({ a }) => a.piece === post.id)).toMatchObject({ kind: 'seat', name: 'P on B', a: { at: 0 } });
  expect(supports.filter(({ seats }) => seats.some(({ piece }) => piece === post.id))).toEqual([]);
});
