import { evaluated } from '../../../tests/evaluated';
import { quayFootbridge } from '../../../tests/demo-plan';
import { opened } from '../../../tests/said';
import type { Check } from '../verdict/check';
import { standingAt, standingBefore } from '../settle/bodies';
import { rulesOf } from '../rules/rule-sets';
import { applyCommand } from '../edit/apply';
import type { CommandArguments, CommandName } from '../edit/table';
import { describe as words } from '../verdict/describe';
import { evaluateWhole } from '../evaluate';
import type { Hanging } from '../settle/hanging';
import { joinable, joinedOf } from './joined';
import { Missing } from '../verdict/missing';
import { openPlan } from './open';
import { pickContext } from '../checks/lift/pick-context';
import type { PieceWeight } from '../settle/piece-weight';
import { replay } from '../replay/replay';
import type { Move, Plan } from './schema';
import { settle } from '../settle/settle';
import { beamAt } from '../replay/moment';
import { moveWords } from '../settle/move-words';
import { pushable } from '../checks/launch/pushable';
import { liftsFrom, unlifted } from '../checks/lift/plan-lifts';

const TODAY = '2026-11-27';
type Edit = (plan: Plan) => unknown;

function does<N extends CommandName>(plan: Plan, name: N, args: CommandArguments[N]): Plan {
  const done = applyCommand(plan, { name, args } as Parameters<typeof applyCommand>[1]);
  if (!done.ok) throw new Error(done.faults[0]?.error);
  return done.plan;
}

/** Both pieces of girder 1 of the footbridge spliced on the ground and lifted as one, slung 8.5 m from either end. */
function asOne(edit: Edit = () => undefined, main: 'k1' | 'k3' = 'k1'): Plan {
  const joined = does(quayFootbridge(), 'liftAsOne', { pick: main, joined: [main === 'k1' ? 'g1b' : 'g1a'], freed: [] });
  const plan = structuredClone(joined);
  for (const one of plan.structure.braces) one.mass = null;
  const pick = plan.picks.find(({ id }) => id === main)!;
  Object.assign(pick, { left: 8.5, right: 8.5, legs: { left: 5, right: 5 }, rig: null, unsaid: [], gear: [], slingRating: 9000 });
  edit(plan);
  return opened(plan);
}
const checksOf = (plan: Plan): readonly Check[] => evaluated(plan, TODAY).checks;
const row = (plan: Plan, id: string, about: string, part?: string): Check => {
  const found = checksOf(plan).find((one) => one.id === id && one.about.id === about && (part === undefined || one.about.part === part));
  if (!found) throw new Error(`no ${id} of ${about}`);
  return found;
};
const said = (plan: Plan, verdict: Check['verdict']): string[] =>
  checksOf(plan)
    .filter((one) => one.verdict === verdict)
    .map((one) => `${one.id} ${one.about.id}: ${words(one, 'metric').replace(/\u00a0/g, ' ')}`);
const orders = (plan: Plan, move: string): string =>
  said(plan, 'stop')
    .filter((one) => one.startsWith('move.order') && one.includes(move))
    .join('\n');

/** Girder 1 as one piece of 24 m, as if it had come so. */
function onePiece(): Plan {
  const plan = quayFootbridge();
  for (const one of plan.structure.braces) one.mass = null;
  const { structure } = plan;
  structure.makes.push({ ...structure.makes[0]!, id: 'whole', length: 24 });
  Object.assign(
    structure.pieces.find(({ id }) => id === 'g1a')!,
    { make: 'whole', to: { x: 24, y: 0, z: 5 }, lies: { x: 14, y: -19, azimuthDeg: 0, level: 1.3, onSide: false } },
  );
  structure.pieces = structure.pieces.filter(({ id }) => id !== 'g1b');
  for (const support of structure.supports) for (const seat of support.seats) if (seat.piece === 'g1b') Object.assign(seat, { piece: 'g1a', at: seat.at + 14 });
  for (const brace of structure.braces)
    for (const end of [brace.a, ...(brace.b ? [brace.b] : [])]) if (end.piece === 'g1b') Object.assign(end, { piece: 'g1a', at: end.at + 14 });
  structure.joints = structure.joints.filter(({ id }) => id !== 's1');
  plan.picks = plan.picks.filter(({ id }) => id !== 'k3');
  Object.assign(plan.picks[0]!, { left: 8.5, right: 8.5, legs: { left: 5, right: 5 }, rig: null, gear: [], slingRating: 9000 });
  plan.moves = plan.moves.filter((move) => !['m13', 'm14', 'm15', 'm20', 't3'].includes(move.id));
  return opened(plan);
}

