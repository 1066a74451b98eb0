import { passengerCanopy, quayFootbridge, vehicleRamp } from '../../../tests/demo-plan';
import { evaluate } from '../evaluate';
import { planted } from '../../../tests/planted';
import { braceOf, jointAtEnd, loadOn, pieceMarked, supportUnder, whatMeets } from './meeting';
import { openPlan } from '../document/open';
import type { Plan } from '../document/schema';
import { applyCommand } from './apply';
import type { Command } from './table';

const ids = (): ((prefix: string) => string) => {
  let n = 0;
  return (prefix) => `${prefix}-${(n += 1)}`;
};
const done = (plan: Plan, command: Command): Plan => {
  const result = applyCommand(plan, command);
  if (!result.ok) throw new Error(result.faults[0]?.error);
  return result.plan;
};
/** The canopy with its joints and supports taken out: only its places are left. */
const bare = (plan: Plan): Plan => {
  Object.assign(plan.structure, { joints: [], supports: [], braces: [], loads: [] });
  return plan;
};
const spots = (plan: Plan) =>
  new Set(plan.structure.joints.filter(({ kind }) => kind !== 'splice').map(({ a, b }) => `${a.piece} ${a.at > 0.5 ? 'end' : 'start'} ${b.piece}`));

test('a whole plan has nothing more to be found', () => {
  for (const plan of [passengerCanopy(), vehicleRamp(), quayFootbridge()]) {
    const found = whatMeets(plan, ids());
    expect(found.joints.map(({ thing }) => thing.name)).toEqual([]);
    expect(found.supports.map(({ thing }) => thing.name)).toEqual([]);
  }
});

test('from the places alone the joints and bases of the canopy are found again, and nothing else', () => {
  const whole = passengerCanopy();
  const found = whatMeets(bare(passengerCanopy()), ids());
  const asDrawn = spots(whole);
  const asFound = new Set(found.joints.map(({ thing: { a, b } }) => `${a.piece} ${a.at > 0.5 ? 'end' : 'start'} ${b.piece}`));
  expect(asFound).toEqual(asDrawn);
  expect(found.joints.every(({ why }) => why.length > 0)).toBe(true);
  const columns = whole.structure.pieces.filter(({ from, to }) => from!.x === to!.x && from!.y === to!.y).map(({ id }) => id);
  expect(found.supports.map(({ thing }) => thing.seats[0]!.piece).sort()).toEqual([...columns].sort());
  expect(found.supports.every(({ thing }) => thing.kind === 'anchors' && thing.capacity === null)).toBe(true);
  // What is taken stands in the plan, and is asked for the rest.
  const plan = bare(passengerCanopy());
  plan.structure.joints = found.joints.map(({ thing }) => thing);
  plan.structure.supports = found.supports.map(({ thing }) => thing);
  plan.moves = plan.moves.filter((move) => !/^(support|joint|brace|load)/.test(move.kind));
  expect(openPlan(plan)).toMatchObject({ ok: true });
});

test('a beam over the head of a column is carried by it, a column on a beam stands on a seat', () => {
  const plan = bare(passengerCanopy());
  const piece = (id: string) => plan.structure.pieces.find((one) => one.id === id)!;
  plan.structure.pieces = ['col-0-0', 'along-0-0-0', 'col-1-0'].map(piece);
  // The beam lies on the first column at 2 m, the second column stands on the beam at 4 m.
  Object.assign(piece('along-0-0-0'), { from: { x: -2, y: 0, z: 4.2 }, to: { x: 3, y: 0, z: 4.2 } });
  Object.assign(piece('col-1-0'), { from: { x: 2, y: 0, z: 4.3 }, to: { x: 2, y: 0, z: 8.5 } });
  const found = whatMeets(plan, ids());
  expect(found.joints.map(({ thing: { kind, a, b } }) => ({ kind, a: a.piece, b: b.piece }))).toEqual([
    { kind: 'onColumn', a: 'along-0-0-0', b: 'col-0-0' },
    { kind: 'seat', a: 'col-1-0', b: 'along-0-0-0' },
  ]);
  expect(found.joints[0]!.thing.a.at).toBeCloseTo(2, 6);
  expect(found.joints[1]!.thing.b.at).toBeCloseTo(4, 6);
  expect(found.asked.filter((one) => one.startsWith('What joins'))).toEqual([]);
});

test('of a splice one is found, of what is joined already none', () => {
  const plan = vehicleRamp();
  const [first] = plan.structure.joints.splice(0, 1);
  const found = whatMeets(plan, ids());
  expect(found.joints).toHaveLength(1);
  expect(found.joints[0]!.thing).toMatchObject({ kind: 'splice', holes: null, moment: null });
  expect([found.joints[0]!.thing.a.piece, found.joints[0]!.thing.b.piece].sort()).toEqual([first!.a.piece, first!.b.piece].sort());
});

test('a joint at either end goes to what is nearest there', () => {
  const plan = bare(passengerCanopy());
  expect(jointAtEnd(plan, 'along-0-0-0', 'first', 'j')).toMatchObject({
    kind: 'onColumn',
    a: { piece: 'along-0-0-0', at: 0 },
    b: { piece: 'col-0-0' },
    holes: null,
  });
  const second = jointAtEnd(plan, 'along-0-0-0', 'second', 'j')!;
  expect(second).toMatchObject({ kind: 'onColumn', b: { piece: 'col-1-0' } });
  expect(second.a.at).toBeCloseTo(5, 6);
  expect(second.b.at).toBeGreaterThan(3.9);
  expect(jointAtEnd(vehicleRamp(), 'g1-1', 'second', 'j')).toMatchObject({ kind: 'splice', b: { piece: 'g1-2', at: 0 } });
  // Alone there is nothing to join it to.
  const alone = bare(passengerCanopy());
  alone.structure.pieces = alone.structure.pieces.slice(0, 1);
  expect(jointAtEnd(alone, alone.structure.pieces[0]!.id, 'first', 'j')).toBeNull();
});

