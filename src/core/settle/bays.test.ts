import { passengerCanopy, quayFootbridge, ticketHall, vehicleRamp } from '../../../tests/demo-plan';
import type { Plan } from '../document/schema';
import { baysOf } from './bays';

/** How many pieces each bay has, in the order of the pieces. */
const counts = (plan: Plan): Record<string, number> => {
  const found: Record<string, number> = {};
  for (const { mark } of baysOf(plan).values()) found[mark] = (found[mark] ?? 0) + 1;
  return found;
};
/** The same structure turned about the origin and put elsewhere. */
const turned = (plan: Plan, deg: number): Plan => {
  const [c, s] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
  const put = <P extends { x: number; y: number } | null | undefined>(one: P): P =>
    one ? { ...one, x: 40 + c * one.x - s * one.y, y: -7 + s * one.x + c * one.y } : one;
  return { ...plan, structure: { ...plan.structure, pieces: plan.structure.pieces.map((one) => ({ ...one, from: put(one.from), to: put(one.to) })) } };
};

test('a canopy: columns and what lies across between two of them on their rows, the rest between two rows', () => {
  const plan = passengerCanopy();
  const bays = baysOf(plan);
  expect([...new Set([...bays.values()].map(({ mark }) => mark))].sort()).toEqual(
    [...'ABCDEFG'].flatMap((row, n, all) => [`Base ${row}`, ...(n > 0 ? [`Base ${all[n - 1]} – Base ${row}`] : [])]).sort(),
  );
  const of = (mark: string) => bays.get(plan.structure.pieces.find((one) => one.mark === mark)!.id)!.mark;
  expect([of('C-A1'), of('C-G2'), of('B-AB1'), of('J-B1.3')]).toEqual(['Base A', 'Base G', 'Base A – Base B', 'Base B – Base C']);
});

test('girders: by the middle of each piece, over a pier where it is half on either side; two bearings of one pier are one row', () => {
  expect(counts(vehicleRamp())).toEqual({ 'Pier 1 – Bent 1': 4, 'over Pier 2': 4, 'Bent 2 – Bent 3': 4, 'Bent 3 – Pier 3': 4 });
  expect(Object.keys(counts(quayFootbridge()))).toEqual(['Pier 1 – Bent', 'Bent – Pier 2']);
  const plan = quayFootbridge();
  plan.structure.supports.push({ ...structuredClone(plan.structure.supports[0]!), id: 'beside', seats: [{ piece: 'g1a', at: 1.1 }] });
  expect(Object.keys(counts(plan))).toEqual(['Pier 1 – Bent', 'Bent – Pier 2']);
});

test.each([17, 90, 133, 260])('turned by %i° and put elsewhere each piece is in the bay it was in, told from either side', (deg) => {
  for (const make of [passengerCanopy, vehicleRamp]) {
    const [plain, other] = [baysOf(make()), baysOf(turned(make(), deg))];
    const sides = (mark: string) => mark.split(' – ').sort().join();
    for (const [id, { mark }] of plain) expect([id, sides(other.get(id)!.mark)]).toEqual([id, sides(mark)]);
  }
});

test('what stands out past the last row, and what has no place', () => {
  const plan = passengerCanopy();
  const eave = structuredClone(plan.structure.pieces.find(({ mark }) => mark === 'B-AB1')!);
  plan.structure.pieces.push(
    { ...eave, id: 'out', mark: 'OUT', from: { x: -4, y: 0, z: 4 }, to: { x: -1, y: 0, z: 4 } },
    { ...eave, id: 'far', mark: 'FAR', from: { x: 33, y: 0, z: 4 }, to: { x: 36, y: 0, z: 4 } },
    { ...eave, id: 'none', mark: 'NONE', from: null, to: null },
  );
  const bays = baysOf(plan);
  expect([bays.get('out')?.mark, bays.get('far')?.mark, bays.get('none')]).toEqual(['before Base A', 'past Base G', undefined]);
});

test('names that have nothing in common leave a row its number; fewer than three rows are no bays', () => {
  const plan = quayFootbridge();
  plan.structure.supports.forEach((support, n) => (support.name = `${'XYZVWU'[n]}${n}`));
  expect(Object.keys(counts(plan))).toEqual(['row 1 – row 2', 'row 2 – row 3']);
  const two = quayFootbridge();
  two.structure.supports = two.structure.supports.filter(({ name }) => !name.startsWith('Bent'));
  expect(baysOf(two).size).toBe(0);
  expect(baysOf(ticketHall()).size).toBe(0);
});

test('a bearing beam under two girders stands where both rest on it; columns have no direction', () => {
  const plan = quayFootbridge();
  // One support carries both girders, half a metre apart along them: in the middle of the two is its row.
  const [first] = plan.structure.supports;
  plan.structure.supports = [
    {
      ...first!,
      id: 'a',
      name: 'A',
      seats: [
        { piece: 'g1a', at: 0.2 },
        { piece: 'g2a', at: 0.8 },
      ],
    },
    { ...first!, id: 'b', name: 'B', seats: [{ piece: 'g1a', at: 2.2 }] },
    { ...first!, id: 'c', name: 'C', seats: [{ piece: 'g1b', at: 8 }] },
  ];
  const stub = structuredClone(plan.structure.pieces.find(({ id }) => id === 'g1a')!);
  const at = (along: number) => ({ ...stub.from!, x: stub.from!.x + along });
  plan.structure.pieces.push({ ...stub, id: 'across', from: at(0.95), to: { ...at(0.95), y: stub.from!.y + 3 } });
  // 0.95 m is within half a metre of 0.5, and of none of the two seats' own ends alone.
  expect(baysOf(plan).get('across')!.mark).toBe('A');
  plan.structure.supports[0]!.seats.pop();
  expect(baysOf({ structure: { ...plan.structure, supports: structuredClone(plan.structure.supports) } }).get('across')!.mark).toBe('A – B');
});

test('columns say nothing of which way a structure lies: mostly columns, turned by 30°, it has the bays of its few beams', () => {
  const plan = passengerCanopy();
  const few = plan.structure.pieces.filter(({ mark }) => mark.startsWith('C-') || mark === 'B-AB1');
  const made = { ...plan, structure: { ...plan.structure, pieces: few } };
  const counted = (of: Plan) => Object.values(counts(of)).sort();
  expect(counted(turned(made, 30))).toEqual(counted(made));
});
