import { passengerCanopy, vehicleRamp } from '../../../../tests/demo-plan';
import { boltCounts, jointsInOrder } from './bolts-by-size';

test('holes are counted by size: of a splice both sides, of shared bolts once', () => {
  const plan = vehicleRamp();
  expect(boltCounts(plan)).toEqual({ sizes: [{ bolt: { diameter: 0.022225, grade: 'A325' }, joints: 12, count: 12 * 120 * 2 }], unsaid: 0 });
  plan.structure.joints[3]!.bolt = { diameter: 0.0254, grade: 'A325', planes: 2 };
  plan.structure.joints[4]!.bolt = null;
  expect(boltCounts(plan)).toMatchObject({
    sizes: [
      { joints: 10, count: 2400 },
      { joints: 1, count: 240 },
    ],
    unsaid: 1,
  });
  plan.structure.joints[5]!.holes = null;
  expect(boltCounts(plan).sizes[0]!.count).toBeNull();
});

test('two beams on the same bolts through a web take them once, whichever says so', () => {
  const count = (edit: (joints: ReturnType<typeof passengerCanopy>['structure']['joints']) => void) => {
    const plan = passengerCanopy();
    edit(plan.structure.joints);
    return boltCounts(plan).sizes[0]!;
  };
  const all = count(() => undefined);
  expect(all).toMatchObject({ joints: 86, count: 48 * 4 + 38 * 6 });
  const [a, b] = [0, 1];
  const less = (joints: { id: string; holes: number | null; sharesWith: string | null }[]) => joints[a]!.holes!;
  const both = count((joints) => ((joints[a]!.sharesWith = joints[b]!.id), (joints[b]!.sharesWith = joints[a]!.id)));
  const one = count((joints) => (joints[a]!.sharesWith = joints[b]!.id));
  const other = count((joints) => (joints[b]!.sharesWith = joints[a]!.id));
  const holes = less(passengerCanopy().structure.joints);
  for (const found of [both, one, other]) expect(found).toMatchObject({ joints: 85, count: all.count! - holes });
});

test('joints stand in the order they are first made, with all that goes in; one never made stands last', () => {
  const plan = vehicleRamp();
  const order = jointsInOrder(plan);
  const first = order.map(({ at }) => at[0]!.number);
  expect(first).toEqual([...first].sort((x, y) => x - y));
  expect(order[0]!.at).toMatchObject([
    { pins: 30, bolts: 30 },
    { pins: 0, bolts: 90 },
  ]);
  const { id } = order[0]!.joint;
  plan.moves = plan.moves.filter((move) => move.kind !== 'joint.make' || move.joint !== id);
  expect(jointsInOrder(plan).at(-1)).toMatchObject({ joint: { id }, at: [] });
});
