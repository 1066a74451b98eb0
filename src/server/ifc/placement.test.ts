import { originOf, type Look } from './placement';

const itself: Look = (at) => (typeof at === 'object' ? (at as Record<string, unknown> | null) : null);

const at = (x: number, y: number, z: number) => ({ Coordinates: [{ value: x }, { value: y }, { value: z }] });
const along = (x: number, y: number, z: number) => ({ DirectionRatios: [{ value: x }, { value: y }, { value: z }] });
const placed = (placement: object, relativeTo: object | null = null) => ({ PlacementRelTo: relativeTo, RelativePlacement: placement });
const near = (found: number[] | null, wanted: number[]) => wanted.forEach((value, i) => expect(found?.[i]).toBeCloseTo(value, 9));

test('one placement is its own location', () => near(originOf(placed({ Location: at(3, -2, 5) }), itself), [3, -2, 5]));
test('unturned placements add up', () => near(originOf(placed({ Location: at(1, 2, 3) }, placed({ Location: at(10, 20, 30) })), itself), [11, 22, 33]));
test('a quarter turn about the upright turns what stands on it', () =>
  near(
    originOf(placed({ Location: at(10, 2, 12) }, placed({ Location: at(100, 50, 0), Axis: along(0, 0, 1), RefDirection: along(0, 1, 0) })), itself),
    [98, 60, 12],
  ));
test('a turn about a level axis brings height to the side', () =>
  near(originOf(placed({ Location: at(0, 0, 4) }, placed({ Location: at(0, 0, 0), Axis: along(1, 0, 0), RefDirection: along(0, 1, 0) })), itself), [4, 0, 0]));
test('a reference direction that is not square to the axis is made so', () =>
  near(originOf(placed({ Location: at(2, 0, 0) }, placed({ Location: at(0, 0, 0), Axis: along(0, 0, 1), RefDirection: along(0, 5, 3) })), itself), [0, 2, 0]));
test('three deep, each in the frame of the one it stands on', () => {
  const site = placed({ Location: at(100, 0, 0), RefDirection: along(0, 1, 0) });
  const storey = placed({ Location: at(10, 0, 3), RefDirection: along(0, 1, 0) }, site);
  // Two quarter turns: east on the storey is west in the world.
  near(originOf(placed({ Location: at(1, 0, 0) }, storey), itself), [99, 10, 3]);
});
test.each([null, undefined, 5, 'here', {}, { PlacementRelTo: null }])('%p has no place', (value) => expect(originOf(value, itself)).toBeNull());
test('placements in a ring stand nowhere', () => {
  const ring: { PlacementRelTo: object | null; RelativePlacement: object } = placed({ Location: at(1, 0, 0) });
  ring.PlacementRelTo = ring;
  expect(originOf(ring, itself)).toBeNull();
});
test('numbers that are none count as the origin', () => near(originOf(placed({ Location: { Coordinates: ['x', 1, 2] } }), itself), [0, 0, 0]));
