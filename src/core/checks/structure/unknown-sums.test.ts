import { splicedGirder } from '../../../../tests/spliced-girder';
import { twoPostBent } from '../../../../tests/shores';
import { describe as words } from '../../verdict/describe';
import { evaluate } from '../../evaluate';
import { openPlan } from '../../document/open';
import type { Plan } from '../../document/schema';

const opened = (plan: Plan): Plan => {
  const answer = openPlan(plan);
  if (!answer.ok) throw new Error(answer.faults[0]?.error);
  return answer.plan;
};
const of = (plan: Plan, id: string, about: string) => evaluate(opened(plan)).checks.find((check) => check.id === id && check.about.id === about);

/** The girder whose splice nobody has counted: what it brings anywhere is not known. */
const uncounted = (edit: (plan: Plan) => unknown = () => undefined): Plan => {
  const plan = splicedGirder();
  plan.structure.joints[0]!.holes = null;
  edit(plan);
  return plan;
};

test('what a line that cannot be worked out brings onto a support is asked, however much the support may carry', () => {
  expect(of(splicedGirder(), 'support.load', 'B')).toMatchObject({ verdict: 'clear' });
  const check = of(uncounted(), 'support.load', 'B')!;
  expect(check.verdict).toBe('missing');
  expect(words(check, 'metric')).toBe('What G1b brings onto Pier 2 cannot be worked out yet.');
});

test('a support under what cannot be worked out is not said to carry nothing', () => {
  expect(of(uncounted(), 'support.touch', 'B')).toBeUndefined();
  expect(of(uncounted(), 'support.touch', 'A')).toBeUndefined();
});

test('one known line and one unknown on one support: the sum is not known', () => {
  const plan = uncounted(({ structure, moves }) => {
    const alone = structuredClone(structure.pieces[0]!);
    structure.pieces.push({ ...alone, id: 'c', mark: 'G2', from: { x: 0, y: 3, z: 5 }, to: { x: 14, y: 3, z: 5 } });
    const far = structuredClone(structure.supports[1]!);
    structure.supports.push({ ...far, id: 'U', name: 'Far seat', kind: 'bearing', seats: [{ piece: 'c', at: 13.5 }] });
    structure.supports[0]!.seats.push({ piece: 'c', at: 0.3 });
    moves.unshift({ id: 'u1', kind: 'support.ready', support: 'U' });
    moves.push({ id: 'u2', kind: 'piece.hang', beam: 'c', by: 'crane', checkedBy: 'L. Marsh' }, { id: 'u3', kind: 'piece.letGo', beam: 'c', keeps: 0 });
  });
  expect(of(plan, 'support.load', 'A')).toMatchObject({ verdict: 'missing' });
  expect(of(plan, 'support.load', 'U')).toMatchObject({ verdict: 'clear' });
});

test('a bent under what cannot be worked out is asked for that load, and is not worked out without it', () => {
  const onBent = (plan: Plan): void => {
    plan.shoring.bents = [twoPostBent({ loads: [], standsOn: [], at: { x: 12, y: 0 } })];
    plan.structure.supports[1]!.onBent = { bent: 'bt1', at: 2 };
  };
  const known = splicedGirder();
  onBent(known);
  expect(of(known, 'shore.header', 'bt1')!.demand).toBeGreaterThan(0);
  const header = of(uncounted(onBent), 'shore.header', 'bt1')!;
  expect(header.verdict).toBe('missing');
  expect(words(header, 'metric')).toMatch(/Bent seat/);
});

/** Pier 2 and the bent stand on one slab, which stands on the ground. */
const onSlab = (capacity: number, edit: (plan: Plan) => unknown = () => undefined): Plan => {
  const plan = splicedGirder();
  plan.links = [{ id: 'slab', name: 'Quay slab', kind: 'slab', storey: 0, own: 5e3, capacity, foot: null, ground: true, standsOn: [] }];
  for (const id of ['B', 'T']) plan.structure.supports.find((one) => one.id === id)!.standsOn = [{ link: 'slab', share: 1 }];
  edit(plan);
  return plan;
};

describe('what supports of the structure stand on is followed down to ground', () => {
  test('the slab carries the most of each of them, and its own weight; too weak it is a stop', () => {
    // As it is, not factored: what a slab may carry is held against that.
    const plainly = splicedGirder();
    for (const one of plainly.structure.supports) one.capacityBasis = 'allowable';
    const most = (id: string) => of(plainly, 'support.load', id)!.demand!;
    const slab = of(onSlab(400e3), 'path.link', 'slab')!;
    expect(slab.demand).toBeCloseTo(most('B') + most('T') + 5e3, 3);
    expect(slab.verdict).toBe('clear');
    expect(of(onSlab(60e3), 'path.link', 'slab')).toMatchObject({ verdict: 'stop' });
  });
  test('what was on it for a time counts, though it is gone at the end', () => {
    const before = of(onSlab(400e3), 'path.link', 'slab')!.demand!;
    const plan = onSlab(400e3, ({ structure, moves }) => {
      structure.loads.push({ id: 'pack', what: 'A pack of deck', piece: 'b', at: 9, force: 40e3 });
      moves.push({ id: 'on', kind: 'load.on', load: 'pack' }, { id: 'off', kind: 'load.off', load: 'pack' });
    });
    expect(of(plan, 'path.link', 'slab')!.demand!).toBeGreaterThan(before + 20e3);
  });
  test('half of it elsewhere is half; half of it nowhere is told', () => {
    const whole = of(onSlab(400e3), 'path.link', 'slab')!.demand! - 5e3;
    const half = (plan: Plan) => plan.structure.supports.forEach((one) => one.standsOn.forEach((below) => (below.share = 0.5)));
    expect(of(onSlab(400e3, half), 'path.link', 'slab')!.demand).toBeCloseTo(whole / 2 + 5e3, 3);
    expect(of(onSlab(400e3, half), 'path.shares', 'B')).toMatchObject({ verdict: 'stop' });
  });
  test('what it brings is not known: the slab is asked about', () => {
    const plan = onSlab(400e3, ({ structure }) => (structure.joints[0]!.holes = null));
    expect(of(plan, 'path.link', 'slab')).toMatchObject({ verdict: 'missing' });
  });
  test('a slab on nothing is a stop under the structure too', () => {
    expect(
      of(
        onSlab(400e3, ({ links }) => (links[0]!.ground = false)),
        'path.gap',
        'slab',
      ),
    ).toMatchObject({ verdict: 'stop' });
  });
  test('a pier and a bent on one slab: it carries both', () => {
    const plan = onSlab(400e3, ({ structure, shoring }) => {
      shoring.bents = [twoPostBent({ loads: [], standsOn: [{ link: 'slab', share: 1 }], at: { x: 12, y: 0 } })];
      Object.assign(structure.supports[1]!, { standsOn: [], onBent: { bent: 'bt1', at: 2 } });
    });
    expect(of(plan, 'path.link', 'slab')!.demand).toBeCloseTo(of(onSlab(400e3), 'path.link', 'slab')!.demand!, 3);
  });
});