test('a base under a column, a bearing at the end of a beam that has none, each at the level it is drawn at', () => {
  const plan = bare(passengerCanopy());
  expect(supportUnder(plan, 'col-0-0', 's')).toMatchObject({ kind: 'anchors', seats: [{ piece: 'col-0-0', at: 0 }], level: 0, along: 'fixed', capacity: null });
  const ramp = vehicleRamp();
  ramp.structure.supports = [];
  const first = supportUnder(ramp, 'g1-1', 's')!;
  expect(first).toMatchObject({ kind: 'bearing', seats: [{ piece: 'g1-1', at: 0 }], level: 6.096 });
  ramp.structure.supports = [first];
  const second = supportUnder(ramp, 'g1-1', 't')!;
  expect(second.seats[0]!.at).toBeCloseTo(19.2024, 3);
  ramp.structure.supports = [first, second];
  expect(supportUnder(ramp, 'g1-1', 'u')!.seats[0]!.at).toBeCloseTo(9.6012, 3);
});

test('a guy at a column, a cross-frame to the girder beside, a guy where nothing runs beside', () => {
  expect(braceOf(passengerCanopy(), 'col-0-0', 'b')).toMatchObject({ kind: 'guy', b: null, stops: 'sideways', a: { piece: 'col-0-0' }, capacity: null });
  const frame = braceOf(vehicleRamp(), 'g2-1', 'b')!;
  expect(frame).toMatchObject({ kind: 'crossFrame', stops: 'both', mass: null, a: { piece: 'g2-1' } });
  expect(['g1-1', 'g3-1']).toContain(frame.b!.piece);
  expect(frame.b!.at).toBeCloseTo(frame.a.at, 6);
  // Where along them is a guess until somebody says it.
  const guessed = done(vehicleRamp(), { name: 'addTo', args: { list: 'braces', thing: frame } });
  const open = (plan: Plan) => evaluate(plan, '2026-11-30').checks.filter(({ id, about }) => id === 'said.figure' && about.id === 'b').length;
  expect(open(guessed)).toBe(1);
  expect(open(done(guessed, { name: 'editIn', args: { list: 'braces', id: 'b', changes: { a: { piece: 'g2-1', at: 3 }, unsaid: [] } } }))).toBe(0);
  expect(supportUnder(vehicleRamp(), 'g1-1', 's')!.unsaid).toEqual(['at']);
  const one = vehicleRamp();
  one.structure.pieces = one.structure.pieces.filter(({ id }) => id === 'g1-1' || id === 'g1-2');
  expect(braceOf(one, 'g1-1', 'b')).toMatchObject({ kind: 'guy' });
});

test('what is added is asked about until it is said', () => {
  const plan = done(passengerCanopy(), { name: 'addTo', args: { list: 'putLoads', thing: loadOn(passengerCanopy(), 'along-0-0-0', 'ld') } });
  const rows = evaluate(plan, '2026-11-30').checks.filter(({ about }) => about.part?.startsWith('ld'));
  expect(rows.map(({ id, verdict, about }) => `${verdict} ${id} ${about.id}/${about.part}`)).toEqual([
    'missing moves.load along-0-0-0/ld',
    'missing said.figure along-0-0-0/ld force',
    'missing said.figure along-0-0-0/ld at',
  ]);
  const said = done(plan, { name: 'editIn', args: { list: 'putLoads', id: 'ld', changes: { force: 9000, at: 2 } } });
  expect(said.structure.loads.find(({ id }) => id === 'ld')!.unsaid).toBeUndefined();
  const heavy = evaluate(said, '2026-11-30').checks.filter(({ about }) => about.part?.startsWith('ld'));
  expect(heavy.map(({ id }) => id)).toEqual(['load.lifted', 'moves.load']);
});

test('a piece by its mark: none, one, the nearest of several', () => {
  const plan = vehicleRamp();
  expect(pieceMarked(plan, ' g2.1 ', null)).toEqual({ id: 'g2-1' });
  expect(pieceMarked(plan, 'X9', null)).toMatchObject({ fault: expect.stringContaining('“X9”') });
  for (const piece of plan.structure.pieces) piece.mark = 'G';
  expect(pieceMarked(plan, 'G', null)).toMatchObject({ fault: expect.stringContaining('16 pieces') });
  const { from } = plan.structure.pieces.find(({ id }) => id === 'g3-1')!;
  expect(pieceMarked(plan, 'G', { ...from!, y: from!.y + 0.1 })).toEqual({ id: 'g3-1' });
});

test('a column stands on a beam by its foot, and carries a beam that runs on over its head', () => {
  const plan = planted();
  plan.structure.joints = [];
  expect(jointAtEnd(plan, 'p0', 'first', 'j')).toMatchObject({ kind: 'seat', name: 'P0 on B0', a: { piece: 'p0', at: 0 }, b: { piece: 'b0', at: 3 } });
  // Drawn from its head down it is the other end.
  const post = plan.structure.pieces.find(({ id }) => id === 'p0')!;
  Object.assign(post, { from: post.to, to: post.from });
  expect(jointAtEnd(plan, 'p0', 'second', 'j')).toMatchObject({ kind: 'seat', a: { piece: 'p0', at: 3 }, b: { piece: 'b0', at: 3 } });
  expect(jointAtEnd(plan, 'c1', 'second', 'j')).toMatchObject({
    kind: 'onColumn',
    a: { piece: expect.stringMatching(/^[bj]0$/) as string },
    b: { piece: 'c1', at: 4 },
  });
});
