import { demoPlan, quayFootbridge } from '../../../../tests/demo-plan';
import { describe as words } from '../../verdict/describe';
import type { Plan } from '../../document/schema';
import { evaluate } from '../../evaluate';

const TODAY = '2026-11-28';
const say = (plan: Plan, id: string) =>
  evaluate(plan, TODAY)
    .checks.filter((one) => one.id === id)
    .map((check) => `${check.verdict} ${check.about.id} ${check.about.part}: ${words(check, 'metric').replace(/\u00a0/g, ' ')}`);
/** The footbridge with its first girder so high over the place of the second, which comes after it. */
const stacked = (rise: number, edit: (plan: Plan) => unknown = () => undefined): Plan => {
  const plan = quayFootbridge();
  const beam = (id: string) => plan.structure.pieces.find((one) => one.id === id)!;
  const [over, under] = [beam('g1a'), beam('g2a')];
  over.from = { ...under.from!, z: under.from!.z + rise };
  over.to = { ...under.to!, z: under.to!.z + rise };
  plan.structure.braces = [];
  plan.moves = plan.moves.filter((move) => !('brace' in move));
  edit(plan);
  return plan;
};

describe('what stands over the place of a load', () => {
  test('is a stop at the lift that comes after it, with what it comes down through', () => {
    expect(say(stacked(3), 'lift.down')).toEqual([expect.stringMatching(/^stop k2 g1a: G2a comes down through G1a, which stands over its place/)]);
    // In the place itself it is told as that.
    expect(say(stacked(0), 'lift.down')).toEqual([]);
    expect(say(stacked(0.1), 'lift.down')).toHaveLength(1);
    expect(say(quayFootbridge(), 'lift.down')).toEqual([]);
  });
  test('set after it, it is no matter', () => {
    const swapped = stacked(3, (plan) => {
      const [first, second] = ['g1a', 'g2a'].map((id) => plan.moves.findIndex((move) => move.kind === 'piece.hang' && move.beam === id)) as [number, number];
      [plan.moves[first], plan.moves[second]] = [plan.moves[second]!, plan.moves[first]!];
    });
    expect(say(swapped, 'lift.down')).toEqual([]);
  });
  test('what it is joined to is let be: drawn to centre lines they overlap', () => {
    const joined = stacked(3, (plan) => {
      const like = plan.structure.joints[0]!;
      plan.structure.joints.push({ ...structuredClone(like), id: 'jx', kind: 'seat', a: { piece: 'g2a', at: 2 }, b: { piece: 'g1a', at: 2 } });
    });
    expect(say(joined, 'lift.down')).toEqual([]);
  });
  test.each<[string, NonNullable<Plan['picks'][number]['threads']>, RegExp]>([
    ['a named person worked out how it is brought in', { how: 'tilted, east end first, under G1a', by: 'M. Lindqvist' }, /^tight .*tilted, east end first/],
    ['nobody says who', { how: 'tilted, east end first', by: 'rigger' }, /^missing .*who worked that out/],
    ['nobody says how', { how: '-', by: 'M. Lindqvist' }, /^missing/],
  ])('%s', (_, threads, says) => {
    const plan = stacked(3, (one) => (one.picks.find(({ id }) => id === 'k2')!.threads = threads));
    expect(say(plan, 'lift.down')).toEqual([expect.stringMatching(says)]);
  });
  test('of pieces set on bearings too', () => {
    const plan = demoPlan();
    const [first] = plan.pieces;
    const raised = plan.bearings.map((one) => ({ ...structuredClone(one), id: `${one.id}-up`, name: `${one.name} up`, level: one.level + 4, measured: null }));
    plan.bearings.push(...raised);
    const upper = {
      ...structuredClone(first!),
      id: 'tb2',
      mark: 'TB2',
      seat: { ...first!.seat, left: `${first!.seat.left}-up`, right: `${first!.seat.right}-up` },
    };
    plan.pieces.push(upper);
    plan.picks.unshift({ ...structuredClone(plan.picks[0]!), id: 'k0', piece: 'tb2' });
    const at = plan.moves.findIndex((move) => move.kind === 'piece.sling');
    plan.moves.splice(at, 0, { id: 'l0', kind: 'pick.lift', pick: 'k0' }, { id: 'l1', kind: 'piece.land', pick: 'k0' });
    expect(say(plan, 'lift.down')).toEqual([expect.stringMatching(/^stop k1 tb2: TB1 comes down through TB2/)]);
    // Edited, the other piece is somewhere else: nothing of the answer before is kept.
    const level = { ...plan, pieces: plan.pieces.map((one) => (one.id === 'tb2' ? { ...one, seat: first!.seat } : one)) };
    expect(say(level, 'lift.down')).toEqual([]);
  });
  test('over what is turned upright it is its foot that counts, not the middle of its length', () => {
    const column = (x: number) =>
      stacked(3, (plan) => {
        const [over, under] = ['g1a', 'g2a'].map((id) => plan.structure.pieces.find((one) => one.id === id)!);
        Object.assign(under!, { from: { x: 20, y: 5, z: 0 }, to: { x: 20, y: 5, z: 6 } });
        Object.assign(over!, { from: { x: x - 3, y: 5, z: 21 }, to: { x: x + 3, y: 5, z: 21 } });
        plan.picks[1]!.turned = { top: 0.5, tail: 0.2, sling: 2 };
      });
    expect(say(column(20), 'lift.down')).toEqual([expect.stringMatching(/^stop k2 g1a/)]);
    expect(say(column(27), 'lift.down')).toEqual([]);
  });
});

