import fc from 'fast-check';
import { ticketHall } from '../../../tests/demo-plan';
import { Missing } from './missing';
import type { Plan } from './schema';
import { shoreParts, shortfalls, type Part } from './shore-parts';
import { usualTube } from './migrations';

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
  plan.shoring.storeys[0]!.height = null;
  expect(shortfalls(plan, partsOf(plan)).map(({ part }) => part.for)).toEqual(['Hall wall, left', 'Hall wall, left', 'Hall wall, right', 'Hall wall, right']);
});
test('needles, props and pads of a row', () => {
  const plan = ticketHall();
  plan.shoring.walls = [];
  plan.shoring.rows = [
    {
      id: 'r',
      name: 'Row',
      storey: 'sy0',
      from: 0.3,
      spacing: 0.8,
      count: 4,
      needle: { kind: 'steel', section: 'UC 152x152x23', grade: 'S275' },
      arms: { left: 0.6, right: 0.7 },
      over: 1,
      masonry: { width: 0.215, allowable: 900e3 },
      head: 0.15,
      lateral: 5e3,
      prop: { kind: 'steel', class: 'B', maxLength: 3.5, tube: usualTube(), length: 2.4, leanDeg: 0, off: 0 },
      pad: { length: 0.3, width: 0.3, allowable: null },
      tag: { designer: 'M. Lindqvist', checker: 'A. Brandt', loadedOn: '', days: 1 },
      packedOn: '',
      struckOn: '',
      standsOn: [],
    },
  ];
  expect(partsOf(plan).map((one) => [one.what, one.count])).toEqual([
    ['needle', 4],
    ['prop', 8],
    ['pad', 8],
  ]);
  expect(shortfalls(plan, partsOf(plan))).toMatchObject([{ have: 0, part: { what: 'pad', count: 8 } }]);
  plan.shoring.stock.push({ id: 'pads', what: 'pad', size: '300x300', length: null, count: 8 });
  expect(shortfalls(plan, partsOf(plan))).toEqual([]);
  plan.shoring.rows[0]!.needle = { kind: 'steel', section: 'ZZ', grade: 'S275' };
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
