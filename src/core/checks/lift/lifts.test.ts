import { quayFootbridge } from '../../../../tests/demo-plan';
import { evaluate } from '../../evaluate';
import { afresh } from '../../document/keep';
import { WaysOut } from './way-out';
import { openPlan } from '../../document/open';
import { posesAt } from '../../view/moment-pose';
import { replay } from '../../replay/replay';
import type { Move, Plan } from '../../document/schema';
import { settle } from '../../settle/settle';

const TODAY = '2026-11-27';
const footbridge = (edit: (plan: Plan) => unknown = () => undefined): Plan => {
  const plan = quayFootbridge();
  edit(plan);
  return plan;
};
const bad = (plan: Plan): string[] =>
  evaluate(plan, TODAY)
    .checks.filter(({ verdict, id }) => (verdict === 'stop' || verdict === 'missing') && !id.startsWith('hold.'))
    .map(({ verdict, id, about, move }) => `${verdict} ${id} ${about.kind} ${about.id} at ${move}`);
const hang = (plan: Plan, beam: string): Extract<Move, { kind: 'piece.hang' }> =>
  plan.moves.find((move): move is Extract<Move, { kind: 'piece.hang' }> => move.kind === 'piece.hang' && move.beam === beam)!;
const without = (plan: Plan, gone: (move: Move) => boolean): void => void (plan.moves = plan.moves.filter((move) => !gone(move)));
const to = (plan: Plan, id: string, place: (moves: Move[]) => number): void => {
  const move = plan.moves.find((one) => one.id === id)!;
  without(plan, (one) => one.id === id);
  plan.moves.splice(place(plan.moves), 0, move);
};
const wall = (id: string, x: number, y: number, length: number, width: number, height = 4) => ({
  id,
  name: `Wall ${id}`,
  at: { x, y },
  length,
  width,
  azimuthDeg: 0,
  height,
});