describe('pieces spliced on the ground and lifted as one', () => {
  test('all of it is on the hook: two pieces, their allowance, stiffeners, slings and block', () => {
    // 0.0384 m² of steel × 7850 over 14 + 10 m, 60 kg of stiffeners, 5 % on both; 95 kg of slings, 420 kg of block.
    expect(row(asOne(), 'lift.chart', 'k1').demand).toBeCloseTo((0.0384 * 7850 * 24 + 60) * 1.05 + 515, 6);
  });

  test('as one piece of that length would be lifted, hung and landed', () => {
    const [joined, whole] = [asOne(), onePiece()];
    const one = pickContext(settle(whole), whole.picks[0]!);
    const both = pickContext(settle(joined), joined.picks[0]!);
    expect(both.piece.length).toBe(24);
    expect(both.piece.start).toEqual(one.piece.start);
    expect(both.seat).toEqual(one.seat);
    expect(both.hanging).toMatchObject({ tension: (one.hanging as Hanging).tension.map((force) => expect.closeTo(force, 6)) });
    for (const id of ['lift.chart', 'rigging.tension', 'rigging.tilt', 'lift.headRoom', 'pick.hanging', 'lift.wind'])
      expect([id, row(joined, id, 'k1').demand, row(joined, id, 'k1').capacity]).toEqual([
        id,
        expect.closeTo(row(whole, id, 'k1').demand!, 6),
        expect.closeTo(row(whole, id, 'k1').capacity!, 4),
      ]);
    const most = Math.max(row(joined, 'pick.bending', 'k1', 'g1a').ratio!, row(joined, 'pick.bending', 'k1', 'g1b').ratio!);
    expect(most).toBeCloseTo(row(whole, 'pick.bending', 'k1').ratio!, 9);
  });

  test('let go of, it carries as one girder, straight and unstressed, on the three it lies on', () => {
    const reactions = (plan: Plan, at: string): [string, number][] => {
      const whole = evaluateWhole(plan, TODAY).structure.changes.find(({ move }) => move?.id === at)!;
      const [line] = whole.lines;
      return [...line!.carried.plain].sort(([a], [b]) => a.localeCompare(b));
    };
    const of = reactions(asOne(), 'm8');
    expect(of.map(([id]) => id)).toEqual(['p1-1/0', 'p2-1/0', 't-1/0']);
    for (const [n, [id, force]] of reactions(onePiece(), 'm8').entries()) expect(of[n]).toEqual([id, expect.closeTo(force, 3)]);
    // Nothing is lost: the sum is what both weigh.
    expect(of.reduce((sum, [, force]) => sum + force, 0)).toBeCloseTo((0.0384 * 7850 * 24 + 60) * 1.05 * 9.80665, 3);
  });

  test('while the hook keeps part of it, it pulls where the slings are', () => {
    const keeps = (plan: Plan): Plan => {
      const next = structuredClone(plan);
      const at = next.moves.findIndex(({ id }) => id === 'm8');
      next.moves.splice(at, 0, { id: 'ease', kind: 'piece.letGo', beam: 'g1a', keeps: 40e3 });
      return opened(next);
    };
    const sum = (plan: Plan) => [...evaluateWhole(keeps(plan), TODAY).structure.changes.find(({ move }) => move?.id === 'ease')!.lines[0]!.carried.plain];
    const [joined, whole] = [sum(asOne()), sum(onePiece())];
    for (const [id, force] of whole) expect(joined.find(([one]) => one === id)?.[1]).toBeCloseTo(force, 3);
    expect(joined.reduce((all, [, force]) => all + force, 0)).toBeCloseTo((0.0384 * 7850 * 24 + 60) * 1.05 * 9.80665 - 40e3, 3);
    // More than both weigh is kept by nobody; more than one of them weighs is.
    const over = structuredClone(keeps(asOne()));
    for (const move of over.moves) if (move.id === 'ease' && move.kind === 'piece.letGo') move.keeps = 90e3;
    expect(said(opened(over), 'missing').join('\n')).toContain('The hook is to keep 90.0 kN of G1a + G1b, which weighs 71.5 kN');
    expect(said(keeps(asOne()), 'missing').join('\n')).not.toContain('The hook is to keep');
    // It never pushes: what is left on the seats is nothing.
    const left = [...evaluateWhole(opened(over), TODAY).structure.changes.find(({ move }) => move?.id === 'ease')!.lines[0]!.carried.plain];
    expect(left.reduce((all, [, force]) => all + force, 0)).toBeCloseTo(0, 3);
  });

  test('eased by a pick that is named for a piece drawn the other way round, its slings not even', () => {
    const eased = (plan: Plan, beam: string): [string, number][] => {
      const next = structuredClone(plan);
      next.moves.splice(
        next.moves.findIndex((move) => move.kind === 'piece.letGo' && move.beam === beam),
        0,
        { id: 'ease', kind: 'piece.letGo', beam, keeps: 40e3 },
      );
      const { changes } = evaluateWhole(opened(next), TODAY).structure;
      return [...changes.find(({ move }) => move?.id === 'ease')!.lines[0]!.carried.plain].sort(([a], [b]) => a.localeCompare(b));
    };
    const turned = asOne((plan) => {
      const { pieces, supports, joints, braces } = plan.structure;
      const piece = pieces.find(({ id }) => id === 'g1b')!;
      [piece.from, piece.to] = [piece.to, piece.from];
      for (const { seats } of supports) for (const seat of seats) if (seat.piece === 'g1b') seat.at = 10 - seat.at;
      for (const end of [...joints.flatMap(({ a, b }) => [a, b]), ...braces.flatMap(({ a, b }) => [a, ...(b ? [b] : [])])])
        if (end.piece === 'g1b') end.at = 10 - end.at;
      Object.assign(
        plan.picks.find(({ id }) => id === 'k3')!,
        { left: 6, right: 10 },
      );
    }, 'k3');
    const whole = structuredClone(onePiece());
    Object.assign(whole.picks[0]!, { left: 10, right: 6 });
    const [of, one] = [eased(turned, 'g1b'), eased(whole, 'g1a')];
    expect(of.map(([id]) => id)).toEqual(one.map(([id]) => id));
    for (const [n, [, force]] of one.entries()) expect(of[n]![1]).toBeCloseTo(force, 3);
  });

  test('what stands by then: both of them; what either is spliced to is not swung over', () => {
    const plan = asOne((p) => {
      const { pieces, joints } = p.structure;
      pieces.push({ ...pieces[1]!, id: 'g1c', mark: 'G1c', from: { x: 24, y: 0, z: 5 }, to: { x: 34, y: 0, z: 5 }, lies: null });
      joints.push({ ...joints[0]!, id: 's9', name: 'Splice 9', a: { piece: 'g1b', at: 10 }, b: { piece: 'g1c', at: 0 } });
      p.moves.unshift({ id: 'hc', kind: 'piece.hang', beam: 'g1c', by: 'hoist', checkedBy: 'L. Marsh' });
    });
    const rules = rulesOf(plan.job.ruleSet, plan.job.thresholds);
    const [k1, k2] = plan.picks;
    const ids = (bodies: readonly { id: string }[]) => bodies.map(({ id }) => id).sort();
    expect(ids(standingAt(settle(plan), rules, k2!))).toEqual(['g1a', 'g1b', 'g1c']);
    expect(ids(standingAt(settle(plan), rules, k1!))).toEqual(['g1c']);
    expect(ids(standingBefore(settle(plan), rules, k1!))).toEqual([]);
  });

  test('let go of with nothing under the far end of what hangs with it: a stop at that end', () => {
    const plan = asOne((p) => p.moves.sort((a, b) => Number(a.id === 'm3') - Number(b.id === 'm3')));
    expect(said(plan, 'stop').join('\n')).toContain('release.ends g1b: The hook lets go of G1b and nothing holds its second end');
  });

  test('what the splice feels in the slings: bending and shear 14 m from the left, by hand', () => {
    const [w, g] = [0.0384 * 7850 * 1.05 * 9.80665, 9.80665 * 1.05 * 60];
    // The stiffeners hang midway between the slings: each takes half of everything.
    const half = (w * 24 + g) / 2;
    const moment = half * (14 - 8.5) - (w * 14 ** 2) / 2 - g * 2;
    const shear = half - w * 14 - g;
    const factor = 1.1 * 1.35;
    expect(row(asOne(), 'pick.splice', 's1', 'moment')).toMatchObject({ demand: expect.closeTo(Math.abs(moment) * factor, 3), capacity: 2.4e6, move: 'm7' });
    expect(row(asOne(), 'pick.splice', 's1', 'shear').demand).toBeCloseTo(Math.abs(shear) * factor, 3);
    const weak = asOne((plan) => (plan.structure.joints[0]!.moment = Math.abs(moment) * factor * 0.99));
    expect(row(weak, 'pick.splice', 's1', 'moment').verdict).toBe('stop');
    const unknown = asOne((plan) => (plan.structure.joints[0]!.shear = null));
    expect(row(unknown, 'pick.splice', 's1', 'shear').verdict).toBe('missing');
    // A lump at the splice itself shears it from one side.
    const lump = asOne((plan) => (plan.structure.makes[1]!.attachments = [{ id: 'l', what: 'Lifting beam left on', mass: 500, at: 0 }]));
    expect(row(lump, 'pick.splice', 's1', 'shear').demand).toBeGreaterThan(row(asOne(), 'pick.splice', 's1', 'shear').demand!);
  });

  test('each bends by what is in it and by its own strength', () => {
    const thin = asOne((plan) => {
      const made = plan.structure.makes[1]!.made;
      if (made.kind === 'girder') made.topFlange = made.bottomFlange = { width: 0.4, thickness: 0.02 };
    });
    const [left, right] = [row(thin, 'pick.bending', 'k1', 'g1a'), row(thin, 'pick.bending', 'k1', 'g1b')];
    expect(left.capacity).toBeGreaterThan(1.2 * right.capacity!);
    // Sideways buckling goes by the weaker of the two over all of its length.
    expect(row(thin, 'pick.hanging', 'k1').capacity).toBeLessThan(0.8 * row(asOne(), 'pick.hanging', 'k1').capacity!);
  });

  test('whichever end a piece was drawn from, and whichever of them the pick is named for', () => {
    const turned = asOne((plan) => {
      const { pieces, supports, joints, braces } = plan.structure;
      const piece = pieces.find(({ id }) => id === 'g1b')!;
      [piece.from, piece.to] = [piece.to, piece.from];
      for (const { seats } of supports) for (const seat of seats) if (seat.piece === 'g1b') seat.at = 10 - seat.at;
      for (const end of [...joints.flatMap(({ a, b }) => [a, b]), ...braces.flatMap(({ a, b }) => [a, ...(b ? [b] : [])])])
        if (end.piece === 'g1b') end.at = 10 - end.at;
    });
    const other = asOne(undefined, 'k3');
    Object.assign(
      other.picks.find(({ id }) => id === 'k3')!,
      { stand: 'w1' },
    );
    for (const [plan, pick] of [
      [turned, 'k1'],
      [opened(structuredClone(other)), 'k3'],
    ] as const) {
      for (const id of ['lift.chart', 'rigging.tension', 'pick.hanging']) expect(row(plan, id, pick).demand).toBeCloseTo(row(asOne(), id, 'k1').demand!, 6);
      expect(row(plan, 'pick.splice', 's1', 'moment').demand).toBeCloseTo(row(asOne(), 'pick.splice', 's1', 'moment').demand!, 3);
    }
    const joined = joinedOf(turned, turned.picks[0]!);
    expect(joined).toMatchObject({
      length: 24,
      parts: [
        { from: 0, to: 14, flipped: false },
        { from: 14, to: 24, flipped: true },
      ],
      splices: [{ at: 14 }],
    });
    const context = pickContext(
      settle(other),
      other.picks.find(({ id }) => id === 'k3')!,
    );
    // It lies in line with the piece the pick is named for: its middle 2 m to the left of where both lay before.
    expect(context.piece.start).toMatchObject({ x: 21 - 7, y: -19 });
    expect(context.seat).toMatchObject({ leftEnd: { x: 0, y: 0 }, right: { at: { x: 24, y: 0 } } });
  });

  test('each bends by what is in it: slung unevenly, the one hogs over its sling and the other does not', () => {
    const plan = asOne((p) => Object.assign(p.picks[0]!, { left: 4, right: 9, legs: { left: 8, right: 8 } }));
    const w = 0.0384 * 7850 * 1.05 * 9.80665;
    const factor = 1.1 * 1.35;
    expect(row(plan, 'pick.bending', 'k1', 'g1b').demand).toBeCloseTo(((w * 9 ** 2) / 2) * factor, 3);
    expect(row(plan, 'pick.bending', 'k1', 'g1a').demand).toBeLessThan(0.9 * ((w * 9 ** 2) / 2) * factor);
  });

  test('three of them run on end to end, to the left and to the right', () => {
    const three = asOne((plan) => {
      const { pieces, joints } = plan.structure;
      pieces.push({ ...pieces[1]!, id: 'g1c', mark: 'G1c', from: { x: -10, y: 0, z: 5 }, to: { x: 0, y: 0, z: 5 }, lies: null });
      joints.push({ ...joints[0]!, id: 's0', name: 'Splice 0', a: { piece: 'g1c', at: 10 }, b: { piece: 'g1a', at: 0 } });
      plan.picks[0]!.joined = ['g1b', 'g1c'];
    });
    expect(joinedOf(three, three.picks[0]!)).toMatchObject({
      length: 34,
      parts: [{ beam: { id: 'g1c' } }, { beam: { id: 'g1a' } }, { beam: { id: 'g1b' } }],
      splices: [
        { joint: { id: 's0' }, at: 10 },
        { joint: { id: 's1' }, at: 24 },
      ],
    });
    expect(row(three, 'lift.chart', 'k1').finding).toMatchObject({ code: 'lift.chart' });
    expect(orders(three, 'Splice 0')).toContain('Splice 0 is filled with bolts');
    const context = pickContext(settle(three), three.picks[0]!);
    expect(context.piece).toMatchObject({ mark: 'G1c + G1a + G1b', start: { x: 9 } });
  });
});

