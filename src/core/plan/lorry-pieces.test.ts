import { ticketHall } from '../../../tests/demo-plan';
import { rulesOf } from '../rules/rule-sets';
import { lorryPieces } from './lorry-pieces';
import { memberWeight } from './member-weight';
import { Missing } from './missing';

const rules = rulesOf('eu-ls', {});

test('a member cut on the way in travels in its parts, and the parts weigh the member and its splices', () => {
  const plan = ticketHall();
  const { pieces } = lorryPieces(plan, rules);
  const parts = pieces.filter((one) => one.name.startsWith('TH1'));
  expect(parts.map((one) => one.name)).toEqual(['TH1/1', 'TH1/2', 'TH1/3']);
  const weight = memberWeight(plan.members[0]!, rules);
  if (weight instanceof Missing) throw new Error('missing');
  expect(parts.reduce((sum, one) => sum + one.mass, 0)).toBeCloseTo(weight.lifted + 2 * plan.wayIn.splice.mass, 6);
  expect(parts.reduce((sum, one) => sum + one.length, 0)).toBeCloseTo(plan.members[0]!.length, 9);
});
test('whole again, it travels whole; packed it is wider', () => {
  const plan = ticketHall();
  plan.wayIn.cuts = [];
  const one = lorryPieces(plan, rules).pieces.find((piece) => piece.name === 'TH1')!;
  expect(one.length).toBe(plan.members[0]!.length);
  expect(one.width).toBeCloseTo(0.1339 + 0.076, 3);
});
test('what is there already does not travel; each of a count does; the order not given comes last', () => {
  const plan = ticketHall();
  plan.members[5]!.order = null;
  const { pieces } = lorryPieces(plan, rules);
  expect(pieces.some((one) => one.name.startsWith('TH2'))).toBe(false);
  expect(pieces.filter((one) => one.name.startsWith('TH5'))).toHaveLength(4);
  expect(pieces.find((one) => one.name === 'TH6 (1)')!.order).toBe(Math.max(...plan.members.map((one) => one.order ?? 0)) + 1);
});
test('a plain weight has no width, an unknown section no weight: both are told, not loaded', () => {
  const plan = ticketHall();
  plan.members[2]!.state = 'made';
  plan.members[5]!.make = { kind: 'section', section: 'ZZ 9' };
  const { pieces, lacking } = lorryPieces(plan, rules);
  expect(lacking).toEqual(['TH3', 'TH6']);
  expect(pieces.some((one) => /TH3|TH6/.test(one.name))).toBe(false);
});
