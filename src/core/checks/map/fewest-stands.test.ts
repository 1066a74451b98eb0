import { passengerCanopy, vehicleRamp } from '../../../../tests/demo-plan';
import { coverFrom, coverInTurn, coverModel, sharedOut, unserved, widestSets, type CoverSet } from './fewest-stands';
import { Missing } from '../../verdict/missing';
import { settle } from '../../settle/settle';
import { wholeStandMap, type Served } from './stand-map';

const set = (lifts: number[], worst = 0.5): CoverSet => ({ lifts, worst });
const served = (lifts: number[], worst: number, x: number): Served => ({ lifts, worst, at: { x, y: 0 } });

test('a place that serves no more than another, and is not the better for as many, is left out', () => {
  const kept = widestSets([served([1], 0.2, 1), served([1, 2], 0.9, 2), served([1, 2], 0.4, 3), served([3], 0.5, 4), served([2, 3], 0.6, 5)]);
  expect(kept.map(({ at }) => at.x)).toEqual([3, 5]);
  expect(unserved([set([0, 2]), set([2, 3])], 5)).toEqual([1, 4]);
});

test('in turn: always what serves most of what is left, of alike ones the farther from its limit; told how few could do', () => {
  expect(coverInTurn([set([0, 1]), set([0, 1, 2]), set([3]), set([3], 0.1)])).toEqual({ chosen: [1, 3], least: 2, how: 'one after another' });
  // In turn takes three where two would do: six lifts, the middle four first.
  const trap = [set([1, 2, 3, 4]), set([0, 1, 2]), set([3, 4, 5])];
  expect(coverInTurn(trap)).toMatchObject({ chosen: [0, 1, 2], least: 2 });
  expect(coverInTurn([])).toMatchObject({ chosen: [] });
});

test('the programme asks each lift for a place, and weighs a place nearer its limit a little more', () => {
  const model = coverModel([set([0, 2], 0.5), set([2], 0.9)]);
  expect(model).toBe('Minimize\n obj: 1.00005000 s0 + 1.00009000 s1\nSubject To\n l0: s0 >= 1\n l2: s0 + s1 >= 1\nBinary\n s0 s1\nEnd');
  expect(coverFrom([set([0, 2]), set([2])], (name) => (name === 's0' ? 1 : 0))).toEqual([0]);
  expect(coverFrom([set([0, 2]), set([2])], (name) => (name === 's1' ? 1 : 0))).toBeNull();
});

test('each lift goes to the chosen place where it takes least of the chart, and only to one that serves it', () => {
  const places = [
    { lifts: [0, 1], worst: 0.5, at: { x: 0, y: 0 } },
    { lifts: [1, 2], worst: 0.5, at: { x: 10, y: 0 } },
  ];
  const share = (lift: number, at: { x: number }) => Math.abs(at.x - [9, 2, 1][lift]!) / 10;
  // The first is nearer to the second place, which does not serve it; the third the other way about.
  expect(sharedOut(places, share).map(({ lifts }) => lifts)).toEqual([[0, 1], [2]]);
});

test.each([
  ['canopy', passengerCanopy],
  ['ramp', vehicleRamp],
])('of the %s every place said to serve lifts does, by the map’s own shares', (_, make) => {
  const plan = make();
  const map = wholeStandMap(settle(plan), 'c1');
  if (map instanceof Missing) throw new Error(map.questions.join());
  const sets = widestSets(map.served.values());
  expect(sets.length).toBeGreaterThan(0);
  for (const { lifts, at, worst } of sets.slice(0, 40)) {
    const shares = lifts.map((lift) => map.share(lift, at));
    expect(Math.max(...shares)).toBeCloseTo(worst, 12);
    expect(Math.max(...shares)).toBeLessThan(1);
    const others = Array.from({ length: map.lifts }, (__, i) => i).filter((lift) => !lifts.includes(lift));
    for (const lift of others) expect(map.share(lift, at)).toBeGreaterThanOrEqual(1);
  }
  // Of all cells that serve just these lifts it is the one that takes least of the chart.
  const least = new Map<string, number>();
  for (let cell = 0; cell < map.worst.length; cell += 1) {
    if (Number.isNaN(map.worst[cell]!) || map.serves[cell] === 0) continue;
    const at = { x: map.at.x + (cell % map.wide) * map.step, y: map.at.y + Math.floor(cell / map.wide) * map.step };
    const shares = map.of.map((__, lift) => map.share(lift, at));
    const key = shares.flatMap((share, lift) => (share < 1 ? [lift] : [])).join();
    least.set(key, Math.min(least.get(key) ?? Infinity, Math.max(...shares.filter((share) => share < 1))));
  }
  expect(map.served.size).toBe(least.size);
  for (const [key, { worst }] of map.served) expect(worst).toBeCloseTo(least.get(key)!, 12);
  const { chosen } = coverInTurn(sets);
  expect(
    unserved(
      chosen.map((i) => sets[i]!),
      map.lifts,
    ),
  ).toEqual(unserved(sets, map.lifts));
  expect(map.of).toHaveLength(map.lifts);
  expect(new Set(map.of.map(({ pick }) => pick)).size).toBe(map.lifts);
});