describe('pieces of the structure on a crane', () => {
  test('the demo lifts its four girders by one crane at two stands and asks nothing more', () => {
    expect(bad(footbridge())).toEqual([]);
    const charts = evaluate(footbridge(), TODAY).checks.filter(({ id }) => id === 'lift.chart');
    expect(charts.map(({ about, move, verdict }) => [about.id, move, verdict])).toEqual([
      ['k1', 'm7', 'clear'],
      ['k2', 'm9', 'clear'],
      ['k3', 'm13', 'clear'],
      ['k4', 'm16', 'clear'],
    ]);
    // 0.9 × 0.016 + 2 × 0.4 × 0.03 = 0.0384 m², 301.4 kg/m over 14 m, 60 kg of stiffeners, 5 % allowance; 240 kg of spreader, 95 kg of slings, 420 kg of block.
    expect(charts[0]!.demand).toBeCloseTo((0.0384 * 7850 * 14 + 60) * 1.05 + 240 + 95 + 420, 0);
  });

  const faults: [string, (plan: Plan) => unknown, RegExp][] = [
    ['heavier on the scale than the chart allows', (p) => (p.structure.pieces[0]!.weighed = 12_500), /stop lift.chart pick k1 at m7/],
    ['the last of four is too heavy, not the first', (p) => (p.structure.pieces[3]!.weighed = 12_500), /stop lift.chart pick k4 at m16/],
    ['where it lies is not said', (p) => delete p.structure.pieces[1]!.lies, /missing lift.chart pick k3/],
    ['what it weighs is not known', (p) => (p.structure.makes[1]!.made = { kind: 'plain', what: 'truss' }), /missing lift.chart pick k3/],
    ['the slings are too weak', (p) => (p.picks[2]!.slingRating = 900), /stop rigging.tension pick k3/],
    ['hung by words alone', (p) => (hang(p, 'g1b').pick = null), /missing lift.plan beam g1b at m13/],
    ['no pick and nobody named', (p) => (p.picks.splice(3, 1), (hang(p, 'g2b').pick = null)), /missing lift.plan beam g2b at m16/],
    ['a pick no move makes', (p) => without(p, ({ id }) => id === 'm16'), /missing moves.pick pick k4/],
    ['no trial at the second stand', (p) => without(p, ({ id }) => id === 't3'), /missing moves.trial stand w2/],
    ['the crane is not there yet', (p) => to(p, 'c1s', (moves) => moves.findIndex(({ id }) => id === 'm7') + 1), /stop move.order move t1/],
    ['the crane leaves with the girder on its hook', (p) => to(p, 'c2l', (moves) => moves.findIndex(({ id }) => id === 'm19')), /stop move.order move c2l/],
    ['the crane never leaves its first stand', (p) => without(p, ({ id }) => id === 'c1l'), /missing moves.leave stand w1/],
    ['the crane never leaves its last stand', (p) => without(p, ({ id }) => id === 'c2l'), /missing moves.leave stand w2/],
    ['one crane at two stands', (p) => to(p, 'c2s', () => 8), /stop move.order move c2s/],
    ['one hook with two girders', (p) => to(p, 'm9', (moves) => moves.findIndex(({ id }) => id === 'm7') + 1), /stop move.order move m9/],
    [
      'walls round the crane when it leaves',
      (p) => p.site.obstructions.push(wall('n', 9, -3, 16, 0.3), wall('s', 9, -24, 16, 0.3), wall('w', 1, -13.5, 0.3, 21.3), wall('e', 17, -13.5, 0.3, 21.3)),
      /stop stand.wayOut stand w1 at c1l/,
    ],
    ['what it swings over is higher than the boom reaches', (p) => p.site.obstructions.push(wall('t', -1, -8, 2, 2, 30)), /stop lift.headRoom pick k1/],
    ['a gust over what the load may be lifted in', (p) => (p.site.forecastGust = 7), /stop lift.wind pick k4/],
    ['soft ground under one stand', (p) => (p.stands[1]!.groundAllowable = 40e3), /stop stand.ground stand w2/],
  ];
  test.each(faults)('%s', (_, edit, wanted) => {
    expect(bad(footbridge(edit)).join('\n')).toMatch(wanted);
  });

  test.each(['x', 'y', 'azimuthDeg', 'level'] as const)('a place before the lift of which %s is not said is no place', (key) => {
    expect(bad(footbridge((p) => (p.structure.pieces[2]!.lies![key] = null))).join('\n')).toMatch(/missing lift.chart pick k2/);
  });

  test('a lift worked out elsewhere says by whom', () => {
    const plan = (by: string) => footbridge((p) => (p.picks.splice(3, 1), Object.assign(hang(p, 'g2b'), { pick: null, by: 'two mast lifts', checkedBy: by })));
    expect(bad(plan('M. Sorrel')).filter((one) => one.includes('lift.plan'))).toEqual([]);
    expect(bad(plan('x')).join()).toMatch(/missing lift.plan beam g2b/);
  });

  test('what stands already is to be swung over; what it is joined to is not', () => {
    const high = (p: Plan) => evaluate(p, TODAY).checks.find(({ id, about }) => id === 'lift.headRoom' && about.id === 'k2')!;
    const over = (edit?: (plan: Plan) => unknown) => high(footbridge(edit)).finding as { over: string | null };
    expect(over().over).toBe('G1a');
    const joined = (p: Plan) =>
      p.structure.joints.push({ ...p.structure.joints[0]!, id: 'near', kind: 'onWeb', a: { piece: 'g2a', at: 0 }, b: { piece: 'g1a', at: 0 } });
    expect(over(joined).over).toBeNull();
  });

  const refused: [string, (plan: Plan) => unknown, RegExp][] = [
    ['a pick of another piece', (p) => (hang(p, 'g1a').pick = 'k3'), /lifts another piece/],
    ['a pick the plan does not have', (p) => (hang(p, 'g1a').pick = 'k9'), /k9/],
    ['landed as a piece on bearings', (p) => p.moves.push({ id: 'x', kind: 'piece.land', pick: 'k1' }), /piece\.hang/],
    ['a piece nobody has', (p) => (p.picks[0]!.piece = 'zz'), /zz/],
  ];
  test.each(refused)('refused: %s', (_, edit, words) => {
    const plan = structuredClone(footbridge());
    edit(plan);
    const opened = openPlan(plan);
    expect(opened.ok ? '' : opened.faults.map(({ error }) => error).join()).toMatch(words);
  });

  test('a column that comes after the crane has left its place is not in its way; one that stands there is', () => {
    const column = (p: Plan) => {
      p.structure.pieces.push({ id: 'c', mark: 'C1', make: 'short', weighed: null, from: { x: 9, y: -8, z: 0 }, to: { x: 9, y: -8, z: 10 } });
      p.moves.push({ id: 'mc', kind: 'piece.hang', beam: 'c', by: 'hands', checkedBy: 'M. Sorrel' });
    };
    const clashes = (edit: (plan: Plan) => unknown) => bad(footbridge(edit)).filter((one) => one.includes('stand.inTheWay'));
    expect(clashes(column)).toEqual([]);
    expect(clashes((p) => (column(p), to(p, 'mc', () => 0)))).toEqual([expect.stringMatching(/stop stand.inTheWay stand w1/)]);
  });

  test('one crane is drawn with what it has in hand, wherever in the list that stands', () => {
    const plan = settle(footbridge());
    const { steps } = replay(plan);
    const at = (move: string) =>
      posesAt(plan, steps.find((step) => step.move.id === move)!.after).map(({ context, craneThere }) => [context.pick.id, craneThere]);
    expect(at('m1')).toEqual([['k1', false]]);
    expect(at('m7')).toEqual([['k1', true]]);
    expect(at('m9')).toEqual([['k2', true]]);
    expect(at('m16')).toEqual([['k4', true]]);
  });
});

