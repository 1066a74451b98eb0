import { lineIn } from '../../../tests/of-plan';
import fc from 'fast-check';
import { ticketHall } from '../../../tests/demo-plan';
import { deadShore, needleRow, steelProp, twoPostBent } from '../../../tests/shores';
import { Missing } from '../verdict/missing';
import type { Plan } from '../document/schema';
import { shoreParts, shortfalls, shortOf, type Part } from './shore-parts';

const partsOf = (plan: Plan): Part[] => {
  const parts = shoreParts(plan);
  if (parts instanceof Missing) throw new Error(parts.questions[0]);
  return parts;
};

test('the hall walls: ten studs each, cut to the tight fit, and three plates', () => {
  const [studs, plates] = partsOf(ticketHall());
  expect(studs).toMatchObject({ what: 'stud', size: '45x95 C24', count: 10, for: 'Hall wall, left' });
  expect(studs!.length).toBeCloseTo(2.72 - 0.135 + 0.004, 9);
  expect(studs!.mass).toBeCloseTo(0.045 * 0.095 * 2.589 * 500, 6);
  expect(plates).toMatchObject({ what: 'plate', count: 3 });
  expect(plates!.length).toBeCloseTo(3.6 + 0.09, 9);
});
test('the demo yard has enough', () => expect(shortfalls(ticketHall(), partsOf(ticketHall()))).toEqual([]));
test('too short, too few, or another size: told with what there is', () => {
  const plan = ticketHall();
  plan.shoring.stock[0]!.length = 2.5;
  // 2.5 m is long enough for the office walls alone.
  expect(shortfalls(plan, partsOf(plan)).map(({ part, have }) => [part.for, have])).toEqual([
    ['Hall wall, left', 0],
    ['Hall wall, right', 0],
  ]);
  plan.shoring.stock[0]!.length = 2.7;
  plan.shoring.stock[0]!.count = 35;
  expect(shortfalls(plan, partsOf(plan))).toMatchObject([{ have: 4 }]);
  plan.shoring.stock[0]!.size = '47x100 C24';
  expect(shortfalls(plan, partsOf(plan))).toHaveLength(4);
});
test('a height nobody knows cannot be served', () => {
  const plan = ticketHall();
  lineIn(plan).storeys[0]!.height = null;
  expect(shortfalls(plan, partsOf(plan)).map(({ part }) => part.for)).toEqual(['Hall wall, left', 'Hall wall, left', 'Hall wall, right', 'Hall wall, right']);
});
test('needles, props and pads of a row', () => {
  const plan = ticketHall();
  lineIn(plan).walls = [];
  lineIn(plan).rows = [
    needleRow({
      count: 4,
      needle: { kind: 'steel', section: 'UC 152x152x23', grade: 'S275' },
      prop: steelProp({ class: 'B', maxLength: 3.5, length: 2.4 }),
      pad: { length: 0.3, width: 0.3, allowable: null },
    }),
  ];
  expect(partsOf(plan).map((one) => [one.what, one.count])).toEqual([
    ['needle', 4],
    ['prop', 8],
    ['pad', 8],
  ]);
  expect(shortfalls(plan, partsOf(plan))).toMatchObject([{ have: 0, part: { what: 'pad', count: 8 } }]);
  plan.shoring.stock.push({ id: 'pads', what: 'pad', size: '300x300', length: null, count: 8 });
  expect(shortfalls(plan, partsOf(plan))).toEqual([]);
  lineIn(plan).rows[0]!.needle = { kind: 'steel', section: 'ZZ', grade: 'S275' };
  expect(partsOf(plan)[0]!.mass).toBeNull();
});
test('what is lacking and what is used never exceed what is asked and what is there', () =>
  fc.assert(
    fc.property(fc.array(fc.record({ length: fc.double({ min: 1, max: 4, noNaN: true }), count: fc.nat({ max: 30 }) }), { maxLength: 6 }), (lines) => {
      const plan = ticketHall();
      plan.shoring.stock = lines.map((line, i) => ({ id: `s${i}`, what: 'stud', size: '45x95 C24', ...line }));
      const parts = partsOf(plan);
      const lacking = shortfalls(plan, parts)
        .filter(({ part }) => part.what === 'stud')
        .reduce((sum, { part, have }) => sum + part.count - have, 0);
      const asked = parts.filter((one) => one.what === 'stud').reduce((sum, one) => sum + one.count, 0);
      const there = lines.reduce((sum, one) => sum + one.count, 0);
      expect(asked - lacking).toBeLessThanOrEqual(there);
      expect(lacking).toBeLessThanOrEqual(asked);
    }),
  ));

test('timber needles, dead shores, bents and jacks are on the list too, with what one person would carry', () => {
  const plan = ticketHall();
  lineIn(plan).walls = [];
  lineIn(plan).rows = [needleRow({ needle: { kind: 'timber', width: 0.2, depth: 0.3, grade: 'C24' }, prop: deadShore({ length: null }) })];
  plan.shoring.bents = [twoPostBent()];
  const parts = partsOf(plan);
  expect(parts.map((one) => [one.what, one.size, one.count])).toEqual([
    ['needle', '200x300 C24', 5],
    ['post', '150x150 C24', 10],
    ['pad', '400x400', 10],
    ['header', 'UC 203x203x46', 1],
    ['post', 'UC 152x152x30', 2],
    ['pad', '1000x1000', 2],
    ['jack', '200 kN', 2],
  ]);
  expect(parts[0]!.mass).toBeCloseTo(0.2 * 0.3 * 1.6 * 500, 6);
  expect(parts[1]!.mass).toBeNull();
  expect(parts[3]!.mass).toBeCloseTo(46.1 * 4, 0);
});
test('headers, boards and screws of a wall; plates may be made up of shorter lengths', () => {
  const plan = ticketHall();
  const office = partsOf(plan).filter((one) => one.for === 'Office wall, right');
  expect(office.map((one) => [one.what, one.size, one.count])).toEqual([
    ['stud', '45x95 C24', 11],
    ['plate', '45x95', 3],
    ['header', '45x195 C24', 2],
    ['board', '25x95', 2],
    ['screw', '5.0x80', 16],
  ]);
  expect(office[2]!.length).toBeCloseTo(1.2 + 2 * 0.045, 9);
  expect(office[3]!.length).toBeCloseTo((2.5 - 0.135) * Math.SQRT2, 9);
  const plates = plan.shoring.stock.find((line) => line.what === 'plate')!;
  // Twelve plates of 3.69 m from 2 m lengths: by the metre.
  plates.length = 2;
  plates.count = 23;
  expect(shortfalls(plan, partsOf(plan))).toEqual([]);
  plates.count = 22;
  expect(shortfalls(plan, partsOf(plan)).map(({ part, have }) => [part.what, have])).toEqual([['plate', 2]]);
});

test('what is short is found again by wall, kind, size and length, in a list of another look', () => {
  const part = (changes: Partial<Part> = {}): Part => ({
    what: 'header',
    size: '45x195 C24',
    length: 1.2,
    count: 2,
    mass: null,
    for: 'Hall wall, left',
    ...changes,
  });
  const lacking = [{ part: part(), have: 1 }];
  expect(shortOf(lacking, part())?.have).toBe(1);
  for (const other of [{ size: '45x220 C24' }, { length: 1.6 }, { what: 'stud' as const }, { for: 'Hall wall, right' }])
    expect(shortOf(lacking, part(other))).toBeUndefined();
});