describe('what is over the place a load lies at', () => {
  test('steel that stands by then, or a thing it lies in, is a stop; steel set later and things beside are not', () => {
    const under = quayFootbridge();
    const [first, second] = ['g1a', 'g2a'].map((id) => under.structure.pieces.find((one) => one.id === id)!) as [
      Plan['structure']['pieces'][number],
      Plan['structure']['pieces'][number],
    ];
    const middle = (one: typeof first, key: 'x' | 'y') => (one.from![key] + one.to![key]) / 2;
    second.lies = { ...second.lies!, x: middle(first, 'x'), y: middle(first, 'y'), azimuthDeg: 90, level: 0.3 };
    expect(say(under, 'lift.up')).toEqual([expect.stringMatching(/^stop k2 g1a: G2a lies under or in G1a/)]);
    first.lies = { ...first.lies!, x: middle(second, 'x'), y: middle(second, 'y'), azimuthDeg: 90, level: 0.3 };
    expect(say(under, 'lift.up').some((one) => one.startsWith('stop k1'))).toBe(false);
    // On its side it is as broad as it is deep.
    const beside = (onSide: boolean) => {
      const plan = quayFootbridge();
      const lying = plan.structure.pieces.find((one) => one.id === 'g1a')!.lies!;
      lying.onSide = onSide;
      lying.azimuthDeg = 0;
      plan.site.obstructions.push({
        id: 'kerb',
        name: 'the kerb',
        at: { x: lying.x!, y: lying.y! + 0.25 },
        length: 0.04,
        width: 0.04,
        azimuthDeg: 0,
        height: 3,
      });
      return say(plan, 'lift.up').length;
    };
    expect([beside(false), beside(true)]).toEqual([0, 1]);
    const walled = (level: number) => {
      const plan = quayFootbridge();
      const { x, y } = plan.structure.pieces.find((one) => one.id === 'g1a')!.lies!;
      plan.structure.pieces.find((one) => one.id === 'g1a')!.lies!.level = level;
      plan.site.obstructions.push({ id: 'shed', name: 'the shed', at: { x: x!, y: y! }, length: 1, width: 1, azimuthDeg: 0, height: 2 });
      return say(plan, 'lift.up');
    };
    expect(walled(0.3)).toEqual([expect.stringMatching(/^stop k1 shed: G1a lies under or in the shed/)]);
    // On its roof it lies as well.
    expect(walled(2)).toEqual([]);
  });
});