describe('the way out', () => {
  const stand = { at: { x: 0, y: 0 }, azimuthDeg: 0 };
  const box = (x: number, y: number, wide: number, deep: number) => ({
    id: `${x} ${y}`,
    name: 'wall',
    from: 0,
    to: 3,
    outline: [
      { x: x - wide / 2, y: y - deep / 2 },
      { x: x + wide / 2, y: y - deep / 2 },
      { x: x + wide / 2, y: y + deep / 2 },
      { x: x - wide / 2, y: y + deep / 2 },
    ],
  });
  const ring = (gap: number) => [box(0, 8, 20, 0.4), box(0, -8, 20, 0.4), box(-10, 0, 0.4, 16), box(10, 4 + gap / 2, 0.4, 8), box(10, -4 - gap / 2, 0.4, 8)];

  const leadsOut = (things: ReturnType<typeof box>[], at = stand) => new WaysOut(things, 1.5, at.at).leadsOut(at);

  test('through a gap as wide as the strip, not through a narrower one', () => {
    expect(leadsOut([])).toBe(true);
    expect(leadsOut(ring(0))).toBe(false);
    expect(leadsOut(ring(2.4))).toBe(false);
    expect(leadsOut(ring(4.2))).toBe(true);
  });

  test('one site asked from many places: inside the ring it is shut in, outside and far off it is not', () => {
    const site = new WaysOut(ring(0), 1.5, { x: 0, y: 0 });
    const from = (x: number, y: number, azimuthDeg = 0) => site.leadsOut({ at: { x, y }, azimuthDeg });
    expect([from(0, 0), from(-6, 4, 90), from(5, -5, 200)]).toEqual([false, false, false]);
    expect([from(0, 14), from(-14, 0, 90), from(400, 3)]).toEqual([true, true, true]);
    // Hard by a wall nothing of it stands where the strip fits.
    expect(from(0, 8)).toBe(false);
  });

  test('what is further off than the search goes is cut off: a wall far out shuts nobody in', () => {
    const far = [box(0, 400, 2000, 1), box(0, -400, 2000, 1), box(-900, 0, 1, 900), box(900, 0, 1, 900)];
    expect(leadsOut(far)).toBe(true);
  });
});

describe('what is kept of a lift from one evaluation to the next is what a fresh one says', () => {
  const edits: [string, (plan: Plan) => Plan][] = [
    ['the block of the crane', (p) => ({ ...p, cranes: p.cranes.map((one) => ({ ...one, hookBlockMass: 900 })) })],
    ['where it stands', (p) => ({ ...p, stands: p.stands.map((one) => ({ ...one, at: { x: one.at.x + 1, y: one.at.y } })) })],
    ['what the ground may take', (p) => ({ ...p, stands: p.stands.map((one) => ({ ...one, groundAllowable: 30e3 })) })],
    ['the order of the moves', (p) => ({ ...p, moves: [...p.moves].reverse() })],
    ['what stands on the site', (p) => ({ ...p, site: { ...p.site, obstructions: [wall('o', -1, -8, 2, 2, 30)] } })],
    ['the forecast', (p) => ({ ...p, site: { ...p.site, forecastGust: 9 } })],
    ['a weight', (p) => ({ ...p, structure: { ...p.structure, pieces: p.structure.pieces.map((one) => ({ ...one, weighed: 9000 })) } })],
    ['how the chart is read', (p) => ({ ...p, job: { ...p.job, chartRule: 'linear' } })],
    ['a threshold', (p) => ({ ...p, job: { ...p.job, thresholds: { dynamicFactor: 1.4 } } })],
    ['the other school', (p) => ({ ...p, job: { ...p.job, ruleSet: 'us-asd' } })],
    ['what a piece is joined to', (p) => ({ ...p, structure: { ...p.structure, joints: [] }, moves: p.moves.filter(({ kind }) => kind !== 'joint.make') })],
  ];
  test.each(edits)('%s', (_, edit) => {
    const plan = footbridge();
    evaluate(plan, TODAY);
    const next = edit(plan);
    const lifts = (one: Plan) => evaluate(one, TODAY).checks.filter(({ id }) => /^(lift|rigging|pick|stand)\./.test(id));
    const kept = JSON.stringify(lifts(next));
    expect(kept).toBe(JSON.stringify(afresh(() => lifts(next))));
    expect(kept).not.toBe(JSON.stringify(lifts(plan)));
  });
});