describe('pieces that are not alike', () => {
  /** The short one wider and thinner, shallower, and of weaker steel. */
  const unlike = () =>
    asOne((plan) => {
      const [, short] = plan.structure.makes;
      Object.assign(short!, {
        made: { kind: 'girder', webDepth: 0.7, web: 0.012, topFlange: { width: 0.5, thickness: 0.02 }, bottomFlange: { width: 0.5, thickness: 0.02 } },
        grade: 'S275',
        yield: null,
      });
    });
  const contextOf = (plan: Plan) => pickContext(settle(plan), plan.picks[0]!);

  test('as deep and as wide as the larger, as strong and as stiff as the weaker, property by property', () => {
    const context = contextOf(unlike());
    const [a, b] = context.joined!.members.map(({ section }) => section);
    const { section } = context.weight as PieceWeight;
    expect([a!.depth, b!.depth, section.depth]).toEqual([expect.closeTo(0.96, 9), expect.closeTo(0.74, 9), expect.closeTo(0.96, 9)]);
    expect([a!.width, b!.width, section.width]).toEqual([0.4, 0.5, 0.5]);
    for (const key of ['area', 'flange', 'web', 'iStrong', 'iWeak', 'sStrong', 'zStrong', 'rStrong', 'rWeak', 'torsion', 'warping'] as const)
      expect([key, section[key]]).toEqual([key, Math.min(a![key]!, b![key]!)]);
    // In some of them the one is the weaker, in some the other.
    expect(a!.iWeak < b!.iWeak).not.toBe(a!.torsion! < b!.torsion!);
    expect(context.piece.yield).toBe(275e6);
    expect(section.designation).toBe('girder of FG1 and girder of FG2');
  });
  test('the balance point over the underside is that of both', () => {
    const { weight, joined } = contextOf(unlike());
    const [a, b] = joined!.members.map((one) => one.weight);
    const { cg, mass, light } = weight as PieceWeight;
    expect(mass).toBeCloseTo(a!.mass + b!.mass, 9);
    expect(cg.z).toBeCloseTo((a!.mass * 0.48 + b!.mass * 0.37) / (a!.mass + b!.mass), 9);
    expect(cg.x).toBeCloseTo((a!.mass * a!.cg.x + b!.mass * (14 + 5)) / (a!.mass + b!.mass), 9);
    expect(light.mass).toBeLessThan(mass);
    expect(light.mass).toBeCloseTo(a!.light.mass + b!.light.mass, 9);
  });
  test('what hangs on a piece drawn from its other end hangs where it is', () => {
    const turned = asOne((plan) => {
      const { pieces, joints, supports, braces, makes } = plan.structure;
      const piece = pieces.find(({ id }) => id === 'g1b')!;
      [piece.from, piece.to] = [piece.to, piece.from];
      for (const { seats } of supports) for (const seat of seats) if (seat.piece === 'g1b') seat.at = 10 - seat.at;
      for (const end of [...joints.flatMap(({ a, b }) => [a, b]), ...braces.flatMap(({ a, b }) => [a, ...(b ? [b] : [])])])
        if (end.piece === 'g1b') end.at = 10 - end.at;
      makes[1]!.attachments = [{ id: 'l', what: 'Bracket', mass: 400, at: 1 }];
    });
    // 1 m from its own first end, which is the far one: 23 m from the left.
    expect((contextOf(turned).weight as PieceWeight).lumps.map(({ at }) => at)).toEqual([12, 23]);
    expect(contextOf(turned).piece.attachments.map(({ at }) => at)).toEqual([12, 23]);
  });
  test('past a piece that is drawn the other way round the line goes on', () => {
    const plan = asOne((p) => {
      const { pieces, joints } = p.structure;
      const [a, b] = pieces;
      [b!.from, b!.to] = [b!.to, b!.from];
      joints[0]!.b.at = 10;
      pieces.push({ ...a!, id: 'g1c', mark: 'G1c', from: { x: 24, y: 0, z: 5 }, to: { x: 38, y: 0, z: 5 }, lies: null });
      joints.push({ ...joints[0]!, id: 's9', name: 'Splice 9', a: { piece: 'g1b', at: 0 }, b: { piece: 'g1c', at: 0 } });
      p.picks[0]!.joined = ['g1c', 'g1b'];
    });
    expect(joinedOf(plan, plan.picks[0]!)).toMatchObject({
      length: 38,
      parts: [
        { beam: { id: 'g1a' }, flipped: false },
        { beam: { id: 'g1b' }, flipped: true },
        { beam: { id: 'g1c' }, flipped: false, from: 24 },
      ],
    });
  });
});

