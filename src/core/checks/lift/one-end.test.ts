import { quayFootbridge } from '../../../../tests/demo-plan';
import { opened } from '../../../../tests/said';
import type { Check } from '../../verdict/check';
import { attempt } from '../../calc/attempt';
import { pickMoments } from '../../rigging/pick-moments.calc';
import { describe as words } from '../../verdict/describe';
import { evaluate } from '../../evaluate';
import { oneEndOf } from '../../settle/lift-two';
import { hooksOf } from './pick-context';
import type { PieceWeight } from '../../settle/piece-weight';
import type { Pick, Plan } from '../../document/schema';
import { settle } from '../../settle/settle';

const TODAY = '2026-11-27';
type Lands = NonNullable<NonNullable<Pick['second']>['lands']>;

/** The long girder of the footbridge, 14 m with its bent seat at 12 m, on two hooks 2 m from its ends. */
function onTwo(lands: Lands | null | undefined, edit: (plan: Plan) => unknown = () => undefined): Plan {
  const plan = quayFootbridge();
  plan.cranes.push({ ...structuredClone(plan.cranes[0]!), id: 'c2', name: 'Dunlin 50' });
  plan.stands.push({ ...structuredClone(plan.stands[0]!), id: 'w3', name: 'W3', crane: 'c2', at: { x: 22, y: -9 } });
  const pick = plan.picks[0]!;
  delete pick.rig;
  Object.assign(pick, { left: 2, right: 2, legs: { left: 2, right: 2 }, signed: { by: 'K. Osei, lift leader', on: '2026-11-20' } });
  pick.second = { stand: 'w3', boom: 27, slingRating: 5000, riggingMass: 95, ...(lands === undefined ? {} : { lands }) };
  edit(plan);
  return opened(plan);
}
const rows = (plan: Plan): Check[] => evaluate(plan, TODAY).checks.filter(({ about }) => about.id === 'k1');
const row = (plan: Plan, id: string): Check | undefined => rows(plan).find((one) => one.id === id);
const say = (plan: Plan, id: string): string => {
  const found = row(plan, id);
  return found ? `${found.verdict}: ${words(found, 'metric').replace(/\u00a0/g, ' ')}` : 'nothing';
};
const shares = (plan: Plan) => hooksOf(settle(plan), plan.picks[0]!).map(({ share }) => share!);

/** Weight and balance point from the left end, of the girder with 60 kg of stiffeners at 12 m and 5 % on all of it. */
const mass = 0.0384 * 7850 * 14;
const weight = (mass + 60) * 1.05 * 9.80665;
const cg = (mass * 7 + 60 * 12) / (mass + 60);
/** Middle of the web; the stiffeners are reckoned there too. */
const [z, depth] = [0.48, 0.96];

test('while nobody says how its ends land, it is asked; landed together there is nothing more to it', () => {
  expect(say(onTwo(undefined), 'pick.lands')).toBe('missing: Do both ends of G1a land at once, or which of them comes to rest first?');
  expect(say(onTwo(null), 'pick.lands')).toContain('missing');
  const both = onTwo({ first: 'together', rest: null, high: null });
  expect([say(both, 'pick.lands'), say(both, 'pick.oneEnd')]).toEqual(['nothing', 'nothing']);
});

test('which end, but not where or how high: asked', () => {
  expect(say(onTwo({ first: 'left', rest: null, high: 0.4 }), 'pick.lands')).toBe(
    'missing: The left end of G1a lands first. How far from that end does it come to rest, and on what?',
  );
  expect(say(onTwo({ first: 'right', rest: 0.3, high: null }), 'pick.lands')).toBe(
    'missing: The right end of G1a lands first. How far above its place is the other end then?',
  );
});

test('the left end on its pier: the second hook carries more than its share, and its crane is held to that', () => {
  const plan = onTwo({ first: 'left', rest: 0.3, high: 0.4 });
  const slope = Math.asin(0.4 / 11.7);
  const high = (weight * ((cg - 0.3) * Math.cos(slope) - z * Math.sin(slope))) / (11.7 * Math.cos(slope) - depth * Math.sin(slope));
  const level = (weight * (cg - 0.3)) / 11.7;
  expect(row(plan, 'pick.oneEnd')).toMatchObject({ verdict: 'clear', demand: expect.closeTo(Math.max(high, level), 3), move: 'm7' });
  const [main, second] = shares(plan);
  const [alone, other] = shares(onTwo({ first: 'together', rest: null, high: null }));
  expect(second!.most).toBeCloseTo(Math.max(high, level), 3);
  expect(second!.most).toBeGreaterThan(1.05 * other!.level);
  expect(main!.most).toBe(alone!.most);
  const chart = (one: Plan) => rows(one).find(({ id, about }) => id === 'lift.chart' && about.part === 'w3')!;
  expect(chart(plan).demand! - chart(onTwo({ first: 'together', rest: null, high: null })).demand!).toBeCloseTo((second!.most - other!.most) / 9.80665, 3);
  // What is not on the hook is on the pier.
  expect(say(plan, 'pick.oneEndSeat')).toContain('clear: With the other end still on its hook, G1a presses Pier 1, girder 1');
});

test('looked at as high as it is then and level, with the heavier weight and the lighter', () => {
  const plan = onTwo({ first: 'right', rest: 2, high: 0.5 });
  const { piece, weight: of, drawn } = hooksOf(settle(plan), plan.picks[0]!)[0]!;
  const landed = oneEndOf(piece, drawn, of as PieceWeight)!;
  const slope = Math.asin(0.5 / 10);
  const share = (height: number) => (14 - cg - 2) * Math.cos(height) - z * Math.sin(height);
  const arm = (height: number) => 10 * Math.cos(height) - depth * Math.sin(height);
  const all = [weight, weight / 1.05].flatMap((one) => [slope, 0].map((height) => (one * share(height)) / arm(height)));
  expect(landed).toMatchObject({ end: 'right', hook: 'main', rest: 2, high: 0.5 });
  expect(landed.carries).toEqual(all.map((one) => expect.closeTo(one, 3) as number));
  // Nearer its end than half way: level it carries more.
  expect(all[1]).toBeGreaterThan(all[0]!);
});

test('the right end first, on the bent 2 m from it: the first hook holds on, the bent is pressed', () => {
  const plan = onTwo({ first: 'right', rest: 2, high: 0.2 }, (p) => (p.structure.supports.find(({ id }) => id === 't-1')!.capacity = 40e3));
  const level = (weight * (14 - cg - 2)) / 10;
  const [main] = shares(plan);
  expect(main!.most).toBeGreaterThanOrEqual(level - 1e-6);
  const seat = row(plan, 'pick.oneEndSeat')!;
  const support = plan.structure.supports.find(({ id }) => id === 't-1')!;
  const rest = Math.max(...(row(plan, 'pick.oneEnd')!.traces.map(({ output }) => (output as { rest: number }).rest) ?? []));
  expect(rest).toBeGreaterThanOrEqual(weight - level - 1e-6);
  expect(seat.demand).toBeCloseTo(rest * (support.capacityBasis === 'design' ? 1.35 : 1), 3);
  expect(say(plan, 'pick.oneEndSeat')).toMatch(/^(clear|tight|stop): With the other end still on its hook, G1a presses Bent, girder 1/);
  const weak = onTwo({ first: 'right', rest: 2, high: 0.2 }, (p) => (p.structure.supports.find(({ id }) => id === 't-1')!.capacity = 20e3));
  expect(row(weak, 'pick.oneEndSeat')!.verdict).toBe('stop');
});

test('on an inner support past its balance point it tips: the other hook would have to push', () => {
  expect(say(onTwo({ first: 'left', rest: 11.99, high: 0 }), 'pick.oneEnd')).toMatch(/^stop: .* tips over there/);
  expect(say(onTwo({ first: 'left', rest: 7, high: 0 }), 'pick.oneEnd')).toMatch(/^clear/);
  expect(say(onTwo({ first: 'left', rest: 8, high: 0.1 }), 'pick.oneEnd')).toBe(
    'stop: Resting 8.00 m from its left end, past its balance point, G1a tips over there: the second hook would have to push.',
  );
});

test('where no support of it is, it is asked on what it rests', () => {
  expect(say(onTwo({ first: 'left', rest: 1.4, high: 0.1 }), 'pick.landsOn')).toContain(
    'said to rest first 1.40 m from its left end, and no support of it is there',
  );
  expect(say(onTwo({ first: 'left', rest: 0.4, high: 0.1 }), 'pick.landsOn')).toBe('nothing');
  expect(say(onTwo({ first: 'right', rest: 2.1, high: 0.1 }), 'pick.landsOn')).toBe('nothing');
});