describe('what is asked of pieces lifted as one', () => {
  const asks = (edit: Edit): string => {
    const plan = asOne(edit);
    const joined = joinedOf(plan, plan.picks[0]!);
    expect(row(plan, 'lift.chart', 'k1').verdict).toBe('missing');
    return joined instanceof Missing ? joined.questions.join(' ') : '';
  };
  test('without a splice between them, out of line, apart, upright, not placed: missing, and nothing is worked out', () => {
    expect(asks((plan) => (plan.picks[0]!.joined = ['g2b']))).toBe('G1a, G2b are lifted as one, and no splices join all of them end to end. What joins them?');
    expect(asks((plan) => (plan.structure.pieces[1]!.to = { x: 23.9, y: 1, z: 5 }))).toContain('do not run on in one line at Splice of girder 1');
    expect(asks((plan) => (plan.structure.pieces[1]!.to = { x: 23.9, y: 0, z: 5.8 }))).toContain('bent, and their two ends are not of one height');
    expect(asks((plan) => (plan.structure.pieces[1]!.to = { x: 23.9, y: 0, z: 4.2 }))).toContain('bent, and their two ends are not of one height');
    expect(asks((plan) => (plan.structure.pieces[1]!.from = { x: 14.1, y: 0, z: 5 }))).toContain('do not run on in one line');
    const [c, t] = [Math.cos(0.45), Math.sin(0.45)];
    const sloping: Edit = ({ structure: { pieces } }) => {
      Object.assign(pieces[0]!, { from: { x: 0, y: 0, z: 5 }, to: { x: 14 * c, y: 0, z: 5 + 14 * t } });
      Object.assign(pieces[1]!, { from: { x: 14 * c, y: 0, z: 5 + 14 * t }, to: { x: 24 * c, y: 0, z: 5 + 24 * t } });
    };
    expect(asks(sloping)).toContain('G1a is not level');
    expect(asks((plan) => (plan.structure.pieces[1]!.to = { x: 14, y: 0, z: 15 }))).toContain('G1b is not level');
    expect(asks((plan) => (plan.structure.pieces[1]!.to = null))).toContain('Where is G1b to be?');
    expect(asks((plan) => (plan.structure.joints[0]!.kind = 'seat'))).toContain('no splices join all of them');
    expect(asks((plan) => (plan.structure.makes[1]!.made = { kind: 'plain', what: 'box girder' }))).toBe('');
  });

  test('what is no section is not worked out together with others, however much of it is said', () => {
    const plan = asOne(({ structure }) =>
      Object.assign(structure.makes[1]!, { made: { kind: 'plain', what: 'box girder', depth: 1, width: 0.5, balance: 5, hangsBy: 'E. Quarrie' }, mass: 3000 }),
    );
    const { weight } = pickContext(settle(plan), plan.picks[0]!);
    if (!(weight instanceof Missing)) throw new Error('it is worked out');
    expect(weight.questions.join(' ')).toContain('G1b is no section: how it hangs together with others is not worked out here.');
  });

  test('it lies in line with what it is spliced to, wherever that lies; said to lie elsewhere, askew or another way up it is asked', () => {
    const joined = does(quayFootbridge(), 'liftAsOne', { pick: 'k1', joined: ['g1b'], freed: [] });
    expect(joined.structure.pieces[1]!.lies).toBeNull();
    const nobody = { x: null, y: null, azimuthDeg: null, level: null };
    const asks = (lies: object, edit: Edit = () => undefined) =>
      said(
        asOne((plan) => (edit(plan), (plan.structure.pieces[1]!.lies = { ...nobody, ...lies }))),
        'missing',
      ).filter((one) => one.startsWith('pick.lies k1: G1b'));
    for (const lies of [{}, { x: 21, y: -19 }, { azimuthDeg: 0, onSide: false }]) expect(asks(lies)).toEqual([]);
    // What nobody says of the one is not held against the other.
    expect(asks({ onSide: true }, (plan) => (plan.structure.pieces[0]!.lies!.onSide = null))).toEqual([]);
    for (const lies of [{ x: 30 }, { y: -18 }, { azimuthDeg: 20 }, { onSide: true }])
      expect(asks(lies).join()).toContain('G1b is said to lie elsewhere than in line with G1a');
    // The whole is moved by moving the one it is named for: nothing is said twice.
    const moved = asOne((plan) => Object.assign(plan.structure.pieces[0]!.lies!, { x: 5, y: -25 }));
    expect(said(moved, 'missing').filter((one) => one.startsWith('pick.lies'))).toEqual([]);
    // By itself again it lies where it lay then; drawn from its other end, the other way round.
    const apart = (plan: Plan) =>
      does(plan, 'liftAsOne', { pick: 'k1', joined: [], freed: [{ piece: 'g1b', hang: 'h', letGo: 'l' }] }).structure.pieces[1]!.lies;
    expect(apart(joined)).toEqual({ x: 21, y: -19, azimuthDeg: 0, level: 1.3, onSide: false });
    const turned = structuredClone(joined);
    const piece = turned.structure.pieces[1]!;
    [piece.from, piece.to] = [piece.to, piece.from];
    turned.structure.joints[0]!.b.at = 10;
    Object.assign(turned.structure.pieces[0]!.lies!, { x: 0, y: 5, azimuthDeg: 90 });
    expect(apart(turned)).toMatchObject({ x: expect.closeTo(0, 9) as unknown, y: expect.closeTo(17, 9) as unknown, azimuthDeg: -90 });
  });

  test('a pick, a lift or a move of its own as well: which of them is it?', () => {
    const twice = asOne((plan) => plan.picks.push({ ...plan.picks[1]!, id: 'k9', piece: 'g1b', gear: [] }));
    expect(said(twice, 'missing').join('\n')).toContain('pick.joined k1: G1b is lifted spliced to G1a, and by a pick of G1b too. Which is it?');
    const moved = asOne((plan) => plan.moves.push({ id: 'again', kind: 'piece.hang', beam: 'g1b', by: 'hoist', checkedBy: 'L. Marsh' }));
    expect(said(moved, 'missing').join('\n')).toContain('and by a move of its own too. Which is it?');
    expect(orders(moved, 'G1b is still to come')).not.toBe('');
  });

  test('lifted before its splice is filled and tight, or half filled, or with bolts of which nobody says they are tight', () => {
    const filled = 'Splice of girder 1 is filled with bolts, all tight, before what it joins is lifted as one';
    expect(orders(asOne(), filled)).toBe('');
    for (const edit of [
      (plan: Plan) => (plan.moves = plan.moves.filter(({ id }) => id !== 'm20')),
      (plan: Plan) => (plan.moves = plan.moves.filter(({ id }) => id !== 'm14' && id !== 'm20')),
      (plan: Plan) => plan.moves.sort((a, b) => Number(a.id === 'm20') - Number(b.id === 'm20')),
      (plan: Plan) => plan.moves.sort((a, b) => Number(b.id === 't1') - Number(a.id === 't1')),
      (plan: Plan) =>
        Object.assign(
          plan.moves.find(({ id }) => id === 'm20')!,
          { tight: null },
        ),
      (plan: Plan) =>
        Object.assign(
          plan.moves.find(({ id }) => id === 'm20')!,
          { tight: false },
        ),
    ])
      expect(orders(asOne(edit), filled)).not.toBe('');
  });

  test('its supports are ready for all of it, and what it hangs with is let go of with it', () => {
    const late = asOne((plan) => plan.moves.sort((a, b) => Number(a.id === 'm3') - Number(b.id === 'm3')));
    expect(orders(late, 'Pier 2')).not.toBe('');
    const alone = asOne((plan) =>
      Object.assign(
        plan.moves.find(({ id }) => id === 'm8')!,
        { beam: 'g1b' },
      ),
    );
    expect(orders(alone, 'G1a, which it hangs with, is let go of')).not.toBe('');
    expect(said(alone, 'missing').join('\n')).toContain('No move lets go of G1a');
    // Spliced on the ground to something that stays there.
    const left = asOne((plan) =>
      Object.assign(
        plan.moves.find(({ id }) => id === 'm7')!,
        { pick: null, by: 'hoist', checkedBy: 'L. Marsh' },
      ),
    );
    expect(orders(left, 'G1b is lifted with it: Splice of girder 1 joins them already')).not.toBe('');
    // Let go of, it leaves the other where it is.
    expect(beamAt(replay(left).steps.at(-1)!.after.structure, 'g1b').where).toBe('away');
  });

  test('spliced on the ground only where the two are lifted as one', () => {
    const early = quayFootbridge();
    early.moves.sort((a, b) => Number(b.id === 'm14') - Number(a.id === 'm14'));
    expect(orders(opened(early), 'G1a is in place')).not.toBe('');
    expect(
      orders(
        asOne((plan) => plan.moves.sort((a, b) => Number(b.id === 'm14') - Number(a.id === 'm14'))),
        'is in place',
      ),
    ).toBe('');
    // The splice of the other girder, which is lifted in two, is not made on the ground; nor one between a piece of the load and another.
    expect(
      orders(
        asOne((plan) => plan.moves.sort((a, b) => Number(b.id === 'm17') - Number(a.id === 'm17'))),
        'G2a is in place',
      ),
    ).not.toBe('');
    const across = asOne((plan) => {
      plan.structure.joints.push({ ...plan.structure.joints[0]!, id: 's3', name: 'Splice across', b: { piece: 'g2b', at: 0 } });
      plan.moves.unshift({ id: 'x', kind: 'joint.make', joint: 's3', pins: 0, bolts: 48, tight: true, fit: 'drawn' });
    });
    expect(orders(across, 'G1a is in place')).not.toBe('');
  });
});