test('the line of the hook that still holds it: out of plumb by how far its pick swings in, over the fall to the boom tip', () => {
  const plan = onTwo({ first: 'left', rest: 0.3, high: 0.4 });
  const slope = Math.asin(0.4 / 11.7);
  const off = 11.7 * (1 - Math.cos(slope)) + depth * Math.sin(slope);
  // Its pick comes to be at (12, 0), 13.45 m from W3; the boom of 27 m from a foot 1.5 m behind and 2 m up.
  const crane = plan.cranes[1]!;
  const radius = Math.hypot(12 - 22, 0 + 9);
  const tip = crane.pivotHeight + Math.sqrt(27 ** 2 - (radius + crane.pivotBack) ** 2);
  const seatLevel = 5;
  const line = row(plan, 'pick.linePlumb')!;
  expect((line.traces[0]!.output as { off: number }).off).toBeCloseTo(off, 6);
  expect(line.demand).toBeCloseTo((Math.atan2(off, tip - (seatLevel + depth + 0.4)) * 180) / Math.PI, 2);
  expect(line.verdict).toBe('clear');
  const steep = onTwo({ first: 'left', rest: 0.3, high: 3 });
  expect(row(steep, 'pick.linePlumb')!.verdict).toBe('stop');
});

test('higher than its arm is long it cannot be', () => {
  expect(say(onTwo({ first: 'left', rest: 0.3, high: 12 }), 'pick.lands')).toContain(
    'stop: G1a cannot rest 0.30 m from its left end with the other 12.00 m high',
  );
});

test('between where it rests and the hook it bends as a beam that nothing holds sideways', () => {
  const bends = row(onTwo({ first: 'left', rest: 0.3, high: 0.4 }), 'pick.oneEndBends')!;
  // w = 0.0384 × 7850 × 1.05 × 9.80665; the stiffeners hang at the hook. Sagging where the shear is zero, hogging over the hook w·2²/2.
  const w = 0.0384 * 7850 * 1.05 * 9.80665;
  const rest = (w * 14 * (12 - 7)) / 11.7;
  const sagging = rest * (rest / w - 0.3) - (w * (rest / w) ** 2) / 2;
  expect(bends.demand! / sagging).toBeCloseTo(1.1 * 1.35, 3);
  expect(bends.verdict).toBe('clear');
  expect(bends.capacity).toBeLessThan(row(onTwo({ first: 'left', rest: 0.3, high: 0.4 }), 'pick.bending')!.capacity!);
});

test('the right end first: between the hook on the left and where it rests', () => {
  const plan = onTwo({ first: 'right', rest: 2, high: 0.1 }, (p) => (p.picks[0]!.left = 4));
  const { weight: of } = hooksOf(settle(plan), plan.picks[0]!)[0]!;
  const { runs, lumps } = of as PieceWeight;
  const told = attempt(pickMoments, { length: 14, left: 4, right: 2, runs, lumps });
  expect(row(plan, 'pick.oneEndBends')!.demand).toBeCloseTo((told.ok ? told.output.governing : NaN) * 1.1 * 1.35, 3);
});

test('of pieces spliced on the ground, the supports of all of them, whichever way each is drawn', () => {
  const plan = onTwo({ first: 'right', rest: 0.3, high: 0.1 }, (p) => {
    const { pieces, supports, joints, braces } = p.structure;
    const piece = pieces.find(({ id }) => id === 'g1b')!;
    [piece.from, piece.to] = [piece.to, piece.from];
    for (const { seats } of supports) for (const seat of seats) if (seat.piece === 'g1b') seat.at = 10 - seat.at;
    for (const end of [...joints.flatMap(({ a, b }) => [a, b]), ...braces.flatMap(({ a, b }) => [a, ...(b ? [b] : [])])])
      if (end.piece === 'g1b') end.at = 10 - end.at;
    p.picks[0]!.joined = ['g1b'];
  });
  expect([say(plan, 'pick.landsOn'), say(plan, 'pick.oneEndSeat')]).toEqual(['nothing', expect.stringContaining('G1a + G1b presses Pier 2, girder 1')]);
});