describe('the run sheet and the document', () => {
  test('one move hangs both and one lets go of both', () => {
    const plan = asOne();
    expect(plan.moves.map(({ id }) => id)).not.toEqual(expect.arrayContaining(['m13']));
    const at = (id: string) => plan.moves.findIndex((move) => move.id === id);
    // Before it is tried, too.
    expect([at('m14'), at('m20'), at('t1'), at('m7')]).toEqual([at('m7') - 3, at('m7') - 2, at('m7') - 1, at('m7')]);
    const state = (move: string) => {
      const { structure } = replay(plan).steps.find((step) => step.move.id === move)!.after;
      return ['g1a', 'g1b'].map((id) => beamAt(structure, id).where);
    };
    expect([state('m20'), state('m7'), state('m8')]).toEqual([
      ['away', 'away'],
      ['hanging', 'hanging'],
      ['set', 'set'],
    ]);
    const title = (id: string) =>
      moveWords(
        plan,
        plan.moves.find((move) => move.id === id)!,
      ).title;
    expect([title('m7'), title('m8')]).toEqual(['Hang G1a + G1b in place', 'Let go of G1a + G1b']);
    expect(said(plan, 'missing').filter((one) => one.startsWith('moves.beam'))).toEqual([]);
    expect(unlifted(plan).map(({ id }) => id)).not.toContain('g1b');
    expect(pushable(plan)).toEqual([]);
    // A move of its own that nobody has said the lift of is not given a second one.
    const again = opened({ ...plan, moves: [...plan.moves, { id: 'h', kind: 'piece.hang', beam: 'g1b', by: '' }] });
    expect(liftsFrom(again, 'w1', (prefix) => `${prefix}9`)).toBeNull();
  });

  test('by itself again it has moves of its own, and where its slings take what is left is asked', () => {
    const joined = does(quayFootbridge(), 'liftAsOne', { pick: 'k1', joined: ['g1b'], freed: [] });
    expect(joined.picks.map(({ id }) => id)).toEqual(['k1', 'k2', 'k4']);
    expect(joined.picks[0]!.unsaid).toEqual(['left', 'right', 'legs']);
    // What named the pick that went goes too.
    expect(joined.moves.map(({ id }) => id)).not.toContain('t3');
    const apart = does(joined, 'liftAsOne', { pick: 'k1', joined: [], freed: [{ piece: 'g1b', hang: 'h', letGo: 'l' }] });
    expect(apart.picks[0]!.joined).toBeNull();
    const ids = apart.moves.map(({ id }) => id);
    expect(ids.slice(ids.indexOf('m8'), ids.indexOf('m8') + 3)).toEqual(['m8', 'h', 'l']);
    expect(unlifted(apart).map(({ id }) => id)).toContain('g1b');
  });

  test('what a splice joins to it or a cross-frame ties beside it is offered, and no column', () => {
    const plan = quayFootbridge();
    const offered = (one: Plan) => joinable(one, one.picks[0]!).map(({ beam, by }) => `${beam.id} ${by}`);
    expect(offered(plan)).toEqual(['g1b splice', 'g2a tie']);
    expect(offered(asOne())).toEqual(['g2a tie', 'g2b tie']);
    // Beside the first line there is a second already, and no third.
    plan.structure.braces.push({ ...plan.structure.braces[0]!, id: 'x9', b: { piece: 'g3', at: 6 } });
    plan.structure.pieces.push({ ...plan.structure.pieces[2]!, id: 'g3' });
    expect(offered(plan)).toContain('g3 tie');
    plan.picks[0]!.joined = ['g2a'];
    expect(offered(plan)).toEqual(['g1b splice', 'g2b splice']);
    plan.picks[0]!.joined = null;
    plan.structure.braces = [];
    plan.structure.pieces[1]!.to = { x: 14, y: 0, z: 15 };
    expect(joinable(plan, plan.picks[0]!)).toEqual([]);
  });

  test('a piece that is none, the same twice, or one on bearings is refused', () => {
    const refused = (joined: string[]): string | undefined => {
      const plan = structuredClone(quayFootbridge());
      plan.picks[0]!.joined = joined;
      const answer = openPlan(plan);
      return answer.ok ? undefined : answer.faults[0]?.error;
    };
    expect(refused(['nobody'])).toContain('“nobody”');
    expect(refused(['g1b', 'g1b'])).toContain('a second time');
    expect(refused(['g1a'])).toContain('a second time');
    expect(refused(['g1b'])).toBeUndefined();
  });

  test('a piece that is taken out hangs with nothing any more', () => {
    const plan = does(asOne(), 'removeFrom', { list: 'beams', id: 'g1b' });
    expect(plan.picks[0]!.joined).toEqual([]);
    expect(openPlan(plan).ok).toBe(true);
  });

  test('whether a pick says so is read at every edit: incremental as whole', () => {
    const before = quayFootbridge();
    evaluated(before, TODAY);
    const joined = does(before, 'liftAsOne', { pick: 'k1', joined: ['g1b'], freed: [] });
    const keys = (plan: Plan) => checksOf(plan).map((one) => `${one.id} ${one.about.id} ${one.about.part ?? ''} ${one.verdict} ${one.ratio ?? ''}`);
    const anew = keys(structuredClone(joined));
    expect(keys(joined)).toEqual(anew);
    const moves = joined.moves.map((move): Move => move);
    const apart = does({ ...joined, moves }, 'editPick', { id: 'k1', changes: { joined: null } });
    expect(keys(apart)).toEqual(keys(structuredClone(apart)));
    expect(said(apart, 'missing').join('\n')).toContain('No move hangs G1b in place');
  });
});
